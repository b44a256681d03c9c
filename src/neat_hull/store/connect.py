"""Opening the data file: checks, migrations, copies, and one transaction at a time."""

import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from datetime import UTC, datetime
from importlib.resources import files
from importlib.resources.abc import Traversable
from itertools import count
from pathlib import Path

from neat_hull.errors import StoreError
from neat_hull.store.made_changes import make

APPLICATION_ID = 0x4E48554C  # tells our files from other SQLite files
_WAIT_S = 10.0  # for another writer; writes take milliseconds


class Connection(sqlite3.Connection):
    """To a data file. `change` is the key of the change that its next transaction makes, where it
    has one; `journal` is where changes stand until they are put into the file."""

    change: str | None = None
    journal: Path | None = None

    def close(self) -> None:
        """As any; whatever is not in the file itself is put there, unless somebody reads it, who
        does so then.

        SQLite would do it where nobody else has the file open, but a plain copy of the file is to
        hold all of it, and no journal is to outlive us, whoever has.
        """
        if self.journal is not None and _holds(self.journal):
            with suppress(sqlite3.Error):
                self.rollback()  # as closing does
                self.execute("PRAGMA busy_timeout = 0")
                self.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        super().close()


def _holds(journal: Path) -> bool:
    try:
        return journal.stat().st_size > 0
    except OSError:
        return False


def open_store(path: Path) -> None:
    """Make the file ready: create or migrate it. One that is migrated leaves a copy beside it.

    Raises StoreError, leaving the file as it was, if it is not ours, damaged, newer or unwritable.
    """
    with _in_words(path, path):
        path.parent.mkdir(parents=True, exist_ok=True)
        with closing(_raw(path)) as db:
            _require_ours(db, path)
            _migrate(db, path)


def copy_store(path: Path, to: Path) -> None:
    """Copy what is there, consistent while others write, and nothing else is done to it.

    Raises StoreError if it is not ours or damaged, or the copy cannot be written or is there.
    """
    with _in_words(path, to), closing(_raw(path, "?mode=ro")) as db:
        _require_ours(db, path)
        if to.exists():
            raise StoreError(f"{to}: is there already; choose another name")
        to.open("xb").close()
        try:
            _copied(db, to)
        except BaseException:
            to.unlink()
            raise


def restore_store(copy: Path, path: Path) -> Path | None:
    """Put a copy in the place of a data file, in one transaction; returns where that was copied to.

    Raises StoreError, with nothing changed, if the copy is not ours, damaged, empty or newer.
    """
    with _in_words(copy, path), closing(_raw(copy, "?mode=ro")) as source:
        _require_ours(source, copy)
        if _require_known(source, copy) == 0:
            raise StoreError(f"{copy}: is empty; nothing was put in its place")
        before = _beside(path, "before-restore") if path.exists() else None
        if before is not None:
            copy_store(path, before)
        with closing(_raw(path)) as db:
            seen = db.execute("SELECT ticks FROM clock").fetchone()[0] if before else 0
            source.backup(db)
            # Whoever has the file open knows by its clock that it is another one now.
            db.execute("UPDATE clock SET ticks = max(ticks, ?) + 1", [seen])
    open_store(path)
    return before


@contextmanager
def _in_words(path: Path, to: Path) -> Iterator[None]:
    """What is wrong with a file that is read, or cannot be written, as a StoreError."""
    try:
        yield
    except sqlite3.DatabaseError as error:
        raise StoreError(f"{path}: {_plain(error)}") from error
    except OSError as error:
        if isinstance(error, StoreError):
            raise
        raise StoreError(f"{to}: cannot be used: {error.strerror}") from error


def connect(path: Path) -> Connection:
    """A connection to a file that `open_store` has made ready; the caller closes it.

    Raises sqlite3.OperationalError where it is gone: an empty one in its place would hide that.
    """
    db = _raw(path, "?mode=rw")
    db.journal = path.with_name(f"{path.name}-wal")
    db.execute("PRAGMA foreign_keys = ON")
    db.execute("PRAGMA synchronous = FULL")  # an answered change outlives a power cut
    return db


@contextmanager
def transaction(db: Connection) -> Iterator[None]:
    """All or nothing; takes the write lock at once, so that no reader turns writer half way.

    Raises AlreadyMade for a change that was made before.
    """
    db.execute("BEGIN IMMEDIATE")
    try:
        if db.change is not None:
            make(db, db.change)
        yield
    except BaseException:
        db.execute("ROLLBACK")
        raise
    db.execute("COMMIT")
    db.change = None


@contextmanager
def reading(db: sqlite3.Connection) -> Iterator[None]:
    """All that is read within is of one moment, whatever others write meanwhile."""
    if db.in_transaction:
        yield
        return
    db.execute("BEGIN")
    try:
        yield
    finally:
        db.execute("COMMIT")  # of nothing: it only ends the moment


def _raw(path: Path, how: str = "") -> Connection:
    db = sqlite3.connect(
        f"{Path(path).absolute().as_uri()}{how}", timeout=_WAIT_S, isolation_level=None,
        check_same_thread=False, uri=True, factory=Connection,
    )  # fmt: skip
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


def _scripts() -> list[Traversable]:
    folder = files("neat_hull").joinpath("store/migrations")
    return sorted((f for f in folder.iterdir() if f.name.endswith(".sql")), key=lambda f: f.name)


def _require_known(db: sqlite3.Connection, path: Path) -> int:
    """The version of a file, if it is none that is yet to come."""
    version = int(db.execute("PRAGMA user_version").fetchone()[0])
    if version > len(_scripts()):
        raise StoreError(f"{path}: was written by a newer Neat Hull; it was left untouched")
    return version


def _beside(path: Path, why: str) -> Path:
    """A free name for a copy of a file, with why and when it was made."""
    stamp = datetime.now(UTC).strftime("%Y%m%d-%H%M%S")
    names = (f"{path.stem}.{why}-{stamp}{again}{path.suffix}" for again in _again())
    return next(path.with_name(name) for name in names if not path.with_name(name).exists())


def _again() -> Iterator[str]:
    yield ""
    yield from (f"-{n}" for n in count(2))


def _copied(db: sqlite3.Connection, to: Path) -> None:
    with closing(_raw(to)) as copy:
        db.backup(copy)
        _require_ours(copy, to)


def _migrate(db: sqlite3.Connection, path: Path) -> None:
    scripts = _scripts()
    version = _require_known(db, path)
    if 0 < version < len(scripts):
        _copied(db, _beside(path, f"version-{version}"))
    if version == 0:
        db.execute("PRAGMA journal_mode = WAL")
    db.create_function("brought_up", 2, _brought_up, deterministic=True)
    for number, script in enumerate(scripts[version:], start=version + 1):
        # executescript commits whatever is open, so the whole transaction goes into the script.
        db.executescript(
            f"BEGIN IMMEDIATE;\n{script.read_text(encoding='utf-8')}\n"
            f"PRAGMA application_id = {APPLICATION_ID};\nPRAGMA user_version = {number};\nCOMMIT;"
        )


def _brought_up(kind: str, text: str) -> str:
    """What rows are brought up to is loaded where there are some: it takes most of a start."""
    from neat_hull.store.bringing_up import brought_up

    return brought_up(kind, text)


def told(error: sqlite3.Error) -> str:
    """What is wrong with a data file in use, in words."""
    text = str(error)
    if "locked" in text or "busy" in text:
        return "is being written by another program; nothing was changed, try again"
    if "full" in text:
        return "cannot be written: the disk is full; nothing was changed"
    if "disk I/O" in text:
        return "cannot be written: the disk refuses it; nothing was changed"
    if "unable to open" in text:
        return "is gone, or cannot be read; put it back, and go on"
    return _plain(error)


def _plain(error: sqlite3.Error) -> str:
    text = str(error)
    if "not a database" in text or "malformed" in text:
        return "is damaged or no data file of ours; it was left untouched"
    if "readonly" in text or "unable to open" in text:
        return "cannot be written: choose a folder you may write to with --data"
    return text
