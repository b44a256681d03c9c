"""Changing a setup: each change with its undo step, in the transaction of the caller."""

import json
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from pathlib import Path
from sqlite3 import Connection

from neat_hull.errors import ConflictError, InputError, NotFoundError
from neat_hull.store.queries import read_queries
from neat_hull.store.rows import Kind, Row, drop_row, filled, get_row, put_row
from neat_hull.store.setups import tick

SQL = read_queries(Path(__file__).with_suffix(".sql"))


@dataclass(frozen=True)
class Change:
    """One row to write, or to drop where `after` is None; `key` is its id (a place: its thing)."""

    kind: Kind
    key: int
    after: Row | None


@dataclass(frozen=True)
class Step:
    """A line of the history."""

    number: int
    label: str
    in_force: bool


@dataclass(frozen=True)
class _Done:
    kind: Kind
    key: int
    before: Row | None
    after: Row | None


def change(db: Connection, setup_id: int, seen: int, label: str, changes: list[Change]) -> None:
    """Write changes as one step, based on revision `seen`; steps undone before it are forgotten.

    What changes nothing is no step.

    Raises NotFoundError, ConflictError if the setup moved on, InputError from `drop_row`.
    """
    done = _require_current(db, setup_id, seen)
    written = []
    for one in changes:
        before = get_row(db, setup_id, one.kind, one.key)
        if before == (None if one.after is None else filled(one.kind, one.after)):
            continue
        _write(db, setup_id, one.kind, one.key, one.after)
        written.append(_Done(one.kind, one.key, before, one.after))
    if not written:
        return  # all is as it was: no step, and what was undone can still be redone
    db.execute(SQL["forget_undone"], {"setup_id": setup_id, "done": done})
    db.execute(
        SQL["add"],
        {
            "setup_id": setup_id,
            "number": done + 1,
            "label": label,
            "changes": json.dumps([asdict(one) for one in written]),
        },
    )
    _move(db, setup_id, done + 1)


def undo(db: Connection, setup_id: int, seen: int) -> None:
    """Take back the last step in force. Raises InputError if there is none, or it was overtaken."""
    done = _require_current(db, setup_id, seen)
    for one in reversed(_step(db, setup_id, done, "undo")):
        _require_row(db, setup_id, one, one.after)
        _write(db, setup_id, one.kind, one.key, one.before)
    _move(db, setup_id, done - 1)


def redo(db: Connection, setup_id: int, seen: int) -> None:
    """Put the last undone step in force again. Raises InputError like `undo`."""
    done = _require_current(db, setup_id, seen)
    for one in _step(db, setup_id, done + 1, "redo"):
        _require_row(db, setup_id, one, one.before)
        _write(db, setup_id, one.kind, one.key, one.after)
    _move(db, setup_id, done + 1)


def steps(db: Connection, setup_id: int) -> list[Step]:
    """The steps of a setup, newest first; those in force up to the one where it stands."""
    at = db.execute(SQL["at"], {"setup_id": setup_id}).fetchone()
    if at is None:
        raise NotFoundError(f"there is no setup {setup_id}")
    return [
        Step(row["number"], row["label"], row["number"] <= at["done"])
        for row in db.execute(SQL["steps"], {"setup_id": setup_id})
    ]


def go_to(db: Connection, setup_id: int, seen: int, number: int) -> None:
    """Undo or redo until the step of that number is the last in force; 0 is the beginning.

    Raises InputError like `undo`, all in the caller's transaction.
    """
    done = _require_current(db, setup_id, seen)
    way, count = (undo, done - number) if number < done else (redo, number - done)
    for moved in range(count):
        way(db, setup_id, seen + moved)


def _require_current(db: Connection, setup_id: int, seen: int) -> int:
    at = db.execute(SQL["at"], {"setup_id": setup_id}).fetchone()
    if at is None:
        raise NotFoundError(f"there is no setup {setup_id}")
    if at["revision"] != seen:
        raise ConflictError(seen, at["revision"])
    done: int = at["done"]
    return done


def _step(db: Connection, setup_id: int, number: int, verb: str) -> list[_Done]:
    step = db.execute(SQL["get"], {"setup_id": setup_id, "number": number}).fetchone()
    if step is None:
        raise InputError("", None, f"there is nothing to {verb}")
    return [_Done(**row) for row in json.loads(step["changes"])]


def _require_row(db: Connection, setup_id: int, one: _Done, expected: Row | None) -> None:
    """Boats, anglers and things are shared: another setup may have changed one since."""
    known = None if expected is None else filled(one.kind, expected)
    if get_row(db, setup_id, one.kind, one.key) != known:
        raise InputError(
            one.kind, None, "was changed from another setup since; change it there instead"
        )


def _write(db: Connection, setup_id: int, kind: Kind, key: int, row: Row | None) -> None:
    if row is None:
        drop_row(db, setup_id, kind, key)
    else:
        put_row(db, setup_id, kind, key, row)


def _move(db: Connection, setup_id: int, done: int) -> None:
    now = datetime.now(UTC).isoformat(timespec="seconds")
    db.execute(SQL["move"], {"setup_id": setup_id, "done": done, "now": now})
    tick(db)
