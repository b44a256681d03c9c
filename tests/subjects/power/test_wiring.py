"""A setup's electrics: the case it becomes, lengths that follow, the day, what is told."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import BATTERY, CLEAN, FULL, SCREEN, found, put, without
from tests.subjects.power.wirings import (
    ALONG,
    MOTOR,
    SECOND,
    WIRED,
    electric,
    figures,
    wire,
    wired_by,
    with_motor,
    with_power,
    with_second,
)

from neat_hull.errors import InputError
from neat_hull.files.setup_file import read_setup, write_setup
from neat_hull.model.base import Model
from neat_hull.model.power import Bank, Conductor, Gauge, Power
from neat_hull.model.setup import Setup
from neat_hull.physics.circuits.tables import AWG_LISTED
from neat_hull.subjects.power.buying import ashore, to_buy
from neat_hull.subjects.power.case import power_report
from neat_hull.subjects.power.full import full_power
from neat_hull.subjects.power.moves import new_wire, works
from neat_hull.subjects.power.routes import length_m, routes
from neat_hull.subjects.power.wiring import wired
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.how import explain


def mirrored(setup: Setup) -> Setup:
    """Port for starboard: things and the points of wires."""
    places = {i: p.model_copy(update={"y_m": -p.y_m}) for i, p in setup.places.items()}
    wires = {
        key: one.model_copy(
            update={"points": [p.model_copy(update={"y_m": -p.y_m}) for p in one.points]}
        )
        for key, one in setup.power.conductors.items()
    }
    return with_power(setup.model_copy(update={"places": places}), conductors=wires)


def test_the_gauges_of_a_setup_are_those_of_the_table() -> None:
    assert set(Gauge.__args__) == set(AWG_LISTED)  # type: ignore[attr-defined]


def test_a_setup_and_its_case_answer_alike() -> None:
    ev = evaluated(with_motor())
    case = ev.once(wired).case
    assert case is not None
    report = power_report(case)  # as the command reads it, which requires it to make sense
    live = figures(with_motor())
    for row, load in zip(report["loads"], live.loads, strict=True):
        assert load.drop_share == pytest.approx(row["drop_share"], rel=1e-12)
    assert live.left_share == pytest.approx(report["banks"][0]["left_share"], rel=1e-9)
    assert live.home_h == pytest.approx(report["home"]["hours"], rel=1e-9)


def test_a_wire_is_its_way_with_slack_and_its_spare() -> None:
    assert length_m([(0, 0, 0), (3, 4, 0)], 2) == pytest.approx(5 * 1.03 + 0.2 + 0.3)
    assert figures(wired_by(length_m=2.0)).conductors[0].length_m == 2.0


@examples(20)
@given(st.floats(0.5, 1.1), st.floats(-0.25, 0.25))
def test_a_moved_battery_takes_the_end_of_its_wire_along(x: float, y: float) -> None:
    moved = put(WIRED, BATTERY, x, y, z_m=0.2)
    route = evaluated(moved).once(routes)[1]
    assert route.points[0][:2] == (x, y)
    along = sum(math.dist(a, b) for a, b in zip(route.points, route.points[1:], strict=False))
    assert route.length_m == pytest.approx(1.03 * along + 0.2)


def test_a_mirrored_boat_has_the_same_lengths_and_drops() -> None:
    one, other = figures(WIRED).conductors[0], figures(mirrored(WIRED)).conductors[0]
    assert one.length_m == pytest.approx(other.length_m, rel=1e-12)
    assert one.drop_v == pytest.approx(other.drop_v, rel=1e-12)


def test_thicker_loses_less_and_weighs_more() -> None:
    rows = [figures(wired_by(awg=awg)).conductors[0] for awg in (18, 16, 14, 12)]
    drops, copper = [r.drop_v for r in rows], [r.copper_kg for r in rows]
    assert drops == sorted(drops, reverse=True)
    assert copper == sorted(copper)
    # 8.96 g/cm³, out and back, 3.31 mm² of AWG 12
    assert copper[-1] == pytest.approx(8960 * 3.309e-6 * 2 * rows[-1].length_m, rel=1e-3)


@pytest.mark.parametrize("length_m", [1.0, 4.0, 8.0, 12.0, 16.0, 24.0])
def test_a_wire_is_as_bad_as_what_is_lost_on_the_way_to_its_device(length_m: float) -> None:
    setup = wired_by(awg=18, length_m=length_m)
    (one,), (load,) = figures(setup).conductors, figures(setup).loads
    levels = evaluated(setup).table["drop critical"]
    assert one.drop_verdict == levels.verdict(load.drop_share)
    told = [finding.verdict for finding in found(setup, "power-drop")]
    assert told == ([] if one.drop_verdict == "fine" else [one.drop_verdict])


def test_leads_are_as_bad_as_what_is_lost_behind_them() -> None:
    """Of two batteries to one block, and a long thin wire from there."""
    setup = with_second("lifepo4")
    short = figures(setup).conductors
    long = {key: one.model_copy(update={"length_m": 14.0, "awg": 18})
            for key, one in setup.power.conductors.items() if one.end == SCREEN}  # fmt: skip
    assert long
    spoiled = with_power(setup, conductors={**setup.power.conductors, **long})
    assert {one.drop_verdict for one in short} == {"fine"}
    assert {one.drop_verdict for one in figures(spoiled).conductors} == {
        one.verdict for one in found(spoiled, "power-drop")
    }


def test_two_alike_in_parallel_are_one_of_twice_the_size() -> None:
    two = figures(with_second("lifepo4"))
    (bank,) = two.banks
    assert set(bank.batteries) == {BATTERY, SECOND}
    assert bank.usable_wh == pytest.approx(2 * figures(WIRED).banks[0].usable_wh, rel=0.02)
    assert bank.left_share > figures(WIRED).banks[0].left_share


def test_what_is_ashore_is_not_wired() -> None:
    gone = without(WIRED, BATTERY)
    live = figures(gone)
    assert (live.conductors, live.unfed) == ([], [SCREEN])
    assert full_power(evaluated(gone)).trouble == "No battery aboard yet."


def test_a_capacity_that_nobody_says_is_typical_of_its_weight() -> None:
    guessed = figures(electric(BATTERY, battery={"chemistry": "lifepo4", "capacity_ah": None}))
    # 2.4 kg at 105 usable Wh a kilogram, nine tenths of 12 V usable
    assert guessed.batteries[0].capacity_ah == pytest.approx(
        2.4 * 105 / (12 * 0.9) * 0.98, rel=0.03
    )


@pytest.mark.parametrize(
    "wrong",
    [
        {1: wire(), 2: wire()},  # fed twice
        {1: wire(end=MOTOR), 2: wire(start=MOTOR, end=SECOND), 3: wire(start=SECOND, end=MOTOR)},
        {1: wire(), 2: wire(start=SCREEN, end=BATTERY)},  # round in a circle
    ],
)
def test_wires_that_are_no_tree_are_refused(wrong: dict[int, Conductor]) -> None:
    with pytest.raises(ValueError, match=r"two wires|circle"):
        Power(conductors=wrong)


def test_a_row_set_to_nothing_goes() -> None:
    kept = Power.model_validate({"conductors": {"1": wire(), "2": None}, "charge": {"5": None}})
    assert set(kept.conductors) == {1}
    assert kept.charge == {}


def test_a_file_keeps_the_wiring_of_what_is_aboard() -> None:
    setup = with_second("lifepo4")
    back = read_setup(write_setup(setup).encode())
    assert back.power == setup.power
    gone = setup.model_copy(
        update={"places": {i: p for i, p in setup.places.items() if i != SECOND}}
    )
    left = read_setup(write_setup(gone).encode()).power
    assert set(left.conductors) == {1, 2}
    assert left.banks == {}


def test_other_numbers_are_other_numbers_throughout() -> None:
    power = with_second("lifepo4").power
    ids = {BATTERY: 105, SCREEN: 106, SECOND: 141, 42: 142}
    new = power.renumbered(ids)
    assert {(one.start, one.end) for one in new.conductors.values()} == {
        (142, 106), (105, 142), (141, 142)}  # fmt: skip
    assert new.banks["house"] == Bank(batteries=[105, 141], bus=142)
    assert isinstance(new, Model)


def test_the_day_adds_up() -> None:
    full = full_power(evaluated(with_motor()))
    assert full.chart is not None
    for row in full.loads:
        assert sum(row.by_phase_wh) == pytest.approx(row.energy_wh, rel=1e-4)
    loss = full.losses[0]
    assert loss.loads_wh == pytest.approx(sum(row.energy_wh for row in full.loads), rel=1e-9)
    assert loss.wires_wh > 0
    assert loss.inside_wh >= 0
    soc = full.chart.batteries[0].soc
    assert soc == sorted(soc, reverse=True)
    assert full.chart.at_h[0] == 6.0
    assert len(full.chart.at_h) == len(soc) == len(full.chart.loads[0].volts)


def test_its_own_battery_keeps_the_screen_lit() -> None:
    one, apart = full_power(evaluated(with_motor(start_level=6.0))).supplies
    assert one.low
    assert not apart.low
    assert apart.start_v is not None
    assert one.start_v is not None
    assert apart.start_v > one.start_v
    assert apart.battery_kg > one.battery_kg
    assert (one.to_charge, apart.to_charge) == (1, 2)
    assert apart.gm_m != one.gm_m


def test_what_to_buy_covers_every_wire_and_fuse() -> None:
    ev = evaluated(FULL)
    rows = to_buy(ev)
    for key, route in ev.once(routes).items():
        size = f"AWG {FULL.power.conductors[key].awg}"
        (row,) = (one for one in rows if one.what == "Wire, pair" and one.size == size)
        assert row.length_m is not None
        assert route.length_m <= row.length_m <= route.length_m + 0.5
    fuses = {one.size: one.count for one in rows if one.what.startswith("Fuse")}
    assert fuses == {"3 A": 1, "5 A": 1}
    (battery,) = ashore(ev)
    assert [one.words for one in battery.steps][-1] == "Undo the strap"


def test_a_new_wire_is_laid_so_that_nothing_is_wrong_with_it() -> None:
    bare = with_power(WIRED, conductors={})
    laid = with_power(bare, conductors={7: new_wire(evaluated(bare), BATTERY, SCREEN)})
    assert not [one for one in evaluate(laid).findings if one.topic == "power"]


@pytest.mark.parametrize(
    "setup",
    [wired_by(fuse_a=None), wired_by(fuse_at_m=0.5), wired_by(awg=20), wired_by(length_m=12.0),
     wired_by(points=ALONG[1:])],
    ids=["no fuse", "far", "thin", "drop", "hangs"],
)  # fmt: skip
def test_what_is_suggested_mends_it(setup: Setup) -> None:
    (finding, *_) = (one for code in ("power-no-fuse", "power-fuse-far", "power-thin-wire",
                     "power-drop", "power-hangs-free") for one in found(setup, code))  # fmt: skip
    ways = list(works(evaluated(setup), finding))
    assert ways
    done = setup.model_copy(update=dict(ways[0].sections))
    assert not [one for one in found(done, finding.code) if one.key == finding.key]


@pytest.mark.parametrize("figure", ["power", "volts", "drop", "fuse"])
def test_every_account_of_a_wired_boat_has_its_rows(figure: str) -> None:
    how = explain(evaluated(with_motor()), figure)
    assert how.rows
    with pytest.raises(InputError):
        explain(evaluated(put(CLEAN, SCREEN, 2.44, -0.34)), figure)


def test_the_ladder_comes_down_to_the_device() -> None:
    how = explain(evaluated(WIRED), "volts")
    rows = {row.label: row.value for row in how.rows}
    posts = next(v for label, v in rows.items() if label.endswith("at its posts"))
    ohm = next(v for label, v in rows.items() if label.startswith("Wire to"))
    amps = next(v for label, v in rows.items() if label.endswith("draws"))
    volts = next(v for label, v in rows.items() if label.endswith("screen: voltage"))
    assert posts - amps * ohm == pytest.approx(volts, rel=1e-9)
