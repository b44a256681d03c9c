"""A boat let go from upright: the place of rest that it comes to, stable in heel."""

import math
from collections.abc import Callable, Iterator
from typing import TypeAlias

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import NoBalance
from neat_hull.physics.arrays import Array
from neat_hull.physics.water.balance import ITERATIONS, RESIDUAL, TRIM_STEP, Problem, flooding
from neat_hull.physics.water.floating import FloatingHull, Rest
from neat_hull.physics.water.heels import FULL_RAD, SCANNED_RAD
from neat_hull.physics.water.held import rest_at_heels
from neat_hull.physics.water.immersion import Immersion, Sideways, immersed

_HEEL_STEP_RAD = np.radians(6.0)
_CHECKED_HEEL_RAD = np.radians(10.0)  # beyond this a nearer place of rest might have been jumped
_LEAST_RAD = 1e-4  # upright itself, where a boat may balance and yet go over, is not looked at


def rest_free(
    floating: FloatingHull,
    volume_m3: float,
    centre_m: Array,
    upright: Rest,
    near: Rest | None = None,
) -> Rest:
    """The place of rest (k = 1) of a boat let go from upright (k = 1), stable in heel. `near` is
    how it lies at all heels of a full curve under much the same load, a start for the search.

    Raises NoBalance if it floods and sinks, rolls over or stands on its end.
    """
    problem = Problem(floating, volume_m3, centre_m)
    if not upright.floats[0]:
        _raise_sinking(problem, upright)
    rest = _newton_free(problem, upright)
    if rest is None or abs(rest.heel_rad[0]) > _CHECKED_HEEL_RAD:
        rest = _roll_until_still(problem, near)
    return rest


def _raise_sinking(problem: Problem, rest: Rest) -> None:
    share = float(problem.floating.capacity_m3(rest.lost)[0]) / problem.volume_m3
    if share <= 1:
        flooded = rest.lost[0] & ~problem.floating.drains
        names = [w.name for w, wet in zip(problem.floating.hull.wells, flooded, strict=True) if wet]
        raise NoBalance(f"does not float: it floods by the {' and the '.join(names)} and goes down")
    end = "bow" if problem.centre_m[0] > problem.floating.hull.x_m.mean() else "stern"
    raise NoBalance(f"does not float level: the {end} goes under before the weight is carried")


def _newton_free(problem: Problem, start: Rest) -> Rest | None:
    """Newton in h, τ and φ together from an upright rest; None unless it ends stable in heel."""
    floating, lost = problem.floating, start.lost
    heel, h, tau = (float(v[0]) for v in (start.heel_rad, start.h_m, start.tau))
    im, side = start.immersion, start.sideways
    volume, moment = problem.volume_m3, problem.volume_m3 * problem.length_m
    most_h, counted = 0.4 * floating.depth_m, floating.lattice.counted(lost)
    for _ in range(ITERATIONS):
        residual, stiffness = _three(problem, im, side, heel, h, tau)
        off, along, aside = residual
        if max(abs(off) / volume, abs(along) / moment, abs(aside) / moment) < RESIDUAL:
            floats = np.ones(1, dtype=np.bool_)
            heel_rad, h_m, at_tau = np.array([[heel], [h], [tau]])
            rest = Rest(heel_rad, h_m, at_tau, lost, floats, im, side)
            newly = flooding(rest, floating.hull) & ~lost
            if not newly.any():
                return rest if _stable(stiffness) else None
            lost = lost | newly
            if not floating.capacity_m3(lost)[0] > volume:
                return None
            counted = floating.lattice.counted(lost)
        else:
            step = _solved(stiffness, residual)
            if step is None:
                return None
            step_h, step_tau, step_heel = step
            over = max(
                1.0,
                abs(step_h) / (most_h + problem.length_m * abs(step_tau)),
                abs(step_tau) / TRIM_STEP,
                abs(step_heel) / _HEEL_STEP_RAD,
            )
            h, tau, heel = h - step_h / over, tau - step_tau / over, heel - step_heel / over
            if not (abs(heel) < np.pi / 2 and np.isfinite(h)):
                return None
        im, side = immersed(floating.lattice, heel, h, tau, counted)
    return None


_Three = tuple[float, float, float]


def _solved(stiffness: tuple[_Three, _Three, _Three], right: _Three) -> _Three | None:
    """x of three equations, by Cramer's rule; None where they have no one answer."""
    one, two, three = stiffness
    normal = _cross(two, three)
    det = _dot(one, normal)
    if det == 0.0:
        return None
    p, q, r = right
    other, last = _cross(three, one), _cross(one, two)
    x, y, z = ((p * a + q * b + r * c) / det for a, b, c in zip(normal, other, last, strict=True))
    return x, y, z


def _cross(a: _Three, b: _Three) -> _Three:
    return a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]


def _dot(a: _Three, b: _Three) -> float:
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2]


def _three(
    problem: Problem, im: Immersion, side: Sideways, heel: float, h: float, tau: float
) -> tuple[_Three, tuple[_Three, _Three, _Three]]:
    """Residuals and stiffness in (h, τ, φ), one attitude; see docs/physics.md."""
    x_g, y_g, z_g = problem.centre_m.tolist()
    v0, t = problem.volume_m3, tau
    sin, cos = math.sin(heel), math.cos(heel)
    s_g, e_g = y_g * cos - z_g * sin, y_g * sin + z_g * cos
    a, ax, axx = im.a.item(), im.ax.item(), im.axx.item()
    a_s, axs, ass = side.as_.item(), side.axs.item(), side.ass.item()
    vs, ve = side.vs.item(), im.ve.item()
    lever = ve - v0 * e_g
    residual = im.v_m3.item() - v0, im.vx.item() - v0 * x_g - t * lever, vs - v0 * s_g
    e_by_heel = vs - (h * a_s - t * axs) - v0 * s_g
    return residual, (
        (a, -ax, -a_s),
        (
            ax - t * (h * a - t * ax),
            -axx - lever + t * (h * ax - t * axx),
            -axs - t * e_by_heel,
        ),
        (a_s, -axs, -ass - lever),
    )


def _stable(stiffness: tuple[_Three, _Three, _Three]) -> bool:
    """Say whether a small push in heel is resisted, at once and once sinkage and trim follow it."""
    (a, b, e), (c, d, f), (g, h, i) = stiffness
    det = a * d - b * c
    if det == 0.0 or i >= 0.0:
        return False
    sink, trim = (e * d - b * f) / det, (a * f - e * c) / det
    return bool(i - g * sink - h * trim < 0.0)


def _roll_until_still(problem: Problem, near: Rest | None) -> Rest:
    """Follow the righting lever from upright to the first place where it turns to restoring."""
    floating, volume_m3, centre_m = problem.floating, problem.volume_m3, problem.centre_m

    def at(heels: Array) -> tuple[Rest, Array]:
        rest = rest_at_heels(floating, volume_m3, centre_m, heels)
        return rest, rest.righting_lever_m(centre_m)

    upright, levers = at(np.zeros(1))
    lever = float(levers[0])
    balanced = abs(lever) <= 1e-9
    side = 1.0 if balanced else -float(np.sign(lever))
    scanned = _scanned(problem, side, near)
    below, was = next(scanned)
    for rest, now in scanned:
        if balanced:
            was, balanced = -np.inf if now < 0 else 0.0, False
        # What floods a little further over hides from the levers that it was at rest before.
        if was < 0 and (now >= 0 or (rest.lost != below.lost).any()):
            still = _between(problem, at, below, rest)
            if still is not None:
                return still
        if not rest.floats[0]:
            break
        if was == 0.0 and now >= 0:
            return upright
        below, was = rest, now
    raise NoBalance("rolls over: no heel up to 90° gives it a stable place of rest")


_HeldAt: TypeAlias = Callable[[Array], tuple[Rest, Array]]


def _scanned(problem: Problem, side: float, near: Rest | None) -> Iterator[tuple[Rest, float]]:
    """Heel after heel to that side, how it is held there and how much that restores; looked for on
    starboard, where the sections are tabulated."""
    floating, volume_m3 = problem.floating, problem.volume_m3
    centre_m = problem.centre_m * (1.0, side, 1.0)
    for heels in SCANNED_RAD if near is None else (FULL_RAD,):
        rest = rest_at_heels(floating, volume_m3, centre_m, heels, near=near)
        levers = rest.righting_lever_m(centre_m)
        there = rest if side > 0 else rest.mirrored()
        for i, lever in enumerate(levers.tolist()):
            yield there.row(i), lever


def _between(problem: Problem, at: _HeldAt, below: Rest, above: Rest) -> Rest | None:
    """The place of rest between two heels, of which it goes on from the one and is held up by the
    other; None where it floods before it gets there."""
    low, high = float(below.heel_rad[0]), float(above.heel_rad[0])
    found = _newton_free(problem, below)
    if found is not None and min(low, high) <= found.heel_rad[0] <= max(low, high):
        return found
    low = math.copysign(max(abs(low), _LEAST_RAD), high)
    ends = [float(at(np.array([heel]))[1][0]) for heel in (low, high)]
    if not ends[0] * ends[1] < 0:
        return None
    heel = scipy.optimize.brentq(lambda p: float(at(np.array([p]))[1][0]), low, high, xtol=1e-10)
    still, lever = at(np.array([heel]))
    return still if abs(lever[0]) < 1e-6 else None
