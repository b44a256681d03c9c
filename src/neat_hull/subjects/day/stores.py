"""What is used, melts, grows, fills: exact from knot to knot, for all of it is straight in time."""

from bisect import bisect_left, bisect_right
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from itertools import pairwise

from neat_hull.model.day_case import (
    CasePhase,
    CasePower,
    Catch,
    DayCase,
    Given,
    Ice,
    Liquid,
    Store,
    Used,
)

SAME_H = 1e-6


@dataclass(frozen=True)
class Clock:
    """The phases by their hours; bounds (n + 1)."""

    phases: tuple[CasePhase, ...]
    bounds: tuple[float, ...]

    @classmethod
    def of(cls, case: DayCase) -> "Clock":
        """From the start on."""
        bounds = [case.day.start_h]
        for phase in case.phases:
            bounds.append(bounds[-1] + phase.hours)
        return cls(tuple(case.phases), tuple(bounds))

    @property
    def end(self) -> float:
        """When the day is over."""
        return self.bounds[-1]

    def at(self, hour: float, after: bool) -> CasePhase:
        """The phase at an hour; at a boundary the one before it, or the one after."""
        for phase, until in zip(self.phases, self.bounds[1:], strict=True):
            if hour < until - SAME_H or (not after and hour <= until + SAME_H):
                return phase
        return self.phases[-1]

    def spans(self, knots: Sequence[float]) -> list[tuple[float, float, CasePhase]]:
        """Stretches in which nothing but time goes on."""
        marks = sorted({*self.bounds, *(h for h in knots if self.bounds[0] < h < self.end)})
        return [
            (a, b, self.at((a + b) / 2, after=True)) for a, b in pairwise(marks) if b - a > 1e-12
        ]


@dataclass
class Track:
    """An amount through the day: straight between hours h, with a jump where an hour is twice."""

    h: list[float] = field(default_factory=list)
    kg: list[float] = field(default_factory=list)

    def add(self, hour: float, kg: float) -> None:
        """Go on to there."""
        self.h.append(hour)
        self.kg.append(kg)

    def at(self, hour: float, after: bool) -> float:
        """At an hour, before or after what happens then."""
        hours, kg = self.h, self.kg
        first, past = bisect_left(hours, hour - SAME_H), bisect_right(hours, hour + SAME_H)
        if first < past:
            return kg[past - 1 if after else first]
        if past == 0 or past == len(hours):
            return kg[min(past, len(hours) - 1)]
        per_h = (kg[past] - kg[past - 1]) / (hours[past] - hours[past - 1])
        return per_h * (hour - hours[past - 1]) + kg[past - 1]

    def gone_h(self) -> float | None:
        """When it came to nothing; None where it did not, or there was nothing to begin with."""
        if not self.kg or self.kg[0] <= 0:
            return None
        for (a, m), (b, n) in pairwise(zip(self.h, self.kg, strict=True)):
            if m > 0 >= n:
                return a + (b - a) * m / (m - n) if m > n else b
        return None


Rate = Callable[[CasePhase], float]
Events = Sequence[tuple[float, Callable[[float], float]]]


def track(
    clock: Clock, start: float, rate: Rate, events: Events, least: float, most: float
) -> Track:
    """Held between least and most; events change it at once."""
    made, now = Track(), min(max(start, least), most)
    at = sorted(events, key=lambda one: one[0])

    def happens(hour: float) -> None:
        nonlocal now
        for _, change in (one for one in at if abs(one[0] - hour) <= SAME_H):
            now = min(max(change(now), least), most)
            made.add(hour, now)

    made.add(clock.bounds[0], now)
    happens(clock.bounds[0])
    for a, b, phase in clock.spans([h for h, _ in at]):
        per_h = rate(phase)
        end = now + per_h * (b - a)
        for bound in (least, most):
            if per_h and (now - bound) * (end - bound) < 0:
                made.add(a + (bound - now) / per_h, bound)
        now = min(max(end, least), most)
        made.add(b, now)
        if b < clock.end - SAME_H:
            happens(b)
    return made


@dataclass(frozen=True, eq=False)
class Stored:
    """A store through the day: what it pulls with, and of ice what is frozen."""

    store: Store
    kg: Track
    frozen: Track | None = None


def stored(case: DayCase, clock: Clock) -> list[Stored]:
    """All of them, in the order of the case."""
    return [_stored(case, clock, one) for one in case.stores]


def _stored(case: DayCase, clock: Clock, one: Store) -> Stored:
    inf = float("inf")
    if isinstance(one, Used):
        return Stored(
            one, track(clock, one.mass_kg, lambda p: -one.rate_kg_h.get(p.name, 0.0), (), 0.0, inf)
        )
    if isinstance(one, Ice):
        frozen = _melting(case, clock, one)
        kg = frozen if one.melt == "drains" else Track([clock.bounds[0]], [one.mass_kg])
        return Stored(one, kg, frozen)
    if isinstance(one, Catch):
        share = one.pull_share
        caught: Events = [(e.h, _plus(share * e.kg)) for e in one.events]
        return Stored(
            one,
            track(clock, 0.0, lambda p: share * one.rate_kg_h.get(p.name, 0.0), caught, 0.0, inf),
        )
    if isinstance(one, Liquid):
        filled: Events = [(e.h, _to(e.to_kg)) for e in one.events]
        return Stored(
            one,
            track(
                clock, one.mass_kg, lambda p: one.rate_kg_h.get(p.name, 0.0), filled, 0.0,
                one.capacity_kg,
            ),
        )  # fmt: skip
    assert isinstance(one, Given), "the union of stores"
    return Stored(one, Track([p.h for p in one.points], [p.kg for p in one.points]))


def _plus(kg: float) -> Callable[[float], float]:
    return lambda now: now + kg


def _to(kg: float) -> Callable[[float], float]:
    return lambda _now: kg


def _melting(case: DayCase, clock: Clock, one: Ice) -> Track:
    """By what comes through the walls, and what the catch brings."""
    chilled = [c for c in case.stores if isinstance(c, Catch) and c.chilled_by == one.name]

    def per_h(phase: CasePhase) -> float:
        watts = one.ua_w_k * max(0.0, phase.air_temp_c + one.sun_k)
        brought = sum(
            c.rate_kg_h.get(phase.name, 0.0) * c.heat_j_kg_k * c.from_temp_c for c in chilled
        )
        return -(3600 * watts + brought) / one.latent_j_kg

    events: Events = [
        (e.h, _plus(-e.kg * c.heat_j_kg_k * c.from_temp_c / one.latent_j_kg))
        for c in chilled
        for e in c.events
    ]
    return track(clock, one.mass_kg, per_h, events, 0.0, float("inf"))


@dataclass(frozen=True, eq=False)
class Powered:
    """A draw through the day: each pack's Wh, and the hours that it was dark."""

    power: CasePower
    left: list[Track]
    dark_h: float

    def in_use(self, hour: float, after: bool) -> int:
        """The pack that feeds: the last whose hour has come."""
        used = 0
        for n, pack in enumerate(self.power.packs[1:], start=1):
            from_h = pack.from_h
            if from_h is not None and (
                hour > from_h + SAME_H or (after and hour >= from_h - SAME_H)
            ):
                used = n
        return used


def powered(case: DayCase, clock: Clock) -> list[Powered]:
    """All draws."""
    return [_powered(one, clock) for one in case.power]


def _powered(one: CasePower, clock: Clock) -> Powered:
    starts = [clock.bounds[0], *(p.from_h or clock.bounds[0] for p in one.packs[1:])]
    ends = [*starts[1:], clock.end]
    left, dark = [], 0.0
    for n, pack in enumerate(one.packs):
        made, now = Track(), pack.usable_wh
        made.add(clock.bounds[0], now)
        for a, b, phase in clock.spans([*starts]):
            watts = one.draw_w.get(phase.name, 0.0)
            uses = starts[n] - SAME_H <= a and b <= ends[n] + SAME_H
            if uses and watts > 0:
                lasts = min(b - a, now / watts)
                dark += (b - a) - lasts
                if lasts < b - a:
                    made.add(a + lasts, 0.0)
                now = max(0.0, now - watts * (b - a))
            made.add(b, now)
        left.append(made)
    return Powered(one, left, dark)
