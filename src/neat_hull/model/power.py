"""The electrics of a setup: what gear is electrically, and how it is wired and used.

A thing that feeds is a `Battery`, one that takes a `Draw`, one where wires meet a `FuseBlock`.
What is null is typical of its kind, see `subjects.power.typical`. The section `Power` holds the
wires, and when each thing is on; things are called by their ids.
"""

from collections.abc import Mapping
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Name, Taken, ThingId

Known = Literal["measured", "label", "guess"]
Chemistry = Literal["lead_acid", "lifepo4", "li_ion"]
# Those that the table of what a wire carries lists.
Gauge = Literal[24, 22, 20, 18, 16, 14, 12, 10, 8, 6, 4, 2, 1, 0]
Held = Literal["point", "clip", "gland", "hole", "hatch"]
Amps = Annotated[float, Field(ge=0.001, le=1000)]
Volts = Annotated[float, Field(ge=0, le=100)]
Celsius = Annotated[float, Field(ge=-30, le=80)]


class Battery(Model):
    """It feeds the electrics. capacity_ah null: typical of its weight; rated over rated_hours.

    A label may say another capacity besides, second_ah over second_hours. series counts blocks of
    12 V in it; resistance_ohm is that of the whole battery, full and warm. posts_bare: nothing
    covers its terminals.
    """

    chemistry: Chemistry = "lead_acid"
    capacity_ah: float | None = Field(default=None, ge=0.01, le=1000)
    evidence: Known = "guess"
    rated_hours: float | None = Field(default=None, ge=0.01, le=200)
    second_ah: float | None = Field(default=None, ge=0.01, le=1000)
    second_hours: float | None = Field(default=None, ge=0.01, le=200)
    resistance_ohm: float | None = Field(default=None, ge=0.00001, le=10)
    measured_on: str | None = Field(default=None, max_length=10)
    usable_share: float | None = Field(default=None, ge=0.01, le=1)
    health_share: float = Field(default=1.0, ge=0.2, le=1)
    series: int = Field(default=1, ge=1, le=4)
    cut_off_v: Volts | None = None
    max_discharge_a: Amps | None = None
    max_charge_a: Amps | None = None
    posts_bare: bool = False

    @model_validator(mode="after")
    def _rated_twice(self) -> Self:
        if (self.second_ah is None) != (self.second_hours is None):
            raise ValueError("a second rating needs both, a capacity and its hours")
        return self


class Draw(Model):
    """It takes current, by one of amps, watts and ohms at full.

    Through a converter, efficiency is what comes out of what goes in, idle_w what it takes besides.
    min_v is the least voltage that it works at; start_level how many times the full draw it takes
    for an instant as it starts. usual_share is how much of the day it is on where nobody says.
    own_cells: it needs no wire.
    """

    amps: Amps | None = None
    watts: float | None = Field(default=None, ge=0.001, le=10000)
    ohms: float | None = Field(default=None, ge=0.001, le=10000)
    evidence: Known = "guess"
    efficiency: float | None = Field(default=None, ge=0.01, le=1)
    idle_w: float = Field(default=0.0, ge=0, le=100)
    min_v: Volts | None = None
    critical: bool = False
    start_level: float | None = Field(default=None, gt=1, le=10)
    usual_share: float = Field(default=1.0, ge=0, le=1)
    own_cells: bool = False

    @model_validator(mode="after")
    def _one_of_three(self) -> Self:
        if sum(one is not None for one in (self.amps, self.watts, self.ohms)) != 1:
            raise ValueError("needs one of amps, watts and ohms")
        if self.efficiency is not None and self.watts is None:
            raise ValueError("a converter needs watts")
        return self


class FuseBlock(Model):
    """Where wires meet: one comes in, and so many may go out."""

    ways: int = Field(default=6, ge=1, le=40)


class RoutePoint(Model):
    """A point that a wire passes, in boat coordinates, and what holds it there."""

    x_m: float = Field(ge=-2, le=12)
    y_m: float = Field(ge=-2, le=2)
    z_m: float = Field(ge=-1, le=3)
    by: Held = "clip"


class Conductor(Model):
    """A wire from thing to thing, out and back: from the battery's side to the device's.

    One of awg and area_mm2 says how thick. length_m null: as its route has it. joints_ohm null:
    typical of that many joints and disconnects. fuse_at_m is how much wire lies before the fuse.
    """

    start: ThingId
    end: ThingId
    awg: Gauge | None = None
    area_mm2: float | None = Field(default=None, ge=0.2, le=50)
    insulation_c: Literal[60, 75, 90, 105] = 105
    points: list[RoutePoint] = Field(default=[], max_length=40)
    length_m: float | None = Field(default=None, ge=0.01, le=50)
    joints: int = Field(default=2, ge=0, le=40)
    disconnects: int = Field(default=0, ge=0, le=10)
    joints_ohm: float | None = Field(default=None, ge=0, le=10)
    fuse_a: Amps | None = None
    fuse_at_m: float = Field(default=0.1, ge=0, le=50)
    bundled: int = Field(default=1, ge=1, le=100)
    loom: bool = False

    @model_validator(mode="after")
    def _runs(self) -> Self:
        if self.start == self.end:
            raise ValueError("runs from a thing to itself")
        if (self.awg is None) == (self.area_mm2 is None):
            raise ValueError("needs one of awg and area_mm2")
        return self


class Bank(Model):
    """Batteries in parallel, their leads joined at the thing `bus`, or at their posts."""

    batteries: list[ThingId] = Field(min_length=2, max_length=8)
    bus: ThingId | None = None


class Phase(Model):
    """A part of the day; one follows upon the other."""

    name: Name
    hours: float = Field(ge=0.05, le=48)


class Cycle(Model):
    """On and off in turn, on first."""

    on_min: float = Field(ge=0.25, le=1440)
    off_min: float = Field(ge=0.25, le=1440)


Level = Annotated[float, Field(ge=0.01, le=10)]


class Duty(Model):
    """When a thing is on: in a phase, or all day where null; how much of the time, and of it."""

    phase: Name | None = None
    share: float = Field(default=1.0, ge=0.001, le=1)
    level: Level = 1.0
    cycle: Cycle | None = None


class Home(Model):
    """What must be on for the way home, null for what is critical, and how many hours it takes."""

    on: list[ThingId] | None = Field(default=None, max_length=100)
    hours: float = Field(default=0.5, ge=0.05, le=48)


class Charger(Model):
    """What charges a battery ashore."""

    battery: ThingId
    chemistry: Chemistry
    amps: Amps
    around_c: Celsius = 20.0


LONGEST_DAY_H = 48.0


class Power(Model):
    """How a setup is wired and used; a thing of which nothing is said is on as is usual for it.

    A row of the objects that is set to null goes. charge is how full a battery is in the morning,
    full where nothing is said; moment_charge how full all are held to be at moments such as the
    motor's start. air_c is the air by day.
    """

    conductors: Annotated[dict[Key, Conductor], Taken] = Field(default={}, max_length=200)
    banks: Annotated[dict[Name, Bank], Taken] = Field(default={}, max_length=20)
    start_h: float = Field(default=6.0, ge=0, le=24)
    phases: list[Phase] = Field(
        default=[
            Phase(name="Way out", hours=0.5),
            Phase(name="Fishing", hours=7.0),
            Phase(name="Way home", hours=0.5),
        ],
        min_length=1,
        max_length=20,
    )
    duties: Annotated[dict[Key, list[Duty]], Taken] = Field(default={}, max_length=200)
    moments: Annotated[dict[Name, Annotated[dict[Key, Level], Taken]], Taken] = Field(
        default={}, max_length=20
    )
    charge: Annotated[dict[Key, float], Taken] = Field(default={}, max_length=50)
    moment_charge: float = Field(default=0.5, ge=0.01, le=1)
    home: Home = Home()
    chargers: Annotated[dict[Name, Charger], Taken] = Field(default={}, max_length=20)
    air_c: Celsius = 20.0

    @model_validator(mode="after")
    def _a_tree(self) -> Self:
        named = [phase.name for phase in self.phases]
        if len(set(named)) < len(named):
            raise ValueError("two phases have the same name")
        if sum(phase.hours for phase in self.phases) > LONGEST_DAY_H:
            raise ValueError(f"the phases come to more than {LONGEST_DAY_H:g} hours")
        for thing, duties in self.duties.items():
            for duty in duties:
                if duty.phase is not None and duty.phase not in named:
                    raise ValueError(f"item {thing} is on in {duty.phase!r}, which is no phase")
        if any(not 0 <= share <= 1 for share in self.charge.values()):
            raise ValueError("a charge must be between 0 and 1")
        buses = {bank.bus for bank in self.banks.values()}
        feeds: dict[Key, int] = {}
        for wire in self.conductors.values():
            if wire.end in feeds and wire.end not in buses:
                raise ValueError(f"item {wire.end} has two wires that feed it")
            feeds[wire.end] = wire.start
        for at in feeds:
            seen = {at}
            while (at := feeds.get(at, 0)) in feeds:
                if at in seen:
                    raise ValueError("these wires run in a circle")
                seen.add(at)
        joined = [one for bank in self.banks.values() for one in bank.batteries]
        if len(set(joined)) < len(joined):
            raise ValueError("a battery is in two banks")
        return self

    def renumbered(self, ids: Mapping[int, int]) -> "Power":
        """The same of things by other numbers; what tells of a thing without one goes."""
        new = ids.get
        return self.model_copy(
            update={
                "conductors": {
                    key: one.model_copy(update={"start": ids[one.start], "end": ids[one.end]})
                    for key, one in self.conductors.items()
                    if one.start in ids and one.end in ids
                },
                "banks": {
                    name: bank.model_copy(
                        update={"batteries": kept, "bus": new(bank.bus or 0)}
                    )
                    for name, bank in self.banks.items()
                    if len(kept := [ids[one] for one in bank.batteries if one in ids]) > 1
                },
                "duties": {ids[i]: row for i, row in self.duties.items() if i in ids},
                "charge": {ids[i]: row for i, row in self.charge.items() if i in ids},
                "moments": {
                    name: {ids[i]: level for i, level in on.items() if i in ids}
                    for name, on in self.moments.items()
                },
                "home": self.home.model_copy(
                    update={"on": None if self.home.on is None else [
                        ids[i] for i in self.home.on if i in ids]}
                ),
                "chargers": {
                    name: one.model_copy(update={"battery": ids[one.battery]})
                    for name, one in self.chargers.items()
                    if one.battery in ids
                },
            }
        )  # fmt: skip
