"""What a setup is judged for: the water, the hand, limits moved, findings accepted."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.said import HowKind

Waters = Literal["calm pond", "river", "open water"]
Hand = Literal["novice", "used to it"]
School = Literal["tightest", "working share", "freeboard"]
# Which limit: the keys are those that the subjects register, see `whole.registry`.
LimitKey = Annotated[str, Field(min_length=1, max_length=40)]

_Level = Annotated[float, Field(ge=-10000, le=10000)]


class MovedLimit(Model):
    """Levels of one limit that a user has set for one profile, in SI units or degrees."""

    key: LimitKey
    waters: Waters
    hand: Hand
    fine: _Level
    watch: _Level
    fix: _Level | None = None


class LimitRow(Answer):
    """A limit as a table shows it: its levels, those of the profile before anybody moved them.

    A level is null where it is not judged. rising: better when large.
    """

    key: LimitKey
    title: str
    kind: HowKind
    rising: bool
    fine: float
    watch: float
    fix: float | None
    usual_fine: float
    usual_watch: float
    usual_fix: float | None
    moved: bool
    reason: str


class Accepted(Model):
    """A finding that somebody lives with, and why; `badness` is how bad it was that day.

    It comes back when it gets worse.
    """

    key: str = Field(min_length=1, max_length=120)
    reason: str = Field(min_length=1, max_length=400)
    on: Annotated[str, Field(pattern=r"^\d{4}-\d{2}-\d{2}$")]
    verdict: Literal["watch", "fix", "stop"]
    badness: float


class Judging(Model):
    """The profile that limits are taken from, and what was decided about findings.

    school says by which rule it is judged how much may be carried; the rating is a stop in each.
    """

    waters: Waters = "river"
    hand: Hand = "used to it"
    by_night: bool = False
    school: School = "tightest"
    moved: list[MovedLimit] = Field(default=[], max_length=200)
    accepted: list[Accepted] = Field(default=[], max_length=500)
