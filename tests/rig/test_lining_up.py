"""Mirroring and lining up, and having things twice."""

from itertools import count

import pytest
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
    setup,
    stand,
)

from neat_hull.editing.duplicating import duplicates
from neat_hull.errors import InputError
from neat_hull.model.setup import Setup
from neat_hull.rig.lining_up import Way, lined_up
from neat_hull.rig.rigging import rig

TRACK = on("fitting", name="Port track")


def after(before: Setup, way: Way, *thing_ids: int) -> Setup:
    """The setup with things lined up."""
    new = lined_up(rig(before), list(thing_ids), way)
    return before.model_copy(update={"places": before.places | new})


def test_a_holder_goes_to_the_track_opposite_with_its_rod() -> None:
    before = setup(holder=at(0.1, turn_deg=5.0, tilt_deg=20.0, on=TRACK),
                   rod=at(bury_m=0.2, on=on("thing", thing=HOLDER, where="in")))  # fmt: skip
    now = after(before, "mirror", HOLDER, ROD)
    assert now.places[HOLDER].on == on("fitting", name="Starboard track")
    assert now.places[ROD] == before.places[ROD]  # it rides along
    was, is_now = stand(before, ROD), stand(now, ROD)
    assert (is_now.x_m, is_now.y_m) == pytest.approx((was.x_m, -was.y_m))
    assert is_now.turn_deg == -was.turn_deg


@pytest.mark.parametrize("on_what", [None, on("well", name="tank well"), on("seat")])
def test_mirrored_twice_all_is_as_before(on_what: object) -> None:
    before = setup(tray=at(0.2, 0.11, turn_deg=30.0, on=on_what))
    now = after(before, "mirror", TRAY)
    assert stand(now, TRAY).y_m == pytest.approx(-stand(before, TRAY).y_m)
    assert after(now, "mirror", TRAY) == before


def test_without_a_track_opposite_it_goes_on_the_deck_there() -> None:
    only = [f for f in DEMO.boat.fittings if f.name != "Starboard track"]
    boat = DEMO.boat.model_copy(update={"fittings": only})
    before = setup(holder=at(0.1, on=TRACK)).model_copy(update={"boat": boat})
    now = after(before, "mirror", HOLDER)
    assert now.places[HOLDER].on is None
    was, is_now = stand(before, HOLDER), stand(now, HOLDER)
    assert (is_now.x_m, is_now.y_m, is_now.base_z_m) == pytest.approx(
        (was.x_m, -was.y_m, was.base_z_m)
    )


@pytest.mark.parametrize(
    ("way", "crate_x", "tray_x"),
    [
        ("fore ends", 1.0, 1.02),  # fore ends at 1.17: halves of 34 and 30 cm
        ("after ends", 0.63, 0.61),  # after ends at 0.46
        ("middles", 0.805, 0.805),  # 0.46 to 1.17 and 0.46 to 0.76: their middles' mean
        ("one line", 1.0, 0.61),
    ],
)
def test_ends_are_brought_level(way: Way, crate_x: float, tray_x: float) -> None:
    now = after(setup(crate=at(1.0, 0.2), tray=at(0.61, -0.1)), way, CRATE, TRAY)
    assert now.places[CRATE].x_m == pytest.approx(crate_x)
    assert now.places[TRAY].x_m == pytest.approx(tray_x)
    if way == "one line":
        assert now.places[CRATE].y_m == now.places[TRAY].y_m == pytest.approx(0.05)


def test_spread_evenly_keeps_the_outer_two() -> None:
    before = setup(crate=at(0.5), tray=at(0.6), holder=at(2.5))
    now = after(before, "evenly", CRATE, TRAY, HOLDER)
    assert [now.places[i].x_m for i in (CRATE, TRAY, HOLDER)] == pytest.approx([0.5, 1.5, 2.5])


def test_a_track_lets_a_thing_go_no_further_than_its_end() -> None:
    now = after(setup(crate=at(3.0), holder=at(0.0, on=TRACK)), "fore ends", CRATE, HOLDER)
    assert now.places[HOLDER].x_m == pytest.approx(0.225)


def test_what_is_locked_stays() -> None:
    before = setup(crate=at(1.0, locked=True), tray=at(0.6))
    assert after(before, "after ends", CRATE, TRAY).places[CRATE] == before.places[CRATE]


@pytest.mark.parametrize(("way", "ids"), [("middles", [CRATE]), ("evenly", [CRATE, TRAY]),
                                          ("mirror", [ROD])])  # fmt: skip
def test_too_few_or_ashore_is_refused(way: Way, ids: list[int]) -> None:
    with pytest.raises(InputError):
        lined_up(rig(setup(crate=at(1.0), tray=at(0.6))), ids, way)


def test_a_crate_is_had_twice_with_all_that_is_in_it() -> None:
    before = setup(crate=at(1.0, 0.1), tray=at(0.02, on=IN_CRATE))
    copies = {
        thing.name: (i, place)
        for i, thing, place in duplicates(before, [CRATE, TRAY], count(500).__next__)
    }
    assert set(copies) == {"Crate 2", "Tray 2"}
    crate_id, crate_place = copies["Crate 2"]
    _, tray_place = copies["Tray 2"]
    assert crate_place is not None
    assert tray_place is not None
    assert crate_place.x_m == pytest.approx(1.0 - 0.34 - 0.02)
    assert tray_place.on == on("thing", thing=crate_id, where="in")
    assert tray_place.x_m == 0.02


def test_copies_of_copies_count_on() -> None:
    again = THINGS[TRAY].model_copy(update={"name": "Tray 2"})
    before = setup(tray=at(1.0))
    before = before.model_copy(update={"things": before.things | {900: again}})
    ((_, thing, place),) = duplicates(before, [900], count(901).__next__)
    assert thing.name == "Tray 3"
    assert place is None  # ashore, as the original
