"""A bare case for `neat-hull day`: a boat whose load changes through the hours of a trip."""

from datetime import date
from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.float_case import CaseHull, CaseLoad, CaseModel

Number = Annotated[float, Field(ge=-1e6, le=1e6)]
Some = Annotated[float, Field(ge=0, le=1e6)]
Positive = Annotated[float, Field(gt=0, le=1e6)]
Name = Annotated[str, Field(min_length=1)]
Hour = Annotated[float, Field(ge=-1000, le=10000)]
PhaseKind = Literal["launch", "travel", "fish", "anchored", "back", "haul out"]
FigureName = Literal[
    "total_kg", "list_deg", "trim_deg", "freeboard_m", "floor_dry_m", "gm_m", "lean_freeboard_m"
]


class DayLoad(CaseLoad):
    """A load, and in which phases it is aboard; null: always."""

    in_phases: list[str] | None = None


class CaseDay(CaseModel):
    """Date and place, the clock, how closely it is looked at, and a lean to try at each."""

    date: date
    start_h: Annotated[float, Field(ge=0, le=24)]
    step_min: Annotated[float, Field(gt=0, le=10000)]
    latitude_deg: Annotated[float, Field(ge=-90, le=90)]
    longitude_deg: Annotated[float, Field(ge=-180, le=180)]
    utc_offset_h: Annotated[float, Field(ge=-24, le=24)]
    lean_kgm: Some | None = None


class CasePhase(CaseModel):
    """A part of the day; one follows upon the other."""

    name: Name
    kind: PhaseKind
    hours: Annotated[float, Field(gt=0, le=1000)]
    air_temp_c: Annotated[float, Field(ge=-100, le=100)]


class Move(CaseModel):
    """From an hour on a load is elsewhere."""

    h: Hour
    load: str
    x_m: Number
    y_m: Number
    z_m: Number


class At(CaseModel):
    """Where a store acts."""

    name: Name
    x_m: Number
    y_m: Number


class Used(At):
    """Drink or food, which goes."""

    kind: Literal["used"]
    z_m: Number
    mass_kg: Some
    rate_kg_h: dict[str, Some] = Field(default={})


class Ice(At):
    """Ice in a box of so much loss; its water drains or stays."""

    kind: Literal["ice"]
    z_m: Number
    mass_kg: Some
    ua_w_k: Some
    sun_k: Number = 0.0
    latent_j_kg: Positive = 334000.0
    melt: Literal["drains", "stays"]


class Caught(CaseModel):
    """A fish at an hour."""

    h: Hour
    kg: Some


class Catch(At):
    """What is caught: by rate and by fish; how much of it pulls, and the ice that chills it."""

    kind: Literal["catch"]
    z_m: Number
    rate_kg_h: dict[str, Some] = Field(default={})
    events: list[Caught] = Field(default=[], max_length=10000)
    pull_share: Annotated[float, Field(ge=0, le=1)] = 1.0
    chilled_by: str | None = None
    from_temp_c: Some = 0.0
    heat_j_kg_k: Positive = 3600.0


class Filled(CaseModel):
    """A tank set to a level at an hour."""

    h: Hour
    to_kg: Some


class Liquid(At):
    """A tank, or water on a floor: a box that it runs in."""

    kind: Literal["liquid"]
    floor_z_m: Number
    length_m: Positive
    breadth_m: Positive
    capacity_kg: Positive
    mass_kg: Some
    rate_kg_h: dict[str, Number] = Field(default={})
    events: list[Filled] = Field(default=[], max_length=10000)
    density_kg_m3: Positive | None = None
    lid: bool = False


class Point(CaseModel):
    """So much at an hour."""

    h: Hour
    kg: Some


class Given(At):
    """What is said hour by hour, straight between."""

    kind: Literal["given"]
    z_m: Number
    points: list[Point] = Field(min_length=1, max_length=10000)


Store = Annotated[Used | Ice | Catch | Liquid | Given, Field(discriminator="kind")]


class Pack(CaseModel):
    """A battery, and from when on it feeds; the first from the start."""

    load: Name
    usable_wh: Some
    from_h: Hour | None = None


class CasePower(CaseModel):
    """What draws, by phase, and from which packs."""

    name: Name
    draw_w: dict[str, Some]
    packs: list[Pack] = Field(min_length=1, max_length=100)


class Limit(CaseModel):
    """Where a figure is fine, and where it wants a fix."""

    fine: Number
    fix: Number


class DayCase(CaseModel):
    """The boat, its day, and what changes."""

    name: str = ""
    water_density_kg_m3: Annotated[float, Field(gt=0, le=2000)]
    hull: CaseHull
    loads: list[DayLoad] = Field(min_length=1)
    day: CaseDay
    phases: list[CasePhase] = Field(min_length=1, max_length=200)
    moves: list[Move] = Field(default=[], max_length=10000)
    stores: list[Store] = Field(default=[], max_length=1000)
    power: list[CasePower] = Field(default=[], max_length=100)
    limits: dict[FigureName, Limit]
