"""Changing a setup: each change with its undo step, in the transaction of the caller."""

import json
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from pathlib import Path
from sqlite3 import Connection, IntegrityError

from neat_hull.errors import ConflictError, InputError, NotFoundError
from neat_hull.store.queries import read_queries
from neat_hull.store.rows import Kind, Row, drop_row, filled, get_row, put_row, require_row
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


def change(
    db: Connection, setup_id: int, seen: int | None, label: str, changes: list[Change]
) -> None:
    """Write changes as one step, based on revision `seen`; steps undone before it are forgotten.

    What changes nothing is no step. None for changes that were made on the newest state.

    Raises NotFoundError, ConflictError if the setup moved on, InputError from `drop_row`.
    """
    done = _require_current(db, setup_id, seen)
    written = []
    for one in changes:
        before = get_row(db, setup_id, one.kind, one.key)
        if _known(one.kind, before) == _known(one.kind, one.after):
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
    _move(db, setup_id, done + 1, written)


def undo(db: Connection, setup_id: int, seen: int) -> list[str]:
    """Take back the last step in force, and tell what of it could not be. Raises InputError if
    there is none.

    Boats, anglers and things are shared: what another setup has changed since, or has aboard, stays
    as it is, and the rest goes back.
    """
    done = _require_current(db, setup_id, seen)
    step = _step(db, setup_id, done, "undo")
    left = [_put_back(db, setup_id, one, one.after, one.before) for one in reversed(step)]
    _move(db, setup_id, done - 1, step)
    return [words for words in left if words]


def redo(db: Connection, setup_id: int, seen: int) -> list[str]:
    """Put the last undone step in force again; as `undo`."""
    done = _require_current(db, setup_id, seen)
    step = _step(db, setup_id, done + 1, "redo")
    left = [_put_back(db, setup_id, one, one.before, one.after) for one in step]
    _move(db, setup_id, done + 1, step)
    return [words for words in left if words]


def steps(db: Connection, setup_id: int) -> list[Step]:
    """The steps of a setup, newest first; those in force up to the one where it stands."""
    at = db.execute(SQL["at"], {"setup_id": setup_id}).fetchone()
    if at is None:
        raise NotFoundError(f"there is no setup {setup_id}")
    return [
        Step(row["number"], row["label"], row["number"] <= at["done"])
        for row in db.execute(SQL["steps"], {"setup_id": setup_id})
    ]


def go_to(db: Connection, setup_id: int, seen: int, number: int) -> list[str]:
    """Undo or redo until the step of that number is the last in force; 0 is the beginning.

    Tells what could not be taken back, like `undo`.
    """
    done = _require_current(db, setup_id, seen)
    way, count = (undo, done - number) if number < done else (redo, number - done)
    left = [words for moved in range(count) for words in way(db, setup_id, seen + moved)]
    return list(dict.fromkeys(left))


def _require_current(db: Connection, setup_id: int, seen: int | None) -> int:
    at = db.execute(SQL["at"], {"setup_id": setup_id}).fetchone()
    if at is None:
        raise NotFoundError(f"there is no setup {setup_id}")
    if seen is not None and at["revision"] != seen:
        raise ConflictError(seen, at["revision"])
    done: int = at["done"]
    return done


def _step(db: Connection, setup_id: int, number: int, verb: str) -> list[_Done]:
    step = db.execute(SQL["get"], {"setup_id": setup_id, "number": number}).fetchone()
    if step is None:
        raise InputError("", None, f"there is nothing to {verb}")
    return [_Done(**row) for row in json.loads(step["changes"])]


def _known(kind: Kind, row: Row | None) -> Row | None:
    return None if row is None else filled(kind, row)


def _put_back(
    db: Connection, setup_id: int, one: _Done, was: Row | None, to: Row | None
) -> str | None:
    """Put a row from how a step left it to how it was before; words for what stays as it is."""
    now = _known(one.kind, get_row(db, setup_id, one.kind, one.key))
    was, to = (_known(one.kind, row) for row in (was, to))
    stays, row = None, to
    if now != was:
        stays = "was changed from another setup since"
        if now is None or was is None or to is None:
            return f"{_called(db, one, now or was or to)} {stays}, and stays as it is"
        mine = {key for key in to if to[key] != was.get(key) and now.get(key) == was.get(key)}
        row = now | {key: to[key] for key in mine}
        if len(mine) == sum(to[key] != was.get(key) for key in to):
            stays = None  # they changed something else of it
    try:
        if row is not None:
            require_row(one.kind, row)
        _write(db, setup_id, one.kind, one.key, row)
    except (InputError, IntegrityError) as trouble:
        stays = trouble.why if isinstance(trouble, InputError) else "is no longer there"
    return stays and f"{_called(db, one, now or was or to)}: {stays}"


def _called(db: Connection, one: _Done, row: Row | None) -> str:
    if one.kind == "place":
        row = get_row(db, 0, "thing", one.key)
    return str((row or {}).get("name", f"{one.kind} {one.key}"))


def _write(db: Connection, setup_id: int, kind: Kind, key: int, row: Row | None) -> None:
    if row is None:
        drop_row(db, setup_id, kind, key)
    else:
        put_row(db, setup_id, kind, key, row)


def _move(db: Connection, setup_id: int, done: int, written: list[_Done]) -> None:
    """Count the change: here, and in every setup that shows a row that was there before."""
    now = datetime.now(UTC).isoformat(timespec="seconds")
    db.execute(SQL["move"], {"setup_id": setup_id, "done": done, "now": now})
    shared = {one.kind for one in written if one.before is not None}
    ids = {one.kind: one.key for one in written}
    db.execute(
        SQL["shown"],
        {
            "setup_id": setup_id,
            "things": "thing" in shared,
            "boat_id": ids["boat"] if "boat" in shared else None,
            "angler_id": ids["angler"] if "angler" in shared else None,
        },
    )
    tick(db)
