"""Waves and skin against a hull of formulas, a box, and the laws of scale."""

import numpy as np
import pytest
from tests.physics.resistance.hulls import LEVEL, LONG_M, box, wigley

from neat_hull.physics.hull.shape import Hull, Station
from neat_hull.physics.resistance.waves import wave_n
from neat_hull.physics.resistance.wet_body import Plane, wet_body
from neat_hull.physics.water.gravity import GRAVITY_M_S2

BODY = wet_body(wigley(), LEVEL)
# Of Michell's integral for that hull, in closed form along and down it: C_w times a thousand.
MICHELL = {0.18: 0.7140103, 0.20: 0.8875625, 0.25: 1.0639197, 0.28: 1.6023811, 0.30: 2.1416668,
           0.35: 1.2479220, 0.40: 2.7339280, 0.45: 4.1542573, 0.50: 4.5172488, 0.60: 3.9184083,
           0.80: 2.5952917}  # fmt: skip


def test_the_skin_of_a_wigley_hull() -> None:
    """S/L² by its integral, to the chords of its stations."""
    assert BODY.wetted_area_m2 == pytest.approx(0.148791 * LONG_M**2, rel=1e-3)
    assert BODY.wet_length_m == pytest.approx(LONG_M)
    assert BODY.volume_m3 == pytest.approx(4 / 9 * 0.1 * 0.0625 * LONG_M**3, rel=1e-3)


@pytest.mark.parametrize("froude", sorted(MICHELL))
def test_waves_of_a_wigley_hull_are_michells(froude: float) -> None:
    speed = froude * np.sqrt(GRAVITY_M_S2 * LONG_M)
    push = 0.5 * 1000.0 * 0.148791 * LONG_M**2 * speed**2
    assert 1000 * wave_n(BODY, speed, 1000.0) / push == pytest.approx(MICHELL[froude], rel=0.005)


@pytest.mark.parametrize(("speed", "waves"), [(0.8, 0.53329), (1.2, 1.61081), (1.6, 7.86868),
                                              (2.0, 19.54191), (2.4, 46.25674)])  # fmt: skip
def test_waves_of_a_box_with_its_dead_water(speed: float, waves: float) -> None:
    body = wet_body(box(4.0, 0.25, 0.1), LEVEL)
    assert wave_n(body, speed, 1000.0) == pytest.approx(waves, rel=0.01)


def test_of_a_larger_hull_they_grow_with_its_cube_and_of_heavier_water_with_it() -> None:
    speed = 1.7
    twice = wet_body(wigley(2 * LONG_M), LEVEL)
    once = wave_n(BODY, speed, 1000.0)
    assert wave_n(twice, np.sqrt(2) * speed, 1000.0) == pytest.approx(8 * once, rel=1e-3)
    assert wave_n(BODY, speed, 1025.0) == pytest.approx(1.025 * once)


def test_twice_as_wide_makes_four_times_the_waves() -> None:
    wide = wet_body(wigley(beam=0.2), LEVEL)
    assert wave_n(wide, 1.6, 1000.0) == pytest.approx(4 * wave_n(BODY, 1.6, 1000.0), rel=1e-3)


def lopsided() -> Hull:
    """Fuller aft than forward."""
    rows = []
    for x in np.linspace(0.0, 4.0, 21):
        half = 0.4 * (x / 4) ** 0.6 * (1 - x / 4)
        points = np.array([(0.0, -0.15), (half, -0.10), (half, 0.25)])
        rows.append(Station(float(x), points))
    return Hull(tuple(rows), ())


def turned(hull: Hull) -> Hull:
    """End for end."""
    rows = [Station(4.0 - one.x_m, one.points_m) for one in reversed(hull.stations)]
    return Hull(tuple(rows), ())


def test_a_pointed_hull_makes_the_same_waves_end_for_end_and_heeled_to_either_side() -> None:
    hull = lopsided()
    ahead, astern = (wave_n(wet_body(one, LEVEL), 1.6, 1000.0) for one in (hull, turned(hull)))
    assert ahead == pytest.approx(astern, rel=1e-6)
    left, right = (wet_body(hull, Plane(heel, 0.0, 0.0)) for heel in (0.12, -0.12))
    assert left.wetted_area_m2 == pytest.approx(right.wetted_area_m2)
    assert wave_n(left, 1.6, 1000.0) == pytest.approx(wave_n(right, 1.6, 1000.0))


def test_the_skin_of_a_box_trimmed_and_level() -> None:
    hull = box(4.0, 0.25, 0.1)
    level = wet_body(hull, LEVEL)
    sides = 2 * 4.0 * 0.1
    assert level.wetted_area_m2 == pytest.approx(4.0 * 0.5 + sides + 2 * 0.5 * 0.1)
    assert level.ends_m2 == pytest.approx((0.05, 0.05))
    # Turned about its middle the sides keep their area, and the ends change theirs.
    tau = 0.02
    trimmed = wet_body(hull, Plane(0.0, 2.0 * tau, tau))
    assert trimmed.wetted_area_m2 == pytest.approx(4.0 * 0.5 + sides + 0.5 * 0.2, rel=1e-9)
    assert trimmed.ends_m2 == pytest.approx((0.5 * (0.1 + 2 * tau), 0.5 * (0.1 - 2 * tau)))
    assert trimmed.volume_m3 == pytest.approx(level.volume_m3)


def test_deeper_is_more_of_all() -> None:
    hull = lopsided()
    shallow, deep = (wet_body(hull, Plane(0.0, h, 0.0)) for h in (0.0, 0.05))
    assert deep.wetted_area_m2 > shallow.wetted_area_m2
    assert wave_n(deep, 1.6, 1000.0) > wave_n(shallow, 1.6, 1000.0)


def test_no_waves_where_it_hardly_moves() -> None:
    assert wave_n(BODY, 0.2, 1000.0) == 0.0
