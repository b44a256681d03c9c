"""The one place where an error becomes a status, as application/problem+json (RFC 9457)."""

import sqlite3
from collections.abc import Sequence

from pydantic import BaseModel
from starlette.exceptions import HTTPException
from starlette.requests import Request
from starlette.responses import JSONResponse

from neat_hull.api.called import called
from neat_hull.errors import (
    Bound,
    Bounded,
    BoundKind,
    BusyError,
    ConflictError,
    DoesNotFloat,
    FeedError,
    InputError,
    InputErrors,
    NeatHullError,
    NoBalance,
    NotFoundError,
    NotSupplied,
    OvertakenError,
    StoreError,
)
from neat_hull.files.units import LENGTH_M, MASS_KG, SPEED_M_S
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.store.connect import told

STATUS: dict[type[NeatHullError], tuple[int, str]] = {
    InputErrors: (422, "Please check what you typed"),
    InputError: (422, "Please check what you typed"),
    DoesNotFloat: (422, "The boat would not float"),
    NoBalance: (422, "The boat would not stay upright"),
    NotSupplied: (422, "The batteries cannot supply this"),
    NotFoundError: (404, "Not here"),
    ConflictError: (409, "The setup has changed in the meantime"),
    OvertakenError: (409, "Changed elsewhere in the meantime"),
    BusyError: (503, "Too much work at once"),
    FeedError: (503, "The instrument cannot be reached"),
    StoreError: (500, "The data file cannot be used"),
}


_IMPERIAL: dict[BoundKind, tuple[float, str]] = {
    "length": (LENGTH_M["in"], "in"),
    "mass": (MASS_KG["lb"], "lb"),
    "speed": (SPEED_M_S["mph"], "mph"),
    "thin": (1000 * LENGTH_M["in"], "in"),
    "force": (MASS_KG["lb"] * GRAVITY_M_S2, "lbf"),
}


class FieldProblem(BaseModel):
    """One field that was refused, what it is called on the screens, and why, in words that read on
    after its name."""

    field: str
    called: str
    why: str


class Problem(BaseModel):
    """What went wrong. `current` is the setup's present revision on a conflict."""

    type: str
    title: str
    status: int
    detail: str
    fields: list[FieldProblem]
    current: int | None


def problem(
    status: int,
    title: str,
    detail: str,
    fields: Sequence[InputError] = (),
    current: int | None = None,
    units: str = "metric",
) -> JSONResponse:
    """An answer of ours in the shape of `Problem`, reasons in the units that were asked for."""
    body = Problem(
        type="about:blank",
        title=title,
        status=status,
        detail=detail,
        fields=[
            FieldProblem(field=e.field, called=called(e.field), why=_said(e.why, units))
            for e in fields
        ],
        current=current,
    )
    return JSONResponse(body.model_dump(), status, media_type="application/problem+json")


def units_of(request: Request) -> str:
    """What the screens tell with each question; a command tells nothing and reads cm and kg."""
    return request.headers.get("neat-units", "metric")


def _said(why: str, units: str) -> str:
    if units == "imperial" and isinstance(why, Bounded):
        return why.said(_imperial)
    return why


def _imperial(bound: Bound) -> str:
    value = bound.value
    if bound.far:
        return f"{value / LENGTH_M['ft']:.0f} ft"
    if bound.kind == "warmth":
        return f"{32 + value * 9 / 5:g} °F"
    if bound.kind not in _IMPERIAL:  # electric units, angles and shares are the same everywhere
        return str(bound)
    per, unit = _IMPERIAL[bound.kind]
    return f"{value / per:.0f} {unit}" if abs(value) >= 10 * per else f"{value / per:.2g} {unit}"


def answer(request: Request, error: Exception) -> JSONResponse:
    """Answer for an error of ours; an unlisted kind fails loudly."""
    status, title = STATUS[type(error)]  # type: ignore[index]  # registered for our errors alone
    fields: Sequence[InputError] = ()
    if isinstance(error, InputErrors | OvertakenError):
        fields = error.errors
    elif isinstance(error, InputError):
        fields = [error]
    current = error.current if isinstance(error, ConflictError) else None
    units, why = units_of(request), next(iter(error.args), None)
    detail = _said(why, units) if isinstance(why, Bounded) else str(error)
    return problem(status, title, detail, fields, current, units)


def unusable(_: Request, error: Exception) -> JSONResponse:
    """Answer for a data file that cannot be used just now."""
    assert isinstance(error, sqlite3.Error)
    return problem(503, "The data file cannot be used", f"the data file {told(error)}")


def plain_http(_: Request, error: Exception) -> JSONResponse:
    """Answer for what the framework refuses by itself: no such path, wrong method."""
    assert isinstance(error, HTTPException)
    return problem(error.status_code, str(error.detail), str(error.detail))
