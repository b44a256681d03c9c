"""Changes of a setup: each is one step of its history, refused if the boat would not float."""

from sqlite3 import Connection
from typing import Literal

from fastapi import APIRouter
from pydantic import Field

from neat_hull.analysis.calibration import refit
from neat_hull.analysis.duplicating import duplicates
from neat_hull.analysis.evaluate import require_afloat
from neat_hull.analysis.lining_up import Way, lined_up
from neat_hull.analysis.rigging import rig
from neat_hull.api.setups import Seen, TrialPlace
from neat_hull.api.state import Db, SetupId, SetupState, ThingId, elsewhere_of, state_of
from neat_hull.errors import DoesNotFloat, InputError, NoBalance, NotFoundError
from neat_hull.model.boat import Boat
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.figures import Figures
from neat_hull.model.nesting import held_by, require_nested
from neat_hull.model.setup import Angler, Day, Place, Posture, SeatPlace, Setup
from neat_hull.model.thing import Thing
from neat_hull.model.water import Water
from neat_hull.store.connect import transaction
from neat_hull.store.history import Change, change
from neat_hull.store.setups import StoredSetup, holding_elsewhere, load_setup, next_thing_id

router = APIRouter(prefix="/setups/{setup_id}", tags=["changes"])


class PlaceChange(Seen):
    """Where a thing goes."""

    place: Place


class PlacesChange(Seen):
    """Several things put, moved or taken ashore as one step; `verb` is how the history calls it."""

    verb: Literal["Move", "Mirror", "Turn", "Align", "Lock", "Unlock", "Group", "Ungroup",
                  "Put aboard", "Take ashore", "Reorder"]  # fmt: skip
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


@router.put("/places/{thing_id}")
def put_place(setup_id: SetupId, thing_id: ThingId, body: PlaceChange, db: Db) -> SetupState:
    """Put a thing aboard, or move it."""
    stored = load_setup(db, setup_id)
    name = _thing(stored, thing_id).name
    verb = "Move" if thing_id in stored.setup.places else "Put aboard:"
    _require_free(stored, thing_id, body.place)
    step = [Change("place", thing_id, body.place.model_dump())]
    return apply_step(db, setup_id, body.revision, f"{verb} {name}", step, "place")


@router.put("/places")
def put_places(setup_id: SetupId, body: PlacesChange, db: Db) -> SetupState:
    """Move, lock, group or take ashore several things at once."""
    stored = load_setup(db, setup_id)
    step = placed(stored, body.places)
    names = _named(stored.setup, [one.thing_id for one in body.places])
    return apply_step(db, setup_id, body.revision, f"{body.verb}: {names}", step, "place")


@router.post("/line-up")
def line_up(setup_id: SetupId, body: LineUp, db: Db) -> SetupState:
    """Mirror things to the other side, or bring them into line, as one step."""
    stored = load_setup(db, setup_id)
    for thing_id in body.thing_ids:
        _thing(stored, thing_id)
    places = lined_up(rig(stored.setup), body.thing_ids, body.way)
    if not places:
        raise InputError("thing_ids", None, "all of them are locked; unlock them first")
    step = [Change("place", i, place.model_dump()) for i, place in places.items()]
    names = _named(stored.setup, body.thing_ids)
    label = f"Mirror {names}" if body.way == "mirror" else f"Line up {names}, {body.way}"
    return apply_step(db, setup_id, body.revision, label, step, "place")


@router.post("/things/duplicates", status_code=201)
def duplicate(setup_id: SetupId, body: Duplicates, db: Db) -> SetupState:
    """Have things twice, each with what it holds; a copy stands beside its original."""
    stored = load_setup(db, setup_id)
    for thing_id in body.thing_ids:
        _thing(stored, thing_id)
    step = [
        change
        for thing_id, thing, place in duplicates(stored.setup, body.thing_ids, next_thing_id(db))
        for change in (
            Change("thing", thing_id, thing.model_dump()),
            *([] if place is None else [Change("place", thing_id, place.model_dump())]),
        )
    ]
    names = _named(stored.setup, body.thing_ids)
    return apply_step(db, setup_id, body.revision, f"Duplicate {names}", step, "thing")


@router.delete("/places/{thing_id}")
def take_ashore(setup_id: SetupId, thing_id: ThingId, revision: int, db: Db) -> SetupState:
    """Take a thing ashore, with all it holds."""
    stored = load_setup(db, setup_id)
    name = _thing(stored, thing_id).name
    if thing_id not in stored.setup.places:
        raise NotFoundError(f"{name} is not aboard")
    _require_free(stored, thing_id, None)
    step = _ashore(stored.setup, thing_id)
    with_it = f" and {len(step) - 1} in or on it" if len(step) > 1 else ""
    label = f"Take ashore: {name}{with_it}"
    return apply_step(db, setup_id, revision, label, step, "place")


@router.put("/boat")
def put_boat(setup_id: SetupId, body: BoatChange, db: Db) -> SetupState:
    """Change the boat's measures, wells, weight or rating."""
    stored = load_setup(db, setup_id)
    _require_not_held(db, stored, body.boat)
    step = [Change("boat", stored.boat_id, refit(body.boat).model_dump())]
    return apply_step(db, setup_id, body.revision, "Change the boat", step, "boat.tape")


@router.put("/angler")
def put_angler(setup_id: SetupId, body: AnglerChange, db: Db) -> SetupState:
    """Change the angler and the seat."""
    stored = load_setup(db, setup_id)
    step = [
        Change("angler", stored.angler_id, body.angler.model_dump()),
        setup_row(setup_id, stored.setup.model_copy(update={"seat": body.seat})),
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
        step = [*_ashore(stored.setup, thing_id), *step]
    return apply_step(db, setup_id, revision, f"Strike off {name}", step, "thing")


def setup_row(setup_id: int, setup: Setup) -> Change:
    """The row of a setup itself, as a change of it."""
    row = setup.model_dump(exclude={"boat", "angler", "things", "places"})
    return Change("setup", setup_id, row)


def _thing(stored: StoredSetup, thing_id: int) -> Thing:
    thing = stored.setup.things.get(thing_id)
    if thing is None:
        raise NotFoundError(f"there is no thing {thing_id}")
    return thing


def _ashore(setup: Setup, thing_id: int) -> list[Change]:
    """Take a thing ashore with all it holds, the last first."""
    held = [thing_id, *held_by(setup, thing_id)]
    return [Change("place", one, None) for one in reversed(held)]


def placed(stored: StoredSetup, places: list[TrialPlace]) -> list[Change]:
    """Things put, moved or taken ashore, each row once: a crate may go with what is in it.

    Raises NotFoundError for a thing that there is not, InputError for one that is locked.
    """
    step: list[Change] = []
    for one in places:
        _thing(stored, one.thing_id)
        _require_free(stored, one.thing_id, one.place)
        if one.place is not None:
            step.append(Change("place", one.thing_id, one.place.model_dump()))
        elif one.thing_id in stored.setup.places:
            step += _ashore(stored.setup, one.thing_id)
    return list({(one.kind, one.key): one for one in step}.values())


def _named(setup: Setup, thing_ids: list[int]) -> str:
    names = [setup.things[i].name for i in thing_ids]
    return names[0] if len(names) == 1 else f"{names[0]} and {len(names) - 1} more"


def _require_free(stored: StoredSetup, thing_id: int, place: Place | None) -> None:
    """A locked thing stays; unlocking, and changes of its group, are no moves."""
    old = stored.setup.places.get(thing_id)
    if old is None or not old.locked:
        return
    if place is None or _moved(old) != _moved(place):
        name = stored.setup.things[thing_id].name
        raise InputError("place", thing_id, f"{name} is locked; unlock it first")


def _moved(place: Place) -> Place:
    return place.model_copy(update={"locked": False, "group": 0})


def _require_not_held(db: Connection, stored: StoredSetup, boat: Boat) -> None:
    """Refuse to drop or rename a fitting or well while something is placed on it."""
    old = stored.setup.boat
    gone = {
        "fitting": {f.name for f in old.fittings} - {f.name for f in boat.fittings},
        "well": {w.name for w in old.wells} - {w.name for w in boat.wells},
    }
    for kind, names in gone.items():
        here = [
            (place.on.name, stored.setup.things[thing_id].name, stored.setup.name)
            for thing_id, place in stored.setup.places.items()
            if place.on is not None and place.on.kind == kind and place.on.name in names
        ]
        elsewhere = holding_elsewhere(db, stored.setup_id, stored.boat_id, kind, sorted(names))
        for part, thing, setup in here + elsewhere:
            raise InputError(
                f"boat.{kind}s", part, f"{part} holds {thing} in {setup!r}; move that first"
            )


def apply_step(
    db: Connection, setup_id: int, seen: int, label: str, changes: list[Change], field: str
) -> SetupState:
    """Write a step and evaluate it; all is rolled back when the boat would not float."""
    with transaction(db):
        return state_of(*write_step(db, setup_id, seen, label, changes, field))


def write_step(
    db: Connection, setup_id: int, seen: int, label: str, changes: list[Change], field: str
) -> tuple[StoredSetup, Figures]:
    """`apply_step` in the transaction of the caller."""
    change(db, setup_id, seen, label, changes)
    stored = load_setup(db, setup_id)
    require_nested(stored.setup)
    try:
        return stored, require_afloat(stored.setup, elsewhere_of(stored))
    except (DoesNotFloat, NoBalance) as trouble:
        raise InputError(field, None, f"with this the boat {trouble}") from trouble
