"""Room that things and limbs take up: boxes turned any way, with rounded edges, and gaps between.

A rod or limb is a box of no thickness with a radius. The gap between two is found as the nearest
points of two boxes: exactly where one is a rod, and else as a convex problem of six bounded
variables, for many pairs at once.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags

_ROUNDS = 3000  # at the most; nearly all pairs are done in thirty
_LOOKS = 4  # rounds between looks at what is done
_DONE_M = 1e-4  # within that of the least distance is near enough
_YZX, _ZXY = np.array([1, 2, 0]), np.array([2, 0, 1])
_TOUCH_M = 1e-3  # boxes parted by less are as good as touching


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
    def spread_m(self) -> Array:
        """(n, 3) m: half of the upright box about each."""
        spread: Array = np.einsum("nij,ni->nj", np.abs(self.axes), self.half_m)
        return spread + self.radius_m[:, None]


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
    first[length < 1e-9] = (1.0, 0.0, 0.0)  # a ball lies any way
    # Any two more axes will do, for a rod has no thickness along them.
    least = np.abs(first).argmin(axis=1)
    second = _cross(first, np.eye(3)[least])
    second /= np.maximum(np.sqrt(np.einsum("ij,ij->i", second, second)), 1e-9)[:, None]
    axes = np.stack((first, second, _cross(first, second)), axis=1)
    half = np.zeros_like(from_m)
    half[:, 0] = length / 2
    return Solids((from_m + to_m) / 2, axes, half, radius_m)


def _cross(a: Array, b: Array) -> Array:
    """`np.cross` of (…, 3), in a fifth of its time for a few."""
    crossed: Array = a[..., _YZX] * b[..., _ZXY] - a[..., _ZXY] * b[..., _YZX]
    return crossed


def gaps(a: Solids, b: Solids) -> Gaps:
    """Gap of each of `a` to the one of `b` in the same row."""
    here, there = _nearest(a, b)
    way = here - there
    apart = np.sqrt(np.einsum("ij,ij->i", way, way))
    gap = apart - a.radius_m - b.radius_m
    away = way / np.maximum(apart, 1e-9)[:, None]
    into = np.flatnonzero(apart < 1e-4)
    if len(into):
        parted, out = _apart(a.take(into), b.take(into))
        gap[into] = np.minimum(parted, 0.0) - a.radius_m[into] - b.radius_m[into]
        away[into] = out
    skin_a, skin_b = np.minimum(a.radius_m, apart), np.minimum(b.radius_m, apart)
    return Gaps(gap, away, here - away * skin_a[:, None], there + away * skin_b[:, None])


def closer(a: Solids, b: Solids, than_m: Array) -> tuple[NDArray[np.intp], Gaps]:
    """Rows of pairs with a gap under than_m (n,), and those gaps.

    The separating axes tell most apart, and how deep others are in each other; only those between
    are left to the minimiser.
    """
    thick = a.radius_m + b.radius_m
    apart, out = _apart(a, b)
    rows = np.flatnonzero(apart - thick < than_m)
    inside, outside = rows[apart[rows] <= _TOUCH_M], rows[apart[rows] > _TOUCH_M]
    found = gaps(a.take(outside), b.take(outside))
    near = found.gap_m < than_m[outside]
    spot = _between(a.take(inside), b.take(inside))
    return np.append(inside, outside[near]), Gaps(
        np.append(apart[inside] - thick[inside], found.gap_m[near]),
        np.concatenate((out[inside], found.away[near])),
        np.concatenate((spot, found.here_m[near])),
        np.concatenate((spot, found.there_m[near])),
    )


def _between(a: Solids, b: Solids) -> Array:
    """(n, 3) m: a point of both where they are into each other, near the middle of what is shared.

    The middle of `b` brought into `a`, and that into `b` again.
    """
    spot = b.middle_m
    for solids in (a, b):
        own = np.einsum("nij,nj->ni", solids.axes, spot - solids.middle_m)
        own = np.clip(own, -solids.half_m, solids.half_m)
        spot = solids.middle_m + np.einsum("nij,ni->nj", solids.axes, own)
    return spot


def near_pairs(a: Solids, b: Solids, within_m: float) -> tuple[NDArray[np.intp], NDArray[np.intp]]:
    """Rows of `a` and of `b` whose upright bounding boxes come within `within_m` of each other."""
    spread_a, spread_b = a.spread_m + within_m, b.spread_m
    near = np.ones((len(a), len(b)), dtype=np.bool_)
    for axis in range(3):
        apart = np.abs(a.middle_m[:, None, axis] - b.middle_m[None, :, axis])
        near &= apart <= spread_a[:, None, axis] + spread_b[None, :, axis]
    rows, columns = np.nonzero(near)
    return rows, columns


def moves_clear(a: Solids, b: Solids, margin_m: Array, ways: Array) -> Array:
    """(n, k) m: how far each of `a` must go along each unit way (k, 3) to stand clear of its `b`.

    Clear by margin_m (n,), beyond the whole of `b` along that way: always enough, seldom too much.
    """
    reach_a, reach_b = _reach_along(a, ways), _reach_along(b, ways)
    apart = (b.middle_m - a.middle_m) @ ways.T
    far: Array = apart + reach_a + reach_b + margin_m[:, None]
    return far


def _reach_along(solids: Solids, ways: Array) -> Array:
    """(n, k) m: from the middle to the farthest point along each way."""
    along = np.abs(np.einsum("nij,kj->nik", solids.axes, ways))
    reach: Array = np.einsum("nik,ni->nk", along, solids.half_m) + solids.radius_m[:, None]
    return reach


def _nearest(a: Solids, b: Solids) -> tuple[Array, Array]:
    """Nearest points (m, 3) of the boxes, radii left out."""
    thin_a, thin_b = (~one.half_m[:, 1:].any(axis=1) for one in (a, b))
    here, there = np.empty(a.middle_m.shape), np.empty(b.middle_m.shape)
    for rows, solve in (
        (thin_a, _nearest_of_rod),
        (thin_b & ~thin_a, lambda one, other: _nearest_of_rod(other, one)[::-1]),
        (~(thin_a | thin_b), _nearest_of_boxes),
    ):
        at = np.flatnonzero(rows)
        if len(at):
            here[at], there[at] = solve(a.take(at), b.take(at))
    return here, there


def _nearest_of_rod(rod: Solids, box: Solids) -> tuple[Array, Array]:
    """Nearest points (m, 3) of straight lines and boxes, exactly.

    Along the line the squared distance to a box is convex and made of parabolas that meet where the
    line passes a face's plane; so its slope is straight between these places, and 0 at the nearest
    point, or in the middle of all that are equally near.
    """
    along = np.einsum("nij,nj->ni", box.axes, rod.axes[:, 0])
    start = np.einsum("nij,nj->ni", box.axes, rod.middle_m - box.middle_m)
    most = rod.half_m[:, :1]
    passes = np.abs(along) > 1e-12
    per_m = np.where(passes, 1.0, 0.0) / np.where(passes, along, 1.0)
    faces = np.concatenate([(sign * box.half_m - start) * per_m for sign in (-1.0, 1.0)], axis=1)
    t = np.sort(np.concatenate((-most, np.clip(faces, -most, most), most), axis=1), axis=1)
    at = start[:, None, :] + t[:, :, None] * along[:, None, :]
    half = box.half_m[:, None, :]
    slope = np.einsum("nkj,nj->nk", at - np.clip(at, -half, half), along)
    best = (_crossing(t, slope) - _crossing(-t[:, ::-1], -slope[:, ::-1])) / 2
    here = start + best[:, None] * along
    there = np.clip(here, -box.half_m, box.half_m)
    return (
        rod.middle_m + best[:, None] * rod.axes[:, 0],
        box.middle_m + np.einsum("nij,ni->nj", box.axes, there),
    )


def _crossing(t: Array, slope: Array) -> Array:
    """(m,): the first place, of t (m, k) ascending, at which slope (m, k) is no longer negative."""
    rows, last = np.arange(len(t)), t.shape[1] - 1
    up = slope >= -1e-12
    k = np.where(up.any(axis=1), up.argmax(axis=1), last)
    before = np.maximum(k - 1, 0)
    low, high = slope[rows, before], slope[rows, k]
    rise = high - low
    share = np.where((k > 0) & up[rows, k] & (rise > 0), -low / np.where(rise > 0, rise, 1.0), 1.0)
    found: Array = t[rows, before] + np.minimum(share, 1.0) * (t[rows, k] - t[rows, before])
    return found


def _nearest_of_boxes(a: Solids, b: Solids) -> tuple[Array, Array]:
    """Nearest points (m, 3) of boxes: accelerated projected gradient.

    Minimises |p - q|² over the two boxes' own coordinates (Beck and Teboulle, 2009, with the
    restart of O'Donoghue and Candès, 2015).
    """
    m = len(a)
    if m == 0:
        return a.middle_m, b.middle_m
    between = b.middle_m - a.middle_m
    # In own coordinates: p = A'u + ma and q = B'v + mb, so that p - q = A'u - B'v - between.
    u, v = np.zeros((m, 3)), np.zeros((m, 3))
    u_step, v_step, momentum = u, v, np.ones(m)
    left = np.arange(m)
    out_u, out_v = u.copy(), v.copy()
    axes_a, axes_b, half_a, half_b = a.axes, b.axes, a.half_m, b.half_m
    for turn in range(1, _ROUNDS + 1):
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
        if turn % _LOOKS:
            continue
        going = _may_gain(axes_a, axes_b, half_a, half_b, between, u, v)
        if going.all():
            continue
        out_u[left[~going]], out_v[left[~going]] = u[~going], v[~going]
        left = left[going]
        u, v, u_step, v_step, momentum, between = (
            rows[going] for rows in (u, v, u_step, v_step, momentum, between)
        )
        axes_a, axes_b, half_a, half_b = (rows[going] for rows in (axes_a, axes_b, half_a, half_b))
        if len(left) == 0:
            break
    out_u[left], out_v[left] = u, v
    here = a.middle_m + np.einsum("ijk,ij->ik", a.axes, out_u)
    there = b.middle_m + np.einsum("ijk,ij->ik", b.axes, out_v)
    return here, there


def _may_gain(
    axes_a: Array, axes_b: Array, half_a: Array, half_b: Array, between: Array, u: Array, v: Array
) -> Flags:
    """Which pairs can still be brought nearer by more than _DONE_M.

    No two points are nearer than the boxes are parted along the way between the present ones.
    """
    way = np.einsum("ijk,ij->ik", axes_a, u) - np.einsum("ijk,ij->ik", axes_b, v) - between
    apart = np.sqrt(np.einsum("ij,ij->i", way, way))
    unit = way / np.maximum(apart, 1e-12)[:, None]
    reach = np.einsum("ij,ij->i", np.abs(np.einsum("ijk,ik->ij", axes_a, unit)), half_a)
    reach += np.einsum("ij,ij->i", np.abs(np.einsum("ijk,ik->ij", axes_b, unit)), half_b)
    least = -np.einsum("ij,ij->i", between, unit) - reach
    gains: Flags = (apart - np.maximum(least, 0.0) > _DONE_M) & (apart > _DONE_M)
    return gains


def _apart(a: Solids, b: Solids) -> tuple[Array, Array]:
    """How far boxes are parted at the least, negative by how deep they are in each other (m,).

    The most along the six face normals and the nine products of edges: the separating axes of two
    boxes (Gottschalk, Lin and Manocha, 1996). With it the unit way out of `a` from `b` (m, 3).
    """
    turned = a.axes @ b.axes.transpose(0, 2, 1)  # (m, 3, 3): axes of a by axes of b
    away = a.middle_m - b.middle_m
    along_a = np.einsum("nij,nj->ni", a.axes, away)
    along_b = np.einsum("nij,nj->ni", b.axes, away)
    size = np.abs(turned)
    part_a = np.abs(along_a) - a.half_m - np.einsum("nij,nj->ni", size, b.half_m)
    part_b = np.abs(along_b) - b.half_m - np.einsum("nij,ni->nj", size, a.half_m)
    crossed = _cross(a.axes[:, :, None, :], b.axes[:, None, :, :]).reshape(-1, 9, 3)
    length = np.sqrt(np.einsum("nij,nij->ni", crossed, crossed))
    crossed /= np.maximum(length, 1e-9)[:, :, None]
    along_c = np.einsum("nij,nj->ni", crossed, away)
    reach = np.einsum("nil,nl->ni", np.abs(crossed @ a.axes.transpose(0, 2, 1)), a.half_m)
    reach += np.einsum("nil,nl->ni", np.abs(crossed @ b.axes.transpose(0, 2, 1)), b.half_m)
    part_c = np.where(length > 1e-6, np.abs(along_c) - reach, -np.inf)
    parted = np.concatenate((part_a, part_b, part_c), axis=1)
    best = parted.argmax(axis=1)
    rows = np.arange(len(best))
    along = np.concatenate((along_a, along_b, along_c), axis=1)[rows, best]
    axes = np.concatenate((a.axes, b.axes, crossed), axis=1)[rows, best]
    return parted[rows, best], axes * np.where(along >= 0, 1.0, -1.0)[:, None]
