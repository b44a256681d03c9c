"""Tables of text: rows of cells, and numbers in them, whatever program wrote them."""

import csv
import io
import re

from neat_hull.errors import InputError, InputErrors

_MOST_CELL = 20_000  # characters; the longest note has a tenth of that


def rows_of(text: str, most: int) -> list[list[str]]:
    """Cells by row: comma, semicolon or tab between them, lines ended any way, a mark before the
    first left out. Raises InputErrors, naming the line, for what is no table.
    """
    text = text.removeprefix("\ufeff")
    head = re.split(r"[\r\n]", text, maxsplit=1)[0]
    # newline="": line ends of any kind end a row, and those in quotes stay as they are.
    reader = csv.reader(
        io.StringIO(text, newline=""), delimiter=max(",;\t", key=head.count), strict=True
    )
    rows: list[list[str]] = []
    try:
        for row in reader:
            if any(len(cell) > _MOST_CELL for cell in row):
                raise _wrong(reader.line_num, f"has a cell of more than {_MOST_CELL} characters")
            rows.append(row)
            if len(rows) > most:
                raise InputErrors([InputError("", len(rows), f"has more than {most} lines")])
    except csv.Error as error:
        why = "a quote is opened there and never closed"
        if "field larger" in str(error):
            why = f"has a cell of more than {_MOST_CELL} characters"
        elif "expected after" in str(error):
            why = "something stands after a closing quote"
        raise _wrong(reader.line_num, why) from error
    if not rows:
        raise _wrong(1, "the file is empty")
    return rows


def _wrong(line: int, why: str) -> InputErrors:
    return InputErrors([InputError(f"line {line}", None, why)])


_MARKED = ("=", "+", "-", "@", "\t", "\n", "'")  # what a spreadsheet would run, and our own mark


def marked(text: str) -> str:
    """Text for a cell: as text, not as a formula, and with its spaces; see `unmarked`."""
    return f"'{text}" if text != text.strip() or text[:1] in _MARKED else text


def unmarked(cell: str) -> str:
    """The text of a cell, without the mark that `marked` may have set."""
    return cell.lstrip()[1:] if cell.lstrip()[:1] == "'" else cell


class Unclear(ValueError):
    """A cell that cannot be taken for one thing, and why."""


def number_in(cell: str) -> float:
    """A number with a point or a comma. Raises ValueError, and Unclear for what may mean two."""
    if re.fullmatch(r"[+-]?\d{1,3},\d{3}", cell):
        either = cell.replace(",", "."), cell.replace(",", "")
        raise Unclear(f"is {either[0]} or {either[1]} meant? Use a point")
    return float(cell.replace(",", "."))
