"""Reach at large, and the angler on the way to one thing."""

from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId, ThingId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.errors import NotFoundError
from neat_hull.model.reach import FullReach, Reaching
from neat_hull.store.setups import load_setup
from neat_hull.subjects.reach.full import full_reach, reaching_for

router = routes("reach", "/setups/{setup_id}")


class ReachTrial(Trial):
    """A trial, and the height over the bottom of the boat that the map is for."""

    height_m: float = Field(default=0.43, ge=-0.5, le=2)


@router.post("/reach")
def reach(setup_id: SetupId, body: ReachTrial, db: Db) -> FullReach:
    """Map, needs, rods, parking and sight, of a trial; computes and stores nothing."""
    stored = load_setup(db, setup_id)
    return full_reach(EVALUATIONS.tried(stored, body.on(stored.setup)), body.height_m)


@router.get("/reaching/{thing_id}")
def reach_for(setup_id: SetupId, thing_id: ThingId, db: Db) -> Reaching:
    """The angler reaching for one thing, and how the boat lies meanwhile."""
    stored = load_setup(db, setup_id)
    if thing_id not in stored.setup.places:
        raise NotFoundError(f"item {thing_id} is not aboard")
    return reaching_for(EVALUATIONS.of(stored), thing_id)
