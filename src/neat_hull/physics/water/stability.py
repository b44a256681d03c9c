"""What a righting curve says: greatest lever, where it ends, what it takes to get there.

Angles from curves of 2.5° steps, between the steps by monotone cubics; see docs/physics.md.
"""

from dataclasses import dataclass
from typing import TypeAlias

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.physics.arrays import Array
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.hydrostatics import RightingCurve, Settled, settle_with_curve
from neat_hull.physics.water.loads import Loads

_NO_LEVER_M = 1e-7  # far below what anything here is known to
_Line: TypeAlias = "scipy.interpolate.PchipInterpolator"


@dataclass(frozen=True)
class CurveEnds:
    """Where a righting curve ends, heels in rad, None where it does not within 90°.

    deck_edge: the sheer goes under; flooding: a plugged well takes water over its rim; vanishing:
    the boat stops righting itself; sinking: no rest at all. first is the smallest of them.
    """

    deck_edge_rad: float | None
    flooding_rad: float | None
    vanishing_rad: float | None
    sinking_rad: float | None

    @property
    def first_rad(self) -> float | None:
        """The first of the limits."""
        all_ = (self.deck_edge_rad, self.flooding_rad, self.vanishing_rad, self.sinking_rad)
        return min((one for one in all_ if one is not None), default=None)


@dataclass(frozen=True)
class Stability:
    """A righting curve in figures; energy_j takes the boat to its first limit."""

    greatest_gz_m: float
    greatest_at_rad: float
    limits: CurveEnds
    energy_j: float


def stability(curve: RightingCurve, mass_kg: float) -> Stability:
    """Figures of a curve whose heels ascend from 0 (k,)."""
    heel, known = curve.heel_rad, np.isfinite(curve.gz_m)
    sinking = float(heel[np.argmin(known)]) if not known.all() else None
    count = len(heel) if known.all() else int(np.argmin(known))
    heel, gz = heel[:count], curve.gz_m[:count]
    line = scipy.interpolate.PchipInterpolator(heel, gz)
    greatest, at = _greatest(line, heel)
    limits = CurveEnds(
        deck_edge_rad=first_zero(heel, curve.edge_over_m[:count]),
        flooding_rad=first_zero(heel, curve.rims_over_m[:count]),
        vanishing_rad=_vanishing(line, heel, gz, at),
        sinking_rad=sinking,
    )
    end = limits.first_rad if limits.first_rad is not None else float(heel[-1])
    # A boat that lists starts from where it lies, the crossing before its greatest lever.
    start = 0.0
    if gz[0] < -_NO_LEVER_M:
        start = max((root for root in _crossings(line, heel) if root < at), default=0.0)
    work = float(line.integrate(start, end)) if end > start else 0.0
    return Stability(greatest, at, limits, max(0.0, mass_kg * GRAVITY_M_S2 * work))


def stability_of(
    floating: FloatingHull, loads: Loads, water_density_kg_m3: float
) -> tuple[Settled, RightingCurve, Stability]:
    """Settle a boat and read its full curve. Raises DoesNotFloat or NoBalance like `settle`."""
    settled, curve = settle_with_curve(floating, loads, water_density_kg_m3, FULL_RAD)
    return settled, curve, stability(curve, loads.total_kg)


def _greatest(line: _Line, heel: Array) -> tuple[float, float]:
    fine = np.linspace(float(heel[0]), float(heel[-1]), 1441)
    gz = line(fine)
    k = int(np.argmax(gz))
    return float(gz[k]), float(fine[k])


def _crossings(line: _Line, heel: Array) -> list[float]:
    roots = np.asarray(line.roots(extrapolate=False), dtype=float)
    inside = roots[np.isfinite(roots) & (roots > float(heel[0]) + 1e-9)]
    return sorted(float(root) for root in inside)


def _vanishing(line: _Line, heel: Array, gz: Array, best_rad: float) -> float | None:
    """The first zero after the greatest lever; None while the boat still rights itself."""
    if gz.max() <= 0:
        return 0.0
    return next((root for root in _crossings(line, heel) if root > best_rad), None)


def first_zero(at: Array, height_m: Array) -> float | None:
    """Where heights first come down to 0, straight between the steps of the curve."""
    under = np.flatnonzero(~(height_m > 0))
    if len(under) == 0:
        return None
    k = int(under[0])
    if k == 0 or not np.isfinite(height_m[k]):
        return float(at[k])
    share = height_m[k - 1] / (height_m[k - 1] - height_m[k])
    return float(at[k - 1] + share * (at[k] - at[k - 1]))
