"""How the API is put together."""

import sqlite3
from pathlib import Path

from fastapi import FastAPI
from fastapi.exceptions import RequestValidationError
from starlette.exceptions import HTTPException
from starlette.requests import Request
from starlette.responses import Response

from neat_hull import __version__
from neat_hull.api import (
    advice,
    afloat,
    anglers,
    boat,
    capsize,
    changes,
    checklists,
    compare,
    dates,
    day,
    findings,
    fixing,
    float_plan,
    gear,
    glide,
    haul,
    hold,
    instrument,
    log,
    money,
    placing,
    power,
    reach,
    setup_files,
    setups,
    sonar,
    starting,
    surf,
    ticks,
)
from neat_hull.api.answers import refuse_body
from neat_hull.api.problems import STATUS, answer, plain_http, unusable
from neat_hull.api.state import SetupCache, made_before
from neat_hull.errors import AlreadyMade
from neat_hull.instruments.listener import Listener


def create_api(data: Path, listener: Listener | None = None) -> FastAPI:
    """The API over a data file that `open_store` made ready, with whatever instrument is listened
    to; `front` lets people in."""
    app = FastAPI(
        title="Neat Hull",
        version=__version__,
        openapi_url="/api/openapi.json",
        docs_url=None,
        redoc_url=None,
    )
    app.state.data, app.state.cache, app.state.listener = data, SetupCache(data), listener
    for part in (
        setup_files,
        starting,
        setups,
        changes,
        placing,
        power,
        sonar,
        fixing,
        glide,
        haul,
        day,
        hold,
        capsize,
        boat,
        anglers,
        gear,
        afloat,
        reach,
        findings,
        advice,
        compare,
        surf,
        dates,
        float_plan,
        ticks,
        checklists,
        log,
        money,
        instrument,
    ):
        app.router.routes.extend(part.router.routes)
    for kind in STATUS:
        app.add_exception_handler(kind, answer)
    app.add_exception_handler(AlreadyMade, made_before)
    app.add_exception_handler(sqlite3.Error, unusable)
    app.add_exception_handler(RequestValidationError, refuse_body)
    app.add_exception_handler(HTTPException, plain_http)
    app.add_route("/api/{rest:path}", _nothing_here, include_in_schema=False)
    return app


def _nothing_here(request: Request) -> Response:
    raise HTTPException(404, f"there is nothing at {request.url.path}")
