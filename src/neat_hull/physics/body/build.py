"""Lengths of one body: from its stature, and from the tape where it has been measured.

Shares of stature: Winter, *Biomechanics and Motor Control of Human Movement*, 4th ed., chapter 4
(after Drillis and Contini).
"""

from dataclasses import dataclass, fields, replace

from neat_hull.errors import Bound, Bounded, InputError, InputErrors

HIP_HEIGHT, SHOULDER_HEIGHT, EYE_HEIGHT = 0.530, 0.818, 0.936
HALF_SHOULDERS, HALF_HIPS = 0.129, 0.0955
UPPER_ARM, FOREARM, HAND = 0.186, 0.146, 0.108
THIGH, SHANK, FOOT = 0.245, 0.246, 0.152
ANKLE_HEIGHT = 0.039
GRIP_REACH = UPPER_ARM + FOREARM + HAND / 2  # shoulder to the middle of a closed hand

# The hip joint of a sitter, from the corner of pan and back, as shares of stature: half the depth
# and most of the thickness of the seat of the body (about 12 cm and 9 cm at 1.75 m).
HIP_FORWARD, HIP_UP = 0.069, 0.051
HALF_BACK = 0.0625  # the shoulder joint ahead of a wall that the back leans on

_LEAST, _MOST = 0.75, 1.3  # of the usual length: beyond that a tape was misread


@dataclass(frozen=True)
class Build:
    """Lengths in m between joints; the hand to its fingertips, neck_m from shoulder to eye."""

    stature_m: float
    trunk_m: float
    neck_m: float
    half_shoulders_m: float
    half_hips_m: float
    upper_arm_m: float
    forearm_m: float
    hand_m: float
    thigh_m: float
    shank_m: float
    foot_m: float
    ankle_m: float

    @classmethod
    def of(cls, stature_m: float) -> "Build":
        """What is usual at that stature."""
        h = stature_m
        return cls(
            stature_m=h,
            trunk_m=(SHOULDER_HEIGHT - HIP_HEIGHT) * h,
            neck_m=(EYE_HEIGHT - SHOULDER_HEIGHT) * h,
            half_shoulders_m=HALF_SHOULDERS * h,
            half_hips_m=HALF_HIPS * h,
            upper_arm_m=UPPER_ARM * h,
            forearm_m=FOREARM * h,
            hand_m=HAND * h,
            thigh_m=THIGH * h,
            shank_m=SHANK * h,
            foot_m=FOOT * h,
            ankle_m=ANKLE_HEIGHT * h,
        )

    @property
    def grip_reach_m(self) -> float:
        """Shoulder to closed hand with a straight arm."""
        return self.upper_arm_m + self.forearm_m + self.hand_m / 2


@dataclass(frozen=True)
class Measured:
    """What a tape finds on a person, in m; None where nobody has measured.

    Sitting with the back against a wall: wall to fingertips of a level arm, and to the middle of
    the knee; seat to the top of the shoulder; floor to the middle of the knee. Breadth between the
    shoulder joints, and heel to toe.
    """

    wall_to_fingertip_m: float | None = None
    seat_to_shoulder_m: float | None = None
    wall_to_knee_m: float | None = None
    floor_to_knee_m: float | None = None
    shoulders_m: float | None = None
    foot_m: float | None = None


def usual(stature_m: float) -> Measured:
    """What the tape would find at the usual build of that stature."""
    b, h = Build.of(stature_m), stature_m
    return Measured(
        wall_to_fingertip_m=HALF_BACK * h + b.upper_arm_m + b.forearm_m + b.hand_m,
        seat_to_shoulder_m=HIP_UP * h + b.trunk_m,
        wall_to_knee_m=HIP_FORWARD * h + b.thigh_m,
        floor_to_knee_m=b.ankle_m + b.shank_m,
        shoulders_m=2 * b.half_shoulders_m,
        foot_m=b.foot_m,
    )


def built(stature_m: float, measured: Measured) -> Build:
    """The build with measured lengths in place of usual ones; an arm keeps its proportions.

    Raises InputErrors naming each length that no body of that stature has.
    """
    expected = usual(stature_m)
    wrong = []
    for field in fields(Measured):
        found, typical = getattr(measured, field.name), getattr(expected, field.name)
        if found is not None and not _LEAST * typical <= found <= _MOST * typical:
            bounds = (Bound("length", round(share * typical, 2)) for share in (_LEAST, _MOST))
            why = Bounded("lies between {} and {} at this height", *bounds)
            wrong.append(InputError(field.name, found, why))
    if wrong:
        raise InputErrors(wrong)
    build, h = Build.of(stature_m), stature_m
    m = measured
    if m.wall_to_fingertip_m is not None:
        arm = build.upper_arm_m + build.forearm_m + build.hand_m
        scale = (m.wall_to_fingertip_m - HALF_BACK * h) / arm
        build = replace(
            build,
            upper_arm_m=scale * build.upper_arm_m,
            forearm_m=scale * build.forearm_m,
            hand_m=scale * build.hand_m,
        )
    if m.seat_to_shoulder_m is not None:
        build = replace(build, trunk_m=m.seat_to_shoulder_m - HIP_UP * h)
    if m.wall_to_knee_m is not None:
        build = replace(build, thigh_m=m.wall_to_knee_m - HIP_FORWARD * h)
    if m.floor_to_knee_m is not None:
        build = replace(build, shank_m=m.floor_to_knee_m - build.ankle_m)
    if m.shoulders_m is not None:
        build = replace(build, half_shoulders_m=m.shoulders_m / 2)
    if m.foot_m is not None:
        build = replace(build, foot_m=m.foot_m)
    return build
