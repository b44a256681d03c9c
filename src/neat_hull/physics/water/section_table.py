"""Sections at fixed heels, tabulated by height: the integrals of `immersion` for a fraction.

Between two neighbouring heights of its vertices the chord of a section is straight, so all that
hangs on it is a polynomial of third degree at most. With these taken once per hull and heel, a
water plane costs a look-up per section instead of a sum over its edges; the result is the same to
the last digits. Derivation: docs/physics.md, "Immersed volume".
"""

from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.lattice import Lattice
from neat_hull.physics.water.immersion import Immersion, Sideways


@dataclass(frozen=True, eq=False)
class SectionTable:
    """The rings of a lattice at k heels, gathered into r sections of one x and one group each.

    Of the i intervals above the heights level_m (i, k, r), all weighted along x, a row each, since
    a plane asks for one interval of each section and all that is known of it: lift (k·r·i, 6) holds
    the foot, two coefficients of the chord by rising power of the height above it, the area and ∫e
    below it, and the foot of the next; aside (k·r·i, 8) three coefficients of the chord's first
    moment, four of its second, and ∫s below.
    """

    x_m: Array
    group: NDArray[np.intp]
    level_m: Array
    lift: Array
    aside: Array
    _known: Flags  # (k,): heels that are tabulated, the others when first asked for
    _edges: "_Edges"

    @classmethod
    def of(cls, lattice: Lattice, heel_rad: Array) -> "SectionTable":
        """A table of a lattice at heels (k,), each of which is filled in when first asked for."""
        group = np.abs(lattice.weight_m).argmax(axis=1)
        x_m, section = lattice.sections
        groups = lattice.weight_m.shape[1]
        keys, row = np.unique(section * groups + group, return_inverse=True)
        order = np.argsort(row, kind="stable")
        counts = np.bincount(row)
        edges = int(counts.max())
        # (r, e): the edges of each section, short ones filled up with an edge that weighs nothing.
        place = np.full((len(keys), edges), -1)
        within = np.arange(len(row)) - np.repeat(np.cumsum(counts) - counts, counts)
        place[row[order], within] = order
        weight = lattice.weight_m[np.arange(len(group)), group]
        weight = np.where(place >= 0, weight[place], 0.0)
        k, r = len(heel_rad), len(keys)
        return cls(
            x_m[keys // groups],
            keys % groups,
            np.empty((edges, k, r)),
            np.empty((k * r * edges, 6)),
            np.empty((k * r * edges, 8)),
            np.zeros(k, dtype=np.bool_),
            _Edges(lattice, place, weight, heel_rad),
        )

    def _fill(self, at: NDArray[np.intp]) -> None:
        """Tabulate the heels at (n,) that are not yet. What two threads write is the same."""
        for i in np.unique(at[~self._known[at]]).tolist():
            rows = slice(
                i * (each := self.level_m.shape[0] * self.level_m.shape[2]), (i + 1) * each
            )
            level, self.lift[rows], self.aside[rows] = self._edges.tabulated(i)
            self.level_m[:, i] = level
            self._known[i] = True

    @cached_property
    def row_before(self) -> NDArray[np.intp]:
        """(k, r): the row before the first of each section."""
        i, k, r = self.level_m.shape
        before: NDArray[np.intp] = (np.arange(k * r) * i).reshape(k, r) - 1
        return before

    def planes(self, at: NDArray[np.intp] | None = None) -> "TablePlanes":
        """Something to ask for one water plane after the other: at all heels, or at those heels
        (n,), of which one may be asked for several times."""
        every = np.arange(len(self._known)) if at is None else at
        if not self._known[every].all():
            self._fill(every)
        if at is None:
            return TablePlanes(self, self.level_m, self.row_before)
        return TablePlanes(self, self.level_m[:, at], self.row_before[at])


@dataclass(frozen=True, eq=False)
class _Edges:
    """What a table is made of: the edges of each section (r, e), and the heels."""

    lattice: Lattice
    place: NDArray[np.intp]
    weight: Array
    heel_rad: Array

    def tabulated(self, i: int) -> tuple[Array, Array, Array]:
        """One heel of the table."""
        return _tabulated(self.lattice, self.place, self.weight, float(self.heel_rad[i]))


def _tabulated(
    lattice: Lattice, place: NDArray[np.intp], weight: Array, heel_rad: float
) -> tuple[Array, Array, Array]:
    """At one heel: level_m (i, r), lift (r·i, 6) and aside (r·i, 8)."""
    c, s = np.cos(heel_rad), np.sin(heel_rad)
    y0, y1 = (ends[place] for ends in lattice.y_m)
    z0, z1 = (ends[place] for ends in lattice.z_m)
    e0, e1 = y0 * s + z0 * c, y1 * s + z1 * c  # (r, e)
    s0 = y0 * c - z0 * s
    ds, rise = (y1 - y0) * c - (z1 - z0) * s, e1 - e0
    steep = np.abs(rise) > lattice.level_rise_m
    slope = np.where(steep, ds / np.where(steep, rise, 1.0), 0.0)
    signed = np.where(steep, np.sign(rise), 0.0) * weight
    level = np.sort(np.where(weight == 0.0, np.inf, e0), axis=1)
    top = np.where(np.isfinite(level), level, -np.inf).max(axis=1, keepdims=True)
    level = np.minimum(level, top)
    edge, row = _active(level, np.minimum(e0, e1), np.maximum(e0, e1), signed != 0.0)
    by, m = signed.ravel()[edge], slope.ravel()[edge]
    alpha = s0.ravel()[edge] + m * (level.ravel()[row] - e0.ravel()[edge])

    def total(parts: Array) -> Array:
        """Sums over the active edges of each interval, (r, i)."""
        found: Array = np.bincount(row, parts, level.size).reshape(level.shape)
        return found

    by_m, by_alpha = by * m, by * alpha
    b0, b1 = total(by_alpha), total(by_m)
    q0, q1, q2 = total(by_alpha * alpha) / 2, total(by_m * alpha), total(by_m * m) / 2
    r0, r1 = total(by_alpha * alpha * alpha) / 3, total(by_m * alpha * alpha)
    r2, r3 = total(by_m * m * alpha), total(by_m * m * m) / 3
    high_m = np.diff(level, axis=1, append=level[:, -1:])
    strip = high_m * (b0 + high_m * b1 / 2)
    strip_e = level * strip + high_m**2 * (b0 / 2 + high_m * b1 / 3)
    strip_s = high_m * (q0 + high_m * (q1 / 2 + high_m * q2 / 3))
    area, area_e, area_s = (np.cumsum(one, axis=1) - one for one in (strip, strip_e, strip_s))
    above = np.append(level[:, 1:], np.full_like(level[:, :1], np.inf), axis=1)
    lift = np.stack((level, b0, b1, area, area_e, above), axis=-1)
    aside = np.stack((q0, q1, q2, r0, r1, r2, r3, area_s), axis=-1)
    return level.T, lift.reshape(-1, 6), aside.reshape(-1, 8)


def _active(
    level_m: Array, low_m: Array, high_m: Array, counts: Flags
) -> tuple[NDArray[np.intp], NDArray[np.intp]]:
    """Every edge with every interval that it crosses: its place in (r, e), and that interval's in
    level_m (r, i). There are few: most edges reach from one height of a section to the next."""
    edges = low_m.shape[1]
    first, past = (
        np.array([here.searchsorted(ends) for here, ends in zip(level_m, some, strict=True)])
        for some in (low_m, high_m)
    )
    spans = np.where(counts, past - first, 0).ravel()
    edge = np.repeat(np.arange(spans.size), spans)
    begin = np.cumsum(spans) - spans
    within = np.arange(len(edge)) - begin[edge] + first.ravel()[edge]
    return edge, edge // edges * edges + within


class TablePlanes:
    """Water planes asked of a table; remembers the last one, for its moments along s."""

    def __init__(self, table: SectionTable, level_m: Array, row_before: NDArray[np.intp]) -> None:
        self._table, self._level_m, self._row_before = table, level_m, row_before
        self._at: NDArray[np.intp] | None = None

    def immerse(self, h_m: Array, tau: Array, counted: Array) -> Immersion:
        """As `immersion.TurnedSections.immerse`."""
        table = self._table
        at_m = h_m[:, None] - tau[:, None] * table.x_m
        found = self._where_last(at_m)
        if found is None:
            found = self._where(at_m)
        foot, b0, b1, area, area_e, _ = found
        self._counted = counted[:, table.group] * (at_m >= foot)
        self._t = t = np.maximum(at_m - foot, 0.0)
        strip = t * (b0 + t * (b1 / 2))
        chord = (b0 + t * b1) * self._counted
        wet = (area + strip) * self._counted
        wet_e = (area_e + foot * strip + t * t * (b0 / 2 + t * b1 / 3)) * self._counted
        return Immersion(
            v_m3=wet.sum(axis=1),
            vx=wet @ table.x_m,
            ve=wet_e.sum(axis=1),
            a=chord.sum(axis=1),
            ax=chord @ table.x_m,
            axx=chord @ table.x_m**2,
        )

    def _where_last(self, at_m: Array) -> Array | None:
        """What is known of the intervals of the last planes, where these lie in the same: the
        last steps of a search do."""
        if self._at is None:
            return None
        found = self._table.lift.take(self._at, axis=0).transpose(2, 0, 1)
        low = self._at == self._row_before + 1  # it is also that of a section wholly dry
        same = (low | (found[0] <= at_m)) & (at_m < found[-1])
        return found if same.all() else None

    def _where(self, at_m: Array) -> Array:
        """What is known of the intervals that planes lie in."""
        below = (at_m >= self._level_m).view(np.uint8)
        over = below.sum(axis=0, dtype=np.min_scalar_type(len(below)))
        self._at = self._row_before + np.maximum(over, 1)
        found: Array = self._table.lift.take(self._at, axis=0).transpose(2, 0, 1)
        return found

    def sideways(self, counted: Array) -> Sideways:
        """As `immersion.TurnedSections.sideways`; `counted` is that of the last planes."""
        assert self._at is not None, "asked after `immerse`"
        t = self._t
        parts = self._table.aside.take(self._at, axis=0)
        q0, q1, q2, r0, r1, r2, r3, area_s = parts.transpose(2, 0, 1)
        first = (q0 + t * (q1 + t * q2)) * self._counted
        second = (r0 + t * (r1 + t * (r2 + t * r3))) * self._counted
        wet_s = (area_s + t * (q0 + t * (q1 / 2 + t * q2 / 3))) * self._counted
        return Sideways(
            vs=wet_s.sum(axis=1),
            as_=first.sum(axis=1),
            axs=first @ self._table.x_m,
            ass=second.sum(axis=1),
        )
