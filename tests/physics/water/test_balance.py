"""Named answers where there is no ordinary one, and wells that flood."""

import numpy as np
import pytest
from scipy.optimize import brentq
from tests.boats import FRESH, afloat, barge, kayak, loads, well

from neat_hull.errors import DoesNotFloat, InputError, NoBalance
from neat_hull.physics.hull.shape import Hull, Station, require_hull
from neat_hull.physics.water.hydrostatics import equilibrium, righting_curve, settle, upright


def test_more_weight_than_the_hull_holds_does_not_float() -> None:
    with pytest.raises(DoesNotFloat) as sinks:
        settle(afloat(barge()), loads((961, 2, 0, 0.1)), FRESH)
    assert sinks.value.capacity_kg == pytest.approx(960)


def test_just_less_than_that_still_floats() -> None:
    rest = equilibrium(settle(afloat(barge()), loads((955, 2, 0, 0.0)), FRESH))
    assert rest.displacement_kg == pytest.approx(955, rel=1e-6)
    assert rest.least_freeboard_m == pytest.approx(0.3 * 5 / 960, rel=1e-3)


def test_a_gram_floats_too() -> None:
    rest = equilibrium(settle(afloat(barge()), loads((0.001, 2, 0, 0.0)), FRESH))
    assert rest.draft_mid_m == pytest.approx(0.001 / 3200, rel=1e-4)


@pytest.mark.parametrize(
    ("row", "words"),
    [
        ((320, 3.95, 0, 0.1), "the bow goes under"),
        ((320, 0.05, 0, 0.1), "the stern goes under"),
        ((320, 2, 0, 3.0), "rolls over"),
    ],
)
def test_a_boat_with_no_place_of_rest_says_which_way_it_goes(
    row: tuple[float, float, float, float], words: str
) -> None:
    with pytest.raises(NoBalance, match=words):
        settle(afloat(barge()), loads(row), FRESH)


def test_large_trim_and_list_together_still_balance() -> None:
    load = loads((120, 1.1, 0.12, 0.2))
    rest = equilibrium(settle(afloat(kayak()), load, FRESH))
    assert rest.trim_rad > np.radians(3)
    assert rest.heel_rad < np.radians(-5)
    assert rest.displacement_kg == pytest.approx(120, rel=1e-6)


def test_an_open_well_never_lifts() -> None:
    """Floor at 0.1, box 1 × 0.4: 320 kg press the barge below 0.1 by 0.1·0.4/(3.2−0.4)… by hand:
    3.2·T − 0.4·(T − 0.1) = 0.4 kg/1000 with 400 kg gives T = 0.36/2.8."""
    open_ = afloat(barge(wells=(well(drains=True, x_aft_m=1.5, x_fwd_m=2.5),)))
    rest = equilibrium(settle(open_, loads((400, 2, 0, 0.1)), FRESH))
    assert rest.draft_mid_m == pytest.approx(0.36 / 2.8, rel=1e-6)
    assert rest.wells_over_m[0] == pytest.approx(0.1 - 0.36 / 2.8, rel=1e-6)


def test_a_plugged_well_lifts_until_its_rim_goes_under() -> None:
    """400 kg draw 0.125 m: a rim at 0.13 keeps dry, one at 0.12 floods and costs its volume."""
    dry = afloat(barge(wells=(well(drains=False, x_aft_m=1.5, x_fwd_m=2.5, rim_z_m=0.13),)))
    wet = afloat(barge(wells=(well(drains=False, x_aft_m=1.5, x_fwd_m=2.5, rim_z_m=0.12),)))
    load = loads((400, 2, 0, 0.1))
    above, below = (equilibrium(settle(boat, load, FRESH)) for boat in (dry, wet))
    assert (above.flooded, below.flooded) == ((False,), (True,))
    assert above.draft_mid_m == pytest.approx(0.125, rel=1e-6)
    assert below.draft_mid_m == pytest.approx((0.4 + 0.4 * 0.02) / 3.2, rel=1e-6)


@pytest.mark.parametrize("aside_m", [0.0, 2e-5])
def test_a_well_that_would_flood_a_little_further_over_stays_dry(aside_m: float) -> None:
    """A barge with 14 mm too little GM lolls to where (GM + BM·tan²φ/2)·tan φ is how far the weight
    is aside, about 12.8°. There the water is at 0.1 + 0.2·tan φ = 0.145 where a rim at 0.15 has its
    corner, and over it from 14.04° on."""
    rim = well(drains=False, rim_z_m=0.15, half_breadth_m=0.2)
    load = loads((320, 2, aside_m, 0.597))
    rest = equilibrium(settle(afloat(barge(wells=(rim,))), load, FRESH))
    bm = 0.64 / 1.2
    gm = 0.05 + bm - 0.597
    slope = brentq(lambda t: (gm + bm * t * t / 2) * t - aside_m, 0.1, 0.5)
    assert abs(rest.heel_rad) == pytest.approx(np.arctan(slope), abs=1e-6)
    assert rest.flooded == (False,)


def test_each_heel_of_a_run_floods_for_itself() -> None:
    """A rim at 0.13, 0.3 m off the middle: at 2° dry (0.125 + 0.010), at 3° wet."""
    rim = well(drains=False, rim_z_m=0.13, half_breadth_m=0.1, x_aft_m=1.5, x_fwd_m=2.5)
    rimless = afloat(barge())
    boat = afloat(barge(wells=(rim,)))
    load, heels = loads((400, 2, 0, 0.1)), np.radians([2.0, 4.0])
    with_well = righting_curve(settle(boat, load, FRESH), heels).gz_m
    without = righting_curve(settle(rimless, load, FRESH), heels).gz_m
    assert with_well[0] == pytest.approx(without[0], rel=1e-9)
    assert with_well[1] != pytest.approx(without[1], rel=1e-4)


def test_a_boat_that_floods_and_cannot_carry_its_load_says_so() -> None:
    big = well("hold", drains=False, x_aft_m=0.2, x_fwd_m=3.8, half_breadth_m=0.38, floor_z_m=0.01,
               rim_z_m=0.12)  # fmt: skip
    with pytest.raises(NoBalance, match="floods by the hold"):
        settle(afloat(barge(depth_m=0.2, wells=(big,))), loads((400, 2, 0, 0.05)), FRESH)


def test_upright_figures_ignore_the_side_a_load_stands_on() -> None:
    off = settle(afloat(kayak()), loads((110, 1.7, 0.05, 0.3)), FRESH)
    on = settle(afloat(kayak()), loads((110, 1.7, 0.0, 0.3)), FRESH)
    assert upright(off).gm_m == pytest.approx(upright(on).gm_m, rel=1e-9)


SQUARE = np.array([(0.0, 0.0), (0.4, 0.0), (0.4, 0.3)])


@pytest.mark.parametrize(
    ("hull", "field"),
    [
        (Hull((Station(0.0, SQUARE),)), "hull.stations"),
        (Hull((Station(0.0, SQUARE), Station(0.0, SQUARE))), "hull.stations[1].x_m"),
        (Hull((Station(0.0, SQUARE), Station(1.0, -SQUARE))), "hull.stations[1].points_m[1]"),
        (
            Hull((Station(0.0, np.array([(0, 0), (0.4, 0.3), (0.4, 0.0), (0.1, 0.3)])),
                  Station(1.0, SQUARE))),
            "hull.stations[0].points_m",
        ),
        (
            Hull((Station(0.0, np.array([(0, 0), (0.3, 0.4), (0.5, 0.3)])), Station(1.0, SQUARE))),
            "hull.stations[0].points_m",
        ),
        (Hull((Station(0.0, SQUARE), Station(float("nan"), SQUARE))), "hull.stations[1].x_m"),
        (barge(wells=(well(drains=True, x_aft_m=3.0),)), "hull.wells[0].x_fwd_m"),
        (barge(wells=(well(drains=True, rim_z_m=0.1),)), "hull.wells[0].rim_z_m"),
        (barge(wells=(well(drains=True, half_breadth_m=0.0),)), "hull.wells[0].half_breadth_m"),
    ],
)  # fmt: skip
def test_a_hull_that_means_nothing_is_refused_by_field(hull: Hull, field: str) -> None:
    with pytest.raises(InputError) as refused:
        require_hull(hull)
    assert refused.value.field == field
