"""The answer to a bare float case, as `neat-hull float` prints it."""

from dataclasses import asdict
from typing import Any

import numpy as np

from neat_hull.errors import InputError
from neat_hull.model.float_case import FloatCase
from neat_hull.physics.hull.shape import Hull, Station, Well, require_hull
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.loads import Loads, require_loads


def float_report(case: FloatCase) -> dict[str, Any]:
    """Equilibrium, upright figures and righting list of a case, in the units of its file.

    Raises InputError naming the field, DoesNotFloat or NoBalance.
    """
    hull, loads, density = _hull(case), _loads(case), case.water_density_kg_m3
    floating = FloatingHull.of(hull)
    settled = hydrostatics.settle(floating, loads, density)
    rest, up = hydrostatics.equilibrium(settled), hydrostatics.upright(settled)
    heels = np.radians(np.array(case.heels_deg, dtype=float))
    curve = hydrostatics.righting_curve(settled, heels)
    edge = hydrostatics.deck_edge_heel_rad(settled, [float(h) for h in heels])
    wells = [
        {
            "name": well.name,
            "scuppers": well.scuppers,
            "flooded": flooded,
            "floor_over_water_m": over,
        }
        for well, flooded, over in zip(
            case.hull.wells, rest.flooded, rest.wells_over_m, strict=True
        )
    ]
    return {
        "name": case.name,
        "equilibrium": _with_degrees(asdict(rest), drop=("flooded", "wells_over_m"))
        | {"waterplane_area_m2": hydrostatics.waterplane_area_m2(settled)},
        "upright": _with_degrees(asdict(up)),
        "righting": [
            {"heel_deg": heel, "gz_m": _number(gz), "trim_deg": _number(np.degrees(trim))}
            for heel, gz, trim in zip(case.heels_deg, curve.gz_m, curve.trim_rad, strict=True)
        ],
        "deck_edge_immersion_deg": None if edge is None else float(np.degrees(edge)),
        "wells": wells,
    }


def _hull(case: FloatCase) -> Hull:
    stations = tuple(Station(s.x_m, np.array(s.points_m, dtype=float)) for s in case.hull.stations)
    wells = tuple(
        Well(
            name=w.name,
            x_aft_m=w.x_aft_m,
            x_fwd_m=w.x_fwd_m,
            half_breadth_m=w.half_breadth_m,
            floor_z_m=w.floor_z_m,
            rim_z_m=w.rim_z_m,
            drains=w.scuppers == "open",
        )
        for w in case.hull.wells
    )
    hull = Hull(stations, wells)
    require_hull(hull)
    if not any(s.points_m[:, 0].any() and np.ptp(s.points_m[:, 1]) > 0 for s in stations):
        raise InputError("hull.stations", None, "the sections enclose nothing: the hull is flat")
    return hull


def _loads(case: FloatCase) -> Loads:
    loads = Loads(
        np.array([load.mass_kg for load in case.loads]),
        np.array([(load.x_m, load.y_m, load.z_m) for load in case.loads]),
    )
    require_loads(loads)
    return loads


def _with_degrees(figures: dict[str, Any], drop: tuple[str, ...] = ()) -> dict[str, Any]:
    """Angles leave the core here: `_rad` becomes `_deg`."""
    return {
        name.replace("_rad", "_deg"): float(np.degrees(value)) if name.endswith("_rad") else value
        for name, value in figures.items()
        if name not in drop
    }


def _number(value: float) -> float | None:
    return float(value) if np.isfinite(value) else None
