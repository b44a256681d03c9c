"""The nearest points of two solids, radii left out, for many pairs at once.

Exactly where a rod meets a rod or a box, and else as a convex problem of six bounded variables.
"""

import numpy as np

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.solids import Solids, support, within

_ROUNDS = 3000  # at the most; nearly all pairs are done in thirty
_LOOKS = 4  # rounds between looks at what is done
_DONE_M = 1e-4  # within that of the least distance is near enough


def nearest_points(a: Solids, b: Solids) -> tuple[Array, Array]:
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
        new_u = within(one, u_step - 0.5 * np.einsum("ijk,ik->ij", one.axes, way))
        new_v = within(other, v_step + 0.5 * np.einsum("ijk,ik->ij", other.axes, way))
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
        least -= support(solids, np.einsum("ijk,ik->ij", solids.axes, unit)[:, None])[:, 0]
    gains: Flags = (apart - np.maximum(least, 0.0) > _DONE_M) & (apart > _DONE_M)
    return gains
