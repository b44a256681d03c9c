"""The log as a file of its own, see `files.log_json`; a table of it says the same."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.log import Mark, PackUse, TripEntry


class FileStood(Model):
    """Where an item was: the middle of its base, x from the stern, and which way it pointed."""

    x_m: float
    y_m: float
    z_m: float
    turn_deg: float


class FileItem(Mark):
    """An item that was aboard, by its number and name of then; its charge where it is a battery."""

    item: int | None = Field(default=None, ge=1, le=2**62)
    name: str = Field(min_length=1, max_length=80)
    stood: FileStood | None = None
    pack: PackUse | None = None


class FileTrip(TripEntry):
    """A trip with what was aboard; setup is what the setup was called."""

    marks: dict[int, Mark] = Field(default={}, exclude=True, max_length=0)
    packs: dict[int, PackUse] = Field(default={}, exclude=True, max_length=0)
    setup: str = Field(default="", max_length=80)
    items: list[FileItem] = Field(default=[], max_length=2000)


class LogFile(Model):
    """All trips, from the first on."""

    format: Literal["neat-hull/log"] = "neat-hull/log"
    version: Literal[1] = 1
    trips: list[FileTrip] = Field(max_length=5000)
