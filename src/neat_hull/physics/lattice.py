"""From measured stations to the sections that are integrated.

Between two stations each outline is resampled at the same fractions of its arc length — the union
of both outlines' own corners, so that none is cut — and interpolated linearly in x; where a hull's
corners run on one to one, they are taken as they are, which halves the work. Every section
then is a closed ring, and a section of a well is a ring that counts against the hull.
"""

from dataclasses import dataclass
from itertools import combinations, pairwise

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull import Hull, Well

# Two Gauss points integrate the cubic x·area of a linearly lofted span exactly; the span count
# holds the error of a span in which the water plane leaves the hull under 0.1 % (see the tests).
SPANS_PER_LENGTH = 16
# A waterplane ends abruptly where a flat bottom or floor leaves the water, so its own area and
# moments converge only with the span; they are wanted once per solution, on this finer cut.
WATERPLANE_SPANS_PER_LENGTH = 300
_GAUSS_AT = np.array([-1.0, 1.0]) / np.sqrt(3.0)


@dataclass(frozen=True, eq=False)
class Rings:
    """Closed section rings ready for integration.

    x_m       (s,)      m   where each section stands
    weight_m  (s,)      m   quadrature weight along x; negative where a ring is taken away
    y_m, z_m  (p+1, s)  m   ring vertices, counter-clockwise seen from the bow with port to the
                            right; the first vertex repeats as the last
    needs     (s, w)        True where a ring counts only while that well does not lift

    Vertices come first so that neighbours along a ring are whole contiguous rows to numpy.
    """

    x_m: Array
    weight_m: Array
    y_m: Array
    z_m: Array
    needs: Flags

    def weights(self, lost: Flags) -> Array:
        """(k, s) m: quadrature weights for k cases, given which wells (k, w) do not lift."""
        if not self.needs.any():
            return np.broadcast_to(self.weight_m, (len(lost), len(self.weight_m)))
        shut = self.needs[None, :, :] & ~lost[:, None, :]
        weights: Array = np.where(shut.any(axis=2), 0.0, self.weight_m)
        return weights

    @property
    def area_m2(self) -> Array:
        """(s,) m²: area of each whole ring."""
        y, z = self.y_m, self.z_m
        area: Array = 0.5 * (y[:-1] * z[1:] - y[1:] * z[:-1]).sum(axis=0)
        return area


@dataclass(frozen=True, eq=False)
class Lattice:
    """The sections of a hull: its own rings, and those of its wells, which have fewer corners."""

    hull: Rings
    wells: Rings | None

    @property
    def parts(self) -> tuple[Rings, ...]:
        """The rings in the order that weights and immersed areas are given."""
        return (self.hull,) if self.wells is None else (self.hull, self.wells)

    def weights(self, lost: Flags) -> tuple[Array, ...]:
        """(k, s) m of quadrature weights for each part; see `Rings.weights`."""
        return tuple(part.weights(lost) for part in self.parts)


def loft(hull: Hull, spans_per_length: int = SPANS_PER_LENGTH) -> Lattice:
    """Cut a hull into sections at Gauss points of spans no longer than length / spans_per_length.

    Spans never bridge a station or the end of a well, so each integrand is smooth within one.
    """
    x_m, weight_m = _gauss_points(hull, spans_per_length)
    y_m, z_m = _rings(hull, x_m)
    whole = Rings(x_m, weight_m, y_m, z_m, np.zeros((len(x_m), len(hull.wells)), np.bool_))
    cut: list[tuple[float, Array, frozenset[int]]] = []
    at: list[int] = []
    for group, box in _well_boxes(hull.wells):
        for i in np.flatnonzero((box.x_aft_m < x_m) & (x_m < box.x_fwd_m)):
            inside = _clip_to_box(np.column_stack((y_m[:-1, i], z_m[:-1, i])), box)
            if len(inside) >= 3:
                cut.append(((-1.0) ** len(group), inside, group))
                at.append(int(i))
    if not cut:
        return Lattice(whole, None)
    needs = np.array([[i in group for i in range(len(hull.wells))] for *_, group in cut])
    signed = weight_m[at] * np.array([sign for sign, *_ in cut])
    return Lattice(whole, Rings(x_m[at], signed, *_stack([ring for _, ring, _ in cut]), needs))


def outline_at(hull: Hull, x_m: float) -> Array:
    """Port half-section (n, 2) of y, z in m from keel to sheer, interpolated at x."""
    i = int(_interval(hull, np.array([x_m]))[0])
    aft, fwd = _matched(hull, i)
    share = (x_m - hull.x_m[i]) / (hull.x_m[i + 1] - hull.x_m[i])
    blend: Array = (1 - share) * aft + share * fwd
    return blend


def _interval(hull: Hull, x_m: Array) -> NDArray[np.intp]:
    """(n,): index of the station at or aft of each x, the last interval reaching to the bow."""
    return np.clip(np.searchsorted(hull.x_m, x_m, side="right") - 1, 0, len(hull.x_m) - 2)


def _matched(hull: Hull, i: int) -> tuple[Array, Array]:
    """Outlines (n, 2) of stations i and i + 1, point for point."""
    aft, fwd = hull.stations[i].points_m, hull.stations[i + 1].points_m
    if hull.corner_to_corner:
        return aft, fwd
    aft_at, fwd_at = _arc_fractions(aft), _arc_fractions(fwd)
    at = np.union1d(aft_at, fwd_at)
    at = at[np.append(np.diff(at) > 1e-9, True)]
    return _resample(aft, aft_at, at), _resample(fwd, fwd_at, at)


def _rings(hull: Hull, x_m: Array) -> tuple[Array, Array]:
    """y and z (p+1, s) of the closed rings at each x, padded to one length where corners are fewer.

    A ring runs from the starboard sheer down to the keel and up to the port sheer.
    """
    interval = _interval(hull, x_m)
    halves: list[Array] = []
    for i in np.unique(interval):
        aft, fwd = _matched(hull, int(i))
        inside = x_m[interval == i]
        share = ((inside - hull.x_m[i]) / (hull.x_m[i + 1] - hull.x_m[i]))[:, None, None]
        halves.append((1 - share) * aft + share * fwd)
    most = max(half.shape[1] for half in halves)
    half = np.concatenate(
        [np.pad(h, ((0, 0), (0, most - h.shape[1]), (0, 0)), mode="edge") for h in halves]
    )
    ring = np.concatenate((half[:, ::-1] * np.array([-1.0, 1.0]), half), axis=1)
    closed = np.concatenate((ring, ring[:, :1]), axis=1)
    return np.ascontiguousarray(closed[:, :, 0].T), np.ascontiguousarray(closed[:, :, 1].T)


def _gauss_points(hull: Hull, spans_per_length: int) -> tuple[Array, Array]:
    ends = {x for well in hull.wells for x in (well.x_aft_m, well.x_fwd_m)}
    breaks = np.union1d(hull.x_m, [x for x in ends if hull.x_aft_m < x < hull.x_fwd_m])
    longest = hull.length_m / spans_per_length
    at, weights = [], []
    for x0, x1 in pairwise(breaks):
        edges = np.linspace(x0, x1, max(1, int(np.ceil((x1 - x0) / longest - 1e-9))) + 1)
        half = np.diff(edges) / 2
        middle = (edges[:-1] + edges[1:]) / 2
        at.append((middle[:, None] + half[:, None] * _GAUSS_AT).ravel())
        weights.append(np.repeat(half, 2))
    return np.concatenate(at), np.concatenate(weights)


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
        boxes = [(frozenset(group), _overlap([wells[i] for i in group]))
                 for group in combinations(range(len(wells)), count)]  # fmt: skip
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


def _clip_to_box(ring: Array, box: Well) -> Array:
    """Cut a ring by the four sides of a well (Sutherland and Hodgman, 1974).

    On a concave ring the result may join its parts by edges there and back; they enclose nothing,
    so areas and moments stay exact.
    """
    sides = (
        (0, 1.0, -box.half_breadth_m),
        (0, -1.0, -box.half_breadth_m),
        (1, 1.0, box.floor_z_m),
        (1, -1.0, -box.rim_z_m),
    )
    for axis, sign, limit in sides:
        ring = _clip_side(ring, sign * ring[:, axis] - limit)
        if len(ring) < 3:
            break
    return ring


def _clip_side(ring: Array, inside: Array) -> Array:
    """Keep the part of a ring where `inside` (n,) is 0 or more, linear along each edge."""
    after, inside_after = np.roll(ring, -1, axis=0), np.roll(inside, -1)
    crossing = (inside < 0) != (inside_after < 0)
    share = np.where(crossing, inside / np.where(crossing, inside - inside_after, 1.0), 0.0)
    cut = ring + share[:, None] * (after - ring)
    pairs = np.stack((ring, cut), axis=1).reshape(-1, 2)
    keep = np.stack((inside >= 0, crossing), axis=1).ravel()
    kept: Array = pairs[keep]
    return kept


def _stack(rings: list[Array]) -> tuple[Array, Array]:
    """(p+1, s) y and z, rings padded by repeating the first vertex, which adds nothing."""
    most = max(len(ring) for ring in rings)
    stacked = np.array(
        [np.vstack((ring, np.repeat(ring[:1], most + 1 - len(ring), axis=0))) for ring in rings]
    )
    return np.ascontiguousarray(stacked[:, :, 0].T), np.ascontiguousarray(stacked[:, :, 1].T)
