"""What runs out, or wants service, and when. Dates live beside setups: undo never touches them."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.log_figures import CareRow
from neat_hull.model.said import Verdict
from neat_hull.model.setup import Day

DateKind = Literal[
    "flare", "inflator", "inflator cartridge", "first aid", "beacon battery",
    "beacon registration", "radio charge", "light charge", "vest float test", "suit seals",
    "webbing", "other",
]  # fmt: skip


class DatedItem(Model):
    """Something with a date: of a thing, or null for what is none. due is what is printed on it;
    without one it comes every so many months from when it was last done."""

    thing_id: int | None = Field(default=None, ge=1, le=2**62)
    kind: DateKind
    due: Day | None = None
    every_months: int | None = Field(default=None, ge=1, le=240)
    last_done: Day | None = None
    note: str = Field(default="", max_length=200)


class Dated(DatedItem):
    """As kept: uid names it in a calendar, sequence counts its changes."""

    dated_id: int
    uid: str
    sequence: int


class DateRow(Answer):
    """A date as a list shows it: due_on where it is known, days left until then, negative when
    past, and what that means."""

    dated: Dated
    thing: str | None
    aboard: bool
    due_on: Day | None
    days_left: int | None
    verdict: Verdict


class Dates(Answer):
    """All of them, what is due first; on is the day they are held against."""

    on: Day
    rows: list[DateRow]


class DatesPage(Dates):
    """With what is to be looked after by now, as trips and months have it."""

    care: list[CareRow]
