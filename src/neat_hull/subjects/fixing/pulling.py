"""What pulls at a mount: chop, days in the sun, a fish, a body on a seat, a lift, a line."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from math import cos, hypot, radians, sin

from neat_hull.model.base import Point
from neat_hull.model.boat import Cleat, Fitting, Handle
from neat_hull.model.fixing import Load, Mount
from neat_hull.model.mount_case import Duration
from neat_hull.model.thing import Thing
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.loading import Loading


def carried(ev: Evaluated, thing_id: int) -> Iterator[int]:
    """All that stands on a thing, and on that."""
    for one in ev.rigged.placing.contents(thing_id):
        yield one
        yield from carried(ev, one)


def pulls_at(
    ev: Evaluated, thing_id: int, spec: Mount, at: Point, turn_deg: float
) -> list[Loading]:
    """What pulls at a thing mounted at a place, its base turned from the bow toward port."""
    into = _Frame(at, turn_deg)
    masses = [
        (ev.thing(i).mass_now_kg, into.point(ev.rigged.by_id[i].centre_m))
        for i in (thing_id, *carried(ev, thing_id))
    ]
    masses = _held_out(spec, masses, ev.thing(thing_id))
    thing = ev.thing(thing_id)
    if thing.part == "seat":
        return _sat_on(ev, masses[0][1])
    total = sum(mass for mass, _ in masses)
    u, v = (sum(mass * spot[n] for mass, spot in masses) / total for n in (0, 1))
    found = [
        _shaken(
            "chop",
            "snatch",
            masses,
            (0.8 if u >= 0 else -0.8, 1.2 if v >= 0 else -1.2, typical.CHOP_G[2]),
        ),
        _shaken("parked", "days", masses, (0.0, 0.0, -1.0)),
    ]
    if thing.holder is None or not (thing.mounted or spec.by):  # a crate's tubes only carry rods
        tips = []
    else:
        rods = (i for i in carried(ev, thing_id) if ev.thing(i).rod is not None)
        tips = [into.point(_tip(ev, i)) for i in rods]
    if not tips and thing.takes_butt and thing.mounted:
        turn = radians(ev.rigged.by_id[thing_id].stand.turn_deg)
        x, y, z = ev.rigged.by_id[thing_id].centre_m
        tips = [
            into.point(
                (x + typical.ROD_AWAY_M * cos(turn), y + typical.ROD_AWAY_M * sin(turn), z + 1.0)
            )
        ]
    if tips:
        far = max(tips, key=lambda tip: hypot(tip[0], tip[1]))
        found += _hooked(spec, far)
    if thing.downrigger is not None:
        ball = (thing.downrigger.ball_kg or 4.0) * GRAVITY_M_S2
        boom = into.point(ev.rigged.by_id[thing_id].centre_m)
        out = (boom[0], boom[1] + (0.5 if at[1] >= 0 else -0.5), boom[2])
        found.append(_pulled("ball on the boom", "minutes", (-0.3 * ball, 0.0, -ball), out))
        found.append(_pulled("ball on the bottom", "snatch", (-0.6 * ball, 0.0, -2 * ball), out))
    return [*found, *_besides(spec)]


@dataclass(frozen=True)
class _Frame:
    """A mount's own axes: u along its base, v across it, n up."""

    at: Point
    turn_deg: float

    def point(self, spot: Point) -> Point:
        turn = radians(self.turn_deg)
        x, y = spot[0] - self.at[0], spot[1] - self.at[1]
        return x * cos(turn) + y * sin(turn), y * cos(turn) - x * sin(turn), spot[2] - self.at[2]


def _tip(ev: Evaluated, thing_id: int) -> Point:
    return ev.rigged.by_id[thing_id].stand.at(ev.thing(thing_id).length_m)


def _sat_on(ev: Evaluated, seat: Point) -> list[Loading]:
    weighs = ev.setup.angler.mass_kg * GRAVITY_M_S2
    spot = (seat[0], seat[1], max(seat[2], 0.0))
    return [
        _pulled("sat on", "minutes", (0.0, 0.0, -weighs), spot),
        _pulled(
            "dropped into", "snatch", (0.2 * weighs, 0.3 * weighs, -typical.DROP_IN * weighs), spot
        ),
    ]


def _held_out(
    spec: Mount, masses: list[tuple[float, Point]], thing: Thing
) -> list[tuple[float, Point]]:
    """As far out as the arm or the chain holds it, the same way, with the parts of the chain on
    the way there."""
    long_m = sum(part.length_m for part in spec.parts)
    stands_m = held_out_m(masses)
    if stands_m <= 0:
        return masses
    out_m = spec.arm_m or (long_m + thing.height_m / 2 if long_m else stands_m)
    total = sum(mass for mass, _ in masses)
    way = [sum(mass * spot[n] for mass, spot in masses) / total / stands_m for n in range(3)]
    scale = out_m / stands_m
    found = [(mass, (scale * u, scale * v, scale * n)) for mass, (u, v, n) in masses]
    along = 0.0
    for part in spec.parts:
        share = (along + part.length_m / 2) / long_m if long_m else 0.5
        along += part.length_m
        if part.mass_kg:
            far = share * (min(long_m, out_m) if long_m else out_m)
            found.append((part.mass_kg, (far * way[0], far * way[1], far * way[2])))
    return found


def held_out_m(masses: Sequence[tuple[float, Point]]) -> float:
    """How far from the middle of the base the middle of some masses is."""
    total = sum(mass for mass, _ in masses)
    return hypot(*(sum(mass * spot[n] for mass, spot in masses) / total for n in range(3)))


def _besides(spec: Mount) -> Iterator[Loading]:
    """What pulls only where that is said: a leash that runs out, an axle on a step."""
    if "leash" in spec.loads:
        pull = spec.loads["leash"]
        yield _pulled("leash runs out", "snatch", (0.7 * pull, 0.7 * pull, 0.1 * pull), _EYE)
    if "axle" in spec.loads:
        pull = typical.AXLE_BUMP * spec.loads["axle"]
        yield _pulled("axle on a step", "snatch", (-0.5 * pull, 0.0, pull), (0.0, 0.0, 0.0))


_EYE = (0.0, 0.0, 0.02)  # where a line is tied to a mount


def _hooked(spec: Mount, tip: Point) -> Iterator[Loading]:
    """A fish to each side of the rod, and a snag straight off it: along the line, out and down, as
    far out as the rod holds against it."""
    fish = spec.loads.get("fish", typical.LOADS_N["fish"])
    snag = spec.loads.get("snag", typical.LOADS_N["snag"])
    flat, down = cos(radians(typical.FISH_DOWN_DEG)), sin(radians(typical.FISH_DOWN_DEG))
    along = hypot(tip[0], tip[1]) or 1.0
    ahead = (tip[0] / along, tip[1] / along)
    aside = radians(typical.FISH_ASIDE_DEG)
    rows: list[tuple[str, Duration, float, float]] = [
        ("fish on, to port", "minutes", fish, aside),
        ("fish on, to starboard", "minutes", fish, -aside),
        ("snag", "snatch", snag, 0.0),
    ]
    for name, lasts, newtons, turn in rows:
        u = ahead[0] * cos(turn) - ahead[1] * sin(turn)
        v = ahead[0] * sin(turn) + ahead[1] * cos(turn)
        share = min(1.0, typical.ROD_HOLDS_NM / newtons / hypot(*tip))
        at = (share * tip[0], share * tip[1], share * tip[2])
        yield _pulled(name, lasts, (newtons * flat * u, newtons * flat * v, -newtons * down), at)


def _pulled(name: str, lasts: Duration, force_n: Point, at: Point) -> Loading:
    return Loading(name, lasts, ((force_n, at),))


def _shaken(
    name: str, lasts: Duration, masses: list[tuple[float, Point]], accel_g: Point
) -> Loading:
    u, v, n = (GRAVITY_M_S2 * part for part in accel_g)
    pulls = tuple(((mass * u, mass * v, mass * n), spot) for mass, spot in masses)
    return Loading(name, lasts, pulls)


def fitting_pulls(ev: Evaluated, one: Fitting, spec: Mount) -> list[Loading]:
    """A handle is lifted by, a cleat holds a line."""

    def load(of: Load, usual: float) -> float:
        return spec.loads.get(of, usual)

    if isinstance(one, Handle):
        share = ev.setup.boat.hull_mass_kg * GRAVITY_M_S2 / 2 * typical.LIFT_SNATCH
        lift = load("lift", share)
        return [_pulled("lifted by", "minutes", (0.0, 0.2 * lift, lift), (0.0, 0.0, 0.03))]
    if isinstance(one, Cleat):
        pull = load("pull", typical.LOADS_N["pull"])
        foot = (0.0, 0.0, 0.03)
        return [
            _pulled("line taut", "days", (0.0, pull, 0.0), foot),
            _pulled("surge", "snatch", (0.0, 2.5 * pull, 0.3 * pull), foot),
        ]
    return []
