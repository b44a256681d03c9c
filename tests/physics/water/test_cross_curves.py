"""Cross curves against the closed forms of a box, and readings of loadings against laws."""

import numpy as np
import pytest
from tests.boats import FRESH, afloat, barge, kayak

from neat_hull.errors import DoesNotFloat
from neat_hull.physics.water.cross_curves import cross_curves
from neat_hull.physics.water.heels import HEEL_RAD
from neat_hull.physics.water.hydrostatics import settle_with_curve, upright
from neat_hull.physics.water.loads import Loads

LENGTH, BEAM, DEPTH = 4.0, 0.8, 0.5


def test_a_box_has_the_wall_sided_lever_until_an_edge_comes_through() -> None:
    """KN = sin φ (KM + ½ BM tan² φ), with KM = T/2 + B²/12T (wall-sided formula)."""
    curves = cross_curves(afloat(barge(LENGTH, BEAM, DEPTH)), FRESH)
    for mass, kn, km in zip(curves.mass_kg, curves.kn_m, curves.km_m, strict=True):
        draft = mass / (FRESH * LENGTH * BEAM)
        bm = BEAM**2 / (12 * draft)
        assert km == pytest.approx(draft / 2 + bm, rel=2e-3)
        for heel, lever in zip(HEEL_RAD, kn, strict=True):
            rise = BEAM / 2 * np.tan(heel)
            if rise < min(draft, DEPTH - draft) - 1e-3:
                wall = np.sin(heel) * (draft / 2 + bm + bm / 2 * np.tan(heel) ** 2)
                assert lever == pytest.approx(wall, rel=2e-3, abs=1e-5)


def test_a_reading_is_kn_less_kg_sine_and_gm_is_km_less_kg() -> None:
    curves = cross_curves(afloat(barge(LENGTH, BEAM, DEPTH)), FRESH)
    mass, kg = np.array([float(curves.mass_kg[3])]), np.array([0.12])
    read = curves.levers(mass, kg).read(np.zeros(1))
    assert read.gm_m[0] == pytest.approx(curves.km_m[3] - 0.12)
    at_heels = np.nanmax(curves.kn_m[3] - 0.12 * np.sin(HEEL_RAD))
    assert at_heels <= read.greatest_gz_m[0] <= 1.005 * at_heels  # it may lie between two of them
    assert read.heel_rad[0] == 0.0


def test_a_small_weight_off_the_middle_heels_as_the_metacentre_has_it() -> None:
    """tan φ = w·d / (Δ·GM) for small angles."""
    curves = cross_curves(afloat(barge(LENGTH, BEAM, DEPTH)), FRESH)
    aside = np.array([0.002, -0.002, 0.004])
    read = curves.levers(np.full(3, 300.0), np.full(3, 0.15)).read(aside)
    assert np.degrees(read.heel_rad) == pytest.approx(
        -np.degrees(np.arctan(aside / read.gm_m)), abs=0.3
    )


def test_a_reading_of_a_kayak_is_what_the_solver_finds_at_even_keel() -> None:
    """Within 3 mm of GZ and a millimetre of GM between the masses, while the floors are dry."""
    floating = afloat(kayak())
    curves = cross_curves(floating, FRESH)
    for mass, kg in ((110.0, 0.25), (160.0, 0.28), (200.0, 0.3)):
        x = 1.8
        for _ in range(6):  # until it floats level
            loads = Loads(np.array([mass]), np.array([[x, 0.0, kg]]))
            settled, curve = settle_with_curve(floating, loads, FRESH, HEEL_RAD)
            x += upright(settled).gm_l_m * np.tan(upright(settled).trim_rad)
        assert abs(upright(settled).trim_rad) < 1e-3
        read = curves.levers(np.array([mass]), np.array([kg])).read(np.zeros(1))
        assert read.greatest_gz_m[0] == pytest.approx(float(np.nanmax(curve.gz_m)), abs=3e-3)
        assert read.gm_m[0] == pytest.approx(upright(settled).gm_m, abs=1e-3)


def test_more_lever_than_the_boat_has_has_no_rest_and_the_mirror_is_the_mirror() -> None:
    curves = cross_curves(afloat(kayak()), FRESH)
    read = curves.levers(np.full(3, 160.0), np.full(3, 0.28)).read(np.array([0.9, 0.01, -0.01]))
    assert np.isnan(read.heel_rad[0])
    assert np.isnan(read.edge_over_m[0])
    assert read.heel_rad[1] == pytest.approx(-read.heel_rad[2])
    assert read.heel_rad[1] < 0  # weight to port heels it to port
    assert read.edge_over_m[1] == pytest.approx(read.edge_over_m[2])


def test_a_higher_centre_never_steadies() -> None:
    curves = cross_curves(afloat(kayak()), FRESH)
    heights = np.linspace(0.1, 0.7, 13)
    read = curves.levers(np.full(13, 160.0), heights).read(np.full(13, 0.005))
    assert np.all(np.diff(read.greatest_gz_m) <= 1e-12)
    assert np.all(np.diff(read.gm_m) < 0)


def test_a_hull_that_carries_next_to_nothing_is_told() -> None:
    with pytest.raises(DoesNotFloat):
        cross_curves(afloat(barge(0.6, 0.3, 0.1)), FRESH)


def test_the_curves_of_a_hull_are_kept() -> None:
    floating = afloat(kayak())
    assert cross_curves(floating, FRESH) is cross_curves(floating, FRESH)
    assert cross_curves(floating, FRESH) is not cross_curves(floating, 1025.0)
