"""Fronts that current and wind meet, on a box that can be measured by hand."""

import numpy as np
import pytest
from tests.boats import FRESH, afloat, barge, loads, well

from neat_hull.physics.water.drag import drag_kg, dry_fronts_m2, wetted_fronts_m2
from neat_hull.physics.water.hydrostatics import settle


def test_a_barge_has_the_fronts_of_its_box() -> None:
    """T = 0.1: 0.8 × 0.1 and 4 × 0.1 under water, 0.8 × 0.2 and 4 × 0.2 over it."""
    boat = afloat(barge())
    settled = settle(boat, loads((320, 2, 0, 0.1)), FRESH)
    assert wetted_fronts_m2(settled) == pytest.approx((0.08, 0.4), rel=1e-6)
    assert dry_fronts_m2(settled) == pytest.approx((0.16, 0.8), rel=1e-6)


def test_trim_leaves_the_side_of_a_barge_alone() -> None:
    """A wedge moves water from one end to the other: the profile stays 4 × 0.1."""
    boat = afloat(barge(stations=9))
    settled = settle(boat, loads((320, 1.95, 0, 0.1)), FRESH)
    assert wetted_fronts_m2(settled)[1] == pytest.approx(0.4, rel=1e-6)


def test_a_flooded_well_is_no_front() -> None:
    """An open box of 0.4 × 0.025 m is taken off the section where it lies: T = 0.36/2.8."""
    boat = afloat(barge(wells=(well(drains=True, x_aft_m=1.5, x_fwd_m=2.5),)))
    settled = settle(boat, loads((400, 2, 0, 0.1)), FRESH)
    draft = 0.36 / 2.8
    front, _ = wetted_fronts_m2(settled)
    assert front == pytest.approx(0.8 * draft, rel=1e-6)  # the greatest section, beside the well


@pytest.mark.parametrize("speed", [0.5, 1.0, 2.0])
def test_drag_grows_by_the_square_of_speed(speed: float) -> None:
    one = drag_kg(1000, 1.1, 0.4, 1.0)
    assert drag_kg(1000, 1.1, 0.4, speed) == pytest.approx(one * speed**2)
    assert np.isclose(drag_kg(2000, 1.1, 0.4, 1.0), 2 * one)
