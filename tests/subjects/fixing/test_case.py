"""`neat-hull mount`: the parts of a case against closed forms, and what it refuses."""

import copy
import json
from math import degrees, hypot, log, pi, sqrt
from pathlib import Path
from typing import Any

import pytest
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.errors import InputErrors
from neat_hull.model.mount_case import MountCase
from neat_hull.subjects.fixing.case import Row, mount_report

EVEN = {name: {"stiffness": 1, "strength": 1} for name in ("snatch", "minutes", "days")}
LESS = EVEN | {"days": {"stiffness": 0.5, "strength": 0.25}}
WALL = {"thickness_mm": 5, "core_mm": 0, "e_mpa": 700, "nu": 0.42, "bend_mpa": 18,
        "shear_mpa": 10, "bearing_mpa": 16, "by_duration": EVEN, "radius_m": 0.12,
        "edge": "clamped"}  # fmt: skip
THROUGH = {"kind": "through", "d_mm": 6, "area_mm2": 20, "yield_mpa": 200, "washer_mm": 18,
           "clamp_n": 1200, "friction": 0.2, "edge_m": 0.02}  # fmt: skip
PLATE = {"length_m": 0.1, "width_m": 0.08, "thickness_mm": 3, "e_mpa": 70000, "nu": 0.33,
         "yield_mpa": 150}  # fmt: skip


def mount(**changes: Any) -> dict[str, Any]:
    """One bolt in the middle of a square, pulled aside 20 cm up."""
    return {
        "name": "m", "base": {"shape": "rect", "length_m": 0.08, "width_m": 0.08},
        "hold": {"kind": "bolts", "bolts_m": [[0, 0]], "fastener": THROUGH}, "wall": WALL,
        "plate": None, "plate_to_try": None, "tilt_limit_deg": 1,
        "situations": [{"name": "s", "duration": "snatch",
                        "forces": [{"force_n": [60, 0, 0], "at_m": [0, 0, 0.2]}]}],
    } | changes  # fmt: skip


def report(*mounts: dict[str, Any], **rest: Any) -> Row:
    case = {"name": "c", "mounts": list(mounts)} | rest
    return mount_report(MountCase.model_validate_json(json.dumps(case)))


def held(one: dict[str, Any]) -> Row:
    row: Row = report(one)["mounts"][0]["situations"][0]
    return row


def pull(force: list[float], at: list[float], lasts: str = "snatch") -> list[dict[str, Any]]:
    return [{"name": "s", "duration": lasts, "forces": [{"force_n": force, "at_m": at}]}]


def test_one_bolt_in_the_middle() -> None:
    row = held(mount())
    assert row["bolts"] == [{"tension_n": pytest.approx(12 / 0.04), "shear_n": 60.0}]
    assert row["press_n"] == pytest.approx(300.0)
    # It grips as far as its washer: disc 0.42·49 + 0.18·(the same, on its other side).
    b = (0.42 + 0.18) * (0.04 + 0.009)
    wide = 700e6 * 0.005**3 / 12 / (1 - 0.42**2)
    a = 0.12
    tilt = 12 / (4 * pi * wide) * (log(a / b) - (a * a - b * b) / (a * a + b * b))
    assert row["tilt_deg"] == pytest.approx(degrees(tilt))
    safe = row["safety"]
    assert safe["bolt"] == pytest.approx(1 / (60 / (0.6 * 4000) + 300 / (1.4 * 4000)))
    assert safe["hold"] == pytest.approx(min(pi * 18 * 5 * 10, pi / 4 * (18**2 - 6**2) * 16) / 300)
    assert safe["bearing"] == pytest.approx(6 * 5 * 16 / 60)
    assert safe["tear"] == pytest.approx(2 * (20 - 3) * 5 * 10 / 60)
    assert safe["twist"] == 999.0
    assert safe["punch"] == pytest.approx(0.005 * 10e6 / (12 / (pi * b * b)))
    assert safe["peel"] is None
    assert row["governs"] == min((v, k) for k, v in safe.items() if v is not None)[1]


def test_a_plate_spreads_the_pull_and_stops_the_tilt() -> None:
    bare, plated = held(mount()), held(mount(plate=PLATE))
    spread = min(18 + 2 * 3 * sqrt(150 / (3 * 16)), 80)
    holds = min(pi * spread * 50, pi / 4 * (spread**2 - 36) * 16)
    assert plated["safety"]["hold"] == pytest.approx(holds / 300)
    assert plated["tilt_deg"] < 0.5 * bare["tilt_deg"] == 0.5 * plated["tilt_bare_deg"]


def test_what_lasts_bends_more_and_holds_less() -> None:
    wall = WALL | {"by_duration": LESS}
    short = held(mount(wall=wall))
    long = held(mount(wall=wall, situations=pull([60, 0, 0], [0, 0, 0.2], "days")))
    assert long["tilt_deg"] == pytest.approx(2 * short["tilt_deg"])
    assert long["safety"]["wall"] == pytest.approx(short["safety"]["wall"] / 4)
    assert long["safety"]["bolt"] == short["safety"]["bolt"]


def test_a_bond_is_a_pad_of_beam_theory() -> None:
    bond = {"kind": "bond", "tension_mpa": 0.35, "shear_mpa": 0.3, "by_duration": EVEN}
    row = held(mount(base={"shape": "rect", "length_m": 0.1, "width_m": 0.05}, hold=bond,
                     situations=pull([3, 4, 10], [0.02, 0.01, 0.1])))  # fmt: skip
    m_u, m_v, m_n = 0.01 * 10 - 0.1 * 4, 0.1 * 3 - 0.02 * 10, 0.02 * 4 - 0.01 * 3
    stress = 10 / 0.005 + abs(m_u) * 6 / (0.1 * 0.05**2) + abs(m_v) * 6 / (0.05 * 0.1**2)
    assert row["safety"]["peel"] == pytest.approx(0.35e6 / stress)
    polar = 0.005 * (0.1**2 + 0.05**2) / 12
    shear = 5 / 0.005 + abs(m_n) * hypot(0.1, 0.05) / 2 / polar
    assert row["safety"]["bond_shear"] == pytest.approx(0.3e6 / shear)
    assert row["press_n"] is None
    assert row["bolts"] == []
    assert row["safety"]["hold"] is None


@pytest.mark.parametrize(
    ("fastener", "holds"),
    [
        ({"kind": "screw", "grip_mm": 5}, pi * 6 * 5 * 10),
        ({"kind": "rated", "rated_n": 800}, 800.0),
    ],
)
def test_what_other_fasteners_hold(fastener: dict[str, Any], holds: float) -> None:
    hold = {"kind": "bolts", "bolts_m": [[0, 0]], "fastener": THROUGH | fastener}
    assert held(mount(hold=hold))["safety"]["hold"] == pytest.approx(holds / 300)


def test_one_bolt_slips_round_by_its_clamp_alone_and_two_do_not() -> None:
    situations = pull([0, 10, 0], [0.3, 0, 0])
    row = held(mount(situations=situations))
    grips = 0.2 * 1200 * 2 / 3 * sqrt(0.08 * 0.08 / pi)
    assert row["safety"]["twist"] == pytest.approx(grips / 3)
    two = {"kind": "bolts", "bolts_m": [[-0.02, 0], [0.02, 0]], "fastener": THROUGH}
    assert held(mount(hold=two, situations=situations))["safety"]["twist"] is None


def test_the_smallest_plate_brings_the_tilt_to_its_limit_and_some_need_none() -> None:
    stuff = {"thickness_mm": 3, "e_mpa": 70000, "nu": 0.33}
    (one,) = report(mount(plate_to_try=stuff))["mounts"]
    side = one["plate_side_needed_m"]
    square = PLATE | stuff | {"length_m": side, "width_m": side}
    assert held(mount(plate=square))["tilt_deg"] == pytest.approx(1.0, abs=0.002)
    assert report(mount(tilt_limit_deg=9))["mounts"][0]["plate_side_needed_m"] == 0
    assert report(mount())["mounts"][0]["plate_side_needed_m"] is None
    weak = stuff | {"thickness_mm": 0.1}
    assert report(mount(plate_to_try=weak))["mounts"][0]["plate_side_needed_m"] is None


def test_a_plate_to_try_is_not_mistaken_for_the_plate_that_is_there() -> None:
    slab = PLATE | {"e_mpa": 900, "nu": 0.42, "length_m": 0.1, "width_m": 0.1}
    stuff = {"thickness_mm": 3, "e_mpa": 70000, "nu": 0.33}
    (one,) = report(mount(plate=slab, plate_to_try=stuff))["mounts"]
    (bare,) = report(mount(plate_to_try=stuff))["mounts"]
    assert one["plate_side_needed_m"] == pytest.approx(bare["plate_side_needed_m"], abs=1e-5)


def test_another_bolt_never_tilts_it_more() -> None:
    bolts: list[list[float]] = []
    before = None
    for at in ([0.0, 0.0], [-0.03, 0.0], [0.03, 0.0], [0.0, 0.03], [0.0, -0.03]):
        bolts = [*bolts, at]
        hold = {"kind": "bolts", "bolts_m": bolts, "fastener": THROUGH}
        tilt = held(mount(hold=hold, situations=pull([30, 20, -40], [0.1, 0, 0.2])))["tilt_deg"]
        assert before is None or tilt <= before + 1e-12
        before = tilt


RULES = {"spacing_d": 3, "edge_d": 2, "height_m": 0.05}


def hole(name: str, at: list[float], **more: Any) -> dict[str, Any]:
    return {"name": name, "at_m": at, "d_mm": 10, "edge_m": None, "used_by": "x", "new": True,
            "needs_hand": False} | more  # fmt: skip


def test_height_over_level_water_is_z_less_c_and_heel_mirrors() -> None:
    waters = [{"name": "level", "c_m": 0.1, "trim_deg": 0, "heel_deg": 0}]
    (row,) = report(holes=[hole("a", [1, 0.2, 0.3])], waters=waters, rules=RULES)["holes"]
    assert row["height_m"] == pytest.approx(0.2)
    heights = []
    for y, heel in ((0.2, 10), (-0.2, -10)):
        waters = [{"name": "w", "c_m": 0.1, "trim_deg": 2, "heel_deg": heel}]
        found = report(holes=[hole("a", [1, y, 0.3])], waters=waters, rules=RULES)["holes"]
        heights.append(found[0]["height_m"])
    assert heights[0] == pytest.approx(heights[1])


def test_flags_come_in_their_order_and_unused_holes_are_counted() -> None:
    waters = [{"name": "high", "c_m": 0.28, "trim_deg": 0, "heel_deg": 0}]
    holes = [
        hole("a", [1, 0, 0.3], edge_m=0.015, used_by=None, needs_hand=True, new=False),
        hole("b", [1.02, 0, 0.3]),
    ]
    told = report(holes=holes, waters=waters, rules=RULES)
    assert told["holes"][0]["flags"] == ["low", "close", "edge", "no hand", "idle"]
    assert told["holes"][0]["spacing_d"] == pytest.approx(2.0)
    assert (told["holes_new"], told["holes_idle"]) == (1, ["a"])


def test_a_hand_comes_as_far_as_the_mouth_lets_it() -> None:
    hatches = [{"name": "small", "at_m": [1.2, 0, 0.3], "mouth_m": 0.12},
               {"name": "large", "at_m": [1.5, 0, 0.3], "mouth_m": 0.2}]  # fmt: skip
    reach = [{"mouth_m": 0.1, "reach_m": 0.36}, {"mouth_m": 0.18, "reach_m": 0.62}]
    told = report(holes=[hole("a", [1.0, 0, 0.3], needs_hand=True)], hatches=hatches, reach=reach,
                  rules=RULES)["holes"][0]  # fmt: skip
    assert told["behind"] == "small"
    assert told["spare_m"] == pytest.approx(0.16)
    assert told["flags"] == []


WRONG: list[tuple[str, Any, str]] = [
    ("mounts.0.hold.bolts_m", [[0, 0], [0.05, 0]], "mounts[0].hold.bolts_m[1]"),
    ("mounts.0.hold.bolts_m", [[0.04, 0]], "mounts[0].hold.bolts_m[0]"),
    ("mounts.0.hold.bolts_m", [[0, 0.01], [0, 0.01]], "mounts[0].hold.bolts_m[1]"),
    ("mounts.0.hold.fastener.washer_mm", 6, "mounts[0].hold.fastener.washer_mm"),
    ("mounts.0.hold.fastener.kind", "screw", "mounts[0].hold.fastener.grip_mm"),
    ("mounts.0.hold.fastener.kind", "rated", "mounts[0].hold.fastener.rated_n"),
    ("mounts.0.hold.kind", "bond", "mounts[0].hold.tension_mpa"),
    ("mounts.0.wall.core_mm", 5, "mounts[0].wall.core_mm"),
    ("mounts.0.wall.nu", 0.5, "mounts[0].wall.nu"),
    ("mounts.0.base.width_m", None, "mounts[0].base.width_m"),
    ("mounts.0.base.length_m", 0, "mounts[0].base.length_m"),
    ("mounts.0.situations", [], "mounts[0].situations"),
    ("mounts.0.situations.0.forces.0.mass_kg", 2, "mounts[0].situations[0].forces[0]"),
    (
        "mounts.0.situations.0.forces.0.force_n",
        [1, 2],
        "mounts[0].situations[0].forces[0].force_n[2]",
    ),
    ("rules", None, "rules"),
    ("holes.1.name", "a", "holes[1].name"),
    ("steps.0.needs", ["z"], "steps[0].needs[0]"),
    ("steps.1.id", "p", "steps[1].id"),
]


def whole() -> dict[str, Any]:
    step = {"needs": [], "hands_min": 1, "wait_min": 0}
    return {"mounts": [mount()], "holes": [hole("a", [0, 0, 1]), hole("b", [1, 0, 1])],
            "rules": RULES, "steps": [{"id": "p"} | step, {"id": "q"} | step]}  # fmt: skip


@pytest.mark.parametrize(("path", "value", "field"), WRONG)
def test_what_is_wrong_is_named_by_its_path(
    path: str, value: Any, field: str, tmp_path: Path
) -> None:
    case = copy.deepcopy(whole())
    *way, last = path.split(".")
    at: Any = case
    for key in way:
        at = at[int(key) if key.isdigit() else key]
    at[last] = value
    file = tmp_path / "case.json"
    file.write_text(json.dumps(case))
    told = CliRunner().invoke(app, ["mount", str(file)])
    assert told.exit_code == 2
    assert told.stdout == ""
    assert f"case.json: {field}: " in told.stderr
    assert len(told.stderr.splitlines()) == 1


def test_nothing_to_do_is_refused_and_a_circle_has_its_own_exit(tmp_path: Path) -> None:
    with pytest.raises(InputErrors):
        report()
    runner, file = CliRunner(), tmp_path / "case.json"
    file.write_text(json.dumps(whole()))
    assert runner.invoke(app, ["mount", str(file)]).exit_code == 0
    circle = whole()
    circle["steps"][0]["needs"], circle["steps"][1]["needs"] = ["q"], ["p"]
    file.write_text(json.dumps(circle))
    told = runner.invoke(app, ["mount", str(file)])
    assert told.exit_code == 3
    assert "circle: p → q" in told.stderr
