"""Opening files that are ours, not ours, broken, newer, or in the way; and kills in mid-write."""

import json
import os
import shutil
import signal
import sqlite3
import subprocess
import sys
from contextlib import closing
from importlib.resources import files
from pathlib import Path

import pytest
from tests.examples import NIGHTLY

from neat_hull.errors import StoreError
from neat_hull.files.demo import demo_setups
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.thing import Thing
from neat_hull.store import history
from neat_hull.store.connect import (
    APPLICATION_ID,
    Connection,
    connect,
    copy_store,
    open_store,
    restore_store,
    transaction,
)
from neat_hull.store.history import undo
from neat_hull.store.setups import list_setups, load_setup, ticks

FIRST = Path(__file__).parents[1] / "fixtures" / "first_version" / "boats.sqlite"


def test_opening_twice_changes_nothing(data: Path) -> None:
    before = data.read_bytes()
    open_store(data)
    assert data.read_bytes() == before


def test_a_text_file_is_refused_and_left_untouched(tmp_path: Path) -> None:
    path = tmp_path / "notes.txt"
    path.write_text("to do: buy a net\n" * 300)
    before = path.read_bytes()
    with pytest.raises(StoreError, match="left untouched"):
        open_store(path)
    assert path.read_bytes() == before


def test_another_programs_database_is_refused_and_left_untouched(tmp_path: Path) -> None:
    path = tmp_path / "other.sqlite"
    other = sqlite3.connect(path)
    other.execute("CREATE TABLE recipe (name TEXT)")
    other.commit()
    other.close()
    before = path.read_bytes()
    with pytest.raises(StoreError, match="another program"):
        open_store(path)
    assert path.read_bytes() == before


def test_a_damaged_file_is_refused_and_left_untouched(data: Path) -> None:
    whole = connect(data)
    whole.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    whole.close()
    broken = bytearray(data.read_bytes())
    broken[4096:12288] = b"\xa5" * 8192
    data.write_bytes(broken)
    with pytest.raises(StoreError, match="left untouched"):
        open_store(data)
    assert data.read_bytes() == bytes(broken)


def test_a_file_of_a_newer_version_is_refused(data: Path) -> None:
    db = connect(data)
    db.execute("PRAGMA user_version = 999")
    db.close()
    with pytest.raises(StoreError, match="newer"):
        open_store(data)


def test_a_folder_in_the_way_is_one_clear_line(tmp_path: Path) -> None:
    (tmp_path / "file").write_text("")
    for path in (tmp_path, tmp_path / "file" / "boats.sqlite"):
        with pytest.raises(StoreError) as refused:
            open_store(path)
        assert str(path) in str(refused.value)
        assert "\n" not in str(refused.value)


# Each line it reads starts a process that writes until it is killed; loaded once for all of them.
WRITERS = """
import os
import sys
from pathlib import Path
from neat_hull.store import history
from neat_hull.store.connect import connect, transaction
from neat_hull.store.setups import load_setup
for _ in sys.stdin:
    writer = os.fork()
    if writer:
        os.waitpid(writer, 0)
        print("killed", flush=True)
        continue
    print(os.getpid(), flush=True)
    db = connect(Path(sys.argv[1]))
    while True:
        with transaction(db):
            stored = load_setup(db, 1)
            place = {"x_m": 0.001 * (stored.revision + 1), "y_m": 0.0, "z_m": None,
                     "turn_deg": 0.0, "tilt_deg": 0.0}
            history.change(db, 1, stored.revision, "move", [history.Change("place", 18, place)])
        print(stored.revision + 1, flush=True)
"""


@pytest.mark.parametrize("ten", range(50 if NIGHTLY else 1))
def test_a_kill_in_mid_write_loses_at_most_the_change_in_flight(data: Path, ten: int) -> None:
    """Ten kills, each after some answered writes; every answered one is there, and whole.

    After the tenth all is undone to the beginning and done again.
    """
    command = [sys.executable, "-c", WRITERS, str(data)]
    pipe = subprocess.PIPE
    with subprocess.Popen(command, stdin=pipe, stdout=pipe, text=True) as writers:
        assert writers.stdin is not None
        assert writers.stdout is not None
        for _ in range(10):
            print(file=writers.stdin, flush=True)
            pid, *answered = [int(writers.stdout.readline()) for _ in range(1 + 3 + ten)]
            os.kill(pid, signal.SIGKILL)
            answered += [int(line) for line in iter(writers.stdout.readline, "killed\n")]
            open_store(data)
            db = connect(data)
            stored = load_setup(db, 1)
            assert answered[-1] <= stored.revision <= answered[-1] + 1
            assert stored.setup.places[18].x_m == pytest.approx(0.001 * stored.revision)
            assert len(list_setups(db)) == 4
            db.close()
    with closing(connect(data)) as db:
        walk_back_and_forth(db)


def walk_back_and_forth(db: Connection) -> None:
    """Undo to the beginning, and redo: the same setups stand there again, to the last digit."""
    kept = load_setup(db, 1)
    moved = 0
    for move, label in ((history.undo, "undo_label"), (history.redo, "redo_label")):
        while getattr(stored := load_setup(db, 1), label) is not None:
            with transaction(db):
                assert move(db, 1, stored.revision) == []
            moved += 1
        assert (stored.setup == kept.setup) == (move is history.redo)
    assert moved >= 2 * 10 * 3


def test_a_file_of_the_first_version_is_carried_over_with_its_history(tmp_path: Path) -> None:
    """Written by the first migration alone, with a step whose rows lack what was added since."""
    path = tmp_path / "old.sqlite"
    first = files("neat_hull").joinpath("store/migrations/0001_first.sql").read_text("utf-8")
    demo = demo_setups()[0]
    old_columns = {"name", "shape", "mass_kg", "evidence", "length_m", "width_m", "height_m"}
    thing = demo.things[1].model_dump(include=old_columns)
    old = sqlite3.connect(path)
    old.executescript(
        f"{first}\nPRAGMA application_id = {APPLICATION_ID};\nPRAGMA user_version = 1;"
    )
    old.execute("INSERT INTO boat VALUES (1, ?)", [demo.boat.model_dump_json()])
    old.execute("INSERT INTO angler VALUES (1, ?)", [demo.angler.model_dump_json()])
    old.execute(
        "INSERT INTO setup VALUES (1, 'Old', 1, 1, 'fresh', ?, 2, 1, '2026-01-01T00:00:00+00:00')",
        [demo.seat.model_dump_json()],
    )
    old.execute("INSERT INTO thing VALUES (1, ?, ?, ?, ?, ?, ?, ?)", list(thing.values()))
    step = [{"kind": "thing", "key": 1, "before": thing | {"mass_kg": 9.0}, "after": thing}]
    old.execute("INSERT INTO step VALUES (1, 1, 'Change Seat', ?)", [json.dumps(step)])
    old.commit()
    old.close()

    open_store(path)
    db = connect(path)
    assert load_setup(db, 1).setup.things[1] == Thing.model_validate(thing)
    with transaction(db):
        undo(db, 1, 2)
    stored = load_setup(db, 1).setup
    assert (stored.things[1].mass_kg, stored.things[1].sloshes) == (9.0, False)
    assert stored.demands == DemandNumbers()
    db.close()


def test_a_file_that_is_brought_up_leaves_a_copy_as_it_was(tmp_path: Path) -> None:
    path = tmp_path / "boats.sqlite"
    shutil.copy(FIRST, path)
    open_store(path)
    (copy,) = tmp_path.glob("boats.version-*.sqlite")
    with closing(sqlite3.connect(FIRST)) as was, closing(sqlite3.connect(copy)) as kept:
        assert list(kept.iterdump()) == list(was.iterdump())
        (version,) = was.execute("PRAGMA user_version").fetchone()
        assert kept.execute("PRAGMA user_version").fetchone() == (version,)
    assert f"version-{version}-" in copy.name
    open_store(path)  # it is of today now
    assert len(list(tmp_path.glob("boats.version-*"))) == 1


def test_a_new_file_leaves_no_copy(tmp_path: Path) -> None:
    open_store(tmp_path / "boats.sqlite")
    assert not list(tmp_path.glob("boats.*-*"))


def test_a_deleted_file_is_not_replaced_by_an_empty_one(data: Path) -> None:
    data.unlink()
    with pytest.raises(sqlite3.OperationalError, match="unable to open"):
        connect(data)
    assert not data.exists()


def test_a_copy_is_put_back_and_what_was_there_is_kept(data: Path, tmp_path: Path) -> None:
    copy, before = tmp_path / "copy.sqlite", demo_setups()[0].name
    copy_store(data, copy)
    with closing(connect(data)) as db:
        db.execute("UPDATE setup SET name = 'Later' WHERE id = 1")
        at = ticks(db)
        aside = restore_store(copy, data)
        assert load_setup(db, 1).setup.name == before  # whoever has it open sees it
        assert ticks(db) > at
    assert aside is not None
    with closing(connect(aside)) as db:
        assert load_setup(db, 1).setup.name == "Later"


def test_no_broken_copy_is_put_back(data: Path, tmp_path: Path) -> None:
    was = data.read_bytes()
    for n, text in enumerate((b"no database at all", was[:5000], b"")):
        bad = tmp_path / f"bad{n}.sqlite"
        bad.write_bytes(text)
        with pytest.raises(StoreError):
            restore_store(bad, data)
    with closing(connect(data)) as db:
        assert len(list_setups(db)) == 4
