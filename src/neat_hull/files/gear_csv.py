"""Gear as a table: one row a thing, units in the headers, bad rows named by line.

Only `name` and a mass column are needed; what is left out is typical and marked a guess. A table
without a column for any aspect is read as those of the first version were, which told aspects by
the kind of a thing and by words in its name.
"""

import csv
import io
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Any

from pydantic import ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.files.tables import Unclear, marked, number_in, rows_of, unmarked
from neat_hull.files.units import LENGTH_M, MASS_KG
from neat_hull.model import upcast
from neat_hull.model.base import input_errors
from neat_hull.model.columns import Column
from neat_hull.model.thing import Thing

_UNITS = {"mass": MASS_KG, "length": LENGTH_M}
_YES, _NO = {"yes", "y", "true", "1", "x"}, {"no", "n", "false", "0", ""}
_USUAL = {"shape": "box", "evidence": "guess", "length_m": 0.2, "width_m": 0.15, "height_m": 0.1}
# Fields that the first version had flat, by the path that they have now.
_WERE_FLAT: dict[tuple[str, ...], str] = {
    ("fixing", "by"): "fixed",
    ("fixing", "leashed"): "leashed",
    ("care", "wants_dry"): "wants_dry",
    ("rod", "butt_m"): "butt_m",
    ("rod", "reel"): "reel",
    ("container", "opens"): "opens",
    ("container", "length_m"): "inner_length_m",
    ("container", "width_m"): "inner_width_m",
    ("container", "height_m"): "inner_height_m",
    ("fill", "empty_kg"): "empty_kg",
    ("fill", "filled"): "filled",
    ("fill", "sloshes"): "sloshes",
}
MOST_ROWS = 2000


@dataclass(frozen=True)
class GearRow:
    """A line that could be read."""

    line: int
    thing: Thing


@dataclass(frozen=True)
class BadRow:
    """A line that could not, and why."""

    line: int
    why: str


@dataclass(frozen=True)
class _Read:
    """A column of a table: what it is, None for one of the user's own, and its unit in SI."""

    column: Column | None
    factor: float = 1.0


def write_gear(things: Iterable[Thing], columns: Sequence[Column]) -> str:
    """A table of things in SI; cells that a spreadsheet would run are made plain text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")  # RFC 4180; else a CR goes out unquoted
    writer.writerow([column.header for column in columns])
    for thing in things:
        row = thing.model_dump()
        writer.writerow([_cell(column, row) for column in columns])
    return out.getvalue()


def read_gear(text: str, columns: Sequence[Column]) -> tuple[list[GearRow], list[BadRow]]:
    """Rows that are things, and lines that are not. Raises InputErrors for a useless header."""
    rows = rows_of(text, MOST_ROWS)
    head = ",".join(rows[0])
    header = [_column(cell, columns) for cell in rows[0]]
    paths = {one.column.path for one in header if one.column is not None}
    if ("name",) not in paths:
        raise InputErrors([InputError("line 1", head[:80], "there is no column 'name'")])
    if ("mass_kg",) not in paths:
        why = "there is no column of weights: name it mass_kg, mass_g, mass_lb or mass_oz"
        raise InputErrors([InputError("line 1", head[:80], why)])
    new = {column.path for column in columns if column.path not in _WERE_FLAT}
    first_version = not any(len(path) > 1 or path == ("part",) for path in paths & new)
    good: list[GearRow] = []
    bad: list[BadRow] = []
    for line, row in enumerate(rows[1:], start=2):
        if not any(cell.strip() for cell in row):
            continue
        try:
            good.append(GearRow(line, _thing(header, row, first_version)))
        except InputErrors as wrong:
            bad.append(BadRow(line, "; ".join(f"{e.field}: {e.why}" for e in wrong.errors)))
    return good, bad


def _cell(column: Column, row: dict[str, Any]) -> str:
    value: Any = row
    for name in column.path:
        value = None if value is None else value[name]
    if column.cells == "has":
        return "" if value is None else "yes"
    if value is None:
        return ""
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, float):
        return repr(value)
    if isinstance(value, list):
        return "; ".join(value)
    return marked(str(value))


def _column(cell: str, columns: Sequence[Column]) -> _Read:
    """What a header cell means."""
    name = cell.strip().lower()
    base, _, unit = name.rpartition("_")
    for column in columns:
        units = _UNITS.get(column.cells)
        if units is not None and base == column.name and unit in units:
            return _Read(column, units[unit])
        if units is None and name == column.name:
            return _Read(column)
    return _Read(None)  # a column of the user's own; it is left alone


def _thing(header: list[_Read], row: list[str], first_version: bool) -> Thing:
    wrong: list[InputError] = []
    cells: list[tuple[Column, Any]] = []
    for one, raw in zip(header, row, strict=False):
        cell, column = raw.strip(), one.column
        if column is None or not cell:
            continue
        try:
            cells.append((column, _value(column, one.factor, raw if cell[0] == "'" else cell)))
        except Unclear as error:
            wrong.append(InputError(column.name, cell, str(error)))
        except ValueError:
            wrong.append(InputError(column.name, cell, f"{cell[:20]!r} cannot be read"))
    if wrong:
        raise InputErrors(wrong)
    values = _USUAL | (_flat(cells) if first_version else _nested(cells))
    try:
        return Thing.model_validate(values)
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error


def _flat(cells: list[tuple[Column, Any]]) -> dict[str, Any]:
    """As the first version read a row, brought up."""
    row = {_WERE_FLAT.get(column.path, column.path[-1]): value for column, value in cells}
    return upcast.thing({"fixed": "loose"} | _USUAL | row)


def _nested(cells: list[tuple[Column, Any]]) -> dict[str, Any]:
    """Fields and aspects; an aspect is there where one of its cells says more than nothing."""
    row: dict[str, Any] = {}
    says: set[str] = {"fixing"}
    for column, value in cells:
        name, *field = column.path
        if column.cells == "has":
            if value:
                says.add(name)
        elif not field:
            row[name] = value
        else:
            row.setdefault(name, {})[field[0]] = value
            if value != column.nothing:
                says.add(name)
    aspects = {name: row.get(name, {}) for name in says if isinstance(row.get(name, {}), dict)}
    return {name: one for name, one in row.items() if not isinstance(one, dict)} | aspects


def _value(column: Column, factor: float, cell: str) -> Any:
    if column.cells in ("flag", "has"):
        if cell.lower() in _YES:
            return True
        if cell.lower() in _NO:
            return False
        raise ValueError(cell)
    if column.cells == "list":
        return [part.strip() for part in cell.split(";") if part.strip()]
    if column.cells == "text":
        return unmarked(cell)
    if column.cells == "count":
        return int(cell)
    return number_in(cell) * factor
