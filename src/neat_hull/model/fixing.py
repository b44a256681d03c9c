"""How things are fixed to the boat: its walls, mounts, holes, and what of the work is done.

What is null is typical, see `subjects.fixing.typical`. Things are called by their ids, fittings of
the boat by their names.
"""

from collections.abc import Mapping
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Name, Taken, ThingId

Material = Literal["rotomoulded", "blow-moulded", "thermoformed", "foam-cored", "laminate"]
Region = Literal["fore deck", "side deck", "aft deck", "cockpit", "well", "lid"]
FastenBy = Literal[
    "track bolt", "through bolt", "rivet nut", "well nut", "screw", "clamp", "strap", "glue", "tape"
]
BoltSize = Literal["M4", "M5", "M6", "M8", "#8", "#10", "1/4", "5/16"]
Stuff = Literal["aluminium", "HDPE", "plywood", "stainless"]
HoleState = Literal["factory", "drilled", "planned", "filled"]
Seal = Literal["none", "butyl", "polyether", "gasket"]
Load = Literal["fish", "snag", "lift", "pull", "leash", "axle"]
Small = Annotated[float, Field(ge=0.004, le=2)]
Newton = Annotated[float, Field(ge=1, le=20000)]


class PressTest(Model):
    """A wall tried by hand: pulled sideways at a height over a base, and the tilt read off."""

    pull_n: float = Field(default=50.0, ge=1, le=1000)
    arm_m: float = Field(default=0.2, ge=0.02, le=2)
    base_m: float = Field(default=0.08, ge=0.01, le=0.5)
    tilt_deg: float = Field(ge=0.02, le=20)


class Wall(Model):
    """A region of the hull: how thick it is, and how far it is free round a mount. Where `pressed`,
    that has been measured."""

    thickness_mm: float | None = Field(default=None, ge=0.5, le=40)
    core_mm: float | None = Field(default=None, ge=0, le=38)
    radius_m: float | None = Field(default=None, ge=0.02, le=1)
    edge: Literal["clamped", "supported"] = "clamped"
    pressed: PressTest | None = None

    @model_validator(mode="after")
    def _skins(self) -> Self:
        if self.core_mm and self.thickness_mm and self.core_mm >= self.thickness_mm:
            raise ValueError("a core is thinner than the wall it is in")
        return self


class Plate(Model):
    """A plate behind a wall; length_m along the base."""

    stuff: Stuff = "aluminium"
    length_m: Small = 0.12
    width_m: Small = 0.08
    thickness_mm: float = Field(default=3.0, ge=0.5, le=30)


class ChainPart(Model):
    """A part between base and thing: it holds it farther out, weighs something, and has play."""

    part: Literal["base", "extension", "ball", "arm", "head"]
    length_m: float = Field(default=0.05, ge=0, le=2)
    mass_kg: float = Field(default=0.1, ge=0, le=20)
    slack_deg: float = Field(default=0.0, ge=0, le=20)


class Mount(Model):
    """What joins a thing to the boat: by how many bolts of which size, on which base.

    bolts are places on the base, [along, across]; null: so many in the usual pattern. turn_deg is
    the base's length from the bow toward port, null as the thing lies; arm_m how far out the middle
    of its weight is held, null as its parts are long, or as it stands. `drilled` says that its
    holes are there; trips, how many times it was out at this place on a track. loads are what a
    fish, a snag, a lift or a line pull at it, where one knows better; a leash and an axle pull only
    where that is said.
    """

    by: FastenBy | None = None
    size: BoltSize | None = None
    count: int | None = Field(default=None, ge=1, le=12)
    bolts: list[tuple[float, float]] | None = Field(default=None, min_length=1, max_length=12)
    shape: Literal["rect", "round"] | None = None
    length_m: Small | None = None
    width_m: Small | None = None
    turn_deg: float | None = Field(default=None, ge=-360, le=360)
    washer_mm: float | None = Field(default=None, ge=3, le=120)
    rated_n: Newton | None = None
    clamp_n: Newton | None = None
    slack_mm: float | None = Field(default=None, ge=0, le=10)
    arm_m: float | None = Field(default=None, ge=0.01, le=3)
    plate: Plate | None = None
    parts: list[ChainPart] = Field(default=[], max_length=8)
    loads: Annotated[dict[Load, Newton], Taken] = Field(default={})
    drilled: bool = False
    trips: int = Field(default=0, ge=0, le=1000)
    seal: Seal | None = None
    pad: bool = False


class Hole(Model):
    """A hole in the hull beside those of mounts and wires; used_by null: nobody."""

    x_m: float = Field(ge=-2, le=12)
    y_m: float = Field(ge=-2, le=2)
    z_m: float = Field(ge=-1, le=3)
    d_mm: float = Field(ge=1, le=150)
    state: HoleState = "drilled"
    used_by: ThingId | None = None
    through_hull: bool = False
    seal: Seal = "polyether"


class FixingPlan(Model):
    """How a setup is fixed down. deck_c is how hot the deck gets; `stalks` says that one fishes by
    stealth. done: steps of the work by their code, with the day they were done."""

    material: Material = "rotomoulded"
    walls: Annotated[dict[Region, Wall], Taken] = Field(default={})
    mounts: Annotated[dict[Key, Mount], Taken] = Field(default={}, max_length=200)
    fittings: Annotated[dict[Name, Mount], Taken] = Field(default={}, max_length=100)
    holes: Annotated[dict[Name, Hole], Taken] = Field(default={}, max_length=200)
    no_drill: bool = False
    stalks: bool = False
    deck_c: float = Field(default=25.0, ge=-30, le=90)
    done: Annotated[
        dict[Annotated[str, Field(max_length=80)], Annotated[str, Field(max_length=10)]], Taken
    ] = Field(default={}, max_length=1000)

    def renumbered(self, ids: Mapping[int, int]) -> "FixingPlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        return self.model_copy(
            update={
                "mounts": {ids[i]: row for i, row in self.mounts.items() if i in ids},
                "holes": {
                    name: one.model_copy(update={"used_by": ids.get(one.used_by or 0)})
                    for name, one in self.holes.items()
                },
                "done": {
                    new: day
                    for code, day in self.done.items()
                    if (new := _code_of(code, ids)) is not None
                },
            }
        )


def _code_of(code: str, ids: Mapping[int, int]) -> str | None:
    """The code of a step, `drill:12`, with its thing by another number."""
    verb, _, of = code.partition(":")
    if not of.isdecimal():
        return code
    return f"{verb}:{ids[int(of)]}" if int(of) in ids else None
