"""Moments, how long they hold, and the way home."""

from collections.abc import Mapping, Sequence

from neat_hull.errors import NotSupplied
from neat_hull.model.power_case import LoadOn, PowerCase
from neat_hull.physics.circuits.network import Solved
from neat_hull.physics.circuits.running import Bank, above, run
from neat_hull.subjects.power.circuit import Circuit
from neat_hull.subjects.power.living import DayLived
from neat_hull.subjects.power.rows import Row, finding

LONGEST_HOLD_H = 500.0


def _listed(case: PowerCase, on: Sequence[LoadOn]) -> dict[int, tuple[float, float]]:
    at = {load.name: i for i, load in enumerate(case.loads)}
    return dict(sorted((at[one.load], (1.0, one.level)) for one in on))


def moment(
    made: Circuit,
    name: str,
    on: Sequence[LoadOn],
    socs: Mapping[str, float],
    hold: bool,
    findings: list[Row],
) -> Row:
    """What stands at a moment with some loads on, what is wrong with it, and how long it holds."""
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
            findings.append(finding("brown_out", case.loads[i].name, name, loads[i]["v"], least))
    for one, v, a in zip(case.batteries, posts, amps, strict=True):
        if one.max_discharge_a is not None and a > one.max_discharge_a:
            findings.append(finding("battery_over", one.name, name, a, one.max_discharge_a))
        if one.cut_off_v is not None and a > 0 and v < one.cut_off_v:
            findings.append(finding("cut_off", one.name, name, v, one.cut_off_v))
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

        def room(
            bank: Bank,
            soc: Sequence[float],
            at: Solved,
            least: Sequence[tuple[int, float]] = least,
            shares: Sequence[float] = shares,
        ) -> float:
            over = (above(at.at(wire), v) for wire, v in least)
            return min((left_share(bank, soc, shares), *over))

        end = run(bank, 0.0, LONGEST_HOLD_H, draws, lambda _: None, room)
        if bank.down_h is not None:
            ends.append((bank.down_h, 0))
        elif end < LONGEST_HOLD_H - 1e-9:
            now = bank.solved(draws, bank.soc)
            ends.append((end, 1 if now is not None and brown(now) else 2))
    if not ends:
        return None, None
    first = min(at for at, _ in ends)
    return first, _ENDS[min(kind for at, kind in ends if at <= first + 1e-6)]


def left_share(bank: Bank, soc: Sequence[float], usable: Sequence[float]) -> float:
    """What of the usable charge of a bank is left, those that are off with the rest."""
    rows = list(zip(bank.batteries, soc, usable, strict=True))
    left = sum(b.capacity_ah * (s - (1 - u)) for b, s, u in rows)
    return left / sum(b.capacity_ah * u for b, _, u in rows)


def way_home(made: Circuit, day: DayLived, findings: list[Row]) -> Row:
    """How long what is needed for the way home can be kept on, from the end of the day."""
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
        findings.append(finding("reserve", "home", None, hours, home.hours))
    return {"hours": hours, "ends_by": ends_by}
