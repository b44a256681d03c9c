"""A setup through its day: closed forms, splits and orders that change nothing, the worst of it."""

from datetime import date
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import ANCHOR, CLEAN, FISH_BAG, FULL, TRAY, put
from tests.judged import TANK as BAIT
from tests.subjects.day.days import BOX, SUMMER, boxed, dark, iced, leaning, out

from neat_hull.errors import InputError
from neat_hull.model.day_figures import DayFigures, FullDay
from neat_hull.model.day_plan import (
    Catch,
    DayPhase,
    DayPlan,
    Filled,
    Fish,
    Moved,
    Swapped,
    Tank,
    Used,
    Wet,
)
from neat_hull.model.setup import Setup
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.day import full as by_rounds
from neat_hull.subjects.day.figures import clock_text, day
from neat_hull.subjects.day.full import full_day, full_day_rounds
from neat_hull.subjects.day.how import HOW
from neat_hull.subjects.day.moves import works
from neat_hull.subjects.day.setting import day_on, offset_h
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.judge import judge


def live(setup: Setup) -> DayFigures:
    """All that is live."""
    found = evaluated(setup).once(day)
    assert found is not None
    return found


def full(setup: Setup) -> FullDay:
    """All of it."""
    return full_day(evaluated(setup))


def test_nobody_is_told_of_hours_who_has_not_said_how_the_day_goes() -> None:
    silent = CLEAN.model_copy(update={"outing": out().outing.model_copy(update={"phases": None})})
    assert evaluated(silent).once(day) is None
    assert not [one for one in evaluate(silent).findings if one.topic == "day"]
    with pytest.raises(InputError, match="you have not said"):
        full(silent)


def test_a_day_of_constant_loads_lies_as_the_boat_does() -> None:
    found, rest = full(out()), at_rest(evaluated(out()))
    assert rest is not None
    afloat = [row for row in found.rows if row.kind == "fish"]
    for row in afloat:
        assert row.list_deg == pytest.approx(_deg(rest.equilibrium.heel_rad), abs=0.02)
        assert row.trim_deg == pytest.approx(_deg(rest.equilibrium.trim_rad), abs=0.005)
        assert row.freeboard_m == pytest.approx(rest.equilibrium.least_freeboard_m, abs=3e-4)
        assert row.gm_m == pytest.approx(rest.upright.gm_m, abs=1e-6)
    assert all(row.list_deg is None for row in found.rows if row.kind == "haul out")


def _deg(rad: float) -> float:
    return rad * 57.29577951308232


def test_drink_goes_by_its_rate_and_stays_at_nothing() -> None:
    made = out(boxed(kg=1.0), stores={"water": Used(thing=BOX, rate_kg_h=0.5)})
    kg = {row.h: row.kg["water"] for row in full(made).rows}
    assert kg[9.0] == pytest.approx(0.5)
    assert kg[11.0] == 0.0
    (gone,) = live(made).gone
    assert gone.h == pytest.approx(10.0)


def test_ice_melts_by_what_comes_through_its_walls() -> None:
    """1 W/K over 25 K is 0.2695 kg an hour; twice the ice lasts twice as long."""
    (one,), (two,) = live(iced(0.4)).gone, live(iced(0.8)).gone
    assert one.h is not None
    assert two.h is not None
    assert one.h - 8.0 == pytest.approx(0.4 * 334000 / (3600 * 25), rel=1e-6)
    assert two.h - 8.0 == pytest.approx(2 * (one.h - 8.0), rel=1e-6)


def test_a_fish_takes_its_warmth_out_of_the_ice() -> None:
    """5 kg at 18 °C melt 0.97 kg."""
    made = iced(3.0, air_c=0.0)
    stores = {**made.outing.stores, "catch": Catch(thing=BOX, rate_kg_h=0.0,
                                                   fish=[Fish(h=9.0, kg=5.0)])}  # fmt: skip
    plan = made.outing.model_copy(update={"stores": stores})
    made = made.model_copy(update={"outing": plan, "water_temp_c": 18.0})
    rows = full(made).rows
    before = next(row for row in rows if row.h == 9.0 and row.side == "before")
    after = next(row for row in rows if row.h == 9.0 and row.side == "after")
    assert before.ice_kg["ice"] - after.ice_kg["ice"] == pytest.approx(5 * 3600 * 18 / 334000)
    assert after.total_kg - before.total_kg == pytest.approx(5.0)


def test_a_fish_on_a_stringer_hardly_weighs() -> None:
    stores = {"catch": Catch(rate_kg_h=2.0, x_m=1.0, y_m=0.3)}
    last = [row for row in full(out(stores=stores)).rows if row.kind == "fish"][-1]
    assert last.kg["catch"] == pytest.approx(0.05 * 8.0)


def test_a_tank_fills_and_empties_and_its_liquid_runs() -> None:
    made = put(FULL, BAIT, 1.0, 0.0)
    stores = {"tank": Tank(thing=BAIT, events=[Filled(h=9.0, share=0.5), Filled(h=11.0, share=0)])}
    rows = full(out(made, stores=stores)).rows
    most = FULL.things[BAIT].mass_kg - (FULL.things[BAIT].fill.empty_kg or 0)  # type: ignore[union-attr]
    at = {(row.h, row.side): row for row in rows}
    assert at[9.0, "after"].kg["tank"] == pytest.approx(most / 2)
    assert at[11.0, "after"].kg["tank"] == 0.0
    half, empty = at[9.0, "after"], at[11.0, "after"]
    assert half.gm_m is not None
    assert empty.gm_m is not None
    assert half.gm_m < empty.gm_m


@given(st.floats(0.5, 3.5))
@examples(8)
def test_a_phase_in_two_parts_is_the_same_day(first: float) -> None:
    stores: dict[str, Any] = {"catch": Catch(thing=BOX, rate_kg_h=2.0), "wet": Wet()}
    whole = out(boxed(y=0.2), stores=stores)
    parts = [
        DayPhase(kind="fish", hours=first),
        DayPhase(kind="fish", hours=4.0 - first),
        DayPhase(kind="haul out", hours=0.5),
    ]
    split = out(boxed(y=0.2), phases=parts, stores=stores)
    one, two = live(whole).worst, live(split).worst
    assert one is not None
    assert two is not None
    assert (one.figure, round(one.h, 6)) == (two.figure, round(two.h, 6))
    assert one.value == pytest.approx(two.value, abs=1e-6)


def test_the_order_of_stores_changes_nothing() -> None:
    stores: dict[str, Any] = {
        "water": Used(thing=BOX, rate_kg_h=0.3), "catch": Catch(rate_kg_h=1.0), "wet": Wet(),
    }  # fmt: skip
    turned = dict(reversed(stores.items()))
    one, two = live(out(boxed(), stores=stores)), live(out(boxed(), stores=turned))
    assert [row.value for row in one.figures] == pytest.approx([row.value for row in two.figures])


def test_mirrored_stores_mirror_the_list() -> None:
    port, starboard = ([row.list_deg for row in full(leaning(y)).rows if row.list_deg is not None]
                       for y in (0.3, -0.3))  # fmt: skip
    start = full(out()).rows[0].list_deg
    assert start is not None
    for p, s in zip(port, starboard, strict=True):
        assert p - start == pytest.approx(start - s, abs=0.1)


def test_the_worst_hour_is_the_last_of_a_growing_catch_and_names_it() -> None:
    found = live(leaning(0.35))
    worst = next(one for one in found.figures if one.figure == "list_deg")
    assert worst.h == 12.0
    assert worst.causes[0].store == "catch"
    assert worst.causes[0].kg == pytest.approx(12.0)
    assert worst.causes[0].by == pytest.approx(12.0 * 0.35, rel=1e-3)


def test_the_live_hours_are_those_of_the_full_day() -> None:
    """What changes goes straight between the turns, so the worst is at one of them."""
    made = out(boxed(y=0.3), stores={"catch": Catch(thing=BOX, rate_kg_h=2.0), "wet": Wet()})
    one, two = live(made), full(made).figures
    for a, b in zip(one.figures, two.figures, strict=True):
        assert (a.figure, a.h) == (b.figure, b.h)
        assert a.value == pytest.approx(b.value, abs=1e-9)


def test_an_anchor_is_over_the_side_while_it_holds_and_its_line_pulls() -> None:
    phases = [DayPhase(kind="fish", hours=1.0), DayPhase(kind="anchored", hours=1.0)]
    made = out(FULL, phases=phases)
    at = {(row.h, row.side): row for row in full(made).rows}
    before, after = at[9.0, "before"], at[9.0, "after"]
    away = before.total_kg - after.total_kg
    assert 0 < away < FULL.things[ANCHOR].mass_kg
    kept = out(FULL, phases=phases, away={FISH_BAG: ["anchored"]})
    gone = {(row.h, row.side): row for row in full(kept).rows}
    assert gone[9.0, "before"].total_kg - gone[9.0, "after"].total_kg == pytest.approx(
        away + FULL.things[FISH_BAG].mass_kg
    )


def test_what_moves_at_an_hour_is_elsewhere_from_then_on() -> None:
    made = out(boxed(y=0.3, kg=4.0), moves=[Moved(h=10.0, thing=BOX, x_m=1.2, y_m=-0.3)])
    at = {(row.h, row.side): row.list_deg for row in full(made).rows}
    before, after = at[10.0, "before"], at[10.0, "after"]
    assert before is not None
    assert after is not None
    assert after - before > 0.5, "from port to starboard"


def test_a_swap_trades_two_places_and_feeds_on() -> None:
    made = put(FULL, TRAY, 1.0, 0.3)
    swapped = out(made, hours=12.0, swaps=[Swapped(h=10.0, battery=5, spare=TRAY)])
    packs = live(swapped).packs
    assert [one.battery for one in packs] == [5, TRAY]
    assert packs[0].left_wh > 0
    assert packs[1].left_wh < packs[1].usable_wh


def test_the_sun_is_told_by_place_day_and_zone() -> None:
    sun = live(dark(3.0)).sun
    assert sun is not None
    assert sun.set_h == pytest.approx(20.2, abs=0.15)
    assert sun.lights_h == pytest.approx(21.0 - (sun.set_h or 0), abs=0.01)
    assert live(out()).sun is None, "nobody said where"
    one = evaluated(out(zone="Europe/Nowhere", latitude_deg=50.0))
    assert offset_h(one, date(2026, 6, 21)) == 0.0
    assert offset_h(evaluated(out(**SUMMER)), date(2026, 6, 21)) == 1.0
    assert day_on(evaluated(out())) == date(2026, 6, 21)


@pytest.mark.parametrize(("hour", "text"), [(13.5, "13:30"), (25.25, "1:15"), (11.875, "11:53")])
def test_hours_are_told_by_the_clock(hour: float, text: str) -> None:
    assert clock_text(hour) == text


def test_what_is_offered_for_ice_helps() -> None:
    ev = evaluated(iced(0.5))
    finding = next(one for one in judge(ev) if one.code == "day-ice")
    left = []
    for work in works(ev, finding):
        after = judge(evaluated(iced(0.5).model_copy(update=dict(work.sections))))
        left += [one.badness for one in after if one.key == finding.key] or [0.0]
    assert left
    assert min(left) <= finding.badness


def test_a_lean_at_each_hour_leaves_less_side_and_every_figure_is_laid_open() -> None:
    made = out(iced(2.0), hours=2.0, stores=iced(2.0).outing.stores, **SUMMER)
    for row in full(made).rows:
        if row.freeboard_m is not None and row.lean_freeboard_m is not None:
            assert row.lean_freeboard_m < row.freeboard_m
    ev = evaluated(made)
    for how in HOW.values():
        assert how(ev).rows


def test_a_long_day_comes_in_rounds_that_say_how_far_it_is() -> None:
    phases = [{"kind": "fish", "hours": 2.4, "air_c": 20.0}] * 19
    plan = FULL.outing.model_dump() | {"phases": [*phases, {"kind": "haul out", "hours": 0.5}]}
    long = FULL.model_copy(update={"outing": DayPlan.model_validate(plan)})
    *before, last = full_day_rounds(evaluated(long))
    assert [one.day for one in before] == [None] * len(before)
    done = [one.done for one in (*before, last)]
    assert len(before) > 1
    assert done == sorted(set(done))
    assert last.day is not None
    assert done[-1] == last.total == len(last.day.rows)


def test_in_how_many_rounds_a_day_is_floated_is_nothing(monkeypatch: pytest.MonkeyPatch) -> None:
    whole = full_day(evaluated(FULL))
    monkeypatch.setattr(by_rounds, "_AT_ONCE", 11)
    parts = full_day(evaluated(FULL))
    assert [row.h for row in parts.rows] == [row.h for row in whole.rows]
    for one, other in zip(parts.rows, whole.rows, strict=True):
        assert one.total_kg == other.total_kg
        for name in ("list_deg", "trim_deg", "freeboard_m", "gm_m", "lean_freeboard_m"):
            a, b = getattr(one, name), getattr(other, name)
            assert (a is None) == (b is None)
            assert a is None or a == pytest.approx(b, abs=0.02)
    assert parts.figures.worst is not None
    assert whole.figures.worst is not None
    assert parts.figures.worst.h == whole.figures.worst.h
