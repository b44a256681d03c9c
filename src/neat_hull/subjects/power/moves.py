"""What could be done about the wiring: another fuse, gauge, way, battery; each tried in full."""

from collections.abc import Iterable, Iterator
from itertools import pairwise
from math import ceil, dist

import numpy as np
from pydantic import JsonValue

from neat_hull.model.base import Point
from neat_hull.model.findings import Finding
from neat_hull.model.power import Conductor, RoutePoint
from neat_hull.model.power_figures import ConductorFigure
from neat_hull.model.said import Said
from neat_hull.physics.circuits.tables import AWG_LISTED, BLOCK_V
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.power.figures import drop_limit, power
from neat_hull.subjects.power.routes import HELD, heights, length_m, post_m, routes
from neat_hull.subjects.power.rules.common import conductors, wire_words
from neat_hull.subjects.power.sizing import fuse_for, gauge_for, thicker_awg
from neat_hull.subjects.power.wiring import way_back, wired

AT_THE_POST_M = 0.10
_CLIP_EVERY_M = 0.40  # under what may hang free
_IN_M = 0.02  # of the gunwale's edge: where clips sit, outboard of tracks
_NEW_FUSE_A = 5.0
_ASIDE_M = 0.03  # beside a track
_ROOM = 0.7  # of the voltage that may be lost: so that a little more wire still passes
NO_LIMIT_A = 1000.0


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of the wiring for a finding."""
    make = _BY_CODE.get(finding.code)
    return () if make is None else make(ev, finding)


def tries(ev: Evaluated, finding: Finding) -> Tries:
    """What is named, and for what a shorter way helps, the battery that feeds it."""
    named = named_in(finding)
    if finding.code in ("power-drop", "power-browns-out", "power-short-circuit"):
        wires = ev.setup.power.conductors
        for i in named:
            way = list(way_back(ev, i, wires))
            if way and wires[way[-1]].start in ev.setup.places:
                named = (*named, wires[way[-1]].start)
    return Tries(tuple(dict.fromkeys(named)))


def _key(ev: Evaluated, finding: Finding) -> int | None:
    """The wire that a finding is about, by its part: `wire 3`, `wire 3 at 0`."""
    words = finding.key.rpartition(":")[2].split()
    if len(words) > 1 and words[0] == "wire" and words[1].isdecimal():
        key = int(words[1])
        return key if key in ev.setup.power.conductors else None
    return None


def _figure(ev: Evaluated, finding: Finding) -> ConductorFigure | None:
    key = _key(ev, finding)
    return None if key is None else ev.once(conductors).get(key)


def _work(ev: Evaluated, key: int, words: Said, **fields: object) -> Work:
    """A wire with other fields; a new one where there is none by that key."""
    power_now = ev.setup.power
    known = power_now.conductors.get(key)
    if known is None:
        new = Conductor.model_validate(fields)
        patch: dict[str, JsonValue] = new.model_dump(mode="json")
    else:
        new = known.model_copy(update=fields)
        dumped = new.model_dump(mode="json")
        patch = {name: dumped[name] for name in fields}
    section = power_now.model_copy(update={"conductors": {**power_now.conductors, key: new}})
    return Work(words, {"power": section}, {"power": {"conductors": {str(key): patch}}})


def _fuses(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    figure = _figure(ev, finding)
    if figure is None:
        return
    name, key = wire_words(ev, figure.key), figure.key
    fuse = fuse_for(figure.full_a, figure.ampacity_a)
    if fuse is not None:
        words = Said.of(f"Put a fuse of {{}} into the {name}", current=fuse)
        yield _work(ev, key, words, fuse_a=float(fuse), fuse_at_m=AT_THE_POST_M)
    yield from _gauges(ev, finding)


def _nearer_fuse(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    figure = _figure(ev, finding)
    if figure is not None:
        words = Said.of(
            f"Move the fuse of the {wire_words(ev, figure.key)} to {{}} from the post",
            length=AT_THE_POST_M,
        )
        yield _work(ev, figure.key, words, fuse_at_m=AT_THE_POST_M)


def _gauges(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    figure = _figure(ev, finding)
    awg = None if figure is None else thicker_awg(ev, figure)
    if figure is not None and awg is not None:
        yield _thicker(ev, figure, awg)


def _thicker(ev: Evaluated, figure: ConductorFigure, awg: int) -> Work:
    words = Said.of(f"AWG {awg} for the {wire_words(ev, figure.key)}")
    return _work(ev, figure.key, words, awg=awg, area_mm2=None)


def _less_drop(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    """The wire that loses most on the way gets thicker, then each other of the way."""
    figures = ev.once(power)
    loads = [] if figures is None else figures.loads
    load = next((one for one in loads if one.thing_id == finding.thing_id), None)
    if load is None or load.drop_share <= 0:
        return
    wires = ev.once(conductors)
    way = [wires[key] for key in way_back(ev, load.thing_id, wires)]
    limit = ev.table[drop_limit(ev.thing(load.thing_id).draw)].fine
    allowed = limit * load.drop_v / load.drop_share
    for one in sorted(way, key=lambda one: -one.drop_v):
        awg = gauge_for(ev, one, allowed - (load.drop_v - one.drop_v))
        if awg is not None:
            yield _thicker(ev, one, awg)
    yield from _other_feed(ev, finding)


def _other_feed(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    """From another battery aboard, the one that feeds least first."""
    thing_id = finding.thing_id
    if thing_id is None:
        return
    found = ev.once(wired)
    now = {ev.setup.power.conductors[key].end: key for key in found.wires}
    busy: dict[int, int] = {}
    for key in found.wires:
        start = ev.setup.power.conductors[key].start
        busy[start] = busy.get(start, 0) + 1
    for battery in sorted(found.batteries, key=lambda i: busy.get(i, 0)):
        fed_by = now.get(thing_id)
        if fed_by is not None and ev.setup.power.conductors[fed_by].start == battery:
            continue
        points = _along_gunwale(ev, battery, thing_id, _side(ev, thing_id))
        words = Said.of(f"Feed {ev.name(thing_id)} from {ev.name(battery)}")
        if fed_by is not None:
            fuse_a = ev.setup.power.conductors[fed_by].fuse_a or _NEW_FUSE_A
            yield _work(ev, fed_by, words, start=battery, points=points, fuse_a=fuse_a,
                        fuse_at_m=AT_THE_POST_M)  # fmt: skip
        else:
            yield _new_wire(ev, battery, thing_id, words)


def _fed(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    """A wire of its own, from a fuse block first, then from each battery."""
    thing_id = finding.thing_id
    found = ev.once(wired)
    if thing_id is None or not found.batteries:
        return
    fed = {ev.setup.power.conductors[key].end for key in found.wires}
    blocks = [i for i in fed if ev.thing(i).fuse is not None]
    for start in (*blocks, *found.batteries):
        words = Said.of(f"Lead a wire from {ev.name(start)} to {ev.name(thing_id)}")
        yield _new_wire(ev, start, thing_id, words)


def _new_wire(ev: Evaluated, start: int, end: int, words: Said) -> Work:
    key = max(ev.setup.power.conductors, default=0) + 1
    new = new_wire(ev, start, end)
    return _work(ev, key, words, **{name: getattr(new, name) for name in Conductor.model_fields})


def new_wire(ev: Evaluated, start: int, end: int) -> Conductor:
    """A wire along the gunwale, of a gauge and with a fuse that its draw asks for; both things are
    aboard. Behind a fuse block too, each wire has its own fuse."""
    draw = ev.thing(end).draw
    points = _along_gunwale(ev, start, end, _side(ev, end))
    full = _full_a(draw.amps, draw.watts, draw.ohms, draw.efficiency or 1.0) if draw else 0.0
    way = [post_m(ev, start), *((p.x_m, p.y_m, p.z_m) for p in points), post_m(ev, end)]
    along = length_m(way, 0)
    figure = ConductorFigure(
        key=0, points=way, length_m=along, fed=True, resistance_ohm=0.0, ampacity_a=0.0,
        full_a=full, drop_v=0.0, drop_share=0.0, drop_verdict="fine", guard_fuse_a=None,
        copper_kg=0.0,
    )  # fmt: skip
    trial = Conductor(start=start, end=end, awg=16)
    spare_v = _ROOM * ev.table[drop_limit(draw)].fine * BLOCK_V
    awg = gauge_for(ev, figure, spare_v, trial) or gauge_for(ev, figure, BLOCK_V, trial)
    fuse = fuse_for(full, NO_LIMIT_A) or _NEW_FUSE_A
    return trial.model_copy(update={"awg": awg or min(AWG_LISTED), "points": points,
                                    "fuse_a": float(fuse), "fuse_at_m": AT_THE_POST_M})  # fmt: skip


def _full_a(
    amps: float | None, watts: float | None, ohms: float | None, efficiency: float
) -> float:
    if amps is not None:
        return amps
    if watts is not None:
        return watts / efficiency / BLOCK_V
    return BLOCK_V / ohms if ohms else 0.0


def _side(ev: Evaluated, thing_id: int) -> float:
    """The side that a thing is nearer to: 1 port, −1 starboard."""
    return 1.0 if post_m(ev, thing_id)[1] >= 0 else -1.0


def _along_gunwale(ev: Evaluated, start: int, end: int, side: float) -> list[RoutePoint]:
    """Clips along one gunwale, from abeam of the one thing to abeam of the other; where it crosses
    the boat, it does so behind the seat or ahead of the feet."""
    a, b = post_m(ev, start), post_m(ev, end)
    count = max(1, ceil(abs(b[0] - a[0]) / _CLIP_EVERY_M))
    abeam = [_at_gunwale(ev, float(x), side) for x in np.linspace(a[0], b[0], count + 1)]
    way = _clipped([a, *abeam, b])
    return [RoutePoint(x_m=x, y_m=y, z_m=z) for x, y, z in way[1:-1]]


def _at_gunwale(ev: Evaluated, x_m: float, side: float) -> Point:
    half, height = ev.rigged.floating.hull.gunwale_m(x_m)
    return x_m, side * max(0.0, half - _IN_M), height


def _clipped(points: list[Point]) -> list[Point]:
    """With more points on the way where two are farther apart than a wire may hang."""
    found = [points[0]]
    for a, b in pairwise(points):
        count = max(1, ceil(dist(a, b) / _CLIP_EVERY_M))
        for n in range(1, count + 1):
            x, y, z = (p + (q - p) * n / count for p, q in zip(a, b, strict=True))
            found.append((x, y, z))
    return found


def _another_way(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    key = _key(ev, finding)
    if key is None:
        return
    one = ev.setup.power.conductors[key]
    for side in (_side(ev, one.end), -_side(ev, one.end)):
        port = "port" if side > 0 else "starboard"
        words = Said.of(f"Lead the {wire_words(ev, key)} along the {port} gunwale")
        yield _work(ev, key, words, points=_along_gunwale(ev, one.start, one.end, side))


def _more_clips(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    key = _key(ev, finding)
    if key is None:
        return
    one, route = ev.setup.power.conductors[key], ev.once(routes)[key]
    points: list[RoutePoint] = []
    known = list(one.points)
    for n, (a, b) in enumerate(pairwise(route.points)):
        between = _clipped([a, b])[1:-1]
        points += [RoutePoint(x_m=x, y_m=y, z_m=z) for x, y, z in between]
        if n < len(known):
            point = known[n]
            points.append(point if point.by in HELD else point.model_copy(update={"by": "clip"}))
    more = len(points) - len(known)
    words = Said.of(f"Clip the {wire_words(ev, key)} in {{}} more places", count=more)
    yield _work(ev, key, words, points=points)


def _off_the_track(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    """Its points that lie on the track a little outboard, or inboard."""
    key = _key(ev, finding)
    if key is None or finding.at is None:
        return
    points = ev.setup.power.conductors[key].points
    for out in (1.0, -1.0):
        moved = [
            p.model_copy(update={"y_m": p.y_m + out * _ASIDE_M * (1.0 if p.y_m >= 0 else -1.0)})
            if abs(p.y_m - finding.at[1]) < _ASIDE_M and abs(p.z_m - finding.at[2]) < _ASIDE_M
            else p
            for p in points
        ]
        word = "outboard" if out > 0 else "inboard"
        words = Said.of(f"Lead the {wire_words(ev, key)} {word} of the track")
        yield _work(ev, key, words, points=moved)


def _no_rub(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    key = _key(ev, finding)
    if key is None:
        return
    one = ev.setup.power.conductors[key]
    if any(point.by == "hole" for point in one.points):
        points = [p.model_copy(update={"by": "gland"}) if p.by == "hole" else p for p in one.points]
        yield _work(ev, key, Said.of(f"Fit a gland for the {wire_words(ev, key)}"), points=points)
    yield _work(ev, key, Said.of(f"Put loom around the {wire_words(ev, key)}"), loom=True)


def _higher(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    key = _key(ev, finding)
    if key is None:
        return
    fine, points = ev.table["gland"].fine, list(ev.setup.power.conductors[key].points)
    for one in ev.once(heights):
        if one.key == key and one.over_m < fine:
            up = fine - one.over_m + 0.01
            point = points[one.at]
            points[one.at] = point.model_copy(update={"z_m": point.z_m + up})
    words = Said.of(f"Put the hole for the {wire_words(ev, key)} higher")
    yield _work(ev, key, words, points=points)


_BY_CODE = {
    "power-no-fuse": _fuses,
    "power-fuse-over-wire": _fuses,
    "power-fuse-tight": _fuses,
    "power-fuse-far": _nearer_fuse,
    "power-wire-over": _gauges,
    "power-thin-wire": _gauges,
    "power-short-circuit": _gauges,
    "power-drop": _less_drop,
    "power-browns-out": _less_drop,
    "power-unfed": _fed,
    "power-among-legs": _another_way,
    "power-hangs-free": _more_clips,
    "power-beside-motor": _another_way,
    "power-rubs": _no_rub,
    "power-on-a-track": _off_the_track,
    "power-gland-low": _higher,
}
