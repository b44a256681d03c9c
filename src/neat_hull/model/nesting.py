"""What stands on or in what: whether places hang together, and what a thing holds."""

from collections.abc import Iterable, Mapping

from neat_hull.errors import InputError
from neat_hull.model.place import OnFitting, OnThing, OnWell, Place
from neat_hull.model.setup import Setup


def require_nested(setup: Setup) -> None:
    """Refuse places on what is not there. Raises InputError naming the thing.

    On a thing that is ashore, on itself or what stands on it, on a fitting or well that the boat
    has not.
    """
    boat = setup.boat
    fittings, wells = {f.name for f in boat.fittings}, {w.name for w in boat.wells}
    for thing_id, place in setup.places.items():
        on = place.on
        if on is None:
            continue
        what = setup.things[thing_id].name
        if isinstance(on, OnFitting | OnWell):
            if on.name not in (fittings if isinstance(on, OnFitting) else wells):
                raise InputError("place.on", on.name, f"{what}: {boat.name} has no {on.name!r}")
        elif isinstance(on, OnThing):
            trouble = nesting_trouble(setup, thing_id)
            if trouble is not None:
                raise InputError("place.on", on.thing, f"{what} {trouble}")


def nesting_trouble(setup: Setup, thing_id: int) -> str | None:
    """Why a thing cannot stand on the things it is said to; None where it can."""
    seen, at = {thing_id}, thing_id
    while True:
        on = setup.places[at].on
        if not isinstance(on, OnThing):
            return None
        if on.thing not in setup.things:
            return f"is placed on item {on.thing}, which does not exist"
        if on.thing not in setup.places:
            return f"is placed on {setup.things[on.thing].name}, which is not aboard"
        if on.thing in seen:
            return "cannot stand on what stands on it"
        seen.add(on.thing)
        at = on.thing


def contents_of(places: Mapping[int, Place]) -> dict[int, list[int]]:
    """What stands on or in each thing itself, by its id; things that hold nothing are left out."""
    contents: dict[int, list[int]] = {}
    for thing_id, place in places.items():
        if isinstance(place.on, OnThing):
            contents.setdefault(place.on.thing, []).append(thing_id)
    return contents


def all_contents(setup: Setup, thing_id: int) -> list[int]:
    """All that stands on or in a thing, down to the last, those nearest first."""
    contents = contents_of(setup.places)
    held = [thing_id]
    for one in held:
        held += [i for i in contents.get(one, []) if i not in held]
    return held[1:]


def ashore(setup: Setup, thing_ids: Iterable[int]) -> list[int]:
    """What goes ashore when these things do: they with all they hold, what is held first."""
    gone: dict[int, None] = {}
    for thing_id in thing_ids:
        if thing_id in setup.places:
            gone |= dict.fromkeys([thing_id, *all_contents(setup, thing_id)])
    return list(reversed(gone))
