"""How rods lie, and where one is parked."""

from neat_hull.model.base import Answer, Point
from neat_hull.model.zones import ReachZone


class RodLie(Answer):
    """How a rod or pole lies: lengths in m, negative where it falls short of what is named.

    reel_out_m is how far the reel stands outside the gunwale; tip_over_seat_m its height over the
    seat. leg_gap_m is the gap of the butt to the nearest of legs, hip and pedals, leg says which.
    """

    thing_id: int
    butt: Point
    tip: Point
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
