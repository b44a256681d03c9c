"""A bare case for `neat-hull capsize`: a boat upside down, and full of water."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.float_case import CaseHull, CaseLoad, CaseModel

Number = Annotated[float, Field(ge=-1e6, le=1e6)]
Positive = Annotated[float, Field(gt=0, le=1e6)]
Some = Annotated[float, Field(ge=0, le=1e6)]
Share = Annotated[float, Field(ge=0, le=1)]
Triple = tuple[Number, Number, Number]
Size = tuple[Positive, Positive, Positive]
Name = Annotated[str, Field(min_length=1)]


class Held(CaseModel):
    """What holds a thing: to is a thing by name, null the boat; of a tied one "body" as well. Its
    line goes from a place, so long and so strong; strength null: it does not part."""

    by: Literal["worn", "fixed", "shut", "tied", "loose"]
    to: str | None = None
    from_m: Triple | None = None
    length_m: Some | None = None
    strength_kg: Positive | None = None


class CaseThing(CaseModel):
    """Something aboard: volume_m3 is what it displaces when under, size_m a box about its place."""

    name: Name
    mass_kg: Positive
    volume_m3: Some
    price: Some | None
    x_m: Number
    y_m: Number
    z_m: Number
    size_m: Size
    cuts: bool = False
    vital: bool = False
    held: Held


class CaseBody(CaseModel):
    """The angler."""

    mass_kg: Positive
    x_m: Number
    y_m: Number
    z_m: Number


class Zone(CaseModel):
    """Where a line tangles: about the legs, or a propeller."""

    name: Name
    kind: Literal["legs", "propeller"]
    lo_m: Triple
    hi_m: Triple


class Run(CaseModel):
    """A line rigged on the boat."""

    name: Name
    points_m: list[Triple] = Field(min_length=2, max_length=1000)
    slack_m: Some = 0.0


class Hand(CaseModel):
    """A shoulder and how far its hand goes."""

    shoulder_m: Triple
    reach_m: Positive


class Hands(CaseModel):
    """Both."""

    port: Hand
    starboard: Hand


class Schools(CaseModel):
    """How everything would be tied, and what is worth a line to those who want few."""

    tie_line_m: Some = 0.6
    few_price: Some = 50.0
    jerk: Positive = 3.0


class CaseHole(CaseModel):
    """A hole in the hull."""

    name: Name
    diameter_m: Positive
    x_m: Number
    y_m: Number
    z_m: Number


class Side(CaseModel):
    """The room over a gunwale that one climbs in by."""

    lo_m: Triple
    hi_m: Triple


class Remount(CaseModel):
    """Climbing in: where along the boat, and what share of the weight is on the gunwale."""

    x_m: Number
    share: Share
    port: Side
    starboard: Side


class Compartment(CaseModel):
    """A length of the hull, and whether water gets in."""

    x_aft_m: Number
    x_fwd_m: Number
    floods: bool


class Foam(CaseModel):
    """A box of it, and how much of the box lifts."""

    name: Name
    lo_m: Triple
    hi_m: Triple
    share: Share = 1.0


class Hanging(CaseModel):
    """Somebody in the water who holds on."""

    pull_kg: Some
    x_m: Number
    y_m: Number
    z_m: Number


class Bail(CaseModel):
    """Something to get water out with."""

    name: Name
    litres_min: Some


class Flooded(CaseModel):
    """The boat full of water; solid_share is what of a flooded hull is wall."""

    solid_share: Share
    compartments: list[Compartment] = Field(max_length=100)
    foam: list[Foam] = Field(default=[], max_length=1000)
    hanging: Hanging | None = None
    leak_l_min: Some = 0.0
    bail: list[Bail] = Field(default=[], max_length=1000)


class CapsizeCase(CaseModel):
    """The boat, the angler, and all that is aboard."""

    name: str = ""
    water_density_kg_m3: Annotated[float, Field(gt=0, le=2000)]
    hull: CaseHull
    loads: list[CaseLoad] = Field(min_length=1)
    angler: CaseBody
    things: list[CaseThing] = Field(default=[], max_length=10000)
    zones: list[Zone] = Field(default=[], max_length=100)
    runs: list[Run] = Field(default=[], max_length=1000)
    hands: Hands | None = None
    schools: Schools = Schools()
    holes: list[CaseHole] = Field(default=[], max_length=1000)
    remount: Remount | None = None
    flooded: Flooded | None = None
    heels_deg: list[Annotated[float, Field(ge=-90, le=90)]] = Field(default=[], max_length=1000)
