"""Where wires run: over the water, off the legs, held, and not rubbing."""

from collections.abc import Iterable
from itertools import pairwise
from math import dist

from neat_hull.model.base import Point
from neat_hull.model.cautions import WIRING
from neat_hull.model.said import Said, capital, plain
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.subjects.power.routes import (
    BESIDE_FOR_M,
    BESIDE_M,
    HELD,
    RUB_M,
    among_the_legs,
    beside_motors,
    heights,
    on_tracks,
    routes,
)
from neat_hull.subjects.power.rules.common import wire_words


@rule("power-gland-low", topic="power")
def gland_low(ev: Evaluated) -> Iterable[Found]:
    """A wire's hole through the deck near the water, at rest and heeled as the trip heels it."""
    for one in ev.once(heights):
        if not past(ev, "gland", one.over_m):
            continue
        heeled = f" at {abs(one.heel_deg):.0f}° of heel" if one.heel_deg else ""
        yield from against(
            ev,
            "gland",
            one.over_m,
            Said.of(
                f"Hole for the {wire_words(ev, one.key)}: {{}} above the water{heeled}",
                length=one.over_m,
            ),
            Said.of(
                "Move it {} up, or to the high side of a bulkhead",
                length=ev.table["gland"].fine - one.over_m,
            ),
            thing_id=ev.setup.power.conductors[one.key].end,
            part=f"wire {one.key} at {one.at}",
            at=one.point,
            where=ev.whereabouts(one.point[0], one.point[1]),
            caution=WIRING,
        )


@rule("power-among-legs", topic="power")
def in_leg_room(ev: Evaluated) -> Iterable[Found]:
    """A wire where legs, feet and pedals move: it gets kicked, and one gets caught in it."""
    worst: dict[int, tuple[float, str, Point]] = {}
    for one in ev.once(among_the_legs):
        if one.key not in worst or one.clear_m > worst[one.key][0]:
            worst[one.key] = one.clear_m, one.room, one.at
    for key, (clear_m, room, at) in worst.items():
        yield Found(
            "fix",
            Said.of(f"{capital(wire_words(ev, key))}: in the way of {room}"),
            "Feet tear it out, and a foot caught in it keeps you in the boat.",
            Said.of("Lead it {} farther off, along the gunwale or under the deck", length=clear_m),
            badness=clear_m,
            thing_id=ev.setup.power.conductors[key].end,
            part=f"wire {key}",
            at=at,
            where=ev.whereabouts(at[0], at[1]),
            figure=amount("length", clear_m),
        )


@rule("power-rubs", topic="power")
def rubs(ev: Evaluated) -> Iterable[Found]:
    """Through a bare hole or over a hatch's rim without loom: it saws through."""
    for key, route in ev.once(routes).items():
        one = ev.setup.power.conductors[key]
        for n, by in enumerate(route.held):
            if by not in ("hole", "hatch") or one.loom:
                continue
            at = route.points[n + 1]
            yield Found(
                "fix",
                Said.of(
                    f"{capital(wire_words(ev, key))}: rubs "
                    + ("in its hole" if by == "hole" else "on the hatch's rim")
                ),
                "Every wave saws at it until bare copper meets salt water.",
                Said.of("Fit a gland or grommet" if by == "hole" else "Put loom around it there"),
                badness=1.0,
                thing_id=one.end,
                part=f"wire {key} at {n}",
                at=at,
                where=ev.whereabouts(at[0], at[1]),
            )


@rule("power-on-a-track", topic="power")
def on_a_track(ev: Evaluated) -> Iterable[Found]:
    """Against a track that something slides on: it gets pinched."""
    for one in ev.once(on_tracks):
        yield Found(
            "fix",
            Said.of(f"{capital(wire_words(ev, one.key))}: on {plain(one.track)}"),
            "What slides on the track pinches and saws it.",
            Said.of("Lead it {} clear of the track", length=RUB_M),
            badness=1.0,
            thing_id=ev.setup.power.conductors[one.key].end,
            part=f"wire {one.key}",
            at=one.at,
            where=ev.whereabouts(one.at[0], one.at[1]),
        )


@rule("power-hangs-free", topic="power", many="{} wires: hang free too far")
def hangs_free(ev: Evaluated) -> Iterable[Found]:
    """Farther between two places that hold it than usual practice has it, in the open."""
    for key, route in ev.once(routes).items():
        one = ev.setup.power.conductors[key]
        if all(ev.rigged.placing.covered(i) for i in (one.start, one.end)):
            continue
        free, at = _longest_free(route.points, route.held)
        if past(ev, "free wire", free):
            yield from against(
                ev,
                "free wire",
                free,
                Said.of(f"{capital(wire_words(ev, key))}: hangs free for {{}}", length=free),
                Said.of("Clip it to the hull on the way"),
                thing_id=one.end,
                part=f"wire {key}",
                at=at,
                where=ev.whereabouts(at[0], at[1]),
            )


def _longest_free(points: tuple[Point, ...], held: tuple[str, ...]) -> tuple[float, Point]:
    """The longest way between two places that hold a wire, its ends among them, and its middle."""
    best, at, since, began = 0.0, points[0], 0.0, points[0]
    for n, (a, b) in enumerate(pairwise(points)):
        since += dist(a, b)
        if n == len(held) or held[n] in HELD:
            if since > best:
                best = since
                at = tuple((p + q) / 2 for p, q in zip(began, b, strict=True))  # type: ignore[assignment]
            since, began = 0.0, b
    return best, at


@rule("power-beside-motor", topic="power")
def beside_motor(ev: Evaluated) -> Iterable[Found]:
    """A screen's or light's wire close along a motor's. Usual practice keeps them apart."""
    for one in ev.once(beside_motors):
        end = ev.setup.power.conductors[one.key].end
        yield Found(
            "watch",
            Said.of(
                f"{capital(wire_words(ev, one.key))}: {{}} beside a motor's", length=one.along_m
            ),
            "The motor's current shows as noise on the sonar.",
            Said.of("Lead it {} away, or on the other side; to cross it is fine", length=BESIDE_M),
            badness=one.along_m,
            thing_id=end,
            part=f"wire {one.key}",
            at=one.at,
            where=ev.whereabouts(one.at[0], one.at[1]),
            figure=amount("length", one.along_m),
            limit=amount("length", BESIDE_FOR_M),
        )


RULES = (gland_low, in_leg_room, rubs, on_a_track, hangs_free, beside_motor)
