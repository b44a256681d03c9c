"""Where a thing may go: what it could be put on, and why not where it could not."""

from neat_hull.model.base import Answer, Point
from neat_hull.model.place import On, Place
from neat_hull.model.said import Said


class Target(Answer):
    """Something a thing may be put on.

    why is null where it fits. x_m, y_m, z_m, turn_deg and tilt_deg are the frame that places on it
    are counted from; slide_m how far fore and aft, and to the sides, a place may lie from there, as
    the thing is turned now. extent_m is how large it is, for a pointer to find. place is where the
    thing goes if one just says so.
    """

    on: On
    name: str
    why: Said | None
    x_m: float
    y_m: float
    z_m: float
    turn_deg: float
    tilt_deg: float
    slide_m: tuple[float, float]
    extent_m: tuple[float, float]
    place: Place


class Together(Answer):
    """Things taken together: their weight as filled, with all that those aboard hold."""

    count: int
    mass_kg: float


class Between(Answer):
    """How far apart two things are, in m: middle to middle, and the gap where they come nearest.

    along_m is toward the bow from the first to the second, aside_m to port, up_m up. The gap is 0
    where they touch or meet; nearest holds the two points.
    """

    along_m: float
    aside_m: float
    up_m: float
    apart_m: float
    gap_m: float
    nearest: tuple[Point, Point]
