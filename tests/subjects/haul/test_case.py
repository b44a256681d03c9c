"""Statics of the road by hand: lifts, bars, a slide, a bed, a cart; mirrored, scaled, refused."""

import json
from math import cos, hypot, radians, sin
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.errors import InputErrors, NoPosition
from neat_hull.model.haul_case import HaulCase, Niosh
from neat_hull.subjects.haul.case import Row, haul_report
from neat_hull.subjects.haul.lifting import rwl_kg

G = 9.80665
CRATE = {"name": "crate", "mass_kg": 6.0, "x_m": 0.8, "z_m": 0.4, "comes_off": True, "minutes": 1}
DRIVE = {"name": "drive", "mass_kg": 8.0, "x_m": 2.1, "z_m": 0.2, "comes_off": True, "minutes": 2}
LIFT = {"name": "bow", "hold_m": [4.0, 0.2], "other_m": [0.0, 0.2], "angle_deg": 0,
        "state": "bare", "people": 1, "niosh": None}  # fmt: skip
ROOF = {"rear_bar_x_m": 1.5, "spacing_m": 1.0, "behind_bar_m": 0.5, "ahead_bar_m": 1.0,
        "limit_kg": 75.0, "extras_kg": 9.0, "bar_width_m": 0.08, "bar_over_roof_m": 0.11,
        "keel_z_m": [0.0, 0.0]}  # fmt: skip
SLIDE = {"bar_height_m": 1.6, "hand_x_m": 0.0, "contact_m": [3.5, 1.5],
         "hand_height_m": [0.7, 1.6], "friction": 0.25, "steps": 40}  # fmt: skip
BED = {"length_m": 1.8, "gate_m": 0.5, "front_support_m": 0.1, "gate_limit_kg": 100.0,
       "end_in": "bow"}  # fmt: skip
HARD = {"name": "road", "slope_deg": 0.0, "step_m": 0.02, "bearing_kpa": 500.0, "rolling": 0.0}
SAND = {"name": "sand", "slope_deg": 0.0, "step_m": 0.0, "bearing_kpa": 35.0,
        "soil": {"n": 1.1, "kc": 0.99, "kphi": 1528.43}}  # fmt: skip
CART = {"state": "bare", "axle_m": [1.6, 0.0], "wheel_radius_m": 0.15, "wheel_width_m": 0.08,
        "track_m": 0.6, "handle_m": [4.0, 0.2], "handle_height_m": 0.35, "hand_target_n": 40.0,
        "grounds": [HARD], "posts": None}  # fmt: skip


def case(**changes: Any) -> dict[str, Any]:
    """A boat of 4 m and 30 kg, its weight in the middle."""
    usual = {"name": "c", "boat": {"length_m": 4.0, "mass_kg": 30.0, "x_m": 2.0, "z_m": 0.2},
             "things": [], "aim_kg": 35.0, "comfort_kg": 25.0}  # fmt: skip
    return usual | changes


def told(**changes: Any) -> Row:
    """What the case comes to, as a file is read."""
    return haul_report(HaulCase.model_validate_json(json.dumps(case(**changes))))


def carted(**changes: Any) -> Row:
    """On its cart."""
    row: Row = told(cart=CART | changes)["cart"]
    return row


def test_weights_and_what_had_better_come_off() -> None:
    weights = told(things=[CRATE, DRIVE])["weights"]
    assert (weights["bare_kg"], weights["loaded_kg"], weights["minutes_off"]) == (30.0, 44.0, 3)
    assert weights["loaded_x_m"] == pytest.approx((60 + 4.8 + 16.8) / 44)
    assert weights["fewest_off"] == ["drive", "crate"]
    assert told(things=[CRATE, DRIVE], aim_kg=20)["weights"]["fewest_off"] is None
    assert told(things=[CRATE, DRIVE], aim_kg=50)["weights"]["fewest_off"] == []


def test_an_even_boat_is_lifted_by_half_and_two_halve_that() -> None:
    alone, two = told(lifts=[LIFT, LIFT | {"people": 2}])["lifts"]
    assert alone["hold_kg"] == pytest.approx(15.0)
    assert (two["each_kg"], two["share"]) == pytest.approx((7.5, 0.3))


def test_tilted_up_a_weight_that_stands_high_comes_back_over_the_other_end() -> None:
    """H = (x − x_o)cos α − (z − z_o)sin α: at 45° from the keel, 1.8/3.8 of the weight."""
    low = {"hold_m": [4.0, 0.2], "other_m": [0.0, 0.0], "angle_deg": 45}
    (lift,) = told(lifts=[LIFT | low])["lifts"]
    assert lift["hold_kg"] == pytest.approx(30.0 * 1.8 / 3.8)


def test_the_best_lift_there_is_may_be_23_kg() -> None:
    best = {"h_cm": 25, "v_cm": 75, "d_cm": 25, "a_deg": 0, "fm": 1, "cm": 1}
    assert rwl_kg(Niosh.model_validate(best)) == 23.0
    far = Niosh.model_validate(best | {"h_cm": 50, "d_cm": 45, "a_deg": 90})
    assert rwl_kg(far) == pytest.approx(23 * 0.5 * 0.92 * 0.712)
    assert rwl_kg(Niosh.model_validate(best | {"h_cm": 64})) == 0.0


def test_on_bars_as_moments_have_it_and_mirrored_the_other_way() -> None:
    roof = told(roof=ROOF)["roof"]
    assert (roof["front_kg"], roof["rear_kg"]) == pytest.approx((15.0, 15.0))
    assert (roof["overhang_rear_m"], roof["overhang_front_m"]) == pytest.approx((1.0, 0.5))
    aft = {"length_m": 4.0, "mass_kg": 30.0, "x_m": 1.7, "z_m": 0.2}
    forward = aft | {"x_m": 2.3}
    one, other = (told(boat=boat, roof=ROOF)["roof"] for boat in (aft, forward))
    assert one["front_kg"] == pytest.approx(other["rear_kg"])
    assert told(boat=aft | {"x_m": 1.4}, roof=ROOF)["roof"]["tips"]


def test_what_hangs_under_the_hull_meets_a_bar_or_does_not() -> None:
    under = [{"name": "fin", "x_m": [1.45, 1.6], "z_m": -0.05, "comes_off": False},
             {"name": "off", "x_m": [1.45, 1.6], "z_m": -0.05, "comes_off": True},
             {"name": "bow", "x_m": [3.6, 3.8], "z_m": 0.1, "comes_off": False}]  # fmt: skip
    fin, bow = told(roof=ROOF, under=under, slide=SLIDE)["roof"]["under"]
    assert (fin["on_bar"], fin["drags_over_bar"]) == (True, True)
    assert fin["gap_m"] == pytest.approx(0.06)
    assert (bow["on_bar"], bow["drags_over_bar"]) == (False, False)
    assert told(roof=ROOF, under=under)["roof"]["under"][0]["drags_over_bar"] is None


def test_flags_of_the_rule_are_the_users_own() -> None:
    rule = {"flag_rear_m": 0.9, "most_rear_m": 0.95, "most_front_m": 0.6}
    assert told(roof=ROOF, overhang_rule=rule)["roof"]["flags"] == ["flag", "rear"]
    assert told(bed=BED, overhang_rule=rule)["bed"]["flags"] == ["flag", "rear"]


def test_past_the_bar_only_friction_is_left_of_a_slide_on_the_level() -> None:
    level = SLIDE | {"hand_height_m": [1.6, 1.6], "contact_m": [1.9, 1.2]}
    slide = told(slide=level)["slide"]
    assert slide["last_n"] == pytest.approx(0.25 * 30 * G)
    assert slide["peak_lift_n"] == pytest.approx(0.0, abs=1e-9)
    assert slide["nose_down"] is None


def test_a_slide_begins_with_what_a_lever_bears() -> None:
    """Level, the bar at the far end: half of the weight rests on it."""
    level = SLIDE | {"hand_height_m": [1.6, 1.6], "contact_m": [4.0, 3.9], "friction": 0.0}
    assert told(slide=level)["slide"]["first_n"] == pytest.approx(15 * G)


def test_on_a_bed_it_bears_on_the_gate_and_tips_past_it() -> None:
    bed = told(bed=BED)["bed"]
    assert bed["gate_kg"] == pytest.approx(30 * 1.9 / 2.2)
    assert bed["front_kg"] == pytest.approx(30 * 0.3 / 2.2)
    assert (bed["margin_m"], bed["overhang_m"]) == pytest.approx((0.3, 1.7))
    assert told(bed=BED | {"gate_m": 0.1})["bed"]["tips"]


def test_on_a_level_road_the_hand_bears_what_moments_have() -> None:
    """The handle at the height that keeps the boat level: 30 kg·g at 0.4 of 2.4 m."""
    cart = carted()
    (road,) = cart["grounds"]
    assert cart["pitch_deg"] == pytest.approx(0.0)
    assert road["hand_up_n"] == pytest.approx(30 * G * 0.4 / 2.4)
    assert road["axle_n"] == pytest.approx(30 * G * 2.0 / 2.4)
    assert road["pull_n"] == 0.0
    assert road["pressure_kpa"] == pytest.approx(30 * G * 2 / 2.4 / 2 / (0.15 * 0.08) / 1000)


@given(st.floats(-12, 12), st.floats(0, 0.2), st.floats(0.2, 0.9), st.floats(1.0, 1.9))
@examples(60)
def test_forces_on_a_slope_balance(slope: float, rolling: float, up: float, axle: float) -> None:
    cart = carted(grounds=[HARD | {"slope_deg": slope, "rolling": rolling}], handle_height_m=up,
                  axle_m=[axle, 0.0])  # fmt: skip
    (road,) = cart["grounds"]
    weight = 30 * G
    assert road["hand_up_n"] + road["axle_n"] == pytest.approx(weight * cos(radians(slope)))
    assert road["rolling_n"] == pytest.approx(rolling * road["axle_n"])
    assert road["pull_n"] == pytest.approx(weight * sin(radians(slope)) + road["rolling_n"])
    assert road["hand_n"] == pytest.approx(hypot(road["hand_up_n"], road["pull_n"]))


def test_twice_the_weight_twice_the_forces_and_the_same_shares() -> None:
    heavy = {"length_m": 4.0, "mass_kg": 60.0, "x_m": 2.0, "z_m": 0.2}
    one, two = told(cart=CART)["cart"], told(boat=heavy, cart=CART)["cart"]
    for name in ("hand_up_n", "axle_n", "pressure_kpa", "step_pull_n"):
        assert two["grounds"][0][name] == pytest.approx(2 * one["grounds"][0][name])
    assert one["side_tip_deg"] == two["side_tip_deg"]


def test_a_broad_wheel_sinks_less_and_rolls_lighter_in_sand() -> None:
    narrow = carted(grounds=[SAND], wheel_width_m=0.05)["grounds"][0]
    broad = carted(grounds=[SAND], wheel_width_m=0.20, wheel_radius_m=0.15)["grounds"][0]
    assert broad["sinkage_m"] < narrow["sinkage_m"]
    assert broad["rolling_n"] < narrow["rolling_n"]


def test_a_step_asks_by_its_height_and_one_of_the_radius_is_too_high() -> None:
    """√(2Rs − s²)/(R − s) of the load on the axle."""
    (road,) = carted()["grounds"]
    assert road["step_pull_n"] == pytest.approx(road["axle_n"] * (0.0056**0.5) / 0.13)
    assert carted(grounds=[HARD | {"step_m": 0.15}])["grounds"][0]["step_pull_n"] is None


def test_the_axle_that_is_asked_for_gives_the_hand_what_was_asked() -> None:
    x = carted()["axle_x_for_target_m"]
    assert x is not None
    moved = carted(axle_m=[x, 0.0])
    assert moved["grounds"][0]["hand_up_n"] == pytest.approx(40.0)
    assert carted(hand_target_n=5000.0)["axle_x_for_target_m"] is None


def test_posts_press_by_their_rings_and_slabs_spread_it() -> None:
    posts = {"count": 2, "d_mm": 36.0, "tube_m": 0.1, "below_m": 0.2, "ring_mm": 55.0,
             "slab_m": [0.2, 0.12], "bump": 2.0, "bearing_mpa": 9.0}  # fmt: skip
    (road,) = carted(posts=posts)["grounds"]
    found = road["posts"]
    assert found["post_n"] == pytest.approx(road["axle_n"])
    assert found["ring_mpa"] == pytest.approx(road["axle_n"] / (0.7853982 * (55**2 - 36**2)))
    assert found["least_with"] > found["least_without"]
    bare = carted(posts=posts | {"slab_m": None})["grounds"][0]["posts"]
    assert (bare["slab_mpa"], bare["least_with"]) == (None, None)


@pytest.mark.parametrize(
    ("changes", "words"),
    [
        ({"lifts": [LIFT | {"hold_m": [0.0, 0.9]}]}, "lifts[0]"),
        ({"slide": SLIDE | {"hand_x_m": 3.6}}, "slide.contact_m"),
        ({"cart": CART | {"handle_height_m": 4.0}}, "cart.handle_height_m"),
        ({"boat": {"length_m": 4.0, "mass_kg": 30.0, "x_m": 4.4, "z_m": 0.2}, "cart": CART},
         "cart.grounds[0]"),
    ],
)  # fmt: skip
def test_what_geometry_forbids_names_its_field(changes: dict[str, Any], words: str) -> None:
    with pytest.raises(NoPosition) as error:
        told(**changes)
    assert words in str(error.value)


def test_a_ground_says_how_it_rolls_once() -> None:
    for ground in (
        HARD | {"soil": SAND["soil"]},
        {k: v for k, v in HARD.items() if k != "rolling"},
    ):
        with pytest.raises(InputErrors):
            told(cart=CART | {"grounds": [ground]})


def test_the_command_says_which_file_and_field(tmp_path: Path) -> None:
    path = tmp_path / "c.json"
    for changes, code, words in (
        ({}, 0, ""),
        ({"aim_kg": None}, 2, "aim_kg"),
        ({"lifts": [LIFT | {"hold_m": [0.0, 0.9]}]}, 3, "lifts[0]"),
    ):
        path.write_text(json.dumps(case(**changes)), encoding="utf-8")
        run = CliRunner().invoke(app, ["haul", str(path)])
        assert run.exit_code == code
        assert words in run.stderr
        assert code == 0 or run.stdout == ""
