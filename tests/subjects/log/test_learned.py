"""What trips teach of gear, counted by hand, and what they never do."""

from hypothesis import given
from hypothesis import strategies as st
from tests.judged import (
    ANCHOR,
    BATTERY,
    DRIVE,
    FLAG,
    FULL,
    PFD,
    PLIERS,
    ROD_P,
    SCREEN,
    SPARE_ROD,
    TRAY,
    known,
    put,
    without,
)
from tests.subjects.log.trips import BOAT, day, logged, season, used

from neat_hull.model.log import Log, Stood
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import Beside
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.log.full import draws, learned
from neat_hull.subjects.log.learned import proved, troubles, unused, uses
from neat_hull.whole.evaluate import evaluated

TODAY = "2026-08-01"
FULL_EV = evaluated(FULL)


def of(rows: list, thing_id: int):  # type: ignore[no-untyped-def,type-arg]
    """The row of an item, or None."""
    return next((one for one in rows if one.thing_id == thing_id), None)


def stood(ev: Evaluated, thing_id: int, **off: float) -> dict[str, object]:
    """Said: used, where it stands in that setup, or a little off."""
    stand = ev.rigged.by_id[thing_id].stand
    x_m, turn_deg = stand.x_m + off.get("x_m", 0.0), stand.turn_deg + off.get("turn_deg", 0.0)
    return {"uses": "1-3", "stood": Stood(x_m, stand.y_m, stand.base_z_m, turn_deg)}


def test_an_empty_log_teaches_nothing() -> None:
    found = learned(evaluated(FULL, Beside(today=TODAY)), Log(), BOAT, TODAY)
    assert (found.trips, found.unused, found.uses, found.troubles, found.draws) == (
        0,
        [],
        [],
        [],
        [],
    )
    assert all(not row.proved for row in found.proved)
    assert all(row.verdict == "fine" and row.due_on is None for row in found.care)


def test_five_trips_without_a_use_offer_it_ashore_and_four_do_not() -> None:
    for n, enough in ((4, False), (5, True), (9, True)):
        row = of(unused(FULL_EV, logged(season(n), {SPARE_ROD: used(*["0"] * n)})), SPARE_ROD)
        assert (row.unused, row.said, row.enough) == (n, n, enough)
        assert row.chance_share == min(1.0, 3 / n)
        assert (row.mass_kg, row.minor) == (0.6, 7000)


def test_not_said_is_not_unused_and_a_use_begins_again() -> None:
    said = used("0", None, "0", None, "0")
    assert of(unused(FULL_EV, logged(season(5), {SPARE_ROD: said})), SPARE_ROD).unused == 3
    again = used("0", "0", "0", "1-3", "0")
    assert of(unused(FULL_EV, logged(season(5), {SPARE_ROD: again})), SPARE_ROD).unused == 1
    assert not unused(FULL_EV, logged(season(3), {SPARE_ROD: used(None, None, None)}))
    ashore = evaluated(without(FULL, SPARE_ROD))
    assert not unused(ashore, logged(season(5), {SPARE_ROD: used(*["0"] * 5)}))


def test_what_is_for_need_or_part_of_the_boat_is_never_offered_ashore() -> None:
    never = {i: used(*["0"] * 9) for i in (PFD, DRIVE, FLAG)}
    assert FULL.things[FLAG].serves, "a light is one of the basics"
    assert not unused(FULL_EV, logged(season(9), never))
    for_need = evaluated(known(FULL, SPARE_ROD, use="emergency"))
    assert not unused(for_need, logged(season(9), {SPARE_ROD: used(*["0"] * 9)}))


def test_a_use_that_three_of_five_trips_gainsay_is_told_with_the_one_that_fits() -> None:
    # Said to be for each fish; one to three times in five hours is hourly at most.
    row = of(
        uses(FULL_EV, logged(season(5), {PLIERS: used("4-15", "1-3", "1-3", "1-3", "4-15")})),
        PLIERS,
    )
    assert (row.differs, row.of, row.suggested, row.verdict) == (3, 5, "hourly", "watch")
    two = of(
        uses(FULL_EV, logged(season(5), {PLIERS: used("4-15", "1-3", "4-15", "1-3", "4-15")})),
        PLIERS,
    )
    assert (two.differs, two.suggested, two.verdict) == (2, None, "fine")
    # Only the last five are asked.
    old = used("1-3", "1-3", "1-3", *["4-15"] * 5)
    assert of(uses(FULL_EV, logged(season(8), {PLIERS: old})), PLIERS).differs == 0


def test_few_trips_say_that_they_are_too_few() -> None:
    row = of(uses(FULL_EV, logged(season(2), {TRAY: used("more", "more")})), TRAY)
    assert (row.said, row.enough, row.suggested) == (2, False, None)


def test_the_hours_of_a_trip_count_and_not_only_its_uses() -> None:
    # Sixteen times or more: in one hour that is each cast, in eight hours it may be each fish.
    tray = known(FULL, TRAY, use="each fish")
    quick, slow = season(3, hours=1.0), season(3, hours=8.0)
    said = {TRAY: used("more", "more", "more")}
    assert of(uses(evaluated(tray), logged(quick, said)), TRAY).suggested == "each cast"
    assert of(uses(evaluated(tray), logged(slow, said)), TRAY).suggested is None


def test_what_went_wrong_is_counted_with_its_last_day() -> None:
    said = [{"out_of_reach": 1}, {}, {"out_of_reach": 1, "wet": 1}, None]
    rows = troubles(FULL_EV, logged(season(4), {ANCHOR: said}))
    assert [(one.flag, one.times, one.trips, one.last) for one in rows] == [
        ("out_of_reach", 2, 3, day(3)),
        ("wet", 1, 3, day(3)),
    ]


def test_a_mount_is_proved_by_three_trips_at_one_place() -> None:
    said = [stood(FULL_EV, SCREEN)] * 3
    row = of(proved(FULL_EV, logged(season(3), {SCREEN: said}), BOAT), SCREEN)
    assert (row.n, row.proved, row.told, row.why_not) == (3, True, 2, None)
    two = of(proved(FULL_EV, logged(season(2), {SCREEN: said[:2]}), BOAT), SCREEN)
    assert (two.n, two.proved) == (2, False)
    assert two.why_not.text == "not enough trips"


def test_moving_it_begins_again_but_for_a_hair() -> None:
    trips, here = season(4), stood(FULL_EV, SCREEN)
    for off, n in (
        ({"x_m": 0.029}, 4),
        ({"x_m": 0.031}, 2),
        ({"turn_deg": 9.0}, 4),
        ({"turn_deg": 11.0}, 2),
    ):
        then = stood(FULL_EV, SCREEN, **off)
        row = of(proved(FULL_EV, logged(trips, {SCREEN: [then, then, here, here]}), BOAT), SCREEN)
        assert row.n == n, off
    moved = put(FULL, SCREEN, 2.30, -0.30)
    row = of(proved(evaluated(moved), logged(trips, {SCREEN: [here] * 4}), BOAT), SCREEN)
    assert (row.n, row.why_not.text) == (0, f"moved since {day(4)}")


def test_what_went_wrong_or_was_not_used_ends_the_row_and_says_when() -> None:
    here = stood(FULL_EV, SCREEN)
    for wrong, words in (
        ({"broke": 1}, f"broke on {day(2)}"),
        ({"out_of_reach": 1}, f"out of reach on {day(2)}"),
        ({"uses": "0"}, f"not used on {day(2)}"),
    ):
        said = [here, here | wrong, here]
        row = of(proved(FULL_EV, logged(season(3), {SCREEN: said}), BOAT), SCREEN)
        assert (row.n, row.why_not.text) == (1, words)
    unsaid = [here, here | {"uses": None}, here]
    assert of(proved(FULL_EV, logged(season(3), {SCREEN: unsaid}), BOAT), SCREEN).n == 2
    elsewhere = logged(season(3, boat=BOAT + 1), {SCREEN: [here] * 3})
    assert of(proved(FULL_EV, elsewhere, BOAT), SCREEN).n == 0


def test_a_draw_is_held_against_the_electrics_and_offered_to_every_load() -> None:
    (row,) = draws(FULL_EV, logged(season(6), packs={BATTERY: [0.5] * 6}))
    assert (row.n, row.enough) == (6, True)
    assert row.assumed_w is not None
    assert row.measured_w is not None
    usable = row.trips[0].energy_wh / 0.5
    assert row.measured_w > row.assumed_w, "half of it in five hours is more than is held"
    times = row.measured_w / row.assumed_w
    for one in row.loads:
        before = FULL.things[one.thing_id].draw
        assert before is not None
        assert before.watts is not None
        assert one.draw.watts is not None
        assert abs(one.draw.watts / before.watts - times) < 1e-4
        assert one.draw.evidence == "measured"
    assert {one.thing_id for one in row.loads} == {SCREEN, FLAG}
    assert usable > 200


def test_a_trip_that_ended_dark_is_shown_and_left_out() -> None:
    (row,) = draws(FULL_EV, logged(season(3), packs={BATTERY: [0.5, None, 0.5]}))
    assert (row.n, row.enough, row.loads) == (2, False, [])
    assert [one.dark for one in row.trips] == [False, True, False]


@given(st.permutations(range(4)))
def test_the_order_in_which_trips_were_told_is_nothing(order: list[int]) -> None:
    left = [0.9, 0.7, 0.6, 0.4]
    (row,) = draws(FULL_EV, logged(season(4), packs={BATTERY: left}))
    (other,) = draws(FULL_EV, logged(season(4), packs={BATTERY: [left[i] for i in order]}))
    assert row.measured_w is not None
    assert other.measured_w is not None
    assert abs(row.measured_w - other.measured_w) < 1e-9


def test_names_teach_nothing() -> None:
    things = {i: one.model_copy(update={"name": f"Zq{i}"}) for i, one in FULL.things.items()}
    nonsense = evaluated(FULL.model_copy(update={"things": things}), Beside(today=TODAY))
    plain = evaluated(FULL, Beside(today=TODAY))
    said = {SPARE_ROD: used(*["0"] * 6), TRAY: used(*["more"] * 6), ROD_P: used(*["more"] * 6)}
    log = logged(season(6), said, {BATTERY: [0.6] * 6})
    assert bare(plain, log) == bare(nonsense, log)


def bare(ev: Evaluated, log: Log) -> object:
    """What is learned, without names."""
    found = learned(ev, log, BOAT, TODAY).model_dump()
    for row in found["care"]:
        del row["thing"]
    return found


def test_a_setup_of_nothing_learns_nothing() -> None:
    empty: Setup = FULL.model_copy(update={"things": {}, "places": {}})
    assert learned(evaluated(empty), logged(season(5)), BOAT, TODAY).unused == []
