"""How a setup goes, in full."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.model.glide_figures import FullGlide
from neat_hull.store.setups import load_setup
from neat_hull.subjects.glide.full import full_glide

router = routes("glide", "/setups/{setup_id}")


@router.post("/glide")
def glide(setup_id: SetupId, body: Trial, db: Db) -> FullGlide:
    """Resistance by speed and cause, full and bare; steps of the motor, lines behind the boat, what
    tests give; of a trial, nothing is stored."""
    stored = load_setup(db, setup_id)
    return full_glide(EVALUATIONS.tried(stored, body.on(stored.setup)))
