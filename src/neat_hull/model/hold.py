"""What holds a setup in its place, where on the boat, and over which bottom.

How deep it is, how strong the current and the wind, and how much line per depth are those of the
situations of the trip, see `model.demands`. What is null is typical, see `subjects.hold.typical`.
"""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model

Bottom = Literal["sand", "mud", "gravel", "weed", "rock"]
AnchorType = Literal["grapnel", "claw", "fluke", "mushroom"]
Compass = Annotated[float, Field(ge=-360, le=720)]


class Anchor(Model):
    """It holds the boat in place: on a line by its weight and flukes, or as a pole pushed in.

    rope_m is how much line there is, floats whether a float on it lets one leave it behind. solid
    and wall_mm are of a pole. powered: a motor drives it down.
    """

    by: Literal["line", "pole"] = "line"
    type: AnchorType = "grapnel"
    chain_m: float = Field(default=0.0, ge=0, le=100)
    chain_kg_m: float = Field(default=0.8, ge=0, le=10)
    rope_m: float | None = Field(default=None, gt=0, le=500)
    rope_mm: float = Field(default=6.0, ge=2, le=20)
    sinks: bool = True
    floats: bool = False
    solid: bool = True
    wall_mm: float | None = Field(default=None, ge=0.5, le=30)
    pushed_in_m: float | None = Field(default=None, ge=0.05, le=3)
    powered: bool = False


class Drogue(Model):
    """It slows the drift, towed on a line; mouth_m is how wide its mouth is."""

    line_m: float | None = Field(default=None, gt=0, le=100)
    mouth_m: float | None = Field(default=None, ge=0.05, le=3)
    trip_line: bool = False


class Trolley(Model):
    """A ring on a rope along one side, hauled from the seat: where its blocks are, and how high the
    rope runs over the gunwale."""

    aft_x_m: float = Field(ge=-2, le=12)
    fwd_x_m: float = Field(ge=-2, le=12)
    side: Literal["port", "starboard"] = "starboard"
    over_m: float = Field(default=0.03, ge=0, le=0.5)


class HoldPlan(Model):
    """at_x_m is where the line leaves the boat, on its middle line; null: the cleat that lies
    farthest out, or the bow. Two poles, one at each end, keep it from turning."""

    at_x_m: float | None = Field(default=None, ge=-2, le=12)
    trolley: Trolley | None = None
    bottom: Bottom = "sand"
    wind_from_deg: Compass = 0.0
    current_toward_deg: Compass = 180.0
    two_poles: bool = False
