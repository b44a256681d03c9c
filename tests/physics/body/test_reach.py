"""Who comes to what, by geometry and by laws."""

from dataclasses import asdict, replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples

from neat_hull.physics.arrays import Array
from neat_hull.physics.body.build import GRIP_REACH, HALF_SHOULDERS, Build
from neat_hull.physics.body.postures import leaned
from neat_hull.physics.body.reach import SEATED, Kneeling, Reach, Zone, reach
from neat_hull.physics.body.reach_edges import edges_m
from neat_hull.physics.body.segments import ARM, Body, Seat, seated
from neat_hull.physics.body.trunk import BodyLimits

SEAT = Seat(x_m=1.4, z_m=0.24, recline_rad=0.0, brace_x_m=2.25, brace_z_m=0.18)
ORDER = list(Zone)


def body(stature: float = 1.75) -> Body:
    """Sitting upright."""
    return seated(80, Build.of(stature), SEAT)


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
    assert one(-0.4, 0.0, 0.3).zone is Zone.ASHORE


spots = st.tuples(st.floats(0.2, 3.4), st.floats(-0.6, 0.6), st.floats(0.1, 1.0))


@examples(30)
@given(spots)
def test_left_and_right_are_alike(spot: tuple[float, float, float]) -> None:
    x, y, z = spot
    there, mirrored = one(x, y, z), one(x, -y, z)
    assert there.zone is mirrored.zone
    assert there.short_m == pytest.approx(mirrored.short_m, abs=1e-9)


@examples(30)
@given(spots, st.floats(0.0, 0.25))
def test_longer_arms_never_worsen_a_zone(spot: tuple[float, float, float], more: float) -> None:
    """Only the arm grows, the trunk stays."""
    me = body()
    arms = {name: getattr(me.build, name) * (1 + more)
            for name in ("upper_arm_m", "forearm_m", "hand_m")}  # fmt: skip
    long_armed = replace(me, build=replace(me.build, **arms))
    short, long = (ORDER.index(reach(b, np.array([spot]))[0].zone) for b in (me, long_armed))
    assert long <= short


LIMITS = BodyLimits()


@examples(30)
@given(
    st.floats(-3.1, 3.1), st.floats(0.0, 0.9), st.sampled_from([Zone.HAND, Zone.LEAN, Zone.TWIST])
)
def test_the_edge_of_a_zone_is_where_it_ends(bearing: float, z: float, zone: Zone) -> None:
    """A hair inside it the answer of the grid is that zone or a nearer one, outside a farther."""
    me = body()
    edge = float(edges_m(me, LIMITS, np.array([bearing]), z)[zone][0])
    way = np.array([np.cos(bearing), np.sin(bearing)])

    def rank(far: float) -> int:
        spot = np.array([[*(me.hip_m[:2] + far * way), z]])
        return ORDER.index(reach(me, spot)[0].zone)

    assert rank(edge + 0.004) > ORDER.index(zone)
    if edge > 0.01:
        assert rank(edge - 0.004) <= ORDER.index(zone)


@examples(30)
@given(
    spots,
    st.sampled_from(
        [
            "pitch_deg",
            "lean_port_deg",
            "lean_starboard_deg",
            "twist_port_deg",
            "twist_starboard_deg",
        ]
    ),
)
def test_a_stiffer_person_never_comes_to_more(spot: tuple[float, float, float], field: str) -> None:
    grips = np.array([spot])
    stiff = BodyLimits(**(asdict(LIMITS) | {field: 0.0}))
    free, less = (reach(body(), grips, limits)[0] for limits in (LIMITS, stiff))
    assert less.zone not in SEATED or free.zone in SEATED


@examples(30)
@given(spots)
def test_one_hand_is_the_other_one_mirrored(spot: tuple[float, float, float]) -> None:
    x, y, z = spot
    port = reach(body(), np.array([[x, y, z]]), BodyLimits(hands="port"))[0]
    starboard = reach(body(), np.array([[x, -y, z]]), BodyLimits(hands="starboard"))[0]
    assert (port.zone, port.hand, starboard.hand) == (starboard.zone, 0, 1)


def test_on_ones_knees_one_comes_further_but_not_to_the_bow() -> None:
    room = Kneeling(1.2, 2.6, 0.16)
    ahead, bow = np.array([[3.2, 0.0, 0.35]]), np.array([[4.6, 0.0, 0.4]])
    assert reach(body(), ahead)[0].zone is Zone.ASHORE
    assert reach(body(), ahead, None, room)[0].zone is Zone.LEAVE
    assert reach(body(), bow, None, room)[0].zone is Zone.ASHORE


def test_a_lean_shifts_the_body_as_the_same_lean_of_its_segments() -> None:
    """Straight to the side, the arm lying straight out: against the body turned limb by limb."""
    me = body()
    found = reach(me, np.array([[me.hip_m[0], 1.05, me.hip_m[2] + 0.25]]))[0]
    assert found.zone is Zone.LEAN
    assert found.pitch_rad == found.twist_rad == 0.0
    turned = leaned(me, found.lean_rad)
    trunk_and_head = turned.centre_m - me.centre_m
    # the arm adds: .05 of the body, from hanging before the trunk to half way out
    assert found.shift_m[1] > trunk_and_head[1]
    arm = [now for was, now in zip(me.segments, turned.segments, strict=True)
           if was.name in ARM and was.upper_m[1] > 0]  # fmt: skip
    joint = arm[0].upper_m
    arm_kg = sum(s.mass_kg for s in arm)
    hung = sum((s.mass_kg * s.centre_m for s in arm), np.zeros(3)) / arm_kg
    grip = np.array([me.hip_m[0], 1.05, me.hip_m[2] + 0.25])
    length = float(np.linalg.norm(grip - joint))
    out = joint + (grip - joint) / length * min(length, me.grip_reach_m) / 2
    expected = trunk_and_head + arm_kg / me.mass_kg * (out - hung)
    assert found.shift_m == pytest.approx(expected, abs=1e-9)


def test_nothing_asked_is_nothing_answered() -> None:
    assert reach(body(), np.zeros((0, 3))) == []
