"""Through the surf: what lies low, what stands up, snaps, stabs, comes loose; what it costs."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.judged import CRATE, FISH_BAG, FLAG, FULL, PFD, PHONE, PLIERS, ROD_P, ROD_S, SEAT, known

from neat_hull.errors import InputError
from neat_hull.model.place import OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.model.surf import SurfPlan
from neat_hull.model.surf_figures import SurfPage, SurfRow
from neat_hull.subjects.surf.arrangement import in_surf, laid, offers
from neat_hull.subjects.surf.laying import laid_down
from neat_hull.whole.evaluate import evaluated
from neat_hull.whole.surf import surf_page

EV = evaluated(FULL)


def surfing(places: dict[int, Place], up: bool = False, setup: Setup = FULL) -> Setup:
    """With a second arrangement."""
    return setup.model_copy(update={"surf": SurfPlan(places=places, up=up)})


def page(places: dict[int, Place], up: bool = False, setup: Setup = FULL) -> SurfPage:
    """Both side by side."""
    return surf_page(evaluated(surfing(places, up, setup)))


def row(found: SurfPage, thing_id: int) -> SurfRow:
    """Of a thing."""
    return next(one for one in found.rows if one.thing_id == thing_id)


def test_without_a_second_arrangement_it_goes_as_it_fishes() -> None:
    found = page({})
    assert found.sides is not None
    for figure in found.sides.figures:
        assert figure.values[0] == figure.values[1]
    assert not any(one.changed for one in found.rows)
    assert found.down == [2, 3]
    assert page({}, up=True).down == []


def test_the_first_arrangement_is_left_as_it_is() -> None:
    second = in_surf(surfing({ROD_P: laid(EV, ROD_P, 1.0)}))
    assert second.places[ROD_P] != FULL.places[ROD_P]
    assert {i: p for i, p in second.places.items() if i != ROD_P} == {
        i: p for i, p in FULL.places.items() if i != ROD_P
    }


@given(
    st.sampled_from([ROD_P, ROD_S, FLAG]),
    st.floats(0.8, 3.0),
    st.sampled_from([1.0, -1.0]),
    st.booleans(),
)
def test_a_rod_of_any_length_lies_level_within_the_sheer(
    rod: int, length_m: float, side: float, inner: bool
) -> None:
    ev = evaluated(known(FULL, rod, length_m=length_m))
    place, hull = laid(ev, rod, side, inner), ev.rigged.floating.hull
    turn = math.radians(place.turn_deg)
    assert place.tilt_deg == 0
    assert place.y_m * side >= 0
    for along in (0.0, 0.25, 0.5, 0.75, 1.0):
        x = place.x_m + along * length_m * math.cos(turn)
        y = place.y_m + along * length_m * math.sin(turn)
        assert hull.x_aft_m < x < hull.x_fwd_m
        assert abs(y) <= hull.gunwale_m(x)[0] + 0.01


def test_port_and_starboard_are_mirrored() -> None:
    port, starboard = laid(EV, ROD_P, 1.0), laid(EV, ROD_P, -1.0)
    assert (port.x_m, port.y_m, port.turn_deg) == (
        starboard.x_m, -starboard.y_m, -starboard.turn_deg,
    )  # fmt: skip


def test_a_rod_that_is_laid_down_no_longer_stands_up_nor_snaps() -> None:
    before, after = row(page({}), ROD_P), row(page({ROD_P: laid(EV, ROD_P, 1.0)}), ROD_P)
    assert (before.stands, before.snaps, before.changed) == ("fix", True, False)
    assert (after.stands, after.snaps, after.changed, after.chosen) == ("fine", False, True, "port")
    assert before.over_m > 0.5 > after.over_m


def test_a_tip_in_your_face_stabs_and_one_over_the_side_snaps() -> None:
    body = EV.rigged.body.trunk_middle_m
    length = FULL.things[ROD_P].length_m
    at_you = Place(x_m=float(body[0]) + 0.2 + length, y_m=0.0, z_m=float(body[2]),
                   turn_deg=180.0, tilt_deg=0.0)  # fmt: skip
    assert row(page({ROD_P: at_you}), ROD_P).stabs
    away = at_you.model_copy(update={"x_m": at_you.x_m + 0.5})
    assert not row(page({ROD_P: away}), ROD_P).stabs
    aside = laid(EV, ROD_P, 1.0).model_copy(update={"turn_deg": 20.0})
    assert row(page({ROD_P: aside}), ROD_P).snaps


def test_the_limit_is_the_tables_own() -> None:
    tall = row(page({}), CRATE)
    assert tall.stands == "fine"
    taller = known(FULL, CRATE, height_m=FULL.things[CRATE].height_m + 0.15 - tall.over_m + 0.01)
    assert row(page({}, setup=taller), CRATE).stands == "watch"


def test_what_is_shut_into_a_hatch_is_tied_and_low() -> None:
    (hatch,) = [one for one in offers(EV, PLIERS) if one.key.startswith("hatch")]
    before, after = row(page({}), PLIERS), row(page({PLIERS: hatch.place}), PLIERS)
    assert not before.tied
    assert (after.tied, after.stands, after.chosen) == (True, "fine", hatch.key)


def test_what_helps_in_need_and_what_holds_others_is_not_shut_away() -> None:
    assert not [one for one in offers(EV, PFD) if one.key.startswith("hatch")]
    assert not [one for one in offers(EV, FLAG) if one.key.startswith("hatch")]
    assert not list(offers(EV, CRATE)), "the spare rod is in it"
    assert not list(offers(EV, SEAT))
    assert PHONE not in [one.thing_id for one in page({}).rows], "it is on you"


def test_all_is_laid_down_as_far_as_there_is_room_and_nothing_meets_more_than_before() -> None:
    places = laid_down(EV)
    assert places
    before, after = page({}), page(places, up=True)
    bad = [sum(one.stands != "fine" or not one.tied for one in p.rows) for p in (before, after)]
    assert bad[1] < bad[0]
    assert all(places[i] in [one.place for one in offers(EV, i)] or i in places for i in places)
    assert laid_down(evaluated(surfing(places))) == {}, "what is laid already stays"


def test_steps_are_what_changes_and_what_is_still_loose() -> None:
    found = page({ROD_P: laid(EV, ROD_P, 1.0)})
    keys = [one.key for one in found.steps]
    assert keys[:3] == ["up 2", "up 3", f"move {ROD_P}"]
    assert f"tie {FISH_BAG}" in keys
    words = next(one.words.text for one in found.steps if one.key == f"move {ROD_P}")
    assert words == "Port rod: along the deck to port, tip at the bow"


def test_a_place_that_cannot_be_is_refused_or_told() -> None:
    each_other = {
        ROD_P: Place(x_m=0, y_m=0, z_m=None, turn_deg=0, tilt_deg=0, on=OnThing(thing=ROD_S)),
        ROD_S: Place(x_m=0, y_m=0, z_m=None, turn_deg=0, tilt_deg=0, on=OnThing(thing=ROD_P)),
    }
    with pytest.raises(InputError):
        in_surf(surfing(each_other))
    found = page(each_other)
    assert found.trouble is not None
    assert (found.sides, found.rows) == (None, [])


def test_it_goes_along_under_other_numbers() -> None:
    on = Place(x_m=0, y_m=0, z_m=None, turn_deg=0, tilt_deg=0, on=OnThing(thing=CRATE, where="in"))
    plan = SurfPlan(places={ROD_P: on, PLIERS: on, FLAG: laid(EV, FLAG, 1.0)})
    other = plan.renumbered({ROD_P: 70, CRATE: 90, FLAG: 80})
    assert set(other.places) == {70, 80}
    assert other.places[70].on == OnThing(thing=90, where="in")
    assert plan.renumbered({ROD_P: 70}).places == {}, "in a box that does not come along"
