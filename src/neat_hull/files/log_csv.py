"""The log as a table: a row for each item of each trip; where items stood is in the JSON only."""

import csv
import io
from collections.abc import Sequence
from typing import Any

from pydantic import ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.files.tables import marked, number_in, rows_of, unmarked
from neat_hull.model.base import input_errors
from neat_hull.model.log import Flag, PackUse
from neat_hull.model.log_file import FileItem, FileTrip

MOST_ROWS = 50_000
_OF_TRIP = ("on_day", "out_at", "hours", "where", "water", "wind", "water_temp_c", "setup", "note")
_FLAGS: tuple[Flag, ...] = ("out_of_reach", "broke", "wet", "lost")
_PACK = ("start_share", "left_share", "went_dark")
COLUMNS = ("trip", *_OF_TRIP, "item", "name", "uses", *_FLAGS, "item_note", *_PACK)
_NUMBERS = frozenset({"hours", "water_temp_c", "start_share", "left_share"})
_YES, _NO = ("yes", "y", "true", "1", "x"), ("no", "n", "false", "0", "")


def write_log_table(trips: Sequence[FileTrip]) -> str:
    """A trip without items has one row."""
    out = io.StringIO()
    table = csv.DictWriter(out, COLUMNS, lineterminator="\r\n")
    table.writeheader()
    for number, trip in enumerate(trips, start=1):
        head = {"trip": number} | {name: _cell(getattr(trip, name)) for name in _OF_TRIP}
        for item in trip.items:
            table.writerow(head | _of_item(item))
        if not trip.items:
            table.writerow(head)
    return out.getvalue()


def _of_item(item: FileItem) -> dict[str, Any]:
    row = {name: _cell(getattr(item, name)) for name in ("item", "name", "uses", *_FLAGS)}
    pack = {} if item.pack is None else {name: _cell(getattr(item.pack, name)) for name in _PACK}
    return row | {"item_note": marked(item.note)} | pack


def _cell(value: object) -> object:
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, float):
        return f"{value:.6g}"
    if isinstance(value, str):
        return marked(value)
    return "" if value is None else value


def read_log_table(text: str) -> list[FileTrip]:
    """Rows of one number in `trip` are one trip. Raises InputErrors naming lines that cannot be."""
    head, *rows = rows_of(text, MOST_ROWS)
    names = [one.strip().lower() for one in head]
    missing = [name for name in ("trip", "on_day", "hours") if name not in names]
    if missing:
        raise InputErrors([InputError("line 1", None, f"has no column {missing[0]!r}")])
    strange = [name for name in names if name and name not in COLUMNS]
    if strange:
        raise InputErrors(
            [InputError("line 1", strange[0], f"{strange[0]!r} is no column of a log")]
        )
    trips: dict[str, dict[str, Any]] = {}
    first: dict[str, int] = {}
    wrong: list[InputError] = []
    for line, cells in enumerate(rows, start=2):
        row = {
            name: cell if cell.lstrip()[:1] == "'" else cell.strip()
            for name, cell in zip(names, cells, strict=False)
        }
        if not any(row.values()):
            continue
        try:
            number = row.get("trip", "")
            if not number:
                raise InputError("trip", None, "is missing")
            first.setdefault(number, line)
            told = {name: _value(name, row[name]) for name in _OF_TRIP if row.get(name)}
            trip = trips.setdefault(number, told | {"items": []})
            if any(trip.get(name) != told.get(name) for name in _OF_TRIP):
                raise InputError("trip", number, "two rows of this trip do not say the same of it")
            if row.get("name"):
                trip["items"].append(_item(row))
        except InputError as error:
            wrong.append(InputError(f"line {line}", None, f"{error.field}: {error.why}"))
        except ValidationError as error:
            told_of = input_errors(error.errors(include_url=False)).errors[0]
            wrong.append(InputError(f"line {line}", None, f"{told_of.field}: {told_of.why}"))
    found = []
    for number, trip in trips.items():
        try:
            found.append(FileTrip.model_validate(trip))
        except ValidationError as error:
            told_of = input_errors(error.errors(include_url=False)).errors[0]
            why = f"{told_of.field}: {told_of.why}"
            wrong.append(InputError(f"line {first[number]}", None, why))
    if wrong:
        raise InputErrors(wrong)
    return found


def _item(row: dict[str, str]) -> FileItem:
    of: dict[str, Any] = {
        name: _value(name, row[name]) for name in ("name", "uses", *_FLAGS) if row.get(name)
    }
    if row.get("item"):
        if not row["item"].isdecimal():
            raise InputError("item", row["item"], "must be a whole number")
        of["item"] = int(row["item"])
    if row.get("item_note"):
        of["note"] = unmarked(row["item_note"])
    pack = {name: _value(name, row[name]) for name in _PACK if row.get(name)}
    if pack:
        of["pack"] = PackUse.model_validate(pack)
    return FileItem.model_validate(of)


def _value(name: str, cell: str) -> object:
    if name in _NUMBERS:
        try:
            return number_in(cell)
        except ValueError as error:
            raise InputError(name, cell, f"{cell!r} is no number") from error
    if name in _FLAGS or name == "went_dark":
        if cell.lower() not in (*_YES, *_NO):
            raise InputError(name, cell, "must be yes or no")
        return cell.lower() in _YES
    return unmarked(cell)
