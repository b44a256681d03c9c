"""A capsize by hand: what holds what, lines and their ways, holes, climbing in, a flooded box."""

import copy
import json
from math import sqrt
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.errors import InputErrors
from neat_hull.model.capsize_case import CapsizeCase, Zone
from neat_hull.model.float_case import CaseHull
from neat_hull.rig.bare import bare_hull
from neat_hull.subjects.capsize.case import Row, capsize_report
from neat_hull.subjects.capsize.tangles import path_m, reaches

LONG, BROAD, HIGH = 4.0, 0.9, 0.5
RHO = 1000.0


def stations() -> list[dict[str, Any]]:
    """A box, open above."""
    half = BROAD / 2
    return [{"x_m": LONG * n / 8, "points_m": [[0, 0], [half, 0], [half, HIGH]]} for n in range(9)]


def thing(
    name: str, by: str = "loose", mass: float = 1.0, volume: float = 0.0005, **more: Any
) -> Row:
    """Something that sinks, in the middle of the boat."""
    held = {"by": by} | {k: more.pop(k) for k in ("to", "from_m", "length_m", "strength_kg")
                         if k in more}  # fmt: skip
    at = {"x_m": 2.0, "y_m": 0.0, "z_m": 0.3, "size_m": [0.2, 0.2, 0.2], "price": 10.0}
    return {"name": name, "mass_kg": mass, "volume_m3": volume, "held": held} | at | more


def line(name: str, **more: Any) -> Row:
    """Something on a line of a metre from the middle of the boat."""
    usual: dict[str, Any] = {"from_m": [2.0, 0.0, 0.3], "length_m": 1.0}
    return thing(name, "tied", **(usual | more))


def told(**changes: Any) -> Row:
    """What a case comes to, as a file is read."""
    case: dict[str, Any] = {
        "water_density_kg_m3": RHO,
        "hull": {"stations": stations(), "wells": []},
        "loads": [{"name": "hull", "mass_kg": 60, "x_m": 2.0, "y_m": 0, "z_m": 0.2}],
        "angler": {"mass_kg": 80, "x_m": 2.0, "y_m": 0, "z_m": 0.4},
    }
    text = json.dumps(copy.deepcopy(case) | changes)
    return capsize_report(CapsizeCase.model_validate_json(text))


def fate(*things: Row) -> dict[str, str]:
    """What becomes of them."""
    return {row["name"]: row["fate"] for row in told(things=list(things))["things"]}


def test_what_holds_decides_what_becomes_of_it() -> None:
    assert fate(
        thing("vest", "worn"), thing("box", "fixed"), thing("lure", "shut", to="box"),
        thing("bottle", volume=0.002), thing("pliers"), line("net"),
        line("phone", to="body", length_m=0.5),
    ) == {"vest": "with you", "box": "stays", "lure": "stays", "bottle": "floats off",
          "pliers": "sinks", "net": "stays", "phone": "with you"}  # fmt: skip


def test_a_raft_floats_or_sinks_together() -> None:
    heavy, cork = thing("bag", mass=3.0), thing("cork", "fixed", mass=0.1, volume=0.007, to="bag")
    assert fate(heavy, cork) == {"bag": "floats off", "cork": "floats off"}
    light = thing("cork", "fixed", mass=0.1, volume=0.001, to="bag")
    assert fate(heavy, light) == {"bag": "sinks", "cork": "sinks"}


def test_a_line_parts_by_three_times_what_hangs_on_it_in_water() -> None:
    """1 kg of half a litre weighs half a kilo there; a chain bears the sum of what follows."""
    rows = told(things=[line("a", strength_kg=1.4), line("b", strength_kg=1.6),
                        line("c", to="b"), line("d", strength_kg=3.1)])["things"]  # fmt: skip
    found = {row["name"]: (row["line_load_kg"], row["parts"], row["fate"]) for row in rows}
    assert found["a"] == (pytest.approx(1.5), True, "sinks")
    assert found["b"] == (pytest.approx(3.0), True, "sinks")
    assert found["c"] == (pytest.approx(1.5), False, "sinks")  # with what it hangs on
    assert found["d"] == (pytest.approx(1.5), False, "stays")


def test_what_parted_pulls_no_more_at_what_held_it() -> None:
    rows = told(things=[line("b", strength_kg=1.6), line("c", to="b", strength_kg=1.0)])["things"]
    found = {row["name"]: (row["line_load_kg"], row["fate"]) for row in rows}
    assert found["b"] == (pytest.approx(1.5), "stays")
    assert found["c"][1] == "sinks"


@given(st.permutations(range(6)))
@examples(30)
def test_the_order_of_things_never_matters(order: list[int]) -> None:
    things = [
        thing("vest", "worn"),
        line("net", strength_kg=0.5),
        thing("lure", "shut", to="box"),
        thing("box", "fixed", to="net"),
        thing("cork", volume=0.007),
        line("pump"),
    ]
    assert fate(*(things[i] for i in order)) == fate(*things)


def test_schools_tie_all_or_few_and_tell_what_each_loses() -> None:
    things = [thing("rod", price=160.0), thing("paddle", volume=0.007, price=200.0),
              line("pump", price=30.0), line("radio", price=300.0), line("knife", vital=True),
              thing("cup", price=None)]  # fmt: skip
    schools = told(things=things)["schools"]
    as_is, all_, few = (schools[name] for name in ("as it is", "tie everything", "few lines"))
    assert (as_is["lost"], as_is["adrift"]) == (["cup", "rod"], ["paddle"])
    assert (as_is["lost_price"], as_is["unpriced"], as_is["lines"]) == (160.0, ["cup"], 3)
    assert (all_["lost"], all_["adrift"], all_["lines"]) == ([], [], 6)
    assert few["lines"] == 2
    assert set(few["lost"]) == {"cup", "rod", "pump"}


LEGS = {"name": "legs", "kind": "legs", "lo_m": [3.0, 4.0, 0.0], "hi_m": [3.5, 4.5, 0.5]}
PROP = {"name": "prop", "kind": "propeller", "lo_m": [1.9, -0.01, -0.5], "hi_m": [2.1, 0.01, -0.5]}


def test_to_the_legs_a_line_goes_straight() -> None:
    """Three and four: five."""
    rows = told(things=[line("a", from_m=[0.0, 0.0, 0.2], length_m=4.9),
                        line("b", from_m=[0.0, 0.0, 0.2], length_m=5.1)], zones=[LEGS])  # fmt: skip
    assert [row["path_m"] for row in rows["lines"]] == pytest.approx([5.0, 5.0])
    assert [row["reaches"] for row in rows["lines"]] == [False, True]
    assert rows["schools"]["as it is"]["lines_in_legs"] == 1


def test_to_the_propeller_it_goes_over_the_gunwale_as_a_ray_is_mirrored() -> None:
    """From half a metre inside the side at its height, to a metre under it: both ways unfolded."""
    rows = told(things=[line("a", from_m=[1.0, 0.45, 1.5])], zones=[PROP])["lines"]
    over = 1.0  # straight down to the sheer's height at the side
    across = sqrt((0.45 - 0.01) ** 2 + 1.0**2)
    assert rows[0]["path_m"] == pytest.approx(sqrt(0.9**2 + (over + across) ** 2), abs=1e-6)


def test_a_rigged_line_reaches_where_it_runs_or_has_slack() -> None:
    run = {"name": "trolley", "points_m": [[0.0, 4.2, 0.2], [4.0, 3.9, 0.2]], "slack_m": 0.0}
    free = run | {"name": "free", "points_m": [[0.0, 3.5, 0.2], [4.0, 3.5, 0.2]]}
    slack = free | {"name": "slack", "slack_m": 0.5}
    rows = told(runs=[run, free, slack], zones=[LEGS])["lines"]
    assert [row["reaches"] for row in rows] == [False, False, True] or rows[0]["path_m"] < 0.1
    assert rows[1]["path_m"] == pytest.approx(0.5)


def test_lines_that_can_meet_cross() -> None:
    near = {"name": "legs", "kind": "legs", "lo_m": [1.8, -0.3, 0.0], "hi_m": [2.2, 0.3, 0.6]}
    things = [line("a", from_m=[1.5, 0.0, 0.3], length_m=0.5),
              line("b", from_m=[2.4, 0.0, 0.3], length_m=0.5),
              line("c", from_m=[1.5, 0.2, 0.3], length_m=0.31)]  # fmt: skip
    assert told(things=things, zones=[near])["schools"]["as it is"]["crossings"] == 2


def test_a_knife_is_for_the_hand_that_gets_there() -> None:
    hands = {"port": {"shoulder_m": [2.0, 0.2, 0.8], "reach_m": 0.6},
             "starboard": {"shoulder_m": [2.0, -0.4, 0.8], "reach_m": 0.6}}  # fmt: skip
    knives = [
        thing("knife", "worn", cuts=True, y_m=0.2),
        thing("spare", "shut", to="box", cuts=True),
        thing("box", "fixed"),
    ]
    assert told(hands=hands, things=knives)["knife"] == {"port": ["knife"], "starboard": []}


def test_a_drain_of_25_mm_ten_centimetres_down_lets_in_24_7_litres_a_minute() -> None:
    """0.6·A·√(2gh)."""
    draft = 140 / (RHO * LONG * BROAD)
    hole = {"name": "drain", "diameter_m": 0.025, "x_m": 2.0, "y_m": 0.0, "z_m": draft - 0.1}
    high = hole | {"name": "high", "z_m": 0.4}
    found = told(holes=[hole, high])["holes"]
    assert found[0]["depth_m"] == pytest.approx(0.1, abs=1e-6)
    assert found[0]["litres_min"] == pytest.approx(24.7, abs=0.1)
    assert found[1]["litres_min"] == 0.0


def test_climbing_in_heels_it_to_its_side_and_what_stays_is_in_the_way() -> None:
    side = {"lo_m": [1.5, 0.3, 0.4], "hi_m": [2.5, 0.6, 1.0]}
    other = {"lo_m": [1.5, -0.6, 0.4], "hi_m": [2.5, -0.3, 1.0]}
    rack = thing("rack", "fixed", y_m=0.45, z_m=0.6)
    loose = thing("bag", y_m=0.45, z_m=0.6)
    remount = {"x_m": 2.0, "share": 0.3, "port": side, "starboard": other}
    found = told(things=[rack, loose], remount=remount)["remount"]
    assert found["port"]["blocked_by"] == ["rack"]
    assert found["starboard"]["blocked_by"] == []
    assert found["port"]["heel_deg"] < 0 < found["starboard"]["heel_deg"]


FOAM_B, FOAM_Y, FOAM_Z = 0.15, 0.375, 0.1
FOAM = [{"name": side, "lo_m": [0, way * FOAM_Y - FOAM_B / 2, FOAM_Z],
         "hi_m": [LONG, way * FOAM_Y + FOAM_B / 2, 0.4]}
        for side, way in (("port", 1.0), ("starboard", -1.0))]  # fmt: skip


def flooded(**more: Any) -> Row:
    """The box full of water, with foam along both sides."""
    usual = {"solid_share": 0.02, "compartments": [], "foam": FOAM,
             "bail": [{"name": "pump", "litres_min": 25}, {"name": "cup", "litres_min": 1}],
             "leak_l_min": 2}  # fmt: skip
    row: Row = told(flooded=usual | more, heels_deg=[0, 10])["flooded"]
    return row


def test_a_flooded_box_lies_as_deep_as_walls_and_foam_have_it() -> None:
    """T = (V + 2·L·b·z₀)/(s·L·B + 2·L·b)."""
    found = flooded()
    solid = 0.02 * LONG * BROAD
    draft = (60 / RHO + 2 * LONG * FOAM_B * FOAM_Z) / (solid + 2 * LONG * FOAM_B)
    assert found["draft_mid_m"] == pytest.approx(draft, abs=1e-5)
    water = 0.98 * LONG * BROAD * draft - 2 * LONG * FOAM_B * (draft - FOAM_Z)
    assert found["water_l"] == pytest.approx(1000 * water, rel=1e-4)
    assert found["bail"][0]["minutes"] == pytest.approx(1000 * water / 23, rel=1e-4)
    assert found["bail"][1]["minutes"] is None


def test_two_pontoons_alone_stand_as_stiff_as_their_waterplanes() -> None:
    """BM = 2(b³L/12 + bL·y²)/V, no hull share; KB halfway up what is under."""
    found = flooded(solid_share=0.0)
    volume = 60 / RHO
    deep = volume / (2 * LONG * FOAM_B)
    bm = 2 * (FOAM_B**3 * LONG / 12 + FOAM_B * LONG * FOAM_Y**2) / volume
    assert found["gm_m"] == pytest.approx(FOAM_Z + deep / 2 + bm - 0.2, rel=1e-4)
    assert found["righting"][0]["gz_m"] == pytest.approx(0.0, abs=1e-9)


def test_dry_compartments_lift_whole_and_nothing_else_need_do() -> None:
    parts = [{"x_aft_m": 0.0, "x_fwd_m": 1.5, "floods": False},
             {"x_aft_m": 1.5, "x_fwd_m": 2.5, "floods": True},
             {"x_aft_m": 2.5, "x_fwd_m": 4.0, "floods": False}]  # fmt: skip
    found = flooded(compartments=parts, foam=[], solid_share=0.0)
    assert found["draft_mid_m"] == pytest.approx(60 / RHO / (3.0 * BROAD), rel=1e-4)
    assert found["reserve_kg"] == pytest.approx(RHO * 3.0 * BROAD * HIGH - 60, rel=1e-6)


def test_without_anything_that_lifts_it_is_gone_and_that_is_an_answer() -> None:
    found = flooded(foam=[], solid_share=0.001)
    assert not found["floats"]
    assert found["reserve_kg"] < 0
    assert found["draft_mid_m"] is None


def test_somebody_who_holds_on_puts_that_end_down() -> None:
    held = flooded(hanging={"pull_kg": 7, "x_m": 3.9, "y_m": 0.0, "z_m": 0.4})
    assert held["trim_deg"] < 0


@pytest.mark.parametrize(
    ("changes", "field"),
    [
        ({"things": [thing("a"), thing("a")]}, "things[1].name"),
        ({"things": [thing("a", "fixed", to="nowhere")]}, "things[0].held.to"),
        ({"things": [thing("a", "fixed", to="b"), thing("b", "fixed", to="a")]}, "held.to"),
        ({"things": [thing("a", "tied")]}, "things[0].held.from_m"),
        ({"things": [thing("a", volume=0.1)]}, "things[0].size_m"),
        ({"flooded": {"solid_share": 0.1, "compartments": [
            {"x_aft_m": 0.5, "x_fwd_m": 4.0, "floods": True}]}}, "flooded.compartments[0]"),
    ],
)  # fmt: skip
def test_what_means_nothing_is_refused_by_field(changes: dict[str, Any], field: str) -> None:
    with pytest.raises(InputErrors) as error:
        told(**changes)
    assert field in " ".join(one.field for one in error.value.errors)


def test_the_command_answers_as_json(tmp_path: Path) -> None:
    path = tmp_path / "c.json"
    case = {"water_density_kg_m3": RHO, "hull": {"stations": stations(), "wells": []},
            "loads": [{"name": "h", "mass_kg": 60, "x_m": 2, "y_m": 0, "z_m": 0.2}],
            "angler": {"mass_kg": 80, "x_m": 2, "y_m": 0, "z_m": 0.4}}  # fmt: skip
    path.write_text(json.dumps(case), encoding="utf-8")
    run = CliRunner().invoke(app, ["capsize", str(path)])
    assert run.exit_code == 0
    assert json.loads(run.stdout)["intact"]["total_kg"] == 140.0
    path.write_text(json.dumps(case | {"loads": [case["loads"][0] | {"mass_kg": 9000}]}), "utf-8")  # type: ignore[index]
    assert CliRunner().invoke(app, ["capsize", str(path)]).exit_code == 3


@given(
    st.tuples(st.floats(0.2, 3.8), st.floats(-0.4, 0.4), st.floats(0.1, 0.6)),
    st.floats(0.05, 2.5),
)
def test_whether_a_line_comes_there_is_what_its_way_says(
    start: tuple[float, float, float], length: float
) -> None:
    hull = bare_hull(CaseHull.model_validate({"stations": stations(), "wells": []}))
    zone = Zone(name="p", kind="propeller", lo_m=(0.5, -0.2, -0.4), hi_m=(0.8, 0.2, -0.1))
    way = path_m(hull, start, zone)
    assert reaches(hull, start, way + 1e-6, zone)
    assert not reaches(hull, start, way - 1e-6, zone)
    assert reaches(hull, start, length, zone) == (way <= length)
