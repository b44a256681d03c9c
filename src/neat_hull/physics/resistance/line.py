"""A line of chain and rope between a boat and its anchor: a catenary of two parts, no drag on it.

Both parts hang under the same level pull; where the line is long and heavy some of it lies on the
bottom, and where it is not the anchor is lifted at an angle.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from math import asinh, hypot

import scipy  # its parts are loaded when first asked: they would hold up every start

Part = tuple[float, float]  # length, m, and weight in water, N/m: from the anchor up
_NO_PULL_N = 1e-9


@dataclass(frozen=True)
class Hung:
    """A line as it hangs: what it pulls down with at both ends, N, how much of it lies on the
    bottom, and the level way from anchor to boat, m."""

    lifts_n: float
    down_n: float
    on_bottom_m: float
    distance_m: float


def hung(parts: Sequence[Part], level_n: float, height_m: float) -> Hung | None:
    """Under a level pull, up to a height; None where it is too short to get there."""
    length = sum(long for long, _ in parts)
    if length <= height_m:
        return None
    pull = max(level_n, _NO_PULL_N)
    if _rise(parts, pull, 0.0)[0] >= height_m:
        lies = _root(lambda at: _rise(_from(parts, at), pull, 0.0)[0] - height_m, length)
        _, ahead, down = _rise(_from(parts, lies), pull, 0.0)
        return Hung(0.0, down, lies, lies + ahead)
    most = pull
    while _rise(parts, pull, most)[0] < height_m:
        most *= 4
    lifts = _root(lambda up: _rise(parts, pull, up)[0] - height_m, most)
    _, ahead, down = _rise(parts, pull, lifts)
    return Hung(lifts, down, 0.0, ahead)


def _root(of: Callable[[float], float], most: float) -> float:
    return float(scipy.optimize.brentq(of, 0.0, most, xtol=1e-12))


def shape(
    parts: Sequence[Part], level_n: float, height_m: float, points: int = 60
) -> list[tuple[float, float]]:
    """Places [along, up] from the anchor to the boat; none where it is too short to get there."""
    found = hung(parts, level_n, height_m)
    if found is None:
        return []
    pull, length = max(level_n, _NO_PULL_N), sum(long for long, _ in parts)
    rising = _from(parts, found.on_bottom_m)
    places = [(0.0, 0.0)]
    for n in range(points + 1):
        left = (length - found.on_bottom_m) * n / points
        up, ahead, _ = _rise(_to(rising, left), pull, found.lifts_n)
        places.append((found.on_bottom_m + ahead, up))
    return places


def _to(parts: Sequence[Part], at_m: float) -> list[Part]:
    """The first so much of a line."""
    first = []
    for long, weight in parts:
        cut = min(long, at_m)
        at_m -= cut
        first.append((cut, weight))
    return first


def _from(parts: Sequence[Part], at_m: float) -> list[Part]:
    """What is left of a line beyond so much of it."""
    left = []
    for long, weight in parts:
        cut = min(long, at_m)
        at_m -= cut
        left.append((long - cut, weight))
    return left


def _rise(parts: Sequence[Part], pull_n: float, up_n: float) -> tuple[float, float, float]:
    """Height and level way that parts make, and the upright pull at their end."""
    height = ahead = 0.0
    for long, weight in parts:
        top = up_n + weight * long
        if weight * long > 1e-9 * pull_n:
            height += (hypot(pull_n, top) - hypot(pull_n, up_n)) / weight
            ahead += pull_n / weight * (asinh(top / pull_n) - asinh(up_n / pull_n))
        else:
            taut = hypot(pull_n, up_n)
            height += long * up_n / taut
            ahead += long * pull_n / taut
        up_n = top
    return height, ahead, up_n
