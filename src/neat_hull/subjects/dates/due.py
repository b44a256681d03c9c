"""When something is due, and what that means on a day."""

from calendar import monthrange
from collections.abc import Sequence
from datetime import date

from neat_hull.model.dates import DatedItem, DateKind

# What a boat has one of for a need: out of date without another, it stops the trip. Ours.
ONLY_ONE: tuple[DateKind, ...] = ("flare", "inflator", "inflator cartridge")
# Usual intervals, in months: makers' books win.
EVERY_MONTHS: dict[DateKind, int] = {
    "inflator": 12, "beacon registration": 24, "radio charge": 3, "light charge": 3,
    "vest float test": 12, "suit seals": 12, "webbing": 12,
}  # fmt: skip


def months_on(day: date, months: int) -> date:
    """So many months later; the last of a month that is too short."""
    year, month = divmod(day.month - 1 + months, 12)
    year += day.year
    return date(year, month + 1, min(day.day, monthrange(year, month + 1)[1]))


def due_on(item: DatedItem) -> date | None:
    """What is printed on it, or the next time after it was last done, whichever comes first; None
    where neither is known."""
    found = [] if item.due is None else [date.fromisoformat(item.due)]
    every = item.every_months or EVERY_MONTHS.get(item.kind)
    if item.last_done is not None and every is not None:
        found.append(months_on(date.fromisoformat(item.last_done), every))
    return min(found, default=None)


def days_left(item: DatedItem, on: date) -> int | None:
    """Until it is due, negative when past."""
    due = due_on(item)
    return None if due is None else (due - on).days


def stops(item: DatedItem, others: Sequence[DatedItem], on: date) -> bool:
    """Whether it is out of date, and there is no other that does its service."""
    left = days_left(item, on)
    if item.kind not in ONLY_ONE or left is None or left >= 0:
        return False
    same = (one for one in others if one.kind == item.kind)
    return all((days_left(one, on) or 0) < 0 for one in same)
