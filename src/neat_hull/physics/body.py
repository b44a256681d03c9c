"""The angler as a chain of segments: where the body is, and where it weighs.

Segment masses and lengths as fractions of body mass and stature: Winter, *Biomechanics and Motor
Control of Human Movement*, 4th ed., chapter 4 (after Dempster, and Drillis & Contini).
"""

from dataclasses import dataclass

import numpy as np

from neat_hull.errors import InputError, InputErrors
from neat_hull.physics.arrays import Array

# Share of body mass, and centre of mass as a share of the segment from its upper joint.
MASS_SHARE = {"trunk": 0.497, "head": 0.081, "upper arm": 0.028, "forearm": 0.016, "hand": 0.006,
              "thigh": 0.100, "shank": 0.0465, "foot": 0.0145}  # fmt: skip
CENTRE_SHARE = {"trunk": 0.5, "head": 1.0, "upper arm": 0.436, "forearm": 0.430, "hand": 0.506,
                "thigh": 0.433, "shank": 0.433, "foot": 0.5}  # fmt: skip

# Lengths and heights as shares of stature.
HIP_HEIGHT, SHOULDER_HEIGHT, EYE_HEIGHT = 0.530, 0.818, 0.936
TRUNK = SHOULDER_HEIGHT - HIP_HEIGHT
HALF_SHOULDERS, HALF_HIPS = 0.129, 0.0955
UPPER_ARM, FOREARM, HAND = 0.186, 0.146, 0.108
THIGH, SHANK, FOOT = 0.245, 0.246, 0.152
ANKLE_HEIGHT = 0.039
GRIP_REACH = UPPER_ARM + FOREARM + HAND / 2  # shoulder to the middle of a closed hand

# How thick each segment is from front to back, in shares of stature: typical of a dressed adult.
# For drawing, and for laying a segment's weight along the boat; its mass and centre are Winter's.
THICKNESS = {"trunk": 0.125, "head": 0.100, "upper arm": 0.050, "forearm": 0.042, "hand": 0.036,
             "thigh": 0.082, "shank": 0.060, "foot": 0.046}  # fmt: skip

# The hip joint of a sitter, from the corner of pan and back, as shares of stature: half the depth
# and most of the thickness of the seat of the body (about 12 cm and 9 cm at 1.75 m).
_HIP_FORWARD, _HIP_UP = 0.069, 0.051
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

    @property
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

    stature_m: float
    segments: tuple[Segment, ...]
    hip_m: Array
    trunk_axis: Array
    brace_gap_m: float

    @property
    def mass_kg(self) -> float:
        """Sum of the segments, in kg."""
        return sum(segment.mass_kg for segment in self.segments)

    @property
    def centre_m(self) -> Array:
        """(3,) m: centre of mass of the whole body."""
        moment = sum((s.mass_kg * s.centre_m for s in self.segments), np.zeros(3))
        centre: Array = moment / self.mass_kg
        return centre

    @property
    def trunk_middle_m(self) -> Array:
        """(3,) m: half way from hip to neck; what is worn rides on it."""
        trunk = next(s for s in self.segments if s.name == "trunk")
        middle: Array = (trunk.upper_m + trunk.far_m) / 2
        return middle

    @property
    def grip_reach_m(self) -> float:
        """Shoulder to closed hand with a straight arm, in m."""
        return GRIP_REACH * self.stature_m


def require_angler(mass_kg: float, stature_m: float) -> None:
    """Refuse a body the segment tables do not speak of. Raises InputErrors naming the field."""
    wrong = []
    if not 25 <= mass_kg <= 250:
        wrong.append(InputError("mass_kg", mass_kg, "an angler weighs between 25 kg and 250 kg"))
    if not 1.2 <= stature_m <= 2.3:
        wrong.append(InputError("stature_m", stature_m, "height lies between 120 cm and 230 cm"))
    if wrong:
        raise InputErrors(wrong)


def seated(mass_kg: float, stature_m: float, seat: Seat) -> Body:
    """Posture on the seat, heels on the brace, knees bent upward, hands about the lap."""
    h = stature_m
    hip = np.array([seat.x_m + _HIP_FORWARD * h, 0.0, seat.z_m + _HIP_UP * h])
    axis = np.array([-np.sin(seat.recline_rad), 0.0, np.cos(seat.recline_rad)])
    heel = np.array([seat.brace_x_m, 0.0, seat.brace_z_m])
    knee, ankle, gap = _bend_leg(hip, heel, h)
    toe = ankle + FOOT * h * np.array([np.sin(0.3), 0.0, np.cos(0.3)])
    return _assemble(mass_kg, h, hip, axis, (knee, ankle, toe), gap)


def on_legs(mass_kg: float, stature_m: float, hip_m: Array, axis: Array, heel_m: Array) -> Body:
    """Posture between sitting and standing: trunk along `axis` (3,), knees as the feet ask."""
    knee, ankle, gap = _bend_leg(hip_m, heel_m, stature_m)
    toe = ankle + np.array([FOOT * stature_m, 0.0, -ANKLE_HEIGHT * stature_m])
    return _assemble(mass_kg, stature_m, hip_m, axis, (knee, ankle, toe), gap)


def standing(mass_kg: float, stature_m: float, x_m: float, floor_z_m: float) -> Body:
    """Standing posture with the ankles over x, soles on the floor, arms hanging.

    Knees soft and trunk a little forward, as nobody stands straight as a post in a kayak: bolt
    upright the tables put the centre of mass at .578 of stature, like this at about .56.
    """
    h, soft, bow = stature_m, _SOFT_KNEE_RAD, _STANDING_BOW_RAD
    ankle = np.array([x_m, 0.0, floor_z_m + ANKLE_HEIGHT * h])
    knee = ankle + SHANK * h * np.array([np.sin(soft), 0.0, np.cos(soft)])
    hip = knee + THIGH * h * np.array([-np.sin(soft), 0.0, np.cos(soft)])
    toe = ankle + np.array([FOOT * h, 0.0, -ANKLE_HEIGHT * h])
    axis = np.array([np.sin(bow), 0.0, np.cos(bow)])
    down = np.array([0.0, 0.0, -1.0])
    return _assemble(mass_kg, h, hip, axis, (knee, ankle, toe), 0.0, arms=(down, down))


def _bend_leg(hip: Array, heel: Array, stature_m: float) -> tuple[Array, Array, float]:
    """Knee and ankle (3,) of a two-link leg in its upright plane, and what the heel falls short."""
    thigh, shank = THIGH * stature_m, SHANK * stature_m
    along = heel - hip
    distance = float(np.linalg.norm(along))
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
    h: float,
    hip: Array,
    axis: Array,
    leg: tuple[Array, Array, Array],
    gap: float,
    arms: tuple[Array, Array] | None = None,
) -> Body:
    neck = hip + TRUNK * h * axis
    head = neck + (EYE_HEIGHT - SHOULDER_HEIGHT) * h * np.array([0.0, 0.0, 1.0])
    parts = [("trunk", hip, neck), ("head", neck, head)]
    a, b = _REST_UPPER_ARM_RAD, _REST_FOREARM_RAD
    hang, level = arms or (
        np.array([np.sin(a), 0.0, -np.cos(a)]),
        np.array([np.cos(b), 0.0, np.sin(b)]),
    )
    for side in (1.0, -1.0):
        out = np.array([0.0, side, 0.0])
        shoulder = neck + HALF_SHOULDERS * h * out
        elbow = shoulder + UPPER_ARM * h * hang
        wrist = elbow + FOREARM * h * level
        tip = wrist + HAND * h * level
        hips = HALF_HIPS * h * out
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
        Segment(name, MASS_SHARE[name] * mass_kg, upper, far, THICKNESS[name] * h)
        for name, upper, far in parts
    )
    return Body(h, segments, hip, axis, gap)
