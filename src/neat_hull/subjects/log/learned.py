"""What trips teach of items: what lies unused, what is used otherwise, goes wrong, is proved."""

from collections.abc import Iterator, Sequence
from math import hypot
from statistics import median
from typing import get_args

from neat_hull.model.log import Flag, Log, LoggedMark
from neat_hull.model.log_figures import ProvedRow, TroubleRow, UnusedRow, UseRow
from neat_hull.model.money_plan import minor
from neat_hull.model.said import Said
from neat_hull.model.thing import Thing, Use
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.log.typical import (
    COUNT,
    DIFFER,
    ENOUGH,
    LAST,
    PER_H,
    PLACE_M,
    PROVED_TRIPS,
    TURN_DEG,
    UNUSED_TRIPS,
)

_FLAGS: dict[Flag, str] = {
    "out_of_reach": "out of reach", "broke": "broke", "wet": "got wet", "lost": "lost",
}  # fmt: skip


def may_stay_ashore(thing: Thing) -> bool:
    """Whether it is ever offered ashore: not what is for need, what the basics ask for, nor part
    of the boat."""
    return thing.use != "emergency" and not thing.serves and thing.part is None


def _said(log: Log, thing_id: int) -> list[LoggedMark]:
    return [one for one in log.marks.get(thing_id, ()) if one.uses is not None]


def _unused_for(ev: Evaluated, thing_id: int, said: Sequence[LoggedMark]) -> int:
    """Trips in a row without a use, up to now; none of what never stays ashore."""
    if not may_stay_ashore(ev.thing(thing_id)):
        return 0
    return next((n for n, one in enumerate(said) if one.uses != "0"), len(said))


def long_unused(ev: Evaluated, log: Log) -> frozenset[int]:
    """Items, aboard or not, that lay unused for as long as to be offered ashore."""
    return frozenset(
        i for i in ev.setup.things if _unused_for(ev, i, _said(log, i)) >= UNUSED_TRIPS
    )


def unused(ev: Evaluated, log: Log) -> list[UnusedRow]:
    """Items aboard that were not used on the last trips of which something was said of them, the
    longest first."""
    rows = []
    for i in ev.setup.places:
        thing, said = ev.thing(i), _said(log, i)
        run = _unused_for(ev, i, said)
        if not run:
            continue
        rows.append(
            UnusedRow(
                thing_id=i,
                said=len(said),
                unused=run,
                enough=run >= UNUSED_TRIPS,
                # The rule of three: what was not seen in n trips happens up to 3/n (95 %).
                chance_share=min(1.0, 3.0 / run),
                mass_kg=thing.mass_now_kg,
                minor=minor(thing.price),
                where=ev.where_is(i),
            )
        )
    return sorted(rows, key=lambda row: (-row.unused, -row.mass_kg))


def _goes_with(per_h: tuple[float, float], use: Use) -> bool:
    low, high = PER_H[use]
    return per_h[0] < high and per_h[1] >= low


def use_of(per_h: float) -> Use:
    """The word for so many uses an hour."""
    return next(use for use, (low, _) in PER_H.items() if per_h >= low)


def uses(ev: Evaluated, log: Log) -> list[UseRow]:
    """Items of which enough was said, against what is held of their use; what differs first."""
    rows = []
    for i, thing in ev.setup.things.items():
        said = _said(log, i)
        if thing.use not in PER_H or not said:
            continue
        last = said[:LAST]
        differ, rates = 0, []
        for one in last:
            hours = log.trips[one.trip_id].hours
            low, high, middle = COUNT[one.uses or "0"]
            differ += not _goes_with((low / hours, high / hours), thing.use)
            rates.append(middle / hours)
        per_h = median(rates)
        # What is not used at all has no other use: it may stay ashore.
        tells = differ >= DIFFER and per_h > 0 and use_of(per_h) != thing.use
        rows.append(
            UseRow(
                thing_id=i,
                said=len(said),
                enough=len(said) >= ENOUGH,
                of=len(last),
                differs=differ,
                use=thing.use,
                per_h=per_h,
                suggested=use_of(per_h) if tells else None,
                verdict="watch" if tells else "fine",
            )
        )
    return sorted(rows, key=lambda row: (row.suggested is None, -row.differs, -row.said))


def troubles(ev: Evaluated, log: Log) -> list[TroubleRow]:
    """What was wrong with items, the most often first."""
    rows = [
        TroubleRow(
            thing_id=i,
            flag=flag,
            times=len(wrong),
            trips=len(log.marks[i]),
            last=log.trips[wrong[0].trip_id].on_day,
        )
        for i in ev.setup.things
        for flag in get_args(Flag)
        if (wrong := [one for one in log.marks.get(i, ()) if getattr(one, flag)])
    ]
    return sorted(rows, key=lambda row: -row.times)


def proved(ev: Evaluated, log: Log, boat_id: int | None) -> list[ProvedRow]:
    """Items that are mounted on the boat, or are to be: what speaks for their place."""
    mounts = ev.setup.fixing.mounts
    rows = []
    for i in ev.setup.places:
        thing = ev.thing(i)
        if i not in mounts and (not thing.mounted or thing.long or thing.part is not None):
            continue
        n, why_not = _speaks_for(ev, i, log.marks.get(i, ()), log, boat_id)
        rows.append(
            ProvedRow(
                thing_id=i,
                n=n,
                asked=PROVED_TRIPS,
                proved=n >= PROVED_TRIPS,
                told=mounts[i].trips if i in mounts else None,
                why_not=None if n >= PROVED_TRIPS else why_not,
            )
        )
    return sorted(rows, key=lambda row: -row.n)


def _speaks_for(
    ev: Evaluated, thing_id: int, marks: Sequence[LoggedMark], log: Log, boat_id: int | None
) -> tuple[int, Said | None]:
    """Trips in a row, and what the row ends at. A trip that says nothing of it neither counts nor
    ends it."""
    n = 0
    for one in marks:
        trip = log.trips[one.trip_id]
        wrong = next(_wrong_with(ev, thing_id, one), None)
        if trip.boat_id != boat_id:
            wrong = "on another boat on"
        if wrong is not None:
            return n, Said.of(f"{wrong} {trip.on_day}")
        n += one.uses is not None
    return n, Said.of("not enough trips")


def _wrong_with(ev: Evaluated, thing_id: int, one: LoggedMark) -> Iterator[str]:
    stand = ev.rigged.by_id[thing_id].stand
    if one.x_m is not None and one.y_m is not None and one.z_m is not None:
        turned = abs((stand.turn_deg - (one.turn_deg or 0.0) + 180) % 360 - 180)
        away = hypot(stand.x_m - one.x_m, stand.y_m - one.y_m, stand.base_z_m - one.z_m)
        if away > PLACE_M or turned > TURN_DEG:
            yield "moved since"
    yield from (f"{words} on" for flag, words in _FLAGS.items() if getattr(one, flag))
    if one.uses == "0":
        yield "not used on"
