"""A day of batteries for a simulated monitor to play, and what a monitor's readings teach."""

import random
import re
from collections.abc import Sequence
from math import hypot, sqrt

from neat_hull.errors import InputError
from neat_hull.model.monitor import Fault, PlayStep, TwoReadings, TwoReadingsResult
from neat_hull.model.power_case import CaseConductor, Cycle, On, PowerCase
from neat_hull.model.said import Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power.chart import Told
from neat_hull.subjects.power.figures import standing
from neat_hull.subjects.power.wiring import wired

BAD_JOINT_OHM = 0.06  # a green one: 50 mΩ and more
LESS_CAPACITY = 0.8
_THICK_MM2 = 50.0  # of a lead that is nothing but its joint
_CYCLE_MIN = 10.0  # in which what is on for a share of the time goes on and off
_AT_CHARGE = 0.75  # at which a resistance is taken as measured: about the middle of a day
_SURE = 2.0  # standard errors
_MORE = 1.5  # times what is expected: then something is in the way
_LEAST_STEP_A = 0.05


def says(name: str) -> str:
    """What a monitor calls a bank: letters and digits of its name."""
    return re.sub(r"[^A-Z0-9]", "", name.upper())[:20] or "BANK"


def bank_names(ev: Evaluated) -> list[tuple[str, int, str]]:
    """Each bank: its name, its first battery, and what a monitor calls it."""
    stands = ev.once(standing)
    found = []
    for plan in stands.made.banks if stands is not None else ():
        assert stands is not None
        first = int(stands.made.case.batteries[plan.batteries[0]].name)
        name = ev.thing(first).name if len(plan.batteries) == 1 else plan.name[5:]
        found.append((name, first, says(name)))
    return found


def played(ev: Evaluated, fault: Fault, seed: int | None = None) -> list[PlayStep]:
    """Volts and amps of each bank through the day, with a fault in the first battery that feeds
    anything. Raises InputError without a battery, NotSupplied where it is dark from the start."""
    case = ev.once(wired).case
    if case is None:
        raise InputError("setup", None, "there is no battery aboard")
    if fault == "hidden":
        fault = random.Random(seed).choice(("joint", "capacity"))
    day = Told(_faulty(_on_and_off(case), fault))
    began = day.at_h[0]
    names = {f"{plan.name}": says_ for plan, (_, _, says_) in zip(
        day.made.banks, bank_names(ev), strict=True)}  # fmt: skip
    steps: list[PlayStep] = []
    for at, sample in zip(day.at_h, day.lived.samples, strict=True):
        for plan in day.made.banks:
            volts = sample["v"].get(plan.name)
            for side in (-1e-6, 1e-6):  # both sides of a switching
                amps = _amps(day, plan.loads, at + side, volts)
                steps.append(
                    PlayStep(
                        at_s=max(0.0, 3600 * (at - began) + (0.0 if side > 0 else -0.5)),
                        bank=names[plan.name],
                        volts=_volts(day, plan.name, at, side, amps, volts),
                        amps=amps,
                    )
                )
    return steps


def _on_and_off(case: PowerCase) -> PowerCase:
    """What is on for a share of the time goes on and off: that is what a monitor sees."""
    loads = [one.model_copy(update={"on": [_cycled(on) for on in one.on]}) for one in case.loads]
    return case.model_copy(update={"loads": loads, "moments": [], "home": None, "chargers": []})


def _cycled(on: On) -> On:
    if on.share >= 1 or on.cycle is not None:
        return on
    long = _CYCLE_MIN * on.share
    return on.model_copy(
        update={"share": 1.0, "cycle": Cycle(on_min=long, off_min=_CYCLE_MIN - long)}
    )


def _faulty(case: PowerCase, fault: Fault) -> PowerCase:
    if fault == "none":
        return case
    first, *others = case.batteries
    worse: dict[str, object] = {"capacity_ah": first.capacity_ah * LESS_CAPACITY}
    if fault == "joint":
        lead = first.lead or CaseConductor(area_mm2=_THICK_MM2, length_m=0.0)
        joints = lead.joints_ohm + BAD_JOINT_OHM
        worse = {"lead": lead.model_copy(update={"joints_ohm": joints})}
    return case.model_copy(update={"batteries": [first.model_copy(update=worse), *others]})


def _amps(day: Told, loads: Sequence[int], at_h: float, volts: float | None) -> float:
    if volts is None:
        return 0.0
    return sum(one.at_v(volts) for one in day.draws(loads, at_h))


def _volts(
    day: Told, bank: str, at_h: float, side: float, amps: float, after_v: float | None
) -> float:
    """At the bank just before or after an instant: what it would be with that current."""
    if after_v is None:
        return 0.0
    after_a = _amps(day, day.plan(bank).loads, at_h + 1e-6, after_v)
    return after_v - (amps - after_a) * day.ohm(bank, at_h) if side < 0 else after_v


def expected_ohm(ev: Evaluated, bank: int) -> tuple[float, float]:
    """What the setup has for a bank's resistance in the day, leads with it; and of one battery
    alone, how many times its full and warm one that is."""
    stands = ev.once(standing)
    assert stands is not None, "asked of banks"
    plan = stands.made.banks[bank]
    batteries = [stands.made.batteries[i] for i in plan.batteries]
    siemens = sum(1 / (b.inner_ohm(_AT_CHARGE) + b.lead_ohm) for b in batteries)
    full = stands.made.case.batteries[plan.batteries[0]].resistance_ohm
    return 1 / siemens, batteries[0].inner_ohm(_AT_CHARGE) / full


def full_ohm(ev: Evaluated, bank: int, measured_ohm: float) -> float | None:
    """The battery's own resistance, full and warm, from one measured at the bank in the day; None
    for several in parallel, which cannot be told apart."""
    stands = ev.once(standing)
    assert stands is not None, "asked of banks"
    plan = stands.made.banks[bank]
    if len(plan.batteries) > 1:
        return None
    own = measured_ohm - stands.made.batteries[plan.batteries[0]].lead_ohm
    return own / expected_ohm(ev, bank)[1] if own > 0 else None


def judged(measured_ohm: float | None, se_ohm: float | None, expected: float) -> Verdict:
    """Whether a bank resists more than it should: a joint gone green, or a tired battery."""
    if measured_ohm is None or se_ohm is None:
        return "fine"
    return "fix" if measured_ohm - _SURE * se_ohm > _MORE * expected else "fine"


def from_two(readings: TwoReadings) -> TwoReadingsResult:
    """R = (V₀ − V₁)/(I₁ − I₀), and what the load takes. Raises InputError where the current does
    not change, or the voltage rises under it."""
    amps = readings.load_a - readings.rest_a
    if abs(amps) < _LEAST_STEP_A:
        raise InputError("load_a", readings.load_a, "must differ from the current without the load")
    ohm = (readings.rest_v - readings.load_v) / amps
    if ohm <= 0:
        raise InputError("load_v", readings.load_v, "must be less than without the load")
    # Both readings are off by as much, and independently; relative errors add in squares.
    dv = sqrt(2) * readings.volts_se / (readings.rest_v - readings.load_v)
    di = sqrt(2) * readings.amps_se / amps
    watts = readings.load_v * amps
    return TwoReadingsResult(
        resistance_ohm=ohm,
        resistance_se_ohm=ohm * hypot(dv, di),
        watts=watts,
        watts_se=watts * hypot(readings.volts_se / readings.load_v if readings.load_v else 0.0, di),
        amps=amps,
    )
