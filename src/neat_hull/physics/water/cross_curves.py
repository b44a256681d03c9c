"""Cross curves of stability: righting levers of a hull by displacement and heel, for any weights.

KN is the lever that the boat would have with its centre of gravity on the keel; GZ = KN − KG·sin φ
(Rawson and Tupper, *Basic Ship Theory*, 5th ed., chapter 4). Taken once per hull at even keel, so
that many loadings can be read off at the cost of an interpolation; a trim of two degrees moves the
levers by a few per cent.
"""

from dataclasses import dataclass, fields, replace
from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import NDArray

from neat_hull.errors import DoesNotFloat
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.heels import FULL_RAD, HEEL_RAD
from neat_hull.physics.water.hydrostatics import (
    RightingCurve,
    Settled,
    held_upright,
    righting_curve,
    upright,
)
from neat_hull.physics.water.loads import Loads

Index = NDArray[np.intp]

_COUNT = 9
_LIGHTEST_KG = 50.0
_HEAVIEST_KG, _FULL_SHARE = 320.0, 0.75  # the latter of what the hull carries before it goes under
_EVEN_RAD = np.radians(0.02)
_MOST_MOVES = 6
# Levers are read at the heels of a full curve, as far as the cross curves go, and between these.
_READ_RAD = FULL_RAD[HEEL_RAD[-1] + 1e-9 >= FULL_RAD]
_FINE_RAD = np.radians(np.arange(0.0, 60.01, 0.25))
_FINE_COS = np.cos(_FINE_RAD)


def _straight(heel_rad: Array, of_rad: Array) -> tuple[Index, Array]:
    """Where each heel stands among evenly spaced ones: the one below, and the share beyond it."""
    at = np.minimum(heel_rad / of_rad[1], len(of_rad) - 1 - 1e-9)
    low = at.astype(np.intp)
    return low, at - low


_TO_FINE = _straight(_FINE_RAD, _READ_RAD)
_FINE_LOW = _TO_FINE[0]


@dataclass(frozen=True, eq=False)
class CrossCurves:
    """Levers kn_m and edge_over_m (m, k) at mass_kg (m,) and HEEL_RAD (k,); km_m (m,) upright.

    A lever is NaN where the boat goes under. edge_over_m is how far the lowest point of the sheer
    stands over the water.
    """

    mass_kg: Array
    kn_m: Array
    edge_over_m: Array
    km_m: Array

    def levers(self, mass_kg: Array, kg_m: Array) -> "Levers":
        """Of n loadings (n,): their mass, and how high it acts.

        Between two masses the moments, mass by lever, go straight: BM falls as 1/V.
        """
        low, share = self._row(mass_kg)
        edge = (1 - share) * self.edge_over_m[low] + share * self.edge_over_m[low + 1]
        kn = self._between(self.kn_m, low, share, mass_kg)
        return Levers(
            gm_m=self._between(self.km_m[:, None], low, share, mass_kg)[:, 0] - kg_m,
            gz_m=_halved(kn) - kg_m[:, None] * np.sin(_READ_RAD),
            edge_over_m=_halved(edge),
        )

    def through(self, loads: Loads, curve: RightingCurve, gm_m: float) -> "CrossCurves":
        """Shifted so that one loading reads as its own righting curve, at HEEL_RAD, has it.

        Takes in the trim that the loading has and the even keel has not, to first order.
        """
        _, aside, kg = (float(v) for v in loads.centre_m)
        heel, one = curve.heel_rad, np.array([loads.total_kg])
        low, share = self._row(one)
        kn = curve.gz_m - aside * np.cos(heel) + kg * np.sin(heel)
        kn -= self._between(self.kn_m, low, share, one)[0]
        edge = (
            curve.edge_over_m
            - ((1 - share) * self.edge_over_m[low] + share * self.edge_over_m[low + 1])[0]
        )
        km = gm_m + kg - float(self._between(self.km_m[:, None], low, share, one)[0, 0])
        return replace(
            self,
            kn_m=self.kn_m + np.where(np.isfinite(kn), kn, 0.0),
            edge_over_m=self.edge_over_m + np.where(np.isfinite(edge), edge, 0.0),
            km_m=self.km_m + km,
        )

    def _row(self, mass_kg: Array) -> tuple[Index, Array]:
        """The row below each mass (n,), and the share (n, 1) of the way to the next."""
        last = len(self.mass_kg) - 1
        at = np.clip(np.interp(mass_kg, self.mass_kg, np.arange(last + 1)), 0, last - 1e-9)
        low = at.astype(np.intp)
        return low, (at - low)[:, None]

    def _between(self, lever_m: Array, low: Index, share: Array, mass_kg: Array) -> Array:
        moment = lever_m * self.mass_kg[:, None]
        read: Array = ((1 - share) * moment[low] + share * moment[low + 1]) / np.clip(
            mass_kg, self.mass_kg[0], self.mass_kg[-1]
        )[:, None]
        return read


@dataclass(frozen=True, eq=False)
class Levers:
    """Of n loadings on the centreline: gm_m (n,), and gz_m and edge_over_m (n, k) at the first k
    heels of a full curve. NaN is where the boat goes under."""

    gm_m: Array
    gz_m: Array
    edge_over_m: Array

    @cached_property
    def _held_m(self) -> Array:
        """(n, k): the levers, and none that would be the greatest where the boat goes under."""
        return np.where(np.isfinite(self.gz_m), self.gz_m, -1.0)

    def read(self, aside_m: Array) -> "Reading":
        """With their weights off the middle by so much (n,)."""
        rows, at_heels = np.arange(len(aside_m)), self._held_m
        greatest = at_heels.argmax(axis=1)  # of a monotone curve it lies at one of them
        left = _spread(at_heels, _TO_FINE) - np.abs(aside_m)[:, None] * _FINE_COS
        holds = left >= 0
        rests = holds.any(axis=1)
        first = holds.argmax(axis=1)
        edge = _spread(self.edge_over_m, _TO_FINE)[rows, first]
        return Reading(
            gm_m=self.gm_m,
            greatest_gz_m=np.maximum(at_heels[rows, greatest], 0.0),
            greatest_at=greatest,
            heel_rad=np.where(rests, _FINE_RAD[first] * -np.sign(aside_m), np.nan),
            heel_at=np.where(rests, _FINE_LOW[first], -1),
            edge_over_m=np.where(rests, edge, np.nan),
        )

    def beside(self, at: Index) -> Index:
        """(n,): of the heels on either side of those at (n,), the one with the greater lever."""
        rows, last = np.arange(len(at)), self.gz_m.shape[1] - 1
        low, high = np.maximum(at - 1, 0), np.minimum(at + 1, last)
        levers = self._held_m
        return np.where(levers[rows, high] > levers[rows, low], high, low)

    def take(self, rows: Index) -> "Levers":
        """Of some of the loadings."""
        return Levers(self.gm_m[rows], self.gz_m[rows], self.edge_over_m[rows])

    def through(self, known: Flags, gz_m: Array, edge_over_m: Array) -> "Levers":
        """Shifted to go through what was found where it is known, (n, k) each, straight between."""
        return replace(
            self,
            gz_m=_through(self.gz_m, known, gz_m, from_upright=True),
            edge_over_m=_through(self.edge_over_m, known, edge_over_m),
        )


def _through(levers_m: Array, known: Flags, found_m: Array, from_upright: bool = False) -> Array:
    """Levers begin at none, upright, whatever was found; the gunwale does not."""
    shifted, places = levers_m.copy(), np.arange(levers_m.shape[1])
    for i, off in enumerate(found_m - levers_m):
        at = np.flatnonzero(known[i] & np.isfinite(off))
        if len(at) == 0:
            continue
        if from_upright and at[0] > 0:
            shifted[i] += np.interp(places, np.append(0, at), np.append(0.0, off[at]))
        else:
            shifted[i] += np.interp(places, at, off[at])
    return np.where(known, found_m, shifted)


@dataclass(frozen=True, eq=False)
class Reading:
    """Of n loadings (n,): GM, greatest lever, heel at rest (starboard down), least freeboard.

    Heel and freeboard are NaN where there is no rest. greatest_at is the place among the heels of
    the greatest lever, heel_at that of the one below the heel at rest; −1 without.
    """

    gm_m: Array
    greatest_gz_m: Array
    greatest_at: Index
    heel_rad: Array
    heel_at: Index
    edge_over_m: Array

    def with_rows(self, rows: Index, other: "Reading") -> "Reading":
        """With some of the loadings as another reading has them."""
        columns = []
        for field in fields(self):
            column = getattr(self, field.name).copy()
            column[rows] = getattr(other, field.name)
            columns.append(column)
        return Reading(*columns)


def _halved(rows: Array) -> Array:
    """(n, k) at HEEL_RAD, as (n, 2k − 1) with the heels half way between: a cubic through four, or
    straight where one of them is not known."""
    halved = np.empty((len(rows), 2 * rows.shape[1] - 1))
    halved[:, ::2], between = rows, halved[:, 1::2]
    between[:] = straight = (rows[:, 1:] + rows[:, :-1]) / 2
    inner = (9 * (rows[:, 1:-2] + rows[:, 2:-1]) - rows[:, :-3] - rows[:, 3:]) / 16
    between[:, 1:-1] = np.where(np.isfinite(inner), inner, straight[:, 1:-1])
    return halved


def _spread(rows: Array, places: tuple[Index, Array]) -> Array:
    """(n, k) at some heels, straight between them, as (n, f) at others."""
    low, share = places
    spread: Array = (1 - share) * rows[:, low] + share * rows[:, low + 1]
    return spread


@lru_cache(maxsize=8)
def cross_curves(floating: FloatingHull, water_density_kg_m3: float) -> CrossCurves:
    """The curves of a hull, kept. Raises DoesNotFloat where it carries next to nothing."""
    capacity_m3 = float(floating.capacity_m3(floating.drains[None, :])[0])
    most = min(_HEAVIEST_KG, _FULL_SHARE * water_density_kg_m3 * capacity_m3)
    if most <= _LIGHTEST_KG:
        raise DoesNotFloat(_LIGHTEST_KG, most)
    masses = np.geomspace(_LIGHTEST_KG, most, _COUNT)
    rows, km = [], []
    x_m = floating.hull.x_aft_m + floating.hull.length_m / 2
    for mass in masses:
        held, x_m = _even_keel(floating, float(mass), x_m, water_density_kg_m3)
        rows.append(righting_curve(held, HEEL_RAD))
        km.append(upright(held).gm_m)
    return CrossCurves(
        masses,
        np.array([row.gz_m for row in rows]),
        np.array([row.edge_over_m for row in rows]),
        np.array(km),
    )


def _even_keel(
    floating: FloatingHull, mass_kg: float, x_m: float, water_density_kg_m3: float
) -> tuple[Settled, float]:
    """The hull with one weight on its keel, moved until it floats level; and where that is."""
    for move in range(_MOST_MOVES):
        loads = Loads(np.array([mass_kg]), np.array([[x_m, 0.0, 0.0]]))
        held = held_upright(floating, loads, water_density_kg_m3)
        if held is None:
            break
        up = upright(held)
        if abs(up.trim_rad) < _EVEN_RAD or move == _MOST_MOVES - 1:
            return held, x_m
        x_m += up.gm_l_m * float(np.tan(up.trim_rad))
    raise DoesNotFloat(mass_kg, mass_kg)
