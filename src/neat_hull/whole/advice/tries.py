"""Many tries of single things in other places, measured all at once.

Every try is set down as a copy of the thing, with all it holds, in one large setup; reach and what
runs into what are then asked once for all of them, which costs a tenth of asking for each.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.nesting import all_contents
from neat_hull.model.place import OnThing, Place
from neat_hull.model.said import Verdict
from neat_hull.model.setup import Setup
from neat_hull.model.zones import ReachZone
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.fits import goes, misfit
from neat_hull.rig.limits import WEIGHT
from neat_hull.rig.reaching import reach_of
from neat_hull.rig.rigging import Rigged, rig
from neat_hull.subjects.reach.limits import zone_steps
from neat_hull.subjects.room.figures import meetings

Try = tuple[int, Place]


@dataclass(frozen=True)
class Meets:
    """Something that a try runs into: an envelope by its key, or a thing by its id."""

    verdict: Verdict
    envelope: str | None
    other: int | None


@dataclass(frozen=True)
class Tried:
    """A thing in another place: where it all weighs, how it is come by, what it runs into."""

    thing_id: int
    place: Place
    mass_kg: float
    centre_m: Point
    zone: ReachZone
    steps_too_far: int
    short_m: float
    fits: bool
    meets: list[Meets]

    @property
    def reach_cost(self) -> float:
        """What its distance from the hand comes to."""
        far = (
            0.0
            if not self.steps_too_far
            else (WEIGHT["watch"] if self.steps_too_far == 1 else WEIGHT["fix"])
        )
        return far + 5 * max(0.0, self.short_m)


def all_tried(
    now: Evaluated, tries: Sequence[Try], pairwise: bool = False
) -> tuple[list[Tried], list[tuple[int, int]]]:
    """The tries measured; pairwise, also which two of them (by their numbers) cannot both be."""
    setup = now.rigged.setup
    crowded, owners = _crowd(setup, tries)
    rigged = rig(crowded, now.rigged)
    copies = {i: copy for copy, i in reversed(list(owners.items()))}
    meets, pairs = _meet(rigged, owners, tries, setup, pairwise)
    at = rigged.by_id
    ways = reach_of(rigged, np.array([at[copies[i]].grip_m for i in range(len(tries))]))
    centres = _centres(rigged, owners, len(tries))
    found = []
    for i, ((thing_id, place), way) in enumerate(zip(tries, ways, strict=True)):
        worn = at[copies[i]].stand.on_body
        zone: ReachZone = "hand" if worn else way.zone.value
        mass, centre = centres[i]
        found.append(
            Tried(
                thing_id=thing_id,
                place=place,
                mass_kg=mass,
                centre_m=centre,
                zone=zone,
                steps_too_far=0 if worn else zone_steps(way.zone.value, setup.things[thing_id].use),
                short_m=0.0 if worn else way.short_m,
                fits=_fits(now.rigged, thing_id, place),
                meets=meets[i],
            )
        )
    return found, pairs


def _fits(rigged: Rigged, thing_id: int, place: Place) -> bool:
    """Whether it goes there; where it is now, whether it belongs there."""
    if place == rigged.setup.places.get(thing_id):
        return misfit(rigged.placing, thing_id) is None
    return goes(rigged.placing, thing_id, place)


def _crowd(setup: Setup, tries: Sequence[Try]) -> tuple[Setup, dict[int, int]]:
    """The setup with a copy of each thing in each place it could go; which copy is which try."""
    things, places = dict(setup.things), dict(setup.places)
    owners: dict[int, int] = {}
    fresh = max(setup.things, default=0) + 1
    for i, (thing_id, place) in enumerate(tries):
        copied: dict[int, int] = {}
        for one in (thing_id, *all_contents(setup, thing_id)):
            copied[one] = fresh
            owners[fresh] = i
            things[fresh] = setup.things[one]
            if one == thing_id:
                places[fresh] = place
            else:
                held = setup.places[one]
                assert isinstance(held.on, OnThing), "what is held is on a thing"
                on = held.on.model_copy(update={"thing": copied[held.on.thing]})
                places[fresh] = held.model_copy(update={"on": on})
            fresh += 1
    return setup.model_copy(update={"things": things, "places": places}), owners


def _meet(
    rigged: Rigged, owners: dict[int, int], tries: Sequence[Try], setup: Setup, pairwise: bool
) -> tuple[list[list[Meets]], list[tuple[int, int]]]:
    """What each try stands in or against, its own self left out; and tries that exclude others."""
    met = meetings(rigged, () if pairwise else owners)
    ids = [s.thing_id for s in rigged.stowed]
    own = {thing_id: {thing_id, *all_contents(setup, thing_id)} for thing_id, _ in tries}
    found: list[list[Meets]] = [[] for _ in tries]
    for at, key, verdict in zip(
        met.in_room.tolist(), met.room_keys, met.room_verdicts, strict=True
    ):
        if ids[at] in owners:
            found[owners[ids[at]]].append(Meets(verdict, key, None))
    pairs: set[tuple[int, int]] = set()
    for a, b, verdict in zip(
        met.first.tolist(), met.second.tolist(), met.pair_verdicts, strict=True
    ):
        one, other = ids[a], ids[b]
        mine, theirs = owners.get(one), owners.get(other)
        if mine is not None and theirs is not None:
            apart = tries[mine][0] != tries[theirs][0]
            if apart and verdict == "fix":
                pairs.add((min(mine, theirs), max(mine, theirs)))
        elif mine is not None and other not in own[tries[mine][0]]:
            found[mine].append(Meets(verdict, None, other))
        elif theirs is not None and one not in own[tries[theirs][0]]:
            found[theirs].append(Meets(verdict, None, one))
    return found, sorted(pairs)


def _centres(rigged: Rigged, owners: dict[int, int], count: int) -> list[tuple[float, Point]]:
    """Mass and centre of each try, with all it holds."""
    mass, moment = np.zeros(count), np.zeros((count, 3))
    for stowed in rigged.stowed:
        i = owners.get(stowed.thing_id)
        if i is not None:
            kg = rigged.setup.things[stowed.thing_id].mass_now_kg
            mass[i] += kg
            moment[i] += kg * np.array(stowed.centre_m)
    return [
        (float(kg), (float(x), float(y), float(z)))
        for kg, (x, y, z) in zip(mass, moment / mass[:, None], strict=True)
    ]
