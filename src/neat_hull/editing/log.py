"""Trips told, read back, and taken in from files: what was aboard, and what is there already."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from functools import lru_cache

from neat_hull.errors import InputError
from neat_hull.files.setup_file import write_setup
from neat_hull.model.log import Boarded, KeptTrip, Mark, Stood, TripEntry
from neat_hull.model.log_figures import LogImportRow
from neat_hull.model.log_file import FileItem, FileStood, FileTrip
from neat_hull.model.setup import require_day
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.connect import Connection
from neat_hull.store.log import add_trip, list_trips, load_stood, load_trip, twin_of
from neat_hull.store.setups import StoredSetup, list_setups, load_setup, new_thing_id


def require_told(entry: TripEntry) -> None:
    """Refuse a day that no calendar has, or that has not come. Raises InputError."""
    require_day("on_day", entry.on_day)
    # A day on, for where it is tomorrow already.
    if date.fromisoformat(entry.on_day) > date.today() + timedelta(days=1):
        raise InputError("on_day", entry.on_day, f"{entry.on_day} has not come yet")


def boarded(stored: StoredSetup, ev: Evaluated, entry: TripEntry) -> Boarded:
    """What is aboard of a setup, and what else was told of that its owner has: it was aboard then,
    and nobody knows where. Raises InputError for what is no item."""
    setup = stored.setup
    told = {**entry.marks, **entry.packs}
    for thing_id in told:
        if thing_id not in setup.things:
            raise InputError(f"marks[{thing_id}]", thing_id, f"there is no item {thing_id}")
    ids = sorted({*setup.places, *told})
    stands = {i: ev.rigged.by_id[i].stand for i in setup.places}
    return Boarded(
        setup_id=stored.setup_id,
        boat_id=stored.boat_id,
        revision=stored.revision,
        setup=setup.name,
        body=write_setup(setup),
        names={i: setup.things[i].name for i in ids},
        stood={i: Stood(one.x_m, one.y_m, one.base_z_m, one.turn_deg) for i, one in stands.items()},
    )


def entry_of(trip: KeptTrip) -> TripEntry:
    """What was told of a trip, as it is told."""
    told = trip.model_dump(include=set(TripEntry.model_fields) - {"marks"})
    return TripEntry(**told, marks={i: mark_of(one) for i, one in trip.marks.items()})


def mark_of(mark: Mark) -> Mark:
    """What was said, without the item's name."""
    return Mark(**mark.model_dump(include=set(Mark.model_fields)))


def require_aboard(trip: KeptTrip, entry: TripEntry) -> None:
    """Refuse what is told of something that was not aboard. Raises InputError."""
    for thing_id in {**entry.marks, **entry.packs}:
        if thing_id not in trip.marks:
            raise InputError(f"marks[{thing_id}]", thing_id, "it was not aboard on that trip")


def file_trips(db: Connection) -> list[FileTrip]:
    """All trips with their items, as a file has them: from the first on."""
    return [_file_trip(db, row.trip_id) for row in reversed(list_trips(db))]


def _file_trip(db: Connection, trip_id: int) -> FileTrip:
    trip, stood = load_trip(db, trip_id), load_stood(db, trip_id)
    told = entry_of(trip).model_dump(exclude={"marks", "packs"})
    items = [
        FileItem(
            item=i,
            name=mark.name,
            stood=FileStood(**vars(stood[i])) if i in stood else None,
            pack=trip.packs.get(i),
            **mark_of(mark).model_dump(),
        )
        for i, mark in trip.marks.items()
    ]
    return FileTrip(**told, setup=trip.setup, items=items)


@dataclass(frozen=True)
class _Known:
    """What a file is held against: gear by number and by name, setups by name."""

    names: Mapping[int, str]
    setups: Mapping[str, StoredSetup]

    def thing_id(self, item: FileItem) -> int | None:
        """Whose number and name is the same, or else the one of that name."""
        if item.item is not None and self.names.get(item.item) == item.name:
            return item.item
        same = [i for i, name in self.names.items() if name == item.name]
        return same[0] if len(same) == 1 else None


def _known(db: Connection, stored: StoredSetup, trips: Sequence[FileTrip]) -> _Known:
    named = {trip.setup for trip in trips}
    return _Known(
        {i: thing.name for i, thing in stored.setup.things.items()},
        {one.name: load_setup(db, one.setup_id) for one in list_setups(db) if one.name in named},
    )


def plan_log(db: Connection, stored: StoredSetup, trips: Sequence[FileTrip]) -> list[LogImportRow]:
    """What each trip of a file would do. Raises InputError for a day that is none."""
    known, there = _known(db, stored, trips), {row.trip_id: row for row in list_trips(db)}
    rows = []
    for number, trip in enumerate(trips, start=1):
        try:
            require_told(trip)
        except InputError as error:
            field = f"trips[{number - 1}].{error.field}"
            raise InputError(field, error.value, error.why) from error
        twin = twin_of(db, trip, trip.setup)
        rows.append(
            LogImportRow(
                number=number,
                on_day=trip.on_day,
                hours=trip.hours,
                where=trip.where,
                setup=trip.setup,
                does="new" if twin is None else "twin",
                twin=None if twin is None else there[twin],
                unknown=[one.name for one in trip.items if known.thing_id(one) is None],
            )
        )
    return rows


def take_log_in(
    db: Connection, stored: StoredSetup, trips: Sequence[FileTrip], take: Sequence[int]
) -> int:
    """Keep those of these numbers, in the transaction of the caller; returns how many. An item that
    nobody has any more keeps its name, under a number of its own."""
    known = _known(db, stored, trips)
    new_id = lru_cache(lambda _name: new_thing_id(db))
    for number in sorted(set(take)):
        if not 1 <= number <= len(trips):
            raise InputError("take", number, f"there is no trip {number} in the file")
        trip = trips[number - 1]
        require_told(trip)
        _take(db, trip, known, new_id)
    return len(set(take))


def _take(db: Connection, trip: FileTrip, known: _Known, new_id: Callable[[str], int]) -> None:
    setup = known.setups.get(trip.setup)
    items = {known.thing_id(one) or new_id(one.name): one for one in trip.items}
    if len(items) < len(trip.items):
        raise InputError("items", trip.on_day, "an item stands twice in one trip")
    entry = TripEntry(
        **trip.model_dump(exclude={"marks", "packs", "items", "setup"}),
        marks={i: mark_of(one) for i, one in items.items()},
        packs={i: one.pack for i, one in items.items() if one.pack is not None},
    )
    aboard = Boarded(
        setup_id=None if setup is None else setup.setup_id,
        boat_id=None if setup is None else setup.boat_id,
        revision=None,
        setup=trip.setup,
        body=None,
        names={i: one.name for i, one in items.items()},
        stood={
            i: Stood(**one.stood.model_dump()) for i, one in items.items() if one.stood is not None
        },
    )
    add_trip(db, entry, aboard)
