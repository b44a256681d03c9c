"""`neat-hull glide`: effort and speed, motor and range, drift, against what must hold."""

import json
from math import atan, degrees
from pathlib import Path
from typing import Any

import pytest
from tests.subjects.glide.boats import ASSUMED, glide, glide_case, stations
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.physics.resistance.propulsion import N_PER_LBF
from neat_hull.subjects.glide.case import Row, glide_report


def report(**changes: Any) -> Row:
    return glide_report(glide_case(glide(**changes)))


MOTOR = {"static_thrust_lbf": 30, "zero_thrust_speed_m_s": 2.8, "full_power_w": 360,
         "power_drop": 0.5, "steps": [0.4, 0.7, 1.0], "battery_wh": 500,
         "usable_share": 0.8}  # fmt: skip


def wind(speed: float, from_deg: float) -> dict[str, float]:
    return {"speed_m_s": speed, "from_deg": from_deg}


def test_an_effort_goes_as_fast_as_what_it_drives_is_held_back() -> None:
    told = report()
    (effort,) = told["full"]["efforts"]
    again = report(speeds_m_s=[effort["speed_m_s"]])["full"]["curve"][0]
    assert again["total_n"] * effort["speed_m_s"] == pytest.approx(60 * 0.6, rel=1e-4)
    assert effort["min_per_km"] == pytest.approx(1000 / 60 / effort["speed_m_s"])


def test_more_aboard_never_speeds_up_in_still_air() -> None:
    told = report()
    assert told["full"]["efforts"][0]["speed_m_s"] < told["bare"]["efforts"][0]["speed_m_s"]
    assert all(percent > 0 for percent in told["difference"]["resistance_percent"])
    assert told["difference"]["min_per_km"][0] > 0
    minutes = [
        report(efforts=[{"effort_w": watts, "efficiency": 0.6}])["full"]["efforts"][0]["min_per_km"]
        for watts in (30, 60, 120)
    ]
    assert minutes == sorted(minutes, reverse=True)


def test_still_air_is_half_rho_area_speed_squared_and_parts_add_up() -> None:
    full = report()["full"]
    area = full["afloat"]["dry_front_m2"] + 0.4 + 0.11
    for row in full["curve"]:
        assert row["air_n"] == pytest.approx(0.5 * 1.225 * area * row["speed_m_s"] ** 2)
        parts = ("friction_n", "base_n", "wave_n", "appendage_n", "air_n")
        assert row["total_n"] == pytest.approx(sum(row[name] for name in parts))


def test_waves_count_by_their_factor() -> None:
    rows = [
        report(assumptions=ASSUMED | {"wave_factor": factor}, efforts=None)["full"]["curve"][1]
        for factor in (0.0, 1.0, 1.5)
    ]
    assert rows[0]["wave_n"] == 0
    assert rows[1]["wave_n"] > 0.5
    assert rows[2]["wave_n"] == pytest.approx(1.5 * rows[1]["wave_n"])
    with_effort = report(assumptions=ASSUMED | {"wave_factor": 1.0})["full"]["efforts"][0]
    assert with_effort["speed_m_s"] < report()["full"]["efforts"][0]["speed_m_s"]


def test_only_a_wet_transom_has_a_wake() -> None:
    pointed, cut = report(), report(hull={"stations": stations(transom=True)})
    assert pointed["full"]["afloat"]["transom_m2"] == 0
    assert pointed["full"]["curve"][0]["base_n"] == 0
    assert cut["full"]["afloat"]["transom_m2"] > 0.005
    assert cut["full"]["curve"][0]["base_n"] > 0


def test_a_boat_without_bare_loads_has_nothing_to_compare() -> None:
    loads = [row | {"bare": False} for row in glide()["loads"]]
    told = report(loads=loads)
    assert told["bare"] is None
    assert told["difference"] is None


def test_a_motor_balances_at_each_step_and_range_is_ground_by_hours() -> None:
    told = report(motor=MOTOR | {"trip": None})
    for step in told["motor"]["steps"]:
        n, speed = step["rotation_share"], step["speed_m_s"]
        pull = 30 * N_PER_LBF * n**2 * (1 - speed / (2.8 * n))
        assert step["thrust_n"] == pytest.approx(pull)
        total = report(speeds_m_s=[speed])["full"]["curve"][0]["total_n"]
        assert total == pytest.approx(pull, rel=1e-4)
        assert step["hours"] == pytest.approx(400 / step["power_w"])
        assert step["range_m"] == pytest.approx(3600 * speed * step["hours"])


def test_a_headwind_shrinks_the_range_and_a_current_across_costs_way() -> None:
    still = report(motor=MOTOR)["motor"]["steps"][1]
    headwind = report(motor=MOTOR, wind=wind(6, 0))["motor"]["steps"][1]
    assert headwind["range_m"] < still["range_m"]
    across = report(motor=MOTOR, current={"speed_m_s": 0.5, "toward_deg": 90})
    step = across["motor"]["steps"][1]
    assert step["ground_m_s"] == pytest.approx((step["speed_m_s"] ** 2 - 0.25) ** 0.5)
    strong = report(motor=MOTOR, current={"speed_m_s": 3.0, "toward_deg": 180})
    assert strong["motor"]["steps"][2]["range_m"] is None


def test_a_trip_out_and_back() -> None:
    trip = {"distance_m": 2000, "heading_deg": 0, "rotation_share": 0.7, "reserve_share": 0.2}
    told = report(motor=MOTOR | {"trip": trip}, wind=wind(4, 0))["motor"]["trip"]
    assert told["out"]["ground_m_s"] < told["back"]["ground_m_s"]
    spent = told["out"]["wh"] + told["back"]["wh"]
    assert told["used_share"] == pytest.approx(spent / 400)
    assert told["turn_back_m"] == pytest.approx(400 * 0.8 / (spent / 2000))


def test_without_a_drogue_it_lies_by_lift_against_cross_flow() -> None:
    """tan β = C_l(ℓ/4Δ − 1)/C_x, where the windage is ahead of the wet side by Δ."""
    ahead = [{"name": "sail", "front_m2": 0.2, "side_m2": 0.5, "cd": 1.0, "x_m": 2.6}]
    told = report(wind=wind(5, 70), windage=ahead)
    afloat, free = told["full"]["afloat"], told["drift"]["free"]
    apart = afloat["windage_x_m"] - afloat["lateral_x_m"]
    assert apart > 0
    lever = afloat["wet_length_m"] / (4 * apart) - 1
    beta = degrees(atan(ASSUMED["side_lift"] * lever / ASSUMED["cross_flow_cd"]))
    assert free["drift_off_bow_deg"] == pytest.approx(beta, abs=1e-6)


def test_a_lie_hangs_on_no_strength_and_a_drift_goes_with_it() -> None:
    rows = [report(wind=wind(speed, 40))["drift"]["free"] for speed in (2, 8)]
    assert rows[0]["wind_off_bow_deg"] == pytest.approx(rows[1]["wind_off_bow_deg"])
    assert rows[1]["speed_m_s"] == pytest.approx(4 * rows[0]["speed_m_s"])
    other = report(wind=wind(2, 320))["drift"]["free"]
    assert other == pytest.approx(rows[0])
    current = report(current={"speed_m_s": 1, "toward_deg": 9}, wind=wind(1, 189))["drift"]["free"]
    assert current is None  # wind and water go together


def test_a_drogue_slows_and_one_of_nothing_changes_nothing() -> None:
    drogue = {"area_m2": 0.3, "cd": 1.2, "x_m": 3.4}
    told = report(wind=wind(6, 0), drogue=drogue)["drift"]
    assert told["drogue"]["speed_m_s"] < 0.8 * told["free"]["speed_m_s"]
    speed = told["drogue"]["speed_m_s"]
    assert told["drogue"]["drogue_n"] == pytest.approx(0.5 * 1000 * 1.2 * 0.3 * speed**2)
    none = report(wind=wind(6, 0), drogue=drogue | {"area_m2": 0})["drift"]
    assert none["drogue"] == pytest.approx(none["free"])
    # Led from the bow it brings the bow to the wind.
    assert told["drogue"]["wind_off_bow_deg"] < 30


WRONG = [
    ("assumptions.form_factor", None, "assumptions.form_factor"),
    ("speeds_m_s", [0.5, -1], "speeds_m_s[1]"),
    ("speeds_m_s", [4.2], "speeds_m_s[0]"),
    ("appendages.1.cd", None, "appendages[1].cd"),
    ("appendages.0.kind", "kite", "appendages[0].kind"),
    ("efforts.0.efficiency", 1.2, "efforts[0].efficiency"),
    ("wind", None, "wind"),
    ("loads.0.mass_kg", -3, "loads[0].mass_kg"),
    ("hull.stations.2.x_m", 0.0, "hull.stations[2].x_m"),
]


@pytest.mark.parametrize(("path", "value", "field"), WRONG)
def test_what_is_wrong_is_named_by_its_path(
    path: str, value: Any, field: str, tmp_path: Path
) -> None:
    case: Any = glide()
    at: Any = case
    *way, last = path.split(".")
    for key in way:
        at = at[int(key) if key.isdigit() else key]
    at[last] = value
    file = tmp_path / "case.json"
    file.write_text(json.dumps(case))
    told = CliRunner().invoke(app, ["glide", str(file)])
    assert told.exit_code == 2
    assert told.stdout == ""
    assert f"case.json: {field}: " in told.stderr


def test_a_boat_that_sinks_has_its_own_exit(tmp_path: Path) -> None:
    case = glide()
    case["loads"][0]["mass_kg"] = 5000
    file = tmp_path / "case.json"
    file.write_text(json.dumps(case))
    assert CliRunner().invoke(app, ["glide", str(file)]).exit_code == 3
