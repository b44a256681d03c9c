"""Sonar against closed forms: the cone, the beam that a box hides, the ball, drag, depths."""

import math

import numpy as np
import pytest
from tests.judged import put
from tests.subjects.sonar.hangings import SOUNDER, hung

from neat_hull.files.demo import demo_setups
from neat_hull.model.sonar import SonarFigure, Transducer
from neat_hull.model.thing import Thing
from neat_hull.physics.hull.shape import Hull, Station
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.demands.figures import over_water_trimmed, solved
from neat_hull.subjects.sonar.figures import (
    SPEED_M_S,
    cone_m,
    cut_off_deg,
    drag_n,
    in_cone_from_m,
    sonar,
)
from neat_hull.subjects.sonar.schools import schools
from neat_hull.whole.evaluate import evaluated


def figure(**changes: object) -> SonarFigure:
    """Of the one transducer."""
    found = evaluated(hung(**changes)).once(sonar)  # type: ignore[arg-type]
    assert found is not None
    (one,) = found.transducers
    return one


@pytest.mark.parametrize(("depth", "angle", "across"), [(10, 90, 20), (1, 60, 1.1547), (0, 20, 0)])
def test_a_cone_is_twice_the_depth_times_the_tangent_of_half_its_angle(
    depth: float, angle: float, across: float
) -> None:
    assert cone_m(depth, angle) == pytest.approx(across, abs=1e-4)


def test_a_ball_is_in_the_cone_from_where_its_edge_meets_the_line() -> None:
    face, ball = (0.0, 0.0, 0.0), (3.0, 4.0, 1.0)  # 5 m aside
    depth = in_cone_from_m(face, ball, 90.0)
    assert depth == pytest.approx(5.0)
    assert cone_m(depth, 90.0) / 2 == pytest.approx(5.0)


def box(half_m: float, high_m: float) -> Hull:
    """A box with its bottom at 0."""
    points = np.array([(0.0, 0.0), (half_m, 0.0), (half_m, high_m)])
    return Hull(tuple(Station(float(x), points) for x in np.linspace(0, 4, 5)), ())


def test_a_box_hides_a_beam_by_the_angle_to_its_edge() -> None:
    # A face 10 cm up inside a box of 40 cm half breadth looks over the edge at atan(10 / 40).
    assert cut_off_deg(box(0.4, 0.3), (2.0, 0.0, 0.1)) >= math.degrees(math.atan2(0.1, 0.4)) - 1e-9
    assert cut_off_deg(box(0.4, 0.3), (2.0, 0.0, -0.01)) == 0.0
    assert cut_off_deg(box(0.4, 0.3), (2.0, 0.5, -0.2)) == 0.0


def test_drag_goes_with_depth_and_only_of_what_hangs_free() -> None:
    pole = Thing(name="arm", shape="pole", mass_kg=1.0, evidence="guess", length_m=1.0,
                 width_m=0.03, height_m=0.03)  # fmt: skip
    one = drag_n(pole, Transducer(mount="arm"), 0.2, 1000.0)
    assert one == pytest.approx(0.5 * 1000 * SPEED_M_S**2 * 1.1 * 0.03 * 0.2)
    assert drag_n(pole, Transducer(mount="arm"), 0.4, 1000.0) == pytest.approx(2 * one)
    assert drag_n(pole, Transducer(mount="recess"), 0.4, 1000.0) == 0.0
    assert drag_n(pole, Transducer(mount="pole"), -0.1, 1000.0) == 0.0


def test_deeper_hung_is_deeper_under_and_a_mirrored_one_as_deep() -> None:
    high, low = figure(z=0.0), figure(z=-0.10)
    assert low.depth_m - high.depth_m == pytest.approx(0.10, rel=1e-3)
    port, starboard = figure(y=0.2, z=-0.05), figure(y=-0.2, z=-0.05)
    heel = 0.2 * 2 * math.sin(math.radians(3.0))
    assert abs(port.depth_m - starboard.depth_m) < heel  # the boat is not quite level
    assert port.least_m <= port.depth_m


def test_the_bottom_is_seen_from_the_face_on() -> None:
    one = figure(cone_deg=90.0)
    assert one.bottom_wide_m == pytest.approx(2 * (one.bottom_m - one.depth_m))
    assert one.thing_id == SOUNDER


def test_every_school_is_judged_on_this_boat() -> None:
    found = {one.mount: one for one in schools(evaluated(hung()))}
    assert set(found) == {"inside", "recess", "arm", "motor", "pole"}
    assert not found["motor"].possible
    assert found["motor"].why_not
    arm = found["arm"]
    assert arm.depth_m == pytest.approx(0.15, abs=0.02)
    assert arm.drag_n is not None
    assert arm.drag_n > 0
    assert all(one.cautions for one in found.values())


def test_trims_to_first_order_are_those_of_the_demand_solved_in_full() -> None:
    for setup in demo_setups():
        ev = evaluated(setup)
        rest = at_rest(ev)
        assert rest is not None
        level = math.degrees(rest.settled.rest.trim_rad[0])
        full = {one.title: one for one in solved(ev)}
        for one in over_water_trimmed(ev, np.zeros((1, 3))):
            demand = full[one.title]
            if demand.trim_deg is not None and abs(demand.heel_deg or 0.0) < 2.0:
                assert one.trim_deg == pytest.approx(demand.trim_deg - level, abs=0.03)


def test_a_face_far_forward_comes_up_as_a_tank_behind_the_seat_is_filled() -> None:
    empty = hung(x=3.3, z=-0.02)
    (i, tank) = next(
        (i, one) for i, one in demo_setups()[0].things.items() if one.fill and one.fill.afloat
    )
    filled = put(
        empty.model_copy(
            update={"things": {**empty.things, i: tank.model_copy(update={"mass_kg": 0.5})},
                    "demands": empty.demands.model_copy(update={"tank_kg": 40.0})}
        ), i, 0.9, 0.0,
    )  # fmt: skip
    without, full = (evaluated(setup).once(sonar) for setup in (empty, filled))
    assert without is not None
    assert full is not None
    (was,), (now,) = without.transducers, full.transducers
    assert was.least_by is None
    assert (now.least_by, now.least_heel_deg) == ("Bait tank filled", 0.0)
    assert now.least_trim_deg > 0
    assert now.least_m < was.least_m - 0.01


def test_how_deep_a_face_hangs_as_you_climb_back_in_matters_to_nobody() -> None:
    """Hanging on the gunwale you weigh less on the boat, so it stands higher than ever."""
    setup = hung(x=0.3, z=-0.05)
    share = setup.demands.model_copy(update={"remount_share": 0.0})
    lighter = setup.model_copy(update={"demands": share})
    now, then = (evaluated(one).once(sonar) for one in (setup, lighter))
    assert now == then
