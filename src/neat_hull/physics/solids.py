"""Room that things and limbs take up: boxes turned any way, with rounded edges, and gaps between.

A rod or limb is a box of no thickness with a radius; a drum is a box whose first two axes span a
disc. The gap between two is found as the nearest points of the two: exactly where a rod meets a
rod or box, and else as a convex problem of six bounded variables, for many pairs at once.
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
    second = _cross(first, np.eye(3)[least])
    second /= np.maximum(np.sqrt(np.einsum("ij,ij->i", second, second)), 1e-9)[:, None]
    axes = np.stack((first, second, _cross(first, second)), axis=1)
    half = np.zeros_like(from_m)
    half[:, 0] = length / 2
    flat = np.zeros(len(half), dtype=np.bool_)
    return Solids((from_m + to_m) / 2, axes, half, radius_m, flat)


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

    The separating axes tell most apart, and how deep boxes are in each other; only those between,
    and drums, which these axes do not always part, are left to the minimiser.
    """
    thick = a.radius_m + b.radius_m
    apart, out = _apart(a, b)
    rows = np.flatnonzero(apart - thick < than_m)
    touch = (apart[rows] <= _TOUCH_M) & ~(a.round_[rows] | b.round_[rows])
    inside, outside = rows[touch], rows[~touch]
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
        spot = solids.middle_m + np.einsum("nij,ni->nj", solids.axes, _within(solids, own))
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
    return _support(solids, along) + solids.radius_m[:, None]


def _support(solids: Solids, along: Array) -> Array:
    """(n, k) m: from the middle to the farthest point, radii left out, along unit ways (n, k, 3)
    in the axes of each."""
    size = np.abs(along)
    reach: Array = np.einsum("nki,ni->nk", size, solids.half_m)
    drums = np.flatnonzero(solids.round_)
    if len(drums):
        disc = np.hypot(size[drums, :, 0], size[drums, :, 1]) * solids.half_m[drums, None, 0]
        reach[drums] = disc + size[drums, :, 2] * solids.half_m[drums, None, 2]
    return reach


def _within(solids: Solids, own_m: Array) -> Array:
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


def _nearest(a: Solids, b: Solids) -> tuple[Array, Array]:
    """Nearest points (m, 3) of the boxes, radii left out."""
    drum = a.round_ | b.round_
    thin_a, thin_b = (~one.half_m[:, 1:].any(axis=1) & ~drum for one in (a, b))
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
    one, other = a, b
    between = b.middle_m - a.middle_m
    # In own coordinates: p = A'u + ma and q = B'v + mb, so that p - q = A'u - B'v - between.
    u, v = np.zeros((m, 3)), np.zeros((m, 3))
    u_step, v_step, momentum = u, v, np.ones(m)
    left = np.arange(m)
    out_u, out_v = u.copy(), v.copy()
    for turn in range(1, _ROUNDS + 1):
        way = (
            np.einsum("ijk,ij->ik", one.axes, u_step)
            - np.einsum("ijk,ij->ik", other.axes, v_step)
            - between
        )
        new_u = _within(one, u_step - 0.5 * np.einsum("ijk,ik->ij", one.axes, way))
        new_v = _within(other, v_step + 0.5 * np.einsum("ijk,ik->ij", other.axes, way))
        du, dv = new_u - u, new_v - v
        back = np.einsum("ij,ij->i", u_step - new_u, du) + np.einsum("ij,ij->i", v_step - new_v, dv)
        momentum = np.where(back > 0, 1.0, momentum)
        following = (1 + np.sqrt(1 + 4 * momentum**2)) / 2
        push = np.where(back > 0, 0.0, (momentum - 1) / following)[:, None]
        u_step, v_step = new_u + push * du, new_v + push * dv
        momentum, u, v = following, new_u, new_v
        if turn % _LOOKS:
            continue
        going = _may_gain(one, other, between, u, v)
        if going.all():
            continue
        out_u[left[~going]], out_v[left[~going]] = u[~going], v[~going]
        left = left[going]
        u, v, u_step, v_step, momentum, between = (
            rows[going] for rows in (u, v, u_step, v_step, momentum, between)
        )
        if len(left) == 0:
            break
        still = np.flatnonzero(going)
        one, other = one.take(still), other.take(still)
    out_u[left], out_v[left] = u, v
    here = a.middle_m + np.einsum("ijk,ij->ik", a.axes, out_u)
    there = b.middle_m + np.einsum("ijk,ij->ik", b.axes, out_v)
    return here, there


def _may_gain(a: Solids, b: Solids, between: Array, u: Array, v: Array) -> Flags:
    """Which pairs can still be brought nearer by more than _DONE_M.

    No two points are nearer than the two are parted along the way between the present ones.
    """
    way = np.einsum("ijk,ij->ik", a.axes, u) - np.einsum("ijk,ij->ik", b.axes, v) - between
    apart = np.sqrt(np.einsum("ij,ij->i", way, way))
    unit = way / np.maximum(apart, 1e-12)[:, None]
    least = -np.einsum("ij,ij->i", between, unit)
    for solids in (a, b):
        least -= _support(solids, np.einsum("ijk,ik->ij", solids.axes, unit)[:, None])[:, 0]
    gains: Flags = (apart - np.maximum(least, 0.0) > _DONE_M) & (apart > _DONE_M)
    return gains


def _apart(a: Solids, b: Solids) -> tuple[Array, Array]:
    """How far two are parted at the least, negative by how deep they are in each other (m,).

    The most along the six face normals and the nine products of edges: the separating axes of two
    boxes (Gottschalk, Lin and Manocha, 1996); where one is a drum, also straight out from its
    axis. With it the unit way out of `a` from `b` (m, 3).
    """
    parted, out = _boxes_apart(a, b)
    drums = np.flatnonzero(a.round_ | b.round_)
    if len(drums):
        parted[drums], out[drums] = _drums_apart(a.take(drums), b.take(drums))
    return parted, out


def _drums_apart(a: Solids, b: Solids) -> tuple[Array, Array]:
    """`_apart` where at least one of each two is a drum."""
    crossed = _cross(a.axes[:, :, None, :], b.axes[:, None, :, :]).reshape(-1, 9, 3)
    ways = np.concatenate((a.axes, b.axes, crossed, _outward(a, b), _outward(b, a)), axis=1)
    length = np.sqrt(np.einsum("nkj,nkj->nk", ways, ways))
    ways /= np.maximum(length, 1e-9)[:, :, None]
    along = np.einsum("nkj,nj->nk", ways, a.middle_m - b.middle_m)
    parted = np.abs(along)
    for solids in (a, b):
        parted -= _support(solids, np.einsum("nij,nkj->nki", solids.axes, ways))
    parted[length < 1e-6] = -np.inf
    best, rows = parted.argmax(axis=1), np.arange(len(a))
    out = ways[rows, best] * np.where(along[rows, best] >= 0, 1.0, -1.0)[:, None]
    return parted[rows, best], out


_CORNERS = np.array(np.meshgrid([-1.0, 1.0], [-1.0, 1.0], [-1.0, 1.0])).reshape(3, 8).T


def _outward(drum: Solids, other: Solids) -> Array:
    """(n, 9, 3): from the axis of a drum straight out to the middle and corners of another."""
    corners = np.einsum("cj,nj,njk->nck", _CORNERS, other.half_m, other.axes)
    spots = np.concatenate((np.zeros((len(drum), 1, 3)), corners), axis=1)
    away = spots + (other.middle_m - drum.middle_m)[:, None, :]
    axis = drum.axes[:, None, 2, :]
    out: Array = away - axis * np.einsum("nkj,nkj->nk", away, axis)[:, :, None]
    return out


def _boxes_apart(a: Solids, b: Solids) -> tuple[Array, Array]:
    """`_apart` of boxes."""
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
