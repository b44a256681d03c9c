"""A battery monitor: what it says of each bank, and what can be learned from it."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.said import Verdict

Fault = Literal["none", "joint", "capacity", "hidden"]
FeedState = Literal["off", "lost", "stale", "garbled", "live"]


class PlayStep(Answer):
    """What a simulated monitor says of a bank at a second of the day; straight between steps."""

    at_s: float
    bank: str
    volts: float
    amps: float


class BankRow(Answer):
    """A bank of the setup and its monitor: means over ten seconds, null where nothing fresh came.

    measured_ohm ± measured_se_ohm is learned from steps of the current, battery and lead together;
    expected_ohm what the setup has for it; full_ohm what of it is the battery's own, full and warm.
    """

    name: str
    battery: int
    says: str
    volts: float | None
    amps: float | None
    volts_se: float
    amps_se: float
    pairs: int
    measured_ohm: float | None
    measured_se_ohm: float | None
    expected_ohm: float
    full_ohm: float | None
    verdict: Verdict


class Monitor(Answer):
    """All banks of a setup, and the state of the feed."""

    state: FeedState
    banks: list[BankRow]
    others: list[str]


class TwoReadings(Model):
    """Volts and amps of a bank without a load, and some ten seconds with it.

    volts_se and amps_se are the standard errors of each reading, where they are known.
    """

    rest_v: float = Field(ge=0, le=100)
    rest_a: float = Field(default=0.0, ge=-1000, le=1000)
    load_v: float = Field(ge=0, le=100)
    load_a: float = Field(ge=-1000, le=1000)
    volts_se: float = Field(default=0.0, ge=0, le=10)
    amps_se: float = Field(default=0.0, ge=0, le=10)


class TwoReadingsResult(Answer):
    """Resistance between the two, and what the load draws, each ± its standard error."""

    resistance_ohm: float
    resistance_se_ohm: float
    watts: float
    watts_se: float
    amps: float
