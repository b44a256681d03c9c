"""A setup on land: what comes off, who bears what, the axle, the wheels, and what could be done."""

from itertools import combinations
from math import cos, radians, sin

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CLEAN, CRATE, DRIVE, FULL, RUDDER, TRAY, put
from tests.subjects.glide.goings import with_thing
from tests.subjects.haul.hauling import FIN, bedded, carted, finned, hauled, heavy, over, roofed

from neat_hull.model.boat import Handle
from neat_hull.model.haul import PostsPlan, Stretch
from neat_hull.model.haul_figures import CartFigure, HaulFigures
from neat_hull.model.setup import Setup
from neat_hull.subjects.haul.aboard import RoadThing
from neat_hull.subjects.haul.figures import haul, on_land
from neat_hull.subjects.haul.full import full_haul, least_minutes
from neat_hull.subjects.haul.how import HOW
from neat_hull.subjects.haul.moves import works
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.judge import judge

G = 9.80665


def landed(setup: Setup) -> HaulFigures:
    """Its figures on land."""
    return evaluated(setup).once(on_land)


def wheeled(setup: Setup) -> CartFigure:
    """On its cart."""
    cart = landed(setup).cart
    assert cart is not None
    return cart


def off(setup: Setup) -> dict[int, str]:
    """What becomes of each thing."""
    return {row.thing_id: row.leaves for row in landed(setup).off}


def handled(x_m: float, y_m: float = 0.0) -> Setup:
    """With one more handle on the boat."""
    one = Handle(name="Strap", x_m=x_m, y_m=y_m, z_m=0.35)
    boat = CLEAN.boat.model_copy(update={"fittings": [*CLEAN.boat.fittings, one]})
    return CLEAN.model_copy(update={"boat": boat})


def test_nobody_is_told_of_the_road_who_has_not_said_how_it_travels() -> None:
    silent = hauled(CLEAN)
    assert evaluated(silent).once(haul) is None
    assert not [one for one in evaluate(silent).findings if one.topic == "haul"]
    assert landed(silent).lifts


def test_bolted_things_stay_parts_and_loose_things_come_off_and_contents_go_along() -> None:
    usual = off(FULL)
    assert usual[DRIVE] == usual[CRATE] == usual[TRAY] == "off"
    assert usual[RUDDER] == "stays"
    assert FULL.places[TRAY].on is not None
    seat_stays = off(hauled(FULL, off={1: "stays"}))
    assert seat_stays[TRAY] == "off", "it is held by a strip and no bolt"
    inside = off(hauled(FULL, off={CRATE: "inside"}))
    assert inside[CRATE] == "inside"


def test_the_weight_is_the_hull_and_what_stays_and_the_rest_is_what_comes_off() -> None:
    found = landed(FULL)
    kept = sum(row.kg for row in found.off if row.leaves != "off")
    gone = sum(row.kg for row in found.off if row.leaves == "off")
    assert found.bare.kg == pytest.approx(FULL.boat.hull_mass_kg + kept)
    assert found.loaded.kg == pytest.approx(found.bare.kg + gone)
    assert 0 < found.bare.band_kg < found.loaded.band_kg
    assert landed(hauled(FULL, off={CRATE: "stays"})).bare.kg == pytest.approx(found.bare.kg + 6.3)


def test_a_tank_is_empty_on_land() -> None:
    made = with_thing(CLEAN, FIN, name="Tank", mass_kg=21.0, length_m=0.4, width_m=0.3,
                      height_m=0.3, fill={"empty_kg": 3.0, "afloat": True})  # fmt: skip
    rows = {row.thing_id: row.kg for row in landed(put(made, FIN, 1.0, 0.0)).off}
    assert rows[FIN] == 3.0


def test_two_lift_the_whole_of_it_and_one_an_end() -> None:
    """Level: halves by the place of the weight between the handles at 0.10 and 3.54 m."""
    two = landed(hauled(CLEAN, people=2))
    bow, stern = (one for one in two.lifts)
    assert bow.each_kg + stern.each_kg == pytest.approx(two.bare.kg)
    assert bow.each_kg == pytest.approx(two.bare.kg * (two.bare.x_m - 0.10) / 3.44)
    alone = landed(hauled(CLEAN, people=1)).lifts[0]
    turn = radians(alone.angle_deg)
    x, z = (alone.hold[i] - alone.other[i] for i in (0, 1))
    raised = x * sin(turn) + z * cos(turn)
    assert raised == pytest.approx(0.43 * CLEAN.angler.stature_m, abs=2e-3)


@given(st.floats(2.0, 30.0))
@examples(8)
def test_what_is_bolted_on_in_the_middle_lifts_evenly_and_takes_its_toll(kg: float) -> None:
    bare = landed(hauled(CLEAN, people=2))
    more = landed(hauled(heavy(kg), people=2))
    lifts = zip(bare.lifts, more.lifts, strict=True)
    for share, (before, after) in zip((0.503, 0.497), lifts, strict=True):
        assert after.kg - before.kg == pytest.approx(share * kg, rel=0.02)


def test_a_side_handle_carries_all_of_it_and_a_handle_near_the_middle_is_no_end() -> None:
    found = landed(handled(1.7, 0.35))
    (side,) = found.side
    assert side.kg == found.bare.kg
    assert side.off_m == pytest.approx(1.7 - found.bare.x_m)
    assert [one.by for one in found.lifts] == ["Bow handle", "Stern handle"]


def test_gear_with_a_grip_is_a_handle_where_it_hangs() -> None:
    made = with_thing(CLEAN, FIN, name="Pull strap", mass_kg=0.1, length_m=0.1, width_m=0.05,
                      height_m=0.02, grip={"assist": True}, fixing={"by": "plate"})  # fmt: skip
    lifts = landed(put(made, FIN, 3.60, 0.0)).lifts
    assert lifts[0].by == "Pull strap"


def test_bars_bear_the_whole_boat_and_in_the_middle_half_each() -> None:
    bars = landed(roofed()).bars
    assert bars is not None
    assert bars.front_kg == pytest.approx(bars.rear_kg)
    assert bars.front_kg + bars.rear_kg == pytest.approx(landed(roofed()).bare.kg)
    aft = landed(roofed(rear_x_m=0.2)).bars
    assert aft is not None
    assert aft.tips
    assert aft.front_kg > landed(roofed()).bare.kg


def test_a_trailer_is_bars_without_a_roof_and_a_bed_bears_at_its_edge() -> None:
    trailer = landed(hauled(CLEAN, rides="trailer")).bars
    assert trailer is not None
    assert trailer.overhang_front_m == 0
    bed, bare = landed(bedded()).bed, landed(bedded()).bare
    assert bed is not None
    u = 3.66 - bare.x_m
    assert bed.gate_kg == pytest.approx(bare.kg * (u - 0.3) / (2.2 - 0.3), rel=1e-3)
    assert bed.gate_kg + bed.front_kg == pytest.approx(bare.kg)
    stern_in = landed(bedded(end_in="stern")).bed
    assert stern_in is not None
    assert stern_in.margin_m == pytest.approx(2.2 - bare.x_m, abs=1e-3)


@given(st.floats(10.0, 90.0), st.sampled_from(["bow", "stern"]))
@examples(12)
def test_the_axle_stands_where_the_hand_bears_what_it_is_to(hand: float, by: str) -> None:
    cart = wheeled(carted(hand_n=hand, by=by))
    assert cart.level_hand_n == pytest.approx(hand, abs=0.05)
    level = wheeled(carted(axle_x_m=round(cart.axle[0], 4), by=by))
    assert level.level_hand_n == pytest.approx(hand, abs=0.3)


def test_on_level_ground_hand_and_axle_bear_the_weight_and_the_pull_is_what_rolls() -> None:
    cart, found = wheeled(carted()), landed(carted())
    (one,) = cart.grounds
    assert one.hand_up_n + one.axle_n == pytest.approx(found.loaded.kg * G)
    assert one.pull_n == pytest.approx(0.025 * one.axle_n)
    up = wheeled(carted(way=over("asphalt", 5.0))).grounds[0]
    assert up.pull_n == pytest.approx(found.loaded.kg * G * sin(radians(5)) + 0.025 * up.axle_n)


def test_broader_wheels_press_less_and_sand_asks_for_them() -> None:
    rows = full_haul(evaluated(carted(way=over("dry sand")))).wheels
    assert [row.wheels for row in rows] == ["narrow", "wide", "balloon"]
    assert rows[0].pull_n > rows[1].pull_n > rows[2].pull_n
    assert rows[0].pressure_share > rows[1].pressure_share > rows[2].pressure_share


def test_what_stands_out_below_is_measured_on_cart_bars_and_ramp() -> None:
    low = landed(carted(finned(-0.12)))
    assert low.cart is not None
    (clear,) = low.cart.clearances
    assert clear.thing_id == FIN
    assert low.launch is not None
    assert low.launch.deepest == FIN
    assert low.launch.deepest_m > low.launch.depth_m
    gone = landed(carted(finned(-0.12)).model_copy(update={
        "haul": carted().haul.model_copy(update={"off": {FIN: "off", DRIVE: "off"}})}))  # fmt: skip
    assert gone.cart is not None
    assert gone.cart.clearances == []


def test_a_drive_in_its_well_drags_its_fins_until_it_is_off_or_lifted() -> None:
    off = carted(FULL)
    whole = off.model_copy(update={"haul": off.haul.model_copy(update={"off": {}})})
    low = {one.thing_id: one.clearance_m for one in wheeled(whole).clearances}
    assert low[DRIVE] < 0.05
    going = whole.glide.model_copy(update={"up": {DRIVE: True}})
    lifted = whole.model_copy(update={"glide": going})
    for setup in (off, lifted):
        assert DRIVE not in [one.thing_id for one in wheeled(setup).clearances]
    found = landed(whole).launch
    assert found is not None
    assert found.deepest != DRIVE, "it is folded at the ramp"


def test_slabs_spread_what_posts_press() -> None:
    bare = wheeled(carted(posts=PostsPlan(ring_mm=28.0))).grounds[0].posts
    spread = wheeled(carted(posts=PostsPlan(ring_mm=28.0, slabs=True))).grounds[0].posts
    assert bare is not None
    assert spread is not None
    assert spread.least > bare.least
    assert (bare.without, bare.with_slabs) == (spread.without, spread.with_slabs)
    assert (bare.least, spread.least) == (bare.without, spread.with_slabs)


rows = st.lists(
    st.tuples(st.integers(1, 160), st.integers(0, 12)), min_size=1, max_size=9
)  # twentieths of a kg, quarters of a minute


@given(rows, st.integers(0, 900))
@examples(60)
def test_the_least_time_is_that_of_trying_everything(
    things: list[tuple[int, int]], need: int
) -> None:
    made = [
        RoadThing(i, "off", 0.05 * grains, 0.0, 0.0, 0.25 * quarters)
        for i, (grains, quarters) in enumerate(things)
    ]
    tried = [
        sum(things[i][1] for i in some)
        for n in range(len(things) + 1)
        for some in combinations(range(len(things)), n)
        if sum(things[i][0] for i in some) >= need
    ]
    chosen = least_minutes(made, 0.05 * need)
    if not tried:
        assert chosen is None
        return
    assert chosen is not None
    assert sum(one.minutes for one in chosen) == pytest.approx(0.25 * min(tried))
    assert sum(one.kg for one in chosen) >= 0.05 * need - 1e-6


@pytest.mark.parametrize(
    ("setup", "code"),
    [
        (hauled(heavy(14.0), rides="trailer"), "haul-lift"),
        (roofed(heavy(14.0), bar_height_m=1.5, slides_on="pad"), "haul-slide"),
        (roofed(rear_x_m=0.2), "haul-bars"),
        (roofed(finned(-0.12)), "haul-under"),
        (carted(way=over("dry sand")), "haul-pull"),
        (carted(axle_x_m=1.0), "haul-hand"),
        (carted(finned(-0.20)), "haul-drags"),
        (carted(posts=PostsPlan(ring_mm=28.0)), "haul-posts"),
    ],
)
def test_what_is_offered_helps(setup: Setup, code: str) -> None:
    """At least one of what could be done brings the finding down, or ends it."""
    ev = evaluated(setup)
    finding = next(one for one in judge(ev) if one.code == code)
    after = []
    for work in works(ev, finding):
        done = judge(evaluated(setup.model_copy(update=dict(work.sections))))
        left = [one.badness for one in done if one.key == finding.key]
        after.append(left[0] if left else 0.0)
    assert after
    assert min(after) < finding.badness


def test_the_steps_go_from_garage_to_water_and_count_every_walk() -> None:
    way = [Stretch(ground="asphalt", length_m=60.0), Stretch(ground="grass", length_m=40.0)]
    riding = full_haul(evaluated(carted(FULL, way=way)))
    assert [one.code for one in riding.steps] == [
        "off", "cart", "on", "way 0", "way 1", "stow", "launch",
    ]  # fmt: skip
    assert riding.walked_m == 100.0
    apart = full_haul(evaluated(carted(FULL, way=way, loaded=False)))
    kg = sum(row.kg for row in apart.figures.off if row.leaves == "off")
    goes = -(-kg // 30.0)  # two people, 15 kg each
    assert apart.walked_m == 100.0 + 200.0 * goes


def test_every_figure_is_laid_open_with_its_numbers() -> None:
    both = roofed().model_copy(update={"haul": roofed().haul.model_copy(
        update={"cart": carted().haul.cart})})  # fmt: skip
    ev = evaluated(both)
    for name, how in HOW.items():
        rows = {row.label: row.value for row in how(ev).rows}
        assert len(rows) >= 8, name
    found = ev.once(on_land)
    shown = {row.label: row.value for row in HOW["haul bars"](ev).rows}
    assert shown["front bar"] + shown["rear bar"] == pytest.approx(found.bare.kg)
