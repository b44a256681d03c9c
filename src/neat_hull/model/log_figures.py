"""What the trips of the log teach: each with how many it rests on."""

from typing import Literal

from neat_hull.model.base import Answer
from neat_hull.model.log import Flag, TripRow
from neat_hull.model.power import Draw
from neat_hull.model.said import Said, Verdict
from neat_hull.model.setup import Day
from neat_hull.model.thing import Use


class UnusedRow(Answer):
    """An item that was not used in the last so many trips of which something was said of it.

    enough: there are as many as to offer it ashore. chance_share: what it may still be wanted by,
    at most, on a trip (95 %).
    """

    thing_id: int
    said: int
    unused: int
    enough: bool
    chance_share: float
    mass_kg: float
    minor: int | None
    where: str | None


class UseRow(Answer):
    """How often an item is really used, an hour, against what is said of it. differs counts the
    last trips (`of`) that do not go with it; suggested is the use that goes with the middle one."""

    thing_id: int
    said: int
    enough: bool
    of: int
    differs: int
    use: Use
    per_h: float
    suggested: Use | None
    verdict: Verdict


class TroubleRow(Answer):
    """Something that was wrong with an item, how often, in so many trips that it was aboard."""

    thing_id: int
    flag: Flag
    times: int
    trips: int
    last: Day


class DrawTrip(Answer):
    """What one trip took out of a battery; dark: at least that much."""

    trip_id: int
    on_day: Day
    hours: float
    energy_wh: float
    dark: bool


class MeasuredDraw(Answer):
    """A load as it would be, measured: its draw is what it says times what the log says."""

    thing_id: int
    draw: Draw


class DrawRow(Answer):
    """What is taken from a battery an hour, against what the electrics hold. n trips; those that
    ended dark are shown and left out. low_w and high_w hold it 95 times of 100. loads: the draws
    that hang on it, as measured."""

    thing_id: int
    n: int
    enough: bool
    assumed_w: float | None
    measured_w: float | None
    sd_w: float | None
    low_w: float | None
    high_w: float | None
    differs: bool
    loads: list[MeasuredDraw]
    trips: list[DrawTrip]


class ProvedRow(Answer):
    """How many trips a mount was out and used at this place and nothing was wrong. told: what the
    mount says of that itself, null where it has no mount; why_not: what stands against it."""

    thing_id: int
    n: int
    asked: int
    proved: bool
    told: int | None
    why_not: Said | None


class CareRow(Answer):
    """Something to look after: key to call it by, how often, and how much there was since it was
    done last, or ever. thing null: of the boat. due_on: when it became due, or will by the
    calendar; share is how much of its time is over. uid and sequence name it in a calendar."""

    key: str
    what: str
    words: str
    thing_id: int | None
    thing: str | None
    every_trips: int | None
    every_salt: int | None
    every_hours: float | None
    every_months: int | None
    usual: bool
    trips: int
    salt: int
    hours: float
    done_on: Day | None
    due_on: Day | None
    share: float
    verdict: Verdict
    uid: str
    sequence: int


class Learned(Answer):
    """All of it, of this setup's gear. trips counts those of the log."""

    trips: int
    unused: list[UnusedRow]
    uses: list[UseRow]
    troubles: list[TroubleRow]
    draws: list[DrawRow]
    proved: list[ProvedRow]
    care: list[CareRow]


class LogPage(Answer):
    """The log: its trips, the newest first, and what they teach."""

    trips: list[TripRow]
    learned: Learned


class TripAnswer(Answer):
    """What became of a trip that was sent: kept, or null with the one there that it looks to be
    told of again."""

    kept: int | None
    twin: TripRow | None
    page: LogPage


ImportDoes = Literal["new", "twin"]


class LogImportRow(Answer):
    """A trip of a file: whether it is new, or looks like one that is there."""

    number: int
    on_day: Day
    hours: float
    where: str
    setup: str
    does: ImportDoes
    twin: TripRow | None
    unknown: list[str]
