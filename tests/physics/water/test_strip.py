"""Weight along the boat: nothing gets lost between the bins."""

import numpy as np
import pytest
from tests.boats import FRESH, afloat, barge, loads, well

from neat_hull.physics.water import strip
from neat_hull.physics.water.hydrostatics import settle


def test_spread_keeps_every_gram_and_its_place() -> None:
    edges = strip.bin_edges_m(0.0, 3.66)
    mass = np.array([2.0, 5.0, 1.0])
    parts = strip.spread(edges, mass, np.array([1.0, 2.02, -0.5]), np.array([1.4, 2.02, 0.2]))
    assert parts.sum(axis=1) == pytest.approx(mass)
    middles = (edges[:-1] + edges[1:]) / 2
    assert (parts[0] @ middles) / 2.0 == pytest.approx(1.2, abs=0.01)
    assert np.count_nonzero(parts[1]) == 1


@pytest.mark.parametrize("lcg", [1.5, 1.83, 2.1])
def test_the_hulls_own_weight_has_the_given_sum_and_centre(lcg: float) -> None:
    edges = strip.bin_edges_m(0.0, 3.66)
    parts = strip.hull_spread(edges, 30.0, lcg, 0.0, 3.66)
    middles = (edges[:-1] + edges[1:]) / 2
    assert parts.sum() == pytest.approx(30.0)
    assert parts @ middles / 30.0 == pytest.approx(lcg, abs=0.02)


def test_lift_along_the_boat_adds_up_to_the_weight() -> None:
    """Barge of 400 kg with an open, wet well: less lift a metre inside the well."""
    boat = afloat(barge(wells=(well(drains=True, x_aft_m=1.5, x_fwd_m=2.5),)))
    settled = settle(boat, loads((400, 2, 0, 0.1)), FRESH)
    x, lift = strip.lift_per_m(settled)
    draft = 0.36 / 2.8
    assert lift[x < 1.5] == pytest.approx(800 * draft, rel=1e-6)
    assert lift[(x > 1.5) & (x < 2.5)] == pytest.approx(800 * draft - 400 * (draft - 0.1), rel=1e-6)
