"""Righting curves in figures, against curves that can be written down."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.boats import FRESH, afloat, barge, kayak, loads, prismatic, well
from tests.examples import examples

from neat_hull.physics.water.flooded import bilge, box_surface_inertia_m4
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.hydrostatics import equilibrium, righting_curve, settle, upright
from neat_hull.physics.water.loads import Loads
from neat_hull.physics.water.stability import stability_of

BOAT = afloat(kayak())


def cylinder(kg_m: float, mass_kg: float = 280.0) -> tuple[object, Loads]:
    """A round hull of radius 0.3 m, 2 m long, about half under."""
    angle = np.linspace(0, np.pi, 121)
    ring = [(0.3 * np.sin(a), 0.3 - 0.3 * np.cos(a)) for a in angle]
    return afloat(prismatic(ring, 2.0)), loads((mass_kg, 1.0, 0, kg_m))


def test_a_round_hull_rights_itself_by_a_sine_and_stores_its_integral() -> None:
    """GZ = (R − KG)·sin φ: greatest at 90°, and M·g·(R − KG) joules to get there."""
    boat, load = cylinder(0.2)
    _, _, found = stability_of(boat, load, FRESH)  # type: ignore[arg-type]
    assert found.greatest_gz_m == pytest.approx(0.1, rel=2e-3)
    assert np.degrees(found.greatest_at_rad) == pytest.approx(90, abs=0.5)
    assert found.limits.vanishing_rad is None
    assert found.energy_j == pytest.approx(280 * GRAVITY_M_S2 * 0.1, rel=3e-3)


def test_energy_is_the_integral_of_the_curve_to_its_first_limit() -> None:
    """A plain trapezoid over 0.25° steps, up to the deck edge, within 0.2 %."""
    load = loads((30, 1.75, 0, 0.16), (80, 1.7, 0, 0.38))
    settled, _, found = stability_of(BOAT, load, FRESH)
    end = found.limits.first_rad
    assert end == found.limits.deck_edge_rad
    assert end is not None
    heel = np.linspace(0, end, 141)
    gz = righting_curve(settled, heel).gz_m
    work = load.total_kg * GRAVITY_M_S2 * float(np.trapezoid(gz, heel))
    assert found.energy_j == pytest.approx(work, rel=2e-3)


def test_a_rim_floods_where_its_corner_meets_the_water() -> None:
    """T = 0.125; rim at 0.2, 0.2 m off the middle: atan(0.075/0.2) = 20.56°."""
    rim = well(drains=False, rim_z_m=0.2, half_breadth_m=0.2, x_aft_m=1.5, x_fwd_m=2.5)
    boat = afloat(barge(depth_m=0.5, wells=(rim,)))
    _, _, found = stability_of(boat, loads((400, 2, 0, 0.1)), FRESH)
    # by straight lines between steps of 2.5° on a curve of heights that bends a little
    assert np.degrees(found.limits.flooding_rad or 0) == pytest.approx(20.56, abs=0.1)


def test_a_boat_that_never_rights_itself_has_nothing_to_lose() -> None:
    boat, load = cylinder(0.29)
    top_heavy = loads((280, 1.0, 0, 0.31))
    with pytest.raises(ValueError, match="rolls over"):
        stability_of(boat, top_heavy, FRESH)  # type: ignore[arg-type]
    _, _, found = stability_of(boat, load, FRESH)  # type: ignore[arg-type]
    assert found.greatest_gz_m == pytest.approx(0.01, abs=1e-3)


@examples(15)
@given(st.floats(0.2, 0.5), st.floats(0.0, 0.08))
def test_more_height_of_weight_never_gives_more_energy(kg_m: float, up_m: float) -> None:
    low = stability_of(BOAT, loads((30, 1.75, 0, 0.16), (70, 1.7, 0, kg_m)), FRESH)[2]
    high = stability_of(BOAT, loads((30, 1.75, 0, 0.16), (70, 1.7, 0, kg_m + up_m)), FRESH)[2]
    assert high.energy_j <= low.energy_j + 1e-6


def test_liquid_that_runs_takes_its_surface_from_gm() -> None:
    """A tank 1 × 0.6 m on a barge of 320 kg: 1000·0.6³/12/320 = 56.25 mm."""
    solid = loads((320, 2, 0, 0.1))
    running = Loads(solid.mass_kg, solid.at_m,
                    free_surface_kg_m=1000 * box_surface_inertia_m4(1.0, 0.6))  # fmt: skip
    boat = afloat(barge())
    still, free = (upright(settle(boat, load, FRESH)) for load in (solid, running))
    assert free.free_surface_m == pytest.approx(0.05625, rel=1e-9)
    assert still.gm_m - free.gm_m == pytest.approx(0.05625, rel=1e-9)
    assert free.kg_m == still.kg_m


def test_a_moment_heels_as_far_as_the_weight_that_makes_it() -> None:
    """2 kg·m starboard down, wall-sided: m = M·tan φ·(GM + ½·BM·tan² φ)."""
    base = loads((320, 2, 0, 0.1))
    pulled = Loads(base.mass_kg, base.at_m, heeling_kg_m=2.0)
    rest = equilibrium(settle(afloat(barge()), pulled, FRESH))
    tan, bm = np.tan(rest.heel_rad), 0.64 / 1.2
    assert rest.heel_rad > 0
    assert 320 * tan * (0.05 + bm - 0.1 + 0.5 * bm * tan**2) == pytest.approx(2.0, rel=1e-6)


def test_a_trimming_moment_lifts_the_bow() -> None:
    base = loads((320, 2, 0, 0.1))
    rest = equilibrium(settle(afloat(barge()), Loads(base.mass_kg, base.at_m, 0.0, 10.0), FRESH))
    by_weight = equilibrium(settle(afloat(barge()), loads((320, 2 - 10 / 320, 0, 0.1)), FRESH))
    assert rest.trim_rad == pytest.approx(by_weight.trim_rad, rel=1e-9)
    assert rest.trim_rad > 0


@pytest.mark.parametrize("share", [0.25, 0.5, 1.0])
def test_water_in_a_box_lies_where_a_box_of_water_lies(share: float) -> None:
    """0.96 m³ inside: depth 0.3·share, centre at half of it, surface 4·0.8³/12."""
    water = bilge(afloat(barge()), share)
    assert water.volume_m3 == pytest.approx(0.96 * share, rel=1e-6)
    assert water.x_m == pytest.approx(2.0)
    assert water.z_m == pytest.approx(0.15 * share, rel=1e-6)
    assert water.surface_inertia_m4 == pytest.approx(4 * 0.8**3 / 12, rel=1e-9)


def test_the_full_curve_has_37_angles_from_upright_to_flat() -> None:
    assert (len(FULL_RAD), FULL_RAD[0]) == (37, 0.0)
    assert np.degrees(FULL_RAD[-1]) == pytest.approx(90)
