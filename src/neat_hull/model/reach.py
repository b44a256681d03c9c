"""What the core answers about reach, rods and sight."""

from typing import Literal

from neat_hull.model.figures import Answer, Limb, ReachZone, Spot


class ZoneEdge(Answer):
    """Outline (x, y) of all that is come by within a zone, or a nearer one, at some height."""

    zone: ReachZone
    outline: list[tuple[float, float]]


class Needs(Answer):
    """A thing's zone against what its use asks; `steps_too_far` counts the zones between."""

    thing_id: int
    needed: ReachZone
    steps_too_far: int


class RodLie(Answer):
    """How a rod or pole lies: lengths in m, negative where it falls short of what is named.

    reel_out_m is how far the reel stands outside the gunwale; tip_over_seat_m its height over the
    seat. leg_gap_m is the gap of the butt to the nearest of legs, hip and pedals, leg says which.
    """

    thing_id: int
    butt: Spot
    tip: Spot
    reel_out_m: float | None
    tip_past_bow_m: float
    tip_past_stern_m: float
    tip_past_beam_m: float
    tip_over_seat_m: float
    leg_gap_m: float
    leg: str


class Parking(Answer):
    """A tube or holder that a rod can be left in while a fish is unhooked."""

    name: str
    thing_id: int | None
    zone: ReachZone
    holds: int | None


class HandHeld(Answer):
    """A rod in the hand from the seat, pointed at the bow: by how much its tip passes it."""

    thing_id: int
    passes_bow_m: float


class DeadArc(Answer):
    """Bearings off the bow, to port positive, behind which a thing hides the water ahead."""

    thing_id: int
    from_deg: float
    to_deg: float


class ReachSheet(Answer):
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
    head_m: Spot
    heel_deg: float | None
    margin_used: float | None
    freeboard_m: float | None
