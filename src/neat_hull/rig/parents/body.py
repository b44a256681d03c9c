"""On the body: what is worn, before the chest unless moved about it."""

from collections.abc import Iterator

from neat_hull.model.base import Point
from neat_hull.model.setup import OnBody, Place, Setup
from neat_hull.model.thing import Thing
from neat_hull.physics.body.segments import THICKNESS
from neat_hull.rig.parents.base import SEAT_HALF_M, Frame, Parent, Places, Play, WhyNot, no


def chest_m(places: Places) -> Point:
    """The middle of the trunk's front, where most of what is worn sits."""
    body = places.body
    x, y, z = (float(v) for v in body.trunk_middle_m)
    return x + THICKNESS["trunk"] * body.build.stature_m / 2, y, z


def worn() -> Place:
    """A place on the body, before the chest."""
    return Place(x_m=0.0, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0, on=OnBody())


def _candidates(places: Places, thing_id: int) -> Iterator[OnBody]:
    if places.setup.things[thing_id].worn:
        yield OnBody()


def _frame(places: Places, _on: OnBody, _place: Place) -> Frame:
    x, y, z = chest_m(places)
    return Frame(x, y, z, rest_m=z)


def _play(_setup: Setup, _thing: Thing, _on: OnBody, _turn_deg: float) -> Play:
    return Play((0.20, SEAT_HALF_M), (0.20, SEAT_HALF_M))


def _why_not(places: Places, thing_id: int, _: OnBody) -> WhyNot | None:
    return None if places.setup.things[thing_id].worn else no("it is not something you wear")


def _put(
    _places: Places, _thing_id: int, _on: OnBody, blank: Place, _frame: Frame, _play: Play
) -> Place:
    return blank


PARENT = Parent(_candidates, lambda _setup, _on: "worn", _frame, _play, _why_not, _put)
