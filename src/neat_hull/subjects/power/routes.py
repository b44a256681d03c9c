"""Where wires run on this boat: from post to device, through the points that hold them."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import dist

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import Track
from neat_hull.model.place import OnFitting
from neat_hull.model.power import Conductor, Draw, Held
from neat_hull.physics.arrays import Array
from neat_hull.physics.gaps import gaps
from neat_hull.physics.solids import Solids, near_pairs, rods, together
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.demands.figures import over_water
from neat_hull.subjects.room.envelopes import Needed, needed

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
    lying, rooms = ev.once(routes), needed(ev.rigged)
    found = ev.again_each(
        "power legs",
        {key: (route, rooms) for key, route in lying.items()},
        lambda keys: _among_the_legs([lying[key] for key in keys], rooms),
    )
    return [one for some in found for one in some]


def _among_the_legs(
    lying: Sequence[Route], every: Sequence[Needed]
) -> Mapping[int, list[InTheWay]]:
    """That of some wires, by wire."""
    told: dict[int, list[InTheWay]] = {route.key: [] for route in lying}
    rooms = [one for one in every if one.group == "legs" and one.counts]
    if not rooms:
        return told
    keys, wires = _stretches(lying)
    solids = together(*(one.solids for one in rooms))
    whose = np.repeat(np.arange(len(rooms)), [len(one.solids) for one in rooms])
    margin = np.array([one.margin_m for one in rooms])
    first, second = near_pairs(wires, solids, float(margin.max()))
    if not len(first):
        return told
    found = gaps(wires.take(first), solids.take(second))  # of a line, sooner than to tell apart
    rows = np.flatnonzero(found.gap_m < margin[whose[second]])
    least: dict[tuple[int, int], InTheWay] = {}
    for row in rows.tolist():
        room = int(whose[second[row]])
        key = keys[int(first[row])]
        deep = float(margin[room] - found.gap_m[row])
        known = least.get((key, room))
        if known is None or deep > known.clear_m:
            x, y, z = (float(v) for v in found.there_m[row])
            least[key, room] = InTheWay(key, rooms[room].title, (x, y, z), deep)
    for one in least.values():
        told[one.key].append(one)
    return told


def _stretches(lying: Sequence[Route]) -> tuple[list[int], Solids]:
    """The straight parts of some wires, and whose each is."""
    ends = [(route.key, a, b) for route in lying for a, b in pairwise(route.points)]
    a, b = (np.array([one[n] for one in ends]) for n in (1, 2))
    return [key for key, _, _ in ends], rods(a, b, np.full(len(ends), _WIRE_M))


RUB_M = 0.01  # of a track that something slides on


@dataclass(frozen=True)
class Rub:
    """A wire on a track that something slides on, and where."""

    key: int
    track: str
    at: Point


def on_tracks(ev: Evaluated) -> list[Rub]:
    """Wires that lie against a track with something on it."""
    lying = ev.once(routes)
    used = {on.name for p in ev.setup.places.values() if isinstance(on := p.on, OnFitting)}
    tracks = [f for f in ev.setup.boat.fittings if isinstance(f, Track) and f.name in used]
    found = ev.again_each(
        "power tracks",
        {key: (route, tracks) for key, route in lying.items()},
        lambda keys: _on_tracks([lying[key] for key in keys], tracks),
    )
    return [one for some in found for one in some]


def _on_tracks(lying: Sequence[Route], tracks: Sequence[Track]) -> Mapping[int, list[Rub]]:
    """That of some wires, by wire."""
    told: dict[int, list[Rub]] = {route.key: [] for route in lying}
    if not tracks:
        return told
    keys, wires = _stretches(lying)
    from_m = np.array([(t.x_m - t.length_m / 2, t.y_m, t.z_m) for t in tracks])
    to_m = np.array([(t.x_m + t.length_m / 2, t.y_m, t.z_m) for t in tracks])
    rails = rods(from_m, to_m, np.zeros(len(tracks)))
    first, second = near_pairs(wires, rails, RUB_M)
    if not len(first):
        return told
    found = gaps(wires.take(first), rails.take(second))
    for row in np.flatnonzero(found.gap_m < RUB_M).tolist():
        key, track = keys[int(first[row])], tracks[int(second[row])].name
        if track not in {one.track for one in told[key]}:
            x, y, z = (float(v) for v in found.there_m[row])
            told[key].append(Rub(key, track, (x, y, z)))
    return told


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
