"""Carrying a setup over to another boat: what keeps its place to the seat, the bow or the stern."""

from neat_hull.model.boat import Boat
from neat_hull.model.nesting import ashore
from neat_hull.model.place import On, OnFitting, OnWell, Place
from neat_hull.model.setup import SeatPlace, Setup
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.hulls import floating_hull
from neat_hull.rig.parents.base import Stand
from neat_hull.rig.rigging import rig
from neat_hull.rig.whereabouts import whereabouts

_OVER_M = 0.25  # how far a thing's middle may stand outside the hull: an outrigger arm, no more


def move_to(setup: Setup, boat: Boat, seat: SeatPlace) -> Setup:
    """Put a setup on another boat with its own seat; what no longer fits there stays ashore.

    At the bow and foredeck things keep their distance from the bow, at the stern and in a well
    behind the seat from the stern, all others from the seat; heights that were typed move with
    the deck under them. What stands on a thing, the seat or the body stays there; what is on a
    fitting or in a well goes to the one of that name, or else where it would on the bare deck.
    """
    rigged = rig(setup)
    old, new = rigged.floating.hull, floating_hull(boat).hull
    places: dict[int, Place] = {}
    gone: list[int] = []
    for stowed in rigged.stowed:
        thing_id = stowed.thing_id
        place = setup.places[thing_id]
        on = place.on
        if on is not None and _has(boat, on):
            places[thing_id] = place
            continue
        carried = _carried(setup, stowed.stand, place, old, new, seat)
        if _fits(new, carried.x_m, carried.y_m):
            places[thing_id] = carried
        else:
            gone.append(thing_id)
    left = set(ashore(setup, gone))
    kept = {thing_id: place for thing_id, place in places.items() if thing_id not in left}
    update = {"boat": boat, "seat": seat, "places": kept}
    return setup.model_copy(update=update)


def left_ashore(before: Setup, after: Setup) -> list[int]:
    """What was aboard and is no longer."""
    return sorted(before.places.keys() - after.places.keys())


def _has(boat: Boat, on: On) -> bool:
    """Whether what a thing is on is there on that boat as well."""
    if isinstance(on, OnFitting):
        return any(f.name == on.name for f in boat.fittings)
    return not isinstance(on, OnWell) or any(w.name == on.name for w in boat.wells)


def _carried(
    setup: Setup, stand: Stand, place: Place, old: Hull, new: Hull, seat: SeatPlace
) -> Place:
    """The place on the other's bare deck."""
    where = whereabouts(old, setup.seat, stand.x_m, stand.y_m)
    x = stand.x_m + _shift(where, old, new, setup.seat, seat, stand.x_m)
    z = None
    rests = place.z_m is None and (place.on is None or isinstance(place.on, OnWell))
    if not rests:
        rise = new.support_z_m(x, stand.y_m) - old.support_z_m(stand.x_m, stand.y_m)
        z = round(max(0.0, stand.base_z_m + rise), 4)
    return place.model_copy(
        update={
            "x_m": round(x, 4),
            "y_m": round(stand.y_m, 4),
            "z_m": z,
            "turn_deg": stand.turn_deg,
            "tilt_deg": stand.tilt_deg,
            "on": None,
            "bury_m": 0.0,
        }
    )


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
