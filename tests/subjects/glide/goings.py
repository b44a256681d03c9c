"""Boats that go, and for each rule of the way what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, ROD_P, Case, case, put, safe

from neat_hull.model.safety import Tow
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing

TUBE, MOTOR, CELLS, SOCK, CHEST = 60, 61, 62, 63, 66


def planned(setup: Setup, **glide: Any) -> Setup:
    """With another plan of the way."""
    return setup.model_copy(update={"glide": setup.glide.model_copy(update=glide)})


def with_thing(setup: Setup, thing_id: int, **fields: Any) -> Setup:
    """With one more thing, ashore."""
    usual = {"shape": "box", "evidence": "weighed", "fixing": {"by": "plate"}}
    thing = Thing.model_validate(usual | fields)
    return setup.model_copy(update={"things": {**setup.things, thing_id: thing}})


def tube(height: float) -> Setup:
    """A tube over the side, so much of it under the water."""
    made = with_thing(CLEAN, TUBE, name="Tube", mass_kg=1.0, length_m=0.1, width_m=0.1,
                      height_m=height)  # fmt: skip
    return put(made, TUBE, 1.4, 0.5, z_m=0.1 - height)


def chest(wind: float) -> Setup:
    """A tall chest before the seat, against so much wind."""
    made = with_thing(CLEAN, CHEST, name="Chest", mass_kg=3.0, length_m=0.3, width_m=0.6,
                      height_m=0.9)  # fmt: skip
    return planned(put(made, CHEST, 2.9), wind_m_s=wind)


def motored(thrust_n: float = 150.0, holds: bool = False, **glide: Any) -> Setup:
    """A motor at the stern, and its battery in the well, not wired."""
    made = with_thing(CLEAN, MOTOR, name="Motor", shape="pole", mass_kg=8.0, length_m=0.9,
                      width_m=0.1, height_m=0.1, motor={"thrust_n": thrust_n, "holds": holds},
                      draw={"watts": 300.0})  # fmt: skip
    cells = {"chemistry": "lifepo4", "capacity_ah": 100.0}
    made = with_thing(made, CELLS, name="Cells", mass_kg=6.0, length_m=0.2, width_m=0.17,
                      height_m=0.2, battery=cells)  # fmt: skip
    return planned(put(put(made, MOTOR, 0.3, z_m=0.4), CELLS, 1.0, 0.2), **glide)


def socked(x_m: float, wind: float = 6.0) -> Setup:
    """A drift sock led to a place."""
    made = with_thing(CLEAN, SOCK, name="Sock", mass_kg=0.5, length_m=0.2, width_m=0.1,
                      height_m=0.1, drogue={})  # fmt: skip
    return planned(put(made, SOCK, 1.62, -0.3), drogue_x_m=x_m, wind_m_s=wind)


def trolled(turn_m: float) -> Setup:
    """Two rods side by side whose lines trail, one twice as long."""
    second = CLEAN.model_copy(update={"things": {**CLEAN.things, 67: CLEAN.things[ROD_P]}})
    made = put(second, 67, 1.7, -0.4, turn_deg=-90.0, tilt_deg=20.0)
    return planned(made, lines={ROD_P: 8.0, 67: 16.0}, turn_m=turn_m)


def towing(**tow: Any) -> Setup:
    """With another boat in tow, its release beside the seat."""
    usual = {"boat_kg": 120.0, "release_x_m": CLEAN.seat.x_m + 0.3}
    return safe(CLEAN, tow=Tow(**(usual | tow)))


CASES: list[Case] = [
    case("tow-too-slow", lambda: planned(towing(), effort_w=10.0),
         lambda: planned(towing(), effort_w=60.0)),
    case("tow-from-the-side", lambda: towing(at_x_m=0.61), lambda: towing(at_x_m=0.59)),
    case("tow-release-out-of-hand", lambda: towing(release_x_m=None), towing),
    case("glide-gear-slows", lambda: chest(5.0), lambda: chest(1.0)),
    case("glide-drags", lambda: tube(0.0285), lambda: tube(0.0275)),
    case("glide-catches-wind", lambda: planned(CLEAN, wind_m_s=3.1),
         lambda: planned(CLEAN, wind_m_s=3.0)),
    case("glide-waves", lambda: planned(CLEAN, effort_w=73.0),
         lambda: planned(CLEAN, effort_w=71.0)),
    case("glide-no-way-home", lambda: planned(CLEAN, wind_m_s=0.0, current_m_s=0.92),
         lambda: planned(CLEAN, wind_m_s=0.0, current_m_s=0.85)),
    case("glide-no-way", lambda: motored(wind_m_s=10.7, step=0.55),
         lambda: motored(wind_m_s=10.4, step=0.55)),
    case("glide-reserve", lambda: motored(trip_m=14900.0), lambda: motored(trip_m=14700.0)),
    case("glide-drifts-fast", lambda: planned(CLEAN, wind_m_s=2.95),
         lambda: planned(CLEAN, wind_m_s=2.90)),
    case("glide-lies-across", lambda: socked(2.0), lambda: socked(1.9)),
    case("glide-lines-cross", lambda: trolled(12.0), lambda: trolled(60.0)),
]  # fmt: skip
