"""Boats with lamps and flags, and for each rule of being seen what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, Case, case, judged, put, safe
from tests.subjects.glide.goings import with_thing

from neat_hull.model.setup import Setup

LAMP, BOX, FLAG = 90, 91, 92


def lit(
    height: float = 1.4, x: float = 0.3, y: float = 0.0, night: bool = True, **lamp: Any
) -> Setup:
    """By night, with a lamp on a thin stand behind the seat, its light so high over the boat."""
    made = with_thing(CLEAN, LAMP, name="Lamp", mass_kg=0.2, length_m=0.05, width_m=0.05,
                      height_m=0.1, fixing={"by": "plate"}, serves=["light"],
                      lamp={"height_m": 0.1} | lamp)  # fmt: skip
    return judged(put(made, LAMP, x, y, z_m=height - 0.1), by_night=night)


def beside(wide: float, far: float = 0.6) -> Setup:
    """A box straight to port of the lamp, as high as it, so broad along the boat; two more metres
    up than anything else, so that it alone stands in the way."""
    made = with_thing(lit(3.0, y=-0.3), BOX, name="Box", mass_kg=0.1, length_m=wide, width_m=0.001,
                      height_m=0.4, fixing={"by": "plate"})  # fmt: skip
    return put(made, BOX, 0.3, -0.3 + far, z_m=2.8)


def flagged(tall: float, swell: float = 0.0) -> Setup:
    """An upright pole that stands as high as the seat, so long, with a flag."""
    made = with_thing(CLEAN, FLAG, name="Flag", shape="pole", mass_kg=0.3, length_m=tall,
                      width_m=0.02, height_m=0.02, fixing={"by": "plate"},
                      flag={"size_m": 0.3})  # fmt: skip
    up = put(made, FLAG, 0.3, 0.0, z_m=CLEAN.seat.z_m, tilt_deg=90.0)
    return safe(up, swell_m=swell)


def leaning(vertical_deg: float) -> Setup:
    """Level but for a degree or so, which the roll is added to."""
    return lit(vertical_deg=vertical_deg)


CASES: list[Case] = [
    # 2·atan(w/2/0.6) is six degrees at 6.29 cm.
    case("light-blocked", lambda: beside(0.064), lambda: beside(0.062)),
    case("light-leans", lambda: leaning(4.9), lambda: leaning(8.0)),
    # 9.5 m/s: a minute is 570 m, which 0.08 cd carry by Allard.
    case("light-seen-late", lambda: lit(candela=0.06), lambda: lit(candela=0.08)),
    case("light-in-your-eyes", lambda: lit(0.95, x=2.4), lambda: lit(0.95, x=0.3)),
    case("flag-low", lambda: flagged(1.19), lambda: flagged(1.21)),
]
