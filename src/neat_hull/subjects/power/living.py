"""A day lived through, bank by bank: extremes, sums, samples."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import partial
from itertools import pairwise

from neat_hull.errors import NotSupplied
from neat_hull.physics.circuits.network import Draw, Solved
from neat_hull.physics.circuits.running import Bank, Step, run
from neat_hull.subjects.power.circuit import BankPlan, Circuit
from neat_hull.subjects.power.day import ruling, spans, switchings
from neat_hull.subjects.power.rows import Row


@dataclass
class LoadDay:
    """What the day was for one load; least_v is null while it was never served."""

    energy_wh: float = 0.0
    least_v: float | None = None
    low_min: float = 0.0
    unserved_min: float = 0.0


@dataclass
class _BankDay:
    least_v: float | None = None
    energy_wh: float = 0.0
    seen: Solved | None = None


@dataclass
class _BatteryDay:
    least_soc: float
    drawn_ah: float = 0.0
    max_a: float = 0.0


@dataclass
class DayLived:
    """The day of a case, bank by bank."""

    made: Circuit
    banks: list[Bank] = field(default_factory=list)
    bank_days: list[_BankDay] = field(default_factory=list)
    battery_days: list[_BatteryDay] = field(default_factory=list)
    load_days: list[LoadDay] = field(default_factory=list)
    samples: list[Row] = field(default_factory=list)

    def __post_init__(self) -> None:
        case, day = self.made.case, self.made.case.day
        assert day is not None, "asked for a case with a day"
        self.battery_days = [_BatteryDay(one.start_soc) for one in case.batteries]
        self.load_days = [LoadDay() for _ in case.loads]
        self.samples = [{"t_h": t, "soc": {}, "v": {}} for t in day.sample_h]
        start = [one.start_soc for one in case.batteries]
        for plan in self.made.banks:
            bank = self.made.bank(plan, start)
            self.banks.append(bank)
            self.bank_days.append(_BankDay())
            self._live(plan, bank, self.bank_days[-1])

    def soc(self) -> list[float]:
        """Of every battery, as it is now."""
        found = [0.0] * len(self.battery_days)
        for plan, bank in zip(self.made.banks, self.banks, strict=True):
            for i, s in zip(plan.batteries, bank.soc, strict=True):
                found[i] = s
        return found

    def _live(self, plan: BankPlan, bank: Bank, told: _BankDay) -> None:
        case, day = self.made.case, self.made.case.day
        assert day is not None, "asked for a case with a day"
        when = {i: spans(case.loads[i], day) for i in plan.loads}
        cuts = {day.start_h, day.end_h, *day.sample_h}
        for of in when.values():
            cuts |= switchings(of, day)
        for from_h, to_h in pairwise(sorted(cuts)):
            ons = {i: on for i, of in when.items() if (on := ruling(of, (from_h + to_h) / 2))}
            draws = self.made.draws(plan, {i: (on.share, on.level) for i, on in ons.items()})
            on_now = list(zip([i for i in plan.loads if i in ons], draws, strict=True))
            now = bank.settled(from_h, draws)
            if from_h == day.start_h and now is None and draws:
                raise NotSupplied(f"bank {plan.name} cannot supply what is on at the start")
            self._sample(plan, bank, from_h, now)
            if now is not None:
                self._look(plan, bank, told, on_now, now)
            end = from_h
            if now is not None:
                hear = partial(self._hear, plan, bank, told, on_now)
                end = run(bank, from_h, to_h, draws, hear, begun=now)
            if bank.down_h is not None:
                for i, _ in on_now:
                    self.load_days[i].unserved_min += 60 * (to_h - max(from_h, min(end, to_h)))
            if to_h == day.end_h:
                last = None if bank.down_h is not None else bank.solved(draws, bank.soc)
                self._sample(plan, bank, to_h, last)

    def _sample(self, plan: BankPlan, bank: Bank, at_h: float, now: Solved | None) -> None:
        for sample in self.samples:
            if sample["t_h"] == at_h:
                for i, s in zip(plan.batteries, bank.soc, strict=True):
                    sample["soc"][self.made.batteries[i].name] = s
                sample["v"][plan.name] = None if now is None else now.bank_v

    def _look(
        self, plan: BankPlan, bank: Bank, told: _BankDay, on: Sequence[tuple[int, Draw]], at: Solved
    ) -> None:
        """The extremes of one instant."""
        told.seen = at
        told.least_v = _least(told.least_v, at.bank_v)
        for i, s, a in zip(plan.batteries, bank.soc, at.battery_a, strict=True):
            mine = self.battery_days[i]
            mine.least_soc, mine.max_a = min(mine.least_soc, s), max(mine.max_a, a)
        for i, draw in on:
            self.load_days[i].least_v = _least(self.load_days[i].least_v, at.at(draw.wire))

    def _hear(
        self, plan: BankPlan, bank: Bank, told: _BankDay, on: Sequence[tuple[int, Draw]], step: Step
    ) -> None:
        if step.before is not told.seen:  # it follows on a battery that has just been switched off
            self._look(plan, bank, told, on, step.before)
        self._look(plan, bank, told, on, step.after)
        for weight, look in step.quadrature:
            for i, a in zip(plan.batteries, look.battery_a, strict=True):
                self.battery_days[i].drawn_ah += weight * a
            for i, draw in on:
                v = look.at(draw.wire)
                amps = draw.at_v(v)
                self.load_days[i].energy_wh += weight * v * amps
                told.energy_wh += weight * look.bank_v * amps
        long_min = 60 * (step.to_h - step.from_h)
        for i, draw in on:
            least = self.made.case.loads[i].min_v
            if least is not None:
                way = [(share, at.at(draw.wire)) for share, at in step.way]
                self.load_days[i].low_min += long_min * sum(
                    (u - t) * _share_below(a, b, least) for (t, a), (u, b) in pairwise(way)
                )


def _least(one: float | None, other: float) -> float:
    return other if one is None else min(one, other)


def _share_below(a: float, b: float, least: float) -> float:
    """Of a straight way from a to b, the share that lies under a level."""
    if a < least and b < least:
        return 1.0
    if a >= least and b >= least:
        return 0.0
    share = (least - a) / (b - a)
    return 1 - share if b < least else share
