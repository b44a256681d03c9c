"""Single rows that the history can put back: read, write and drop by kind and key."""

import json
from pathlib import Path
from sqlite3 import Connection, IntegrityError
from typing import Any, Literal

from neat_hull.errors import InputError
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))

Kind = Literal["setup", "boat", "angler", "thing", "place"]
Row = dict[str, Any]

_WHOLE = ("boat", "angler")  # kept as one JSON document each


def get_row(db: Connection, setup_id: int, kind: Kind, key: int) -> Row | None:
    """The row as plain data, or None where there is none."""
    found = db.execute(SQL[f"get_{kind}"], {"setup_id": setup_id, "key": key}).fetchone()
    if found is None:
        return None
    if kind in _WHOLE:
        row: Row = json.loads(found["body"])
        return row
    row = dict(found)
    if kind == "setup":
        row["seat"] = json.loads(row["seat"])
    return row


def put_row(db: Connection, setup_id: int, kind: Kind, key: int, row: Row) -> None:
    """Write a row, new or not."""
    values = dict(row)
    if kind in _WHOLE:
        values = {"body": json.dumps(row)}
    elif kind == "setup":
        values["seat"] = json.dumps(row["seat"])
    db.execute(SQL[f"put_{kind}"], {"setup_id": setup_id, "key": key, **values})


def drop_row(db: Connection, setup_id: int, kind: Kind, key: int) -> None:
    """Remove a thing or a place. Raises InputError while a thing is aboard in another setup."""
    try:
        db.execute(SQL[f"drop_{kind}"], {"setup_id": setup_id, "key": key})
    except IntegrityError as error:
        raise InputError("thing", key, "it is aboard in another setup; take it ashore there") from (
            error
        )
