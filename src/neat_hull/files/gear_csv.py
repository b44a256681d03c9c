"""The pile of gear as a table: one row a thing, units in the headers, bad rows named by line.

Only `name` and a mass column are needed; what is left out is typical and marked a guess.
"""

import csv
import io
from collections.abc import Iterable
from dataclasses import dataclass
from typing import Any

from pydantic import ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.files.units import LENGTH_M, MASS_KG
from neat_hull.model.base import input_errors
from neat_hull.model.thing import Thing

_UNITS: dict[str, dict[str, float]] = {
    "mass": MASS_KG, "empty": MASS_KG, "length": LENGTH_M, "width": LENGTH_M, "height": LENGTH_M,
    "offset_x": LENGTH_M, "offset_y": LENGTH_M, "offset_z": LENGTH_M, "butt": LENGTH_M,
    "inner_length": LENGTH_M, "inner_width": LENGTH_M, "inner_height": LENGTH_M,
}  # fmt: skip
_SI = {"mass": "mass_kg", "empty": "empty_kg"}
_TEXT = ("name", "shape", "evidence", "kind", "weighed_on", "use", "fixed", "notes",
         "reel", "opens")  # fmt: skip
_FLAGS = ("leashed", "floats", "wants_dry", "worn", "bought", "sloshes")
_NUMBERS = ("filled", "price")
_LISTS = ("serves",)  # parted by semicolons
_YES, _NO = {"yes", "y", "true", "1", "x"}, {"no", "n", "false", "0", ""}
_USUAL = {"shape": "box", "evidence": "guess", "length_m": 0.2, "width_m": 0.15, "height_m": 0.1}
MOST_ROWS = 2000

COLUMNS = (
    "name", "kind", "mass_kg", "evidence", "weighed_on", "empty_kg", "filled", "shape", "length_m",
    "width_m", "height_m", "offset_x_m", "offset_y_m", "offset_z_m", "use", "fixed", "leashed",
    "floats", "wants_dry", "worn", "sloshes", "price", "bought", "butt_m", "reel",
    "inner_length_m", "inner_width_m", "inner_height_m", "opens", "serves", "notes",
)  # fmt: skip


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


def write_gear(things: Iterable[Thing]) -> str:
    """A table of things in SI; cells that a spreadsheet would run are made plain text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(COLUMNS)
    for thing in things:
        row = thing.model_dump()
        writer.writerow([_cell(row[name]) for name in COLUMNS])
    return out.getvalue()


def read_gear(text: str) -> tuple[list[GearRow], list[BadRow]]:
    """Rows that are things, and lines that are not. Raises InputErrors for a useless header."""
    text = text.removeprefix("\ufeff")
    head = text.split("\n", 1)[0]
    rows = list(csv.reader(io.StringIO(text), delimiter=max(",;\t", key=head.count)))
    if not rows:
        raise InputErrors([InputError("line 1", "", "the file is empty")])
    if len(rows) > MOST_ROWS:
        raise InputErrors([InputError("", len(rows), f"has more than {MOST_ROWS} lines")])
    columns = [_column(cell) for cell in rows[0]]
    if not any(name == "name" for name, _ in columns):
        raise InputErrors([InputError("line 1", head[:80], "there is no column 'name'")])
    if not any(name == "mass_kg" for name, _ in columns):
        why = "there is no column of weights: name it mass_kg, mass_g, mass_lb or mass_oz"
        raise InputErrors([InputError("line 1", head[:80], why)])
    good: list[GearRow] = []
    bad: list[BadRow] = []
    for line, row in enumerate(rows[1:], start=2):
        if not any(cell.strip() for cell in row):
            continue
        try:
            good.append(GearRow(line, _thing(columns, row)))
        except InputErrors as wrong:
            bad.append(BadRow(line, "; ".join(f"{e.field}: {e.why}" for e in wrong.errors)))
    return good, bad


def _cell(value: Any) -> str:
    if value is None:
        return ""
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, float):
        return repr(value)
    if isinstance(value, list):
        return "; ".join(value)
    text = str(value)
    # As text, not as a formula: the mark is taken off again when read back.
    return f"'{text}" if text[:1] in ("=", "+", "-", "@", "\t", "\r", "'") else text


def _column(cell: str) -> tuple[str, float]:
    """Field of a header cell and what one of its unit is in SI."""
    name = cell.strip().lower()
    base, _, unit = name.rpartition("_")
    if base in _UNITS and unit in _UNITS[base]:
        return _SI.get(base, f"{base}_m"), _UNITS[base][unit]
    if name in (*_TEXT, *_FLAGS, *_NUMBERS, *_LISTS):
        return name, 1.0
    return "", 1.0  # a column of the user's own; it is left alone


def _thing(columns: list[tuple[str, float]], row: list[str]) -> Thing:
    values: dict[str, Any] = dict(_USUAL)
    wrong: list[InputError] = []
    for (name, factor), raw in zip(columns, row, strict=False):
        cell = raw.strip()
        if not name or not cell:
            continue
        try:
            values[name] = _value(name, factor, cell)
        except ValueError:
            wrong.append(InputError(name, cell, f"{cell[:20]!r} cannot be read"))
    if wrong:
        raise InputErrors(wrong)
    try:
        return Thing.model_validate(values)
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error


def _value(name: str, factor: float, cell: str) -> Any:
    if name in _FLAGS:
        if cell.lower() in _YES:
            return True
        if cell.lower() in _NO:
            return False
        raise ValueError(cell)
    if name in _LISTS:
        return [part.strip() for part in cell.split(";") if part.strip()]
    if name in _TEXT:
        return cell[1:] if cell[:1] == "'" else cell
    return float(cell.replace(",", ".")) * factor
