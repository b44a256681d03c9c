"""Findings told by their causes: none left out, none twice, the worst first."""

import pytest
from tests.piles import packed, spread

from neat_hull.files.demo import demo_setups
from neat_hull.model.judging import Accepted
from neat_hull.model.setup import Setup
from neat_hull.rig.limits import RANK
from neat_hull.whole.evaluate import evaluate

SETUPS = [*demo_setups(), spread(40), packed(120)]


@pytest.mark.parametrize("setup", SETUPS, ids=lambda one: one.name)
def test_each_finding_stands_in_one_card_under_its_worst(setup: Setup) -> None:
    told = evaluate(setup)
    open_ones = {one.key: one for one in told.findings if one.accepted is None}
    keys = [key for card in told.cards for key in card.keys]
    assert sorted(keys) == sorted(open_ones)
    for card in told.cards:
        ranks = [RANK[open_ones[key].verdict] for key in card.keys]
        assert RANK[card.verdict] == max(ranks) == ranks[0]
    order = [RANK[card.verdict] for card in told.cards]
    assert order == sorted(order, reverse=True)


def test_what_one_move_clears_is_one_cause() -> None:
    """The screen is in the pedals and at a foot; a rod goes with its holder."""
    told = evaluate(demo_setups()[0])
    screen, holder, rod = 6, 22, 7
    about = {one.key: one.thing_id for one in told.findings}
    screens = [card for card in told.cards if f"in-the-pedals:{screen}" in card.keys]
    assert len(screens) == 1 < len(screens[0].keys)
    assert screens[0].thing_id == screen
    assert [{holder, rod} <= {about[k] for k in card.keys} for card in told.cards].count(True) == 1


def test_several_of_one_rule_are_told_by_their_number() -> None:
    told = evaluate(demo_setups()[0])
    far = [card for card in told.cards if card.keys[0].startswith("too-far-for-its-use")]
    assert len(far) == 1
    assert far[0].title.amounts[0].value == len(far[0].keys) > 1


def test_what_is_lived_with_is_on_no_card_and_the_demo_comes_to_a_dozen() -> None:
    setup = demo_setups()[0]
    before = evaluate(setup)
    assert len(before.cards) <= 12 < len(before.findings)
    one = before.cards[-1].keys[0]
    worst = next(f for f in before.findings if f.key == one)
    assert worst.verdict != "fine"
    lived = Accepted(
        key=one, reason="so be it", on="2026-06-01", verdict=worst.verdict, badness=worst.badness
    )
    judging = setup.judging.model_copy(update={"accepted": [lived]})
    after = evaluate(setup.model_copy(update={"judging": judging}))
    assert one not in {key for card in after.cards for key in card.keys}


@pytest.mark.parametrize("setup", SETUPS, ids=lambda one: one.name)
def test_there_are_a_dozen_cards_unless_each_is_of_its_own_topic(setup: Setup) -> None:
    told = evaluate(setup)
    topic = {one.key: one.topic for one in told.findings}
    kinds = [(topic[card.keys[0]], card.verdict) for card in told.cards]
    assert len(kinds) <= 12 or len(set(kinds)) == len(kinds)


def test_what_follows_from_another_stands_under_it() -> None:
    told = evaluate(demo_setups()[0])
    trim = next(card for card in told.cards if any(k.startswith("bow-or-stern") for k in card.keys))
    assert any(key.startswith("heavy-at-an-end") for key in trim.keys)
    assert trim.keys[0].startswith("bow-or-stern-down")
