"""A setup on land, in full."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.model.haul_figures import FullHaul
from neat_hull.store.setups import load_setup
from neat_hull.subjects.haul.full import full_haul

router = routes("haul", "/setups/{setup_id}")


@router.post("/haul")
def haul(setup_id: SetupId, body: Trial, db: Db) -> FullHaul:
    """Other wheels, the axle elsewhere, the steps from car to water; of a trial, nothing is
    stored."""
    stored = load_setup(db, setup_id)
    return full_haul(EVALUATIONS.tried(stored, body.on(stored.setup)))
