"""The panel against closed forms of plates."""

from collections.abc import Callable
from math import log, pi

import pytest

from neat_hull.physics.fixing.panel import (
    STIFF,
    Edge,
    Give,
    Sheet,
    section_m2,
    sheet,
    sinking,
    tilting,
)

A, WALL = 0.12, sheet(700e6, 0.42, 0.005)
D = WALL.rigidity_nm


@pytest.mark.parametrize("b", [0.01, 0.03, 0.08])
def test_a_couple_on_a_disc_in_a_clamped_plate(b: float) -> None:
    expected = (log(A / b) - (A * A - b * b) / (A * A + b * b)) / (4 * pi * D)
    assert tilting(b, None, A, WALL, None, "clamped").moved == pytest.approx(expected)


@pytest.mark.parametrize("b", [0.01, 0.03, 0.08])
def test_a_push_on_a_disc_in_a_clamped_plate(b: float) -> None:
    k = b / A
    expected = A * A / (16 * pi * D) * (1 - k * k - 4 * k * k * log(k) ** 2 / (1 - k * k))
    assert sinking(b, None, A, WALL, None, "clamped").moved == pytest.approx(expected)


@pytest.mark.parametrize(("edge", "times"), [("clamped", 1.0), ("supported", 3.42 / 1.42)])
def test_a_push_at_a_point(edge: Edge, times: float) -> None:
    found = sinking(1e-5, None, A, WALL, None, edge).moved
    assert found == pytest.approx(times * A * A / (16 * pi * D), rel=1e-4)


@pytest.mark.parametrize("edge", ["clamped", "supported"])
@pytest.mark.parametrize("solve", [tilting, sinking])
def test_a_ring_of_nothing_changes_nothing_and_a_rigid_one_is_a_disc(
    solve: Callable[..., Give], edge: Edge
) -> None:
    bare = solve(0.02, None, A, WALL, None, edge)
    with_none = solve(0.02, 0.05, A, WALL, Sheet(1e-9 * D, 0.42), edge)
    assert with_none.moved == pytest.approx(bare.moved, rel=1e-6)
    assert with_none.bears_n == pytest.approx(bare.bears_n, rel=1e-6)
    rigid = solve(0.02, 0.05, A, WALL, Sheet(1e9 * D, 0.3), edge)
    assert rigid.moved == pytest.approx(solve(0.05, None, A, WALL, None, edge).moved, rel=1e-6)


@pytest.mark.parametrize("edge", ["clamped", "supported"])
def test_a_larger_plate_moves_less_and_is_joined_without_a_step(edge: Edge) -> None:
    plate = sheet(70e9, 0.33, 0.003)
    sides = [0.0201, 0.03, 0.05, 0.08, 0.11, 0.11999, 0.12, 0.3]
    moved = [tilting(0.02, side, A, WALL, plate, edge).moved for side in sides]
    assert moved == sorted(moved, reverse=True)
    assert moved[0] == pytest.approx(tilting(0.02, None, A, WALL, None, edge).moved, rel=0.05)
    assert moved[-2] == pytest.approx(moved[-3], rel=0.01)
    assert moved[-1] == moved[-2]  # it ends where the panel does


def test_a_ring_under_the_disc_is_none_and_a_disc_as_wide_as_the_panel_is_stiff() -> None:
    plate = sheet(70e9, 0.33, 0.003)
    bare = tilting(0.03, None, A, WALL, None, "clamped")
    assert tilting(0.03, 0.02, A, WALL, plate, "clamped") == bare
    assert tilting(A, None, A, WALL, None, "clamped") == STIFF


def test_the_moment_at_a_small_disc_under_a_couple_is_that_of_the_closed_form() -> None:
    """At the disc M_r = M/(2πb) for b → 0: half is bending, by the two sides of the couple."""
    b = 0.0005
    found = tilting(b, None, A, WALL, None, "clamped").bears_n
    assert found == pytest.approx(1 / (2 * pi * b), rel=0.01)


def test_a_wall_without_a_core_is_solid_and_a_core_takes_little() -> None:
    assert sheet(1e9, 0.3, 0.01, 0.0).rigidity_nm == sheet(1e9, 0.3, 0.01).rigidity_nm
    cored = sheet(1e9, 0.3, 0.01, 0.006).rigidity_nm / sheet(1e9, 0.3, 0.01).rigidity_nm
    assert cored == pytest.approx(1 - 0.6**3)
    assert section_m2(0.01, 0.006) == pytest.approx(0.01**2 / 6 * (1 - 0.6**3))
