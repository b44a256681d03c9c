"""A bare case for `neat-hull glide`: a boat in the water and in the wind, and what drives it."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.float_case import CaseHull, CaseLoad, CaseModel, Metres

Some = Annotated[float, Field(ge=0, le=1e9)]
Positive = Annotated[float, Field(gt=0, le=1e9)]
Share = Annotated[float, Field(gt=0, le=1)]
Degrees = Annotated[float, Field(ge=-3600, le=3600)]
Name = Annotated[str, Field()]


class GlideLoad(CaseLoad):
    """A load, and whether the bare boat has it too."""

    bare: bool = False


class Assumptions(CaseModel):
    """Coefficients: the application fills them in from its typical values."""

    kinematic_viscosity_m2_s: Positive
    air_density_kg_m3: Positive
    form_factor: Some
    roughness_allowance: Some
    wave_factor: Some
    cross_flow_cd: Positive
    side_lift: Some
    hull_air_cd: Some
    astern_factor: Positive | None = None


class CaseAppendage(CaseModel):
    """Something in the water: bluff by its frontal area, a foil by its planform."""

    name: Name = ""
    kind: Literal["bluff", "foil"]
    area_m2: Some
    x_m: Metres
    side_m2: Some
    cd: Some | None = None
    chord_m: Positive | None = None
    thickness_ratio: Some | None = None
    bare: bool = False


class CaseWindage(CaseModel):
    """Something in the wind."""

    name: Name = ""
    front_m2: Some
    side_m2: Some
    cd: Some
    x_m: Metres
    bare: bool = False


class CaseWind(CaseModel):
    """Over ground, from where (0 north, clockwise)."""

    speed_m_s: Some
    from_deg: Degrees


class CaseCurrent(CaseModel):
    """Over ground, toward where."""

    speed_m_s: Some
    toward_deg: Degrees


class Effort(CaseModel):
    """Power at the shaft, and what of it drives the boat."""

    effort_w: Positive
    efficiency: Share


class Trip(CaseModel):
    """So far out on a heading and back."""

    distance_m: Positive
    heading_deg: Degrees
    rotation_share: Share
    reserve_share: Annotated[float, Field(ge=0, le=0.9)]


class Motor(CaseModel):
    """Its pull at standstill, the speed at which it pulls no more, and what it draws."""

    static_thrust_lbf: Positive
    zero_thrust_speed_m_s: Positive
    full_power_w: Positive
    power_drop: Annotated[float, Field(ge=0, le=1)]
    steps: list[Share] = Field(max_length=100)
    battery_wh: Positive
    usable_share: Share
    trip: Trip | None = None


class Drogue(CaseModel):
    """Towed at a place along the boat."""

    area_m2: Some
    cd: Some
    x_m: Metres


class AfloatCase(CaseModel):
    """What `glide` and `hold` have in common."""

    name: str = ""
    water_density_kg_m3: Annotated[float, Field(gt=0, le=2000)]
    hull: CaseHull
    loads: list[GlideLoad] = Field(min_length=1)
    assumptions: Assumptions
    appendages: list[CaseAppendage] | None = Field(default=None, max_length=1000)
    windage: list[CaseWindage] | None = Field(default=None, max_length=1000)
    wind: CaseWind
    current: CaseCurrent


class GlideCase(AfloatCase):
    """Speeds to ask at, and what drives the boat."""

    heading_deg: Degrees
    speeds_m_s: list[Annotated[float, Field(gt=0, le=4)]] = Field(min_length=1, max_length=1000)
    efforts: list[Effort] | None = Field(default=None, max_length=1000)
    motor: Motor | None = None
    drogue: Drogue | None = None


class HoldAt(CaseModel):
    """Where the line or the pole is, on the middle line."""

    x_m: Metres
    y_m: Metres = 0.0
    z_m: Metres


class Anchor(CaseModel):
    """An anchor with its chain and rope; weights in water."""

    mass_kg: Positive
    holding_ratio: Positive
    safety_factor: Annotated[float, Field(ge=1, le=1e6)]
    chain_length_m: Some
    chain_n_per_m: Some
    rope_length_m: Some
    rope_n_per_m: Some
    breaking_n: Positive
    knot_share: Share


class Soil(CaseModel):
    """What a pole stands in: sand by its weight, mud by its strength."""

    kind: Literal["sand", "mud"]
    unit_weight_n_m3: Positive | None = None
    passive_factor: Positive | None = None
    shear_strength_pa: Positive | None = None


class Pole(CaseModel):
    """A stake-out pole; a wall of half the diameter or more is solid."""

    diameter_m: Positive
    wall_m: Positive
    elastic_modulus_pa: Annotated[float, Field(gt=0, le=1e15)]
    allowable_stress_pa: Annotated[float, Field(gt=0, le=1e15)]
    length_m: Positive
    embedded_m: Positive
    above_cleat_m: Some
    soil: Soil


class HoldCase(AfloatCase):
    """What holds the boat, where, and how deep it is there."""

    hold_at: HoldAt
    depth_m: Positive
    anchor: Anchor | None = None
    pole: Pole | None = None
