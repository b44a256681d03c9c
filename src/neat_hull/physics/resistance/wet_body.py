"""The part of a hull under a water plane, as a closed body: its skin, length, ends and sections.

Wells do not count: what stands in them goes along. Coordinates in the plane of the water: ζ is the
distance from it, negative under it, ξ the way along it toward the bow.
"""

from dataclasses import dataclass
from functools import cached_property, lru_cache
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.lattice import matched_outlines
from neat_hull.physics.hull.shape import Hull

_LEVEL_GROWTH = 40.0  # the lowest step between planes is so much the first
_DRY_M2 = 1e-9
_LEVEL_M = 1e-9  # an edge that rises by less is level


@dataclass(frozen=True)
class Fineness:
    """How finely a hull is cut: spans along it, each with a section in its middle, and planes."""

    spans: int
    levels: int


FINE = Fineness(64, 56)


@dataclass(frozen=True)
class Plane:
    """The water: s·… as in `physics.water.immersion`, by heel, h and τ."""

    heel_rad: float
    h_m: float
    tau: float

    @property
    def stretch(self) -> float:
        """√(1 + τ²)."""
        return float(np.sqrt(1 + self.tau**2))

    def zeta_m(self, x: Array, y: Array, z: Array) -> Array:
        """ζ of points."""
        e = y * np.sin(self.heel_rad) + z * np.cos(self.heel_rad)
        over: Array = (e + self.tau * x - self.h_m) / self.stretch
        return over

    def along_m(self, x: Array, y: Array, z: Array) -> Array:
        """ξ of points, but for a constant."""
        e = y * np.sin(self.heel_rad) + z * np.cos(self.heel_rad)
        ahead: Array = (x - self.tau * e) / self.stretch
        return ahead

    def across_m(self, y: Array, z: Array) -> Array:
        """s of points: along the water, square to the boat."""
        aside: Array = y * np.cos(self.heel_rad) - z * np.sin(self.heel_rad)
        return aside


@dataclass(frozen=True, eq=False)
class WetBody:
    """What is under the water. Areas in m²; level_m (k,) are depths, from 0 to the lowest point,
    and under_m2 (n, k) the area of each section x_m (n,) under each; spans are (a, middle, b) rows.

    ends_m2 are the wet areas of the first and the last station in their own planes.
    """

    plane: Plane
    wetted_area_m2: float
    wet_length_m: float
    x_m: Array
    level_m: Array
    under_m2: Array
    ends_m2: tuple[float, float]

    @cached_property
    def volume_m3(self) -> float:
        """By Simpson along x."""
        area = self.under_m2[:, 0]
        a, m, b = area[0:-2:2], area[1:-1:2], area[2::2]
        long = self.x_m[2::2] - self.x_m[0:-2:2]
        return float((long * (a + 4 * m + b) / 6).sum())


def wet_body(hull: Hull, plane: Plane, fineness: Fineness = FINE) -> WetBody:
    """Cut the hull by the plane."""
    skin = _skin(hull, fineness.spans)
    area, length = _wetted(skin.corners_m, plane)
    level, under = _areas(skin, plane, fineness.levels)
    ends = float(under[0, 0]), float(under[-1, 0])
    return WetBody(plane, area + sum(ends), length, skin.x_m, level, under, ends)


@dataclass(frozen=True, eq=False)
class _Skin:
    """A hull's lofted skin and deck as triangles (t, 3, 3), and its sections x_m (n,) as rings: the
    edges of each in a row from first (n,) on, with both ends (2, e)."""

    corners_m: Array
    x_m: Array
    first: NDArray[np.intp]
    y_m: Array
    z_m: Array

    @cached_property
    def edge_x_m(self) -> Array:
        """(e,) where the section of each edge stands."""
        counts = np.diff(np.append(self.first, self.y_m.shape[1]))
        return np.repeat(self.x_m, counts)


@lru_cache(maxsize=16)
def _skin(hull: Hull, spans_per_length: int) -> _Skin:
    longest = hull.length_m / spans_per_length
    rings: list[tuple[float, Array]] = []
    triangles: list[Array] = []
    for i, (x0, x1) in enumerate(pairwise(hull.x_m)):
        aft, fwd = matched_outlines(hull, i)
        spans = max(1, int(np.ceil((x1 - x0) / longest - 1e-9)))
        shares = np.linspace(0.0, 1.0, 2 * spans + 1)
        grid = (1 - shares)[:, None, None] * aft + shares[:, None, None] * fwd  # (k, n, 2)
        x = x0 + shares * (x1 - x0)
        triangles += _triangles(x, grid)
        # The outline of a station stands at the end of one interval and the start of the next.
        rings += list(zip(x.tolist(), grid, strict=True))[1 if rings else 0 :]
    edges = []
    for _, half in rings:
        ring = np.concatenate((half[::-1] * np.array([-1.0, 1.0]), half))
        edges.append(np.stack((ring, np.roll(ring, -1, axis=0))))  # (2, e, 2)
    first = np.cumsum([0, *(one.shape[1] for one in edges[:-1])])
    both = np.concatenate(edges, axis=1)
    return _Skin(
        np.concatenate(triangles),
        np.array([x for x, _ in rings]),
        first,
        both[..., 0],
        both[..., 1],
    )


def _triangles(x: Array, grid: Array) -> list[Array]:
    """Both sides of a lofted interval, (k, n, 2) outlines at x (k,), and its deck."""
    y, z = grid[..., 0], grid[..., 1]
    along = np.repeat(x[:, None], grid.shape[1], axis=1)
    patches = [np.stack((along, side * y, z), axis=-1) for side in (1.0, -1.0)]
    edge = np.stack((along[:, -1], y[:, -1], z[:, -1]), axis=-1)
    patches.append(np.stack((edge, edge * np.array([1.0, -1.0, 1.0])), axis=1))
    found = []
    for points in patches:
        a, b, c, d = points[:-1, :-1], points[1:, :-1], points[1:, 1:], points[:-1, 1:]
        for three in ((a, b, c), (a, c, d)):
            found.append(np.stack([corner.reshape(-1, 3) for corner in three], axis=1))
    return found


def _wetted(corners: Array, plane: Plane) -> tuple[float, float]:
    """Area of the skin under the plane, and how long that is along the water."""
    x, y, z = corners[..., 0], corners[..., 1], corners[..., 2]
    zeta, along = plane.zeta_m(x, y, z), plane.along_m(x, y, z)
    cross = np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0])
    area = 0.5 * np.sqrt((cross**2).sum(axis=1))
    wet = zeta < 0
    count = wet.sum(axis=1)
    found = float(area[count == 3].sum())
    reached = [along[wet]]
    for odd, part in ((1, True), (2, False)):
        rows = count == odd
        if not rows.any():
            continue
        # The corner that stands alone: wet where one is, dry where two are.
        alone = (wet[rows] if part else ~wet[rows]).argmax(axis=1)
        n = np.arange(len(alone))
        here = zeta[rows][n, alone]
        shares = [here / (here - zeta[rows][n, (alone + turn) % 3]) for turn in (1, 2)]
        cut = area[rows] * shares[0] * shares[1]
        found += float((cut if part else area[rows] - cut).sum())
        ahead = along[rows]
        for turn, share in zip((1, 2), shares, strict=True):
            reached.append(
                ahead[n, alone] + share * (ahead[n, (alone + turn) % 3] - ahead[n, alone])
            )
    everywhere = np.concatenate(reached)
    return found, float(np.ptp(everywhere)) if len(everywhere) else 0.0


def _areas(skin: _Skin, plane: Plane, levels: int) -> tuple[Array, Array]:
    """Depths (k,), and areas (n, k) of the sections below each, in their own planes.

    ∬ = Σ ∫max(0, c − ζ)·ds over the edges, counter-clockwise, for the plane ζ = c.
    """
    across = plane.across_m(skin.y_m, skin.z_m)
    zeta = plane.zeta_m(skin.edge_x_m, skin.y_m, skin.z_m)
    deepest = max(1e-6, -float(zeta.min()))
    steps = np.geomspace(1.0, _LEVEL_GROWTH, levels - 1)
    depth = deepest * np.append(0.0, np.cumsum(steps) / steps.sum())
    low = zeta.min(axis=0)
    high = np.maximum(zeta.max(axis=0), low + _LEVEL_M)
    over_low = np.maximum(-depth - low[:, None], 0.0)
    over_high = np.maximum(-depth - high[:, None], 0.0)
    part = (over_low - over_high) * (over_low + over_high)
    part *= (np.diff(across, axis=0)[0] * plane.stretch / (2 * (high - low)))[:, None]
    under = np.add.reduceat(part, skin.first, axis=0)
    under[under < _DRY_M2] = 0.0
    return depth, under
