"""The mixed-integer problem against all combinations counted out, and its constraints held."""

from itertools import product

import numpy as np
import pytest
from tests.judged import CLEAN, CRATE, FISH_BAG, FULL, PLIERS, WATER, known, put
from tests.piles import spread
from tests.places import on

from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import at_rest
from neat_hull.whole.arrange import _bar, _problem, _solve
from neat_hull.whole.candidates import Candidate, Choice, choice, movable
from neat_hull.whole.evaluate import evaluated


def locked_but(setup: Setup, *free: int) -> Setup:
    """Only some things may be moved."""
    places = {i: p.model_copy(update={"locked": i not in free}) for i, p in setup.places.items()}
    return setup.model_copy(update={"places": places})


def cost_of(now: Evaluated, options: Choice, taken: tuple[Candidate, ...]) -> float:
    """The sum that is minimised, written out from its description, not from the matrices."""
    rest = at_rest(now)
    assert rest is not None
    lie, up = rest.equilibrium, rest.upright
    table, total = now.table, now.rigged.loads.total_kg
    here = {one.thing_id: one for one in options.candidates if one.stays}
    trim, heel, cost = float(np.degrees(lie.trim_rad)), float(np.degrees(lie.heel_rad)), 0.0
    for one in taken:
        step = np.subtract(one.centre_m, here[one.thing_id].centre_m)
        trim -= float(np.degrees(one.mass_kg * step[0] / (total * up.gm_l_m)))
        heel -= float(np.degrees(one.mass_kg * step[1] / (total * up.gm_m)))
        cost += one.cost + 4.0 * one.mass_kg * float(step[2]) + (0.0 if one.stays else 3.0)
    for value, key in ((trim, "trim"), (heel, "list")):
        fine = table[key].fine
        cost += 8.0 * abs(value) + 60.0 * max(0.0, abs(value) - fine)
    return cost


def allowed(options: Choice, taken: tuple[Candidate, ...]) -> bool:
    """No two into each other, but as they are now; a box that is filled stays."""
    rows = options.candidates
    at = [rows.index(one) for one in taken]
    for i in at:
        for j in at:
            if i < j and (i, j) in options.conflicts and not (rows[i].stays and rows[j].stays):
                return False
    stays = {one.thing_id for one in taken if one.stays}
    moving = {one.thing_id for one in rows}
    return all(one.into is None or one.into not in moving or one.into in stays for one in taken)


SPOILED = put(put(CLEAN, CRATE, 0.5, 0.15), FISH_BAG, 0.8, 0.1)


@pytest.mark.parametrize(
    ("setup", "free"),
    [
        (SPOILED, (CRATE, FISH_BAG)),
        (SPOILED, (CRATE, FISH_BAG, WATER)),
        (FULL, (FISH_BAG, PLIERS)),
        (known(SPOILED, CRATE, mass_kg=18.0), (CRATE, PLIERS)),
    ],
)
def test_the_solver_finds_what_counting_out_finds(setup: Setup, free: tuple[int, ...]) -> None:
    now = evaluated(locked_but(setup, *free))
    options = choice(now)
    assert {one.thing_id for one in options.candidates} == set(free)
    groups = [[one for one in options.candidates if one.thing_id == i] for i in free]
    best = min(
        cost_of(now, options, taken) for taken in product(*groups) if allowed(options, taken)
    )
    solved = _solve(_problem(now, options), [])
    assert solved is not None
    places = solved.places
    assert solved.proved
    taken = tuple(
        next(one for one in group if one.place == places.get(i, now.rigged.setup.places[i]))
        for i, group in zip(free, groups, strict=True)
    )
    assert allowed(options, taken)
    assert cost_of(now, options, taken) == pytest.approx(best, rel=0.011, abs=0.05)


def test_a_choice_that_is_barred_is_not_made_again() -> None:
    problem = _problem(evaluated(FULL), choice(evaluated(FULL)))
    first = _solve(problem, [])
    assert first is not None
    second = _solve(problem, [_bar(problem, first)])
    assert second is not None
    shared = set(first.moved) & set(second.moved)
    assert len(shared) <= len(first.moved) - max(1, len(first.moved) // 3)


def test_what_is_chosen_excludes_what_it_meets() -> None:
    now = evaluated(FULL)
    options = choice(now)
    solved = _solve(_problem(now, options), [])
    assert solved is not None
    places = solved.places
    taken = tuple(
        one for one in options.candidates
        if one.place == places.get(one.thing_id, FULL.places[one.thing_id])
    )  # fmt: skip
    first = {one.thing_id: one for one in reversed(taken)}
    assert set(first) == set(movable(FULL))
    assert allowed(options, tuple(first.values()))


def test_each_thing_may_stay_and_is_offered_no_place_twice() -> None:
    options = choice(evaluated(FULL))
    for thing_id in movable(FULL):
        rows = [one for one in options.candidates if one.thing_id == thing_id]
        assert sum(one.stays for one in rows) == 1
        assert len(rows) <= 26


def test_a_lock_takes_a_thing_out_of_the_question() -> None:
    place = FULL.places[CRATE].model_copy(update={"locked": True})
    kept = FULL.model_copy(update={"places": {**FULL.places, CRATE: place}})
    assert CRATE in movable(FULL)
    assert CRATE not in movable(kept)
    assert all(one.thing_id != CRATE for one in choice(evaluated(kept)).candidates)


def test_what_rides_in_a_box_is_no_question_of_its_own() -> None:
    boxed = put(FULL, PLIERS, 0.0, on=on("thing", thing=CRATE, where="in"))
    assert PLIERS not in movable(boxed)
    options = choice(evaluated(boxed))
    crate = next(one for one in options.candidates if one.thing_id == CRATE)
    inside = sum(boxed.things[i].mass_now_kg for i in (CRATE, PLIERS, 10))
    assert crate.mass_kg == pytest.approx(inside)


def test_nothing_to_move_is_nothing_to_choose() -> None:
    options = choice(evaluated(locked_but(FULL)))
    assert options == Choice([], [])


def test_a_place_that_is_the_present_one_is_told_by_its_place() -> None:
    spot = Place(x_m=0.7, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0)
    setup = put(CLEAN, CRATE, 0.7)
    assert setup.places[CRATE] == spot
    here = [one for one in choice(evaluated(setup)).candidates if one.stays]
    assert CRATE in {one.thing_id for one in here}


def test_a_crowded_boat_has_no_more_to_choose_from_than_one_well_filled() -> None:
    """What there is to measure, and so the time of it, stays bounded; each keeps its own place."""
    few, many = (choice(evaluated(spread(count))) for count in (60, 240))
    assert len(many.candidates) < 1.5 * len(few.candidates)
    assert {one.thing_id for one in many.candidates if one.stays} == set(range(1, 241))
