"""How a setup is held, in full."""

from fastapi import APIRouter

from neat_hull.api.answers import Written
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.trial import Trial
from neat_hull.model.hold_figures import FullHold
from neat_hull.store.setups import load_setup
from neat_hull.subjects.hold.full import full_hold
from neat_hull.whole.evaluate import evaluated

router = APIRouter(prefix="/setups/{setup_id}", tags=["hold"], route_class=Written)


@router.post("/hold")
def hold(setup_id: SetupId, body: Trial, db: Db) -> FullHold:
    """The boat under its line's pull, by the side, and held elsewhere; the line as it hangs; of a
    trial, nothing is stored."""
    return full_hold(evaluated(body.on(load_setup(db, setup_id).setup)))
