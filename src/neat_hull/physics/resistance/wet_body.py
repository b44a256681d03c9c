"""The part of a hull under a water plane, as a closed body: its skin, length, ends and sections.

Wells do not count: what stands in them goes along. Coordinates in the plane of the water: ζ is the
distance from it, negative under it, ξ the way along it toward the bow.
"""

from dataclasses import dataclass
from functools import cached_property
from itertools import pairwise

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.lattice import matched_outlines
from neat_hull.physics.hull.shape import Hull

_SPANS_PER_LENGTH = 64
_LEVELS, _LEVEL_GROWTH = 56, 40.0  # planes below the water, the lowest step so much the first
_DRY_M2 = 1e-9


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


def wet_body(hull: Hull, plane: Plane) -> WetBody:
    """Cut the hull by the plane."""
    surface = _Surface(plane)
    rings: list[tuple[float, Array]] = []
    longest = hull.length_m / _SPANS_PER_LENGTH
    for i, (x0, x1) in enumerate(pairwise(hull.x_m)):
        aft, fwd = matched_outlines(hull, i)
        spans = max(1, int(np.ceil((x1 - x0) / longest - 1e-9)))
        shares = np.linspace(0.0, 1.0, 2 * spans + 1)
        grid = (1 - shares)[:, None, None] * aft + shares[:, None, None] * fwd  # (k, n, 2)
        x = x0 + shares * (x1 - x0)
        surface.add(x, grid)
        rings += list(zip(x.tolist(), grid, strict=True))
    # The outline of a station stands at the end of one interval and the start of the next.
    kept = [row for n, row in enumerate(rings) if n == 0 or row[0] > rings[n - 1][0]]
    x_m = np.array([x for x, _ in kept])
    level, under = _areas(kept, plane)
    ends = float(under[0, 0]), float(under[-1, 0])
    return WetBody(plane, surface.area_m2 + sum(ends), surface.length_m, x_m, level, under, ends)


class _Surface:
    """Area and extent of the lofted skin under the plane, and of the deck."""

    def __init__(self, plane: Plane) -> None:
        self.plane = plane
        self.area_m2 = 0.0
        self._least, self._most = np.inf, -np.inf

    @property
    def length_m(self) -> float:
        return float(max(0.0, self._most - self._least))

    def add(self, x: Array, grid: Array) -> None:
        """Both sides of a lofted interval, (k, n, 2) outlines at x (k,), and its deck."""
        y, z = grid[..., 0], grid[..., 1]
        along = np.repeat(x[:, None], grid.shape[1], axis=1)
        for side in (1.0, -1.0):
            self._patch(np.stack((along, side * y, z), axis=-1))
        edge = np.stack((along[:, -1], y[:, -1], z[:, -1]), axis=-1)
        self._patch(np.stack((edge, edge * np.array([1.0, -1.0, 1.0])), axis=1))

    def _patch(self, points: Array) -> None:
        a, b, c, d = points[:-1, :-1], points[1:, :-1], points[1:, 1:], points[:-1, 1:]
        for three in ((a, b, c), (a, c, d)):
            self._triangles(np.stack([corner.reshape(-1, 3) for corner in three], axis=1))

    def _triangles(self, corners: Array) -> None:
        plane = self.plane
        x, y, z = corners[..., 0], corners[..., 1], corners[..., 2]
        zeta, along = plane.zeta_m(x, y, z), plane.along_m(x, y, z)
        cross = np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0])
        area = 0.5 * np.sqrt((cross**2).sum(axis=1))
        wet = zeta < 0
        count = wet.sum(axis=1)
        self.area_m2 += float(area[count == 3].sum())
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
            self.area_m2 += float((cut if part else area[rows] - cut).sum())
            ahead = along[rows]
            for turn, share in zip((1, 2), shares, strict=True):
                at = ahead[n, alone] + share * (ahead[n, (alone + turn) % 3] - ahead[n, alone])
                self._reach(at)
        if wet.any():
            self._reach(along[wet])

    def _reach(self, along: Array) -> None:
        self._least = min(self._least, float(along.min()))
        self._most = max(self._most, float(along.max()))


def _areas(rings: list[tuple[float, Array]], plane: Plane) -> tuple[Array, Array]:
    """Depths (k,), and areas (n, k) of the sections below each, in their own planes.

    ∬ = Σ ∫(c − ζ)·ds over the edges under the plane ζ = c, counter-clockwise.
    """
    at, s0, s1, z0, z1 = [], [], [], [], []
    for n, (x, half) in enumerate(rings):
        ring = np.concatenate((half[::-1] * np.array([-1.0, 1.0]), half))
        y, z = ring.T
        across, zeta = plane.across_m(y, z), plane.zeta_m(np.full(len(y), x), y, z)
        s0.append(across)
        s1.append(np.roll(across, -1))
        z0.append(zeta)
        z1.append(np.roll(zeta, -1))
        at.append(np.full(len(y), n))
    row, a, b, low, high = (np.concatenate(part) for part in (at, s0, s1, z0, z1))
    deepest = max(1e-6, -float(low.min()))
    steps = np.geomspace(1.0, _LEVEL_GROWTH, _LEVELS - 1)
    depth = deepest * np.append(0.0, np.cumsum(steps) / steps.sum())
    under = np.zeros((len(rings), _LEVELS))
    for k, down in enumerate(depth):
        c = -down
        # Of each edge the part under ζ = c: from share t0 to t1 of it.
        rise = high - low
        flat = np.abs(rise) < 1e-15
        t = np.clip(np.where(flat, 0.0, (c - low) / np.where(flat, 1.0, rise)), 0.0, 1.0)
        t0 = np.where(low <= c, 0.0, np.where(high <= c, t, 1.0))
        t1 = np.where(low <= c, np.where(high <= c, 1.0, t), np.where(high <= c, 1.0, 1.0))
        mean = low + rise * (t0 + t1) / 2
        part = (c - mean) * (b - a) * (t1 - t0)
        under[:, k] = np.bincount(row, part, minlength=len(rings)) * plane.stretch
    under[under < _DRY_M2] = 0.0
    return depth, under
