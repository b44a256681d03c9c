"""What things stand on: moving one moves what it holds; nothing crashes on what is gone."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.places import (
    CRATE,
    DEMO,
    HOLDER,
    IN_CRATE,
    ROD,
    THINGS,
    TRAY,
    at,
    on,
    otherwise,
    row,
    setup,
    stand,
)

from neat_hull.errors import InputError
from neat_hull.model.nesting import all_contents, require_nested
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.rig.rigging import rig
from neat_hull.whole.evaluate import evaluate


@given(st.floats(0.5, 3), st.floats(-0.2, 0.2), st.floats(-180, 180))
def test_a_crate_takes_its_contents_along_and_turns_them(x: float, y: float, turn: float) -> None:
    found = stand(setup(crate=at(x, y, turn_deg=turn), tray=at(0.01, 0.05, on=IN_CRATE)), TRAY)
    rad = math.radians(turn)
    assert found.x_m == pytest.approx(x + 0.01 * math.cos(rad) - 0.05 * math.sin(rad))
    assert found.y_m == pytest.approx(y + 0.01 * math.sin(rad) + 0.05 * math.cos(rad))
    assert found.turn_deg == pytest.approx(turn)


def test_contents_stand_on_the_floor_of_their_crate() -> None:
    both = setup(crate=at(0.7), tray=at(on=IN_CRATE))
    assert stand(both, TRAY).base_z_m == pytest.approx(stand(both, CRATE).base_z_m + 0.02)


def test_masses_and_centre_follow_the_crate() -> None:
    """Moving 2 kg by 1 m moves the centre of all by 2/M m, contents or not."""
    near = evaluate(setup(crate=at(0.7), tray=at(on=IN_CRATE)))
    far = evaluate(setup(crate=at(1.7), tray=at(on=IN_CRATE)))
    assert near.afloat is not None
    assert far.afloat is not None
    shift = far.weight.carried_at[0] - near.weight.carried_at[0]
    assert shift == pytest.approx(2.0 / near.weight.carried_kg)
    assert row(setup(crate=at(0.7), tray=at(on=IN_CRATE)), CRATE).carries_kg == pytest.approx(2.0)


def test_a_pile_stands_on_itself_and_the_upper_must_come_out_first() -> None:
    more = {i: THINGS[TRAY].model_copy(update={"name": f"Tray {i}"}) for i in range(201, 204)}
    whole = setup(crate=at(0.7))
    pile = {i: at(on=IN_CRATE, order=n) for n, i in enumerate(more)}
    whole = whole.model_copy(update={"things": whole.things | more, "places": whole.places | pile})
    placing = rig(whole).placing
    floor = placing.stand(CRATE).base_z_m + 0.02
    assert [placing.stand(i).base_z_m for i in more] == pytest.approx(
        [floor + 0.10, floor + 0.05, floor]
    )
    assert placing.out_first(203) == [201, 202]
    assert placing.out_first(201) == []
    assert [one.thing_id for one in evaluate(whole).aboard] == [CRATE, 201, 202, 203]


def test_things_beside_each_other_do_not_pile_up() -> None:
    small = THINGS[TRAY].model_copy(update={"length_m": 0.15})
    whole = setup(crate=at(0.7), tray=at(0.08, on=IN_CRATE, order=0))
    other = {201: at(-0.08, on=IN_CRATE, order=1)}
    whole = whole.model_copy(update={"things": whole.things | {201: small, TRAY: small},
                                     "places": whole.places | other})  # fmt: skip
    placing = rig(whole).placing
    assert placing.stand(TRAY).base_z_m == placing.stand(201).base_z_m
    assert placing.out_first(201) == []


def test_a_holder_slides_along_its_track_with_its_rod() -> None:
    track = next(f for f in DEMO.boat.fittings if f.name == "Port track")

    def rigged(x: float) -> Setup:
        return setup(
            holder=at(x, tilt_deg=30.0, turn_deg=10.0, on=on("fitting", name=track.name)),
            rod=at(bury_m=0.2, on=on("thing", thing=HOLDER, where="in")),
        )

    low, high = stand(rigged(-0.1), ROD), stand(rigged(0.15), ROD)
    assert high.x_m - low.x_m == pytest.approx(0.25)
    assert (high.turn_deg, high.tilt_deg) == (10.0, 30.0)
    # the butt is 20 cm down the tube from its mouth, 25 cm over the track
    assert low.base_z_m == pytest.approx(track.z_m + 0.25 - 0.2 * math.sin(math.radians(30)))
    mouth = track.x_m - 0.1
    forth = 0.2 * math.cos(math.radians(30)) * math.cos(math.radians(10))
    assert low.x_m == pytest.approx(mouth - forth)


def test_a_rod_in_a_flush_tube_takes_its_slope() -> None:
    tube = next(f for f in DEMO.boat.fittings if f.kind == "flush tube")
    found = stand(setup(rod=at(bury_m=0.2, on=on("fitting", name=tube.name, where="in"))), ROD)
    assert (found.turn_deg, found.tilt_deg) == (tube.bearing_deg, tube.elevation_deg)


def test_an_arm_carries_what_is_on_its_end() -> None:
    arm = otherwise(THINGS[ROD], shape="pole", rod=None, holder={}, length_m=0.5)
    whole = setup(rod=at(1.0, z_m=0.4, tilt_deg=60.0), holder=at(0.5, on=on("thing", thing=ROD)))
    whole = whole.model_copy(update={"things": whole.things | {ROD: arm}})
    found = stand(whole, HOLDER)
    assert found.x_m == pytest.approx(1.0 + 0.5 * math.cos(math.radians(60)))
    assert found.base_z_m == pytest.approx(0.4 + 0.5 * math.sin(math.radians(60)))


def test_what_is_worn_rides_with_the_seat_and_is_always_in_hand() -> None:
    worn = setup(tray=at(on=on("body")))
    back = worn.seat.model_copy(update={"x_m": worn.seat.x_m - 0.2, "z_m": worn.seat.z_m + 0.1,
                                        "brace_x_m": worn.seat.brace_x_m - 0.2})  # fmt: skip
    there, here = stand(worn.model_copy(update={"seat": back}), TRAY), stand(worn, TRAY)
    assert there.x_m - here.x_m == pytest.approx(-0.2)
    assert there.base_z_m - here.base_z_m == pytest.approx(0.1)
    assert row(worn, TRAY).zone == "hand"
    assert row(worn, TRAY).where == "On you"


def test_what_is_under_the_seat_goes_with_it() -> None:
    under = setup(tray=at(0.2, on=on("seat", where="under")))
    moved = under.seat.model_copy(update={"x_m": under.seat.x_m + 0.1})
    there = stand(under.model_copy(update={"seat": moved}), TRAY)
    assert there.x_m - stand(under, TRAY).x_m == pytest.approx(0.1)
    assert there.base_z_m == DEMO.boat.wells[0].floor_z_m


@pytest.mark.parametrize(
    ("places", "why"),
    [
        ({"tray": at(on=on("fitting", name="Gone"))}, "has no 'Gone'"),
        ({"tray": at(on=on("well", name="Gone"))}, "has no 'Gone'"),
        ({"tray": at(on=IN_CRATE)}, "Crate, which is not aboard"),
        ({"tray": at(on=on("thing", thing=999))}, "item 999"),
        ({"tray": at(on=on("thing", thing=TRAY))}, "cannot stand on what stands on it"),
        (
            {"crate": at(on=on("thing", thing=TRAY)), "tray": at(on=IN_CRATE)},
            "cannot stand on what stands on it",
        ),
    ],
)
def test_what_does_not_hang_together_is_refused_but_never_crashes(
    places: dict[str, Place], why: str
) -> None:
    broken = setup(**places)
    with pytest.raises(InputError, match=why):
        require_nested(broken)
    for found in evaluate(broken).aboard:
        assert found.misfit is not None
        assert "is gone" in found.misfit.text


def test_all_that_a_thing_holds_is_found_to_the_last() -> None:
    nested = setup(crate=at(0.7), tray=at(on=IN_CRATE), holder=at(on=on("thing", thing=TRAY)))
    assert all_contents(nested, CRATE) == [TRAY, HOLDER]
    assert all_contents(nested, HOLDER) == []
