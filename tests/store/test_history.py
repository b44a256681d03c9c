"""Changes with their undo steps."""

from pathlib import Path
from sqlite3 import Connection

import pytest

from neat_hull.errors import ConflictError, InputError, NotFoundError
from neat_hull.files.demo import demo_setups
from neat_hull.store import history
from neat_hull.store.connect import connect, transaction
from neat_hull.store.history import Change
from neat_hull.store.setups import StoredSetup, list_setups, load_setup, next_thing_id, ticks

NET = 18
PLACE: dict[str, object] = {"x_m": 0.4, "y_m": 0.1, "z_m": None, "turn_deg": 0.0, "tilt_deg": 10.0}
THING = {"name": "Sponge", "shape": "box", "mass_kg": 0.2, "evidence": "guess", "length_m": 0.1,
         "width_m": 0.1, "height_m": 0.1}  # fmt: skip


def put(
    db: Connection, place: dict[str, object] | None, label: str = "put", setup: int = 1
) -> StoredSetup:
    """Place the net, or take it ashore, based on the present revision."""
    with transaction(db):
        seen = load_setup(db, setup).revision
        history.change(db, setup, seen, label, [Change("place", NET, place)])
    return load_setup(db, setup)


def step(db: Connection, way: str, setup: int = 1) -> StoredSetup:
    """Undo or redo."""
    with transaction(db):
        getattr(history, way)(db, setup, load_setup(db, setup).revision)
    return load_setup(db, setup)


def test_what_is_put_in_comes_out_the_same(db: Connection) -> None:
    assert [load_setup(db, one.setup_id).setup for one in list_setups(db)] == demo_setups()


def test_a_change_can_be_undone_and_redone_over_a_restart(data: Path) -> None:
    db = connect(data)
    before = load_setup(db, 1)
    after = put(db, PLACE, "Put aboard: Landing net")
    db.close()
    db = connect(data)
    undone = step(db, "undo")
    assert undone.setup == before.setup
    assert undone.redo_label == "Put aboard: Landing net"
    assert step(db, "redo").setup == after.setup
    assert load_setup(db, 1).revision == before.revision + 3
    db.close()


def test_a_new_change_forgets_what_was_undone(db: Connection) -> None:
    put(db, PLACE)
    step(db, "undo")
    put(db, PLACE | {"x_m": 0.9})
    assert load_setup(db, 1).redo_label is None
    with pytest.raises(InputError, match="nothing to redo"):
        step(db, "redo")


def test_nothing_to_undo_says_so_and_changes_nothing(db: Connection) -> None:
    before = load_setup(db, 1)
    with pytest.raises(InputError, match="nothing to undo"):
        step(db, "undo")
    assert load_setup(db, 1) == before


def test_a_change_based_on_an_old_revision_is_refused_whole(db: Connection) -> None:
    seen = load_setup(db, 1).revision
    kept = put(db, PLACE)
    with pytest.raises(ConflictError) as conflict, transaction(db):
        history.change(db, 1, seen, "late", [Change("place", NET, None)])
    assert (conflict.value.seen, conflict.value.current) == (seen, kept.revision)
    assert load_setup(db, 1) == kept


def test_undo_of_several_rows_takes_them_back_in_reverse(db: Connection) -> None:
    before, thing_id = load_setup(db, 1), next_thing_id(db)
    with transaction(db):
        added = [Change("thing", thing_id, THING), Change("place", thing_id, PLACE)]
        history.change(db, 1, before.revision, "Add Sponge", added)
    assert thing_id in load_setup(db, 1).setup.places
    assert step(db, "undo").setup == before.setup


def test_a_thing_aboard_elsewhere_is_not_struck_off(db: Connection) -> None:
    seat = 1
    before = load_setup(db, 1)
    with pytest.raises(InputError, match="aboard in another setup"), transaction(db):
        history.change(db, 1, before.revision, "strike",
                       [Change("place", seat, None), Change("thing", seat, None)])  # fmt: skip
    assert load_setup(db, 1) == before


def test_undo_does_not_trample_on_a_change_from_another_setup(db: Connection) -> None:
    first = load_setup(db, 1)
    net = first.setup.things[NET].model_dump()
    with transaction(db):
        history.change(
            db, 1, first.revision, "weigh", [Change("thing", NET, net | {"mass_kg": 0.9})]
        )
    with transaction(db):
        second = load_setup(db, 2)
        history.change(
            db, 2, second.revision, "weigh", [Change("thing", NET, net | {"mass_kg": 1.1})]
        )
    with pytest.raises(InputError, match="another setup"):
        step(db, "undo", setup=1)
    assert load_setup(db, 1).setup.things[NET].mass_kg == 1.1


def test_every_change_moves_the_clock(db: Connection) -> None:
    before = ticks(db)
    put(db, PLACE)
    assert ticks(db) == before + 1


def test_there_is_no_setup_ninety_nine(db: Connection) -> None:
    with pytest.raises(NotFoundError):
        load_setup(db, 99)
    with pytest.raises(NotFoundError), transaction(db):
        history.change(db, 99, 1, "no", [])


def test_any_point_of_the_history_can_be_gone_back_to(db: Connection) -> None:
    for x_m in (1.0, 1.5, 2.0):
        with transaction(db):
            seen = load_setup(db, 1).revision
            row = {"x_m": x_m, "y_m": 0.0, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0}
            history.change(db, 1, seen, f"to {x_m}", [Change("place", 9, row)])
    with transaction(db):
        history.go_to(db, 1, load_setup(db, 1).revision, 1)
    assert load_setup(db, 1).setup.places[9].x_m == 1.0
    assert [(s.number, s.in_force) for s in history.steps(db, 1)] == [
        (3, False),
        (2, False),
        (1, True),
    ]
    with transaction(db):
        history.go_to(db, 1, load_setup(db, 1).revision, 3)
    assert load_setup(db, 1).setup.places[9].x_m == 2.0
    with pytest.raises(InputError, match="nothing to redo"), transaction(db):
        history.go_to(db, 1, load_setup(db, 1).revision, 9)
    assert load_setup(db, 1).setup.places[9].x_m == 2.0
