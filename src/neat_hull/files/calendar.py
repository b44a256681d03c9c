"""Dates as a calendar file, RFC 5545: all-day events that call a month ahead."""

from collections.abc import Iterable
from datetime import date, datetime, timedelta

from icalendar import Alarm, Calendar, Event

from neat_hull.model.dates import DateRow

_AHEAD = timedelta(days=-30)


def write_calendar(rows: Iterable[DateRow], now: datetime) -> bytes:
    """Dates with the names of their things; those that are due on no day are left out. The same
    data gives the same bytes but for `now`, the time stamp, UTC."""
    made = Calendar()
    made.add("prodid", "-//Neat Hull//dates//EN")
    made.add("version", "2.0")
    for row in rows:
        if row.due_on is None:
            continue
        one, due = row.dated, date.fromisoformat(row.due_on)
        event = Event()
        title = one.kind if row.thing is None else f"{row.thing}: {one.kind}"
        event.add("uid", one.uid)
        event.add("dtstamp", now)
        event.add("dtstart", due)
        event.add("dtend", due + timedelta(days=1))
        event.add("sequence", one.sequence)
        event.add("summary", title)
        if one.note:
            event.add("description", one.note)
        alarm = Alarm()
        alarm.add("action", "DISPLAY")
        alarm.add("description", title)
        alarm.add("trigger", _AHEAD)
        event.add_component(alarm)
        made.add_component(event)
    text: bytes = made.to_ical()
    return text
