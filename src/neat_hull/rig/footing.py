"""What is under a thing that stands on the bare deck: how much of it, and which walls it meets."""

import math
from bisect import bisect_left
from dataclasses import dataclass
from functools import cached_property, lru_cache

import numpy as np
from shapely import (
    LineString,
    Polygon,
    box,
    distance,
    get_coordinates,
    points,
    polygons,
    prepare,
    union_all,
)
from shapely.geometry.base import BaseGeometry

from neat_hull.model.boat import Boat, SeatRail, Track
from neat_hull.model.place import Place
from neat_hull.model.thing import Thing
from neat_hull.physics.hull.shape import Hull, Well
from neat_hull.rig.parents.base import EDGE_M, footprint_m

_ROUND = np.array([(np.cos(a), np.sin(a)) for a in np.arange(32) * np.pi / 16])


@dataclass(frozen=True)
class Overhang:
    """How much of a footprint lies past the boat: its share, 0 to 1, and how far it reaches out."""

    share: float
    _out: BaseGeometry
    _boat: Polygon

    @cached_property
    def over_m(self) -> float:
        """How far out its farthest corner lies, in m."""
        return _farthest_m(self._out, self._boat)


def overhang(hull: Hull, thing: Thing, place: Place) -> Overhang | None:
    """What of it lies past the side or an end of the boat; None where nothing does."""
    if _within_the_sides(hull, thing, place):
        return None
    foot, boat = footprint(thing, place), outline(hull)
    if foot.within(boat):
        return None
    out = foot.difference(boat)
    return Overhang(float(out.area / foot.area), out, boat)


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
    along, across = (thing.give * side / 2 for side in footprint_m(thing, place.turn_deg))
    if any(
        well.x_aft_m + along <= place.x_m <= well.x_fwd_m - along
        and abs(place.y_m) + across <= well.half_breadth_m
        for well in wells
    ):
        return None
    lowest = min(wells, key=lambda one: one.floor_z_m)
    foot = footprint(thing, place, thing.give)
    room = _room(hull, lowest.floor_z_m if place.z_m is None else place.z_m, lowest.name)
    if foot.within(room):
        return None
    over = _farthest_m(foot.difference(room).intersection(outline(hull)), room)
    return (lowest, over) if over > EDGE_M else None


def on_a_track(boat: Boat, thing: Thing, place: Place) -> bool:
    """Whether it lies across a track or rail, and bars what slides there."""
    tracks = [one for one in boat.fittings if isinstance(one, Track | SeatRail)]
    along, across = (side / 2 for side in footprint_m(thing, place.turn_deg))
    near = [
        one
        for one in tracks
        if abs(one.y_m - place.y_m) <= across
        and abs(one.x_m - place.x_m) <= along + one.length_m / 2
    ]
    if not near:
        return False
    foot = footprint(thing, place)
    return any(
        foot.intersects(
            LineString(
                [(one.x_m - one.length_m / 2, one.y_m), (one.x_m + one.length_m / 2, one.y_m)]
            )
        )
        for one in near
    )


def _within_the_sides(hull: Hull, thing: Thing, place: Place) -> bool:
    """Whether the upright box about it lies within: quickly told, and true of most."""
    along, across = (side / 2 for side in footprint_m(thing, place.turn_deg))
    return abs(place.y_m) + across <= _least_half_m(hull, place.x_m - along, place.x_m + along)


def _least_half_m(hull: Hull, aft_m: float, fwd_m: float) -> float:
    """The least half-breadth between two places, in m; less than none past an end."""
    x, y = _sides(hull)
    if aft_m < x[0] or fwd_m > x[-1]:
        return -1.0
    first, last = bisect_left(x, aft_m), bisect_left(x, fwd_m)
    ends = (_between(x, y, first, aft_m), _between(x, y, last, fwd_m))
    return min(*ends, *y[first:last])


def _between(x: list[float], y: list[float], after: int, at_m: float) -> float:
    if after == 0:
        return y[0]
    share = (at_m - x[after - 1]) / (x[after] - x[after - 1])
    return y[after - 1] + share * (y[after] - y[after - 1])


@lru_cache(maxsize=64)
def _sides(hull: Hull) -> tuple[list[float], list[float]]:
    return hull.x_m.tolist(), hull.half_breadth_m.tolist()


def footprint(thing: Thing, place: Place, share: float = 1.0) -> BaseGeometry:
    """Its outline in plan, with its sides made less by a share."""
    long, wide = share * thing.length_m / 2, share * thing.width_m / 2
    if thing.drum:
        return Polygon(_ROUND * long + (place.x_m, place.y_m))
    x, y = place.x_m, place.y_m
    if place.turn_deg % 180 == 0:
        return box(x - long, y - wide, x + long, y + wide)
    turn = math.radians(place.turn_deg)
    cos, sin = math.cos(turn), math.sin(turn)
    return polygons(
        [
            (x + along * cos - across * sin, y + along * sin + across * cos)
            for along, across in ((-long, -wide), (long, -wide), (long, wide), (-long, wide))
        ]
    )


@lru_cache(maxsize=64)
def outline(hull: Hull) -> Polygon:
    """The boat in plan, at its broadest."""
    y = hull.half_breadth_m
    sides = np.column_stack((np.append(hull.x_m, hull.x_m[::-1]), np.append(y, -y[::-1])))
    boat = Polygon(sides)
    prepare(boat)  # asked of through every drag
    return boat


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
    corners = get_coordinates(shape)
    return float(distance(points(corners), of).max()) if len(corners) else 0.0
