"""Where each thing ends up on the boat, from what it is placed on.

A place on something is measured in that one's own frame, so whatever moves takes what it holds
along. Nothing here refuses: a place whose parent is gone stands beside the seat, and says so.
"""

import math
from dataclasses import replace
from functools import cached_property

from neat_hull.model.boat import Fitting, Hatch
from neat_hull.model.nesting import contents_of, nesting_trouble
from neat_hull.model.place import OnBody, OnFitting, OnSeat, OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.physics.body.segments import Body
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.parents import parent_of
from neat_hull.rig.parents.base import EDGE_M, Frame, Stand, footprint_m

_BOAT = Frame(0.0, 0.0, 0.0)
_ASTRAY_AFT_M = 0.3  # of the seat: where a thing is drawn whose parent is gone


class Placing:
    """The places of one setup, each resolved once.

    `before` is the placing of the setup as it was: what stands there on its own, and all that
    stands on it, is taken from it where nothing of that changed.
    """

    def __init__(
        self, setup: Setup, hull: Hull, body: Body, before: "Placing | None" = None
    ) -> None:
        self.setup, self.hull, self.body = setup, hull, body
        self._stands: dict[int, Stand] = {}
        self._contents: dict[int, list[int]] = {}
        self._holder: dict[int, int] = {}
        self._adrift: set[int] = set()
        self._by_where: dict[tuple[int, str | None], list[int]] = {}
        self._covered: dict[int, bool] = {}
        self._footprints: dict[int, tuple[float, float, float, float]] = {}
        if before is not None and _hang_alike(setup, before.setup):
            self._adrift, self._holder, self._contents = (
                before._adrift,
                before._holder,
                before._contents,
            )
        else:
            self._hang()
        self.same = frozenset[int]() if before is None else self._same_as(before)
        if before is not None:
            self._stands = {i: before.stand(i) for i in self.same}
            self._covered = {i: on for i, on in before._covered.items() if i in self.same}

    def _hang(self) -> None:
        """Find out what holds what."""
        places = self.setup.places
        for holder, held in contents_of(places).items():
            for thing_id in held:
                if nesting_trouble(self.setup, thing_id) is not None:
                    self._adrift.add(thing_id)
                else:
                    self._holder[thing_id] = holder
                    self._contents.setdefault(holder, []).append(thing_id)
        for held in self._contents.values():
            held.sort(key=lambda one: (places[one].order, one))

    def _same_as(self, before: "Placing") -> frozenset[int]:
        """Things that stand as they did, with all they stand on and all that is in their tree."""
        now, was = self.setup, before.setup
        if not (
            self.hull is before.hull
            and self.body is before.body
            and _alike(now.boat, was.boat)
            and _alike(now.seat, was.seat)
        ):
            return frozenset()
        differ = {
            i
            for i, place in now.places.items()
            if i not in was.places
            or not _alike(place, was.places[i])
            or not _alike(now.things[i], was.things[i])
        }
        differ |= was.places.keys() - now.places.keys()
        touched = {self.root(i) for i in differ if i in now.places}
        touched |= {before.root(i) for i in differ if i in was.places}
        return frozenset(i for i in now.places if self.root(i) not in touched)

    def stands(self) -> dict[int, Stand]:
        """Every thing aboard."""
        return {thing_id: self.stand(thing_id) for thing_id in sorted(self.setup.places)}

    def stand(self, thing_id: int) -> Stand:
        """One thing aboard."""
        if thing_id not in self._stands:
            self._stands[thing_id] = self._resolve(thing_id)
        return self._stands[thing_id]

    def hangs_as(self, other: "Placing") -> bool:
        """Whether what holds what is known to be the same as there."""
        return self._holder is other._holder

    def holder(self, thing_id: int) -> int | None:
        """The thing that another stands on or in; None on the boat itself, or when that is gone."""
        return self._holder.get(thing_id)

    def chain(self, thing_id: int) -> tuple[int, ...]:
        """A thing and all it stands on or in, the nearest first."""
        chain = [thing_id]
        while (holder := self._holder.get(chain[-1])) is not None:
            chain.append(holder)
        return tuple(chain)

    def root(self, thing_id: int) -> int:
        """The thing at the foot of what a thing stands on."""
        while (holder := self._holder.get(thing_id)) is not None:
            thing_id = holder
        return thing_id

    def contents(self, thing_id: int) -> list[int]:
        """What stands on or in a thing, itself; in a container, what comes out first goes first."""
        return self._contents.get(thing_id, [])

    @cached_property
    def fittings(self) -> dict[str, Fitting]:
        """The boat's fittings by name."""
        return {f.name: f for f in reversed(self.setup.boat.fittings)}

    def fitting_under(self, thing_id: int) -> Fitting | None:
        """The fitting that a thing, or what it stands on, is on; None where there is none."""
        on = self.setup.places[self.root(thing_id)].on
        return self.fittings.get(on.name) if isinstance(on, OnFitting) else None

    def in_hatch(self, thing_id: int) -> bool:
        """Under a hatch, itself or what it stands in."""
        return isinstance(self.fitting_under(thing_id), Hatch)

    def under_seat(self, thing_id: int) -> bool:
        """Under the seat, itself or what it stands in."""
        on = self.setup.places[self.root(thing_id)].on
        return isinstance(on, OnSeat) and on.where == "under"

    def covered(self, thing_id: int) -> bool:
        """Shut in: in a hatch, or in something with a lid or a zip, itself or what it is in."""
        if thing_id not in self._covered:
            self._covered[thing_id] = self._shut_in(thing_id)
        return self._covered[thing_id]

    def _shut_in(self, thing_id: int) -> bool:
        for at in self.chain(thing_id):
            on = self.setup.places[at].on
            if isinstance(on, OnThing) and on.where == "in" and at in self._holder:
                box = self.setup.things[on.thing]
                if box.inner_m is not None and box.opens != "open":
                    return True
            if isinstance(on, OnFitting) and on.where == "in":
                return isinstance(self.fittings.get(on.name), Hatch)
        return False

    def out_first(self, thing_id: int) -> list[int]:
        """What lies over a thing in its container, and must come out before it."""
        place, box = self.setup.places[thing_id], self.holder(thing_id)
        if box is None or not (isinstance(place.on, OnThing) and place.on.where == "in"):
            return []
        mine = self.stand(thing_id).base_z_m
        return [
            one
            for one in self._beside(thing_id)
            if self.stand(one).base_z_m > mine and self._overlap(one, thing_id)
        ]

    def _beside(self, thing_id: int) -> list[int]:
        """What is in, or on, the same thing as this one and in the same way, this one too."""
        holder, on = self._holder[thing_id], self.setup.places[thing_id].on
        where = on.where if isinstance(on, OnThing) else None
        key = (holder, where)
        if key not in self._by_where:
            self._by_where[key] = [
                one
                for one in self.contents(holder)
                if isinstance(o := self.setup.places[one].on, OnThing) and o.where == where
            ]
        return self._by_where[key]

    def frame(self, place: Place) -> Frame | None:
        """Where a place is counted from; None where what it is on is gone."""
        return _BOAT if place.on is None else parent_of(place.on).frame(self, place.on, place)

    def frame_of(self, thing_id: int) -> Frame:
        """The frame of a thing aboard; the boat's own where its parent is gone."""
        frame = None if thing_id in self._adrift else self.frame(self.setup.places[thing_id])
        return frame or _BOAT

    def into_frame(self, place: Place, x_m: float, y_m: float) -> tuple[float, float]:
        """Boat coordinates (x, y) as a place with the same parent counts them."""
        frame = self.frame(place) or _BOAT
        turn, x, y = math.radians(frame.turn_deg), x_m - frame.x_m, y_m - frame.y_m
        return (
            x * math.cos(turn) + y * math.sin(turn),
            y * math.cos(turn) - x * math.sin(turn),
        )

    def _resolve(self, thing_id: int) -> Stand:
        place, thing = self.setup.places[thing_id], self.setup.things[thing_id]
        frame = None if thing_id in self._adrift else self.frame(place)
        if frame is None:
            return self._astray(place)
        turn = math.radians(frame.turn_deg)
        x = frame.x_m + place.x_m * math.cos(turn) - place.y_m * math.sin(turn)
        y = frame.y_m + place.x_m * math.sin(turn) + place.y_m * math.cos(turn)
        base = self._base(thing_id, place, frame, x, y)
        holder = self.holder(thing_id)
        worn, held = isinstance(place.on, OnBody), isinstance(place.on, OnBody) and place.on.held
        if worn and place.z_m is None:
            base -= thing.height_m / 2
        if holder is not None:
            worn, held = self.stand(holder).on_body, self.stand(holder).held
        tilt = max(-90.0, min(90.0, frame.tilt_deg + place.tilt_deg))
        stand = Stand(x, y, base, frame.turn_deg + place.turn_deg, tilt, worn, held)
        if place.bury_m > 0 and thing.long:
            x, y, base = stand.at(-place.bury_m)
            stand = replace(stand, x_m=x, y_m=y, base_z_m=base)
        return stand

    def _base(self, thing_id: int, place: Place, frame: Frame, x: float, y: float) -> float:
        if place.z_m is not None:
            return frame.z_m + place.z_m
        floor = frame.rest_m if frame.rest_m is not None else self.hull.support_z_m(x, y)
        holder = self.holder(thing_id)
        if holder is None or self.setup.things[thing_id].long:
            return floor
        # Things set down in or on another pile up: what goes in deeper lies under what overlaps it.
        for below in reversed(self._beside(thing_id)):
            if below == thing_id:
                break
            thing = self.setup.things[below]
            if not thing.long and self._overlap(below, thing_id):
                floor = max(floor, self.stand(below).base_z_m + thing.height_m)
        return floor

    def _overlap(self, one: int, other: int) -> bool:
        """Whether two footprints in one parent overlap, as boxes along that parent's axes."""
        ax, ay, a_long, a_wide = self._lies(one)
        bx, by, b_long, b_wide = self._lies(other)
        along = (a_long + b_long) / 2 - abs(ax - bx)
        across = (a_wide + b_wide) / 2 - abs(ay - by)
        return min(along, across) > EDGE_M

    def _lies(self, thing_id: int) -> tuple[float, float, float, float]:
        """Where a thing lies in its parent, x and y, and how far it reaches along and across."""
        if thing_id not in self._footprints:
            place, thing = self.setup.places[thing_id], self.setup.things[thing_id]
            along, across = footprint_m(thing, place.turn_deg)
            self._footprints[thing_id] = (place.x_m, place.y_m, along, across)
        return self._footprints[thing_id]

    def _astray(self, place: Place) -> Stand:
        seat, on = self.setup.seat, place.on
        x, y = seat.x_m - _ASTRAY_AFT_M, 0.0
        name = "what it stood on" if on is None else getattr(on, "name", "what it stood on")
        base = self.hull.support_z_m(x, y)
        return Stand(x, y, base, place.turn_deg, place.tilt_deg, astray=name)


def _hang_alike(now: Setup, was: Setup) -> bool:
    """Whether the same things hold the same things, in the same order."""
    return now.things.keys() == was.things.keys() and (
        now.places.keys() == was.places.keys()
        and all(
            place is was.places[i]
            or (place.order == was.places[i].order and place.on == was.places[i].on)
            for i, place in now.places.items()
        )
    )


def _alike(one: object, other: object) -> bool:
    """The same object, as in a drag, or an equal one."""
    return one is other or one == other
