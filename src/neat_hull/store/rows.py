"""Single rows that the history can put back: read, write and drop by kind and key."""

import json
import sqlite3
from pathlib import Path
from sqlite3 import Connection, IntegrityError
from typing import Any, Literal, cast

from pydantic import ValidationError

from neat_hull.errors import InputError
from neat_hull.model.base import Model, input_errors
from neat_hull.model.place import Place
from neat_hull.model.sections import Sections
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))

Kind = Literal["setup", "boat", "angler", "crew", "thing", "place"]
Row = dict[str, Any]

_WHOLE = ("boat", "angler")  # kept as one JSON document each

# Columns of their own for what is weighed and drawn; the rest of a row is one document.
_COLUMNS: dict[Kind, tuple[str, ...]] = {
    "setup": ("name", "water", "seat", "day"),
    "thing": ("name", "shape", "mass_kg", "evidence", "length_m", "width_m", "height_m"),
    "place": ("x_m", "y_m", "z_m", "turn_deg", "tilt_deg"),
}
_MODELS: dict[Kind, type[Model]] = {"setup": Setup, "thing": Thing, "place": Place}
# What a row written before something was added is read as.
_USUAL: dict[Kind, Row] = {
    kind: {
        name: default.model_dump() if isinstance(default := field.default, Model) else default
        for name, field in model.model_fields.items()
        if name not in _COLUMNS[kind] and not field.is_required()
    }
    for kind, model in _MODELS.items()
}
_JSON = ("seat",)  # columns of a setup that are documents


def filled(kind: Kind, row: Row) -> Row:
    """A row as kept, with fields that were added since, at any depth: so that two can be compared.

    One that means nothing stays as it is; whoever writes it is told.
    """
    row = _USUAL.get(kind, {}) | row
    try:
        if kind == "thing" or kind == "place":
            return _MODELS[kind].model_validate(row).model_dump(mode="json")
        if kind == "setup":
            return row | {name: _section(name, row[name]) for name in Sections.model_fields}
    except ValidationError:
        pass
    return row


def _section(name: str, row: Row) -> Any:
    model = cast(type[Model], Sections.model_fields[name].annotation)
    # By way of JSON: keys are text there.
    return model.model_validate_json(json.dumps(row)).model_dump(mode="json")


def get_row(db: Connection, setup_id: int, kind: Kind, key: int) -> Row | None:
    """The row as plain data, or None where there is none."""
    row = db.execute(SQL[f"get_{kind}"], {"setup_id": setup_id, "key": key}).fetchone()
    if row is None:
        return None
    if kind in _WHOLE:
        body: Row = json.loads(row["body"])
        return body
    return dict(row) if kind == "crew" else read_row(kind, row)


def read_row(kind: Kind, row: sqlite3.Row) -> Row:
    """A setup's, thing's or place's row of the table as plain data, its documents unfolded."""
    more: Row = json.loads(row["more"])
    plain = {name: row[name] for name in _COLUMNS[kind]} | _USUAL[kind] | more
    if kind == "setup":
        plain |= {name: json.loads(row[name]) for name in _JSON}
    return plain


def put_row(db: Connection, setup_id: int, kind: Kind, key: int, row: Row) -> None:
    """Write a row, new or not."""
    if kind in _WHOLE:
        values: Row = {"body": json.dumps(row)}
    elif kind == "crew":
        values = dict(row)
    else:
        row = filled(kind, row)
        values = {name: row[name] for name in _COLUMNS[kind]}
        if kind == "setup":
            values |= {name: json.dumps(row[name]) for name in _JSON}
        more = {name: one for name, one in row.items() if name not in _COLUMNS[kind]}
        values["more"] = json.dumps(more)
    db.execute(SQL[f"put_{kind}"], {"setup_id": setup_id, "key": key, **values})


def require_row(kind: Kind, row: Row) -> None:
    """Refuse a thing or place that is none. Raises InputError."""
    if kind in ("thing", "place"):
        try:
            _MODELS[kind].model_validate(row)
        except ValidationError as error:
            raise input_errors(error.errors()) from error


def drop_row(db: Connection, setup_id: int, kind: Kind, key: int) -> None:
    """Remove a thing or a place. Raises InputError while a thing is aboard in another setup."""
    try:
        db.execute(SQL[f"drop_{kind}"], {"setup_id": setup_id, "key": key})
    except IntegrityError as error:
        raise InputError("thing", key, "it is aboard in another setup; take it ashore there") from (
            error
        )


def setup_more(setup: Setup) -> str:
    """What a setup's row keeps as one document, the sections of subjects among it."""
    return setup.model_dump_json(include=set(_USUAL["setup"]))


def require_thing(db: Connection, thing_id: int | None) -> None:
    """Refuse a thing that is not there. Raises InputError."""
    if thing_id is not None and not db.execute(SQL["get_thing"], {"key": thing_id}).fetchone():
        raise InputError("thing_id", thing_id, f"there is no item {thing_id}")
