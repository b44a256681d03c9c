"""How rods lie: butts and legs, reels and gunwales, tips past the ends, and where one is parked."""

from dataclasses import dataclass

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import FlushTube
from neat_hull.model.place import OnFitting
from neat_hull.model.rods import HandHeld, Parking, RodLie
from neat_hull.model.thing import BUTT_SHARE
from neat_hull.physics.gaps import gaps
from neat_hull.physics.solids import rods, together
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.reaching import reach_of
from neat_hull.rig.rigging import Rigged, Stowed, point
from neat_hull.subjects.room.figures import needed

_BUTT_RADIUS_M = 0.02
_HAND_OUT = 0.75  # of a straight arm: how a rod is held pointed at the water


@dataclass(frozen=True)
class RodEnds:
    """Where a rod ends, and how far that is past hull and seat; as in `RodLie`."""

    thing_id: int
    butt: Point
    reel: Point
    tip: Point
    reel_out_m: float | None
    tip_past_bow_m: float
    tip_past_stern_m: float
    tip_past_beam_m: float
    tip_over_seat_m: float


def rod_ends(ev: Evaluated) -> list[RodEnds]:
    """Every rod aboard, bow to stern."""
    found = [_ends(ev.rigged, ev.rigged.by_id[i]) for i in ev.rods]
    return sorted(found, key=lambda one: (-one.butt[0], one.thing_id))


def rod_lies(ev: Evaluated) -> list[RodLie]:
    """The same, with how near each butt comes to the body."""
    found = []
    for ends in ev.once(rod_ends):
        gap, leg = _butt_gap(ev.rigged, ends.butt, ends.reel)
        row = {name: value for name, value in vars(ends).items() if name != "reel"}
        found.append(RodLie(**row, leg_gap_m=gap, leg=leg))
    return found


def _ends(rigged: Rigged, stowed: Stowed) -> RodEnds:
    hull, seat = rigged.floating.hull, rigged.setup.seat
    thing, stand = rigged.setup.things[stowed.thing_id], stowed.stand
    assert stowed.tip_m is not None, "a rod has a tip"
    tip, reel = stowed.tip_m, stand.at(thing.reel_at_m)
    out = abs(reel[1]) - hull.gunwale_m(reel[0])[0]
    return RodEnds(
        thing_id=stowed.thing_id,
        butt=(stand.x_m, stand.y_m, stand.base_z_m),
        reel=reel,
        tip=tip,
        reel_out_m=out if thing.has_reel else None,
        tip_past_bow_m=tip[0] - hull.x_fwd_m,
        tip_past_stern_m=hull.x_aft_m - tip[0],
        tip_past_beam_m=abs(tip[1]) - float(hull.half_breadth_m.max()),
        tip_over_seat_m=tip[2] - seat.z_m,
    )


def _butt_gap(rigged: Rigged, butt: Point, reel: Point) -> tuple[float, str]:
    """Of the rod from its butt to the reel, the gap to the nearest of legs, hip and pedals."""
    legs = [one for one in needed(rigged) if one.group == "legs" and one.key != "feet"]
    parts = together(*(one.solids for one in legs))
    names = [one.title for one in legs for _ in range(len(one.solids))]
    count = len(parts)
    handle = rods(
        np.tile(butt, (count, 1)), np.tile(reel, (count, 1)), np.full(count, _BUTT_RADIUS_M)
    )
    found = gaps(handle, parts).gap_m
    nearest = int(found.argmin())
    return float(found[nearest]), names[nearest]


def hand_m(rigged: Rigged) -> Point:
    """Where a rod is held from the seat: before the casting shoulder, the arm nearly straight."""
    side = 1.0 if rigged.setup.angler.casts == "port" else -1.0
    joint = rigged.body.shoulder_m(side)
    return point(joint + np.array([_HAND_OUT * rigged.body.grip_reach_m, 0.0, 0.0]))


def hand_held(ev: Evaluated) -> tuple[list[HandHeld], float]:
    """By how much each rod's tip passes the bow by hand, and the shortest rod that would.

    Held at the reel, level, pointed at the bow: as one fishes tight to the bank.
    """
    to_bow = ev.rigged.floating.hull.x_fwd_m - hand_m(ev.rigged)[0]
    found = []
    for thing_id in sorted(ev.rods):
        thing = ev.thing(thing_id)
        ahead = thing.length_m - thing.reel_at_m
        found.append(HandHeld(thing_id=thing_id, passes_bow_m=ahead - to_bow))
    return found, shortest_m(to_bow)


def shortest_m(to_bow_m: float) -> float:
    """Length whose part before the reel spans that far: a usual butt is a fixed share of it."""
    return to_bow_m / (1 - BUTT_SHARE)


def tips_apart(ev: Evaluated) -> tuple[float | None, float | None]:
    """How far apart the outermost tips to port and starboard are, and the nearest two tips."""
    tips = np.array([one.tip for one in ev.once(rod_ends)]).reshape(-1, 3)
    port, starboard = tips[tips[:, 1] > 0], tips[tips[:, 1] < 0]
    spread = None
    if len(port) and len(starboard):
        spread = float(port[:, 1].max() - starboard[:, 1].min())
    if len(tips) < 2:
        return spread, None
    apart = np.linalg.norm(tips[:, None] - tips[None, :], axis=2)
    return spread, float(apart[np.triu_indices(len(tips), 1)].min())


def parking(ev: Evaluated) -> tuple[list[Parking], str | None]:
    """Every tube and holder with its zone and what is in it, and which one a rod is parked in.

    Parked is in the nearest free one that is in hand; else in one in hand whose own rod is out.
    """
    rigged, placing = ev.rigged, ev.rigged.placing
    inside = {place.on: i for i, place in reversed(ev.setup.places.items())}
    rows: list[tuple[str, int | None, Point, int | None]] = []
    for fitting in ev.setup.boat.fittings:
        if isinstance(fitting, FlushTube):
            held = inside.get(OnFitting(name=fitting.name, where="in"))
            held = held or inside.get(OnFitting(name=fitting.name))
            rows.append((fitting.name, None, (fitting.x_m, fitting.y_m, fitting.z_m), held))
    for stowed in rigged.stowed:
        thing = ev.thing(stowed.thing_id)
        if thing.takes_butt and thing.inner_m is None:
            contents = placing.contents(stowed.thing_id)
            first = contents[0] if contents else None
            rows.append((thing.name, stowed.thing_id, stowed.grip_m, first))
    ways = reach_of(rigged, np.array([row[2] for row in rows]).reshape(-1, 3))
    found = [
        Parking(name=name, thing_id=thing_id, zone=way.zone.value, holds=holds)
        for (name, thing_id, _, holds), way in zip(rows, ways, strict=True)
    ]
    near = [
        (one.holds is not None, way.short_m, one.name)
        for one, way in zip(found, ways, strict=True)
        if one.zone == "hand"
    ]
    return found, min(near)[2] if near else None
