"""Changes with their undo steps."""

import subprocess
import sys
from pathlib import Path

import pytest

from neat_hull.errors import ConflictError, InputError, NotFoundError
from neat_hull.files.demo import demo_setups
from neat_hull.store import history
from neat_hull.store.connect import Connection, connect, transaction
from neat_hull.store.history import Change
from neat_hull.store.imports import copy_setup
from neat_hull.store.setups import StoredSetup, list_setups, load_setup, new_thing_id, ticks

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
    before, thing_id = load_setup(db, 1), new_thing_id(db)
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


def weigh(db: Connection, setup: int, **fields: object) -> None:
    """Change the net, through one of the setups."""
    with transaction(db):
        seen = load_setup(db, setup)
        row = seen.setup.things[NET].model_dump() | fields
        history.change(db, setup, seen.revision, "weigh", [Change("thing", NET, row)])


def undone(db: Connection, setup: int) -> list[str]:
    """Undo, and what is told of it."""
    with transaction(db):
        return history.undo(db, setup, load_setup(db, setup).revision)


def test_undo_does_not_trample_on_a_change_from_another_setup(db: Connection) -> None:
    weigh(db, 1, mass_kg=0.9)
    weigh(db, 2, mass_kg=1.1)
    told = undone(db, 1)
    assert told == ["Landing net: was changed from another setup since"]
    assert load_setup(db, 1).setup.things[NET].mass_kg == 1.1
    assert load_setup(db, 1).undo_label is None


def test_undo_takes_back_only_the_fields_it_changed(db: Connection) -> None:
    before = load_setup(db, 1).setup.things[NET]
    weigh(db, 1, mass_kg=0.9, notes="weighed wet")
    weigh(db, 2, name="Net", notes="weighed dry")
    assert undone(db, 1) == ["Net: was changed from another setup since"]  # the notes
    now = load_setup(db, 1).setup.things[NET]
    assert (now.name, now.mass_kg, now.notes) == ("Net", before.mass_kg, "weighed dry")
    with transaction(db):
        assert history.redo(db, 1, load_setup(db, 1).revision) == [
            "Net: was changed from another setup since"
        ]
    assert load_setup(db, 1).setup.things[NET].mass_kg == 0.9


def test_the_first_step_is_gone_back_to_while_a_copy_holds_what_came_later(db: Connection) -> None:
    before, thing_id = load_setup(db, 1), new_thing_id(db)
    with transaction(db):
        added = [Change("thing", thing_id, THING), Change("place", thing_id, PLACE)]
        history.change(db, 1, before.revision, "Add Sponge", added)
    with transaction(db):
        copy = copy_setup(db, load_setup(db, 1), "Copy")
    with transaction(db):
        told = history.go_to(db, 1, load_setup(db, 1).revision, 0)
    assert told == ["Sponge: it is aboard in another setup; take it ashore there"]
    now = load_setup(db, 1)
    assert now.setup.places == before.setup.places
    assert thing_id in load_setup(db, copy).setup.places
    with transaction(db):
        history.go_to(db, 1, now.revision, 1)
    assert thing_id in load_setup(db, 1).setup.places


def test_a_change_of_what_setups_share_makes_a_copy_of_it_stale_in_each(db: Connection) -> None:
    seen = load_setup(db, 2)
    weigh(db, 1, mass_kg=0.9)
    stale = seen.setup.things[NET].model_dump() | {"name": "Net"}
    with pytest.raises(ConflictError), transaction(db):
        history.change(db, 2, seen.revision, "late", [Change("thing", NET, stale)])
    assert load_setup(db, 2).setup.things[NET].mass_kg == 0.9


ADD = """
import sys
from pathlib import Path
from neat_hull.model.thing import Thing
from neat_hull.store.connect import connect, transaction
from neat_hull.store.history import Change, change
from neat_hull.store.setups import load_setup, new_thing_id
db, setup = connect(Path(sys.argv[1])), int(sys.argv[2])
net = load_setup(db, setup).setup.things[18].model_dump()
for n in range(12):
    with transaction(db):
        thing = net | {"name": f"{setup}.{n}"}
        change(db, setup, None, "add", [Change("thing", new_thing_id(db), thing)])
"""


def test_two_processes_that_add_at_once_overwrite_nothing(data: Path, db: Connection) -> None:
    before = len(load_setup(db, 1).setup.things)
    adders = [
        subprocess.Popen([sys.executable, "-c", ADD, str(data), str(setup)]) for setup in (1, 2)
    ]
    assert [one.wait(120) for one in adders] == [0, 0]
    things = load_setup(db, 1).setup.things
    names = {thing.name for thing in things.values()}
    assert len(things) == before + 24
    assert {f"{setup}.{n}" for setup in (1, 2) for n in range(12)} <= names


def test_a_number_once_given_never_comes_again(db: Connection) -> None:
    before = load_setup(db, 1)
    first = new_thing_id(db)
    with transaction(db):
        history.change(db, 1, before.revision, "add", [Change("thing", first, THING)])
    step(db, "undo")
    assert new_thing_id(db) > first > max(before.setup.things)


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
