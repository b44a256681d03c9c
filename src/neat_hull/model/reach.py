"""What the core answers about reach."""

from typing import Literal

from neat_hull.model.base import Answer, Point
from neat_hull.model.drawing import Limb
from neat_hull.model.rods import HandHeld, Parking, RodLie
from neat_hull.model.said import Said
from neat_hull.model.sight import DeadArc
from neat_hull.model.zones import ReachZone


class Aboard(Answer):
    """One thing aboard, where it ends up, where it weighs, and how it is come by from the seat.

    x_m, y_m, base_z_m, turn_deg and tilt_deg as a place on the bare deck. `depth` counts the things
    it stands on or in, `holder_id` is the nearest, carries_kg its weight with all it holds. misfit
    says why it does not belong where it is. out_first are the things that lie over it. frame is x,
    y and turn in degrees of what its place is counted from, slide_m how far it may go from there.
    On the way to it the boat heels to heels_deg (starboard down), with margin_used of its righting
    lever and freeboard_m left; null where nobody leans. steps must be done before it is in hand.
    reel_at_m is how far the reel is from the end of the butt.
    """

    thing_id: int
    where: str
    x_m: float
    y_m: float
    base_z_m: float
    turn_deg: float
    tilt_deg: float
    rests: bool
    depth: int
    holder_id: int | None
    carries_kg: float
    out_first: list[int]
    misfit: Said | None
    reel: Point | None
    reel_at_m: float | None
    frame: Point
    slide_m: tuple[float, float] | None
    centre: Point
    tip: Point | None
    zone: ReachZone
    lean_deg: float | None
    pitch_deg: float | None
    twist_deg: float | None
    short_m: float
    heels_deg: float | None
    margin_used: float | None
    freeboard_m: float | None
    steps: list[str]


class ZoneEdge(Answer):
    """Outline (x, y) of all that is come by within a zone, or a nearer one, at some height."""

    zone: ReachZone
    outline: list[tuple[float, float]]


class Needs(Answer):
    """A thing's zone against what its use asks; `steps_too_far` counts the zones between."""

    thing_id: int
    needed: ReachZone
    steps_too_far: int


class FullReach(Answer):
    """Everything about who comes to what. shortest_rod_m is the least that passes the bow by hand.

    spread_m is how far apart the outermost tips to either side are; closest_m the nearest two tips.
    """

    height_m: float
    edges: list[ZoneEdge]
    needs: list[Needs]
    rods: list[RodLie]
    parking: list[Parking]
    park_in: str | None
    hand_held: list[HandHeld]
    shortest_rod_m: float
    spread_m: float | None
    closest_m: float | None
    dead_arcs: list[DeadArc]
    dead_deg: float


class Reaching(Answer):
    """The angler reaching for one thing, and how the boat lies meanwhile."""

    thing_id: int
    zone: ReachZone
    hand: Literal["port", "starboard"]
    limbs: list[Limb]
    head_m: Point
    heel_deg: float | None
    margin_used: float | None
    freeboard_m: float | None
