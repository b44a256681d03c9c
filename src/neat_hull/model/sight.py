"""What hides the view, and what others see: lamps and flags."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model

Shows = Literal["all-round", "side lights", "stern", "torch"]
By = Literal["thing", "body", "head"]


class Lamp(Model):
    """It shows a light: height_m over its own foot, along a pole; null: at its top. vertical_deg is
    how far off level it still shines. What is null is typical."""

    shows: Shows = "all-round"
    height_m: float | None = Field(default=None, ge=0, le=4)
    candela: float | None = Field(default=None, gt=0, le=10000)
    vertical_deg: float | None = Field(default=None, ge=0, le=90)


class Flag(Model):
    """It is seen by day: how large it is across, at its top."""

    size_m: float = Field(default=0.3, ge=0.05, le=2)


class DeadArc(Answer):
    """Bearings off the bow, to port positive, behind which a thing hides the water ahead."""

    thing_id: int
    from_deg: float
    to_deg: float


class Blocked(Answer):
    """Bearings off the bow, to starboard positive, 0 to 360, that something stands in: a thing, or
    you. to_deg is past from_deg, over 360 where it goes across the bow."""

    thing_id: int | None
    what: By
    from_deg: float
    to_deg: float


class LampFigure(Answer):
    """A light as others see it. over_m is how high over the water; blocked_deg of the sector_deg it
    should show over, counted once. range_m is as far as its strength carries or the horizon lets;
    warning_s until a boat that comes at it is here. dip_deg is how far it leans at worst, with the
    roll; clear_at_m how high over the water it would stand over your head.
    glare_deg is how far off your look ahead it shines in your eyes; null where it does not.
    """

    thing_id: int
    shows: Shows
    at: tuple[float, float, float]
    over_m: float
    blocked: list[Blocked]
    blocked_deg: float
    sector_deg: float
    sector: list[tuple[float, float]]
    candela: float
    range_m: float
    warning_s: float
    dip_deg: float
    vertical_deg: float
    clear_at_m: float
    glare_deg: float | None


class FlagFigure(Answer):
    """A flag: over the seat and over your head, how far it is made out, and the most swell, from
    trough to crest, that it shows over to eyes in a boat."""

    thing_id: int
    over_seat_m: float
    over_head_m: float
    made_out_m: float
    shows_over_swell_m: float


class SeenFigures(Answer):
    """What others see of the boat."""

    lamps: list[LampFigure]
    flag: FlagFigure | None
