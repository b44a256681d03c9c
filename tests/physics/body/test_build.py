"""Bodies of all sizes: usual and measured lengths, and always a posture or a named reason."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from neat_hull.errors import InputErrors
from neat_hull.physics.body.build import Build, Measured, built, usual
from neat_hull.physics.body.reach import reach
from neat_hull.physics.body.segments import (
    MASS_SHARE,
    Seat,
    kneeling,
    require_angler,
    seated,
    standing,
)
from neat_hull.physics.body.trunk import BodyLimits

SEAT = Seat(1.4, 0.24, 0.25, 2.25, 0.18)
bodies = st.tuples(st.floats(40, 160), st.floats(1.45, 2.05))


def test_the_segments_are_the_whole_body() -> None:
    twice = {"upper arm", "forearm", "hand", "thigh", "shank", "foot"}
    whole = sum(share * (2 if name in twice else 1) for name, share in MASS_SHARE.items())
    assert whole == pytest.approx(1.0, abs=1e-9)


@given(bodies)
def test_measuring_the_usual_changes_nothing(body: tuple[float, float]) -> None:
    _, stature = body
    again, once = built(stature, usual(stature)), Build.of(stature)
    for name in Build.__dataclass_fields__:
        assert getattr(again, name) == pytest.approx(getattr(once, name), abs=1e-12), name


@given(bodies)
def test_standing_the_centre_lies_where_tables_put_it(body: tuple[float, float]) -> None:
    mass, stature = body
    centre = standing(mass, Build.of(stature), 2.0, 0.0).centre_m
    assert 0.53 < centre[2] / stature < 0.57


@given(bodies, st.floats(0.15, 0.5), st.floats(0.5, 1.3), st.floats(0, 40))
def test_every_body_sits_somehow_or_is_told_by_how_much_not(
    body: tuple[float, float], seat_z: float, brace_ahead: float, recline: float
) -> None:
    mass, stature = body
    require_angler(mass, stature)
    build = Build.of(stature)
    seat = Seat(1.4, seat_z, float(np.radians(recline)), 1.4 + brace_ahead, 0.15)
    found = seated(mass, build, seat)
    assert found.mass_kg == pytest.approx(mass)
    legs = {s.name: s for s in found.segments if s.upper_m[1] > 0}
    for name, length in (("thigh", build.thigh_m), ("shank", build.shank_m)):
        along = float(np.linalg.norm(legs[name].far_m - legs[name].upper_m))
        assert along == pytest.approx(length, abs=1e-6), name
    heel = np.array([seat.brace_x_m, build.half_hips_m, seat.brace_z_m])
    short = float(np.linalg.norm(legs["shank"].far_m - heel))
    assert short == pytest.approx(found.brace_gap_m, abs=2e-6) or brace_ahead < 0.6
    assert np.isfinite(found.centre_m).all()
    grips = np.array([[2.0, 0.3, 0.4], [0.5, 0.0, 0.4]])
    assert len(reach(found, grips, BodyLimits())) == 2


@given(bodies)
def test_kneeling_one_is_higher_than_sitting_and_lower_than_standing(
    body: tuple[float, float],
) -> None:
    mass, stature = body
    build = Build.of(stature)
    low = seated(mass, build, replace(SEAT, z_m=0.1)).centre_m[2]
    middle = kneeling(mass, build, 1.8, 0.0).centre_m[2]
    high = standing(mass, build, 1.8, 0.0).centre_m[2]
    assert low < middle < high


@given(st.floats(1.5, 2.0), st.floats(0.8, 1.25))
def test_a_measured_arm_is_as_long_as_it_was_measured(stature: float, share: float) -> None:
    wall = usual(stature).wall_to_fingertip_m
    assert wall is not None
    arm = built(stature, Measured(wall_to_fingertip_m=share * wall))
    assert 0.0625 * stature + arm.upper_arm_m + arm.forearm_m + arm.hand_m == pytest.approx(
        share * wall
    )


@given(st.floats(1.5, 2.0), st.floats(0.8, 1.25), st.floats(0.8, 1.25))
def test_measured_legs_and_trunk_replace_the_usual(
    stature: float, leg: float, trunk: float
) -> None:
    once = usual(stature)
    assert once.floor_to_knee_m is not None
    assert once.seat_to_shoulder_m is not None
    found = built(
        stature,
        Measured(floor_to_knee_m=leg * once.floor_to_knee_m,
                 seat_to_shoulder_m=trunk * once.seat_to_shoulder_m),
    )  # fmt: skip
    assert found.shank_m + found.ankle_m == pytest.approx(leg * once.floor_to_knee_m)
    assert found.trunk_m + 0.051 * stature == pytest.approx(trunk * once.seat_to_shoulder_m)


@pytest.mark.parametrize("share", [0.5, 1.6])
@pytest.mark.parametrize("name", list(Measured.__dataclass_fields__))
def test_what_no_body_measures_is_refused_by_name(name: str, share: float) -> None:
    far = share * getattr(usual(1.75), name)
    with pytest.raises(InputErrors) as wrong:
        built(1.75, Measured(**{name: far}))
    assert [error.field for error in wrong.value.errors] == [name]
    assert "lies between" in wrong.value.errors[0].why
