"""The lines of the boat and the body of the angler, to scale."""

from neat_hull.model.base import Answer, Point
from neat_hull.model.room import Envelope
from neat_hull.model.said import Said


class Limb(Answer):
    """A segment of the angler, for drawing; width in m."""

    name: str
    upper: Point
    far: Point
    width_m: float


class SectionLine(Answer):
    """Port half-section [y, z] at x, keel to sheer."""

    x_m: float
    points: list[tuple[float, float]]


class MeasuredOff(Answer):
    """A measured point and how far the modelled section passes from it."""

    x_m: float
    y_m: float
    z_m: float
    off_m: float
    agrees: bool


class Drawing(Answer):
    """The boat's lines and the angler's body, to scale.

    plan: half-breadth of the hull at x_m; keel and sheer heights at the same places. section: port
    half of the widest section, keel to sheer. bottom_beam_m is the breadth of the bottom at the
    turn of the bilge, measured or typical. reach_m is a straight arm; shoulders are its centres.
    """

    x_m: list[float]
    half_breadth_m: list[float]
    sheer_half_breadth_m: list[float]
    keel_z_m: list[float]
    sheer_z_m: list[float]
    bottom_beam_m: float
    section: list[tuple[float, float]]
    section_x_m: float
    sections: list[SectionLine]
    measured: list[MeasuredOff]
    limbs: list[Limb]
    head_m: Point
    shoulders: list[Point]
    reach_m: float
    hand_zone: list[tuple[float, float]]
    lean_zone: list[tuple[float, float]]
    brace_gap_m: float
    remarks: list[Said]
    envelopes: list[Envelope]
    eye_m: Point
