"""How a setup goes: what slows it, what its tests say, its lines and its motor."""

from math import hypot, sqrt

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CLEAN, put
from tests.subjects.glide.goings import MOTOR, motored, planned, socked, tube, with_thing

from neat_hull.model.glide import DriftTest, TimedRun, TowedPull
from neat_hull.model.glide_figures import GlideFigures
from neat_hull.model.setup import Setup
from neat_hull.rig.drag.figures import full_drag
from neat_hull.subjects.glide.figures import glide, lighter_by
from neat_hull.subjects.glide.full import full_glide
from neat_hull.subjects.glide.trolling import crossing, line_in_turn
from neat_hull.whole.evaluate import evaluated

HULL = evaluated(CLEAN).rigged.floating.hull


def going(setup: Setup) -> GlideFigures:
    """Its live figures."""
    found = evaluated(setup).once(glide)
    assert found is not None
    return found


def test_power_is_what_all_holds_back_times_the_speed() -> None:
    now = going(planned(CLEAN, wind_m_s=3.0, effort_w=70.0))
    assert now.at is not None
    assert now.at.total_n * now.at.speed_m_s == pytest.approx(70.0 * now.efficiency, rel=2e-3)
    parts = now.at.friction_n + now.at.base_n + now.at.wave_n + now.at.appendage_n + now.at.air_n
    assert parts == pytest.approx(now.at.total_n)
    assert now.min_per_km == pytest.approx(1000 / 60 / now.at.speed_m_s)


def test_more_effort_is_never_slower_and_a_headwind_never_faster() -> None:
    speeds = [going(planned(CLEAN, effort_w=w)).speed_m_s or 0.0 for w in (30, 60, 100, 150)]
    assert speeds == sorted(speeds)
    against = [going(planned(CLEAN, wind_m_s=w)).speed_m_s or 0.0 for w in (0, 2, 5, 9)]
    assert against == sorted(against, reverse=True)


def test_a_following_current_carries_it_and_the_way_back_pays() -> None:
    now = going(planned(CLEAN, wind_m_s=0.0, current_m_s=0.3, current_toward_deg=0.0))
    assert now.speed_m_s is not None
    assert now.way_m_s == pytest.approx(now.speed_m_s + 0.3, abs=0.03)  # its own wind, a little
    assert now.back_m_s == pytest.approx(now.speed_m_s - 0.3, abs=0.03)


def test_a_tube_in_the_water_costs_its_own_drag_and_lifted_it_costs_nothing() -> None:
    """½ρU²·c_d·A at the speed gone."""
    setup = tube(0.2)
    now = going(setup)
    cost = next(one for one in now.costs if one.name == "Tube")
    assert now.at is not None
    full = evaluated(setup).once(full_drag)
    assert full is not None
    area = next(one.appendage.area_m2 for one in full.hanging if one.name == "Tube")
    push = 0.5 * full.drag.density_kg_m3 * now.at.speed_m_s**2
    assert cost.water_n == pytest.approx(push * 1.1 * area, rel=1e-6)
    assert cost.lifts
    up = going(planned(setup, up={cost.thing_id: True}))
    assert all(one.name != "Tube" for one in up.costs)
    assert up.speed_m_s > now.speed_m_s  # type: ignore[operator]


def test_what_costs_most_is_looked_at_first() -> None:
    made = with_thing(CLEAN, 91, name="Stones", mass_kg=40.0, length_m=0.3, width_m=0.3,
                      height_m=0.1)  # fmt: skip
    assert lighter_by(evaluated(put(made, 91, 1.2)))[0] == 91


def test_a_drogue_slows_the_drift_and_one_of_no_mouth_would_not() -> None:
    setup = socked(HULL.x_fwd_m)
    now = going(setup)
    assert now.drift is not None
    assert now.drogued is not None
    assert now.drogued.speed_m_s < 0.6 * now.drift.speed_m_s
    north = now.drogued.ground_toward_deg
    assert 150 < north < 210  # downwind of a wind from the north


@pytest.mark.parametrize("wind", [2.0, 5.0, 10.0])
def test_the_lie_adrift_is_the_same_in_any_wind(wind: float) -> None:
    one, other = (
        going(planned(CLEAN, wind_m_s=1.0)).drift,
        going(planned(CLEAN, wind_m_s=wind)).drift,
    )
    assert one is not None
    assert other is not None
    assert other.wind_off_bow_deg == pytest.approx(one.wind_off_bow_deg)
    assert other.speed_m_s == pytest.approx(wind * one.speed_m_s)


def test_the_range_shrinks_against_the_wind_and_its_ring_is_round_in_still_air() -> None:
    calm, windy = going(motored(wind_m_s=0.0)).motor, going(motored(wind_m_s=7.0)).motor
    assert calm is not None
    assert windy is not None
    assert windy.trip.turn_back_m < calm.trip.turn_back_m  # type: ignore[operator]
    assert windy.windy.used_share > windy.trip.used_share  # type: ignore[operator]
    ring = full_glide(evaluated(motored(wind_m_s=0.0))).ring
    far = [one.turn_back_m for one in ring]
    assert len(far) == 24
    assert far == pytest.approx([far[0]] * 24)


def test_a_motor_that_is_lifted_neither_drives_nor_drags() -> None:
    lifted = going(motored(up={MOTOR: True}))
    assert lifted.motor is None
    assert all(one.thing_id != MOTOR for one in lifted.costs)


def test_the_step_that_goes_farthest_is_marked() -> None:
    full = full_glide(evaluated(motored()))
    best = max(full.steps, key=lambda one: one.range_m or 0.0)
    assert full.best_step == best.step


@given(st.floats(0.4, 0.75), st.floats(40, 120))
@examples(8)
def test_a_run_timed_at_a_known_efficiency_gives_it_back(share: float, watts: float) -> None:
    at = going(planned(CLEAN, wind_m_s=0.0, effort_w=watts, efficiency=share)).speed_m_s
    assert at is not None
    minutes = 500 / at / 60
    run = TimedRun(distance_m=500, out_min=minutes, back_min=minutes, effort_w=watts)
    fit = full_glide(evaluated(planned(CLEAN, wind_m_s=0.0, timed_run=run))).run_fit
    assert fit is not None
    assert fit.efficiency == pytest.approx(share, rel=0.01)


@given(st.floats(0.06, 0.34), st.floats(0.45, 1.55))
@examples(8)
def test_pulls_made_with_known_factors_give_them_back(form: float, wave: float) -> None:
    boat = evaluated(planned(CLEAN, form_factor=form, wave_factor=wave)).once(full_drag)
    assert boat is not None
    pulls = [TowedPull(speed_m_s=u, pull_n=boat.drag.water_n(u)) for u in (0.8, 1.2, 1.7)]
    fit = full_glide(evaluated(planned(CLEAN, pulls=pulls))).pull_fit
    assert fit is not None
    assert fit.trouble is None
    assert fit.form_factor == pytest.approx(form, abs=0.01)
    assert fit.wave_factor == pytest.approx(wave, abs=0.02)


def test_pulls_of_no_hull_are_refused_and_one_speed_does_not_do() -> None:
    wild = [TowedPull(speed_m_s=0.8, pull_n=90.0), TowedPull(speed_m_s=1.6, pull_n=5.0)]
    fit = full_glide(evaluated(planned(CLEAN, pulls=wild))).pull_fit
    assert fit is not None
    assert fit.trouble is not None
    assert fit.wave_factor is None
    one = full_glide(evaluated(planned(CLEAN, pulls=wild[:1]))).pull_fit
    assert one is not None
    assert "two speeds" in (one.trouble or "")


@given(st.floats(0.5, 2.5))
@examples(6)
def test_a_drift_in_a_known_wind_gives_its_factor_back(factor: float) -> None:
    made = going(planned(CLEAN, wind_m_s=4.0, wind_factor=factor)).drift
    assert made is not None
    test = DriftTest(distance_m=100, minutes=100 / made.speed_m_s / 60, wind_m_s=4.0)
    fit = full_glide(evaluated(planned(CLEAN, drift_test=test))).drift_fit
    assert fit is not None
    assert fit.wind_factor == pytest.approx(factor, rel=0.15)  # the lie turns a little with it


def test_the_band_narrows_where_a_pull_test_was_made() -> None:
    guessed = full_glide(evaluated(CLEAN)).band_n
    tested = full_glide(evaluated(planned(CLEAN, wave_factor=1.0, form_factor=0.15))).band_n
    assert (np.array(tested) < np.array(guessed)).all()


@given(st.floats(2, 60), st.floats(5, 100), st.floats(-1, 1))
@examples(40)
def test_a_line_in_a_turn_comes_to_rest_square_to_itself(
    length: float, turn: float, aside: float
) -> None:
    """The tractrix: the lure goes round at √(r² − ℓ²), or not at all."""
    tip, lure = line_in_turn((0.5, aside), length, turn)
    far = hypot(tip[0], tip[1] - turn)
    round_m = hypot(lure[0], lure[1] - turn)
    if length < far:
        assert round_m == pytest.approx(sqrt(far**2 - length**2), abs=1e-6)
        assert hypot(tip[0] - lure[0], tip[1] - lure[1]) == pytest.approx(length)
    else:
        assert round_m == pytest.approx(0.0)


def test_equal_lines_side_by_side_do_not_cross_and_a_longer_outer_one_does() -> None:
    """In a turn to port the outer line, if much longer, cuts in behind the inner one."""
    equal = [(1, (1.0, 0.6), 15.0), (2, (1.0, -0.6), 15.0)]
    assert crossing(equal, 40.0) == []
    assert crossing([(1, (1.0, 0.6), 8.0), (2, (1.0, -0.6), 30.0)], 35.0) == [(1, 2)]


def test_a_boat_that_goes_under_has_no_speed() -> None:
    made = CLEAN
    for i in range(4):
        made = with_thing(made, 91 + i, name=f"Stones {i}", mass_kg=250.0, length_m=0.3,
                          width_m=0.3, height_m=0.1)  # fmt: skip
        made = put(made, 91 + i, 1.2 + 0.3 * i)
    assert evaluated(made).once(glide) is None
