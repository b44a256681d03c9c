"""Exact clipping and lofting, against brute force by other means."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import Polygon, box
from shapely.affinity import translate
from shapely.geometry.base import BaseGeometry
from tests.boats import TUNNEL, afloat, barge, kayak, prismatic, ring, well
from tests.examples import examples

from neat_hull.physics.hull.lattice import loft, outline_at
from neat_hull.physics.hull.shape import Hull, Station
from neat_hull.physics.water.immersion import TurnedSections


@examples(30)
@given(st.floats(-0.05, 0.4), st.floats(-89.0, 89.0))
def test_a_tunnel_bottom_is_clipped_as_by_a_polygon_library(c: float, heel_deg: float) -> None:
    """Area and centroid of a non-convex section under z = c − y·tan φ."""
    phi = np.radians(heel_deg)
    turned = TurnedSections(loft(prismatic(TUNNEL, 1.0)), np.array([phi]))
    h = np.array([c * np.cos(phi)])
    counted = loft(prismatic(TUNNEL, 1.0)).counted(np.zeros((1, 0), dtype=np.bool_))
    im, side = turned.immerse(h, np.zeros(1), counted), turned.sideways(counted)
    far, t = 50.0, np.tan(phi)
    under = Polygon([(-far, -9e3), (far, -9e3), (far, c - far * t), (-far, c + far * t)])
    wet = ring(TUNNEL).intersection(under)
    assert im.v_m3[0] == pytest.approx(wet.area, abs=1e-9)
    y, z = (wet.centroid.x, wet.centroid.y) if wet.area > 1e-9 else (0.0, 0.0)
    s, e = y * np.cos(phi) - z * np.sin(phi), y * np.sin(phi) + z * np.cos(phi)
    assert side.vs[0] == pytest.approx(s * wet.area, abs=1e-9)
    assert im.ve[0] == pytest.approx(e * wet.area, abs=1e-9)


def test_waterplane_integrals_are_the_derivatives_of_the_volume_integrals() -> None:
    """Sinkage, trim and heel a hair either way; central differences."""
    lattice, lost = loft(kayak()), np.array([[True, False]])
    counted = lattice.counted(lost)
    at = np.array([0.11, 0.012, 0.15])

    def volume(h: float, tau: float, phi: float) -> np.ndarray[tuple[int], np.dtype[np.float64]]:
        turned = TurnedSections(lattice, np.array([phi]))
        im = turned.immerse(np.array([h]), np.array([tau]), counted)
        return np.array([im.v_m3[0], im.vx[0]])

    turned = TurnedSections(lattice, at[2:])
    im, side = turned.immerse(at[:1], at[1:2], counted), turned.sideways(counted)
    step = 1e-5
    by_h, by_tau, by_phi = (
        (volume(*(at + step * axis)) - volume(*(at - step * axis))) / (2 * step)
        for axis in np.eye(3)
    )
    assert by_h == pytest.approx([im.a[0], im.ax[0]], rel=2e-3)
    assert by_tau == pytest.approx([-im.ax[0], -im.axx[0]], rel=2e-3)
    assert by_phi == pytest.approx([-side.as_[0], -side.axs[0]], rel=5e-3, abs=1e-4)


def test_a_boat_shaped_hull_agrees_with_counting_cells() -> None:
    """Sections cut by shapely every 6 mm, wells taken out by its boxes: another way altogether."""
    hull, phi, tau, c = kayak(), 0.2, 0.02, 0.19
    lattice = loft(hull)
    turned = TurnedSections(lattice, np.array([phi]))
    counted = lattice.counted(np.array([[True, True]]))
    h = np.array([c * np.cos(phi)])
    im = turned.immerse(h, np.array([tau * np.cos(phi)]), counted)
    xs = np.linspace(0, hull.length_m, 601)
    middles = (xs[:-1] + xs[1:]) / 2
    areas = []
    for x in middles:
        half = [(float(y), float(z)) for y, z in outline_at(hull, float(x))]
        section: BaseGeometry = ring(half)
        for one in hull.wells:
            if one.x_aft_m < x < one.x_fwd_m:
                section = section.difference(
                    box(-one.half_breadth_m, one.floor_z_m, one.half_breadth_m, one.rim_z_m)
                )
        water = Polygon([(-9, -9), (9, -9), (9, -9 * np.tan(phi)), (-9, 9 * np.tan(phi))])
        areas.append(section.intersection(translate(water, 0, c - x * tau)).area)
    dx = xs[1] - xs[0]
    assert im.v_m3[0] == pytest.approx(np.sum(areas) * dx, rel=1e-3)
    assert im.vx[0] == pytest.approx(np.sum(np.array(areas) * middles) * dx, rel=1e-3)


def test_overlapping_wells_take_their_common_volume_once() -> None:
    """Two boxes of 0.08 m³ sharing half: the union is 0.12 m³."""
    one = well("one", drains=False)
    other = well("other", drains=False, x_aft_m=1.5, x_fwd_m=2.5)
    both = afloat(barge(wells=(one, other)))
    plain = 4 * 0.8 * 0.3
    lost = np.array([[True, True], [True, False], [False, False]])
    assert both.capacity_m3(lost) == pytest.approx([plain - 0.12, plain - 0.08, plain], rel=1e-9)


def test_a_well_counts_only_where_it_lies_inside_the_hull() -> None:
    """A box 2 m wide over the bow end: only 0.8 m by 0.5 m by 0.2 m of it is boat."""
    wide = well(drains=True, x_aft_m=3.5, x_fwd_m=9.0, half_breadth_m=1.0, rim_z_m=5.0)
    boat = afloat(barge(wells=(wide,)))
    assert boat.capacity_m3(boat.drains[None, :])[0] == pytest.approx(0.96 - 0.08, rel=1e-9)


def test_lofting_keeps_the_corners_of_both_stations() -> None:
    """Midway between a box and a V the outline passes the means of points at like fractions."""
    square = np.array([(0, 0), (0.4, 0), (0.4, 0.4)])
    vee = np.array([(0, 0), (0.4, 0.4)])
    hull = Hull((Station(0.0, square), Station(1.0, vee)))
    assert outline_at(hull, 0.5) == pytest.approx(np.array([(0, 0), (0.3, 0.1), (0.4, 0.4)]))


def test_a_stem_may_be_a_single_point() -> None:
    """A pyramid 0.4 m high over a base of 0.32 m²: a third of base times length."""
    base = np.array([(0, 0), (0.4, 0), (0.4, 0.4)])
    hull = Hull((Station(0.0, base), Station(3.0, np.array([(0.0, 0.4)]))))
    boat = afloat(hull)
    assert boat.capacity_m3(boat.drains[None, :])[0] == pytest.approx(0.32, rel=1e-9)
