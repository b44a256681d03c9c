"""Trips made up, of the plain boat and its gear."""

from collections.abc import Mapping, Sequence
from typing import Any

from neat_hull.model.log import FLAG_BITS, ItemLog, Log, LoggedPack, LoggedTrip

BOAT = 7


def day(n: int) -> str:
    """The n-th day of a season."""
    return f"2026-{4 + n // 28:02d}-{1 + n % 28:02d}"


def season(
    n: int, hours: float = 5.0, salt: Sequence[int] = (), boat: int = BOAT
) -> list[LoggedTrip]:
    """So many trips, a day apart."""
    return [LoggedTrip(i, day(i), hours, i in salt, boat) for i in range(1, n + 1)]


def logged(
    trips: Sequence[LoggedTrip],
    marks: Mapping[int, Sequence[Mapping[str, Any] | None]] | None = None,
    packs: Mapping[int, Sequence[float | None]] | None = None,
    **more: Any,
) -> Log:
    """A log: of each item what was said trip by trip (None: it was not aboard), of each battery
    what was left of it (None: it went dark)."""
    ids = [one.trip_id for one in trips]
    items = {thing: _item(ids, of) for thing, of in (marks or {}).items()}
    charge = {
        thing: [
            LoggedPack(thing, trip, 1.0, left, int(left is None))
            for trip, left in zip(ids, of, strict=True)
        ][::-1]
        for thing, of in (packs or {}).items()
    }
    return Log({one.trip_id: one for one in trips}, items, charge, **more)


def used(*uses: str | None) -> list[dict[str, Any] | None]:
    """What was said of an item's use, trip by trip."""
    return [{"uses": one} for one in uses]


def _item(ids: Sequence[int], of: Sequence[Mapping[str, Any] | None]) -> ItemLog:
    out = [(i, said) for i, said in zip(ids, of, strict=True) if said is not None][::-1]
    return ItemLog(
        [i for i, _ in out],
        [said.get("uses") for _, said in out],
        [sum(bit for flag, bit in FLAG_BITS.items() if said.get(flag)) for _, said in out],
        {i: said["stood"] for i, said in out if "stood" in said},
    )
