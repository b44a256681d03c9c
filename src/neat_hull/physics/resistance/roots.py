"""Where a curve comes up through nothing."""

from collections.abc import Callable, Iterator

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.physics.arrays import Array

_STEP, _AT_ONCE = 0.05, 16
_CLOSER = np.linspace(0.0, 1.0, _AT_ONCE + 1)


def first_rise(of: Callable[[Array], Array], most: float) -> float | None:
    """The least x in (0, most] at which `of` comes from below 0 to 0, looked for by steps."""
    steps = np.append(np.arange(0.0, most - _STEP / 2, _STEP), most)
    for first in range(0, len(steps) - 1, _AT_ONCE):
        here = steps[first : first + _AT_ONCE + 1]
        for n in rises(of(here)):
            return between(of, float(here[n]), float(here[n + 1]))
    return None


def near_rise(of: Callable[[Array], Array], most: float) -> float | None:
    """The same to about 1e-5 by two looks, for what is told while something moves."""
    steps = np.append(np.arange(0.0, most - _STEP / 2, _STEP), most)
    n = next(rises(of(steps)), None)
    if n is None:
        return None
    return between_near(of, float(steps[n]), float(steps[n + 1]))


def between_near(of: Callable[[Array], Array], low: float, high: float) -> float:
    """The root between two x of different signs, by the chord of a sixteenth of the way."""
    closer = low + (high - low) * _CLOSER
    values = of(closer)
    n = next(rises(values), _AT_ONCE - 1)
    before, after = float(values[n]), float(values[n + 1])
    return float(closer[n] + (closer[n + 1] - closer[n]) * before / (before - after))


def between(of: Callable[[Array], Array], low: float, high: float) -> float:
    """The root between two x of different signs, to 1e-10."""
    find = scipy.optimize.brentq
    return float(find(lambda x: float(of(np.array([x]))[0]), low, high, xtol=1e-10, rtol=1e-12))


def rises(values: Array) -> Iterator[int]:
    """Places n at which values (n,) are below 0 and the next is not."""
    return iter(np.flatnonzero((values[:-1] < 0) & (values[1:] >= 0)).tolist())
