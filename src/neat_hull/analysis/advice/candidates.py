"""Where each movable thing could go, for the arrangement of all of them."""

from collections.abc import Iterator
from dataclasses import dataclass

from neat_hull.analysis.advice.moves import STAYS, aside_of_seat, spread, worn
from neat_hull.analysis.advice.tries import Try, all_tried
from neat_hull.analysis.evaluate import Evaluated
from neat_hull.analysis.limits import WEIGHT
from neat_hull.analysis.lining_up import lined_up
from neat_hull.analysis.offering import targets
from neat_hull.analysis.rigging import Rigged
from neat_hull.model.figures import Spot
from neat_hull.model.nesting import held_by
from neat_hull.model.setup import Place, Setup

_MOST_EACH = 26  # tries of one thing
_ALONG = 5  # of them along what it slides on


@dataclass(frozen=True)
class Candidate:
    """One thing in one place; cost is what is wrong there, whatever else is moved."""

    thing_id: int
    place: Place
    mass_kg: float
    centre_m: Spot
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
        and setup.things[i].kind not in STAYS
        and (place.on is None or place.on.kind not in ("body", "thing"))
    ]


def choice(now: Evaluated) -> Choice:
    """What there is to choose from."""
    setup = now.rigged.setup
    moving = movable(setup)
    tries: list[Try] = [
        (thing_id, place)
        for thing_id in moving
        for place in list(_places(now.rigged, thing_id))[:_MOST_EACH]
    ]
    if not tries:
        return Choice([], [])
    riding = {one for i in moving for one in (i, *held_by(setup, i))}
    rows, conflicts = all_tried(now, tries, pairwise=True)
    found = []
    for row in rows:
        cost = row.reach_cost + (0.0 if row.fits else WEIGHT["fix"])
        # what may move as well is an obstacle only where it ends up
        cost += sum(WEIGHT[one.verdict] for one in row.meets if one.other not in riding)
        on = row.place.on
        if setup.things[row.thing_id].worn and (on is None or on.kind != "body"):
            cost += WEIGHT["fix"]
        found.append(
            Candidate(
                thing_id=row.thing_id,
                place=row.place,
                mass_kg=row.mass_kg,
                centre_m=row.centre_m,
                cost=cost,
                stays=row.place == setup.places[row.thing_id],
                into=on.thing if on is not None and on.kind == "thing" else None,
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
    mine = {thing_id, *held_by(setup, thing_id)}
    for target in targets(rigged.placing, thing_id):
        on = target.on
        if target.why is not None or on.kind == "body" or on.thing in mine:
            continue
        base = here if on == here.on else target.place
        if base != here:
            yield base
        if base.bury_m > 0 or on.kind == "thing":
            continue
        for sx in spread(target.slide_m[0], _ALONG):
            for sy in spread(target.slide_m[1], 3):
                x, y = round(sx * target.slide_m[0], 3), round(sy * target.slide_m[1], 3)
                if (x, y) != (base.x_m, base.y_m):
                    yield base.model_copy(update={"x_m": x, "y_m": y})
    yield from lined_up(rigged, [thing_id], "mirror").values()
    if not thing.long and thing.kind != "holder":
        yield from aside_of_seat(rigged, here)
