"""Suggestions for a finding or the whole boat, and places for everything at once."""

from collections.abc import Iterator

from fastapi import APIRouter
from pydantic import Field
from starlette.responses import StreamingResponse

from neat_hull.api.answers import Written
from neat_hull.api.aside import ASIDE, only
from neat_hull.api.changes import apply_step
from neat_hull.api.state import Db, Seen, SetupId, SetupState
from neat_hull.editing.putting import placed
from neat_hull.editing.steps import elsewhere_of, setup_row
from neat_hull.editing.trial import Trial, TrialPlace
from neat_hull.model.advice import Advice, ArrangeProgress
from neat_hull.model.setup import SeatPlace
from neat_hull.store.setups import load_setup
from neat_hull.whole.advice.best import advising
from neat_hull.whole.arrange import arrangements

router = APIRouter(prefix="/setups/{setup_id}", tags=["advice"], route_class=Written)


class AdviceTrial(Trial):
    """A trial, and the key of the finding that a way out is asked for; none: the whole boat."""

    finding: str | None = Field(default=None, max_length=160)


class MovesChange(Seen):
    """A suggestion taken: places and the seat as one step, by the words it was told in."""

    words: str = Field(min_length=1, max_length=160)
    places: list[TrialPlace] = Field(default=[], max_length=1000)
    seat: SeatPlace | None = None


@router.post("/advice")
def advice(setup_id: SetupId, body: AdviceTrial, db: Db) -> Advice:
    """The best moves for a finding, or for the whole boat, of a trial; changes nothing."""
    stored = load_setup(db, setup_id)
    tried = body.on(stored.setup)
    return only(ASIDE.answers(advising, tried, body.finding, elsewhere_of(stored)))


@router.post(
    "/arrange",
    response_class=StreamingResponse,
    responses={200: {"model": ArrangeProgress, "content": {"application/x-ndjson": {}}}},
)
def arrange(setup_id: SetupId, body: Trial, db: Db) -> StreamingResponse:
    """Choose places for all that may be moved: a line of JSON a round, each with the best so far.

    Whoever has enough hangs up. Changes nothing.
    """
    stored = load_setup(db, setup_id)
    rounds = ASIDE.answers(arrangements, body.on(stored.setup), elsewhere_of(stored))
    first = next(rounds)  # what cannot be evaluated is refused before anything is answered

    def lines() -> Iterator[str]:
        yield first.model_dump_json() + "\n"
        for progress in rounds:
            yield progress.model_dump_json() + "\n"

    return StreamingResponse(lines(), media_type="application/x-ndjson")


@router.put("/moves")
def take_moves(setup_id: SetupId, body: MovesChange, db: Db) -> SetupState:
    """Take a suggestion: one step of the history."""
    setup = load_setup(db, setup_id).setup
    step = placed(setup, body.places)
    if body.seat is not None:
        seated = setup.model_copy(update={"seat": body.seat})
        step.append(setup_row(setup_id, seated))
    return apply_step(db, setup_id, body.revision, f"Try: {body.words}", step, "place")
