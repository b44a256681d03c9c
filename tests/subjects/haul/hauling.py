"""Boats on land, and for each rule of hauling what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, DRIVE, Case, case, limit, put
from tests.subjects.glide.goings import with_thing

from neat_hull.model.haul import (
    BedPlan,
    CartPlan,
    HaulPlan,
    PostsPlan,
    RoofPlan,
    Stretch,
)
from neat_hull.model.setup import Setup

FIN = 71


def hauled(setup: Setup, **haul: Any) -> Setup:
    """That travels otherwise."""
    return setup.model_copy(update={"haul": HaulPlan(**haul)})


def roofed(setup: Setup = CLEAN, people: int = 2, **roof: Any) -> Setup:
    """On a roof with its bars well apart, slid up on a roller."""
    usual: dict[str, Any] = {"spacing_m": 1.3, "slides_on": "roller", "bar_height_m": 1.0}
    return hauled(setup, rides="roof", people=people, roof=RoofPlan(**usual | roof))


def bedded(**bed: Any) -> Setup:
    """In the bed of a truck."""
    return hauled(CLEAN, rides="bed", people=2, bed=BedPlan(**bed))


def carted(setup: Setup = CLEAN, way: list[Stretch] | None = None, **cart: Any) -> Setup:
    """On its cart, over asphalt, with the drive taken out."""
    return hauled(setup, cart=CartPlan(**cart), people=2, off={DRIVE: "off"},
                  way=way or [Stretch(ground="asphalt", length_m=50.0)])  # fmt: skip


def over(ground: Any, slope_deg: float = 0.0, step_m: float = 0.0) -> list[Stretch]:
    """A way of one stretch."""
    return [Stretch(ground=ground, slope_deg=slope_deg, step_m=step_m)]


def finned(low_m: float = -0.12, x_m: float = 0.6, **thing: Any) -> Setup:
    """With something bolted on that stands out under the hull."""
    made = with_thing(CLEAN, FIN, name="Fin", mass_kg=0.5, length_m=0.2, width_m=0.02,
                      height_m=0.2, fixing={"by": "plate"}, **thing)  # fmt: skip
    return put(made, FIN, x_m, 0.0, z_m=low_m)


def heavy(kg: float) -> Setup:
    """A crate bolted down in the middle."""
    made = with_thing(CLEAN, FIN, name="Box", mass_kg=kg, length_m=0.3, width_m=0.3, height_m=0.3,
                      fixing={"by": "plate"})  # fmt: skip
    return put(made, FIN, 1.83, 0.0)


CASES: list[Case] = [
    case("haul-lift", lambda: hauled(CLEAN, rides="trailer", comfort_kg=21.7),
         lambda: hauled(CLEAN, rides="trailer", comfort_kg=21.9)),
    case("haul-slide", lambda: limit(roofed(bar_height_m=0.75), "slide", 184.0),
         lambda: limit(roofed(bar_height_m=0.75), "slide", 185.0)),
    case("haul-bars", lambda: roofed(limit_kg=50.0), lambda: roofed(limit_kg=56.0)),
    case("haul-under", lambda: roofed(finned(-0.12)), lambda: roofed(CLEAN)),
    case("haul-overhang", lambda: roofed(behind_m=0.0, rear_x_m=1.05),
         lambda: roofed(behind_m=0.1, rear_x_m=1.05)),
    case("haul-bed", lambda: bedded(gate_m=0.7), lambda: bedded(gate_m=1.0)),
    case("haul-pull", lambda: carted(way=over("soft soil", 6.0)),
         lambda: carted(way=over("grass"))),
    case("haul-sinks", lambda: carted(way=over("dry sand"), wheels="narrow"),
         lambda: carted(way=over("dry sand"), wheels="balloon")),
    case("haul-hand", lambda: carted(hand_n=85.0), lambda: carted(hand_n=79.0)),
    case("haul-drags", lambda: carted(finned(-0.20)), lambda: carted(finned(-0.05))),
    case("haul-posts", lambda: carted(posts=PostsPlan(ring_mm=28.0)),
         lambda: carted(posts=PostsPlan())),
    case("haul-cannot", lambda: carted(axle_x_m=3.8), lambda: carted(axle_x_m=1.3)),
]  # fmt: skip
