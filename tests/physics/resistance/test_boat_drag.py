"""A boat's drag read off grids and curves against what it is worked out as, and what drives it."""

import numpy as np
import pytest
from hypothesis import example, given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CLEAN
from tests.physics.resistance.hulls import box, wigley

from neat_hull.physics.resistance.boat_drag import BoatDrag, Coefficients, profile
from neat_hull.physics.resistance.drifting import drift
from neat_hull.physics.resistance.lying import lies
from neat_hull.physics.resistance.parts import Appendage, InTheWind
from neat_hull.physics.resistance.propulsion import (
    Propeller,
    driven,
    out_and_back,
    paddled,
    total_n,
)
from neat_hull.physics.resistance.speed_curve import SpeedCurve
from neat_hull.physics.resistance.wave_grid import COARSE, QUICK, WaveGrid
from neat_hull.physics.resistance.waves import waves_n
from neat_hull.physics.resistance.wet_body import Plane, wet_body
from neat_hull.physics.resistance.winds import Air
from neat_hull.whole.evaluate import evaluated

WATER = Coefficients(1.139e-6, 1.225, 0.15, 0.0004, 1.0, 1.1, 0.25, astern=1.3)
STILL = Air.of(0.0, 0.0, 0.0, 0.0)
BOX = box(4.0, 0.4, 0.1)


def drag(front: float = 0.6, side: float = 1.2, wind_x: float = 1.9, **over: float) -> BoatDrag:
    """A pointed hull of 3.6 m, half a metre of wet side amidships, and its windage."""
    given = {"wet": 2.3, "long": 3.4, "transom": 0.01} | over
    arm = Appendage("bluff", 0.004, 1.9, 0.006, cd=1.0)
    rudder = Appendage("foil", 0.03, 0.05, 0.03, chord_m=0.15, thickness_ratio=0.08)
    return BoatDrag(
        1000.0, WATER, given["wet"], given["long"], given["transom"], (0.5, 1.8), (arm, rudder),
        InTheWind(front, side, wind_x), lambda speed: 4.0 * speed**4,
    )  # fmt: skip


@pytest.mark.parametrize("part", ["friction_n", "base_n", "wave_n", "appendage_n", "water_n"])
def test_many_speeds_at_once_are_each_of_them(part: str) -> None:
    boat, speeds = drag(), np.array([0.3, 1.1, 2.4])
    assert getattr(boat, part)(speeds) == pytest.approx(
        [getattr(boat, part)(float(u)) for u in speeds], rel=1e-12
    )


def test_the_sides_of_a_box() -> None:
    """Draft 0.1 of 4 × 0.8 m: 0.4 m² wet, 0.8 m² dry from the side, 0.16 from ahead."""
    sides = profile(BOX, Plane(0.0, 0.0, 0.0), 50)
    assert (sides.wet_m2, sides.wet_x_m) == pytest.approx((0.4, 2.0))
    assert (sides.dry_m2, sides.dry_x_m) == pytest.approx((0.8, 2.0))
    assert sides.dry_front_m2 == pytest.approx(0.16)


def test_trim_leaves_the_wet_side_of_a_box_alone() -> None:
    sides = profile(BOX, Plane(0.0, 0.01 * 2.0, 0.01), 400)
    assert sides.wet_m2 == pytest.approx(0.4, rel=1e-6)
    assert sides.wet_x_m < 2.0  # the water stands higher aft


@pytest.mark.parametrize(("deeper", "tau"), [(0.0, 0.004), (0.004, 0.012), (-0.011, -0.02)])
def test_between_its_nodes_a_grid_is_right_to_a_few_per_cent(deeper: float, tau: float) -> None:
    """Of a kayak's resistance at the speeds it goes, and to a per cent of its skin and length."""
    hull = evaluated(CLEAN).rigged.floating.hull
    grid = WaveGrid(hull)
    draft = 0.105 + deeper
    body = wet_body(hull, Plane(0.0, draft + tau * grid.middle_m, tau))
    slip = grid.at(draft, tau)
    assert slip.wetted_area_m2 == pytest.approx(body.wetted_area_m2, rel=0.01)
    assert slip.wet_length_m == pytest.approx(body.wet_length_m, rel=0.015)
    speeds = np.array([1.0, 1.2, 1.4, 1.8, 2.3])
    off = slip.waves_n(speeds, 1000.0) - waves_n(body, speeds, 1000.0)
    whole = 5.5 * speeds**2 + waves_n(body, speeds, 1000.0)  # its friction is about that
    assert np.abs(off / whole).max() < 0.03


def test_the_quick_integral_is_the_converged_one_to_two_per_cent() -> None:
    hull, level = wigley(), Plane(0.0, 0.0, 0.0)
    speeds = np.array([1.2, 1.6, 2.0, 2.6])
    quick = waves_n(wet_body(hull, level, COARSE), speeds, 1000.0, QUICK)
    assert quick == pytest.approx(waves_n(wet_body(hull, level), speeds, 1000.0), rel=0.02)


def test_waves_of_a_grid_go_with_the_density() -> None:
    slip = WaveGrid(wigley()).at(-0.02, 0.0)
    speeds = np.array([0.2, 1.5, 9.0])
    assert slip.waves_n(speeds, 1025.0) == pytest.approx(1.025 * slip.waves_n(speeds, 1000.0))
    assert (slip.waves_n(speeds, 1000.0) >= 0).all()


@given(st.floats(5, 300), st.floats(0, 8), st.floats(0, 360))
@examples(40)
def test_a_curve_gives_the_speed_that_the_boat_does(power: float, wind: float, way: float) -> None:
    boat, air = drag(), Air.of(wind, way, 0.0, 0.0)
    exact = paddled(total_n(boat, air, 0.0), power)
    curve = SpeedCurve.of(boat, 4.0)
    told = curve.crossing(curve.total_n(air, 0.0) * curve.speed_m_s - power)
    assert (told is None) == (exact is None)
    if exact is not None and told is not None:
        assert told == pytest.approx(exact, abs=5e-4)


def test_a_motor_that_nothing_holds_back_runs_at_its_own_speed() -> None:
    """T = T₀n²(1 − U/nU₀) is nothing at U = nU₀."""
    free = driven(lambda u: 1e-9 * u, Propeller(200.0, 2.8, 540.0, 0.5), 0.7)
    assert free is not None
    assert free.speed_m_s == pytest.approx(0.7 * 2.8, rel=1e-6)
    assert free.power_w == pytest.approx(540 * 0.7**3 * 0.5, rel=1e-5)


def test_a_motor_weaker_than_the_wind_makes_no_way() -> None:
    assert driven(total_n(drag(), Air.of(20.0, 0.0, 0.0, 0.0), 0.0),
                  Propeller(100.0, 2.8, 270.0, 0.5), 0.5) is None  # fmt: skip


def test_out_and_back_in_still_air_is_the_same_way_twice() -> None:
    trip = out_and_back(drag(), STILL, Propeller(150.0, 2.8, 400.0, 0.5), 0.7, 30.0, 1000.0,
                        500.0, 0.2)  # fmt: skip
    assert trip.out is not None
    assert trip.back is not None
    assert trip.out.wh == pytest.approx(trip.back.wh)
    assert trip.used_share == pytest.approx(2 * trip.out.wh / 500)
    assert trip.turn_back_m == pytest.approx(500 * 0.8 / (2 * trip.out.wh / 1000))


@given(st.floats(1.0, 2.6), st.floats(0.05, 2.0), st.floats(1, 15))
@examples(40)
def test_a_quick_look_at_a_drift_is_the_drift(wind_x: float, drogue: float, wind: float) -> None:
    boat = drag(wind_x=wind_x)
    for area in (0.0, drogue):
        exact, near = drift(boat, wind, area, 3.5), drift(boat, wind, area, 3.5, near=True)
        assert exact is not None
        assert near is not None
        assert near.drift_off_bow_deg == pytest.approx(exact.drift_off_bow_deg, abs=0.1)
        assert near.speed_m_s == pytest.approx(exact.speed_m_s, rel=2e-3)


@given(st.floats(0.0, 3.6), st.floats(0.1, 1.5), st.floats(0, 12), st.floats(0, 360))
@example(1.0, 1.0, 1.0, 4.0)  # two rests, five degrees apart
@examples(40)
def test_a_quick_look_at_how_it_lies_is_how_it_lies(
    held: float, current: float, wind: float, way: float
) -> None:
    air = Air.of(wind, way, current, 180.0)
    exact, near = lies(drag(), air, held), lies(drag(), air, held, near=True)
    assert near.pull_n == pytest.approx(exact.pull_n, rel=0.01, abs=0.05)


def test_held_astern_it_pulls_harder_by_its_factor() -> None:
    """Still air, the current from ahead of whichever end is held."""
    air = Air.of(0.0, 0.0, 0.8, 180.0)
    bow, stern = lies(drag(), air, 3.5), lies(drag(), air, 0.1)
    assert stern.pull_n == pytest.approx(1.3 * bow.pull_n, rel=1e-6)
