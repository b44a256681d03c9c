"""Where each movable thing could go, all tries measured at once.

Every try is set down as a copy of the thing, with all it holds, in one large setup; reach, rooms
and what runs into what are then asked once for all of them.
"""

from collections import defaultdict
from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from neat_hull.analysis.advice.moves import STAYS, aside_of_seat, spread, worn
from neat_hull.analysis.clearance import Meetings, meetings
from neat_hull.analysis.evaluate import Evaluated
from neat_hull.analysis.fits import misfit
from neat_hull.analysis.limits import WEIGHT, zone_steps
from neat_hull.analysis.lining_up import lined_up
from neat_hull.analysis.offering import targets
from neat_hull.analysis.rigging import Rigged, limits_of, rig, room_of
from neat_hull.model.nesting import held_by
from neat_hull.model.setup import Place, Setup
from neat_hull.physics.arrays import Array
from neat_hull.physics.reach import reach

_MOST_EACH = 26  # tries of one thing
_ALONG = 5  # of them along what it slides on


@dataclass(frozen=True)
class Candidate:
    """One thing in one place; cost is what is wrong there, whatever else is moved."""

    thing_id: int
    place: Place
    mass_kg: float
    centre_m: tuple[float, float, float]
    cost: float
    stays: bool
    into: int | None


@dataclass(frozen=True, eq=False)
class Choice:
    """All candidates, and pairs (n, 2) of them that cannot both be."""

    candidates: list[Candidate]
    conflicts: np.ndarray[tuple[int, int], np.dtype[np.intp]]


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
    tries = [
        (thing_id, place)
        for thing_id in movable(setup)
        for place in list(_tries(now.rigged, thing_id))[:_MOST_EACH]
    ]
    crowd, owners = _crowd(setup, tries)
    rigged = rig(crowd)
    met = meetings(rigged)
    cost, conflicts = _meet(rigged, met, owners, len(tries), setup)
    at = {s.thing_id: s for s in rigged.stowed}
    copies = {i: copy for copy, i in reversed(list(owners.items()))}
    grips = np.array([at[copies[i]].grip_m for i in range(len(tries))]).reshape(-1, 3)
    ways = reach(rigged.body, grips, limits_of(setup.angler),
                 room_of(rigged.floating.hull, setup.seat))  # fmt: skip
    found = []
    for i, ((thing_id, place), way) in enumerate(zip(tries, ways, strict=True)):
        steps = zone_steps(way.zone.value, setup.things[thing_id].use)
        cost[i] += WEIGHT["watch"] if steps == 1 else WEIGHT["fix"] if steps else 0.0
        if setup.things[thing_id].worn and (place.on is None or place.on.kind != "body"):
            cost[i] += WEIGHT["fix"]
        if misfit(rigged.placing, copies[i]) is not None:
            cost[i] += WEIGHT["fix"]
        on = place.on
        found.append(
            Candidate(
                thing_id=thing_id,
                place=place,
                mass_kg=_mass_kg(setup, thing_id),
                centre_m=_centre_m(rigged, owners, i),
                cost=float(cost[i]),
                stays=place == setup.places[thing_id],
                into=on.thing if on is not None and on.kind == "thing" else None,
            )
        )
    return Choice(found, conflicts)


def _tries(rigged: Rigged, thing_id: int) -> Iterator[Place]:
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
        yield target.place
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


def _crowd(
    setup: Setup, tries: list[tuple[int, Place]]
) -> tuple[Setup, dict[int, int]]:  # fmt: skip
    """The setup with a copy of each thing in each place it could go; which copy is which try."""
    things, places = dict(setup.things), dict(setup.places)
    owners: dict[int, int] = {}
    fresh = max(setup.things, default=0) + 1
    for i, (thing_id, place) in enumerate(tries):
        copied: dict[int, int] = {}
        for one in (thing_id, *held_by(setup, thing_id)):
            copied[one] = fresh
            owners[fresh] = i
            things[fresh] = setup.things[one]
            if one == thing_id:
                places[fresh] = place
            else:
                held = setup.places[one]
                assert held.on is not None, "what is held is on something"
                on = held.on.model_copy(update={"thing": copied[held.on.thing or 0]})
                places[fresh] = held.model_copy(update={"on": on})
            fresh += 1
    return setup.model_copy(update={"things": things, "places": places}), owners


def _meet(
    rigged: Rigged, met: Meetings, owners: dict[int, int], count: int, setup: Setup
) -> tuple[Array, np.ndarray[tuple[int, int], np.dtype[np.intp]]]:
    """Cost of each try by what it stands in or against, and the tries that exclude each other."""
    ids = [s.thing_id for s in rigged.stowed]
    moving = set(movable(setup))
    fixed = {
        i for i in setup.places if i not in moving and not moving & set(_above(setup, i))
    }  # fmt: skip
    cost = np.zeros(count)
    for at, verdict in zip(met.in_room.tolist(), met.room_verdicts, strict=True):
        if ids[at] in owners:
            cost[owners[ids[at]]] += WEIGHT[verdict]
    against: defaultdict[tuple[int, int], float] = defaultdict(float)
    for a, b, verdict in zip(
        met.first.tolist(), met.second.tolist(), met.pair_verdicts, strict=True
    ):
        one, other = ids[a], ids[b]
        if one in owners and other in owners:
            if owners[one] != owners[other] and verdict == "fix":
                against[owners[one], owners[other]] += 1
        elif one in owners and other in fixed:
            cost[owners[one]] += WEIGHT[verdict]
        elif other in owners and one in fixed:
            cost[owners[other]] += WEIGHT[verdict]
    pairs = sorted({(min(p), max(p)) for p in against})
    return cost, np.array(pairs, dtype=np.intp).reshape(-1, 2)


def _above(setup: Setup, thing_id: int) -> Iterator[int]:
    """What a thing stands on, down to the boat."""
    on = setup.places[thing_id].on
    while on is not None and on.kind == "thing" and on.thing is not None:
        yield on.thing
        on = setup.places[on.thing].on


def _mass_kg(setup: Setup, thing_id: int) -> float:
    return sum(setup.things[i].mass_now_kg for i in (thing_id, *held_by(setup, thing_id)))


def _centre_m(rigged: Rigged, owners: dict[int, int], i: int) -> tuple[float, float, float]:
    """Centre of a try with all it holds."""
    rows = [s for s in rigged.stowed if owners.get(s.thing_id) == i]
    mass = np.array([rigged.setup.things[s.thing_id].mass_now_kg for s in rows])
    x, y, z = mass @ np.array([s.centre_m for s in rows]) / mass.sum()
    return float(x), float(y), float(z)
