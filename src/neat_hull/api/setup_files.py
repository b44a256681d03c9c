"""Setups as a whole: copied, put away, moved to another boat, and in and out as files."""

import re

from pydantic import Field
from starlette.responses import Response

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, MakingDb, SetupId, SetupState, draw, state_of
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.moving import left_ashore, move_to
from neat_hull.editing.steps import require_named
from neat_hull.errors import InputError
from neat_hull.files.deck_svg import deck_svg
from neat_hull.files.said_text import Units
from neat_hull.files.setup_file import read_setup, write_setup
from neat_hull.files.wall_sheet import Paper, wall_sheet
from neat_hull.model.base import Answer, Model
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.imports import (
    archive_setup,
    copy_setup,
    import_setup,
    move_setup,
    plan_import,
)
from neat_hull.store.setups import SetupName, list_setups, load_setup
from neat_hull.subjects.power.buying import to_buy
from neat_hull.whole.evaluate import evaluate, live, require_afloat
from neat_hull.whole.registry import require_known_limits

router = routes("setup files", "/setups")


class NewName(Model):
    """What a copy is to be called."""

    name: str = Field(min_length=1, max_length=80)


class Move(NewName):
    """A copy on the boat of another setup, with that one's seat."""

    onto_setup_id: int = Field(ge=1, le=2**62)


class MovedState(Answer):
    """The moved setup, and the names of things that no longer fit and stay ashore."""

    state: SetupState
    ashore: list[str]


class Archived(Model):
    """Whether a setup is out of the way."""

    archived: bool


class FileText(Model):
    """The text of a setup file."""

    text: str


class SetupImport(Answer):
    """What taking a file in would do; nothing that is there is overwritten."""

    name: str
    same_name: bool
    boat: str
    boat_is_new: bool
    angler: str
    angler_is_new: bool
    new_things: list[str]
    known_things: int


@router.post("/{setup_id}/copy", status_code=201)
def copy(setup_id: SetupId, body: NewName, making: MakingDb) -> SetupState:
    """A copy under another name; boat, angler and gear are shared."""
    return state_of(making.setup(lambda db: copy_setup(db, load_setup(db, setup_id), body.name)))


@router.post("/{setup_id}/move", status_code=201)
def move(setup_id: SetupId, body: Move, making: MakingDb) -> MovedState:
    """The same gear on another boat; what no longer fits stays ashore and is named."""

    def moved(db: Connection) -> int:
        source, onto = load_setup(db, setup_id), load_setup(db, body.onto_setup_id)
        if source.boat_id == onto.boat_id:
            raise InputError("onto_setup_id", onto.setup_id, "that setup is on the same boat")
        setup = move_to(source.setup, onto.setup.boat, onto.setup.seat)
        setup = setup.model_copy(update={"name": body.name})
        require_afloat(setup)
        return move_setup(db, source, onto, setup)

    new, was = making.setup(moved), load_setup(making.db, setup_id).setup
    ashore = left_ashore(was, new.setup)
    return MovedState(state=state_of(new), ashore=[was.things[i].name for i in ashore])


@router.put("/{setup_id}/archived")
def archive(setup_id: SetupId, body: Archived, db: Db) -> list[SetupName]:
    """Put a setup out of the way, or bring it back."""
    with transaction(db):
        archive_setup(db, setup_id, body.archived)
    return list_setups(db)


@router.get("/{setup_id}/file")
def export(setup_id: SetupId, db: Db) -> Response:
    """The setup as a file of its own."""
    setup = load_setup(db, setup_id).setup
    headers = _attached(setup.name, "json")
    return Response(write_setup(setup), media_type="application/json", headers=headers)


@router.get("/{setup_id}/deck.svg")
def deck_plan(setup_id: SetupId, db: Db) -> Response:
    """The deck plan at true scale."""
    setup = load_setup(db, setup_id).setup
    text = deck_svg(setup, draw(setup), evaluate(setup))
    return Response(text, media_type="image/svg+xml", headers=_attached(setup.name, "svg"))


@router.get("/{setup_id}/sheet.pdf")
def sheet(setup_id: SetupId, db: Db, units: Units = "metric", paper: Paper = "a4") -> Response:
    """One page for the garage wall, and one for the wires where there are any."""
    ev = EVALUATIONS.of(load_setup(db, setup_id))
    buy = to_buy(ev)
    page = wall_sheet(ev.setup, draw(ev.setup), live(ev), units, paper, buy)
    return Response(page, media_type="application/pdf", headers=_attached(ev.setup.name, "pdf"))


def _attached(name: str, suffix: str) -> dict[str, str]:
    """A download's name, of plain letters only."""
    plain = re.sub(r"[^A-Za-z0-9]+", "-", name).strip("-").lower() or "setup"
    return {"Content-Disposition": f'attachment; filename="{plain}.{suffix}"'}


@router.post("/import/preview")
def preview_import(body: FileText, db: Db) -> SetupImport:
    """Read a file and say what taking it in would do; nothing is changed."""
    setup = read_setup(body.text.encode())
    require_known_limits(setup.judging)
    require_named(setup)
    require_afloat(setup)
    plan = plan_import(db, setup)
    return SetupImport(
        name=setup.name,
        same_name=plan.same_name,
        boat=setup.boat.name,
        boat_is_new=plan.boat_id is None,
        angler=setup.angler.name,
        angler_is_new=plan.angler_id is None,
        new_things=[setup.things[i].name for i in plan.new_things],
        known_things=len(plan.thing_ids),
    )


@router.post("/import", status_code=201)
def take_in(body: FileText, making: MakingDb) -> SetupState:
    """Take a file in as a new setup; its things have other numbers than in the file."""
    setup = read_setup(body.text.encode())
    require_known_limits(setup.judging)
    require_named(setup)
    require_afloat(setup)
    return state_of(making.setup(lambda db: import_setup(db, setup)))
