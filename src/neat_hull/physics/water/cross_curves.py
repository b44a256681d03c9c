"""Cross curves of stability: righting levers of a hull by displacement and heel, for any weights.

KN is the lever that the boat would have with its centre of gravity on the keel; GZ = KN − KG·sin φ
(Rawson and Tupper, *Basic Ship Theory*, 5th ed., chapter 4). Taken once per hull at even keel, so
that many loadings can be read off at the cost of an interpolation; a trim of two degrees moves the
levers by a few per cent.
"""

from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from neat_hull.errors import DoesNotFloat
from neat_hull.physics.arrays import Array
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.heels import HEEL_RAD
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
_FINE_RAD = np.radians(np.arange(0.0, 60.01, 0.25))
_FINE_SIN, _FINE_COS = np.sin(_FINE_RAD), np.cos(_FINE_RAD)
# Where each stands among HEEL_RAD: the one below, and the share of the way to the next.
_FINE_AT = np.minimum(_FINE_RAD / HEEL_RAD[1], len(HEEL_RAD) - 1 - 1e-9)
_FINE_LOW = _FINE_AT.astype(int)
_FINE_SHARE = _FINE_AT - _FINE_LOW


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

    def read(self, mass_kg: Array, kg_m: Array, aside_m: Array) -> "Reading":
        """Levers of n loadings (n,): their mass, and where it acts: up, and off the middle.

        Between two masses the moments, mass by lever, go straight: BM falls as 1/V.
        """
        low, share = self._row(mass_kg)
        kn = self._between(self.kn_m, low, share, mass_kg)
        edge = (1 - share) * self.edge_over_m[low] + share * self.edge_over_m[low + 1]
        gz = _fine(kn) - kg_m[:, None] * _FINE_SIN
        gz = np.where(np.isfinite(gz), gz, -1.0)
        left = gz - np.abs(aside_m)[:, None] * _FINE_COS
        holds = left >= 0
        first = np.where(holds.any(axis=1), holds.argmax(axis=1), -1)
        rests = first >= 0
        rows = np.arange(len(first))
        return Reading(
            gm_m=self._between(self.km_m[:, None], low, share, mass_kg)[:, 0] - kg_m,
            greatest_gz_m=np.maximum(gz.max(axis=1), 0.0),
            heel_rad=np.where(rests, _FINE_RAD[first] * -np.sign(aside_m), np.nan),
            edge_over_m=np.where(rests, _fine(edge)[rows, first], np.nan),
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
class Reading:
    """Of n loadings (n,): GM, greatest lever, heel at rest (starboard down), least freeboard.

    Heel and freeboard are NaN where there is no rest.
    """

    gm_m: Array
    greatest_gz_m: Array
    heel_rad: Array
    edge_over_m: Array


def _fine(rows: Array) -> Array:
    """(n, k) at HEEL_RAD, straight between them, as (n, f) at _FINE_RAD."""
    fine: Array = (1 - _FINE_SHARE) * rows[:, _FINE_LOW] + _FINE_SHARE * rows[:, _FINE_LOW + 1]
    return fine


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
