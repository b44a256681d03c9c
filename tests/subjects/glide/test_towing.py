"""Another boat in tow, against what its weight and the effort say."""

from typing import Any

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.judged import CLEAN
from tests.subjects.glide.goings import planned, towing

from neat_hull.model.glide_figures import TowFigure
from neat_hull.model.setup import Setup
from neat_hull.rig.drag.figures import full_drag
from neat_hull.subjects.glide.figures import glide
from neat_hull.subjects.glide.going import efficiency
from neat_hull.whole.evaluate import evaluated


def towed(setup: Setup) -> TowFigure:
    """What comes of it."""
    found = evaluated(setup).once(glide)
    assert found is not None
    assert found.tow is not None
    return found.tow


def still(**tow: Any) -> Setup:
    """In no wind and no current."""
    return planned(towing(**tow), wind_m_s=0.0, current_m_s=0.0, effort_w=50.0)


def test_nobody_is_towed_where_nobody_said_so() -> None:
    found = evaluated(CLEAN).once(glide)
    assert found is not None
    assert found.tow is None


def test_a_boat_as_heavy_as_ones_own_doubles_what_the_water_holds_back() -> None:
    ev = evaluated(still())
    own = ev.once(full_drag)
    assert own is not None
    found = towed(still(boat_kg=own.displacement_kg))
    assert found.speed_m_s is not None
    assert found.pull_n is not None
    assert found.pull_n == pytest.approx(own.drag.water_n(found.speed_m_s), rel=0.01)
    air = own.drag.coefficients.air_density_kg_m3 / 2 * found.speed_m_s**2
    front = own.drag.in_the_wind.front_m2
    power = found.speed_m_s * (2 * found.pull_n + air * front)
    assert power == pytest.approx(50.0 * efficiency(ev), rel=0.02)


@given(st.floats(20, 330), st.floats(1.05, 3.0))
def test_a_heavier_boat_is_slower_and_pulls_less_than_its_weight_says(
    mass: float, times: float
) -> None:
    light, heavy = towed(still(boat_kg=mass)), towed(still(boat_kg=mass * times))
    assert light.speed_m_s is not None
    assert heavy.speed_m_s is not None
    assert light.alone_m_s is not None
    assert heavy.speed_m_s < light.speed_m_s < light.alone_m_s


def test_it_is_fixed_at_the_stern_unless_somebody_said_where() -> None:
    assert towed(still()).from_end_m == pytest.approx(0.0)
    assert towed(still(at_x_m=1.0)).from_end_m == pytest.approx(1.0)
    assert towed(still(at_x_m=-1.0)).at_x_m == pytest.approx(0.0)
    assert not towed(still(release_x_m=None)).in_reach
    assert towed(still()).in_reach
    assert np.isfinite(towed(still()).pull_n or np.nan)
