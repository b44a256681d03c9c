"""How broad a hull is at a height: whether a point lies within its outline."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.shape import Hull

_HEIGHTS = 48


@dataclass(frozen=True, eq=False)
class Breadths:
    """Half-breadths (n, k) at stations x_m (n,) and heights z_m (k,), nothing over the sheer."""

    x_m: Array
    z_m: Array
    half_m: Array

    def within(self, x: Array, y: Array, z: Array) -> Flags:
        """Whether points lie in the hull, in a well as well."""
        i, u = _cell(self.x_m, x)
        k, v = _cell(self.z_m, z)
        half = (1 - u) * ((1 - v) * self.half_m[i, k] + v * self.half_m[i, k + 1]) + u * (
            (1 - v) * self.half_m[i + 1, k] + v * self.half_m[i + 1, k + 1]
        )
        there = (x >= self.x_m[0]) & (x <= self.x_m[-1]) & (z >= self.z_m[0]) & (z <= self.z_m[-1])
        found: Flags = there & (np.abs(y) < half)
        return found


def _cell(at: Array, x: Array) -> tuple[NDArray[np.intp], Array]:
    n = np.clip(np.searchsorted(at, x, side="right") - 1, 0, len(at) - 2)
    return n, np.clip((x - at[n]) / (at[n + 1] - at[n]), 0.0, 1.0)


@lru_cache(maxsize=12)
def breadths(hull: Hull) -> Breadths:
    """Of a hull, kept."""
    z = np.linspace(float(hull.keel_z_m.min()), float(hull.sheer_m[:, 1].max()), _HEIGHTS)
    rows = []
    for station in hull.stations:
        y, height = station.points_m.T
        # A tunnel's roof lies over its ridges: the outside is the broadest at a height.
        order = np.argsort(height, kind="stable")
        broad = np.interp(z, height[order], np.maximum.accumulate(y[order]))
        rows.append(np.where((z < height.min()) | (z > station.points_m[-1, 1]), 0.0, broad))
    return Breadths(hull.x_m, z, np.array(rows))
