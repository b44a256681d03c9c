"""A setup: one boat, one angler, one water, and where each thing goes."""

from datetime import date
from typing import Annotated, Literal

from pydantic import Field

from neat_hull.errors import InputError
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat, Evidence
from neat_hull.model.place import Place
from neat_hull.model.sections import Sections
from neat_hull.model.thing import Thing
from neat_hull.model.water import Water


class BodyLengths(Model):
    """Lengths that were measured, see `physics.build.Measured`; null where one is usual."""

    wall_to_fingertip_m: float | None = None
    seat_to_shoulder_m: float | None = None
    wall_to_knee_m: float | None = None
    floor_to_knee_m: float | None = None
    shoulders_m: float | None = None
    foot_m: float | None = None


class ReachLimits(Model):
    """How far this person goes from the seat, and with which hand."""

    pitch_deg: float = Field(default=40.0, ge=0, le=70)
    lean_port_deg: float = Field(default=25.0, ge=0, le=45)
    lean_starboard_deg: float = Field(default=25.0, ge=0, le=45)
    twist_port_deg: float = Field(default=60.0, ge=0, le=90)
    twist_starboard_deg: float = Field(default=60.0, ge=0, le=90)
    hands: Literal["both", "port", "starboard"] = "both"


class Angler(Model):
    """Who goes: weight dressed for the water, and height; what of the body was measured."""

    name: str = Field(min_length=1, max_length=80)
    mass_kg: float
    evidence: Evidence
    stature_m: float
    lengths: BodyLengths = BodyLengths()
    limits: ReachLimits = ReachLimits()
    casts: Literal["port", "starboard"] = "starboard"


class SeatPlace(Model):
    """Corner of the seat's pan and back, recline from upright, and where the heels rest.

    `assumed` says that nobody has measured where it is: it stands where seats usually do.
    """

    x_m: float
    z_m: float
    recline_deg: float = Field(ge=0, le=60)
    brace_x_m: float
    brace_z_m: float
    assumed: bool = False


Day = Annotated[str, Field(pattern=r"^\d{4}-\d{2}-\d{2}$")]


def require_day(field: str, day: str | None) -> None:
    """Refuse a day that no calendar has. Raises InputError naming the field."""
    if day is not None:
        try:
            date.fromisoformat(day)
        except ValueError as error:
            raise InputError(field, day, f"{day} is no day of the calendar") from error


Posture = Literal["sits", "stands"]


class Setup(Sections):
    """Everything needed to judge a boat: self-contained, in SI units.

    `day` is when it goes out, as an ISO date; null while that is open. posture says whether one
    means to fish standing too.
    """

    name: str = Field(min_length=1, max_length=80)
    boat: Boat
    angler: Angler
    water: Water
    seat: SeatPlace
    things: dict[int, Thing]
    places: dict[int, Place]
    day: Day | None = None
    water_temp_c: float | None = Field(default=None, ge=-2, le=40)
    posture: Posture = "sits"

    @property
    def aboard(self) -> list[Thing]:
        """Things that have a place, in the order of the places."""
        return [self.things[i] for i in self.places]
