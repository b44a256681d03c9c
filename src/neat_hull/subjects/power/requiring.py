"""What a power case must be before it means anything."""

from collections.abc import Iterable, Iterator, Sequence
from itertools import pairwise

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.power_case import CaseConductor, CaseLoad, LoadOn, On, PowerCase
from neat_hull.physics.circuits.tables import AWG_LISTED, INSULATIONS_C, LEAST_MM2
from neat_hull.subjects.power.batteries import exponent


def require_case(case: PowerCase) -> None:
    """Raises InputErrors naming each field by its path."""
    wrong = [*_names(case), *_batteries(case), *_wires(case), *_loads(case), *_day(case),
             *_moments(case)]  # fmt: skip
    if wrong:
        raise InputErrors(wrong)


def _twice(path: str, names: Sequence[str]) -> Iterator[InputError]:
    for i, name in enumerate(names):
        if name in names[:i]:
            yield InputError(f"{path}[{i}].name", name, f"{name!r} is there twice")


def _names(case: PowerCase) -> Iterator[InputError]:
    for path in ("batteries", "loads", "moments", "chargers"):
        yield from _twice(path, [one.name for one in getattr(case, path)])
    banks = {battery.bank for battery in case.batteries}
    yield from _twice("wires", [wire.name for wire in case.wires])
    for i, wire in enumerate(case.wires):
        if wire.name in banks:
            yield InputError(f"wires[{i}].name", wire.name, f"{wire.name!r} is a bank as well")


def _batteries(case: PowerCase) -> Iterator[InputError]:
    series: dict[str, int] = {}
    for i, one in enumerate(case.batteries):
        at = f"batteries[{i}]"
        if one.peukert is not None and one.second_rating is not None:
            yield InputError(f"{at}.peukert", one.peukert, "stands beside a second rating")
        if one.second_rating is not None:
            k = exponent(one)
            if k is None or not 1 <= k <= 2:
                yield InputError(f"{at}.second_rating", k, "gives an exponent outside 1 to 2")
        curve = one.open_circuit_v
        if one.chemistry == "other" and curve is None:
            yield InputError(f"{at}.open_circuit_v", None, "is needed for another chemistry")
        if curve is not None:
            rising = all(a[0] < b[0] and a[1] <= b[1] for a, b in pairwise(curve))
            if len(curve) < 2 or curve[0][0] != 0 or curve[-1][0] != 1 or not rising:
                yield InputError(f"{at}.open_circuit_v", None,
                                 "must rise from a state of charge of 0 to one of 1")  # fmt: skip
            elif curve[0][1] < 0:
                yield InputError(f"{at}.open_circuit_v", None, "volts must be 0 or more")
        if series.setdefault(one.bank, one.series) != one.series:
            yield InputError(f"{at}.series", one.series, f"differs from others of bank {one.bank}")
        if one.lead is not None:
            yield from _conductor(f"{at}.lead", one.lead)


def _conductor(at: str, one: CaseConductor) -> Iterator[InputError]:
    if (one.awg is None) == (one.area_mm2 is None):
        yield InputError(f"{at}.awg", one.awg, "needs one of awg and area_mm2")
    elif one.awg is not None and one.awg not in AWG_LISTED:
        yield InputError(f"{at}.awg", one.awg, "is no gauge in the table")
    elif one.area_mm2 is not None and one.area_mm2 < LEAST_MM2 * (1 - 1e-12):
        yield InputError(f"{at}.area_mm2", one.area_mm2, "is thinner than any in the table")
    if one.insulation_c not in INSULATIONS_C:
        yield InputError(f"{at}.insulation_c", one.insulation_c, "must be 60, 75, 90 or 105")


def _wires(case: PowerCase) -> Iterator[InputError]:
    banks = {battery.bank for battery in case.batteries}
    parent = {wire.name: wire.from_ for wire in case.wires}
    for i, wire in enumerate(case.wires):
        yield from _conductor(f"wires[{i}]", wire)
        if wire.from_ not in banks and wire.from_ not in parent:
            yield InputError(f"wires[{i}].from", wire.from_, f"there is no {wire.from_!r}")
            continue
        seen, at = {wire.name}, wire.from_
        while at in parent and at not in banks:
            if at in seen:
                yield InputError(f"wires[{i}].from", wire.from_, "these wires run in a circle")
                break
            seen.add(at)
            at = parent[at]


def _loads(case: PowerCase) -> Iterator[InputError]:
    ends = {battery.bank for battery in case.batteries} | {wire.name for wire in case.wires}
    for i, load in enumerate(case.loads):
        at = f"loads[{i}]"
        if load.at not in ends:
            yield InputError(f"{at}.at", load.at, f"there is no bank or wire {load.at!r}")
        given = [load.amps, load.watts, load.ohms]
        if sum(value is not None for value in given) != 1:
            yield InputError(f"{at}.amps", None, "needs one of amps, watts and ohms")
        if load.converter is not None and load.watts is None:
            yield InputError(f"{at}.converter", None, "a converter needs watts")
        yield from _ons(case, at, load)


def _ons(case: PowerCase, at: str, load: CaseLoad) -> Iterator[InputError]:
    phases = {phase.name for phase in case.day.phases} if case.day else set()
    for j, on in enumerate(load.on):
        where = f"{at}.on[{j}]"
        if case.day is None:
            yield InputError(where, None, "there is no day")
        elif on.phase is not None and on.phase not in phases:
            yield InputError(f"{where}.phase", on.phase, f"there is no phase {on.phase!r}")
        yield from _hours(where, on)


def _hours(where: str, on: On) -> Iterator[InputError]:
    hours = (on.from_h, on.to_h)
    if on.phase is not None and hours != (None, None):
        yield InputError(f"{where}.from_h", on.from_h, "stands beside a phase")
    elif (on.from_h is None) != (on.to_h is None):
        yield InputError(f"{where}.to_h", on.to_h, "needs both hours, from and to")
    elif on.from_h is not None and on.to_h is not None and on.from_h >= on.to_h:
        yield InputError(f"{where}.to_h", on.to_h, "must be after from_h")


def _day(case: PowerCase) -> Iterator[InputError]:
    day = case.day
    if day is None:
        if case.home is not None:
            yield InputError("home", None, "there is no day to come home from")
        return
    if day.start_h >= day.end_h:
        yield InputError("day.end_h", day.end_h, "must be after start_h")
    for i, phase in enumerate(day.phases):
        if phase.from_h >= phase.to_h:
            yield InputError(f"day.phases[{i}].to_h", phase.to_h, "must be after from_h")
    for i, hour in enumerate(day.sample_h):
        if not day.start_h <= hour <= day.end_h:
            yield InputError(f"day.sample_h[{i}]", hour, "lies outside the day")


def _moments(case: PowerCase) -> Iterator[InputError]:
    loads = {load.name for load in case.loads}
    batteries = {battery.name for battery in case.batteries}

    def known(path: str, on: Iterable[LoadOn]) -> Iterator[InputError]:
        names: list[str] = []
        for i, one in enumerate(on):
            if one.load not in loads:
                yield InputError(f"{path}[{i}].load", one.load, f"there is no load {one.load!r}")
            if one.load in names:
                yield InputError(f"{path}[{i}].load", one.load, "is there twice")
            names.append(one.load)

    for i, moment in enumerate(case.moments):
        yield from known(f"moments[{i}].on", moment.on)
        for name in moment.soc:
            if name not in batteries:
                yield InputError(f"moments[{i}].soc", name, f"there is no battery {name!r}")
    if case.home is not None:
        yield from known("home.on", case.home.on)
    for i, charger in enumerate(case.chargers):
        if charger.battery not in batteries:
            why = f"there is no battery {charger.battery!r}"
            yield InputError(f"chargers[{i}].battery", charger.battery, why)
