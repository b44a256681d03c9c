"""From a setup to mounts: what is usual, what pulls, and where on the boat."""

from math import cos, radians, sin
from typing import Any

import pytest
from tests.judged import CLEAN, FULL, HOLDER_P, SCREEN, SEAT, boat, known
from tests.subjects.fixing.mountings import FOUR, ONE, WIDE, screen, tank, with_fixing
from tests.subjects.power.wirings import clips, wired_by

from neat_hull.model.fixing import ChainPart, FixingPlan, Hole, Mount, PressTest, Wall
from neat_hull.model.mount_case import CaseMount, MountCase
from neat_hull.model.setup import Setup
from neat_hull.physics.fixing.panel import sheet, tilting
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.case import mount_report
from neat_hull.subjects.fixing.figures import Judged, judged
from neat_hull.subjects.fixing.full import full_fixing
from neat_hull.subjects.fixing.joining import case_of, pattern
from neat_hull.subjects.fixing.ledger import edge_m, ledger
from neat_hull.subjects.fixing.mounting import Fixed, fixed
from neat_hull.subjects.fixing.moves import works
from neat_hull.subjects.fixing.templates import template
from neat_hull.whole.evaluate import evaluate, evaluated


def one(setup: Setup, thing_id: int = WIDE) -> Fixed:
    return next(row for row in evaluated(setup).once(fixed) if row.thing_id == thing_id)


def told(setup: Setup, thing_id: int = WIDE) -> Judged:
    rows = evaluated(setup).once(judged)
    return next(row for row in rows if row.fixed.thing_id == thing_id)


def test_what_nobody_has_described_is_mounted_as_its_fixing_says() -> None:
    assert one(FULL, HOLDER_P).by == "track bolt"
    assert one(FULL, HOLDER_P).on_track == "Port track"
    assert one(FULL, SEAT).by == "strap"
    assert not one(FULL, HOLDER_P).drills


def test_a_setup_and_its_bare_case_come_to_the_same() -> None:
    """The screen, `check` and `mount` answer from one solver."""
    row = told(screen(**ONE))
    case = case_of(row.fixed.geometry, "x", row.fixed.situations, None)
    report = mount_report_of(case)
    for held, bare in zip(row.held, report["situations"], strict=True):
        assert bare["tilt_deg"] == pytest.approx(held.tilt_deg, abs=1e-12)
        assert bare["safety"] == held.safety


def mount_report_of(case: CaseMount) -> dict[str, Any]:
    whole = MountCase.model_construct(
        mounts=[case], holes=[], steps=[], waters=[], hatches=[], reach=[]
    )
    found: dict[str, Any] = mount_report(whole)["mounts"][0]
    return found


def test_chop_is_the_things_own_weight_at_its_own_place() -> None:
    held = told(screen(**ONE)).held[0]
    weighs = 1.8 * GRAVITY_M_S2
    assert held.force_n == pytest.approx((0.8 * weighs, 1.2 * weighs, -2.5 * weighs))
    arm = 0.30 / 2 + 0.05
    assert held.moment_nm[1] == pytest.approx(0.8 * weighs * arm)


def test_twice_as_heavy_tilts_twice_as_much() -> None:
    light = told(screen(**ONE))
    heavy = told(known(screen(**ONE), WIDE, mass_kg=3.6))
    assert heavy.tilt_deg == pytest.approx(2 * light.tilt_deg)


def test_turning_the_base_turns_its_bolts_and_leaves_the_loads() -> None:
    straight, turned = one(screen(**FOUR)), one(screen(**FOUR, turn_deg=30.0))
    (u, v), at = straight.geometry.bolts_m[0], turned.on_boat(turned.geometry.bolts_m[0])
    turn = radians(30.0)
    assert at[0] - turned.at[0] == pytest.approx(u * cos(turn) - v * sin(turn))
    loads = [evaluated_force(row) for row in (straight, turned)]
    assert loads[0] == pytest.approx(loads[1])


def evaluated_force(row: Fixed) -> tuple[float, float, float]:
    return row.situations[1].pulls[0][0]


def test_a_fish_pulls_no_more_than_the_rod_holds() -> None:
    row = told(FULL, HOLDER_P)
    fish = [held for held in row.held if held.name.startswith("fish")]
    assert len(fish) == 2
    for held in fish:
        assert max(abs(part) for part in held.moment_nm) <= typical.ROD_HOLDS_NM + 1e-6


def test_a_seat_is_sat_on_and_dropped_into() -> None:
    sat, dropped = told(FULL, SEAT).held
    assert dropped.force_n[2] == pytest.approx(typical.DROP_IN * sat.force_n[2])


def test_a_hot_deck_is_softer_and_weaker() -> None:
    cool, hot = screen(**ONE), with_fixing(screen(**ONE), deck_c=50.0)
    assert told(hot).tilt_deg == pytest.approx(2 * told(cool).tilt_deg)
    assert told(with_fixing(cool, deck_c=70.0)).tilt_deg == pytest.approx(told(hot).tilt_deg)


def test_slack_adds_to_the_wobble_and_bends_nothing() -> None:
    arm = ChainPart(part="arm", slack_deg=1.5)
    tight, loose = told(screen(**ONE)), told(screen(**ONE, parts=[arm], slack_mm=0.2))
    assert loose.fixed.play_deg > 1.5
    assert loose.held[1].tilt_deg == pytest.approx(tight.held[1].tilt_deg, rel=0.5)


def test_a_press_test_gives_the_radius_at_which_that_tilt_is_read() -> None:
    wide = Wall(radius_m=0.11)
    with_radius = with_fixing(screen(**ONE), walls={"fore deck": wide})
    test = PressTest(pull_n=50.0, arm_m=0.2, base_m=0.08, tilt_deg=3.0)
    pressed = with_fixing(screen(**ONE), walls={"fore deck": Wall(pressed=test)})
    radius = one(pressed).geometry.wall[3]
    softer = test.model_copy(update={"tilt_deg": 4.0})
    more = with_fixing(screen(**ONE), walls={"fore deck": Wall(pressed=softer)})
    assert one(more).geometry.wall[3] > radius
    assert one(with_radius).geometry.wall[3] == 0.11
    # Pressed again with what it found, the wall tilts as was read.
    stuff = typical.WALLS["rotomoulded"]
    here = sheet(stuff.e_mpa * 1e6, stuff.nu, stuff.thickness_mm / 1000)
    give = tilting(0.6 * 0.08, None, radius, here, None, "clamped")
    assert give.moved * 50.0 * 0.2 == pytest.approx(radians(3.0), rel=1e-3)


@pytest.mark.parametrize(("count", "shape"), [(1, "rect"), (2, "rect"), (4, "rect"), (6, "round")])
def test_the_usual_pattern_lies_inside_its_base(count: int, shape: str) -> None:
    spots = pattern(count, 0.1, 0.06, "round" if shape == "round" else "rect")
    assert len(set(spots)) == count
    assert all(abs(u) < 0.05 and abs(v) < 0.03 for u, v in spots)


def test_what_else_could_be_done_is_worked_out_in_full() -> None:
    setup = screen(**ONE)
    detail = next(row for row in full_fixing(evaluated(setup)).mounts if row.key == str(WIDE))
    assert detail.plate_side_m
    for way in detail.what_if:
        mounts = setup.fixing.mounts[WIDE].model_dump() | dict(way.fields)
        after = told(with_fixing(setup, mounts={WIDE: Mount.model_validate(mounts)}))
        assert after.tilt_deg + after.fixed.play_deg == pytest.approx(way.tilt_deg)
    assert min(way.tilt_deg for way in detail.what_if) < 1.0 < told(setup).tilt_deg


def test_only_what_was_described_has_holes() -> None:
    assert not [row for row in evaluated(CLEAN).once(fixed) if row.spec.by is not None]
    assert one(FULL, SCREEN).drills


def test_a_clamp_slips_by_what_pushes_it_aside_and_turns_it() -> None:
    row = told(screen(by="clamp", clamp_n=1000.0, length_m=0.06, width_m=0.06))
    chop = row.held[0]
    grip = 2 * typical.FRICTION * 1000.0
    aside = (chop.force_n[0] ** 2 + chop.force_n[1] ** 2) ** 0.5 / grip
    turned = chop.moment_nm[2] / (grip * 2 / 3 * 0.03)
    assert row.governs == "twist"
    assert row.least == pytest.approx(1 / (aside**2 + turned**2) ** 0.5)
    padded = told(screen(by="clamp", clamp_n=1000.0, length_m=0.06, width_m=0.06, pad=True))
    assert row.least is not None
    assert padded.least == pytest.approx(2 * row.least)


def test_an_edge_is_the_gunwale_or_the_rim_of_a_well() -> None:
    hull = evaluated(CLEAN).rigged.floating.hull
    half, height = hull.gunwale_m(2.9)
    assert edge_m(hull, (2.9, half - 0.03, height)) == pytest.approx(0.03)
    well = hull.wells[0]
    middle = (well.x_aft_m + well.x_fwd_m) / 2
    within = (middle, well.half_breadth_m - 0.02, well.floor_z_m)
    assert edge_m(hull, within) == pytest.approx(0.02)
    assert edge_m(hull, (middle, well.half_breadth_m + 0.015, 0.3)) == pytest.approx(0.015)


def test_by_other_numbers_a_plan_keeps_what_is_of_its_things() -> None:
    hole = Hole(x_m=1, y_m=0, z_m=0.3, d_mm=6, used_by=3)
    plan = FixingPlan(
        mounts={3: Mount(by="glue"), 4: Mount(by="tape")},
        holes={"Old": hole},
        done={"drill:3": "2026-01-02", "drill:4": "2026-01-02", "test:hose": "2026-01-03"},
    )
    new = plan.renumbered({3: 30})
    assert list(new.mounts) == [30]
    assert new.holes["Old"].used_by == 30
    assert new.done == {"drill:30": "2026-01-02", "test:hose": "2026-01-03"}
    assert plan.renumbered({4: 4}).holes["Old"].used_by is None


def test_on_a_shorter_arm_the_moment_goes_with_the_arm() -> None:
    as_it_stands = told(screen(**ONE)).held[0]
    arm = 0.30 / 2 + 0.05
    short = told(screen(**ONE, arm_m=arm / 2)).held[0]
    assert short.force_n == pytest.approx(as_it_stands.force_n)
    assert short.moment_nm == pytest.approx([m / 2 for m in as_it_stands.moment_nm])


def test_a_leash_and_an_axle_pull_only_where_that_is_said() -> None:
    names = [held.name for held in told(screen(**ONE)).held]
    assert names == ["chop", "parked"]
    row = told(screen(**ONE, loads={"leash": 120.0, "axle": 200.0}))
    leash, axle = row.held[2:]
    assert sum(part**2 for part in leash.force_n) ** 0.5 == pytest.approx(120.0, rel=0.01)
    assert axle.force_n[2] == pytest.approx(typical.AXLE_BUMP * 200.0)
    assert typical.leash_n(5.0) == pytest.approx(5.0 * 4.0 / (2 * 0.05))
    assert typical.leash_n(0.1) == typical.LEASH_LEAST_N


def test_a_gland_has_a_template_of_its_own() -> None:
    through = wired_by(points=clips((1.3, -0.2, 0.36), by="gland"))
    ev = evaluated(through)
    (hole,) = [one for one in ev.once(ledger) if one.of_wire]
    assert hole.template is not None
    found = template(ev, hole.template)
    assert found.kind == "gland"
    assert found.holes[0].d_mm == typical.GLAND_MM
    assert found.off_middle_mm == pytest.approx(200.0)


def test_a_chain_of_parts_holds_it_as_far_out_as_they_are_long_and_weighs() -> None:
    def chain(arm_m: float, mass_kg: float) -> list[ChainPart]:
        ball = ChainPart(part="ball", length_m=0.05, mass_kg=0.0, slack_deg=0.5)
        return [ball, ChainPart(part="arm", length_m=arm_m, mass_kg=mass_kg, slack_deg=1.0)]

    short, long = (told(screen(**ONE, parts=chain(arm, 0.0))).held[0] for arm in (0.05, 0.20))
    weighs = 1.8 * GRAVITY_M_S2
    assert short.moment_nm[1] == pytest.approx(0.8 * weighs * (0.10 + 0.15))
    assert long.moment_nm[1] == pytest.approx(0.8 * weighs * (0.25 + 0.15))
    heavy = told(screen(**ONE, parts=chain(0.20, 0.6))).held[0]
    arm = 0.8 * 0.6 * GRAVITY_M_S2 * (0.05 + 0.10)
    assert heavy.moment_nm[1] == pytest.approx(long.moment_nm[1] + arm)
    assert told(screen(**ONE, parts=chain(0.2, 0.6))).fixed.play_deg == pytest.approx(1.5)


def test_a_handle_called_by_a_number_is_not_taken_for_the_item_of_that_number() -> None:
    handle = next(one for one in CLEAN.boat.fittings if one.kind == "handle")
    called = handle.model_copy(update={"name": str(WIDE)})
    rows = [called if one is handle else one for one in CLEAN.boat.fittings]
    setup = boat(screen(**ONE), fittings=rows)
    plan = setup.fixing.model_copy(update={"fittings": {str(WIDE): Mount(by="screw")}})
    ev = evaluated(setup.model_copy(update={"fixing": plan}))
    keys = [row.key for row in ev.once(fixed)]
    assert len(set(keys)) == len(keys)
    found = next(one for one in evaluate(ev.setup).findings if one.code == "fixing-breaks"
                 and one.thing_id is None)  # fmt: skip
    ways = list(works(ev, found))
    assert ways
    for way in ways:
        assert list(way.fields["fixing"]) == ["fittings"]  # type: ignore[arg-type]


def test_a_pad_quiets_a_pump_as_its_finding_says() -> None:
    loud = tank(draw={"watts": 10.0, "own_cells": True})
    quiet = with_fixing(loud, mounts={WIDE: Mount(pad=True)})
    codes = [[one.code for one in evaluate(setup).findings] for setup in (loud, quiet)]
    assert "noise-hums" in codes[0]
    assert "noise-hums" not in codes[1]
