"""Sections made fuller or finer under water until they float as the real boat does.

What a tape measures — the beams at the gunwale, the depth — stays; between keel and sheer the
half-breadth of each point is scaled by 1 + f·(1 − u⁴), u its height from keel to sheer as a share.
f runs straight from `aft` at the stern to `fore` at the bow.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Station

MOST = 0.30  # a tape hull that far off was measured wrongly, not shaped otherwise
MARK_M = 0.005  # how well a water mark is read on a moving boat
_USUAL = 0.15  # tape hulls are this far off at most, as a rule; holds what two marks leave open


@dataclass(frozen=True, eq=False)
class Fitted:
    """Fullness at bow and stern, and how far each mark (n,) is off before and after, in m."""

    fore: float
    aft: float
    before_m: Array
    after_m: Array


def filled(stations: tuple[Station, ...], fore: float, aft: float) -> tuple[Station, ...]:
    """The same stations, fuller (positive) or finer under the sheer."""
    if fore == 0.0 and aft == 0.0:
        return stations
    x_aft, x_fwd = stations[0].x_m, stations[-1].x_m

    def one(station: Station) -> Station:
        share = (station.x_m - x_aft) / (x_fwd - x_aft)
        y, z = station.points_m.T
        keel, sheer = z.min(), z[-1]
        up = np.clip((z - keel) / max(sheer - keel, 1e-9), 0.0, 1.0)
        wider = 1 + (aft + share * (fore - aft)) * (1 - up**4)
        return Station(station.x_m, np.column_stack((y * wider, z)))

    return tuple(one(station) for station in stations)


def fit_fullness(off_m: Callable[[float, float], Array]) -> Fitted:
    """Fit both factors by least squares to marks; `off_m(fore, aft)` gives model less mark (n,).

    Raises InputError if even the best fit lies at the end of what a tape hull can be off.
    """
    before = off_m(0.0, 0.0)

    def residuals(factors: Array) -> Array:
        fore, aft = (float(f) for f in factors)
        return np.concatenate((off_m(fore, aft) / MARK_M, factors / _USUAL))

    best = scipy.optimize.least_squares(
        residuals, np.zeros(2), bounds=(-MOST, MOST), diff_step=[1e-3], xtol=1e-5
    )
    fore, aft = (float(f) for f in best.x)
    if max(abs(fore), abs(aft)) > 0.99 * MOST:
        raise InputError(
            "marks",
            None,
            "no such boat: the marks and the measured beams disagree too far; "
            "check load, marks and tape",
        )
    return Fitted(fore, aft, before, off_m(fore, aft))
