"""Hulls of many shapes at rest and heeled, against meshes of them cut by another library."""

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st
from scipy.optimize import brentq
from tests.boats import FRESH, afloat, loads
from tests.examples import examples
from tests.meshes import box_of, mesh_of, under_water

from neat_hull.errors import NoBalance
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull, Well
from neat_hull.physics.hull.tape import Tape, stations_from_tape
from neat_hull.physics.water.hydrostatics import (
    Settled,
    equilibrium,
    righting_curve,
    settle,
    upright,
)
from neat_hull.physics.water.loads import Loads


def tapes() -> st.SearchStrategy[Tape]:
    """Measures of believable kayaks, every bottom and chine, pointed or square at the stern."""
    return st.builds(
        lambda length, beam, fore, aft, square, **rest: Tape(
            length_m=length, beam_m=beam, beam_at_m=0.52 * length, beam_fore_quarter_m=fore * beam,
            beam_aft_quarter_m=aft * beam, stern_beam_m=square * aft * beam,
            bow_height_m=0.45, stern_height_m=0.40, **rest,
        ),
        length=st.floats(2.6, 4.5), beam=st.floats(0.68, 1.0), fore=st.floats(0.6, 0.9),
        aft=st.floats(0.65, 0.95), square=st.sampled_from([0.0, 0.6]),
        depth_m=st.floats(0.26, 0.38),
        rocker_bow_m=st.floats(0.0, 0.08), rocker_stern_m=st.floats(0.0, 0.06),
        bottom=st.sampled_from(["flat", "shallow_arch", "shallow_v", "twin_ridge", "tunnel"]),
        chine=st.sampled_from(["soft", "hard"]), bottom_beam_m=st.none(),
    )  # fmt: skip


def kayak_of(tape: Tape) -> Hull:
    """With an open cockpit that lies inside it."""
    length, depth = tape.length_m, tape.depth_m
    cockpit = Well("cockpit", 0.35 * length, 0.7 * length, 0.25 * tape.beam_m, 0.5 * depth,
                   0.95 * depth, drains=True)  # fmt: skip
    return Hull(stations_from_tape(tape), (cockpit,), corner_to_corner=True)


class Meshed:
    """The hull's mesh and those of its wells, cut together."""

    def __init__(self, hull: Hull) -> None:
        self.hull, self.wells = mesh_of(hull, 161), [box_of(well) for well in hull.wells]

    def lift(self, c: float, trim: float, heel: float) -> tuple[float, Array]:
        """Volume and first moments under a plane, wells taken out."""
        volume, moment = under_water(self.hull, c, trim, heel)
        for well in self.wells:
            less, less_moment = under_water(well, c, trim, heel)
            volume, moment = volume - less, moment - less_moment
        return volume, moment


def settled_or_not(hull: Hull, load: Loads) -> Settled:
    """Give up on a boat that would roll over: it has no attitude to compare."""
    try:
        settled = settle(afloat(hull), load, FRESH)
    except NoBalance:
        settled = None
    assume(settled is not None)
    assert settled is not None
    return settled


@examples(12)
@given(tapes(), st.floats(-0.15, 0.15), st.floats(-0.05, 0.05))
def test_a_boat_at_rest_floats_at_rest_as_a_mesh_too(tape: Tape, fore: float, off: float) -> None:
    """What the mesh is short of at our attitude would move the boat under 1 mm and 0.1°."""
    hull, mid = kayak_of(tape), tape.length_m / 2
    load = loads((30, mid, 0, 0.14), (70, mid * (1 + fore / 3), off, 0.30))
    settled = settled_or_not(hull, load)
    rest, up = equilibrium(settled), upright(settled)
    c = rest.draft_aft_m + np.tan(rest.trim_rad) * hull.x_aft_m
    volume, moment = Meshed(hull).lift(c, rest.trim_rad, rest.heel_rad)
    sinkage_m = (volume - rest.volume_m3) / (up.kg_per_cm_immersion * 100 / FRESH)
    assert abs(sinkage_m) < 1e-3
    apart = moment / volume - np.array([rest.lcb_m, rest.tcb_m, rest.vcb_m])
    assert abs(apart[1]) < np.radians(0.1) * max(up.bm_m, 0.05)
    assert abs(apart[0]) < np.radians(0.1) * up.bm_l_m


@examples(8)
@given(tapes(), st.sampled_from([8.0, 25.0, 45.0, 70.0]))
def test_a_heeled_boat_has_the_lever_of_its_mesh(tape: Tape, heel_deg: float) -> None:
    """The mesh sunk by bisection until it lifts the load, at our trim: levers within 2 mm."""
    hull, mid, phi = kayak_of(tape), tape.length_m / 2, np.radians(heel_deg)
    load = loads((30, mid, 0, 0.14), (70, mid, 0, 0.30))
    curve = righting_curve(settled_or_not(hull, load), np.array([phi]))
    assume(bool(np.isfinite(curve.gz_m[0])))
    mesh, trim = Meshed(hull), float(curve.trim_rad[0])
    c = brentq(lambda c: mesh.lift(c, trim, phi)[0] - load.total_kg / FRESH, -1.5, 1.5, xtol=1e-5)
    volume, moment = mesh.lift(float(c), trim, phi)
    across = np.cross([np.tan(trim), np.tan(phi), 1.0], [1.0, 0.0, 0.0])
    gz = -(moment / volume - load.centre_m) @ (across / np.linalg.norm(across))
    assert gz == pytest.approx(curve.gz_m[0], abs=2e-3)
