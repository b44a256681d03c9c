"""Room that the angler needs, and what is in the way of what."""

from typing import Literal

from neat_hull.model.base import Answer, Point
from neat_hull.model.said import Said, Verdict

EnvelopeGroup = Literal["stroke", "legs", "cast", "remount", "sight"]


class Envelope(Answer):
    """Room that the angler needs, for drawing: outlines (x, y) from above and (x, z) from the side.

    `counts` says whether what stands in it is told: the stroke of one who does not paddle is not.
    """

    key: str
    title: str
    group: EnvelopeGroup
    counts: bool
    plan: list[tuple[float, float]]
    side: list[tuple[float, float]]


class TooNear(Answer):
    """A thing too near to another, or in room that the angler needs.

    gap_m is negative by how far they are into each other; `at` is where.
    """

    thing_id: int
    with_thing: int | None
    envelope: str | None
    gap_m: float
    verdict: Verdict
    at: Point


class Clash(TooNear):
    """The same in words: what it is too near to, and how to get clear."""

    what: str
    clear: Said
