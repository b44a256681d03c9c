"""Findings, what to do about them, and setups side by side."""

from collections.abc import Iterator
from datetime import UTC, datetime

from fastapi import APIRouter
from pydantic import Field
from starlette.responses import StreamingResponse

from neat_hull.analysis.advice.arrange import arrangements
from neat_hull.analysis.advice.best import advise
from neat_hull.analysis.comparing import compare
from neat_hull.analysis.evaluate import evaluate
from neat_hull.analysis.limits import limit_rows
from neat_hull.api.changes import apply_step, placed, setup_row
from neat_hull.api.setups import Seen, Trial, TrialPlace
from neat_hull.api.state import Db, SetupId, SetupState, elsewhere_of
from neat_hull.errors import InputError, NotFoundError
from neat_hull.model.advice import Advice, ArrangeProgress
from neat_hull.model.base import Model
from neat_hull.model.comparison import Comparison
from neat_hull.model.judging import Accepted, Judging, LimitRow
from neat_hull.model.setup import SeatPlace
from neat_hull.store.past import setup_at
from neat_hull.store.setups import StoredSetup, load_setup

router = APIRouter(tags=["judgement"])
SETUP = "/setups/{setup_id}"


class AdviceTrial(Trial):
    """A trial, and the key of the finding that a way out is asked for; none: the whole boat."""

    finding: str | None = Field(default=None, max_length=160)


class MovesChange(Seen):
    """A suggestion taken: places and the seat as one step, by the words it was told in."""

    words: str = Field(min_length=1, max_length=160)
    places: list[TrialPlace] = Field(default=[], max_length=1000)
    seat: SeatPlace | None = None


class JudgingChange(Seen):
    """The profile, the school and the limits to judge by; what was accepted stays."""

    judging: Judging


class Acceptance(Seen):
    """A finding to live with, and why."""

    key: str = Field(min_length=1, max_length=160)
    reason: str = Field(min_length=1, max_length=400)


class CompareSide(Model):
    """A setup as it is, or as it was after that step of its history."""

    setup_id: int = Field(ge=1, le=2**62)
    step: int | None = Field(default=None, ge=0, le=2**31)


class Compare(Model):
    """What to set side by side; the first is what the others are held against."""

    sides: list[CompareSide] = Field(min_length=2, max_length=4)


@router.post(SETUP + "/advice")
def advice(setup_id: SetupId, body: AdviceTrial, db: Db) -> Advice:
    """The best moves for a finding, or for the whole boat, of a trial; changes nothing."""
    stored = load_setup(db, setup_id)
    return advise(body.on(stored.setup), body.finding, elsewhere_of(stored))


@router.post(
    SETUP + "/arrange",
    response_class=StreamingResponse,
    responses={200: {"model": ArrangeProgress, "content": {"application/x-ndjson": {}}}},
)
def arrange(setup_id: SetupId, body: Trial, db: Db) -> StreamingResponse:
    """Choose places for all that may be moved: a line of JSON a round, each with the best so far.

    Whoever has enough hangs up. Changes nothing.
    """
    stored = load_setup(db, setup_id)
    rounds = arrangements(body.on(stored.setup), elsewhere_of(stored))
    first = next(rounds)  # what cannot be evaluated is refused before anything is answered

    def lines() -> Iterator[str]:
        yield first.model_dump_json() + "\n"
        for progress in rounds:
            yield progress.model_dump_json() + "\n"

    return StreamingResponse(lines(), media_type="application/x-ndjson")


@router.put(SETUP + "/moves")
def take_moves(setup_id: SetupId, body: MovesChange, db: Db) -> SetupState:
    """Take a suggestion: one step of the history."""
    stored = load_setup(db, setup_id)
    step = placed(stored, body.places)
    if body.seat is not None:
        seated = stored.setup.model_copy(update={"seat": body.seat})
        step.append(setup_row(setup_id, seated))
    return apply_step(db, setup_id, body.revision, f"Try: {body.words}", step, "place")


@router.get(SETUP + "/limits")
def limits(setup_id: SetupId, db: Db) -> list[LimitRow]:
    """The limits that this setup is judged by, those of its profile, and why."""
    return limit_rows(load_setup(db, setup_id).setup.judging)


@router.put(SETUP + "/judging")
def put_judging(setup_id: SetupId, body: JudgingChange, db: Db) -> SetupState:
    """Choose water, hand and school, and move limits."""
    stored = load_setup(db, setup_id)
    judging = body.judging.model_copy(update={"accepted": stored.setup.judging.accepted})
    return _judged(db, stored, body.revision, judging, "Judge by other limits")


@router.put(SETUP + "/accepted")
def accept(setup_id: SetupId, body: Acceptance, db: Db) -> SetupState:
    """Live with a finding, for a reason; it comes back when it gets worse."""
    stored = load_setup(db, setup_id)
    found = evaluate(stored.setup, elsewhere_of(stored)).findings
    finding = next((one for one in found if one.key == body.key), None)
    if finding is None or finding.verdict == "fine":
        raise InputError("key", body.key, "there is no such finding now")
    judging = stored.setup.judging
    taken = Accepted(
        key=finding.key,
        reason=body.reason,
        on=datetime.now(UTC).date().isoformat(),
        verdict=finding.verdict,
        badness=finding.badness,
    )
    rest = [one for one in judging.accepted if one.key != body.key]
    judging = judging.model_copy(update={"accepted": [*rest, taken]})
    return _judged(db, stored, body.revision, judging, f"Accept: {finding.code}")


@router.delete(SETUP + "/accepted")
def take_back(setup_id: SetupId, key: str, revision: int, db: Db) -> SetupState:
    """Live with a finding no longer."""
    stored = load_setup(db, setup_id)
    judging = stored.setup.judging
    rest = [one for one in judging.accepted if one.key != key]
    if len(rest) == len(judging.accepted):
        raise NotFoundError("nothing of that name was accepted")
    judging = judging.model_copy(update={"accepted": rest})
    return _judged(db, stored, revision, judging, f"Accept no longer: {key.split(':')[0]}")


@router.post("/compare")
def side_by_side(body: Compare, db: Db) -> Comparison:
    """Two to four setups, or past states of them, held against the first; changes nothing."""
    sides = []
    for one in body.sides:
        stored, label = setup_at(db, one.setup_id, one.step)
        then = "" if label is None else f", after {label!r}"
        sides.append((f"{stored.setup.name}{then}", stored.setup, elsewhere_of(stored)))
    return compare(sides)


def _judged(
    db: Db, stored: StoredSetup, seen: int, judging: Judging, label: str
) -> SetupState:  # fmt: skip
    row = setup_row(stored.setup_id, stored.setup.model_copy(update={"judging": judging}))
    return apply_step(db, stored.setup_id, seen, label, [row], "judging")
