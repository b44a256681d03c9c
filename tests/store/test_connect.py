"""Opening files that are ours, not ours, broken, newer, or in the way; and kills in mid-write."""

import os
import signal
import sqlite3
import subprocess
import sys
from pathlib import Path

import pytest

from neat_hull.errors import StoreError
from neat_hull.store.connect import connect, open_store
from neat_hull.store.setups import list_setups, load_setup


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


WRITER = """
import sys
from neat_hull.store import history
from neat_hull.store.connect import connect, transaction
from neat_hull.store.setups import load_setup
db = connect(sys.argv[1])
while True:
    with transaction(db):
        stored = load_setup(db, 1)
        place = {"x_m": 0.001 * (stored.revision + 1), "y_m": 0.0, "z_m": None,
                 "turn_deg": 0.0, "tilt_deg": 0.0}
        history.change(db, 1, stored.revision, "move", [history.Change("place", 18, place)])
    print(stored.revision + 1, flush=True)
"""


def test_a_kill_in_mid_write_loses_at_most_the_change_in_flight(data: Path) -> None:
    """Ten kills, each after some answered writes; every answered one is there, and whole."""
    for _ in range(10):
        writer = subprocess.Popen(
            [sys.executable, "-c", WRITER, str(data)], stdout=subprocess.PIPE, text=True
        )
        assert writer.stdout is not None
        answered = [int(writer.stdout.readline()) for _ in range(3)]
        os.kill(writer.pid, signal.SIGKILL)
        answered += [int(line) for line in writer.stdout.read().split("\n")[:-1]]
        writer.stdout.close()
        writer.wait()
        open_store(data)
        db = connect(data)
        stored = load_setup(db, 1)
        assert answered[-1] <= stored.revision <= answered[-1] + 1
        assert stored.setup.places[18].x_m == pytest.approx(0.001 * stored.revision)
        assert len(list_setups(db)) == 2
        db.close()
