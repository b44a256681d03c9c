"""Rods by hand-worked cases: butts, reels, tips, what passes the bow, where one is parked."""

import math

import pytest
from tests.places import DEMO, HOLDER, ROD, THINGS, at, on, setup

from neat_hull.model.place import Place
from neat_hull.model.reach import FullReach
from neat_hull.model.rods import RodLie
from neat_hull.model.setup import Setup
from neat_hull.rig.rigging import rig
from neat_hull.subjects.reach.full import full_reach
from neat_hull.subjects.reach.limits import zone_steps
from neat_hull.subjects.rods.figures import hand_m, rod_lies
from neat_hull.whole.evaluate import evaluate, evaluated

# The boat is 3.66 m long and 0.88 m in the beam; the rod 2 m, its reel 0.34 m from the butt.
LONG, HALF_BEAM = 3.66, 0.44


def lie(place: Place) -> RodLie:
    """How the one rod lies."""
    (found,) = rod_lies(evaluated(setup(rod=place)))
    return found


def at_large(of: Setup) -> FullReach:
    """The whole answer, at the lap."""
    return full_reach(evaluated(of), 0.43)


@pytest.mark.parametrize(
    ("place", "past_bow", "past_stern", "past_beam", "over_seat"),
    [
        # level ahead from 2.0: the tip at 4.0
        (at(2.0, 0.3, z_m=0.5), 4.0 - LONG, -4.0, 0.3 - HALF_BEAM, 0.5 - 0.235),
        # 60° up, ahead: cos 60° = ½, sin 60° = .866
        (at(2.0, 0.0, z_m=0.3, tilt_deg=60.0), 3.0 - LONG, -3.0, -HALF_BEAM,
         0.3 + 2 * math.sin(math.radians(60)) - 0.235),
        # straight out to port, level
        (at(1.5, 0.3, z_m=0.4, turn_deg=90.0), 1.5 - LONG, -1.5, 2.3 - HALF_BEAM, 0.4 - 0.235),
        # aft and 45° out to starboard, 30° up: 2·cos 30°·cos 45° = 1.2247 each way
        (at(1.0, -0.2, z_m=0.3, turn_deg=-135.0, tilt_deg=30.0), 1.0 - 1.2247 - LONG,
         -(1.0 - 1.2247), 0.2 + 1.2247 - HALF_BEAM, 0.3 + 1.0 - 0.235),
    ],
)  # fmt: skip
def test_tips(
    place: Place, past_bow: float, past_stern: float, past_beam: float, over_seat: float
) -> None:
    found = lie(place)
    assert found.tip_past_bow_m == pytest.approx(past_bow, abs=1e-4)
    assert found.tip_past_stern_m == pytest.approx(past_stern, abs=1e-4)
    assert found.tip_past_beam_m == pytest.approx(past_beam, abs=2e-4)
    assert found.tip_over_seat_m == pytest.approx(over_seat, abs=1e-4)


def test_a_reel_is_inboard_or_out_by_the_gunwale_beside_it() -> None:
    inside, outside = lie(at(1.6, 0.30, z_m=0.4)), lie(at(1.6, 0.60, z_m=0.4))
    assert inside.reel_out_m is not None
    assert outside.reel_out_m is not None
    assert outside.reel_out_m - inside.reel_out_m == pytest.approx(0.30)
    assert inside.reel_out_m < 0 < outside.reel_out_m
    # the reel is at 1.94 m, where the boat is all but at its widest
    assert inside.reel_out_m == pytest.approx(0.30 - HALF_BEAM, abs=0.01)


def test_a_butt_beside_the_thigh_is_told_by_its_gap() -> None:
    """Level along the thigh's height, out to port: the gap grows as the rod goes out."""
    thigh = next(s for s in rig(setup()).body.segments if s.name == "thigh" and s.upper_m[1] > 0)
    middle = (thigh.upper_m + thigh.far_m) / 2
    y = float(middle[1])
    gaps = [lie(at(float(middle[0]) - 0.17, y + out, z_m=float(middle[2]))).leg_gap_m
            for out in (0.20, 0.30)]  # fmt: skip
    assert gaps[1] - gaps[0] == pytest.approx(0.10, abs=0.004)
    # the radii of thigh and handle lie between
    assert gaps[0] == pytest.approx(0.20 - thigh.thickness_m / 2 - 0.02, abs=0.012)


def test_a_hand_held_rod_passes_the_bow_by_what_is_ahead_of_the_reel() -> None:
    whole = setup(rod=at(1.0, 0.3, z_m=0.5))
    found = at_large(whole)
    hand = hand_m(rig(whole))[0]
    (held,) = found.hand_held
    assert held.passes_bow_m == pytest.approx(hand + 2.0 - 0.34 - LONG)
    # the shortest: its part before the reel, 83 % of it, just spans from hand to bow
    assert found.shortest_rod_m == pytest.approx((LONG - hand) / 0.83)


def test_tips_are_as_far_apart_as_they_are() -> None:
    pair = setup(rod=at(1.5, 0.3, z_m=0.5, turn_deg=30.0))
    both = pair.model_copy(
        update={
            "things": pair.things | {501: THINGS[ROD]},
            "places": pair.places | {501: at(1.5, -0.3, z_m=0.5, turn_deg=-30.0)},
        }
    )
    found = at_large(both)
    apart = 2 * (0.3 + 2.0 * 0.5)  # sin 30°
    assert (found.spread_m, found.closest_m) == pytest.approx((apart, apart))
    assert at_large(pair).spread_m is None


def test_parked_is_in_a_free_holder_in_hand() -> None:
    track = on("fitting", name="Port track")
    taken = setup(holder=at(-0.15, on=track), rod=at(bury_m=0.2, on=on("thing", thing=HOLDER,
                  where="in")))  # fmt: skip
    found = at_large(taken)
    mine = next(one for one in found.parking if one.thing_id == HOLDER)
    assert (mine.zone, mine.holds) == ("hand", ROD)
    assert found.park_in == "Holder"  # its own rod is in the hand meanwhile
    other = taken.model_copy(
        update={
            "things": taken.things | {502: THINGS[HOLDER].model_copy(update={"name": "Free"})},
            "places": taken.places | {502: at(-0.15, on=on("fitting", name="Starboard track"))},
        }
    )
    assert at_large(other).park_in == "Free"


def test_without_any_tube_there_is_nowhere_to_park() -> None:
    none = [f for f in DEMO.boat.fittings if f.kind != "flush tube"]
    bare = setup(rod=at(1.0, 0.3, z_m=0.5))
    bare = bare.model_copy(update={"boat": bare.boat.model_copy(update={"fittings": none})})
    assert (at_large(bare).parking, at_large(bare).park_in) == ([], None)


def test_a_screen_before_the_eye_hides_its_own_width() -> None:
    """At arm's length, 22 cm wide: 2·atan(0.11/d), and only while it stands over the line."""
    whole = setup(tray=at(2.0, 0.0, z_m=1.0, turn_deg=90.0))
    eye = next(s for s in rig(whole).body.segments if s.name == "head").far_m
    nearest = 2.0 - 0.1 - float(eye[0])
    found = at_large(whole)
    (arc,) = found.dead_arcs
    half = math.degrees(math.atan2(0.15, nearest))
    assert (arc.from_deg, arc.to_deg) == pytest.approx((-half, half), abs=0.1)
    assert found.dead_deg == pytest.approx(2 * half, abs=0.2)
    low = whole.model_copy(update={"places": {102: at(2.0, 0.0, z_m=0.3, turn_deg=90.0)}})
    assert at_large(low).dead_arcs == []


@pytest.mark.parametrize(
    ("zone", "use", "steps"),
    [("hand", "each cast", 0), ("lean", "each cast", 1), ("ashore", "emergency", 4),
     ("twist", "hourly", 0), ("leave", "once", 0), ("ashore", "ashore", 0)],
)  # fmt: skip
def test_how_far_too_far(zone: str, use: str, steps: int) -> None:
    assert zone_steps(zone, use) == steps  # type: ignore[arg-type]  # of the literals


def test_raising_the_seat_changes_the_map_and_lowers_gm_by_as_much_as_it_lifts() -> None:
    low = setup(rod=at(1.0, 0.3, z_m=0.5))
    seat = low.seat.model_copy(update={"z_m": low.seat.z_m + 0.10,
                                       "brace_z_m": low.seat.brace_z_m + 0.10})  # fmt: skip
    high = low.model_copy(update={"seat": seat})
    before, after = evaluate(low), evaluate(high)
    assert before.afloat is not None
    assert after.afloat is not None
    share = low.angler.mass_kg / before.weight.all_up_kg
    lost = (low.boat.fittings[3].lost_m3 * 998) / before.weight.all_up_kg
    drop = before.afloat.gm_m - after.afloat.gm_m
    assert drop == pytest.approx(0.10 * share / (1 + lost), rel=0.03)
    assert at_large(low).edges != at_large(high).edges
