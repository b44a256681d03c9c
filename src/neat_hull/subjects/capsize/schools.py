"""Three ways to tie what is aboard: as it is, all of it, and only what is vital or dear."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from math import dist

from neat_hull.model.base import Point
from neat_hull.model.capsize_case import CaseThing, Held, Schools
from neat_hull.subjects.capsize.fates import Fates, fates
from neat_hull.subjects.capsize.tangles import path_m, reaches, run_m, run_reaches
from neat_hull.subjects.capsize.upset import Upset

AS_IT_IS, TIE_ALL, FEW = "as it is", "tie everything", "few lines"


@dataclass(frozen=True)
class School:
    """What it loses and sends adrift, by name, and at which prices; what has none; lines in all,
    those that come to the legs, and pairs of those that can meet."""

    lost: list[str]
    adrift: list[str]
    lost_price: float
    adrift_price: float
    unpriced: list[str]
    lines: int
    lines_in_legs: int
    crossings: int


@dataclass(frozen=True)
class LineWay:
    """A line and a zone: how far it is there, and whether the line gets there."""

    line: str
    zone: str
    path_m: float
    reaches: bool


def tied(things: Sequence[CaseThing]) -> list[tuple[str, Point, float]]:
    """Lines that things hang on: by the thing's name, from where, how long."""
    return [
        (one.name, one.held.from_m, one.held.length_m)
        for one in things
        if one.held.by == "tied" and one.held.from_m is not None and one.held.length_m is not None
    ]


def line_ways(of: Upset) -> list[LineWay]:
    """Each line with each zone."""
    found = []
    for zone in of.zones:
        for name, start, length in tied(of.things):
            way = path_m(of.hull, start, zone)
            found.append(LineWay(name, zone.name, way, way <= length))
        for run in of.runs:
            way = run_m(run, zone)
            found.append(LineWay(run.name, zone.name, way, run_reaches(run, zone)))
    return found


def ways(things: Sequence[CaseThing], rule: Schools) -> dict[str, list[CaseThing]]:
    """The things as each school has them."""

    def all_tied(one: CaseThing) -> CaseThing:
        if one.held.by != "loose":
            return one
        at = (one.x_m, one.y_m, one.z_m)
        held = Held(by="tied", to=None, from_m=at, length_m=rule.tie_line_m, strength_kg=None)
        return one.model_copy(update={"held": held})

    def freed(one: CaseThing) -> CaseThing:
        if one.held.by != "tied" or one.vital or (one.price or 0.0) >= rule.few_price:
            return one
        return one.model_copy(update={"held": Held(by="loose")})

    return {
        AS_IT_IS: list(things),
        TIE_ALL: [all_tied(one) for one in things],
        FEW: [freed(one) for one in things],
    }


def school(of: Upset, things: Sequence[CaseThing], found: Fates | None = None) -> School:
    """What comes of things that are tied so; found: their fates, where they are known."""
    fate = (found or fates(things, of.density_kg_m3, of.rule.jerk)).of
    price = {one.name: one.price for one in things}
    lost = sorted(name for name, one in fate.items() if one == "sinks")
    adrift = sorted(name for name, one in fate.items() if one == "floats off")
    legs = [zone for zone in of.zones if zone.kind == "legs"]
    lines = tied(things)
    reach = [
        (start, length)
        for _, start, length in lines
        if any(reaches(of.hull, start, length, zone) for zone in legs)
    ]
    runs = sum(any(run_reaches(run, zone) for zone in legs) for run in of.runs)
    return School(
        lost=lost,
        adrift=adrift,
        lost_price=sum(price[name] or 0.0 for name in lost),
        adrift_price=sum(price[name] or 0.0 for name in adrift),
        unpriced=sorted(name for name in (*lost, *adrift) if price[name] is None),
        lines=len(lines) + len(of.runs),
        lines_in_legs=len(reach) + runs,
        crossings=sum(
            dist(one, other) <= long + longer
            for (one, long), (other, longer) in combinations(reach, 2)
        ),
    )
