"""What is planned against the budget, and bought again though what is there stands unused."""

from collections.abc import Iterable

from neat_hull.model.money_plan import MINOR, minor
from neat_hull.model.said import Said, items
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, rule

_IDLE = 2  # ours: one spare is sense, two say that nobody needs a third
# What a thing is of that one may have too many of, and what people call it.
_OF_A_KIND = {"holder": "rod holder", "container": "box or bag", "battery": "battery"}
_HOLDING = ("holder", "container")


def planned_minor(ev: Evaluated) -> int:
    """Prices of what is aboard and not bought yet."""
    never = {i for i, phase in ev.setup.money.phases.items() if phase == "never"}
    things = (ev.thing(i) for i in ev.setup.places if i not in never)
    return sum(minor(one.price) or 0 for one in things if not one.bought)


@rule("money-over-budget", topic="money")
def over_budget(ev: Evaluated) -> Iterable[Found]:
    """Prices of what is aboard and not bought, over the budget."""
    budget = ev.setup.money.budget_minor
    if budget is None:
        return
    over = planned_minor(ev) - budget
    if over > 0:
        yield Found(
            "watch",
            Said.of("What is planned costs {} more than the budget", price=over / MINOR),
            "Musts come first, then the best of the rest.",
            Said.of("Put something off to a later phase, as Money sets out"),
            badness=over / MINOR,
        )


@rule("money-unused-kind", topic="money")
def unused_kind(ev: Evaluated) -> Iterable[Found]:
    """Something planned of a kind of which two or more stand unused."""
    setup = ev.setup
    for aspect, called in _OF_A_KIND.items():
        have = {i: one for i, one in setup.things.items() if _is(one, aspect)}
        idle = [i for i, one in have.items() if one.bought and _idle(ev, i, aspect)]
        wanted = [i for i, one in have.items() if not one.bought and i in setup.places]
        if len(idle) < _IDLE:
            continue
        for i in wanted:
            yield Found(
                "watch",
                Said.of(f"One more {called}: {items(len(idle))} like it stand unused"),
                f"Unused: {', '.join(ev.name(one) for one in idle[:4])}.",
                Said.of("Try those first"),
                badness=float(len(idle)),
                thing_id=i,
                part=aspect,
            )


def _is(thing: Thing, aspect: str) -> bool:
    return getattr(thing, aspect) is not None and not thing.long


def _idle(ev: Evaluated, thing_id: int, aspect: str) -> bool:
    """Ashore, or aboard and holding nothing."""
    if thing_id not in ev.setup.places:
        return True
    return aspect in _HOLDING and not ev.rigged.placing.contents(thing_id)


RULES = (over_budget, unused_kind)
