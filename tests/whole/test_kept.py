"""What is kept from the evaluation before: the answer is the one worked out from nothing."""

import math
from collections.abc import Callable
from typing import Any

from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CRATE, FULL

from neat_hull.errors import InputErrors
from neat_hull.model.figures import QuickFigures
from neat_hull.model.judging import Accepted, MovedLimit
from neat_hull.model.place import OnThing, OnWell, Place
from neat_hull.model.sections import Sections
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE, Beside
from neat_hull.rig.evaluated import Evaluated
from neat_hull.whole.evaluate import evaluate, evaluated, live, quick

FOUND = evaluate(FULL).findings
Draw = Callable[[st.SearchStrategy[Any]], Any]


def moved(setup: Setup, draw: Draw) -> Setup:
    thing_id = draw(st.sampled_from(sorted(setup.places)))
    place = setup.places[thing_id]
    by = draw(st.sampled_from([0.0, 0.001, -0.02, 0.15, -0.6]))
    update: dict[str, Any] = {"x_m": place.x_m + by} if draw(st.booleans()) else {"turn_deg": 90.0}
    return put(setup, thing_id, place.model_copy(update=update))


def put(setup: Setup, thing_id: int, place: Place) -> Setup:
    return setup.model_copy(update={"places": {**setup.places, thing_id: place}})


def put_in_the_crate(setup: Setup, draw: Draw) -> Setup:
    loose = [
        i for i, p in setup.places.items()
        if i != CRATE and isinstance(p.on, OnWell | None) and setup.things[i].shape == "box"
    ]  # fmt: skip
    if CRATE not in setup.places or not loose:
        return setup
    inside = Place(x_m=0.0, y_m=0.05, z_m=None, turn_deg=0.0, tilt_deg=0.0,
                   on=OnThing(thing=CRATE, where="in"))  # fmt: skip
    return put(setup, draw(st.sampled_from(loose)), inside)


def ashore_or_aboard(setup: Setup, draw: Draw) -> Setup:
    thing_id = draw(st.sampled_from(sorted(setup.things)))
    holds = {p.on.thing for p in setup.places.values() if isinstance(p.on, OnThing)}
    if thing_id in setup.places:
        left = {i: p for i, p in setup.places.items() if i != thing_id}
        return setup if thing_id in holds else setup.model_copy(update={"places": left})
    return put(setup, thing_id, Place(x_m=2.4, y_m=0.1, z_m=None, turn_deg=0.0, tilt_deg=0.0))


def heavier(setup: Setup, draw: Draw) -> Setup:
    thing_id = draw(st.sampled_from(sorted(setup.things)))
    thing = setup.things[thing_id]
    grown = thing.model_copy(update={"mass_kg": thing.mass_kg * 1.3, "name": f"{thing.name} x"})
    return setup.model_copy(update={"things": {**setup.things, thing_id: grown}})


def seat_moved(setup: Setup, draw: Draw) -> Setup:
    by = draw(st.sampled_from([0.02, -0.05]))
    seat = setup.seat.model_copy(update={"x_m": setup.seat.x_m + by})
    return setup.model_copy(update={"seat": seat})


def angler_changed(setup: Setup, draw: Draw) -> Setup:
    updates: list[dict[str, Any]] = [{"mass_kg": 64.0}, {"stature_m": 1.62}, {"casts": "port"}]
    update = draw(st.sampled_from(updates))
    return setup.model_copy(update={"angler": setup.angler.model_copy(update=update)})


def boat_changed(setup: Setup, draw: Draw) -> Setup:
    boat = setup.boat
    tape = boat.tape.model_copy(update={"depth_m": boat.tape.depth_m + 0.01})
    track = boat.fittings[0].model_copy(update={"x_m": boat.fittings[0].x_m - 0.05})
    updates: list[dict[str, Any]] = [
        {"tape": tape},
        {"fittings": [track, *boat.fittings[1:]]},
        {"rated_kg": 150.0},
        {"hull_mass_kg": boat.hull_mass_kg + 2.0},
        {"wells": boat.wells[:1]},
    ]
    changed = boat.model_copy(update=draw(st.sampled_from(updates)))
    return setup.model_copy(update={"boat": changed})


def section_changed(setup: Setup, draw: Draw) -> Setup:
    """A section as it is usual, or as the demo has it."""
    name = draw(st.sampled_from(sorted(Sections.model_fields)))
    usual, demo = type(getattr(FULL, name))(), getattr(FULL, name)
    return setup.model_copy(update={name: usual if getattr(setup, name) == demo else demo})


def judged_otherwise(setup: Setup, draw: Draw) -> Setup:
    key = draw(st.sampled_from([one.key for one in FOUND]))
    as_it_is = Accepted(key=key, reason="ours", on="2026-06-01", verdict="fix", badness=9.0)
    lower = MovedLimit(key="freeboard", waters="river", hand="used to it", fine=0.3, watch=0.25)
    updates: list[dict[str, Any]] = [
        {"waters": "open water"},
        {"hand": "novice"},
        {"by_night": True},
        {"school": "freeboard"},
        {"accepted": [as_it_is]},
        {"moved": [lower]},
    ]
    judging = setup.judging.model_copy(update=draw(st.sampled_from(updates)))
    return setup.model_copy(update={"judging": judging})


def another_day(setup: Setup, draw: Draw) -> Setup:
    updates: list[dict[str, Any]] = [
        {"water": "salt"},
        {"water_temp_c": 6.0},
        {"posture": "stands"},
        {"day": "2026-06-20"},
    ]
    return setup.model_copy(update=draw(st.sampled_from(updates)))


CHANGES = (moved, moved, moved, put_in_the_crate, ashore_or_aboard, heavier, seat_moved,
           angler_changed, boat_changed, section_changed, section_changed, judged_otherwise,
           another_day)  # fmt: skip
BESIDE = (ALONE, Beside(elsewhere=((CRATE, "Other lake"),), today="2026-06-19"))


def require_same(kept: Any, cold: Any, where: str = "figures") -> None:
    """Equal in every word, and in every number to 1e-9."""
    if isinstance(cold, float):
        assert math.isclose(kept, cold, rel_tol=1e-9, abs_tol=1e-9), (where, kept, cold)
    elif isinstance(cold, dict):
        assert list(kept) == list(cold), where
        for key in cold:
            require_same(kept[key], cold[key], f"{where}.{key}")
    elif isinstance(cold, list | tuple):
        assert len(kept) == len(cold), where
        for n, (one, other) in enumerate(zip(kept, cold, strict=True)):
            require_same(one, other, f"{where}[{n}]")
    else:
        assert kept == cold, where


@given(st.data())
@examples(5)
def test_a_walk_of_changes_and_undos_answers_as_from_nothing(data: st.DataObject) -> None:
    past: list[Setup] = [FULL]
    kept: Evaluated | None = evaluated(FULL)
    for _ in range(6):
        undo = len(past) > 1 and data.draw(st.integers(0, 4)) == 0
        setup = past[-2] if undo else data.draw(st.sampled_from(CHANGES))(past[-1], data.draw)
        beside = data.draw(st.sampled_from(BESIDE))
        try:
            cold = evaluate(setup, beside)
        except InputErrors:  # a hull that is none, a place in nothing: no answer to compare
            continue
        past = past[:-1] if undo else [*past, setup]
        kept = evaluated(setup, beside, kept, near=data.draw(st.integers(0, 4)) > 0)
        require_same(live(kept).model_dump(), cold.model_dump())


@given(st.data())
@examples(3)
def test_what_is_told_at_once_is_what_is_told_in_whole(data: st.DataObject) -> None:
    """A drag: quick answers each after the one before, now and then a whole one after the last."""
    setup, whole = FULL, evaluated(FULL)
    live(whole)
    held = whole
    for _ in range(6):
        setup = data.draw(st.sampled_from(CHANGES[:5]))(setup, data.draw)
        cold = evaluate(setup).model_dump()
        held = evaluated(setup, ALONE, held, near=True)
        require_same(
            quick(held).model_dump(), {key: cold[key] for key in QuickFigures.model_fields}
        )
        if data.draw(st.integers(0, 2)) == 0:
            held = whole = evaluated(setup, ALONE, whole, near=True)
            require_same(live(whole).model_dump(), cold)
