"""The boat afloat in full: table, righting curves, demands and load curves."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.model.afloat import FullAfloat
from neat_hull.store.setups import load_setup
from neat_hull.subjects.afloat.full import full_afloat

router = routes("afloat", "/setups/{setup_id}")


@router.post("/afloat")
def afloat(setup_id: SetupId, body: Trial, db: Db) -> FullAfloat:
    """Table, righting curves, demands and load curves, of a trial; computes and stores nothing."""
    stored = load_setup(db, setup_id)
    return full_afloat(EVALUATIONS.tried(stored, body.on(stored.setup)))
