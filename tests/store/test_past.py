"""Looking back at a setup leaves no trace, and what is looked at is of one moment."""

import sqlite3
import threading
from pathlib import Path

import pytest

from neat_hull.errors import InputError, NotFoundError
from neat_hull.store.connect import Connection, connect, reading, transaction
from neat_hull.store.history import Change, change, steps
from neat_hull.store.past import setup_at
from neat_hull.store.setups import load_setup, new_thing_id, ticks

CRATE = 9


def move(db: Connection, setup_id: int, x_m: float) -> None:
    """The crate somewhere else, as a step."""
    stored = load_setup(db, setup_id)
    place = stored.setup.places[CRATE].model_dump() | {"x_m": x_m}
    with transaction(db):
        change(db, setup_id, stored.revision, f"Move to {x_m}", [Change("place", CRATE, place)])


def weigh(db: Connection, setup_id: int, mass_kg: float) -> None:
    """The crate weighed again: the pile is shared by all setups."""
    stored = load_setup(db, setup_id)
    thing = stored.setup.things[CRATE].model_dump() | {"mass_kg": mass_kg}
    with transaction(db):
        change(db, setup_id, stored.revision, "Weigh", [Change("thing", CRATE, thing)])


def test_each_step_is_as_it_was_and_nothing_is_changed_by_looking(db: Connection) -> None:
    began = load_setup(db, 1).setup
    for x in (-0.1, -0.2, 0.1):
        move(db, 1, x)
    now, clock = load_setup(db, 1), ticks(db)
    for number, x in ((1, -0.1), (2, -0.2), (3, 0.1)):
        then, label = setup_at(db, 1, number)
        assert then.setup.places[CRATE].x_m == x
        assert label == f"Move to {x}"
    then, label = setup_at(db, 1, 0)
    assert (then.setup, label) == (began, "the beginning")
    assert load_setup(db, 1) == now
    assert ticks(db) == clock
    assert [one.in_force for one in steps(db, 1)] == [True, True, True]


def test_no_step_is_the_present(db: Connection) -> None:
    move(db, 1, -0.1)
    now, label = setup_at(db, 1, None)
    assert (now, label) == (load_setup(db, 1), None)


def test_a_step_that_is_not_there_or_a_setup_is_refused(db: Connection) -> None:
    with pytest.raises(InputError, match="no such step"):
        setup_at(db, 1, 1)
    with pytest.raises(NotFoundError):
        setup_at(db, 99, 0)


def test_what_another_setup_changed_since_cannot_be_looked_behind(db: Connection) -> None:
    weigh(db, 1, 5.0)
    weigh(db, 2, 4.0)
    with pytest.raises(InputError, match="changed from another setup"):
        setup_at(db, 1, 0)
    assert load_setup(db, 1).setup.things[CRATE].mass_kg == 4.0


def test_looking_back_waits_for_a_writer_and_lets_go_after(db: Connection) -> None:
    move(db, 1, -0.1)
    setup_at(db, 1, 0)
    path = db.execute("PRAGMA database_list").fetchone()["file"]
    other = sqlite3.connect(path, timeout=0.1, isolation_level=None)
    other.execute("BEGIN IMMEDIATE")  # nothing is held any more
    other.execute("ROLLBACK")
    other.close()


def test_looking_back_while_somebody_writes_sees_what_they_wrote(data: Path) -> None:
    other, looking = connect(data), threading.Event()
    move(other, 1, -0.1)
    found: list[float] = []

    def look() -> None:
        db = connect(data)
        db.set_trace_callback(lambda sql: looking.set() if sql.startswith("BEGIN") else None)
        found.append(setup_at(db, 1, 2)[0].setup.places[CRATE].x_m)
        db.close()

    place = load_setup(other, 1).setup.places[CRATE].model_dump() | {"x_m": -0.2}
    thread = threading.Thread(target=look)
    with transaction(other):
        change(other, 1, None, "Move", [Change("place", CRATE, place)])
        thread.start()
        assert looking.wait(60)
    thread.join(60)
    other.close()
    assert found == [-0.2]


def adding(db: Connection, data: Path) -> None:
    """Before each that is read from here on, somebody else puts one more thing aboard."""
    other = connect(data)

    def write(sql: str) -> None:
        if not sql.lstrip().startswith("SELECT"):
            return
        setup, key = load_setup(other, 1).setup, new_thing_id(other)
        rows = [
            Change("thing", key, setup.things[CRATE].model_dump()),
            Change("place", key, setup.places[CRATE].model_dump()),
        ]
        with transaction(other):
            change(other, 1, None, "One more", rows)

    db.set_trace_callback(write)


def test_a_setup_that_is_read_while_others_write_is_of_one_moment(
    db: Connection, data: Path
) -> None:
    before = load_setup(db, 1)
    adding(db, data)
    found = load_setup(db, 1)
    db.set_trace_callback(None)
    assert load_setup(db, 1).revision > found.revision  # they did write
    assert len(found.setup.things) - len(before.setup.things) == found.revision - before.revision
    assert set(found.setup.places) <= set(found.setup.things)


def test_a_page_that_is_read_while_others_write_is_of_one_moment(
    db: Connection, data: Path
) -> None:
    adding(db, data)
    with reading(db):
        first, second = load_setup(db, 1), load_setup(db, 1)
    db.set_trace_callback(None)
    assert first == second
    assert load_setup(db, 1) != second
