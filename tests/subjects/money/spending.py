"""Setups with money in them, and for each rule of money what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, HOLDER_S, ROD_P, Case, case, without
from tests.subjects.glide.goings import with_thing

from neat_hull.model.money_plan import MoneyPlan
from neat_hull.model.setup import Setup

PLANNED = 73


def funded(setup: Setup, **money: Any) -> Setup:
    """With a budget, or phases."""
    return setup.model_copy(update={"money": MoneyPlan(**money)})


def planning(price: float | None = 60.0, **thing: Any) -> Setup:
    """With one thing on the deck that is not bought yet."""
    usual = {"name": "Planned", "mass_kg": 1.0, "length_m": 0.1, "width_m": 0.1, "height_m": 0.1}
    made = with_thing(CLEAN, PLANNED, **usual | {"price": price, "bought": False} | thing)
    places = {**made.places, PLANNED: made.places[min(made.places)].model_copy(
        update={"x_m": 2.6, "y_m": 0.0, "z_m": None, "on": None})}  # fmt: skip
    return made.model_copy(update={"places": places})


def third_holder(bare: int) -> Setup:
    """A holder that is planned, and so many of two that are there with nothing in them."""
    made = planning(holder={"tubes": 1})
    assert HOLDER_S not in made.places, "one of them is ashore"
    return without(made, ROD_P) if bare == 2 else made


CASES: list[Case] = [
    case("money-over-budget", lambda: funded(planning(), budget_minor=5999),
         lambda: funded(planning(), budget_minor=6000)),
    case("money-unused-kind", lambda: third_holder(2), lambda: third_holder(1)),
]  # fmt: skip
