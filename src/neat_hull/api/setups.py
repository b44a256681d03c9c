"""Setups: list, read, start, try out, undo and redo."""

from typing import Annotated

from fastapi import APIRouter, Request
from fastapi import Path as PathParam
from pydantic import Field
from starlette.responses import Response

from neat_hull.analysis.afloat import sheet
from neat_hull.analysis.between import between
from neat_hull.analysis.evaluate import evaluate, require_afloat
from neat_hull.analysis.explain import Figure, explain
from neat_hull.analysis.offering import targets
from neat_hull.analysis.reach_sheet import reach_sheet, reaching_for
from neat_hull.analysis.rigging import rig
from neat_hull.analysis.starting import FirstMeasures, starting_setup
from neat_hull.api.state import (
    Db,
    SetupCache,
    SetupId,
    SetupState,
    ThingId,
    draw,
    elsewhere_of,
    state_of,
)
from neat_hull.errors import InputError, NotFoundError
from neat_hull.model.afloat import Sheet
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.figures import Answer, Drawing, Figures, How
from neat_hull.model.judging import Judging
from neat_hull.model.nesting import held_by, require_nested
from neat_hull.model.reach import Reaching, ReachSheet
from neat_hull.model.setup import Angler, Place, Posture, SeatPlace, Setup
from neat_hull.model.targets import Between, Target
from neat_hull.model.water import Water
from neat_hull.store import history
from neat_hull.store.connect import transaction
from neat_hull.store.setups import SetupName, add_setup, list_setups, load_setup

router = APIRouter(prefix="/setups", tags=["setups"])


class Seen(Model):
    """The revision a change is based on."""

    revision: int


class TrialPlace(Model):
    """A thing put somewhere; no place takes it ashore, with all it holds."""

    thing_id: int
    place: Place | None


class Trial(Model):
    """What a preview changes; everything left out stays as kept.

    What goes ashore takes along all it holds.
    """

    places: list[TrialPlace] = Field(default=[], max_length=1000)
    boat: Boat | None = None
    angler: Angler | None = None
    seat: SeatPlace | None = None
    water: Water | None = None
    demands: DemandNumbers | None = None
    posture: Posture | None = None
    judging: Judging | None = None

    def on(self, kept: Setup) -> Setup:
        """The setup as it would be. Raises InputError for a thing that is not there."""
        places = dict(kept.places)
        for one in self.places:
            if one.thing_id not in kept.things:
                raise InputError("places", one.thing_id, f"there is no thing {one.thing_id}")
            if one.place is None:
                places.pop(one.thing_id, None)
                for held in held_by(kept, one.thing_id):
                    places.pop(held, None)
            else:
                places[one.thing_id] = one.place
        changed = {
            name: getattr(self, name)
            for name in ("boat", "angler", "seat", "water", "demands", "posture", "judging")
            if getattr(self, name) is not None
        }
        tried = kept.model_copy(update={"places": places, **changed})
        require_nested(tried)
        return tried


class ReachTrial(Trial):
    """A trial, and the height over the bottom of the boat that the map is for."""

    height_m: float = Field(default=0.43, ge=-0.5, le=2)


class Preview(Answer):
    """Figures of a trial; its drawing where boat, angler or seat were tried."""

    figures: Figures
    drawing: Drawing | None


@router.get("")
def setups(db: Db) -> list[SetupName]:
    """All setups, oldest first."""
    return list_setups(db)


@router.post("", status_code=201)
def start_setup(body: FirstMeasures, db: Db) -> SetupState:
    """A new boat and angler from first measures, with nothing aboard yet."""
    setup = starting_setup(body)
    figures = require_afloat(setup)
    with transaction(db):
        setup_id = add_setup(db, setup)
    return state_of(load_setup(db, setup_id), figures)


@router.get("/{setup_id}")
def setup(setup_id: SetupId, db: Db) -> SetupState:
    """A setup with its figures and drawing."""
    return state_of(load_setup(db, setup_id))


@router.post("/{setup_id}/preview", response_model=Preview)
def preview(setup_id: SetupId, body: Trial, db: Db, request: Request) -> Response:
    """Figures as they would be; computes and stores nothing."""
    cache: SetupCache = request.app.state.cache
    kept = cache.load(db, setup_id)
    tried = body.on(kept.setup)
    shape = body.boat or body.angler or body.seat
    # A boat being measured is not judged yet: its cross curves would be worked out at every digit.
    figures = evaluate(tried, elsewhere_of(kept), judged=body.boat is None)
    answer = Preview(figures=figures, drawing=draw(tried) if shape else None)
    # Written out here: the framework would build and check the model a second time, in a drag.
    return Response(answer.model_dump_json(), media_type="application/json")


@router.get("/{setup_id}/how/{figure}")
def how(setup_id: SetupId, figure: Figure, db: Db) -> How:
    """How a figure was computed."""
    return explain(load_setup(db, setup_id).setup, figure)


@router.get("/{setup_id}/targets/{thing_id}")
def thing_targets(setup_id: SetupId, thing_id: ThingId, db: Db, request: Request) -> list[Target]:
    """What a thing could be put on, and why not where it could not; changes nothing."""
    cache: SetupCache = request.app.state.cache
    setup = cache.load(db, setup_id).setup
    if thing_id not in setup.things:
        raise NotFoundError(f"there is no thing {thing_id}")
    return targets(rig(setup).placing, thing_id)


@router.get("/{setup_id}/between/{thing_id}/{other_id}")
def measure_between(setup_id: SetupId, thing_id: ThingId, other_id: ThingId, db: Db) -> Between:
    """How far two things aboard are from each other."""
    setup = load_setup(db, setup_id).setup
    for one in (thing_id, other_id):
        if one not in setup.places:
            raise NotFoundError(f"thing {one} is not aboard")
    return between(rig(setup), thing_id, other_id)


@router.post("/{setup_id}/afloat")
def afloat(setup_id: SetupId, body: Trial, db: Db) -> Sheet:
    """Table, righting curves, demands and load curves, of a trial; computes and stores nothing."""
    return sheet(body.on(load_setup(db, setup_id).setup))


@router.post("/{setup_id}/reach")
def reach(setup_id: SetupId, body: ReachTrial, db: Db) -> ReachSheet:
    """Map, needs, rods, parking and sight, of a trial; computes and stores nothing."""
    return reach_sheet(body.on(load_setup(db, setup_id).setup), body.height_m)


@router.get("/{setup_id}/reaching/{thing_id}")
def reach_for(setup_id: SetupId, thing_id: ThingId, db: Db) -> Reaching:
    """The angler reaching for one thing, and how the boat lies meanwhile."""
    setup = load_setup(db, setup_id).setup
    if thing_id not in setup.places:
        raise NotFoundError(f"thing {thing_id} is not aboard")
    return reaching_for(setup, thing_id)


@router.post("/{setup_id}/undo")
def undo(setup_id: SetupId, body: Seen, db: Db) -> SetupState:
    """Take back the last step."""
    with transaction(db):
        history.undo(db, setup_id, body.revision)
    return state_of(load_setup(db, setup_id))


@router.post("/{setup_id}/redo")
def redo(setup_id: SetupId, body: Seen, db: Db) -> SetupState:
    """Put the last undone step in force again."""
    with transaction(db):
        history.redo(db, setup_id, body.revision)
    return state_of(load_setup(db, setup_id))


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
        history.go_to(db, setup_id, body.revision, number)
    return state_of(load_setup(db, setup_id))
