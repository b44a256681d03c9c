"""What a seated angler's hand comes to, and with how much lean.

Each grip point is tried against a grid of trunk postures, both hands at once: trunk pitched
forward by γ, leaned sideways by λ and twisted by τ about the hip. The least effort that brings a
straight arm to the point tells the zone.
"""

from dataclasses import dataclass, replace
from enum import StrEnum
from functools import lru_cache

import numpy as np

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.body.segments import ABOVE_HIP, ARM, THICKNESS, Body
from neat_hull.physics.body.trunk import (
    BEHIND,
    LEAN_TWIST_DEG,
    BodyLimits,
    Postures,
    frames,
    hands_of,
    postures,
    squares,
)


class Zone(StrEnum):
    """How a thing is come by, in order of effort; ashore: not on the water at all."""

    HAND = "hand"
    LEAN = "lean"
    TWIST = "twist"
    LEAVE = "leave"
    ASHORE = "ashore"


SEATED = (Zone.HAND, Zone.LEAN, Zone.TWIST)
_CROUCH_RAD = np.radians([0.0, 30.0, 60.0])  # trunk forward of plumb, on one's knees
_ROOM_END_M = 0.15  # knees keep this far from the ends of the cockpit


@dataclass(frozen=True)
class Kneeling:
    """Where one can be on one's knees: the floor of the cockpit from x_aft_m to x_fwd_m."""

    x_aft_m: float
    x_fwd_m: float
    floor_z_m: float


@dataclass(frozen=True)
class Reach:
    """The least-effort way to one grip point; angles are 0 for Zone.HAND, NaN from Zone.LEAVE on.

    short_m is how far the nearer hand stays away while the trunk is at rest. hand is 0 for port.
    shift_m says how the centre of the whole body moves on the way.
    """

    zone: Zone
    pitch_rad: float
    lean_rad: float
    twist_rad: float
    short_m: float
    hand: int
    shift_m: tuple[float, float, float]


def reach(
    body: Body, grips_m: Array, limits: BodyLimits | None = None, room: Kneeling | None = None
) -> list[Reach]:
    """Find the least-effort way to each grip point (n, 3). Without room nobody leaves the seat."""
    if len(grips_m) == 0:
        return []
    limits = limits or BodyLimits()
    at = postures(body, limits)
    hands = hands_of(limits)
    nowhere = len(at.pitch_rad)
    in_hand, behind = _reachable(body, grips_m, at, hands, 1)
    best = np.where(in_hand[:, 0], 0, nowhere)
    # Most things lie in hand or far off; the whole grid is for those in between.
    far2 = squares(grips_m - body.hip_m)
    rows = np.flatnonzero((best > 0) & (far2 <= at.farthest_m**2))
    if len(rows):
        within, _ = _reachable(body, grips_m[rows], at, hands, nowhere)
        best[rows] = np.where(within.any(axis=1), within.argmax(axis=1), nowhere)
    joints = at.shoulders_m[np.minimum(best, nowhere - 1)][:, list(hands)]
    # Of two that come to it, the nearer.
    hand = np.array(hands)[_lengths2(grips_m[:, None, :] - joints).argmin(axis=1)]
    at_rest = at.shoulders_m[0][list(hands)]
    nearest2 = _lengths2(grips_m[:, None, :] - at_rest).min(axis=1)
    short = np.sqrt(nearest2) - body.grip_reach_m
    leaves = np.zeros(len(grips_m), dtype=np.bool_)
    rows = np.flatnonzero(best == nowhere)
    if room is not None and len(rows):
        leaves[rows] = _kneels_to(body, grips_m[rows], room)
    shift = np.zeros_like(grips_m)
    rows = np.flatnonzero((best < nowhere) & ((best > 0) | behind))
    if len(rows):
        shift[rows] = _shifts(body, at, grips_m[rows], best[rows], hand[rows])
    return [
        _found(
            at,
            int(best[i]),
            nowhere,
            bool(behind[i]),
            bool(leaves[i]),
            max(float(short[i]), 0),
            int(hand[i]),
            shift[i],
        )
        for i in range(len(grips_m))
    ]


def _found(
    at: Postures,
    k: int,
    nowhere: int,
    behind: bool,
    leaves: bool,
    short_m: float,
    hand: int,
    shift: Array,
) -> Reach:
    if k == nowhere:
        zone = Zone.LEAVE if leaves else Zone.ASHORE
        return Reach(zone, np.nan, np.nan, np.nan, short_m, hand, (0.0, 0.0, 0.0))
    zone = Zone.HAND if k == 0 else Zone.LEAN
    if behind or abs(at.twist_rad[k]) > np.radians(LEAN_TWIST_DEG) + 1e-9:
        zone = Zone.TWIST
    x, y, z = (0.0, 0.0, 0.0) if zone == Zone.HAND else (float(v) for v in shift)
    return Reach(
        zone,
        float(at.pitch_rad[k]),
        float(at.lean_rad[k]),
        float(at.twist_rad[k]),
        short_m,
        hand,
        (x, y, z),
    )


def _reachable(
    body: Body, grips_m: Array, at: Postures, hands: tuple[int, ...], first: int
) -> tuple[Flags, Flags]:
    """(n, m): which grips an arm comes to in the first m postures; (n,): behind it at rest."""
    within = np.zeros((len(grips_m), first), dtype=np.bool_)
    behind = np.ones(len(grips_m), dtype=np.bool_)
    grips2, far2 = squares(grips_m)[:, None], body.grip_reach_m**2
    forward = at.forward[:first]
    toward = grips_m @ forward.T
    for hand in hands:
        joint = at.shoulders_m[:first, hand, :]
        apart2 = grips2 + (squares(joint) - 2 * grips_m @ joint.T)
        ahead = toward - squares(joint, forward)
        within |= (apart2 <= far2) & (ahead >= -BEHIND * body.grip_reach_m)
        behind &= ahead[:, 0] < 0
    return within, behind


def _kneels_to(body: Body, grips_m: Array, room: Kneeling) -> Flags:
    """(n,): what one comes to on one's knees anywhere in the cockpit, facing bow or stern."""
    build, far = body.build, body.grip_reach_m
    hip_z = room.floor_z_m + THICKNESS["shank"] * build.stature_m / 2 + build.thigh_m
    aft, fwd = room.x_aft_m + _ROOM_END_M, room.x_fwd_m - _ROOM_END_M
    x, y, z = grips_m.T
    aside = np.maximum(np.abs(y) - build.half_shoulders_m, 0.0)
    found = np.zeros(len(grips_m), dtype=np.bool_)
    for crouch in _CROUCH_RAD:
        up = hip_z + build.trunk_m * np.cos(crouch)
        level = far**2 - aside**2 - (z - up) ** 2
        along = np.sqrt(np.maximum(level, 0.0)) + build.trunk_m * np.sin(crouch)
        found |= (level >= 0) & (x <= fwd + along) & (x >= aft - along)
    return found


def _shifts(body: Body, at: Postures, grips_m: Array, k: Array, hand: Array) -> Array:
    """(n, 3) m: how the centre of the whole body moves when the trunk turns and the arm goes out.

    All above the hip turns as one; the arm that reaches is then laid straight toward the grip.
    """
    upper, now = _upper(body), at.frame[k]
    turned = np.einsum("j,ijk->ik", upper.centre, now) - upper.centre_m
    hung_now = np.einsum("ij,ijk->ik", upper.hung[hand], now)
    joint = at.shoulders_m[k, hand]
    out = grips_m - joint
    length = np.maximum(np.sqrt(squares(out)), 1e-9)
    straight = out * (np.minimum(length, body.grip_reach_m) / length / 2)[:, None]
    moved: Array = upper.mass_kg * turned + upper.arm_kg * (straight - hung_now)
    return moved / body.mass_kg


@dataclass(frozen=True, eq=False)
class _Upper:
    """All of a body above the hip: its mass, and centre_m (3,) from the hip; an arm's mass.

    In the axes of the trunk at rest the centre again, and hung (2, 3) the centres of both arms from
    their shoulders.
    """

    mass_kg: float
    centre_m: Array
    arm_kg: float
    centre: Array
    hung: Array


@lru_cache(maxsize=16)
def _upper(body: Body) -> _Upper:
    rest = frames(body, *np.zeros((3, 1)))[0]
    upper = [s for s in body.segments if s.name in ABOVE_HIP]
    mass = sum(s.mass_kg for s in upper)
    centre = sum((s.mass_kg * s.centre_m for s in upper), np.zeros(3)) / mass - body.hip_m
    arms = [[s for s in upper if s.name in ARM and (s.upper_m[1] > 0) == (i == 0)] for i in (0, 1)]
    arm_kg = sum(s.mass_kg for s in arms[0])
    hung = np.array(
        [
            sum((s.mass_kg * s.centre_m for s in arm), np.zeros(3)) / arm_kg - arm[0].upper_m
            for arm in arms
        ]
    )
    return _Upper(mass, centre, arm_kg, rest @ centre, hung @ rest.T)


def _lengths2(a: Array) -> Array:
    """(n, m): squared lengths of vectors (n, m, 3)."""
    squares: Array = np.einsum("ijk,ijk->ij", a, a)
    return squares


def reaching(body: Body, way: Reach, grip_m: Array) -> Body:
    """The body as it reaches: all above the hip turned, the arm laid straight toward the grip."""
    angles = np.array([[way.pitch_rad], [way.lean_rad], [way.twist_rad]])
    rest, now = frames(body, *np.zeros((3, 1)))[0], frames(body, *angles)[0]

    def turned(point_m: Array) -> Array:
        moved: Array = body.hip_m + (rest @ (point_m - body.hip_m)) @ now
        return moved

    side = 1.0 if way.hand == 0 else -1.0
    segments = []
    joint = body.hip_m
    for segment in body.segments:
        if segment.name not in ABOVE_HIP:
            segments.append(segment)
            continue
        upper, far = turned(segment.upper_m), turned(segment.far_m)
        if segment.name in ARM and segment.upper_m[1] * side > 0:
            joint = upper if segment.name == "upper arm" else joint
            out = grip_m - joint
            length = float(np.linalg.norm(segment.far_m - segment.upper_m))
            upper, far = joint, joint + length * out / max(float(np.linalg.norm(out)), 1e-9)
            joint = far
        segments.append(replace(segment, upper_m=upper, far_m=far))
    return replace(body, segments=tuple(segments))
