"""A hull ready to float: its tables, what it lends, and wells that count or do not."""

import threading

import numpy as np
import pytest
from tests.boats import FRESH, afloat, barge, kayak, loads, well

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.heels import HEEL_RAD
from neat_hull.physics.water.hydrostatics import equilibrium, righting_curve, settle
from neat_hull.physics.water.immersion import TurnedSections


def test_a_first_guess_is_near_where_the_boat_floats() -> None:
    """320 kg on a barge: 0.1 m at any of the table's heels while the sides are in the water."""
    guess = afloat(barge()).guess_h_m(0.32, np.radians([0.0, 5.0]))
    assert guess[0] == pytest.approx(0.1, abs=1e-3)


def test_a_first_guess_upright_knows_of_trim() -> None:
    """A barge that draws 0.1 m: BM_L = L²/(12·T), so 2 cm forward of the middle press the bow down
    by 0.02/GM_L. Far forward there is no telling, and it stays on an even keel."""
    boat, gm_l = afloat(barge()), 0.05 + 16 / 1.2 - 0.3
    h, tau = boat.guess_upright(0.32, np.array([2.02, 0.0, 0.3]))
    assert tau == pytest.approx(-0.02 / gm_l, rel=1e-6)
    assert h - 2 * tau == pytest.approx(0.1, abs=1e-9)
    assert boat.guess_upright(0.32, np.array([3.5, 0.0, 0.3]))[1] == 0.0


@pytest.mark.parametrize("count", [1, 13])
def test_the_same_heels_are_lent_again_and_two_users_never_share(count: int) -> None:
    """Neither the first ones, which have their own arrays, nor those that read a table."""
    boat, heels = afloat(kayak()), np.radians(np.linspace(0, 40, count))
    with boat.turned(heels) as first, boat.turned(heels) as second:
        assert first is not second
    with boat.turned(heels) as again:
        assert again in (first, second)
    with boat.turned(HEEL_RAD) as first, boat.turned(HEEL_RAD) as second:
        assert first is not second


def test_a_heel_of_some_search_is_not_kept() -> None:
    boat = afloat(kayak())
    with boat.turned(np.array([0.123])) as once:
        pass
    with boat.turned(np.array([0.123])) as again:
        assert again is not once


def test_an_answer_does_not_hang_on_what_was_asked_before() -> None:
    boat, load = afloat(kayak()), loads((30, 1.75, 0, 0.16), (80, 1.7, 0.03, 0.38))
    first, *later = (
        righting_curve(settle(boat, load, FRESH), HEEL_RAD).gz_m.tolist() for _ in range(5)
    )
    assert later == [first] * 4


def test_threads_get_the_same_answers_at_once() -> None:
    """Eight threads over one hull, each with its own load, against the answers one by one."""
    boat = afloat(kayak())
    heels = np.radians(np.arange(0.0, 60.0, 5.0))
    piles = [loads((30, 1.75, 0, 0.16), (60 + 5 * i, 1.7, 0, 0.38)) for i in range(8)]

    def curve(i: int) -> Array:
        return righting_curve(settle(boat, piles[i], FRESH), heels).gz_m

    alone = [curve(i) for i in range(8)]
    together: list[Array | None] = [None] * 8

    def work(i: int) -> None:
        for _ in range(5):
            together[i] = curve(i)

    threads = [threading.Thread(target=work, args=(i,)) for i in range(8)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    for one, other in zip(alone, together, strict=True):
        assert other is not None
        assert np.array_equal(one, other, equal_nan=True)


def test_open_and_plugged_wells_that_overlap_count_once_each() -> None:
    """Open 0.08 m³, plugged 0.08 m³, sharing 0.04: the plugged one lifts until it floods."""
    open_ = well("open", drains=True)
    plugged = well("plugged", drains=False, x_aft_m=1.5, x_fwd_m=2.5)
    boat, whole = afloat(barge(wells=(open_, plugged))), 4 * 0.8 * 0.3
    lost = np.array([[True, False], [True, True]])
    assert boat.capacity_m3(lost) == pytest.approx([whole - 0.08, whole - 0.12], rel=1e-9)


def test_corners_that_run_on_one_to_one_float_like_the_same_prism() -> None:
    """Where every station is alike, both ways of lofting are the same hull."""
    plain = barge(stations=7)
    ruled = Hull(plain.stations, (), corner_to_corner=True)
    load = loads((300, 1.9, 0.02, 0.1))
    one, other = (equilibrium(settle(afloat(hull), load, FRESH)) for hull in (plain, ruled))
    assert other.draft_aft_m == pytest.approx(one.draft_aft_m, rel=1e-12)
    assert other.heel_rad == pytest.approx(one.heel_rad, rel=1e-9)


def test_a_table_of_upright_alone_floats_upright_as_well() -> None:
    boat = FloatingHull.of(kayak(), np.zeros(1))
    load = loads((30, 1.75, 0, 0.16), (80, 1.7, 0.03, 0.38))
    there = equilibrium(settle(boat, load, FRESH))
    assert there.heel_rad == pytest.approx(
        equilibrium(settle(afloat(kayak()), load, FRESH)).heel_rad, abs=1e-9
    )


def test_asking_twice_for_the_sides_gives_the_same() -> None:
    boat = afloat(kayak())
    turned = TurnedSections(boat.lattice, np.radians([0.0, 20.0]))
    counted = boat.lattice.counted(np.repeat(boat.drains[None, :], 2, axis=0))
    turned.immerse(np.array([0.12, 0.12]), np.zeros(2), counted)
    first, second = turned.sideways(counted), turned.sideways(counted)
    assert np.array_equal(first.vs, second.vs)
    assert np.array_equal(first.ass, second.ass)
