"""Every rule: a setup that trips it, and a twin just inside its limit that does not."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import (
    ANCHOR,
    BATTERY,
    CAMERA,
    CLEAN,
    CRATE,
    DRY_BAG,
    FISH_BAG,
    FLAG,
    FULL,
    HOLDER_P,
    HOLDER_S,
    NET,
    PADDLE,
    PFD,
    PHONE,
    PLIERS,
    ROD_P,
    ROD_S,
    SCREEN,
    SEAT,
    TANK,
    TRAY,
    WATER,
    WHISTLE,
    Case,
    boat,
    case,
    cold,
    cool,
    found,
    judged,
    known,
    limit,
    put,
    safe,
    without,
)
from tests.places import on
from tests.subjects.day import days
from tests.subjects.fixing import mountings
from tests.subjects.glide import goings
from tests.subjects.haul import hauling
from tests.subjects.hold import holdings
from tests.subjects.money import spending
from tests.subjects.power import wirings
from tests.subjects.sight import lampings
from tests.subjects.sonar import hangings

from neat_hull.model.boat import Cleat
from neat_hull.model.judging import Accepted, Hand, Judging, LimitKey, Waters
from neat_hull.model.place import OnFitting, Place
from neat_hull.model.safety import DrainPlug, OwnLine
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import Beside
from neat_hull.whole.evaluate import evaluate
from neat_hull.whole.registry import SUBJECTS, base_limits, limit_rows, limits_for, rules

CARRIED = evaluate(CLEAN).weight.counted_kg


def seat(setup: Setup, **changes: float) -> Setup:
    """With the seat elsewhere."""
    return setup.model_copy(update={"seat": setup.seat.model_copy(update=changes)})


def asked(setup: Setup, **changes: object) -> Setup:
    """With other numbers for the demands."""
    return setup.model_copy(update={"demands": setup.demands.model_copy(update=changes)})


def cleat(x: float, y: float) -> Setup:
    """The clean boat with an anchor in hand, and a cleat."""
    fitting = Cleat(name="Cleat", x_m=x, y_m=y, z_m=0.36)
    made = boat(CLEAN, fittings=[*CLEAN.boat.fittings, fitting])
    return put(made, ANCHOR, 1.62, -0.30)


def two_rods(turn: float, tilt: float = 16.0) -> Setup:
    """A second rod in the other holder, turned like the first or away."""
    more = put(CLEAN, HOLDER_S, -0.19, turn_deg=turn, tilt_deg=tilt,
               on=on("fitting", name="Starboard track"))  # fmt: skip
    return put(more, ROD_S, 0.0, bury_m=0.2, on=on("thing", thing=HOLDER_S, where="in"))


def port_rod(**changes: float) -> Setup:
    """The one rod's holder at another angle."""
    place = CLEAN.places[HOLDER_P].model_copy(update=changes)
    return CLEAN.model_copy(update={"places": {**CLEAN.places, HOLDER_P: place}})


def in_bow_hatch(setup: Setup, thing: int) -> Setup:
    """Under the bow hatch."""
    return put(setup, thing, 0.0, on=on("fitting", name="Bow hatch", where="in"))


def motor(kind: str, x: float) -> Setup:
    """With a motor, and a tray at x."""
    return put(without(boat(CLEAN, propulsion=kind), TRAY), TRAY, x, z_m=0.45)


def paddled(x: float) -> Setup:
    """On a boat that is paddled, with the screen on the starboard gunwale at x."""
    bare = without(boat(CLEAN, propulsion="paddle"), HOLDER_P, ROD_P, PLIERS)
    return put(bare, SCREEN, x, -0.40, z_m=0.36)


def pliers_in_a_crate(opens: str) -> Setup:
    """In a crate between the knees, used at each cast."""
    crate = put(known(CLEAN, CRATE, container={"opens": opens}), CRATE, 1.75)
    inside = put(crate, PLIERS, 0.0, on=on("thing", thing=CRATE, where="in"))
    return known(inside, PLIERS, use="each cast")


def heavy_anchor(mass_kg: float) -> Setup:
    """On a coil that holds 15 kg: three times what of steel's weight is left in water."""
    made = put(CLEAN, ANCHOR, 0.6, 0.1)
    return known(made, ANCHOR, mass_kg=mass_kg, fixing={"by": "loose", "leashed": True})


def standing(setup: Setup) -> Setup:
    """By somebody who means to stand."""
    return setup.model_copy(update={"posture": "stands"})


def moved_limit(key: LimitKey, code: str, base: Setup) -> tuple[Setup, Setup]:
    """A limit a hair tighter than the figure of a setup, and one that it just keeps to."""
    levels = limits_for(base.judging)[key]
    tight = limit(base, key, 1000.0 if levels.rising else -1000.0)
    figure = max(found(tight, code), key=lambda one: one.badness).figure
    assert figure is not None
    hair = 1e-6 if levels.rising else -1e-6
    return limit(base, key, figure.value + hair), limit(base, key, figure.value)


def by_limit(code: str, key: LimitKey, base: Setup) -> Case:
    """A row where the limit is moved to either side of the figure."""
    return Case(
        code,
        lambda: moved_limit(key, code, base)[0],
        lambda: moved_limit(key, code, base)[1],
    )


LEASHED = known(put(CLEAN, BATTERY, 1.9), BATTERY, fixing={"leashed": True})
CASES = [
    case("over-the-rating", lambda: boat(CLEAN, rated_kg=CARRIED - 0.01),
         lambda: boat(CLEAN, rated_kg=CARRIED)),
    case("rating-unknown", lambda: boat(CLEAN, rated_kg=None), lambda: CLEAN),
    case("more-than-is-wise", lambda: boat(CLEAN, rated_kg=CARRIED / 0.9 / 0.7 - 0.01),
         lambda: boat(CLEAN, rated_kg=CARRIED / 0.9 / 0.7 + 0.01)),
    by_limit("gunwale-low", "freeboard", CLEAN),
    by_limit("floor-wet", "floor", CLEAN),
    case("does-not-float", lambda: known(CLEAN, WATER, mass_kg=300.0, fill=None),
         lambda: known(CLEAN, WATER, mass_kg=30.0, fill=None)),
    by_limit("bow-or-stern-down", "trim", FULL),
    by_limit("to-one-side", "list", FULL),
    case("heavy-at-an-end", lambda: known(FULL, FISH_BAG, mass_kg=4.7),
         lambda: known(FULL, FISH_BAG, mass_kg=4.2)),
    by_limit("unsteady-seated", "gm", CLEAN),
    by_limit("unsteady-standing", "gm standing", standing(CLEAN)),
    by_limit("a-demand-past-its-margin", "margin", FULL),
    case("seat-high", lambda: seat(CLEAN, z_m=0.165 + 0.301, brace_z_m=0.18),
         lambda: seat(CLEAN, z_m=0.165 + 0.299, brace_z_m=0.18)),
    by_limit("heavy-and-high", "high", put(CLEAN, CRATE, 0.7, z_m=0.8)),
    case("guesses-decide",
         lambda: known(put(CLEAN, TANK, 0.8, 0.13), TANK, mass_kg=11.0, evidence="guess"),
         lambda: known(put(CLEAN, TANK, 0.8, 0.13), TANK, mass_kg=11.0, evidence="weighed")),
    case("too-far-for-its-use", lambda: put(CLEAN, CRATE, 0.75),
         lambda: known(put(CLEAN, CRATE, 0.75), CRATE, use="once")),
    case("emergency-out-of-hand", lambda: put(CLEAN, PHONE, 0.8), lambda: CLEAN),
    case("too-many-steps",
         lambda: pliers_in_a_crate("lid"), lambda: pliers_in_a_crate("open")),
    case("lid-cannot-open", lambda: put(CLEAN, CRATE, 2.98), lambda: put(CLEAN, CRATE, 2.60)),
    case("butt-meets-the-body", lambda: port_rod(turn_deg=90.0), lambda: port_rod(turn_deg=55.0)),
    case("meets-the-body", lambda: put(CLEAN, CRATE, 1.9, 0.15), lambda: put(CLEAN, CRATE, 0.7)),
    case("in-the-stroke", lambda: paddled(1.9), lambda: paddled(2.75)),
    case("in-the-pedals", lambda: FULL, lambda: boat(FULL, propulsion="paddle")),
    case("under-the-feet", lambda: standing(put(CLEAN, CRATE, 1.9, 0.1)),
         lambda: put(CLEAN, CRATE, 1.9, 0.1)),
    case("on-the-fight-side", lambda: asked(two_rods(-4.0), side="starboard"),
         lambda: asked(CLEAN, side="port")),
    case("in-the-back-cast", lambda: put(CLEAN, FLAG, 0.9, -0.2, tilt_deg=90.0),
         lambda: put(CLEAN, FLAG, 0.9, 0.35, tilt_deg=90.0)),
    case("on-the-remount-side", lambda: put(CLEAN, SCREEN, 1.62, -0.33),
         lambda: put(CLEAN, SCREEN, 2.2, -0.33)),
    case("in-the-motors-swing", lambda: motor("motor bow", 3.5), lambda: motor("motor bow", 3.1)),
    case("into-each-other", lambda: put(put(CLEAN, CRATE, 0.7), SCREEN, 0.8),
         lambda: put(put(CLEAN, CRATE, 0.7), SCREEN, 0.7 + 0.165 + 0.03)),
    case("rods-knock",
         lambda: put(put(CLEAN, FLAG, 0.9, 0.0, z_m=0.5), CAMERA, 0.9, 0.06, z_m=0.5),
         lambda: put(put(CLEAN, FLAG, 0.9, 0.0, z_m=0.5), CAMERA, 0.9, 0.08, z_m=0.5)),
    by_limit("reel-over-the-water", "reel out", CLEAN),
    by_limit("tip-far-out", "tip out", CLEAN),
    by_limit("tip-high", "tip up", CLEAN),
    by_limit("tips-close", "tips apart", FULL),
    case("nowhere-to-park-a-rod", lambda: port_rod(x_m=0.2), lambda: CLEAN),
    by_limit("view-hidden", "sight", put(CLEAN, CRATE, 3.0, z_m=0.6)),
    case("does-not-belong-there",
         lambda: put(CLEAN, CRATE, 0.0, on=on("fitting", name="Bow hatch", where="in")),
         lambda: in_bow_hatch(CLEAN, DRY_BAG)),
    case("outside-the-boat", lambda: put(CLEAN, SCREEN, 1.9, 0.42),
         lambda: put(CLEAN, SCREEN, 1.9, 0.34)),
    case("loose-and-heavy", lambda: known(put(CLEAN, NET, 0.7), NET, fixing={"by": "loose"}),
         lambda: known(put(CLEAN, NET, 0.7), NET, fixing={"by": "loose"}, mass_kg=0.59)),
    case("lost-in-a-capsize", lambda: known(CLEAN, PLIERS, price=51.0),
         lambda: known(known(known(CLEAN, PLIERS, price=50.0), TRAY, price=0.0), WATER, price=0.0)),
    case("lines-about-the-legs",
         lambda: limit(LEASHED, "lines", 1),
         lambda: limit(LEASHED, "lines", 2)),
    *lampings.CASES,
    case("vital-gone-in-a-capsize",
         lambda: known(put(CLEAN, PADDLE, 1.1, -0.44), PADDLE, fixing={"leashed": False}),
         lambda: put(CLEAN, PADDLE, 1.1, -0.44)),
    case("leash-parts", lambda: heavy_anchor(8.0), lambda: heavy_anchor(7.9)),
    case("line-to-the-propeller", lambda: put(CLEAN, PADDLE, 1.1, -0.44),
         lambda: safe(put(CLEAN, PADDLE, 1.1, -0.44), tie_line_m=0.2)),
    case("no-knife-in-reach", lambda: known(CLEAN, PFD, serves=["PFD"]), lambda: CLEAN),
    case("sinks-when-full", lambda: safe(CLEAN, flotation=[]), lambda: CLEAN),
    by_limit("lies-badly-when-full", "full side", CLEAN),
    by_limit("lies-badly-when-full", "full gm", CLEAN),
    case("alone-far-out", lambda: safe(CLEAN, alone=True, shore_m=361.0),
         lambda: safe(CLEAN, alone=True, shore_m=359.0)),
    case("no-first-aid", lambda: safe(CLEAN, shore_m=1001.0), lambda: safe(CLEAN, shore_m=1000.0)),
    case("no-tow-line", lambda: safe(CLEAN, alone=False), lambda: safe(CLEAN, alone=True)),
    case("own-list-open", lambda: safe(CLEAN, own_list=[OwnLine(text="A bailer")]),
         lambda: safe(CLEAN, own_list=[OwnLine(text="A bailer", done=True)])),
    case("no-spare-plug", lambda: safe(CLEAN, plug=DrainPlug()),
         lambda: safe(CLEAN, plug=DrainPlug(spare=True))),
    case("cleat-unknown", lambda: put(CLEAN, ANCHOR, 1.62, -0.30), lambda: cleat(1.30, 0.30)),
    case("cleat-at-the-beam", lambda: cleat(1.3, 0.36), lambda: cleat(1.0, 0.36)),
    case("cleat-out-of-hand", lambda: cleat(1.3, 0.3), lambda: cleat(1.7, 0.3)),
    by_limit("anchored-by-the-stern", "freeboard", cleat(0.1, 0.0)),
    case("typical-measures",
         lambda: seat(CLEAN, assumed=True),
         lambda: CLEAN),
    case("no-pfd-worn", lambda: put(CLEAN, PFD, -0.12, on=on("seat", where="behind")),
         lambda: CLEAN),
    case("no-whistle", lambda: without(CLEAN, WHISTLE), lambda: CLEAN),
    case("no-light-by-night", lambda: judged(CLEAN, by_night=True), lambda: CLEAN),
    case("cold-water", lambda: cold(17.9), lambda: cold(18.0)),
    case("cold-air", lambda: cool(9.9), lambda: cool(10.0)),
    case("no-spare-paddle", lambda: judged(CLEAN, waters="river"), lambda: CLEAN),
    case("no-means-to-call", lambda: judged(without(CLEAN, PHONE), waters="river"),
         lambda: judged(CLEAN, waters="river")),
    *wirings.CASES,
    *hangings.CASES,
    *mountings.CASES,
    *goings.CASES,
    *holdings.CASES,
    *hauling.CASES,
    *spending.CASES,
    *days.CASES,
]  # fmt: skip


@pytest.mark.parametrize("row", CASES, ids=lambda row: row.code)
def test_a_rule_trips_and_its_twin_does_not(row: Case) -> None:
    assert found(row.trips(), row.code), "it should be found"
    assert not found(row.twin(), row.code), "it should not"


def test_every_rule_is_in_the_table_and_says_what_it_looks_for() -> None:
    asked = [rule for _, rule in rules()]
    assert {row.code for row in CASES} | {"in-two-setups", "out-of-date"} == {
        one.code for one in asked
    }
    assert len({one.code for one in asked}) == len(asked)
    assert all(len(one.about) > 30 for one in asked)


def test_the_same_thing_in_another_setup_of_the_day_is_told() -> None:
    findings = evaluate(CLEAN, Beside(((SEAT, "Evening"), (CRATE, "Evening")))).findings
    (one,) = findings  # the crate is not aboard here
    assert (one.code, one.thing_id) == ("in-two-setups", SEAT)


def test_a_finding_has_its_numbers_and_a_way_out() -> None:
    for one in evaluate(FULL).findings:
        assert one.verdict in ("watch", "fix", "stop")
        assert one.why
        assert one.clear.text
        assert one.where
        assert one.title.text.count("{}") == len(one.title.amounts)
        assert one.clear.text.count("{}") == len(one.clear.amounts)
        assert one.badness > 0
    keys = [one.key for one in evaluate(FULL).findings]
    assert len(set(keys)) == len(keys)


def accepted(setup: Setup, code: str) -> Setup:
    """Living with a finding as it is."""
    (one,) = found(setup, code)
    assert one.verdict != "fine"
    taken = Accepted(key=one.key, reason="known", on="2027-06-05", verdict=one.verdict,
                     badness=one.badness)  # fmt: skip
    return judged(setup, accepted=[taken])


def test_an_accepted_finding_is_quiet_until_it_gets_worse() -> None:
    lived = accepted(FULL, "heavy-at-an-end")
    (one,) = found(lived, "heavy-at-an-end")
    assert (one.accepted, one.accepted_on, one.returned) == ("known", "2027-06-05", False)
    assert evaluate(lived).findings[-1].key == one.key  # after all that is open
    (worse,) = found(known(lived, FISH_BAG, mass_kg=7.0), "heavy-at-an-end")
    assert (worse.accepted, worse.returned, worse.accepted_on) == (None, True, "2027-06-05")
    (better,) = found(known(lived, FISH_BAG, mass_kg=4.8), "heavy-at-an-end")
    assert better.accepted == "known"


PROFILES: list[tuple[Waters, Hand]] = [
    ("calm pond", "used to it"),
    ("river", "used to it"),
    ("open water", "used to it"),
    ("open water", "novice"),
]


def test_profiles_tighten_and_ease_and_a_moved_limit_holds_for_its_profile_alone() -> None:
    for key, levels in base_limits().items():
        sign = -1.0 if levels.rising else 1.0
        by = [limits_for(Judging(waters=waters, hand=hand))[key].fine * sign
              for waters, hand in PROFILES]  # fmt: skip
        assert by == sorted(by, reverse=True), key  # never easier farther out
    moved = limit(CLEAN, "trim", 0.2).judging
    assert limits_for(moved)["trim"].fine == 0.2
    assert limits_for(moved.model_copy(update={"hand": "novice"}))["trim"].fine == 0.7
    assert [row.key for row in limit_rows(moved) if row.moved] == ["trim"]
    keys = [key for subject in SUBJECTS for key in subject.limits]
    assert len(set(keys)) == len(keys) == len(base_limits())


def test_the_verdict_on_weight_is_by_the_school_that_is_chosen() -> None:
    heavy = boat(CLEAN, rated_kg=CARRIED / 0.7)  # right at the working share
    assert evaluate(heavy).weight.verdict == "watch"
    assert evaluate(judged(heavy, school="freeboard")).weight.verdict == "fine"
    weight = evaluate(heavy).weight
    assert weight.freeboard_kg is not None
    assert weight.limit_kg == pytest.approx(min(CARRIED, weight.freeboard_kg))


def test_the_same_setup_mirrored_has_the_same_figures_found() -> None:
    """What leans to starboard as it is leans to port in the mirror, as far."""
    (one,) = found(limit(FULL, "list", 0.1), "to-one-side")
    flat = {i: p.model_copy(update={"y_m": -p.y_m, "turn_deg": -p.turn_deg})
            for i, p in FULL.places.items()}  # fmt: skip
    tracks = {"Port track": "Starboard track", "Starboard track": "Port track"}
    for i, place in flat.items():
        if isinstance(place.on, OnFitting) and place.on.name in tracks:
            to = place.on.model_copy(update={"name": tracks[place.on.name]})
            flat[i] = place.model_copy(update={"on": to})
    (other,) = found(limit(FULL.model_copy(update={"places": flat}), "list", 0.1), "to-one-side")
    assert one.figure is not None
    assert other.figure is not None
    assert other.figure.value == pytest.approx(one.figure.value, abs=1e-6)
    assert "starboard" in one.title.text
    assert "port" in other.title.text


@given(st.data())
@examples(15)
def test_no_setup_however_odd_upsets_a_rule(data: st.DataObject) -> None:
    places = {}
    for thing_id in data.draw(st.lists(st.sampled_from(sorted(FULL.things)), unique=True)):
        places[thing_id] = Place(
            x_m=data.draw(st.floats(-1, 5)), y_m=data.draw(st.floats(-1.5, 1.5)),
            z_m=data.draw(st.none() | st.floats(-0.5, 2)),
            turn_deg=data.draw(st.floats(-180, 180)), tilt_deg=data.draw(st.floats(-90, 90)),
        )  # fmt: skip
    boat_now = FULL.boat.model_copy(update={
        "rated_kg": data.draw(st.none() | st.floats(1, 500)),
        "propulsion": data.draw(st.sampled_from(["paddle", "crank", "push", "motor stern"])),
        "wells": data.draw(st.sampled_from([[], FULL.boat.wells])),
        "fittings": data.draw(st.sampled_from([[], FULL.boat.fittings])),
    })  # fmt: skip
    judging = Judging(waters=data.draw(st.sampled_from(["calm pond", "open water"])),
                      by_night=data.draw(st.booleans()))  # fmt: skip
    odd = FULL.model_copy(update={
        "places": places, "boat": boat_now, "judging": judging,
        "posture": data.draw(st.sampled_from(["sits", "stands"])), "water_temp_c": None,
    })  # fmt: skip
    findings = evaluate(odd).findings
    assert all(one.verdict != "fine" for one in findings)
    ranks = [(one.accepted is not None, -["watch", "fix", "stop"].index(one.verdict))
             for one in findings]  # fmt: skip
    assert ranks == sorted(ranks)


def test_names_with_braces_stay_names() -> None:
    odd = known(put(CLEAN, PADDLE, 1.1, -0.44), PADDLE, name="{} of {x}", fixing={"by": "loose"})
    for one in evaluate(odd).findings:
        assert one.title.text.count("{}") == len(one.title.amounts)


def test_a_cleat_that_nobody_comes_to_is_a_stop_and_one_with_a_twist_to_fix() -> None:
    assert [one.verdict for one in found(cleat(0.1, 0.0), "cleat-out-of-hand")] == ["stop"]
    assert [one.verdict for one in found(cleat(1.3, 0.3), "cleat-out-of-hand")] == ["fix"]
