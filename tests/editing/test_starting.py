"""A first setup from little: what is assumed says so, and gear stands where it usually does."""

from itertools import combinations

import numpy as np
import pytest

from neat_hull.editing.starting import FirstMeasures, starting_setup
from neat_hull.errors import InputError
from neat_hull.files.catalog import kit
from neat_hull.model.evidence import Bands
from neat_hull.model.kit import TRIP_KINDS, TripKind
from neat_hull.model.place import OnThing
from neat_hull.model.setup import Setup
from neat_hull.rig.bands import assumed, bands
from neat_hull.rig.parents.base import footprint_m
from neat_hull.rig.rigging import rig
from neat_hull.rig.typical import (
    MEASURE_NAMES,
    seat_as_moved,
    typical_tape,
    with_what_was_measured,
)
from neat_hull.whole.evaluate import evaluated

LABEL = FirstMeasures(boat_name="Tub", length_m=3.6, beam_m=0.84)


def wide(first: FirstMeasures) -> Bands:
    """± of a first setup."""
    found = evaluated(starting_setup(first)).once(bands)
    assert found is not None
    return found


def test_what_the_label_does_not_say_is_typical_and_marked() -> None:
    setup = starting_setup(LABEL)
    assert set(assumed(setup.boat)) == set(MEASURE_NAMES)
    assert setup.seat.assumed
    assert setup.boat.hull_evidence == setup.angler.evidence == "guess"
    assert wide(LABEL).hull == "typical"


@pytest.mark.parametrize("sit_in", [False, True])
@pytest.mark.parametrize(
    ("length_m", "beam_m"), [(3.0, 0.78), (3.6, 0.84), (3.3, 1.0), (4.8, 0.66)]
)
def test_typical_wells_leave_a_rim_of_the_boat_about_them(
    length_m: float, beam_m: float, sit_in: bool
) -> None:
    first = LABEL.model_copy(update={"length_m": length_m, "beam_m": beam_m, "sit_in": sit_in})
    setup = starting_setup(first)
    sheer = rig(setup).floating.hull.sheer_points_m
    x_m, half_m = sheer[sheer[:, 1] > 0][:, :2].T
    assert setup.boat.wells
    for well in setup.boat.wells:
        for end_m in (well.x_aft_m, well.x_fwd_m):
            beside_m = np.interp(end_m, np.sort(x_m), half_m[np.argsort(x_m)])
            assert beside_m - well.half_breadth_m > 0.015, well.name


def test_each_measure_taken_narrows_the_bands_and_is_no_longer_typical() -> None:
    typical = typical_tape(LABEL, sit_in=False)
    known, before = LABEL, wide(LABEL)
    for field in MEASURE_NAMES:
        known = known.model_copy(update={field: getattr(typical, field)})
        after = wide(known)
        assert field not in assumed(starting_setup(known).boat)
        assert after.gm_m <= before.gm_m
        assert after.trim_deg <= before.trim_deg
        before = after
    assert before.hull == "estimate"
    assert wide(LABEL).gm_m > 1.2 * before.gm_m
    seated = wide(known.model_copy(update={"seat_x_m": 1.404}))
    assert seated.trim_deg < 0.5 * before.trim_deg


def test_a_measure_typed_over_and_a_seat_that_was_moved_are_assumed_no_more() -> None:
    setup = starting_setup(LABEL)
    tape = setup.boat.tape.model_copy(update={"depth_m": 0.31})
    boat = with_what_was_measured(setup.boat, setup.boat.model_copy(update={"tape": tape}))
    assert set(MEASURE_NAMES) - set(assumed(boat)) == {"depth_m"}
    assert with_what_was_measured(boat, boat) is boat
    moved = setup.seat.model_copy(update={"x_m": setup.seat.x_m + 0.01})
    assert not seat_as_moved(setup.seat, moved).assumed
    reclined = setup.seat.model_copy(update={"recline_deg": 20.0})
    assert seat_as_moved(setup.seat, reclined).assumed


def kitted(trip: TripKind, first: FirstMeasures = LABEL) -> Setup:
    """A first setup with what most take on a trip."""
    names = [item.thing.name for item in kit() if trip in item.trips]
    return starting_setup(first.model_copy(update={"kit": names}), kit())


@pytest.mark.parametrize("trip", TRIP_KINDS)
@pytest.mark.parametrize("pedals", [False, True])
def test_nearly_all_of_a_kit_finds_a_place_and_none_stands_in_another(
    trip: TripKind, pedals: bool
) -> None:
    setup = kitted(trip, LABEL.model_copy(update={"pedals": pedals}))
    assert len(setup.places) >= len(setup.things) - 1
    stands = rig(setup).placing.stands()
    flat = [
        i
        for i, thing in setup.things.items()
        if i in stands and not thing.long and not isinstance(setup.places[i].on, OnThing)
        and not stands[i].on_body and thing.part is None
    ]  # fmt: skip
    for a, b in combinations(flat, 2):
        a_size, b_size = (footprint_m(setup.things[i], stands[i].turn_deg) for i in (a, b))
        x_gap = abs(stands[a].x_m - stands[b].x_m) - (a_size[0] + b_size[0]) / 2
        y_gap = abs(stands[a].y_m - stands[b].y_m) - (a_size[1] + b_size[1]) / 2
        assert max(x_gap, y_gap) > -1e-3, (setup.things[a].name, setup.things[b].name)


def test_the_basics_are_in_every_kit() -> None:
    for trip in TRIP_KINDS:
        things = kitted(trip).things.values()
        serves = {what for thing in things for what in thing.serves}
        assert {"PFD", "whistle"} <= serves
        assert any(thing.part == "paddle" for thing in things)


def test_two_of_a_kind_are_told_apart_and_one_that_is_not_there_is_refused() -> None:
    two = LABEL.model_copy(update={"kit": ["Rod holder", "Rod and reel", "Rod holder"]})
    setup = starting_setup(two, kit())
    assert {t.name for t in setup.things.values()} == {"Rod holder", "Rod holder 2", "Rod and reel"}
    holders = [p for i, p in setup.places.items() if setup.things[i].takes_butt]
    assert holders[0].y_m == pytest.approx(-holders[1].y_m)
    with pytest.raises(InputError, match="generic gear"):
        starting_setup(LABEL.model_copy(update={"kit": ["Cannon"]}), kit())


def test_what_has_no_place_stays_ashore() -> None:
    many = LABEL.model_copy(update={"kit": ["Fish bag"] * 9})
    setup = starting_setup(many, kit())
    assert len(setup.things) == 9
    assert 0 < len(setup.places) < 9
