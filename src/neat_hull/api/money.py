"""Money: what was paid, what the budget buys, and the boat in each phase of its build."""

from typing import Annotated

from fastapi import Path as PathParam

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.edits import ChangedFields, patched
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.model.money import MoneyPage, Purchase
from neat_hull.model.setup import require_day
from neat_hull.store.connect import transaction
from neat_hull.store.log import load_log
from neat_hull.store.purchases import (
    add_purchase,
    change_purchase,
    drop_purchase,
    list_purchases,
    load_purchase,
)
from neat_hull.store.setups import load_setup
from neat_hull.subjects.log.learned import long_unused
from neat_hull.subjects.money.ledger import Logged
from neat_hull.whole.money import money_page

PurchaseId = Annotated[int, PathParam(ge=1, le=2**62)]
router = routes("money", "/setups/{setup_id}/money")


@router.get("")
def money(setup_id: SetupId, db: Db) -> MoneyPage:
    """All of it."""
    stored = load_setup(db, setup_id)
    ev, known = EVALUATIONS.of(stored), load_log(db)
    return money_page(ev, list_purchases(db), Logged(len(known.trips), long_unused(ev, known)))


@router.post("/purchases", status_code=201)
def add_bought(setup_id: SetupId, body: Purchase, db: Db) -> MoneyPage:
    """Keep one more."""
    require_day("on_day", body.on_day)
    with transaction(db):
        add_purchase(db, body)
    return money(setup_id, db)


@router.patch("/purchases/{purchase_id}")
def change_bought(
    setup_id: SetupId, purchase_id: PurchaseId, body: ChangedFields, db: Db
) -> MoneyPage:
    """Fields of one, in the newest state."""
    with transaction(db):
        one = patched(load_purchase(db, purchase_id), body.fields, "purchase")
        require_day("on_day", one.on_day)
        change_purchase(db, purchase_id, one)
    return money(setup_id, db)


@router.delete("/purchases/{purchase_id}")
def drop_bought(setup_id: SetupId, purchase_id: PurchaseId, db: Db) -> MoneyPage:
    """Gone for good."""
    with transaction(db):
        drop_purchase(db, purchase_id)
    return money(setup_id, db)
