"""The numbers that a demand on the boat is asked with; typical to begin with, the user's to set."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.said import Amount, Verdict

Side = Literal["port", "starboard"]


class DemandNumbers(Model):
    """What is landed, pulled, poured in and blown; each typical of a day on a lake."""

    side: Side = "port"
    lean_deg: float = Field(default=25.0, ge=0, le=45)
    fish_kg: float = Field(default=4.0, ge=0, le=60)
    fish_out_m: float = Field(default=0.20, ge=0, le=1)
    line_pull_kg: float = Field(default=3.0, ge=0, le=30)
    rod_tip_over_shoulder_m: float = Field(default=0.6, ge=0, le=3)
    sway_m: float = Field(default=0.03, ge=0, le=0.3)
    cast_sway_m: float = Field(default=0.06, ge=0, le=0.4)
    seat_up_m: float = Field(default=0.10, ge=0, le=0.5)
    current_m_s: float = Field(default=0.8, ge=0, le=4)
    wind_m_s: float = Field(default=5.0, ge=0, le=25)
    depth_m: float = Field(default=4.0, gt=0, le=100)
    scope: float = Field(default=5.0, ge=1.2, le=20)
    downrigger_kg: float = Field(default=5.0, ge=0, le=30)
    boom_out_m: float = Field(default=0.5, ge=0, le=2)
    pole_pull_kg: float = Field(default=5.0, ge=0, le=40)
    cockpit_water_kg: float = Field(default=20.0, ge=0, le=300)
    tank_kg: float = Field(default=20.0, ge=0, le=100)
    remount_share: float = Field(default=0.3, ge=0, le=1)
    flooded_share: float = Field(default=0.5, ge=0, le=1)


class Demand(Answer):
    """One demand at rest; `what` has a {} for each of the amounts.

    heel_deg is positive starboard down; it is null where there is no rest.
    lever_m is the heeling lever, greatest_gz_m what the boat can answer with, margin_used their
    ratio, margin_band its ±. section_water_m is the height of the water on the centreline of the
    widest section.
    """

    code: str
    title: str
    what: str
    amounts: list[Amount]
    heel_deg: float | None
    trim_deg: float | None
    least_freeboard_m: float | None
    gm_m: float | None
    lever_m: float
    greatest_gz_m: float | None
    margin_used: float | None
    margin_band: float | None
    section_water_m: float | None
    verdict: Verdict
    trouble: str | None
