"""Many tries at once say what each says by itself; and the moves that are tried make sense."""

from collections import Counter

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import (
    ANCHOR,
    CLEAN,
    CRATE,
    FISH_BAG,
    FULL,
    HOLDER_P,
    PFD,
    PLIERS,
    ROD_P,
    SCREEN,
    SEAT,
    SPARE_ROD,
    WATER,
    WHISTLE,
    found,
    known,
    put,
    without,
)
from tests.places import on

from neat_hull.model.findings import Finding
from neat_hull.model.place import OnThing, Place
from neat_hull.model.said import Said
from neat_hull.model.setup import Setup
from neat_hull.rig.fits import goes, misfit
from neat_hull.rig.rigging import rig
from neat_hull.subjects.reach.limits import zone_steps
from neat_hull.subjects.room.figures import too_near_of
from neat_hull.whole.advice.moves import Move, tries_for
from neat_hull.whole.advice.ranking import Options
from neat_hull.whole.advice.tries import all_tried
from neat_hull.whole.evaluate import evaluate, evaluated

SOMEWHERE = st.builds(
    Place,
    x_m=st.floats(0.3, 3.3), y_m=st.floats(-0.35, 0.35), z_m=st.none(),
    turn_deg=st.sampled_from([0.0, 30.0, 90.0, -45.0]), tilt_deg=st.just(0.0),
)  # fmt: skip


def moves(setup: Setup, finding: Finding) -> list[Move]:
    """Everything that could be done for a finding."""
    ev = evaluated(setup)
    return Options(ev).moves(tries_for(ev, finding))


def first(setup: Setup, code: str) -> Finding:
    """A finding of one rule."""
    return found(setup, code)[0]


@given(st.lists(st.tuples(st.sampled_from([SCREEN, CRATE, PLIERS, HOLDER_P, WATER]), SOMEWHERE),
                min_size=2, max_size=8))  # fmt: skip
@examples(8)
def test_a_try_among_others_is_what_it_is_alone(tries: list[tuple[int, Place]]) -> None:
    rows, _ = all_tried(evaluated(FULL), tries)
    for (thing_id, place), row in zip(tries, rows, strict=True):
        alone = Move("place", Said(text=""), ((thing_id, place),)).on(FULL)
        rigged = rig(alone)
        figures = evaluate(alone)
        (mine,) = [one for one in figures.aboard if one.thing_id == thing_id]
        assert row.zone == mine.zone
        assert row.steps_too_far == zone_steps(mine.zone, FULL.things[thing_id].use)
        assert row.mass_kg == pytest.approx(mine.carries_kg)
        held = {i for i in alone.places if rigged.placing.holder(i) == thing_id}
        moved = {thing_id, *held}
        met = Counter(
            clash.envelope or next(i for i in (clash.thing_id, clash.with_thing) if i not in moved)
            for clash in too_near_of(rigged, moved)
            if clash.thing_id in moved or clash.with_thing in moved
        )
        told = Counter(one.envelope or one.other for one in row.meets)
        assert told == met
        assert row.fits == goes(rigged.placing, thing_id, place)


def test_a_thing_in_its_own_place_meets_what_it_meets_now() -> None:
    now = evaluated(FULL)
    rows, pairs = all_tried(now, [(i, FULL.places[i]) for i in (SCREEN, CRATE)], pairwise=True)
    assert {one.envelope for one in rows[0].meets} == {"pedals", "starboard foot"}
    assert all(one.other not in (CRATE, SPARE_ROD) for one in rows[1].meets)
    assert pairs == []


def test_two_tries_into_each_other_exclude_each_other_and_two_of_one_thing_do_not() -> None:
    spot = Place(x_m=0.7, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0)
    near = spot.model_copy(update={"x_m": 0.75})
    _, pairs = all_tried(
        evaluated(CLEAN), [(CRATE, spot), (FISH_BAG, near), (CRATE, near)], pairwise=True
    )
    assert pairs == [(0, 1), (1, 2)]


def test_a_box_is_tried_with_what_is_in_it() -> None:
    rows, _ = all_tried(evaluated(FULL), [(CRATE, FULL.places[CRATE])])
    (row,) = rows
    crate, rod = FULL.things[CRATE], FULL.things[SPARE_ROD]
    assert row.mass_kg == pytest.approx(crate.mass_kg + rod.mass_kg)


def test_every_kind_of_move_is_thought_of() -> None:
    kinds = {
        move.kind
        for one in evaluate(FULL).findings
        for move in moves(FULL, one)
    }  # fmt: skip
    assert {"slide", "place", "into", "mirror", "swap", "turn", "seat", "wear"} <= kinds
    spare = known(FULL, ANCHOR, mass_kg=40.0, use="once")
    (heavy,) = [one for one in evaluate(spare).findings if one.code == "bow-or-stern-down"]
    assert "ashore" in {move.kind for move in moves(spare, heavy)}
    bare = without(CLEAN, WHISTLE)
    (missing,) = found(bare, "no-whistle")
    assert {move.kind for move in moves(bare, missing)} == {"along"}


@pytest.mark.parametrize("code", sorted({one.code for one in evaluate(FULL).findings}))
def test_moves_change_what_they_say_and_nothing_else(code: str) -> None:
    for move in moves(FULL, first(FULL, code)):
        after = move.on(FULL)
        changed = {
            i for i in {*FULL.places, *after.places} if FULL.places.get(i) != after.places.get(i)
        }
        assert changed <= {i for i, _ in move.places} | {
            i for i, place in FULL.places.items()
            if isinstance(place.on, OnThing)
            and place.on.thing in {j for j, p in move.places if p is None}
        }  # fmt: skip
        assert (after.seat != FULL.seat) == (move.seat is not None)
        assert after.things == FULL.things
        assert move.words.text.count("{}") == len(move.words.amounts)
        assert bool(move.places) != (move.seat is not None)


def test_what_is_locked_worn_or_part_of_the_boat_is_not_moved() -> None:
    place = FULL.places[SCREEN].model_copy(update={"locked": True})
    fixed = FULL.model_copy(update={"places": {**FULL.places, SCREEN: place}})
    moved = {
        i for one in evaluate(fixed).findings for move in moves(fixed, one)
        for i, _ in move.places
    }  # fmt: skip
    assert not moved & {SCREEN, SEAT, WHISTLE}
    assert {PFD, ANCHOR, PLIERS} <= moved


def test_a_rod_in_a_holder_is_moved_by_its_holder_too() -> None:
    moved = {i for move in moves(FULL, first(FULL, "on-the-fight-side"))
             for i, _ in move.places}  # fmt: skip
    assert len(moved & {HOLDER_P, ROD_P, 8, 23}) >= 2


def test_slides_keep_to_the_track_and_targets_fit() -> None:
    (rod, holder) = [one for one in found(FULL, "on-the-remount-side")
                     if one.thing_id in (ROD_P, HOLDER_P)]  # fmt: skip
    for one in (rod, holder):
        for move in moves(FULL, one):
            if move.kind != "slide":
                continue
            for thing_id, place in move.places:
                assert place is not None
                tried = rig(move.on(FULL))
                assert misfit(tried.placing, thing_id) is None
                assert place.on == FULL.places[thing_id].on


def test_taking_ashore_takes_along_what_is_held() -> None:
    boxed = put(FULL, PLIERS, 0.0, on=on("thing", thing=CRATE, where="in"))
    after = Move("ashore", Said(text=""), ((CRATE, None),)).on(boxed)
    assert not {CRATE, PLIERS, SPARE_ROD} & set(after.places)
