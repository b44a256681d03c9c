"""Gaps between rounded boxes: closed forms, laws, and an exact method on random pairs."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.optimize import lsq_linear
from shapely import Point
from shapely import box as rectangle
from shapely.affinity import rotate

from neat_hull.physics.arrays import Array
from neat_hull.physics.gaps import Gaps, closer, gaps
from neat_hull.physics.solids import (
    Solids,
    boxes,
    near_pairs,
    rods,
    spans_along,
    together,
)


def box(at: tuple[float, float, float], size: tuple[float, float, float],
        turn_deg: float = 0.0) -> Solids:  # fmt: skip
    """One box."""
    return boxes(np.array([at]), np.array([size]), np.radians([turn_deg]))


def drum(at: tuple[float, float, float], across: float, high: float) -> Solids:
    """One drum on its end."""
    return boxes(np.array([at]), np.array([[across, 9.0, high]]), np.zeros(1), np.array([True]))


def rod(start: tuple[float, float, float], end: tuple[float, float, float],
        radius: float = 0.0) -> Solids:  # fmt: skip
    """One rod."""
    return rods(np.array([start]), np.array([end]), np.array([radius]))


def gap(a: Solids, b: Solids) -> float:
    """Between two single ones."""
    return float(gaps(a, b).gap_m[0])


UNIT = box((0, 0, 0), (1, 1, 1))
DRUM = drum((0, 0, 0), 1, 1)


@pytest.mark.parametrize(
    ("other", "apart"),
    [
        (box((2, 0, 0), (1, 1, 1)), 1.0),  # face to face
        (box((2, 2, 0), (1, 1, 1)), 2**0.5),  # edge to edge
        (box((2, 2, 2), (1, 1, 1)), 3**0.5),  # corner to corner
        (box((2, 0, 0), (1, 1, 1), 45), 1.5 - 2**-0.5),  # face to turned edge
        (rod((1, 0, -1), (1, 0, 1)), 0.5),  # a rod along a face
        (rod((1, 0, -1), (1, 0, 1), 0.2), 0.3),  # the same, thick
        (rod((1.5, 0.5, 0.5), (2.5, 1.5, 1.5)), 1.0),  # its end to a corner, along x
    ],
)
def test_gaps_that_can_be_worked_out(other: Solids, apart: float) -> None:
    assert gap(UNIT, other) == pytest.approx(apart, abs=1e-4)
    assert gap(other, UNIT) == pytest.approx(apart, abs=1e-4)


def test_a_ball_is_as_far_from_a_rod_a_box_and_a_ball_as_its_middle_is() -> None:
    """A rod of no length is a ball; asked from either side, and by both ways of asking."""
    ball = rod((2.0, 0.3, 0.0), (2.0, 0.3, 0.0), 0.05)
    along, other = rod((0, 0, 0), (4, 0, 0), 0.02), rod((2.0, 0.3, 1.0), (2.0, 0.3, 1.0), 0.1)
    for one, apart in ((along, 0.3 - 0.07), (UNIT, 1.5 - 0.05), (other, 1.0 - 0.15)):
        for a, b in ((ball, one), (one, ball)):
            assert gap(a, b) == pytest.approx(apart)
            rows, found = closer(a, b, np.array([9.0]))
            assert (rows.tolist(), found.gap_m.tolist()) == ([0], pytest.approx([apart]))


def test_crossed_and_parallel_rods() -> None:
    crossed = gap(rod((-1, 0, 0), (1, 0, 0)), rod((0, -1, 0.3), (0, 1, 0.3)))
    assert crossed == pytest.approx(0.3, abs=1e-4)
    parallel = gap(rod((-1, 0, 0), (1, 0, 0), 0.05), rod((0.5, 0.4, 0), (3, 0.4, 0), 0.05))
    assert parallel == pytest.approx(0.3, abs=1e-4)


@pytest.mark.parametrize(("aside", "deep"), [(0.9, 0.1), (0.6, 0.4), (0.99, 0.01)])
def test_boxes_in_each_other_say_how_deep_and_which_way_out(aside: float, deep: float) -> None:
    found = gaps(UNIT, box((0.1, aside, 0.05), (1, 1, 1)))
    assert found.gap_m[0] == pytest.approx(-deep, abs=1e-6)
    assert found.away[0] == pytest.approx([0, -1, 0], abs=1e-9)


@pytest.mark.parametrize(
    ("other", "apart"),
    [
        (box((2, 0, 0), (1, 1, 1)), 1.0),  # face to side
        (box((1.5, 1.5, 0), (1, 1, 1)), 2**0.5 - 0.5),  # edge to side
        (drum((3, 4, 0.2), 1, 1), 4.0),  # side to side
        (drum((0, 0, 2), 2, 1), 1.0),  # end over end
        (drum((2, 0, 2), 1, 1), 2**0.5),  # rim to rim
        (rod((1, 1, -1), (1, 1, 1), 0.2), 2**0.5 - 0.7),  # beside a rod
        (rod((0.0, 0, 2), (0, 0, 3)), 1.5),  # under a rod's end
        (rod((-2, 0, 1), (2, 0, 1)), 0.5),  # under a rod lying across
        (box((0.9, 0, 0), (1, 1, 1)), -0.1),  # a face in the side
        (box((0.8, 0.8, 0), (1, 1, 1)), -(0.5 - 0.3 * 2**0.5)),  # an edge in the side
        (drum((0.6, 0.6, 0), 1, 1), -(1 - 0.6 * 2**0.5)),  # side in side
        (rod((0.55, 0.3, -1), (0.55, 0.3, 1), 0.2), 0.6264982 - 0.7),  # a rod's side in the side
    ],
)
def test_drums_have_no_corners(other: Solids, apart: float) -> None:
    for one, two in ((DRUM, other), (other, DRUM)):
        assert gap(one, two) == pytest.approx(apart, abs=2e-4)
        rows, found = closer(one, two, np.array([9.0]))
        assert (rows.tolist(), found.gap_m.tolist()) == ([0], pytest.approx([apart], abs=2e-4))


@given(st.floats(-2, 2), st.floats(-2, 2), st.floats(0, 90), st.floats(0.1, 1), st.floats(0.1, 1))
def test_a_drum_beside_a_turned_box_as_in_plan(
    x: float, y: float, turn: float, across: float, wide: float
) -> None:
    plan = rotate(rectangle(-0.6, -wide / 2, 0.6, wide / 2), turn)
    spot = Point(x, y)
    apart = spot.distance(plan) - across / 2
    if spot.within(plan) or apart <= 0:
        apart = -min(
            across / 2 + (-1 if not spot.within(plan) else 1) * spot.distance(plan.exterior), 1.0
        )  # no taller than that
    one, two = drum((x, y, 0.0), across, 1), box((0, 0, 0), (1.2, wide, 1), turn)
    assert gap(one, two) == pytest.approx(apart, abs=3e-4)


def _random(seed: int, count: int, drums: bool = False) -> Solids:
    rng = np.random.default_rng(seed)
    axes = np.linalg.qr(rng.normal(size=(count, 3, 3)))[0]
    flat = rng.random((count, 3)) > 0.25
    half = rng.uniform(0.02, 0.5, (count, 3)) * flat
    middle, radius = rng.normal(size=(count, 3)) * 0.7, rng.uniform(0, 0.1, count)
    round_ = np.full(count, drums) & (rng.random(count) > 0.5)
    half[round_, 1] = half[round_, 0]
    return Solids(middle, axes, half, radius, round_)


def _by_least_squares(a: Solids, b: Solids, i: int) -> float:
    """|A'u - B'v - between| over the boxes, by the active-set method for bounded variables."""
    both = np.hstack((a.axes[i].T, -b.axes[i].T))
    half = np.maximum(np.append(a.half_m[i], b.half_m[i]), 1e-9)
    found = lsq_linear(both, b.middle_m[i] - a.middle_m[i], bounds=(-half, half), method="bvls",
                       tol=1e-12)  # fmt: skip
    return float(np.linalg.norm(found.fun))


@given(st.integers(0, 10_000))
def test_gaps_are_the_least_distance(seed: int) -> None:
    a, b = _random(seed, 6), _random(seed + 20_000, 6)
    found = gaps(a, b)
    for i in range(6):
        apart = _by_least_squares(a, b, i)
        if apart > 1e-3:
            thick = float(a.radius_m[i] + b.radius_m[i])
            assert found.gap_m[i] == pytest.approx(apart - thick, abs=2e-4)


@given(st.integers(0, 10_000), st.floats(-0.1, 0.3))
def test_closer_finds_the_same_gaps_and_no_others(seed: int, than: float) -> None:
    a, b = _random(seed, 9, drums=True), _random(seed + 50_000, 9, drums=True)
    everything = gaps(a, b).gap_m
    rows, found = closer(a, b, np.full(9, than))
    clear = np.abs(everything - than) > 2e-3  # of those at the edge either may be said
    assert set(rows.tolist()) >= set(np.flatnonzero((everything < than) & clear).tolist())
    assert set(rows.tolist()) <= set(np.flatnonzero((everything < than) | ~clear).tolist())
    assert found.gap_m == pytest.approx(everything[rows], abs=2e-3)


@given(st.integers(0, 10_000), st.integers(0, 8))
def test_a_move_that_clears_clears(seed: int, way: int) -> None:
    a, b = _random(seed, 6, drums=True), _random(seed + 60_000, 6, drums=True)
    ways = np.array([(1, 0, 0), (-1, 0, 0), (0, 1, 0), (0, -1, 0), (0, 0, 1), (0, 0, -1),
                     (0.6, 0.8, 0), (-0.6, 0.8, 0), (0.6, 0, -0.8)])  # fmt: skip
    both, whose = together(a, b), np.tile(np.arange(6) // 2, 2) + np.repeat([0, 3], 6)
    begin, end = spans_along(both, whose, ways)
    far = (end[3:] - begin[:3])[:, way] + 0.02  # pairs of solids go together
    gone = _moved(a, np.repeat(far, 2)[:, None] * ways[way])
    for other in (b, b.take(np.array([1, 0, 3, 2, 5, 4]))):
        assert (gaps(gone, other).gap_m > 0.02 - 1e-6).all()


def _moved(solids: Solids, by: Array) -> Solids:
    return replace(solids, middle_m=solids.middle_m + by)


@given(st.integers(0, 10_000))
def test_moving_away_by_the_depth_clears(seed: int) -> None:
    a, b = _random(seed, 8, drums=True), _random(seed + 30_000, 8, drums=True)
    found: Gaps = gaps(a, b)
    out = _moved(a, found.away * np.maximum(0, -found.gap_m + 1e-3)[:, None])
    # Where only the edges' roundings meet, the way is that between the nearest points: to 1 mm.
    assert (gaps(out, b).gap_m[found.gap_m < 0] > -2e-3).all()


@given(st.integers(0, 10_000))
def test_near_pairs_leaves_out_nothing_that_is_near(seed: int) -> None:
    a, b = _random(seed, 7, drums=True), _random(seed + 40_000, 5, drums=True)
    near = set(zip(*(rows.tolist() for rows in near_pairs(a, b, 0.1)), strict=True))
    every = [(i, j) for i in range(7) for j in range(5)]
    rows, columns = (np.array(side) for side in zip(*every, strict=True))
    apart = gaps(a.take(rows), b.take(columns)).gap_m
    assert {pair for pair, m in zip(every, apart, strict=True) if m < 0.1} <= near


def test_groups_keep_their_order() -> None:
    both = together(UNIT, rod((1, 2, 3), (1, 2, 5)))
    assert both.middle_m.tolist() == [[0, 0, 0], [1, 2, 4]]
    assert both.spread_m.tolist() == [[0.5, 0.5, 0.5], [0.0, 0.0, 1.0]]
