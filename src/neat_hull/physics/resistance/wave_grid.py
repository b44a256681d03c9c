"""What a hull's wet body and waves are at any draft and trim, between attitudes worked out once.

Michell's integral takes milliseconds, and attitudes change with every hand that drags a crate. So
a hull keeps its skin, length, transom and waves at nodes of draft and trim; between them they are
taken as straight, waves over the square of the volume, which is how they go. List is left out:
five degrees of it change waves by less than two per cent.
"""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.resistance.waves import Quadrature, waves_n
from neat_hull.physics.resistance.wet_body import Fineness, Plane, wet_body
from neat_hull.physics.water.gravity import GRAVITY_M_S2

COARSE = Fineness(16, 22)
QUICK = Quadrature(10.0, 6.0, 5, sunk=16.0, least=3.5)
_DRAFT_M, _TAU = 0.01, float(np.tan(np.radians(1.0)))
# Humps of waves lie evenly in 1/Fn², 2π apart: three or more of these to each of them.
_SLOWEST = 0.15
_FROUDE = 1 / np.sqrt(
    np.concatenate((np.arange(_SLOWEST**-2, 8.0, -2.0), np.geomspace(7.5, 1.38, 7)))
)
_MOST_NODES = 4000


@dataclass(frozen=True, eq=False)
class Slip:
    """A hull in the water: skin in m², length in m, transom in m², volume in m³; waves_at knows the
    resistance of its waves over ρU²V²."""

    wetted_area_m2: float
    wet_length_m: float
    transom_m2: float
    volume_m3: float
    speed_m_s: Array
    pieces: Array

    def waves_n(self, speed_m_s: Array, density_kg_m3: float) -> Array:
        """(n,) N. Slower than was worked out it falls as the sixth power; faster it stays."""
        least, most = self.speed_m_s[0], self.speed_m_s[-1]
        at = np.clip(speed_m_s, least, most)
        n = np.clip(
            np.searchsorted(self.speed_m_s, at, side="right") - 1, 0, len(self.pieces[0]) - 1
        )
        t = at - self.speed_m_s[n]
        a, b, c, d = self.pieces
        per = np.maximum(0.0, ((a[n] * t + b[n]) * t + c[n]) * t + d[n])
        slow = np.minimum(1.0, speed_m_s / least) ** 6
        found: Array = density_kg_m3 * per * (at * self.volume_m3) ** 2 * slow
        return found


class WaveGrid:
    """Nodes of one hull, worked out when they are first asked for."""

    def __init__(self, hull: Hull) -> None:
        self.hull = hull
        self.speed_m_s: Array = _FROUDE * np.sqrt(GRAVITY_M_S2 * hull.length_m)
        self.middle_m = hull.x_aft_m + hull.length_m / 2
        self._nodes: dict[tuple[int, int], Array] = {}

    def at(self, draft_m: float, tau: float) -> Slip:
        """By how high the water stands over the base line amidships, and τ, its fall per metre
        toward the bow."""
        deep, fall = draft_m / _DRAFT_M, tau / _TAU
        i, j = int(np.floor(deep)), int(np.floor(fall))
        u, v = deep - i, fall - j
        if len(self._nodes) > _MOST_NODES:
            self._nodes.clear()
        blend = (
            (1 - u) * (1 - v) * self._node(i, j)
            + u * (1 - v) * self._node(i + 1, j)
            + (1 - u) * v * self._node(i, j + 1)
            + u * v * self._node(i + 1, j + 1)
        )
        area, length, transom, volume = blend[:4].tolist()
        pieces = blend[4:].reshape(4, -1)
        return Slip(area, length, transom, volume, self.speed_m_s, pieces)

    def _node(self, i: int, j: int) -> Array:
        if (i, j) not in self._nodes:
            self._nodes[i, j] = self._worked_out(i * _DRAFT_M, j * _TAU)
        return self._nodes[i, j]

    def _worked_out(self, draft_m: float, tau: float) -> Array:
        body = wet_body(self.hull, Plane(0.0, draft_m + tau * self.middle_m, tau), COARSE)
        volume = max(body.volume_m3, 1e-6)
        waves = waves_n(body, self.speed_m_s, 1.0, QUICK) / (self.speed_m_s * volume) ** 2
        pieces = scipy.interpolate.CubicSpline(self.speed_m_s, waves).c
        sizes = [body.wetted_area_m2, body.wet_length_m, body.ends_m2[0], body.volume_m3]
        return np.concatenate((sizes, pieces.ravel()))


@lru_cache(maxsize=12)
def wave_grid(hull: Hull) -> WaveGrid:
    """The grid of a hull, kept."""
    return WaveGrid(hull)
