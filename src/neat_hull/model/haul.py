"""How a setup gets from the garage to the water: what comes off, who lifts, on what it rides.

Places along the boat are from the stern. What is null is typical, see `subjects.haul.typical`.
"""

from collections.abc import Mapping
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Taken

Leaves = Literal["stays", "off", "inside"]
Rides = Literal["roof", "bed", "trailer"]
Wheels = Literal["narrow", "wide", "balloon"]
Surface = Literal["asphalt", "gravel", "grass", "soft soil", "wet sand", "dry sand"]
Slider = Literal["roller", "pad", "bare bar", "carpet"]
Along = Annotated[float, Field(ge=-2, le=12)]
Long = Annotated[float, Field(ge=0, le=12)]
Kg = Annotated[float, Field(gt=0, le=2000)]


class Grip(Model):
    """The boat is lifted by it; assist: a rope that also lies ready to climb in by."""

    assist: bool = False


class RoofPlan(Model):
    """Two bars on a car: how far apart, from the rear one to the car's rear and from the front one
    to its front, what they may bear with what is on them besides, how high they are over the ground
    and over the roof. rear_x_m is where on the boat the rear bar is, null: its weight between the
    bars. slides on what at the rear, upright_m is how high a hand lifts the stern at first."""

    rear_x_m: Along | None = None
    spacing_m: float = Field(default=0.9, ge=0.2, le=5)
    behind_m: Long = 1.1
    ahead_m: Long = 2.3
    limit_kg: Kg = 75.0
    extras_kg: float = Field(default=6.0, ge=0, le=500)
    bar_width_m: float = Field(default=0.05, ge=0.01, le=0.5)
    bar_height_m: float = Field(default=1.5, ge=0.3, le=4)
    over_roof_m: float = Field(default=0.1, ge=0, le=1)
    slides_on: Slider = "pad"


class BedPlan(Model):
    """The bed of a truck, with its gate down or an extension: where the boat first bears, from the
    bed's front wall, and what the edge may carry. end_in: the end that lies at that wall."""

    length_m: float = Field(default=1.7, ge=0.5, le=5)
    gate_m: float = Field(default=0.5, ge=0, le=3)
    front_support_m: float = Field(default=0.3, ge=0, le=5)
    gate_limit_kg: Kg = 90.0
    end_in: Literal["bow", "stern"] = "bow"

    @model_validator(mode="after")
    def _bears_within(self) -> Self:
        if self.front_support_m >= self.length_m + self.gate_m:
            raise ValueError("the boat bears on the bed before its edge")
        return self


class TrailerPlan(Model):
    """Two bunks: how far apart, and from the rear one to the trailer's lights. rear_x_m is where on
    the boat the rear one is, null: its weight between them."""

    rear_x_m: Along | None = None
    spacing_m: float = Field(default=1.5, ge=0.2, le=6)
    behind_m: Long = 0.5
    limit_kg: Kg = 150.0


class FlagRule(Model):
    """What the local rule says of what reaches past a vehicle: from where a flag, and how far at
    most. The figures to start from are nobody's law."""

    flag_rear_m: Long = 1.0
    most_rear_m: Long = 1.5
    most_front_m: Long = 0.9


class PostsPlan(Model):
    """Posts in the scupper tubes bear the boat, with slabs under the hull or without; the ring each
    post bears on, and how far it stands out under the floor's tube."""

    count: int = Field(default=2, ge=1, le=4)
    d_mm: float = Field(default=25.0, ge=5, le=60)
    ring_mm: float = Field(default=50.0, ge=10, le=200)
    tube_m: float = Field(default=0.20, ge=0.02, le=0.6)
    below_m: float = Field(default=0.10, ge=0, le=0.6)
    slabs: bool = False


class Stretch(Model):
    """A stretch of the way to the water: its ground, how long, how steep up ahead, and the highest
    step in it."""

    ground: Surface = "grass"
    length_m: float = Field(default=40.0, gt=0, le=20000)
    slope_deg: float = Field(default=0.0, ge=-30, le=30)
    step_m: float = Field(default=0.0, ge=0, le=0.5)


class CartPlan(Model):
    """Two wheels under the boat. axle_x_m null: where the hand then bears hand_n; under_m is from
    the keel down to the axle. pulled by the bow, or by the stern. loaded: all rides along on it."""

    wheels: Wheels = "wide"
    radius_m: float | None = Field(default=None, ge=0.03, le=0.6)
    width_m: float | None = Field(default=None, ge=0.01, le=0.6)
    track_m: float = Field(default=0.55, ge=0.15, le=2)
    under_m: float = Field(default=0.06, ge=-0.3, le=0.6)
    axle_x_m: Along | None = None
    hand_n: float = Field(default=50.0, ge=0, le=300)
    hand_height_m: float | None = Field(default=None, ge=0.3, le=1.5)
    by: Literal["bow", "stern"] = "bow"
    loaded: bool = True
    posts: PostsPlan | None = None


class HaulPlan(Model):
    """off: by thing, whether it stays on the boat for the road, comes off or goes into the hull,
    where that is not as usual; minutes it takes to take it off and put it on. rides null: nobody
    has said how it travels; cart null: there is none."""

    off: Annotated[dict[Key, Leaves], Taken] = Field(default={}, max_length=1000)
    minutes: Annotated[dict[Key, Annotated[float, Field(ge=0, le=240)]], Taken] = Field(
        default={}, max_length=1000
    )
    people: int = Field(default=1, ge=1, le=2)
    comfort_kg: float | None = Field(default=None, ge=3, le=80)
    rides: Rides | None = None
    roof: RoofPlan = RoofPlan()
    bed: BedPlan = BedPlan()
    trailer: TrailerPlan = TrailerPlan()
    rule: FlagRule = FlagRule()
    cart: CartPlan | None = None
    way: list[Stretch] = Field(default=[], max_length=20)

    def renumbered(self, ids: Mapping[int, int]) -> "HaulPlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        rows = {
            name: {ids[i]: row for i, row in getattr(self, name).items() if i in ids}
            for name in ("off", "minutes")
        }
        return self.model_copy(update=rows)
