"""Whether the places of a setup hang together: everything on something that is there."""

from neat_hull.errors import InputError
from neat_hull.model.setup import Setup


def require_nested(setup: Setup) -> None:
    """Refuse places on what is not there. Raises InputError naming the thing.

    On a thing that is ashore, on itself or what stands on it, on a fitting or well that the boat
    has not.
    """
    boat = setup.boat
    names = {"fitting": {f.name for f in boat.fittings}, "well": {w.name for w in boat.wells}}
    for thing_id, place in setup.places.items():
        on = place.on
        if on is None:
            continue
        what = setup.things[thing_id].name
        if on.kind in names and on.name not in names[on.kind]:
            raise InputError("place.on", on.name, f"{what}: {boat.name} has no {on.name!r}")
        if on.kind == "thing":
            trouble = nesting_trouble(setup, thing_id)
            if trouble is not None:
                raise InputError("place.on", on.thing, f"{what} {trouble}")


def nesting_trouble(setup: Setup, thing_id: int) -> str | None:
    """Why a thing cannot stand on the things it is said to; None where it can."""
    seen, at = {thing_id}, thing_id
    while True:
        on = setup.places[at].on
        if on is None or on.kind != "thing":
            return None
        if on.thing is None or on.thing not in setup.things:
            return f"is placed on a thing {on.thing} that there is not"
        if on.thing not in setup.places:
            return f"is placed on {setup.things[on.thing].name}, which is not aboard"
        if on.thing in seen:
            return "cannot stand on what stands on it"
        seen.add(on.thing)
        at = on.thing


def held_by(setup: Setup, thing_id: int) -> list[int]:
    """All that stands on or in a thing, down to the last, those nearest first."""
    found = [thing_id]
    for one in found:
        found += [
            i
            for i, place in setup.places.items()
            if place.on is not None and place.on.thing == one and i not in found
        ]
    return found[1:]
