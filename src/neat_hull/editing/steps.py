"""Steps of a setup's history: written with their undo, refused if the boat would not float."""

from neat_hull.errors import DoesNotFloat, InputError, NoBalance
from neat_hull.model.nesting import require_nested
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.connect import Connection
from neat_hull.store.history import Change, change
from neat_hull.store.setups import StoredSetup, load_setup
from neat_hull.whole.evaluate import require_afloat
from neat_hull.whole.registry import require_known_limits


def write_step(
    db: Connection, setup_id: int, seen: int | None, label: str, changes: list[Change], field: str
) -> tuple[StoredSetup, Evaluated]:
    """Write a step in the transaction of the caller, based on revision `seen` (None: on
    the newest state), and evaluate it.

    Raises InputError naming `field` where the boat would not float; all is to be rolled back then.
    """
    change(db, setup_id, seen, label, changes)
    stored = load_setup(db, setup_id)
    require_nested(stored.setup)
    require_known_limits(stored.setup.judging)
    try:
        return stored, require_afloat(stored.setup, elsewhere_of(stored))
    except (DoesNotFloat, NoBalance) as trouble:
        raise InputError(field, None, f"with this the boat {trouble}") from trouble


def setup_row(setup_id: int, setup: Setup) -> Change:
    """The row of a setup itself, as a change of it."""
    row = setup.model_dump(exclude={"boat", "angler", "things", "places"})
    return Change("setup", setup_id, row)


def elsewhere_of(stored: StoredSetup) -> list[tuple[int, str]]:
    """Things that another setup of the day has aboard too, as the core asks for them."""
    return [(one.thing_id, one.setup) for one in stored.elsewhere]
