"""A whole setup: figures, verdicts, words for places, and how they came about."""

import pytest
from tests.judged import put
from tests.subjects.glide.goings import with_thing

from neat_hull.editing.starting import FirstMeasures, starting_setup
from neat_hull.errors import DoesNotFloat, InputErrors, NoBalance
from neat_hull.files.demo import demo_setups
from neat_hull.model.judging import Judging, School
from neat_hull.model.load import Weight
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.whole.drawing import drawing
from neat_hull.whole.evaluate import evaluate, evaluated, live, require_afloat
from neat_hull.whole.how import explain, figures
from neat_hull.whole.registry import base_limits

FIRST = FirstMeasures(
    setup_name="s", boat_name="b", length_m=3.4, beam_m=0.82, beam_fore_quarter_m=0.6,
    beam_aft_quarter_m=0.7, depth_m=0.33, bottom="flat", hull_mass_kg=28.0, hull_evidence="guess",
    rated_kg=None, angler_name="a", angler_mass_kg=78.0, angler_evidence="weighed", stature_m=1.7,
    water="fresh",
)  # fmt: skip


def demo() -> Setup:
    """The full demo setup."""
    return demo_setups()[0]


def equipped() -> Setup:
    """The full demo setup, with a motor and a pole that holds."""
    made = with_thing(demo(), 901, name="Motor", shape="pole", mass_kg=8.0, length_m=0.9,
                      width_m=0.1, height_m=0.1, motor={"thrust_n": 150.0})  # fmt: skip
    made = with_thing(made, 902, name="Stake", shape="pole", mass_kg=1.0, length_m=2.4,
                      width_m=0.02, height_m=0.02, anchor={"by": "pole"})  # fmt: skip
    made = made.model_copy(update={"day": "2026-06-21"})
    return put(put(made, 901, 0.3, z_m=0.5), 902, 1.0, -0.35)


def at(setup: Setup, name: str, **place: float | None) -> Setup:
    """The setup with one thing put elsewhere."""
    thing_id = next(i for i, thing in setup.things.items() if thing.name == name)
    there = {"x_m": 1.8, "y_m": 0.0, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0} | place
    return setup.model_copy(
        update={"places": setup.places | {thing_id: Place.model_validate(there)}}
    )


def test_the_demo_adds_up() -> None:
    setup = demo()
    figures = evaluate(setup)
    gear = sum(setup.things[i].mass_kg for i in setup.places)
    assert figures.weight.carried_kg == pytest.approx(82.0 + gear)
    assert figures.weight.all_up_kg == pytest.approx(82.0 + gear + 33.5)
    assert figures.strip is not None
    assert sum(figures.strip.weight_kg) == pytest.approx(figures.weight.all_up_kg)
    assert figures.afloat is not None
    assert figures.afloat.draft_aft_m > figures.afloat.draft_fwd_m


def test_a_heavy_thing_aft_puts_the_stern_down() -> None:
    before, after = evaluate(demo()), evaluate(at(demo(), "Full bait tank", x_m=0.4))
    assert before.afloat is not None
    assert after.afloat is not None
    assert after.afloat.trim_deg > before.afloat.trim_deg + 1
    assert after.afloat.trim_verdict in ("fix", "stop")


def test_a_heavy_thing_to_starboard_heels_to_starboard() -> None:
    figures = evaluate(at(demo(), "Full bait tank", y_m=-0.3))
    assert figures.afloat is not None
    assert figures.afloat.heel_deg > 4
    assert figures.afloat.heel_verdict == "stop"
    assert figures.afloat.offset_moment_kg_m < 0


def test_a_thing_without_a_height_rests_on_floor_or_deck() -> None:
    setup = demo()
    rows = {setup.things[row.thing_id].name: row for row in evaluate(setup).aboard}
    assert rows["Tackle crate"].base_z_m == pytest.approx(0.19)  # the floor of the tank well
    assert rows["Anchor with 40 m line"].base_z_m > 0.36  # the deck sweeps up to the stern
    assert rows["Rudder"].base_z_m == pytest.approx(0.16)
    assert not rows["Rudder"].rests


def test_things_are_listed_bow_to_stern_and_named_by_place() -> None:
    setup = demo()
    rows = evaluate(setup).aboard
    xs = [row.x_m for row in rows if row.depth == 0]
    assert xs == sorted(xs, reverse=True)
    where = {setup.things[row.thing_id].name: row.where for row in rows}
    assert where["Clothes dry bag"] == "Foredeck"
    assert where["Pedal drive"] == "Between the legs"
    assert where["Tackle crate"] == "Tank well"
    assert where["Rudder"] == "Stern"
    assert where["Pliers and grip"] == "Beside the seat"


def test_the_tip_of_a_rod_points_where_it_is_turned_and_tilted() -> None:
    """2.1 m at 90° to port and 30° up: 1.05 m higher, 1.819 m to port, no further forward."""
    setup = at(demo(), "Spare rod", x_m=1.0, y_m=0.1, z_m=0.3, turn_deg=90.0, tilt_deg=30.0)
    thing_id = next(i for i, t in setup.things.items() if t.name == "Spare rod")
    row = next(r for r in evaluate(setup).aboard if r.thing_id == thing_id)
    assert row.tip == pytest.approx((1.0, 0.1 + 2.1 * 0.8660254, 0.3 + 1.05))


def test_a_boat_that_rolls_over_is_an_answer_when_tried_and_refused_when_kept() -> None:
    top_heavy = at(demo(), "Full bait tank", z_m=2.9)
    figures = evaluate(top_heavy)
    assert figures.afloat is None
    assert figures.trouble is not None
    assert "rolls over" in figures.trouble
    with pytest.raises(NoBalance):
        require_afloat(top_heavy)


def test_a_boat_that_cannot_carry_its_load_is_refused() -> None:
    setup = demo()
    boat = setup.boat.model_copy(update={"hull_mass_kg": 400.0})
    heavy = {i: t.model_copy(update={"mass_kg": 300.0}) for i, t in setup.things.items()}
    with pytest.raises(DoesNotFloat):
        require_afloat(setup.model_copy(update={"boat": boat, "things": heavy}))


@pytest.mark.parametrize(
    ("value", "verdict"), [(0.15, "fine"), (0.1499, "watch"), (0.05, "fix"), (0.049, "stop")]
)
def test_rising_levels_judge_from_below(value: float, verdict: str) -> None:
    assert base_limits()["gm"].verdict(value) == verdict


@pytest.mark.parametrize(
    ("value", "verdict"), [(0.7, "fine"), (0.71, "watch"), (3.0, "fix"), (3.01, "stop")]
)
def test_falling_levels_judge_from_above(value: float, verdict: str) -> None:
    assert base_limits()["trim"].verdict(value) == verdict


def test_over_the_rating_is_a_stop_whatever_the_share() -> None:
    setup = demo()
    rated = setup.boat.model_copy(update={"rated_kg": 120.0, "working_share": 1.0})
    assert evaluate(setup.model_copy(update={"boat": rated})).weight.verdict == "stop"
    assert base_limits()["share"].verdict(1.2) == "fix"


def test_without_a_rating_weight_is_judged_by_freeboard_or_not_at_all() -> None:
    setup = demo()
    bare = setup.boat.model_copy(update={"rated_kg": None})

    def weight(school: School) -> Weight:
        judging = Judging(school=school)
        return evaluate(setup.model_copy(update={"boat": bare, "judging": judging})).weight

    assert (weight("working share").verdict, weight("working share").working_kg) == (None, None)
    assert weight("tightest").verdict == "fine"
    assert weight("tightest").limit_kg == weight("tightest").freeboard_kg


@pytest.mark.parametrize("figure", figures())
def test_every_figure_lays_itself_open(figure: str) -> None:
    how = explain(evaluated(equipped()), figure)
    assert how.rows
    assert how.plain


def test_gm_is_the_sum_of_its_laid_open_parts() -> None:
    """At 1° of trim the plumb line differs from the mast by under a millimetre."""
    rows = {row.label: row.value for row in explain(evaluated(demo()), "gm").rows}
    parts = (
        rows["Centre of lift above the bottom (KB)"]
        + rows["Waterplane's part (BM)"]
        - rows["Centre of weight above the bottom (KG)"]
    )
    afloat = evaluate(demo()).afloat
    assert afloat is not None
    assert rows["GM"] == pytest.approx(afloat.gm_m)
    assert parts == pytest.approx(rows["GM"], abs=1e-3)


def test_first_measures_become_a_boat_that_floats_level() -> None:
    setup = starting_setup(FIRST)
    figures = live(require_afloat(setup))
    assert figures.afloat is not None
    assert abs(figures.afloat.trim_deg) < 3
    assert figures.afloat.heel_deg == pytest.approx(0, abs=1e-6)
    assert drawing(setup).brace_gap_m == pytest.approx(0, abs=1e-9)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"length_m": -1.0}, "tape.length_m"),
        ({"beam_m": 5.0}, "tape.beam_m"),
        ({"angler_mass_kg": 3.0}, "angler.mass_kg"),
    ],
)
def test_first_measures_that_mean_nothing_are_refused(change: dict[str, float], field: str) -> None:
    with pytest.raises(InputErrors) as refused:
        require_afloat(starting_setup(FIRST.model_copy(update=change)))
    assert field in [e.field for e in refused.value.errors]


def test_the_drawing_is_of_the_hull_that_floats() -> None:
    lines = drawing(demo())
    assert 2 * max(lines.half_breadth_m) == pytest.approx(0.88, rel=3e-3)
    assert lines.x_m[-1] == pytest.approx(3.66)
    assert max(y for y, _ in lines.section) == pytest.approx(max(lines.half_breadth_m))
    assert all(keel <= sheer for keel, sheer in zip(lines.keel_z_m, lines.sheer_z_m, strict=True))


def test_a_sit_in_is_dry_until_its_rim_goes_under() -> None:
    """And one sits lower in it, hence steadier, than on top of the same hull."""
    inside = evaluate(starting_setup(FIRST.model_copy(update={"sit_in": True})))
    on_top = evaluate(starting_setup(FIRST))
    assert inside.afloat is not None
    assert on_top.afloat is not None
    (well,) = inside.afloat.wells
    assert (well.scuppers, well.flooded, well.verdict) == ("plugged", False, "fine")
    assert inside.afloat.gm_m > on_top.afloat.gm_m + 0.05
