"""Air: the coldest that is said, and how it feels in a wind."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.judged import CLEAN, cool, found, safe

from neat_hull.model.day_plan import DayPhase
from neat_hull.subjects.basics.figures import air_c, felt_c
from neat_hull.whole.evaluate import evaluate, evaluated


# From the table of the weather services of Canada and the United States, whole degrees.
@pytest.mark.parametrize(
    ("air", "km_h", "feels"),
    [(5, 10, 3), (0, 20, -5), (-10, 20, -18), (-10, 60, -23), (-25, 40, -41)],
)
def test_the_published_table_of_wind_chill(air: float, km_h: float, feels: float) -> None:
    assert felt_c(air, km_h / 3.6) == pytest.approx(feels, abs=0.51)


@given(st.floats(-30, 40), st.floats(0, 25), st.floats(0, 25))
def test_more_wind_is_never_warmer_and_none_leaves_it_as_it_is(
    air: float, one: float, other: float
) -> None:
    slow, fast = sorted((one, other))
    assert felt_c(air, fast) <= felt_c(air, slow) + 1e-9 <= air + 2e-9
    assert felt_c(air, 0.0) == air


def test_the_days_phases_say_it_where_nobody_typed_it() -> None:
    phases = [DayPhase(air_c=12.0), DayPhase(air_c=4.0)]
    day = CLEAN.model_copy(update={"outing": CLEAN.outing.model_copy(update={"phases": phases})})
    assert air_c(evaluated(CLEAN)) is None
    assert air_c(evaluated(day)) == 4.0
    assert air_c(evaluated(safe(day, air_temp_c=1.0))) == 1.0
    assert "air temperature" in evaluate(CLEAN).unchecked
    assert "air temperature" not in evaluate(day).unchecked


def test_wind_makes_mild_air_one_to_dress_for() -> None:
    assert not found(cool(10.0, wind_m_s=0.5), "cold-air")
    (one,) = found(cool(10.0, wind_m_s=10.0), "cold-air")
    assert one.verdict == "watch"
    assert one.figure is not None
    assert one.figure.value == pytest.approx(felt_c(10.0, 10.0))
