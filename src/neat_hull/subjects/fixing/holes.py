"""Holes through the hull: over the water, from each other, from an edge, and a hand behind them."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import dist, inf, radians, sqrt, tan

from neat_hull.model.base import Point
from neat_hull.model.mount_case import CaseHatch, CaseWater, HandReach, MountCase


@dataclass(frozen=True)
class HoleFigure:
    """Distances in diameters; what there is nothing to measure from is null.

    spare_m is what the arm has left beyond the hole through the hatch that leaves most, `behind`
    that hatch where the hand comes there. flags in the order low, close, edge, no hand, idle.
    """

    name: str
    height_m: float | None
    lowest_in: str | None
    spacing_d: float | None
    nearest: str | None
    edge_d: float | None
    behind: str | None
    spare_m: float | None
    flags: list[str]


def holes(case: MountCase) -> list[HoleFigure]:
    """Each hole of a case, which must have rules."""
    return [_hole(case, i) for i in range(len(case.holes))]


def _hole(case: MountCase, i: int) -> HoleFigure:
    one, rules = case.holes[i], case.rules
    assert rules is not None, "required before"
    height, lowest = _least([(height_m(one.at_m, water), water.name) for water in case.waters])
    spacing, nearest = _least(
        [
            (spacing_d(one.at_m, one.d_mm, other.at_m, other.d_mm), other.name)
            for j, other in enumerate(case.holes)
            if j != i
        ]
    )
    spare, behind = most_spare(one.at_m, case.hatches, case.reach)
    edge = None if one.edge_m is None else 1000 * one.edge_m / one.d_mm
    reached = spare is not None and spare >= 0
    flags = {
        "low": height is not None and height < rules.height_m,
        "close": spacing is not None and spacing < rules.spacing_d,
        "edge": edge is not None and edge < rules.edge_d,
        "no hand": one.needs_hand and not reached,
        "idle": one.used_by is None,
    }
    return HoleFigure(one.name, height, lowest, spacing, nearest, edge,
                      behind if reached else None, spare,
                      [flag for flag, so in flags.items() if so])  # fmt: skip


def height_m(at: Point, water: CaseWater) -> float:
    """Square to the water, over it."""
    trim, heel = tan(radians(water.trim_deg)), tan(radians(water.heel_deg))
    over = at[2] - (water.c_m - at[0] * trim - at[1] * heel)
    return over / sqrt(1 + trim * trim + heel * heel)


def spacing_d(at: Point, d_mm: float, other: Point, other_mm: float) -> float:
    """Between middles, in diameters of the larger."""
    return 1000 * dist(at, other) / max(d_mm, other_mm)


def most_spare(
    at: Point, hatches: Sequence[CaseHatch], reach: Sequence[HandReach]
) -> tuple[float | None, str | None]:
    """What the arm has left beyond a place, straight from the mouth of the best hatch."""
    best: tuple[float, str] | None = None
    for hatch in hatches:
        through = [row.reach_m for row in reach if row.mouth_m <= hatch.mouth_m]
        if through:
            spare = max(through) - dist(at, hatch.at_m)
            if best is None or spare > best[0]:
                best = spare, hatch.name
    return best or (None, None)


def _least(of: Sequence[tuple[float, str]]) -> tuple[float | None, str | None]:
    """The first of the least."""
    best: tuple[float, str | None] = inf, None
    for one in of:
        if one[0] < best[0]:
            best = one
    return best if best[1] is not None else (None, None)
