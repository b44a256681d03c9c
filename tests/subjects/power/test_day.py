"""The day against the plainest way to take it: steps of a tenth of a minute, all of one length."""

import json
from random import Random
from typing import Any

import pytest

from neat_hull.errors import NotSupplied
from neat_hull.model.power_case import PowerCase
from neat_hull.physics.circuits.running import Bank
from neat_hull.subjects.power.case import power_report
from neat_hull.subjects.power.circuit import BankPlan, Circuit, circuit
from neat_hull.subjects.power.day import ruling, spans

START_H, END_H, STEP_H = 6.0, 14.0, 1 / 600


def made_up(seed: int) -> PowerCase:
    """Batteries of several kinds, aged and cold, in one or two banks; loads on and off."""
    draw = Random(seed)
    batteries: list[dict[str, Any]] = []
    for i in range(draw.randint(1, 3)):
        row = {
            "name": f"b{i}", "bank": draw.choice(["x", "y"]) if i else "x",
            "chemistry": draw.choice(["lead_acid", "lifepo4", "li_ion"]),
            "capacity_ah": draw.uniform(3, 20), "rated_hours": draw.choice([5, 10, 20]),
            "resistance_ohm": draw.uniform(0.02, 0.15), "usable_share": draw.uniform(0.4, 0.9),
            "start_soc": draw.choice([1.0, draw.uniform(0.3, 1)]),
            "temperature_c": draw.choice([25, 5, -5]), "health_share": draw.uniform(0.6, 1),
            "takes_no_charge": draw.random() < 0.2,
        }  # fmt: skip
        cut = draw.choice([None, 10.0, 11.3])
        batteries.append(row if cut is None else row | {"cut_off_v": cut})
    banks = sorted({row["bank"] for row in batteries})
    loads = []
    for i in range(draw.randint(1, 5)):
        at = draw.uniform(6, 12)
        on: list[dict[str, Any]] = [
            {"from_h": at, "to_h": at + draw.uniform(0.2, 5), "level": draw.uniform(0.5, 2)}
        ]
        if draw.random() < 0.4:
            cycle = {"on_min": draw.uniform(5, 20), "off_min": draw.uniform(5, 20)}
            on.insert(0, {"phase": "p", "cycle": cycle})
        kind, low, high = draw.choice([("amps", 0.2, 3), ("watts", 3, 40), ("ohms", 3, 30)])
        loads.append({"name": f"l{i}", "at": draw.choice(banks), "on": on,
                      "min_v": draw.uniform(10, 12.5), kind: draw.uniform(low, high)})  # fmt: skip
    day = {"start_h": START_H, "end_h": END_H, "phases": [{"name": "p", "from_h": 8, "to_h": 11}]}
    case = {"name": str(seed), "batteries": batteries, "loads": loads, "day": day}
    return PowerCase.model_validate_json(json.dumps(case))


def plainly(made: Circuit, plan: BankPlan) -> tuple[Bank, dict[int, float], dict[int, float]]:
    """The bank at the end; Wh and minutes under its least voltage of each load."""
    case = made.case
    assert case.day is not None
    bank = made.bank(plan, [one.start_soc for one in case.batteries])
    when = {i: spans(case.loads[i], case.day) for i in plan.loads}
    energy, low = dict.fromkeys(plan.loads, 0.0), dict.fromkeys(plan.loads, 0.0)
    for n in range(round((END_H - START_H) / STEP_H)):
        at = START_H + n * STEP_H
        on = {i: one for i, of in when.items() if (one := ruling(of, at + STEP_H / 2))}
        draws = made.draws(plan, {i: (one.share, one.level) for i, one in on.items()})
        now = bank.settled(at, draws)
        if now is None:
            break
        for i, draw in zip([i for i in plan.loads if i in on], draws, strict=True):
            volts = now.at(draw.wire)
            energy[i] += volts * draw.at_v(volts) * STEP_H
            low[i] += 60 * STEP_H * (volts < (case.loads[i].min_v or 0))
        rates = [b.soc_per_h(a) for b, a in zip(bank.batteries, now.battery_a, strict=True)]
        bank.soc = [
            min(1.0, max(0.0, s + STEP_H * r)) for s, r in zip(bank.soc, rates, strict=True)
        ]
    return bank, energy, low


@pytest.mark.parametrize("seed", range(8))
def test_the_day_is_that_of_many_small_steps(seed: int) -> None:
    case = made_up(seed)
    try:
        told = power_report(case)
    except NotSupplied:
        pytest.skip("this one cannot be supplied from the start")
    made = circuit(case)
    for plan in made.banks:
        bank, energy, low = plainly(made, plan)
        for place, i in enumerate(plan.batteries):
            row = told["batteries"][i]
            assert row["end_soc"] == pytest.approx(bank.soc[place], abs=0.004)
            assert (row["off_h"] is None) == (bank.off_h[place] is None)
            assert (row["off_h"] or 0) == pytest.approx(bank.off_h[place] or 0, abs=0.02)
        for i in plan.loads:
            row = told["loads"][i]
            assert row["energy_wh"] == pytest.approx(energy[i], abs=0.1, rel=0.005)
            assert row["low_min"] == pytest.approx(low[i], abs=2)
