"""Full currents, guard fuses, and what each conductor carries and drops."""

from collections.abc import Sequence
from dataclasses import dataclass

from neat_hull.model.power_case import CaseConductor, PowerCase
from neat_hull.physics.circuits.tables import BLOCK_V, ampacity_a
from neat_hull.subjects.power.batteries import conductor_ohm
from neat_hull.subjects.power.circuit import BankPlan, Circuit, draw_of
from neat_hull.subjects.power.rows import Row, finding

FUSE_WITHIN_M = 0.18  # 7 inches of wire from the post
FUSE_ROOM = 1.25  # a fuse carries its full current warm, and ages


@dataclass(frozen=True)
class FullCurrents:
    """Full currents of each load, wire and battery's lead; the drop on the way to each load."""

    load_a: list[float]
    wire_a: list[float]
    lead_a: list[float]
    drop_v: list[float]


def nominal_v(made: Circuit, plan: BankPlan) -> float:
    """What a bank is called by: 12 V, times its series."""
    return BLOCK_V * made.batteries[plan.batteries[0]].series


def full_currents(made: Circuit, soc: Sequence[float]) -> FullCurrents:
    """All of them, and drops, at the nominal voltage."""
    case = made.case
    load_a = [0.0] * len(case.loads)
    wire_a, lead_a = [0.0] * len(case.wires), [0.0] * len(case.batteries)
    drop_v = [0.0] * len(case.loads)
    for plan in made.banks:
        nominal = nominal_v(made, plan)
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
    return FullCurrents(load_a, wire_a, lead_a, drop_v)


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


def conductor_row(one: CaseConductor, full_a: float, guard_a: float | None) -> Row:
    """What a wire or a lead comes to."""
    return {"resistance_ohm": conductor_ohm(one), "ampacity_a": _carries(one), "full_a": full_a,
            "guard_fuse_a": guard_a}  # fmt: skip


def wire_row(made: Circuit, i: int, full: FullCurrents) -> Row:
    """One wire of the report."""
    wire = made.case.wires[i]
    guard = _guard(made.case, wire.name)
    return {"name": wire.name, **conductor_row(wire, full.wire_a[i], guard)}


def conductor_findings(made: Circuit, full: FullCurrents) -> list[Row]:
    """What is wrong with fuses and wires."""
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
            found.append(finding("no_fuse", name, None, None, None))
        elif guard > carries:
            found.append(finding("fuse_over_wire", name, None, guard, carries))
        if one.fuse_a is not None and upstream is None and one.fuse_at_m > FUSE_WITHIN_M:
            found.append(finding("fuse_far", name, None, one.fuse_at_m, FUSE_WITHIN_M))
        if one.fuse_a is not None and FUSE_ROOM * full_a > one.fuse_a:
            found.append(finding("fuse_tight", name, None, FUSE_ROOM * full_a, one.fuse_a))
        if full_a > carries:
            found.append(finding("wire_over", name, None, full_a, carries))
    return found
