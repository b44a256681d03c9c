"""On the body: worn, before the chest unless moved about it; or held in the hands."""

from collections.abc import Iterator

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.place import OnBody, Place
from neat_hull.model.said import plain
from neat_hull.model.setup import Setup
from neat_hull.model.thing import BURY_M, Thing
from neat_hull.physics.body.segments import THICKNESS
from neat_hull.rig.parents.base import SEAT_HALF_M, Frame, Parent, Places, Play, WhyNot, no

_ROD_TILT_DEG = 35.0  # as one waits for a bite
_HOLD_M = 0.15  # how far a grip is shifted


def chest_m(places: Places) -> Point:
    """The middle of the trunk's front, where most of what is worn sits."""
    body = places.body
    x, y, z = (float(v) for v in body.trunk_middle_m)
    return x + THICKNESS["trunk"] * body.build.stature_m / 2, y, z


def worn() -> Place:
    """A place on the body, before the chest."""
    return Place(x_m=0.0, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0, on=OnBody())


def is_held(thing: Thing) -> bool:
    """Whether it is something that one holds while fishing or paddling."""
    return thing.part == "paddle" or thing.rod is not None


def _hands_m(places: Places) -> tuple[Point, Point]:
    """The middle of the port hand and of the starboard one, as the body sits."""
    middles = [(s.upper_m + s.far_m) / 2 for s in places.body.segments if s.name == "hand"]
    port, starboard = sorted(middles, key=lambda at: -at[1])[:2]
    return tuple(map(float, port)), tuple(map(float, starboard))  # type: ignore[return-value]


def _candidates(places: Places, thing_id: int) -> Iterator[OnBody]:
    thing = places.setup.things[thing_id]
    if thing.worn:
        yield OnBody()
    if is_held(thing):
        yield OnBody(held=True)


def _frame(places: Places, on: OnBody, place: Place) -> Frame:
    if not on.held:
        x, y, z = chest_m(places)
        return Frame(x, y, z, rest_m=z)
    port, starboard = _hands_m(places)
    if place.bury_m > 0:  # a rod lies in the hand that casts
        x, y, z = port if places.setup.angler.casts == "port" else starboard
    else:
        x, y, z = (float(v) for v in (np.array(port) + np.array(starboard)) / 2)
    return Frame(x, y, z, rest_m=z)


def _play(_setup: Setup, _thing: Thing, on: OnBody, _turn_deg: float) -> Play:
    if on.held:
        return Play((_HOLD_M, 3.0), (_HOLD_M, SEAT_HALF_M))
    return Play((0.20, SEAT_HALF_M), (0.20, SEAT_HALF_M))


def _why_not(places: Places, thing_id: int, on: OnBody) -> WhyNot | None:
    setup = places.setup
    if not on.held:
        return None if setup.things[thing_id].worn else no("it is not something you wear")
    if not is_held(setup.things[thing_id]):
        return no("it is not something you hold")
    for other, place in setup.places.items():
        if other != thing_id and isinstance(place.on, OnBody) and place.on.held:
            return no(f"your hands hold {plain(setup.things[other].name)}")
    return None


def _put(
    places: Places, thing_id: int, on: OnBody, blank: Place, _frame: Frame, _play: Play
) -> Place:
    """A paddle across, its middle between the hands; a rod in one hand, up and ahead."""
    if not on.held:
        return blank
    thing = places.setup.things[thing_id]
    if thing.rod is not None:
        return blank.model_copy(update={"bury_m": BURY_M, "tilt_deg": _ROD_TILT_DEG})
    return blank.model_copy(update={"turn_deg": 90.0, "y_m": max(-2.0, -thing.length_m / 2)})


def _name(_setup: Setup, on: OnBody) -> str:
    return "in your hands" if on.held else "worn"


PARENT = Parent(_candidates, _name, _frame, _play, _why_not, _put)
