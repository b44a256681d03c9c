"""Dates of things, kept beside the setups."""

from pathlib import Path
from sqlite3 import Connection
from uuid import uuid4

from neat_hull.errors import NotFoundError
from neat_hull.model.dates import Dated, DatedItem
from neat_hull.store.queries import read_queries
from neat_hull.store.rows import require_thing

SQL = read_queries(Path(__file__).with_suffix(".sql"))


def list_dates(db: Connection) -> list[Dated]:
    """All, oldest first."""
    return [Dated.model_validate(dict(row)) for row in db.execute(SQL["all"])]


def add_date(db: Connection, item: DatedItem) -> int:
    """Keep one more, and return its id. Raises InputError for a thing that is not there."""
    require_thing(db, item.thing_id)
    row = item.model_dump() | {"uid": f"{uuid4()}@neat-hull"}
    dated_id = db.execute(SQL["add"], row).lastrowid
    assert dated_id is not None, "sqlite gives a row id to every insert"
    return dated_id


def load_date(db: Connection, dated_id: int) -> DatedItem:
    """One as it is kept. Raises NotFoundError."""
    row = db.execute(SQL["one"], {"id": dated_id}).fetchone()
    if row is None:
        raise NotFoundError(f"there is no date {dated_id}")
    return DatedItem.model_validate(dict(row))


def change_date(db: Connection, dated_id: int, item: DatedItem) -> None:
    """Its new state, which a calendar takes by the sequence."""
    require_thing(db, item.thing_id)
    db.execute(SQL["change"], item.model_dump() | {"id": dated_id})


def drop_date(db: Connection, dated_id: int) -> None:
    """Gone for good. Raises NotFoundError."""
    if not db.execute(SQL["drop"], {"id": dated_id}).rowcount:
        raise NotFoundError(f"there is no date {dated_id}")
