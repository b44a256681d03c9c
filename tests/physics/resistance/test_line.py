"""A line to an anchor: straight without weight, a catenary with it, chain before rope."""

from math import asin, asinh, atan2, hypot, sqrt

import pytest

from neat_hull.physics.resistance.line import hung


def test_without_weight_it_is_straight() -> None:
    line = hung([(0.0, 0.0), (20.0, 0.0)], 50.0, 4.0)
    assert line is not None
    assert atan2(line.lifts_n, 50.0) == pytest.approx(asin(4.0 / 20.0))
    assert line.down_n == pytest.approx(line.lifts_n)
    assert line.distance_m == pytest.approx(sqrt(20.0**2 - 4.0**2))


def test_of_heavy_chain_the_rest_lies_on_the_bottom() -> None:
    weight, pull, depth = 10.0, 60.0, 3.0
    hanging = sqrt(depth**2 + 2 * depth * pull / weight)
    line = hung([(30.0, weight), (0.0, 0.0)], pull, depth)
    assert line is not None
    assert line.on_bottom_m == pytest.approx(30.0 - hanging)
    assert line.down_n == pytest.approx(weight * hanging)
    across = pull / weight * asinh(weight * hanging / pull)
    assert line.distance_m == pytest.approx(30.0 - hanging + across)


@pytest.mark.parametrize("pull", [5.0, 40.0, 400.0])
def test_two_parts_of_one_weight_are_one_line(pull: float) -> None:
    one, two = hung([(12.0, 2.0), (0.0, 0.0)], pull, 5.0), hung([(4.0, 2.0), (8.0, 2.0)], pull, 5.0)
    assert one is not None
    assert two is not None
    for field in ("lifts_n", "down_n", "on_bottom_m", "distance_m"):
        assert getattr(one, field) == pytest.approx(getattr(two, field), abs=1e-6)
    hangs = (12.0 - one.on_bottom_m) * 2.0
    assert one.down_n - one.lifts_n == pytest.approx(hangs)


def test_chain_keeps_the_pull_at_the_anchor_lower() -> None:
    rope, chained = hung([(0.0, 0.0), (20.0, 0.03)], 60.0, 5.0), hung([(3, 8), (17, 0.03)], 60, 5)
    assert rope is not None
    assert chained is not None
    assert chained.lifts_n < rope.lifts_n
    assert hypot(60.0, chained.down_n) > 60.0


def test_one_too_short_does_not_get_there() -> None:
    assert hung([(1.0, 5.0), (3.0, 0.1)], 30.0, 4.0) is None
