"""Where wires run on this boat: from post to device, through the points that hold them."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from itertools import pairwise
from math import dist

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import Track
from neat_hull.model.place import OnFitting
from neat_hull.model.power import Conductor, Draw, Held
from neat_hull.physics.arrays import Array
from neat_hull.physics.gaps import gaps
from neat_hull.physics.solids import Solids, rods, together
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.demands.figures import over_water
from neat_hull.subjects.room.figures import Needed, needed

SLACK_SHARE = 0.03  # a wire never lies as straight as a line does
END_M, DISCONNECT_M = 0.10, 0.15  # spare at each end, and at each place where it is pulled apart
_WIRE_M = 0.004  # half its thickness, out and back side by side
THROUGH: tuple[Held, ...] = ("gland", "hole", "hatch")
HELD: tuple[Held, ...] = ("clip", *THROUGH)


@dataclass(frozen=True)
class Route:
    """A wire as it lies: its points from post to device, what holds it there, and its length."""

    key: int
    points: tuple[Point, ...]
    held: tuple[Held, ...]  # of the points between the ends
    length_m: float


def post_m(ev: Evaluated, thing_id: int) -> Point:
    """Where a wire meets a thing: the top of what stands, the butt of a pole."""
    stand, thing = ev.rigged.by_id[thing_id].stand, ev.thing(thing_id)
    return stand.x_m, stand.y_m, stand.base_z_m + (0.0 if thing.long else thing.height_m)


def routes(ev: Evaluated) -> dict[int, Route]:
    """Of each conductor whose ends are both aboard."""
    aboard = ev.rigged.by_id
    return {
        key: _route(ev, key, one)
        for key, one in ev.setup.power.conductors.items()
        if one.start in aboard and one.end in aboard
    }


def _route(ev: Evaluated, key: int, one: Conductor) -> Route:
    between = [(p.x_m, p.y_m, p.z_m) for p in one.points]
    points = (post_m(ev, one.start), *between, post_m(ev, one.end))
    length = one.length_m or length_m(points, one.disconnects)
    return Route(key, points, tuple(p.by for p in one.points), length)


def length_m(points: Sequence[Point], disconnects: int) -> float:
    """Of wire to buy for a way: with slack, and spare at each end and each disconnect."""
    along = sum(dist(a, b) for a, b in pairwise(points))
    return along * (1 + SLACK_SHARE) + 2 * END_M + DISCONNECT_M * disconnects


@dataclass(frozen=True)
class Height:
    """How high a point of a wire stands over the water at its worst, and the heel then, deg."""

    key: int
    at: int
    point: Point
    over_m: float
    heel_deg: float


def heights(ev: Evaluated) -> list[Height]:
    """Of each place where a wire goes through the deck: at rest, and heeled as far as the trip
    heels the boat. None for a boat that does not float."""
    found = [
        (route.key, i, route.points[i + 1])
        for route in ev.once(routes).values()
        for i, by in enumerate(route.held)
        if by in THROUGH
    ]
    seen = over_water(ev, np.array([point for _, _, point in found])) if found else []
    if not seen:
        return []
    lows = [min(seen, key=lambda one: one[1][n]) for n in range(len(found))]
    return [
        Height(key, i, point, float(over[n]), heel)
        for n, ((key, i, point), (heel, over)) in enumerate(zip(found, lows, strict=True))
    ]


@dataclass(frozen=True)
class InTheWay:
    """A wire in room that legs need: which, the room's name, where, and how far it must go."""

    key: int
    room: str
    at: Point
    clear_m: float


def among_the_legs(ev: Evaluated) -> list[InTheWay]:
    """Wires nearer to legs, feet and pedals than may be, or across the way out of the seat; the
    nearest place of each wire and room."""
    straight, rooms = ev.once(_straight), needed(ev.rigged)
    found = ev.again_each(
        "power legs",
        {one: (ends, rooms) for one, ends in straight.items()},
        lambda some: _among_the_legs({one: straight[one] for one in some}, rooms),
    )
    least: dict[tuple[int, str], InTheWay] = {}
    for way in (way for some in found for way in some):
        known = least.get((way.key, way.room))
        if known is None or way.clear_m > known.clear_m:
            least[way.key, way.room] = way
    return list(least.values())


_Straight = dict[tuple[int, int], tuple[Point, Point]]  # by wire, and which part of it


def _straight(ev: Evaluated) -> _Straight:
    """The straight parts of all wires: where one end of a wire moves, the others stay."""
    return {
        (key, n): ends
        for key, route in ev.once(routes).items()
        for n, ends in enumerate(pairwise(route.points))
    }


@dataclass(frozen=True, eq=False)
class _LegRoom:
    """What legs need: solids, the room that each is of, and boxes about them."""

    solids: Solids
    rooms: list[Needed]
    boxes: "_Boxes"


@lru_cache(maxsize=16)
def _leg_room(every: tuple[Needed, ...]) -> _LegRoom | None:
    rooms = [one for one in every if one.group == "legs" and one.counts]
    if not rooms:
        return None
    solids = together(*(one.solids for one in rooms))
    boxes = _boxes(solids, max(one.margin_m for one in rooms))
    return _LegRoom(solids, [one for one in rooms for _ in range(len(one.solids))], boxes)


def _among_the_legs(
    straight: _Straight, every: tuple[Needed, ...]
) -> dict[tuple[int, int], list[InTheWay]]:
    """Of some straight parts, each: where it is in the way of a room."""
    told: dict[tuple[int, int], list[InTheWay]] = {one: [] for one in straight}
    legs = _leg_room(every)
    if legs is None:
        return told
    for one, n, gap_m, at in _gaps(straight, legs.solids, legs.boxes):
        room = legs.rooms[n]
        if gap_m < room.margin_m:
            told[one].append(InTheWay(one[0], room.title, at, room.margin_m - gap_m))
    return told


_Boxes = list[tuple[list[float], list[float]]]  # low and high corner of each


def _boxes(solids: Solids, within_m: float) -> _Boxes:
    """Of each solid the upright box that a wire comes into where it may come so near to it."""
    reach = solids.spread_m + within_m + _WIRE_M
    low, high = solids.middle_m - reach, solids.middle_m + reach
    return list(zip(low.tolist(), high.tolist(), strict=True))


def _gaps(
    straight: _Straight, solids: Solids, boxes: _Boxes
) -> list[tuple[tuple[int, int], int, float, Point]]:
    """Of each straight part and solid that may be near: which, which solid, the gap, and where.

    Most run elsewhere, and that is told from their boxes in a fraction of the time.
    """
    pairs = [
        (one, n)
        for one, (a, b) in straight.items()
        for n, (low, high) in enumerate(boxes)
        if all(
            min(p, q) <= most and max(p, q) >= least
            for p, q, least, most in zip(a, b, low, high, strict=True)
        )
    ]
    if not pairs:
        return []
    ends = np.array([straight[one] for one, _ in pairs])
    wires = rods(ends[:, 0], ends[:, 1], np.full(len(ends), _WIRE_M))
    found = gaps(wires, solids.take(np.array([n for _, n in pairs])))  # of a line, that is quick
    return [
        (one, n, gap_m, (x, y, z))
        for (one, n), gap_m, (x, y, z) in zip(
            pairs, found.gap_m.tolist(), found.there_m.tolist(), strict=True
        )
    ]


RUB_M = 0.01  # of a track that something slides on


@dataclass(frozen=True)
class Rub:
    """A wire on a track that something slides on, and where."""

    key: int
    track: str
    at: Point


def on_tracks(ev: Evaluated) -> list[Rub]:
    """Wires that lie against a track with something on it; the first place of each."""
    used = {on.name for p in ev.setup.places.values() if isinstance(on := p.on, OnFitting)}
    tracks = tuple(f for f in ev.setup.boat.fittings if isinstance(f, Track) and f.name in used)
    straight = ev.once(_straight)
    found = ev.again_each(
        "power tracks",
        {one: (ends, tracks) for one, ends in straight.items()},
        lambda some: _on_tracks({one: straight[one] for one in some}, tracks),
    )
    first: dict[tuple[int, str], Rub] = {}
    for rub in (rub for some in found for rub in some):
        first.setdefault((rub.key, rub.track), rub)
    return list(first.values())


def _on_tracks(straight: _Straight, tracks: Sequence[Track]) -> dict[tuple[int, int], list[Rub]]:
    """Of some straight parts, each: where it lies against a track."""
    told: dict[tuple[int, int], list[Rub]] = {one: [] for one in straight}
    if not tracks:
        return told
    rails, boxes = _rails(tuple((t.x_m, t.y_m, t.z_m, t.length_m) for t in tracks))
    for one, n, gap_m, at in _gaps(straight, rails, boxes):
        if gap_m < RUB_M:
            told[one].append(Rub(one[0], tracks[n].name, at))
    return told


@lru_cache(maxsize=16)
def _rails(tracks: tuple[tuple[float, float, float, float], ...]) -> tuple[Solids, _Boxes]:
    """Tracks of such middles and lengths as lines, with boxes about them."""
    x, y, z, long = np.array(tracks).T
    from_m, to_m = (np.column_stack((end, y, z)) for end in (x - long / 2, x + long / 2))
    rails = rods(from_m, to_m, np.zeros(len(tracks)))
    return rails, _boxes(rails, RUB_M)


BESIDE_M, BESIDE_FOR_M, CROSSING_DEG = 0.10, 0.30, 30.0
_LOOK_M = 0.05  # how closely two wires are followed beside each other


@dataclass(frozen=True)
class Beside:
    """Two wires that run beside each other: for how far, and where."""

    key: int
    other: int
    along_m: float
    at: Point


def beside_motors(ev: Evaluated) -> list[Beside]:
    """Wires to what is critical that run close to one to a motor, and not across it."""
    power, lying = ev.setup.power, ev.once(routes)

    def to(key: int) -> Draw | None:
        return ev.thing(power.conductors[key].end).draw

    motors = [k for k in lying if (d := to(k)) is not None and d.start_level is not None]
    clean = [k for k in lying if (d := to(k)) is not None and d.critical and k not in motors]
    found = []
    for key in clean:
        for other in motors:
            along, at = _run_beside(lying[key].points, lying[other].points)
            if along > BESIDE_FOR_M:
                found.append(Beside(key, other, along, at))
    return found


def _run_beside(one: Sequence[Point], other: Sequence[Point]) -> tuple[float, Point]:
    """How far a way runs within BESIDE_M of another and not across it, and the last such place."""
    along, at = 0.0, one[0]
    others = [(np.array(a), np.array(b)) for a, b in pairwise(other) if a != b]
    for a, b in pairwise(one):
        start, way = np.array(a), np.array(b) - np.array(a)
        size = float(np.linalg.norm(way))
        if size == 0.0:
            continue
        steps = max(1, round(size / _LOOK_M))
        for n in range(steps):
            spot = start + way * ((n + 0.5) / steps)
            if any(_is_beside(spot, way / size, p, q) for p, q in others):
                along += size / steps
                x, y, z = (float(v) for v in spot)
                at = x, y, z
    return along, at


def _is_beside(spot: Array, way: Array, p: Array, q: Array) -> bool:
    run = q - p
    share = float(np.clip((spot - p) @ run / (run @ run), 0.0, 1.0))
    if float(np.linalg.norm(spot - p - share * run)) > BESIDE_M:
        return False
    turn = abs(float(way @ run)) / float(np.linalg.norm(run))
    return turn > float(np.cos(np.radians(CROSSING_DEG)))
