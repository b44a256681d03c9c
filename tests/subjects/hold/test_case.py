"""`neat-hull hold`: how it lies, anchor and pole, and what is never done."""

import json
from math import asin, degrees, pi, sqrt
from pathlib import Path
from typing import Any

import pytest
from tests.subjects.glide.boats import hold, hold_case
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.subjects.hold.case import Row, hold_report


def report(**changes: Any) -> Row:
    return hold_report(hold_case(hold(**changes)))


STILL = {"speed_m_s": 0, "from_deg": 0}
SAND = {"kind": "sand", "unit_weight_n_m3": 9500, "passive_factor": 3.3}
MUD = {"kind": "mud", "shear_strength_pa": 6000}
POLE = {"diameter_m": 0.019, "wall_m": 0.0095, "elastic_modulus_pa": 40e9,
        "allowable_stress_pa": 400e6, "length_m": 2.6, "embedded_m": 0.5, "above_cleat_m": 0.2,
        "soil": SAND}  # fmt: skip


def test_by_the_bow_it_lies_with_the_bow_to_the_current() -> None:
    told = report()["lies"]
    assert told["heading_deg"] == pytest.approx(0.0, abs=1e-6)
    assert told["pull_n"] == pytest.approx(told["water_ahead_n"])
    assert told["pull_off_bow_deg"] == pytest.approx(0.0, abs=1e-6)


def test_turned_with_current_and_wind_the_boat_turns_with_them() -> None:
    wind = {"speed_m_s": 5, "from_deg": 30}
    once = report(wind=wind)["lies"]
    turned = report(
        wind={"speed_m_s": 5, "from_deg": 100}, current={"speed_m_s": 0.7, "toward_deg": 250}
    )["lies"]
    assert (turned["heading_deg"] - once["heading_deg"]) % 360 == pytest.approx(70.0, abs=1e-6)
    assert turned["pull_n"] == pytest.approx(once["pull_n"])


def test_by_the_stern_it_turns_round_and_the_pull_grows() -> None:
    bow = report()["lies"]
    stern = report(hold_at={"x_m": 0.2, "y_m": 0, "z_m": 0.36})["lies"]
    assert abs(stern["heading_deg"] - 180) < 1e-6
    assert stern["pull_ahead_n"] < 0
    assert stern["pull_n"] == pytest.approx(1.3 * bow["pull_n"])


def test_near_the_middle_it_lies_aslant_and_pulls_several_times_as_much() -> None:
    far = report()["lies"]
    near = report(hold_at={"x_m": 2.1, "y_m": 0, "z_m": 0.36})["lies"]
    assert abs(near["pull_off_bow_deg"]) > 10
    assert near["pull_n"] > 1.5 * far["pull_n"]


def test_a_rope_without_weight_is_straight_and_lifts_the_anchor() -> None:
    told = report()
    anchor, lies = told["anchor"], told["lies"]
    height = 4.0 + lies["cleat_height_m"]
    assert anchor["scope"] == pytest.approx(20 / height)
    assert anchor["angle_at_anchor_deg"] == pytest.approx(degrees(asin(height / 20)))
    assert anchor["distance_m"] == pytest.approx(sqrt(400 - height**2))
    assert anchor["swing_radius_m"] == pytest.approx(anchor["distance_m"] + 3.4)
    factor = anchor["holding_factor"]
    assert 0.67 < factor < 0.77  # between scopes of four and five
    assert anchor["holding_n"] == pytest.approx(1.5 * GRAVITY_M_S2 * 4 * factor)
    assert anchor["holding_share"] == pytest.approx(lies["pull_n"] / anchor["holding_n"])
    again = report(anchor=hold()["anchor"] | {"mass_kg": anchor["recommended_kg"]})["anchor"]
    assert again["holding_share"] == pytest.approx(0.5)


def test_a_line_too_short_says_so_and_nothing_else() -> None:
    anchor = report(anchor=hold()["anchor"] | {"rope_length_m": 3})["anchor"]
    assert anchor["reaches_bottom"] is False
    assert all(anchor[name] is None for name in anchor if name not in ("scope", "reaches_bottom"))


def test_a_line_pulls_its_end_down_and_the_side_is_worse() -> None:
    told = report(current={"speed_m_s": 1.4, "toward_deg": 180})
    rest = told["afloat"]
    assert told["held"]["trim_deg"] < rest["trim_deg"]  # the bow goes down
    assert abs(told["by_the_side"]["heel_deg"]) > abs(told["held"]["heel_deg"]) + 5
    assert told["by_the_side"]["least_freeboard_m"] < told["held"]["least_freeboard_m"]
    over = report(current={"speed_m_s": 3.5, "toward_deg": 180})["by_the_side"]
    assert over["heel_deg"] is None


def test_a_pole_in_sand_by_its_closed_form() -> None:
    told = report(anchor=None, pole=POLE)
    pull, pole = told["lies"]["pull_n"], told["pole"]
    arm = 4.0 + told["lies"]["cleat_height_m"]
    below = 2 / 3 * sqrt(2 * pull / (3 * 9500 * 0.019 * 3.3))
    assert pole["moment_nm"] == pytest.approx(pull * (arm + below))
    second = pi / 64 * 0.019**4
    assert pole["stress_pa"] == pytest.approx(pole["moment_nm"] * 0.0095 / second)
    assert pole["deflection_m"] == pytest.approx(
        pole["moment_nm"] * (arm + below) ** 2 / (3 * 40e9 * second)
    )
    stands = 0.5 * 9500 * 0.019 * 3.3 * 0.5**3
    assert pole["soil_share"] == pytest.approx(pull * (arm + 0.5) / stands)
    soft = report(anchor=None, pole=POLE | {"elastic_modulus_pa": 20e9})["pole"]
    assert soft["deflection_m"] == pytest.approx(2 * pole["deflection_m"])


@pytest.mark.parametrize("soil", [SAND, MUD])
def test_at_its_depth_limit_a_pole_is_just_at_it(soil: dict[str, Any]) -> None:
    stout = POLE | {"soil": soil, "embedded_m": 0.9, "length_m": 90.0, "diameter_m": 0.03}
    pole = report(anchor=None, pole=stout)["pole"]
    at = report(anchor=None, pole=stout, depth_m=pole["depth_limit_m"])["pole"]
    share = {"bending": at["bending_share"], "soil": at["soil_share"]}
    assert share[pole["limited_by"]] == pytest.approx(1.0)
    short = report(anchor=None, pole=stout | {"length_m": 1.5})["pole"]
    assert short["limited_by"] == "length"


WRONG = [
    ("hold_at.y_m", 0.3, "hold_at.y_m"),
    ("hold_at.x_m", 5.0, "hold_at.x_m"),
    ("anchor", None, "anchor"),
    ("current.speed_m_s", 0, "wind.speed_m_s"),
    ("assumptions.astern_factor", None, "assumptions.astern_factor"),
    ("anchor.safety_factor", 0.5, "anchor.safety_factor"),
    ("depth_m", -1, "depth_m"),
]


@pytest.mark.parametrize(("path", "value", "field"), WRONG)
def test_what_is_wrong_is_named_by_its_path(
    path: str, value: Any, field: str, tmp_path: Path
) -> None:
    case: Any = hold()
    at: Any = case
    *way, last = path.split(".")
    for key in way:
        at = at[key]
    at[last] = value
    file = tmp_path / "case.json"
    file.write_text(json.dumps(case))
    told = CliRunner().invoke(app, ["hold", str(file)])
    assert told.exit_code == 2
    assert f"case.json: {field}: " in told.stderr
