"""Bands against the solver itself: each weight moved by what it may be off, one at a time."""

from typing import Any

import numpy as np
import pytest

from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.rig.bands import LEAST_OFF_KG, OFF_SHARE
from neat_hull.whole.evaluate import evaluate

DEMO = demo_setups()[0]
CRATE, BATTERY, SCREEN = 9, 5, 6


def sure(setup: Setup = DEMO) -> Setup:
    """Everything weighed."""
    things = {i: t.model_copy(update={"evidence": "weighed"}) for i, t in setup.things.items()}
    return setup.model_copy(update={"things": things})


def with_thing(setup: Setup, thing_id: int, **changes: Any) -> Setup:
    """One thing told otherwise."""
    thing = setup.things[thing_id].model_copy(update=changes)
    return setup.model_copy(update={"things": setup.things | {thing_id: thing}})


def bands(setup: Setup) -> Any:
    """The bands of a setup."""
    found = evaluate(setup).bands
    assert found is not None
    return found


def added(field: str, thing_id: int, setup: Setup = DEMO) -> float:
    """What one guess adds to a band, in squares."""
    known = sure(setup)
    guessed = with_thing(known, thing_id, evidence="guess")
    squares = getattr(bands(guessed), field) ** 2 - getattr(bands(known), field) ** 2
    own = OFF_SHARE["weighed"] * setup.things[thing_id].mass_kg
    whole = OFF_SHARE["guess"] * setup.things[thing_id].mass_kg
    # as weighed it was off by a little already
    return float(np.sqrt(squares / (1 - (max(own, LEAST_OFF_KG) / whole) ** 2)))


def swing(figure: str, thing_id: int, setup: Setup = DEMO) -> float:
    """Half of what the solver's figure moves by, the weight a guess's share up and down."""
    mass = setup.things[thing_id].mass_kg
    ends = []
    for sign in (-1, 1):
        off = with_thing(sure(setup), thing_id, mass_kg=mass * (1 + sign * OFF_SHARE["guess"]))
        afloat = evaluate(off).afloat
        assert afloat is not None
        ends.append(getattr(afloat, figure))
    return float(abs(ends[1] - ends[0])) / 2


@pytest.mark.parametrize(
    ("band", "figure", "thing_id"),
    [
        ("trim_deg", "trim_deg", CRATE),
        ("trim_deg", "trim_deg", BATTERY),
        ("list_deg", "heel_deg", BATTERY),
        ("list_deg", "heel_deg", SCREEN),
    ],
)
def test_a_guess_moves_a_figure_by_what_its_band_says(
    band: str, figure: str, thing_id: int
) -> None:
    """Small changes are straight; ridged bottoms and trim bend them by up to a tenth."""
    assert added(band, thing_id) == pytest.approx(swing(figure, thing_id), rel=0.12)


def test_a_guess_high_up_moves_gm_by_its_height() -> None:
    """The screen, put on a pole of 1.5 m: mostly its moment over the weight."""
    place = DEMO.places[SCREEN].model_copy(update={"z_m": 1.5})
    high = DEMO.model_copy(update={"places": DEMO.places | {SCREEN: place}})
    heavy = with_thing(high, SCREEN, mass_kg=8.0)
    assert added("gm_m", SCREEN, heavy) == pytest.approx(swing("gm_m", SCREEN, heavy), rel=0.15)


@pytest.mark.parametrize("field", ["carried_kg", "draft_m", "trim_deg", "list_deg", "gm_m"])
def test_better_evidence_never_widens_a_band(field: str) -> None:
    widths = [
        getattr(bands(with_thing(DEMO, CRATE, evidence=evidence)), field)
        for evidence in ("weighed", "label", "guess")
    ]
    assert widths == sorted(widths)


def test_the_carried_weight_is_off_by_the_root_of_squares() -> None:
    """By hand over everything aboard and the angler."""
    known = [(DEMO.things[i].mass_kg, DEMO.things[i].evidence) for i in DEMO.places]
    known.append((DEMO.angler.mass_kg, DEMO.angler.evidence))
    squares = sum(max(OFF_SHARE[e] * m, LEAST_OFF_KG) ** 2 for m, e in known)
    assert bands(DEMO).carried_kg == pytest.approx(squares**0.5)


def test_nothing_is_left_to_weigh_once_all_is_weighed() -> None:
    assert bands(sure()).weigh_first == []


def test_shares_of_what_to_weigh_first_fall_and_stay_below_all() -> None:
    shares = [one.share for one in bands(DEMO).weigh_first]
    assert shares == sorted(shares, reverse=True)
    assert 0 < sum(shares) <= 1
