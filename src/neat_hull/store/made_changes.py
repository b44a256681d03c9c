"""Changes that were made, by the key that their sender gave them: none is made twice."""

from collections.abc import Callable
from pathlib import Path
from sqlite3 import Connection, IntegrityError

from neat_hull.errors import AlreadyMade
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))
_KEEP = 10_000  # more than anybody makes while an answer is on its way


def is_made(db: Connection, key: str) -> bool:
    """Whether a change of that key was made."""
    return db.execute(SQL["is_made"], {"key": key}).fetchone() is not None


def make(db: Connection, key: str) -> None:
    """Note it in the transaction that makes it. Raises AlreadyMade."""
    try:
        db.execute(SQL["make"], {"key": key})
    except IntegrityError as error:
        raise AlreadyMade(key) from error
    db.execute(SQL["forget_old"], {"keep": _KEEP})


def made_once(db: Connection, key: str | None, make: Callable[[], int]) -> int:
    """The id of the setup that `make` makes, in the transaction that does so; for a key that it was
    made for before, of that one. Without a key each is new."""
    if key is None:
        return make()
    row = db.execute(SQL["made_setup"], {"key": key}).fetchone()
    if row is not None:
        return int(row["setup_id"])
    setup_id = make()
    db.execute(SQL["make_setup"], {"key": key, "setup_id": setup_id})
    db.execute(SQL["forget_old_setups"], {"keep": _KEEP})
    return setup_id
