"""The segment model against its source and against plain geometry."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples

from neat_hull.errors import InputErrors
from neat_hull.physics.body.build import GRIP_REACH, Build
from neat_hull.physics.body.segments import Body, Seat, require_angler, seated, standing

SEAT = Seat(x_m=1.4, z_m=0.24, recline_rad=0.25, brace_x_m=2.25, brace_z_m=0.18)


def limb(body: Body, name: str) -> np.ndarray[tuple[int, ...], np.dtype[np.float64]]:
    """Upper joint and far end of the first segment of that name."""
    segment = next(s for s in body.segments if s.name == name)
    return np.array([segment.upper_m, segment.far_m])


@given(st.floats(1.45, 2.05), st.floats(40, 160))
@examples(30)
def test_a_standing_body_balances_where_the_tables_put_it(stature: float, mass: float) -> None:
    """Between .53 and .57 of stature for every body; segments sum to the whole."""
    body = standing(mass, Build.of(stature), 2.0, 0.1)
    assert 0.53 < (body.centre_m[2] - 0.1) / stature < 0.57
    assert body.mass_kg == pytest.approx(mass, rel=1e-9)
    assert body.centre_m[1] == pytest.approx(0, abs=1e-12)
    soles = min(segment.far_m[2] for segment in body.segments)
    assert soles == pytest.approx(0.1, abs=1e-9)


@given(st.floats(1.45, 2.05), st.floats(40, 160), st.floats(1.8, 2.6))
@examples(30)
def test_every_body_finds_a_seated_posture(stature: float, mass: float, brace: float) -> None:
    """Legs keep their length whether they bend or the brace is too far, which is then said."""
    body = seated(mass, Build.of(stature), Seat(1.4, 0.24, 0.25, brace, 0.18))
    thigh, shank = limb(body, "thigh"), limb(body, "shank")
    assert np.linalg.norm(thigh[1] - thigh[0]) == pytest.approx(0.245 * stature, rel=1e-6)
    assert np.linalg.norm(shank[1] - shank[0]) == pytest.approx(0.246 * stature, rel=1e-6)
    heel = np.array([brace, 0.18])
    away = float(np.linalg.norm(shank[1][[0, 2]] - heel))
    assert body.brace_gap_m == pytest.approx(away, abs=1e-9)


def test_knees_bend_upward() -> None:
    thigh = limb(seated(80, Build.of(1.75), SEAT), "thigh")
    shank = limb(seated(80, Build.of(1.75), SEAT), "shank")
    assert thigh[1][2] > max(thigh[0][2], shank[1][2])


def test_lifting_seat_and_brace_lifts_the_whole_body() -> None:
    lifted = Seat(SEAT.x_m, SEAT.z_m + 0.05, SEAT.recline_rad, SEAT.brace_x_m, 0.23)
    rise = seated(80, Build.of(1.75), lifted).centre_m - seated(80, Build.of(1.75), SEAT).centre_m
    assert rise == pytest.approx([0, 0, 0.05], abs=1e-9)


def test_lifting_the_seat_alone_lifts_all_above_the_hip_and_part_of_the_legs() -> None:
    """The share above the hip is .678; feet stay on the brace."""
    lifted = Seat(SEAT.x_m, SEAT.z_m + 0.05, SEAT.recline_rad, SEAT.brace_x_m, SEAT.brace_z_m)
    rise = (
        seated(80, Build.of(1.75), lifted).centre_m - seated(80, Build.of(1.75), SEAT).centre_m
    )[2]
    assert 0.678 * 0.05 < rise < 0.05


def test_a_limb_is_laid_along_the_boat_about_its_own_centre() -> None:
    for segment in seated(80, Build.of(1.75), SEAT).segments:
        aft, fwd = segment.along_m
        assert (aft + fwd) / 2 == pytest.approx(segment.centre_m[0])
        assert fwd - aft >= segment.thickness_m - 1e-12


def test_a_straight_arm_is_upper_arm_forearm_and_half_a_hand() -> None:
    assert pytest.approx(0.186 + 0.146 + 0.054) == GRIP_REACH


@pytest.mark.parametrize(
    ("mass", "stature", "fields"),
    [
        (10, 1.7, ["mass_kg"]),
        (80, 3.0, ["stature_m"]),
        (float("nan"), -1, ["mass_kg", "stature_m"]),
    ],
)
def test_no_such_body_is_refused_by_field(mass: float, stature: float, fields: list[str]) -> None:
    with pytest.raises(InputErrors) as refused:
        require_angler(mass, stature)
    assert [e.field for e in refused.value.errors] == fields
