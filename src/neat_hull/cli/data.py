"""What the commands do with a data file: setups in and out, and copies of the whole."""

import re
from contextlib import closing
from pathlib import Path

from neat_hull.editing.imports import plan_table
from neat_hull.editing.steps import require_named, write_step
from neat_hull.errors import InputError, NeatHullError, StoreError
from neat_hull.files.offsets import read_offsets
from neat_hull.files.setup_file import MOST_BYTES, read_setup_file, write_setup
from neat_hull.model.said import items
from neat_hull.model.thing import Thing
from neat_hull.store.connect import (
    Connection,
    connect,
    copy_store,
    open_store,
    restore_store,
    transaction,
)
from neat_hull.store.history import Change
from neat_hull.store.imports import import_setup
from neat_hull.store.rows import SQL as ROWS
from neat_hull.store.rows import put_row, read_row
from neat_hull.store.setups import load_setup, new_thing_id, tick
from neat_hull.subjects.calibration.figures import refit
from neat_hull.whole.evaluate import require_afloat
from neat_hull.whole.registry import require_known_limits


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


def import_files(
    data: Path, files: list[Path], onto: int | None, take_good: bool
) -> list[tuple[Path, str | NeatHullError]]:
    """Take files in, all or none: on the first bad one nothing is kept, and only it is told.

    JSON is a setup; a table with a column of weights is gear, one of x, y and z the lines of the
    boat of setup `onto`. Says of each file what was done.
    """
    done: list[tuple[Path, str | NeatHullError]] = []
    file = data
    try:
        open_store(data)
        with closing(connect(data)) as db, transaction(db):
            for file in files:
                if file.suffix.lower() != ".csv":
                    setup = read_setup_file(file)
                    require_known_limits(setup.judging)
                    require_named(setup)
                    require_afloat(setup)
                    done.append((file, f"setup {import_setup(db, setup)}"))
                elif _is_offsets(text := _text(file)):
                    done.append((file, _import_offsets(db, text, onto)))
                else:
                    done.append((file, _import_gear(db, text, take_good)))
    except NeatHullError as error:
        return [(file, error)]
    return done


def _text(file: Path) -> str:
    try:
        if file.stat().st_size > MOST_BYTES:
            raise InputError("", str(file), f"is larger than {MOST_BYTES // 2**20} MB")
        return file.read_text(encoding="utf-8-sig")
    except OSError as error:
        raise InputError("", str(file), f"cannot be read: {error.strerror}") from error
    except UnicodeDecodeError as error:
        raise InputError("", str(file), "is not text in UTF-8") from error


def _is_offsets(text: str) -> bool:
    head = re.split(r"[,;\t]", text.split("\n", 1)[0].strip().lower())
    return {cell.strip().partition("_")[0] for cell in head} >= {"x", "y", "z"}


def _import_gear(db: Connection, text: str, take_good: bool) -> str:
    """Add what is new to the pile; nothing that is there is changed."""
    known = {
        row["id"]: Thing.model_validate(read_row("thing", row))
        for row in db.execute(ROWS["all_things"])
    }
    rows, changes = plan_table(known, text)
    for row in rows:
        if row.does in ("bad", "changes") and not take_good:
            why = row.why if row.does == "bad" else f"{row.name} is there with another {row.why}"
            raise InputError(f"line {row.line}", row.name, f"{why} (--take-good leaves it out)")
    new = [thing for thing_id, thing in changes if thing_id is None]
    for thing in new:
        put_row(db, 0, "thing", new_thing_id(db), thing.model_dump())
    tick(db)
    same = sum(row.does == "same" for row in rows)
    left_out = len(rows) - len(new) - same
    return f"{items(len(new))} new, {same} there already, {left_out} left out"


def _import_offsets(db: Connection, text: str, onto: int | None) -> str:
    """Give a boat new lines, as a step that can be undone."""
    if onto is None:
        raise InputError("", None, "these are lines of a hull; name a setup of that boat: --onto")
    stored = load_setup(db, onto)
    boat = stored.setup.boat.model_copy(update={"offsets": read_offsets(text)})
    step = [Change("boat", stored.boat_id, refit(boat).model_dump())]
    write_step(db, onto, stored.revision, "Import the lines", step, "offsets")
    return f"lines of {boat.name}"


def back_up(data: Path, to: Path) -> None:
    """Copy a data file as it is, consistent while others write. Raises StoreError."""
    _require_there(data)
    copy_store(data, to)


def restore(data: Path, copy: Path) -> Path | None:
    """Put a copy in the place of a data file; returns where that went. Raises StoreError."""
    _require_there(copy)
    return restore_store(copy, data)


def _require_there(data: Path) -> None:
    if not data.exists():
        raise StoreError(f"{data}: there is no such data file; name it with --data")


def _require_data(data: Path) -> None:
    _require_there(data)
    open_store(data)
