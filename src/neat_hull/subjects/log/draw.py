"""What is taken from a battery an hour, out of what the electrics hold and what trips say."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt

import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.subjects.log.typical import (
    ASSUMED_SHARE,
    BAND,
    DIFFERS_SD,
    DIFFERS_SHARE,
    ENOUGH,
    OWN_SCATTER,
    READ_SHARE,
)


@dataclass(frozen=True)
class Estimate:
    """A draw and its standard deviation, W, and what holds it 95 times of 100."""

    draw_w: float
    sd_w: float
    low_w: float
    high_w: float


def estimate(
    hours: Sequence[float], energy_wh: Sequence[float], usable_wh: float, assumed_w: float | None
) -> Estimate | None:
    """Weighted mean of the assumed draw and of a line through the trips; None with neither.

    `D = (D0/t² + Σ hE/e²) / (1/t² + Σ h²/e²)`, `sd = (1/t² + Σ h²/e²)^(-1/2)`: the linear
    estimate of least variance of a slope with a prior (any text on least squares). The error e of
    a reading is typical; with four trips or more it is the trips' own scatter where that is larger,
    and the band is then Student's with n - 1 degrees of freedom.
    """
    n = len(hours)
    if not n and not assumed_w:
        return None
    read_wh, quantile = READ_SHARE * usable_wh, float(scipy.special.ndtri((1 + BAND) / 2))
    sum_hh = sum(h * h for h in hours)
    sum_he = sum(h * wh for h, wh in zip(hours, energy_wh, strict=True))
    if n >= OWN_SCATTER:
        slope = sum_he / sum_hh
        rest = sum((wh - slope * h) ** 2 for h, wh in zip(hours, energy_wh, strict=True))
        own_wh = sqrt(rest / (n - 1))
        if own_wh > read_wh:
            read_wh, quantile = own_wh, float(scipy.special.stdtrit(n - 1, (1 + BAND) / 2))
    prior = 0.0 if not assumed_w else 1 / (ASSUMED_SHARE * assumed_w) ** 2
    known = prior + sum_hh / read_wh**2
    draw = (prior * (assumed_w or 0.0) + sum_he / read_wh**2) / known
    sd = known**-0.5
    return Estimate(draw, sd, max(0.0, draw - quantile * sd), draw + quantile * sd)


def differs(n: int, found: Estimate, assumed_w: float | None) -> bool:
    """Whether it is told: enough trips, and further from what is held than chance and a tenth."""
    if n < ENOUGH or not assumed_w:
        return False
    apart = abs(found.draw_w - assumed_w)
    return apart > DIFFERS_SD * found.sd_w and apart > DIFFERS_SHARE * assumed_w
