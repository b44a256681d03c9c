"""What is looked after: counted since it was done last, by trips, salt, hours and months."""

import pytest
from tests.judged import DRIVE, FULL, ROD_P
from tests.subjects.log.trips import BOAT, day, logged, season, used

from neat_hull.model.log import CareDone, Log
from neat_hull.model.log_figures import CareRow
from neat_hull.subjects.log.care import care
from neat_hull.whole.evaluate import evaluated

EV = evaluated(FULL)


def row(log: Log, key: str, today: str = "2026-05-30") -> CareRow:
    """One line of it."""
    return next(one for one in care(EV, log, BOAT, today) if one.key == key)


def test_a_salt_trip_wants_a_rinse_until_it_is_done() -> None:
    salted = season(3, salt=[2])
    found = row(logged(salted), "rinse:boat")
    assert (found.salt, found.verdict, found.due_on) == (1, "watch", day(2))
    done = logged(salted, care=[CareDone("rinse", None, BOAT, done_on=day(2))])
    assert (row(done, "rinse:boat").salt, row(done, "rinse:boat").verdict) == (0, "fine")
    assert row(logged(season(3)), "rinse:boat").verdict == "fine"


def test_hours_add_up_only_where_the_item_was_along() -> None:
    trips = season(12, hours=6.0)
    along = used(*["1-3"] * 6) + [None] * 6
    found = row(logged(trips, {DRIVE: along}), f"drive:{DRIVE}")
    assert (found.hours, found.trips, found.verdict) == (36.0, 6, "fine")
    all_along = row(logged(trips, {DRIVE: used(*[None] * 12)}), f"drive:{DRIVE}")
    assert (all_along.hours, all_along.verdict, all_along.due_on) == (72.0, "watch", day(9))


def test_a_reel_is_due_by_trips_or_by_salt_whichever_is_first() -> None:
    fresh = logged(season(25), {ROD_P: used(*["more"] * 25)})
    assert row(fresh, f"reel:{ROD_P}").due_on == day(25)
    salt = logged(season(25, salt=range(1, 26)), {ROD_P: used(*["more"] * 25)})
    assert row(salt, f"reel:{ROD_P}").due_on == day(10)


def test_months_count_from_when_it_was_done_or_from_the_first_trip() -> None:
    done = logged(season(2), care=[CareDone("straps", None, BOAT, done_on="2024-02-29")])
    found = row(done, "straps:boat", today="2025-02-28")
    assert (found.due_on, found.share, found.verdict) == ("2025-02-28", 1.0, "watch")
    assert row(logged(season(2)), "straps:boat").due_on == "2027-04-02"
    assert row(Log(), "straps:boat").due_on is None


def test_ones_own_times_go_before_the_usual_and_own_lines_are_kept() -> None:
    own = CareDone("seals", None, BOAT, every_trips=2)
    more = CareDone("Wax the rudder's cords", None, BOAT, every_trips=3)
    log = logged(season(3), care=[own, more])
    assert (row(log, "seals:boat").every_trips, row(log, "seals:boat").usual) == (2, False)
    assert row(log, "Wax the rudder's cords:boat").words == "Wax the rudder's cords"
    assert row(log, "Wax the rudder's cords:boat").verdict == "watch"
    elsewhere = logged(season(3), care=[CareDone("seals", None, BOAT + 1, every_trips=2)])
    assert row(elsewhere, "seals:boat").every_trips == 20, "another boat's"


@pytest.mark.parametrize("n", [1, 7])
def test_a_calendar_knows_a_line_again_and_sees_that_it_has_moved(n: int) -> None:
    one, other = logged(season(n)), logged(season(n + 1))
    was, now = row(one, "rinse:boat"), row(other, "rinse:boat")
    assert was.uid == now.uid
    assert now.sequence > was.sequence
    uids = [line.uid for line in care(EV, one, BOAT, "2026-05-30")]
    assert len(set(uids)) == len(uids)
