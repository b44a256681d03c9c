"""Wells taken out of a hull, section by section, against a polygon library."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import box
from tests.boats import TUNNEL, barge, kayak, prismatic, ring, well
from tests.examples import examples

from neat_hull.physics.hull.lattice import Slice, loft, loft_shares, outline_at
from neat_hull.physics.hull.shape import Hull

HULLS = {"kayak": kayak(), "tunnel": prismatic(TUNNEL, 3.6)}


@pytest.mark.parametrize("drains", [True, False])
@pytest.mark.parametrize(
    ("floor_z_m", "rim_z_m"),
    [(0.4, 0.5), (-0.3, -0.1), (0.3, 0.4)],
    ids=["over the sheer", "under the bottom", "on the sheer"],
)
def test_a_well_that_is_nowhere_in_the_hull_takes_nothing(
    floor_z_m: float, rim_z_m: float, drains: bool
) -> None:
    nowhere = well(drains=drains, floor_z_m=floor_z_m, rim_z_m=rim_z_m)
    assert loft(barge(wells=(nowhere,))).volume_m3.sum() == pytest.approx(4.0 * 0.8 * 0.3)


@examples(30)
@given(
    st.sampled_from(sorted(HULLS)),
    st.floats(0.3, 1.6),
    st.floats(0.05, 1.4),
    st.floats(0.02, 0.5),
    st.floats(-0.1, 0.4),
    st.floats(0.01, 0.4),
)
def test_a_well_takes_what_of_its_box_lies_in_each_section(
    name: str, x_m: float, long_m: float, half_m: float, floor_m: float, deep_m: float
) -> None:
    one = well(drains=False, x_aft_m=x_m, x_fwd_m=x_m + long_m, half_breadth_m=half_m,
               floor_z_m=floor_m, rim_z_m=floor_m + deep_m)  # fmt: skip
    hull = Hull(HULLS[name].stations, (one,))
    lattice = loft(hull)
    sides = box(-half_m, floor_m, half_m, floor_m + deep_m)
    own = lattice.weight_m[:, 0] > 0
    weight_m = dict(zip(lattice.x_m[own].tolist(), lattice.weight_m[own, 0].tolist(), strict=True))
    taken = 0.0
    for x in (x for x in weight_m if one.x_aft_m < x < one.x_fwd_m):
        whole = ring([(y, z) for y, z in outline_at(hull, x).tolist()])
        taken += weight_m[x] * whole.intersection(sides).area
    assert -lattice.volume_m3[1:].sum() == pytest.approx(taken, abs=1e-12)
    shell = loft_shares(hull, (Slice(0.0, hull.length_m, 1.0),), ())
    assert shell.volume_m3[0] == pytest.approx(lattice.volume_m3.sum(), abs=1e-12)
