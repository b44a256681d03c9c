"""How near lines come to legs and propeller, and which may cross."""

from collections.abc import Callable, Sequence

import numpy as np

from neat_hull.model.capsize_case import Run, Zone
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull

_ROUNDS = 80
_TOUCHES_M = 1e-9
_GOLDEN = (np.sqrt(5) - 1) / 2


def path_m(hull: Hull, from_m: Sequence[float], zone: Zone) -> float:
    """How long a line from a place must be to get there: straight to the legs; to a propeller over
    either sheer, which is a convex sum of two ways along each stretch of it."""
    start = np.array(from_m, dtype=float)
    if zone.kind == "legs":
        return float(_to_box(start[None, :], zone)[0])
    a, b = _gunwales(hull)
    return _least(a, b, lambda points: _way(start, points, zone))


def _gunwales(hull: Hull) -> tuple[Array, Array]:
    """Both ends (n, 3) of each stretch of either sheer."""
    sheer, n = hull.sheer_points_m, len(hull.x_m)
    ends = [(side[:-1], side[1:]) for side in (sheer[:n], sheer[n:])]
    a, b = (np.concatenate(part) for part in zip(*ends, strict=True))
    return a, b


def _way(start: Array, over: Array, zone: Zone) -> Array:
    """(n,) from a place by points (n, 3) of the sheer to a zone."""
    way: Array = np.sqrt(((over - start) ** 2).sum(axis=1)) + _to_box(over, zone)
    return way


def run_m(run: Run, zone: Zone) -> float:
    """The least way from a line that is rigged."""
    points = np.array(run.points_m, dtype=float)
    return _least(points[:-1], points[1:], lambda at: _to_box(at, zone))


def reaches(hull: Hull, from_m: Sequence[float], length_m: float, zone: Zone) -> bool:
    """Whether a line gets there; asked of a way in full only where no bound says it."""
    start = np.array(from_m, dtype=float)
    straight = float(_to_box(start[None, :], zone)[0])
    if zone.kind == "legs" or straight > length_m:
        return straight <= length_m
    a, b = _gunwales(hull)
    by_end, by_other = _way(start, a, zone), _way(start, b, zone)
    if min(by_end.min(), by_other.min()) <= length_m:
        return True
    # Along a stretch the way changes by no more than twice as much as one goes.
    may = (by_end + by_other) / 2 - np.sqrt(((b - a) ** 2).sum(axis=1)) <= length_m
    return bool(may.any()) and (
        _least(a[may], b[may], lambda points: _way(start, points, zone)) <= length_m
    )


def run_reaches(run: Run, zone: Zone) -> bool:
    """Whether a line that is rigged does; none comes nearer than the box about each stretch."""
    points = np.array(run.points_m, dtype=float)
    low, high = np.minimum(points[:-1], points[1:]), np.maximum(points[:-1], points[1:])
    off = np.maximum(np.array(zone.lo_m) - high, 0.0) + np.maximum(low - np.array(zone.hi_m), 0.0)
    slack = run.slack_m + _TOUCHES_M
    return float(np.sqrt((off**2).sum(axis=1)).min()) <= slack and run_m(run, zone) <= slack


def _to_box(points: Array, zone: Zone) -> Array:
    """(n,) from points (n, 3) to a zone; nothing within."""
    off = np.maximum(np.array(zone.lo_m) - points, 0.0) + np.maximum(
        points - np.array(zone.hi_m), 0.0
    )
    far: Array = np.sqrt((off**2).sum(axis=1))
    return far


def _least(a: Array, b: Array, way: Callable[[Array], Array]) -> float:
    """The least over stretches a to b (n, 3) of a way that is convex along each: golden section."""
    low, high = np.zeros(len(a)), np.ones(len(a))
    for _ in range(_ROUNDS):
        one, two = high - _GOLDEN * (high - low), low + _GOLDEN * (high - low)
        nearer = way(a + one[:, None] * (b - a)) < way(a + two[:, None] * (b - a))
        low, high = np.where(nearer, low, one), np.where(nearer, two, high)
    middle = (low + high)[:, None] / 2
    return float(min(way(a + middle * (b - a)).min(), way(a).min(), way(b).min()))
