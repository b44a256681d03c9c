"""A hull ready to float, and the boat at rest in a given attitude."""

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from neat_hull.errors import DoesNotFloat
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.lattice import WATERPLANE_SPANS_PER_LENGTH, Lattice, loft
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.heels import FULL_RAD, STANDING
from neat_hull.physics.water.immersion import Immersion, Planes, Sideways, TurnedSections
from neat_hull.physics.water.section_table import SectionTable

_TABLE_RAD = np.radians(np.arange(0.0, 91.0, 10.0))
_TABLE_LEVELS = 16
_LITTLE_TRIM = 0.05  # as far as one step from even keel is better than none
_KEPT = 4  # sets of heels whose sections are kept: curves of screens, and upright


@dataclass(frozen=True, eq=False)
class FloatingHull:
    """A hull made ready for solving: its lattice, and first guesses of where it floats.

    drains (w,) are the wells that never lift. level_m (t, 16) are heights of a level water plane at
    heels table_rad (t,), the first of them upright: Newton starts close from what lies under them.
    finer lofts the cut of `waterplanes`, where that is not the hull's own. One that is `asked_once`
    is let go after one solution: to tabulate its sections would take longer.
    """

    hull: Hull
    lattice: Lattice
    drains: Flags
    table_rad: Array
    level_m: Array
    finer: Callable[[], Lattice] | None = None
    asked_once: bool = False
    _turned: dict[bytes, TurnedSections] = field(default_factory=dict)
    _tables: dict[bytes, SectionTable] = field(default_factory=dict)

    @classmethod
    def of(
        cls,
        hull: Hull,
        table_rad: Array = _TABLE_RAD,
        lattice: Lattice | None = None,
        finer: Callable[[], Lattice] | None = None,
        asked_once: bool = False,
    ) -> "FloatingHull":
        """Loft a hull; worth keeping, since it costs more than a solution.

        One that is only asked for upright can do with a table of heel 0 alone; its heels are some
        of a full curve. Another lattice than the hull's own says what lifts in its place.
        """
        lattice = loft(hull) if lattice is None else lattice
        drains = np.array([well.drains for well in hull.wells], dtype=np.bool_)
        y, z = (axis.ravel()[:, None] for axis in (lattice.y_m, lattice.z_m))
        e = y * np.sin(table_rad) + z * np.cos(table_rad)
        level = np.linspace(e.min(axis=0), e.max(axis=0), _TABLE_LEVELS, axis=1)
        return cls(hull, lattice, drains, table_rad, level, finer, asked_once)

    @cached_property
    def level_m3(self) -> Array:
        """(t, 16) m³: the volumes under the levels."""
        upright, heeled_rad = self.upright_rows[:, 0], self.table_rad[1:]
        turned = self.some_turned(FULL_RAD.searchsorted(heeled_rad))
        flat, counted = np.zeros_like(heeled_rad), self.lattice.counted(self.dry(len(heeled_rad)))
        under = [turned.immerse(h_m, flat, counted).v_m3 for h_m in self.level_m[1:].T]
        return np.vstack((upright, np.stack(under, axis=1)))

    @cached_property
    def upright_rows(self) -> Array:
        """(16, 6): all integrals of `Immersion` under the levels upright."""
        turned, flat, counted = self.upright(), np.zeros(1), self.lattice.counted(self.dry(1))
        under = [turned.immerse(h_m, flat, counted).each for h_m in self.level_m[0][:, None]]
        return np.array(under)[:, :, 0]

    def dry(self, count: int) -> Flags:
        """(count, w): wells that do not lift in as many attitudes while none has flooded."""
        return np.repeat(self.drains[None, :], count, axis=0)

    @cached_property
    def waterplanes(self) -> Lattice:
        """A finer cut, for figures of the waterplane alone; made when first asked for."""
        return self.finer() if self.finer else loft(self.hull, WATERPLANE_SPANS_PER_LENGTH)

    @contextmanager
    def turned(self, heel_rad: Array) -> Iterator[Planes]:
        """The sections seen at k heels, lent to one user at a time and kept for the next.

        Those of the curves are read off a table, from the first time on: what an answer comes to
        must not hang on what was asked before it. Popping is atomic, so two threads never hold the
        same arrays.
        """
        key = heel_rad.tobytes()
        if key in STANDING:
            yield self.some_turned(STANDING[key])
            return
        turned = self._turned.pop(key, None) or TurnedSections(self.lattice, heel_rad)
        try:
            yield turned
        finally:
            # A single heel is a step of some search, unless it is upright.
            if len(self._turned) < _KEPT and (len(heel_rad) > 1 or not heel_rad.any()):
                self._turned[key] = turned

    def some_turned(self, at: NDArray[np.intp]) -> Planes:
        """The sections at some of the heels of a full curve, by their places there."""
        return self._planes(b"curve", self.lattice, FULL_RAD, at)

    def upright(self) -> Planes:
        """The sections seen upright, where every search begins."""
        return self.some_turned(np.zeros(1, dtype=np.intp))

    def upright_waterplanes(self, count: int = 1) -> Planes:
        """The finer cut of `waterplanes`, seen upright, to be asked for so many planes at once."""
        at = np.zeros(count, dtype=np.intp)
        return self._planes(b"waterplane", self.waterplanes, np.zeros(1), at)

    def _planes(
        self, key: bytes, lattice: Lattice, heel_rad: Array, at: NDArray[np.intp]
    ) -> Planes:
        """A lattice seen at some of the heels: off its table, where that pays."""
        if self.asked_once:
            return TurnedSections(lattice, heel_rad[at])
        if key not in self._tables:
            self._tables[key] = SectionTable.of(lattice, heel_rad)
        return self._tables[key].planes(at)

    @property
    def depth_m(self) -> float:
        """Lowest to highest point of the hull, in m."""
        return float(self.level_m[0, -1] - self.level_m[0, 0])

    def capacity_m3(self, lost: Flags) -> Array:
        """(k,) m³: all the hull can displace, given which wells (k, w) do not lift."""
        return self.lattice.counted(lost) @ self.lattice.volume_m3

    def require_floats(self, mass_kg: float, water_density_kg_m3: float) -> None:
        """Raise DoesNotFloat if even wholly under water the hull lifts no more than `mass_kg`."""
        capacity_kg = water_density_kg_m3 * float(self.capacity_m3(self.drains[None, :])[0])
        if not mass_kg < capacity_kg:
            raise DoesNotFloat(mass_kg, capacity_kg)

    def guess_h_m(self, volume_m3: float, heel_rad: Array) -> Array:
        """(k,) m: about how high the water plane stands at each heel, untrimmed."""
        at_table = [
            np.interp(volume_m3, volume, level)
            for volume, level in zip(self.level_m3, self.level_m, strict=True)
        ]
        guess: Array = np.interp(np.abs(heel_rad), self.table_rad, at_table)
        return guess

    def guess_upright(self, volume_m3: float, centre_m: Array) -> tuple[float, float]:
        """h and τ: about where a weight at centre_m (3,) lies upright, one step on from even keel
        with the integrals read off between two levels of the table."""
        rows, heights = self.upright_rows, self.level_m[0]
        volumes = rows[:, 0]
        at = min(max(int(volumes.searchsorted(volume_m3)), 1), _TABLE_LEVELS - 1)
        low, high = float(volumes[at - 1]), float(volumes[at])
        share = min(max((volume_m3 - low) / (high - low), 0.0), 1.0) if high > low else 0.0
        h = float(heights[at - 1] + share * (heights[at] - heights[at - 1]))
        below, above = rows[at - 1 : at + 1]
        _, vx, ve, a, ax, axx = (below + share * (above - below)).tolist()
        off = vx - volume_m3 * float(centre_m[0])
        stiff = a * (axx + ve - volume_m3 * float(centre_m[2])) - ax * ax
        tau = a * off / stiff if stiff > 0.0 else np.inf
        if not abs(tau) < _LITTLE_TRIM:
            return h, 0.0
        return h + ax / a * tau, tau


@dataclass(frozen=True, eq=False)
class Attitude:
    """The boat in k attitudes: heel_rad, h_m, tau (k,) are the water plane, see
    `physics.immersion`."""

    heel_rad: Array
    h_m: Array
    tau: Array

    @property
    def trim_rad(self) -> Array:
        """(k,) rad: trim, positive bow up."""
        return np.arctan2(self.tau, np.cos(self.heel_rad))

    def height_over_water_m(self, points_m: Array) -> Array:
        """(k, n) m: how far points (n, 3) stand off the water plane; negative under it."""
        normal = np.array([self.tau, np.sin(self.heel_rad), np.cos(self.heel_rad)])
        stretch = np.sqrt(1 + self.tau**2)[:, None]
        over: Array = (normal.T @ points_m.T - self.h_m[:, None]) / stretch
        return over


@dataclass(frozen=True, eq=False)
class Rest(Attitude):
    """The boat at k imposed or found heels, sinkage and trim at rest; NaN where it goes under.

    lost (k, w): wells that do not lift, be it by open scuppers or flooded. floats (k,): False where
    no such rest exists.
    """

    lost: Flags
    floats: Flags
    immersion: Immersion
    sideways: Sideways

    def row(self, i: int) -> "Rest":
        """The place of rest at one of the heels (k = 1)."""
        at = slice(i, i + 1)
        return Rest(
            self.heel_rad[at],
            self.h_m[at],
            self.tau[at],
            self.lost[at],
            self.floats[at],
            self.immersion.row(at),
            self.sideways.row(at),
        )

    def mirrored(self) -> "Rest":
        """Heeled as far the other way: a hull is the same on both sides."""
        aside = self.sideways.mirrored()
        return replace(self, heel_rad=-self.heel_rad, sideways=aside)

    def buoyancy_m(self) -> Array:
        """(k, 3) m: centre of buoyancy in the body frame."""
        im = self.immersion
        s, e = self.sideways.vs / im.v_m3, im.ve / im.v_m3
        sin, cos = np.sin(self.heel_rad), np.cos(self.heel_rad)
        return np.column_stack((im.vx / im.v_m3, s * cos + e * sin, e * cos - s * sin))

    def waterplane(self, floating: FloatingHull) -> tuple[Immersion, Sideways]:
        """The integrals (k = 1) on the finer cut; see `lattice.WATERPLANE_SPANS_PER_LENGTH`."""
        turned: Planes = (
            TurnedSections(floating.waterplanes, self.heel_rad)
            if self.heel_rad.any()
            else floating.upright_waterplanes()
        )
        counted = floating.waterplanes.counted(self.lost)
        return turned.immerse(self.h_m, self.tau, counted), turned.sideways(counted)

    def metacentre_m(
        self, plane: Immersion, side: Sideways, volume_m3: Array, centre_m: Array
    ) -> tuple[Array, Array]:
        """Held upright, of volumes (k,) and centres of gravity (k, 3): how far buoyancy acts over
        weight and BM, (k,) m each along the plumb line, so that GM is their sum at any trim.

        Source: BM = I/V with I the second moment of the true waterplane about its own fore-and-aft
        axis; docs/physics.md.
        """
        stretch = np.sqrt(1 + self.tau**2)  # of the true waterplane against its plan
        apart = self.buoyancy_m() - centre_m
        above = (apart[:, 0] * self.tau + apart[:, 2]) / stretch
        return above, stretch * (side.ass - side.as_**2 / plane.a) / volume_m3

    def righting_lever_m(self, centre_m: Array) -> Array:
        """(k,) m: GZ = −(r_B − r_G)·t for a centre of gravity (3,)."""
        apart = self.buoyancy_m() - centre_m
        gz: Array = apart[:, 2] * np.sin(self.heel_rad) - apart[:, 1] * np.cos(self.heel_rad)
        return gz
