"""What a bare case comes to: `neat-hull capsize`."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import combinations
from math import degrees, dist, pi, sqrt
from typing import Any

import numpy as np

from neat_hull.errors import DoesNotFloat, InputError, InputErrors, NoBalance
from neat_hull.model.capsize_case import CapsizeCase, CaseThing, Held, Side
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.bare import bare_hull, bare_loads
from neat_hull.subjects.capsize.fates import Fates, fates
from neat_hull.subjects.capsize.flooding import flooded_report
from neat_hull.subjects.capsize.tangles import path_m, run_m

Row = dict[str, Any]
_ORIFICE = 0.6  # of √(2gh), what a sharp hole lets through
_TOUCHES_M = 1e-9


def capsize_report(case: CapsizeCase) -> Row:
    """All that the case comes to. Raises InputErrors, or DoesNotFloat and NoBalance of the boat
    right side up."""
    wrong = list(_wrong(case))
    if wrong:
        raise InputErrors(wrong)
    hull, density, jerk = bare_hull(case.hull), case.water_density_kg_m3, case.schools.jerk
    found = fates(case.things, density, jerk)
    staying = [one for one in case.things if found.of[one.name] == "stays"]
    floating = FloatingHull.of(hull)
    told = {
        "things": [_thing(one, found) for one in case.things],
        "lines": _lines(case, hull),
        "schools": {
            name: _School(case, hull, things).told() for name, things in _schools(case).items()
        },
    }
    if case.hands is not None:
        told["knife"] = {
            name: sorted(
                one.name for one in case.things
                if one.cuts and one.held.by != "shut"
                and dist((one.x_m, one.y_m, one.z_m), hand.shoulder_m) <= hand.reach_m
            )
            for name, hand in (("port", case.hands.port), ("starboard", case.hands.starboard))
        }  # fmt: skip
    told |= _intact(case, floating)
    if case.remount is not None:
        told["remount"] = {
            name: _climbing(case, floating, found, staying, side, way)
            for name, side, way in (
                ("port", case.remount.port, 1.0), ("starboard", case.remount.starboard, -1.0),
            )
        }  # fmt: skip
    if case.flooded is not None:
        told["flooded"] = flooded_report(case, hull, case.flooded, staying)
    return told


def _thing(one: CaseThing, found: Fates) -> Row:
    line = found.lines.get(one.name)
    return {
        "name": one.name,
        "fate": found.of[one.name],
        "line_load_kg": None if line is None else line.load_kg,
        "parts": None if line is None else line.parts,
    }


def _tied(things: Sequence[CaseThing]) -> list[tuple[str, tuple[float, float, float], float]]:
    return [
        (one.name, one.held.from_m, one.held.length_m)
        for one in things
        if one.held.by == "tied" and one.held.from_m is not None and one.held.length_m is not None
    ]


def _lines(case: CapsizeCase, hull: Hull) -> list[Row]:
    rows = []
    for zone in case.zones:
        for name, start, length in _tied(case.things):
            way = path_m(hull, start, zone)
            rows.append((name, zone.name, way, way <= length))
        for run in case.runs:
            way = run_m(run, zone)
            rows.append((run.name, zone.name, way, way <= run.slack_m + _TOUCHES_M))
    return [
        {"line": line, "zone": zone, "path_m": way, "reaches": reaches}
        for line, zone, way, reaches in rows
    ]


def _schools(case: CapsizeCase) -> dict[str, list[CaseThing]]:
    """As it is; all that is loose tied where it lies; only what is vital or dear."""
    rule = case.schools

    def tied(one: CaseThing) -> CaseThing:
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
        "as it is": list(case.things),
        "tie everything": [tied(one) for one in case.things],
        "few lines": [freed(one) for one in case.things],
    }


@dataclass(frozen=True, eq=False)
class _School:
    """One way to tie things: what it loses, and what may tangle."""

    case: CapsizeCase
    hull: Hull
    things: list[CaseThing]

    def told(self) -> Row:
        """As it goes out."""
        of = fates(self.things, self.case.water_density_kg_m3, self.case.schools.jerk).of
        price = {one.name: one.price for one in self.things}
        lost = sorted(name for name, fate in of.items() if fate == "sinks")
        adrift = sorted(name for name, fate in of.items() if fate == "floats off")
        legs = [zone for zone in self.case.zones if zone.kind == "legs"]
        tied = _tied(self.things)
        reach = [
            (start, length) for _, start, length in tied
            if any(path_m(self.hull, start, zone) <= length for zone in legs)
        ]  # fmt: skip
        runs = sum(
            any(run_m(run, zone) <= run.slack_m + _TOUCHES_M for zone in legs)
            for run in self.case.runs
        )
        return {
            "lost": lost,
            "adrift": adrift,
            "lost_price": sum(price[name] or 0.0 for name in lost),
            "adrift_price": sum(price[name] or 0.0 for name in adrift),
            "unpriced": sorted(name for name in (*lost, *adrift) if price[name] is None),
            "lines": len(tied) + len(self.case.runs),
            "lines_in_legs": len(reach) + runs,
            "crossings": sum(
                dist(one, other) <= long + longer
                for (one, long), (other, longer) in combinations(reach, 2)
            ),
        }


def _intact(case: CapsizeCase, floating: FloatingHull) -> Row:
    body = case.angler
    loads = bare_loads(case.loads).plus(
        (body.mass_kg, body.x_m, body.y_m, body.z_m),
        *((one.mass_kg, one.x_m, one.y_m, one.z_m) for one in case.things),
    )
    settled = hydrostatics.settle(floating, loads, case.water_density_kg_m3)
    rest, hull = settled.rest, floating.hull
    holes = np.array([(one.x_m, one.y_m, one.z_m) for one in case.holes]).reshape(-1, 3)
    depths = (-rest.height_over_water_m(holes)[0]).tolist()
    return {
        "intact": {
            "total_kg": loads.total_kg,
            "list_deg": degrees(float(rest.heel_rad[0])),
            "trim_deg": degrees(float(rest.trim_rad[0])),
            "draft_mid_m": hydrostatics.drafts_m(hull, rest)[1],
            "freeboard_m": float(rest.height_over_water_m(hull.sheer_points_m)[0].min()),
            "gm_m": hydrostatics.upright(settled).gm_m,
        },
        "holes": [
            {
                "name": one.name,
                "depth_m": depth,
                "litres_min": 60000 * _ORIFICE * pi / 4 * one.diameter_m**2
                * sqrt(2 * GRAVITY_M_S2 * max(0.0, depth)),
            }
            for one, depth in zip(case.holes, depths, strict=True)
        ],
    }  # fmt: skip


def _climbing(
    case: CapsizeCase, floating: FloatingHull, found: Fates, staying: Sequence[CaseThing],
    side: Side, way: float,
) -> Row:  # fmt: skip
    assert case.remount is not None, "asked for"
    hull, x = floating.hull, case.remount.x_m
    half, height = hull.gunwale_m(x)
    point = (x, way * half, height)
    yours = case.angler.mass_kg + sum(
        one.mass_kg for one in case.things if found.of[one.name] == "with you"
    )
    loads = bare_loads(case.loads).plus(
        *((one.mass_kg, one.x_m, one.y_m, one.z_m) for one in staying)
    )
    if case.remount.share > 0:
        loads = loads.plus((case.remount.share * yours, *point))
    blocked = sorted(one.name for one in staying if one.held.by != "shut" and _overlaps(one, side))
    told: Row = {"blocked_by": blocked, "heel_deg": None, "climb_m": None}
    try:
        rest = hydrostatics.settle(floating, loads, case.water_density_kg_m3).rest
    except (DoesNotFloat, NoBalance):
        return told
    over = float(rest.height_over_water_m(np.array([point]))[0, 0])
    return told | {"heel_deg": degrees(float(rest.heel_rad[0])), "climb_m": over}


def _overlaps(one: CaseThing, side: Side) -> bool:
    at = (one.x_m, one.y_m, one.z_m)
    return all(
        middle - size / 2 < hi and middle + size / 2 > lo
        for middle, size, lo, hi in zip(at, one.size_m, side.lo_m, side.hi_m, strict=True)
    )


def _wrong(case: CapsizeCase) -> Iterator[InputError]:
    names = {one.name for one in case.things}
    seen: set[str] = set()
    for i, one in enumerate(case.things):
        at, held = f"things[{i}]", one.held
        if one.name in seen:
            yield InputError(f"{at}.name", one.name, "is there twice")
        seen.add(one.name)
        body = held.by == "tied" and held.to == "body"
        if held.to is not None and held.to not in names and not body:
            yield InputError(f"{at}.held.to", held.to, "is no thing of the case")
        if held.by == "shut" and held.to is None:
            yield InputError(f"{at}.held.to", None, "is missing: what it is shut in")
        if held.by == "tied":
            for name in ("from_m", "length_m"):
                if getattr(held, name) is None:
                    yield InputError(f"{at}.held.{name}", None, "is missing of a line")
        if float(np.prod(one.size_m)) < one.volume_m3 * (1 - 1e-9):
            yield InputError(f"{at}.size_m", list(one.size_m), "is less than its volume")
    yield from _circles(case)
    if case.flooded is not None:
        yield from _gaps(case)


def _circles(case: CapsizeCase) -> Iterator[InputError]:
    to = {one.name: one.held.to for one in case.things if one.held.by in ("fixed", "shut", "tied")}
    for i, one in enumerate(case.things):
        name, path = one.name, {one.name}
        while (above := to.get(name)) is not None:
            if above in path:
                yield InputError(f"things[{i}].held.to", one.held.to, "holds in a circle")
                return
            path.add(above)
            name = above


def _gaps(case: CapsizeCase) -> Iterator[InputError]:
    assert case.flooded is not None, "asked of a flooded one"
    parts = case.flooded.compartments
    stations = [one.x_m for one in case.hull.stations]
    if not parts or not stations:
        return
    bounds = [stations[0], *(one.x_fwd_m for one in parts)]
    for i, (one, before) in enumerate(zip(parts, bounds, strict=False)):
        if abs(one.x_aft_m - before) > 1e-6 or one.x_fwd_m <= one.x_aft_m:
            field = f"flooded.compartments[{i}].x_aft_m"
            yield InputError(field, one.x_aft_m, "must go on where the one before it ends")
            return
    if abs(bounds[-1] - stations[-1]) > 1e-6:
        field = f"flooded.compartments[{len(parts) - 1}].x_fwd_m"
        yield InputError(field, bounds[-1], "must end at the bow")
