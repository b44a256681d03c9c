"""Advice is proved by doing it: what is suggested helps, and harms nothing as much."""

import numpy as np
import pytest
from tests.examples import NIGHTLY
from tests.judged import (
    ANCHOR,
    CLEAN,
    CRATE,
    FISH_BAG,
    FULL,
    HOLDER_P,
    PFD,
    SCREEN,
    WATER,
    WHISTLE,
    found,
    judged,
    known,
    put,
    without,
)
from tests.places import on

from neat_hull.editing.edits import patched_setup
from neat_hull.errors import InputError
from neat_hull.model.advice import Placed, Suggestion
from neat_hull.model.figures import Figures
from neat_hull.model.findings import Finding
from neat_hull.model.judging import Accepted
from neat_hull.model.place import Place
from neat_hull.model.said import Said
from neat_hull.model.setup import Setup
from neat_hull.rig.fits import goes
from neat_hull.rig.limits import RANK
from neat_hull.rig.rigging import rig
from neat_hull.rig.subject import Tries
from neat_hull.whole.advice.best import advise, changed, proved
from neat_hull.whole.advice.moves import Move, tries_for
from neat_hull.whole.advice.ranking import Options, badness
from neat_hull.whole.arrange import arrangements
from neat_hull.whole.candidates import movable
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.judge import finds_more, judged_by
from neat_hull.whole.registry import rules


def done(setup: Setup, one: Suggestion) -> Setup:
    """The setup with a suggestion taken."""
    now = moved(setup, one.places).model_copy(update={"seat": one.seat or setup.seat})
    return patched_setup(now, one.fields)


def moved(setup: Setup, places: list[Placed]) -> Setup:
    """With things placed elsewhere."""
    pairs = tuple((one.thing_id, one.place) for one in places)
    return Move("place", Said(text=""), pairs).on(setup)


def locked(setup: Setup, *thing_ids: int) -> Setup:
    """With things that stay."""
    places = {i: p.model_copy(update={"locked": True}) if i in thing_ids else p
              for i, p in setup.places.items()}  # fmt: skip
    return setup.model_copy(update={"places": places})


def worst_of(setup: Setup) -> list[Finding]:
    """Stops and fixes that are open."""
    return [one for one in evaluate(setup).findings if one.verdict in ("stop", "fix")]


def faulty(seed: int) -> Setup:
    """The clean boat with a few things thrown onto it at random."""
    draw = np.random.default_rng(seed)
    setup = CLEAN
    for thing_id in draw.choice([4, 6, 9, 11, 12, 13, 14, 15, 16, 19], 4, replace=False):
        place = Place(
            x_m=round(float(draw.uniform(0.3, 3.2)), 3), y_m=round(float(draw.normal(0, 0.16)), 3),
            z_m=None, turn_deg=float(draw.choice([0.0, 90.0, 30.0])), tilt_deg=0.0,
        )  # fmt: skip
        setup = setup.model_copy(update={"places": {**setup.places, int(thing_id): place}})
    return setup


@pytest.mark.parametrize("start", range(0, 600 if NIGHTLY else 18, 6))
def test_the_top_suggestion_for_a_random_fault_helps_and_adds_no_stop(start: int) -> None:
    """Eighteen faulty setups, six hundred by night, the worst finding of each."""
    for seed in range(start, start + 6):
        setup = faulty(seed)
        before = evaluate(setup).findings
        if not before:
            continue
        target = before[0]
        suggestions = advise(setup, target.key).suggestions
        if not suggestions:
            assert not single_cures(setup, target), (seed, target.key)
            continue
        after = evaluate(done(setup, suggestions[0])).findings
        left = next((one for one in after if one.key == target.key), None)
        assert left is None or left.badness < target.badness, (seed, target.key)
        stops = [{one.key for one in rows if one.verdict == "stop"} for rows in (before, after)]
        assert stops[1] <= stops[0], (seed, target.key)
        was = {one.key: RANK[one.verdict] for one in before}
        worse = [one for one in after if RANK[one.verdict] > was.get(one.key, 0)]
        assert all(RANK[one.verdict] < RANK[target.verdict] for one in worse), (seed, target.key)
        placing = rig(done(setup, suggestions[0])).placing
        for one in suggestions[0].places:
            assert one.place is None or goes(placing, one.thing_id, one.place), (seed, target.key)


@pytest.mark.parametrize("seed", range(40 if NIGHTLY else 4))
def test_what_is_asked_of_single_rules_is_what_the_judge_says_of_all(seed: int) -> None:
    before, after = evaluate(faulty(seed)).findings, evaluate(faulty(seed + 1)).findings
    ranks = {one.key: RANK[one.verdict] for one in before}
    _, new = changed(before, after)
    for rank in RANK.values():
        more = any(RANK[one.verdict] >= rank for one in new)
        assert finds_more(evaluated(faulty(seed + 1)), ranks, rank) == more, rank
    for _, rule in rules():
        of_it = [one for one in after if one.code == rule.code]
        assert judged_by(evaluated(faulty(seed + 1)), rule.code) == of_it


def single_cures(setup: Setup, target: Finding) -> list[Move]:
    """All moves that end a finding, or make it milder, and add none as bad: tried in full, by day
    every third of them."""
    now, before = evaluated(setup), evaluate(setup).findings
    found = []
    for move in Options(now).moves(tries_for(now, target))[:: 1 if NIGHTLY else 3]:
        after = proved(now, move)
        if after is not None:
            gone, new = changed(before, after.findings)
            worst = max((RANK[one.verdict] for one in new), default=0)
            if worst < RANK[target.verdict] and target.key in {one.key for one in gone}:
                found.append(move)
    return found


@pytest.mark.parametrize("seed", [3, 41, 77, 102])
def test_the_whole_boat_is_never_silent_while_one_move_ends_a_stop_or_a_fix(seed: int) -> None:
    """Every move of every thing tried in full: where one of them would do, one is told."""
    setup = locked(faulty(seed), *FULL.places.keys() & {seed % 5, 7, 8, 22, 23})
    now = evaluated(setup)
    before = evaluate(setup).findings
    told = advise(setup).suggestions
    if not told:
        every = Options(now).moves(Tries(tuple(setup.things), seats=True, without=True))
        assert not any(ends_one(before, proved(now, move)) for move in every)
    for one in told:
        assert badness(evaluate(done(setup, one)).findings) < badness(before)
        assert max(RANK[gone.verdict] for gone in one.gone) > max(
            (RANK[new.verdict] for new in one.new), default=0
        )


def ends_one(before: list[Finding], after: Figures | None) -> bool:
    """Whether a stop or fix is gone, nothing as bad has come, and the whole is better."""
    if after is None or badness(after.findings) >= badness(before):
        return False
    gone, new = changed(before, after.findings)
    worst = max((RANK[one.verdict] for one in new), default=0)
    return max((RANK[one.verdict] for one in gone), default=0) > max(worst, RANK["watch"])


def test_two_suggestions_are_never_told_by_the_same_words() -> None:
    for one in worst_of(FULL):
        told = [row.words for row in advise(FULL, one.key).suggestions]
        assert all(words not in told[:i] for i, words in enumerate(told)), one.key


def test_a_seat_is_not_moved_for_a_thing_that_can_be() -> None:
    (pedals,) = found(FULL, "in-the-pedals")
    assert all(one.kind != "seat" for one in advise(FULL, pedals.key).suggestions)
    fixed = locked(FULL, SCREEN)
    assert any(one.kind == "seat" for one in Options(evaluated(fixed)).moves(
        tries_for(evaluated(fixed), pedals)))  # fmt: skip


def test_what_a_scale_cures_is_not_answered_with_moves() -> None:
    guessed = known(FULL, CRATE, evidence="guess", mass_kg=15.0)
    for one in evaluate(guessed).findings:
        if one.topic == "evidence":
            assert advise(guessed, one.key).suggestions == []
            break
    else:
        pytest.fail("the guess decides nothing")


def test_the_faulty_demo_is_mended_one_suggestion_at_a_time() -> None:
    setup = FULL
    for _ in range(12):
        open_ = worst_of(setup)
        if not open_:
            break
        ways = (advise(setup, one.key).suggestions for one in open_)
        setup = done(setup, next(way for way in ways if way)[0])
    assert worst_of(setup) == []


def test_a_suggestion_tells_what_the_boat_does_with_it_done() -> None:
    (target,) = found(FULL, "no-pfd-worn")
    advice = advise(FULL, target.key)
    best = advice.suggestions[0]
    assert (best.kind, best.clears, best.left) == ("wear", True, None)
    assert best.words.text == "Put on PFD"
    after = evaluate(done(FULL, best))
    assert after.afloat is not None
    assert (best.after.trim_deg, best.after.gm_m) == (after.afloat.trim_deg, after.afloat.gm_m)
    assert (best.before.stops, best.after.stops) == (1, 0)
    assert [one.key for one in best.gone] == [target.key]
    assert advice.evaluated <= advice.looked_at


def test_three_suggestions_are_three_ideas() -> None:
    (target,) = found(FULL, "into-each-other")
    suggestions = advise(FULL, target.key).suggestions
    assert len(suggestions) == 3
    ideas = {(one.kind, tuple(p.thing_id for p in one.places)) for one in suggestions}
    assert len(ideas) == 3


def test_what_is_locked_is_not_moved() -> None:
    fixed = locked(FULL, SCREEN)
    (target,) = found(fixed, "in-the-pedals")
    for one in advise(fixed, target.key).suggestions:
        assert SCREEN not in [p.thing_id for p in one.places]


def test_the_shelf_is_looked_at_for_what_is_missing() -> None:
    bare = without(CLEAN, WHISTLE)
    (target,) = found(bare, "no-whistle")
    best = advise(bare, target.key).suggestions[0]
    assert (best.kind, best.places[0].thing_id) == ("along", WHISTLE)
    assert best.places[0].place is not None


def test_for_the_whole_boat_the_best_lowers_what_is_wrong_in_all() -> None:
    before = evaluate(FULL).findings
    best = advise(FULL).suggestions[0]
    assert badness(evaluate(done(FULL, best)).findings) < badness(before)
    assert all(one.verdict == "watch" for one in best.new)
    assert advise(CLEAN).suggestions == []


def test_a_finding_that_is_not_there_is_refused() -> None:
    with pytest.raises(InputError, match="gone now"):
        advise(FULL, "no such thing:1")


def test_a_boat_that_sinks_is_given_something_to_leave_ashore_or_nothing() -> None:
    heavy = {**CLEAN.things, WATER: CLEAN.things[WATER].model_copy(
        update={"mass_kg": 300.0, "fill": None})}  # fmt: skip
    sunk = CLEAN.model_copy(update={"things": heavy})
    target = evaluate(sunk).findings[0]
    assert target.code == "does-not-float"
    for one in advise(sunk, target.key).suggestions:
        assert evaluate(done(sunk, one)).trouble is None


def test_arranging_betters_the_whole_and_moves_no_more_than_it_says() -> None:
    rounds = list(arrangements(FULL))
    assert [one.done for one in rounds] == list(range(len(rounds)))
    assert rounds[0].best is None
    best = rounds[-1].best
    assert best is not None
    after = evaluate(moved(FULL, best.places)).findings
    assert badness(after) < badness(evaluate(FULL).findings)
    assert best.after.stops == 0
    assert best.after.fixes < best.before.fixes
    assert len(best.lines) == 5
    assert best.moved == len(best.places) == len({one.thing_id for one in best.places})
    costs = [badness(evaluate(moved(FULL, one.best.places)).findings)
             for one in rounds if one.best is not None]  # fmt: skip
    assert costs == sorted(costs, reverse=True)  # the best so far never gets worse


def test_arranging_respects_locks_and_leaves_a_clean_boat_alone() -> None:
    kept = locked(FULL, SCREEN, ANCHOR, HOLDER_P, CRATE)
    best = list(arrangements(kept))[-1].best
    assert best is not None
    assert not {SCREEN, ANCHOR, HOLDER_P, CRATE} & {one.thing_id for one in best.places}
    assert list(arrangements(CLEAN))[-1].best is None
    everything = locked(FULL, *FULL.places)
    assert movable(everything) == []
    assert list(arrangements(everything))[-1].words == "there is nothing that may be moved"


def test_arranging_brings_a_heavy_thing_back_to_the_middle() -> None:
    """One heavy bag at the stern and nothing else to move: only the bag can level the boat."""
    alone = locked(CLEAN, *CLEAN.places)
    heavy = {**alone.things, FISH_BAG: alone.things[FISH_BAG].model_copy(
        update={"mass_kg": 18.0, "use": "once"})}  # fmt: skip
    setup = put(alone.model_copy(update={"things": heavy}), FISH_BAG, -0.19,
                on=on("well", name="tank well"))  # fmt: skip
    best = list(arrangements(setup))[-1].best
    assert best is not None
    assert [one.thing_id for one in best.places] == [FISH_BAG]
    assert best.before.trim_deg is not None
    assert best.after.trim_deg is not None
    assert abs(best.after.trim_deg) < abs(best.before.trim_deg) - 0.3


def test_what_was_accepted_is_not_what_moves_are_made_for() -> None:
    lived = judged(CLEAN, accepted=[])
    spoiled = put(lived, SCREEN, 1.62, -0.33)
    findings = evaluate(spoiled).findings
    taken = [
        Accepted(key=one.key, reason="so be it", on="2027-01-01", verdict=one.verdict,
                 badness=one.badness)
        for one in findings if one.verdict != "fine"
    ]  # fmt: skip
    assert taken
    quiet = judged(spoiled, accepted=taken)
    assert badness(evaluate(quiet).findings) == 0
    assert advise(quiet).suggestions == []


def test_pfd_on_the_body_is_left_there() -> None:
    assert PFD not in movable(CLEAN)
