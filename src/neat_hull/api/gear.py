"""The pile of gear: many things in one step, tables in and out, and the catalogue."""

from base64 import b64decode
from typing import Annotated, Literal

from fastapi import APIRouter
from fastapi import Path as PathParam
from pydantic import Field
from starlette.responses import Response

from neat_hull.api.changes import apply_step
from neat_hull.api.setups import Seen
from neat_hull.api.state import Db, SetupId, SetupState
from neat_hull.errors import InputError, NotFoundError
from neat_hull.files.catalog import catalog
from neat_hull.files.gear_csv import GearRow, read_gear, write_gear
from neat_hull.model.base import Model
from neat_hull.model.figures import Answer
from neat_hull.model.thing import Thing
from neat_hull.store.connect import transaction
from neat_hull.store.history import Change
from neat_hull.store.photos import add_photo, load_photo, media_type
from neat_hull.store.setups import load_setup, next_thing_id

router = APIRouter(tags=["gear"])


class NumberedThing(Model):
    """A thing as it now is; without an id it is new."""

    thing_id: int | None = None
    thing: Thing


class ThingsChange(Seen):
    """Things to add or change, as one step."""

    things: list[NumberedThing] = Field(min_length=1, max_length=2000)


class Table(Model):
    """The text of a CSV file."""

    text: str


class TableImport(Seen):
    """A table to take in; `take_good` says that lines which cannot be read may be left out."""

    text: str
    take_good: bool = False


class Photo(Model):
    """A JPEG or PNG in base64."""

    image: str = Field(max_length=1_500_000)


class PhotoId(Answer):
    """What a thing calls its picture by."""

    photo_id: int


class ImportRow(Answer):
    """What a line of a table would do."""

    line: int
    name: str
    does: Literal["new", "changes", "same", "bad"]
    why: str


@router.get("/catalog")
def catalog_things() -> list[Thing]:
    """Generic things to start with; every figure is a guess until weighed."""
    return list(catalog())


@router.put("/setups/{setup_id}/things")
def put_things(setup_id: SetupId, body: ThingsChange, db: Db) -> SetupState:
    """Add or change several things at once."""
    known, new_id = load_setup(db, setup_id).setup.things, next_thing_id(db)
    step = []
    for one in body.things:
        if one.thing_id is not None and one.thing_id not in known:
            raise NotFoundError(f"there is no thing {one.thing_id}")
        step.append(Change("thing", one.thing_id or new_id, one.thing.model_dump()))
        new_id += one.thing_id is None
    names = body.things[0].thing.name if len(step) == 1 else f"{len(step)} things"
    verb = "Add" if all(one.thing_id is None for one in body.things) else "Change"
    return apply_step(db, setup_id, body.revision, f"{verb} {names}", step, "things")


@router.post("/photos", status_code=201)
def post_photo(body: Photo, db: Db) -> PhotoId:
    """Keep a picture of a thing; a thing then names it by its id."""
    try:
        image = b64decode(body.image, validate=True)
    except ValueError as error:
        raise InputError("image", None, "is not in base64") from error
    with transaction(db):
        return PhotoId(photo_id=add_photo(db, image))


@router.get("/photos/{photo_id}")
def get_photo(photo_id: Annotated[int, PathParam(ge=1, le=2**62)], db: Db) -> Response:
    """A picture as it came."""
    image = load_photo(db, photo_id)
    # Nothing but a picture, whatever else is in the bytes.
    headers = {"X-Content-Type-Options": "nosniff", "Content-Security-Policy": "default-src 'none'",
               "Cache-Control": "private, max-age=31536000, immutable"}  # fmt: skip
    return Response(image, media_type=media_type(image), headers=headers)


@router.get("/setups/{setup_id}/gear.csv")
def export_gear(setup_id: SetupId, db: Db) -> Response:
    """The whole pile as a table."""
    text = write_gear(load_setup(db, setup_id).setup.things.values())
    headers = {"Content-Disposition": 'attachment; filename="gear.csv"'}
    return Response(text, media_type="text/csv; charset=utf-8", headers=headers)


@router.post("/setups/{setup_id}/gear/preview")
def preview_gear(setup_id: SetupId, body: Table, db: Db) -> list[ImportRow]:
    """What taking a table in would do; nothing is changed."""
    return plan_table(load_setup(db, setup_id).setup.things, body.text)[0]


@router.post("/setups/{setup_id}/gear/import")
def import_gear(setup_id: SetupId, body: TableImport, db: Db) -> SetupState:
    """Take a table in as one step; refused while a line is bad, unless the good ones will do."""
    rows, changes = plan_table(load_setup(db, setup_id).setup.things, body.text)
    bad = [row for row in rows if row.does == "bad"]
    if bad and not body.take_good:
        raise InputError(f"line {bad[0].line}", None, bad[0].why)
    if not changes:
        raise InputError("text", None, "there is nothing new in this table")
    new_id = next_thing_id(db)
    step = []
    for thing_id, thing in changes:
        step.append(Change("thing", thing_id or new_id, thing.model_dump()))
        new_id += thing_id is None
    return apply_step(db, setup_id, body.revision, f"Import {len(step)} things", step, "text")


def plan_table(
    known: dict[int, Thing], text: str
) -> tuple[list[ImportRow], list[tuple[int | None, Thing]]]:
    """What each line does, and the things to write. A thing of the same name is changed."""
    good, bad = read_gear(text)
    by_name = {thing.name: thing_id for thing_id, thing in known.items()}
    rows = [ImportRow(line=one.line, name="", does="bad", why=one.why) for one in bad]
    changes: list[tuple[int | None, Thing]] = []
    for row in good:
        one = row
        thing_id = by_name.pop(one.thing.name, None)
        if thing_id is not None:  # a table has no pictures; one that is there stays
            photo = {"photo": known[thing_id].photo}
            one = GearRow(one.line, one.thing.model_copy(update=photo))
        same = thing_id is not None and known[thing_id] == one.thing
        does: Literal["new", "changes", "same"] = (
            "same" if same else "new" if thing_id is None else "changes"
        )
        why = "" if thing_id is None or same else _difference(known[thing_id], one.thing)
        rows.append(ImportRow(line=one.line, name=one.thing.name, does=does, why=why))
        if not same:
            changes.append((thing_id, one.thing))
    return sorted(rows, key=lambda row: row.line), changes


def _difference(before: Thing, after: Thing) -> str:
    was, now = before.model_dump(), after.model_dump()
    return ", ".join(name for name in was if was[name] != now[name])
