"""What is under a thing that stands on the bare deck: how much of it, and which walls it meets."""

import math
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from shapely import LineString, Polygon, box, distance, points, union_all
from shapely.affinity import rotate, translate
from shapely.geometry.base import BaseGeometry

from neat_hull.model.boat import Boat, SeatRail, Track
from neat_hull.model.setup import Place
from neat_hull.model.thing import Thing
from neat_hull.physics.hull.shape import Hull, Well
from neat_hull.rig.parents.base import EDGE_M

_ROUND = Polygon([(np.cos(a) / 2, np.sin(a) / 2) for a in np.arange(32) * np.pi / 16])


@dataclass(frozen=True)
class Overhang:
    """How much of a footprint lies past the boat: its share, 0 to 1, and how far it reaches out."""

    share: float
    over_m: float


def overhang(hull: Hull, thing: Thing, place: Place) -> Overhang | None:
    """What of it lies past the side or an end of the boat; None where nothing does."""
    foot, boat = footprint(thing, place), outline(hull)
    if foot.within(boat):
        return None
    out = foot.difference(boat)
    return Overhang(float(out.area / foot.area), _farthest_m(out, boat))


def over_water(hull: Hull, thing: Thing, place: Place) -> float:
    """The share of it, 0 to 1, that lies past the side or an end of the boat: of a footprint, or of
    a rod or pole from its butt to its middle."""
    if thing.long:
        half = _to_the_middle(thing, place)
        out_m = half.difference(outline(hull)).length
        return float(out_m / half.length) if half.length > EDGE_M else 0.0
    out = overhang(hull, thing, place)
    return 0.0 if out is None else out.share


def _to_the_middle(thing: Thing, place: Place) -> LineString:
    flat = thing.length_m / 2 * math.cos(math.radians(place.tilt_deg))
    turn = math.radians(place.turn_deg)
    butt = place.x_m, place.y_m
    return LineString([butt, (butt[0] + flat * math.cos(turn), butt[1] + flat * math.sin(turn))])


def in_wall(hull: Hull, thing: Thing, place: Place) -> tuple[Well, float] | None:
    """The well that it stands in, and how far it reaches into what is about that, in m.

    None where it stands in none, over the rim, or within the walls. A bag gives way.
    """
    wells = [
        well
        for well in hull.wells_at(place.x_m, place.y_m)
        if place.z_m is None or place.z_m < well.rim_z_m - EDGE_M
    ]
    if not wells:
        return None
    lowest = min(wells, key=lambda one: one.floor_z_m)
    foot = footprint(thing, place, thing.give).intersection(outline(hull))
    room = _room(hull, lowest.floor_z_m if place.z_m is None else place.z_m, lowest.name)
    if foot.within(room):
        return None
    over = _farthest_m(foot.difference(room), room)
    return (lowest, over) if over > EDGE_M else None


def on_a_track(boat: Boat, thing: Thing, place: Place) -> bool:
    """Whether it lies across a track or rail, and bars what slides there."""
    foot = footprint(thing, place)
    return any(
        isinstance(one, Track | SeatRail)
        and foot.intersects(
            LineString(
                [(one.x_m - one.length_m / 2, one.y_m), (one.x_m + one.length_m / 2, one.y_m)]
            )
        )
        for one in boat.fittings
    )


def footprint(thing: Thing, place: Place, share: float = 1.0) -> BaseGeometry:
    """Its outline in plan, with its sides made less by a share."""
    long, wide = share * thing.length_m, share * thing.width_m
    if thing.shape == "cylinder":
        flat = Polygon(np.array(_ROUND.exterior.coords) * long)
    else:
        flat = rotate(box(-long / 2, -wide / 2, long / 2, wide / 2), place.turn_deg, origin=(0, 0))
    return translate(flat, place.x_m, place.y_m)


@lru_cache(maxsize=64)
def outline(hull: Hull) -> Polygon:
    """The boat in plan, at its broadest."""
    y = hull.half_breadth_m
    return Polygon(np.column_stack((np.append(hull.x_m, hull.x_m[::-1]), np.append(y, -y[::-1]))))


@lru_cache(maxsize=256)
def _room(hull: Hull, base_z_m: float, of: str) -> BaseGeometry:
    """The well of that name, with those it runs into and where something stands as free."""
    free = [well for well in hull.wells if well.floor_z_m <= base_z_m + EDGE_M]
    own = _plan(next(well for well in hull.wells if well.name == of))
    rooms: BaseGeometry = union_all([own, *(_plan(well) for well in free)])
    return next(part for part in _parts(rooms) if part.covers(own))


def _plan(well: Well) -> Polygon:
    return box(well.x_aft_m, -well.half_breadth_m, well.x_fwd_m, well.half_breadth_m)


def _parts(shape: BaseGeometry) -> list[Polygon]:
    return [part for part in getattr(shape, "geoms", [shape]) if isinstance(part, Polygon)]


def _farthest_m(shape: BaseGeometry, of: BaseGeometry) -> float:
    """How far its corners lie from another at the most, in m; 0 where nothing of it is left."""
    corners = [xy for part in _parts(shape) for xy in part.exterior.coords]
    return float(distance(points(corners), of).max()) if corners else 0.0
