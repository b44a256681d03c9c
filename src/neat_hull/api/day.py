"""A setup through its day, in full."""

from collections.abc import Iterator
from itertools import chain

from starlette.responses import StreamingResponse

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.model.day_figures import DayRound, FullDay
from neat_hull.store.setups import load_setup
from neat_hull.subjects.day.full import full_day, full_day_rounds

router = routes("day", "/setups/{setup_id}")


@router.post("/day")
def day(setup_id: SetupId, body: Trial, db: Db) -> FullDay:
    """Every step and both sides of every turn, with a lean at each; of a trial, nothing is
    stored."""
    stored = load_setup(db, setup_id)
    return full_day(EVALUATIONS.tried(stored, body.on(stored.setup)))


@router.post(
    "/day/rounds",
    response_class=StreamingResponse,
    responses={200: {"model": DayRound, "content": {"application/x-ndjson": {}}}},
)
def day_rounds(setup_id: SetupId, body: Trial, db: Db) -> StreamingResponse:
    """The same, a line of JSON a round; whoever hangs up ends it. Nothing is stored."""
    stored = load_setup(db, setup_id)
    rounds = full_day_rounds(EVALUATIONS.tried(stored, body.on(stored.setup)))
    # What cannot be worked out is refused before anything is answered.
    every = chain([next(rounds)], rounds)
    return StreamingResponse(_lines(every), media_type="application/x-ndjson")


def _lines(rounds: Iterator[DayRound]) -> Iterator[str]:
    for one in rounds:
        yield one.model_dump_json() + "\n"
