"""Trips and what is looked after, kept beside the setups."""

import json
from collections.abc import Collection
from pathlib import Path
from sqlite3 import Connection, Row
from typing import Any, get_args

from neat_hull.errors import NotFoundError
from neat_hull.model.base import Model
from neat_hull.model.log import (
    Boarded,
    CareDone,
    ItemLog,
    KeptTrip,
    Log,
    LoggedPack,
    LoggedTrip,
    Mark,
    NamedMark,
    PackUse,
    Stood,
    TripEntry,
    TripRow,
    Uses,
)
from neat_hull.store.connect import reading
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))
TWIN_H = 1 / 6  # what two accounts of one trip differ by at most

_USES: dict[str, Uses | None] = {"": None, **{one: one for one in get_args(Uses)}}
_MORE = ("wind", "water_temp_c", "note")
_MARK = tuple(Mark.model_fields)


def load_log(db: Connection, mounted: Collection[int] = ()) -> Log:
    """All that is learned from; of what is mounted, where it stood on each trip as well."""
    with reading(db):
        return _load(db, mounted)


def _load(db: Connection, mounted: Collection[int]) -> Log:
    trips = {
        row["trip_id"]: LoggedTrip._make((*tuple(row)[:3], bool(row["salt"]), row["boat_id"]))
        for row in db.execute(SQL["trips"])
    }
    age = {trip_id: n for n, trip_id in enumerate(reversed(trips))}
    items = {
        row["thing_id"]: _item(
            row, age, _stood(db, row["thing_id"]) if row["thing_id"] in mounted else {}
        )
        for row in db.execute(SQL["items"])
    }
    packs: dict[int, list[LoggedPack]] = {}
    for row in db.execute(SQL["packs"]):
        packs.setdefault(row["thing_id"], []).append(LoggedPack._make(row))
    for rows in packs.values():
        rows.sort(key=lambda one: age[one.trip_id])
    return Log(trips, items, packs, list_care(db))


def _item(row: Row, age: dict[int, int], stood: dict[int, Stood]) -> ItemLog:
    trips = list(map(int, row["trips"].split(",")))
    uses: list[Uses | None] = [_USES[one] for one in row["uses"].split(",")]
    wrong = list(map(int, row["wrong"].split(",")))
    order = sorted(range(len(trips)), key=[age[one] for one in trips].__getitem__)
    return ItemLog(
        [trips[i] for i in order], [uses[i] for i in order], [wrong[i] for i in order], stood
    )


def _stood(db: Connection, thing_id: int) -> dict[int, Stood]:
    return {
        row["trip_id"]: Stood(*tuple(row)[1:])
        for row in db.execute(SQL["stood"], {"thing_id": thing_id})
    }


def list_care(db: Connection) -> list[CareDone]:
    """What was looked after, or is otherwise than usual."""
    return [CareDone(**dict(row)) for row in db.execute(SQL["care"])]


def care_of(db: Connection, what: str, thing_id: int | None, boat_id: int | None) -> CareDone:
    """What is kept of one; as is usual where nothing is."""
    none = CareDone(what, thing_id, boat_id)
    key = (what, thing_id, boat_id)
    same = (one for one in list_care(db) if (one.what, one.thing_id, one.boat_id) == key)
    return next(same, none)


def keep_care(db: Connection, one: CareDone) -> None:
    """As it now is."""
    db.execute(SQL["put_care"], vars(one))


def list_trips(db: Connection) -> list[TripRow]:
    """The newest first."""
    troubled: dict[int, list[str]] = {}
    for row in db.execute(SQL["troubles"]):
        troubled.setdefault(row["trip_id"], []).append(row["name"])
    rows = []
    for row in map(dict, db.execute(SQL["rows"])):
        where, note = row.pop("place"), row.pop("note") or ""
        trouble = troubled.get(row["trip_id"], [])
        rows.append(TripRow(**row, where=where, note=note, trouble=trouble))
    return rows


def load_trip(db: Connection, trip_id: int) -> KeptTrip:
    """One with all its items. Raises NotFoundError."""
    key = {"trip_id": trip_id}
    row = db.execute(SQL["one"], key).fetchone()
    if row is None:
        raise NotFoundError(f"there is no trip {trip_id}")
    plain = dict(row)
    more, place = json.loads(plain.pop("more")), plain.pop("place")
    return KeptTrip(
        **plain,
        **{name: more.get(name) for name in ("wind", "water_temp_c")},
        note=more.get("note", ""),
        where=place,
        marks={
            one["thing_id"]: NamedMark(name=one["name"], **_mark(dict(one)))
            for one in db.execute(SQL["of_one"], key)
        },
        packs={
            one["thing_id"]: PackUse(
                start_share=one["start_share"],
                left_share=one["left_share"],
                went_dark=bool(one["went_dark"]),
            )
            for one in db.execute(SQL["packs_of_one"], key)
        },
    )


def load_stood(db: Connection, trip_id: int) -> dict[int, Stood]:
    """Where the items of a trip were, of those that are known."""
    return {
        row["thing_id"]: Stood(*tuple(row)[1:])
        for row in db.execute(SQL["stood_of_one"], {"trip_id": trip_id})
    }


def _mark(row: dict[str, Any]) -> dict[str, Any]:
    flags = ("out_of_reach", "broke", "wet", "lost")
    return {name: bool(row[name]) if name in flags else row[name] for name in _MARK}


def twin_of(db: Connection, entry: TripEntry, setup: str, but: int = 0) -> int | None:
    """The trip that this looks to be told of again: same day, setup and water, and in time no more
    than ten minutes apart. None where there is none."""
    key = {"on_day": entry.on_day, "water": entry.water, "setup": setup, "but": but}
    for row in db.execute(SQL["same_day"], key):
        apart = [abs(row["hours"] - entry.hours)]
        if row["out_at"] is not None and entry.out_at is not None:
            apart.append(abs(_hours(row["out_at"]) - _hours(entry.out_at)))
        if max(apart) <= TWIN_H + 1e-9:
            return int(row["trip_id"])
    return None


def _hours(clock: str) -> float:
    hours, minutes = clock.split(":")
    return int(hours) + int(minutes) / 60


def add_trip(db: Connection, entry: TripEntry, aboard: Boarded) -> int:
    """Keep one more, with all that was aboard, and return its id."""
    trip_id = db.execute(
        SQL["add"],
        _head(entry)
        | {
            "setup_id": aboard.setup_id,
            "boat_id": aboard.boat_id,
            "revision": aboard.revision,
            "setup": aboard.setup,
            "setup_body": aboard.body,
        },
    ).lastrowid
    assert trip_id is not None, "sqlite gives a row id to every insert"
    nowhere = dict.fromkeys(("x_m", "y_m", "z_m", "turn_deg"))
    for thing_id, name in aboard.names.items():
        stood = aboard.stood.get(thing_id)
        where = nowhere if stood is None else vars(stood)
        mark = entry.marks.get(thing_id, Mark()).model_dump()
        db.execute(
            SQL["put_thing"],
            {"trip_id": trip_id, "thing_id": thing_id, "name": name, **mark, **where},
        )
    _put_packs(db, trip_id, entry)
    return trip_id


def change_trip(db: Connection, trip_id: int, entry: TripEntry) -> None:
    """What is told of it now; what was aboard stays. Raises NotFoundError."""
    if not db.execute(SQL["change"], _head(entry) | {"trip_id": trip_id}).rowcount:
        raise NotFoundError(f"there is no trip {trip_id}")
    for row in db.execute(SQL["of_one"], {"trip_id": trip_id}).fetchall():
        key = {"trip_id": trip_id, "thing_id": row["thing_id"]}
        db.execute(SQL["mark"], key | entry.marks.get(row["thing_id"], Mark()).model_dump())
    db.execute(SQL["drop_packs"], {"trip_id": trip_id})
    _put_packs(db, trip_id, entry)


def drop_trip(db: Connection, trip_id: int) -> None:
    """Gone for good. Raises NotFoundError."""
    if not db.execute(SQL["drop"], {"trip_id": trip_id}).rowcount:
        raise NotFoundError(f"there is no trip {trip_id}")


def _head(entry: TripEntry) -> dict[str, Any]:
    told = entry.model_dump()
    head = {name: told[name] for name in ("on_day", "out_at", "hours", "water")}
    more = {name: told[name] for name in _MORE}
    return {**head, "place": entry.where, "more": json.dumps(more)}


def _put_packs(db: Connection, trip_id: int, entry: TripEntry) -> None:
    for thing_id, pack in entry.packs.items():
        row: Model = pack
        key = {"trip_id": trip_id, "thing_id": thing_id}
        db.execute(SQL["put_pack"], key | row.model_dump())
