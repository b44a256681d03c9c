"""The shipped demo put into a data file."""

from neat_hull.editing.log import boarded
from neat_hull.files.demo import (
    demo_care,
    demo_dates,
    demo_purchases,
    demo_setups,
    demo_trips,
)
from neat_hull.model.log import CareDone
from neat_hull.store.connect import Connection
from neat_hull.store.dates import add_date
from neat_hull.store.log import add_trip, keep_care
from neat_hull.store.purchases import add_purchase
from neat_hull.store.setups import add_setup, list_setups, load_setup
from neat_hull.whole.evaluate import evaluated


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
    by_name = {one.setup.name: one for one in kept}
    rigged = {name: evaluated(one.setup) for name, one in by_name.items()}
    for name, entry in demo_trips():
        add_trip(db, entry, boarded(by_name[name], rigged[name], entry))
    for what, done_on in demo_care():
        keep_care(db, CareDone(what, None, kept[0].boat_id, done_on=done_on))
    return kept[0].setup_id
