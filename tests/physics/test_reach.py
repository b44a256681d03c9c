"""Who comes to what, by geometry and by laws."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from neat_hull.physics.arrays import Array
from neat_hull.physics.body import GRIP_REACH, HALF_SHOULDERS, Body, Seat, seated
from neat_hull.physics.reach import Reach, Zone, farthest_m, reach

SEAT = Seat(x_m=1.4, z_m=0.24, recline_rad=0.0, brace_x_m=2.25, brace_z_m=0.18)
ORDER = [Zone.HAND, Zone.LEAN, Zone.TWIST, Zone.OUT]


def body(stature: float = 1.75) -> Body:
    """Sitting upright."""
    return seated(80, stature, SEAT)


def one(x: float, y: float, z: float, stature: float = 1.75) -> Reach:
    """The way to one point."""
    return reach(body(stature), np.array([[x, y, z]]))[0]


def shoulder(stature: float = 1.75) -> Array:
    """The port shoulder."""
    neck = next(s for s in body(stature).segments if s.name == "trunk").far_m
    port: Array = neck + np.array([0.0, HALF_SHOULDERS * stature, 0.0])
    return port


@pytest.mark.parametrize(("beyond_m", "zone"), [(-0.001, Zone.HAND), (0.001, Zone.LEAN)])
def test_straight_ahead_of_the_shoulder_a_hand_comes_as_far_as_an_arm(
    beyond_m: float, zone: Zone
) -> None:
    spot = shoulder() + np.array([GRIP_REACH * 1.75 + beyond_m, 0, 0])
    assert one(*spot).zone is zone


def test_what_lies_a_little_short_is_told_by_how_much() -> None:
    spot = shoulder() + np.array([GRIP_REACH * 1.75 + 0.1, 0, 0])
    assert one(*spot).short_m == pytest.approx(0.1, abs=1e-9)


def test_forty_degrees_forward_is_the_end_of_a_lean() -> None:
    """The shoulder swings about the hip by 40° at most; a hair further than its arm is out."""
    me = body()
    swing = shoulder() - me.hip_m
    length = np.hypot(swing[0], swing[2])
    at = np.arctan2(swing[0], swing[2]) + np.radians(40)
    top = me.hip_m + np.array([length * np.sin(at), swing[1], length * np.cos(at)])
    arm = GRIP_REACH * 1.75
    assert one(*(top + np.array([arm - 0.002, 0, 0]))).zone is Zone.LEAN
    assert one(*(top + np.array([arm + 0.15, 0, 0]))).zone is not Zone.LEAN


def test_behind_the_back_needs_a_twist() -> None:
    me = body()
    assert one(me.hip_m[0] - 0.25, 0.3, me.hip_m[2] + 0.2).zone is Zone.TWIST


def test_a_fishing_pole_length_behind_is_out() -> None:
    assert one(-0.4, 0.0, 0.3).zone is Zone.OUT


class LongArmed(Body):
    """A body whose arms alone are longer, by the share `more`."""

    more: float

    def __setattr__(self, name: str, value: object) -> None:
        object.__setattr__(self, name, value)

    @property
    def grip_reach_m(self) -> float:
        return super().grip_reach_m * (1 + self.more)


spots = st.tuples(st.floats(0.2, 3.4), st.floats(-0.6, 0.6), st.floats(0.1, 1.0))


@settings(max_examples=40, deadline=None)
@given(spots)
def test_left_and_right_are_alike(spot: tuple[float, float, float]) -> None:
    x, y, z = spot
    there, mirrored = one(x, y, z), one(x, -y, z)
    assert there.zone is mirrored.zone
    assert there.short_m == pytest.approx(mirrored.short_m, abs=1e-9)


@settings(max_examples=40, deadline=None)
@given(spots, st.floats(0.0, 0.25))
def test_longer_arms_never_worsen_a_zone(spot: tuple[float, float, float], more: float) -> None:
    """Only the arm grows, the trunk stays."""
    me = body()
    long_armed = LongArmed(me.stature_m, me.segments, me.hip_m, me.trunk_axis, 0.0)
    long_armed.more = more
    short, long = (ORDER.index(reach(b, np.array([spot]))[0].zone) for b in (me, long_armed))
    assert long <= short


def test_the_edge_of_reach_is_where_the_zone_changes() -> None:
    me, bearing = body(), np.array([0.6])
    z = float(me.hip_m[2]) + 0.1
    edge = farthest_m(me, frozenset({Zone.HAND}), bearing, z)[0]
    way = np.array([np.cos(0.6), np.sin(0.6)])
    inside, outside = (
        reach(me, np.array([[*(me.hip_m[:2] + (edge + d) * way), z]]))[0].zone
        for d in (-0.01, 0.01)
    )
    assert (inside, outside) == (Zone.HAND, Zone.LEAN)


def test_nothing_asked_is_nothing_answered() -> None:
    assert reach(body(), np.zeros((0, 3))) == []
