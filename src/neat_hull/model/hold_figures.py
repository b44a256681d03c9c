"""How a setup is held, as it goes out: how it lies, what holds, where its rope runs."""

from typing import Literal

from neat_hull.model.base import Answer, Point
from neat_hull.model.hold import Bottom

LimitedBy = Literal["bending", "soil", "length"]


class LiesFigure(Answer):
    """At rest on the line: heading by compass, pull level on the boat, N, ahead and to port.

    off_line_deg is how far the line leads off the nearer end of the boat, lead_deg which way it
    leads by compass.
    """

    heading_deg: float
    pull_n: float
    pull_ahead_n: float
    pull_port_n: float
    off_line_deg: float
    lead_deg: float


class AnchorFigure(Answer):
    """The anchor on its line; what is null has no meaning where the line does not reach the bottom.

    height_m is from the bottom to where the line leaves the boat; rope_m all the line there is.
    """

    thing_id: int
    mass_kg: float
    holding_ratio: float
    bottom: Bottom
    height_m: float
    line_m: float
    rope_m: float | None
    chain_m: float
    scope: float
    reaches_bottom: bool
    angle_at_anchor_deg: float | None
    angle_at_cleat_deg: float | None
    tension_n: float | None
    down_n: float
    on_bottom_m: float | None
    distance_m: float | None
    swing_radius_m: float | None
    line_share: float | None
    holding_factor: float | None
    holding_n: float | None
    holding_share: float | None
    recommended_kg: float | None
    floats: bool


class PoleFigure(Answer):
    """A pole, or each of two, pushed in; limited_by says which of its limits comes first."""

    thing_id: int
    length_m: float
    pushed_in_m: float
    pull_n: float
    moment_nm: float
    bending_share: float
    deflection_m: float
    soil_share: float | None
    depth_limit_m: float
    limited_by: LimitedBy


class HoverFigure(Answer):
    """A motor that keeps the boat in its place: step and power it takes, and hours of them."""

    thing_id: int
    step: float | None
    power_w: float | None
    hours: float | None


class RopeFigure(Answer):
    """The rope of a trolley, from block to block. meets: names of what it touches; in_reach says
    that it is in hand or within a lean."""

    ends: tuple[Point, Point]
    meets: list[str]
    on_legs: bool
    in_stroke: bool
    in_reach: bool


class HoldFigures(Answer):
    """All that is live about it. at is where the line leaves the boat; rock says that the bottom
    takes no pole."""

    at: Point
    end: Literal["bow", "stern"]
    lies: LiesFigure
    anchor: AnchorFigure | None
    pole: PoleFigure | None
    rock: bool
    hover: HoverFigure | None
    rope: RopeFigure | None


class Leaning(Answer):
    """The boat under a pull; null where it goes over."""

    heel_deg: float | None
    trim_deg: float | None
    least_freeboard_m: float | None


class HeldAt(Answer):
    """The boat held at another place: how it would lie."""

    x_m: float
    heading_deg: float
    pull_n: float
    off_line_deg: float


class FullHold(Answer):
    """What is asked for on request. line: the line from the anchor, [along the bottom, up]; held:
    the boat under its pull; by_the_side: what would be; elsewhere: held at places along the boat.

    ends_x_m are stern and bow; lateral_x_m the middle of what the water holds beside; surge_n what
    short waves make of the pull.
    """

    held: Leaning
    by_the_side: Leaning
    by_the_side_n: float
    line: list[tuple[float, float]]
    elsewhere: list[HeldAt]
    lateral_x_m: float
    ends_x_m: tuple[float, float]
    surge_n: float
    cautions: list[str]
