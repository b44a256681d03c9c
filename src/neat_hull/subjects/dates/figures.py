"""All dates of a setup's owner, held against the day of its trip."""

from datetime import date

from neat_hull.model.dates import DateRow, Dates
from neat_hull.model.said import Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.dates.due import days_left, due_on, months_on, stops

__all__ = ["dates", "months_on"]


def dates(ev: Evaluated) -> Dates:
    """What is due first, what has no date yet last; none of a thing that was struck off. Needs the
    day it is."""
    day = ev.setup.day or ev.beside.today
    assert day is not None, "asked on some day"
    on, levels, places = date.fromisoformat(day), ev.table["days left"], ev.setup.places
    rows = []
    for one in ev.beside.dates:
        if one.thing_id is not None and one.thing_id not in ev.setup.things:
            continue
        due, left = due_on(one), days_left(one, on)
        aboard = one.thing_id is None or one.thing_id in places
        verdict: Verdict = "fine" if left is None else levels.verdict(left)
        if aboard and stops(one, ev.beside.dates, on):
            verdict = "stop"
        rows.append(
            DateRow(
                dated=one,
                thing=None if one.thing_id is None else ev.thing(one.thing_id).name,
                aboard=aboard,
                due_on=None if due is None else due.isoformat(),
                days_left=left,
                verdict=verdict,
            )
        )
    rows.sort(key=lambda row: (row.due_on is None, row.due_on or "", row.dated.dated_id))
    return Dates(on=day, rows=rows)
