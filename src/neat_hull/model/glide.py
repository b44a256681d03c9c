"""How a setup goes: by whose effort or which motor, in what wind and current, and what tests of it
have shown. What is null is typical, see `rig.drag.typical` and `subjects.glide.typical`.
"""

from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Taken

Stroke = Literal["paddle", "fins", "propeller"]
Speed = Annotated[float, Field(ge=0, le=30)]
Compass = Annotated[float, Field(ge=-360, le=720)]


class Motor(Model):
    """It drives the boat. thrust_n is its pull at standstill, as on its label; fastest_m_s where it
    pulls no more and full_w what it draws, both at full. drop is how much less it draws by then.
    holds: it keeps the boat in its place by itself."""

    thrust_n: float = Field(ge=5, le=2000)
    fastest_m_s: float | None = Field(default=None, ge=0.5, le=10)
    full_w: float | None = Field(default=None, ge=5, le=20000)
    drop: float | None = Field(default=None, ge=0, le=1)
    holds: bool = False


class TimedRun(Model):
    """A known distance out and back the same way, at a steady effort, full as set up."""

    distance_m: float = Field(default=500.0, ge=20, le=50000)
    out_min: float = Field(default=7.0, ge=0.1, le=600)
    back_min: float = Field(default=7.0, ge=0.1, le=600)
    effort_w: float = Field(default=60.0, ge=5, le=500)


class TowedPull(Model):
    """Towed, or held in a steady current: what a luggage scale reads at a speed."""

    speed_m_s: float = Field(ge=0.3, le=4)
    pull_n: float = Field(ge=0.5, le=2000)


class DriftTest(Model):
    """Minutes adrift over a distance in a known wind, without a drogue."""

    distance_m: float = Field(default=100.0, ge=10, le=10000)
    minutes: float = Field(default=6.0, ge=0.1, le=600)
    wind_m_s: float = Field(default=4.0, ge=0.5, le=25)


class GlidePlan(Model):
    """What it is driven by, and against what. Directions by compass: a wind from, a current toward.

    effort_w is what the body gives, efficiency what of it drives. trip_m is how far out one means
    to go; step the motor's, reserve what of the battery is to be left. drogue_x_m is where a drogue
    is led to, null the bow. up: things that are lifted out of the water, or laid down out of the
    wind, on the way. form_factor, wave_factor, wind_factor and efficiency are what tests found.
    lines: how long each rod's line trails; turn_m the radius of a turn with them.
    """

    stroke: Stroke | None = None
    effort_w: float = Field(default=60.0, ge=5, le=500)
    efficiency: float | None = Field(default=None, ge=0.05, le=1)
    wind_m_s: Speed = 2.0
    wind_from_deg: Compass = 0.0
    current_m_s: float = Field(default=0.0, ge=0, le=5)
    current_toward_deg: Compass = 180.0
    heading_deg: Compass = 0.0
    trip_m: float = Field(default=2000.0, ge=10, le=100000)
    step: float = Field(default=0.7, gt=0, le=1)
    reserve: float = Field(default=0.2, ge=0, le=0.9)
    scratched: bool = False
    form_factor: float | None = Field(default=None, ge=0.0, le=1)
    wave_factor: float | None = Field(default=None, ge=0.0, le=3)
    wind_factor: float | None = Field(default=None, ge=0.2, le=5)
    drogue_x_m: float | None = Field(default=None, ge=-2, le=12)
    up: Annotated[dict[Key, bool], Taken] = Field(default={}, max_length=200)
    lines: Annotated[dict[Key, Annotated[float, Field(ge=1, le=300)]], Taken] = Field(
        default={}, max_length=20
    )
    turn_m: float = Field(default=20.0, ge=1, le=1000)
    timed_run: TimedRun | None = None
    pulls: list[TowedPull] = Field(default=[], max_length=12)
    drift_test: DriftTest | None = None

    def renumbered(self, ids: Mapping[int, int]) -> "GlidePlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        return self.model_copy(
            update={
                "up": {ids[i]: row for i, row in self.up.items() if i in ids},
                "lines": {ids[i]: row for i, row in self.lines.items() if i in ids},
            }
        )
