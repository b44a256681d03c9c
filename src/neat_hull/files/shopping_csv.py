"""What to buy for the wiring, as a table."""

import csv
import io
from collections.abc import Sequence

from neat_hull.model.power_day import BuyRow


def write_shopping(rows: Sequence[BuyRow]) -> str:
    """A row each: what, size, count or length in m, note."""
    out = io.StringIO()
    table = csv.writer(out, lineterminator="\r\n")
    table.writerow(("what", "size", "count", "length_m", "note"))
    for one in rows:
        length = "" if one.length_m is None else f"{one.length_m:g}"
        table.writerow(
            (one.what, one.size, "" if one.count is None else one.count, length, one.note)
        )
    return out.getvalue()
