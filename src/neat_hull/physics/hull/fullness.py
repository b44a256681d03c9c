"""Sections made fuller or finer low down until they float as the real boat does.

What a tape measures — the beams, the depth — stays; what it cannot see is the bilge and the bottom.
So the half-breadth of each point is scaled by 1 + f·(1 − u)³, u its height from keel to sheer as a
share: most at the keel, hardly where the water stands, or a mark misread by 5 mm would change the
breadth there by a tenth and with it GM by a third. f runs straight from `aft` at the stern to
`fore` at the bow.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Station

MOST = 0.60  # a tape hull that far off was measured wrongly, not shaped otherwise
# How well a freeboard is known, one standard deviation: the mark is read on a moving boat, and the
# gunwale it hangs from is measured amidships alone, so the more it sweeps up the less it is known.
MARK_M = 0.005
_SHEER_M, _SWEPT_M = 0.003, 0.008
# How far hulls are off as a rule, one standard deviation: it holds what the marks leave open. Less
# where breadths were measured low down, or a mark misread by little would undo these.
USUAL, USUAL_LOW_BEAMS = 0.20, 0.08
_CONTRADICTS = 3  # times that: what was measured and what was marked cannot both be right


def mark_off_m(share: Array) -> Array:
    """How well freeboards (n,) are known at shares of the length from the stern, in m."""
    swept = np.abs(2 * share - 1) ** 2.4
    off: Array = np.sqrt(MARK_M**2 + _SHEER_M**2 + (_SWEPT_M * swept) ** 2)
    return off


@dataclass(frozen=True, eq=False)
class Fitted:
    """Fullness at bow and stern, and how far each mark (n,) is off before and after, in m."""

    fore: float
    aft: float
    before_m: Array
    after_m: Array


def filled(
    stations: tuple[Station, ...], fore: float, aft: float, low_down: bool = True
) -> tuple[Station, ...]:
    """The same stations, fuller (positive) or finer.

    Not `low_down`, by 1 + f·(1 − u⁴), as fits of the first version were made and are still read.
    """
    if len(stations) < 2 or (fore == 0.0 and aft == 0.0):
        return stations  # fewer are no hull, which is told where hulls are
    x_aft, x_fwd = stations[0].x_m, stations[-1].x_m

    def one(station: Station) -> Station:
        share = (station.x_m - x_aft) / (x_fwd - x_aft)
        y, z = station.points_m.T
        keel, sheer = z.min(), z[-1]
        up = np.clip((z - keel) / max(sheer - keel, 1e-9), 0.0, 1.0)
        where = (1 - up) ** 3 if low_down else 1 - up**4
        wider = 1 + (aft + share * (fore - aft)) * where
        full = y * wider
        if low_down:
            full = np.minimum(full, y.max())  # no broader than the tape found it
        return Station(station.x_m, np.column_stack((full, z)))

    return tuple(one(station) for station in stations)


def fit_fullness(
    off_m: Callable[[float, float], Array], known_m: Array, usual: float = USUAL
) -> Fitted:
    """Fit both factors by least squares to marks; `off_m(fore, aft)` gives model less mark (n,).

    known_m (n,) is how well each of them is known, `usual` how far off such hulls are as a rule.

    Raises InputError if even the best fit lies at the end of what a tape hull can be off.
    """
    before = off_m(0.0, 0.0)

    def residuals(factors: Array) -> Array:
        fore, aft = (float(f) for f in factors)
        return np.concatenate((off_m(fore, aft) / known_m, factors / usual))

    most = min(MOST, _CONTRADICTS * usual)
    best = scipy.optimize.least_squares(
        residuals, np.zeros(2), bounds=(-most, most), diff_step=[1e-3], xtol=1e-5
    )
    fore, aft = (float(f) for f in best.x)
    if max(abs(fore), abs(aft)) > 0.99 * most:
        raise InputError(
            "marks",
            None,
            "no such boat: the marks and the measured beams disagree too far; "
            "check load, marks and tape",
        )
    return Fitted(fore, aft, before, off_m(fore, aft))
