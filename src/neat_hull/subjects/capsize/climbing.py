"""Climbing back in over a gunwale, and what water gets in by a hole."""

from dataclasses import dataclass
from math import degrees, dist, pi, sqrt

import numpy as np

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.capsize_case import CaseThing, Hand, Remount, Side
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.subjects.capsize.fates import Fates
from neat_hull.subjects.capsize.upset import Upset

_ORIFICE = 0.6  # of √(2gh), what a sharp hole lets through


@dataclass(frozen=True)
class Climb:
    """By one side: what is in the way, how far the boat leans, how high its gunwale is then; null
    where it goes over."""

    blocked_by: list[str]
    heel_deg: float | None
    climb_m: float | None


def climb(of: Upset, found: Fates, into: Remount, side: Side, way: float) -> Climb:
    """With a share of the angler, and of what is worn, on the gunwale to port (way 1) or starboard
    (-1), and nobody aboard."""
    half, height = of.hull.gunwale_m(into.x_m)
    point = (into.x_m, way * half, height)
    yours = of.angler.mass_kg + sum(
        one.mass_kg for one in of.things if found.of[one.name] == "with you"
    )
    staying = of.staying(found)
    more = [(into.share * yours, *point)] if into.share > 0 else []
    loads = of.loads_with(staying, *more)
    blocked = sorted(one.name for one in staying if one.held.by != "shut" and _overlaps(one, side))
    try:
        rest = hydrostatics.settle(of.floating, loads, of.density_kg_m3).rest
    except (DoesNotFloat, NoBalance):
        return Climb(blocked, None, None)
    over = float(rest.height_over_water_m(np.array([point]))[0, 0])
    return Climb(blocked, degrees(float(rest.heel_rad[0])), over)


def _overlaps(one: CaseThing, side: Side) -> bool:
    at = (one.x_m, one.y_m, one.z_m)
    return all(
        middle - size / 2 < hi and middle + size / 2 > lo
        for middle, size, lo, hi in zip(at, one.size_m, side.lo_m, side.hi_m, strict=True)
    )


def cutters(of: Upset, hand: Hand) -> list[str]:
    """What cuts a line, is not shut in, and is within a hand's reach; by name."""
    return sorted(
        one.name for one in of.things
        if one.cuts and one.held.by != "shut"
        and dist((one.x_m, one.y_m, one.z_m), hand.shoulder_m) <= hand.reach_m
    )  # fmt: skip


def hole_l_min(diameter_m: float, depth_m: float) -> float:
    """0.6·A·√(2gh): an orifice, any hydraulics text; nothing over the water."""
    area = pi / 4 * diameter_m**2
    return 60000 * _ORIFICE * area * sqrt(2 * GRAVITY_M_S2 * max(0.0, depth_m))
