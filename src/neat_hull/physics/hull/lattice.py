"""From measured stations to the sections that are integrated.

Between two stations each outline is resampled at the same fractions of its arc length — the union
of both outlines' own corners, so that none is cut — and interpolated linearly in x; where a hull's
corners run on one to one, they are taken as they are, which halves the work. Every section
then is a closed ring, and a section of a well is a ring that counts against the hull.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cached_property, lru_cache
from itertools import combinations, pairwise

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.shape import Hull, Well

# Two Gauss points integrate the cubic x·area of a linearly lofted span exactly; the span count
# holds the error of a span in which the water plane leaves the hull under 0.1 % (see the tests).
SPANS_PER_LENGTH = 16
# A waterplane ends abruptly where a flat bottom or floor leaves the water, so its own area and
# moments converge only with the span; they are wanted once per solution, on this finer cut.
WATERPLANE_SPANS_PER_LENGTH = 300
_GAUSS_AT = np.array([-1.0, 1.0]) / np.sqrt(3.0)
_X, _WEIGHT = 4, 5  # rows of `_Rings.edges`


@dataclass(frozen=True, eq=False)
class Lattice:
    """The edges of all section rings, in one row, ready for integration.

    x_m        (e,)    m   where the section of each edge stands
    y_m, z_m   (2, e)  m   both ends; seen from the bow, port to the right, rings run
                           counter-clockwise
    weight_m   (e, g)  m   quadrature weight along x by group, 0 for other groups' edges; negative
                           where a ring is taken away
    needs      (g, w)      True where a group counts only while that well does not lift

    Group 0 is the hull itself with all wells that never lift.
    """

    x_m: Array
    y_m: Array
    z_m: Array
    weight_m: Array
    needs: Flags

    def counted(self, lost: Flags) -> Array:
        """(k, g): 1 for each group that counts, given which wells (k, w) do not lift; else 0."""
        shut = self.needs[None, :, :] & ~lost[:, None, :]
        counted: Array = np.where(shut.any(axis=2), 0.0, 1.0)
        return counted

    @cached_property
    def sections(self) -> tuple[Array, NDArray[np.intp]]:
        """x (n,) m of the sections, and which of them each edge (e,) belongs to."""
        x, place = np.unique(self.x_m, return_inverse=True)
        return x, place

    @cached_property
    def size_m(self) -> float:
        """Greatest coordinate in a section, in m."""
        return float(max(np.abs(self.y_m).max(), np.abs(self.z_m).max()))

    @property
    def level_rise_m(self) -> float:
        """An edge that rises by no more, in m, counts as level: a billionth of the size."""
        return 1e-9 * self.size_m

    @cached_property
    def moments_m(self) -> Array:
        """(3·g, e): the weights times 1, x and x²."""
        weight = self.weight_m.T
        return np.concatenate((weight, weight * self.x_m, weight * self.x_m**2))

    @cached_property
    def signs(self) -> Array:
        """(e, g): 1 where an edge adds to a group, -1 where it takes away, 0 for other groups."""
        signs: Array = np.sign(self.weight_m)
        return signs

    @cached_property
    def volume_m3(self) -> Array:
        """(g,) m³: volume of each group."""
        volume: Array = (
            0.5 * (self.y_m[0] * self.z_m[1] - self.y_m[1] * self.z_m[0]) @ (self.weight_m)
        )
        return volume


def loft(hull: Hull, spans_per_length: int = SPANS_PER_LENGTH) -> Lattice:
    """Cut a hull into sections at Gauss points of spans no longer than length / spans_per_length.

    Spans never bridge a station or the end of a well, so each integrand is smooth within one.
    """
    drained = frozenset(i for i, well in enumerate(hull.wells) if well.drains)
    groups: list[frozenset[int]] = [frozenset()]

    def group(wells: frozenset[int]) -> int:
        if wells - drained not in groups:
            groups.append(wells - drained)
        return groups.index(wells - drained)

    y0, z0, y1, z1, x, weight, group_of = _section_edges(hull, spans_per_length, group)
    weights = np.where(group_of[:, None] == np.arange(len(groups)), weight[:, None], 0.0)
    needs = np.array([[i in one for i in range(len(hull.wells))] for one in groups], np.bool_)
    return Lattice(
        x,
        np.stack((y0, y1)),
        np.stack((z0, z1)),
        weights,
        needs.reshape(len(groups), len(hull.wells)),
    )


def _section_edges(
    hull: Hull,
    spans_per_length: int,
    group: Callable[[frozenset[int]], int],
    also_m: Sequence[float] = (),
) -> Array:
    """(7, e) edges of the hull's sections, as `_Rings.edges` has them, and of what wells and their
    overlaps take away, by the group of each."""
    x_m, weight_m = _gauss_points(hull, spans_per_length, also_m)
    rings = _Rings.at(hull, x_m)
    edges = [rings.edges(x_m, weight_m, 0)]
    for wells, box in _well_boxes(hull.wells):
        sign = (-1.0) ** len(wells)
        edges.append(rings.inside(box, x_m).edges(x_m, sign * weight_m, group(wells)))
    every = np.concatenate(edges, axis=1)
    y0, z0, y1, z1 = every[:4]
    return every[:, (y0 != y1) | (z0 != z1)]  # a point is no edge


@dataclass(frozen=True)
class Slice:
    """A length of a hull of which so much lifts: all where it is dry, its walls where it floods."""

    x_aft_m: float
    x_fwd_m: float
    share: float


@dataclass(frozen=True)
class Block:
    """An upright box that lifts by so much of itself: foam, an air bag, a thing."""

    lo_m: tuple[float, float, float]
    hi_m: tuple[float, float, float]
    share: float


def loft_shares(
    hull: Hull,
    slices: tuple[Slice, ...],
    blocks: tuple[Block, ...],
    spans_per_length: int = SPANS_PER_LENGTH,
) -> Lattice:
    """What lifts of a hull that has flooded, in one group: each slice by its share, wells taken off
    as if they were full, and blocks by theirs. Lost buoyancy (Rawson and Tupper, ch. 5)."""
    edges = [_lifting(hull, slices, spans_per_length)]
    for block in blocks:
        if block.share:
            edges.append(_block_edges(block, hull.length_m / spans_per_length))
    if not edges[0].size and len(edges) == 1:  # there is still a place where nothing lifts
        whole = (Slice(hull.x_aft_m, hull.x_fwd_m, 1.0),)
        nothing = _lifting(hull, whole, spans_per_length)[:, :4].copy()
        nothing[_WEIGHT] = 0.0
        edges.append(nothing)
    y0, z0, y1, z1, x_e, weight_e, _ = np.concatenate(edges, axis=1)
    return Lattice(
        x_e,
        np.stack((y0, y1)),
        np.stack((z0, z1)),
        weight_e[:, None],
        np.zeros((1, 0), dtype=np.bool_),
    )


@lru_cache(maxsize=16)
def _lifting(hull: Hull, slices: tuple[Slice, ...], spans_per_length: int) -> Array:
    """(7, e) edges of what lifts of the hull's sections; wells off as if full."""
    bounds = sorted({x for one in slices for x in (one.x_aft_m, one.x_fwd_m)})
    every = _section_edges(hull, spans_per_length, lambda _: 0, bounds)
    x_e = every[_X]
    share = np.zeros_like(x_e)
    for one in slices:
        share[(x_e > one.x_aft_m) & (x_e < one.x_fwd_m)] = one.share
    lifts: Array = every[:, share != 0]
    lifts[_WEIGHT] *= share[share != 0]
    return lifts


@lru_cache(maxsize=2048)  # more than are aboard, on two cuts: one less, and none would be found
def _block_edges(block: Block, longest_m: float) -> Array:
    """(7, e): sections of a box, as `_Rings.edges` has them."""
    (x0, y0, z0), (x1, y1, z1) = block.lo_m, block.hi_m
    at, weight_m = _gauss_between(x0, x1, longest_m)
    ring = np.array([(y0, z1), (y0, z0), (y1, z0), (y1, z1)])
    rings = _Rings(np.tile(ring, (len(at), 1)), np.repeat(np.arange(len(at)), len(ring)))
    return rings.edges(at, block.share * weight_m, 0)


@dataclass(frozen=True, eq=False)
class _Rings:
    """Closed rings in one row: points_m (n, 2) of y and z, from the starboard sheer by the keel to
    the port, and which section (n,) each belongs to, one after the other."""

    points_m: Array
    of: NDArray[np.intp]

    @classmethod
    def at(cls, hull: Hull, x_m: Array) -> "_Rings":
        """The hull's own, at each x (k,), aft to fore."""
        interval = _interval(hull, x_m)
        points, of = [], []
        for i in np.unique(interval):
            aft, fwd = matched_outlines(hull, int(i))
            here = np.flatnonzero(interval == i)
            share = (x_m[here] - hull.x_m[i]) / (hull.x_m[i + 1] - hull.x_m[i])
            share = share[:, None, None]
            half = (1 - share) * aft + share * fwd
            ring = np.concatenate((half[:, ::-1] * np.array([-1.0, 1.0]), half), axis=1)
            points.append(ring.reshape(-1, 2))
            of.append(np.repeat(here, ring.shape[1]))
        return cls(np.concatenate(points), np.concatenate(of))

    @cached_property
    def next(self) -> NDArray[np.intp]:
        """(n,): the point after each, round its ring."""
        after = np.arange(1, len(self.of) + 1)
        begins, ends = (
            np.flatnonzero(step)
            for step in (np.diff(self.of, prepend=-1), np.diff(self.of, append=-1))
        )
        after[ends] = begins
        return after

    def edges(self, x_m: Array, weight_m: Array, group: int) -> Array:
        """(7, n): both ends, place, weight and group of the edges, given x and weight (k,) of the
        sections."""
        start, end = self.points_m.T, self.points_m[self.next].T
        which = np.full(len(self.of), float(group))
        return np.concatenate((start, end, np.array([x_m[self.of], weight_m[self.of], which])))

    def inside(self, box: Well, x_m: Array) -> "_Rings":
        """What of them lies in a well, by its ends, given x (k,) of the sections, and its four
        sides (Sutherland and Hodgman, 1974).

        Where a ring is concave the result may join its parts by edges there and back; they enclose
        nothing, so areas and moments stay exact.
        """
        rings = self._some(((box.x_aft_m < x_m) & (x_m < box.x_fwd_m))[self.of])
        for axis, sign, limit in (
            (0, 1.0, -box.half_breadth_m),
            (0, -1.0, -box.half_breadth_m),
            (1, 1.0, box.floor_z_m),
            (1, -1.0, -box.rim_z_m),
        ):
            rings = rings._beside(sign * rings.points_m[:, axis] - limit)
        return rings

    def _some(self, keep: Flags) -> "_Rings":
        return _Rings(self.points_m[keep], self.of[keep])

    def _beside(self, inside: Array) -> "_Rings":
        """The part where `inside` (n,) is 0 or more, linear along each edge; less than a triangle
        is nothing."""
        inside_after = inside[self.next]
        crossing = (inside < 0) != (inside_after < 0)
        share = np.where(crossing, inside / np.where(crossing, inside - inside_after, 1.0), 0.0)
        cut = self.points_m + share[:, None] * (self.points_m[self.next] - self.points_m)
        pairs = np.stack((self.points_m, cut), axis=1).reshape(-1, 2)
        kept = _Rings(pairs, np.repeat(self.of, 2))._some(
            np.stack((inside >= 0, crossing), axis=1).ravel()
        )
        return kept._some(np.bincount(kept.of)[kept.of] >= 3)


def outline_at(hull: Hull, x_m: float) -> Array:
    """Port half-section (n, 2) of y, z in m from keel to sheer, interpolated at x."""
    i = int(_interval(hull, np.array([x_m]))[0])
    aft, fwd = matched_outlines(hull, i)
    share = (x_m - hull.x_m[i]) / (hull.x_m[i + 1] - hull.x_m[i])
    blend: Array = (1 - share) * aft + share * fwd
    return blend


def _interval(hull: Hull, x_m: Array) -> NDArray[np.intp]:
    """(n,): index of the station at or aft of each x, the last interval reaching to the bow."""
    return np.clip(np.searchsorted(hull.x_m, x_m, side="right") - 1, 0, len(hull.x_m) - 2)


def matched_outlines(hull: Hull, i: int) -> tuple[Array, Array]:
    """Outlines (n, 2) of stations i and i + 1, point for point."""
    aft, fwd = hull.stations[i].points_m, hull.stations[i + 1].points_m
    if hull.corner_to_corner:
        return aft, fwd
    aft_at, fwd_at = _arc_fractions(aft), _arc_fractions(fwd)
    at = np.union1d(aft_at, fwd_at)
    at = at[np.append(np.diff(at) > 1e-9, True)]
    return _resample(aft, aft_at, at), _resample(fwd, fwd_at, at)


def _gauss_points(
    hull: Hull, spans_per_length: int, also_m: Sequence[float] = ()
) -> tuple[Array, Array]:
    ends = {x for well in hull.wells for x in (well.x_aft_m, well.x_fwd_m)} | set(also_m)
    breaks = np.union1d(hull.x_m, [x for x in ends if hull.x_aft_m < x < hull.x_fwd_m])
    longest = hull.length_m / spans_per_length
    at, weights = zip(*(_gauss_between(*ends, longest) for ends in pairwise(breaks)), strict=True)
    return np.concatenate(at), np.concatenate(weights)


def _gauss_between(x0: float, x1: float, longest_m: float) -> tuple[Array, Array]:
    """Gauss points and their weights, in m, of even spans from x0 to x1, none too long."""
    ends = np.linspace(x0, x1, max(1, int(np.ceil((x1 - x0) / longest_m - 1e-9))) + 1)
    half, middle = np.diff(ends) / 2, (ends[:-1] + ends[1:]) / 2
    at = (middle[:, None] + half[:, None] * _GAUSS_AT).ravel()
    return at, np.repeat(half, len(_GAUSS_AT))


def _arc_fractions(points: Array) -> Array:
    """Fraction of arc length at each point; a station shrunk to one point spreads evenly."""
    steps = np.hypot(*np.diff(points, axis=0).T)
    total = steps.sum()
    if total <= 0:
        return np.linspace(0.0, 1.0, max(len(points), 2))
    return np.append(0.0, np.minimum(np.cumsum(steps) / total, 1.0))


def _resample(points: Array, own: Array, at: Array) -> Array:
    if len(points) == 1:
        return np.repeat(points, len(at), axis=0)
    return np.column_stack([np.interp(at, own, points[:, axis]) for axis in (0, 1)])


def _well_boxes(wells: tuple[Well, ...]) -> list[tuple[frozenset[int], Well]]:
    """Each well, and each overlap of several, by inclusion and exclusion: no volume goes twice."""
    found = []
    for count in range(1, len(wells) + 1):
        boxes = [
            (frozenset(group), _overlap([wells[i] for i in group]))
            for group in combinations(range(len(wells)), count)
        ]
        kept = [(group, box) for group, box in boxes if box is not None]
        if not kept:
            break
        found += kept
    return found


def _overlap(wells: list[Well]) -> Well | None:
    box = Well(
        name="",
        x_aft_m=max(well.x_aft_m for well in wells),
        x_fwd_m=min(well.x_fwd_m for well in wells),
        half_breadth_m=min(well.half_breadth_m for well in wells),
        floor_z_m=max(well.floor_z_m for well in wells),
        rim_z_m=min(well.rim_z_m for well in wells),
        drains=False,
    )
    return box if box.x_fwd_m > box.x_aft_m and box.rim_z_m > box.floor_z_m else None
