"""The shipped demo put into a data file."""

from neat_hull.files.demo import demo_dates, demo_purchases, demo_setups
from neat_hull.store.connect import Connection
from neat_hull.store.dates import add_date
from neat_hull.store.purchases import add_purchase
from neat_hull.store.setups import add_setup, list_setups, load_setup


def add_demo(db: Connection) -> int:
    """Add the demo's setups, sharing boat, angler and gear; where its first is there already,
    nothing is added. Returns the id of that first."""
    first, *others = demo_setups()
    for one in list_setups(db):
        if (one.name, one.boat) == (first.name, first.boat.name):
            return one.setup_id
    kept = [load_setup(db, add_setup(db, first))]
    for setup in others:
        boat = next((s.boat_id for s in kept if s.setup.boat == setup.boat), None)
        kept.append(load_setup(db, add_setup(db, setup, kept[0].angler_id, boat)))
    for bought in demo_purchases():
        add_purchase(db, bought)
    for item in demo_dates():
        add_date(db, item)
    return kept[0].setup_id
