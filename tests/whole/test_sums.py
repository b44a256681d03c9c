"""Gear taken together: groups add up to the whole, places run bow to stern."""

import pytest

from neat_hull.files.demo import demo_setups
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.sums import ASHORE, gear_sums

SETUP = demo_setups()[0]


@pytest.mark.parametrize("by", ["place", "kind"])
def test_groups_add_up_to_the_whole(by: str) -> None:
    *groups, whole = gear_sums(evaluated(SETUP), "kind" if by == "kind" else "place")
    assert whole.name == ""
    assert all(group.name and group.count for group in groups)
    for figure in ("count", "mass_kg", "spent", "planned"):
        parts = [getattr(group, figure) for group in groups]
        assert sum(parts) == pytest.approx(getattr(whole, figure))
    assert whole.count == len(SETUP.things)


def test_places_run_bow_to_stern_and_what_is_ashore_comes_last() -> None:
    *groups, _ = gear_sums(evaluated(SETUP), "place")
    rows = evaluate(SETUP).aboard
    middle = {
        group.name: sum(x) / len(x)
        for group in groups[:-1]
        if (x := [row.x_m for row in rows if row.where == group.name])
    }
    assert list(middle.values()) == sorted(middle.values(), reverse=True)
    assert groups[-1].name == ASHORE
    aboard = sum(group.mass_kg for group in groups[:-1])
    assert aboard == pytest.approx(evaluate(SETUP).weight.gear_kg)
    assert groups[-1].planned == 85.0  # the bait tank, which is not bought yet
