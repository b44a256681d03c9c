"""The instrument on the wire: what it says, and for the simulated one, what stands aboard."""

from dataclasses import asdict
from typing import Literal

from fastapi import Request
from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.instruments.listener import Listener
from neat_hull.model.base import Answer, Model
from neat_hull.model.monitor import TwoReadings, TwoReadingsResult
from neat_hull.subjects.power.monitoring import from_two

router = routes("instrument", "/instrument")


class Instrument(Answer):
    """State of the feed and its figures, averaged over two seconds; off: none was given."""

    state: Literal["off", "lost", "stale", "garbled", "live"]
    heel_deg: float | None
    trim_deg: float | None
    force_kg: float | None
    spread_deg: float | None
    age_s: float | None
    garbled: int


class Moment(Model):
    """A moment off the middle, starboard positive."""

    moment_kg_m: float = Field(ge=-500, le=500)


@router.get("")
def instrument(request: Request) -> Instrument:
    """What the instrument says now."""
    listener: Listener | None = request.app.state.listener
    if listener is None:
        return Instrument(
            state="off",
            heel_deg=None,
            trim_deg=None,
            force_kg=None,
            spread_deg=None,
            age_s=None,
            garbled=0,
        )
    return Instrument(**asdict(listener.heard()))


@router.post("/moment", status_code=204)
def tell_moment(body: Moment, request: Request) -> None:
    """Tell a simulated box which moment stands aboard; real instruments pass it over."""
    listener: Listener | None = request.app.state.listener
    if listener is not None:
        listener.tell_moment(body.moment_kg_m)


@router.post("/two-readings")
def two_readings(body: TwoReadings) -> TwoReadingsResult:
    """Resistance and draw from two readings of a meter; stores nothing."""
    return from_two(body)
