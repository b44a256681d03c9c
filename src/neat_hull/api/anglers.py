"""Several anglers: who goes with a setup."""

from typing import Annotated

from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, Seen, SetupId, SetupState, state_of
from neat_hull.editing.steps import write_step
from neat_hull.errors import NotFoundError
from neat_hull.model.base import Answer, Model
from neat_hull.model.setup import Angler
from neat_hull.physics.body.build import usual
from neat_hull.store.connect import transaction
from neat_hull.store.history import Change
from neat_hull.store.setups import KnownAngler, add_angler, list_anglers

router = routes("anglers")


class Crew(Seen):
    """Somebody known to go with a setup."""

    angler_id: int


class NewAngler(Seen):
    """Somebody new, who goes with the setup at once."""

    angler: Angler


class Stature(Model):
    """Height barefoot."""

    stature_m: Annotated[float, Field(ge=1.2, le=2.3)]


class UsualLengths(Answer):
    """What the tape would find at the usual build of a stature, in m."""

    wall_to_fingertip_m: float
    seat_to_shoulder_m: float
    wall_to_knee_m: float
    floor_to_knee_m: float
    shoulders_m: float
    foot_m: float


@router.get("/anglers")
def anglers(db: Db) -> list[KnownAngler]:
    """Everybody who has been aboard."""
    return list_anglers(db)


@router.post("/anglers/usual")
def usual_lengths(body: Stature) -> UsualLengths:
    """Usual lengths of a body that tall, to stand beside the measured ones."""
    return UsualLengths.model_validate(usual(body.stature_m), from_attributes=True)


@router.put("/setups/{setup_id}/crew")
def choose(setup_id: SetupId, body: Crew, db: Db) -> SetupState:
    """Let another angler go with this setup; the seat stays as it is."""
    known = {one.angler_id: one.angler for one in list_anglers(db)}
    if body.angler_id not in known:
        raise NotFoundError(f"there is no angler {body.angler_id}")
    name = known[body.angler_id].name
    step = [Change("crew", setup_id, {"angler_id": body.angler_id})]
    with transaction(db):
        stored = write_step(db, setup_id, body.revision, f"{name} goes", step, "angler.mass_kg")
    return state_of(*stored)


@router.post("/setups/{setup_id}/crew", status_code=201)
def add(setup_id: SetupId, body: NewAngler, db: Db) -> SetupState:
    """Keep somebody new, who goes with this setup at once."""
    with transaction(db):
        step = [Change("crew", setup_id, {"angler_id": add_angler(db, body.angler)})]
        label = f"{body.angler.name} goes"
        stored = write_step(db, setup_id, body.revision, label, step, "angler.mass_kg")
    return state_of(*stored)
