"""What is ticked off on the lists of a setup. Ticks live beside it: undo never touches them."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model

TickList = Literal["off", "pack", "rig", "launch", "home", "surf"]


class Tick(Model):
    """A line of a list, by what it is about, and whether it is done."""

    list: TickList
    line: str = Field(min_length=1, max_length=80)
    done: bool


class Ticks(Answer):
    """Lines that are done, by their list."""

    done: dict[TickList, list[str]]
