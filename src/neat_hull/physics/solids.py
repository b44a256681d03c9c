"""Room that things and limbs take up: boxes turned any way, with rounded edges.

A rod or limb is a box of no thickness with a radius; a drum is a box whose first two axes span a
disc.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags

_YZX, _ZXY = np.array([1, 2, 0]), np.array([2, 0, 1])


@dataclass(frozen=True, eq=False)
class Solids:
    """Rounded boxes: middle_m (n, 3), axes (n, 3, 3) row by row, half_m (n, 3), radius_m (n,).

    round_ (n,) are drums: half_m is the radius of the disc twice, then half the height.
    """

    middle_m: Array
    axes: Array
    half_m: Array
    radius_m: Array
    round_: Flags

    def __len__(self) -> int:
        return len(self.radius_m)

    def take(self, rows: NDArray[np.intp]) -> "Solids":
        """Return some of them, in that order."""
        return Solids(
            self.middle_m[rows],
            self.axes[rows],
            self.half_m[rows],
            self.radius_m[rows],
            self.round_[rows],
        )

    @property
    def spread_m(self) -> Array:
        """(n, 3) m: half of the upright box about each, with corners where a drum has none."""
        spread: Array = np.einsum("nij,ni->nj", np.abs(self.axes), self.half_m)
        return spread + self.radius_m[:, None]


def together(*groups: Solids) -> Solids:
    """All of several groups, one after the other."""
    return Solids(
        np.concatenate([g.middle_m for g in groups]),
        np.concatenate([g.axes for g in groups]),
        np.concatenate([g.half_m for g in groups]),
        np.concatenate([g.radius_m for g in groups]),
        np.concatenate([g.round_ for g in groups]),
    )


def boxes(middle_m: Array, size_m: Array, turn_rad: Array, round_: Flags | None = None) -> Solids:
    """Upright boxes (n, 3), (n, 3), turned in plan by turn_rad (n,) from the bow toward port.

    Of those that are round_ (n,), drums, the length is the diameter.
    """
    n, cos, sin = len(turn_rad), np.cos(turn_rad), np.sin(turn_rad)
    axes = np.zeros((n, 3, 3))
    axes[:, 0, 0], axes[:, 0, 1] = cos, sin
    axes[:, 1, 0], axes[:, 1, 1] = -sin, cos
    axes[:, 2, 2] = 1.0
    half = size_m / 2
    if round_ is None:
        round_ = np.zeros(n, dtype=np.bool_)
    else:
        half[round_, 1] = half[round_, 0]
    return Solids(middle_m, axes, half, np.zeros(n), round_)


def rods(from_m: Array, to_m: Array, radius_m: Array) -> Solids:
    """Straight round rods between points (n, 3), with ends rounded by radius_m (n,)."""
    along = to_m - from_m
    length = np.sqrt(np.einsum("ij,ij->i", along, along))
    first = along / np.maximum(length, 1e-9)[:, None]
    first[length < 1e-9] = (1.0, 0.0, 0.0)  # a ball lies any way
    # Any two more axes will do, for a rod has no thickness along them.
    least = np.abs(first).argmin(axis=1)
    second = cross(first, np.eye(3)[least])
    second /= np.maximum(np.sqrt(np.einsum("ij,ij->i", second, second)), 1e-9)[:, None]
    axes = np.stack((first, second, cross(first, second)), axis=1)
    half = np.zeros_like(from_m)
    half[:, 0] = length / 2
    flat = np.zeros(len(half), dtype=np.bool_)
    return Solids((from_m + to_m) / 2, axes, half, radius_m, flat)


def cross(a: Array, b: Array) -> Array:
    """`np.cross` of (…, 3), in a fifth of its time for a few."""
    crossed: Array = a[..., _YZX] * b[..., _ZXY] - a[..., _ZXY] * b[..., _YZX]
    return crossed


def near_pairs(a: Solids, b: Solids, within_m: float) -> tuple[NDArray[np.intp], NDArray[np.intp]]:
    """Rows of `a` and of `b` whose upright bounding boxes come within `within_m` of each other."""
    spread_a, spread_b = a.spread_m + within_m, b.spread_m
    near = np.ones((len(a), len(b)), dtype=np.bool_)
    for axis in range(3):
        apart = np.abs(a.middle_m[:, None, axis] - b.middle_m[None, :, axis])
        near &= apart <= spread_a[:, None, axis] + spread_b[None, :, axis]
    rows, columns = np.nonzero(near)
    return rows, columns


def spans_along(solids: Solids, whose: NDArray[np.intp], ways: Array) -> tuple[Array, Array]:
    """Where owners begin and end along unit ways (k, 3): two of (owners, k) m; whose (n,) counts
    them from 0.

    One that goes along a way by the end of another less its own beginning is clear of it, beyond
    all of it: always enough, seldom too much.
    """
    middle, reach = solids.middle_m @ ways.T, _reach_along(solids, ways)
    count = int(whose.max(initial=-1)) + 1
    begin, end = np.full((count, len(ways)), np.inf), np.full((count, len(ways)), -np.inf)
    np.minimum.at(begin, whose, middle - reach)
    np.maximum.at(end, whose, middle + reach)
    return begin, end


def _reach_along(solids: Solids, ways: Array) -> Array:
    """(n, k) m: from the middle to the farthest point along each way."""
    along = np.einsum("nij,kj->nki", solids.axes, ways)
    return support(solids, along) + solids.radius_m[:, None]


def support(solids: Solids, along: Array) -> Array:
    """(n, k) m: from the middle to the farthest point, radii left out, along unit ways (n, k, 3)
    in the axes of each."""
    size = np.abs(along)
    reach: Array = np.einsum("nki,ni->nk", size, solids.half_m)
    drums = np.flatnonzero(solids.round_)
    if len(drums):
        disc = np.hypot(size[drums, :, 0], size[drums, :, 1]) * solids.half_m[drums, None, 0]
        reach[drums] = disc + size[drums, :, 2] * solids.half_m[drums, None, 2]
    return reach


def within(solids: Solids, own_m: Array) -> Array:
    """(n, 3) m: the point of each nearest to one in its own axes, radii left out."""
    kept: Array = np.clip(own_m, -solids.half_m, solids.half_m)
    drums = np.flatnonzero(solids.round_)
    if len(drums):
        kept[drums, :2] = _in_disc(own_m[drums, :2], solids.half_m[drums, :1])
    return kept


def _in_disc(spot_m: Array, radius_m: Array) -> Array:
    """(n, 2) m: the nearest points of discs about the origin, of radius_m (n, 1)."""
    out = np.sqrt(np.einsum("ij,ij->i", spot_m, spot_m))[:, None]
    kept: Array = spot_m * np.minimum(1.0, radius_m / np.maximum(out, 1e-12))
    return kept
