"""Setups: list, read, try out, undo and redo."""

from typing import Annotated

from fastapi import Path as PathParam

from neat_hull.api.problems import Problem
from neat_hull.api.routes import routes
from neat_hull.api.state import Cache, Db, Seen, SetupId, SetupState, draw, state_of
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial, TrialPlaces
from neat_hull.model.base import Answer
from neat_hull.model.drawing import Drawing
from neat_hull.model.figures import Figures, QuickFigures
from neat_hull.model.how import How
from neat_hull.store import history
from neat_hull.store.connect import transaction
from neat_hull.store.setups import SetupName, list_setups, load_setup
from neat_hull.whole.evaluate import live, quick
from neat_hull.whole.how import explain

router = routes("setups", "/setups")


class Preview(Answer):
    """Figures of a trial; its drawing where boat, angler or seat were tried."""

    figures: Figures
    drawing: Drawing | None


@router.get("", responses={404: {"model": Problem}})
def setups(db: Db) -> list[SetupName]:
    """All setups, oldest first."""
    return list_setups(db)


@router.get("/{setup_id}")
def setup(setup_id: SetupId, db: Db) -> SetupState:
    """A setup with its figures and drawing."""
    return state_of(load_setup(db, setup_id))


@router.post("/{setup_id}/preview")
def preview(setup_id: SetupId, body: Trial, cache: Cache) -> Preview:
    """Figures as they would be; computes and stores nothing."""
    kept = cache.kept(setup_id)
    tried = body.on(kept.setup)
    shape = body.boat or body.angler or body.seat
    # A boat being measured is not judged yet: its cross curves would be worked out at every digit.
    figures = live(cache.evaluated(kept, tried), judged=body.boat is None)
    return Preview(figures=figures, drawing=draw(tried) if shape else None)


@router.post("/{setup_id}/preview/quick")
def preview_quickly(setup_id: SetupId, body: TrialPlaces, cache: Cache) -> QuickFigures:
    """What is told at once of things elsewhere; computes and stores nothing."""
    kept = cache.kept(setup_id)
    return quick(cache.quickly(kept, body.on(kept.setup)))


@router.get("/{setup_id}/how/{figure}")
def how(setup_id: SetupId, figure: str, db: Db) -> How:
    """How a figure was computed."""
    return explain(EVALUATIONS.of(load_setup(db, setup_id)), figure)


@router.post("/{setup_id}/undo")
def undo(setup_id: SetupId, body: Seen, db: Db) -> SetupState:
    """Take back the last step."""
    with transaction(db):
        left = history.undo(db, setup_id, body.revision)
    return state_of(load_setup(db, setup_id), left=left)


@router.post("/{setup_id}/redo")
def redo(setup_id: SetupId, body: Seen, db: Db) -> SetupState:
    """Put the last undone step in force again."""
    with transaction(db):
        left = history.redo(db, setup_id, body.revision)
    return state_of(load_setup(db, setup_id), left=left)


@router.get("/{setup_id}/history")
def steps(setup_id: SetupId, db: Db) -> list[history.Step]:
    """What was done, newest first."""
    return history.steps(db, setup_id)


@router.post("/{setup_id}/history/{number}")
def go_to(
    setup_id: SetupId, number: Annotated[int, PathParam(ge=0, le=2**31)], body: Seen, db: Db
) -> SetupState:
    """Undo or redo until that step is the last in force; 0 is the beginning."""
    with transaction(db):
        left = history.go_to(db, setup_id, body.revision, number)
    return state_of(load_setup(db, setup_id), left=left)
