"""Suggestions for a finding or the whole boat, and places for everything at once."""

from collections.abc import AsyncIterator, Callable
from typing import Annotated, Any, TypeVar
from weakref import WeakValueDictionary

from fastapi import Path, Query, Request
from pydantic import Field, JsonValue
from starlette.concurrency import iterate_in_threadpool, run_in_threadpool
from starlette.exceptions import HTTPException
from starlette.responses import StreamingResponse

from neat_hull.api.aside import ASIDE, Asked
from neat_hull.api.changes import apply_step
from neat_hull.api.hanging_up import StreamedAnswer, ends_with, hang_up
from neat_hull.api.routes import routes
from neat_hull.api.state import Db, Seen, SetupId, SetupState
from neat_hull.editing.beside import beside_of
from neat_hull.editing.edits import patched_setup
from neat_hull.editing.putting import placed
from neat_hull.editing.steps import setup_row
from neat_hull.editing.trial import Trial, TrialPlace
from neat_hull.errors import NotFoundError
from neat_hull.model.advice import Advice, ArrangeProgress
from neat_hull.model.base import Model
from neat_hull.model.setup import SeatPlace
from neat_hull.store.setups import load_setup
from neat_hull.whole.advice.best import advising
from neat_hull.whole.arrange import arrangements

router = routes("advice", "/setups/{setup_id}")


class AdviceTrial(Trial):
    """A trial, and the key of the finding that a way out is asked for; none: the whole boat."""

    finding: str | None = Field(default=None, max_length=160)


class MovesChange(Seen):
    """A suggestion taken: places, the seat, and fields of the setup as a merge patch, as one step
    by the words it was told in."""

    words: str = Field(min_length=1, max_length=160)
    places: list[TrialPlace] = Field(default=[], max_length=1000)
    seat: SeatPlace | None = None
    fields: dict[str, JsonValue] = Field(default={})


class Standing(Model):
    """How many long questions are looked into before one that was asked."""

    ahead: int


# By the name that the asker gave it, so that it can be asked how it stands while it waits.
Name = Annotated[str, Query(max_length=64)]
_ASKED: WeakValueDictionary[str, Asked[Any]] = WeakValueDictionary()
_HUNG_UP = 499  # nobody reads it


@router.post("/advice")
async def advice(
    setup_id: SetupId, body: AdviceTrial, db: Db, request: Request, name: Name = ""
) -> Advice:
    """The best moves for a finding, or for the whole boat, of a trial; changes nothing.

    Whoever hangs up ends the work.
    """

    def ask() -> Asked[Advice]:
        stored = load_setup(db, setup_id)
        tried = body.on(stored.setup)
        return ASIDE.answers(advising, tried, body.finding, beside_of(stored))

    asked = await _put(ask, name)
    with ends_with(request, asked):
        # To the end, for what is broken off before it is stopped, and started again for the next.
        found = await run_in_threadpool(list, asked)
    if not found:
        raise HTTPException(_HUNG_UP)
    return found[0]


@router.post(
    "/arrange",
    response_class=StreamingResponse,
    responses={200: {"model": ArrangeProgress, "content": {"application/x-ndjson": {}}}},
)
async def arrange(
    setup_id: SetupId, body: Trial, db: Db, request: Request, name: Name = ""
) -> StreamingResponse:
    """Choose places for all that may be moved: a line of JSON a round, each with the best so far.

    Whoever has enough hangs up. Changes nothing.
    """

    def ask() -> Asked[ArrangeProgress]:
        stored = load_setup(db, setup_id)
        return ASIDE.answers(arrangements, body.on(stored.setup), beside_of(stored))

    asked = await _put(ask, name)
    rounds = _lines(request, asked)
    try:  # what cannot be evaluated is refused before anything is answered
        first = await anext(rounds)
    except StopAsyncIteration:
        raise HTTPException(_HUNG_UP) from None

    async def lines() -> AsyncIterator[str]:
        yield first
        async for line in rounds:
            yield line

    return StreamedAnswer(asked, lines(), media_type="application/x-ndjson")


async def _lines(request: Request, asked: Asked[ArrangeProgress]) -> AsyncIterator[str]:
    with ends_with(request, asked):
        async for progress in iterate_in_threadpool(asked):
            yield progress.model_dump_json() + "\n"


T = TypeVar("T")


async def _put(ask: Callable[[], Asked[T]], name: str) -> Asked[T]:
    """In line; out of it again where whoever asked is gone before it stands there."""
    held: list[Asked[T]] = []
    try:
        await run_in_threadpool(lambda: held.append(ask()))
    except BaseException:
        for one in held:
            hang_up(one)
        raise
    (asked,) = held
    if name:
        _ASKED[name] = asked
    return asked


@router.get("/questions/{name}")
def standing(setup_id: SetupId, name: Annotated[str, Path(max_length=64)]) -> Standing:
    """How a long question stands that was asked under a name."""
    asked = _ASKED.get(name)
    if asked is None or asked.over:
        raise NotFoundError("no question is being looked into under that name")
    return Standing(ahead=asked.ahead)


@router.put("/moves")
def take_moves(setup_id: SetupId, body: MovesChange, db: Db) -> SetupState:
    """Take a suggestion: one step of the history."""
    setup = load_setup(db, setup_id).setup
    step = placed(setup, body.places)
    if body.seat is not None or body.fields:
        seated = setup.model_copy(update={"seat": body.seat or setup.seat})
        step.append(setup_row(setup_id, patched_setup(seated, body.fields)))
    return apply_step(db, setup_id, body.revision, f"Try: {body.words}", step, "place")
