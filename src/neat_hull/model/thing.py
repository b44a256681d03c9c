"""A piece of gear as its owner knows it: a core that all gear has, and aspects that some have.

Rules ask for aspects. `kind` is a label to sort and draw by; nothing is decided by it, nor by a
name.
"""

from typing import Literal, get_args

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.boat import Evidence
from neat_hull.model.glide import Motor
from neat_hull.model.haul import Grip
from neat_hull.model.hold import Anchor, Drogue
from neat_hull.model.power import Battery, Draw, FuseBlock
from neat_hull.model.sight import Flag, Lamp
from neat_hull.model.sonar import Transducer

Kind = Literal[
    "rod",
    "holder",
    "electronics",
    "power",
    "safety",
    "anchor",
    "seat",
    "storage",
    "tackle",
    "clothes",
    "drive",
    "fish",
    "bait",
    "cart",
    "paddle",
    "other",
]
Use = Literal["each cast", "each fish", "hourly", "once", "ashore", "emergency"]
Fixed = Literal[
    "track bolt", "ball", "flush tube", "strap", "bungee", "hook-and-loop", "plate", "loose"
]
Shape = Literal["box", "cylinder", "bag", "rod", "pole"]
Reel = Literal["none", "under", "over"]
Serves = Literal[
    "PFD", "whistle", "light", "warm clothing", "spare paddle", "call", "knife", "first aid",
    "tow line",
]  # fmt: skip
Opens = Literal["open", "lid", "zip", "roll top"]
Bails = Literal["pump", "sponge", "scoop"]
Part = Literal["seat", "drive", "rudder", "paddle"]
Picture = Literal[
    "crate", "dry box", "bag", "fish bag", "tray", "tank", "bottle", "board", "battery", "line",
    "screen", "transducer", "holder", "seat", "pedals", "motor", "rudder", "cart", "camera",
    "vest", "anchor", "drogue", "kit", "radio", "rod", "paddle", "net", "pole", "flag", "plain",
]  # fmt: skip
KINDS, USES, FIXINGS = get_args(Kind), get_args(Use), get_args(Fixed)

# From the butt's end to the reel, and how deep it sits in a tube: typical of boat and casting rods.
BUTT_SHARE, BURY_M = 0.17, 0.20
SQUEEZE = 0.85  # what a soft bag gives way, of each side, to pass a mouth or a wall


class Rod(Model):
    """A fishing rod: where its reel is, butt_m from the butt's end, under the rod or over it."""

    butt_m: float | None = Field(default=None, gt=0, le=2)
    reel: Reel = "none"


class Holder(Model):
    """Takes butts of rods and poles, one in each tube; a long one is an arm that takes a ball."""

    tubes: int = Field(default=1, ge=1, le=12)


class Container(Model):
    """Other things go into it: its inner size, null where not measured, and how one gets in."""

    length_m: float | None = Field(default=None, gt=0, le=3)
    width_m: float | None = Field(default=None, gt=0, le=2)
    height_m: float | None = Field(default=None, gt=0, le=2)
    opens: Opens = "open"


class Fill(Model):
    """It is filled and emptied: empty_kg without what is in it, `filled` how much of that is in.

    `sloshes` says it holds a liquid that can run: a tank not full to the lid. `afloat` says it is
    filled on the water, as a bait tank is.
    """

    empty_kg: float | None = Field(default=None, gt=0, le=300)
    filled: float = Field(default=1.0, ge=0, le=1)
    sloshes: bool = False
    afloat: bool = False


class Fixing(Model):
    """How it is mounted, and whether it is on a leash as well."""

    by: Fixed = "loose"
    leashed: bool = False


class Downrigger(Model):
    """It hangs a weight over the side on a boom."""

    ball_kg: float | None = Field(default=None, gt=0, le=30)


class Care(Model):
    """What harms it."""

    wants_dry: bool = True


class Thing(Model):
    """A piece of gear. A rod or pole lies along its length from butt to tip; all else stands.

    A cylinder stands on its end, its length the diameter; a bag gives way a little. mass_kg is what
    it weighs full. Its weight acts at the middle of its box moved by offset_*_m, along its own
    length, width and height. volume_l is what it displaces under water, closed air with it; null:
    typical of what it is. `serves` says which of the basics it is, to a check for them; `bails` how
    it empties a boat; `part` which part of the boat it is, which is not itself without it;
    `picture` how it is drawn, null as what it is. An aspect that is null does not apply.
    """

    name: str = Field(min_length=1, max_length=80)
    shape: Shape
    mass_kg: float = Field(gt=0, le=300)
    evidence: Evidence
    length_m: float = Field(gt=0, le=6)
    width_m: float = Field(gt=0, le=2)
    height_m: float = Field(gt=0, le=3)
    kind: Kind = "other"
    weighed_on: str | None = Field(default=None, max_length=10)
    offset_x_m: float = Field(default=0.0, ge=-3, le=3)
    offset_y_m: float = Field(default=0.0, ge=-1, le=1)
    offset_z_m: float = Field(default=0.0, ge=-1.5, le=1.5)
    use: Use = "hourly"
    serves: list[Serves] = Field(default=[], max_length=9)
    floats: bool = False
    volume_l: float | None = Field(default=None, gt=0, le=2000)
    worn: bool = False
    price: float | None = Field(default=None, ge=0, le=1e6)
    bought: bool = True
    photo: int | None = Field(default=None, ge=1, le=2**62)
    notes: str = Field(default="", max_length=2000)
    bails: Bails | None = None
    fixing: Fixing = Fixing()
    part: Part | None = None
    picture: Picture | None = None
    rod: Rod | None = None
    holder: Holder | None = None
    container: Container | None = None
    fill: Fill | None = None
    anchor: Anchor | None = None
    drogue: Drogue | None = None
    motor: Motor | None = None
    downrigger: Downrigger | None = None
    battery: Battery | None = None
    draw: Draw | None = None
    fuse: FuseBlock | None = None
    transducer: Transducer | None = None
    lamp: Lamp | None = None
    flag: Flag | None = None
    grip: Grip | None = None
    care: Care | None = None

    @property
    def long(self) -> bool:
        """Whether it lies along its length, by its butt."""
        return self.shape in ("rod", "pole")

    @property
    def drum(self) -> bool:
        """Whether it stands on a round end."""
        return self.shape == "cylinder"

    @property
    def mounted(self) -> bool:
        """Whether it is held by hardware, and not merely set down and tied."""
        return self.fixing.by in ("track bolt", "ball", "flush tube", "plate")

    @property
    def give(self) -> float:
        """The share of its sides that a mouth must let through."""
        return SQUEEZE if self.shape == "bag" else 1.0

    @property
    def inner_m(self) -> tuple[float, float, float] | None:
        """Inner length, width and height, where it is a container that was measured."""
        box = self.container
        if box is None or box.length_m is None or box.width_m is None or box.height_m is None:
            return None
        return box.length_m, box.width_m, box.height_m

    @property
    def opens(self) -> Opens:
        """How one gets in; what is no container has nothing to open."""
        return "open" if self.container is None else self.container.opens

    @property
    def sloshes(self) -> bool:
        """Whether a liquid runs in it."""
        return self.fill is not None and self.fill.sloshes

    @property
    def has_reel(self) -> bool:
        """Whether a reel is on it."""
        return self.rod is not None and self.rod.reel != "none"

    @property
    def reel_at_m(self) -> float:
        """From the butt's end to the reel, or to where one usually is."""
        butt_m = None if self.rod is None else self.rod.butt_m
        return min(butt_m or BUTT_SHARE * self.length_m, self.length_m)

    @property
    def takes_butt(self) -> bool:
        """Whether it stands on the deck and holds rods by their butts."""
        return self.holder is not None and not self.long

    @property
    def mass_now_kg(self) -> float:
        """What it weighs as filled."""
        fill = self.fill
        if fill is None or fill.empty_kg is None:
            return self.mass_kg
        return fill.empty_kg + fill.filled * (self.mass_kg - fill.empty_kg)
