"""The sheet afloat: its terms, its curves and its capacities, each against another way."""

from dataclasses import replace
from typing import Any

import numpy as np
import pytest

from neat_hull.files.demo import demo_setups
from neat_hull.model.afloat import FullAfloat
from neat_hull.model.setup import Setup
from neat_hull.physics.water.hydrostatics import equilibrium, held_upright
from neat_hull.rig.rigging import rig
from neat_hull.subjects.afloat.full import full_afloat
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.registry import base_limits

DEMO = demo_setups()


@pytest.fixture(scope="module")
def found() -> FullAfloat:
    """The demo's sheet."""
    return full_afloat(evaluated(DEMO[0]))


def term(found: FullAfloat, name: str) -> float:
    """A figure of the table."""
    return next(one.value for one in found.terms if one.term == name)


def carried(setup: Setup, kilos: float) -> Any:
    """With all that is carried scaled to a weight, on the centreline, held upright."""
    rigged = rig(setup)
    mass = rigged.loads.mass_kg.copy()
    rows = slice(1, 2 + len(rigged.stowed))
    mass[rows] *= kilos / mass[rows].sum()
    loads = replace(rigged.loads, mass_kg=mass).on_centreline()
    held = held_upright(rigged.floating, loads, rigged.water_density_kg_m3)
    assert held is not None
    return equilibrium(held)


def test_terms_agree_with_the_live_figures(found: FullAfloat) -> None:
    afloat, weight = evaluate(DEMO[0]).afloat, evaluate(DEMO[0]).weight
    assert afloat is not None
    assert term(found, "GM") == pytest.approx(afloat.gm_m)
    assert term(found, "Trim (θ)") == pytest.approx(afloat.trim_deg)
    assert term(found, "Displacement (Δ)") == pytest.approx(weight.all_up_kg)
    assert term(found, "Volume (V)") * 998.0 == pytest.approx(weight.all_up_kg, rel=1e-6)


def test_gm_is_the_sum_of_its_parts(found: FullAfloat) -> None:
    """KB + BM − KG − free surface; along the plumb line, which trim tilts by a hair."""
    parts = [term(found, name) for name in ("KB", "BM", "KG", "Free surface")]
    assert parts[0] + parts[1] - parts[2] - parts[3] == pytest.approx(term(found, "GM"), abs=2e-3)


def test_every_term_has_plain_words_and_a_way_to_how(found: FullAfloat) -> None:
    assert all(one.plain and one.how in ("weight", "trim", "list", "gm", "wells")
               for one in found.terms)  # fmt: skip
    assert len({one.term for one in found.terms}) == len(found.terms) == 22


def test_points_of_the_load_curves_are_equilibria_of_their_own(found: FullAfloat) -> None:
    assert found.by_load is not None
    for i in (3, 12, 20):
        rest = carried(DEMO[0], found.by_load.carried_kg[i])
        assert found.by_load.draft_m[i] == pytest.approx(rest.draft_mid_m, rel=1e-6)
        assert found.by_load.freeboard_m[i] == pytest.approx(rest.least_freeboard_m, rel=1e-6)


def test_at_the_dry_floor_capacity_the_lowest_floor_is_two_centimetres_up(
    found: FullAfloat,
) -> None:
    """By straight lines between loads of 10 kg, so to half a millimetre."""
    assert found.by_load is not None
    capacity = next(c for c in found.by_load.capacities if c.school == "dry floors").carried_kg
    assert capacity is not None
    assert min(carried(DEMO[0], capacity).wells_over_m) == pytest.approx(0.02, abs=5e-4)


def test_at_the_freeboard_capacity_the_gunwale_is_at_its_target() -> None:
    """The short boat reaches it; the demo's never does within what it may carry."""
    by_load = full_afloat(evaluated(DEMO[2])).by_load
    assert by_load is not None
    capacity = next(c for c in by_load.capacities if c.school == "freeboard").carried_kg
    if capacity is None:
        assert min(by_load.freeboard_m) > base_limits()["freeboard"].fine
    else:
        rest = carried(DEMO[2], capacity)
        assert rest.least_freeboard_m == pytest.approx(base_limits()["freeboard"].fine, abs=1e-3)


@pytest.mark.parametrize("setup", DEMO, ids=lambda one: one.name)
def test_every_demo_has_a_whole_sheet(setup: Setup) -> None:
    found = full_afloat(evaluated(setup))
    assert found.trouble is None
    assert len(found.demands) == 17
    assert found.curves[0].name == "seated"
    assert found.by_load is not None


def test_a_sit_in_has_a_down_flooding_angle_and_a_sit_on_top_none() -> None:
    open_boat, decked = (
        full_afloat(evaluated(DEMO[0])).curves[0],
        full_afloat(evaluated(DEMO[3])).curves[0],
    )
    assert open_boat.flooding_deg is None
    assert decked.flooding_deg is not None
    assert 5 < decked.flooding_deg < 90


def test_the_energy_of_a_curve_is_its_area(found: FullAfloat) -> None:
    """Trapezoids to the deck edge; within 2 % for steps of 2.5°."""
    seated = found.curves[0]
    gz = np.array([0.0 if v is None else v for v in seated.gz_m])
    heel = np.radians(seated.heel_deg)
    assert seated.deck_edge_deg is not None
    end = np.radians(seated.deck_edge_deg)
    fine = np.linspace(0, end, 400)
    area = float(np.trapezoid(np.interp(fine, heel, gz), fine))
    lifted = term(found, "Displacement (Δ)") + 998.0 * 0.0022  # with the drive well's water
    assert seated.energy_j == pytest.approx(lifted * 9.80665 * area, rel=0.02)
