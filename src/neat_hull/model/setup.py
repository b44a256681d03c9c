"""A setup: one boat, one angler, one water, and where each thing goes."""

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.boat import Boat, Evidence
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.thing import Thing
from neat_hull.model.water import Water


class Angler(Model):
    """Who goes: weight dressed for the water, and height."""

    name: str = Field(min_length=1, max_length=80)
    mass_kg: float
    evidence: Evidence
    stature_m: float


class SeatPlace(Model):
    """Corner of the seat's pan and back, recline from upright, and where the heels rest."""

    x_m: float
    z_m: float
    recline_deg: float = Field(ge=0, le=60)
    brace_x_m: float
    brace_z_m: float


class Place(Model):
    """Where a thing is: a box by the middle of its base, a rod by its butt.

    z_m null: it rests on what is under it, a well's floor or the deck. turn_deg is counted from
    pointing at the bow, toward port; tilt_deg lifts the tip of a rod off level.
    """

    x_m: float = Field(ge=-2, le=12)
    y_m: float = Field(ge=-2, le=2)
    z_m: float | None = Field(ge=-1, le=3)
    turn_deg: float = Field(ge=-360, le=360)
    tilt_deg: float = Field(ge=-90, le=90)


class Setup(Model):
    """Everything needed to judge a boat: self-contained, in SI units."""

    name: str = Field(min_length=1, max_length=80)
    boat: Boat
    angler: Angler
    water: Water
    seat: SeatPlace
    things: dict[int, Thing]
    places: dict[int, Place]
    demands: DemandNumbers = DemandNumbers()
