"""A setup as it goes through the surf, beside how it fishes."""

from neat_hull.model.base import Answer
from neat_hull.model.comparison import Comparison
from neat_hull.model.place import Place
from neat_hull.model.said import Said, Verdict


class SurfOffer(Answer):
    """Somewhere a thing may go for the surf, in words, and its place there."""

    key: str
    words: str
    place: Place


class SurfRow(Answer):
    """A thing as it goes through the surf: how far it stands above the gunwale beside it, whether
    it stays when the boat goes over, and whether its tip would snap or stab. changed: it lies
    elsewhere than while one fishes; offers: where it may go; chosen: which of them it is at."""

    thing_id: int
    over_m: float
    stands: Verdict
    tied: bool
    snaps: bool
    stabs: bool
    changed: bool
    chosen: str | None
    offers: list[SurfOffer]


class SurfStep(Answer):
    """Something to do on the way from the one arrangement to the other; key to tick it by."""

    key: str
    words: Said
    thing_id: int | None


class SurfLaid(Answer):
    """Places for all that stands up or is not tied and finds room, by thing."""

    places: dict[int, Place]


class SurfPage(Answer):
    """Both arrangements side by side, the one to fish with first; each thing in the other; what
    to change, in order. down: parts that hang under the boat and are not up. trouble: why there is
    nothing to hold side by side."""

    sides: Comparison | None
    rows: list[SurfRow]
    steps: list[SurfStep]
    down: list[int]
    trouble: str | None
