"""Single rows that the history can put back: read, write and drop by kind and key."""

import json
from pathlib import Path
from sqlite3 import Connection, IntegrityError
from typing import Any, Literal

from neat_hull.errors import InputError
from neat_hull.model.thing import Thing
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))

Kind = Literal["setup", "boat", "angler", "thing", "place"]
Row = dict[str, Any]

_WHOLE = ("boat", "angler")  # kept as one JSON document each


# Columns of their own for what is weighed and drawn; the rest of a thing is one document.
_THING_COLUMNS = ("name", "shape", "mass_kg", "evidence", "length_m", "width_m", "height_m",
                  "sloshes")  # fmt: skip
_THING_MORE: Row = {
    name: field.default
    for name, field in Thing.model_fields.items()
    if name not in _THING_COLUMNS and not field.is_required()
}
# What a row written before something was added is read as; see the migrations.
_ADDED: dict[Kind, Row] = {
    "setup": {"demands": None},
    "thing": {"sloshes": False, **_THING_MORE},
}
_JSON: dict[Kind, tuple[str, ...]] = {"setup": ("seat", "demands"), "thing": (), "place": ()}


def filled(kind: Kind, row: Row) -> Row:
    """A row as kept in the history, with columns that were added since."""
    return _ADDED.get(kind, {}) | row


def get_row(db: Connection, setup_id: int, kind: Kind, key: int) -> Row | None:
    """The row as plain data, or None where there is none."""
    found = db.execute(SQL[f"get_{kind}"], {"setup_id": setup_id, "key": key}).fetchone()
    if found is None:
        return None
    if kind in _WHOLE:
        row: Row = json.loads(found["body"])
        return row
    row = dict(found)
    for name in _JSON[kind]:
        row[name] = None if row[name] is None else json.loads(row[name])
    return read_thing(row) if kind == "thing" else row


def read_thing(row: Row) -> Row:
    """A thing's row of the table as plain data, its document unfolded."""
    plain = {name: row[name] for name in _THING_COLUMNS}
    more: Row = json.loads(row["more"])
    return plain | {"sloshes": bool(row["sloshes"])} | _THING_MORE | more


def put_row(db: Connection, setup_id: int, kind: Kind, key: int, row: Row) -> None:
    """Write a row, new or not."""
    if kind in _WHOLE:
        values: Row = {"body": json.dumps(row)}
    else:
        values = filled(kind, row)
        for name in _JSON[kind]:
            values[name] = None if values[name] is None else json.dumps(values[name])
        if kind == "thing":
            values["more"] = json.dumps({name: values.pop(name) for name in _THING_MORE})
    db.execute(SQL[f"put_{kind}"], {"setup_id": setup_id, "key": key, **values})


def drop_row(db: Connection, setup_id: int, kind: Kind, key: int) -> None:
    """Remove a thing or a place. Raises InputError while a thing is aboard in another setup."""
    try:
        db.execute(SQL[f"drop_{kind}"], {"setup_id": setup_id, "key": key})
    except IntegrityError as error:
        raise InputError("thing", key, "it is aboard in another setup; take it ashore there") from (
            error
        )
