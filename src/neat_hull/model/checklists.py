"""Lists that a trip is packed, rigged, launched and put away by."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.said import Said

ListName = Literal["pack", "rig", "launch", "home"]


class ListText(Model):
    """A line of one's own."""

    text: str = Field(min_length=1, max_length=200)


class LineHidden(Model):
    """Whether a line that the setup makes is left out."""

    line: str = Field(min_length=1, max_length=80)
    hidden: bool


class KeptLine(Answer):
    """What is kept of a list: text of one's own, or the key of a made line that is hidden."""

    line_id: int
    list: ListName
    line: str | None
    own_text: str | None


class ChecklistLine(Answer):
    """A line by its key, by which it is ticked; depth is how many things it is in. own_id: a line
    of one's own."""

    key: str
    words: Said
    depth: int
    thing_id: int | None
    own_id: int | None
    hidden: bool


class Checklist(Answer):
    """A list in its order."""

    name: ListName
    lines: list[ChecklistLine]


class Checklists(Answer):
    """All four, in the order of the day."""

    lists: list[Checklist]
