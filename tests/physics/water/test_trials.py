"""Tilt and float tests, postures and drag: what was put in comes out."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy import stats
from tests.boats import kayak

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.build import Build
from neat_hull.physics.body.postures import leaned, rising
from neat_hull.physics.body.segments import Seat, seated, standing
from neat_hull.physics.hull.fullness import MARK_M, filled, fit_fullness
from neat_hull.physics.water.inclining import gm_from_moves

SEAT = Seat(x_m=1.4, z_m=0.24, recline_rad=0.2, brace_x_m=2.25, brace_z_m=0.18)


@given(st.floats(0.03, 0.6), st.floats(-2.0, 2.0), st.floats(60, 250))
def test_a_clean_tilt_test_gives_the_gm_it_was_made_with(
    gm: float, start: float, mass: float
) -> None:
    moments = np.array([-3.0, 0.0, 3.0, 5.0])
    tilt = np.arctan(np.tan(np.radians(start)) + moments / (mass * gm))
    found = gm_from_moves(mass, moments, tilt)
    assert found.gm_m == pytest.approx(gm, rel=1e-9)
    assert np.degrees(found.start_rad) == pytest.approx(start, abs=1e-9)
    assert found.gm_se_m == pytest.approx(0, abs=1e-6)


def test_the_standard_error_is_that_of_a_regression_by_another_library() -> None:
    """The slope's own error from scipy.stats, carried through GM = 1/slope."""
    moments = np.array([-3.0, -1.5, 0.0, 1.5, 3.0])
    heel = np.radians(np.array([-5.2, -2.4, 0.1, 2.7, 5.0]))
    found = gm_from_moves(150.0, moments, heel)
    line = stats.linregress(moments / 150.0, np.tan(heel))
    assert found.gm_m == pytest.approx(1 / line.slope)
    assert found.gm_se_m == pytest.approx(line.stderr / line.slope**2)


@pytest.mark.parametrize(
    ("moments", "heels", "words"),
    [
        ([3.0], [4.0], "at least two"),
        ([3.0, 3.0], [4.0, 4.1], "different moments"),
        ([-3.0, 3.0], [0.05, 0.1], "hardly tilted"),
        ([-3.0, 3.0], [4.0, -4.0], "against the weight"),
    ],
)
def test_readings_that_mean_nothing_say_what_to_do(
    moments: list[float], heels: list[float], words: str
) -> None:
    with pytest.raises(InputError, match=words):
        gm_from_moves(150.0, np.array(moments), np.radians(heels))


def test_two_readings_have_no_standard_error() -> None:
    found = gm_from_moves(150.0, np.array([-3.0, 3.0]), np.radians([-4.0, 4.0]))
    assert found.gm_se_m is None


def test_fullness_leaves_keel_and_gunwale_where_the_tape_found_them() -> None:
    before, after = kayak().stations, filled(kayak().stations, 0.1, -0.1)
    for a, b in zip(before, after, strict=True):
        assert b.points_m[-1] == pytest.approx(a.points_m[-1])
        assert b.points_m[:, 1] == pytest.approx(a.points_m[:, 1])
    assert after[2].points_m[1, 0] < before[2].points_m[1, 0]
    assert after[-3].points_m[1, 0] > before[-3].points_m[1, 0]


def test_a_linear_boat_is_fitted_to_its_marks() -> None:
    """Marks that move 10 cm a unit of fullness: 0.08 and −0.05 come back, held by 1 % or so."""

    def off_m(fore: float, aft: float) -> Array:
        return 0.5 * np.array([aft + 0.05, (fore + aft) / 2 - 0.015, fore - 0.08])

    fit = fit_fullness(off_m, np.full(3, MARK_M), usual=0.15)
    assert fit.fore == pytest.approx(0.08, abs=2e-3)
    assert fit.aft == pytest.approx(-0.05, abs=2e-3)
    assert np.abs(fit.after_m).max() < 0.1 * np.abs(fit.before_m).max()


def test_marks_no_such_boat_could_have_are_refused() -> None:
    with pytest.raises(InputError, match="disagree too far"):
        fit_fullness(
            lambda fore, aft: 0.5 * np.array([fore - 0.6, aft - 0.6]),
            np.full(2, MARK_M),
            usual=0.15,
        )


@pytest.mark.parametrize("lean_deg", [10.0, 25.0])
def test_a_lean_shifts_what_is_above_the_hip(lean_deg: float) -> None:
    """.678 of the body at its own height over the hip, times sin λ; port positive."""
    body = seated(85, Build.of(1.78), SEAT)
    upper = [s for s in body.segments if s.name not in ("thigh", "shank", "foot")]
    height = sum(s.mass_kg * (s.centre_m[2] - body.hip_m[2]) for s in upper)
    shift = leaned(body, np.radians(lean_deg)).centre_m[1]
    assert shift == pytest.approx(height * np.sin(np.radians(lean_deg)) / 85, rel=1e-9)
    assert sum(s.mass_kg for s in upper) == pytest.approx(0.678 * 85, rel=1e-3)


def test_leans_to_either_side_are_mirror_images() -> None:
    body = seated(85, Build.of(1.78), SEAT)
    port, starboard = (leaned(body, lean, arm_out=True).centre_m for lean in (0.4, -0.4))
    assert port == pytest.approx(starboard * np.array([1, -1, 1]))


def test_an_arm_held_out_reaches_further_than_the_lean_alone() -> None:
    body = seated(85, Build.of(1.78), SEAT)
    assert leaned(body, 0.3, arm_out=True).centre_m[1] > leaned(body, 0.3).centre_m[1]


def test_getting_up_is_between_sitting_and_standing() -> None:
    low = seated(85, Build.of(1.78), SEAT).centre_m[2]
    high = standing(85, Build.of(1.78), 1.75, 0.16).centre_m[2]
    middle = rising(85, Build.of(1.78), SEAT, 1.75, 0.16)
    assert low < middle.centre_m[2] < high
    assert middle.mass_kg == pytest.approx(85)
