"""What a user changed, applied to the newest state: fields of a thing, a place, the boat and so on.

Nothing else of it is written, so two who change different fields of one thing both keep theirs.
"""

import json
from collections.abc import Iterator, Mapping, Sequence
from typing import Any, Literal, TypeVar

from pydantic import Field, JsonValue, ValidationError

from neat_hull.editing.putting import placed, require_not_held, thing_of
from neat_hull.editing.steps import setup_row
from neat_hull.editing.trial import TrialPlace
from neat_hull.errors import InputError, OvertakenError
from neat_hull.model.base import Model, dotted, input_errors
from neat_hull.model.kinds import KINDS
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.rig.typical import seat_as_moved, with_what_was_measured
from neat_hull.store.connect import Connection
from neat_hull.store.history import Change
from neat_hull.store.setups import StoredSetup
from neat_hull.subjects.calibration.figures import refit

M = TypeVar("M", bound=Model)

_APART = {"boat", "angler", "things", "places"}  # of a setup: edited by themselves


class Edit(Model):
    """Fields that were changed, as a merge patch; `was` is what stood there to the user's eyes.

    A field that somebody else has changed since is refused, unless it came to the same; without
    `was` it is written over. Of objects, what is left out stays, but one of another `kind` goes in
    whole (see `model.kinds`); lists go in whole; null is a value. For places no fields take the
    thing ashore.
    """

    what: Literal["thing", "place", "boat", "angler", "setup"]
    id: int | None = Field(default=None, ge=1, le=2**62)
    fields: dict[str, JsonValue] | None
    was: dict[str, JsonValue] | None = None


def edited(db: Connection, stored: StoredSetup, edits: Sequence[Edit]) -> tuple[str, list[Change]]:
    """The rows to write for edits of a setup just read, and how the history calls them.

    Raises OvertakenError for fields that others have changed, InputErrors for what means nothing.
    """
    setup, changes = stored.setup, list[Change]()
    for edit in edits:
        setup, changed = _one(db, stored, setup, edit)
        changes += changed
    rows = {(one.kind, one.key): one for one in changes}
    return _label(stored.setup, setup, edits), list(rows.values())


def _one(
    db: Connection, stored: StoredSetup, setup: Setup, edit: Edit
) -> tuple[Setup, list[Change]]:
    """The setup with one edit done, and the rows of it."""
    if edit.what == "place":
        return _place(setup, edit)
    if edit.what == "thing":
        key = _id(edit)
        thing = _patched(thing_of(setup, key), edit)
        things = {**setup.things, key: thing}
        return _with(setup, things=things), [Change("thing", key, thing.model_dump())]
    if edit.what == "boat":
        boat = refit(with_what_was_measured(setup.boat, _patched(setup.boat, edit)))
        require_not_held(db, stored, boat)
        return _with(setup, boat=boat), [Change("boat", stored.boat_id, boat.model_dump())]
    if edit.what == "angler":
        angler = _patched(setup.angler, edit)
        return _with(setup, angler=angler), [
            Change("angler", stored.angler_id, angler.model_dump())
        ]
    before, setup = setup, _patched(setup, edit, without=_APART)
    setup = _with(setup, seat=seat_as_moved(before.seat, setup.seat))
    return setup, [setup_row(stored.setup_id, setup)]


def patched_setup(setup: Setup, fields: dict[str, JsonValue]) -> Setup:
    """A setup with fields put in that are not edited by themselves. Raises InputErrors."""
    return _patched(setup, Edit(what="setup", fields=fields), without=_APART)


def _place(setup: Setup, edit: Edit) -> tuple[Setup, list[Change]]:
    key = _id(edit)
    thing_of(setup, key)
    place: Place | None = None
    if edit.fields is not None:
        now = setup.places.get(key)
        place = _validated(Place, edit.fields, "place") if now is None else _patched(now, edit)
    changes = placed(setup, [TrialPlace(thing_id=key, place=place)])
    gone = {one.key for one in changes if one.after is None}
    places = {i: one for i, one in setup.places.items() if i not in gone}
    return _with(setup, places=places if place is None else {**places, key: place}), changes


def _with(setup: Setup, **parts: object) -> Setup:
    return setup.model_copy(update=parts)


def _id(edit: Edit) -> int:
    if edit.id is None:
        raise InputError("id", None, f"says which {edit.what} is meant")
    return edit.id


def _patched(now: M, edit: Edit, without: frozenset[str] | set[str] = frozenset()) -> M:
    """The newest state with the fields of an edit in it."""
    fields = _required(edit)
    for name in fields.keys() & without:
        raise InputError(name, None, "is edited by itself")
    row = now.model_dump(mode="json")
    if edit.was is not None:
        overtaken = [
            InputError(dotted([edit.what, *path]), value, f"is {value} now")
            for path, value in _overtaken(row, fields, edit.was)
        ]
        if overtaken:
            raise OvertakenError(overtaken)
    return _validated(type(now), merged(row, fields), edit.what)


class ChangedFields(Model):
    """Fields that were changed of something kept beside setups; the others stay as they are by
    now."""

    fields: dict[str, JsonValue]


def patched(now: M, fields: Mapping[str, JsonValue], what: str) -> M:
    """What is kept beside setups, with fields put in. Raises InputErrors, by `what`."""
    return _validated(type(now), merged(now.model_dump(mode="json"), fields), what)


def _required(edit: Edit) -> dict[str, JsonValue]:
    if edit.fields is None:
        raise InputError("fields", None, f"are missing: a {edit.what} is not taken off like this")
    return edit.fields


def _validated(model: type[M], row: Mapping[str, Any], what: str) -> M:
    try:
        # By way of JSON: lists stand for tuples there, and keys are text.
        return model.model_validate_json(json.dumps(row))
    except ValidationError as error:
        wrong = input_errors(error.errors())
        for one in wrong.errors:
            one.field = f"{what}.{one.field}" if one.field else what
        raise type(wrong)(wrong.errors) from error


def merged(row: Mapping[str, Any], fields: Mapping[str, Any]) -> dict[str, Any]:
    """A row with fields put in, object by object; see `Edit`."""
    return {**row, **{name: _into(row.get(name), value) for name, value in fields.items()}}


def _into(now: Any, value: Any) -> Any:
    return merged(now, value) if _alike(now, value) else value


def _alike(now: Any, value: Any) -> bool:
    """Two objects of one kind: what the one leaves out stays as in the other."""
    if not (isinstance(now, dict) and isinstance(value, dict)):
        return False
    kind = value.get("kind", now.get("kind"))
    return kind == now.get("kind") or not (isinstance(kind, str) and kind in KINDS)


def _overtaken(
    now: Mapping[str, Any], fields: Mapping[str, Any], was: Mapping[str, Any]
) -> Iterator[tuple[list[str], Any]]:
    """Paths and present values of the fields that are neither as they were nor as they shall be."""
    for name, value in fields.items():
        here, there = now.get(name), was.get(name)
        if isinstance(here, dict) and isinstance(there, dict) and _alike(here, value):
            inside = _overtaken(here, value, there)
            yield from (([name, *path], found) for path, found in inside)
        elif name in was and _bare(here) not in (_bare(there), _bare(value)):
            yield [name], here


def _bare(value: Any) -> Any:
    """Without what is null: so stands a row by its key that was taken away, for a while."""
    if not isinstance(value, dict):
        return value
    return {name: _bare(one) for name, one in value.items() if one is not None}


def _label(before: Setup, after: Setup, edits: Sequence[Edit]) -> str:
    first = edits[0]
    more = f" and {len(edits) - 1} more" if len(edits) > 1 else ""
    if first.what == "boat":
        return "Change the boat"
    if first.what == "angler" or (first.what == "setup" and "seat" in (first.fields or {})):
        return "Change the angler"
    if first.what == "setup":
        return _SETUP_LABEL.get(next(iter(first.fields or {}), ""), "Change the setup")
    name = after.things[_id(first)].name
    if first.what == "thing":
        return f"Change {name}{more}" if len(edits) == 1 else f"Change {len(edits)} items"
    if first.fields is None:
        return f"Take ashore: {name}{more}"
    verb = "Move" if first.id in before.places else "Put aboard:"
    return f"{verb} {name}{more}"


_SETUP_LABEL = {
    "demands": "Set the situations",
    "judging": "Set the limits",
    "power": "Change the wiring",
}
