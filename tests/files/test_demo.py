"""The demo: made-up boats that float, with honest faults, and a pile that says what it is."""

import pytest

from neat_hull.analysis.evaluate import evaluate
from neat_hull.analysis.rigging import floating_hull
from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup

DEMO = demo_setups()


@pytest.mark.parametrize("setup", DEMO, ids=lambda one: one.name)
def test_every_boat_floats_with_what_is_aboard(setup: Setup) -> None:
    figures = evaluate(setup)
    assert figures.trouble is None
    assert figures.afloat is not None
    assert figures.afloat.gm_m > 0.05
    assert figures.afloat.least_freeboard_m > 0.05
    assert figures.weight.verdict != "stop"


@pytest.mark.parametrize("setup", DEMO, ids=lambda one: one.name)
def test_fittings_and_wells_lie_on_their_boat(setup: Setup) -> None:
    hull = floating_hull(setup.boat).hull
    for one in setup.boat.fittings:
        assert hull.x_aft_m <= one.x_m <= hull.x_fwd_m, one.name
        assert abs(one.y_m) <= hull.half_breadth_m.max(), one.name
    for well in setup.boat.wells:
        assert well.half_breadth_m < hull.half_breadth_m.max(), well.name


def test_the_pile_is_shared_and_told_in_full() -> None:
    assert all(setup.things == DEMO[0].things for setup in DEMO)
    things = DEMO[0].things.values()
    assert {t.evidence for t in things} == {"weighed", "label", "guess"}
    assert [t.name for t in things if t.kind == "other"] == ["Drinking water"]
    assert any(not t.bought for t in things)


def test_three_boats_one_of_them_a_sit_in() -> None:
    boats = {setup.boat.name: setup.boat for setup in DEMO}
    assert len(boats) == 3
    plugged = [b.name for b in boats.values() if any(w.scuppers == "plugged" for w in b.wells)]
    assert plugged == ["Selk 14"]


def test_the_full_kit_has_faults_to_find_and_the_bare_one_fewer() -> None:
    """Something used at each cast or fish that the seat does not come to."""
    near = {"each cast", "each fish", "emergency"}

    def far(setup: Setup) -> list[str]:
        return [
            setup.things[row.thing_id].name
            for row in evaluate(setup).aboard
            if setup.things[row.thing_id].use in near and row.zone in ("twist", "leave", "ashore")
        ]

    assert len(far(DEMO[0])) >= 2
    assert len(far(DEMO[1])) < len(far(DEMO[0]))
