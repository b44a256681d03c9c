"""Hulls that can be worked out by hand, against the solver."""

import numpy as np
import pytest
from tests.boats import FRESH, afloat, barge, from_lines, loads, prismatic

from neat_hull.physics.water.hydrostatics import (
    deck_edge_heel_rad,
    equilibrium,
    righting_curve,
    settle,
    upright,
    waterplane_area_m2,
)


def test_an_upright_barge_has_the_textbook_figures() -> None:
    """T = 320/(1000·4·0.8) = 0.1; KB = T/2; BM = 0.64/1.2; KG = 0.1; 32 kg a centimetre."""
    settled = settle(afloat(barge()), loads((320, 2, 0, 0.1)), FRESH)
    rest, up = equilibrium(settled), upright(settled)
    assert rest.draft_mid_m == pytest.approx(0.1, rel=1e-9)
    assert rest.trim_rad == pytest.approx(0, abs=1e-9)
    assert up.kb_m == pytest.approx(0.05, rel=1e-9)
    assert up.bm_m == pytest.approx(0.64 / 1.2, rel=1e-9)
    assert up.gm_m == pytest.approx(0.05 + 0.64 / 1.2 - 0.1, rel=1e-9)
    assert up.bm_l_m == pytest.approx(16 / 1.2, rel=1e-9)
    assert up.kg_per_cm_immersion == pytest.approx(32, rel=1e-9)
    assert up.lcf_m == pytest.approx(2, rel=1e-9)
    assert waterplane_area_m2(settled) == pytest.approx(3.2, rel=1e-9)


def test_a_barge_trims_by_the_exact_wedge() -> None:
    """A trapezoid side view: LCB from the mean draft T and slope s is L/2 − s·L²/(12·T)."""
    settled = settle(afloat(barge()), loads((320, 1.9, 0, 0.1)), FRESH)
    rest = equilibrium(settled)
    slope = np.tan(rest.trim_rad)
    assert rest.draft_mid_m == pytest.approx(0.1, rel=1e-6)
    assert rest.lcb_m == pytest.approx(2 - slope * 16 / (12 * 0.1), rel=1e-6)
    # plumb: the centre of lift lies under the weight along the tilted water
    assert rest.lcb_m - 1.9 == pytest.approx(slope * (rest.vcb_m - 0.1), abs=1e-8)
    assert rest.draft_aft_m - rest.draft_fwd_m == pytest.approx(4 * slope, rel=1e-9)


def test_a_barge_trimmed_until_its_bow_leaves_the_water_is_a_triangle() -> None:
    """By hand: wetted length l with x_B = l/3; 80 kg at 0.8 m needs about l = 2.4, draft 0.083."""
    settled = settle(afloat(barge()), loads((80, 0.8, 0, 0.0)), FRESH)
    rest = equilibrium(settled)
    assert rest.draft_fwd_m < 0 < rest.draft_aft_m
    wetted = rest.draft_aft_m / np.tan(rest.trim_rad)
    assert 0.8 * wetted * rest.draft_aft_m / 2 == pytest.approx(0.08, rel=1e-3)
    assert rest.lcb_m == pytest.approx(wetted / 3, rel=1e-3)
    assert upright(settled).bm_m == pytest.approx(
        wetted * 0.8**3 / 12 / np.cos(rest.trim_rad) / 0.08, rel=2e-3
    )


@pytest.mark.parametrize("heel_deg", [2.0, 6.0, 12.0])
def test_a_barge_rights_itself_by_the_wall_sided_formula(heel_deg: float) -> None:
    """GZ = sin φ (GM + ½ BM tan² φ) until the bilge comes out, here at atan(0.1/0.4) = 14°."""
    settled = settle(afloat(barge()), loads((320, 2, 0, 0.25)), FRESH)
    phi, bm = np.radians(heel_deg), 0.64 / 1.2
    gm = 0.05 + bm - 0.25
    curve = righting_curve(settled, np.array([phi, -phi]))
    expected = np.sin(phi) * (gm + 0.5 * bm * np.tan(phi) ** 2)
    assert curve.gz_m == pytest.approx([expected, -expected], rel=1e-7)


def test_an_off_centre_weight_lists_the_barge_by_the_wall_sided_formula() -> None:
    """20 kg moved 0.1 m to port of 320: w·d = Δ·tan φ (GM + ½ BM tan² φ), heel negative."""
    settled = settle(afloat(barge()), loads((300, 2, 0, 0.1), (20, 2, 0.1, 0.1)), FRESH)
    rest = equilibrium(settled)
    tan = np.tan(rest.heel_rad)
    bm = 0.64 / 1.2
    gm = 0.05 + bm - 0.1
    assert rest.heel_rad < 0
    assert -320 * tan * (gm + 0.5 * bm * tan**2) == pytest.approx(20 * 0.1, rel=1e-6)


def test_the_deck_edge_of_a_barge_goes_under_where_the_wedge_reaches_it() -> None:
    """With T = 0.2 in depth 0.3: atan(0.1/0.4) = 14.04°, the bilge still under."""
    settled = settle(afloat(barge()), loads((640, 2, 0, 0.1)), FRESH)
    edge = deck_edge_heel_rad(settled, [0.0, np.radians(60)])
    assert edge is not None
    assert np.degrees(edge) == pytest.approx(np.degrees(np.arctan(0.1 / 0.4)), abs=0.01)
    assert deck_edge_heel_rad(settled, [0.0, np.radians(10)]) is None


@pytest.mark.parametrize("kg_m", [0.59, 0.597])
def test_a_barge_with_negative_gm_lolls_at_the_wall_sided_angle(kg_m: float) -> None:
    """tan φ = √(−2·GM/BM); here GM = −6.7 and −13.7 mm, BM = 0.533 m, 8.985° and 12.8°."""
    settled = settle(afloat(barge()), loads((320, 2, 0, kg_m)), FRESH)
    assert upright(settled).gm_m == pytest.approx(0.05 + 0.64 / 1.2 - kg_m, abs=1e-9)
    loll = np.arctan(np.sqrt(2 * (kg_m - 0.05 - 0.64 / 1.2) / (0.64 / 1.2)))
    assert equilibrium(settled).heel_rad == pytest.approx(loll, abs=1e-6)


def test_a_lolling_barge_falls_to_the_side_of_its_weight() -> None:
    settled = settle(afloat(barge()), loads((319, 2, 0, 0.59), (1, 2, 0.02, 0.59)), FRESH)
    assert equilibrium(settled).heel_rad < 0


def test_a_triangular_prism_floats_by_the_square_root_of_its_load() -> None:
    """Half breadth = z: V = L·T², KB = 2T/3, BM = (2T)³/12 / T² = 2T/3."""
    settled = settle(afloat(prismatic([(0, 0), (0.5, 0.5)], 3.0)), loads((120, 1.5, 0, 0.1)), FRESH)
    draft = np.sqrt(0.12 / 3)
    rest, up = equilibrium(settled), upright(settled)
    assert rest.draft_mid_m == pytest.approx(draft, rel=1e-8)
    assert up.kb_m == pytest.approx(2 * draft / 3, rel=1e-8)
    assert up.bm_m == pytest.approx(2 * draft / 3, rel=1e-8)


@pytest.mark.parametrize("share", [0.15, 0.5, 0.8])
def test_a_cylinder_has_gm_r_minus_kg_at_any_draft(share: float) -> None:
    """Every buoyant force of a circle points through its axis; 240 corners, so within 1e-3."""
    r, length = 0.3, 2.0
    angle = np.linspace(0, np.pi, 121)
    ring = [(r * np.sin(a), r - r * np.cos(a)) for a in angle]
    mass = share * np.pi * r**2 * length * FRESH
    settled = settle(afloat(prismatic(ring, length)), loads((mass, 1.0, 0, 0.2)), FRESH)
    assert upright(settled).gm_m == pytest.approx(r - 0.2, rel=1e-3, abs=1e-4)
    curve = righting_curve(settled, np.radians([20.0, 70.0, 90.0]))
    assert curve.gz_m == pytest.approx((r - 0.2) * np.sin(np.radians([20, 70, 90])), rel=2e-3)


def test_a_wigley_hull_holds_four_ninths_of_its_box() -> None:
    """y = B/2·(1−(2x/L)²)·(1−(1−z/T)²), z from the keel: V = 4/9·LBT, waterplane 2/3·LB."""
    length, beam, draft = 3.0, 0.6, 0.2

    def half(x: float, z: np.ndarray[tuple[int, ...], np.dtype[np.float64]]) -> object:
        return beam / 2 * (1 - (2 * x / length - 1) ** 2) * (1 - (1 - z / draft) ** 2)

    volume = 4 / 9 * length * beam * draft
    hull = from_lines(half, length, draft, stations=81, points=121)  # type: ignore[arg-type]  # numpy widens
    # A hair less than the full draft: at it the deck would be awash and the waterplane the deck.
    settled = settle(afloat(hull), loads((0.995 * volume * FRESH, length / 2, 0, 0.05)), FRESH)
    assert equilibrium(settled).draft_mid_m == pytest.approx(draft, rel=5e-3)
    assert waterplane_area_m2(settled) == pytest.approx(2 / 3 * length * beam, rel=2e-3)
    capacity = float(settled.floating.capacity_m3(settled.floating.drains[None, :])[0])
    assert capacity == pytest.approx(volume, rel=1e-3)
