"""Setups for judging: the clean demo, and how to spoil it a little."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from tests.places import otherwise

from neat_hull.files.demo import demo_setups
from neat_hull.model.findings import Finding
from neat_hull.model.judging import Judging, LimitKey, MovedLimit
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.whole.evaluate import evaluated
from neat_hull.whole.judge import judged_by

FULL, CLEAN = demo_setups()[:2]
(
    SEAT, DRIVE, RUDDER, DRY_BAG, BATTERY, SCREEN, ROD_P, ROD_S, CRATE, SPARE_ROD, FISH_BAG, ANCHOR,
    FLAG, TRAY, PLIERS, WATER, PADDLE, NET, SOCK, CAMERA, TANK, HOLDER_P, HOLDER_S, PFD, WHISTLE,
    PHONE,
) = range(1, 27)  # fmt: skip


def put(setup: Setup, thing_id: int, x: float, y: float = 0.0, **more: Any) -> Setup:
    """With a thing somewhere else, or aboard."""
    values = {"z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0} | more
    place = Place(x_m=x, y_m=y, **values)
    return setup.model_copy(update={"places": {**setup.places, thing_id: place}})


def without(setup: Setup, *thing_ids: int) -> Setup:
    """With things left ashore."""
    places = {i: place for i, place in setup.places.items() if i not in thing_ids}
    return setup.model_copy(update={"places": places})


def known(setup: Setup, thing_id: int, **changes: Any) -> Setup:
    """With a thing that is otherwise."""
    things = {**setup.things, thing_id: otherwise(setup.things[thing_id], **changes)}
    return setup.model_copy(update={"things": things})


def boat(setup: Setup, **changes: Any) -> Setup:
    """On a boat a little different."""
    return setup.model_copy(update={"boat": setup.boat.model_copy(update=changes)})


def safe(setup: Setup, **changes: Any) -> Setup:
    """With another safety plan."""
    return setup.model_copy(update={"safety": setup.safety.model_copy(update=changes)})


def judged(setup: Setup, **changes: Any) -> Setup:
    """For another water, hand or light."""
    return setup.model_copy(update={"judging": setup.judging.model_copy(update=changes)})


def cold(temp: float | None, **changes: object) -> Setup:
    """On water of that temperature."""
    return judged(CLEAN.model_copy(update={"water_temp_c": temp}), **changes)


def cool(air: float, wind_m_s: float = 1.0) -> Setup:
    """Warm water under air of that temperature, and nothing warm aboard."""
    plan = CLEAN.safety.model_copy(update={"air_temp_c": air})
    glide = CLEAN.glide.model_copy(update={"wind_m_s": wind_m_s})
    return cold(20.0).model_copy(update={"safety": plan, "glide": glide})


def limit(setup: Setup, key: LimitKey, fine: float, watch: float | None = None) -> Setup:
    """With one limit moved, for the profile it has."""
    judging: Judging = setup.judging
    moved = MovedLimit(
        key=key, waters=judging.waters, hand=judging.hand, fine=fine,
        watch=fine if watch is None else watch,
    )  # fmt: skip
    others = [one for one in judging.moved if one.key != key]
    return judged(setup, moved=[*others, moved])


def found(setup: Setup, code: str) -> list[Finding]:
    """Findings of one rule, asked alone: it takes less than half as long as to ask all."""
    return judged_by(evaluated(setup), code)


@dataclass(frozen=True)
class Case:
    """One rule, tripped and just not."""

    code: str
    trips: Callable[[], Setup]
    twin: Callable[[], Setup]


def case(code: str, trips: Callable[[], Setup], twin: Callable[[], Setup]) -> Case:
    """A row of the table."""
    return Case(code, trips, twin)
