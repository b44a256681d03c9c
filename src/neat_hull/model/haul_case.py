"""A bare case for `neat-hull haul`: a boat lifted, put on a roof or a bed, and wheeled."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.float_case import CaseModel

Number = Annotated[float, Field(ge=-1e6, le=1e6)]
Positive = Annotated[float, Field(gt=0, le=1e6)]
Some = Annotated[float, Field(ge=0, le=1e6)]
Pair = tuple[Number, Number]
State = Literal["bare", "loaded"]


class CaseBoat(CaseModel):
    """The boat without things: its length, mass and where that acts."""

    length_m: Positive
    mass_kg: Positive
    x_m: Number
    z_m: Number


class CaseThing(CaseModel):
    """A thing, and whether it comes off for the road, in how many minutes."""

    name: str
    mass_kg: Positive
    x_m: Number
    z_m: Number
    comes_off: bool
    minutes: Some


class Niosh(CaseModel):
    """What the lifting equation asks: hands from the ankles and from the floor, how far they lift,
    how far the body turns; the multipliers of frequency and grip."""

    h_cm: Some
    v_cm: Some
    d_cm: Some
    a_deg: Some
    fm: Annotated[float, Field(ge=0, le=1)]
    cm: Annotated[float, Field(ge=0, le=1)]


class CaseLift(CaseModel):
    """Lifted at a place while it rests on another, or is lifted there as well."""

    name: str
    hold_m: Pair
    other_m: Pair
    angle_deg: Annotated[float, Field(ge=0, le=85)]
    state: State
    people: Annotated[int, Field(ge=1, le=100)]
    niosh: Niosh | None


class CaseRoof(CaseModel):
    """Two bars on a vehicle, and how far it reaches past them."""

    rear_bar_x_m: Number
    spacing_m: Positive
    behind_bar_m: Some
    ahead_bar_m: Some
    limit_kg: Positive
    extras_kg: Some
    bar_width_m: Positive
    bar_over_roof_m: Some
    keel_z_m: Pair


class CaseSlide(CaseModel):
    """Slid up from the rear: the bar under it, and hands at a place, each along a way."""

    bar_height_m: Positive
    hand_x_m: Number
    contact_m: Pair
    hand_height_m: Pair
    friction: Some
    steps: Annotated[int, Field(ge=1, le=100000)]


class CaseBed(CaseModel):
    """The bed of a truck with its gate or an extender."""

    length_m: Positive
    gate_m: Some
    front_support_m: Some
    gate_limit_kg: Positive
    end_in: Literal["bow", "stern"]


class Soil(CaseModel):
    """How a wheel sinks: by Bekker, in kN/mⁿ⁺¹ and kN/mⁿ⁺²."""

    n: Positive
    kc: Some
    kphi: Positive


class Ground(CaseModel):
    """What it is pulled over: hard by a rolling share, soft by its soil."""

    name: str
    slope_deg: Annotated[float, Field(ge=-80, le=80)]
    rolling: Some | None = None
    soil: Soil | None = None
    step_m: Some
    bearing_kpa: Positive


class Posts(CaseModel):
    """Posts of a cart that stand in scupper tubes, with or without slabs under the hull."""

    count: Annotated[int, Field(ge=1, le=100)]
    d_mm: Positive
    tube_m: Positive
    below_m: Some
    ring_mm: Positive
    slab_m: tuple[Positive, Positive] | None
    bump: Positive
    bearing_mpa: Positive


class CaseCart(CaseModel):
    """Two wheels under the boat, which is pulled by a handle."""

    state: State
    axle_m: Pair
    wheel_radius_m: Positive
    wheel_width_m: Positive
    track_m: Positive
    handle_m: Pair
    handle_height_m: Positive
    hand_target_n: Number
    grounds: list[Ground] = Field(max_length=1000)
    posts: Posts | None


class CaseUnder(CaseModel):
    """What hangs under the hull."""

    name: str
    x_m: Pair
    z_m: Number
    comes_off: bool


class OverhangRule(CaseModel):
    """How far it may reach past the vehicle, and from where it wants a flag."""

    flag_rear_m: Some
    most_rear_m: Some
    most_front_m: Some


class HaulCase(CaseModel):
    """Weights, and how the boat gets from the garage to the water."""

    name: str = ""
    boat: CaseBoat
    things: list[CaseThing] = Field(default=[], max_length=1000)
    aim_kg: Some
    comfort_kg: Positive
    lifts: list[CaseLift] = Field(default=[], max_length=1000)
    roof: CaseRoof | None = None
    slide: CaseSlide | None = None
    bed: CaseBed | None = None
    cart: CaseCart | None = None
    under: list[CaseUnder] = Field(default=[], max_length=1000)
    overhang_rule: OverhangRule | None = None
