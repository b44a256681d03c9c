"""What is carried, against what may be."""

from neat_hull.model.base import Answer, Point
from neat_hull.model.said import Verdict


class Weight(Answer):
    """What is carried, and what counts to the rating: with the boat, where its maker says so.

    freeboard_kg is what could be carried until the gunwale comes down to its target, and limit_kg
    the tightest of the schools that are asked. carried_at is the centre of all that is carried.
    """

    carried_kg: float
    counted_kg: float
    angler_kg: float
    gear_kg: float
    boat_kg: float
    all_up_kg: float
    guessed_kg: float
    rated_kg: float | None
    working_kg: float | None
    freeboard_kg: float | None
    limit_kg: float | None
    verdict: Verdict | None
    carried_at: Point


class GearSum(Answer):
    """Some gear taken together: as filled now, what was paid for it, and what is still planned."""

    name: str
    count: int
    mass_kg: float
    spent: float
    planned: float
