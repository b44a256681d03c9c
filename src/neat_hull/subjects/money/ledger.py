"""What was paid, is planned, is gone: by thing and by part of the boat, in minor units."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import inf

from neat_hull.model.money import KeptPurchase, LedgerRow, PlaceRow
from neat_hull.model.money_plan import minor
from neat_hull.rig.evaluated import Evaluated

_GONE = ("replaced", "lost", "broke")


@dataclass(frozen=True)
class Logged:
    """What the log says: how many trips there were, and items that lay unused long enough."""

    trips: int = 0
    unused: frozenset[int] = frozenset()


NOTHING_LOGGED = Logged()


def trips_so_far(ev: Evaluated, logged: Logged) -> int | None:
    """As counted by their owner, or by the log where that has more."""
    counted = max(ev.setup.money.trips or 0, logged.trips)
    return counted or ev.setup.money.trips


def ledger(
    ev: Evaluated, purchases: Sequence[KeptPurchase], logged: Logged = NOTHING_LOGGED
) -> list[LedgerRow]:
    """Every thing, and purchases of what is none; the dearest first."""
    of: dict[int | None, list[KeptPurchase]] = {}
    for one in purchases:
        known = one.thing_id if one.thing_id in ev.setup.things else None
        of.setdefault(known, []).append(one)
    rows = [_of_a_thing(ev, i, of.get(i, []), logged) for i in ev.setup.things]
    rows += [_of_none(one) for one in of.get(None, [])]
    return sorted(rows, key=lambda row: (-(row.minor or 0), row.name))


def _of_a_thing(
    ev: Evaluated, thing_id: int, bought: list[KeptPurchase], logged: Logged
) -> LedgerRow:
    thing, trips = ev.thing(thing_id), trips_so_far(ev, logged)
    cost = sum(one.minor for one in bought) if bought else minor(thing.price)
    resale = sum(one.resale_minor for one in bought)
    had, unused = thing.bought or bool(bought), thing_id in logged.unused
    wasted = sum(map(wasted_minor, bought))
    if unused and had and cost:
        wasted = max(wasted, cost - resale)
    return LedgerRow(
        thing_id=thing_id,
        name=thing.name,
        where=ev.where_is(thing_id) if thing_id in ev.setup.places else None,
        bought=had,
        minor=cost,
        paid=bool(bought),
        resale_minor=resale,
        per_trip_minor=max(0, cost - resale) // trips if trips and had and cost else None,
        wasted_minor=wasted,
        unused=unused,
        purchases=bought,
    )


def _of_none(one: KeptPurchase) -> LedgerRow:
    return LedgerRow(
        thing_id=None, name=one.what or "Something", where=None, bought=True, minor=one.minor,
        paid=True, resale_minor=one.resale_minor, wasted_minor=wasted_minor(one),
        unused=False, per_trip_minor=None, purchases=[one],
    )  # fmt: skip


def wasted_minor(one: KeptPurchase) -> int:
    """Price less resale of what was replaced, lost or broke."""
    return max(0, one.minor - one.resale_minor) if one.ended in _GONE else 0


def by_place(ev: Evaluated, rows: Sequence[LedgerRow]) -> list[PlaceRow]:
    """By part of the boat, from the bow by the mean place of its things; ashore last."""
    of: dict[str | None, list[LedgerRow]] = {}
    for row in rows:
        of.setdefault(row.where, []).append(row)

    def from_bow(where: str | None) -> float:
        by_id = ev.rigged.by_id
        spots = [by_id[row.thing_id].centre_m[0] for row in of[where] if row.thing_id in by_id]
        return -sum(spots) / len(spots) if spots else inf

    told = [
        PlaceRow(
            where=where,
            count=len(some),
            bought_minor=sum(row.minor or 0 for row in some if row.bought),
            planned_minor=sum(row.minor or 0 for row in some if not row.bought),
        )
        for where, some in of.items()
    ]
    return sorted(told, key=lambda row: from_bow(row.where))
