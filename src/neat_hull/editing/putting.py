"""Putting things somewhere: aboard, elsewhere, ashore with all they hold, twice."""

from collections.abc import Iterable
from functools import partial

from neat_hull.editing.duplicating import duplicates
from neat_hull.editing.trial import TrialPlace
from neat_hull.errors import InputError, NotFoundError
from neat_hull.model.boat import Boat
from neat_hull.model.nesting import ashore
from neat_hull.model.place import OnFitting, OnWell, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.rig.lining_up import Way, lined_up
from neat_hull.rig.rigging import rig
from neat_hull.store.connect import Connection
from neat_hull.store.history import Change
from neat_hull.store.setups import StoredSetup, holding_elsewhere, new_thing_id


def thing_of(setup: Setup, thing_id: int) -> Thing:
    """A piece of gear. Raises NotFoundError."""
    thing = setup.things.get(thing_id)
    if thing is None:
        raise NotFoundError(f"there is no item {thing_id}")
    return thing


def named(setup: Setup, thing_ids: list[int]) -> str:
    """Things in the words of the history: the first, and how many more."""
    first = thing_of(setup, thing_ids[0]).name
    return first if len(thing_ids) == 1 else f"{first} and {len(thing_ids) - 1} more"


def placed(setup: Setup, places: Iterable[TrialPlace]) -> list[Change]:
    """Things put, moved or taken ashore, each row once: a crate may go with what is in it.

    Raises NotFoundError for a thing that there is not, InputError for one that is locked.
    """
    step: list[Change] = []
    for one in places:
        thing_of(setup, one.thing_id)
        _require_free(setup, one.thing_id, one.place)
        if one.place is not None:
            step.append(Change("place", one.thing_id, one.place.model_dump()))
        else:
            step += taken_ashore(setup, one.thing_id)
    return list({(one.kind, one.key): one for one in step}.values())


def taken_ashore(setup: Setup, thing_id: int) -> list[Change]:
    """A thing and all it holds taken ashore, what is held first; nothing where it is ashore."""
    return [Change("place", one, None) for one in ashore(setup, [thing_id])]


def struck_off(setup: Setup, thing_id: int) -> list[Change]:
    """A thing struck off the gear, taken ashore before."""
    thing_of(setup, thing_id)
    return [*taken_ashore(setup, thing_id), Change("thing", thing_id, None)]


def lined(setup: Setup, thing_ids: list[int], way: Way) -> list[Change]:
    """Things mirrored to the other side, or brought into line."""
    for thing_id in thing_ids:
        thing_of(setup, thing_id)
    places = lined_up(rig(setup), thing_ids, way)
    if not places:
        raise InputError("thing_ids", None, "all of them are locked; unlock them first")
    return [Change("place", i, place.model_dump()) for i, place in places.items()]


def doubled(db: Connection, setup: Setup, thing_ids: list[int]) -> list[Change]:
    """Things to have twice, each with what it holds."""
    for thing_id in thing_ids:
        thing_of(setup, thing_id)
    return [
        change
        for thing_id, thing, place in duplicates(setup, thing_ids, partial(new_thing_id, db))
        for change in (
            Change("thing", thing_id, thing.model_dump()),
            *([] if place is None else [Change("place", thing_id, place.model_dump())]),
        )
    ]


def require_not_held(db: Connection, stored: StoredSetup, boat: Boat) -> None:
    """Refuse to drop or rename a fitting or well while something is placed on it."""
    old = stored.setup.boat
    for kind, on, gone in (
        ("fitting", OnFitting, {f.name for f in old.fittings} - {f.name for f in boat.fittings}),
        ("well", OnWell, {w.name for w in old.wells} - {w.name for w in boat.wells}),
    ):
        here = [
            (place.on.name, stored.setup.things[thing_id].name, stored.setup.name)
            for thing_id, place in stored.setup.places.items()
            if isinstance(place.on, on) and place.on.name in gone
        ]
        elsewhere = holding_elsewhere(db, stored.setup_id, stored.boat_id, kind, sorted(gone))
        for part, thing, setup in here + elsewhere:
            raise InputError(
                f"boat.{kind}s", part, f"{part} holds {thing} in {setup!r}; move that first"
            )


def _require_free(setup: Setup, thing_id: int, place: Place | None) -> None:
    """A locked thing stays; unlocking, and changes of its group, are no moves."""
    old = setup.places.get(thing_id)
    if old is None or not old.locked:
        return
    if place is None or _moved(old) != _moved(place):
        name = setup.things[thing_id].name
        raise InputError("place", thing_id, f"{name} is locked; unlock it first")


def _moved(place: Place) -> Place:
    return place.model_copy(update={"locked": False, "group": 0})
