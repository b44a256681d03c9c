"""A bare case: the day, moments, fuses and findings by hand; nonsense refused by its path."""

import copy
import json
from collections.abc import Callable
from pathlib import Path
from typing import Any

import pytest

from neat_hull.errors import InputError, NotSupplied
from neat_hull.files.power_case import read_power_case
from neat_hull.subjects.power.case import power_report

Case = dict[str, Any]
HOUSE: Case = {
    "name": "house", "bank": "aft", "chemistry": "lifepo4", "capacity_ah": 20, "rated_hours": 5,
    "resistance_ohm": 0.03, "usable_share": 0.9, "start_soc": 1.0, "series": None,
    "max_discharge_a": 20, "cut_off_v": 10.0, "mass_kg": 2.5,
    "lead": {"awg": 12, "length_m": 0.3, "fuse_a": 20, "fuse_at_m": 0.1},
}  # fmt: skip
PLAIN: Case = {
    "name": "one", "note": "mine", "batteries": [HOUSE],
    "wires": [{"name": "tail", "from": "aft", "awg": 16, "length_m": 2.0, "fuse_a": 5}],
    "loads": [
        {"name": "screen", "at": "tail", "watts": 12, "min_v": 10.8, "critical": True,
         "on": [{"phase": "fishing"}]},
        {"name": "pump", "at": "aft", "amps": 2.5,
         "on": [{"from_h": 6, "to_h": 12, "cycle": {"on_min": 3, "off_min": 12}}]},
    ],
    "day": {"start_h": 6, "end_h": 14, "phases": [{"name": "fishing", "from_h": 7, "to_h": 13}],
            "sample_h": [6, 6.05, 14]},
    "moments": [{"name": "all on", "on": [{"load": "screen"}, {"load": "pump", "level": 2}],
                 "hold": True}],
    "home": {"on": [{"load": "screen"}], "hours": 1.0},
    "chargers": [{"name": "wall", "battery": "house", "chemistry": "lead_acid", "amps": 5,
                  "temperature_c": -2}],
}  # fmt: skip


def report(case: Case, tmp_path: Path) -> Case:
    """The case read from a file, and what it comes to."""
    path = tmp_path / "case.json"
    path.write_text(json.dumps(case), encoding="utf-8")
    return power_report(read_power_case(path))


def changed(change: Callable[[Case], object]) -> Case:
    """The plain case with a change."""
    case = copy.deepcopy(PLAIN)
    change(case)
    return case


def test_the_day_adds_up(tmp_path: Path) -> None:
    told = report(PLAIN, tmp_path)
    screen, pump = told["loads"]
    assert screen["energy_wh"] == pytest.approx(6 * 12, rel=1e-6)
    (battery,), (bank,) = told["batteries"], told["banks"]
    # 24 rounds of three minutes at 2.5 A, and the screen.
    assert battery["drawn_ah"] == pytest.approx(24 * 0.05 * 2.5 + 72 / 13.2, rel=0.02)
    assert bank["energy_wh"] > screen["energy_wh"] + pump["energy_wh"]  # the tail takes its own
    assert battery["end_soc"] == pytest.approx(1 - battery["drawn_ah"] / 20, rel=0.01)
    assert bank["down_h"] is battery["off_h"] is None
    assert (screen["low_min"], screen["unserved_min"]) == (0, 0)
    first, second, last = told["samples"]
    assert first["v"]["aft"] < second["v"]["aft"]  # the pump is on at six, and off three past
    assert last["soc"]["house"] == pytest.approx(battery["end_soc"])


def test_a_moment_holds_until_the_usable_charge_is_gone(tmp_path: Path) -> None:
    (moment,) = report(PLAIN, tmp_path)["moments"]
    (bank,) = moment["banks"]
    assert bank["a"] == pytest.approx(5.0 + moment["loads"][0]["a"])
    assert moment["ends_by"] == "usable"
    assert moment["holds_h"] == pytest.approx(18 / 5.95, rel=0.03)


def test_what_is_wrong_with_wires_and_chargers_is_found(tmp_path: Path) -> None:
    case = changed(lambda c: c["wires"][0].update(fuse_a=None))
    case["batteries"][0]["lead"]["fuse_a"] = 60
    case["batteries"][0]["lead"]["fuse_at_m"] = 0.2
    codes = {(one["code"], one["on"]) for one in report(case, tmp_path)["findings"]}
    assert codes == {
        ("fuse_over_wire", "house"), ("fuse_far", "house"), ("fuse_over_wire", "tail"),
        ("charger_chemistry", "wall"), ("charger_cold", "wall"),
    }  # fmt: skip
    del case["batteries"][0]["lead"]["fuse_a"]
    codes = {(one["code"], one["on"]) for one in report(case, tmp_path)["findings"]}
    assert {("no_fuse", "house"), ("no_fuse", "tail")} <= codes


def test_a_motor_that_starts_browns_the_screen_out_unless_it_has_its_own_battery(
    tmp_path: Path,
) -> None:
    motor = {"name": "motor", "at": "aft", "ohms": 0.35, "on": []}
    moment = {"name": "motor starts", "soc": {"house": 0.3},
              "on": [{"load": "screen"}, {"load": "motor", "level": 2.5}]}  # fmt: skip
    case = changed(lambda c: (c["loads"].append(motor), c.update(moments=[moment])))
    found = report(case, tmp_path)["findings"]
    assert ("brown_out", "screen") in {(one["code"], one["on"]) for one in found}
    own = copy.deepcopy(case)
    own["batteries"].append({**HOUSE, "name": "sonar", "bank": "own", "capacity_ah": 7})
    own["wires"][0]["from"] = "own"
    found = report(own, tmp_path)["findings"]
    assert "brown_out" not in {one["code"] for one in found}


def test_what_cannot_be_supplied_is_told(tmp_path: Path) -> None:
    too_much = {"name": "winch", "at": "aft", "watts": 9000, "on": []}
    case = changed(lambda c: c["loads"].append(too_much))
    case["moments"].append({"name": "hauling", "on": [{"load": "winch"}]})
    with pytest.raises(NotSupplied, match="hauling"):
        report(case, tmp_path)
    flat = changed(lambda c: c["batteries"][0].update(start_soc=0))
    with pytest.raises(NotSupplied):
        report(flat, tmp_path)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        (lambda c: c["batteries"][0].update(capacity_ah=0), "batteries[0].capacity_ah"),
        (lambda c: c["batteries"][0].update(chemistry="magic"), "batteries[0].chemistry"),
        (lambda c: c["batteries"][0].update(peukert=2.5), "batteries[0].peukert"),
        (lambda c: c["batteries"][0].update(chemistry="other"), "batteries[0].open_circuit_v"),
        (lambda c: c["batteries"].append(HOUSE), "batteries[1].name"),
        (
            lambda c: c["batteries"].append({**HOUSE, "name": "b", "series": 2}),
            "batteries[1].series",
        ),
        (lambda c: c["wires"][0].update(area_mm2=2.5), "wires[0].awg"),
        (lambda c: c["wires"][0].update(awg=13), "wires[0].awg"),
        (lambda c: c["wires"][0].update({"from": "nowhere"}), "wires[0].from"),
        (lambda c: c["wires"][0].update({"from": "tail"}), "wires[0].from"),
        (lambda c: c["wires"][0].update(insulation_c=80), "wires[0].insulation_c"),
        (lambda c: c["loads"][0].update(amps=1), "loads[0].amps"),
        (lambda c: c["loads"][1].update(converter={"efficiency": 0.9}), "loads[1].converter"),
        (lambda c: c["loads"][0].update(at="moon"), "loads[0].at"),
        (lambda c: c["loads"][0]["on"][0].update(phase="noon"), "loads[0].on[0].phase"),
        (lambda c: c["loads"][0]["on"][0].update(from_h=7, to_h=8), "loads[0].on[0].from_h"),
        (lambda c: c["day"].update(sample_h=[20]), "day.sample_h[0]"),
        (lambda c: c["day"].update(end_h=6), "day.end_h"),
        (lambda c: c.update(day=None), "loads[0].on[0]"),
        (lambda c: c["moments"][0]["on"][0].update(load="sun"), "moments[0].on[0].load"),
        (lambda c: c["moments"][0].update(soc={"sun": 1}), "moments[0].soc"),
        (lambda c: c["chargers"][0].update(battery="sun"), "chargers[0].battery"),
    ],
)
def test_what_means_nothing_is_refused_by_its_path(
    change: Callable[[Case], object], field: str, tmp_path: Path
) -> None:
    with pytest.raises(InputError) as refused:
        report(changed(change), tmp_path)
    fields = [one.field for one in getattr(refused.value, "errors", [refused.value])]
    assert field in fields
