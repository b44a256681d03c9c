"""A bare case for `neat-hull float`: a hull from stations, loads, and heels to hold it at."""

from typing import Annotated, Literal

from pydantic import ConfigDict, Field

from neat_hull.model.base import Model

# Far beyond any boat, and near enough that sums of squares stay numbers.
Metres = Annotated[float, Field(ge=-1e5, le=1e5)]
Point = Annotated[list[Metres], Field(min_length=2, max_length=2)]


class CaseModel(Model):
    """Like every model of ours, but notes of the user's beside our fields are left alone."""

    model_config = ConfigDict(extra="ignore")


class CaseStation(CaseModel):
    """Port half-section [y, z] in m from keel to sheer, at x_m."""

    x_m: Metres
    points_m: list[Point] = Field(min_length=1)


class CaseWell(CaseModel):
    """A box recess; open scuppers: it never lifts, plugged: until water reaches its rim."""

    name: str
    x_aft_m: Metres
    x_fwd_m: Metres
    half_breadth_m: Metres
    floor_z_m: Metres
    rim_z_m: Metres
    scuppers: Literal["open", "plugged"]


class CaseHull(CaseModel):
    """Stations ascending in x; a hull without recesses may leave `wells` out."""

    stations: list[CaseStation]
    wells: list[CaseWell] = Field(default=[], max_length=12)


class CaseLoad(CaseModel):
    """A weight and where it acts; the boat's own weight is one of them."""

    name: str
    mass_kg: float = Field(gt=0, le=1e12)
    x_m: Metres
    y_m: Metres
    z_m: Metres


class FloatCase(CaseModel):
    """Everything `neat-hull float` reads."""

    name: str
    water_density_kg_m3: float = Field(gt=0, le=1e6)
    hull: CaseHull
    loads: list[CaseLoad] = Field(min_length=1)
    heels_deg: list[Annotated[float, Field(ge=-90, le=90)]] = Field(max_length=2000)
