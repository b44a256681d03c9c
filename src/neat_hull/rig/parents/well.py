"""On the floor of a well: anything that its walls let in."""

from collections.abc import Iterator

from neat_hull.model.boat import WellBox
from neat_hull.model.place import OnWell, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.rig.parents.base import (
    Frame,
    Parent,
    Places,
    Play,
    WhyNot,
    near_there,
    why_floor,
    within,
)


def _well(setup: Setup, on: OnWell) -> WellBox:
    """Raises StopIteration where the boat has none of that name."""
    return next(w for w in setup.boat.wells if w.name == on.name)


def _candidates(places: Places, _: int) -> Iterator[OnWell]:
    for well in places.setup.boat.wells:
        yield OnWell(name=well.name)


def _frame(places: Places, on: OnWell, _: Place) -> Frame | None:
    well = next((w for w in places.hull.wells if w.name == on.name), None)
    if well is None:
        return None
    return Frame((well.x_aft_m + well.x_fwd_m) / 2, 0.0, well.floor_z_m)


def _play(setup: Setup, thing: Thing, on: OnWell, turn_deg: float) -> Play:
    well = _well(setup, on)
    return within(((well.x_fwd_m - well.x_aft_m) / 2, well.half_breadth_m), thing, turn_deg)


def _why_not(places: Places, thing_id: int, on: OnWell) -> WhyNot | None:
    well = _well(places.setup, on)
    room_m = (well.x_fwd_m - well.x_aft_m, 2 * well.half_breadth_m)
    return why_floor(places.setup.things[thing_id], room_m, f"the {well.name}")


def _put(places: Places, thing_id: int, _: OnWell, blank: Place, frame: Frame, play: Play) -> Place:
    return near_there(places, thing_id, blank, frame, play)


PARENT = Parent(_candidates, lambda _, on: on.name, _frame, _play, _why_not, _put)
