"""Kept setups evaluated one step after the other: to the last digit what comes from nothing."""

from collections.abc import Callable
from dataclasses import replace
from pathlib import Path
from typing import Literal

import pytest
from tests.filled import filled

from neat_hull.editing.beside import beside_of
from neat_hull.editing.evaluations import Evaluations
from neat_hull.editing.steps import write_step
from neat_hull.errors import InputError
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store import history
from neat_hull.store.connect import connect, transaction
from neat_hull.store.history import Change
from neat_hull.store.setups import load_setup
from neat_hull.subjects.afloat.full import full_afloat
from neat_hull.subjects.capsize.full import full_capsize
from neat_hull.subjects.day.full import full_day
from neat_hull.subjects.fixing.full import full_fixing
from neat_hull.subjects.glide.full import full_glide
from neat_hull.subjects.haul.full import full_haul
from neat_hull.subjects.hold.full import full_hold
from neat_hull.subjects.power.full import full_power
from neat_hull.subjects.reach.full import full_reach
from neat_hull.whole.evaluate import evaluate, evaluated, live
from neat_hull.whole.surf import surf_page

CRATE = 9


def test_steps_refusals_and_undos_come_to_what_comes_from_nothing(tmp_path: Path) -> None:
    kept, db = Evaluations(), connect(filled(tmp_path / "boats.sqlite"))

    def same() -> None:
        for setup_id in (1, 2, 1):
            stored = load_setup(db, setup_id)
            assert live(kept.of(stored)) == evaluate(stored.setup, beside_of(stored))

    def step(kind: Literal["place", "thing"], changed: dict[str, object]) -> None:
        setup = load_setup(db, 1).setup
        row = setup.places[CRATE] if kind == "place" else setup.things[CRATE]
        change = Change(kind, CRATE, {**row.model_dump(), **changed})
        with transaction(db):
            write_step(db, 1, None, "A step", [change], "mass_kg")

    same()
    step("place", {"x_m": 1.2, "y_m": 0.1})
    same()
    step("thing", {"mass_kg": 12.0, "name": "Heavy crate"})
    same()
    with pytest.raises(InputError, match="with this the boat"):
        step("thing", {"mass_kg": 199.0, "height_m": 0.9})
    same()
    with transaction(db):
        history.undo(db, 1, load_setup(db, 1).revision)
    same()
    db.close()


@pytest.mark.parametrize(
    "answer",
    [full_afloat, full_capsize, full_day, full_fixing, full_glide, full_haul, full_hold,
     full_power, lambda ev: full_reach(ev, 0.3), surf_page],
)  # fmt: skip
def test_a_page_of_a_trial_is_that_from_nothing(
    answer: Callable[[Evaluated], object], tmp_path: Path
) -> None:
    kept, db = Evaluations(), connect(filled(tmp_path / "boats.sqlite"))
    stored = load_setup(db, 1)
    live(kept.of(stored))
    assert kept.tried(stored, stored.setup) is kept.of(stored)
    place = stored.setup.places[CRATE].model_copy(update={"x_m": 1.1, "y_m": 0.12})
    places = {**stored.setup.places, CRATE: place}
    for setup in (stored.setup, stored.setup.model_copy(update={"places": places})):
        fresh = evaluated(setup, beside_of(stored))
        assert answer(kept.tried(stored, setup)) == answer(fresh)
    db.close()


def test_of_many_setups_only_the_last_are_kept(tmp_path: Path) -> None:
    kept, db = Evaluations(), connect(filled(tmp_path / "boats.sqlite"))
    stored = load_setup(db, 1)
    for setup_id in range(1, 21):
        kept.of(replace(stored, setup_id=setup_id))
    assert [n for n in range(1, 21) if kept.last(n) is not None] == list(range(13, 21))
    db.close()


def test_one_that_another_request_is_at_work_on_is_not_shared(tmp_path: Path) -> None:
    kept, db = Evaluations(), connect(filled(tmp_path / "boats.sqlite"))
    stored = load_setup(db, 1)
    live(kept.of(stored))
    colder = replace(stored, setup=stored.setup.model_copy(update={"water_temp_c": 6.0}))
    at_work = kept.of(colder)
    meanwhile = kept.of(colder)
    assert meanwhile is not at_work
    assert meanwhile.before is not at_work
    at_work.forget_before()  # as it does when it is told
    assert live(meanwhile) == evaluate(colder.setup, beside_of(colder))
    assert kept.of(colder) is meanwhile
    db.close()
