"""Where a curve first comes up through nothing."""

from collections.abc import Callable

from scipy.optimize import brentq

_STEP = 0.05


def first_rise(of: Callable[[float], float], most: float) -> float | None:
    """The least x in (0, most] at which `of` comes from below 0 to 0, looked for by steps."""
    low, at_low = 0.0, of(0.0)
    while low < most:
        high = min(most, low + _STEP)
        at_high = of(high)
        if at_low < 0 <= at_high:
            return float(brentq(of, low, high, xtol=1e-10, rtol=1e-12))
        low, at_low = high, at_high
    return None
