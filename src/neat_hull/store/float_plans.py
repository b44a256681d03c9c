"""Float plans, one for each setup, kept beside it."""

from pathlib import Path
from sqlite3 import Connection

from neat_hull.model.float_plan import FloatPlan
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))


def load_float_plan(db: Connection, setup_id: int) -> FloatPlan:
    """As kept; an empty one where none is."""
    row = db.execute(SQL["one"], {"setup_id": setup_id}).fetchone()
    return FloatPlan() if row is None else FloatPlan.model_validate_json(row["body"])


def keep_float_plan(db: Connection, setup_id: int, plan: FloatPlan) -> None:
    """In place of the one before."""
    db.execute(SQL["keep"], {"setup_id": setup_id, "body": plan.model_dump_json()})
