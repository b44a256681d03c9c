"""Whole setups: listed, read, and added."""

import json
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from sqlite3 import Connection

from neat_hull.errors import NotFoundError
from neat_hull.model.boat import Boat
from neat_hull.model.dates import Dated
from neat_hull.model.place import Place
from neat_hull.model.setup import Angler, SeatPlace, Setup
from neat_hull.model.thing import Thing
from neat_hull.store.connect import reading
from neat_hull.store.dates import list_dates
from neat_hull.store.queries import read_queries
from neat_hull.store.rows import SQL as ROWS
from neat_hull.store.rows import put_row, read_row, setup_more

SQL = read_queries(Path(__file__).with_suffix(".sql"))


@dataclass(frozen=True)
class Elsewhere:
    """A thing that another setup of the same day has aboard as well."""

    thing_id: int
    setup_id: int
    setup: str


@dataclass(frozen=True)
class StoredSetup:
    """A setup as kept, with what a reader needs to change it safely."""

    setup_id: int
    boat_id: int
    angler_id: int
    revision: int
    saved_at: str
    undo_label: str | None
    redo_label: str | None
    setup: Setup
    elsewhere: list[Elsewhere]
    dates: list[Dated]


@dataclass(frozen=True)
class SetupName:
    """A line of the list of setups."""

    setup_id: int
    name: str
    boat: str
    saved_at: str
    archived: bool


def ticks(db: Connection) -> int:
    """How many changes this file has seen."""
    (count,) = db.execute(SQL["ticks"]).fetchone()
    return int(count)


def tick(db: Connection) -> None:
    """Count a change."""
    db.execute(SQL["tick"])


def list_setups(db: Connection) -> list[SetupName]:
    """All setups, oldest first."""
    return [
        SetupName(row["id"], row["name"], row["boat"], row["saved_at"], bool(row["archived"]))
        for row in db.execute(SQL["list"])
    ]


def load_setup(db: Connection, setup_id: int) -> StoredSetup:
    """One setup with its boat, its angler and the whole pile of gear. Raises NotFoundError."""
    with reading(db):
        return _load(db, setup_id)


def _load(db: Connection, setup_id: int) -> StoredSetup:
    key = {"setup_id": setup_id}
    row = db.execute(SQL["one"], key).fetchone()
    if row is None:
        raise NotFoundError(f"there is no setup {setup_id}")
    labels = db.execute(SQL["labels"], {**key, "done": row["done"]}).fetchone()
    setup = Setup(
        name=row["name"],
        boat=Boat.model_validate_json(row["boat"]),
        angler=Angler.model_validate_json(row["angler"]),
        water=row["water"],
        seat=SeatPlace.model_validate_json(row["seat"]),
        things={
            r["id"]: Thing.model_validate(read_row("thing", r))
            for r in db.execute(ROWS["all_things"])
        },
        places={
            r["thing_id"]: Place.model_validate(read_row("place", r))
            for r in db.execute(SQL["places"], key)
        },
        day=row["day"],
        **json.loads(row["more"]),
    )
    return StoredSetup(
        setup_id=setup_id,
        boat_id=row["boat_id"],
        angler_id=row["angler_id"],
        revision=row["revision"],
        saved_at=row["saved_at"],
        undo_label=labels["undo"],
        redo_label=labels["redo"],
        setup=setup,
        elsewhere=[
            Elsewhere(r["thing_id"], r["setup_id"], r["name"])
            for r in db.execute(SQL["elsewhere"], key)
        ],
        dates=list_dates(db),
    )


def holding_elsewhere(
    db: Connection, setup_id: int, boat_id: int, kind: str, names: list[str]
) -> list[tuple[str, str, str]]:
    """Name, thing and setup of what other setups of a boat have placed on these parts of it."""
    found = db.execute(SQL["holding"], {"setup_id": setup_id, "boat_id": boat_id, "kind": kind})
    return [(r["part"], r["thing"], r["setup"]) for r in found if r["part"] in names]


@dataclass(frozen=True)
class KnownAngler:
    """Somebody who has been aboard."""

    angler_id: int
    angler: Angler


def list_anglers(db: Connection) -> list[KnownAngler]:
    """Everybody, oldest first."""
    return [
        KnownAngler(row["id"], Angler.model_validate_json(row["body"]))
        for row in db.execute(SQL["anglers"])
    ]


def add_angler(db: Connection, angler: Angler) -> int:
    """Keep one more, and return the id."""
    angler_id = db.execute(SQL["add_angler"], {"body": angler.model_dump_json()}).lastrowid
    assert angler_id is not None, "sqlite gives a row id to every insert"
    return angler_id


def new_thing_id(db: Connection) -> int:
    """A number for a new thing; nobody else gets it, however many ask at once."""
    ((thing_id,),) = db.execute(ROWS["new_thing"]).fetchall()
    return int(thing_id)


def add_setup(
    db: Connection, setup: Setup, angler_id: int | None = None, boat_id: int | None = None
) -> int:
    """Keep a new setup and return its id; it may share an angler and a boat that are kept."""
    setup_id = insert_setup(db, setup, boat_id, angler_id)
    for thing_id, thing in setup.things.items():
        put_row(db, setup_id, "thing", thing_id, thing.model_dump())
    for thing_id, place in setup.places.items():
        put_row(db, setup_id, "place", thing_id, place.model_dump())
    tick(db)
    return setup_id


def insert_setup(db: Connection, setup: Setup, boat_id: int | None, angler_id: int | None) -> int:
    """Write the row of a setup, and its boat and angler where they have no id yet."""
    if boat_id is None:
        boat_id = db.execute(SQL["add_boat"], {"body": setup.boat.model_dump_json()}).lastrowid
    if angler_id is None:
        angler_id = add_angler(db, setup.angler)
    setup_id = db.execute(
        SQL["add"],
        {
            "name": setup.name,
            "boat_id": boat_id,
            "angler_id": angler_id,
            "water": setup.water,
            "seat": setup.seat.model_dump_json(),
            "day": setup.day,
            "more": setup_more(setup),
            "now": datetime.now(UTC).isoformat(timespec="seconds"),
        },
    ).lastrowid
    assert setup_id is not None, "sqlite gives a row id to every insert"
    return setup_id
