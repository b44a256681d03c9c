"""Steps of a setup's history: written with their undo, refused if the boat would not float."""

from collections.abc import Mapping
from typing import Any
from unicodedata import category

from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.errors import DoesNotFloat, InputError, NoBalance
from neat_hull.model.nesting import require_nested
from neat_hull.model.setup import Setup, require_day
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.store.connect import Connection
from neat_hull.store.history import Change, change
from neat_hull.store.setups import StoredSetup, load_setup
from neat_hull.whole.registry import require_known_limits


def write_step(
    db: Connection, setup_id: int, seen: int | None, label: str, changes: list[Change], field: str
) -> tuple[StoredSetup, Evaluated]:
    """Write a step in the transaction of the caller, based on revision `seen` (None: on
    the newest state), and evaluate it.

    Raises InputError naming `field` where the boat would not float; all is to be rolled back then.
    """
    for one in changes:
        require_plain_names(one.kind, one.after or {})
    change(db, setup_id, seen, label, changes)
    stored = load_setup(db, setup_id)
    require_nested(stored.setup)
    require_known_limits(stored.setup.judging)
    require_day("day", stored.setup.day)
    ev = EVALUATIONS.of(stored)
    try:
        at_rest_or_raise(ev)
    except (DoesNotFloat, NoBalance) as trouble:
        ev.forget_before()  # it is asked nothing more
        raise InputError(field, None, f"with this the boat {trouble}") from trouble
    return stored, ev


def require_plain_names(what: str, row: Mapping[str, Any]) -> None:
    """Refuse line ends and control characters in what something is called. Raises InputError."""
    called = {f"{what}.name": row.get("name")}
    for parts in ("wells", "fittings"):
        for i, part in enumerate(row.get(parts, ())):
            called[f"{what}.{parts}[{i}].name"] = part.get("name")
    for field, name in called.items():
        if isinstance(name, str) and any(category(one) == "Cc" for one in name):
            raise InputError(field, name, "must not hold line ends or control characters")


def require_named(setup: Setup) -> None:
    """`require_plain_names` and `require_day` of a whole setup from elsewhere."""
    require_plain_names("setup", {"name": setup.name})
    require_plain_names("boat", setup.boat.model_dump())
    require_plain_names("angler", {"name": setup.angler.name})
    for thing in setup.things.values():
        require_plain_names("thing", {"name": thing.name})
    require_day("day", setup.day)


def setup_row(setup_id: int, setup: Setup) -> Change:
    """The row of a setup itself, as a change of it."""
    row = setup.model_dump(exclude={"boat", "angler", "things", "places"})
    return Change("setup", setup_id, row)
