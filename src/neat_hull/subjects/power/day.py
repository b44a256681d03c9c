"""When each load is on over a day: phases, hours, cycles; the first entry that covers rules."""

from collections.abc import Sequence
from dataclasses import dataclass

from neat_hull.model.power_case import CaseLoad, Cycle, Day, On

_MIN_H = 1 / 60


@dataclass(frozen=True)
class Span:
    """One interval [from, to) of an entry, with what rules in it."""

    from_h: float
    to_h: float
    on: On


def spans(load: CaseLoad, day: Day) -> list[Span]:
    """The intervals of its entries, the entry that comes first first."""
    found = []
    for on in load.on:
        if on.phase is not None:
            hours = [(p.from_h, p.to_h) for p in day.phases if p.name == on.phase]
        elif on.from_h is not None and on.to_h is not None:
            hours = [(on.from_h, on.to_h)]
        else:
            hours = [(day.start_h, day.end_h)]
        found += [Span(a, b, on) for a, b in hours]
    return found


def ruling(of: Sequence[Span], at_h: float) -> On | None:
    """What is on just after an instant; None where nothing covers it, or a cycle is off."""
    for span in of:
        if span.from_h <= at_h < span.to_h:
            cycle = span.on.cycle
            if cycle is None or _running(cycle, at_h - span.from_h):
                return span.on
            return None
    return None


def _running(cycle: Cycle, since_h: float) -> bool:
    whole = (cycle.on_min + cycle.off_min) * _MIN_H
    into = since_h - whole * int(since_h / whole + 1e-12)
    return -1e-12 <= into < cycle.on_min * _MIN_H - 1e-12


def switchings(of: Sequence[Span], day: Day) -> set[float]:
    """Instants within the day at which anything about a load may change."""
    found: set[float] = set()
    for span in of:
        found |= {span.from_h, span.to_h}
        cycle = span.on.cycle
        if cycle is None:
            continue
        whole = (cycle.on_min + cycle.off_min) * _MIN_H
        first = int(max(0.0, day.start_h - span.from_h) / whole)
        at = span.from_h + first * whole
        n = first
        while at < min(span.to_h, day.end_h):
            found |= {at, at + cycle.on_min * _MIN_H}
            n += 1
            at = span.from_h + n * whole
    return {at for at in found if day.start_h < at < day.end_h}
