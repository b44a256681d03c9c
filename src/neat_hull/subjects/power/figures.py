"""The electrics of a setup: what stands at any time, its moments, and its day."""

from dataclasses import dataclass
from functools import lru_cache
from math import sqrt

from neat_hull.errors import NotSupplied
from neat_hull.model.judging import LimitKey
from neat_hull.model.power import Conductor, Draw
from neat_hull.model.power_case import PowerCase
from neat_hull.model.power_figures import (
    BankFigure,
    BatteryFigure,
    ConductorFigure,
    LoadFigure,
    PowerFigures,
    VoltsAt,
)
from neat_hull.model.said import Verdict
from neat_hull.physics.circuits.tables import awg_mm2
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.subjects.power import typical
from neat_hull.subjects.power.case import worked_out
from neat_hull.subjects.power.circuit import Circuit, circuit
from neat_hull.subjects.power.conductors import nominal_v
from neat_hull.subjects.power.living import DayLived
from neat_hull.subjects.power.moments import moment
from neat_hull.subjects.power.routes import routes
from neat_hull.subjects.power.rows import Row
from neat_hull.subjects.power.wiring import Wired, way_back, wired

__all__ = [
    "Lived",
    "Standing",
    "forget",
    "lived",
    "power",
    "routes",
    "standing",
]

COPPER_KG_M3 = 8960.0


@dataclass(frozen=True)
class Standing:
    """What holds at any time: the circuit, its report without a day, and its moments.

    dark are names of moments that cannot be supplied, findings rows of both.
    """

    made: Circuit
    report: Row
    moments: list[Row]
    dark: list[str]
    findings: list[Row]


@dataclass(frozen=True)
class Lived:
    """The day: its report and how it was lived; trouble says why there is none."""

    report: Row
    day: DayLived | None
    trouble: str | None


def standing(ev: Evaluated) -> Standing | None:
    """What holds at any time; None without a battery aboard."""
    known = ev.once(_known)
    return None if known is None else _standing(known)


class _Known:
    """A case that can be looked up, so that what it comes to is kept: most changes of a setup leave
    its wiring alone."""

    def __init__(self, case: PowerCase) -> None:
        self.case = case
        self._hash = hash((case.name, *(one.length_m for one in case.wires)))

    def __hash__(self) -> int:
        return self._hash

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Known) and (self.case is other.case or self.case == other.case)


def _known(ev: Evaluated) -> _Known | None:
    case = ev.once(wired).case
    return None if case is None else _Known(case)


@lru_cache(maxsize=8)
def _standing(of: _Known) -> Standing:
    case = of.case
    still: dict[str, object] = {"day": None, "home": None, "moments": [], "chargers": []}
    made = circuit(case)
    report, _ = worked_out(Circuit(case.model_copy(update=still), made.batteries, made.banks))
    moments, dark = list[Row](), list[str]()
    findings: list[Row] = list(report["findings"])
    for one in case.moments:
        try:
            moments.append(moment(made, one.name, one.on, one.soc, False, findings))
        except NotSupplied:
            dark.append(one.name)
    return Standing(made, report, moments, dark, findings)


def lived(ev: Evaluated) -> Lived | None:
    """The day; None without a battery aboard."""
    known = ev.once(_known)
    return None if known is None else _lived(known)


@lru_cache(maxsize=8)
def _lived(of: _Known) -> Lived:
    made = circuit(of.case.model_copy(update={"moments": []}))
    try:
        report, day = worked_out(made)
    except NotSupplied as error:
        return Lived({}, None, str(error))
    return Lived(report, day, None)


def forget() -> None:
    """Forget every wiring that was seen, as before the first."""
    _standing.cache_clear()
    _lived.cache_clear()


def power(ev: Evaluated) -> PowerFigures | None:
    """All that is live about the electrics; None where nothing aboard has to do with them."""
    found = ev.once(wired)
    if found.case is None and not found.unfed and not ev.once(routes):
        return None
    stands, day = ev.once(standing), ev.once(lived)
    batteries, banks = _batteries(ev, found, stands, day), _banks(ev, stands, day)
    shares = [one.left_share for one in banks if one.left_share is not None and one.used_wh]
    home = None if day is None else day.report.get("home")
    return PowerFigures(
        conductors=_conductors(ev, found, stands),
        loads=_loads(found, stands),
        batteries=batteries,
        banks=banks,
        moments=[] if stands is None else [row["name"] for row in stands.moments],
        unfed=list(found.unfed),
        left_share=min(shares, default=None),
        least_hours=min((_hours(ev, one) for one in banks if one.used_wh), default=None),
        home_h=None if home is None else home["hours"],
        home_asked_h=None if home is None else ev.setup.power.home.hours,
        day_h=sum(phase.hours for phase in ev.setup.power.phases),
        trouble=None if day is None else day.trouble,
    )


def _hours(ev: Evaluated, one: BankFigure) -> float:
    """How long a bank lasts at the day's mean draw; until it went down where it did."""
    whole = sum(phase.hours for phase in ev.setup.power.phases)
    if one.down_h is not None:
        return one.down_h - ev.setup.power.start_h
    gone = 1 - (one.left_share or 0.0)
    return whole / gone if gone > 0 else 500.0


def area_mm2(one: Conductor) -> float:
    """The cross-section of a wire."""
    if one.awg is not None:
        return awg_mm2(one.awg)
    assert one.area_mm2 is not None, "a wire has a gauge or an area"
    return one.area_mm2


def copper_kg(one: Conductor, length_m: float) -> float:
    """Of both ways."""
    return COPPER_KG_M3 * area_mm2(one) * 1e-6 * 2 * length_m


def _conductors(ev: Evaluated, found: Wired, stands: Standing | None) -> list[ConductorFigure]:
    rows: dict[int, Row] = {}
    nominal: dict[int, float] = {}
    if stands is not None:
        for key, row in zip(found.wires, stands.report["wires"], strict=True):
            rows[key] = row
        leads = {battery: key for key, battery in found.leads.items()}
        for i, row in zip(found.batteries, stands.report["batteries"], strict=True):
            if i in leads and row["lead"] is not None:
                rows[leads[i]] = row["lead"]
        for plan in stands.made.banks:
            volts = nominal_v(stands.made, plan)
            nominal |= {found.wires[n]: volts for n in plan.wires}
            nominal |= {leads[found.batteries[n]]: volts for n in plan.batteries
                        if found.batteries[n] in leads}  # fmt: skip
    verdicts = {} if stands is None else _drop_verdicts(ev, found, stands)
    figures = []
    for key, lies in ev.once(routes).items():
        one, row = ev.setup.power.conductors[key], rows.get(key)
        drop = 0.0 if row is None else row["full_a"] * row["resistance_ohm"]
        figures.append(
            ConductorFigure(
                key=key,
                points=list(lies.points),
                length_m=lies.length_m,
                fed=row is not None,
                resistance_ohm=0.0 if row is None else row["resistance_ohm"],
                ampacity_a=0.0 if row is None else row["ampacity_a"],
                full_a=0.0 if row is None else row["full_a"],
                drop_v=drop,
                drop_share=0.0 if row is None else drop / nominal[key],
                drop_verdict=verdicts.get(key, "fine"),
                guard_fuse_a=None if row is None else row["guard_fuse_a"],
                copper_kg=copper_kg(one, lies.length_m),
            )
        )
    return figures


def drop_limit(draw: Draw | None) -> LimitKey:
    """The limit of what may be lost on the way to a thing."""
    return "drop critical" if draw is not None and draw.critical else "drop"


def _drop_verdicts(ev: Evaluated, found: Wired, stands: Standing) -> dict[int, Verdict]:
    """Of each conductor the worst verdict on what is lost on the way to a thing that it feeds."""
    conductors, worst = ev.setup.power.conductors, dict[int, Verdict]()
    for i, row in zip(found.loads, stands.report["loads"], strict=True):
        verdict = ev.table[drop_limit(ev.thing(i).draw)].verdict(row["drop_share"])
        way = list(way_back(ev, i, (*found.wires, *found.leads)))
        joined = {conductors[key].end for key in way}  # leads side by side end at one place
        for key in (*way, *(one for one in found.leads if conductors[one].end in joined)):
            worst[key] = max(worst.get(key, "fine"), verdict, key=RANK.__getitem__)
    return worst


def _loads(found: Wired, stands: Standing | None) -> list[LoadFigure]:
    if stands is None:
        return []
    at: dict[str, list[VoltsAt]] = {}
    least = {one.name: one.min_v for one in stands.made.case.loads}
    for row in stands.moments:
        for load in row["loads"]:
            floor = least[load["name"]]
            low = floor is not None and load["v"] < floor
            at.setdefault(load["name"], []).append(
                VoltsAt(moment=row["name"], volts=load["v"], amps=load["a"], low=low)
            )
    return [
        LoadFigure(thing_id=i, full_a=row["full_a"], drop_v=row["drop_v"],
                   drop_share=row["drop_share"], at=at.get(str(i), []))
        for i, row in zip(found.loads, stands.report["loads"], strict=True)
    ]  # fmt: skip


def _batteries(
    ev: Evaluated, found: Wired, stands: Standing | None, day: Lived | None
) -> list[BatteryFigure]:
    if stands is None:
        return []
    told = day.report.get("batteries") if day is not None else None
    figures = []
    for n, (i, row) in enumerate(zip(found.batteries, stands.report["batteries"], strict=True)):
        case, battery = stands.made.case.batteries[n], ev.thing(i).battery
        assert battery is not None, "the case tells of batteries"
        lived_row = told[n] if told else {}
        figures.append(
            BatteryFigure(
                thing_id=i,
                bank=case.bank.removeprefix("bank "),
                chemistry=battery.chemistry,
                capacity_ah=row["capacity_now_ah"],
                resistance_ohm=row["resistance_now_ohm"],
                usable_wh=row["usable_wh"],
                wh_per_kg=row["usable_wh"] / case.mass_kg if case.mass_kg else 0.0,
                end_soc=lived_row.get("end_soc"),
                off_h=lived_row.get("off_h"),
                max_a=lived_row.get("max_a"),
            )
        )
    return figures


def _banks(ev: Evaluated, stands: Standing | None, day: Lived | None) -> list[BankFigure]:
    if stands is None:
        return []
    told = day.report.get("banks") if day is not None else None
    figures = []
    for n, plan in enumerate(stands.made.banks):
        ids = [int(stands.made.case.batteries[i].name) for i in plan.batteries]
        row = told[n] if told else {}
        name = plan.name.removeprefix("bank ")
        figures.append(
            BankFigure(
                name=ev.thing(ids[0]).name if len(ids) == 1 else name,
                batteries=ids,
                usable_wh=sum(stands.report["batteries"][i]["usable_wh"] for i in plan.batteries),
                least_v=row.get("least_v"),
                used_wh=row.get("energy_wh"),
                left_share=row.get("left_share"),
                band_share=_band_share(ev, ids, [int(stands.made.case.loads[i].name)
                                                 for i in plan.loads], day),
                down_h=row.get("down_h"),
            )
        )  # fmt: skip
    return figures


def _band_share(ev: Evaluated, batteries: list[int], loads: list[int], day: Lived | None) -> float:
    """± of a bank's hours as a share: its capacities and draws, each by how it is known, weighted
    by its part; relative errors add in squares."""
    rows = {} if day is None or not day.report else {r["name"]: r for r in day.report["loads"]}
    sources = [
        (typical.capacity_ah(ev.thing(i), one), typical.KNOWN_SHARE[one.evidence])
        for i in batteries
        if (one := ev.thing(i).battery) is not None
    ]
    draws = [
        (rows[str(i)]["energy_wh"] if str(i) in rows else 1.0, typical.KNOWN_SHARE[draw.evidence])
        for i in loads
        if (draw := ev.thing(i).draw) is not None
    ]
    return sqrt(_of_all(sources) ** 2 + _of_all(draws) ** 2)


def _of_all(parts: list[tuple[float, float]]) -> float:
    whole = sum(size for size, _ in parts)
    return sqrt(sum((size * share) ** 2 for size, share in parts)) / whole if whole else 0.0
