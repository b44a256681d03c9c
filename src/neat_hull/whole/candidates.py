"""Where each movable thing could go, for the arrangement of all of them."""

from collections.abc import Iterator
from dataclasses import dataclass

from neat_hull.model.base import Point
from neat_hull.model.nesting import all_contents
from neat_hull.model.place import OnBody, OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import WEIGHT
from neat_hull.rig.lining_up import lined_up
from neat_hull.rig.parents.body import worn
from neat_hull.rig.rigging import Rigged
from neat_hull.whole.advice.moves import aside_of_seat, lies_flat, spread, stays, targets_of_use
from neat_hull.whole.advice.tries import Try, all_tried

_MOST_EACH = 26  # tries of one thing
# Of all: so many are measured in a few seconds. On a crowded boat each thing gets fewer, and at
# least _LEAST_EACH, the place that it has among them.
_MOST_IN_ALL, _LEAST_EACH = 1800, 4
_ALONG = 5  # of them along what it slides on


@dataclass(frozen=True)
class Candidate:
    """One thing in one place; cost is what is wrong there, whatever else is moved."""

    thing_id: int
    place: Place
    mass_kg: float
    centre_m: Point
    cost: float
    stays: bool
    into: int | None


@dataclass(frozen=True)
class Choice:
    """All candidates, and pairs of them that cannot both be."""

    candidates: list[Candidate]
    conflicts: list[tuple[int, int]]


def movable(setup: Setup) -> list[int]:
    """Things that may be put elsewhere: neither locked, worn, nor a part of the boat.

    A rod goes with its holder, and what is in a container with that.
    """
    return [
        i
        for i, place in setup.places.items()
        if not place.locked
        and not stays(setup.things[i])
        and not isinstance(place.on, OnBody | OnThing)
    ]


def choice(now: Evaluated) -> Choice:
    """What there is to choose from."""
    setup = now.rigged.setup
    moving = movable(setup)
    each = max(_LEAST_EACH, min(_MOST_EACH, _MOST_IN_ALL // max(len(moving), 1)))
    tries: list[Try] = [
        (thing_id, place)
        for thing_id in moving
        for place in list(_places(now.rigged, thing_id))[:each]
    ]
    if not tries:
        return Choice([], [])
    riding = {one for i in moving for one in (i, *all_contents(setup, i))}
    rows, conflicts = all_tried(now, tries, pairwise=True)
    found = []
    for row in rows:
        cost = row.reach_cost + (0.0 if row.fits else WEIGHT["fix"])
        # what may move as well is an obstacle only where it ends up
        cost += sum(WEIGHT[one.verdict] for one in row.meets if one.other not in riding)
        on = row.place.on
        if setup.things[row.thing_id].worn and not isinstance(on, OnBody):
            cost += WEIGHT["fix"]
        found.append(
            Candidate(
                thing_id=row.thing_id,
                place=row.place,
                mass_kg=row.mass_kg,
                centre_m=row.centre_m,
                cost=cost,
                stays=row.place == setup.places[row.thing_id],
                into=on.thing if isinstance(on, OnThing) else None,
            )
        )
    return Choice(found, conflicts)


def _places(rigged: Rigged, thing_id: int) -> Iterator[Place]:
    """Where it is, along what it is on, whatever takes it, the other side, the deck about."""
    setup = rigged.setup
    here, thing = setup.places[thing_id], setup.things[thing_id]
    yield here
    if thing.worn:
        yield worn()
    mine = {thing_id, *all_contents(setup, thing_id)}
    for target in targets_of_use(rigged, thing_id):
        on = target.on
        if isinstance(on, OnThing) and on.thing in mine:
            continue
        base = here if on == here.on else target.place
        if base != here:
            yield base
        if base.bury_m > 0 or isinstance(on, OnThing):
            continue
        for sx in spread(target.slide_m[0], _ALONG):
            for sy in spread(target.slide_m[1], 3):
                x, y = round(sx * target.slide_m[0], 3), round(sy * target.slide_m[1], 3)
                if (x, y) != (base.x_m, base.y_m):
                    yield base.model_copy(update={"x_m": x, "y_m": y})
    yield from lined_up(rigged, [thing_id], "mirror").values()
    if lies_flat(thing):
        yield from aside_of_seat(rigged, thing_id, here)
