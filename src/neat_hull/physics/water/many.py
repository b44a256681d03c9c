"""Many loads on one boat at once: where each comes to rest, to a hundredth of a degree.

Each is solved exactly, held at three neighbouring heels of a full curve, and its place of rest is
where the parabola through the three levers comes to nothing; sinkage and trim are read off
parabolas too. Over 2.5° a lever GM·sin φ departs from its parabola by some 10⁻⁵ of GM. What that
cannot settle (a well that floods, a boat that lolls or goes over) is left to `hydrostatics.settle`.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.water.floating import Attitude, FloatingHull, Rest
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.held import rest_of_each
from neat_hull.physics.water.hydrostatics import settle
from neat_hull.physics.water.loads import Loads

_BESIDE, _PASSES = 3, 6  # neighbouring heels of each, and how often they are moved on


@dataclass(frozen=True, eq=False)
class Upright:
    """Of k loads held upright: rest (k), gm_m (k,)."""

    rest: Rest
    gm_m: Array


@dataclass(frozen=True, eq=False)
class Lying(Attitude):
    """Of n loads, each where it rests, starboard down positive; floats is False where a boat goes
    down or over. looked is how they lay when they were first looked at."""

    floats: Flags
    looked: "_Looked | None"


@dataclass(frozen=True, eq=False)
class _Looked:
    """n loads at three neighbouring heels each: the first of these (n,), and how they lay (3n)."""

    first: NDArray[np.intp]
    held: Rest


def held_upright_each(
    floating: FloatingHull,
    volume_m3: Array,
    centre_m: Array,
    near: Rest,
    start: Upright | None = None,
) -> Upright:
    """Each of k loads, volume_m3 (k,) at centre_m (k, 3) with its free surfaces in it, upright: the
    figures of `hydrostatics.upright` for all at once. The search starts at `start`, k that are much
    the same, or at `near`, the boat at a row of heels."""
    at = np.zeros(len(volume_m3), dtype=np.intp)
    before = start.rest if start is not None and len(start.gm_m) == len(at) else None
    rest = rest_of_each(floating, volume_m3, centre_m, at, near, before)
    planes = floating.upright_waterplanes(len(volume_m3))
    counted = floating.waterplanes.counted(rest.lost)
    plane = planes.immerse(rest.h_m, rest.tau, counted)
    above, bm = rest.metacentre_m(plane, planes.sideways(counted), volume_m3, centre_m)
    return Upright(rest, above + bm)


def lying(
    floating: FloatingHull,
    mass_kg: Array,
    centre_m: Array,
    density_kg_m3: float,
    level: Upright,
    start: Lying | None = None,
) -> Lying:
    """Each of n loads, mass_kg (n,) at centre_m (n, 3), where it rests. `level` is the same loads
    upright, wherever they are across; `start` as in `held_upright_each`."""
    count = len(mass_kg)
    volume = mass_kg / density_kg_m3
    # Mirrored so that all of them heel to starboard: a hull is the same on both sides.
    side = np.where(centre_m[:, 1] > 0, -1.0, 1.0)
    centre = centre_m.copy()
    centre[:, 1] = -np.abs(centre_m[:, 1])
    settled = (
        level.rest.floats & (level.gm_m > 0) & (level.rest.lost == floating.drains).all(axis=1)
    )
    guess = np.arctan2(-centre[:, 1], np.where(settled, level.gm_m, 1.0))
    heel, tau, h = (np.zeros(count) for _ in range(3))
    first = np.clip((guess / FULL_RAD[1]).astype(np.intp), 0, len(FULL_RAD) - _BESIDE)
    open_ = np.flatnonzero(settled)
    settled = np.zeros(count, dtype=np.bool_)
    looked: _Looked | None = None
    for _ in range(_PASSES):
        if not len(open_):
            break
        now = first[open_].copy()
        before = start.looked if start is not None and looked is None else None
        three = _three(floating, volume[open_], centre[open_], now, level.rest, before)
        looked = looked or _Looked(now, three.held)
        done = open_[three.found]
        heel[done], tau[done], h[done] = (one[three.found] for one in three.at)
        settled[done] = True
        # A hull that grows tender or stiff with heel rests beside where its GM would have it.
        moves = three.dry & ~three.found & (three.beside != 0)
        open_ = open_[moves]
        first[open_] = np.clip(first[open_] + three.beside[moves], 0, len(FULL_RAD) - _BESIDE)
    floats = settled.copy()
    left = np.flatnonzero(~settled)
    over = _over(floating, volume[left], centre[left], level.rest)
    for k in left[~over].tolist():
        rest = _alone(floating, float(mass_kg[k]), centre[k], density_kg_m3)
        if rest is not None:
            heel[k], tau[k], h[k] = rest
            floats[k] = True
    return Lying(side * heel, h, tau, floats, looked)


@dataclass(frozen=True, eq=False)
class _Three:
    """At three neighbouring heels: at (heel_rad, tau, h_m) of those that were found, dry where no
    well floods, beside which way to look for the others, held how all of them lay."""

    at: tuple[Array, Array, Array]
    found: Flags
    dry: Flags
    beside: NDArray[np.intp]
    held: Rest


def _three(
    floating: FloatingHull,
    volume_m3: Array,
    centre_m: Array,
    first: NDArray[np.intp],
    near: Rest,
    before: _Looked | None,
) -> _Three:
    count = len(first)
    at, each = first[:, None] + np.arange(_BESIDE), np.repeat(np.arange(count), _BESIDE)
    start = None
    if before is not None and np.array_equal(before.first, first):
        start = before.held
    held = rest_of_each(floating, volume_m3[each], centre_m[each], at.ravel(), near, start)
    lever = held.righting_lever_m(centre_m[each]).reshape(count, _BESIDE)
    dry = (held.floats & (held.lost == floating.drains).all(axis=1)).reshape(count, _BESIDE)
    share, found = _root(lever)
    beside = np.where(lever[:, -1] < 0, 2, np.where(lever[:, 0] > 0, -2, 0))
    return _Three(
        (
            FULL_RAD[first] + share * FULL_RAD[1],
            _read(held.tau.reshape(count, _BESIDE), share),
            _read(held.h_m.reshape(count, _BESIDE), share),
        ),
        found & dry.all(axis=1),
        dry.all(axis=1),
        beside,
        held,
    )


def _over(floating: FloatingHull, volume_m3: Array, centre_m: Array, near: Rest) -> Flags:
    """Which of k loads (k,) turn the boat over: of a full curve nothing floods and no heel holds
    it, until it floats no more."""
    count, heels = len(volume_m3), len(FULL_RAD)
    if not count:
        return np.zeros(0, dtype=np.bool_)
    each, at = np.repeat(np.arange(count), heels), np.tile(np.arange(heels), count)
    held = rest_of_each(floating, volume_m3[each], centre_m[each], at, near, None)
    dry = (held.lost == floating.drains).all(axis=1)
    with np.errstate(invalid="ignore"):
        goes_on = dry & (held.righting_lever_m(centre_m[each]) < 0)
    sunk = np.logical_or.accumulate(~held.floats.reshape(count, heels), axis=1)
    over: Flags = (goes_on.reshape(count, heels) | sunk).all(axis=1) & ~sunk[:, 0]
    return over


def _alone(
    floating: FloatingHull, mass_kg: float, centre_m: Array, density_kg_m3: float
) -> tuple[float, float, float] | None:
    """One that the three heels did not settle; None where it goes down or over."""
    try:
        rest = settle(floating, Loads(np.array([mass_kg]), centre_m[None]), density_kg_m3).rest
    except (DoesNotFloat, NoBalance):
        return None
    return float(rest.heel_rad[0]), float(rest.tau[0]), float(rest.h_m[0])


def _root(lever_m: Array) -> tuple[Array, Flags]:
    """Where the parabola through three levers (n, 3), at 0, 1 and 2, rises through nothing: (n,),
    and whether it does so from −0.2 to 2.2, restoring."""
    a0, a1, a2 = lever_m.T
    slope, bend = (-3 * a0 + 4 * a1 - a2) / 2, (a0 - 2 * a1 + a2) / 2
    with np.errstate(invalid="ignore", divide="ignore"):
        under = slope**2 - 4 * bend * a0
        root = np.where(
            np.abs(bend) > 1e-12 * np.abs(slope),
            2 * -a0 / (slope + np.sign(slope) * np.sqrt(np.maximum(under, 0.0))),
            -a0 / slope,
        )
        good = (under >= 0) & (root > -0.2) & (root < 2.2) & (slope + 2 * bend * root > 0)
    return np.where(good, root, 0.0), good


def _read(value: Array, share: Array) -> Array:
    """The parabola through three (n, 3) at a place (n,)."""
    a0, a1, a2 = value.T
    read: Array = a0 + share * (-3 * a0 + 4 * a1 - a2) / 2 + share**2 * (a0 - 2 * a1 + a2) / 2
    return read
