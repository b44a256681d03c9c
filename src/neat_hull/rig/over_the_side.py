"""The room over a gunwale that one climbs back in by: what is asked to stay clear."""

from neat_hull.model.base import Point
from neat_hull.physics.hull.shape import Hull

_REMOUNT_M = (0.80, 0.35)  # along the cockpit's side, up: chest and then knees come over it


def climbs_in_at_m(seat_x_m: float) -> float:
    """Where along the boat one comes over the gunwale."""
    return seat_x_m + 0.2


def over_the_side(hull: Hull, seat_x_m: float, side: float) -> tuple[Point, Point]:
    """The room over the gunwale that one climbs in by, to port (side 1) or starboard (-1): its
    inner and its outer corner."""
    long, up = _REMOUNT_M
    half, height = hull.gunwale_m(climbs_in_at_m(seat_x_m))
    return (
        (seat_x_m - long / 4, side * 0.24, height - 0.05),
        (seat_x_m + 3 * long / 4, side * (half + 0.15), height + up),
    )
