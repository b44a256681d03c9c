"""What a capsize comes to, as it goes out."""

from typing import Literal

from neat_hull.model.base import Answer, Point
from neat_hull.model.said import Verdict

Fate = Literal["stays", "with you", "floats off", "sinks"]
Rigged = Literal["leash", "stowed line", "trolley"]
Way = Literal["as it is", "tie everything", "few lines"]


class CapsizeFigures(Answer):
    """Live. lost and adrift by thing, vital_gone those of them that one cannot do without; lines is
    how many there are, in_legs what has one that comes to the legs (null: the trolley's rope),
    at_propeller by thing; knife what cuts and is within each hand's reach.

    reserve_kg is what the boat could still carry when full, negative where it sinks; staying_kg
    what stays aboard then, the boat's own weight with it.
    """

    lost: list[int]
    adrift: list[int]
    vital_gone: list[int]
    lost_price: float
    adrift_price: float
    lines: int
    in_legs: list[int | None]
    crossings: int
    at_propeller: list[int]
    parting: list[int]
    knife_port: list[int]
    knife_starboard: list[int]
    reserve_kg: float
    staying_kg: float


class FateRow(Answer):
    """What becomes of a thing; load_kg is the jerk on its line, null where it has none."""

    thing_id: int
    fate: Fate
    price: float | None
    load_kg: float | None
    strength_kg: float | None
    parts: bool | None


class LineRow(Answer):
    """A line: from where, how long; reaches the legs, or what turns under the boat. thing_id is
    null of the trolley's rope."""

    thing_id: int | None
    what: Rigged
    points_m: list[Point]
    length_m: float
    to_legs_m: float | None
    legs: bool
    propeller: bool


class SchoolRow(Answer):
    """One way to tie things, and what it comes to; tied by thing."""

    way: Way
    tied: list[int]
    lost: list[int]
    adrift: list[int]
    lost_price: float
    adrift_price: float
    unpriced: list[int]
    lines: int
    lines_in_legs: int
    crossings: int


class ClimbRow(Answer):
    """Getting back in by one side: what is in the way, how far the boat leans, how high its gunwale
    is then; null where it goes over. word: fine, or what is wrong, in words."""

    side: Literal["port", "starboard"]
    blocked_by: list[int]
    heel_deg: float | None
    climb_m: float | None
    verdict: Literal["fine", "watch", "fix"]
    word: str


class BailRow(Answer):
    """How long one means takes; null: it never catches up with the leak. Judged in cold water."""

    thing_id: int
    minutes: float | None
    verdict: Verdict


class FullOfWater(Answer):
    """The boat full, with what stays aboard and you holding on: null where it sinks or turns over.

    draft_m is amidships. missing_l is how much more foam it takes to float as it should, at
    foam_x_m. said: whether anybody said what floats it.
    """

    said: bool
    floats: bool
    reserve_kg: float
    turns_over: bool
    list_deg: float | None
    trim_deg: float | None
    draft_m: float | None
    freeboard_m: float | None
    gm_m: float | None
    water_l: float | None
    bail: list[BailRow]
    missing_l: float
    foam_x_m: float | None
    verdict: Verdict
    word: str


class Drain(Answer):
    """The drain's hole, and what comes in by it unplugged; depth_m under the water, negative over
    it."""

    x_m: float
    z_m: float
    depth_m: float
    litres_min: float
    spare: bool


class FullCapsize(Answer):
    """All that is not live. legs_m is the zone of the legs: its low and its high corner."""

    fates: list[FateRow]
    lines: list[LineRow]
    schools: list[SchoolRow]
    climbs: list[ClimbRow]
    full: FullOfWater
    drain: Drain | None
    legs_m: tuple[Point, Point]
    turning_m: list[tuple[Point, Point]]
    cautions: list[str]
