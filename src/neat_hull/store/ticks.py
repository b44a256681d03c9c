"""Ticks on the lists of setups."""

from pathlib import Path
from sqlite3 import Connection
from typing import get_args

from neat_hull.model.ticks import Tick, TickList, Ticks
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))


def load_ticks(db: Connection, setup_id: int) -> Ticks:
    """Those of a setup."""
    done: dict[TickList, list[str]] = {name: [] for name in get_args(TickList)}
    for row in db.execute(SQL["all"], {"setup_id": setup_id}):
        if row["list"] in done:
            done[row["list"]].append(row["line"])
    return Ticks(done=done)


def keep_tick(db: Connection, setup_id: int, tick: Tick) -> None:
    """Set, or taken away; twice is as once."""
    db.execute(
        SQL["set" if tick.done else "unset"],
        {"setup_id": setup_id, "list": tick.list, "line": tick.line},
    )


def clear_ticks(db: Connection, setup_id: int, name: TickList) -> None:
    """A list as for the first time."""
    db.execute(SQL["clear"], {"setup_id": setup_id, "list": name})
