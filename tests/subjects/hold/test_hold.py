"""How a setup is held: where it may be held, how hard it pulls, what that asks of its gear."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import put
from tests.subjects.glide.goings import motored, with_thing
from tests.subjects.hold.holdings import SHELF, anchored, asked, held, poled, roped

from neat_hull.model.hold import Trolley
from neat_hull.model.hold_figures import HoldFigures
from neat_hull.model.setup import Setup
from neat_hull.rig.held_at import held_at, held_end
from neat_hull.subjects.demands.figures import readings
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.hold.full import full_hold
from neat_hull.subjects.hold.moves import works
from neat_hull.whole.evaluate import evaluated
from neat_hull.whole.judge import judge


def holding(setup: Setup) -> HoldFigures:
    """Its live figures."""
    found = evaluated(setup).once(hold)
    assert found is not None
    return found


def test_held_by_its_bow_it_lies_in_line_and_near_its_middle_it_does_not() -> None:
    bow, middle = holding(anchored(at=3.5)), holding(anchored(at=2.0))
    assert bow.lies.off_line_deg == pytest.approx(0.0, abs=0.1)
    assert middle.lies.off_line_deg > 20
    assert middle.lies.pull_n > 1.2 * bow.lies.pull_n


@given(st.floats(0.2, 1.4))
@examples(10)
def test_twice_the_current_pulls_more_than_three_times_as_hard(current: float) -> None:
    one, two = holding(anchored(current=current / 2)), holding(anchored(current=current))
    assert two.lies.pull_n > 3 * one.lies.pull_n


def test_the_line_leads_to_where_current_comes_from() -> None:
    """A current toward the south, and the boat held by the bow: it heads north."""
    heading = holding(anchored()).lies.heading_deg
    assert min(heading, 360 - heading) < 0.5


def test_the_line_out_is_by_scope_and_never_more_than_there_is() -> None:
    one = holding(anchored(scope=5.0)).anchor
    assert one is not None
    assert one.line_m == pytest.approx(5.0 * one.height_m)
    short = holding(anchored(scope=10.0, rope_m=12.0)).anchor
    assert short is not None
    assert short.line_m == pytest.approx(14.0)


def test_an_anchor_that_is_one_with_its_line_weighs_what_that_leaves() -> None:
    """2 m of chain of 0.8 kg and 60 m of 6 mm at 22 g a metre, of 5 kg."""
    one = holding(anchored(mass_kg=5.0)).anchor
    assert one is not None
    assert one.mass_kg == pytest.approx(5.0 - 1.6 - 60 * 0.00061 * 36, rel=1e-6)


def test_a_line_that_floats_pulls_straight_and_chain_keeps_it_down() -> None:
    """sin α = 1/scope for a line that weighs nothing."""
    light = holding(anchored(scope=5.0, chain_m=0.0, sinks=False)).anchor
    heavy = holding(anchored(scope=5.0, chain_m=4.0)).anchor
    assert light is not None
    assert light.angle_at_anchor_deg == pytest.approx(11.537, abs=0.01)
    assert heavy is not None
    assert heavy.angle_at_anchor_deg == pytest.approx(0.0)
    assert heavy.on_bottom_m > 0  # type: ignore[operator]


def test_a_line_too_short_never_gets_there() -> None:
    one = holding(anchored(rope_m=2.0, chain_m=0.0)).anchor
    assert one is not None
    assert not one.reaches_bottom
    assert one.holding_n is None
    assert one.down_n == 0.0


def test_a_pole_stands_in_sand_and_not_in_rock() -> None:
    one = holding(poled()).pole
    assert one is not None
    assert one.limited_by == "length"
    rock = holding(poled(bottom="rock"))
    assert rock.pole is None
    assert rock.rock


def test_two_poles_bear_half_of_what_comes_across_each() -> None:
    one, two = holding(poled()).pole, holding(poled(two_poles=True)).pole
    assert one is not None
    assert two is not None
    side = full_hold(evaluated(poled())).by_the_side_n
    assert two.pull_n == pytest.approx(side / 2)


def test_the_pull_of_the_situations_is_that_of_the_hull_itself() -> None:
    """Current and wind along the line: the demand and the lie at anchor pull alike."""
    setup = anchored(wind=6.0)
    reading = {one.code: one for one in evaluated(setup).once(readings)}
    assert "anchor bow" in reading
    astern = {one.code for one in evaluated(anchored(at=0.1)).once(readings)}
    assert "anchor stern" in astern


def test_where_the_line_leaves_is_as_set_or_the_bow() -> None:
    assert evaluated(anchored(at=1.0)).once(held_at)[0] == pytest.approx(1.0)
    nobody = held(anchored(), at_x_m=None)
    assert evaluated(nobody).once(held_at)[0] == evaluated(nobody).rigged.floating.hull.x_fwd_m
    assert (held_end(anchored(at=0.3)), held_end(nobody)) == ("stern", "bow")


def test_held_and_by_the_side_in_full() -> None:
    full = full_hold(evaluated(anchored(wind=5.0)))
    assert full.held.least_freeboard_m is not None
    assert full.by_the_side.heel_deg is not None
    assert abs(full.by_the_side.heel_deg) > abs(full.held.heel_deg or 0.0)
    assert full.surge_n > 0
    assert full.line[0] == (0.0, 0.0)
    anchor = holding(anchored(wind=5.0)).anchor
    assert anchor is not None
    assert full.line[-1] == pytest.approx((anchor.distance_m, anchor.height_m), abs=1e-6)


def test_nothing_that_holds_and_nothing_that_pulls_have_no_figures() -> None:
    assert evaluated(asked(anchored(), current_m_s=0.0, wind_m_s=0.0)).once(hold) is None
    assert full_hold(evaluated(asked(anchored(), current_m_s=0.0, wind_m_s=0.0))).elsewhere == []


def test_a_motor_that_holds_takes_power_and_hours() -> None:
    calm = holding(asked(motored(holds=True), current_m_s=0.4, wind_m_s=2.0)).hover
    storm = holding(asked(motored(holds=True), current_m_s=2.5, wind_m_s=12.0)).hover
    assert calm is not None
    assert calm.power_w is not None
    assert calm.hours is not None
    assert storm is not None
    assert storm.step is None


def test_a_rope_along_the_side_rubs_on_what_hangs_over_it() -> None:
    free = holding(roped(0.03)).rope
    assert free is not None
    assert free.meets == []
    assert free.in_reach
    hull = evaluated(roped(0.03)).rigged.floating.hull
    half, height = hull.gunwale_m(2.6)
    made = with_thing(roped(0.03), SHELF, name="Shelf", mass_kg=0.3, length_m=0.2, width_m=0.2,
                      height_m=0.1)  # fmt: skip
    rubbed = holding(put(made, SHELF, 2.6, -half, z_m=height)).rope
    assert rubbed is not None
    assert rubbed.meets == ["Shelf"]


def test_a_rope_far_from_the_seat_is_out_of_reach() -> None:
    far = holding(anchored(trolley=Trolley(aft_x_m=3.2, fwd_x_m=3.5))).rope
    assert far is not None
    assert not far.in_reach


@pytest.mark.parametrize(
    ("setup", "code", "words"),
    [
        (anchored(at=2.05), "hold-oblique", "farther to the bow"),
        (anchored(scope=3.0, chain_m=0.0), "hold-lifts", "more line out"),
    ],
)
def test_a_finding_has_a_way_out_that_clears_it(setup: Setup, code: str, words: str) -> None:
    ev = evaluated(setup)
    finding = next(one for one in ev.once(judge) if one.code == code)
    ways = [one for one in works(ev, finding) if words in one.words.text]
    assert ways
    after = setup.model_copy(update=dict(ways[-1].sections))
    assert code not in {one.code for one in evaluated(after).once(judge)}
