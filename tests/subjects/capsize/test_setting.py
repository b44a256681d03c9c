"""A setup that goes over: what holds by how it is mounted, lines, foam, sides, and ways out."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.judged import (
    ANCHOR,
    CLEAN,
    CRATE,
    FULL,
    NET,
    PADDLE,
    TRAY,
    WATER,
    WHISTLE,
    known,
    limit,
    put,
    safe,
    without,
)
from tests.places import on

from neat_hull.model.capsize_figures import CapsizeFigures
from neat_hull.model.hold import Trolley
from neat_hull.model.judging import LimitKey
from neat_hull.model.safety import DryPart, Flotation, HullMaterial, Leash
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Fixed
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.figures import as_fated, capsize, full_boat
from neat_hull.subjects.capsize.full import bail_min, full_capsize
from neat_hull.subjects.capsize.moves import works
from neat_hull.whole.evaluate import evaluate, evaluated

RHO = 998.0


def over(setup: Setup) -> CapsizeFigures:
    """What is live of it."""
    return evaluated(setup).once(capsize)


def fate(setup: Setup, thing_id: int) -> str:
    """Of one thing."""
    return evaluated(setup).once(as_fated).of[str(thing_id)]


def mounted(by: str, **more: Any) -> Setup:
    """A net of iron on the deck, mounted so."""
    return known(put(CLEAN, NET, 2.6, 0.0), NET, fixing={"by": by, **more}, floats=False)


@pytest.mark.parametrize(
    ("by", "stays"),
    [("track bolt", True), ("ball", True), ("plate", True), ("strap", True), ("bungee", False),
     ("flush tube", False), ("hook-and-loop", False), ("loose", False)],
)  # fmt: skip
def test_what_is_bolted_or_strapped_stays_and_bungee_and_tube_let_go(
    by: Fixed, stays: bool
) -> None:
    assert fate(mounted(by), NET) == ("stays" if stays else "sinks")
    assert fate(mounted(by, leashed=True), NET) == "stays"


def test_worn_goes_with_you_shut_in_stays_and_hands_let_go() -> None:
    assert fate(CLEAN, WHISTLE) == "with you"
    inside = put(FULL, TRAY, 0.0, on=on("thing", thing=CRATE, where="in"))
    lidded = known(inside, CRATE, container={"length_m": 0.31, "width_m": 0.31, "height_m": 0.27,
                                             "opens": "lid"})  # fmt: skip
    assert fate(lidded, TRAY) == "stays"
    assert fate(inside, TRAY) == "sinks"
    held = put(CLEAN, PADDLE, 0.0, on=on("body", held=True))
    loose = known(held, PADDLE, fixing={"by": "loose", "leashed": False}, floats=True)
    assert fate(loose, PADDLE) == "floats off"


def test_a_dry_box_carries_what_is_in_it_and_a_leak_in_the_lid_does_not() -> None:
    heavy = known(
        put(CLEAN, CRATE, 0.6),
        CRATE,
        floats=True,
        fixing={"by": "loose"},
        mass_kg=2.0,
        container={"length_m": 0.31, "width_m": 0.31, "height_m": 0.27, "opens": "lid"},
    )
    inside = put(heavy, WATER, 0.0, on=on("thing", thing=CRATE, where="in"))
    assert fate(inside, CRATE) == fate(inside, WATER) == "floats off"
    assert fate(known(inside, CRATE, floats=False), WATER) == "sinks"


def test_a_line_to_you_keeps_it_with_you() -> None:
    tied = mounted("loose", leashed=True)
    assert fate(safe(tied, leashes={NET: Leash(on_body=True)}), NET) == "with you"


def test_a_typed_volume_beats_what_is_typical() -> None:
    assert fate(known(mounted("loose"), NET, volume_l=5.0), NET) == "floats off"


@given(st.floats(0.05, 1.0), st.floats(0.05, 0.3))
def test_foam_lifts_what_it_displaces_by_its_share(long: float, high: float) -> None:
    foam = Flotation(aft_x_m=1.0, fwd_x_m=1.0 + long, width_m=0.2, bottom_z_m=0.05, height_m=high)
    bare, lifted = over(safe(CLEAN, flotation=[])), over(safe(CLEAN, flotation=[foam]))
    share = typical.LIFTS["foam"]
    rises = lifted.reserve_kg - bare.reserve_kg
    assert rises == pytest.approx(RHO * share * long * high * 0.2, rel=2e-3)


@pytest.mark.parametrize("material", list(typical.WALL_KG_M3))
def test_the_walls_lift_as_much_as_their_own_stuff_displaces(material: HullMaterial) -> None:
    setup = safe(without(CLEAN, *CLEAN.places), flotation=[], hull_material=material)
    mass = setup.boat.hull_mass_kg
    lifts = RHO * mass / typical.WALL_KG_M3[material]
    assert over(setup).reserve_kg == pytest.approx(lifts - mass - typical.HANGS_KG, rel=2e-3)


def test_a_part_that_is_shut_off_lifts_by_its_room() -> None:
    whole = safe(CLEAN, flotation=[], dry=[DryPart(aft_x_m=-1.0, fwd_x_m=9.0)])
    halves = safe(CLEAN, flotation=[], dry=[DryPart(aft_x_m=1.8, fwd_x_m=9.0),
                                            DryPart(aft_x_m=-1.0, fwd_x_m=1.8)])  # fmt: skip
    assert over(halves).reserve_kg == pytest.approx(over(whole).reserve_kg)
    assert over(whole).reserve_kg > 200 + over(safe(CLEAN, flotation=[])).reserve_kg


def test_the_page_and_the_live_figure_come_to_the_same_reserve() -> None:
    for setup in (FULL, CLEAN):
        ev = evaluated(setup)
        full = full_capsize(ev).full
        assert full.reserve_kg == pytest.approx(ev.once(capsize).reserve_kg, abs=0.05)


def test_a_boat_with_foam_floats_full_and_one_without_sinks() -> None:
    dry = full_capsize(evaluated(shut_ends(CLEAN))).full
    assert dry.floats
    assert dry.water_l is not None
    assert dry.water_l > 0
    assert dry.freeboard_m is not None
    none = full_capsize(evaluated(safe(CLEAN, flotation=[]))).full
    assert not none.floats
    assert none.verdict == "fix"
    unsaid = full_capsize(evaluated(safe(CLEAN, flotation=None))).full
    assert unsaid.verdict == "watch"
    # Litres of foam: what is short, over what a litre of it lifts.
    assert none.missing_l > -1000 * none.reserve_kg / RHO


def shut_ends(setup: Setup) -> Setup:
    """So that it floats when full."""
    ends = [DryPart(aft_x_m=0.0, fwd_x_m=0.9), DryPart(aft_x_m=2.7, fwd_x_m=3.7)]
    return safe(setup, dry=ends)


@pytest.mark.parametrize(
    ("key", "watch", "fix"),
    [("full side", "awash", "cannot be emptied"), ("full gm", "rolls", "not stay upright")],
)
def test_a_full_boats_side_and_stiffness_are_judged_by_levels_that_move(
    key: LimitKey, watch: str, fix: str
) -> None:
    for fine, level, verdict, word in ((-9.0, -9.0, "fine", "level"), (9.0, -9.0, "watch", watch),
                                       (9.0, 9.0, "fix", fix)):  # fmt: skip
        eased = limit(limit(shut_ends(CLEAN), "full side", -9.0), "full gm", -9.0)
        eased = limit(limit(eased, "flooded", -900.0), key, fine, level)
        full = full_capsize(evaluated(eased)).full
        assert (full.verdict, word in full.word) == (verdict, True), full.word


@pytest.mark.parametrize(
    ("blocks", "finds"),
    [
        ([], False),  # it sinks, which is told by another
        ([(0.6, 3.0, 0.0, 0.1, 0.30)], True),  # narrow and along the middle
        ([(0.6, 3.0, 0.28, 0.1, 0.15), (0.6, 3.0, -0.28, 0.1, 0.15)], False),
    ],
)  # as much foam in each: along, from aft to forward, how far out, across, up
def test_foam_in_the_middle_lets_a_full_boat_roll_and_the_same_at_its_sides_does_not(
    blocks: list[tuple[float, float, float, float, float]], finds: bool
) -> None:
    foam = [
        Flotation(aft_x_m=aft, fwd_x_m=fwd, y_m=y, width_m=wide, height_m=high, bottom_z_m=0.05)
        for aft, fwd, y, wide, high in blocks
    ]
    assert ("lies-badly-when-full" in codes(safe(CLEAN, flotation=foam))) == finds


def test_a_full_boat_is_told_by_the_page_and_the_finding_alike() -> None:
    for setup in (FULL, CLEAN, limit(CLEAN, "full gm", 0.2), limit(CLEAN, "full side", 0.3)):
        page = full_capsize(evaluated(setup)).full
        told = [one for one in evaluate(setup).findings if one.code == "lies-badly-when-full"]
        assert [(one.verdict, one.title.text) for one in told] == (
            [] if page.verdict == "fine" else [(page.verdict, f"Full of water {page.word}")]
        )


def test_a_full_boat_is_worked_out_anew_where_something_that_stays_moves() -> None:
    first = evaluated(CLEAN)
    was = first.once(full_boat)
    lost = put(CLEAN, ANCHOR, 0.5, 0.1)
    assert fate(lost, ANCHOR) == "sinks"
    assert evaluated(lost, before=first).once(full_boat) is was
    stays = next(i for i, at in CLEAN.places.items() if fate(CLEAN, i) == "stays" and not at.on)
    moved = put(CLEAN, stays, CLEAN.places[stays].x_m + 0.1, CLEAN.places[stays].y_m)
    now = evaluated(moved, before=first).once(full_boat)
    assert now == evaluated(moved).once(full_boat) != was


def codes(setup: Setup) -> set[str]:
    """Of its findings."""
    return {one.code for one in evaluate(setup).findings}


def test_bailing_for_long_is_to_fix_in_cold_water_alone() -> None:
    pump = known(shut_ends(CLEAN), WATER, bails="sponge", fixing={"by": "plate"})

    def verdict(water_c: float | None, minutes: float) -> str:
        setup = limit(pump.model_copy(update={"water_temp_c": water_c}), "bailing", minutes)
        return full_capsize(evaluated(setup)).full.bail[0].verdict

    took = full_capsize(evaluated(pump)).full.bail[0].minutes
    assert took is not None
    assert verdict(14.9, took - 0.01) == "fix"
    assert verdict(15.0, took - 0.01) == "fine"
    assert verdict(None, took - 0.01) == "fine"
    assert verdict(14.9, took + 0.01) == "fine"


def test_a_trolleys_rope_is_a_line_and_comes_to_no_legs() -> None:
    roped = CLEAN.model_copy(
        update={"hold": CLEAN.hold.model_copy(
            update={"trolley": Trolley(aft_x_m=0.3, fwd_x_m=3.4)})}
    )  # fmt: skip
    assert over(roped).lines == over(CLEAN).lines + 1
    assert None not in over(roped).in_legs
    assert {row.what for row in full_capsize(evaluated(roped)).lines} >= {"trolley"}


def test_an_anchors_line_in_the_cockpit_comes_to_the_legs_and_in_a_hatch_it_does_not() -> None:
    assert ANCHOR in over(put(CLEAN, ANCHOR, 1.9, 0.1)).in_legs
    shut = put(CLEAN, ANCHOR, 0.0, on=on("fitting", name="Bow hatch", where="in"))
    assert ANCHOR not in over(shut).in_legs


def test_mirrored_it_is_the_same_on_the_other_side() -> None:
    port = put(CLEAN, PADDLE, 1.1, -0.44)
    starboard = put(CLEAN, PADDLE, 1.1, 0.44)
    one, other = full_capsize(evaluated(port)), full_capsize(evaluated(starboard))
    assert [row.propeller for row in one.lines] == [row.propeller for row in other.lines]
    assert PADDLE in next(c for c in one.climbs if c.side == "starboard").blocked_by
    assert PADDLE in next(c for c in other.climbs if c.side == "port").blocked_by


def pumping(ev: Evaluated, litres: float) -> float | None:
    """Minutes, by the water bottle as a pump."""
    return bail_min(ev, WATER, litres)


def test_a_pump_tires_after_five_minutes_and_a_leak_may_win() -> None:
    pump = known(CLEAN, WATER, bails="pump")
    ev = evaluated(pump)
    assert pumping(ev, 100.0) == pytest.approx(4.0)
    assert pumping(ev, 125.0 + 75.0) == pytest.approx(10.0)
    assert pumping(evaluated(safe(pump, leak_l_min=15.0)), 200.0) is None
    assert pumping(evaluated(safe(pump, leak_l_min=5.0)), 90.0) == pytest.approx(4.5)


def tried(setup: Setup, code: str) -> list[Setup]:
    """The setup with each thing that could be done about a finding, done."""
    ev = evaluated(setup)
    finding = next(one for one in evaluate(setup).findings if one.code == code)
    return [setup.model_copy(update=dict(work.sections)) for work in works(ev, finding)]


@pytest.mark.parametrize(
    ("setup", "code"),
    [
        (FULL, "line-to-the-propeller"),
        (
            known(put(CLEAN, TRAY, 2.85, 0.1), TRAY, fixing={"by": "loose", "leashed": True}),
            "lines-about-the-legs",
        ),
        (FULL, "sinks-when-full"),
        (FULL, "lies-badly-when-full"),
        (safe(CLEAN, flotation=[]), "sinks-when-full"),
        (safe(CLEAN, flotation=None), "sinks-when-full"),
        (FULL, "no-spare-plug"),
    ],
)
def test_one_of_the_ways_out_ends_each_finding(setup: Setup, code: str) -> None:
    done = [codes(one) for one in tried(setup, code)]
    assert done
    assert any(code not in left for left in done)
