"""What is under a thing on the bare deck: the water past the side, and walls of wells."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely.geometry import Polygon
from tests.examples import examples
from tests.judged import CLEAN, CRATE, WATER, found, known, put

from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.fits import goes, misfit_at
from neat_hull.rig.footing import footprint, in_wall, outline, overhang
from neat_hull.rig.rigging import rig

HULL: Hull = rig(CLEAN).floating.hull
COCKPIT, TANK = (next(w for w in HULL.wells if w.name == name) for name in ("cockpit", "tank well"))
BOX = CLEAN.things[WATER].model_copy(update={"length_m": 0.2, "width_m": 0.2, "height_m": 0.1})


def at(x_m: float, y_m: float, turn_deg: float = 0.0, z_m: float | None = None) -> Place:
    """On the bare deck."""
    return Place(x_m=x_m, y_m=y_m, z_m=z_m, turn_deg=turn_deg, tilt_deg=0.0)


def test_a_box_half_over_the_side_is_half_over_the_water() -> None:
    broad = float(HULL.half_breadth_m.max())
    x = float(HULL.x_m[HULL.half_breadth_m.argmax()])
    small = BOX.model_copy(update={"length_m": 0.02})
    out = overhang(HULL, small, at(x, broad))
    assert out is not None
    assert out.share == pytest.approx(0.5, abs=0.01)
    assert out.over_m == pytest.approx(0.1, abs=0.003)
    assert overhang(HULL, small, at(x, broad - 0.11)) is None


def test_a_drum_has_no_corner_over_the_side() -> None:
    broad, x = float(HULL.half_breadth_m.max()), float(HULL.x_m[HULL.half_breadth_m.argmax()])
    drum = BOX.model_copy(update={"shape": "cylinder"})
    flush = at(x, broad - 0.12, turn_deg=45.0)
    assert overhang(HULL, BOX, flush) is not None
    assert overhang(HULL, drum, flush) is None


@pytest.mark.parametrize("give", ["box", "bag"])
def test_a_wall_is_met_where_the_foot_is_past_it(give: str) -> None:
    box = BOX.model_copy(update={"shape": give})
    room = 0.1 * box.give
    aft = COCKPIT.x_aft_m
    assert in_wall(HULL, box, at(aft + room + 0.004, 0.0)) is None
    met = in_wall(HULL, box, at(aft + 0.02, 0.0))
    assert met is not None
    assert met[0].name == "cockpit"
    assert met[1] == pytest.approx(room - 0.02)
    assert in_wall(HULL, box, at(aft + 0.02, 0.0, z_m=COCKPIT.rim_z_m)) is None  # over the rim
    assert in_wall(HULL, box, at(aft - 0.05, 0.0)) is None  # on the deck between the wells


def test_what_stands_in_a_wall_does_not_belong_there() -> None:
    there = put(CLEAN, CRATE, TANK.x_aft_m + 0.1)
    (told,) = [one for one in found(there, "does-not-belong-there") if one.thing_id == CRATE]
    assert told.title.text == "Tackle crate: stands {} in the wall of tank well"
    half = CLEAN.things[CRATE].length_m / 2
    assert told.title.amounts[0].value == pytest.approx(half - 0.1)


def test_a_sixth_over_the_water_is_watched_and_a_third_mended() -> None:
    x, broad = float(HULL.x_m[HULL.half_breadth_m.argmax()]), float(HULL.half_breadth_m.max())
    thin = known(CLEAN, WATER, length_m=0.02, width_m=0.2)

    def told(out_m: float) -> list[str]:
        there = put(thin, WATER, x, broad - 0.1 + out_m)
        return [one.verdict for one in found(there, "outside-the-boat")]

    assert (told(0.03), told(0.045), told(0.075)) == ([], ["watch"], ["fix"])


@examples(60)
@given(st.floats(0.1, 3.6), st.floats(-0.5, 0.5), st.floats(0, 180))
def test_what_goes_there_has_boat_under_it_and_no_wall_in_it(
    x: float, y: float, turn: float
) -> None:
    setup: Setup = CLEAN
    place = at(x, y, turn)
    placing = rig(setup).placing
    foot = footprint(setup.things[CRATE], place)
    out = foot.difference(outline(HULL)).area / foot.area
    floor = min((w.floor_z_m for w in HULL.wells_at(x, y)), default=None)
    inside = floor is None or any(
        foot.intersection(outline(HULL)).within(
            Polygon([(w.x_aft_m - 0.006, -w.half_breadth_m - 0.006),
                     (w.x_fwd_m + 0.006, -w.half_breadth_m - 0.006),
                     (w.x_fwd_m + 0.006, w.half_breadth_m + 0.006),
                     (w.x_aft_m - 0.006, w.half_breadth_m + 0.006)]))
        for w in HULL.wells_at(x, y)
    )  # fmt: skip
    if goes(placing, CRATE, place):
        assert out <= 0.05 + 1e-9
        assert inside
    if floor is None:
        assert misfit_at(placing, CRATE, place) is None
