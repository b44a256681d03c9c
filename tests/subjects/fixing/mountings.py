"""A small boat with one thing mounted, and for each rule what trips it and what just not."""

from typing import Any

from tests.judged import ANCHOR, CLEAN, Case, case, known, put

from neat_hull.model.fixing import Hole, Mount, Plate
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.whole.evaluate import evaluated

WIDE = 60  # an id that nothing of the demo has


def with_fixing(setup: Setup, **changes: Any) -> Setup:
    """With other fixings."""
    return setup.model_copy(update={"fixing": setup.fixing.model_copy(update=changes)})


def screen(**mount: Any) -> Setup:
    """A 9-inch screen on an arm on the fore deck, mounted so."""
    thing = Thing.model_validate(
        {"name": "9-inch screen", "shape": "box", "mass_kg": 1.8, "evidence": "weighed",
         "length_m": 0.10, "width_m": 0.26, "height_m": 0.30, "offset_z_m": 0.05,
         "fixing": {"by": "plate"}, "picture": "screen"}
    )  # fmt: skip
    setup = CLEAN.model_copy(update={"things": {**CLEAN.things, WIDE: thing}})
    setup = put(setup, WIDE, **FORE_AT)
    return with_fixing(
        setup, mounts={WIDE: Mount.model_validate({"by": "through bolt", "trips": 3} | mount)}
    )


FORE_AT: dict[str, Any] = {"x": 2.75, "y": 0.0}


def holed(x: float = 2.75, y: float = 0.0, z: float = 0.36, **hole: Any) -> Setup:
    """A hole of nothing's, used by the seat."""
    row: dict[str, Any] = {"x_m": x, "y_m": y, "z_m": z, "d_mm": 8.0, "used_by": 1}
    return with_fixing(CLEAN, holes={"Old hole": Hole.model_validate(row | hole)})


def holes(apart_m: float) -> Setup:
    """Two planned holes beside each other."""
    rows = {
        name: Hole(x_m=2.75 + at, y_m=0.0, z_m=0.36, d_mm=8.0, state="planned", used_by=1)
        for name, at in (("One", 0.0), ("Other", apart_m))
    }
    return with_fixing(CLEAN, holes=rows)


def planned_at(in_m: float) -> Setup:
    """A planned hole so far in from the gunwale."""
    half, height = evaluated(CLEAN).rigged.floating.hull.gunwale_m(2.9)
    return holed(x=2.9, y=half - in_m, z=height, state="planned")


def stalking(setup: Setup, **changes: Any) -> Setup:
    """By somebody who fishes by stealth."""
    return with_fixing(setup, stalks=True, **changes)


ONE: dict[str, Any] = {"count": 1, "shape": "round", "length_m": 0.05, "size": "M6"}
FOUR: dict[str, Any] = {"count": 4, "length_m": 0.16, "width_m": 0.12, "size": "M6",
        "plate": Plate(length_m=0.24, width_m=0.2, thickness_mm=4.0)}  # fmt: skip


def bolted_at(x: float, **mount: Any) -> Setup:
    """Its bolts, right through, somewhere along the middle line."""
    setup = screen(**(FOUR | mount))
    return put(setup, WIDE, x, 0.0)


def leaning(z_m: float) -> Setup:
    """An arm that leans out, on one bolt."""
    setup = screen(**(ONE | {"length_m": 0.08}))
    return known(setup, WIDE, offset_x_m=z_m, mass_kg=1.0)


def tank(**draw: Any) -> Setup:
    """A bait tank with a pump, or without."""
    fields = {"fill": {"empty_kg": 1.0, "afloat": True}} | draw
    thing = Thing.model_validate(
        {"name": "Tank", "shape": "box", "mass_kg": 2.0, "evidence": "weighed", "length_m": 0.3,
         "width_m": 0.3, "height_m": 0.3, "fixing": {"by": "strap"}} | fields
    )  # fmt: skip
    setup = CLEAN.model_copy(update={"things": {**CLEAN.things, WIDE: thing}})
    return stalking(put(setup, WIDE, 0.8))


def stone(mass_kg: float, **mount: Any) -> Setup:
    """A hard thing that lies on the floor."""
    thing = Thing.model_validate(
        {"name": "Stone", "shape": "box", "mass_kg": mass_kg, "evidence": "weighed",
         "length_m": 0.1, "width_m": 0.1, "height_m": 0.1}
    )  # fmt: skip
    setup = CLEAN.model_copy(update={"things": {**CLEAN.things, WIDE: thing}})
    return stalking(put(setup, WIDE, 0.8), mounts={WIDE: Mount.model_validate(mount)})


def anchored(**mount: Any) -> Setup:
    """An anchor with its chain on the deck."""
    return stalking(put(CLEAN, ANCHOR, 0.7), mounts={ANCHOR: Mount.model_validate(mount)})


CASES: list[Case] = [
    case("fixing-breaks", lambda: screen(count=2, length_m=0.12, width_m=0.05),
         lambda: screen(count=2, length_m=0.13, width_m=0.06)),
    case("fixing-wobbles", lambda: screen(**ONE), lambda: screen(**FOUR)),
    case("fixing-droops", lambda: leaning(0.30), lambda: leaning(0.03)),
    case("fixing-no-drill", lambda: with_fixing(screen(**FOUR), no_drill=True),
         lambda: with_fixing(screen(**FOUR, drilled=True), no_drill=True)),
    case("fixing-unproved", lambda: screen(**(FOUR | {"trips": 1})),
         lambda: screen(**(FOUR | {"trips": 2}))),
    case("hole-low", lambda: holed(z=0.13), lambda: holed(z=0.14)),
    case("hole-no-hand", lambda: bolted_at(0.45), lambda: bolted_at(2.75)),
    case("hole-close", lambda: holes(0.023), lambda: holes(0.025)),
    case("hole-edge", lambda: planned_at(0.012), lambda: planned_at(0.02)),
    case("hole-idle", lambda: holed(used_by=None), lambda: holed(used_by=None, state="filled")),
    case("noise-slides", lambda: stone(0.4), lambda: stone(0.25)),
    case("noise-chain", anchored, lambda: anchored(pad=True)),
    case("noise-hums", lambda: tank(draw={"watts": 10.0, "own_cells": True}), tank),
]  # fmt: skip
