"""What a parent says of places on it: where they are counted from, how far they go, and why not."""

import math
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Generic, Protocol, TypeVar

from neat_hull.model.place import Place
from neat_hull.model.said import Said
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.physics.body.segments import Body
from neat_hull.physics.hull.shape import Hull

EDGE_M = 0.005  # nobody sees less
SEAT_HALF_M = 0.24  # half the breadth of an ordinary seat; no more goes under it


@dataclass(frozen=True)
class Stand:
    """A thing in boat coordinates, as `Place` has it on the bare deck.

    on_body: worn, or held in the hands. astray names what it stood on, where that is gone.
    """

    x_m: float
    y_m: float
    base_z_m: float
    turn_deg: float
    tilt_deg: float
    on_body: bool = False
    held: bool = False
    astray: str = ""

    def at(self, along_m: float) -> tuple[float, float, float]:
        """The point `along_m` from its origin along its own length."""
        turn, tilt = math.radians(self.turn_deg), math.radians(self.tilt_deg)
        flat = along_m * math.cos(tilt)
        return (
            self.x_m + flat * math.cos(turn),
            self.y_m + flat * math.sin(turn),
            self.base_z_m + along_m * math.sin(tilt),
        )


@dataclass(frozen=True)
class Frame:
    """Where places on something are counted from, and the height at which things rest there."""

    x_m: float
    y_m: float
    z_m: float
    turn_deg: float = 0.0
    tilt_deg: float = 0.0
    rest_m: float | None = None  # None: on the deck or floor under it


@dataclass(frozen=True)
class Play:
    """Half of how far the middle of a thing may lie from the frame, and half of the extent.

    `ends` says that it stops there: past it a thing hangs over an end or goes through a wall.
    """

    slide: tuple[float, float]
    extent: tuple[float, float]
    ends: bool = False


@dataclass(frozen=True)
class WhyNot:
    """Why a thing does not go there; taken: it would, if what is there already went."""

    said: Said
    taken: bool = False


class Places(Protocol):
    """What a parent may ask about the places of a setup."""

    setup: Setup
    hull: Hull
    body: Body

    def stand(self, thing_id: int) -> Stand:
        """One thing aboard, resolved."""

    def contents(self, thing_id: int) -> list[int]:
        """What stands on or in a thing itself, what comes out first going first."""


O = TypeVar("O")  # noqa: E741 - the kind of On that a parent answers for


@dataclass(frozen=True)
class Parent(Generic[O]):
    """One kind of parent.

    candidates: all of its kind that a thing could be offered, in no order. name: what people call
    it, in a list of what a thing could be put on. frame: where places on it are counted from; None
    where it is gone. play: how far a thing may lie from there. why_not: None where a thing goes.
    put: where it goes if one just says so; given a blank place on it, its frame and its play.
    """

    candidates: Callable[[Places, int], Iterator[O]]
    name: Callable[[Setup, O], str]
    frame: Callable[[Places, O, Place], Frame | None]
    play: Callable[[Setup, Thing, O, float], Play]
    why_not: Callable[[Places, int, O], WhyNot | None]
    put: Callable[[Places, int, O, Place, Frame, Play], Place]


def no(text: str, **amounts: float) -> WhyNot:
    """A reason, with its amounts by their kinds."""
    return WhyNot(Said.of(text, **amounts))


def footprint_m(thing: Thing, turn_deg: float) -> tuple[float, float]:
    """How far a thing reaches along and across when turned, lying flat."""
    turn = math.radians(turn_deg)
    cos, sin = abs(math.cos(turn)), abs(math.sin(turn))
    if thing.drum:
        cos, sin = 1.0, 0.0
    return (
        thing.length_m * cos + thing.width_m * sin,
        thing.length_m * sin + thing.width_m * cos,
    )


def within(half: tuple[float, float], thing: Thing, turn_deg: float) -> Play:
    """Between four walls: the footprint stays inside."""
    along, across = (0.0, 0.0) if thing.long else footprint_m(thing, turn_deg)
    slide = (max(0.0, half[0] - along / 2), max(0.0, half[1] - across / 2))
    return Play(slide, half, ends=not thing.long)  # a rod may stand out of what it is in


def why_floor(thing: Thing, room_m: tuple[float, float], name: str) -> WhyNot | None:
    """A footprint within a floor, along or across; a rod may stand up."""
    if thing.long:
        return None
    length, width = thing.give * thing.length_m, thing.give * thing.width_m
    ways = []
    for along, across in ((length, width), (width, length)):
        ways.append(
            (max(along - room_m[0], across - room_m[1]), across - room_m[1] > along - room_m[0])
        )
    over, aside = min(ways)  # of two equal ways the one in which the length is what is too much
    if over <= EDGE_M:
        return None
    return no(f"too {'wide' if aside else 'long'} for {name} by {{}}", length=over)


def taken(places: Places, thing_id: int, on: object, name: str, tubes: int = 1) -> WhyNot | None:
    """Why there is no tube left; None where one is free."""
    others = [i for i, p in places.setup.places.items() if i != thing_id and p.on == on]
    if len(others) < tubes:
        return None
    holds = places.setup.things[others[0]].name
    return WhyNot(Said.of(f"{name} holds {holds} already"), taken=True)


def near_there(places: Places, thing_id: int, blank: Place, frame: Frame, play: Play) -> Place:
    """As near to where it is as it may slide; in the middle of it for what is ashore."""
    if thing_id not in places.setup.places:
        return blank
    stand = places.stand(thing_id)
    x = max(-play.slide[0], min(play.slide[0], stand.x_m - frame.x_m))
    y = max(-play.slide[1], min(play.slide[1], stand.y_m - frame.y_m))
    return blank.model_copy(update={"x_m": round(x, 3), "y_m": round(y, 3)})
