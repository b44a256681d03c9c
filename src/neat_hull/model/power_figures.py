"""What the electrics of a setup come to: live, and the whole day on request."""

from neat_hull.model.base import Answer, Point
from neat_hull.model.power import Chemistry
from neat_hull.model.said import Verdict


class ConductorFigure(Answer):
    """A wire as it lies. points run from post to device in boat coordinates, m.

    full_a is all that hangs on it at full; drop_v what it loses then, drop_share of the bank's
    nominal voltage; drop_verdict is the worst of what is lost on the way to any device that it
    feeds. fed: a battery feeds it. guard_fuse_a is the fuse that keeps it.
    """

    key: int
    points: list[Point]
    length_m: float
    fed: bool
    resistance_ohm: float
    ampacity_a: float
    full_a: float
    drop_v: float
    drop_share: float
    drop_verdict: Verdict
    guard_fuse_a: float | None
    copper_kg: float


class VoltsAt(Answer):
    """The voltage of a thing at a moment, what it draws, and whether that is too little for it."""

    moment: str
    volts: float
    amps: float
    low: bool


class LoadFigure(Answer):
    """A thing that takes current: at full, the drop on its way, and its voltage at each moment."""

    thing_id: int
    full_a: float
    drop_v: float
    drop_share: float
    at: list[VoltsAt]


class BatteryFigure(Answer):
    """A battery: what is typical of it where nobody says, and what of it can be used."""

    thing_id: int
    bank: str
    chemistry: Chemistry
    capacity_ah: float
    resistance_ohm: float
    usable_wh: float
    wh_per_kg: float
    end_soc: float | None
    off_h: float | None
    max_a: float | None


class BankFigure(Answer):
    """Batteries in parallel, or one: what is left of their usable charge at the day's end.

    band_share is ± of the hours that it lasts, as a share of them. down_h is when it goes dark.
    """

    name: str
    batteries: list[int]
    usable_wh: float
    least_v: float | None
    used_wh: float | None
    left_share: float | None
    band_share: float
    down_h: float | None


class PowerFigures(Answer):
    """The electrics of a setup. left_share is that of the bank with the least left at day's end.

    home_h is how long what is needed for the way home can be kept on from the day's end, null where
    nothing is asked or it has no end in sight; home_asked_h what is asked. unfed are things that no
    battery feeds. trouble says why there is no day.
    """

    conductors: list[ConductorFigure]
    loads: list[LoadFigure]
    batteries: list[BatteryFigure]
    banks: list[BankFigure]
    moments: list[str]
    unfed: list[int]
    left_share: float | None
    least_hours: float | None
    home_h: float | None
    home_asked_h: float | None
    day_h: float
    trouble: str | None
