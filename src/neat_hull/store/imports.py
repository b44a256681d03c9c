"""Taking a whole setup in: what is known already is shared, nothing is overwritten."""

from dataclasses import dataclass
from pathlib import Path
from sqlite3 import Connection

from neat_hull.model.place import OnThing, Place
from neat_hull.model.sections import renumbered
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.store.queries import read_queries
from neat_hull.store.rows import SQL as ROWS
from neat_hull.store.rows import put_row, read_row
from neat_hull.store.setups import StoredSetup, insert_setup, load_setup, new_thing_id, tick

SQL = read_queries(Path(__file__).with_suffix(".sql"))


@dataclass(frozen=True)
class ImportPlan:
    """What an import would do: shared rows by id, None for what is new; new things by number."""

    boat_id: int | None
    angler_id: int | None
    thing_ids: dict[int, int]
    new_things: list[int]
    same_name: bool


def plan_import(db: Connection, setup: Setup) -> ImportPlan:
    """Find what of a setup is in the file already, exactly as it is."""
    boat = db.execute(SQL["same_boat"], {"body": setup.boat.model_dump_json()}).fetchone()
    angler = db.execute(SQL["same_angler"], {"body": setup.angler.model_dump_json()}).fetchone()
    known: dict[str, list[int]] = {}
    for row in db.execute(ROWS["all_things"]):
        thing = Thing.model_validate(read_row("thing", row))
        known.setdefault(_without_photo(thing), []).append(row["id"])
    ids: dict[int, int] = {}
    new = []
    for number, thing in setup.things.items():
        like = known.get(_without_photo(thing), [])
        if like:
            ids[number] = like.pop(0)
        else:
            new.append(number)
    names = [row["name"] for row in db.execute(SQL["names"])]
    return ImportPlan(
        None if boat is None else boat["id"],
        None if angler is None else angler["id"],
        ids,
        new,
        setup.name in names,
    )


def _without_photo(thing: Thing) -> str:
    return thing.model_dump_json(exclude={"photo"})


def import_setup(db: Connection, setup: Setup) -> int:
    """Keep a setup from elsewhere as a new one and return its id."""
    plan = plan_import(db, setup)
    ids = plan.thing_ids | {number: new_thing_id(db) for number in plan.new_things}
    setup = setup.model_copy(update=renumbered(setup, ids))
    setup_id = insert_setup(db, setup, plan.boat_id, plan.angler_id)
    for number in plan.new_things:
        put_row(db, setup_id, "thing", ids[number], setup.things[number].model_dump())
    for number, place in setup.places.items():
        put_row(db, setup_id, "place", ids[number], _renumbered(place, ids).model_dump())
    tick(db)
    return setup_id


def _renumbered(place: Place, ids: dict[int, int]) -> Place:
    """A place on a thing, by the number that thing has here."""
    if not isinstance(place.on, OnThing):
        return place
    on = place.on.model_copy(update={"thing": ids[place.on.thing]})
    return place.model_copy(update={"on": on})


def copy_setup(db: Connection, source: StoredSetup, name: str) -> int:
    """A new setup of the same boat, angler and places. Its history starts afresh."""
    setup = source.setup.model_copy(update={"name": name})
    setup_id = insert_setup(db, setup, source.boat_id, source.angler_id)
    for number, place in setup.places.items():
        put_row(db, setup_id, "place", number, place.model_dump())
    tick(db)
    return setup_id


def move_setup(db: Connection, source: StoredSetup, onto: StoredSetup, places: Setup) -> int:
    """A copy of a setup on another's boat, with places already carried over."""
    setup_id = insert_setup(db, places, onto.boat_id, source.angler_id)
    for number, place in places.places.items():
        put_row(db, setup_id, "place", number, place.model_dump())
    tick(db)
    return setup_id


def archive_setup(db: Connection, setup_id: int, archived: bool) -> None:
    """Put a setup out of the way, or bring it back. Raises NotFoundError."""
    load_setup(db, setup_id)
    db.execute(SQL["archive"], {"setup_id": setup_id, "archived": archived})
    tick(db)
