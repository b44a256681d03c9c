"""Purchases, kept beside the setups."""

from pathlib import Path
from sqlite3 import Connection

from neat_hull.errors import NotFoundError
from neat_hull.model.money import KeptPurchase, Purchase
from neat_hull.store.queries import read_queries
from neat_hull.store.rows import require_thing

SQL = read_queries(Path(__file__).with_suffix(".sql"))


def list_purchases(db: Connection) -> list[KeptPurchase]:
    """All, oldest first."""
    return [KeptPurchase.model_validate(dict(row)) for row in db.execute(SQL["all"])]


def add_purchase(db: Connection, one: Purchase) -> int:
    """Keep one more, and return its id. Raises InputError for a thing that is not there."""
    require_thing(db, one.thing_id)
    purchase_id = db.execute(SQL["add"], one.model_dump()).lastrowid
    assert purchase_id is not None, "sqlite gives a row id to every insert"
    return purchase_id


def load_purchase(db: Connection, purchase_id: int) -> Purchase:
    """One as it is kept. Raises NotFoundError."""
    row = db.execute(SQL["one"], {"id": purchase_id}).fetchone()
    if row is None:
        raise NotFoundError(f"there is no purchase {purchase_id}")
    return Purchase.model_validate(dict(row))


def change_purchase(db: Connection, purchase_id: int, one: Purchase) -> None:
    """As it now is."""
    require_thing(db, one.thing_id)
    db.execute(SQL["change"], one.model_dump() | {"id": purchase_id})


def drop_purchase(db: Connection, purchase_id: int) -> None:
    """Gone for good. Raises NotFoundError."""
    if not db.execute(SQL["drop"], {"id": purchase_id}).rowcount:
        raise NotFoundError(f"there is no purchase {purchase_id}")
