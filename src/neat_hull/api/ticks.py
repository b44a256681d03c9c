"""Lists that are ticked off, on a phone in the garage or at the ramp."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.model.ticks import Tick, TickList, Ticks
from neat_hull.store.connect import transaction
from neat_hull.store.setups import load_setup
from neat_hull.store.ticks import clear_ticks, keep_tick, load_ticks

router = routes("ticks", "/setups/{setup_id}/ticks")


@router.get("")
def ticks(setup_id: SetupId, db: Db) -> Ticks:
    """What is done, by list."""
    load_setup(db, setup_id)
    return load_ticks(db, setup_id)


@router.put("")
def tick(setup_id: SetupId, body: Tick, db: Db) -> Ticks:
    """One line set or taken away."""
    with transaction(db):
        load_setup(db, setup_id)
        keep_tick(db, setup_id, body)
    return load_ticks(db, setup_id)


@router.delete("/{name}")
def clear(setup_id: SetupId, name: TickList, db: Db) -> Ticks:
    """A list as for the first time."""
    with transaction(db):
        load_setup(db, setup_id)
        clear_ticks(db, setup_id, name)
    return load_ticks(db, setup_id)
