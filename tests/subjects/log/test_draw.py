"""A draw learned of trips: closed forms, and how often its band holds over many made-up anglers."""

from math import sqrt

import numpy as np
import pytest

from neat_hull.subjects.log.draw import Estimate, differs, estimate
from neat_hull.subjects.log.typical import ASSUMED_SHARE, OWN_SCATTER, READ_SHARE


def sure(found: Estimate | None) -> Estimate:
    """One that there is."""
    assert found is not None
    return found


def test_without_trips_it_is_what_is_held_and_its_quarter() -> None:
    found = sure(estimate([], [], 200.0, 12.0))
    assert found.draw_w == pytest.approx(12.0)
    assert found.sd_w == pytest.approx(ASSUMED_SHARE * 12.0)
    assert estimate([], [], 200.0, None) is None


def test_of_one_trip_it_is_the_mean_weighted_by_what_each_is_worth() -> None:
    # 5 h, 100 Wh, read to 20 Wh: 20 W to 4 W; held: 12 W to 3 W. By hand 12·16 + 20·9 over 25.
    found = sure(estimate([5.0], [100.0], 200.0, 12.0))
    assert found.draw_w == pytest.approx((12 * 16 + 20 * 9) / 25)
    assert found.sd_w == pytest.approx(sqrt(9 * 16 / 25))
    assert found.high_w - found.draw_w == pytest.approx(1.959964 * found.sd_w, rel=1e-5)


def test_of_very_many_it_is_the_line_through_them() -> None:
    hours = [2.0, 4.0, 6.0, 8.0] * 500
    energy = [h * 17.0 + (3.0 if i % 2 else -3.0) for i, h in enumerate(hours)]
    line = sum(h * e for h, e in zip(hours, energy, strict=True)) / sum(h * h for h in hours)
    found = sure(estimate(hours, energy, 300.0, 10.0))
    assert found.draw_w == pytest.approx(line, rel=2e-3)
    assert sure(estimate(hours, energy, 300.0, None)).draw_w == pytest.approx(line)


def test_trips_that_scatter_more_than_they_are_read_widen_it() -> None:
    hours, calm = [5.0] * 6, [60.0] * 6
    wild = [10.0, 110.0, 20.0, 100.0, 40.0, 80.0]
    still, rough = (
        sure(estimate(hours, calm, 200.0, 12.0)),
        sure(estimate(hours, wild, 200.0, 12.0)),
    )
    assert rough.sd_w > 1.3 * still.sd_w
    # Student's with five degrees of freedom: 2.571 of any table.
    assert rough.high_w - rough.draw_w == pytest.approx(2.5706 * rough.sd_w, rel=1e-4)


def test_it_is_told_of_only_when_sure_and_worth_it() -> None:
    far = Estimate(20.0, 1.0, 18.0, 22.0)
    assert differs(3, far, 12.0)
    assert not differs(2, far, 12.0), "too few trips"
    assert not differs(9, Estimate(13.0, 0.1, 12.8, 13.2), 12.0), "less than a tenth"
    assert not differs(9, Estimate(15.0, 2.0, 11.0, 19.0), 12.0), "by chance"
    assert not differs(9, far, None)


@pytest.mark.parametrize("scatter", [READ_SHARE, 2 * READ_SHARE])
def test_the_band_holds_the_truth_as_often_as_it_says(scatter: float) -> None:
    """2000 anglers, each with a draw of their own about what is held, and a season of trips."""
    rng, held = np.random.default_rng(20260401), 0
    # Where readings are worse than typical, only enough trips can tell.
    least = 1 if scatter == READ_SHARE else OWN_SCATTER
    for _ in range(2000):
        usable = rng.uniform(100, 400)
        assumed = rng.uniform(5, 0.08 * usable)
        truth = assumed * (1 + ASSUMED_SHARE * rng.normal())
        hours = rng.uniform(2, 8, rng.integers(least, 25))
        energy = truth * hours + scatter * usable * rng.normal(size=len(hours))
        found = sure(estimate(hours.tolist(), energy.tolist(), usable, assumed))
        held += found.low_w <= truth <= found.high_w
    assert 0.93 <= held / 2000 <= 0.97
