"""A bare case for `neat-hull power`: batteries in banks, trees of wire, loads, a day, moments."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.float_case import CaseModel

Positive = Annotated[float, Field(gt=0, le=1e9)]
Some = Annotated[float, Field(ge=0, le=1e9)]
Celsius = Annotated[float, Field(ge=-100, le=300)]
Share = Annotated[float, Field(ge=0, le=1)]
ShareOfSome = Annotated[float, Field(gt=0, le=1)]
Hour = Annotated[float, Field(ge=-1e5, le=1e5)]
ChemistryName = Literal["lead_acid", "lifepo4", "li_ion", "other"]


class CaseConductor(CaseModel):
    """A wire by gauge or area, out and back; joints_ohm are of the whole loop."""

    awg: int | None = None
    area_mm2: Positive | None = None
    length_m: Some
    temperature_c: Celsius = 20.0
    joints_ohm: Some = 0.0
    fuse_a: Positive | None = None
    fuse_at_m: Some = 0.0
    insulation_c: int = 105
    around_c: Celsius = 30.0
    bundled: int = Field(default=1, ge=1, le=1000)


class CaseWire(CaseConductor):
    """A wire from a bank, or from the end of another wire."""

    name: str = Field(min_length=1)
    from_: str = Field(alias="from")


class SecondRating(CaseModel):
    """What a label says besides: another capacity, at another number of hours."""

    capacity_ah: Positive
    hours: Positive


class CaseBattery(CaseModel):
    """A battery as its label, its age and its temperature have it."""

    name: str = Field(min_length=1)
    bank: str = Field(min_length=1)
    chemistry: ChemistryName
    capacity_ah: Positive
    rated_hours: Positive
    resistance_ohm: Positive
    usable_share: ShareOfSome
    start_soc: Share
    series: int = Field(default=1, ge=1, le=100)
    health_share: float = Field(default=1.0, ge=0.2, le=1)
    temperature_c: Celsius = 25.0
    peukert: float | None = Field(default=None, ge=1, le=2)
    second_rating: SecondRating | None = None
    cut_off_v: Some | None = None
    max_discharge_a: Positive | None = None
    max_charge_a: Positive | None = None
    mass_kg: Positive | None = None
    takes_no_charge: bool = False
    open_circuit_v: list[tuple[float, float]] | None = Field(default=None, max_length=1000)
    lead: CaseConductor | None = None


class Converter(CaseModel):
    """What a converter takes of what goes through it, and by itself."""

    efficiency: ShareOfSome
    idle_w: Some = 0.0


class Cycle(CaseModel):
    """On and off in turn, on first."""

    on_min: Positive
    off_min: Positive


class On(CaseModel):
    """When a load is on: in a phase, between hours, or all day; how much of the time and of it."""

    phase: str | None = None
    from_h: Hour | None = None
    to_h: Hour | None = None
    share: ShareOfSome = 1.0
    level: Positive = 1.0
    cycle: Cycle | None = None


class CaseLoad(CaseModel):
    """What draws, at the end of a wire or at a bank, by one of amps, watts and ohms."""

    name: str = Field(min_length=1)
    at: str
    amps: Positive | None = None
    watts: Positive | None = None
    ohms: Positive | None = None
    converter: Converter | None = None
    min_v: Some | None = None
    critical: bool = False
    on: list[On] = Field(max_length=1000)


class Phase(CaseModel):
    """Hours of the day by a name, which several may share."""

    name: str = Field(min_length=1)
    from_h: Hour
    to_h: Hour


class Day(CaseModel):
    """From one hour to another, with phases, and hours at which one asks."""

    start_h: Hour
    end_h: Hour
    phases: list[Phase] = Field(default=[], max_length=1000)
    sample_h: list[Hour] = Field(default=[], max_length=10000)


class LoadOn(CaseModel):
    """A load that is on, and how much of it."""

    load: str
    level: Positive = 1.0


class Moment(CaseModel):
    """Some loads on at once; with `hold`, how long that goes on."""

    name: str = Field(min_length=1)
    on: list[LoadOn] = Field(max_length=1000)
    soc: dict[str, Share] = Field(default={})
    hold: bool = False


class Home(CaseModel):
    """What is on on the way home, and how many hours that takes."""

    on: list[LoadOn] = Field(max_length=1000)
    hours: Positive


class Charger(CaseModel):
    """What charges a battery ashore."""

    name: str = Field(min_length=1)
    battery: str
    chemistry: ChemistryName
    amps: Positive
    temperature_c: Celsius = 20.0


class PowerCase(CaseModel):
    """Everything `neat-hull power` reads; null where something may be left out is its default."""

    name: str
    batteries: list[CaseBattery] = Field(min_length=1, max_length=100)
    wires: list[CaseWire] = Field(default=[], max_length=1000)
    loads: list[CaseLoad] = Field(max_length=1000)
    day: Day | None = None
    moments: list[Moment] = Field(default=[], max_length=100)
    home: Home | None = None
    chargers: list[Charger] = Field(default=[], max_length=100)
