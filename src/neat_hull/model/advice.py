"""What the core suggests: moves, each proved by evaluating the boat with it done."""

from typing import Literal

from pydantic import JsonValue

from neat_hull.model.base import Answer
from neat_hull.model.findings import Finding
from neat_hull.model.place import Place
from neat_hull.model.said import Said
from neat_hull.model.setup import SeatPlace

MoveKind = Literal[
    "slide", "place", "into", "mirror", "swap", "turn", "seat", "wear", "along", "ashore", "rewire"
]


class Placed(Answer):
    """Where a thing goes; no place takes it ashore."""

    thing_id: int
    place: Place | None


class Brief(Answer):
    """The figures that a move is told by; those afloat are null where the boat does not float."""

    carried_kg: float
    trim_deg: float | None
    heel_deg: float | None
    gm_m: float | None
    stops: int
    fixes: int
    watches: int


class Suggestion(Answer):
    """One move: what changes, figures before and after, findings it clears and causes.

    fields are what changes of the setup besides, as a merge patch. clears says whether the finding
    it was asked for is gone. left is that finding afterwards.
    """

    kind: MoveKind
    words: Said
    places: list[Placed]
    seat: SeatPlace | None
    fields: dict[str, JsonValue]
    clears: bool
    left: Finding | None
    before: Brief
    after: Brief
    gone: list[Finding]
    new: list[Finding]


class Advice(Answer):
    """The best moves for one finding, or for the whole boat: the best first.

    looked_at moves were ranked, evaluated of them tried: those that help, in full.
    """

    finding: str | None
    suggestions: list[Suggestion]
    looked_at: int
    evaluated: int


class Arrangement(Answer):
    """Places for all that may be moved, evaluated in full; five lines of why.

    proved says that no better choice among the tries is left, as far as small changes tell.
    """

    places: list[Placed]
    moved: int
    before: Brief
    after: Brief
    gone: list[Finding]
    new: list[Finding]
    lines: list[Said]
    proved: bool


class ArrangeProgress(Answer):
    """Where an arrangement stands: done of total rounds, and the best so far."""

    done: int
    total: int
    words: str
    best: Arrangement | None
