"""Each demand against a sum by hand: levers from weights and arms, nothing from the solver."""

from dataclasses import replace
from math import cos, radians, sin, sqrt
from typing import Any

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples

from neat_hull.files.demo import demo_setups
from neat_hull.model.boat import Cleat
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.place import OnBody
from neat_hull.model.setup import Setup
from neat_hull.physics.water.hydrostatics import (
    Settled,
    drafts_m,
    settle,
)
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.rigging import Rigged
from neat_hull.subjects.demands.cases import standing_body
from neat_hull.subjects.demands.figures import asked_of, demand_loads, margin_key, readings, solved
from neat_hull.whole.evaluate import evaluated

DENSITY = 998.0


def demo(**numbers: Any) -> Setup:
    """The full demo with nothing worn, asked with other numbers than the usual."""
    setup = demo_setups()[0]
    worn = [i for i, place in setup.places.items() if isinstance(place.on, OnBody)]
    places = {i: place for i, place in setup.places.items() if i not in worn}
    return setup.model_copy(update={"places": places, "demands": DemandNumbers(**numbers)})


class Asked:
    """A demo rigged and settled, and its loads under any demand."""

    def __init__(self, **numbers: Any) -> None:
        self.setup = demo(**numbers)
        self.ev = evaluated(self.setup)
        self.rigged: Rigged = self.ev.rigged
        self.settled: Settled = settle(self.rigged.floating, self.rigged.loads, DENSITY)
        self.base: Loads = self.rigged.loads

    def loads(self, code: str) -> Loads:
        """The loads of a demand."""
        return demand_loads(self.ev, self.settled, code)

    @property
    def gunwale(self) -> tuple[float, float]:
        """Half-breadth and height of the sheer abeam of the seat."""
        hull, x = self.rigged.floating.hull, self.setup.seat.x_m
        half, height = (float(np.interp(x, hull.x_m, axis)) for axis in hull.sheer_m.T)
        return half, height

    @property
    def half_draft_m(self) -> float:
        """Where the water holds against a pull."""
        return drafts_m(self.rigged.floating.hull, self.settled.rest)[1] / 2


def test_sitting_still_is_the_boat_as_it_lies() -> None:
    asked = Asked()
    assert asked.loads("seated") is asked.base


def test_a_lean_moves_the_trunk_by_its_height_times_the_sine() -> None:
    asked = Asked(lean_deg=20.0)
    body = asked.rigged.body
    upper = [s for s in body.segments if s.name not in ("thigh", "shank", "foot")]
    moment = sum(s.mass_kg * (s.centre_m[2] - body.hip_m[2]) for s in upper) * sin(radians(20))
    before = float(asked.base.mass_kg @ asked.base.at_m[:, 1])
    after = asked.loads("lean")
    assert float(after.mass_kg @ after.at_m[:, 1]) == pytest.approx(before + moment)
    assert after.total_kg == pytest.approx(asked.base.total_kg)


def test_a_landed_fish_hangs_outside_the_gunwale() -> None:
    asked = Asked(fish_kg=6.0, fish_out_m=0.3)
    half, height = asked.gunwale
    loads = asked.loads("land")
    assert loads.mass_kg[-1] == 6.0
    assert loads.at_m[-1] == pytest.approx((asked.setup.seat.x_m, half + 0.3, height))


def test_a_pull_at_the_tip_acts_over_half_the_draft() -> None:
    asked = Asked(line_pull_kg=4.0, rod_tip_over_shoulder_m=0.5)
    shoulder = next(s.far_m for s in asked.rigged.body.segments if s.name == "trunk")[2]
    arm = float(shoulder) + 0.5 - asked.half_draft_m
    assert asked.loads("pull").heeling_kg_m == pytest.approx(-4.0 * arm)


@pytest.mark.parametrize(("code", "number"), [("rise", "sway_m"), ("stand", "sway_m"),
                                              ("cast", "cast_sway_m")])  # fmt: skip
def test_sway_moves_the_whole_body(code: str, number: str) -> None:
    """8 cm of 82 kg."""
    still, swaying = Asked(**{number: 0.0}).loads(code), Asked(**{number: 0.08}).loads(code)
    shift = swaying.solid_centre_m[1] - still.solid_centre_m[1]
    assert shift * still.total_kg == pytest.approx(0.08 * 82.0)


def test_one_stands_on_the_floor_before_the_seat() -> None:
    asked = Asked()
    body = standing_body(asked.rigged)
    soles = min(float(s.far_m[2]) for s in body.segments if s.name in ("shank", "foot"))
    assert soles == pytest.approx(0.165, abs=0.08)  # the cockpit's floor, less the ankles' bend
    assert body.centre_m[2] > asked.rigged.body.centre_m[2] + 0.5


def test_a_seat_raised_lifts_the_body_by_as_much() -> None:
    """Without a lean the angler's own centre rises by 12 cm, less what bent knees give."""
    low, high = Asked(seat_up_m=0.0, lean_deg=0.0), Asked(seat_up_m=0.12, lean_deg=0.0)
    rise = high.loads("seat up").at_m[1, 2] - low.loads("seat up").at_m[1, 2]
    assert 0.09 < rise <= 0.12 + 1e-9


@pytest.mark.parametrize("scope", [2.0, 5.0, 10.0])
def test_a_taut_line_pulls_down_by_its_slope(scope: float) -> None:
    """sin α = 1/scope, so pull·tan α = pull/√(scope² − 1) stands at the cleat."""
    asked = Asked(scope=scope)
    loads = asked.loads("anchor bow")
    down, moment = float(loads.mass_kg[-1]), loads.trimming_kg_m
    hull = asked.rigged.floating.hull
    height = float(hull.sheer_m[-1, 1])
    pull = -moment / (height - asked.half_draft_m)
    assert down == pytest.approx(pull / sqrt(scope**2 - 1))
    assert loads.at_m[-1] == pytest.approx((hull.x_fwd_m, 0.0, height))


def test_the_stern_lifts_its_bow_and_the_bow_its_stern() -> None:
    asked = Asked(current_m_s=2.0)
    found = {one.code: one for one in solved(asked.ev)}
    bow, still, stern = (
        found[code].trim_deg or 0.0 for code in ("anchor bow", "seated", "anchor stern")
    )
    assert bow < still < stern


def test_still_water_and_air_pull_nothing() -> None:
    loads = Asked(current_m_s=0.0, wind_m_s=0.0).loads("anchor side")
    assert loads.heeling_kg_m == 0.0
    assert loads.mass_kg[-1] < 1e-5


def test_a_downrigger_hangs_at_the_end_of_its_boom() -> None:
    asked = Asked(downrigger_kg=7.0, boom_out_m=0.6, side="starboard")
    half, height = asked.gunwale
    loads = asked.loads("boom")
    assert loads.mass_kg[-1] == 7.0
    assert loads.at_m[-1] == pytest.approx((asked.setup.seat.x_m, -half - 0.6, height))


def test_a_pole_pulls_sideways_at_the_after_gunwale() -> None:
    asked = Asked(pole_pull_kg=8.0)
    hull = asked.rigged.floating.hull
    height = float(np.interp(0.1 * hull.length_m, hull.x_m, hull.sheer_m[:, 1]))
    arm = height - asked.half_draft_m
    assert asked.loads("pole").heeling_kg_m == pytest.approx(-8.0 * arm)


def test_cockpit_water_lies_on_its_floor_and_runs_from_side_to_side() -> None:
    """30 kg on 1.44 × 0.54 m: 3.87 cm deep; l·b³/12 of it runs."""
    loads = Asked(cockpit_water_kg=30.0).loads("cockpit")
    depth = 30.0 / (DENSITY * 1.44 * 0.54)
    assert loads.at_m[-1] == pytest.approx((1.90, 0.0, 0.165 + depth / 2))
    assert loads.free_surface_kg_m == pytest.approx(DENSITY * 1.44 * 0.54**3 / 12)


def test_a_filled_tank_stands_in_the_well_behind_the_seat() -> None:
    loads = Asked(tank_kg=25.0).loads("tank")
    assert loads.mass_kg[-1] == 25.0
    assert 0.32 < loads.at_m[-1, 0] < 1.06


def test_climbing_in_leaves_the_seat_empty() -> None:
    """30 % of 82 kg on the gunwale, the rest in the water."""
    asked = Asked(remount_share=0.3)
    half, height = asked.gunwale
    loads = asked.loads("remount")
    assert loads.total_kg == pytest.approx(asked.base.total_kg - 0.7 * 82.0)
    assert loads.at_m[-1] == pytest.approx((asked.setup.seat.x_m, half, height))


@pytest.mark.parametrize("share", [0.1, 0.3])
def test_a_flooded_hull_weighs_its_water_more(share: float) -> None:
    asked = Asked(flooded_share=share)
    floating = asked.rigged.floating
    inside = float(floating.capacity_m3(floating.drains[None, :])[0])
    loads = asked.loads("flooded")
    assert loads.mass_kg[-1] == pytest.approx(DENSITY * share * inside, rel=5e-3)
    assert loads.free_surface_kg_m > 10


def test_margin_used_is_the_lever_over_the_greatest_lever() -> None:
    asked = Asked()
    for one in solved(asked.ev):
        if one.margin_used is not None:
            assert one.greatest_gz_m is not None
            assert one.margin_used == pytest.approx(one.lever_m / one.greatest_gz_m)
            assert one.lever_m == pytest.approx(abs(asked.loads(one.code).centre_m[1]))


def test_a_lever_of_more_than_the_boat_has_goes_over() -> None:
    asked = Asked(fish_kg=40.0)
    land = next(one for one in solved(asked.ev) if one.code == "land")
    assert land.margin_used is not None
    assert land.margin_used > 1
    assert (land.verdict, land.heel_deg) == ("stop", None)


def test_heel_under_a_small_pull_is_that_of_the_metacentre() -> None:
    """tan φ = m/(M·GM) for 0.5 kg; the bottom's ridges bend it by up to 6 %."""
    asked = Asked(line_pull_kg=0.5)
    found = {one.code: one for one in solved(asked.ev)}
    moment = abs(asked.loads("pull").heeling_kg_m)
    pulled, still, gm = found["pull"].heel_deg, found["seated"].heel_deg, found["seated"].gm_m
    assert pulled is not None
    assert still is not None
    assert gm is not None
    heel = radians(still - pulled)  # the pull is to port
    assert heel == pytest.approx(moment / (asked.base.total_kg * gm) * cos(heel), rel=0.06)


def test_nothing_of_the_setup_is_changed_by_asking() -> None:
    asked = Asked()
    before = asked.base.at_m.copy()
    solved(asked.ev)
    assert np.array_equal(asked.base.at_m, before)
    assert replace(asked.base).total_kg == asked.base.total_kg


SETUPS = [
    *(one.model_copy(update={"posture": "stands"}) for one in demo_setups()),
    demo(lean_deg=12.0, fish_kg=8.0, cockpit_water_kg=40.0, remount_share=0.2),
]


@pytest.mark.parametrize("setup", SETUPS, ids=lambda one: one.name)
def test_demands_read_off_the_cross_curves_are_those_that_are_solved(setup: Setup) -> None:
    """Within four points of margin, half a degree of heel, 8 mm of gunwale and of GM; what comes
    near a limit of the margin, to a hundredth of itself."""
    ev = evaluated(setup)
    by_code = {one.code: one for one in solved(ev)}
    read_off = readings(ev)
    assert len(read_off) >= 5
    for read in read_off:
        full = by_code[read.code]
        assert full.gm_m is not None
        assert read.gm_m == pytest.approx(full.gm_m, abs=0.008), read.code
        if full.margin_used is None or full.margin_used > 1.2:
            assert read.margin_used is None or read.margin_used > 1.1, read.code
            continue
        assert read.margin_used == pytest.approx(full.margin_used, abs=0.04), read.code
        if full.margin_used > 0.7 * ev.table[margin_key(read.code)].fine:
            assert read.margin_used == pytest.approx(full.margin_used, rel=0.01), read.code
        if full.heel_deg is not None and full.margin_used < 0.95:
            assert read.heel_deg == pytest.approx(full.heel_deg, abs=0.5), read.code
            assert read.freeboard_m == pytest.approx(full.least_freeboard_m, abs=0.008), read.code


@examples(5)
@given(
    st.sampled_from(demo_setups()),
    st.floats(0.5, 10), st.floats(0, 30), st.floats(0, 30), st.floats(5, 30), st.floats(0.2, 0.5),
    st.floats(-0.3, 0.3), st.sampled_from(["sits", "stands"]),
)  # fmt: skip
def test_no_verdict_on_a_margin_is_another_than_the_full_solver_has(
    setup: Setup, fish: float, water: float, tank: float, lean: float, share: float, aside: float,
    posture: str,
) -> None:  # fmt: skip
    numbers = {"fish_kg": fish, "cockpit_water_kg": water, "tank_kg": tank, "lean_deg": lean,
               "remount_share": share}  # fmt: skip
    places = dict(setup.places)
    places[16] = places[16].model_copy(update={"y_m": aside, "z_m": 0.3})
    ev = evaluated(
        setup.model_copy(update={"demands": setup.demands.model_copy(update=numbers),
                                 "places": places, "posture": posture})
    )  # fmt: skip
    by_code = {one.code: one for one in solved(ev)}
    for read in readings(ev):
        full, levels = by_code[read.code].margin_used, ev.table[margin_key(read.code)]
        if full is None or read.margin_used is None:
            assert max(full or 9.0, read.margin_used or 9.0) > levels.fix, read.code
            continue
        if min(abs(full - at) for at in (levels.fine, levels.watch, levels.fix)) > 0.005:
            assert levels.verdict(read.margin_used) == levels.verdict(full), read.code


def test_what_is_asked_goes_with_posture_and_gear() -> None:
    full = demo_setups()[0]
    assert "stand" not in asked_of(full)
    assert "stand" in asked_of(full.model_copy(update={"posture": "stands"}))
    assert "anchor bow" in asked_of(full)  # one is aboard
    assert "anchor bow" not in asked_of(demo_setups()[1])
    stern = Cleat(name="Cleat", x_m=0.1, y_m=0.0, z_m=0.4)
    boat = full.boat.model_copy(update={"fittings": [*full.boat.fittings, stern]})
    assert "anchor stern" in asked_of(full.model_copy(update={"boat": boat}))
    assert "tank" not in asked_of(full)  # the bait tank is ashore
