"""Where a trolley's rope runs, taut round the side of the hull from block to block."""

import numpy as np

from neat_hull.model.hold import Trolley
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull

ROPE_OUT_M = 0.01  # of the gunwale, where its blocks hold it


def rope_points(hull: Hull, of: Trolley, count: int) -> Array:
    """(n, 3) m, aft to fwd."""
    way = 1.0 if of.side == "port" else -1.0
    x = np.clip(np.linspace(of.aft_x_m, of.fwd_x_m, count), hull.x_aft_m, hull.x_fwd_m)
    half, height = (np.interp(x, hull.x_m, column) for column in hull.sheer_m.T)
    points: Array = np.column_stack((x, way * (half + ROPE_OUT_M), height + of.over_m))
    return points
