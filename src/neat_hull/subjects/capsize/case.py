"""What a bare case comes to: `neat-hull capsize`."""

from collections.abc import Iterator
from dataclasses import asdict
from math import degrees
from typing import Any

import numpy as np

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.capsize_case import CapsizeCase, CaseThing
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.rig.bare import bare_hull, bare_loads
from neat_hull.subjects.capsize.climbing import climb, cutters, hole_l_min
from neat_hull.subjects.capsize.fates import Fates
from neat_hull.subjects.capsize.flooding import flooded
from neat_hull.subjects.capsize.schools import line_ways, school, ways
from neat_hull.subjects.capsize.upset import Upset

Row = dict[str, Any]


def capsize_report(case: CapsizeCase) -> Row:
    """All that the case comes to. Raises InputErrors, or DoesNotFloat and NoBalance of the boat
    right side up."""
    wrong = list(_wrong(case))
    if wrong:
        raise InputErrors(wrong)
    of = Upset(
        FloatingHull.of(bare_hull(case.hull)),
        bare_loads(case.loads),
        case.water_density_kg_m3,
        case.angler,
        case.things,
        case.zones,
        case.runs,
        case.schools,
    )
    found = of.fates()
    told = {
        "things": [_thing(one, found) for one in case.things],
        "lines": [asdict(one) for one in line_ways(of)],
        "schools": {
            name: asdict(school(of, things))
            for name, things in ways(case.things, case.schools).items()
        },
    }
    if case.hands is not None:
        port, starboard = case.hands.port, case.hands.starboard
        told["knife"] = {"port": cutters(of, port), "starboard": cutters(of, starboard)}
    told |= _intact(case, of)
    into = case.remount
    if into is not None:
        told["remount"] = {
            "port": asdict(climb(of, found, into, into.port, 1.0)),
            "starboard": asdict(climb(of, found, into, into.starboard, -1.0)),
        }
    if case.flooded is not None:
        told["flooded"] = asdict(flooded(of, case.flooded, of.staying(found), case.heels_deg))
    return told


def _thing(one: CaseThing, found: Fates) -> Row:
    line = found.lines.get(one.name)
    return {
        "name": one.name,
        "fate": found.of[one.name],
        "line_load_kg": None if line is None else line.load_kg,
        "parts": None if line is None else line.parts,
    }


def _intact(case: CapsizeCase, of: Upset) -> Row:
    body, hull = of.angler, of.hull
    loads = of.loads_with(of.things, (body.mass_kg, body.x_m, body.y_m, body.z_m))
    settled = hydrostatics.settle(of.floating, loads, of.density_kg_m3)
    rest = settled.rest
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
                "litres_min": hole_l_min(one.diameter_m, depth),
            }
            for one, depth in zip(case.holes, depths, strict=True)
        ],
    }


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
