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
Shape = Literal["box", "cylinder", "bag", "rod", "pole"]
Reel = Literal["none", "under", "over"]
Serves = Literal["PFD", "whistle", "light", "warm clothing", "spare paddle", "call", "knife"]
Opens = Literal["open", "lid", "zip", "roll top"]
KINDS, USES, FIXINGS = get_args(Kind), get_args(Use), get_args(Fixed)

# From the butt's end to the reel, and how deep it sits in a tube: typical of boat and casting rods.
BUTT_SHARE, BURY_M = 0.17, 0.20
SQUEEZE = 0.85  # what a soft bag gives way, of each side, to pass a mouth or a wall


class Thing(Model):
    """A piece of gear. A rod or pole lies along its length from butt to tip; all else stands.

    A cylinder stands on its end, its length the diameter; a bag gives way a little. The reel hangs
    under a rod or sits over it, butt_m from the butt's end. A container has an inner size, and
    `opens` says how one gets in. `serves` says which of the basics it is, to a check for them.

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
    photo: int | None = Field(default=None, ge=1, le=2**62)
    notes: str = Field(default="", max_length=2000)
    butt_m: float | None = Field(default=None, gt=0, le=2)
    reel: Reel = "none"
    inner_length_m: float | None = Field(default=None, gt=0, le=3)
    inner_width_m: float | None = Field(default=None, gt=0, le=2)
    inner_height_m: float | None = Field(default=None, gt=0, le=2)
    opens: Opens = "open"
    serves: list[Serves] = Field(default=[], max_length=7)

    @property
    def long(self) -> bool:
        """Whether it lies along its length, by its butt."""
        return self.shape in ("rod", "pole")

    @property
    def give(self) -> float:
        """The share of its sides that a mouth must let through."""
        return SQUEEZE if self.shape == "bag" else 1.0

    @property
    def inner_m(self) -> tuple[float, float, float] | None:
        """Inner length, width and height, where it is a container; None otherwise."""
        if self.inner_length_m is None or self.inner_width_m is None or self.inner_height_m is None:
            return None
        return self.inner_length_m, self.inner_width_m, self.inner_height_m

    @property
    def reel_at_m(self) -> float:
        """From the butt's end to the reel."""
        return min(self.butt_m or BUTT_SHARE * self.length_m, self.length_m)

    @property
    def mass_now_kg(self) -> float:
        """What it weighs as filled."""
        if self.empty_kg is None:
            return self.mass_kg
        return self.empty_kg + self.filled * (self.mass_kg - self.empty_kg)
