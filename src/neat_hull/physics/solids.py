"""Room that things and limbs take up: boxes turned any way, with rounded edges, and gaps between.

A rod or limb is a box of no thickness with a radius. The gap between two is found as the nearest
points of two boxes, a convex problem of six bounded variables, for many pairs at once.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array

_ROUNDS = 200  # at the most; nearly all pairs are done in a tenth of them
_DONE_M = 2e-5  # nearest points that move less from one round to the next have arrived


@dataclass(frozen=True, eq=False)
class Solids:
    """Rounded boxes: middle_m (n, 3), axes (n, 3, 3) row by row, half_m (n, 3), radius_m (n,)."""

    middle_m: Array
    axes: Array
    half_m: Array
    radius_m: Array

    def __len__(self) -> int:
        return len(self.radius_m)

    def take(self, rows: NDArray[np.intp]) -> "Solids":
        """Return some of them, in that order."""
        return Solids(self.middle_m[rows], self.axes[rows], self.half_m[rows], self.radius_m[rows])

    @property
    def reach_m(self) -> Array:
        """(n,) m: from the middle to the farthest corner."""
        far: Array = np.sqrt(np.einsum("ij,ij->i", self.half_m, self.half_m)) + self.radius_m
        return far


@dataclass(frozen=True, eq=False)
class Gaps:
    """For m pairs: gap_m (m,), negative by how far they are into each other, and away (m, 3).

    `away` is the unit way in which the first goes to get clear of the second, here_m and there_m
    (m, 3) the nearest points of the two.
    """

    gap_m: Array
    away: Array
    here_m: Array
    there_m: Array


def together(*groups: Solids) -> Solids:
    """All of several groups, one after the other."""
    return Solids(
        np.concatenate([g.middle_m for g in groups]),
        np.concatenate([g.axes for g in groups]),
        np.concatenate([g.half_m for g in groups]),
        np.concatenate([g.radius_m for g in groups]),
    )


def boxes(middle_m: Array, size_m: Array, turn_rad: Array) -> Solids:
    """Upright boxes (n, 3), (n, 3), turned in plan by turn_rad (n,) from the bow toward port."""
    n, cos, sin = len(turn_rad), np.cos(turn_rad), np.sin(turn_rad)
    axes = np.zeros((n, 3, 3))
    axes[:, 0, 0], axes[:, 0, 1] = cos, sin
    axes[:, 1, 0], axes[:, 1, 1] = -sin, cos
    axes[:, 2, 2] = 1.0
    return Solids(middle_m, axes, size_m / 2, np.zeros(n))


def rods(from_m: Array, to_m: Array, radius_m: Array) -> Solids:
    """Straight round rods between points (n, 3), with ends rounded by radius_m (n,)."""
    along = to_m - from_m
    length = np.sqrt(np.einsum("ij,ij->i", along, along))
    first = along / np.maximum(length, 1e-9)[:, None]
    # Any two more axes will do, for a rod has no thickness along them.
    least = np.abs(first).argmin(axis=1)
    second = np.cross(first, np.eye(3)[least])
    second /= np.maximum(np.sqrt(np.einsum("ij,ij->i", second, second)), 1e-9)[:, None]
    axes = np.stack((first, second, np.cross(first, second)), axis=1)
    half = np.zeros_like(from_m)
    half[:, 0] = length / 2
    return Solids((from_m + to_m) / 2, axes, half, radius_m)


def gaps(a: Solids, b: Solids) -> Gaps:
    """Gap of each of `a` to the one of `b` in the same row."""
    here, there = _nearest(a, b)
    way = here - there
    apart = np.sqrt(np.einsum("ij,ij->i", way, way))
    gap = apart - a.radius_m - b.radius_m
    away = way / np.maximum(apart, 1e-9)[:, None]
    into = np.flatnonzero(apart < 1e-4)
    if len(into):
        depth, out = _way_out(a.take(into), b.take(into))
        gap[into] = -depth - a.radius_m[into] - b.radius_m[into]
        away[into] = out
    skin_a, skin_b = np.minimum(a.radius_m, apart), np.minimum(b.radius_m, apart)
    return Gaps(gap, away, here - away * skin_a[:, None], there + away * skin_b[:, None])


def near_pairs(a: Solids, b: Solids, within_m: float) -> tuple[NDArray[np.intp], NDArray[np.intp]]:
    """Rows of `a` and of `b` whose bounding balls come within `within_m` of each other."""
    apart = a.middle_m[:, None, :] - b.middle_m[None, :, :]
    square = np.einsum("ijk,ijk->ij", apart, apart)
    far = a.reach_m[:, None] + b.reach_m[None, :] + within_m
    rows, columns = np.nonzero(square <= far**2)
    return rows, columns


def _nearest(a: Solids, b: Solids) -> tuple[Array, Array]:
    """Nearest points (m, 3) of the boxes, radii left out: accelerated projected gradient.

    Minimises |p - q|² over the two boxes' own coordinates (Beck and Teboulle, 2009, with the
    restart of O'Donoghue and Candès, 2015).
    """
    m = len(a)
    between = b.middle_m - a.middle_m
    # In own coordinates: p = A'u + ma and q = B'v + mb, so that p - q = A'u - B'v - between.
    u, v = np.zeros((m, 3)), np.zeros((m, 3))
    u_step, v_step, momentum = u, v, np.ones(m)
    left = np.arange(m)
    out_u, out_v = u.copy(), v.copy()
    axes_a, axes_b, half_a, half_b = a.axes, b.axes, a.half_m, b.half_m
    for _ in range(_ROUNDS):
        way = (
            np.einsum("ijk,ij->ik", axes_a, u_step)
            - np.einsum("ijk,ij->ik", axes_b, v_step)
            - between
        )
        new_u = np.clip(u_step - 0.5 * np.einsum("ijk,ik->ij", axes_a, way), -half_a, half_a)
        new_v = np.clip(v_step + 0.5 * np.einsum("ijk,ik->ij", axes_b, way), -half_b, half_b)
        du, dv = new_u - u, new_v - v
        back = np.einsum("ij,ij->i", u_step - new_u, du) + np.einsum("ij,ij->i", v_step - new_v, dv)
        momentum = np.where(back > 0, 1.0, momentum)
        following = (1 + np.sqrt(1 + 4 * momentum**2)) / 2
        push = np.where(back > 0, 0.0, (momentum - 1) / following)[:, None]
        u_step, v_step = new_u + push * du, new_v + push * dv
        momentum, u, v = following, new_u, new_v
        going = np.maximum(np.abs(du).max(axis=1), np.abs(dv).max(axis=1)) > _DONE_M
        if going.all():
            continue
        out_u[left[~going]], out_v[left[~going]] = u[~going], v[~going]
        left, u, v, u_step, v_step, momentum, between = (
            rows[going] for rows in (left, u, v, u_step, v_step, momentum, between)
        )
        axes_a, axes_b, half_a, half_b = (rows[going] for rows in (axes_a, axes_b, half_a, half_b))
        if len(left) == 0:
            break
    out_u[left], out_v[left] = u, v
    here = a.middle_m + np.einsum("ijk,ij->ik", a.axes, out_u)
    there = b.middle_m + np.einsum("ijk,ij->ik", b.axes, out_v)
    return here, there


def _way_out(a: Solids, b: Solids) -> tuple[Array, Array]:
    """How deep boxes are in each other (m,), and the unit way out of `a` from `b` (m, 3).

    The least overlap along the six face normals and the nine products of edges: the separating
    axes of two boxes (Gottschalk, Lin and Manocha, 1996).
    """
    m = len(a)
    crossed = np.cross(a.axes[:, :, None, :], b.axes[:, None, :, :]).reshape(m, 9, 3)
    axes = np.concatenate((a.axes, b.axes, crossed), axis=1)
    size = np.sqrt(np.einsum("ijk,ijk->ij", axes, axes))
    axes = axes / np.maximum(size, 1e-9)[:, :, None]
    reach_a = np.einsum("ijl,il->ij", np.abs(np.einsum("ijk,ilk->ijl", axes, a.axes)), a.half_m)
    reach_b = np.einsum("ijl,il->ij", np.abs(np.einsum("ijk,ilk->ijl", axes, b.axes)), b.half_m)
    apart = np.einsum("ijk,ik->ij", axes, a.middle_m - b.middle_m)
    depth = np.where(size > 1e-6, reach_a + reach_b - np.abs(apart), np.inf)
    best = depth.argmin(axis=1)
    rows = np.arange(m)
    sign = np.where(apart[rows, best] >= 0, 1.0, -1.0)
    return np.maximum(depth[rows, best], 0.0), axes[rows, best] * sign[:, None]
