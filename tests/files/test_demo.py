"""The demo: made-up boats that float, with honest faults, and a pile that says what it is."""

import pytest

from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.rig.hulls import floating_hull
from neat_hull.whole.evaluate import evaluate

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


PLANNED = {
    "stop": {"no-pfd-worn PFD"},
    "fix": {
        "too-far-for-its-use Anchor with 40 m line",
        "in-the-pedals 7-inch screen",
        "meets-the-body 7-inch screen",
        "into-each-other Spare rod, Iced fish bag",
        "on-the-remount-side Pliers and grip",
        "on-the-remount-side Port rod holder",
        "on-the-remount-side Port rod",
        "power-fuse-far 7-inch screen",
        "power-among-legs 7-inch screen",
        "lies-badly-when-full",
    },
    "watch": {
        "a-demand-past-its-margin",
        "bow-or-stern-down",
        "heavy-at-an-end Iced fish bag",
        "lost-in-a-capsize",
        "line-to-the-propeller Paddle",
        "lines-about-the-legs Port rod",
        "no-spare-plug",
        "sinks-when-full",
        "cleat-unknown Anchor with 40 m line",
        "too-far-for-its-use Spare rod",
        "too-far-for-its-use Iced fish bag",
        "too-far-for-its-use Clothes dry bag",
        "too-far-for-its-use Tackle crate",
        "on-the-fight-side Starboard rod",
        "rods-knock Spare rod, Flag and light",
        "power-hangs-free Flag and light",
    },
}  # what the comments of the demo's file promise


def test_the_full_kit_shows_the_planned_faults_and_no_others() -> None:
    found: dict[str, set[str]] = {"stop": set(), "fix": set(), "watch": set()}
    for one in evaluate(DEMO[0]).findings:
        named = [DEMO[0].things[i].name for i in (one.thing_id, one.other_id) if i is not None]
        found[one.verdict].add(f"{one.code} {', '.join(named)}".strip())
    assert found == PLANNED


def test_the_bare_one_is_clean() -> None:
    assert evaluate(DEMO[1]).findings == []
