"""Whole setups taken in, copied and put away: what is shared, what is new, what stays."""

import pytest

from neat_hull.errors import NotFoundError
from neat_hull.files.demo import demo_setups
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.imports import (
    archive_setup,
    copy_setup,
    import_setup,
    move_setup,
    plan_import,
)
from neat_hull.store.setups import list_setups, load_setup

DEMO = demo_setups()[0]


def count(db: Connection, table: str) -> int:
    """Rows of a table."""
    (rows,) = db.execute({"boat": "SELECT count(*) FROM boat",
                          "angler": "SELECT count(*) FROM angler",
                          "thing": "SELECT count(*) FROM thing"}[table]).fetchone()  # fmt: skip
    return int(rows)


def test_what_is_there_exactly_as_it_is_gets_shared(db: Connection) -> None:
    plan = plan_import(db, DEMO)
    assert (plan.boat_id, plan.angler_id, plan.new_things) == (1, 1, [])
    assert plan.same_name
    before = [count(db, table) for table in ("boat", "angler", "thing")]
    with transaction(db):
        setup_id = import_setup(db, DEMO)
    assert [count(db, table) for table in ("boat", "angler", "thing")] == before
    assert load_setup(db, setup_id).setup.places == DEMO.places


def test_what_differs_is_new_and_the_old_stays_as_it_was(db: Connection) -> None:
    crate = DEMO.things[9].model_copy(update={"mass_kg": 9.9})
    boat = DEMO.boat.model_copy(update={"hull_mass_kg": 35.0})
    other = DEMO.model_copy(update={"boat": boat, "things": DEMO.things | {9: crate}})
    with transaction(db):
        setup_id = import_setup(db, other)
    taken = load_setup(db, setup_id).setup
    assert taken.boat == boat
    new_id = next(i for i, thing in taken.things.items() if thing == crate)
    assert new_id != 9
    assert taken.places[new_id] == DEMO.places[9]
    assert load_setup(db, 1).setup.things[9] == DEMO.things[9]
    assert load_setup(db, 1).setup.boat == DEMO.boat


def test_two_things_alike_do_not_become_one(db: Connection) -> None:
    """Twins in the file: one is shared with the pile, the other is new."""
    twins = DEMO.model_copy(
        update={
            "things": {1: DEMO.things[14], 2: DEMO.things[14]},
            "places": {1: DEMO.places[14], 2: DEMO.places[9]},
        }
    )
    plan = plan_import(db, twins)
    assert (plan.thing_ids, plan.new_things) == ({1: 14}, [2])
    with transaction(db):
        setup_id = import_setup(db, twins)
    assert len(load_setup(db, setup_id).setup.places) == 2


def test_a_copy_has_its_own_history_and_shares_the_rest(db: Connection) -> None:
    source = load_setup(db, 1)
    with transaction(db):
        new = copy_setup(db, source, "Copy")
    copy = load_setup(db, new)
    assert (copy.boat_id, copy.angler_id, copy.undo_label) == (source.boat_id, 1, None)
    assert copy.setup == source.setup.model_copy(update={"name": "Copy"})


def test_a_moved_setup_is_on_the_other_boat(db: Connection) -> None:
    source, onto = load_setup(db, 1), load_setup(db, 3)
    there = source.setup.model_copy(
        update={"boat": onto.setup.boat, "seat": onto.setup.seat, "places": {}, "name": "There"}
    )
    with transaction(db):
        new = move_setup(db, source, onto, there)
    stored = load_setup(db, new)
    assert stored.boat_id == onto.boat_id
    assert stored.setup.boat == onto.setup.boat
    assert stored.setup.places == {}


def test_what_is_put_away_is_listed_last_and_comes_back(db: Connection) -> None:
    with transaction(db):
        archive_setup(db, 1, True)
    assert [(one.setup_id, one.archived) for one in list_setups(db)][-1] == (1, True)
    with transaction(db):
        archive_setup(db, 1, False)
    assert list_setups(db)[0].setup_id == 1
    with pytest.raises(NotFoundError), transaction(db):
        archive_setup(db, 99, True)


def test_a_failed_import_leaves_nothing(db: Connection) -> None:
    before = [count(db, table) for table in ("boat", "angler", "thing")]
    broken = DEMO.model_copy(update={"places": DEMO.places | {999: DEMO.places[9]}})
    with pytest.raises(KeyError), transaction(db):
        import_setup(db, broken)
    assert [count(db, table) for table in ("boat", "angler", "thing")] == before
    assert len(list_setups(db)) == 4
