"""A setup through its day, in full."""

from fastapi import APIRouter

from neat_hull.api.answers import Written
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.steps import beside_of
from neat_hull.editing.trial import Trial
from neat_hull.model.day_figures import FullDay
from neat_hull.store.setups import load_setup
from neat_hull.subjects.day.full import full_day
from neat_hull.whole.evaluate import evaluated

router = APIRouter(prefix="/setups/{setup_id}", tags=["day"], route_class=Written)


@router.post("/day")
def day(setup_id: SetupId, body: Trial, db: Db) -> FullDay:
    """Every step and both sides of every turn, with a lean at each; of a trial, nothing is
    stored."""
    stored = load_setup(db, setup_id)
    return full_day(evaluated(body.on(stored.setup), beside_of(stored)))
