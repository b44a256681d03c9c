"""A setup as it is in each phase of its build: a filter over one setup, and no copy of it."""

from typing import get_args

from neat_hull.model.money_plan import Phase
from neat_hull.model.nesting import ashore
from neat_hull.model.setup import Setup

PHASES: tuple[Phase, ...] = tuple(one for one in get_args(Phase) if one != "never")


def phase_of(setup: Setup, thing_id: int) -> Phase:
    """When it comes."""
    return setup.money.phases.get(thing_id, "now")


def there(setup: Setup, thing_id: int, phase: Phase) -> bool:
    """Whether it is aboard in that phase, as far as it alone decides."""
    comes, until = phase_of(setup, thing_id), setup.money.until.get(thing_id)
    at = PHASES.index(phase)
    gone = until is not None and until != "never" and PHASES.index(until) <= at
    return comes != "never" and PHASES.index(comes) <= at and not gone


def in_phase(setup: Setup, phase: Phase) -> Setup:
    """With what is there by then; what a missing thing would hold is missing too."""
    missing = [i for i in setup.places if not there(setup, i, phase)]
    gone = set(ashore(setup, missing))
    places = {i: place for i, place in setup.places.items() if i not in gone}
    return setup.model_copy(update={"places": places})


def used_phases(setup: Setup) -> list[Phase]:
    """Those that tell of anything: now, and up to the last that a thing comes or goes in."""
    told = [*setup.money.phases.values(), *setup.money.until.values()]
    last = max((PHASES.index(one) for one in told if one != "never"), default=0)
    return list(PHASES[: last + 1])
