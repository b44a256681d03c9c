"""Where each thing ends up on the boat, from what it is placed on.

A place on something is measured in that one's own frame, so whatever moves takes what it holds
along. Nothing here refuses: a place whose parent is gone stands beside the seat, and says so.
"""

import math
from dataclasses import dataclass, replace
from functools import lru_cache

from neat_hull.model.boat import Fitting
from neat_hull.model.nesting import nesting_trouble
from neat_hull.model.setup import Place, Setup
from neat_hull.model.thing import Thing
from neat_hull.physics.body import THICKNESS, Body
from neat_hull.physics.hull import Hull
from neat_hull.physics.lattice import outline_at

_TOUCH_M = 0.005  # footprints that overlap by less lie beside each other


@dataclass(frozen=True)
class Stand:
    """A thing in boat coordinates, as `Place` has it on the bare deck.

    astray names what it stood on, where that is gone.
    """

    x_m: float
    y_m: float
    base_z_m: float
    turn_deg: float
    tilt_deg: float
    on_body: bool = False
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


_BOAT = Frame(0.0, 0.0, 0.0)


class Placing:
    """The places of one setup, each resolved once."""

    def __init__(self, setup: Setup, hull: Hull, body: Body) -> None:
        self.setup, self.hull, self.body = setup, hull, body
        self._stands: dict[int, Stand] = {}
        self._holds: dict[int, list[int]] = {}
        self._holder: dict[int, int] = {}
        self._adrift: set[int] = set()
        for thing_id, place in sorted(setup.places.items()):
            on = place.on
            if on is None or on.kind != "thing":
                continue
            if on.thing is None or nesting_trouble(setup, thing_id) is not None:
                self._adrift.add(thing_id)
            else:
                self._holder[thing_id] = on.thing
                self._holds.setdefault(on.thing, []).append(thing_id)

    def stands(self) -> dict[int, Stand]:
        """Every thing aboard."""
        return {thing_id: self.stand(thing_id) for thing_id in sorted(self.setup.places)}

    def stand(self, thing_id: int) -> Stand:
        """One thing aboard."""
        if thing_id not in self._stands:
            self._stands[thing_id] = self._resolve(thing_id)
        return self._stands[thing_id]

    def holder(self, thing_id: int) -> int | None:
        """The thing that another stands on or in; None on the boat itself, or when that is gone."""
        return self._holder.get(thing_id)

    def held_by(self, thing_id: int) -> list[int]:
        """What stands on or in a thing, itself; in a container, what comes out first goes first."""
        held = self._holds.get(thing_id, [])
        return sorted(held, key=lambda one: (self.setup.places[one].order, one))

    def out_first(self, thing_id: int) -> list[int]:
        """What lies over a thing in its container, and must come out before it."""
        place, box = self.setup.places[thing_id], self.holder(thing_id)
        if box is None or place.on is None or place.on.spot != "in":
            return []
        mine = self.stand(thing_id).base_z_m
        return [
            one
            for one in self.held_by(box)
            if one != thing_id
            and _same_spot(self.setup.places[one], place)
            and self.stand(one).base_z_m > mine
            and self._overlap(one, thing_id)
        ]

    def frame(self, place: Place) -> Frame | None:
        """Where a place is counted from; None where what it is on is gone."""
        on = place.on
        if on is None:
            return _BOAT
        if on.kind == "seat":
            return self._seat(on.spot)
        if on.kind == "body":
            x, y, z = self.chest_m()
            return Frame(x, y, z, rest_m=z)
        if on.kind == "well":
            well = next((w for w in self.hull.wells if w.name == on.name), None)
            if well is None:
                return None
            return Frame((well.x_aft_m + well.x_fwd_m) / 2, 0.0, well.floor_z_m, rest_m=None)
        if on.kind == "fitting":
            one = next((f for f in self.setup.boat.fittings if f.name == on.name), None)
            return None if one is None else self._fitting(one)
        return self._thing(on.thing, place)

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

    def chest_m(self) -> tuple[float, float, float]:
        """The middle of the trunk's front, where most of what is worn sits."""
        x, y, z = (float(v) for v in self.body.trunk_middle_m)
        return x + THICKNESS["trunk"] * self.body.build.stature_m / 2, y, z

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
        worn = place.on is not None and place.on.kind == "body"
        if worn and place.z_m is None:
            base -= thing.height_m / 2
        if holder is not None:
            worn = self.stand(holder).on_body
        tilt = max(-90.0, min(90.0, frame.tilt_deg + place.tilt_deg))
        stand = Stand(x, y, base, frame.turn_deg + place.turn_deg, tilt, worn)
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
        for below in reversed(self.held_by(holder)):
            if below == thing_id:
                break
            under = self.setup.places[below]
            thing = self.setup.things[below]
            if _same_spot(under, place) and not thing.long and self._overlap(below, thing_id):
                floor = max(floor, self.stand(below).base_z_m + thing.height_m)
        return floor

    def _overlap(self, one: int, other: int) -> bool:
        """Whether two footprints in one parent overlap, as boxes along that parent's axes."""
        a, b = self.setup.places[one], self.setup.places[other]
        (la, wa), (lb, wb) = (
            footprint_m(self.setup.things[i], self.setup.places[i].turn_deg) for i in (one, other)
        )
        along = (la + lb) / 2 - abs(a.x_m - b.x_m)
        across = (wa + wb) / 2 - abs(a.y_m - b.y_m)
        return min(along, across) > _TOUCH_M

    def _astray(self, place: Place) -> Stand:
        seat, on = self.setup.seat, place.on
        x, y = seat.x_m - 0.3, 0.0
        name = on.name if on is not None and on.name else "what it stood on"
        base = self.hull.support_z_m(x, y)
        return Stand(x, y, base, place.turn_deg, place.tilt_deg, astray=name)

    def _seat(self, spot: str) -> Frame:
        seat = self.setup.seat
        if spot == "under":
            return Frame(seat.x_m, 0.0, self.hull.support_z_m(seat.x_m, 0.0))
        return Frame(seat.x_m, 0.0, seat.z_m, rest_m=seat.z_m)

    def _fitting(self, one: Fitting) -> Frame:
        if one.kind == "flush tube":
            return Frame(one.x_m, one.y_m, one.z_m, one.bearing_deg, one.elevation_deg, one.z_m)
        if one.kind == "hatch":
            floor = _hold_floor_m(self.hull, one.x_m, one.z_m, one.depth_m)
            return Frame(one.x_m, one.y_m, floor, rest_m=floor)
        return Frame(one.x_m, one.y_m, one.z_m, rest_m=one.z_m)

    def _thing(self, parent_id: int | None, place: Place) -> Frame:
        assert parent_id is not None, "places on no thing are adrift"
        parent, stand = self.setup.things[parent_id], self.stand(parent_id)
        spot = "on" if place.on is None else place.on.spot
        if parent.long:
            # An arm: along the pole, and at its own slope no further than the butt and tip.
            x, y, z = stand.at(place.x_m)
            turn = math.radians(stand.turn_deg)
            back = place.x_m
            return Frame(x - back * math.cos(turn), y - back * math.sin(turn), z,
                         stand.turn_deg, 0.0, z)  # fmt: skip
        top = stand.base_z_m + parent.height_m
        if spot == "in" and parent.kind == "holder":
            return Frame(stand.x_m, stand.y_m, top, stand.turn_deg, stand.tilt_deg, top)
        if spot == "in":
            inner = parent.inner_m
            floor = stand.base_z_m + (
                0.0 if inner is None else max(0.0, parent.height_m - inner[2])
            )
            return Frame(stand.x_m, stand.y_m, floor, stand.turn_deg, 0.0, floor)
        if spot == "on":
            return Frame(stand.x_m, stand.y_m, top, stand.turn_deg, 0.0, top)
        under = spot == "under"
        return Frame(stand.x_m, stand.y_m, stand.base_z_m, stand.turn_deg, 0.0,
                     None if under else stand.base_z_m)  # fmt: skip


def footprint_m(thing: Thing, turn_deg: float) -> tuple[float, float]:
    """How far a thing reaches along and across when turned, lying flat."""
    turn = math.radians(turn_deg)
    cos, sin = abs(math.cos(turn)), abs(math.sin(turn))
    if thing.shape == "cylinder":
        cos, sin = 1.0, 0.0
    return (
        thing.length_m * cos + thing.width_m * sin,
        thing.length_m * sin + thing.width_m * cos,
    )


def _same_spot(a: Place, b: Place) -> bool:
    return a.on is not None and b.on is not None and a.on.spot == b.on.spot


@lru_cache(maxsize=256)
def _hold_floor_m(hull: Hull, x_m: float, mouth_z_m: float, depth_m: float) -> float:
    """The bottom of the hold under a hatch: as deep as measured, or the inside of the hull."""
    if depth_m > 0:
        return mouth_z_m - depth_m
    x = min(max(x_m, hull.x_aft_m), hull.x_fwd_m)
    return min(float(outline_at(hull, x)[:, 1].min()), mouth_z_m)
