"""A setup on another boat: what keeps its place to the bow, the stern or the seat."""

import pytest

from neat_hull.editing.moving import left_ashore, move_to
from neat_hull.files.demo import demo_setups
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.rig.hulls import floating_hull
from neat_hull.rig.rigging import rig
from neat_hull.rig.whereabouts import whereabouts

DEMO, _, SHORT, SIT_IN = demo_setups()


def name_id(name: str) -> int:
    """A thing of the demo."""
    return next(i for i, thing in DEMO.things.items() if thing.name == name)


def moved(*places: tuple[str, Place], onto: Setup = SHORT) -> Setup:
    """The demo with just these things aboard, on another boat."""
    setup = DEMO.model_copy(update={"places": {name_id(n): p for n, p in places}})
    return move_to(setup, onto.boat, onto.seat)


def at(x_m: float, y_m: float = 0.0, z_m: float | None = None) -> Place:
    """A place."""
    return Place(x_m=x_m, y_m=y_m, z_m=z_m, turn_deg=0.0, tilt_deg=0.0)


@pytest.mark.parametrize(
    ("x_m", "kept"),
    [
        (3.40, "bow"),  # on the bow itself
        (2.90, "bow"),  # on the foredeck
        (1.60, "seat"),  # at the seat
        (2.00, "seat"),  # between the legs
        (0.60, "stern"),  # in the tank well
        (0.10, "stern"),  # on the stern
    ],
)
def test_a_thing_keeps_its_distance_to_what_it_belongs_to(x_m: float, kept: str) -> None:
    place = moved(("Battery 20 Ah", at(x_m))).places[name_id("Battery 20 Ah")]
    anchors = {
        "bow": (3.66, 3.05),
        "stern": (0.0, 0.0),
        "seat": (DEMO.seat.x_m, SHORT.seat.x_m),
    }
    old, new = anchors[kept]
    assert place.x_m - new == pytest.approx(x_m - old, abs=1e-4)


def test_typed_heights_follow_the_deck_and_resting_things_rest() -> None:
    found = moved(("Port rod", at(1.62, 0.36, 0.40)), ("Tackle tray", at(1.3))).places
    assert found[name_id("Tackle tray")].z_m is None
    rod = found[name_id("Port rod")]
    assert rod.z_m is not None
    # as high over the shorter boat's gunwale as it was over its own
    assert rod.z_m - 0.30 == pytest.approx(0.40 - 0.34, abs=0.02)


def test_what_stands_far_outside_stays_ashore_and_is_named() -> None:
    far = {name_id("Camera pole"): at(-0.3), name_id("Battery 20 Ah"): at(0.6)}
    setup = DEMO.model_copy(update={"places": far})
    found = move_to(setup, SHORT.boat, SHORT.seat)
    assert left_ashore(setup, found) == [name_id("Camera pole")]
    assert set(found.places) == {name_id("Battery 20 Ah")}


def test_boat_and_seat_are_the_other_ones_and_angler_and_water_its_own() -> None:
    setup = moved(("Battery 20 Ah", at(0.6)), onto=SIT_IN)
    assert (setup.boat, setup.seat) == (SIT_IN.boat, SIT_IN.seat)
    assert (setup.angler, setup.water, setup.name) == (DEMO.angler, DEMO.water, DEMO.name)


def test_there_and_back_again_is_where_it_was() -> None:
    """For each thing that belongs to the same part of both boats."""
    stands = rig(DEMO).placing.stands()
    bare = {i: at(round(s.x_m, 3), s.y_m, s.base_z_m) for i, s in stands.items()}
    there = move_to(DEMO.model_copy(update={"places": bare}), SHORT.boat, SHORT.seat)
    back = move_to(there, DEMO.boat, DEMO.seat)
    ours, theirs = floating_hull(DEMO.boat).hull, floating_hull(SHORT.boat).hull
    same = 0
    for i, place in there.places.items():
        home = bare[i]
        part = whereabouts(ours, DEMO.seat, home.x_m, home.y_m)
        if part == whereabouts(theirs, SHORT.seat, place.x_m, place.y_m):
            assert back.places[i].x_m == pytest.approx(home.x_m, abs=2e-4), DEMO.things[i].name
            same += 1
    assert same > 10


def test_what_is_on_the_seat_in_a_crate_or_in_a_well_of_that_name_stays_there() -> None:
    there = move_to(DEMO, SHORT.boat, SHORT.seat)
    for name in ("Seat", "Tackle tray", "Tackle crate", "Iced fish bag", "Spare rod"):
        assert there.places[name_id(name)] == DEMO.places[name_id(name)]


def test_what_stood_on_a_track_stands_on_the_deck_of_a_boat_without() -> None:
    there = move_to(DEMO, SHORT.boat, SHORT.seat)
    holder = there.places[name_id("Port rod holder")]
    assert holder.on is None
    was = rig(DEMO).placing.stand(name_id("Port rod holder"))
    assert holder.x_m - SHORT.seat.x_m == pytest.approx(was.x_m - DEMO.seat.x_m, abs=1e-4)
    assert (holder.y_m, holder.tilt_deg) == pytest.approx((was.y_m, was.tilt_deg))
    rod = there.places[name_id("Port rod")]
    assert rod == DEMO.places[name_id("Port rod")]  # it rides in the holder still


def test_what_is_in_a_crate_that_stays_ashore_stays_with_it() -> None:
    crate = DEMO.places[name_id("Tackle crate")].model_copy(
        update={"on": None, "x_m": -0.4, "y_m": 0.0}
    )
    far = DEMO.model_copy(update={"places": DEMO.places | {name_id("Tackle crate"): crate}})
    found = move_to(far, SHORT.boat, SHORT.seat)
    assert {name_id("Tackle crate"), name_id("Spare rod")} <= set(left_ashore(far, found))
