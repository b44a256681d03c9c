"""The boat's fittings: tracks and rails to slide on, tubes, hatches, and points of their own."""

from collections.abc import Callable, Iterator
from functools import lru_cache

from neat_hull.model.boat import (
    Cleat,
    DriveWell,
    Fitting,
    FittingBase,
    FlushTube,
    Hatch,
    Recess,
    RudderMount,
    SeatRail,
    Track,
)
from neat_hull.model.place import OnFitting, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import BURY_M, Fixed, Thing
from neat_hull.physics.hull.lattice import outline_at
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.parents.base import (
    EDGE_M,
    Frame,
    Parent,
    Places,
    Play,
    WhyNot,
    near_there,
    no,
    taken,
)

_TUBE_M, _POINT_M = 0.05, 0.06  # how near a pointer must come to a tube, or to a point
_TRACK_HALF_M = 0.05

# What each takes by how a thing is mounted, and in words.
_MOUNTED: dict[type[FittingBase], tuple[tuple[Fixed, ...], str]] = {
    Track: (("track bolt", "ball", "plate"), "a track bolt, a ball or a plate"),
    SeatRail: (("track bolt", "strap"), "a track bolt or a strap"),
    Recess: (
        ("plate", "hook-and-loop", "loose", "strap", "bungee"),
        "a plate, hook-and-loop, strap or bungee",
    ),
}


def _takes_part(thing: Thing) -> bool:
    return thing.part in ("drive", "rudder")


def _takes_line(thing: Thing) -> bool:
    return thing.anchor is not None or thing.drogue is not None


# What takes only what is made for it, and in words.
_MADE_FOR: dict[type[FittingBase], tuple[Callable[[Thing], bool], str]] = {
    DriveWell: (_takes_part, "a drive"),
    RudderMount: (_takes_part, "a rudder"),
    Cleat: (_takes_line, "an anchor"),
}
_TAKE: tuple[type[FittingBase], ...] = (*_MOUNTED, *_MADE_FOR, FlushTube, Hatch)


def fitting_of(setup: Setup, on: OnFitting) -> Fitting:
    """The fitting of that name. Raises StopIteration where there is none."""
    return next(f for f in setup.boat.fittings if f.name == on.name)


def _candidates(places: Places, _: int) -> Iterator[OnFitting]:
    for fitting in places.setup.boat.fittings:
        if isinstance(fitting, _TAKE):
            inside = isinstance(fitting, FlushTube | Hatch | Recess)
            yield OnFitting(name=fitting.name, where="in" if inside else "on")


def _frame(places: Places, on: OnFitting, _: Place) -> Frame | None:
    one = next((f for f in places.setup.boat.fittings if f.name == on.name), None)
    if one is None:
        return None
    if isinstance(one, FlushTube):
        return Frame(one.x_m, one.y_m, one.z_m, one.bearing_deg, one.elevation_deg, one.z_m)
    if isinstance(one, Hatch):
        floor = _hold_floor_m(places.hull, one.x_m, one.z_m, one.depth_m)
        return Frame(one.x_m, one.y_m, floor, rest_m=floor)
    return Frame(one.x_m, one.y_m, one.z_m, rest_m=one.z_m)


@lru_cache(maxsize=256)
def _hold_floor_m(hull: Hull, x_m: float, mouth_z_m: float, depth_m: float) -> float:
    """The bottom of the hold under a hatch: as deep as measured, or the inside of the hull."""
    if depth_m > 0:
        return mouth_z_m - depth_m
    x = min(max(x_m, hull.x_aft_m), hull.x_fwd_m)
    return min(float(outline_at(hull, x)[:, 1].min()), mouth_z_m)


def _play(setup: Setup, _thing: Thing, on: OnFitting, _turn_deg: float) -> Play:
    one = fitting_of(setup, on)
    if isinstance(one, Track | SeatRail):
        half = one.length_m / 2
        return Play((half, 0.0), (half, _TRACK_HALF_M), ends=True)
    if isinstance(one, Hatch):
        mouth = (max(one.length_m, 0.1) / 2, max(one.width_m, 0.2) / 2)
        return Play((0.0, 0.0), mouth, ends=True)
    near = _TUBE_M if isinstance(one, FlushTube) else _POINT_M
    return Play((0.0, 0.0), (near, near), ends=True)


def _why_not(places: Places, thing_id: int, on: OnFitting) -> WhyNot | None:
    thing, one = places.setup.things[thing_id], fitting_of(places.setup, on)
    if isinstance(one, FlushTube):
        if not (thing.long or thing.fixing.by == "flush tube"):
            return no(f"it is mounted with {thing.fixing.by}; {one.name} takes a butt")
        return taken(places, thing_id, OnFitting(name=one.name, where="in"), one.name)
    if isinstance(one, Hatch):
        return _why_hatch(thing, one)
    for kind, (takes, words) in _MADE_FOR.items():
        if isinstance(one, kind):
            return None if takes(thing) else no(f"{one.name} takes {words}")
    for kind, (fixings, words) in _MOUNTED.items():
        if isinstance(one, kind) and thing.fixing.by not in fixings:
            return no(f"it is mounted with {thing.fixing.by}; {one.name} takes {words}")
    return None


def _why_hatch(thing: Thing, one: Hatch) -> WhyNot | None:
    """A thing goes flat or end first; what can do neither is too long, or too wide."""
    if not (one.length_m and one.width_m):
        return None  # a mouth that nobody measured bars nothing
    small, middle, large = sorted(
        thing.give * side for side in (thing.length_m, thing.width_m, thing.height_m)
    )
    narrow, wide = sorted((one.length_m, one.width_m))
    for side, mouth in ((small, narrow), (middle, wide)):
        if side > mouth + EDGE_M:
            return no(f"too wide for the mouth of {one.name} by {{}}", length=side - mouth)
    flat = large <= wide + EDGE_M and middle <= narrow + EDGE_M
    stands = one.depth_m == 0 or large <= one.depth_m + EDGE_M
    if not (flat or stands or thing.long):
        return no(f"too long for the mouth of {one.name} by {{}}", length=large - wide)
    return None


def _put(
    places: Places, thing_id: int, on: OnFitting, blank: Place, frame: Frame, play: Play
) -> Place:
    thing = places.setup.things[thing_id]
    if thing.long and isinstance(fitting_of(places.setup, on), FlushTube):
        return blank.model_copy(update={"bury_m": round(min(BURY_M, thing.reel_at_m), 3)})
    return near_there(places, thing_id, blank, frame, play)


PARENT = Parent(_candidates, lambda _, on: on.name, _frame, _play, _why_not, _put)
