"""What trips teach of items: what lies unused, what is used otherwise, goes wrong, is proved."""

from math import hypot
from statistics import median

from neat_hull.model.log import FLAG_BITS, Flag, ItemLog, Log, Stood, Uses
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


def _said(item: ItemLog) -> list[tuple[int, Uses]]:
    """Trips on which its use was said, and what."""
    return [(trip, one) for trip, one in zip(item.trips, item.uses, strict=True) if one is not None]


def _unused_for(ev: Evaluated, thing_id: int, item: ItemLog) -> int:
    """Trips in a row without a use, up to now; none of what never stays ashore."""
    if not may_stay_ashore(ev.thing(thing_id)):
        return 0
    n = 0
    for one in item.uses:
        if one not in ("0", None):
            break
        n += one == "0"
    return n


def long_unused(ev: Evaluated, log: Log) -> frozenset[int]:
    """Items, aboard or not, that lay unused for as long as to be offered ashore."""
    return frozenset(i for i in ev.setup.things if _unused_for(ev, i, log.item(i)) >= UNUSED_TRIPS)


def unused(ev: Evaluated, log: Log) -> list[UnusedRow]:
    """Items aboard that were not used on the last trips of which something was said of them, the
    longest first."""
    rows = []
    for i in ev.setup.places:
        thing, item = ev.thing(i), log.item(i)
        run = _unused_for(ev, i, item)
        if not run:
            continue
        rows.append(
            UnusedRow(
                thing_id=i,
                said=len(item.uses) - item.uses.count(None),
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
        said = _said(log.item(i))
        if thing.use not in PER_H or not said:
            continue
        last = said[:LAST]
        differ, rates = 0, []
        for trip, often in last:
            hours = log.trips[trip].hours
            low, high, middle = COUNT[often]
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
    rows = []
    for i in ev.setup.things:
        item = log.item(i)
        if not any(item.wrong):
            continue
        for flag, bit in FLAG_BITS.items():
            at = [trip for trip, wrong in zip(item.trips, item.wrong, strict=True) if wrong & bit]
            if at:
                last = log.trips[at[0]].on_day
                rows.append(
                    TroubleRow(
                        thing_id=i, flag=flag, times=len(at), trips=len(item.trips), last=last
                    )
                )
    return sorted(rows, key=lambda row: -row.times)


def mounted(ev: Evaluated) -> list[int]:
    """Items aboard that are mounted on the boat, or are to be."""
    mounts = ev.setup.fixing.mounts
    return [
        i
        for i in ev.setup.places
        if i in mounts or ((thing := ev.thing(i)).mounted and not thing.long and thing.part is None)
    ]


def proved(ev: Evaluated, log: Log, boat_id: int | None) -> list[ProvedRow]:
    """What speaks for the place of what is mounted. The log has to know where it stood."""
    mounts = ev.setup.fixing.mounts
    rows = []
    for i in mounted(ev):
        n, why_not = _speaks_for(ev, i, log, boat_id)
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
    ev: Evaluated, thing_id: int, log: Log, boat_id: int | None
) -> tuple[int, Said | None]:
    """Trips in a row, and what the row ends at. A trip that says nothing of it neither counts nor
    ends it."""
    item, n = log.item(thing_id), 0
    for trip_id, often, flags in zip(item.trips, item.uses, item.wrong, strict=True):
        trip = log.trips[trip_id]
        ends = None
        if trip.boat_id != boat_id:
            ends = "on another boat on"
        elif _has_moved(ev, thing_id, item.stood.get(trip_id)):
            ends = "moved since"
        elif flags:
            ends = next(f"{_FLAGS[flag]} on" for flag, bit in FLAG_BITS.items() if flags & bit)
        elif often == "0":
            ends = "not used on"
        if ends is not None:
            return n, Said.of(f"{ends} {trip.on_day}")
        n += often is not None
    return n, Said.of("not enough trips")


def _has_moved(ev: Evaluated, thing_id: int, then: Stood | None) -> bool:
    if then is None:
        return False
    now = ev.rigged.by_id[thing_id].stand
    turned = abs((now.turn_deg - then.turn_deg + 180) % 360 - 180)
    away = hypot(now.x_m - then.x_m, now.y_m - then.y_m, now.base_z_m - then.z_m)
    return away > PLACE_M or turned > TURN_DEG
