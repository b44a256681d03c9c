"""A setup turned into a bare case: the one way from what is aboard to what the solver reads."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from typing import Any, NamedTuple

from neat_hull.model.power import Conductor, Duty, Power
from neat_hull.model.power_case import (
    CaseBattery,
    CaseConductor,
    CaseLoad,
    CaseWire,
    Converter,
    Cycle,
    Day,
    Home,
    LoadOn,
    Moment,
    On,
    Phase,
    PowerCase,
)
from neat_hull.model.power_case import Charger as CaseCharger
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power import typical
from neat_hull.subjects.power.routes import Route, routes

ALL_ON = "All on"


@dataclass(frozen=True)
class Wired:
    """A setup's electrics as a case, and who is who there.

    Batteries and loads are called by the id of their thing, wires and leads by the key of their
    conductor. unfed are things with a draw that no battery feeds, loose are conductors on none.
    """

    case: PowerCase | None
    leads: dict[int, int]  # conductor → battery
    wires: tuple[int, ...]  # conductors that are wires of the case, in its order
    batteries: tuple[int, ...]
    loads: tuple[int, ...]
    unfed: tuple[int, ...]
    loose: tuple[int, ...]


def wired(ev: Evaluated) -> Wired:
    """The electrics of a setup; without a battery aboard there is no case."""
    setup, placing, aboard = ev.setup, ev.rigged.placing, tuple(sorted(ev.setup.places))
    electric = ev.again("power electric", (setup.things, aboard), lambda: _electric(ev, aboard))
    shut_in = [(i, placing.covered(i), placing.in_hatch(i)) for i in electric]
    hangs_on = (setup.name, setup.power, setup.things, setup.water_temp_c, shut_in,
                ev.once(routes))  # fmt: skip
    return ev.again("power wired", hangs_on, lambda: _wired(ev, electric))


def _electric(ev: Evaluated, aboard: Iterable[int]) -> list[int]:
    return [
        i
        for i in aboard
        if (one := ev.thing(i)).battery is not None or one.draw is not None or one.fuse is not None
    ]


def _wired(ev: Evaluated, aboard: list[int]) -> Wired:
    power = ev.setup.power
    batteries = tuple(i for i in aboard if ev.thing(i).battery is not None)
    takers = [i for i in aboard if (draw := ev.thing(i).draw) is not None and not draw.own_cells]
    lying = ev.once(routes)
    banks = _banks(power, batteries)
    node, leads = _posts(power, batteries, banks, lying)
    wires = _attached(power, node, lying, leads)
    loads = tuple(i for i in takers if i in node)
    case = _case(ev, batteries, banks, leads, wires, loads, node) if batteries else None
    return Wired(
        case,
        {key: battery for battery, key in leads.items()},
        tuple(wires),
        batteries,
        loads,
        tuple(i for i in takers if i not in node),
        tuple(key for key in lying if key not in wires and key not in leads.values()),
    )


def wire_name(key: int) -> str:
    """What a conductor is called in a case."""
    return f"wire {key}"


def way_back(ev: Evaluated, thing_id: int, keys: Iterable[int]) -> Iterator[int]:
    """Those of some conductors that lead from a thing back to what feeds it, the nearest first."""
    conductors = ev.setup.power.conductors
    feeds, at = {conductors[key].end: key for key in keys}, thing_id
    while at in feeds:
        yield feeds[at]
        at = conductors[feeds[at]].start


def _banks(power: Power, batteries: tuple[int, ...]) -> dict[int, str]:
    """The bank of each battery: the one it is joined to, or one of its own."""
    names = {i: f"bank {i}" for i in batteries}
    for name, bank in power.banks.items():
        joined = [i for i in bank.batteries if i in names]
        if len(joined) > 1:
            names |= dict.fromkeys(joined, f"bank {name}")
    return names


def _posts(
    power: Power, batteries: tuple[int, ...], banks: dict[int, str], lying: dict[int, Route]
) -> tuple[dict[int, str], dict[int, int]]:
    """Where wires of a bank may begin: at its batteries, and where their leads are joined; the
    lead of each battery that has one."""
    node = {i: banks[i] for i in batteries}
    leads: dict[int, int] = {}
    for name, bank in power.banks.items():
        if bank.bus is None or f"bank {name}" not in banks.values():
            continue
        node[bank.bus] = f"bank {name}"
        for key in lying:
            one = power.conductors[key]
            if one.start in bank.batteries and one.end == bank.bus and one.start not in leads:
                leads[one.start] = key
    return node, leads


def _attached(
    power: Power, node: dict[int, str], lying: dict[int, Route], leads: dict[int, int]
) -> dict[int, str]:
    """Conductors that hang on a bank, each with what it comes from, parents first; `node` learns
    the ends."""
    wires: dict[int, str] = {}
    left = [key for key in lying if key not in leads.values()]
    while True:
        ready = [k for k in left if power.conductors[k].start in node
                 and power.conductors[k].end not in node]  # fmt: skip
        if not ready:
            return wires
        for key in ready:
            one = power.conductors[key]
            left.remove(key)
            if one.end in node:
                continue
            wires[key] = node[one.start]
            node[one.end] = wire_name(key)


def _case(
    ev: Evaluated,
    batteries: tuple[int, ...],
    banks: dict[int, str],
    leads: dict[int, int],
    wires: dict[int, str],
    loads: tuple[int, ...],
    node: dict[int, str],
) -> PowerCase:
    power = ev.setup.power
    laid = {key: _laid(ev, key) for key in (*wires, *leads.values())}
    fitted = {
        i: _fitted(ev, i, banks[i], laid[leads[i]] if i in leads else None) for i in batteries
    }
    from_wire = {key: (laid[key], start) for key, start in wires.items()}
    at = tuple(node[i] for i in loads)
    hangs_on = power, ev.setup.things, batteries, loads, at
    return PowerCase.model_construct(
        name=ev.setup.name,
        # Where one end moves, most of it stays as it is; of the plan no wire's length is a part.
        batteries=ev.again_each(
            "power battery", fitted, lambda some: {i: _battery(i, fitted[i]) for i in some}
        ),
        wires=ev.again_each(
            "power wire", from_wire, lambda some: {i: _wire(i, *from_wire[i]) for i in some}
        ),
        **ev.again("power plan", hangs_on, lambda: _plan(ev, batteries, loads, at)),
    )


def _plan(
    ev: Evaluated, batteries: tuple[int, ...], loads: tuple[int, ...], at: tuple[str, ...]
) -> dict[str, Any]:
    """Loads, the day, its moments, the way home and what charges, as a case has them."""
    power = ev.setup.power
    return {
        "loads": [
            _load(ev.thing(i), i, node, power.duties.get(i))
            for i, node in zip(loads, at, strict=True)
        ],
        "day": _day(power),
        "moments": _moments(ev, batteries, loads),
        "home": _home(ev, loads),
        "chargers": [
            CaseCharger(name=name, battery=str(one.battery), chemistry=one.chemistry,
                        amps=one.amps, temperature_c=one.around_c)
            for name, one in power.chargers.items()
            if one.battery in batteries
        ],
    }  # fmt: skip


class _Laid(NamedTuple):
    """A conductor as it lies."""

    one: Conductor
    length_m: float
    hot: bool  # under the deck, or in a box in the sun
    air_c: float


def _laid(ev: Evaluated, key: int) -> _Laid:
    one = ev.setup.power.conductors[key]
    hot = any(ev.rigged.placing.covered(i) for i in (one.start, one.end))
    return _Laid(one, ev.once(routes)[key].length_m, hot, ev.setup.power.air_c)


def _conductor(laid: _Laid) -> dict[str, Any]:
    """Its fields in a case."""
    one = laid.one
    return {
        "awg": one.awg,
        "area_mm2": one.area_mm2,
        "length_m": laid.length_m,
        "temperature_c": laid.air_c,
        "joints_ohm": typical.joints_ohm(one),
        "fuse_a": one.fuse_a,
        "fuse_at_m": one.fuse_at_m,
        "insulation_c": one.insulation_c,
        "around_c": typical.HOT_HULL_C if laid.hot else typical.AROUND_C,
        "bundled": one.bundled,
    }


def _wire(key: int, laid: _Laid, from_: str) -> CaseWire:
    return CaseWire.model_construct(name=wire_name(key), from_=from_, **_conductor(laid))


class _Fitted(NamedTuple):
    """A battery where it stands, full as it starts, and its lead."""

    thing: Thing
    bank: str
    lead: _Laid | None
    start_soc: float
    temperature_c: float


def _fitted(ev: Evaluated, i: int, bank: str, lead: _Laid | None) -> _Fitted:
    water_c, power = ev.setup.water_temp_c, ev.setup.power
    below = ev.rigged.placing.in_hatch(i)  # there it takes the temperature of the water
    around_c = water_c if below and water_c is not None else power.air_c
    return _Fitted(ev.thing(i), bank, lead, power.charge.get(i, 1.0), around_c)


def _battery(i: int, fitted: _Fitted) -> CaseBattery:
    thing, lead = fitted.thing, fitted.lead
    one = thing.battery
    assert one is not None, "asked for batteries"
    return CaseBattery.model_construct(
        name=str(i),
        bank=fitted.bank,
        chemistry=one.chemistry,
        capacity_ah=typical.capacity_ah(thing, one),
        rated_hours=typical.rated_hours(one),
        resistance_ohm=typical.resistance_ohm(thing, one),
        usable_share=typical.usable_share(one),
        start_soc=fitted.start_soc,
        series=one.series,
        health_share=one.health_share,
        temperature_c=fitted.temperature_c,
        second_rating=typical.second_rating(thing, one),
        cut_off_v=one.cut_off_v,
        max_discharge_a=one.max_discharge_a,
        max_charge_a=one.max_charge_a,
        mass_kg=thing.mass_now_kg,
        lead=None if lead is None else CaseConductor.model_construct(**_conductor(lead)),
    )


def _load(thing: Thing, i: int, at: str, duties: list[Duty] | None) -> CaseLoad:
    draw = thing.draw
    assert draw is not None, "asked for what takes current"
    if duties is not None:
        on = [_on(one) for one in duties]
    else:
        on = [On(share=draw.usual_share)] if draw.usual_share > 0 else []
    through = None
    if draw.efficiency is not None:
        through = Converter(efficiency=draw.efficiency, idle_w=draw.idle_w)
    return CaseLoad.model_construct(
        name=str(i), at=at, amps=draw.amps, watts=draw.watts, ohms=draw.ohms, converter=through,
        min_v=draw.min_v, critical=draw.critical, on=on,
    )  # fmt: skip


def _on(one: Duty) -> On:
    cycle = None
    if one.cycle is not None:
        cycle = Cycle(on_min=one.cycle.on_min, off_min=one.cycle.off_min)
    return On(phase=one.phase, share=one.share, level=one.level, cycle=cycle)


def _day(power: Power) -> Day:
    at, phases = power.start_h, []
    for phase in power.phases:
        phases.append(Phase(name=phase.name, from_h=at, to_h=at + phase.hours))
        at += phase.hours
    return Day(start_h=power.start_h, end_h=at, phases=phases)


def _moments(ev: Evaluated, batteries: tuple[int, ...], loads: tuple[int, ...]) -> list[Moment]:
    """All on; each thing that starts with a surge while all else runs; and the owner's own."""
    power = ev.setup.power
    soc = {str(i): min(power.moment_charge, power.charge.get(i, 1.0)) for i in batteries}

    def moment(name: str, on: Iterable[tuple[int, float]]) -> Moment:
        listed = [LoadOn(load=str(i), level=level) for i, level in on]
        return Moment(name=name, on=listed, soc=soc)

    if not loads:
        return []
    made = [moment(ALL_ON, ((i, 1.0) for i in loads))]
    for i in loads:
        draw = ev.thing(i).draw
        if draw is not None and draw.start_level is not None:
            surge = draw.start_level
            levels = ((j, surge if j == i else 1.0) for j in loads)
            made.append(moment(f"{ev.thing(i).name} starts", levels))
    known = set(loads)
    for name, on in power.moments.items():
        made.append(moment(name, ((i, level) for i, level in on.items() if i in known)))
    return made


def _home(ev: Evaluated, loads: tuple[int, ...]) -> Home | None:
    asked = ev.setup.power.home
    if asked.on is None:
        on = [i for i in loads if (draw := ev.thing(i).draw) is not None and draw.critical]
    else:
        on = [i for i in asked.on if i in loads]
    if not on:
        return None
    return Home(on=[LoadOn(load=str(i)) for i in on], hours=asked.hours)
