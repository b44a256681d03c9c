"""A setup as it was: its steps undone, or redone, for as long as it takes to read it."""

from sqlite3 import Connection

from neat_hull.errors import InputError
from neat_hull.store.history import go_to, steps
from neat_hull.store.setups import StoredSetup, load_setup


def setup_at(db: Connection, setup_id: int, number: int | None) -> tuple[StoredSetup, str | None]:
    """A setup after a step of its history, and that step's words; None: as it is now.

    Nothing is kept of the way there. Raises InputError where something shared was changed from
    another setup since, and for a step that there is not.
    """
    if number is None:
        return load_setup(db, setup_id), None
    db.execute("BEGIN IMMEDIATE")
    try:
        now = load_setup(db, setup_id)  # by then nobody else goes on with it
        known = {one.number: one.label for one in steps(db, setup_id)}
        if number and number not in known:
            raise InputError("step", number, "there is no such step")
        left = go_to(db, setup_id, now.revision, number)
        if left:
            raise InputError("step", number, "; ".join(left))
        return load_setup(db, setup_id), known.get(number, "the beginning")
    finally:
        db.execute("ROLLBACK")
