"""What is found in a setup, and the cards that tell of it: one for each cause."""

from neat_hull.model.base import Answer, Point
from neat_hull.model.said import Amount, Said, Verdict


class Finding(Answer):
    """Something to look at: what, where, figure against limit, why it matters, what would clear it.

    key names it from one evaluation to the next. `band` is the ± of the figure. badness grows as it
    gets worse; it compares a finding with itself alone. caution defers to a law or a label.
    accepted is why somebody lives with it, since the day accepted_on; returned says that it was
    accepted, and is worse since.
    """

    key: str
    code: str
    topic: str
    verdict: Verdict
    title: Said
    thing_id: int | None
    other_id: int | None
    where: str
    at: Point | None
    figure: Amount | None
    band: float | None
    limit: Amount | None
    limit_key: str | None
    why: str
    clear: Said
    caution: str
    badness: float
    accepted: str | None
    accepted_on: str | None
    returned: bool


class Card(Answer):
    """Findings with one cause, told as one: by their keys, the worst first.

    title is that of the worst of them, or tells of all where a rule has words for several.
    thing_id is what a picture of it shows.
    """

    title: Said
    verdict: Verdict
    keys: list[str]
    thing_id: int | None
