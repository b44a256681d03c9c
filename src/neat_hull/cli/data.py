"""What the commands do with a data file: setups in and out, and copies of the whole."""

import sqlite3
from contextlib import closing
from pathlib import Path

from neat_hull.analysis.evaluate import require_afloat
from neat_hull.errors import InputError, NeatHullError, StoreError
from neat_hull.files.setup_file import read_setup_file, write_setup
from neat_hull.store.connect import connect, open_store, transaction
from neat_hull.store.imports import import_setup
from neat_hull.store.setups import load_setup


def export_setup(data: Path, setup_id: int, to: Path) -> None:
    """Write one setup. Raises NeatHullError; a file that is there stays as it is."""
    _require_data(data)
    with closing(connect(data)) as db:
        text = write_setup(load_setup(db, setup_id).setup)
    try:
        with to.open("x", encoding="utf-8") as out:
            out.write(text)
    except OSError as error:
        raise InputError("", str(to), f"cannot be written: {error.strerror}") from error


def import_setups(data: Path, files: list[Path]) -> list[tuple[Path, int | NeatHullError]]:
    """Take files in, all or none: on the first bad one nothing is kept, and only it is told."""
    done: list[tuple[Path, int | NeatHullError]] = []
    file = data
    try:
        open_store(data)
        with closing(connect(data)) as db, transaction(db):
            for file in files:
                setup = read_setup_file(file)
                require_afloat(setup)
                done.append((file, import_setup(db, setup)))
    except NeatHullError as error:
        return [(file, error)]
    return done


def back_up(data: Path, to: Path) -> None:
    """Copy a data file by SQLite's own backup, consistent while others write."""
    _require_data(data)
    if to.exists():
        raise InputError("", str(to), "is there already; choose another name")
    try:
        with closing(connect(data)) as db, closing(sqlite3.connect(to)) as copy:
            db.backup(copy)
    except sqlite3.Error as error:
        raise StoreError(f"cannot be written: {error}") from error


def _require_data(data: Path) -> None:
    if not data.exists():
        raise StoreError(f"{data}: there is no such data file; name it with --data")
    open_store(data)
