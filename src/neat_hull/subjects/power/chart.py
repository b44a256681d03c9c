"""The day as a chart: charge and voltages hour by hour, what is on, and where it goes wrong."""

from collections.abc import Sequence
from itertools import pairwise
from math import ceil

from neat_hull.errors import NotSupplied
from neat_hull.model.power_case import PowerCase
from neat_hull.model.power_day import (
    BatteryLine,
    DayChart,
    LoadLine,
    LoadRow,
    LossRow,
    PhaseSpan,
    TroubleMark,
)
from neat_hull.model.said import Said
from neat_hull.physics.circuits.network import Draw, Solved
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power.circuit import BankPlan, Circuit, circuit
from neat_hull.subjects.power.day import Span, ruling, spans, switchings
from neat_hull.subjects.power.living import DayLived
from neat_hull.subjects.power.wiring import wired

_EVERY_H = 1 / 6  # between points of the chart, switchings besides
_ALIKE_H = 1e-6


class Told:
    """A day lived with its samples, and what is on when."""

    def __init__(self, case: PowerCase) -> None:
        day = case.day
        assert day is not None, "a setup has a day"
        self.when: list[list[Span]] = [spans(load, day) for load in case.loads]
        cuts = {at for of in self.when for at in switchings(of, day)}
        span = day.end_h - day.start_h
        count = max(2, ceil(span / _EVERY_H))
        grid = {day.start_h + span * n / count for n in range(1, count)}
        inside = {at for at in grid | cuts if day.start_h < at < day.end_h}
        self.at_h: list[float] = [day.start_h, *sorted(inside), day.end_h]
        self.made: Circuit = circuit(
            case.model_copy(update={"day": day.model_copy(update={"sample_h": self.at_h})})
        )
        self.lived = DayLived(self.made)
        self.cuts = sorted({day.start_h, day.end_h, *cuts})

    def on_at(self, loads: Sequence[int], at_h: float) -> dict[int, tuple[float, float]]:
        """What of some loads is on at an hour: share and level of each."""
        found = {i: on for i in loads if (on := ruling(self.when[i], at_h)) is not None}
        return {i: (on.share, on.level) for i, on in found.items()}

    def plan(self, bank: str) -> BankPlan:
        """A bank by its name."""
        return next(one for one in self.made.banks if one.name == bank)

    def draws(self, loads: Sequence[int], at_h: float) -> list[Draw]:
        """What is drawn at an hour by some loads, of one bank."""
        plan = next(one for one in self.made.banks if set(loads) <= set(one.loads))
        return self.made.draws(plan, self.on_at(loads, at_h))

    def ohm(self, bank: str, at_h: float) -> float:
        """The resistance of a bank about an hour of the chart, leads with it."""
        sample = self.lived.samples[self.at_h.index(at_h)]
        batteries = [self.made.batteries[i] for i in self.plan(bank).batteries]
        return 1 / sum(
            1 / (one.inner_ohm(sample["soc"][one.name]) + one.lead_ohm) for one in batteries
        )


def told(ev: Evaluated) -> Told | None:
    """The day; None where a bank is dark from the start."""
    case = ev.once(wired).case
    assert case is not None, "asked where there is a battery"
    try:
        return Told(case)
    except NotSupplied:
        return None


def chart(ev: Evaluated, of: Told) -> DayChart:
    """Lines for each battery and thing."""
    case, day = of.made.case, of.made.case.day
    assert day is not None
    samples, lines = of.lived.samples, _load_lines(of)
    return DayChart(
        at_h=of.at_h,
        phases=[PhaseSpan(name=p.name, from_h=p.from_h, to_h=p.to_h) for p in day.phases],
        batteries=[
            BatteryLine(thing_id=int(b.name), soc=[row["soc"][b.name] for row in samples])
            for b in case.batteries
        ],
        loads=lines,
        troubles=_troubles(ev, of, lines),
    )


def _load_lines(of: Told) -> list[LoadLine]:
    volts: list[list[float | None]] = [[] for _ in of.made.case.loads]
    for at, sample in zip(of.at_h, of.lived.samples, strict=True):
        last = at >= of.at_h[-1]
        for plan, bank in zip(of.made.banks, of.lived.banks, strict=True):
            on = of.on_at(plan.loads, at - _ALIKE_H if last else at + _ALIKE_H)
            draws = of.made.draws(plan, on)
            solved: Solved | None = None
            if sample["v"].get(plan.name) is not None:
                soc = [sample["soc"][of.made.batteries[i].name] for i in plan.batteries]
                now = of.made.bank(plan, [0.0] * len(of.made.batteries))
                now.off_h = [h if h is not None and h <= at else None for h in bank.off_h]
                solved = now.solved(draws, soc)
            at_wire = {
                i: d.wire for i, d in zip([i for i in plan.loads if i in on], draws, strict=True)
            }
            for i in plan.loads:
                volts[i].append(
                    None if solved is None or i not in at_wire else solved.at(at_wire[i])
                )
    return [
        LoadLine(
            thing_id=int(load.name),
            volts=volts[i],
            on=_on_spans(of, i),
            min_v=load.min_v,
        )
        for i, load in enumerate(of.made.case.loads)
    ]


def _on_spans(of: Told, load: int) -> list[tuple[float, float]]:
    """When it is on, what follows on without a gap put together."""
    found: list[tuple[float, float]] = []
    for a, b in pairwise(of.cuts):
        if ruling(of.when[load], (a + b) / 2) is None:
            continue
        if found and abs(found[-1][1] - a) < _ALIKE_H:
            found[-1] = found[-1][0], b
        else:
            found.append((a, b))
    return found


def _troubles(ev: Evaluated, of: Told, lines: Sequence[LoadLine]) -> list[TroubleMark]:
    found = []
    for i, load in enumerate(of.made.case.loads):
        if of.lived.load_days[i].low_min > 0.5 and load.min_v is not None:
            line = lines[i].volts
            first = next((n for n, v in enumerate(line) if v is not None and v < load.min_v), None)
            if first is not None:
                words = Said.of(f"{ev.name(int(load.name))}: under {{}}", voltage=load.min_v)
                found.append(TroubleMark(at_h=of.at_h[first], verdict="fix", words=words))
    for plan, bank in zip(of.made.banks, of.lived.banks, strict=True):
        for i, off in zip(plan.batteries, bank.off_h, strict=True):
            if off is not None:
                words = Said.of(f"{ev.name(int(of.made.batteries[i].name))}: empty, or off")
                found.append(TroubleMark(at_h=off, verdict="fix", words=words))
    return sorted(found, key=lambda one: one.at_h)


def load_rows(of: Told) -> list[LoadRow]:
    """What each thing takes by phase: the day lived anew to the end of each phase."""
    day = of.made.case.day
    assert day is not None
    so_far = [_energies(of.made, phase.to_h) for phase in day.phases]
    rows = []
    for i, load in enumerate(of.made.case.loads):
        mine = of.lived.load_days[i]
        ends = [0.0, *(row[i] for row in so_far)]
        rows.append(
            LoadRow(
                thing_id=int(load.name),
                by_phase_wh=[b - a for a, b in pairwise(ends)],
                energy_wh=mine.energy_wh,
                least_v=mine.least_v,
                low_min=mine.low_min,
                unserved_min=mine.unserved_min,
            )
        )
    return rows


def _energies(made: Circuit, to_h: float) -> list[float]:
    """Wh of each thing from the morning until then."""
    day = made.case.day
    assert day is not None
    cut = day.model_copy(update={"end_h": to_h, "sample_h": []})
    lived = DayLived(Circuit(made.case.model_copy(update={"day": cut}), made.batteries, made.banks))
    return [one.energy_wh for one in lived.load_days]


def losses(ev: Evaluated, of: Told) -> list[LossRow]:
    """Of each bank: what its things took, what its wires turned into heat, and the batteries
    themselves. What left a battery is ∫E·I dt."""
    rows = []
    for plan, told_bank, bank in zip(
        of.made.banks, of.lived.bank_days, of.lived.banks, strict=True
    ):
        loads = sum(of.lived.load_days[i].energy_wh for i in plan.loads)
        left = sum(
            of.made.batteries[i].usable_wh(bank.soc[j]) for j, i in enumerate(plan.batteries)
        )
        was = sum(
            of.made.batteries[i].usable_wh(of.made.case.batteries[i].start_soc)
            for i in plan.batteries
        )
        gone = left - was  # energy over the charge between: `usable_wh` counts down from full
        name = ev.thing(int(of.made.batteries[plan.batteries[0]].name)).name
        rows.append(
            LossRow(
                bank=name if len(plan.batteries) == 1 else plan.name.removeprefix("bank "),
                loads_wh=loads,
                wires_wh=told_bank.energy_wh - loads,
                inside_wh=max(0.0, gone - told_bank.energy_wh),
            )
        )
    return rows
