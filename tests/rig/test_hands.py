"""What is held in the hands: where it is, one thing at a time, what a capsize takes of it."""

import numpy as np
import pytest
from tests.judged import CLEAN, CRATE, FULL, PADDLE, ROD_P, ROD_S, found, known

from neat_hull.model.place import OnBody, Place
from neat_hull.model.setup import Setup
from neat_hull.rig.offering import targets
from neat_hull.rig.rigging import rig
from neat_hull.subjects.capsize.figures import lost
from neat_hull.whole.evaluate import evaluate, evaluated


def offered(setup: Setup, thing_id: int) -> list[tuple[str, bool, Place]]:
    """Places on the body that a thing is offered: name, whether it fits, place."""
    return [
        (one.name, one.why is None, one.place)
        for one in targets(rig(setup).placing, thing_id)
        if isinstance(one.on, OnBody)
    ]


def held(setup: Setup, thing_id: int) -> Setup:
    """With a thing in the hands, where it goes if one just says so."""
    (_, fits, place) = next(row for row in offered(setup, thing_id) if row[0] == "in your hands")
    assert fits
    return setup.model_copy(update={"places": {**setup.places, thing_id: place}})


def test_rods_and_paddles_are_held_and_nothing_else() -> None:
    assert [name for name, _, _ in offered(FULL, PADDLE)] == ["in your hands"]
    assert [name for name, _, _ in offered(FULL, ROD_P)] == ["in your hands"]
    assert offered(FULL, CRATE) == []


def test_a_paddle_lies_across_with_its_middle_between_the_hands() -> None:
    rigged = rig(held(FULL, PADDLE))
    hands = [(s.upper_m + s.far_m) / 2 for s in rigged.body.segments if s.name == "hand"]
    middle = np.mean(hands, axis=0)
    stand, long = rigged.by_id[PADDLE].stand, FULL.things[PADDLE].length_m
    assert stand.at(long / 2)[:2] == pytest.approx(tuple(middle[:2]), abs=1e-9)
    assert (stand.turn_deg, stand.on_body, stand.held) == (90.0, True, True)


@pytest.mark.parametrize(("casts", "side"), [("port", 1), ("starboard", -1)])
def test_a_rod_is_in_the_hand_that_casts(casts: str, side: int) -> None:
    angler = FULL.angler.model_copy(update={"casts": casts})
    rigged = rig(held(FULL.model_copy(update={"angler": angler}), ROD_S))
    assert np.sign(rigged.by_id[ROD_S].stand.y_m) == side
    tip = rigged.by_id[ROD_S].tip_m
    assert tip is not None
    assert tip[2] > rigged.by_id[ROD_S].stand.base_z_m


def test_hands_hold_one_thing() -> None:
    full = held(FULL, PADDLE)
    ((_, fits, _),) = offered(full, ROD_S)
    assert not fits


def test_what_is_held_is_in_hand_and_hands_let_go_in_a_capsize() -> None:
    setup = held(known(FULL, PADDLE, floats=False, fixing={"leashed": False}), PADDLE)
    ev = evaluated(setup)
    assert PADDLE in ev.once(lost)
    row = next(one for one in evaluate(setup).aboard if one.thing_id == PADDLE)
    assert (row.zone, row.where) == ("hand", "In your hands")
    tied = known(setup, PADDLE, fixing={"leashed": True})
    assert PADDLE not in evaluated(tied).once(lost)


def test_what_is_held_leans_along_with_the_body() -> None:
    rigged = rig(held(CLEAN, PADDLE))
    moved = rigged.loads_with(rigged.body, aside_m=0.2)
    row = 2 + [one.thing_id for one in rigged.stowed].index(PADDLE)
    assert moved.at_m[row, 1] - rigged.loads.at_m[row, 1] == pytest.approx(0.2)


def test_a_paddle_in_the_hands_is_in_nobody_s_way() -> None:
    setup = held(FULL, PADDLE)
    named = [one for code in ("into-each-other", "meets-the-body", "in-the-stroke", "in-the-pedals")
             for one in found(setup, code)]  # fmt: skip
    assert PADDLE not in {i for one in named for i in (one.thing_id, one.other_id)}
