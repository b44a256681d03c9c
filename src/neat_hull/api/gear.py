"""The pile of gear: many things in one step, tables in and out, and the catalogue."""

from base64 import b64decode
from functools import partial
from typing import Annotated

from fastapi import Path as PathParam
from pydantic import Field
from starlette.responses import Response

from neat_hull.api.changes import stepped
from neat_hull.api.routes import routes
from neat_hull.api.state import Cache, Db, Seen, SetupId, SetupState
from neat_hull.editing.imports import ImportRow, numbered, plan_table, table_changes
from neat_hull.editing.putting import thing_of
from neat_hull.errors import InputError
from neat_hull.files.catalog import catalog
from neat_hull.files.gear_csv import write_gear
from neat_hull.model.base import Answer, Model
from neat_hull.model.load import GearSum
from neat_hull.model.said import items
from neat_hull.model.thing import Thing
from neat_hull.store.connect import transaction
from neat_hull.store.photos import add_photo, load_photo, media_type
from neat_hull.store.setups import load_setup, new_thing_id
from neat_hull.whole.registry import columns
from neat_hull.whole.sums import GroupBy, gear_sums

router = routes("gear")


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


@router.get("/catalog")
def catalog_things() -> list[Thing]:
    """Generic things to start with; every figure is a guess until weighed."""
    return list(catalog())


@router.put("/setups/{setup_id}/things")
def put_things(setup_id: SetupId, body: ThingsChange, db: Db) -> SetupState:
    """Add or change several things at once."""
    setup = load_setup(db, setup_id).setup
    for one in body.things:
        if one.thing_id is not None:
            thing_of(setup, one.thing_id)
    count = len(body.things)
    names = body.things[0].thing.name if count == 1 else items(count)
    verb = "Add" if all(one.thing_id is None for one in body.things) else "Change"
    with transaction(db):
        things = [(one.thing_id, one.thing) for one in body.things]
        step = numbered(things, partial(new_thing_id, db))
        return stepped(db, setup_id, body.revision, f"{verb} {names}", step, "things")


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
    headers = {
        "X-Content-Type-Options": "nosniff",
        "Content-Security-Policy": "default-src 'none'",
        "Cache-Control": "private, max-age=31536000, immutable",
    }
    return Response(image, media_type=media_type(image), headers=headers)


@router.get("/setups/{setup_id}/gear/sums")
def get_sums(setup_id: SetupId, cache: Cache, by: GroupBy = "place") -> list[GearSum]:
    """What all gear comes to, in groups; the last row, without a name, is the whole."""
    kept = cache.kept(setup_id)
    ev = cache.evaluated(kept, kept.setup)
    try:
        return gear_sums(ev, by)
    finally:
        ev.forget_before()


@router.get("/setups/{setup_id}/gear.csv")
def export_gear(setup_id: SetupId, db: Db) -> Response:
    """The whole pile as a table."""
    text = write_gear(load_setup(db, setup_id).setup.things.values(), columns())
    headers = {"Content-Disposition": 'attachment; filename="gear.csv"'}
    return Response(text, media_type="text/csv; charset=utf-8", headers=headers)


@router.post("/setups/{setup_id}/gear/preview")
def preview_gear(setup_id: SetupId, body: Table, db: Db) -> list[ImportRow]:
    """What taking a table in would do; nothing is changed."""
    return plan_table(load_setup(db, setup_id).setup.things, body.text)[0]


@router.post("/setups/{setup_id}/gear/import")
def import_gear(setup_id: SetupId, body: TableImport, db: Db) -> SetupState:
    """Take a table in as one step; refused while a line is bad, unless the good ones will do."""
    known = load_setup(db, setup_id).setup.things
    with transaction(db):
        step = table_changes(known, body.text, body.take_good, partial(new_thing_id, db))
        label = f"Import {items(len(step))}"
        return stepped(db, setup_id, body.revision, label, step, "text")
