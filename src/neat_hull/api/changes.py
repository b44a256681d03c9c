"""Changes of a setup: each is one step of its history, refused if the boat would not float."""

from sqlite3 import Connection

from fastapi import APIRouter
from pydantic import Field

from neat_hull.analysis.calibration import refit
from neat_hull.analysis.evaluate import require_afloat
from neat_hull.api.setups import Seen
from neat_hull.api.state import Db, SetupId, SetupState, ThingId, state_of
from neat_hull.errors import DoesNotFloat, InputError, NoBalance, NotFoundError
from neat_hull.model.boat import Boat
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.setup import Angler, Place, SeatPlace, Setup
from neat_hull.model.thing import Thing
from neat_hull.model.water import Water
from neat_hull.store.connect import transaction
from neat_hull.store.history import Change, change
from neat_hull.store.setups import StoredSetup, load_setup, next_thing_id

router = APIRouter(prefix="/setups/{setup_id}", tags=["changes"])


class PlaceChange(Seen):
    """Where a thing goes."""

    place: Place


class BoatChange(Seen):
    """The boat as it now is."""

    boat: Boat


class AnglerChange(Seen):
    """The angler, and how they sit."""

    angler: Angler
    seat: SeatPlace


class SetupChange(Seen):
    """Name and water of a setup."""

    name: str = Field(min_length=1, max_length=80)
    water: Water


class DemandsChange(Seen):
    """The numbers that demands are asked with."""

    demands: DemandNumbers


class ThingChange(Seen):
    """A thing as it now is; with a place, it goes aboard at once."""

    thing: Thing
    place: Place | None = None


@router.put("/places/{thing_id}")
def put_place(setup_id: SetupId, thing_id: ThingId, body: PlaceChange, db: Db) -> SetupState:
    """Put a thing aboard, or move it."""
    stored = load_setup(db, setup_id)
    name = _thing(stored, thing_id).name
    verb = "Move" if thing_id in stored.setup.places else "Put aboard:"
    step = [Change("place", thing_id, body.place.model_dump())]
    return apply_step(db, setup_id, body.revision, f"{verb} {name}", step, "place")


@router.delete("/places/{thing_id}")
def take_ashore(setup_id: SetupId, thing_id: ThingId, revision: int, db: Db) -> SetupState:
    """Take a thing ashore."""
    stored = load_setup(db, setup_id)
    name = _thing(stored, thing_id).name
    if thing_id not in stored.setup.places:
        raise NotFoundError(f"{name} is not aboard")
    return apply_step(db, setup_id, revision, f"Take ashore: {name}",
                  [Change("place", thing_id, None)], "place")  # fmt: skip


@router.put("/boat")
def put_boat(setup_id: SetupId, body: BoatChange, db: Db) -> SetupState:
    """Change the boat's measures, wells, weight or rating."""
    stored = load_setup(db, setup_id)
    step = [Change("boat", stored.boat_id, refit(body.boat).model_dump())]
    return apply_step(db, setup_id, body.revision, "Change the boat", step, "boat.tape")


@router.put("/angler")
def put_angler(setup_id: SetupId, body: AnglerChange, db: Db) -> SetupState:
    """Change the angler and the seat."""
    stored = load_setup(db, setup_id)
    step = [
        Change("angler", stored.angler_id, body.angler.model_dump()),
        _setup_row(setup_id, stored.setup.model_copy(update={"seat": body.seat})),
    ]
    return apply_step(db, setup_id, body.revision, "Change the angler", step, "angler.mass_kg")


@router.put("")
def put_setup(setup_id: SetupId, body: SetupChange, db: Db) -> SetupState:
    """Rename a setup, or change its water."""
    changed = {"name": body.name, "water": body.water}
    step = [_setup_row(setup_id, load_setup(db, setup_id).setup.model_copy(update=changed))]
    return apply_step(db, setup_id, body.revision, "Change the setup", step, "water")


@router.put("/demands")
def put_demands(setup_id: SetupId, body: DemandsChange, db: Db) -> SetupState:
    """Set the numbers that demands are asked with."""
    changed = {"demands": body.demands}
    step = [_setup_row(setup_id, load_setup(db, setup_id).setup.model_copy(update=changed))]
    return apply_step(db, setup_id, body.revision, "Set the demands", step, "demands")


@router.post("/things", status_code=201)
def add_thing(setup_id: SetupId, body: ThingChange, db: Db) -> SetupState:
    """Add a thing to the gear."""
    step = [Change("thing", next_thing_id(db), body.thing.model_dump())]
    if body.place is not None:
        step.append(Change("place", step[0].key, body.place.model_dump()))
    return apply_step(db, setup_id, body.revision, f"Add {body.thing.name}", step, "thing.mass_kg")


@router.put("/things/{thing_id}")
def put_thing(setup_id: SetupId, thing_id: ThingId, body: ThingChange, db: Db) -> SetupState:
    """Change a thing's weight, size or name."""
    _thing(load_setup(db, setup_id), thing_id)
    step = [Change("thing", thing_id, body.thing.model_dump())]
    return apply_step(
        db, setup_id, body.revision, f"Change {body.thing.name}", step, "thing.mass_kg"
    )


@router.delete("/things/{thing_id}")
def drop_thing(setup_id: SetupId, thing_id: ThingId, revision: int, db: Db) -> SetupState:
    """Strike a thing off the gear, taking it ashore first."""
    stored = load_setup(db, setup_id)
    name = _thing(stored, thing_id).name
    step = [Change("thing", thing_id, None)]
    if thing_id in stored.setup.places:
        step.insert(0, Change("place", thing_id, None))
    return apply_step(db, setup_id, revision, f"Strike off {name}", step, "thing")


def _setup_row(setup_id: int, setup: Setup) -> Change:
    row = setup.model_dump(include={"name", "water", "seat", "demands"})
    return Change("setup", setup_id, row)


def _thing(stored: StoredSetup, thing_id: int) -> Thing:
    thing = stored.setup.things.get(thing_id)
    if thing is None:
        raise NotFoundError(f"there is no thing {thing_id}")
    return thing


def apply_step(
    db: Connection, setup_id: int, seen: int, label: str, changes: list[Change], field: str
) -> SetupState:
    """Write a step and evaluate it; all is rolled back when the boat would not float."""
    with transaction(db):
        change(db, setup_id, seen, label, changes)
        stored = load_setup(db, setup_id)
        try:
            figures = require_afloat(stored.setup)
        except (DoesNotFloat, NoBalance) as trouble:
            raise InputError(field, None, f"with this the boat {trouble}") from trouble
    return state_of(stored, figures)
