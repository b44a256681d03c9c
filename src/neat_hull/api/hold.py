"""How a setup is held, in full."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.model.hold_figures import FullHold
from neat_hull.store.setups import load_setup
from neat_hull.subjects.hold.full import full_hold

router = routes("hold", "/setups/{setup_id}")


@router.post("/hold")
def hold(setup_id: SetupId, body: Trial, db: Db) -> FullHold:
    """The boat under its line's pull, by the side, and held elsewhere; the line as it hangs; of a
    trial, nothing is stored."""
    stored = load_setup(db, setup_id)
    return full_hold(EVALUATIONS.tried(stored, body.on(stored.setup)))
