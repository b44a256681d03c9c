"""Dates as a calendar file, RFC 5545: all-day events that call a month ahead."""

from collections.abc import Iterable
from datetime import date, datetime, timedelta

from icalendar import Alarm, Calendar, Event

from neat_hull.model.dates import DateRow
from neat_hull.model.log_figures import CareRow

_AHEAD = timedelta(days=-30)


def write_calendar(rows: Iterable[DateRow], care: Iterable[CareRow], now: datetime) -> bytes:
    """Dates with the names of their things, and what is to be looked after; what is due on no day
    is left out. The same data gives the same bytes but for `now`, the time stamp, UTC."""
    made = Calendar()
    made.add("prodid", "-//Neat Hull//dates//EN")
    made.add("version", "2.0")
    for row in rows:
        one = row.dated
        if row.due_on is not None:
            title = one.kind if row.thing is None else f"{row.thing}: {one.kind}"
            made.add_component(_event(one.uid, one.sequence, row.due_on, title, one.note, now))
    for what in care:
        if what.due_on is not None:
            title = what.words if what.thing is None else f"{what.thing}: {what.words}"
            made.add_component(_event(what.uid, what.sequence, what.due_on, title, "", now))
    text: bytes = made.to_ical()
    return text


def _event(uid: str, sequence: int, due_on: str, title: str, note: str, now: datetime) -> Event:
    event, due = Event(), date.fromisoformat(due_on)
    event.add("uid", uid)
    event.add("dtstamp", now)
    event.add("dtstart", due)
    event.add("dtend", due + timedelta(days=1))
    event.add("sequence", sequence)
    event.add("summary", title)
    if note:
        event.add("description", note)
    alarm = Alarm()
    alarm.add("action", "DISPLAY")
    alarm.add("description", title)
    alarm.add("trigger", _AHEAD)
    event.add_component(alarm)
    return event
