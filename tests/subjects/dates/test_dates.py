"""What runs out: by the calendar, against the trip's day, and as a calendar file read back."""

from datetime import UTC, date, datetime, timedelta
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from icalendar import Calendar
from tests.judged import CLEAN, PFD, WHISTLE, without

from neat_hull.files.calendar import write_calendar
from neat_hull.model.dates import Dated, DateKind, Dates
from neat_hull.model.findings import Finding
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import Beside
from neat_hull.subjects.dates.due import due_on, months_on
from neat_hull.subjects.dates.figures import dates
from neat_hull.whole.evaluate import evaluate, evaluated

TODAY = "2026-06-10"
NOW = datetime(2026, 6, 10, 8, 0, tzinfo=UTC)


def dated(kind: DateKind = "flare", n: int = 1, **more: Any) -> Dated:
    """A date of the vest."""
    usual: dict[str, Any] = {"thing_id": PFD, "sequence": 0, "uid": f"{n}@neat-hull"}
    return Dated(dated_id=n, kind=kind, **(usual | more))


def found(*rows: Dated, setup: Setup = CLEAN, today: str = TODAY) -> list[Finding]:
    """What is told of them."""
    return evaluate(setup, Beside(dates=rows, today=today)).findings


def listed(*rows: Dated) -> Dates:
    """The list."""
    return dates(evaluated(CLEAN, Beside(dates=rows, today=TODAY)))


def test_months_end_where_the_month_does() -> None:
    assert months_on(date(2026, 1, 31), 1) == date(2026, 2, 28)
    assert months_on(date(2024, 2, 29), 12) == date(2025, 2, 28)
    assert months_on(date(2023, 12, 31), 2) == date(2024, 2, 29)
    assert months_on(date(2025, 12, 15), 1) == date(2026, 1, 15)


@given(st.dates(date(1990, 1, 1), date(2080, 1, 1)), st.integers(1, 240))
def test_so_many_months_on_is_that_month(day: date, months: int) -> None:
    later = months_on(day, months)
    assert (later.year - day.year) * 12 + later.month - day.month == months
    assert later.day == day.day or (later + timedelta(days=1)).day == 1


def test_what_is_printed_or_the_next_service_whichever_comes_first() -> None:
    assert due_on(dated(due="2027-01-01")) == date(2027, 1, 1)
    assert due_on(dated("inflator", last_done="2026-01-15")) == date(2027, 1, 15)
    assert due_on(dated("inflator", last_done="2026-01-15", every_months=6)) == date(2026, 7, 15)
    assert due_on(dated("inflator", due="2026-03-01", last_done="2026-01-15")) == date(2026, 3, 1)
    assert due_on(dated()) is None


@pytest.mark.parametrize(
    ("due", "verdict"),
    [("2026-06-09", "stop"), ("2026-06-10", "watch"), ("2026-07-09", "watch"), ("2026-07-10", "")],
)
def test_a_lone_flare_stops_the_trip_once_it_is_past(due: str, verdict: str) -> None:
    told = found(dated(due=due))
    assert [one.verdict for one in told] == ([verdict] if verdict else [])
    assert listed(dated(due=due)).rows[0].verdict == (verdict or "fine")


def test_with_a_good_one_beside_it_it_is_to_fix_and_so_is_what_is_no_flare() -> None:
    (one,) = found(dated(due="2026-06-09"), dated(n=2, thing_id=WHISTLE, due="2028-01-01"))
    assert one.verdict == "fix"
    assert [one.verdict for one in found(dated("first aid", due="2026-06-09"))] == ["fix"]


def test_a_good_one_without_a_date_counts_as_good() -> None:
    (one,) = found(dated(due="2026-06-09"), dated(n=2, thing_id=WHISTLE))
    assert one.verdict == "fix"


def test_the_trips_own_day_goes_before_today() -> None:
    later = CLEAN.model_copy(update={"day": "2026-09-01"})
    assert not found(dated(due="2026-08-15"))
    assert [one.verdict for one in found(dated(due="2026-08-15"), setup=later)] == ["stop"]


def test_what_stays_ashore_is_listed_and_not_found() -> None:
    assert not [one for one in found(dated(due="2026-01-01"), setup=without(CLEAN, PFD))
                if one.code == "out-of-date"]  # fmt: skip
    rows = dates(
        evaluated(without(CLEAN, PFD), Beside(dates=[dated(due="2026-01-01")], today=TODAY))
    ).rows
    assert [(row.aboard, row.days_left) for row in rows] == [(False, -160)]


def test_the_list_has_what_is_due_first_and_the_unknown_last() -> None:
    rows = listed(dated(n=1), dated(n=2, due="2027-01-01"), dated(n=3, due="2026-12-01")).rows
    assert [row.dated.dated_id for row in rows] == [3, 2, 1]


@given(st.text(st.characters(exclude_categories=["C"]), max_size=200))
def test_a_calendar_reads_back_what_was_written(note: str) -> None:
    row = dated("first aid", due="2028-02-29", note=note, sequence=4)
    file = write_calendar(listed(row, dated(n=2)).rows, [], NOW)
    assert all(len(line) <= 75 for line in file.split(b"\r\n"))
    assert b"\n" not in file.replace(b"\r\n", b"")
    (event,) = Calendar.from_ical(file).walk("VEVENT")
    assert event["UID"] == row.uid
    assert event["SEQUENCE"] == 4
    assert event.decoded("DTSTART") == date(2028, 2, 29)
    assert event.decoded("DTEND") == date(2028, 3, 1)
    assert event.decoded("DTSTAMP") == NOW
    assert str(event["SUMMARY"]) == "PFD: first aid"
    assert str(event.get("DESCRIPTION", "")) == note
    (alarm,) = event.walk("VALARM")
    assert alarm.decoded("TRIGGER") == timedelta(days=-30)


def test_the_same_dates_give_the_same_bytes() -> None:
    rows = listed(dated(due="2027-12-31"), dated("webbing", n=2, last_done="2026-01-01")).rows
    assert write_calendar(rows, [], NOW) == write_calendar(rows, [], NOW)
