"""Where a thing could go, and how far apart things are."""

from typing import Annotated

from fastapi import Query

from neat_hull.api.routes import routes
from neat_hull.api.state import Cache, Db, SetupId, ThingId
from neat_hull.editing.putting import thing_of
from neat_hull.errors import NotFoundError
from neat_hull.model.nesting import all_contents
from neat_hull.model.targets import Between, Target, Together
from neat_hull.rig.between import between
from neat_hull.rig.offering import targets
from neat_hull.rig.rigging import rig
from neat_hull.store.setups import load_setup

router = routes("placing", "/setups/{setup_id}")


@router.get("/targets/{thing_id}")
def thing_targets(setup_id: SetupId, thing_id: ThingId, cache: Cache) -> list[Target]:
    """What a thing could be put on, and why not where it could not; changes nothing."""
    setup = cache.kept(setup_id).setup
    thing_of(setup, thing_id)
    return targets(rig(setup).placing, thing_id)


@router.get("/together")
def together(
    setup_id: SetupId,
    cache: Cache,
    thing_id: Annotated[list[int], Query(max_length=1000)] = [],  # noqa: B006 - FastAPI copies it
) -> Together:
    """What things weigh together, with what they hold."""
    setup = cache.kept(setup_id).setup
    for one in thing_id:
        thing_of(setup, one)
    held = {i for one in thing_id for i in (one, *all_contents(setup, one))}
    mass = sum(setup.things[i].mass_now_kg for i in held)
    return Together(count=len(set(thing_id)), mass_kg=mass)


@router.get("/between/{thing_id}/{other_id}")
def measure_between(setup_id: SetupId, thing_id: ThingId, other_id: ThingId, db: Db) -> Between:
    """How far two things aboard are from each other."""
    setup = load_setup(db, setup_id).setup
    for one in (thing_id, other_id):
        if one not in setup.places:
            raise NotFoundError(f"item {one} is not aboard")
    return between(rig(setup), thing_id, other_id)
