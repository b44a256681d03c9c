"""Findings: the limits they are judged by, and those that somebody lives with."""

from datetime import UTC, datetime

from pydantic import Field

from neat_hull.api.changes import apply_step
from neat_hull.api.routes import routes
from neat_hull.api.state import Db, Seen, SetupId, SetupState
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.steps import setup_row
from neat_hull.errors import InputError, NotFoundError
from neat_hull.model.judging import Accepted, Judging, LimitRow
from neat_hull.store.setups import StoredSetup, load_setup
from neat_hull.whole.judge import judge
from neat_hull.whole.registry import limit_rows, require_known_limits

router = routes("findings", "/setups/{setup_id}")


class JudgingChange(Seen):
    """The profile, the school and the limits to judge by; what was accepted stays."""

    judging: Judging


class Acceptance(Seen):
    """A finding to live with, and why."""

    key: str = Field(min_length=1, max_length=160)
    reason: str = Field(min_length=1, max_length=400)


@router.get("/limits")
def limits(setup_id: SetupId, db: Db) -> list[LimitRow]:
    """The limits that this setup is judged by, those of its profile, and why."""
    return limit_rows(load_setup(db, setup_id).setup.judging)


@router.put("/judging")
def put_judging(setup_id: SetupId, body: JudgingChange, db: Db) -> SetupState:
    """Choose water, hand and school, and move limits."""
    require_known_limits(body.judging)
    stored = load_setup(db, setup_id)
    judging = body.judging.model_copy(update={"accepted": stored.setup.judging.accepted})
    return _judged(db, stored, body.revision, judging, "Set the limits")


@router.put("/accepted")
def accept(setup_id: SetupId, body: Acceptance, db: Db) -> SetupState:
    """Live with a finding, for a reason; it comes back when it gets worse."""
    stored = load_setup(db, setup_id)
    found = EVALUATIONS.of(stored).once(judge)
    finding = next((one for one in found if one.key == body.key), None)
    if finding is None or finding.verdict == "fine":
        raise InputError("key", body.key, "this finding is gone now")
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


@router.delete("/accepted")
def take_back(setup_id: SetupId, key: str, revision: int, db: Db) -> SetupState:
    """Live with a finding no longer."""
    stored = load_setup(db, setup_id)
    judging = stored.setup.judging
    rest = [one for one in judging.accepted if one.key != key]
    if len(rest) == len(judging.accepted):
        raise NotFoundError("nothing of that name was accepted")
    judging = judging.model_copy(update={"accepted": rest})
    return _judged(db, stored, revision, judging, f"Reopen: {key.split(':')[0]}")


def _judged(db: Db, stored: StoredSetup, seen: int, judging: Judging, label: str) -> SetupState:
    row = setup_row(stored.setup_id, stored.setup.model_copy(update={"judging": judging}))
    return apply_step(db, stored.setup_id, seen, label, [row], "judging")
