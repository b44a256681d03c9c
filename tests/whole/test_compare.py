"""Setups side by side: differences are of the figures themselves."""

import pytest
from tests.judged import CLEAN, CRATE, FISH_BAG, FULL, PFD, known, put, without
from tests.places import on

from neat_hull.model.comparison import Comparison, FigureRow
from neat_hull.model.setup import Setup
from neat_hull.whole.compare import compare
from neat_hull.whole.evaluate import evaluate, evaluated


def side_by_side(*setups: Setup) -> Comparison:
    """By their names."""
    return compare([(setup.name, evaluated(setup)) for setup in setups])


def row(found: Comparison, label: str) -> FigureRow:
    """A line of the figures."""
    return next(one for one in found.figures if one.label == label)


def test_figures_are_those_of_each_and_changes_are_off_the_first() -> None:
    found = side_by_side(CLEAN, FULL)
    one, other = evaluate(CLEAN), evaluate(FULL)
    assert one.afloat is not None
    assert other.afloat is not None
    for label, was, now in (
        ("Carried", one.weight.carried_kg, other.weight.carried_kg),
        ("GM", one.afloat.gm_m, other.afloat.gm_m),
        ("Trim, bow up", one.afloat.trim_deg, other.afloat.trim_deg),
    ):
        assert row(found, label).values == [was, now]
        assert row(found, label).changes == pytest.approx([0.0, now - was])
    assert row(found, "No-go").values == [0.0, 1.0]


def test_weights_by_place_sum_to_the_gear_and_run_from_bow_to_stern() -> None:
    found = side_by_side(CLEAN, FULL)
    for i, setup in enumerate((CLEAN, FULL)):
        gear = evaluate(setup).weight.gear_kg
        assert sum(one.mass_kg[i] for one in found.weights) == pytest.approx(gear)
    places = [one.where for one in found.weights]
    assert places.index("Foredeck") < places.index("Tank well") < places.index("Stern")


def test_what_moved_is_marked_and_what_did_not_is_not() -> None:
    other = put(FULL, CRATE, 0.10, 0.03, on=on("well", name="tank well"))
    _, side = side_by_side(FULL, other).sides
    moved = {one.thing_id for one in side.outlines if one.moved}
    assert CRATE in moved
    assert FISH_BAG not in moved
    turned = put(FULL, FISH_BAG, -0.19, turn_deg=20.0, on=on("well", name="tank well"))
    _, side = side_by_side(FULL, turned).sides
    assert {one.thing_id for one in side.outlines if one.moved} == {FISH_BAG}


def test_findings_lost_and_gained_are_against_the_first() -> None:
    worn = put(FULL, PFD, 0.0, on=on("body"))
    heavy = known(without(worn, CRATE), FISH_BAG, mass_kg=9.5)
    first, second, third = side_by_side(FULL, worn, heavy).sides
    assert (first.gained, first.lost) == ([], [])
    assert [one.code for one in second.lost] == ["no-pfd-worn"]
    assert second.gained == []
    assert any(one.thing_id == FISH_BAG and one.verdict == "fix" for one in third.gained)
    assert len(third.findings) == len(evaluate(heavy).findings)


def test_one_that_sinks_stands_beside_the_others_without_figures() -> None:
    sunk = known(FULL, CRATE, mass_kg=290.0, evidence="weighed")
    deep = known(sunk, FISH_BAG, mass_kg=290.0)
    found = side_by_side(FULL, deep)
    assert row(found, "GM").values[1] is None
    assert row(found, "GM").changes[1] is None
    assert any(one.code == "does-not-float" for one in found.sides[1].gained)
