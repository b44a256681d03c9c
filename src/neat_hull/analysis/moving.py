"""Carrying a setup over to another boat: what keeps its place to the seat, the bow or the stern."""

from dataclasses import dataclass

from neat_hull.analysis.rigging import floating_hull
from neat_hull.analysis.whereabouts import whereabouts
from neat_hull.model.boat import Boat
from neat_hull.model.setup import Place, SeatPlace, Setup
from neat_hull.physics.hull import Hull

_OVER_M = 0.25  # how far a thing's middle may stand outside the hull: an outrigger arm, no more


@dataclass(frozen=True)
class Moved:
    """The setup on its new boat, and which things no longer fit and stay ashore."""

    setup: Setup
    ashore: list[int]


def move_to(setup: Setup, boat: Boat, seat: SeatPlace) -> Moved:
    """Put a setup on another boat with its own seat.

    At the bow and foredeck things keep their distance from the bow, at the stern and in a well
    behind the seat from the stern, all others from the seat; heights that were typed move with
    the deck under them.
    """
    old, new = floating_hull(setup.boat).hull, floating_hull(boat).hull
    places: dict[int, Place] = {}
    ashore: list[int] = []
    for thing_id, place in setup.places.items():
        where = whereabouts(old, setup.seat, place.x_m, place.y_m)
        x = place.x_m + _shift(where, old, new, setup.seat, seat, place.x_m)
        moved = place.model_copy(update={"x_m": round(x, 4)})
        if place.z_m is not None:
            rise = new.support_z_m(x, place.y_m) - old.support_z_m(place.x_m, place.y_m)
            moved = moved.model_copy(update={"z_m": round(max(0.0, place.z_m + rise), 4)})
        if _fits(new, x, place.y_m):
            places[thing_id] = moved
        else:
            ashore.append(thing_id)
    update = {"boat": boat, "seat": seat, "places": places}
    return Moved(setup.model_copy(update=update), ashore)


def _shift(
    where: str, old: Hull, new: Hull, old_seat: SeatPlace, new_seat: SeatPlace, x_m: float
) -> float:
    if where in ("Bow", "Foredeck"):
        return new.x_fwd_m - old.x_fwd_m
    if where == "Stern" or (x_m < old_seat.x_m - 0.2 and where != "Behind the seat"):
        return new.x_aft_m - old.x_aft_m
    return new_seat.x_m - old_seat.x_m


def _fits(hull: Hull, x_m: float, y_m: float) -> bool:
    if not hull.x_aft_m - _OVER_M <= x_m <= hull.x_fwd_m + _OVER_M:
        return False
    return abs(y_m) <= float(hull.half_breadth_m.max()) + _OVER_M
