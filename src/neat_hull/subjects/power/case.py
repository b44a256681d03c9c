"""What a bare case comes to: `neat-hull power`."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from functools import partial
from itertools import pairwise
from typing import Any

from neat_hull.errors import NotSupplied
from neat_hull.model.power_case import CaseBattery, CaseConductor, CaseLoad, LoadOn, PowerCase
from neat_hull.physics.circuits.network import Draw, Solved
from neat_hull.physics.circuits.running import Bank, Step, run
from neat_hull.physics.circuits.tables import BLOCK_V, CHEMISTRIES, ampacity_a
from neat_hull.subjects.power.batteries import conductor_ohm
from neat_hull.subjects.power.circuit import BankPlan, Circuit, circuit, draw_of
from neat_hull.subjects.power.day import ruling, spans, switchings
from neat_hull.subjects.power.requiring import require_case

Row = dict[str, Any]
LONGEST_HOLD_H = 500.0
DROP_CRITICAL, DROP_OTHER = 0.03, 0.10  # of the bank's voltage: practice of small craft
FUSE_WITHIN_M = 0.18  # 7 inches of wire from the post
FUSE_ROOM = 1.25  # a fuse carries its full current warm, and ages
BROWN_MIN = 0.5
COLD_C = 0.0  # lithium takes no charge below


def power_report(case: PowerCase) -> Row:
    """All that the case comes to. Raises InputErrors, or NotSupplied where it cannot be solved."""
    require_case(case)
    made = circuit(case)
    day = None if case.day is None else _Day(made)
    socs = [one.start_soc for one in case.batteries]
    at_end = day.soc() if day else socs
    full = _full(made, socs)
    findings: list[Row] = []
    moments = [_moment(made, one.name, one.on, one.soc, one.hold, findings) for one in case.moments]
    home = None
    if case.home is not None and day is not None:
        home = _home(made, day, findings)
    return {
        "batteries": _batteries(made, day, full, findings),
        "banks": _banks(made, day, findings),
        "wires": [_wire(made, i, full) for i in range(len(case.wires))],
        "loads": _loads(made, day, full, findings),
        "moments": moments,
        "samples": day.samples if day else [],
        "home": home,
        "charging": [_charging(made, one, at_end, findings) for one in case.chargers],
        "findings": [*_conductors(made, full), *findings],
    }


# The day


@dataclass
class _LoadDay:
    energy_wh: float = 0.0
    least_v: float | None = None
    low_min: float = 0.0
    unserved_min: float = 0.0


@dataclass
class _BankDay:
    least_v: float | None = None
    energy_wh: float = 0.0


@dataclass
class _BatteryDay:
    least_soc: float
    drawn_ah: float = 0.0
    max_a: float = 0.0


@dataclass
class _Day:
    """The day of a case, bank by bank."""

    made: Circuit
    banks: list[Bank] = field(default_factory=list)
    bank_days: list[_BankDay] = field(default_factory=list)
    battery_days: list[_BatteryDay] = field(default_factory=list)
    load_days: list[_LoadDay] = field(default_factory=list)
    samples: list[Row] = field(default_factory=list)

    def __post_init__(self) -> None:
        case, day = self.made.case, self.made.case.day
        assert day is not None, "asked for a case with a day"
        self.battery_days = [_BatteryDay(one.start_soc) for one in case.batteries]
        self.load_days = [_LoadDay() for _ in case.loads]
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
                end = run(bank, from_h, to_h, draws, hear)
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
        told.least_v = _least(told.least_v, at.bank_v)
        for i, s, a in zip(plan.batteries, bank.soc, at.battery_a, strict=True):
            mine = self.battery_days[i]
            mine.least_soc, mine.max_a = min(mine.least_soc, s), max(mine.max_a, a)
        for i, draw in on:
            self.load_days[i].least_v = _least(self.load_days[i].least_v, at.at(draw.wire))

    def _hear(
        self, plan: BankPlan, bank: Bank, told: _BankDay, on: Sequence[tuple[int, Draw]], step: Step
    ) -> None:
        # What begins a step may follow on a battery that has just been switched off.
        for at in (step.before, step.after):
            self._look(plan, bank, told, on, at)
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
                a, b = step.before.at(draw.wire), step.after.at(draw.wire)
                self.load_days[i].low_min += long_min * _share_below(a, b, least)


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


# Moments, and being kept on


def _listed(case: PowerCase, on: Sequence[LoadOn]) -> dict[int, tuple[float, float]]:
    at = {load.name: i for i, load in enumerate(case.loads)}
    return dict(sorted((at[one.load], (1.0, one.level)) for one in on))


def _moment(
    made: Circuit,
    name: str,
    on: Sequence[LoadOn],
    socs: Mapping[str, float],
    hold: bool,
    findings: list[Row],
) -> Row:
    case = made.case
    listed = _listed(case, on)
    soc = [socs.get(one.name, one.start_soc) for one in case.batteries]
    row: Row = {"name": name, "banks": [], "batteries": [], "loads": [], "holds_h": None,
                "ends_by": None}  # fmt: skip
    amps = [0.0] * len(case.batteries)
    posts = [b.source_v(s) for b, s in zip(made.batteries, soc, strict=True)]
    loads: dict[int, Row] = {}
    for plan in made.banks:
        bank = made.bank(plan, soc)
        for i, s in enumerate(bank.soc):
            if s <= 0:
                bank.off_h[i] = 0.0
        draws = made.draws(plan, listed)
        found = bank.solved(draws, bank.soc)
        mine = [i for i in plan.loads if i in listed]
        if found is None:
            if mine:
                raise NotSupplied(f"moment {name!r}: bank {plan.name} cannot supply what is on")
            row["banks"].append({"name": plan.name, "v": None, "a": 0.0})
            continue
        for i, draw in zip(mine, draws, strict=True):
            v = found.at(draw.wire)
            loads[i] = {"name": case.loads[i].name, "v": v, "a": draw.at_v(v)}
        for j, i in enumerate(plan.batteries):
            amps[i] = found.battery_a[j]
            posts[i] = bank.posts_v(j, bank.soc[j], amps[i])
        total = sum(loads[i]["a"] for i in mine)
        row["banks"].append({"name": plan.name, "v": found.bank_v, "a": total})
    row["loads"] = [loads[i] for i in sorted(loads)]
    row["batteries"] = [
        {"name": one.name, "v": v, "a": a}
        for one, v, a in zip(case.batteries, posts, amps, strict=True)
    ]
    for i in sorted(loads):
        least = case.loads[i].min_v
        if least is not None and loads[i]["v"] < least:
            findings.append(_found("brown_out", case.loads[i].name, name, loads[i]["v"], least))
    for one, v, a in zip(case.batteries, posts, amps, strict=True):
        if one.max_discharge_a is not None and a > one.max_discharge_a:
            findings.append(_found("battery_over", one.name, name, a, one.max_discharge_a))
        if one.cut_off_v is not None and a > 0 and v < one.cut_off_v:
            findings.append(_found("cut_off", one.name, name, v, one.cut_off_v))
    if hold:
        banks = [made.bank(plan, soc) for plan in made.banks]
        row["holds_h"], row["ends_by"] = _held(made, banks, listed)
    return row


_ENDS = ("down", "brown_out", "usable")


def _held(
    made: Circuit, banks: Sequence[Bank], listed: Mapping[int, tuple[float, float]]
) -> tuple[float | None, str | None]:
    """How long it can be kept on, and what ends it first."""
    ends: list[tuple[float, int]] = []
    for plan, bank in zip(made.banks, banks, strict=True):
        mine = [i for i in plan.loads if i in listed]
        if not mine:
            continue
        draws = made.draws(plan, listed)
        least = [(d.wire, v) for i, d in zip(mine, draws, strict=True)
                 if (v := made.case.loads[i].min_v) is not None]  # fmt: skip
        shares = [made.case.batteries[i].usable_share for i in plan.batteries]

        def brown(at: Solved, least: Sequence[tuple[int, float]] = least) -> bool:
            return any(at.at(wire) < v for wire, v in least)

        def used(bank: Bank, soc: Sequence[float], shares: Sequence[float] = shares) -> bool:
            return _left(bank, soc, shares) <= 0

        def stop(bank: Bank, soc: Sequence[float], at: Solved) -> bool:
            return brown(at) or used(bank, soc)

        end = run(bank, 0.0, LONGEST_HOLD_H, draws, lambda _: None, stop)
        if bank.down_h is not None:
            ends.append((bank.down_h, 0))
        elif end < LONGEST_HOLD_H - 1e-9:
            now = bank.solved(draws, bank.soc)
            ends.append((end, 1 if now is not None and brown(now) else 2))
    if not ends:
        return None, None
    first = min(at for at, _ in ends)
    return first, _ENDS[min(kind for at, kind in ends if at <= first + 1e-6)]


def _left(bank: Bank, soc: Sequence[float], usable: Sequence[float]) -> float:
    """What of the usable charge of a bank is left, those that are off with the rest."""
    rows = list(zip(bank.batteries, soc, usable, strict=True))
    left = sum(b.capacity_ah * (s - (1 - u)) for b, s, u in rows)
    return left / sum(b.capacity_ah * u for b, _, u in rows)


def _home(made: Circuit, day: _Day, findings: list[Row]) -> Row:
    home = made.case.home
    assert home is not None, "asked for a case with a way home"
    banks = []
    for plan, bank in zip(made.banks, day.banks, strict=True):
        on = made.bank(plan, day.soc())
        on.off_h = [None if at is None else 0.0 for at in bank.off_h]
        on.down_h = None if bank.down_h is None else 0.0
        banks.append(on)
    hours, ends_by = _held(made, banks, _listed(made.case, home.on))
    if hours is not None and hours < home.hours:
        findings.append(_found("reserve", "home", None, hours, home.hours))
    return {"hours": hours, "ends_by": ends_by}


# Full current, guard fuses and what a conductor carries


@dataclass(frozen=True)
class _Full:
    """Full currents of each load, wire and battery's lead; the drop on the way to each load."""

    load_a: list[float]
    wire_a: list[float]
    lead_a: list[float]
    drop_v: list[float]


def _nominal_v(made: Circuit, plan: BankPlan) -> float:
    return BLOCK_V * made.batteries[plan.batteries[0]].series


def _full(made: Circuit, soc: Sequence[float]) -> _Full:
    case = made.case
    load_a = [0.0] * len(case.loads)
    wire_a, lead_a = [0.0] * len(case.wires), [0.0] * len(case.batteries)
    drop_v = [0.0] * len(case.loads)
    for plan in made.banks:
        nominal = _nominal_v(made, plan)
        behind = [0.0] * len(plan.wires)
        for i in plan.loads:
            load = case.loads[i]
            level = max((on.level for on in load.on), default=1.0)
            load_a[i] = draw_of(load, 0, 1.0, level).at_v(nominal)
            at = plan.at[i]
            while at >= 0:
                behind[at] += load_a[i]
                at = plan.tree[at].parent
        for place, i in enumerate(plan.wires):
            wire_a[i] = behind[place]
        total = sum(load_a[i] for i in plan.loads)
        siemens = [
            1 / (made.batteries[i].inner_ohm(soc[i]) + made.batteries[i].lead_ohm)
            for i in plan.batteries
        ]
        for i, g in zip(plan.batteries, siemens, strict=True):
            lead_a[i] = total * g / sum(siemens)
        lead = max(lead_a[i] * made.batteries[i].lead_ohm for i in plan.batteries)
        for i in plan.loads:
            drop, at = lead, plan.at[i]
            while at >= 0:
                drop += behind[at] * plan.tree[at].ohm
                at = plan.tree[at].parent
            drop_v[i] = drop
    return _Full(load_a, wire_a, lead_a, drop_v)


def _carries(one: CaseConductor) -> float:
    return ampacity_a(one.awg, one.area_mm2, one.insulation_c, one.around_c, one.bundled)


def _bank_guard(case: PowerCase, name: str) -> float | None:
    fuses = [b.lead.fuse_a if b.lead else None for b in case.batteries if b.bank == name]
    known = [one for one in fuses if one is not None]
    return sum(known) if len(known) == len(fuses) else None


def _guard(case: PowerCase, name: str) -> float | None:
    """The fuse that a wire, or what hangs on a bank, is behind."""
    wire = next((one for one in case.wires if one.name == name), None)
    if wire is None:
        return _bank_guard(case, name)
    return wire.fuse_a if wire.fuse_a is not None else _guard(case, wire.from_)


def _conductor_row(one: CaseConductor, full_a: float, guard_a: float | None) -> Row:
    return {"resistance_ohm": conductor_ohm(one), "ampacity_a": _carries(one), "full_a": full_a,
            "guard_fuse_a": guard_a}  # fmt: skip


def _wire(made: Circuit, i: int, full: _Full) -> Row:
    wire = made.case.wires[i]
    guard = _guard(made.case, wire.name)
    return {"name": wire.name, **_conductor_row(wire, full.wire_a[i], guard)}


def _found(code: str, on: str, at: str | None, value: float | None, limit: float | None) -> Row:
    return {"code": code, "on": on, "at": at, "value": value, "limit": limit}


def _conductors(made: Circuit, full: _Full) -> list[Row]:
    case, found = made.case, list[Row]()
    rows: list[tuple[str, CaseConductor, float, float | None, float | None]] = [
        (b.name, b.lead, full.lead_a[i], b.lead.fuse_a, None)
        for i, b in enumerate(case.batteries)
        if b.lead
    ]
    rows += [
        (w.name, w, full.wire_a[i], _guard(case, w.name), _guard(case, w.from_))
        for i, w in enumerate(case.wires)
    ]
    for name, one, full_a, guard, upstream in rows:
        carries = _carries(one)
        if guard is None:
            found.append(_found("no_fuse", name, None, None, None))
        elif guard > carries:
            found.append(_found("fuse_over_wire", name, None, guard, carries))
        if one.fuse_a is not None and upstream is None and one.fuse_at_m > FUSE_WITHIN_M:
            found.append(_found("fuse_far", name, None, one.fuse_at_m, FUSE_WITHIN_M))
        if one.fuse_a is not None and FUSE_ROOM * full_a > one.fuse_a:
            found.append(_found("fuse_tight", name, None, FUSE_ROOM * full_a, one.fuse_a))
        if full_a > carries:
            found.append(_found("wire_over", name, None, full_a, carries))
    return found


# Rows of the report


def _batteries(made: Circuit, day: _Day | None, full: _Full, findings: list[Row]) -> list[Row]:
    rows = []
    off = _off(made, day)
    end = day.soc() if day else []
    for i, (one, now) in enumerate(zip(made.case.batteries, made.batteries, strict=True)):
        floor = 1 - one.usable_share
        usable = now.usable_wh(floor)
        row: Row = {
            "name": one.name,
            "capacity_now_ah": now.capacity_ah,
            "resistance_now_ohm": now.inner_ohm(one.start_soc),
            "open_circuit_v": now.source_v(one.start_soc),
            "floor_soc": floor,
            "peukert": now.peukert,
            "usable_wh": usable,
            "wh_per_kg": usable / one.mass_kg if one.mass_kg else None,
            "lead": _conductor_row(one.lead, full.lead_a[i], one.lead.fuse_a) if one.lead else None,
        }
        if day is not None:
            mine = day.battery_days[i]
            row |= {"end_soc": end[i], "least_soc": min(mine.least_soc, end[i]),
                    "drawn_ah": mine.drawn_ah, "max_a": mine.max_a, "off_h": off[i]}  # fmt: skip
            _battery_findings(one, row, day, findings)
        rows.append(row)
    return rows


def _battery_findings(one: CaseBattery, row: Row, day: _Day, findings: list[Row]) -> None:
    if one.max_discharge_a is not None and row["max_a"] > one.max_discharge_a:
        findings.append(_found("battery_over", one.name, "day", row["max_a"], one.max_discharge_a))
    if row["off_h"] is not None:
        findings.append(_found("cut_off", one.name, "day", row["off_h"], None))
    if row["least_soc"] < row["floor_soc"] - 1e-9:
        findings.append(_found("under_floor", one.name, "day", row["least_soc"], row["floor_soc"]))


def _off(made: Circuit, day: _Day | None) -> list[float | None]:
    found: list[float | None] = [None] * len(made.batteries)
    if day is not None:
        for plan, bank in zip(made.banks, day.banks, strict=True):
            for i, at in zip(plan.batteries, bank.off_h, strict=True):
                found[i] = at
    return found


def _banks(made: Circuit, day: _Day | None, findings: list[Row]) -> list[Row]:
    rows = []
    for n, plan in enumerate(made.banks):
        kinds = {made.case.batteries[i].chemistry for i in plan.batteries}
        if len(kinds) > 1:
            findings.append(_found("mixed_chemistry", plan.name, None, None, None))
        row: Row = {"name": plan.name}
        if day is not None:
            bank, told = day.banks[n], day.bank_days[n]
            usable = [made.case.batteries[i].usable_share for i in plan.batteries]
            row |= {"least_v": told.least_v, "energy_wh": told.energy_wh,
                    "left_share": _left(bank, bank.soc, usable), "down_h": bank.down_h}  # fmt: skip
            if bank.down_h is not None:
                findings.append(_found("down", plan.name, "day", bank.down_h, None))
        rows.append(row)
    return rows


def _loads(made: Circuit, day: _Day | None, full: _Full, findings: list[Row]) -> list[Row]:
    rows: list[Row] = [{} for _ in made.case.loads]
    for plan in made.banks:
        nominal = _nominal_v(made, plan)
        for i in plan.loads:
            load = made.case.loads[i]
            share = full.drop_v[i] / nominal
            rows[i] = {"name": load.name, "full_a": full.load_a[i], "drop_v": full.drop_v[i],
                       "drop_share": share}  # fmt: skip
            limit = DROP_CRITICAL if load.critical else DROP_OTHER
            if share > limit:
                findings.append(_found("drop", load.name, None, share, limit))
            if day is not None:
                _load_day(load, rows[i], day.load_days[i], findings)
    return rows


def _load_day(load: CaseLoad, row: Row, mine: _LoadDay, findings: list[Row]) -> None:
    row |= {"energy_wh": mine.energy_wh, "least_v": mine.least_v, "low_min": mine.low_min,
            "unserved_min": mine.unserved_min}  # fmt: skip
    if mine.low_min > BROWN_MIN:
        findings.append(_found("brown_out", load.name, "day", mine.least_v, load.min_v))


def _charging(made: Circuit, charger: Any, soc: Sequence[float], findings: list[Row]) -> Row:
    i = next(n for n, b in enumerate(made.case.batteries) if b.name == charger.battery)
    one = made.case.batteries[i]
    table = CHEMISTRIES[one.chemistry]
    most = one.max_charge_a
    amps = charger.amps if most is None else min(charger.amps, most)
    bulk, s = table.bulk_soc, soc[i]
    shares = max(0.0, bulk - s) + (1 - max(s, bulk)) / table.tail_share
    hours = shares * one.capacity_ah * one.health_share / (table.charge_efficiency * amps)
    if charger.chemistry != one.chemistry:
        findings.append(_found("charger_chemistry", charger.name, None, None, None))
    if one.chemistry in ("lifepo4", "li_ion") and charger.temperature_c < COLD_C:
        findings.append(_found("charger_cold", charger.name, None, charger.temperature_c, COLD_C))
    if most is not None and charger.amps > most:
        findings.append(_found("charger_large", charger.name, None, charger.amps, most))
    return {"name": charger.name, "battery": charger.battery, "amps": amps, "hours": hours}
