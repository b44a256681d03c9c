"""Batteries of a case as they are now: by chemistry, cold, age and rate."""

from math import log

from neat_hull.model.power_case import CaseBattery, CaseConductor
from neat_hull.physics.circuits.battery import AGED_OHM, Battery, along
from neat_hull.physics.circuits.tables import CHEMISTRIES, Curve, awg_mm2, loop_ohm


def conductor_ohm(one: CaseConductor | None) -> float:
    """The loop of a wire or lead, its joints with it; nothing where there is none."""
    if one is None:
        return 0.0
    area = awg_mm2(one.awg) if one.awg is not None else one.area_mm2
    assert area is not None, "a conductor has a gauge or an area"
    return loop_ohm(area, one.length_m, one.temperature_c) + one.joints_ohm


def exponent(one: CaseBattery) -> float | None:
    """Peukert's k: given, from two ratings, or the chemistry's; None where two give none."""
    if one.peukert is not None:
        return one.peukert
    second = one.second_rating
    if second is None:
        return CHEMISTRIES[one.chemistry].peukert
    first_a, second_a = one.capacity_ah / one.rated_hours, second.capacity_ah / second.hours
    if first_a == second_a:
        return None
    return log(second.hours / one.rated_hours) / log(first_a / second_a)


def as_it_is(one: CaseBattery) -> Battery:
    """The battery of the equations."""
    table = CHEMISTRIES[one.chemistry]
    aged = 1 + AGED_OHM * (1 - one.health_share)
    curve: Curve = table.open_circuit_v
    if one.open_circuit_v is not None:
        curve = (tuple(s for s, _ in one.open_circuit_v), tuple(v for _, v in one.open_circuit_v))
    cold = along(table.ohm_by_temperature, one.temperature_c)
    k = exponent(one)
    assert k is not None, "required before"
    return Battery(
        name=one.name,
        bank=one.bank,
        series=one.series,
        capacity_ah=one.capacity_ah
        * one.health_share
        * along(table.capacity_by_temperature, one.temperature_c),
        rated_a=one.capacity_ah / one.rated_hours,
        peukert=k,
        open_circuit_v=curve,
        full_ohm=one.resistance_ohm * cold * aged,
        ohm_by_soc=table.ohm_by_soc,
        lead_ohm=conductor_ohm(one.lead),
        cut_off_v=one.cut_off_v,
        takes_no_charge=one.takes_no_charge,
    )
