"""What of the gear stands in the wind and hangs in the water, on boxes that a hand can measure."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CLEAN, CRATE, FULL, PADDLE, ROD_P, put, without
from tests.subjects.glide.goings import planned, with_thing

from neat_hull.model.place import OnBody
from neat_hull.model.setup import Setup
from neat_hull.rig.drag import typical
from neat_hull.rig.drag.figures import bare_drag, full_drag, outside_full, pull_n
from neat_hull.rig.settling import at_rest
from neat_hull.whole.evaluate import evaluated

BOX = 80


def boxed(
    x: float, y: float, z: float, size: tuple[float, float, float] = (0.2, 0.2, 0.3)
) -> Setup:
    """A box at a place, its base at z."""
    long, wide, high = size
    made = with_thing(CLEAN, BOX, name="Box", mass_kg=0.2, length_m=long, width_m=wide,
                      height_m=high)  # fmt: skip
    return put(made, BOX, x, y, z_m=z)


def of(setup: Setup, thing_id: int = BOX) -> tuple[float, float, float, float]:
    """Wet and dry, from ahead and from the side."""
    found = evaluated(setup).once(outside_full)
    n = found.thing_ids.index(thing_id)
    return tuple(
        float(row[n])
        for row in (
            found.wet_front_m2, found.wet_side_m2, found.dry_front_m2, found.dry_side_m2,
        )
    )  # type: ignore[return-value]  # fmt: skip


def test_a_box_over_the_deck_stands_in_the_wind_whole() -> None:
    assert of(boxed(3.0, 0.0, 0.8)) == pytest.approx((0.0, 0.0, 0.06, 0.06))


def test_a_box_in_line_behind_the_angler_counts_half_from_ahead() -> None:
    assert of(boxed(0.4, 0.0, 0.8)) == pytest.approx((0.0, 0.0, 0.03, 0.06))


def test_a_box_in_the_hull_counts_nowhere() -> None:
    assert of(boxed(1.8, 0.0, 0.05, (0.2, 0.2, 0.1))) == (0.0, 0.0, 0.0, 0.0)


def test_a_box_beside_the_hull_counts_in_the_water_as_deep_as_it_hangs() -> None:
    """Half of its 30 cm under the plane, to one slice of sixteen."""
    rest = at_rest(evaluated(boxed(1.8, 0.6, 0.0)))
    assert rest is not None
    over = float(rest.settled.rest.height_over_water_m(np.array([(1.8, 0.6, 0.0)]))[0, 0])
    wet_front, wet_side, dry_front, dry_side = of(boxed(1.8, 0.6, -over - 0.15))
    assert wet_front == pytest.approx(0.03, abs=0.004)
    assert wet_side == pytest.approx(0.03, abs=0.004)
    assert wet_front + dry_front == pytest.approx(0.06)
    assert wet_side + dry_side == pytest.approx(0.06)


def test_a_rod_on_end_is_as_broad_as_it_is_long_and_thick() -> None:
    rod = CLEAN.things[ROD_P]
    upright = put(CLEAN, ROD_P, 3.0, 0.0, z_m=0.6, tilt_deg=90.0)
    reel = typical.REEL_M2 if rod.has_reel else 0.0
    _, _, front, side = of(upright, ROD_P)
    assert side == pytest.approx(typical.ROD_M * rod.length_m + reel, rel=1e-6)
    assert front == pytest.approx(side)


def test_what_is_laid_down_catches_nothing_and_the_rest_is_as_it_was() -> None:
    setup = boxed(3.0, 0.0, 0.8)
    up, down = (
        evaluated(setup).once(full_drag),
        evaluated(planned(setup, up={BOX: True})).once(full_drag),
    )
    assert up is not None
    assert down is not None
    less = up.drag.in_the_wind.front_m2 - down.drag.in_the_wind.front_m2
    assert less == pytest.approx(typical.BOX_AIR_CD * 0.06)
    assert up.drag.wetted_area_m2 == down.drag.wetted_area_m2


def test_the_bare_boat_has_its_parts_and_the_angler_and_no_gear() -> None:
    ev = evaluated(boxed(3.0, 0.0, 0.8))
    full, bare = ev.once(full_drag), ev.once(bare_drag)
    assert full is not None
    assert bare is not None
    own = sum(ev.thing(i).mass_now_kg for i in ev.setup.places
              if ev.thing(i).part is not None or ev.rigged.by_id[i].stand.on_body)  # fmt: skip
    lost = ev.rigged.lost_kg
    whole = ev.setup.boat.hull_mass_kg + ev.setup.angler.mass_kg + own + lost
    assert bare.displacement_kg == pytest.approx(whole)
    assert bare.drag.in_the_wind.front_m2 < full.drag.in_the_wind.front_m2


@given(st.floats(1, 30))
@examples(10)
def test_more_aboard_never_goes_faster_in_still_air(kg: float) -> None:
    """At the same trim: set at the centre of flotation."""
    rest = at_rest(evaluated(CLEAN))
    assert rest is not None
    x = rest.upright.lcf_m
    made = with_thing(CLEAN, BOX, name="Stones", mass_kg=kg, length_m=0.1, width_m=0.1,
                      height_m=0.02)  # fmt: skip
    before = evaluated(CLEAN).once(full_drag)
    after = evaluated(put(made, BOX, x, 0.0, z_m=0.1)).once(full_drag)
    assert before is not None
    assert after is not None
    speeds = np.array([1.1, 1.3, 1.6])
    assert (after.drag.friction_n(speeds) >= before.drag.friction_n(speeds)).all()
    assert (after.drag.wave_n(speeds) >= 0.97 * before.drag.wave_n(speeds)).all()


def test_held_by_the_side_it_pulls_many_times_as_hard() -> None:
    ev = evaluated(CLEAN)
    bow, stern, side = (pull_n(ev, end, 0.8, 0.0) for end in ("bow", "stern", "side"))
    assert stern == pytest.approx(typical.ASTERN * bow)
    assert side > 5 * bow


def test_evaluated_after_another_it_is_the_same_to_the_last_digit() -> None:
    first = evaluated(boxed(3.0, 0.0, 0.8))
    first.once(full_drag)
    moved = boxed(2.9, 0.1, 0.8)
    after = evaluated(moved, before=first).once(full_drag)
    cold = evaluated(moved).once(full_drag)
    assert after is not None
    assert cold is not None
    assert after.drag.in_the_wind == cold.drag.in_the_wind
    assert after.drag.wetted_area_m2 == cold.drag.wetted_area_m2


def test_a_thing_ashore_is_in_nobodys_way() -> None:
    ev = evaluated(without(boxed(3.0, 0.0, 0.8), BOX))
    assert BOX not in ev.once(outside_full).thing_ids


def test_the_bare_boat_is_the_boat_emptied_of_all_that_is_not_its_own() -> None:
    own = {i for i in FULL.places if (t := FULL.things[i]).part is not None and t.motor is None}
    worn = {i for i, place in FULL.places.items() if isinstance(place.on, OnBody)}
    emptied = without(FULL, *(FULL.places.keys() - own - worn))
    full, bare = evaluated(FULL).once(bare_drag), evaluated(emptied).once(bare_drag)
    assert full is not None
    assert bare is not None
    assert bare.hanging == full.hanging
    assert bare.standing.front_m2 == pytest.approx(full.standing.front_m2)
    assert bare.standing.side_m2 == pytest.approx(full.standing.side_m2)
    assert bare.drag.wetted_area_m2 == pytest.approx(full.drag.wetted_area_m2)


@pytest.mark.parametrize("ashore", [CRATE, PADDLE])
def test_what_goes_ashore_leaves_the_bare_boat_as_from_nothing(ashore: int) -> None:
    setup = put(FULL, PADDLE, 1.1)
    first = evaluated(setup)
    first.once(bare_drag)
    less = without(setup, *(i for i in setup.places if i == ashore))
    after = evaluated(less, before=first).once(bare_drag)
    cold = evaluated(less).once(bare_drag)
    assert after is not None
    assert cold is not None
    assert after.standing.front_m2.tolist() == cold.standing.front_m2.tolist()
    assert after.hanging == cold.hanging
