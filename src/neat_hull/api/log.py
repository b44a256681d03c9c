"""The log: trips told on a phone, what they teach, care, and the log in and out as files."""

from dataclasses import replace
from datetime import date
from typing import Annotated, Literal

from fastapi import Path as PathParam
from fastapi import Response
from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.edits import ChangedFields, patched
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.log import (
    boarded,
    entry_of,
    file_trips,
    plan_log,
    require_aboard,
    require_told,
    take_log_in,
)
from neat_hull.files.log_csv import read_log_table, write_log_table
from neat_hull.files.log_json import read_log, write_log
from neat_hull.files.trip_text import read_trip_text
from neat_hull.model.base import Model
from neat_hull.model.log import KeptTrip, TripEntry
from neat_hull.model.log_figures import Learned, LogImportRow, LogPage, TripAnswer
from neat_hull.model.log_file import FileTrip
from neat_hull.model.setup import Day, require_day
from neat_hull.model.ticks import Tick
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.log import (
    add_trip,
    care_of,
    change_trip,
    drop_trip,
    keep_care,
    list_trips,
    load_log,
    load_trip,
    twin_of,
)
from neat_hull.store.rows import require_thing
from neat_hull.store.setups import StoredSetup, load_setup
from neat_hull.store.ticks import keep_tick
from neat_hull.subjects.log.full import learned
from neat_hull.subjects.log.learned import mounted

TripId = Annotated[int, PathParam(ge=1, le=2**62)]
router = routes("log", "/setups/{setup_id}/log")


class NewTrip(Model):
    """A trip to keep; sure: even if it looks like one that is there."""

    entry: TripEntry
    sure: bool = False


class TripResult(Model):
    """Text that the page to take along gave back."""

    text: str = Field(min_length=1, max_length=60_000)
    sure: bool = False


class CareChange(Model):
    """What was changed of how often something is looked after, all null for as is usual, and of
    when it was last; what is left out stays as it is by now. thing_id null: of the boat.
    """

    what: str = Field(min_length=1, max_length=80)
    thing_id: int | None = Field(default=None, ge=1, le=2**62)
    every_trips: int | None = Field(default=None, ge=1, le=1000)
    every_salt: int | None = Field(default=None, ge=1, le=1000)
    every_hours: float | None = Field(default=None, gt=0, le=10000)
    every_months: int | None = Field(default=None, ge=1, le=240)
    done_on: Day | None = None


class LogText(Model):
    """The text of a log file, and which of its trips to keep, by their numbers."""

    text: str
    format: Literal["json", "csv"]
    take: list[int] = Field(default=[], max_length=5000)


@router.get("")
def log(setup_id: SetupId, db: Db) -> LogPage:
    """Trips, the newest first, and what they teach of this setup's gear."""
    stored = load_setup(db, setup_id)
    return _page(db, stored, EVALUATIONS.of(stored))


@router.get("/learned")
def log_learned(setup_id: SetupId, db: Db) -> Learned:
    """What the trips teach of this setup's gear, without the trips."""
    stored = load_setup(db, setup_id)
    return _learned(db, stored, EVALUATIONS.of(stored))


@router.post("/trips")
def add_logged(setup_id: SetupId, body: NewTrip, db: Db) -> TripAnswer:
    """Keep a trip of this setup as it is now; one that looks to be there is asked about first."""
    require_told(body.entry)
    with transaction(db):
        return _kept(db, setup_id, body.entry, body.sure)


@router.post("/read")
def read_result(setup_id: SetupId, body: TripResult, db: Db) -> TripAnswer:
    """A trip, and ticks, out of text that the page to take along gave back."""
    read = read_trip_text(body.text)
    require_told(read.entry)
    with transaction(db):
        answer = _kept(db, read.setup_id or setup_id, read.entry, body.sure, setup_id)
        if answer.kept is not None:
            for name, lines in read.done.items():
                for line in lines:
                    tick = Tick(list=name, line=line, done=True)
                    keep_tick(db, read.setup_id or setup_id, tick)
        return answer


@router.get("/trips/{trip_id}")
def logged(setup_id: SetupId, trip_id: TripId, db: Db) -> KeptTrip:
    """A trip with all that was aboard."""
    load_setup(db, setup_id)
    return load_trip(db, trip_id)


@router.patch("/trips/{trip_id}")
def change_logged(setup_id: SetupId, trip_id: TripId, body: ChangedFields, db: Db) -> LogPage:
    """Fields of what is told of it, marks and packs by item, in the newest state."""
    with transaction(db):
        trip = load_trip(db, trip_id)
        entry = patched(entry_of(trip), body.fields, "trip")
        require_told(entry)
        require_aboard(trip, entry)
        change_trip(db, trip_id, entry)
    return log(setup_id, db)


@router.delete("/trips/{trip_id}")
def drop_logged(setup_id: SetupId, trip_id: TripId, db: Db) -> LogPage:
    """Gone for good."""
    with transaction(db):
        drop_trip(db, trip_id)
    return log(setup_id, db)


@router.patch("/care")
def care(setup_id: SetupId, body: CareChange, db: Db) -> LogPage:
    """When something was looked after, and how often it is to be."""
    require_day("done_on", body.done_on)
    with transaction(db):
        require_thing(db, body.thing_id)
        boat_id = load_setup(db, setup_id).boat_id if body.thing_id is None else None
        now = care_of(db, body.what, body.thing_id, boat_id)
        keep_care(db, replace(now, **body.model_dump(exclude_unset=True)))
    return log(setup_id, db)


@router.get("/log.json")
def log_json(setup_id: SetupId, db: Db) -> Response:
    """All trips with their items as JSON."""
    load_setup(db, setup_id)
    return _file(write_log(file_trips(db)), "application/json", "log.json")


@router.get("/log.csv")
def log_csv(setup_id: SetupId, db: Db) -> Response:
    """A row for each item of each trip."""
    load_setup(db, setup_id)
    return _file(write_log_table(file_trips(db)), "text/csv; charset=utf-8", "log.csv")


@router.post("/import/preview")
def preview_log(setup_id: SetupId, body: LogText, db: Db) -> list[LogImportRow]:
    """What each trip of a file would do; nothing is changed."""
    return plan_log(db, load_setup(db, setup_id), _read(body))


@router.post("/import")
def import_log(setup_id: SetupId, body: LogText, db: Db) -> LogPage:
    """Keep the trips that were asked for, all or none."""
    trips = _read(body)
    with transaction(db):
        take_log_in(db, load_setup(db, setup_id), trips, body.take)
    return log(setup_id, db)


def _read(body: LogText) -> list[FileTrip]:
    return read_log(body.text) if body.format == "json" else read_log_table(body.text)


def _file(text: str, kind: str, name: str) -> Response:
    attached = {"content-disposition": f'attachment; filename="{name}"'}
    return Response(text, media_type=kind, headers=attached)


def _kept(
    db: Connection, setup_id: int, entry: TripEntry, sure: bool, shown: int | None = None
) -> TripAnswer:
    """In the transaction of the caller. shown: the setup that the page is asked for."""
    stored = load_setup(db, setup_id)
    ev = EVALUATIONS.of(stored)
    aboard = boarded(stored, ev, entry)
    twin = None if sure else twin_of(db, entry, stored.setup.name)
    kept = add_trip(db, entry, aboard) if twin is None else None
    page = _page(db, stored, ev) if shown in (None, setup_id) else log(shown, db)
    alike = next((row for row in page.trips if row.trip_id == twin), None)
    return TripAnswer(kept=kept, twin=alike, page=page)


def _page(db: Connection, stored: StoredSetup, ev: Evaluated) -> LogPage:
    return LogPage(trips=list_trips(db), learned=_learned(db, stored, ev))


def _learned(db: Connection, stored: StoredSetup, ev: Evaluated) -> Learned:
    known = load_log(db, mounted(ev))
    return learned(ev, known, stored.boat_id, date.today().isoformat())
