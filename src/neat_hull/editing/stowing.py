"""Generic things put where such things usually go, on a boat that somebody has just described.

Nothing here judges: each goes to the first place of its usual ones that is free, nearest to where
most have it, and stays ashore where there is none. The findings say what is wrong with it.
"""

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, field
from itertools import product

import numpy as np

from neat_hull.model.boat import DriveWell, WellBox
from neat_hull.model.kit import Goes, KitItem
from neat_hull.model.place import On, OnBody, OnFitting, OnSeat, OnThing, OnWell, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import BURY_M, Thing
from neat_hull.rig.hulls import floating_hull
from neat_hull.rig.parents.base import footprint_m

_STEP_M = 0.02  # between places tried
_PIECES_M = (0.15, 0.25, 0.4, 0.65)  # of deck, as long as most things that are strapped on it
_GAP_M = 0.01  # between two things
_BACK_M = 0.12  # of a seat, behind the corner of pan and back
_RIM_M = 0.02  # of deck left outside a thing
_CHEST_M = (0.0, 0.12, -0.12, 0.06, -0.06, 0.18, -0.18)  # where worn things hang, from the middle
# On the seat, and of a holder beside it: as most mount them.
_ON_SEAT_M = (0.22, -0.07)
# A forearm ahead of the seat's corner; behind it where one paddles, out of the way of the stroke.
_HOLDER_AHEAD_M, _HOLDER_PADDLED_M = 0.42, -0.25
_HOLDER_TURN_DEG, _HOLDER_TILT_DEG = 4.0, 16.0
_DRIVE_UP_M = 0.04
_IN_CRATE, _LEANING_DEG = 0.8, 62.0  # how far to the corner of a crate a pole stands, and how
_SHAFT_M = 0.04  # of a paddle or pole: its blade lies flat over the deck


@dataclass(frozen=True)
class _Area:
    """Where the footprint of a thing may lie, from x_m and y_m on, and where it would best be.

    `origin` is where places on `on` are counted from.
    """

    x_m: tuple[float, float]
    y_m: tuple[float, float]
    best: tuple[float, float]
    on: On | None = None
    origin: tuple[float, float] = (0.0, 0.0)

    def middles(self, along_m: float, across_m: float) -> Iterator[tuple[float, float]]:
        """Middles of a footprint of that size that lie in it, the best first."""
        xs = _steps(*self.x_m, along_m)
        ys = _steps(*self.y_m, across_m)
        yield from sorted(
            product(xs, ys), key=lambda at: abs(at[0] - self.best[0]) + abs(at[1] - self.best[1])
        )


_Box = tuple[float, float, float, float]  # middle x and y, along, across


@dataclass
class _Deck:
    """What stands on a boat so far, and where things usually go on it."""

    setup: Setup
    things: dict[int, Thing] = field(default_factory=dict)
    places: dict[int, Place] = field(default_factory=dict)
    taken: list[_Box] = field(default_factory=list)
    inside: dict[int, list[_Box]] = field(default_factory=dict)
    worn: int = 0

    def __post_init__(self) -> None:
        self.hull = floating_hull(self.setup.boat).hull
        self.length_m, self.seat = self.setup.boat.tape.length_m, self.setup.seat
        wells = self.setup.boat.wells
        self.cockpit = next((w for w in wells if w.x_aft_m <= self.seat.x_m <= w.x_fwd_m), None)
        aft = [w for w in wells if w.x_fwd_m <= self.seat.x_m]
        self.tank = max(aft, key=lambda w: w.x_fwd_m - w.x_aft_m, default=None)

    def put(self, thing_id: int, thing: Thing, goes: Goes) -> None:
        """Take it along, aboard where there is a place for it."""
        self.things[thing_id] = thing
        place = _WAYS[goes](self, thing_id, thing)
        if place is not None:
            self.places[thing_id] = place

    def into(
        self, areas: Iterable[_Area], thing: Thing, tilt_deg: float = 0.0, turns: bool = True
    ) -> Place | None:
        """The first free place in areas, the first of them first; along the boat, else
        across where it may be turned."""
        ways = (0.0, 90.0) if turns and not thing.long else (0.0,)
        for area, turn_deg in product(areas, ways):
            along, across = footprint_m(thing, turn_deg)
            for x, y in area.middles(along, across):
                box = (x, y, along, across)
                if any(_meet(box, other) for other in self.taken):
                    continue
                self.taken.append(box)
                at = (x - (along / 2 if thing.long else 0.0) - area.origin[0], y - area.origin[1])
                return _place(*at, area.on, turn_deg=turn_deg, tilt_deg=tilt_deg)
        return None

    def side_decks(self, x_m: tuple[float, float], best_x_m: float, first: int) -> list[_Area]:
        """The decks between cockpit and gunwale, port for 1, one side first and then the other."""
        inner = self.cockpit.half_breadth_m if self.cockpit else 0.0
        outer = min(self.hull.gunwale_m(x)[0] for x in np.linspace(*x_m, 5)) - _RIM_M
        return [
            _Area(x_m, (min(side * inner, side * outer), max(side * inner, side * outer)),
                  (best_x_m, side * (inner + outer) / 2))
            for side in (first, -first)
        ]  # fmt: skip

    def open_crates(self) -> Iterator[tuple[int, tuple[float, float, float]]]:
        """What stands aboard open and measured, with its inner size."""
        for thing_id, thing in self.things.items():
            room = thing.inner_m
            if room is not None and thing.opens == "open" and thing_id in self.places:
                yield thing_id, room

    def emptier(self, x_m: float, within_m: float) -> int:
        """The side with less on it about there: port, 1, where they are alike."""
        port = sum(1 if y > 0 else -1 for x, y, *_ in self.taken if abs(x - x_m) < within_m)
        return -1 if port > 0 else 1

    def behind(self) -> list[_Area]:
        """Behind the seat: the tank well, or what of the cockpit is there; else the aft deck."""
        areas = []
        if self.tank:
            areas.append(_on_floor(self.tank, self.tank.x_aft_m, self.tank.x_fwd_m))
        return [*areas, *self.behind_back(), *self.aft_deck()]

    def behind_back(self) -> list[_Area]:
        """The cockpit's floor behind the back of the seat."""
        well, back_x_m = self.cockpit, self.seat.x_m - _BACK_M
        return [] if well is None else [_on_floor(well, well.x_aft_m, back_x_m)]

    def aft_deck(self) -> list[_Area]:
        """The deck behind the last well."""
        ahead = min((w.x_aft_m for w in self.setup.boat.wells), default=self.seat.x_m)
        return self.across_deck(0.04 * self.length_m, ahead, ahead)

    def across_deck(self, aft_m: float, fwd_m: float, best_x_m: float) -> list[_Area]:
        """Deck from side to side, short pieces first, each as wide as its narrower end lets it."""
        areas = []
        for long in _PIECES_M:
            pieces = [(x - long / 2, x + long / 2) for x in _steps(aft_m, fwd_m, long)]
            for a, b in sorted(pieces, key=lambda piece: abs(sum(piece) / 2 - best_x_m)):
                half = min(self.hull.gunwale_m(x)[0] for x in (a, b)) - _RIM_M
                areas.append(_Area((a, b), (-half, half), (best_x_m, 0.0)))
        return areas


def usual_places(setup: Setup, kit: Iterable[KitItem]) -> Setup:
    """The setup with these things besides, numbered on, each where it usually goes."""
    deck = _Deck(setup)
    # What others go into stands first, and what takes up most room.
    rows = sorted(kit, key=lambda item: _turn(item.goes, item.thing))
    first = max(setup.things, default=0) + 1
    for thing_id, item in enumerate(rows, start=first):
        deck.put(thing_id, item.thing, item.goes)
    return setup.model_copy(
        update={"things": setup.things | deck.things, "places": setup.places | deck.places}
    )


def _worn(deck: _Deck, _: int, __: Thing) -> Place | None:
    if deck.worn == len(_CHEST_M):
        return None
    y_m = _CHEST_M[deck.worn]
    deck.worn += 1
    return _place(0.0, y_m, OnBody())


def _seat(deck: _Deck, _: int, __: Thing) -> Place | None:
    if any(isinstance(p.on, OnSeat) for p in deck.places.values()):
        return None
    return _place(_ON_SEAT_M[0], 0.0, OnSeat(), z_m=_ON_SEAT_M[1])


def _drive(deck: _Deck, _: int, __: Thing) -> Place | None:
    well = next((f for f in deck.setup.boat.fittings if isinstance(f, DriveWell)), None)
    return None if well is None else _place(0.0, 0.0, OnFitting(name=well.name), z_m=_DRIVE_UP_M)


def _holder(deck: _Deck, _: int, __: Thing) -> Place | None:
    """In a holder that has none yet."""
    full = {p.on.thing for p in deck.places.values() if isinstance(p.on, OnThing)}
    for thing_id, thing in deck.things.items():
        if thing.takes_butt and thing_id in deck.places and thing_id not in full:
            return _place(0.0, 0.0, OnThing(thing=thing_id, where="in"), bury_m=BURY_M)
    return None


def _rod_deck(deck: _Deck, _: int, thing: Thing) -> Place | None:
    """On the side deck, in reach of the hand; the second on the other side."""
    paddled = deck.setup.boat.propulsion == "paddle"
    x_m = deck.seat.x_m + (_HOLDER_PADDLED_M if paddled else _HOLDER_AHEAD_M)
    decks = deck.side_decks((x_m - 0.1, x_m + 0.4), x_m, deck.emptier(x_m, 0.1))
    place = deck.into(decks, thing, tilt_deg=_HOLDER_TILT_DEG)
    if place is None:
        return None
    turn_deg = _HOLDER_TURN_DEG if place.y_m > 0 else -_HOLDER_TURN_DEG
    return place.model_copy(update={"turn_deg": turn_deg})


def _crate(deck: _Deck, thing_id: int, thing: Thing) -> Place | None:
    """In the first open crate that has room on its floor, or on what lies there; else behind."""
    along, across = footprint_m(thing, 0.0)
    for crate_id, room in deck.open_crates():
        turned = along > room[0] and across <= room[0] and along <= room[1]
        long, wide = (across, along) if turned else (along, across)
        if long > room[0] or wide > room[1] or thing.height_m > room[2]:
            continue
        inside = deck.inside.setdefault(crate_id, [])
        floor = _Area((-room[0] / 2, room[0] / 2), (-room[1] / 2, room[1] / 2), (0.0, 0.0))
        spots = floor.middles(long, wide)
        free = (at for at in spots if not any(_meet((*at, long, wide), box) for box in inside))
        x, y = next(free, (0.0, 0.0))
        inside.append((x, y, long, wide))
        return _place(x, y, OnThing(thing=crate_id, where="in"), turn_deg=90.0 if turned else 0.0,
                      order=len(inside))  # fmt: skip
    return _behind(deck, thing_id, thing)


def _behind(deck: _Deck, thing_id: int, thing: Thing) -> Place | None:
    return deck.into(deck.behind(), thing) or _bow(deck, thing_id, thing)


def _behind_seat(deck: _Deck, _: int, thing: Thing) -> Place | None:
    """Just behind the back, in the cockpit where there is room for it."""
    return deck.into([*deck.behind_back(), *deck.behind()], thing)


def _in_reach_behind(deck: _Deck, thing_id: int, thing: Thing) -> Place | None:
    """Standing in a corner of the crate, leaning aft; without one, along the side deck."""
    for crate_id, room in deck.open_crates():
        corner = (_IN_CRATE * room[0] / 2, _IN_CRATE * room[1] / 2)
        return _place(-corner[0], corner[1], OnThing(thing=crate_id, where="in"),
                      turn_deg=180.0, tilt_deg=_LEANING_DEG)  # fmt: skip
    return _side_deck(deck, thing_id, thing)


def _beside_seat(deck: _Deck, thing_id: int, thing: Thing) -> Place | None:
    x_m = deck.seat.x_m
    sides = deck.side_decks((x_m - 0.1, x_m + 0.5), x_m + 0.15, deck.emptier(x_m, 0.3))
    return deck.into(sides, thing) or _behind_seat(deck, thing_id, thing)


def _side_deck(deck: _Deck, _: int, thing: Thing) -> Place | None:
    """Along the deck beside whoever sits, as a paddle lies that is not in the hands."""
    inner = (deck.cockpit.half_breadth_m if deck.cockpit else 0.0) + _SHAFT_M
    ends = (0.04 * deck.length_m, 0.96 * deck.length_m)
    middle = (deck.seat.x_m + 0.3, 0.0)
    shaft = thing.model_copy(update={"width_m": _SHAFT_M})
    sides = [_Area(ends, (y - _SHAFT_M / 2, y + _SHAFT_M / 2), middle)
             for y in (-inner, inner, -inner - 2 * _SHAFT_M, inner + 2 * _SHAFT_M)]  # fmt: skip
    return deck.into(sides, shaft)


def _fore_deck(deck: _Deck, _: int, thing: Thing) -> Place | None:
    """Beside the feet, within reach of a lean, facing the seat."""
    x_m = deck.seat.brace_x_m
    beside = deck.side_decks((x_m - 0.25, x_m + 0.2), x_m, 1)
    ahead = deck.cockpit.x_fwd_m if deck.cockpit else x_m
    across = deck.across_deck(ahead, 0.9 * deck.length_m, x_m)
    return deck.into([*beside, *across], thing, turns=False)


def _aft_deck(deck: _Deck, _: int, thing: Thing) -> Place | None:
    """Upright behind the last well where it is a pole; else lying there."""
    if not thing.long:
        return deck.into(deck.aft_deck(), thing)
    ahead = min((w.x_aft_m for w in deck.setup.boat.wells), default=deck.seat.x_m)
    return _place(ahead - 0.06, 0.0, None, turn_deg=180.0, tilt_deg=86.0)


def _bow(deck: _Deck, _: int, thing: Thing) -> Place | None:
    """On the deck ahead of the cockpit."""
    ahead = deck.cockpit.x_fwd_m if deck.cockpit else deck.seat.brace_x_m
    return deck.into(deck.across_deck(ahead + 0.05, 0.92 * deck.length_m, ahead + 0.3), thing)


def _on_floor(well: WellBox, aft_m: float, fwd_m: float) -> _Area:
    """The floor of a well, forward first."""
    middle, half = (well.x_aft_m + well.x_fwd_m) / 2, well.half_breadth_m
    return _Area((aft_m, fwd_m), (-half, half), (fwd_m, 0.0), OnWell(name=well.name), (middle, 0.0))


def _place(
    x_m: float,
    y_m: float,
    on: On | None,
    *,
    z_m: float | None = None,
    turn_deg: float = 0.0,
    tilt_deg: float = 0.0,
    bury_m: float = 0.0,
    order: int = 0,
) -> Place:
    return Place(
        x_m=round(x_m, 3), y_m=round(y_m, 3), z_m=z_m, turn_deg=turn_deg, tilt_deg=tilt_deg, on=on,
        bury_m=bury_m, order=order,
    )  # fmt: skip


def _steps(low: float, high: float, size: float) -> list[float]:
    """Middles of something of that size between two ends; none where it is too large."""
    spare = high - low - size
    if spare < -1e-9:
        return []
    count = max(1, round(spare / _STEP_M))
    return [float(v) for v in np.linspace(low + size / 2, high - size / 2, count + 1)]


def _turn(goes: Goes, thing: Thing) -> tuple[int, float]:
    """When it is stowed: open containers, holders, what lies along the sides; then large things
    first; last of all what goes into others."""
    if goes in _INTO_OTHERS:
        turn = 4
    elif thing.container is not None and thing.opens == "open":
        turn = 0
    else:
        turn = {"rod deck": 1, "side deck": 2}.get(goes, 3)
    return turn, -thing.length_m * thing.width_m


def _meet(one: _Box, other: _Box) -> bool:
    return (
        abs(one[0] - other[0]) < (one[2] + other[2]) / 2 + _GAP_M
        and abs(one[1] - other[1]) < (one[3] + other[3]) / 2 + _GAP_M
    )


_INTO_OTHERS = ("crate", "holder", "reach behind")
_WAYS: dict[Goes, Callable[[_Deck, int, Thing], Place | None]] = {
    "worn": _worn,
    "seat": _seat,
    "drive": _drive,
    "holder": _holder,
    "rod deck": _rod_deck,
    "crate": _crate,
    "tank well": _behind,
    "behind seat": _behind_seat,
    "reach behind": _in_reach_behind,
    "beside seat": _beside_seat,
    "side deck": _side_deck,
    "fore deck": _fore_deck,
    "aft deck": _aft_deck,
    "bow": _bow,
}
