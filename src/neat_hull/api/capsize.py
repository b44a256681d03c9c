"""A setup that goes over, in full."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.model.capsize_figures import FullCapsize
from neat_hull.store.setups import load_setup
from neat_hull.subjects.capsize.full import full_capsize

router = routes("capsize", "/setups/{setup_id}")


@router.post("/capsize")
def capsize(setup_id: SetupId, body: Trial, db: Db) -> FullCapsize:
    """Fates, three ways to tie, climbing in, and full of water; of a trial, nothing is stored."""
    stored = load_setup(db, setup_id)
    return full_capsize(EVALUATIONS.tried(stored, body.on(stored.setup)))
