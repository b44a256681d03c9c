"""What a bare case comes to: `neat-hull power`."""

from collections.abc import Sequence
from typing import Any

from neat_hull.model.power_case import CaseBattery, CaseLoad, PowerCase
from neat_hull.physics.circuits.tables import CHEMISTRIES
from neat_hull.subjects.power.circuit import Circuit, circuit
from neat_hull.subjects.power.conductors import (
    FullCurrents,
    conductor_findings,
    conductor_row,
    full_currents,
    nominal_v,
    wire_row,
)
from neat_hull.subjects.power.living import DayLived, LoadDay
from neat_hull.subjects.power.moments import left_share, moment, way_home
from neat_hull.subjects.power.requiring import require_case
from neat_hull.subjects.power.rows import Row, finding

DROP_CRITICAL, DROP_OTHER = 0.03, 0.10  # of the bank's voltage: practice of small craft
BROWN_MIN = 0.5
COLD_C = 0.0  # lithium takes no charge below


def power_report(case: PowerCase) -> Row:
    """All that the case comes to. Raises InputErrors, or NotSupplied where it cannot be solved."""
    require_case(case)
    return worked_out(circuit(case))[0]


def worked_out(made: Circuit) -> tuple[Row, DayLived | None]:
    """The report of a case that means something, and its day. Raises NotSupplied."""
    case = made.case
    day = None if case.day is None else DayLived(made)
    socs = [one.start_soc for one in case.batteries]
    at_end = day.soc() if day else socs
    full = full_currents(made, socs)
    findings: list[Row] = []
    moments = [moment(made, one.name, one.on, one.soc, one.hold, findings) for one in case.moments]
    home = None
    if case.home is not None and day is not None:
        home = way_home(made, day, findings)
    report = {
        "batteries": _batteries(made, day, full, findings),
        "banks": _banks(made, day, findings),
        "wires": [wire_row(made, i, full) for i in range(len(case.wires))],
        "loads": _loads(made, day, full, findings),
        "moments": moments,
        "samples": day.samples if day else [],
        "home": home,
        "charging": [_charging(made, one, at_end, findings) for one in case.chargers],
        "findings": [*conductor_findings(made, full), *findings],
    }
    return report, day


def _batteries(
    made: Circuit, day: DayLived | None, full: FullCurrents, findings: list[Row]
) -> list[Row]:
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
            "lead": conductor_row(one.lead, full.lead_a[i], one.lead.fuse_a) if one.lead else None,
        }
        if day is not None:
            mine = day.battery_days[i]
            row |= {"end_soc": end[i], "least_soc": min(mine.least_soc, end[i]),
                    "drawn_ah": mine.drawn_ah, "max_a": mine.max_a, "off_h": off[i]}  # fmt: skip
            _battery_findings(one, row, day, findings)
        rows.append(row)
    return rows


def _battery_findings(one: CaseBattery, row: Row, day: DayLived, findings: list[Row]) -> None:
    if one.max_discharge_a is not None and row["max_a"] > one.max_discharge_a:
        findings.append(finding("battery_over", one.name, "day", row["max_a"], one.max_discharge_a))
    if row["off_h"] is not None:
        findings.append(finding("cut_off", one.name, "day", row["off_h"], None))
    if row["least_soc"] < row["floor_soc"] - 1e-9:
        findings.append(finding("under_floor", one.name, "day", row["least_soc"], row["floor_soc"]))


def _off(made: Circuit, day: DayLived | None) -> list[float | None]:
    found: list[float | None] = [None] * len(made.batteries)
    if day is not None:
        for plan, bank in zip(made.banks, day.banks, strict=True):
            for i, at in zip(plan.batteries, bank.off_h, strict=True):
                found[i] = at
    return found


def _banks(made: Circuit, day: DayLived | None, findings: list[Row]) -> list[Row]:
    rows = []
    for n, plan in enumerate(made.banks):
        kinds = {made.case.batteries[i].chemistry for i in plan.batteries}
        if len(kinds) > 1:
            findings.append(finding("mixed_chemistry", plan.name, None, None, None))
        row: Row = {"name": plan.name}
        if day is not None:
            bank, told = day.banks[n], day.bank_days[n]
            usable = [made.case.batteries[i].usable_share for i in plan.batteries]
            row |= {"least_v": told.least_v, "energy_wh": told.energy_wh,
                    "left_share": left_share(bank, bank.soc, usable),
                    "down_h": bank.down_h}  # fmt: skip
            if bank.down_h is not None:
                findings.append(finding("down", plan.name, "day", bank.down_h, None))
        rows.append(row)
    return rows


def _loads(
    made: Circuit, day: DayLived | None, full: FullCurrents, findings: list[Row]
) -> list[Row]:
    rows: list[Row] = [{} for _ in made.case.loads]
    for plan in made.banks:
        nominal = nominal_v(made, plan)
        for i in plan.loads:
            load = made.case.loads[i]
            share = full.drop_v[i] / nominal
            rows[i] = {"name": load.name, "full_a": full.load_a[i], "drop_v": full.drop_v[i],
                       "drop_share": share}  # fmt: skip
            limit = DROP_CRITICAL if load.critical else DROP_OTHER
            if share > limit:
                findings.append(finding("drop", load.name, None, share, limit))
            if day is not None:
                _load_day(load, rows[i], day.load_days[i], findings)
    return rows


def _load_day(load: CaseLoad, row: Row, mine: LoadDay, findings: list[Row]) -> None:
    row |= {"energy_wh": mine.energy_wh, "least_v": mine.least_v, "low_min": mine.low_min,
            "unserved_min": mine.unserved_min}  # fmt: skip
    if mine.low_min > BROWN_MIN:
        findings.append(finding("brown_out", load.name, "day", mine.least_v, load.min_v))


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
        findings.append(finding("charger_chemistry", charger.name, None, None, None))
    if one.chemistry in ("lifepo4", "li_ion") and charger.temperature_c < COLD_C:
        findings.append(finding("charger_cold", charger.name, None, charger.temperature_c, COLD_C))
    if most is not None and charger.amps > most:
        findings.append(finding("charger_large", charger.name, None, charger.amps, most))
    return {"name": charger.name, "battery": charger.battery, "amps": amps, "hours": hours}
