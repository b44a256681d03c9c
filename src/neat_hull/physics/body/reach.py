"""What a seated angler's hand comes to, and with how much lean.

Each grip point is tried against a grid of trunk postures, both hands at once: trunk pitched
forward by γ, leaned sideways by λ and twisted by τ about the hip. The least effort that brings a
straight arm to the point tells the zone.
"""

from dataclasses import dataclass, replace
from enum import StrEnum
from functools import lru_cache
from typing import Literal

import numpy as np

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.body.segments import ABOVE_HIP, ARM, THICKNESS, Body


class Zone(StrEnum):
    """How a thing is come by, in order of effort; ashore: not on the water at all."""

    HAND = "hand"
    LEAN = "lean"
    TWIST = "twist"
    LEAVE = "leave"
    ASHORE = "ashore"


SEATED = (Zone.HAND, Zone.LEAN, Zone.TWIST)
LEAN_TWIST_DEG = 20.0  # twisting further than this takes the eyes off the water
_BEHIND = np.sin(np.radians(20.0))  # a straight arm goes this far behind the shoulders' plane
_TWISTED = 10.0  # more than any effort: a lean that will do is always tried before a twist
_LEAST_DEG = 1.0  # of a limit, so that one who does not move at all has an effort too
_CROUCH_RAD = np.radians([0.0, 30.0, 60.0])  # trunk forward of plumb, on one's knees
_ROOM_END_M = 0.15  # knees keep this far from the ends of the cockpit


@dataclass(frozen=True)
class BodyLimits:
    """How far a person goes without leaving the seat, in degrees, and with which hands.

    The defaults are what a seated adult does without strain.
    """

    pitch_deg: float = 40.0
    lean_port_deg: float = 25.0
    lean_starboard_deg: float = 25.0
    twist_port_deg: float = 60.0
    twist_starboard_deg: float = 60.0
    hands: Literal["both", "port", "starboard"] = "both"


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


@dataclass(frozen=True, eq=False)
class _Postures:
    """All trunk postures of one body, least effort first: angles (m,), shoulders (m, 2, 3).

    frame (m, 3, 3) holds the trunk's own axes: up along it, out of the chest, to port.
    """

    pitch_rad: Array
    lean_rad: Array
    twist_rad: Array
    frame: Array
    shoulders_m: Array
    farthest_m: float

    @property
    def forward(self) -> Array:
        """(m, 3): the way the chest faces."""
        return self.frame[:, 1]


def _both_ways(less: float, more: float, steps: int) -> Array:
    """From -less to more through 0, each side in as many steps."""
    return np.radians(np.append(np.linspace(-less, 0, steps)[:-1], np.linspace(0, more, steps)))


@lru_cache(maxsize=16)
def _postures(body: Body, limits: BodyLimits) -> _Postures:
    most = [
        np.radians(max(deg, _LEAST_DEG))
        for deg in (
            limits.pitch_deg,
            max(limits.lean_port_deg, limits.lean_starboard_deg),
            max(limits.twist_port_deg, limits.twist_starboard_deg),
        )
    ]
    grid = np.meshgrid(
        np.radians(np.linspace(0, limits.pitch_deg, 9)),
        _both_ways(limits.lean_starboard_deg, limits.lean_port_deg, 6),
        _both_ways(limits.twist_starboard_deg, limits.twist_port_deg, 7),
        indexing="ij",
    )
    pitch, lean, twist = (a.ravel() for a in grid)
    effort = sum(
        ((a / m) ** 2 for a, m in zip((pitch, lean, twist), most, strict=True)),
        np.zeros_like(pitch),
    )
    effort += _TWISTED * (np.abs(twist) > np.radians(LEAN_TWIST_DEG) + 1e-9)
    order = np.argsort(effort, kind="stable")
    pitch, lean, twist = pitch[order], lean[order], twist[order]
    frame = frames(body, pitch, lean, twist)
    trunk = body.build.trunk_m * frame[:, 0]
    half = body.build.half_shoulders_m * frame[:, 2]
    shoulders = body.hip_m + np.stack((trunk + half, trunk - half), axis=1)
    farthest = float(np.linalg.norm(shoulders - body.hip_m, axis=2).max()) + body.grip_reach_m
    return _Postures(pitch, lean, twist, frame, shoulders, farthest)


def _hands(limits: BodyLimits) -> tuple[int, ...]:
    return {"both": (0, 1), "port": (0,), "starboard": (1,)}[limits.hands]


def reach(
    body: Body, grips_m: Array, limits: BodyLimits | None = None, room: Kneeling | None = None
) -> list[Reach]:
    """Find the least-effort way to each grip point (n, 3). Without room nobody leaves the seat."""
    if len(grips_m) == 0:
        return []
    limits = limits or BodyLimits()
    at = _postures(body, limits)
    hands = _hands(limits)
    nowhere = len(at.pitch_rad)
    in_hand, behind = _reachable(body, grips_m, at, hands, 1)
    best = np.where(in_hand[:, 0], 0, nowhere)
    # Most things lie in hand or far off; the whole grid is for those in between.
    far2 = _squares(grips_m - body.hip_m)
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
    at: _Postures,
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
    body: Body, grips_m: Array, at: _Postures, hands: tuple[int, ...], first: int
) -> tuple[Flags, Flags]:
    """(n, m): which grips an arm comes to in the first m postures; (n,): behind it at rest."""
    within = np.zeros((len(grips_m), first), dtype=np.bool_)
    behind = np.ones(len(grips_m), dtype=np.bool_)
    grips2, far2 = _squares(grips_m)[:, None], body.grip_reach_m**2
    forward = at.forward[:first]
    toward = grips_m @ forward.T
    for hand in hands:
        joint = at.shoulders_m[:first, hand, :]
        apart2 = grips2 + (_squares(joint) - 2 * grips_m @ joint.T)
        ahead = toward - _squares(joint, forward)
        within |= (apart2 <= far2) & (ahead >= -_BEHIND * body.grip_reach_m)
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


def _shifts(body: Body, at: _Postures, grips_m: Array, k: Array, hand: Array) -> Array:
    """(n, 3) m: how the centre of the whole body moves when the trunk turns and the arm goes out.

    All above the hip turns as one; the arm that reaches is then laid straight toward the grip.
    """
    upper, now = _upper(body), at.frame[k]
    turned = np.einsum("j,ijk->ik", upper.centre, now) - upper.centre_m
    hung_now = np.einsum("ij,ijk->ik", upper.hung[hand], now)
    joint = at.shoulders_m[k, hand]
    out = grips_m - joint
    length = np.maximum(np.sqrt(_squares(out)), 1e-9)
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


def edges_m(body: Body, limits: BodyLimits, bearing_rad: Array, z_m: float) -> dict[Zone, Array]:
    """How far from the hip, level at height z, each bearing (n,) is come by: farthest in m.

    Zone.LEAN includes what is in hand, Zone.TWIST both. Each posture and hand comes to a disc at
    that height, cut off behind the shoulders; the farthest of all discs along a ray is the edge.
    """
    at = _postures(body, limits)
    way = np.column_stack((np.cos(bearing_rad), np.sin(bearing_rad)))
    near_twist = np.abs(at.twist_rad) <= np.radians(LEAN_TWIST_DEG) + 1e-9
    first = np.arange(len(at.pitch_rad)) == 0
    found = {zone: np.zeros_like(bearing_rad) for zone in SEATED}
    rest = _ahead(at, 0, _hands(limits)[0], body, way, z_m, 0.0)
    for hand in _hands(limits):
        joint = at.shoulders_m[:, hand]
        square = body.grip_reach_m**2 - (z_m - joint[:, 2]) ** 2
        off = joint[:, :2] - body.hip_m[:2]
        along = way @ off.T  # (n, m)
        inside = square + along**2 - _squares(off)
        far = np.where(inside >= 0, along + np.sqrt(np.maximum(inside, 0.0)), -1.0)
        low, high = _ahead(at, slice(None), hand, body, way, z_m, _BEHIND * body.grip_reach_m)
        far = np.where(np.minimum(far, high) >= low, np.minimum(far, high), -1.0)
        for zone, which in ((Zone.HAND, first), (Zone.LEAN, near_twist)):
            # Behind the shoulders at rest nothing is in hand, whatever arm comes to it.
            ahead = np.where(
                rest[0] <= np.minimum(far[:, which], rest[1]),
                np.minimum(far[:, which], rest[1]),
                -1.0,
            )
            found[zone] = np.maximum(found[zone], ahead.max(axis=1))
        found[Zone.TWIST] = np.maximum(found[Zone.TWIST], far.max(axis=1))
    return found


def _ahead(
    at: _Postures, k: int | slice, hand: int, body: Body, way: Array, z_m: float, slack_m: float
) -> tuple[Array, Array]:
    """(n, m) each: from where to where along each ray points lie before the shoulders' plane."""
    forward = np.atleast_2d(at.forward[k])
    joint = np.atleast_2d(at.shoulders_m[k, hand])
    slope = way @ forward[:, :2].T
    start = np.array([*body.hip_m[:2], z_m])
    need = -slack_m - (np.einsum("ij,ij->i", start - joint, forward))[None, :]
    with np.errstate(divide="ignore", invalid="ignore"):
        bound = need / slope
    always = need <= 0
    low = np.where(slope > 1e-12, np.maximum(bound, 0.0), np.where(always, 0.0, np.inf))
    high = np.where(slope < -1e-12, bound, np.inf)
    return low, high


def _squares(a: Array, b: Array | None = None) -> Array:
    """(n,) row-wise dot product; in einsum's way, without a temporary of the full size."""
    dots: Array = np.einsum("ij,ij->i", a, a if b is None else b)
    return dots


def _lengths2(a: Array) -> Array:
    """(n, m): squared lengths of vectors (n, m, 3)."""
    squares: Array = np.einsum("ijk,ijk->ij", a, a)
    return squares


def frames(body: Body, pitch: Array, lean: Array, twist: Array) -> Array:
    """(m, 3, 3): axes of the trunk (up along it, out of the chest, to port) turned about the hip.

    Built in the plane of symmetry, twisted about the trunk, then leaned about the fore-and-aft.
    """
    rest = np.arctan2(body.trunk_axis[0], body.trunk_axis[2])  # negative: reclined
    fore = rest + pitch
    zero, one = np.zeros_like(fore), np.ones_like(fore)
    axis = np.stack((np.sin(fore), zero, np.cos(fore)), axis=1)
    chest = np.stack((np.cos(fore), zero, -np.sin(fore)), axis=1)
    port = np.stack((zero, one, zero), axis=1)
    cos_t, sin_t = np.cos(twist)[:, None], np.sin(twist)[:, None]
    side = port * cos_t - chest * sin_t
    chest = chest * cos_t + port * sin_t
    return np.stack([_lean(v, lean) for v in (axis, chest, side)], axis=1)


def _lean(vector: Array, lean: Array) -> Array:
    """Turn vectors (m, 3) about the fore-and-aft axis by lean (m,), positive to port."""
    cos, sin = np.cos(lean), np.sin(lean)
    x, y, z = vector.T
    return np.stack((x, y * cos + z * sin, z * cos - y * sin), axis=1)


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
