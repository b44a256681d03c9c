"""Changes of a setup: each is one step of its history, refused if the boat would not float."""

from typing import Literal

from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, Seen, SetupId, SetupState, ThingId, state_of
from neat_hull.editing.edits import Edit, edited
from neat_hull.editing.putting import (
    doubled,
    lined,
    named,
    placed,
    require_not_held,
    struck_off,
    thing_of,
)
from neat_hull.editing.steps import setup_row, write_step
from neat_hull.editing.trial import TrialPlace
from neat_hull.errors import NotFoundError
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.place import Place
from neat_hull.model.setup import Angler, Day, Posture, SeatPlace
from neat_hull.model.thing import Thing
from neat_hull.model.water import Water
from neat_hull.rig.lining_up import Way
from neat_hull.rig.typical import seat_as_moved, with_what_was_measured
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.history import Change
from neat_hull.store.setups import load_setup, new_thing_id
from neat_hull.subjects.calibration.figures import refit

router = routes("changes", "/setups/{setup_id}")


class Edits(Model):
    """What a user changed, as one step; it needs no revision, for each field says what it was."""

    edits: list[Edit] = Field(min_length=1, max_length=2000)
    label: str | None = Field(default=None, min_length=1, max_length=120)


class PlaceChange(Seen):
    """Where a thing goes."""

    place: Place


class PlacesChange(Seen):
    """Several things put, moved or taken ashore as one step; `verb` is how the history calls it."""

    verb: Literal[
        "Move",
        "Mirror",
        "Turn",
        "Align",
        "Lock",
        "Unlock",
        "Group",
        "Ungroup",
        "Put aboard",
        "Take ashore",
        "Reorder",
    ]
    places: list[TrialPlace] = Field(min_length=1, max_length=1000)


class LineUp(Seen):
    """Things to mirror, or to bring into line."""

    way: Way
    thing_ids: list[int] = Field(min_length=1, max_length=1000)


class Duplicates(Seen):
    """Things to have twice."""

    thing_ids: list[int] = Field(min_length=1, max_length=200)


class BoatChange(Seen):
    """The boat as it now is."""

    boat: Boat


class AnglerChange(Seen):
    """The angler, and how they sit."""

    angler: Angler
    seat: SeatPlace


class SetupChange(Seen):
    """What a setup is called, and the trip it is for."""

    name: str = Field(min_length=1, max_length=80)
    water: Water
    day: Day | None = None
    water_temp_c: float | None = Field(default=None, ge=-2, le=40)
    posture: Posture = "sits"


class DemandsChange(Seen):
    """The numbers that demands are asked with."""

    demands: DemandNumbers


class ThingChange(Seen):
    """A thing as it now is; with a place, it goes aboard at once."""

    thing: Thing
    place: Place | None = None


@router.patch("")
def edit(setup_id: SetupId, body: Edits, db: Db) -> SetupState:
    """Change fields of things, places, the boat, the angler or the setup in the newest state."""
    with transaction(db):
        label, step = edited(db, load_setup(db, setup_id), body.edits)
        return stepped(db, setup_id, None, body.label or label, step, body.edits[0].what)


@router.put("/places/{thing_id}")
def put_place(setup_id: SetupId, thing_id: ThingId, body: PlaceChange, db: Db) -> SetupState:
    """Put a thing aboard, or move it."""
    setup = load_setup(db, setup_id).setup
    name = thing_of(setup, thing_id).name
    verb = "Move" if thing_id in setup.places else "Put aboard:"
    step = placed(setup, [TrialPlace(thing_id=thing_id, place=body.place)])
    return apply_step(db, setup_id, body.revision, f"{verb} {name}", step, "place")


@router.put("/places")
def put_places(setup_id: SetupId, body: PlacesChange, db: Db) -> SetupState:
    """Move, lock, group or take ashore several things at once."""
    setup = load_setup(db, setup_id).setup
    step = placed(setup, body.places)
    names = named(setup, [one.thing_id for one in body.places])
    return apply_step(db, setup_id, body.revision, f"{body.verb}: {names}", step, "place")


@router.post("/line-up")
def line_up(setup_id: SetupId, body: LineUp, db: Db) -> SetupState:
    """Mirror things to the other side, or bring them into line, as one step."""
    setup = load_setup(db, setup_id).setup
    step = lined(setup, body.thing_ids, body.way)
    names = named(setup, body.thing_ids)
    label = f"Mirror {names}" if body.way == "mirror" else f"Line up {names}, {body.way}"
    return apply_step(db, setup_id, body.revision, label, step, "place")


@router.post("/things/duplicates", status_code=201)
def duplicate(setup_id: SetupId, body: Duplicates, db: Db) -> SetupState:
    """Have things twice, each with what it holds; a copy stands beside its original."""
    with transaction(db):
        setup = load_setup(db, setup_id).setup
        step = doubled(db, setup, body.thing_ids)
        names = named(setup, body.thing_ids)
        return stepped(db, setup_id, body.revision, f"Duplicate {names}", step, "thing")


@router.delete("/places/{thing_id}")
def take_ashore(setup_id: SetupId, thing_id: ThingId, revision: int, db: Db) -> SetupState:
    """Take a thing ashore, with all it holds."""
    setup = load_setup(db, setup_id).setup
    name = thing_of(setup, thing_id).name
    if thing_id not in setup.places:
        raise NotFoundError(f"{name} is not aboard")
    step = placed(setup, [TrialPlace(thing_id=thing_id, place=None)])
    with_it = f" and {len(step) - 1} in or on it" if len(step) > 1 else ""
    label = f"Take ashore: {name}{with_it}"
    return apply_step(db, setup_id, revision, label, step, "place")


@router.put("/boat")
def put_boat(setup_id: SetupId, body: BoatChange, db: Db) -> SetupState:
    """Change the boat's measures, wells, weight or rating."""
    stored = load_setup(db, setup_id)
    require_not_held(db, stored, body.boat)
    boat = refit(with_what_was_measured(stored.setup.boat, body.boat))
    step = [Change("boat", stored.boat_id, boat.model_dump())]
    return apply_step(db, setup_id, body.revision, "Change the boat", step, "boat.tape")


@router.put("/angler")
def put_angler(setup_id: SetupId, body: AnglerChange, db: Db) -> SetupState:
    """Change the angler and the seat."""
    stored = load_setup(db, setup_id)
    seat = seat_as_moved(stored.setup.seat, body.seat)
    step = [
        Change("angler", stored.angler_id, body.angler.model_dump()),
        setup_row(setup_id, stored.setup.model_copy(update={"seat": seat})),
    ]
    return apply_step(db, setup_id, body.revision, "Change the angler", step, "angler.mass_kg")


@router.put("")
def put_setup(setup_id: SetupId, body: SetupChange, db: Db) -> SetupState:
    """Rename a setup, change its water, or say when it goes out."""
    changed = body.model_dump(exclude={"revision"})
    step = [setup_row(setup_id, load_setup(db, setup_id).setup.model_copy(update=changed))]
    return apply_step(db, setup_id, body.revision, "Change the setup", step, "water")


@router.put("/demands")
def put_demands(setup_id: SetupId, body: DemandsChange, db: Db) -> SetupState:
    """Set the numbers that demands are asked with."""
    changed = {"demands": body.demands}
    step = [setup_row(setup_id, load_setup(db, setup_id).setup.model_copy(update=changed))]
    return apply_step(db, setup_id, body.revision, "Set the situations", step, "demands")


@router.post("/things", status_code=201)
def add_thing(setup_id: SetupId, body: ThingChange, db: Db) -> SetupState:
    """Add a thing to the gear."""
    with transaction(db):
        step = [Change("thing", new_thing_id(db), body.thing.model_dump())]
        if body.place is not None:
            step.append(Change("place", step[0].key, body.place.model_dump()))
        label = f"Add {body.thing.name}"
        return stepped(db, setup_id, body.revision, label, step, "thing.mass_kg")


@router.put("/things/{thing_id}")
def put_thing(setup_id: SetupId, thing_id: ThingId, body: ThingChange, db: Db) -> SetupState:
    """Change a thing's weight, size or name."""
    thing_of(load_setup(db, setup_id).setup, thing_id)
    step = [Change("thing", thing_id, body.thing.model_dump())]
    return apply_step(
        db, setup_id, body.revision, f"Change {body.thing.name}", step, "thing.mass_kg"
    )


@router.delete("/things/{thing_id}")
def drop_thing(setup_id: SetupId, thing_id: ThingId, revision: int, db: Db) -> SetupState:
    """Strike a thing off the gear, taking it ashore first."""
    setup = load_setup(db, setup_id).setup
    name = thing_of(setup, thing_id).name
    step = struck_off(setup, thing_id)
    return apply_step(db, setup_id, revision, f"Delete {name}", step, "thing")


def apply_step(
    db: Connection, setup_id: int, seen: int, label: str, changes: list[Change], field: str
) -> SetupState:
    """Write a step and evaluate it; all is rolled back when the boat would not float."""
    with transaction(db):
        return stepped(db, setup_id, seen, label, changes, field)


def stepped(
    db: Connection, setup_id: int, seen: int | None, label: str, changes: list[Change], field: str
) -> SetupState:
    """`apply_step` in the transaction of the caller."""
    return state_of(*write_step(db, setup_id, seen, label, changes, field))
