"""Laws that hold for every shape of hull: tapes of all bottoms and chines, by hypothesis."""

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st
from tests.boats import FRESH, afloat, loads
from tests.examples import examples
from tests.physics.water.test_mesh import kayak_of, settled_or_not, tapes

from neat_hull.physics.hull.shape import Hull, Station, Well
from neat_hull.physics.hull.tape import Tape
from neat_hull.physics.water.hydrostatics import equilibrium, settle, upright
from neat_hull.physics.water.loads import Loads
from neat_hull.physics.water.stability import stability_of

few = examples(8)


def pile(tape: Tape, off_m: float = 0.0) -> Loads:
    """A hull and a low sitter, a little off the middle."""
    mid = tape.length_m / 2
    return loads((30, mid, 0, 0.14), (70, 0.97 * mid, off_m, 0.30))


@few
@given(tapes(), st.floats(-0.04, 0.04))
def test_weight_and_lift_balance_on_any_hull(tape: Tape, off_m: float) -> None:
    """Residuals under 1e-6, of the weight and of metres."""
    load = pile(tape, off_m)
    rest = equilibrium(settled_or_not(kayak_of(tape), load))
    assert rest.displacement_kg == pytest.approx(load.total_kg, rel=1e-6)
    apart = np.array([rest.lcb_m, rest.tcb_m, rest.vcb_m]) - load.centre_m
    normal = np.array([np.tan(rest.trim_rad), np.tan(rest.heel_rad), 1.0])
    assert np.cross(apart, normal / np.linalg.norm(normal)) == pytest.approx(0, abs=1e-6)


@few
@given(tapes(), st.floats(0.005, 0.04))
def test_any_hull_heels_as_far_to_either_side(tape: Tape, off_m: float) -> None:
    hull = kayak_of(tape)
    port = equilibrium(settled_or_not(hull, pile(tape, off_m)))
    starboard = equilibrium(settle(afloat(hull), pile(tape, -off_m), FRESH))
    assert starboard.heel_rad == pytest.approx(-port.heel_rad, abs=1e-7)


@few
@given(tapes(), st.floats(0.6, 1.8))
def test_any_hull_scales(tape: Tape, k: float) -> None:
    """Lengths by k, masses by k³: GM by k, energy by k⁴."""
    hull, load = kayak_of(tape), pile(tape)
    small = settled_or_not(hull, load)
    stations = tuple(Station(k * s.x_m, k * s.points_m) for s in hull.stations)
    wells = tuple(Well(w.name, k * w.x_aft_m, k * w.x_fwd_m, k * w.half_breadth_m,
                       k * w.floor_z_m, k * w.rim_z_m, w.drains) for w in hull.wells)  # fmt: skip
    boat = afloat(Hull(stations, wells, hull.corner_to_corner))
    large = Loads(k**3 * load.mass_kg, k * load.at_m)
    assert upright(settle(boat, large, FRESH)).gm_m == pytest.approx(
        k * upright(small).gm_m, rel=1e-4, abs=1e-6
    )
    one = stability_of(afloat(hull), load, FRESH)[2]
    other = stability_of(boat, large, FRESH)[2]
    assert other.energy_j == pytest.approx(k**4 * one.energy_j, rel=1e-3, abs=1e-3)


@few
@given(tapes())
def test_weight_over_the_centre_of_flotation_only_sinks_any_hull(tape: Tape) -> None:
    """Half a kilogram; 1e-4 rad over such a boat is 0.2 mm at its ends."""
    hull, load = kayak_of(tape), pile(tape)
    before = settled_or_not(hull, load)
    up = upright(before)
    assume(up.gm_m > 0.02)
    more = load.plus((0.5, up.lcf_m, 0.0, equilibrium(before).draft_mid_m))
    after = equilibrium(settle(afloat(hull), more, FRESH))
    assert after.trim_rad == pytest.approx(equilibrium(before).trim_rad, abs=1e-4)
    assert after.draft_mid_m > equilibrium(before).draft_mid_m


@few
@given(tapes())
def test_lifting_a_weight_takes_its_moment_from_gm(tape: Tape) -> None:
    """70 kg up 5 cm on 100 kg: GM less by 35 mm, trim free and hardly changed."""
    hull = kayak_of(tape)
    low = settled_or_not(hull, pile(tape))
    mid = tape.length_m / 2
    raised = loads((30, mid, 0, 0.14), (70, 0.97 * mid, 0.0, 0.35))
    high = settled_or_not(hull, raised)
    assert upright(low).gm_m - upright(high).gm_m == pytest.approx(0.035, rel=0.03)
