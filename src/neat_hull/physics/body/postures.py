"""Postures other than sitting still: leaning over the side, half up, with an arm out."""

from dataclasses import replace

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.body.build import Build
from neat_hull.physics.body.segments import (
    ABOVE_HIP,
    ARM,
    Body,
    Seat,
    Segment,
    on_legs,
    seated,
    standing,
)

_RISING_BOW_RAD = np.radians(40.0)  # trunk forward of plumb, as one gets up from a low seat


def leaned(body: Body, lean_rad: float, arm_out: bool = False) -> Body:
    """The body with all above the hip leaned sideways, positive to port.

    With `arm_out` the arm on the low side is held straight out, level.
    """
    cos, sin = np.cos(lean_rad), np.sin(lean_rad)
    side = 1.0 if lean_rad >= 0 else -1.0

    def turn(point_m: Array) -> Array:
        x, y, z = point_m - body.hip_m
        turned: Array = body.hip_m + np.array([x, y * cos + z * sin, z * cos - y * sin])
        return turned

    def moved(segment: Segment) -> Segment:
        if segment.name not in ABOVE_HIP:
            return segment
        if arm_out and segment.name in ARM and segment.upper_m[1] * side > 0:
            start, length = _along_arm(body.build, segment.name)
            shoulder, out = turn(_shoulder(body, side)), np.array([0.0, side, 0.0])
            upper = shoulder + start * out
            return replace(segment, upper_m=upper, far_m=upper + length * out)
        return replace(segment, upper_m=turn(segment.upper_m), far_m=turn(segment.far_m))

    return replace(body, segments=tuple(moved(segment) for segment in body.segments))


def _along_arm(build: Build, name: str) -> tuple[float, float]:
    """Where a segment of a straight arm starts from the shoulder, and how long it is, in m."""
    lengths = {"upper arm": build.upper_arm_m, "forearm": build.forearm_m, "hand": build.hand_m}
    start = sum(lengths[before] for before in ARM[: ARM.index(name)])
    return start, lengths[name]


def _shoulder(body: Body, side: float) -> Array:
    return next(
        s.upper_m for s in body.segments if s.name == "upper arm" and s.upper_m[1] * side > 0
    )


def rising(mass_kg: float, build: Build, seat: Seat, feet_x_m: float, floor_z_m: float) -> Body:
    """Half way up: hip midway between sitting and standing, trunk forward, feet on the floor."""
    low = seated(mass_kg, build, seat).hip_m
    high = standing(mass_kg, build, feet_x_m, floor_z_m).hip_m
    heel = np.array([feet_x_m, 0.0, floor_z_m + build.ankle_m])
    axis = np.array([np.sin(_RISING_BOW_RAD), 0.0, np.cos(_RISING_BOW_RAD)])
    return on_legs(mass_kg, build, (low + high) / 2, axis, heel)
