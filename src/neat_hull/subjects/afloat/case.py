"""The answer to a bare float case, as `neat-hull float` prints it."""

from dataclasses import asdict
from typing import Any

import numpy as np

from neat_hull.model.float_case import FloatCase
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.rig.bare import bare_hull, bare_loads


def float_report(case: FloatCase) -> dict[str, Any]:
    """Equilibrium, upright figures and righting list of a case, in the units of its file.

    Raises InputError naming the field, DoesNotFloat or NoBalance.
    """
    hull, loads = bare_hull(case.hull), bare_loads(case.loads)
    density = case.water_density_kg_m3
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


def _with_degrees(figures: dict[str, Any], drop: tuple[str, ...] = ()) -> dict[str, Any]:
    """Angles leave the core here: `_rad` becomes `_deg`."""
    return {
        name.replace("_rad", "_deg"): float(np.degrees(value)) if name.endswith("_rad") else value
        for name, value in figures.items()
        if name not in drop
    }


def _number(value: float) -> float | None:
    return float(value) if np.isfinite(value) else None
