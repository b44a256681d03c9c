"""A piece of gear as its owner knows it."""

from typing import Literal, get_args

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.boat import Evidence

Kind = Literal[
    "rod", "holder", "electronics", "power", "safety", "anchor", "seat", "storage", "tackle",
    "clothes", "drive", "fish", "bait", "cart", "paddle", "other",
]  # fmt: skip
Use = Literal["each cast", "each fish", "hourly", "once", "ashore", "emergency"]
Fixed = Literal["track bolt", "ball", "flush tube", "strap", "bungee", "hook-and-loop", "plate",
                "loose"]  # fmt: skip
Shape = Literal["box", "rod"]
KINDS, USES, FIXINGS = get_args(Kind), get_args(Use), get_args(Fixed)


class Thing(Model):
    """A piece of gear. A rod or pole lies along its length from butt to tip; a box stands.

    mass_kg is what it weighs full; a thing that is filled and emptied has empty_kg too, and
    `filled` says how much of the difference is in it. Its weight acts at the middle of its box
    moved by offset_*_m, along its own length, width and height. `sloshes` says it holds a liquid
    that can run: a tank that is not full to the lid.
    """

    name: str = Field(min_length=1, max_length=80)
    shape: Shape
    mass_kg: float = Field(gt=0, le=300)
    evidence: Evidence
    length_m: float = Field(gt=0, le=6)
    width_m: float = Field(gt=0, le=2)
    height_m: float = Field(gt=0, le=3)
    sloshes: bool = False
    kind: Kind = "other"
    weighed_on: str | None = Field(default=None, max_length=10)
    empty_kg: float | None = Field(default=None, gt=0, le=300)
    filled: float = Field(default=1.0, ge=0, le=1)
    offset_x_m: float = Field(default=0.0, ge=-3, le=3)
    offset_y_m: float = Field(default=0.0, ge=-1, le=1)
    offset_z_m: float = Field(default=0.0, ge=-1.5, le=1.5)
    use: Use = "hourly"
    fixed: Fixed = "loose"
    leashed: bool = False
    floats: bool = False
    wants_dry: bool = False
    worn: bool = False
    price: float | None = Field(default=None, ge=0, le=1e6)
    bought: bool = True
    notes: str = Field(default="", max_length=2000)

    @property
    def mass_now_kg(self) -> float:
        """What it weighs as filled."""
        if self.empty_kg is None:
            return self.mass_kg
        return self.empty_kg + self.filled * (self.mass_kg - self.empty_kg)
