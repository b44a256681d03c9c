"""Typical values of walls, plates, fasteners and loads; all of them starting values that one edits.

Walls after Crawford, Plastics Engineering (creep curves), Ashby, Materials Selection, and usual
data sheets (ISO 178, ISO 527, ISO 899-1); long-term strength of polyethylene after ISO 12162.
Clearance holes after ISO 273 (medium) and ASME B18.2.8 (normal), stress areas after ISO 898-1 and
UNC; the rest is practice.
"""

from dataclasses import dataclass

from neat_hull.model.fixing import BoltSize, FastenBy, Load, Material, Region, Stuff
from neat_hull.model.mount_case import ByDuration, Factors, HandReach, PlateStuff
from neat_hull.model.power import Held


def _lasting(minutes: tuple[float, float], days: tuple[float, float]) -> ByDuration:
    return ByDuration(
        snatch=Factors(stiffness=1.0, strength=1.0),
        minutes=Factors(stiffness=minutes[0], strength=minutes[1]),
        days=Factors(stiffness=days[0], strength=days[1]),
    )


ALWAYS = _lasting((1.0, 1.0), (1.0, 1.0))


@dataclass(frozen=True)
class WallStuff:
    """What a hull is made of. hot is what is left of stiffness and strength at 50 °C."""

    thickness_mm: float
    core_mm: float
    e_mpa: float
    nu: float
    bend_mpa: float
    shear_mpa: float
    bearing_mpa: float
    by_duration: ByDuration
    hot: float


WALLS: dict[Material, WallStuff] = {
    "rotomoulded": WallStuff(
        5.0, 0.0, 700.0, 0.42, 18.0, 10.0, 18.0, _lasting((0.6, 0.8), (0.3, 0.5)), 0.5
    ),
    "blow-moulded": WallStuff(
        4.0, 0.0, 1000.0, 0.42, 24.0, 13.0, 24.0, _lasting((0.6, 0.8), (0.3, 0.45)), 0.5
    ),
    "thermoformed": WallStuff(
        3.5, 0.0, 2100.0, 0.37, 40.0, 24.0, 40.0, _lasting((0.85, 0.85), (0.55, 0.5)), 0.8
    ),
    "foam-cored": WallStuff(
        12.0, 7.5, 700.0, 0.42, 18.0, 10.0, 18.0, _lasting((0.6, 0.8), (0.3, 0.5)), 0.5
    ),
    "laminate": WallStuff(
        3.0, 0.0, 11000.0, 0.3, 110.0, 50.0, 120.0, _lasting((0.95, 0.95), (0.8, 0.7)), 1.0
    ),
}
# How far a wall is free round a mount: an edge, a rib, a corner or a well is never far on a side
# deck; a fore deck is wide. Guessed until pressed.
RADIUS_M: dict[Region, float] = {
    "fore deck": 0.15, "side deck": 0.07, "aft deck": 0.12, "cockpit": 0.12, "well": 0.12,
    "lid": 0.14,
}  # fmt: skip
COOL_C, HOT_C = 25.0, 50.0  # between these a deck goes soft


def heat(stuff: WallStuff, deck_c: float) -> float:
    """What is left of stiffness and strength; straight between 25 and 50 °C, no more beyond."""
    share = min(1.0, max(0.0, (deck_c - COOL_C) / (HOT_C - COOL_C)))
    return 1.0 - share * (1.0 - stuff.hot)


PLATES: dict[Stuff, tuple[float, float, float, ByDuration]] = {  # E MPa, ν, yield MPa
    "aluminium": (70000.0, 0.33, 150.0, ALWAYS),
    "HDPE": (900.0, 0.42, 22.0, _lasting((0.6, 0.8), (0.3, 0.5))),
    "plywood": (7000.0, 0.3, 25.0, ALWAYS),
    "stainless": (195000.0, 0.3, 210.0, ALWAYS),
}
DENSITY_KG_M3: dict[Stuff, float] = {
    "aluminium": 2700.0, "HDPE": 950.0, "plywood": 650.0, "stainless": 7900.0,
}  # fmt: skip
TRACK_MM, TRACK_WIDE_M = 4.0, 0.03  # an aluminium track stiffens the wall that it is screwed to


def stuff_of(stuff: Stuff, thickness_mm: float) -> PlateStuff:
    """A plate's sheet."""
    e_mpa, nu, _, lasts = PLATES[stuff]
    return PlateStuff(thickness_mm=thickness_mm, e_mpa=e_mpa, nu=nu, by_duration=lasts)


# Bolts of A2 stainless by size: diameter, hole, stress area in mm and mm², usual washer.
SIZES: dict[BoltSize, tuple[float, float, float, float]] = {
    "M4": (4.0, 4.5, 8.78, 12.0),
    "M5": (5.0, 5.5, 14.2, 15.0),
    "M6": (6.0, 6.6, 20.1, 18.0),
    "M8": (8.0, 9.0, 36.6, 24.0),
    "#8": (4.2, 4.5, 9.0, 12.0),
    "#10": (4.8, 5.1, 11.3, 14.0),
    "1/4": (6.35, 6.8, 20.5, 19.0),
    "5/16": (7.9, 8.4, 33.8, 22.0),
}
YIELD_MPA = 210.0
CLAMP_N = 1000.0  # what creep leaves of a hand-tight M6
FRICTION, FRICTION_RUBBER = 0.2, 0.4
PAD_MM = 2.0

# What blind fasteners hold in 5 mm of polyethylene, each, and the hole they want.
BLIND_N: dict[FastenBy, float] = {"track bolt": 900.0, "rivet nut": 900.0, "well nut": 220.0}
SCREW_GRIP_SHARE = 0.65  # of the wall: threads near the faces carry little
HOLES_MM: dict[FastenBy, dict[BoltSize, float]] = {
    "rivet nut": {"M5": 7.1, "M6": 9.1, "1/4": 9.9},
    "well nut": {"M5": 9.5, "M6": 12.7},
}
SCREW_PILOT_MM = 3.6  # of a 4.8 screw in a wall of 5 mm
STRAP_N = 300.0  # one webbing strap, its buckle and what it is tied to
GLAND_MM, PLUG_MM, TUBE_MM = 16.0, 22.0, 52.0
# Tape and glue: MPa in tension and in shear; tape gives way under what hangs for days.
TAPE_MPA, GLUE_MPA = (0.35, 0.30), (0.8, 0.6)
BOND_LASTS = {
    "tape": _lasting((0.5, 0.3), (0.1, 0.02)),
    "glue": _lasting((0.8, 0.7), (0.5, 0.3)),
}


def hole_mm(by: FastenBy, size: BoltSize) -> float | None:
    """The hole that one fastener wants in the wall; None where it wants none."""
    if by in ("through bolt",):
        return SIZES[size][1]
    if by in HOLES_MM:
        return HOLES_MM[by].get(size) or max(HOLES_MM[by].values())
    return SCREW_PILOT_MM if by == "screw" else None


def wire_hole_mm(by: Held) -> float | None:
    """The hole that a wire wants where it is held so; None where none is bored for it."""
    return {"gland": GLAND_MM, "hole": PLUG_MM}.get(by)


# What pulls at a mount, N, where nobody knows better: usual of the gear anglers use.
LOADS_N: dict[Load, float] = {
    "fish": 90.0,
    "snag": 175.0,
    "lift": 0.0,
    "pull": 100.0,
    "leash": 100.0,
    "axle": 150.0,
}
FISH_ASIDE_DEG, FISH_DOWN_DEG = 30.0, 20.0
CHOP_G = (0.8, 1.2, -2.5)
DROP_IN, LIFT_SNATCH, AXLE_BUMP = 1.8, 1.5, 2.0
# A leash of L m stops m kg that fall away at 2 m/s within a twentieth of L, and never with less
# than 100 N.
LEASH_M_S, LEASH_STRETCH, LEASH_LEAST_N = 2.0, 0.05, 100.0


def leash_n(mass_kg: float, leash_m: float = 1.0) -> float:
    """m·v²/(2·stretch), N."""
    stretch = 2 * LEASH_STRETCH * leash_m
    return max(LEASH_LEAST_N, mass_kg * LEASH_M_S**2 / stretch)


ROD_AWAY_M = 2.0  # where a rod's tip is that is not aboard
# A rod bends until the line pulls nearly along it: no rod that anglers lift fish with holds more
# than some 40 N·m at its butt, whatever its length.
ROD_HOLDS_NM = 40.0
BASE_M = (0.10, 0.06)  # a usual base plate of a mount
BALL_BASE_M = 0.045

# How far one reaches through a mouth: a hand and forearm, then the upper arm; usual, a little less
# than segments give, for the nut that the fingers hold.
REACH = (HandReach(mouth_m=0.10, reach_m=0.36), HandReach(mouth_m=0.18, reach_m=0.62))

# Minutes of work, ours: an unhurried hand with the tools laid out.
MEASURE_MIN, DRILL_MIN, DEBURR_MIN, SEAL_MIN, BOLT_MIN, PLATE_MIN = 10.0, 4.0, 1.0, 4.0, 4.0, 15.0
ROUTE_MIN_PER_M, CRIMP_MIN, LOOM_MIN_PER_M, TEST_MIN = 4.0, 6.0, 3.0, 20.0
SEALANT_SETS_MIN = 24 * 60.0  # a day
