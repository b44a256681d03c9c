"""A day by hand: melting, drinking, tanks, packs, the sun; rows from both sides of each knot."""

import copy
import json
from datetime import date
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.errors import InputErrors, NoPosition
from neat_hull.model.day_case import DayCase
from neat_hull.subjects.day.case import Row, day_report
from neat_hull.subjects.day.sun import Sky

LONG, BROAD, HIGH, RHO = 4.0, 0.8, 0.4, 1000.0
AT = {"x_m": 2.0, "y_m": 0.0, "z_m": 0.2}


def phase(name: str, hours: float, kind: str = "fish", air: float = 20.0) -> Row:
    """A part of the day."""
    return {"name": name, "kind": kind, "hours": hours, "air_temp_c": air}


def case(**changes: Any) -> dict[str, Any]:
    """A box of 4 × 0.8 m with 100 kg in it, from six to ten."""
    half = BROAD / 2
    stations = [{"x_m": LONG * n / 4, "points_m": [[0, 0], [half, 0], [half, HIGH]]}
                for n in range(5)]  # fmt: skip
    usual = {
        "water_density_kg_m3": RHO, "hull": {"stations": stations, "wells": []},
        "loads": [{"name": "all", "mass_kg": 100, **AT}],
        "day": {"date": "2025-06-21", "start_h": 6.0, "step_min": 60, "latitude_deg": 52.0,
                "longitude_deg": 7.6, "utc_offset_h": 2},
        "phases": [phase("out", 1.0), phase("fish", 3.0)], "limits": {},
    }  # fmt: skip
    return copy.deepcopy(usual) | changes


def told(**changes: Any) -> Row:
    """What it comes to, as a file is read."""
    return day_report(DayCase.model_validate_json(json.dumps(case(**changes))))


def at(report: Row, hour: float, side: str = "after") -> Row:
    """A row of it."""
    row: Row = next(r for r in report["rows"] if abs(r["h"] - hour) < 1e-9 and r["side"] == side)
    return row


def store(kind: str, **fields: Any) -> Row:
    """Something that changes, in the middle of the boat."""
    return {"name": kind, "kind": kind} | AT | fields


def test_the_rows_are_start_knots_from_both_sides_steps_and_end() -> None:
    told_ = [(r["h"], r["side"], r["phase"]) for r in told()["rows"]]
    assert told_ == [
        (6.0, "after", "out"),
        (7.0, "before", "out"),
        (7.0, "after", "fish"),
        (8.0, "at", "fish"),
        (9.0, "at", "fish"),
        (10.0, "before", "fish"),
    ]


def test_a_constant_load_lies_as_it_would_at_any_hour() -> None:
    """Freeboard D − M/(ρLB)."""
    for row in told()["rows"]:
        assert row["freeboard_m"] == pytest.approx(HIGH - 100 / (RHO * LONG * BROAD), abs=1e-6)


def test_drink_goes_and_does_not_go_below_nothing() -> None:
    drink = store("used", mass_kg=2.0, rate_kg_h={"out": 0.5, "fish": 1.0})
    report = told(stores=[drink])
    assert at(report, 7.0)["kg"]["used"] == pytest.approx(1.5)
    assert at(report, 10.0, "before")["kg"]["used"] == 0.0
    assert report["gone"] == {"used": pytest.approx(8.5)}
    assert at(report, 7.0)["total_kg"] == pytest.approx(101.5)


def test_ice_melts_by_what_comes_through_its_walls() -> None:
    """UA 1 W/K, 25 K, an hour: 0.2695 kg."""
    ice = store("ice", mass_kg=1.0, ua_w_k=1.0, melt="drains")
    report = told(stores=[ice], phases=[phase("out", 1.0, air=25.0), phase("fish", 3.0, air=0.0)])
    assert at(report, 7.0)["ice_kg"]["ice"] == pytest.approx(1 - 0.2695, abs=1e-4)
    assert at(report, 10.0, "before")["ice_kg"]["ice"] == pytest.approx(1 - 0.2695, abs=1e-4)


def test_twice_the_loss_half_the_time_and_what_stays_weighs_as_before() -> None:
    hot = [phase("out", 1.0, air=40.0), phase("fish", 9.0, air=40.0)]
    gone = [
        told(stores=[store("ice", mass_kg=1.0, ua_w_k=ua, melt="stays")], phases=hot)["gone"]["ice"]
        for ua in (1.0, 2.0)
    ]
    assert gone[0] - 6 == pytest.approx(334000 / (3600 * 40))
    assert gone[1] - 6 == pytest.approx((gone[0] - 6) / 2)
    stays = told(stores=[store("ice", mass_kg=1.0, ua_w_k=2.0, melt="stays")], phases=hot)
    assert stays["rows"][-1]["kg"]["ice"] == 1.0
    assert stays["rows"][-1]["ice_kg"]["ice"] == 0.0


def test_the_catch_takes_its_warmth_out_of_the_ice() -> None:
    """m·c·T/L: five kilos at 18 °C melt 0.97."""
    ice = store("ice", mass_kg=4.0, ua_w_k=0.0, melt="drains")
    fish = store("catch", events=[{"h": 8.5, "kg": 5.0}], chilled_by="ice", from_temp_c=18.0)
    report = told(stores=[ice, fish])
    assert at(report, 8.5, "before")["ice_kg"]["ice"] == 4.0
    assert at(report, 8.5)["ice_kg"]["ice"] == pytest.approx(4 - 5 * 3600 * 18 / 334000)
    assert at(report, 8.5)["kg"]["catch"] == 5.0


def test_a_stringer_pulls_by_a_share_of_the_catch() -> None:
    fish = store("catch", rate_kg_h={"fish": 2.0}, pull_share=0.05)
    assert at(told(stores=[fish]), 10.0, "before")["kg"]["catch"] == pytest.approx(0.3)


def tank(**fields: Any) -> Row:
    """A tank of 30 × 20 cm."""
    usual = {"name": "tank", "kind": "liquid", "x_m": 2.0, "y_m": 0.0, "floor_z_m": 0.1,
             "length_m": 0.3, "breadth_m": 0.2, "capacity_kg": 12.0, "mass_kg": 0.0}  # fmt: skip
    return usual | fields


def test_a_tank_fills_to_its_lid_and_is_dumped_at_once() -> None:
    report = told(stores=[tank(rate_kg_h={"fish": 8.0}, events=[{"h": 9.5, "to_kg": 2.0}])])
    assert at(report, 8.0, "at")["kg"]["tank"] == 8.0
    assert at(report, 9.5, "before")["kg"]["tank"] == 12.0
    assert at(report, 9.5)["kg"]["tank"] == 2.0
    assert report["rows"][-1]["kg"]["tank"] == pytest.approx(6.0)


def test_a_tank_that_runs_lowers_gm_by_its_free_surface_and_a_full_one_under_a_lid_does_not() -> (
    None
):
    """ρ·l·b³/12 over the mass."""
    open_, shut = (
        told(stores=[tank(mass_kg=12.0, lid=lid)])["rows"][0]["gm_m"] for lid in (False, True)
    )
    assert shut - open_ == pytest.approx(RHO * 0.3 * 0.2**3 / 12 / 112.0, rel=1e-3)


@given(st.permutations(range(3)))
@examples(6)
def test_the_order_of_stores_never_matters(order: list[int]) -> None:
    stores = [store("used", mass_kg=2.0, rate_kg_h={"fish": 1.0}, y_m=0.1), tank(mass_kg=5.0),
              store("given", points=[{"h": 6, "kg": 0}, {"h": 9, "kg": 2}], y_m=-0.2)]  # fmt: skip
    one, other = told(stores=stores), told(stores=[stores[i] for i in order])
    assert other["rows"][-1]["list_deg"] == pytest.approx(one["rows"][-1]["list_deg"], abs=1e-9)


def test_a_phase_in_two_halves_is_the_phase() -> None:
    drink = store("used", mass_kg=9.0, rate_kg_h={"fish": 1.0, "later": 1.0})
    whole = told(stores=[drink | {"rate_kg_h": {"fish": 1.0}}])
    halves = told(stores=[drink],
                  phases=[phase("out", 1.0), phase("fish", 1.5), phase("later", 1.5)])  # fmt: skip
    for hour in (8.0, 9.0):
        assert at(halves, hour, "at")["draft_mid_m"] == at(whole, hour, "at")["draft_mid_m"]


def test_what_moves_and_what_is_let_go_counts_from_its_hour() -> None:
    loads = [{"name": "all", "mass_kg": 100, **AT},
             {"name": "pack", "mass_kg": 10, "x_m": 2.0, "y_m": 0.2, "z_m": 0.2},
             {"name": "anchor", "mass_kg": 3, **AT, "in_phases": ["out"]}]  # fmt: skip
    report = told(loads=loads, moves=[{"h": 8.5, "load": "pack", **AT, "y_m": -0.2}])
    assert at(report, 7.0, "before")["total_kg"] == 113.0
    assert at(report, 7.0)["total_kg"] == 110.0
    before, after = at(report, 8.5, "before")["list_deg"], at(report, 8.5)["list_deg"]
    assert before == pytest.approx(-after, abs=1e-6)
    assert before < 0  # to port


def test_packs_run_down_and_a_swap_brings_light() -> None:
    power = {
        "name": "sonar",
        "draw_w": {"fish": 20},
        "packs": [{"load": "a", "usable_wh": 30}, {"load": "b", "usable_wh": 40, "from_h": 9.0}],
    }
    (sonar,) = told(power=[power])["power"]
    assert sonar["packs"][0]["empty_h"] == pytest.approx(8.5)
    assert sonar["dark_h"] == pytest.approx(0.5)
    assert sonar["packs"][1] == {"load": "b", "left_wh": 20.0, "empty_h": None}
    report = told(power=[power])
    assert at(report, 9.0, "before")["left_wh"]["sonar"] == 0.0
    assert at(report, 9.0)["left_wh"]["sonar"] == 40.0


def test_the_worst_moment_is_named_with_its_figure() -> None:
    limits = {"total_kg": {"fine": 100, "fix": 110}, "list_deg": {"fine": 1, "fix": 3}}
    side = store(
        "given", points=[{"h": 6, "kg": 0}, {"h": 9, "kg": 5}, {"h": 10, "kg": 1}], y_m=0.2
    )
    report = told(stores=[side], limits=limits)
    assert (report["worst"]["h"], report["worst_by_figure"]["total_kg"]["h"]) == (9.0, 9.0)
    assert report["worst_by_figure"]["total_kg"]["share"] == pytest.approx(0.5)


def test_hauled_out_nothing_is_floated() -> None:
    report = told(phases=[phase("fish", 1.0), phase("home", 1.0, kind="haul out")])
    assert report["rows"][-1]["gm_m"] is None
    assert report["rows"][-1]["share"] is None


def test_a_lean_is_tried_to_both_sides() -> None:
    day = case()["day"] | {"lean_kgm": 3.0}
    row = told(day=day)["rows"][0]
    assert row["lean_heel_deg"] > 0
    assert row["lean_freeboard_m"] < row["freeboard_m"]


def test_at_noon_the_sun_stands_by_latitude_and_declination() -> None:
    """On 21 June at 52° N: 90 − 52 + 23.44."""
    sky = Sky(date(2025, 6, 21), 52.0, 7.6, 2.0)
    assert sky.altitude_deg(sky.noon_h()) == pytest.approx(90 - 52 + 23.44, abs=0.02)


def test_at_the_equator_an_equinox_lasts_twelve_hours_and_seven_minutes() -> None:
    rise, set_ = Sky(date(2025, 3, 20), 0.0, 0.0, 0.0).rise_and_set_h()
    assert rise is not None
    assert set_ is not None
    assert (set_ - rise) * 60 == pytest.approx(727, abs=2)


@pytest.mark.parametrize("latitude", [-40.0, 0.0, 35.0, 60.0])
def test_rise_and_set_stand_evenly_about_noon_and_15_degrees_are_an_hour(latitude: float) -> None:
    here, west = (Sky(date(2025, 5, 5), latitude, lon, 0.0) for lon in (0.0, -15.0))
    rise, set_ = here.rise_and_set_h()
    assert rise is not None
    assert set_ is not None
    assert (rise + set_) / 2 == pytest.approx(here.noon_h(), abs=1.5 / 60)
    assert west.noon_h() - here.noon_h() == pytest.approx(1.0, abs=0.01)


def test_in_the_north_it_is_up_all_day_in_june_and_down_in_december() -> None:
    assert Sky(date(2025, 6, 10), 69.6, 19.0, 2.0).state == "up all day"
    assert Sky(date(2025, 12, 15), 69.6, 19.0, 1.0).state == "down all day"


@pytest.mark.parametrize(
    ("changes", "field"),
    [
        ({"stores": [store("used", mass_kg=1, rate_kg_h={"lunch": 1})]}, "stores[0] (used)"),
        ({"stores": [tank(events=[{"h": 5.0, "to_kg": 1}])]}, "events[0].h"),
        ({"moves": [{"h": 8.0, "load": "cat", **AT}]}, "moves[0].load"),
        ({"phases": [phase("out", 1.0), phase("out", 1.0)]}, "phases[1].name"),
        ({"limits": {"gm_m": {"fine": 0.1, "fix": 0.1}}}, "limits.gm_m.fix"),
        ({"power": [{"name": "p", "draw_w": {}, "packs": [
            {"load": "a", "usable_wh": 1}, {"load": "b", "usable_wh": 1}]}]}, "packs[1].from_h"),
    ],
)  # fmt: skip
def test_what_means_nothing_is_refused_by_field(changes: dict[str, Any], field: str) -> None:
    with pytest.raises(InputErrors) as error:
        told(**changes)
    assert field in " ".join(one.field for one in error.value.errors)


def test_an_hour_at_which_it_goes_under_is_named() -> None:
    flood = tank(length_m=3.0, breadth_m=0.7, capacity_kg=1500.0, rate_kg_h={"fish": 1000.0})
    with pytest.raises(NoPosition, match="fish"):
        told(stores=[flood])


def test_the_command_answers_as_json_and_refuses_a_date_there_is_not(tmp_path: Path) -> None:
    path = tmp_path / "c.json"
    path.write_text(json.dumps(case()), encoding="utf-8")
    run = CliRunner().invoke(app, ["day", str(path)])
    assert run.exit_code == 0
    assert json.loads(run.stdout)["sun"]["state"] == "rises"
    wrong = case()
    wrong["day"]["date"] = "2025-02-30"
    path.write_text(json.dumps(wrong), encoding="utf-8")
    refused = CliRunner().invoke(app, ["day", str(path)])
    assert refused.exit_code == 2
    assert "date" in refused.stderr
