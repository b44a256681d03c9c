"""The log: trips as they were told, and what of them is kept to learn from.

Trips are their owner's and no setup's: undo never touches them. What was not said of an item is
not known; it is never the same as not used.
"""

from dataclasses import dataclass, field
from typing import Annotated, Literal, NamedTuple

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.float_plan import Clock
from neat_hull.model.keyed import Key, Taken
from neat_hull.model.setup import Day
from neat_hull.model.water import Water

Uses = Literal["0", "1-3", "4-15", "more"]
Wind = Literal["calm", "light", "fresh", "strong"]
Share = Annotated[float, Field(ge=0, le=1)]
Flag = Literal["out_of_reach", "broke", "wet", "lost"]
FLAG_BITS: dict[Flag, int] = {"out_of_reach": 1, "broke": 2, "wet": 4, "lost": 8}


class Mark(Model):
    """What was said of an item: how often it was used, null where nobody said, and what was wrong.

    out_of_reach: it was wanted and not got at.
    """

    uses: Uses | None = None
    out_of_reach: bool = False
    broke: bool = False
    wet: bool = False
    lost: bool = False
    note: str = Field(default="", max_length=200)


class PackUse(Model):
    """A battery's charge as the trip began and ended, as shares of what can be used. went_dark: it
    gave out, so that what was wanted is more than it had."""

    start_share: Share = 1.0
    left_share: Share | None = None
    went_dark: bool = False


class TripEntry(Model):
    """A trip as it is told afterwards: marks and packs by item."""

    on_day: Day
    out_at: Clock | None = None
    hours: float = Field(gt=0, le=72)
    where: str = Field(default="", max_length=80)
    water: Water = "fresh"
    wind: Wind | None = None
    water_temp_c: float | None = Field(default=None, ge=-2, le=40)
    marks: Annotated[dict[Key, Mark], Taken] = Field(default={}, max_length=2000)
    packs: Annotated[dict[Key, PackUse], Taken] = Field(default={}, max_length=50)
    note: str = Field(default="", max_length=2000)


@dataclass(frozen=True)
class Stood:
    """Where an item was: the middle of its base in boat coordinates, and which way it pointed."""

    x_m: float
    y_m: float
    z_m: float
    turn_deg: float


@dataclass(frozen=True)
class Boarded:
    """What was aboard: of which setup and boat, at which revision, item by item; body is the setup
    as it was, for a setup that changes."""

    setup_id: int | None
    boat_id: int | None
    revision: int | None
    setup: str
    body: str | None
    names: dict[int, str]
    stood: dict[int, Stood] = field(default_factory=dict)


class LoggedTrip(NamedTuple):
    """A trip without its items, in the order of the log."""

    trip_id: int
    on_day: str
    hours: float
    salt: bool
    boat_id: int | None


@dataclass(frozen=True)
class ItemLog:
    """An item trip by trip, the newest first: the trips that it was aboard of, its uses (null:
    nobody said) and what was wrong, as `FLAG_BITS`; stood where that is known, by trip."""

    trips: list[int]
    uses: list[Uses | None]
    wrong: list[int]
    stood: dict[int, Stood] = field(default_factory=dict)


NEVER_OUT = ItemLog([], [], [])


class LoggedPack(NamedTuple):
    """A battery of a trip."""

    thing_id: int
    trip_id: int
    start_share: float
    left_share: float | None
    went_dark: int


@dataclass(frozen=True)
class CareDone:
    """Something that is looked after: what, of which item or which boat, how often; null: as is
    usual for it. done_on: when it was done last."""

    what: str
    thing_id: int | None
    boat_id: int | None
    sequence: int = 0
    every_trips: int | None = None
    every_salt: int | None = None
    every_hours: float | None = None
    every_months: int | None = None
    done_on: str | None = None


@dataclass(frozen=True)
class Log:
    """All that is learned from. trips from the first on; the rest by item."""

    trips: dict[int, LoggedTrip] = field(default_factory=dict)
    items: dict[int, ItemLog] = field(default_factory=dict)
    packs: dict[int, list[LoggedPack]] = field(default_factory=dict)
    care: list[CareDone] = field(default_factory=list)

    def item(self, thing_id: int) -> ItemLog:
        """What is known of an item."""
        return self.items.get(thing_id, NEVER_OUT)


class NamedMark(Mark):
    """With what the item was called then."""

    name: str


class KeptTrip(Answer):
    """A trip as kept. setup is what its setup was called; marks are of all that was aboard."""

    trip_id: int
    on_day: Day
    out_at: str | None
    hours: float
    where: str
    water: Water
    wind: Wind | None
    water_temp_c: float | None
    setup_id: int | None
    revision: int | None
    setup: str
    marks: dict[int, NamedMark]
    packs: dict[int, PackUse]
    note: str


class TripRow(Answer):
    """A line of the log: aboard counts items, said those of which something was said, used those
    that were; trouble names what broke, got wet, was lost or out of reach."""

    trip_id: int
    on_day: Day
    out_at: str | None
    hours: float
    where: str
    water: Water
    setup: str
    aboard: int
    said: int
    used: int
    trouble: list[str]
    note: str
