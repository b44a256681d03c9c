"""Many loads floated at once against each floated alone, mirrored, sunk and lolling."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CLEAN, FULL

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.physics.arrays import Array
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.loads import Loads
from neat_hull.physics.water.many import Lying, held_upright_each, lying
from neat_hull.rig.settling import at_rest
from neat_hull.whole.evaluate import evaluated

DENSITY = 1000.0


def around(
    setup: Setup, mass_kg: list[float], aside_m: list[float]
) -> tuple[FloatingHull, Array, Array, Lying, Array]:
    """So many kg more, and so far aside: the boat, the loads, and how each lies, with its GM."""
    rest = at_rest(evaluated(setup))
    assert rest is not None
    settled = rest.settled
    mass = settled.loads.total_kg + np.array(mass_kg)
    centre = np.repeat(settled.loads.centre_m[None], len(mass), 0)
    centre[:, 1] = aside_m
    level = held_upright_each(settled.floating, mass / DENSITY, centre, settled.held)
    found = lying(settled.floating, mass, centre, DENSITY, level)
    return settled.floating, mass, centre, found, level.gm_m


@given(st.lists(st.tuples(st.floats(-25, 25), st.floats(-0.05, 0.05)), min_size=1, max_size=6))
@examples(15)
def test_each_lies_as_it_would_alone(loads: list[tuple[float, float]]) -> None:
    kg, aside = ([one[i] for one in loads] for i in (0, 1))
    floating, mass, centre, found, gm = around(FULL, kg, aside)
    sheer = floating.hull.sheer_points_m
    over = found.height_over_water_m(sheer).min(axis=1)
    for n in range(len(mass)):
        alone = hydrostatics.settle(floating, Loads(mass[n : n + 1], centre[n : n + 1]), DENSITY)
        assert found.floats[n]
        assert np.degrees(found.heel_rad[n] - alone.rest.heel_rad[0]) == pytest.approx(0, abs=0.03)
        assert np.degrees(found.trim_rad[n] - alone.rest.trim_rad[0]) == pytest.approx(0, abs=0.005)
        least = alone.rest.height_over_water_m(sheer)[0].min()
        assert over[n] == pytest.approx(least, abs=3e-4)
        assert gm[n] == pytest.approx(hydrostatics.upright(alone).gm_m, abs=1e-6)


@given(st.lists(st.tuples(st.floats(-40, 60), st.floats(-0.3, 0.3)), min_size=1, max_size=4))
@examples(15)
def test_far_aside_each_goes_over_where_it_would_alone(loads: list[tuple[float, float]]) -> None:
    kg, aside = ([one[i] for one in loads * 2] for i in (0, 1))
    floating, mass, centre, found, _ = around(CLEAN, kg, aside)
    for n in range(len(loads)):
        one = Loads(mass[n : n + 1], centre[n : n + 1])
        try:
            alone = hydrostatics.settle(floating, one, DENSITY).rest
        except (DoesNotFloat, NoBalance):
            assert not found.floats[n]
            continue
        for k in (n, n + len(loads)):
            assert found.floats[k]
            off = np.degrees(found.heel_rad[k] - alone.heel_rad[0])
            assert off == pytest.approx(0, abs=0.03)


@given(st.floats(0.0, 0.05), st.floats(-20, 20))
@examples(10)
def test_mirrored_loads_lie_mirrored(aside: float, kg: float) -> None:
    *_, found, _ = around(CLEAN, [kg, kg], [aside, -aside])
    assert found.heel_rad[0] == pytest.approx(-found.heel_rad[1], abs=1e-12)
    assert found.h_m[0] == pytest.approx(found.h_m[1], abs=1e-12)


def test_in_any_company_it_lies_the_same() -> None:
    *_, alone, _ = around(CLEAN, [3.0], [0.02])
    *_, among, _ = around(CLEAN, [-20.0, 3.0, 25.0], [0.0, 0.02, -0.05])
    assert among.heel_rad[1] == pytest.approx(alone.heel_rad[0], abs=1e-9)
    assert among.tau[1] == pytest.approx(alone.tau[0], abs=1e-9)


def test_what_goes_down_or_over_does_not_float_and_the_rest_does() -> None:
    *_, found, _ = around(CLEAN, [0.0, 900.0, 0.0], [0.0, 0.0, 0.5])
    assert found.floats.tolist() == [True, False, False]


def test_a_boat_that_floods_by_its_cockpit_is_settled_alone() -> None:
    sit_in = demo_setups()[3]
    floating, mass, centre, found, _ = around(sit_in, [0.0, 60.0], [0.0, 0.05])
    for n in range(2):
        try:
            alone = hydrostatics.settle(
                floating, Loads(mass[n : n + 1], centre[n : n + 1]), DENSITY
            ).rest
        except (DoesNotFloat, NoBalance):
            assert not found.floats[n]
            continue
        assert found.heel_rad[n] == pytest.approx(alone.heel_rad[0], abs=3e-3)
