"""Opening the data file: checks, migrations, and one transaction at a time."""

import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from importlib.resources import files
from pathlib import Path

from neat_hull.errors import StoreError
from neat_hull.store.bringing_up import brought_up

Connection = sqlite3.Connection

APPLICATION_ID = 0x4E48554C  # tells our files from other SQLite files
_WAIT_S = 10.0  # for another writer; writes take milliseconds


def open_store(path: Path) -> None:
    """Make the file ready: create or migrate it.

    Raises StoreError, leaving the file as it was, if it is not ours, damaged, newer or unwritable.
    """
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        with closing(_raw(path)) as db:
            _require_ours(db, path)
            _migrate(db, path)
    except sqlite3.DatabaseError as error:
        raise StoreError(f"{path}: {_plain(error)}") from error
    except OSError as error:
        if isinstance(error, StoreError):
            raise
        raise StoreError(f"{path}: cannot be used: {error.strerror}") from error


def connect(path: Path) -> sqlite3.Connection:
    """A connection to a file that `open_store` has made ready; the caller closes it."""
    db = _raw(path)
    db.execute("PRAGMA foreign_keys = ON")
    db.execute("PRAGMA synchronous = FULL")  # an answered change outlives a power cut
    return db


@contextmanager
def transaction(db: sqlite3.Connection) -> Iterator[None]:
    """All or nothing; takes the write lock at once, so that no reader turns writer half way."""
    db.execute("BEGIN IMMEDIATE")
    try:
        yield
    except BaseException:
        db.execute("ROLLBACK")
        raise
    db.execute("COMMIT")


def _raw(path: Path) -> sqlite3.Connection:
    db = sqlite3.connect(path, timeout=_WAIT_S, isolation_level=None, check_same_thread=False)
    db.row_factory = sqlite3.Row
    return db


def _require_ours(db: sqlite3.Connection, path: Path) -> None:
    (application,) = db.execute("PRAGMA application_id").fetchone()
    (tables,) = db.execute("SELECT count(*) FROM sqlite_schema").fetchone()
    if tables and application != APPLICATION_ID:
        raise StoreError(f"{path}: is a database of another program; it was left untouched")
    (state,) = db.execute("PRAGMA quick_check(1)").fetchone()
    if state != "ok":
        raise StoreError(f"{path}: is damaged and was left untouched; put a backup in its place")


def _migrate(db: sqlite3.Connection, path: Path) -> None:
    scripts = sorted(
        (
            f
            for f in files("neat_hull").joinpath("store/migrations").iterdir()
            if f.name.endswith(".sql")
        ),
        key=lambda f: f.name,
    )
    (version,) = db.execute("PRAGMA user_version").fetchone()
    if version > len(scripts):
        raise StoreError(f"{path}: was written by a newer Neat Hull; it was left untouched")
    if version == 0:
        db.execute("PRAGMA journal_mode = WAL")
    db.create_function("brought_up", 2, brought_up, deterministic=True)
    for number, script in enumerate(scripts[version:], start=version + 1):
        # executescript commits whatever is open, so the whole transaction goes into the script.
        db.executescript(
            f"BEGIN IMMEDIATE;\n{script.read_text(encoding='utf-8')}\n"
            f"PRAGMA application_id = {APPLICATION_ID};\nPRAGMA user_version = {number};\nCOMMIT;"
        )


def _plain(error: sqlite3.DatabaseError) -> str:
    text = str(error)
    if "not a database" in text or "malformed" in text:
        return "is damaged or no data file of ours; it was left untouched"
    if "readonly" in text or "unable to open" in text:
        return "cannot be written: choose a folder you may write to with --data"
    return text
