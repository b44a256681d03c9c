"""What must hold for every hull and load, whatever the numbers."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.boats import FRESH, afloat, kayak, loads
from tests.examples import examples

from neat_hull.physics.hull.shape import Hull, Station, Well
from neat_hull.physics.water.hydrostatics import equilibrium, righting_curve, settle, upright
from neat_hull.physics.water.loads import Loads

BOAT = afloat(kayak())
few = examples(25)


def rows() -> st.SearchStrategy[list[tuple[float, float, float, float]]]:
    """A believable pile: a hull and angler, and up to six things about the deck."""
    thing = st.tuples(
        st.floats(0.2, 9.0), st.floats(0.3, 3.2), st.floats(-0.3, 0.3), st.floats(0.1, 0.6)
    )
    base = [(30.0, 1.75, 0.0, 0.16), (80.0, 1.7, 0.0, 0.38)]
    return st.lists(thing, max_size=6).map(lambda things: base + things)


@few
@given(rows())
def test_at_rest_weight_and_lift_agree(pile: list[tuple[float, float, float, float]]) -> None:
    """Residuals of the three equations, from the answer itself, are under 1e-6."""
    load = loads(*pile)
    rest = equilibrium(settle(BOAT, load, FRESH))
    assert rest.displacement_kg == pytest.approx(load.total_kg, rel=1e-6)
    apart = np.array([rest.lcb_m, rest.tcb_m, rest.vcb_m]) - load.centre_m
    normal = np.array([np.tan(rest.trim_rad), np.tan(rest.heel_rad), 1.0])
    assert np.cross(apart, normal / np.linalg.norm(normal)) == pytest.approx(0, abs=1e-6)


@few
@given(rows())
def test_mirrored_loads_give_mirrored_heel(pile: list[tuple[float, float, float, float]]) -> None:
    there = equilibrium(settle(BOAT, loads(*pile), FRESH))
    back = equilibrium(settle(BOAT, loads(*[(m, x, -y, z) for m, x, y, z in pile]), FRESH))
    assert back.heel_rad == pytest.approx(-there.heel_rad, abs=1e-7)
    assert back.trim_rad == pytest.approx(there.trim_rad, abs=1e-7)
    assert back.draft_mid_m == pytest.approx(there.draft_mid_m, abs=1e-7)


@few
@given(rows(), st.randoms(use_true_random=False))
def test_the_order_of_loads_never_matters(pile, random) -> None:  # type: ignore[no-untyped-def]  # hypothesis' own types
    there = equilibrium(settle(BOAT, loads(*pile), FRESH))
    random.shuffle(pile)
    again = equilibrium(settle(BOAT, loads(*pile), FRESH))
    assert again.heel_rad == pytest.approx(there.heel_rad, abs=1e-8)
    assert again.draft_aft_m == pytest.approx(there.draft_aft_m, abs=1e-8)


@few
@given(st.floats(0.3, 3.0))
def test_a_scaled_boat_has_scaled_figures(k: float) -> None:
    """Lengths by k and masses by k³ leave angles alone and scale GM by k."""
    hull = kayak()
    stations = tuple(Station(k * s.x_m, k * s.points_m) for s in hull.stations)
    wells = tuple(
        Well(w.name, k * w.x_aft_m, k * w.x_fwd_m, k * w.half_breadth_m, k * w.floor_z_m,
             k * w.rim_z_m, w.drains)
        for w in hull.wells
    )  # fmt: skip
    small = loads((30, 1.75, 0.0, 0.16), (80, 1.6, 0.02, 0.38))
    large = Loads(k**3 * small.mass_kg, k * small.at_m)
    one = settle(BOAT, small, FRESH)
    other = settle(afloat(Hull(stations, wells)), large, FRESH)
    assert upright(other).gm_m == pytest.approx(k * upright(one).gm_m, rel=1e-5)
    assert equilibrium(other).heel_rad == pytest.approx(equilibrium(one).heel_rad, rel=1e-5)
    assert equilibrium(other).trim_rad == pytest.approx(equilibrium(one).trim_rad, rel=1e-5)


def test_weight_on_the_centre_of_flotation_changes_draft_not_trim() -> None:
    """For a small weight; 1 kg on a boat that takes about 20 kg a centimetre."""
    base = [(30.0, 1.75, 0.0, 0.16), (80.0, 1.7, 0.0, 0.38)]
    before = settle(BOAT, loads(*base), FRESH)
    up = upright(before)
    after = settle(BOAT, loads(*base, (1.0, up.lcf_m, 0.0, equilibrium(before).draft_mid_m)), FRESH)
    sunk = equilibrium(after).draft_mid_m - equilibrium(before).draft_mid_m
    # 1e-4 rad over this boat is 0.2 mm at its ends
    assert equilibrium(after).trim_rad == pytest.approx(equilibrium(before).trim_rad, abs=1e-4)
    assert sunk == pytest.approx(0.01 / up.kg_per_cm_immersion, rel=0.02)


def test_a_small_weight_moved_sideways_heels_by_its_moment_over_gm() -> None:
    """atan(w·d / Δ·GM), to the 2 % a real bottom bends from it at 0.3°."""
    base = [(30.0, 1.75, 0.0, 0.16), (80.0, 1.7, 0.0, 0.38)]
    gm = upright(settle(BOAT, loads(*base, (1.0, 1.7, 0.0, 0.3)), FRESH)).gm_m
    rest = equilibrium(settle(BOAT, loads(*base, (1.0, 1.7, -0.2, 0.3)), FRESH))
    assert rest.heel_rad == pytest.approx(np.arctan(1.0 * 0.2 / (111.0 * gm)), rel=0.02)


def test_the_righting_curve_starts_with_the_slope_gm() -> None:
    load = loads((30.0, 1.75, 0.0, 0.16), (80.0, 1.7, 0.0, 0.38))
    settled = settle(BOAT, load, FRESH)
    phi = np.radians(0.5)
    gz = righting_curve(settled, np.array([-phi, phi])).gz_m
    assert (gz[1] - gz[0]) / (2 * phi) == pytest.approx(upright(settled).gm_m, rel=0.01)


def test_equilibrium_is_where_the_righting_curve_crosses_zero() -> None:
    load = loads((30.0, 1.75, 0.0, 0.16), (80.0, 1.7, 0.03, 0.38))
    settled = settle(BOAT, load, FRESH)
    heel = equilibrium(settled).heel_rad
    curve = righting_curve(settled, heel + np.array([-0.01, 0.0, 0.01]))
    assert curve.gz_m[0] < 0 < curve.gz_m[2]
    assert curve.gz_m[1] == pytest.approx(0, abs=1e-8)
