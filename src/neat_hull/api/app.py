"""How the API and the screens are put together."""

import sqlite3
from pathlib import Path

from fastapi import FastAPI
from fastapi.exceptions import RequestValidationError
from fastapi.staticfiles import StaticFiles
from starlette.exceptions import HTTPException
from starlette.responses import Response
from starlette.types import Scope

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
from neat_hull.api.guard import Guard
from neat_hull.api.key import KeyGate
from neat_hull.api.problems import STATUS, answer, plain_http, refuse_body, unusable
from neat_hull.api.state import SetupCache, made_before
from neat_hull.errors import AlreadyMade
from neat_hull.instruments.listener import Listener

LOOPBACK = frozenset({"127.0.0.1", "localhost", "::1"})


def create_app(
    data: Path,
    screens: Path | None = None,
    hosts: frozenset[str] = LOOPBACK,
    listener: Listener | None = None,
    key: str | None = None,
) -> FastAPI:
    """The application over a data file that `open_store` made ready; `screens` is the built web.
    With a key, nobody is answered without it."""
    app = FastAPI(
        title="Neat Hull",
        version=__version__,
        openapi_url="/api/openapi.json",
        docs_url=None,
        redoc_url=None,
    )
    app.state.data, app.state.cache, app.state.listener = data, SetupCache(), listener
    if screens is not None:
        # First of all: a page has many, and each would be looked for through all of the API.
        app.mount("/assets", Hashed(directory=screens / "assets"))
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
    app.add_middleware(Guard, hosts=hosts)
    if key is not None:
        app.add_middleware(KeyGate, key=key)
    app.add_api_route("/api/{rest:path}", _nothing_here, include_in_schema=False)
    if screens is not None:
        app.mount("/", Screens(directory=screens, html=True), name="screens")
    return app


def _nothing_here(rest: str) -> None:
    raise HTTPException(404, f"there is nothing at /api/{rest}")


class Hashed(StaticFiles):
    """Files with their content in their name: they may be kept for good."""

    async def get_response(self, path: str, scope: Scope) -> Response:
        """The file."""
        response = await super().get_response(path, scope)
        response.headers["Cache-Control"] = "public, max-age=31536000, immutable"
        return response


class Screens(StaticFiles):
    """The page, which may not be kept; any path of a screen falls back to it."""

    async def get_response(self, path: str, scope: Scope) -> Response:
        """The file, or the page."""
        try:
            response = await super().get_response(path, scope)
        except HTTPException as error:
            if error.status_code != 404 or path.startswith("api/"):
                raise
            response = await super().get_response("index.html", scope)
        response.headers["Cache-Control"] = "no-cache"
        return response
