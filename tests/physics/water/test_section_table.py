"""One plane, three ways to look at it: clipped for many heels, for one, and read off a table."""

from dataclasses import astuple

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st
from tests.boats import barge, kayak, well

from neat_hull.physics.hull.lattice import loft
from neat_hull.physics.water.immersion import TurnedSections, immersed
from neat_hull.physics.water.section_table import SectionTable

OPEN, PLUGGED = well("open", drains=True), well("plugged", drains=False, x_aft_m=0.4, x_fwd_m=0.9)
LATTICES = [loft(hull, 40) for hull in (kayak(), barge(wells=(OPEN, PLUGGED)))]


@given(
    st.sampled_from(LATTICES),
    st.floats(-2.0, 2.0) | st.sampled_from([0.0, np.pi / 2, 1e-7, 4.4e-6]),
    st.floats(-0.2, 0.7),
    st.floats(-0.15, 0.15),
    st.booleans(),
)
def test_all_three_agree(lattice, heel, h, tau, all_count):  # type: ignore[no-untyped-def]  # strategies say it
    heel_rad, h_m, tau_ = (np.array([v]) for v in (heel, h, tau))
    counted = np.ones((1, lattice.weight_m.shape[1]))
    if not all_count:
        counted[0, -1] = 0.0
    off_m = lattice.y_m * np.sin(heel) + lattice.z_m * np.cos(heel) + tau * lattice.x_m - h
    # A plane that just lies on a level floor or deck has its waterplane by convention only.
    assume(np.abs(off_m).min() > 1e-8)
    turned = TurnedSections(lattice, heel_rad)
    table = SectionTable.of(lattice, heel_rad).planes()
    clipped = (turned.immerse(h_m, tau_, counted), turned.sideways(counted))
    looked_up = (table.immerse(h_m, tau_, counted), table.sideways(counted))
    alone = immersed(lattice, heel, h, tau, counted)
    for kind in (0, 1):
        one, other, third = (np.array(astuple(way[kind])) for way in (clipped, looked_up, alone))
        assert other == pytest.approx(one, abs=1e-9)
        assert third == pytest.approx(one, abs=1e-9)
