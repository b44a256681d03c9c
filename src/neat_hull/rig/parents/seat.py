"""The seat: on it the seat's own pan alone, under it what slides in, behind it what hangs there."""

from collections.abc import Iterator

from neat_hull.model.place import OnSeat, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.rig.parents.base import (
    EDGE_M,
    SEAT_HALF_M,
    Frame,
    Parent,
    Places,
    Play,
    WhyNot,
    no,
)

_UNDER_M = 0.90  # from behind a seat to where heels rest
_BACK_M = 0.60  # breadth of what can be hung behind one


def _candidates(places: Places, thing_id: int) -> Iterator[OnSeat]:
    if places.setup.things[thing_id].part == "seat":
        yield OnSeat()
    yield OnSeat(where="under")
    yield OnSeat(where="behind")


def _name(_: Setup, on: OnSeat) -> str:
    return {"on": "the seat", "under": "under the seat", "behind": "behind the seat"}[on.where]


def _frame(places: Places, on: OnSeat, _: Place) -> Frame:
    seat = places.setup.seat
    if on.where == "under":
        return Frame(seat.x_m, 0.0, places.hull.support_z_m(seat.x_m, 0.0))
    return Frame(seat.x_m, 0.0, seat.z_m, rest_m=seat.z_m)


def _play(_setup: Setup, _thing: Thing, _on: OnSeat, _turn_deg: float) -> Play:
    return Play((0.20, SEAT_HALF_M), (0.20, SEAT_HALF_M))


def _why_not(places: Places, thing_id: int, on: OnSeat) -> WhyNot | None:
    setup = places.setup
    thing = setup.things[thing_id]
    if on.where == "on":
        return None if thing.part == "seat" else no("you sit there")
    if on.where == "under":
        under = setup.seat.z_m - places.hull.support_z_m(setup.seat.x_m + 0.1, 0.0)
        high = thing.give * thing.height_m
        if high > under + EDGE_M:
            return no("too high to slide under the seat by {}", length=high - under)
        if thing.length_m > _UNDER_M:
            return no("too long to go under the seat by {}", length=thing.length_m - _UNDER_M)
        least = min(thing.length_m, thing.width_m)
        if least > 2 * SEAT_HALF_M:
            return no("too wide to go under the seat by {}", length=least - 2 * SEAT_HALF_M)
        return None
    if thing.width_m > _BACK_M:
        return no("too wide to hang behind the seat by {}", length=thing.width_m - _BACK_M)
    return None


def _put(
    places: Places, thing_id: int, on: OnSeat, blank: Place, _frame: Frame, _play: Play
) -> Place:
    thing = places.setup.things[thing_id]
    if on.where == "on":
        return blank.model_copy(update={"x_m": thing.length_m / 2, "z_m": -thing.height_m})
    x_m = 0.2 if on.where == "under" else -0.06 - thing.length_m / 2
    return blank.model_copy(update={"x_m": x_m})


PARENT = Parent(_candidates, _name, _frame, _play, _why_not, _put)
