"""Hulls of which waves and skin are known."""

import numpy as np

from neat_hull.physics.hull.shape import Hull, Station
from neat_hull.physics.resistance.wet_body import Plane

LONG_M = 4.0
LEVEL = Plane(0.0, 0.0, 0.0)


def wigley(length_m: float = LONG_M, beam: float = 0.1, draft: float = 0.0625,
           stations: int = 81, points: int = 40) -> Hull:  # fmt: skip
    """y = B/2·(1 − (2x/L)²)(1 − (z/T)²), its keel at −T and its sheer at the water."""
    x = np.linspace(-length_m / 2, length_m / 2, stations)
    z = -draft * length_m * np.linspace(1.0, 0.0, points)
    rows = []
    for at in x:
        half = beam * length_m / 2 * (1 - (2 * at / length_m) ** 2)
        y = half * (1 - (z / (draft * length_m)) ** 2)
        rows.append(Station(float(at), np.column_stack((np.maximum(y, 0.0), z))))
    return Hull(tuple(rows), ())


def box(length_m: float, half_m: float, draft_m: float, freeboard_m: float = 0.2) -> Hull:
    """Upright sides and ends."""
    points = np.array([(0.0, -draft_m), (half_m, -draft_m), (half_m, freeboard_m)])
    return Hull(tuple(Station(float(x), points) for x in np.linspace(0, length_m, 9)), ())
