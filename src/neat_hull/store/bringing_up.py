"""Rows of the first version brought up, for the migration that does it once."""

import json
from typing import Any

from neat_hull.model import upcast
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat
from neat_hull.model.place import Place
from neat_hull.model.sections import Sections
from neat_hull.model.thing import Thing

_WHOLE: dict[str, type[Model]] = {"thing": Thing, "place": Place, "boat": Boat}


def brought_up(kind: str, text: str) -> str:
    """A row as JSON in today's shape; a step of the history is a list of rows before and after."""
    row = json.loads(text)
    if kind == "step":
        return json.dumps([_change(one) for one in row])
    return json.dumps(_row(kind, row))


def _change(change: dict[str, Any]) -> dict[str, Any]:
    return change | {
        side: _row(change["kind"], change[side])
        for side in ("before", "after")
        if change[side] is not None
    }


def _row(kind: str, row: dict[str, Any]) -> dict[str, Any]:
    if kind not in upcast.ROWS:
        return row
    row = upcast.ROWS[kind](row)
    if kind == "setup":
        # What was null asked for usual numbers.
        given = {name: row[name] for name in Sections.model_fields if row.get(name) is not None}
        return row | Sections.model_validate_json(json.dumps(given)).model_dump(mode="json")
    if kind == "place" and "x_m" not in row:
        # Of a row in the table only the document; its numbers have columns.
        whole = Place(x_m=0.0, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0)
        usual = whole.model_dump(mode="json")
        more = {name: usual[name] for name in usual if not Place.model_fields[name].is_required()}
        return more | row
    return _WHOLE[kind].model_validate_json(json.dumps(row)).model_dump(mode="json")
