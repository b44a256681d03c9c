"""Hull offsets from CSV: one measured point a row, stations from stern to bow, keel to sheer.

The header names columns x, y and z with their unit: `x_m`, `y_cm`, `z_in`. Rows of one x make one
station, in the order they stand.
"""

from pydantic import ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.files.tables import Unclear, number_in, rows_of
from neat_hull.files.units import LENGTH_M
from neat_hull.model.base import input_errors
from neat_hull.model.boat import OffsetStation

MOST_ROWS = 20_000
_MOST_ERRORS = 20


def read_offsets(text: str) -> list[OffsetStation]:
    """Parse a table of offsets. Raises InputErrors, each naming its line."""
    rows = rows_of(text, MOST_ROWS)
    columns = _columns(rows[0])
    wrong: list[InputError] = []
    stations: dict[float, list[tuple[float, float]]] = {}
    for number, row in enumerate(rows[1:], start=2):
        if not any(cell.strip() for cell in row):
            continue
        try:
            x, y, z = (_value(row, *columns[axis], f"line {number}", axis) for axis in "xyz")
        except InputError as error:
            wrong.append(error)
            continue
        stations.setdefault(x, []).append((y, z))
    if wrong:
        raise InputErrors(wrong[:_MOST_ERRORS])
    if not stations:
        raise InputErrors([InputError("line 2", "", "there are no points under the header")])
    return [_station(x, points) for x, points in sorted(stations.items())]


def _station(x_m: float, points: list[tuple[float, float]]) -> OffsetStation:
    try:
        return OffsetStation(x_m=x_m, points_m=points)
    except ValidationError as error:
        why = "; ".join(one.why for one in input_errors(error.errors()).errors[:1])
        where = f"the station at {x_m:g} m"
        raise InputErrors([InputError(where, len(points), why)]) from error


def _columns(header: list[str]) -> dict[str, tuple[int, float]]:
    """Place of each axis' column and metres per unit of it."""
    found: dict[str, tuple[int, float]] = {}
    for place, cell in enumerate(header):
        axis, _, unit = cell.strip().lower().partition("_")
        if axis in ("x", "y", "z") and unit in LENGTH_M:
            found[axis] = (place, LENGTH_M[unit])
    missing = [axis for axis in "xyz" if axis not in found]
    if missing:
        units = ", ".join(LENGTH_M)
        raise InputErrors(
            [
                InputError(
                    "line 1",
                    ",".join(header)[:80],
                    f"no column for {' and '.join(missing)}: name it with its unit, "
                    f"such as {missing[0]}_cm (units: {units})",
                )
            ]
        )
    return found


def _value(row: list[str], place: int, metres: float, line: str, axis: str) -> float:
    cell = row[place].strip() if place < len(row) else ""
    try:
        value = number_in(cell)
    except Unclear as error:
        raise InputError(line, cell, f"{axis}: {error}") from error
    except ValueError:
        raise InputError(line, cell, f"{axis} is {cell[:20]!r}, which is no number") from None
    if not abs(value) < 1e6:
        raise InputError(line, cell, f"{axis} is {cell[:20]!r}, which is no length")
    return value * metres
