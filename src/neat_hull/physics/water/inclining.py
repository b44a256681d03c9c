"""The tilt test: GM from weights moved sideways and the angles they cause."""

from dataclasses import dataclass

import numpy as np

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array

_LEAST_ANGLE_RAD = np.radians(0.2)  # smaller spreads drown in what a phone can read


@dataclass(frozen=True, eq=False)
class Inclined:
    """GM in m with its standard error, the heel before any move, and residuals (n,) in rad.

    gm_se_m is None for two readings: a line through two points has no residual.
    """

    gm_m: float
    gm_se_m: float | None
    start_rad: float
    residual_rad: Array


def gm_from_moves(mass_kg: float, moment_kg_m: Array, heel_rad: Array) -> Inclined:
    """Regress Δ·tan φ on the moments w·d (n,), starboard positive, by least squares.

    tan φ = tan φ₀ + (w·d)/(Δ·GM). Raises InputError for fewer than two readings, moments that are
    all the same, or angles that do not follow them.
    """
    if len(moment_kg_m) < 2:
        raise InputError("moves", len(moment_kg_m), "at least two readings are needed")
    lever, tilt = moment_kg_m / mass_kg, np.tan(heel_rad)
    spread = lever - lever.mean()
    if not np.ptp(lever) > 0:
        raise InputError("moves", None, "the readings need different moments: move a weight")
    if np.ptp(heel_rad) < _LEAST_ANGLE_RAD:
        raise InputError("moves", None, "the boat hardly tilted: move more weight, or further")
    slope = float(spread @ tilt) / float(spread @ spread)
    if not slope > 0:
        raise InputError("moves", None, "the boat tilted against the weight: check left and right")
    start = float(tilt.mean() - slope * lever.mean())
    residual = tilt - start - slope * lever
    gm, se = 1 / slope, None
    if len(lever) > 2:
        variance = float(residual @ residual) / (len(lever) - 2)
        se = gm**2 * float(np.sqrt(variance / float(spread @ spread)))
    return Inclined(gm, se, float(np.arctan(start)), np.arctan(residual))
