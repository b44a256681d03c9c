"""What is looked after: since when, how much of its time is over, and when it is due."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from datetime import date
from uuid import NAMESPACE_URL, uuid5

from neat_hull.model.log import CareDone, Log, LoggedTrip
from neat_hull.model.log_figures import CareRow
from neat_hull.model.said import Verdict
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.dates.figures import months_on
from neat_hull.subjects.log.typical import OF_A_DRIVE, OF_A_REEL, OF_THE_BOAT, Usual

_OVERDUE = 1.5  # of its time, and it is no longer only to be thought of


@dataclass(frozen=True)
class _Asked:
    what: str
    thing_id: int | None
    usual: Usual
    kept: CareDone | None


def care(ev: Evaluated, log: Log, boat_id: int | None, today: str) -> list[CareRow]:
    """Of the boat, and of items that are owned; what is due first."""
    rows = [
        _row(ev, one, log, boat_id, date.fromisoformat(today)) for one in _asked(ev, log, boat_id)
    ]
    return sorted(rows, key=lambda row: (-row.share, row.key))


def usual_of(ev: Evaluated) -> Iterator[tuple[str, int | None, Usual]]:
    """What is usually looked after on this boat and of this gear."""
    for what, usual in OF_THE_BOAT.items():
        yield what, None, usual
    for i, thing in ev.setup.things.items():
        if thing.bought:
            for what, usual in _of(thing).items():
                yield what, i, usual


def _of(thing: Thing) -> dict[str, Usual]:
    driven = thing.part == "drive" or thing.motor is not None
    return (OF_A_REEL if thing.has_reel else {}) | (OF_A_DRIVE if driven else {})


def _asked(ev: Evaluated, log: Log, boat_id: int | None) -> Iterator[_Asked]:
    kept = {
        (one.what, one.thing_id): one
        for one in log.care
        if one.boat_id in (None, boat_id)
        and (one.thing_id is None or one.thing_id in ev.setup.things)
    }
    for what, thing_id, usual in usual_of(ev):
        yield _Asked(what, thing_id, usual, kept.pop((what, thing_id), None))
    for (what, thing_id), one in kept.items():
        yield _Asked(what, thing_id, Usual(what), one)


def _row(ev: Evaluated, asked: _Asked, log: Log, boat_id: int | None, today: date) -> CareRow:
    kept, every = asked.kept, asked.usual
    key = f"{asked.what}:{'boat' if asked.thing_id is None else asked.thing_id}"
    own = kept is not None and any(
        (kept.every_trips, kept.every_salt, kept.every_hours, kept.every_months)
    )
    if kept is not None and own:
        every = replace(every, trips=kept.every_trips, salt=kept.every_salt,
                        hours=kept.every_hours, months=kept.every_months)  # fmt: skip
    done_on = None if kept is None else kept.done_on
    trips = [
        one
        for one in _trips(asked.thing_id, log, boat_id)
        if done_on is None or one.on_day > done_on
    ]
    by_month = _by_month(every, done_on, trips)
    share, due_on = _over(every, trips), _reached(every, trips)
    if by_month is not None:
        began, due = by_month
        share = max(share, (today - began).days / (due - began).days)
        due_on = due if due_on is None else min(due, due_on)
    verdict: Verdict = "fine" if share < 1 else "watch" if share < _OVERDUE else "fix"
    return CareRow(
        key=key,
        what=asked.what,
        words=every.words,
        thing_id=asked.thing_id,
        thing=None if asked.thing_id is None else ev.thing(asked.thing_id).name,
        every_trips=every.trips,
        every_salt=every.salt,
        every_hours=every.hours,
        every_months=every.months,
        usual=not own,
        trips=len(trips),
        salt=sum(one.salt for one in trips),
        hours=sum(one.hours for one in trips),
        done_on=done_on,
        due_on=None if due_on is None else due_on.isoformat(),
        share=share,
        verdict=verdict,
        uid=f"{uuid5(NAMESPACE_URL, f'neat-hull/care/{boat_id}/{key}')}@neat-hull",
        # A trip moves a date as much as a change of its line does.
        sequence=len(log.trips) + (0 if kept is None else kept.sequence),
    )


def _trips(thing_id: int | None, log: Log, boat_id: int | None) -> Sequence[LoggedTrip]:
    """Those that it was out on, from the first on."""
    if thing_id is None:
        return [one for one in log.trips.values() if one.boat_id == boat_id]
    return [log.trips[one] for one in reversed(log.item(thing_id).trips)]


def _over(every: Usual, trips: Sequence[LoggedTrip]) -> float:
    shares = [0.0]
    if every.trips:
        shares.append(len(trips) / every.trips)
    if every.salt:
        shares.append(sum(one.salt for one in trips) / every.salt)
    if every.hours:
        shares.append(sum(one.hours for one in trips) / every.hours)
    return max(shares)


def _reached(every: Usual, trips: Sequence[LoggedTrip]) -> date | None:
    """The day of the trip that made it due."""
    n, salt, hours = 0, 0, 0.0
    for one in trips:
        n, salt, hours = n + 1, salt + one.salt, hours + one.hours
        if (
            (every.trips and n >= every.trips)
            or (every.salt and salt >= every.salt)
            or (every.hours and hours >= every.hours)
        ):
            return date.fromisoformat(one.on_day)
    return None


def _by_month(
    every: Usual, done_on: str | None, trips: Sequence[LoggedTrip]
) -> tuple[date, date] | None:
    """From when its months are counted, and their end; None where nothing says from when."""
    since = done_on or (trips[0].on_day if trips else None)
    if every.months is None or since is None:
        return None
    began = date.fromisoformat(since)
    return began, months_on(began, every.months)
