"""Having things twice: copies of gear with what it holds, each beside its original."""

import re
from collections.abc import Callable, Iterator

from neat_hull.model.nesting import all_contents
from neat_hull.model.place import OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing

_GAP_M = 0.02  # between a thing and its copy, so that both can be taken hold of


def duplicates(
    setup: Setup, thing_ids: list[int], new_id: Callable[[], int]
) -> Iterator[tuple[int, Thing, Place | None]]:
    """Yield id, thing and place of each copy; what is ashore is copied ashore.

    Contents are copied with their container and lie in the copy as in the original.
    """
    tops = [
        i for i in thing_ids if not any(i in all_contents(setup, j) for j in thing_ids if j != i)
    ]
    all_ids = [i for top in tops for i in (top, *all_contents(setup, top))]
    new = {old: new_id() for old in all_ids}
    names = {thing.name for thing in setup.things.values()}
    for old in all_ids:
        thing, place = setup.things[old], setup.places.get(old)
        name = _another(thing.name, names)
        names.add(name)
        if place is not None:
            place = _beside(thing, place) if old in tops else _within(place, new)
        yield new[old], thing.model_copy(update={"name": name}), place


def _another(name: str, taken: set[str]) -> str:
    """The name with the next number free, within what a name may be long."""
    stem, number = re.sub(r" \d+$", "", name)[:74], 2
    while f"{stem} {number}" in taken:
        number += 1
    return f"{stem} {number}"


def _beside(thing: Thing, place: Place) -> Place:
    """Next to the original, toward the stern; out of a tube that is taken, onto the deck beside."""
    step = (thing.width_m if thing.long else thing.length_m) + _GAP_M
    return place.model_copy(
        update={"x_m": max(-2.0, round(place.x_m - step, 3)), "locked": False, "group": 0}
    )


def _within(place: Place, new: dict[int, int]) -> Place:
    assert isinstance(place.on, OnThing), "what is held is on a thing"
    on = place.on.model_copy(update={"thing": new[place.on.thing]})
    return place.model_copy(update={"on": on, "group": 0})
