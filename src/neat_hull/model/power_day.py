"""The electrics in full, on request: the day as a chart, loads by phase, supplies, what to buy."""

from neat_hull.model.base import Answer
from neat_hull.model.said import Said, Verdict


class PhaseSpan(Answer):
    """A phase of the day, by hours of the clock."""

    name: str
    from_h: float
    to_h: float


class BatteryLine(Answer):
    """How full a battery is at each of the chart's hours."""

    thing_id: int
    soc: list[float]


class LoadLine(Answer):
    """The voltage of a thing at each of the chart's hours, null while it is off or dark; when it is
    on, by hours; and the least voltage that it works at."""

    thing_id: int
    volts: list[float | None]
    on: list[tuple[float, float]]
    min_v: float | None


class TroubleMark(Answer):
    """A moment of the day at which something goes wrong."""

    at_h: float
    verdict: Verdict
    words: Said


class DayChart(Answer):
    """The day hour by hour; `at_h` are the hours of every line."""

    at_h: list[float]
    phases: list[PhaseSpan]
    batteries: list[BatteryLine]
    loads: list[LoadLine]
    troubles: list[TroubleMark]


class LoadRow(Answer):
    """What a thing takes in the day: Wh in each phase in their order, and in all."""

    thing_id: int
    by_phase_wh: list[float]
    energy_wh: float
    least_v: float | None
    low_min: float
    unserved_min: float


class LossRow(Answer):
    """Where what left the batteries went: loads, wires and fuses, and heat inside the batteries."""

    bank: str
    loads_wh: float
    wires_wh: float
    inside_wh: float


class Supply(Answer):
    """One way to feed it all: what it weighs and what it gives.

    start_v is the least voltage of what is critical at the worst moment, `critical` what that is;
    hours how long the day's draw lasts.
    """

    name: str
    words: str
    possible: bool
    critical: int | None
    start_v: float | None
    low: bool
    hours: float | None
    left_share: float | None
    battery_kg: float
    usable_wh: float
    wh_per_kg: float
    to_charge: int
    trim_deg: float | None
    gm_m: float | None


class BuyRow(Answer):
    """A line of the shopping list: what, of which size, how much; length_m for what is cut."""

    what: str
    size: str
    count: int | None
    length_m: float | None
    note: str


class UnplugStep(Answer):
    """What has to be pulled or taken out to get a battery ashore, in order."""

    words: str


class Ashore(Answer):
    """How a battery gets to its charger: the steps, and how many of them."""

    thing_id: int
    steps: list[UnplugStep]


class Charging(Answer):
    """A charger and its battery: what it gives, and how long until full after the day."""

    name: str
    thing_id: int
    amps: float
    hours: float


class FullPower(Answer):
    """The electrics in full. trouble says why there is no chart."""

    trouble: str | None
    chart: DayChart | None
    loads: list[LoadRow]
    losses: list[LossRow]
    supplies: list[Supply]
    charging: list[Charging]
    buy: list[BuyRow]
    ashore: list[Ashore]
    cautions: list[str]
