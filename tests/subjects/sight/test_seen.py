"""Lamps and flags against closed forms: arcs, unions, Allard's law, horizon, swell."""

from math import asin, atan, degrees, sqrt

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.judged import CLEAN, judged
from tests.subjects.sight.lampings import BOX, beside, flagged, lit

from neat_hull.model.setup import Setup
from neat_hull.model.sight import LampFigure
from neat_hull.physics.bearings import (
    Level,
    blocked_deg,
    box_arc,
    candela,
    carries_m,
    horizon_m,
    rod_arc,
    round_arc,
    union,
)
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.sight.seen import seen
from neat_hull.whole.evaluate import evaluate, evaluated

UP = np.array([0.0, 0.0, 2.0])


def lamp(setup: Setup) -> LampFigure:
    """The only one."""
    found = evaluated(setup).once(seen)
    assert found is not None
    return found.lamps[0]


def test_a_cylinder_blocks_twice_the_arcsine_of_radius_over_distance() -> None:
    start, end = round_arc(3.0, 4.0, 0.5)
    assert end - start == pytest.approx(2 * degrees(asin(0.1)))
    assert (start + end) / 2 == pytest.approx(degrees(atan(4 / 3)))


def test_within_it_nothing_is_seen() -> None:
    assert round_arc(0.1, 0.0, 0.2) == (0.0, 360.0)
    around = np.array([(x, y, -1.0) for x in (-1.0, 1.0) for y in (-1.0, 1.0)])
    assert box_arc(around, around + UP) == (0.0, 360.0)


def test_a_box_blocks_between_its_extreme_corners_and_only_at_the_lamps_height() -> None:
    foot = np.array([(x, y, -1.0) for x in (2.0, 3.0) for y in (-0.5, 0.5)])
    arc = box_arc(foot, foot + UP)
    assert arc is not None
    assert arc[1] - arc[0] == pytest.approx(2 * degrees(atan(0.25)))
    assert box_arc(foot + UP, foot + 2 * UP) is None
    assert box_arc(foot - UP, foot) is None


def test_a_rod_blocks_where_it_crosses_the_level() -> None:
    ends = np.array([(1.0, 0.0, -1.0), (3.0, 0.0, 1.0)])
    arc = rod_arc(ends, 0.02)
    assert arc is not None
    assert arc[1] - arc[0] == pytest.approx(2 * degrees(asin(0.01 / 2.0)))
    assert rod_arc(ends + UP, 0.02) is None


def test_arcs_across_the_bow_join() -> None:
    assert union([(350.0, 370.0), (5.0, 20.0)]) == [(0.0, 20.0), (350.0, 360.0)]
    assert blocked_deg([(350.0, 370.0), (5.0, 20.0)], [(0.0, 360.0)]) == pytest.approx(30.0)
    assert blocked_deg([(350.0, 370.0)], [(0.0, 112.5)]) == pytest.approx(10.0)
    assert union([(10.0, 400.0)]) == [(0.0, 360.0)]


@given(st.lists(st.tuples(st.floats(0, 359), st.floats(0, 180)), max_size=8))
def test_a_union_is_what_its_arcs_hide_point_by_point(rows: list[tuple[float, float]]) -> None:
    arcs = [(start, start + wide) for start, wide in rows]
    found = union(arcs)
    for bearing in np.arange(0.37, 360, 7.3).tolist():
        hidden = any(low <= at <= high for low, high in arcs for at in (bearing, bearing + 360))
        assert any(low <= bearing <= high for low, high in found) == hidden


def test_lights_carry_as_the_table_of_the_rules_has_them() -> None:
    # Annex I 8: 0.9 cd one sea mile, 4.3 two, 12 three.
    assert candela(1.0) == pytest.approx(0.9, abs=0.05)
    assert candela(2.0) == pytest.approx(4.3, abs=0.05)
    assert candela(3.0) == pytest.approx(12.0, abs=0.1)
    assert carries_m(candela(1.7)) == pytest.approx(1.7 * 1852)
    assert horizon_m(1.0, 4.0) == pytest.approx(2.08 * 3 * 1852)


@given(st.floats(0.01, 100), st.floats(0.01, 100))
def test_a_stronger_light_is_seen_farther(one: float, other: float) -> None:
    low, high = sorted((one, other))
    assert carries_m(low) <= carries_m(high)


def test_levels_axes_are_square_and_a_boat_upright_sees_its_own() -> None:
    level = Level.of(0.2, 0.05)
    axes = np.array([level.up, level.ahead, level.port])
    assert axes @ axes.T == pytest.approx(np.eye(3))
    flat = Level.of(0.0, 0.0)
    assert flat.seen(np.array([[1.0, 2.0, 3.0]])) == pytest.approx(np.array([[1.0, -2.0, 3.0]]))


def test_to_port_is_270_degrees_and_as_broad_as_it_is_seen() -> None:
    found = lamp(beside(0.1))
    box = next(b for b in found.blocked if b.thing_id == BOX)
    assert box.to_deg - box.from_deg == pytest.approx(2 * degrees(atan(0.05 / 0.6)), abs=0.1)
    assert (box.from_deg + box.to_deg) / 2 == pytest.approx(270.0, abs=0.5)


def test_what_ends_under_the_lamp_blocks_nothing_and_you_block_what_you_hide() -> None:
    assert lamp(lit(2.5)).blocked_deg == 0
    setup = lit(0.8)
    low, body = lamp(setup), evaluated(setup).rigged.body
    trunk = next(one for one in body.segments if one.name == "trunk")
    far = (trunk.upper_m[0] + trunk.far_m[0]) / 2 - low.at[0]
    mine = next(b for b in low.blocked if b.what == "body")
    wide = 2 * degrees(asin(body.build.half_shoulders_m / far))
    assert mine.to_deg - mine.from_deg == pytest.approx(wide, abs=0.3)


def test_a_lamp_as_high_as_it_says_clears_your_head() -> None:
    low = lamp(lit(0.8))
    high = lamp(lit(0.8 + low.clear_at_m - low.over_m))
    assert not [b for b in high.blocked if b.what != "thing"]


def test_warning_is_range_over_both_speeds() -> None:
    found = lamp(lit(candela=candela(1.0)))
    assert found.range_m == pytest.approx(1852)
    assert found.warning_s == pytest.approx(found.range_m / 9.5)


def test_by_day_nobody_asks_for_a_lamp() -> None:
    codes = {one.code for one in evaluate(lit(0.8, night=False)).findings}
    assert not codes & {"light-blocked", "light-leans", "light-seen-late", "light-in-your-eyes"}


def test_a_flag_shows_over_swell_half_as_high_as_it_and_an_eye_together() -> None:
    setup = flagged(1.5)
    ev = evaluated(setup)
    found, rest = ev.once(seen), at_rest(ev)
    assert found is not None
    assert found.flag is not None
    assert rest is not None
    top = np.array([[0.3, 0.0, CLEAN.seat.z_m + 1.5]])
    over = float(rest.settled.rest.height_over_water_m(top)[0, 0])
    assert found.flag.shows_over_swell_m == pytest.approx((over + 2.0) / 2)
    assert found.flag.over_seat_m == pytest.approx(1.5)
    assert found.flag.made_out_m == pytest.approx(0.3 / 8.7e-4)
    codes = {one.code for one in evaluate(flagged(1.5, 1.9)).findings}
    assert "flag-low" in codes
    assert "flag-low" not in {one.code for one in evaluate(flagged(1.5, 1.5)).findings}


def test_side_lights_and_stern_light_make_one_ring() -> None:
    side = lamp(lit(shows="side lights"))
    stern = lamp(lit(shows="stern"))
    assert side.sector_deg + stern.sector_deg == pytest.approx(360.0)
    assert sqrt(side.sector_deg) > sqrt(stern.sector_deg)
    assert judged(CLEAN).judging.by_night is False
