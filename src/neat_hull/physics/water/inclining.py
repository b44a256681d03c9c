"""The tilt test: GM from weights moved sideways and the angles they cause."""

from dataclasses import dataclass

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array

_LEAST_ANGLE_RAD = np.radians(0.2)  # smaller spreads drown in what a phone can read
# What a level on deck is read to, one standard deviation, on a boat that never lies quite still;
# taken for as much as three more readings, so that four that happen to lie on a line claim no more.
_READ_RAD, _AS_MANY = np.radians(0.25), 3
# Of GM: the jug is weighed to a per cent, its distance off the middle measured to a centimetre in
# thirty or forty, and every reading shares it.
_MOMENT_SHARE = 0.04
_SURE = 0.975  # both tails: nineteen times of twenty


@dataclass(frozen=True, eq=False)
class Inclined:
    """GM in m, its standard error, and how far it may be off (95 %); the heel before any move, and
    residuals (n,) in rad.

    gm_se_m is None for two readings: a line through two points has no residual.
    """

    gm_m: float
    gm_se_m: float | None
    gm_off_m: float
    start_rad: float
    residual_rad: Array


def gm_from_moves(mass_kg: float, moment_kg_m: Array, heel_rad: Array) -> Inclined:
    """Regress Δ·tan φ on the moments w·d (n,), starboard positive, by least squares.

    tan φ = tan φ₀ + (w·d)/(Δ·GM): right for the first few degrees. Raises InputError for fewer than
    two readings, moments that are all the same, or angles that do not follow them.
    """
    lever, tilt = _readings(mass_kg, moment_kg_m, heel_rad)
    spread = lever - lever.mean()
    slope = float(spread @ tilt) / float(spread @ spread)
    if not slope > 0:
        raise InputError("moves", None, "the boat tilted against the weight: check left and right")
    start = float(tilt.mean() - slope * lever.mean())
    residual = tilt - start - slope * lever
    gm = 1 / slope
    per_reading = gm**2 / float(np.sqrt(spread @ spread))
    return _inclined(gm, per_reading, float(np.arctan(start)), np.arctan(residual))


def gm_by_curve(
    mass_kg: float, moment_kg_m: Array, heel_rad: Array, gz_m: Array, gm_m: float
) -> Inclined:
    """As `gm_from_moves`, on the boat's own righting levers gz_m (n,) at the angles read.

    The hull is taken to have another height of its centre of gravity, k higher: then
    (w·d)/Δ + c = GZ(φ)/cos φ − k·tan φ, and GM is gm_m − k; k and c by least squares. Raises
    InputError as `gm_from_moves` does.
    """
    lever, tilt = _readings(mass_kg, moment_kg_m, heel_rad)
    short = gz_m / np.cos(heel_rad) - lever
    spread = tilt - tilt.mean()
    k = float(spread @ short) / float(spread @ spread)
    gm = gm_m - k
    if not gm > 0:
        raise InputError("moves", None, "the boat tilted against the weight: check left and right")
    start_m = float(short.mean() - k * tilt.mean())
    residual = (short - k * tilt - start_m) / gm  # rad: a lever over the slope near upright
    per_reading = gm / float(np.sqrt(spread @ spread))
    return _inclined(gm, per_reading, start_m / gm, residual)


def _readings(mass_kg: float, moment_kg_m: Array, heel_rad: Array) -> tuple[Array, Array]:
    if len(moment_kg_m) < 2:
        raise InputError("moves", len(moment_kg_m), "at least two readings are needed")
    lever = moment_kg_m / mass_kg
    if not np.ptp(lever) > 0:
        raise InputError("moves", None, "the readings need different moments: move a weight")
    if np.ptp(heel_rad) < _LEAST_ANGLE_RAD:
        raise InputError("moves", None, "the boat hardly tilted: move more weight, or further")
    return lever, np.tan(heel_rad)


def _inclined(gm_m: float, per_rad_m: float, start_rad: float, residual_rad: Array) -> Inclined:
    """`per_rad_m` is what a reading off by one radian takes GM off by, in m."""
    square, spare = float(np.tan(residual_rad) @ np.tan(residual_rad)), len(residual_rad) - 2
    se = per_rad_m * float(np.sqrt(square / spare)) if spare else None
    pooled = np.sqrt((square + _AS_MANY * _READ_RAD**2) / (spare + _AS_MANY))
    sure = float(scipy.special.stdtrit(spare + _AS_MANY, _SURE))
    off = float(np.hypot(sure * per_rad_m * pooled, _MOMENT_SHARE * gm_m))
    return Inclined(gm_m, se, off, start_rad, residual_rad)
