"""Bare cases made ready for physics: a hull from stations, loads from rows."""

from collections.abc import Sequence

import numpy as np

from neat_hull.errors import InputError
from neat_hull.model.float_case import CaseHull, CaseLoad
from neat_hull.physics.hull.shape import Hull, Station, Well, require_hull
from neat_hull.physics.water.loads import Loads, require_loads


def bare_hull(case: CaseHull) -> Hull:
    """Raises InputError for a hull that means nothing."""
    stations = tuple(Station(s.x_m, np.array(s.points_m, dtype=float)) for s in case.stations)
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
        for w in case.wells
    )
    hull = Hull(stations, wells)
    require_hull(hull)
    if not any(s.points_m[:, 0].any() and np.ptp(s.points_m[:, 1]) > 0 for s in stations):
        raise InputError("hull.stations", None, "the sections enclose nothing: the hull is flat")
    return hull


def bare_loads(case: Sequence[CaseLoad]) -> Loads:
    """Raises InputError for loads that mean nothing."""
    loads = Loads(
        np.array([load.mass_kg for load in case]),
        np.array([(load.x_m, load.y_m, load.z_m) for load in case]),
    )
    require_loads(loads)
    return loads
