"""Sonar: what a transducer is, and what it sees from where it hangs."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model, Point
from neat_hull.model.said import Verdict

Mount = Literal["inside", "recess", "arm", "motor", "pole"]
Through = Literal["water", "plastic", "foam or air"]


class Transducer(Model):
    """It sounds: its cone, where it is mounted, and what lies between its face and the water.

    mount is one of the schools: inside the hull, in a recess or scupper under it, on an arm over
    the side, on the motor, or on a pole that is turned by hand. side_beams look to both sides.
    reads_temperature says that it is to show the water's.
    """

    mount: Mount = "recess"
    through: Through = "water"
    cone_deg: float = Field(default=20.0, ge=2, le=160)
    side_beams: bool = False
    reads_temperature: bool = True


class SonarFigure(Answer):
    """One transducer as it hangs. Depths are of its face under the water, m, negative out of it.

    depth_m at rest; least_m at the worst of what the trip asks, at a heel (starboard down), or at a
    trim against rest (bow up) in the demand least_by, null for a heel.
    below_hull_m is how far it stands out under the hull's lowest point, below_here_m under the
    hull where it is; behind_drive_m how far aft of the drive, null ahead of it or clear of it.
    cut_off_deg is what the hull hides of a side beam, counted down from level. On the bottom at
    bottom_m the cone is bottom_wide_m across; drag_n at speed_m_s, heeling by heel_deg.
    ball_from_m: a downrigger's ball is in the cone from that depth on, null without one.
    """

    thing_id: int
    mount: Mount
    face_at: Point
    depth_m: float
    least_m: float
    least_heel_deg: float
    least_trim_deg: float
    least_by: str | None
    below_hull_m: float
    below_here_m: float
    behind_drive_m: float | None
    from_bow_share: float
    cut_off_deg: float
    bottom_m: float
    bottom_wide_m: float
    cone_deg: float
    drag_n: float
    heel_deg: float | None
    speed_m_s: float
    ball_from_m: float | None
    ball_at: Point | None
    verdict: Verdict


class SchoolFigure(Answer):
    """A school of placing it, tried on this boat: where its face would be, and what comes of it."""

    mount: Mount
    words: str
    possible: bool
    why_not: str
    face_at: Point | None
    depth_m: float | None
    least_m: float | None
    below_hull_m: float | None
    cut_off_deg: float | None
    drag_n: float | None
    cautions: list[str]


class Sonar(Answer):
    """All transducers aboard."""

    transducers: list[SonarFigure]


class Schools(Answer):
    """The ways of placing a transducer, side by side."""

    schools: list[SchoolFigure]
