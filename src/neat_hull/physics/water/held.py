"""A boat held at a heel: sinkage and trim at rest."""

from collections.abc import Callable
from typing import TypeAlias

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.lattice import Lattice
from neat_hull.physics.water.balance import (
    ITERATIONS,
    RESIDUAL,
    TRIM_STEP,
    Problem,
    Problems,
    flooding,
)
from neat_hull.physics.water.floating import FloatingHull, Rest
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.immersion import (
    Immersion,
    Planes,
    Sideways,
    TurnedSections,
    immersed,
)

# So low that searches from two starts end at figures equal to 1e-9, and a boat let go from the
# upright of either takes the same steps; rounding of the sums is near 1e-15.
_HELD_RESIDUAL = 1e-12
_HALVINGS = 6  # a step in so many halves that betters nothing has gone astray
_STEEPEST = np.tan(np.radians(60.0))  # a boat standing on its end is not afloat in our sense


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
    problem = Problem(floating, volume_m3, centre_m)
    lost = floating.dry(len(heel_rad))
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
        return _rests(problem.at(len(heel_rad)), turned, heel_rad, lost, h_m, tau, known)


def rest_of_each(
    floating: FloatingHull,
    volume_m3: Array,
    centre_m: Array,
    at: NDArray[np.intp],
    near: Rest,
    start: Rest | None,
) -> Rest:
    """As `rest_at_heels` for k loads, volume_m3 (k,) and centre_m (k, 3), each at one heel: that at
    (k,) of `heels.FULL_RAD`. The search starts at `start`, the boat at the same heels under much
    the same loads; without it at `near`, the boat at a row of heels about these.
    """
    heel_rad = FULL_RAD[at]
    lost = floating.dry(len(at))
    known, rows = None, np.flatnonzero(near.floats)
    if start is not None and start.floats.all() and (start.lost == lost).all():
        h_m, tau, known = start.h_m, start.tau, start.immersion
    elif len(rows):
        heels = near.heel_rad[rows]
        h_m, tau = (np.interp(heel_rad, heels, one[rows]) for one in (near.h_m, near.tau))
    else:
        h_m = tau = np.zeros(len(at))
    turned = floating.some_turned(at)
    return _rests(Problems(floating, volume_m3, centre_m), turned, heel_rad, lost, h_m, tau, known)


def _rests(
    problem: Problems,
    turned: Planes,
    heel_rad: Array,
    lost: Flags,
    h_m: Array,
    tau: Array,
    known: Immersion | None,
) -> Rest:
    """All rows from a start; again with less of the hull where a well's rim went under."""
    floating = problem.floating
    while True:
        floats = floating.capacity_m3(lost) > problem.volume_m3
        h_m, tau, found, im = _sink_and_trim(
            problem, turned, heel_rad, lost, h_m, tau, floats, known
        )
        known = None
        side = turned.sideways(floating.lattice.counted(lost))
        rest = Rest(heel_rad, h_m, tau, lost, found, im, side)
        newly = flooding(rest, floating.hull) & ~lost
        if not newly.any():
            return rest
        lost = lost | newly


def _rest_at_heel(problem: Problem, heel_rad: Array, lost: Flags, trim_hint_rad: float) -> Rest:
    """`rest_at_heels` for one heel, which is asked for most: the same steps, in plain numbers."""
    floating = problem.floating
    heel = float(heel_rad[0])
    if heel == 0.0 and trim_hint_rad == 0.0:
        h, tau = floating.guess_upright(problem.volume_m3, problem.centre_m)
    else:
        tau = float(np.tan(trim_hint_rad) * np.cos(heel))
        level = float(floating.guess_h_m(problem.volume_m3, heel_rad)[0])
        h = level + tau * floating.hull.x_m.mean()
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
        newly = flooding(rest, floating.hull) & ~lost
        if not newly.any():
            return rest
        lost = lost | newly


# What lies under a plane at h and τ; its moments sideways, of which a search needs the last alone.
_At: TypeAlias = Callable[[float, float], tuple[Immersion, Callable[[], Sideways]]]


def _upright(floating: FloatingHull, counted: Array) -> _At:
    """The integrals at h and τ, off the table of the sections upright."""
    planes = floating.upright()

    def at(h: float, tau: float) -> tuple[Immersion, Callable[[], Sideways]]:
        under = planes.immerse(np.array([h]), np.array([tau]), counted)
        return under, lambda: planes.sideways(counted)

    return at


def _heeled(lattice: Lattice, heel: float, counted: Array) -> _At:
    """The integrals at h and τ, for one heel that is looked at once."""

    def at(h: float, tau: float) -> tuple[Immersion, Callable[[], Sideways]]:
        under, side = immersed(lattice, heel, h, tau, counted)
        return under, lambda: side

    return at


def _sunk(
    problem: Problem, heel: float, lost: Flags, h: float, tau: float
) -> tuple[float, float, Immersion, Sideways] | None:
    """Damped Newton in h and τ; brackets where it goes astray, None where they find nothing."""
    lattice = problem.floating.lattice
    counted, depth_m = lattice.counted(lost), problem.floating.depth_m
    at = _upright(problem.floating, counted) if heel == 0.0 else _heeled(lattice, heel, counted)
    volume_m3, length_m = problem.volume_m3, problem.length_m
    x_g, y_g, z_g = (float(v) for v in problem.centre_m)
    e_g = y_g * np.sin(heel) + z_g * np.cos(heel)
    tiny = 1e-9 * length_m**2
    h, tau = (0.0 if np.isnan(v) else v for v in (h, tau))
    best, at_h, at_tau = np.inf, h, tau
    step_h, step_tau, halvings = 0.0, 0.0, 0
    for _ in range(ITERATIONS):
        try_h, try_tau = at_h + step_h, at_tau + step_tau
        im, aside = at(try_h, try_tau)
        v, vx, ve = float(im.v_m3[0]), float(im.vx[0]), float(im.ve[0])
        a, ax, axx = float(im.a[0]), float(im.ax[0]), float(im.axx[0])
        lever = ve - volume_m3 * e_g
        r_v, r_l = v - volume_m3, vx - volume_m3 * x_g - try_tau * lever
        merit = (r_v / volume_m3) ** 2 + (r_l / (volume_m3 * length_m)) ** 2
        if not merit < best:
            step_h, step_tau, halvings = step_h / 2, step_tau / 2, halvings + 1
            if halvings > _HALVINGS:
                break
            continue
        best, at_h, at_tau, halvings = merit, try_h, try_tau, 0
        if best < _HELD_RESIDUAL**2:
            return at_h, at_tau, im, aside()
        vh, vt = a + tiny, -ax
        lh = ax - at_tau * (at_h * a - at_tau * ax)
        lt = -axx - tiny * length_m**2 - lever + at_tau * (at_h * ax - at_tau * axx)
        det = vh * lt - vt * lh
        det = det if abs(det) > 1e-300 else -1.0
        step_h, step_tau = (vt * r_l - lt * r_v) / det, (lh * r_v - vh * r_l) / det
        over = max(abs(step_tau) / TRIM_STEP, abs(step_h - step_tau * ax / vh) / (0.4 * depth_m))
        step_h, step_tau = step_h / max(over, 1.0), step_tau / max(over, 1.0)
    if best >= (100 * RESIDUAL) ** 2:
        bracketed = _by_brackets(problem, heel, lost)
        if bracketed is None:
            return None
        at_h, at_tau = bracketed
    im, aside = at(at_h, at_tau)
    return at_h, at_tau, im, aside()


def _sink_and_trim(
    problem: Problems,
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
    for _ in range(ITERATIONS):
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
        row = _by_brackets(problem.row(int(k)), float(heel_rad[k]), lost[k : k + 1])
        if row is not None:
            h_m[k], tau[k] = row
            found[k] = True
    h_m, tau = np.where(found, h_m, np.nan), np.where(found, tau, np.nan)
    return h_m, tau, found, turned.immerse(h_m, tau, counted)


def _step_two(
    problem: Problems,
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
        np.abs(step_tau) / TRIM_STEP, np.abs(step_h - step_tau * im.ax / vh) / (0.4 * depth_m)
    )
    shrink = 1 / np.maximum(over, 1.0)
    return step_h * shrink, step_tau * shrink


def _by_brackets(problem: Problem, heel_rad: float, lost: Flags) -> tuple[float, float] | None:
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
        residual = problem.at(1).residuals(im, np.array([heel_rad]), np.array([tau]))[1]
        return float(residual[0])

    steepest = _STEEPEST * abs(np.cos(heel_rad)) + 1e-9
    if along(-steepest) * along(steepest) > 0:
        return None
    tau = float(scipy.optimize.brentq(along, -steepest, steepest, xtol=1e-13))
    return sink(tau), tau
