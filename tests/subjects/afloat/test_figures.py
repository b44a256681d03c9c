"""Demands, bands, calibration and the sheet, on the demo boat."""

from typing import Any

import numpy as np
import pytest

from neat_hull.errors import InputErrors
from neat_hull.files.demo import demo_setups
from neat_hull.model.boat import Boat, DriveWell, OffsetStation
from neat_hull.model.calibration import (
    Calibration,
    FloatMark,
    FloatTest,
    LiftTest,
    TiltReading,
    TiltTest,
)
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.place import OnBody
from neat_hull.model.setup import Setup
from neat_hull.physics.water.hydrostatics import settle, upright
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.hulls import as_tested, floating_hull, hull_centre_m
from neat_hull.rig.lining_up import lined_up
from neat_hull.rig.rigging import rig
from neat_hull.subjects.afloat.full import full_afloat
from neat_hull.subjects.calibration.figures import _float_report, refit, report
from neat_hull.whole.evaluate import evaluate, evaluated

SPARE_ROD = 10


def demo(**demands: Any) -> Setup:
    """The full demo with nothing worn, asked with other numbers than the usual."""
    setup = demo_setups()[0]
    worn = [i for i, place in setup.places.items() if isinstance(place.on, OnBody)]
    places = {i: place for i, place in setup.places.items() if i not in worn}
    return setup.model_copy(update={"places": places, "demands": DemandNumbers(**demands)})


def asked(setup: Setup) -> dict[str, Any]:
    """Demands by code."""
    return {one.code: one for one in full_afloat(evaluated(setup)).demands}


def on_boat(setup: Setup, **changes: Any) -> Setup:
    """The same setup on another boat."""
    return setup.model_copy(update={"boat": setup.boat.model_copy(update=changes)})


@pytest.fixture(scope="module")
def usual() -> dict[str, Any]:
    """The demo's demands."""
    return asked(demo())


def test_every_demand_of_the_job_is_asked(usual: dict[str, Any]) -> None:
    assert set(usual) == {
        "seated", "lean", "land", "pull", "rise", "stand", "cast", "seat up", "anchor bow",
        "anchor stern", "anchor side", "boom", "pole", "cockpit", "tank", "remount", "flooded",
    }  # fmt: skip


def test_the_worst_comes_first() -> None:
    verdicts = [one.verdict for one in full_afloat(evaluated(demo())).demands]
    rank = {"stop": 0, "fix": 1, "watch": 2, "fine": 3}
    assert [rank[v] for v in verdicts] == sorted(rank[v] for v in verdicts)


def test_the_lever_of_a_lean_is_as_an_independent_sum_has_it(usual: dict[str, Any]) -> None:
    """A full lean of 25° is a lever of about 4.5 cm on such a boat."""
    assert usual["lean"].lever_m == pytest.approx(0.045, abs=0.006)
    assert usual["lean"].heel_deg < 0  # to port, the strong side


def test_the_other_side_mirrors() -> None:
    """With everything aboard mirrored as well; what is in the crate would keep its side of it."""
    places = {i: place for i, place in demo().places.items() if i != SPARE_ROD}
    setup = demo().model_copy(update={"places": places})
    one = asked(setup)
    setup = demo(side="starboard").model_copy(update={"places": places})
    places = places | lined_up(rig(setup), list(places), "mirror")
    other = asked(setup.model_copy(update={"places": places}))
    for code in ("lean", "land", "boom"):
        assert other[code].heel_deg == pytest.approx(-one[code].heel_deg, abs=1e-3)


def test_anchoring_from_the_side_is_why_one_never_does(usual: dict[str, Any]) -> None:
    side, bow = usual["anchor side"], usual["anchor bow"]
    assert abs(side.heel_deg) > 20 * abs(bow.heel_deg - usual["seated"].heel_deg)
    assert side.least_freeboard_m < bow.least_freeboard_m


def test_drag_grows_with_the_square_of_the_current() -> None:
    still = demo(wind_m_s=0.0, side="starboard")  # the side that the boat hangs to
    one, two = (
        asked(still.model_copy(update={"demands": still.demands.model_copy(
            update={"current_m_s": v})}))["anchor side"].lever_m for v in (0.4, 0.8)
    )  # fmt: skip
    rest = asked(demo(current_m_s=0.0, wind_m_s=0.0, side="starboard"))["anchor side"].lever_m
    assert two - rest == pytest.approx(4 * (one - rest), rel=0.05)


@pytest.mark.parametrize(
    ("code", "numbers"),
    [
        ("land", {"fish_kg": 0.0}),
        ("cockpit", {"cockpit_water_kg": 0.0}),
        ("tank", {"tank_kg": 0.0}),
        ("flooded", {"flooded_share": 0.0}),
        ("remount", {"remount_share": 0.0}),
    ],
)
def test_nothing_asked_is_answered_too(code: str, numbers: dict[str, float]) -> None:
    assert asked(demo(**numbers))[code].heel_deg is not None


def test_a_heavier_fish_uses_more_of_the_margin(usual: dict[str, Any]) -> None:
    assert asked(demo(fish_kg=8.0))["land"].margin_used > usual["land"].margin_used


def test_water_that_runs_costs_more_gm_than_its_weight_alone(usual: dict[str, Any]) -> None:
    assert usual["cockpit"].gm_m < usual["seated"].gm_m - 0.05


def test_what_the_boat_alone_would_not_hold_is_said_so(usual: dict[str, Any]) -> None:
    stand = usual["stand"]
    assert stand.gm_m < 0
    assert (stand.verdict, stand.heel_deg) == ("fix", None)
    assert "own balance" in stand.trouble


def test_the_curves_are_seated_standing_and_the_worst() -> None:
    curves = {one.name: one for one in full_afloat(evaluated(demo())).curves}
    assert list(curves)[:2] == ["seated", "standing"]
    assert len(curves) == 3
    seated = curves["seated"]
    assert len(seated.heel_deg) == 37
    assert seated.ends_by == "deck edge"
    assert 30 < seated.deck_edge_deg < seated.vanishing_deg < 60  # type: ignore[operator]
    assert curves["standing"].gm_m < 0


def test_load_curves_sink_and_today_is_among_them() -> None:
    found = full_afloat(evaluated(demo())).by_load
    assert found is not None
    assert found.draft_m == sorted(found.draft_m)
    assert found.freeboard_m == sorted(found.freeboard_m, reverse=True)
    assert found.carried_kg[0] < found.today_kg < found.carried_kg[-1]
    by_school = {one.school: one.carried_kg for one in found.capacities}
    assert by_school["rating"] == 216
    assert by_school["working share"] == pytest.approx(151.2)
    assert by_school["dry floors"] is not None


def test_a_boat_that_sinks_has_a_sheet_that_says_why() -> None:
    heavy = demo().angler.model_copy(update={"mass_kg": 250.0})
    sinks = on_boat(demo(), hull_mass_kg=399.0, fittings=[]).model_copy(update={"angler": heavy})
    found = full_afloat(evaluated(sinks))
    assert found.trouble is not None
    assert found.demands == []


def test_lost_volume_sinks_the_boat_by_the_water_it_lets_in() -> None:
    """5 L more at the drive: about 5 kg over 21.4 kg a centimetre."""
    plain = evaluate(on_boat(demo(), fittings=[])).afloat
    hole = DriveWell(name="well", x_m=1.74, y_m=0.0, z_m=0.05, lost_m3=0.005)
    holed = evaluate(on_boat(demo(), fittings=[hole])).afloat
    assert plain is not None
    assert holed is not None
    assert holed.draft_mid_m - plain.draft_mid_m == pytest.approx(0.05 / plain.kg_per_cm, rel=0.1)


# Bands


def test_an_untested_hull_is_an_estimate_and_guesses_are_to_be_weighed_first() -> None:
    found = evaluate(demo()).bands
    assert found is not None
    assert found.hull == "estimate"
    assert found.weigh_first[0].name == "Tackle crate"  # the heaviest guess aboard
    assert 0.02 < found.gm_m < 0.10


def test_weighing_what_is_named_first_narrows_every_band() -> None:
    setup = demo()
    before = evaluate(setup).bands
    assert before is not None
    things = dict(setup.things)
    for one in before.weigh_first:
        assert one.thing_id is not None
        things[one.thing_id] = things[one.thing_id].model_copy(update={"evidence": "weighed"})
    after = evaluate(setup.model_copy(update={"things": things})).bands
    assert after is not None
    assert after.carried_kg < 0.7 * before.carried_kg
    assert after.trim_deg < before.trim_deg
    assert after.gm_m <= before.gm_m


def test_the_slopes_behind_the_bands_are_those_of_the_solver() -> None:
    """One guessed thing far aft: its band of trim against moving its weight up and down by hand."""
    setup = demo()
    things = {i: t.model_copy(update={"evidence": "weighed"}) for i, t in setup.things.items()}
    crate = 9
    sure = evaluate(setup.model_copy(update={"things": things})).bands
    unsure = evaluate(setup.model_copy(
        update={"things": things | {crate: setup.things[crate]}})).bands  # fmt: skip
    assert sure is not None
    assert unsure is not None
    own = (unsure.trim_deg**2 - sure.trim_deg**2) ** 0.5
    off = 0.25 * setup.things[crate].mass_kg
    trims = []
    for mass in (setup.things[crate].mass_kg - off, setup.things[crate].mass_kg + off):
        moved = things | {crate: setup.things[crate].model_copy(update={"mass_kg": mass})}
        afloat = evaluate(setup.model_copy(update={"things": moved})).afloat
        assert afloat is not None
        trims.append(afloat.trim_deg)
    assert own == pytest.approx((trims[1] - trims[0]) / 2, rel=0.08)


# Calibration


def taped() -> Setup:
    """The demo with no more measured of its boat than everybody measures."""
    setup = demo()
    few = {"low_beam_m": None, "low_beam_fore_m": None, "low_beam_aft_m": None}
    tape = setup.boat.tape.model_copy(update=few)
    return setup.model_copy(update={"boat": setup.boat.model_copy(update={"tape": tape})})


def boat_with(**tests: Any) -> Boat:
    """That boat with tests."""
    return taped().boat.model_copy(update={"calibration": Calibration(**tests)})


def float_test(*levels_m: float, used: bool = True) -> FloatTest:
    """82 kg aboard, and the gunwale at three places."""
    marks = [FloatMark(x_m=x, freeboard_m=level) for x, level in zip((0.5, 1.8, 3.1), levels_m,
                                                                    strict=True)]  # fmt: skip
    return FloatTest(used=used, water="fresh", load_kg=82.0, load_x_m=1.55, load_z_m=0.45,
                     marks=marks)  # fmt: skip


def modelled(test: FloatTest) -> list[float]:
    """The levels that the untested model shows in that test."""
    fit = report(boat_with(float_test=test)).float_test
    assert fit is not None
    return [mark.before_m for mark in fit.marks]


NEAR = float_test(0.275, 0.27, 0.325)


def test_marks_that_the_model_shows_already_change_nothing() -> None:
    fit = report(boat_with(float_test=float_test(*modelled(NEAR)))).float_test
    assert fit is not None
    assert fit.fullness_fore == pytest.approx(0, abs=1e-3)
    assert fit.fullness_aft == pytest.approx(0, abs=1e-3)


def test_a_boat_that_floats_higher_is_fuller_and_the_fit_meets_its_marks() -> None:
    """Every mark 6 mm higher."""
    higher = float_test(*(level + 0.006 for level in modelled(NEAR)))
    fit = report(boat_with(float_test=higher)).float_test
    assert fit is not None
    assert min(fit.fullness_fore, fit.fullness_aft) > 0.01
    assert fit.rms_before_m == pytest.approx(0.006, abs=1e-4)
    assert fit.rms_after_m < 0.4 * fit.rms_before_m


def test_a_used_float_test_changes_the_figures_and_can_be_switched_off() -> None:
    higher = float_test(*(level + 0.006 for level in modelled(NEAR)))
    setup = taped()
    on = evaluate(setup.model_copy(update={"boat": refit(boat_with(float_test=higher))}))
    off_test = higher.model_copy(update={"used": False})
    off = evaluate(setup.model_copy(update={"boat": refit(boat_with(float_test=off_test))}))
    plain = evaluate(setup)
    assert on.afloat is not None
    assert plain.afloat is not None
    assert on.afloat.draft_mid_m < plain.afloat.draft_mid_m - 0.002
    assert off.afloat == plain.afloat
    assert on.bands is not None
    assert plain.bands is not None
    assert on.bands.hull == "calibrated"
    assert on.bands.trim_deg < plain.bands.trim_deg


def test_breadths_measured_low_down_are_not_undone_by_a_mark() -> None:
    """The same marks, 6 mm higher: they move a hull of which more was measured by less, and what
    would have a well measured hull wrong by a tenth is refused."""
    higher = float_test(*(level + 0.006 for level in modelled(NEAR)))
    least = report(boat_with(float_test=higher)).float_test
    boat = demo().boat
    near = [mark.before_m for mark in _float_report(boat, NEAR).marks]
    held = _float_report(boat, float_test(*(level + 0.006 for level in near)))
    assert least is not None
    assert 0 < held.fullness_fore < 0.5 * least.fullness_fore
    with pytest.raises(InputErrors, match="disagree"):
        _float_report(boat, float_test(*(level + 0.06 for level in near)))


def test_marks_of_another_boat_are_refused_while_used_and_kept_while_not() -> None:
    with pytest.raises(InputErrors, match=r"float_test\.marks"):
        refit(boat_with(float_test=float_test(0.1, 0.1, 0.1)))
    kept = refit(boat_with(float_test=float_test(0.1, 0.1, 0.1, used=False)))
    assert kept.calibration.float_test is not None
    assert kept.calibration.float_test.fullness_fore is None
    assert "disagree" in (report(kept).float_trouble or "")


def tilt_test(gm_m: float, used: bool = True) -> TiltTest:
    """10 kg moved 30 cm either way on 33.5 + 92 kg, with a boat of that GM."""
    from math import atan, degrees

    readings = [
        TiltReading(mass_kg=10, offset_m=d, heel_deg=degrees(atan(10 * d / (125.5 * gm_m))))
        for d in (-0.3, 0.0, 0.3)
    ]
    return TiltTest(used=used, water="fresh", load_kg=92.0, load_x_m=1.55, load_z_m=0.45,
                    readings=readings)  # fmt: skip


def loads_of(boat: Boat, aside_m: float = 0.0) -> Loads:
    """The boat in that test, 10 of the 92 kg moved to starboard."""
    at = (1.55, -10 * aside_m / 92, 0.45)
    return Loads(np.array([boat.hull_mass_kg, 92.0]), np.array([hull_centre_m(boat), at]))


def tilted(vcg_m: float, offsets_m: tuple[float, ...]) -> TiltTest:
    """The angles that a boat whose own centre lies at that height really takes up."""
    boat = boat_with().model_copy(update={"hull_vcg_m": vcg_m})
    readings = [
        TiltReading(mass_kg=10, offset_m=d, heel_deg=float(np.degrees(
            settle(floating_hull(boat), loads_of(boat, d), 998.0).rest.heel_rad[0])))
        for d in offsets_m
    ]  # fmt: skip
    return tilt_test(1.0).model_copy(update={"readings": readings})


@pytest.mark.parametrize("offsets_m", [(-0.3, 0.0, 0.3), (-0.8, -0.4, 0.4, 0.8), (0.2, 0.8)])
def test_a_tilt_test_finds_the_hulls_own_centre_at_any_angle(offsets_m: tuple[float, ...]) -> None:
    """Angles from the solver, of a boat 4 cm heavier on top than is typical; up to 10° and more,
    where a straight line through them would have GM 2 % and more off."""
    typical = float(hull_centre_m(boat_with())[2])
    boat = refit(boat_with(tilt_test=tilted(typical + 0.04, offsets_m)))
    found = boat.calibration.tilt_test
    assert found is not None
    assert found.hull_vcg_m == pytest.approx(typical + 0.04, abs=2e-3)
    settled = settle(floating_hull(boat), loads_of(boat), 998.0)
    assert upright(settled).gm_m == pytest.approx(found.gm_m, rel=1e-6)


def test_a_tilt_test_narrows_the_band_of_gm() -> None:
    plain = evaluate(taped()).bands
    near = tilted(float(hull_centre_m(boat_with())[2]), (-0.6, -0.3, 0.3, 0.6))
    found = evaluate(taped().model_copy(update={"boat": refit(boat_with(tilt_test=near))}))
    assert plain is not None
    assert found.bands is not None
    assert found.bands.hull == "calibrated"
    assert found.bands.gm_m < plain.gm_m


def test_a_tilt_test_fitted_before_its_band_was_told_is_not_taken_for_exact() -> None:
    near = tilted(float(hull_centre_m(boat_with())[2]), (-0.6, -0.3, 0.3, 0.6))
    test = refit(boat_with(tilt_test=near)).calibration.tilt_test
    assert test is not None
    assert test.gm_m is not None
    old = boat_with(tilt_test=test.model_copy(update={"gm_off_m": None}))
    found = evaluate(taped().model_copy(update={"boat": old})).bands
    assert found is not None
    part = next(one for one in found.parts if one.source == "tilt test")
    assert part.gm_m > 0.05 * test.gm_m


def test_a_tilt_test_that_no_hull_can_have_changes_nothing() -> None:
    plain = evaluate(taped())
    boat = refit(boat_with(tilt_test=tilt_test(0.05)))
    found = evaluate(taped().model_copy(update={"boat": boat}))
    assert found.afloat == plain.afloat
    assert found.bands == plain.bands


def test_readings_on_a_perfect_line_still_leave_three_per_cent() -> None:
    """Without noise the regression's own error is nothing, but jug and tape are not perfect."""
    boat = refit(boat_with(tilt_test=tilt_test(0.385)))
    things = {i: t.model_copy(update={"evidence": "weighed"}) for i, t in demo().things.items()}
    found = evaluate(demo().model_copy(update={"boat": boat, "things": things})).bands
    assert found is not None
    assert found.gm_m >= 0.03 * 0.385


def test_a_gm_no_hull_could_have_is_flagged_as_a_mismatch() -> None:
    fit = report(boat_with(tilt_test=tilt_test(0.05))).tilt_test
    assert fit is not None
    assert fit.hull_vcg_m is None
    assert "check the beams" in (fit.mismatch or "")


def test_two_scales_weigh_and_balance_the_boat() -> None:
    """17 kg at 3.4 m and 15 kg at 0.2 m: 32 kg at 60.8/32 = 1.9 m."""
    lift = LiftTest(used=True, bow_kg=17, bow_x_m=3.4, stern_kg=15, stern_x_m=0.2)
    boat = as_tested(boat_with(lift_test=lift))
    assert (boat.hull_mass_kg, boat.hull_evidence) == (32.0, "weighed")
    assert boat.hull_lcg_m == pytest.approx(1.9)
    assert as_tested(boat_with(lift_test=lift.model_copy(update={"used": False}))) == boat_with(
        lift_test=lift.model_copy(update={"used": False})
    )


def test_offsets_replace_the_lines_of_the_tape() -> None:
    box = [OffsetStation(x_m=x, points_m=[(0.0, 0.0), (0.4, 0.0), (0.4, 0.4)])
           for x in (0.0, 3.66)]  # fmt: skip
    figures = evaluate(on_boat(demo(), offsets=box, wells=[], fittings=[]))
    assert figures.afloat is not None
    draft = figures.weight.all_up_kg / 998 / (3.66 * 0.8)
    assert figures.afloat.draft_mid_m == pytest.approx(draft, rel=1e-3)
