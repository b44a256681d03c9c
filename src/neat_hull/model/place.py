"""Where a thing is: on what, and where there."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model

Where = Literal["on", "in", "under", "behind"]


class OnFitting(Model):
    """On a fitting of the boat, or in it: a tube, a hatch."""

    kind: Literal["fitting"] = "fitting"
    name: str = Field(min_length=1, max_length=60)
    where: Literal["on", "in"] = "on"


class OnWell(Model):
    """On the floor of a well."""

    kind: Literal["well"] = "well"
    name: str = Field(min_length=1, max_length=60)


class OnSeat(Model):
    """On the seat, under it, or hung behind it."""

    kind: Literal["seat"] = "seat"
    where: Literal["on", "under", "behind"] = "on"


class OnThing(Model):
    """On another thing, or in it."""

    kind: Literal["thing"] = "thing"
    thing: int
    where: Where = "on"


class OnBody(Model):
    """Worn, or held in the hands."""

    kind: Literal["body"] = "body"
    held: bool = False


On = Annotated[OnFitting | OnWell | OnSeat | OnThing | OnBody, Field(discriminator="kind")]


class Place(Model):
    """Where a thing is: a box by the middle of its base, a rod by its butt.

    On the bare deck (`on` null) that is in boat coordinates; otherwise from the middle of what it
    is on, along that one's own length, width and height, so that it moves with it: see
    `rig.placing`. z_m null: it rests on what is under it. turn_deg is counted from pointing
    at the bow, toward port; tilt_deg lifts the tip of a rod off level. bury_m is how deep a butt
    sits in its tube. In a container, a smaller `order` comes out first.
    """

    x_m: float = Field(ge=-2, le=12)
    y_m: float = Field(ge=-2, le=2)
    z_m: float | None = Field(ge=-1, le=3)
    turn_deg: float = Field(ge=-360, le=360)
    tilt_deg: float = Field(ge=-90, le=90)
    on: On | None = None
    bury_m: float = Field(default=0.0, ge=0, le=2)
    order: int = Field(default=0, ge=-100000, le=100000)
    locked: bool = False
    group: int = Field(default=0, ge=0, le=100000)
