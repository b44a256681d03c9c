"""A bare case for `neat-hull mount`: things fixed to walls, holes, steps of the work."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.float_case import CaseModel

Number = Annotated[float, Field(ge=-1e6, le=1e6)]
Positive = Annotated[float, Field(gt=0, le=1e6)]
Some = Annotated[float, Field(ge=0, le=1e6)]
Nu = Annotated[float, Field(ge=0, le=0.499)]
Triple = tuple[Number, Number, Number]
Name = Annotated[str, Field(min_length=1)]
Duration = Literal["snatch", "minutes", "days"]


class Factors(CaseModel):
    """What is left of stiffness and strength under a load that lasts."""

    stiffness: Positive
    strength: Positive


class ByDuration(CaseModel):
    """For each duration."""

    snatch: Factors
    minutes: Factors
    days: Factors

    def of(self, duration: Duration) -> Factors:
        """Of one duration."""
        found: Factors = getattr(self, duration)
        return found


class CaseBase(CaseModel):
    """The base of a mount; length_m along u, the diameter of a round one; width_m across."""

    shape: Literal["rect", "round"]
    length_m: Positive
    width_m: Positive | None = None


class Fastener(CaseModel):
    """One of several alike bolts or screws; rated: by a tested figure.

    grip_mm: how deep a screw sits in plastic. clamp_n is the preload that friction may count on.
    """

    kind: Literal["through", "screw", "rated"]
    d_mm: Positive
    area_mm2: Positive
    yield_mpa: Positive
    washer_mm: Positive
    clamp_n: Some
    friction: Some
    edge_m: Positive | None
    grip_mm: Positive | None = None
    rated_n: Positive | None = None


class Hold(CaseModel):
    """Bolts at places [u, v] of the base, or a bond (glue, tape) under all of it."""

    kind: Literal["bolts", "bond"]
    bolts_m: list[tuple[Number, Number]] | None = Field(default=None, min_length=1, max_length=100)
    fastener: Fastener | None = None
    tension_mpa: Positive | None = None
    shear_mpa: Positive | None = None
    by_duration: ByDuration | None = None


class CaseWall(CaseModel):
    """A round flat panel about the middle of the base; core_mm of it carries nothing."""

    thickness_mm: Positive
    core_mm: Some
    e_mpa: Positive
    nu: Nu
    bend_mpa: Positive
    shear_mpa: Positive
    bearing_mpa: Positive
    by_duration: ByDuration
    radius_m: Positive
    edge: Literal["clamped", "supported"]


class PlateStuff(CaseModel):
    """What a plate is made of."""

    thickness_mm: Positive
    e_mpa: Positive
    nu: Nu
    by_duration: ByDuration | None = None


class CasePlate(PlateStuff):
    """A plate inside, under the middle of the base; length_m along u."""

    length_m: Positive
    width_m: Positive
    yield_mpa: Positive


class CaseForce(CaseModel):
    """A force at a point, given as it is or as a mass that is shaken, its weight included."""

    force_n: Triple | None = None
    mass_kg: Positive | None = None
    accel_g: Triple | None = None
    at_m: Triple


class Situation(CaseModel):
    """What pulls at a mount at once, and for how long."""

    name: Name
    duration: Duration
    forces: list[CaseForce] = Field(max_length=1000)


class CaseMount(CaseModel):
    """A thing on a wall. Own axes: u along the base, v across it, n out of the wall."""

    name: Name
    base: CaseBase
    hold: Hold
    wall: CaseWall
    plate: CasePlate | None
    plate_to_try: PlateStuff | None
    tilt_limit_deg: Positive
    situations: list[Situation] = Field(min_length=1, max_length=1000)


class CaseHole(CaseModel):
    """A hole through the hull, in axes of the boat."""

    name: Name
    at_m: Triple
    d_mm: Positive
    edge_m: Positive | None
    used_by: str | None
    new: bool
    needs_hand: bool


class CaseWater(CaseModel):
    """A plane of water, z = c − x·tan(trim) − y·tan(heel)."""

    name: Name
    c_m: Number
    trim_deg: Annotated[float, Field(gt=-90, lt=90)]
    heel_deg: Annotated[float, Field(gt=-90, lt=90)]


class CaseHatch(CaseModel):
    """An opening that a hand goes in by."""

    name: Name
    at_m: Triple
    mouth_m: Positive


class HandReach(CaseModel):
    """How far one reaches through a mouth of at least so much."""

    mouth_m: Positive
    reach_m: Positive


class HoleRules(CaseModel):
    """Least distances, in diameters, and the least height over the water."""

    spacing_d: Some
    edge_d: Some
    height_m: Number


class CaseStep(CaseModel):
    """A step of the work; what it needs done before, hands-on and waiting minutes."""

    id: Name
    needs: list[str] = Field(max_length=1000)
    hands_min: Some
    wait_min: Some


class MountCase(CaseModel):
    """Mounts, holes and steps, each on its own."""

    name: str = ""
    mounts: list[CaseMount] = Field(default=[], max_length=1000)
    holes: list[CaseHole] = Field(default=[], max_length=1000)
    waters: list[CaseWater] = Field(default=[], max_length=1000)
    hatches: list[CaseHatch] = Field(default=[], max_length=1000)
    reach: list[HandReach] = Field(default=[], max_length=1000)
    rules: HoleRules | None = None
    steps: list[CaseStep] = Field(default=[], max_length=10000)
