"""Amounts through a day, read at any hour."""

import numpy as np
import pytest

from neat_hull.subjects.day.stores import Track

FULL_AT_NOON = Track([6.0, 12.0, 12.0, 15.0, 18.0], [2.0, 1.0, 4.0, 0.0, 0.0])


@pytest.mark.parametrize("hour", np.linspace(5.0, 19.0, 57).tolist())
def test_between_knots_it_goes_straight_and_beyond_them_it_stays(hour: float) -> None:
    before = np.interp(hour, [6, 12], [2, 1])
    after = np.interp(hour, [12, 15, 18], [4, 0, 0])
    assert FULL_AT_NOON.at(hour, after=True) == pytest.approx(after if hour >= 12 else before)
    assert FULL_AT_NOON.at(hour, after=False) == pytest.approx(after if hour > 12 else before)


def test_it_is_gone_where_it_first_comes_to_nothing() -> None:
    assert FULL_AT_NOON.gone_h() == 15.0
    assert Track([6.0, 18.0], [0.0, 0.0]).gone_h() is None
