"""The clock of a data file that is kept open: it holds up nobody, and tells of no other file."""

import shutil
import sqlite3
import threading
from contextlib import closing
from pathlib import Path

import pytest

from neat_hull.store.clock import Clock
from neat_hull.store.connect import connect, open_store, transaction
from neat_hull.store.setups import tick, ticks


def ticked(data: Path, times: int = 1) -> int:
    with closing(connect(data)) as db:
        for _ in range(times):
            with transaction(db):
                tick(db)
        return ticks(db)


def test_it_tells_of_every_change_whoever_makes_it(data: Path) -> None:
    clock = Clock(data)
    for _ in range(5):
        assert clock.ticks() == ticked(data, 0)
        assert clock.ticks() + 1 == ticked(data) == clock.ticks()


def test_a_change_that_is_not_put_into_the_file_yet_is_told_as_well(data: Path) -> None:
    clock = Clock(data)
    before = clock.ticks()
    with closing(connect(data)) as db:
        with transaction(db):
            tick(db)
        assert clock.ticks() == before + 1


def test_a_plain_copy_of_the_file_alone_has_all_while_it_is_read(
    data: Path, tmp_path: Path
) -> None:
    clock = Clock(data)
    for _ in range(3):
        clock.ticks()
        now = ticked(data)
        copy = Path(shutil.copy(data, tmp_path / "copy.sqlite"))
        assert ticked(copy, 0) == now == clock.ticks()


def test_what_somebody_who_reads_keeps_out_of_the_file_is_put_there_when_he_has_read(
    data: Path, tmp_path: Path
) -> None:
    clock = Clock(data)
    clock.ticks()
    with closing(connect(data)) as reader:
        reader.execute("BEGIN")
        before = ticks(reader)
        now = ticked(data)
        assert ticks(reader) == before
    assert ticked(Path(shutil.copy(data, tmp_path / "copy.sqlite")), 0) == now


def test_another_file_in_its_place_is_told_of(data: Path, tmp_path: Path) -> None:
    clock, other = Clock(data), tmp_path / "other.sqlite"
    open_store(other)
    now = ticked(other, 30)
    assert clock.ticks() < now
    other.rename(data)
    assert clock.ticks() == now


def test_a_file_written_over_is_told_of(data: Path, tmp_path: Path) -> None:
    clock, other = Clock(data), tmp_path / "other.sqlite"
    open_store(other)
    now = ticked(other, 30)
    assert clock.ticks() < now
    shutil.copyfile(other, data)
    assert clock.ticks() == now


def test_a_file_that_is_gone_is_no_clock_and_is_not_made(data: Path, tmp_path: Path) -> None:
    clock, aside = Clock(data), tmp_path / "aside.sqlite"
    now = clock.ticks()
    data.rename(aside)
    with pytest.raises(sqlite3.OperationalError, match="unable to open"):
        clock.ticks()
    assert not data.exists()
    aside.rename(data)
    assert clock.ticks() == now


def test_let_go_it_leaves_the_file_alone_in_its_folder(data: Path) -> None:
    clock = Clock(data)
    clock.ticks()
    ticked(data)
    clock.close()
    assert [one.name for one in data.parent.iterdir()] == [data.name]


def test_when_nobody_asks_it_lets_the_file_go_and_opens_it_again(data: Path) -> None:
    clock = Clock(data, idle_s=0.001)
    for _ in range(3):
        now = ticked(data)
        assert clock.ticks() == now
        while waiting := [one for one in threading.enumerate() if isinstance(one, threading.Timer)]:
            waiting[0].join()
        assert [one.name for one in data.parent.iterdir()] == [data.name]
