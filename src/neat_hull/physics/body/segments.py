"""The angler as a chain of segments: where the body is, and where it weighs.

Segment masses and centres as fractions of body mass and length: Winter, *Biomechanics and Motor
Control of Human Movement*, 4th ed., chapter 4 (after Dempster).
"""

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from neat_hull.errors import Bound, Bounded, InputError, InputErrors
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.build import HIP_FORWARD, HIP_UP, Build

# Share of body mass, and centre of mass as a share of the segment from its upper joint.
MASS_SHARE = {
    "trunk": 0.497,
    "head": 0.081,
    "upper arm": 0.028,
    "forearm": 0.016,
    "hand": 0.006,
    "thigh": 0.100,
    "shank": 0.0465,
    "foot": 0.0145,
}
CENTRE_SHARE = {
    "trunk": 0.5,
    "head": 1.0,
    "upper arm": 0.436,
    "forearm": 0.430,
    "hand": 0.506,
    "thigh": 0.433,
    "shank": 0.433,
    "foot": 0.5,
}

# How thick each segment is from front to back, in shares of stature: typical of a dressed adult.
# For drawing, and for laying a segment's weight along the boat; its mass and centre are Winter's.
THICKNESS = {
    "trunk": 0.125,
    "head": 0.100,
    "upper arm": 0.050,
    "forearm": 0.042,
    "hand": 0.036,
    "thigh": 0.082,
    "shank": 0.060,
    "foot": 0.046,
}

LEGS = ("thigh", "shank", "foot")
ABOVE_HIP = ("trunk", "head", "upper arm", "forearm", "hand")
ARM = ("upper arm", "forearm", "hand")  # from the shoulder out

_REST_UPPER_ARM_RAD = np.radians(28.0)  # forward of hanging, hands about the lap
_REST_FOREARM_RAD = np.radians(8.0)  # above level
_SOFT_KNEE_RAD = np.radians(15.0)  # thigh and shank each off plumb
_STANDING_BOW_RAD = np.radians(8.0)  # trunk forward of plumb


@dataclass(frozen=True)
class Seat:
    """Where the angler sits: corner of pan and back at (x, z), recline from upright, foot brace.

    brace_x_m and brace_z_m are where the heels rest; y is the centreline.
    """

    x_m: float
    z_m: float
    recline_rad: float
    brace_x_m: float
    brace_z_m: float


@dataclass(frozen=True, eq=False)
class Segment:
    """One segment from its upper joint to its far end, both (3,) m."""

    name: str
    mass_kg: float
    upper_m: Array
    far_m: Array
    thickness_m: float

    @cached_property
    def centre_m(self) -> Array:
        """(3,) m: centre of mass."""
        share = CENTRE_SHARE[self.name]
        centre: Array = self.upper_m + share * (self.far_m - self.upper_m)
        return centre

    @property
    def along_m(self) -> tuple[float, float]:
        """What it takes up along the boat, m: about its centre, so that weight stays in place."""
        half = abs(float(self.far_m[0] - self.upper_m[0])) / 2 + self.thickness_m / 2
        middle = float(self.centre_m[0])
        return middle - half, middle + half


@dataclass(frozen=True, eq=False)
class Body:
    """A posture: its segments, the hip it leans about, and how straight the legs are.

    brace_gap_m is how far the brace lies beyond straight legs; 0 when it can be reached.
    """

    build: Build
    segments: tuple[Segment, ...]
    hip_m: Array
    trunk_axis: Array
    brace_gap_m: float

    @cached_property
    def mass_kg(self) -> float:
        """Sum of the segments, in kg."""
        return sum(segment.mass_kg for segment in self.segments)

    @cached_property
    def eye_m(self) -> Array:
        """(3,) m: where it looks from, the middle of the head."""
        return next(s.far_m for s in self.segments if s.name == "head")

    def shoulder_m(self, side: float) -> Array:
        """(3,) m: the joint of the arm to port (side > 0) or starboard."""
        return next(
            s.upper_m for s in self.segments if s.name == "upper arm" and s.upper_m[1] * side > 0
        )

    @cached_property
    def centre_m(self) -> Array:
        """(3,) m: centre of mass of the whole body."""
        moment = sum((s.mass_kg * s.centre_m for s in self.segments), np.zeros(3))
        centre: Array = moment / self.mass_kg
        return centre

    @cached_property
    def trunk_middle_m(self) -> Array:
        """(3,) m: half way from hip to neck; what is worn rides on it."""
        trunk = next(s for s in self.segments if s.name == "trunk")
        middle: Array = (trunk.upper_m + trunk.far_m) / 2
        return middle

    @property
    def grip_reach_m(self) -> float:
        """Shoulder to closed hand with a straight arm, in m."""
        return self.build.grip_reach_m


def require_angler(mass_kg: float, stature_m: float) -> None:
    """Refuse a body the segment tables do not speak of. Raises InputErrors naming the field."""
    wrong = []
    if not 25 <= mass_kg <= 250:
        wrong.append(
            InputError(
                "mass_kg",
                mass_kg,
                Bounded(
                    "an angler weighs between {} and {}", Bound("mass", 25), Bound("mass", 250)
                ),
            )
        )
    if not 1.2 <= stature_m <= 2.3:
        wrong.append(
            InputError(
                "stature_m",
                stature_m,
                Bounded(
                    "height lies between {} and {}", Bound("length", 1.2), Bound("length", 2.3)
                ),
            )
        )
    if wrong:
        raise InputErrors(wrong)


def seated(mass_kg: float, build: Build, seat: Seat) -> Body:
    """Posture on the seat, heels on the brace, knees bent upward, hands about the lap."""
    h = build.stature_m
    hip = np.array([seat.x_m + HIP_FORWARD * h, 0.0, seat.z_m + HIP_UP * h])
    axis = np.array([-np.sin(seat.recline_rad), 0.0, np.cos(seat.recline_rad)])
    heel = np.array([seat.brace_x_m, 0.0, seat.brace_z_m])
    knee, ankle, gap = _bend_leg(hip, heel, build)
    toe = ankle + build.foot_m * np.array([np.sin(0.3), 0.0, np.cos(0.3)])
    return _assemble(mass_kg, build, hip, axis, (knee, ankle, toe), gap)


def on_legs(mass_kg: float, build: Build, hip_m: Array, axis: Array, heel_m: Array) -> Body:
    """Posture between sitting and standing: trunk along `axis` (3,), knees as the feet ask."""
    knee, ankle, gap = _bend_leg(hip_m, heel_m, build)
    toe = ankle + np.array([build.foot_m, 0.0, -build.ankle_m])
    return _assemble(mass_kg, build, hip_m, axis, (knee, ankle, toe), gap)


def standing(mass_kg: float, build: Build, x_m: float, floor_z_m: float) -> Body:
    """Standing posture with the ankles over x, soles on the floor, arms hanging.

    Knees soft and trunk a little forward, as nobody stands straight as a post in a kayak: bolt
    upright the tables put the centre of mass at .578 of stature, like this at about .56.
    """
    soft, bow = _SOFT_KNEE_RAD, _STANDING_BOW_RAD
    ankle = np.array([x_m, 0.0, floor_z_m + build.ankle_m])
    knee = ankle + build.shank_m * np.array([np.sin(soft), 0.0, np.cos(soft)])
    hip = knee + build.thigh_m * np.array([-np.sin(soft), 0.0, np.cos(soft)])
    toe = ankle + np.array([build.foot_m, 0.0, -build.ankle_m])
    axis = np.array([np.sin(bow), 0.0, np.cos(bow)])
    down = np.array([0.0, 0.0, -1.0])
    return _assemble(mass_kg, build, hip, axis, (knee, ankle, toe), 0.0, arms=(down, down))


def kneeling(mass_kg: float, build: Build, x_m: float, floor_z_m: float) -> Body:
    """Kneeling upright with the knees at x, shanks and feet flat on the floor behind them."""
    up = floor_z_m + THICKNESS["shank"] * build.stature_m / 2
    knee = np.array([x_m, 0.0, up])
    ankle = knee - np.array([build.shank_m, 0.0, 0.0])
    toe = ankle - np.array([build.foot_m, 0.0, 0.0])
    hip = knee + np.array([0.0, 0.0, build.thigh_m])
    plumb = np.array([0.0, 0.0, 1.0])
    return _assemble(mass_kg, build, hip, plumb, (knee, ankle, toe), 0.0, arms=(-plumb, -plumb))


def _bend_leg(hip: Array, heel: Array, build: Build) -> tuple[Array, Array, float]:
    """Knee and ankle (3,) of a two-link leg in its upright plane, and what the heel falls short."""
    thigh, shank = build.thigh_m, build.shank_m
    along = heel - hip
    distance = max(float(np.linalg.norm(along)), 1e-6)
    along = along / distance
    gap = max(0.0, distance - thigh - shank)
    span = float(np.clip(distance, abs(thigh - shank) + 1e-6, thigh + shank))
    cosine = (thigh**2 + span**2 - shank**2) / (2 * thigh * span)
    rise = thigh * np.sqrt(max(0.0, 1 - cosine**2))
    upward = np.array([-along[2], 0.0, along[0]])
    knee = hip + thigh * cosine * along + rise * upward
    return knee, hip + span * along, gap


def _assemble(
    mass_kg: float,
    build: Build,
    hip: Array,
    axis: Array,
    leg: tuple[Array, Array, Array],
    gap: float,
    arms: tuple[Array, Array] | None = None,
) -> Body:
    neck = hip + build.trunk_m * axis
    head = neck + build.neck_m * np.array([0.0, 0.0, 1.0])
    parts = [("trunk", hip, neck), ("head", neck, head)]
    a, b = _REST_UPPER_ARM_RAD, _REST_FOREARM_RAD
    hang, level = arms or (
        np.array([np.sin(a), 0.0, -np.cos(a)]),
        np.array([np.cos(b), 0.0, np.sin(b)]),
    )
    for side in (1.0, -1.0):
        out = np.array([0.0, side, 0.0])
        shoulder = neck + build.half_shoulders_m * out
        elbow = shoulder + build.upper_arm_m * hang
        wrist = elbow + build.forearm_m * level
        tip = wrist + build.hand_m * level
        hips = build.half_hips_m * out
        knee, ankle, toe = (joint + hips for joint in leg)
        parts += [
            ("upper arm", shoulder, elbow),
            ("forearm", elbow, wrist),
            ("hand", wrist, tip),
            ("thigh", hip + hips, knee),
            ("shank", knee, ankle),
            ("foot", ankle, toe),
        ]
    segments = tuple(
        Segment(name, MASS_SHARE[name] * mass_kg, upper, far, THICKNESS[name] * build.stature_m)
        for name, upper, far in parts
    )
    return Body(build, segments, hip, axis, gap)
