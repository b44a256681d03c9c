"""What a seated angler's hand comes to, and with how much lean.

Each grip point is tried against a grid of trunk postures, both hands at once: trunk pitched
forward by γ, leaned sideways by λ and twisted by τ about the hip. The least effort that brings a
straight arm to the point tells the zone.
"""

from dataclasses import dataclass
from enum import StrEnum
from functools import lru_cache

import numpy as np

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.body import HALF_SHOULDERS, TRUNK, Body


class Zone(StrEnum):
    """How a thing is come by from the seat, in order of effort."""

    HAND = "hand"
    LEAN = "lean"
    TWIST = "twist"
    OUT = "out"


# What a seated adult does without leaving the seat; beyond them a thing is out of reach.
MOST_PITCH_DEG, MOST_LEAN_DEG, MOST_TWIST_DEG = 40.0, 25.0, 60.0
LEAN_TWIST_DEG = 20.0  # twisting further than this takes the eyes off the water
_BEHIND = np.sin(np.radians(20.0))  # a straight arm goes this far behind the shoulders' plane

_TWISTED = 10.0  # more than any effort: a lean that will do is always tried before a twist

_PITCH = np.radians(np.arange(0.0, MOST_PITCH_DEG + 1, 5.0))
_LEAN = np.radians(np.arange(-MOST_LEAN_DEG, MOST_LEAN_DEG + 1, 5.0))
_TWIST = np.radians(np.arange(-MOST_TWIST_DEG, MOST_TWIST_DEG + 1, 10.0))


@dataclass(frozen=True)
class Reach:
    """The least-effort way to one grip point; angles are 0 for Zone.HAND, NaN for Zone.OUT.

    short_m is how far the nearer hand stays away while the trunk is at rest.
    """

    zone: Zone
    pitch_rad: float
    lean_rad: float
    twist_rad: float
    short_m: float


@dataclass(frozen=True, eq=False)
class _Postures:
    """All trunk postures of one body, least effort first: angles (m,), shoulders (m, 2, 3)."""

    pitch_rad: Array
    lean_rad: Array
    twist_rad: Array
    shoulders_m: Array
    forward: Array
    farthest_m: float


@lru_cache(maxsize=8)
def _postures(body: Body) -> _Postures:
    pitch, lean, twist = (a.ravel() for a in np.meshgrid(_PITCH, _LEAN, _TWIST, indexing="ij"))
    effort = (
        (pitch / np.radians(MOST_PITCH_DEG)) ** 2
        + (lean / np.radians(MOST_LEAN_DEG)) ** 2
        + (twist / np.radians(MOST_TWIST_DEG)) ** 2
    )
    effort += _TWISTED * (np.abs(twist) > np.radians(LEAN_TWIST_DEG) + 1e-9)
    order = np.argsort(effort, kind="stable")
    pitch, lean, twist = pitch[order], lean[order], twist[order]
    shoulders, forward = _shoulders(body, pitch, lean, twist)
    farthest = float(np.linalg.norm(shoulders - body.hip_m, axis=2).max()) + body.grip_reach_m
    return _Postures(pitch, lean, twist, shoulders, forward, farthest)


def reach(body: Body, grips_m: Array) -> list[Reach]:
    """Zone and lean for each grip point (n, 3). Lean is positive to port, twist too."""
    if len(grips_m) == 0:
        return []
    postures = _postures(body)
    pitch, lean, twist = postures.pitch_rad, postures.lean_rad, postures.twist_rad
    shoulders, forward = postures.shoulders_m, postures.forward
    reachable, behind = _reachable(body, grips_m, shoulders[:1], forward[:1])
    nowhere = len(pitch)
    best = np.where(reachable[:, 0], 0, nowhere)
    # Most things lie in hand or far off; the whole grid is for those in between.
    open_ = (best > 0) & (_squares(grips_m - body.hip_m) <= postures.farthest_m**2)
    within, _ = _reachable(body, grips_m[open_], shoulders, forward)
    best[open_] = np.where(within.any(axis=1), within.argmax(axis=1), nowhere)
    nearest = np.linalg.norm(grips_m[:, None, :] - shoulders[0], axis=2).min(axis=1)
    short = np.maximum(nearest - body.grip_reach_m, 0.0)
    found = []
    for i, k in enumerate(best):
        if k == nowhere:
            found.append(Reach(Zone.OUT, np.nan, np.nan, np.nan, float(short[i])))
            continue
        zone = Zone.HAND if k == 0 else Zone.LEAN
        if behind[i] or abs(twist[k]) > np.radians(LEAN_TWIST_DEG) + 1e-9:
            zone = Zone.TWIST
        found.append(
            Reach(
                zone, float(pitch[k]), float(lean[k]), float(twist[k]),
                float(short[i]),
            )
        )  # fmt: skip
    return found


def _reachable(body: Body, grips_m: Array, shoulders: Array, forward: Array) -> tuple[Flags, Flags]:
    """(n, m): which grips a straight arm comes to in which postures; (n,): behind in the first."""
    square = np.full((len(grips_m), len(shoulders)), np.inf)  # distance² of the nearer usable hand
    behind = np.ones(len(grips_m), dtype=np.bool_)
    for hand in (0, 1):
        joint = shoulders[:, hand, :]
        apart2 = _squares(grips_m)[:, None] + _squares(joint) - 2 * grips_m @ joint.T
        ahead = grips_m @ forward.T - _squares(joint, forward)
        usable = ahead >= -_BEHIND * body.grip_reach_m
        np.minimum(square, np.where(usable, apart2, np.inf), out=square)
        behind &= ahead[:, 0] < 0
    return square <= body.grip_reach_m**2, behind


def farthest_m(body: Body, zones: frozenset[Zone], bearing_rad: Array, z_m: float) -> Array:
    """(n,) m: how far from the hip, level at height z, things stay within `zones` on each bearing.

    Halves between the hip and more than any body comes to; 0 where even the hip's side is outside.
    """
    near = np.zeros_like(bearing_rad)
    far = np.full_like(bearing_rad, body.grip_reach_m + body.stature_m)
    way = np.column_stack((np.cos(bearing_rad), np.sin(bearing_rad)))
    for _ in range(9):  # to within 5 mm, finer than it is drawn
        middle = (near + far) / 2
        spots = body.hip_m[:2] + middle[:, None] * way
        ways = reach(body, np.column_stack((spots, np.full(len(way), z_m))))
        inside = np.array([found.zone in zones for found in ways])
        near, far = np.where(inside, middle, near), np.where(inside, far, middle)
    return np.where(near > 0.02, near, 0.0)


def _squares(a: Array, b: Array | None = None) -> Array:
    """(n,) row-wise dot product; in einsum's way, without a temporary of the full size."""
    dots: Array = np.einsum("ij,ij->i", a, a if b is None else b)
    return dots


def _shoulders(body: Body, pitch: Array, lean: Array, twist: Array) -> tuple[Array, Array]:
    """Both shoulder joints (m, 2, 3) and the way the chest faces (m, 3), turned about the hip."""
    h = body.stature_m
    rest = np.arctan2(body.trunk_axis[0], body.trunk_axis[2])  # negative: reclined
    fore = rest + pitch
    zero, one = np.zeros_like(fore), np.ones_like(fore)
    # Built in the plane of symmetry, twisted about the trunk, then leaned about the fore-and-aft.
    axis = np.stack((np.sin(fore), zero, np.cos(fore)), axis=1)
    chest = np.stack((np.cos(fore), zero, -np.sin(fore)), axis=1)
    port = np.stack((zero, one, zero), axis=1)
    cos_t, sin_t = np.cos(twist)[:, None], np.sin(twist)[:, None]
    side = port * cos_t - chest * sin_t
    chest = chest * cos_t + port * sin_t
    trunk = _lean(TRUNK * h * axis, lean)
    half = _lean(HALF_SHOULDERS * h * side, lean)
    shoulders = body.hip_m + np.stack((trunk + half, trunk - half), axis=1)
    return shoulders, _lean(chest, lean)


def _lean(vector: Array, lean: Array) -> Array:
    """Turn vectors (m, 3) about the fore-and-aft axis by lean (m,), positive to port."""
    cos, sin = np.cos(lean), np.sin(lean)
    x, y, z = vector.T
    return np.stack((x, y * cos + z * sin, z * cos - y * sin), axis=1)
