"""Gaps between solids, and how deep they are in each other, for many pairs at once."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array
from neat_hull.physics.nearest import nearest_points
from neat_hull.physics.solids import Solids, cross, support, within

_TOUCH_M = 1e-3  # boxes parted by less are as good as touching


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


def gaps(a: Solids, b: Solids) -> Gaps:
    """Gap of each of `a` to the one of `b` in the same row."""
    here, there = nearest_points(a, b)
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
        spot = solids.middle_m + np.einsum("nij,ni->nj", solids.axes, within(solids, own))
    return spot


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
    crossed = cross(a.axes[:, :, None, :], b.axes[:, None, :, :]).reshape(-1, 9, 3)
    ways = np.concatenate((a.axes, b.axes, crossed, _outward(a, b), _outward(b, a)), axis=1)
    length = np.sqrt(np.einsum("nkj,nkj->nk", ways, ways))
    ways /= np.maximum(length, 1e-9)[:, :, None]
    along = np.einsum("nkj,nj->nk", ways, a.middle_m - b.middle_m)
    parted = np.abs(along)
    for solids in (a, b):
        parted -= support(solids, np.einsum("nij,nkj->nki", solids.axes, ways))
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
    crossed = cross(a.axes[:, :, None, :], b.axes[:, None, :, :]).reshape(-1, 9, 3)
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
