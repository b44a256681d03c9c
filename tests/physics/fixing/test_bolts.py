"""Bolts under a prying base against textbook cases, equilibrium, and the least of the energy."""

import numpy as np
import pytest
from scipy.optimize import nnls

from neat_hull.physics.fixing.bolts import (
    lift_rows,
    rectangle_maps,
    rectangle_pulls,
    round_pulls,
    shears,
    sums,
    work_of,
)

RNG = np.random.default_rng(7)
FOUR = np.array([(0.04, 0.03), (0.04, -0.03), (-0.04, 0.03), (-0.04, -0.03)])


def work(force: tuple[float, ...], moment: tuple[float, ...]) -> np.ndarray:
    return work_of(np.array([force]), np.array([moment]))


def rect(
    bolts: np.ndarray, load: np.ndarray, half: tuple[float, float] = (0.06, 0.05)
) -> np.ndarray:
    return rectangle_pulls(rectangle_maps(*half, bolts), load)


ONE = np.zeros((1, 2))


def test_one_bolt_takes_a_couple_over_half_the_side_and_slantwise_the_larger_part_of_it() -> None:
    assert rect(ONE, work((0, 0, 0), (0, 12, 0)), (0.04, 0.04))[0, 0] == pytest.approx(12 / 0.04)
    u, v = 0.8, 0.6
    slant = rect(ONE, work((0, 0, 0), (-10 * v, 10 * u, 0)), (0.04, 0.04))[0, 0]
    # Free to turn about the bolt, it stands on the edge that the larger part tilts it to.
    assert slant == pytest.approx(10 * max(u, v) / 0.04)


@pytest.mark.parametrize("angle", [0.0, 0.3, 1.1, 2.9, 4.0])
def test_under_a_round_base_it_is_the_radius_any_way(angle: float) -> None:
    load = work((0, 0, 0), (7 * np.cos(angle), 7 * np.sin(angle), 0))
    assert round_pulls(0.025, ONE, load)[0, 0] == pytest.approx(7 / 0.025, rel=1e-7)


def test_all_pulled_they_share_by_distance_from_the_middle() -> None:
    load = work((0, 0, 800), (0, 4, 0))
    expected = 800 / 4 - 4 * FOUR[:, 0] / (FOUR[:, 0] ** 2).sum()
    assert rect(FOUR, load)[0] == pytest.approx(expected)
    assert round_pulls(0.08, FOUR, load)[0] == pytest.approx(expected)


def test_prying_about_an_edge_goes_by_distance_from_it() -> None:
    load = work((0, 0, -50), (0, 20, 0))
    arm = 0.06 - FOUR[:, 0]
    expected = (20 - 50 * 0.06) * arm / (arm**2).sum()
    assert rect(FOUR, load)[0] == pytest.approx(expected)


def test_what_is_only_pressed_pulls_nothing() -> None:
    assert not rect(FOUR, work((5, 3, -100), (0.5, -0.4, 2))).any()
    assert not round_pulls(0.06, FOUR, work((5, 3, -100), (0.5, -0.4, 2))).any()


def rims(shape: str) -> np.ndarray:
    if shape == "rect":
        return np.array([(0.06, 0.05), (0.06, -0.05), (-0.06, 0.05), (-0.06, -0.05)])
    angle = np.linspace(0, 2 * np.pi, 20001)
    return 0.06 * np.stack((np.cos(angle), np.sin(angle)), axis=1)


@pytest.mark.parametrize("shape", ["rect", "round"])
@pytest.mark.parametrize("seed", range(12))
def test_what_bolts_leave_over_is_pressed_by_the_rim_and_only_where_it_touches(
    shape: str, seed: int
) -> None:
    """The conditions of the least energy, for any load and any bolts."""
    rng = np.random.default_rng(seed)
    bolts = rng.uniform(-0.035, 0.035, (rng.integers(1, 6), 2))
    load = work_of(rng.normal(0, 200, (1, 3)), rng.normal(0, 12, (1, 3)))
    pulls = (rect(bolts, load) if shape == "rect" else round_pulls(0.06, bolts, load))[0]
    rows = lift_rows(bolts[:, 0], bolts[:, 1])
    rim = rims(shape)
    edge = lift_rows(rim[:, 0], rim[:, 1])
    # Pressures at the rim that carry what the pulls do not: K·x − work = Σ pressure·row.
    pressure, left = nnls(edge.T, rows.T @ pulls - load[0], maxiter=100000)
    size = np.abs(load).max()
    assert left < 1e-4 * size
    # Whoever presses there has not lifted: the work of pressures over the lift is none.
    lift, *_ = np.linalg.lstsq(np.concatenate((rows, edge[pressure > 1e-6 * size])),
                               np.append(pulls, np.zeros((pressure > 1e-6 * size).sum())),
                               rcond=None)  # fmt: skip
    assert (edge @ lift).min() > -1e-3 * max(1.0, float(pulls.max()))
    assert rows @ lift == pytest.approx(pulls, abs=1e-3 * max(1.0, float(pulls.max())))


@pytest.mark.parametrize("seed", range(6))
def test_twice_the_load_is_twice_the_pulls_and_a_mirrored_one_mirrors(seed: int) -> None:
    rng = np.random.default_rng(seed)
    bolts = rng.uniform(-0.04, 0.04, (3, 2))
    force, moment = rng.normal(0, 100, (1, 3)), rng.normal(0, 8, (1, 3))
    flip = bolts * (1.0, -1.0)
    for of in (rect, lambda b, w: round_pulls(0.07, b, w)):
        pulls = of(bolts, work_of(force, moment))
        assert of(bolts, 2 * work_of(force, moment)) == pytest.approx(2 * pulls)
        mirrored = of(flip, work_of(force * (1, -1, 1), moment * (-1, 1, -1)))
        assert mirrored == pytest.approx(pulls, rel=1e-6, abs=1e-6)


def test_a_square_base_and_its_turned_self_are_one() -> None:
    load, turned = work((0, 0, 40), (3, 9, 0)), work((0, 0, 40), (-9, 3, 0))
    bolts = np.array([(0.02, 0.01), (-0.01, -0.03)])
    by_quarter = np.stack((-bolts[:, 1], bolts[:, 0]), axis=1)
    assert rect(bolts, load, (0.05, 0.05)) == pytest.approx(rect(by_quarter, turned, (0.05, 0.05)))


def test_a_twist_is_shared_by_distance_and_comes_to_the_moment() -> None:
    bolts = [(float(u) + 0.01, float(v) + 0.02) for u, v in FOUR]
    each, twist = shears(bolts, (30.0, -20.0, 0.0), (0.0, 0.0, 6.0))
    assert [sum(part) for part in zip(*each, strict=True)] == pytest.approx([30.0, -20.0])
    about = sum(u * b - v * a for (u, v), (a, b) in zip(bolts, each, strict=True))
    assert about == pytest.approx(6.0)
    assert twist == pytest.approx(6.0 - (0.01 * -20.0 - 0.02 * 30.0))


def test_one_bolt_takes_the_force_and_leaves_the_twist() -> None:
    each, twist = shears([(0.0, 0.0)], (3.0, 4.0, 0.0), (0.0, 0.0, 2.0))
    assert each == [(3.0, 4.0)]
    assert twist == 2.0


def test_moving_the_origin_with_the_loads_changes_nothing() -> None:
    shift = np.array([0.1, -0.2, 0.3])
    loads = [(RNG.normal(0, 10, 3), RNG.normal(0, 0.2, 3)) for _ in range(3)]

    def plain(by: np.ndarray) -> list[tuple[tuple[float, ...], tuple[float, ...]]]:
        return [(tuple(one), tuple(at + by)) for one, at in loads]

    force, moment = sums(plain(np.zeros(3)))  # type: ignore[arg-type]
    moved_force, moved = sums(plain(shift))  # type: ignore[arg-type]
    assert moved_force == pytest.approx(force)
    assert np.array(moved) - np.cross(shift, force) == pytest.approx(np.array(moment))
    crossed = sum(np.cross(at, one) for one, at in loads)
    assert np.array(moment) == pytest.approx(crossed)
