"""What runs out, held against the trip of a setup; and as a calendar file."""

from datetime import UTC, date, datetime
from typing import Annotated

from fastapi import Path as PathParam
from fastapi import Response

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId, SetupState, state_of
from neat_hull.editing.edits import ChangedFields, patched
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.model.dates import DatedItem, Dates, DatesPage
from neat_hull.model.log_figures import CareRow
from neat_hull.model.setup import require_day
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.dates import add_date, change_date, drop_date, load_date
from neat_hull.store.log import load_log
from neat_hull.store.setups import load_setup, tick
from neat_hull.subjects.dates.figures import dates
from neat_hull.subjects.log.care import care

DatedId = Annotated[int, PathParam(ge=1, le=2**62)]
router = routes("dates", "/setups/{setup_id}/dates")


@router.get("")
def list_dated(setup_id: SetupId, db: Db) -> DatesPage:
    """All of them, what is due first, and what is to be looked after."""
    found, looked_after = _all(db, setup_id)
    due = [row for row in looked_after if row.verdict != "fine"]
    return DatesPage(on=found.on, rows=found.rows, care=due)


@router.post("", status_code=201)
def add_dated(setup_id: SetupId, body: DatedItem, db: Db) -> SetupState:
    """Keep one more; the setup comes back judged by it."""
    _require_days(body)
    with transaction(db):
        add_date(db, body)
        return _judged(db, setup_id)


@router.patch("/{dated_id}")
def change_dated(setup_id: SetupId, dated_id: DatedId, body: ChangedFields, db: Db) -> SetupState:
    """Fields of one, in the newest state."""
    with transaction(db):
        item = patched(load_date(db, dated_id), body.fields, "date")
        _require_days(item)
        change_date(db, dated_id, item)
        return _judged(db, setup_id)


@router.delete("/{dated_id}")
def drop_dated(setup_id: SetupId, dated_id: DatedId, db: Db) -> SetupState:
    """Gone for good."""
    with transaction(db):
        drop_date(db, dated_id)
        return _judged(db, setup_id)


@router.get("/calendar.ics")
def dates_calendar(setup_id: SetupId, db: Db) -> Response:
    """All that are due on some day, and what is to be looked after, for any calendar."""
    from neat_hull.files.calendar import write_calendar  # its package takes 60 ms to load

    found, looked_after = _all(db, setup_id)
    return Response(
        write_calendar(found.rows, looked_after, datetime.now(UTC)),
        media_type="text/calendar; charset=utf-8",
        headers={"content-disposition": 'attachment; filename="dates.ics"'},
    )


def _all(db: Connection, setup_id: int) -> tuple[Dates, list[CareRow]]:
    stored = load_setup(db, setup_id)
    ev = EVALUATIONS.of(stored)
    today = date.today().isoformat()
    return dates(ev), care(ev, load_log(db), stored.boat_id, today)


def _judged(db: Connection, setup_id: int) -> SetupState:
    tick(db)
    return state_of(load_setup(db, setup_id))


def _require_days(item: DatedItem) -> None:
    for name in ("due", "last_done"):
        require_day(name, getattr(item, name))
