"""Where a loaded hull comes to rest: sinkage, trim and heel in equilibrium.

At rest ρV = M and centre of buoyancy and centre of gravity lie in one plumb line:
(r_B − r_G)·l = 0 along the boat and (r_B − r_G)·t = 0 across it. Newton's method with the exact
hydrostatic stiffness as Jacobian, damped; brackets where that fails. Formulas: docs/physics.md.
"""

import math
from dataclasses import dataclass

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import NoBalance
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.floating import FloatingHull, Rest
from neat_hull.physics.water.immersion import (
    Immersion,
    Planes,
    Sideways,
    TurnedSections,
    immersed,
)

RESIDUAL = 1e-9  # of volume and of volume × length: far below what a drawing or a scale shows
# At imposed heels so low that searches from two starts end at figures equal to 1e-9, and one let go
# from the upright of either takes the same steps; rounding of the sums is near 1e-15.
_HELD_RESIDUAL = 1e-12
_ITERATIONS = 40
_TRIM_STEP = 0.12  # tan θ·cos φ a step; larger ones jump past where the deck goes under
_HEEL_STEP_RAD = np.radians(6.0)
_STEEPEST = np.tan(np.radians(60.0))  # a boat standing on its end is not afloat in our sense
_CHECKED_HEEL_RAD = np.radians(10.0)  # beyond this a nearer place of rest might have been jumped
_SCAN_RAD = np.radians(np.arange(0.0, 90.1, 2.5))


@dataclass(frozen=True, eq=False)
class _Problem:
    """What is sought: displaced volume under a centre of gravity, on one floating hull."""

    floating: FloatingHull
    volume_m3: float
    centre_m: Array

    @property
    def length_m(self) -> float:
        return self.floating.hull.length_m

    def residuals(self, im: Immersion, heel_rad: Array, tau: Array) -> tuple[Array, Array, Array]:
        """Volume and fore-and-aft residuals (k,) as fractions, and the trim lever ∫e − V·e_G."""
        x_g, y_g, z_g = self.centre_m
        e_g = y_g * np.sin(heel_rad) + z_g * np.cos(heel_rad)
        lever = im.ve - self.volume_m3 * e_g
        along = im.vx - self.volume_m3 * x_g - tau * lever
        return (
            (im.v_m3 - self.volume_m3) / self.volume_m3,
            along / (self.volume_m3 * self.length_m),
            lever,
        )


def rest_at_heels(
    floating: FloatingHull,
    volume_m3: float,
    centre_m: Array,
    heel_rad: Array,
    trim_hint_rad: float = 0.0,
    near: Rest | None = None,
) -> Rest:
    """Sinkage and trim at rest for imposed heels (k,); wells whose rim goes under are flooded.

    Rows in which the boat goes under, or stands on its end, have `floats` False and NaN values.
    `near` is the same boat at the same heels under much the same load: a start for the search.
    """
    problem = _Problem(floating, volume_m3, centre_m)
    lost = np.repeat(floating.drains[None, :], len(heel_rad), axis=0)
    if len(heel_rad) == 1:
        return _rest_at_heel(problem, heel_rad, lost, trim_hint_rad)
    tau = np.tan(trim_hint_rad) * np.cos(heel_rad)
    known = None
    # Rows that took water are found again from the dry boat, or none would ever be dry again.
    if near is not None and near.floats.all() and (near.lost == lost).all():
        h_m, tau, known = near.h_m, near.tau, near.immersion
    else:
        h_m = floating.guess_h_m(volume_m3, heel_rad) + tau * floating.hull.x_m.mean()
    with floating.turned(heel_rad) as turned:
        while True:
            floats = floating.capacity_m3(lost) > volume_m3
            h_m, tau, found, im = _sink_and_trim(
                problem, turned, heel_rad, lost, h_m, tau, floats, known
            )
            known = None
            side = turned.sideways(floating.lattice.counted(lost))
            rest = Rest(heel_rad, h_m, tau, lost, found, im, side)
            newly = _flooding(rest, floating.hull) & ~lost
            if not newly.any():
                return rest
            lost = lost | newly


def _rest_at_heel(problem: _Problem, heel_rad: Array, lost: Flags, trim_hint_rad: float) -> Rest:
    """`rest_at_heels` for one heel, which is asked for most: the same steps, in plain numbers."""
    floating = problem.floating
    heel = float(heel_rad[0])
    tau = float(np.tan(trim_hint_rad) * np.cos(heel))
    h = float(floating.guess_h_m(problem.volume_m3, heel_rad)[0] + tau * floating.hull.x_m.mean())
    while True:
        floats = floating.capacity_m3(lost) > problem.volume_m3
        found = _sunk(problem, heel, lost, h, tau) if floats[0] else None
        if found is None:
            im, side = immersed(
                floating.lattice, heel, np.nan, np.nan, floating.lattice.counted(lost)
            )
            nan, sunk = np.full(1, np.nan), np.zeros(1, dtype=np.bool_)
            return Rest(heel_rad, nan, nan, lost, sunk, im, side)
        h, tau, im, side = found
        rest = Rest(heel_rad, np.array([h]), np.array([tau]), lost, floats, im, side)
        newly = _flooding(rest, floating.hull) & ~lost
        if not newly.any():
            return rest
        lost = lost | newly


def _sunk(
    problem: _Problem, heel: float, lost: Flags, h: float, tau: float
) -> tuple[float, float, Immersion, Sideways] | None:
    """Damped Newton in h and τ; brackets where it goes astray, None where they find nothing."""
    lattice = problem.floating.lattice
    counted, depth_m = lattice.counted(lost), problem.floating.depth_m
    volume_m3, length_m = problem.volume_m3, problem.length_m
    x_g, y_g, z_g = (float(v) for v in problem.centre_m)
    e_g = y_g * np.sin(heel) + z_g * np.cos(heel)
    tiny = 1e-9 * length_m**2
    h, tau = (0.0 if np.isnan(v) else v for v in (h, tau))
    best, at_h, at_tau = np.inf, h, tau
    step_h = step_tau = 0.0
    for _ in range(_ITERATIONS):
        try_h, try_tau = at_h + step_h, at_tau + step_tau
        im, side = immersed(lattice, heel, try_h, try_tau, counted)
        v, vx, ve = float(im.v_m3[0]), float(im.vx[0]), float(im.ve[0])
        a, ax, axx = float(im.a[0]), float(im.ax[0]), float(im.axx[0])
        lever = ve - volume_m3 * e_g
        r_v, r_l = v - volume_m3, vx - volume_m3 * x_g - try_tau * lever
        merit = (r_v / volume_m3) ** 2 + (r_l / (volume_m3 * length_m)) ** 2
        if not merit < best:
            step_h, step_tau = step_h / 2, step_tau / 2
            continue
        best, at_h, at_tau = merit, try_h, try_tau
        if best < _HELD_RESIDUAL**2:
            return at_h, at_tau, im, side
        vh, vt = a + tiny, -ax
        lh = ax - at_tau * (at_h * a - at_tau * ax)
        lt = -axx - tiny * length_m**2 - lever + at_tau * (at_h * ax - at_tau * axx)
        det = vh * lt - vt * lh
        det = det if abs(det) > 1e-300 else -1.0
        step_h, step_tau = (vt * r_l - lt * r_v) / det, (lh * r_v - vh * r_l) / det
        over = max(abs(step_tau) / _TRIM_STEP, abs(step_h - step_tau * ax / vh) / (0.4 * depth_m))
        step_h, step_tau = step_h / max(over, 1.0), step_tau / max(over, 1.0)
    if best >= (100 * RESIDUAL) ** 2:
        bracketed = _by_brackets(problem, heel, lost)
        if bracketed is None:
            return None
        at_h, at_tau = bracketed
    return at_h, at_tau, *immersed(lattice, heel, at_h, at_tau, counted)


def rest_free(floating: FloatingHull, volume_m3: float, centre_m: Array, upright: Rest) -> Rest:
    """The place of rest (k = 1) of a boat let go from upright (k = 1), stable in heel.

    Raises NoBalance if it floods and sinks, rolls over or stands on its end.
    """
    problem = _Problem(floating, volume_m3, centre_m)
    if not upright.floats[0]:
        _raise_sinking(problem, upright)
    rest = _newton_free(problem, upright)
    if rest is None or abs(rest.heel_rad[0]) > _CHECKED_HEEL_RAD:
        rest = _roll_until_still(problem)
    return rest


def _raise_sinking(problem: _Problem, rest: Rest) -> None:
    share = float(problem.floating.capacity_m3(rest.lost)[0]) / problem.volume_m3
    if share <= 1:
        flooded = rest.lost[0] & ~problem.floating.drains
        names = [w.name for w, wet in zip(problem.floating.hull.wells, flooded, strict=True) if wet]
        raise NoBalance(f"does not float: it floods by the {' and the '.join(names)} and goes down")
    end = "bow" if problem.centre_m[0] > problem.floating.hull.x_m.mean() else "stern"
    raise NoBalance(f"does not float level: the {end} goes under before the weight is carried")


def _flooding(rest: Rest, hull: Hull) -> Flags:
    """(k, w): wells whose rim the water plane reaches at any corner."""
    flooding = np.zeros_like(rest.lost)
    for i, well in enumerate(hull.wells):
        over = rest.height_over_water_m(well.rim_corners_m)
        flooding[:, i] = rest.floats & (over <= 0).any(axis=1)
    return flooding


def _sink_and_trim(
    problem: _Problem,
    turned: Planes,
    heel_rad: Array,
    lost: Flags,
    h_m: Array,
    tau: Array,
    floats: Flags,
    known: Immersion | None,
) -> tuple[Array, Array, Flags, Immersion]:
    """Damped Newton in h and τ for all rows at once; brackets for the rows it leaves open.

    `known` is the immersion at the start, where somebody has it. The last thing asked of `turned`
    is the immersion that is returned.
    """
    counted = problem.floating.lattice.counted(lost)
    depth_m = problem.floating.depth_m
    h_m, tau = np.where(np.isnan(h_m), 0.0, h_m), np.where(np.isnan(tau), 0.0, tau)
    step_h, step_tau = np.zeros_like(h_m), np.zeros_like(tau)
    best = np.full_like(h_m, np.inf)
    for _ in range(_ITERATIONS):
        im = known or turned.immerse(h_m + step_h, tau + step_tau, counted)
        at_tau = tau + step_tau
        volume, along, lever = problem.residuals(im, heel_rad, at_tau)
        merit = volume**2 + along**2
        better = merit < best
        h_m, tau = np.where(better, h_m + step_h, h_m), np.where(better, at_tau, tau)
        best = np.where(better, merit, best)
        if (best[floats] < _HELD_RESIDUAL**2).all():
            if better.all() and floats.all() and known is None:
                return h_m, tau, floats, im
            break
        known = None
        newton = _step_two(problem, im, h_m, tau, volume, along, lever, depth_m)
        step_h = np.where(better, newton[0], step_h / 2)
        step_tau = np.where(better, newton[1], step_tau / 2)
    found = floats & (best < (100 * RESIDUAL) ** 2)
    for k in np.flatnonzero(floats & ~found):
        row = _by_brackets(problem, float(heel_rad[k]), lost[k : k + 1])
        if row is not None:
            h_m[k], tau[k] = row
            found[k] = True
    h_m, tau = np.where(found, h_m, np.nan), np.where(found, tau, np.nan)
    return h_m, tau, found, turned.immerse(h_m, tau, counted)


def _step_two(
    problem: _Problem,
    im: Immersion,
    h_m: Array,
    tau: Array,
    volume: Array,
    along: Array,
    lever: Array,
    depth_m: float,
) -> tuple[Array, Array]:
    """Newton step (k,) in h and τ, kept within what one waterline can be trusted for."""
    tiny = 1e-9 * problem.length_m**2
    vh, vt = im.a + tiny, -im.ax
    lh = im.ax - tau * (h_m * im.a - tau * im.ax)
    lt = -im.axx - tiny * problem.length_m**2 - lever + tau * (h_m * im.ax - tau * im.axx)
    r_v = volume * problem.volume_m3
    r_l = along * problem.volume_m3 * problem.length_m
    det = vh * lt - vt * lh
    det = np.where(np.abs(det) > 1e-300, det, -1.0)
    step_h, step_tau = (vt * r_l - lt * r_v) / det, (lh * r_v - vh * r_l) / det
    over = np.maximum(
        np.abs(step_tau) / _TRIM_STEP, np.abs(step_h - step_tau * im.ax / vh) / (0.4 * depth_m)
    )
    shrink = 1 / np.maximum(over, 1.0)
    return step_h * shrink, step_tau * shrink


def _by_brackets(problem: _Problem, heel_rad: float, lost: Flags) -> tuple[float, float] | None:
    """One row by nested bracketing, for hulls and loads on which Newton's steps go astray."""
    lattice = problem.floating.lattice
    turned = TurnedSections(lattice, np.array([heel_rad]))
    counted = lattice.counted(lost)
    e = lattice.y_m * np.sin(heel_rad) + lattice.z_m * np.cos(heel_rad)

    def sink(tau: float) -> float:
        off = e + tau * lattice.x_m

        def short(h: float) -> float:
            im = turned.immerse(np.array([h]), np.array([tau]), counted)
            return float(im.v_m3[0]) - problem.volume_m3

        return float(scipy.optimize.brentq(short, off.min(), off.max(), xtol=1e-13))

    def along(tau: float) -> float:
        im = turned.immerse(np.array([sink(tau)]), np.array([tau]), counted)
        residual = problem.residuals(im, np.array([heel_rad]), np.array([tau]))[1]
        return float(residual[0])

    steepest = _STEEPEST * abs(np.cos(heel_rad)) + 1e-9
    if along(-steepest) * along(steepest) > 0:
        return None
    tau = float(scipy.optimize.brentq(along, -steepest, steepest, xtol=1e-13))
    return sink(tau), tau


def _newton_free(problem: _Problem, start: Rest) -> Rest | None:
    """Newton in h, τ and φ together from an upright rest; None unless it ends stable in heel."""
    floating, lost = problem.floating, start.lost
    heel, h, tau = (float(v[0]) for v in (start.heel_rad, start.h_m, start.tau))
    im, side = start.immersion, start.sideways
    volume, moment = problem.volume_m3, problem.volume_m3 * problem.length_m
    most_h, counted = 0.4 * floating.depth_m, floating.lattice.counted(lost)
    for _ in range(_ITERATIONS):
        residual, stiffness = _three(problem, im, side, heel, h, tau)
        off, along, aside = residual
        if max(abs(off) / volume, abs(along) / moment, abs(aside) / moment) < RESIDUAL:
            floats = np.ones(1, dtype=np.bool_)
            heel_rad, h_m, at_tau = np.array([[heel], [h], [tau]])
            rest = Rest(heel_rad, h_m, at_tau, lost, floats, im, side)
            newly = _flooding(rest, floating.hull) & ~lost
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
                abs(step_tau) / _TRIM_STEP,
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
    problem: _Problem, im: Immersion, side: Sideways, heel: float, h: float, tau: float
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


def _roll_until_still(problem: _Problem) -> Rest:
    """Follow the righting lever from upright to the first place where it turns to restoring."""
    floating, volume_m3, centre_m = problem.floating, problem.volume_m3, problem.centre_m

    def at(heels: Array) -> tuple[Rest, Array]:
        rest = rest_at_heels(floating, volume_m3, centre_m, heels)
        return rest, rest.righting_lever_m(centre_m)

    _, gz_upright = at(np.zeros(1))
    side = -float(np.sign(gz_upright[0])) if abs(gz_upright[0]) > 1e-9 else 1.0
    rest, gz = at(side * _SCAN_RAD)
    restoring = side * gz
    if abs(gz_upright[0]) <= 1e-9:
        restoring[0] = -np.inf if restoring[1] < 0 else 0.0
    for k in range(1, len(_SCAN_RAD)):
        if not rest.floats[k]:
            break
        if restoring[k - 1] < 0 <= restoring[k]:
            low = side * max(float(_SCAN_RAD[k - 1]), 1e-4)
            heel = scipy.optimize.brentq(
                lambda p: float(at(np.array([p]))[1][0]), low, side * _SCAN_RAD[k], xtol=1e-10
            )
            still, lever = at(np.array([heel]))
            if abs(lever[0]) < 1e-6:
                return still
        elif restoring[k - 1] == 0.0 and restoring[k] >= 0:
            return at(np.zeros(1))[0]
    raise NoBalance("rolls over: no heel up to 90° gives it a stable place of rest")
