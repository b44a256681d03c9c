"""Setups side by side."""

from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.api.state import Db
from neat_hull.editing.beside import beside_of
from neat_hull.model.base import Model
from neat_hull.model.comparison import Comparison
from neat_hull.store.past import setup_at
from neat_hull.whole.compare import compare
from neat_hull.whole.evaluate import evaluated

router = routes("compare")


class CompareSide(Model):
    """A setup as it is, or as it was after that step of its history."""

    setup_id: int = Field(ge=1, le=2**62)
    step: int | None = Field(default=None, ge=0, le=2**31)


class Compare(Model):
    """What to set side by side; the first is what the others are held against."""

    sides: list[CompareSide] = Field(min_length=2, max_length=4)


@router.post("/compare")
def side_by_side(body: Compare, db: Db) -> Comparison:
    """Two to four setups, or past states of them, held against the first; changes nothing."""
    sides = []
    for one in body.sides:
        stored, label = setup_at(db, one.setup_id, one.step)
        then = "" if label is None else f", after {label!r}"
        sides.append((f"{stored.setup.name}{then}", evaluated(stored.setup, beside_of(stored))))
    return compare(sides)
