"""What can be marked with a template: mounts that are bolted, glands of wires, transducers."""

from math import cos, pi, sin

from neat_hull.errors import NotFoundError
from neat_hull.model.base import Point
from neat_hull.model.template import Spot, Template, TemplateHole
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.joining import BOLTED
from neat_hull.subjects.fixing.ledger import edge_m
from neat_hull.subjects.fixing.mounting import Fixed, fixed
from neat_hull.subjects.power.figures import routes

_ROUND = 48
_HINTS = {
    "through bolt": "through bolts: a washer or a plate behind each",
    "rivet nut": "rivet nuts: to their own hole, not the bolt's",
    "well nut": "well nuts: to their own hole",
    "screw": "pilot holes for screws",
    "track bolt": "bolts of a track: mark only, its slot is there",
}


def template_keys(ev: Evaluated) -> list[tuple[str, str]]:
    """What has a template: its key, and what it is called."""
    found = [(one.key, one.name) for one in ev.once(fixed) if one.by in BOLTED]
    for key, route in ev.once(routes).items():
        name = ev.name(ev.setup.power.conductors[key].end)
        found += [
            (f"wire {key} {i}", f"{by} for the wire to {name}")
            for i, by in enumerate(route.held)
            if typical.wire_hole_mm(by) is not None
        ]
    return found


def template(ev: Evaluated, key: str) -> Template:
    """One template. Raises NotFoundError for a key that nothing has."""
    for one in ev.once(fixed):
        if one.key == key and one.by in BOLTED:
            return _of_mount(ev, one)
    parts = key.split()
    if len(parts) == 3 and parts[0] == "wire" and parts[1].isdecimal() and parts[2].isdecimal():
        route = ev.once(routes).get(int(parts[1]))
        at = int(parts[2])
        if route is not None and at < len(route.held):
            by = route.held[at]
            d_mm = typical.wire_hole_mm(by)
            if d_mm is not None:
                return _of_gland(ev, int(parts[1]), route.points[at + 1], by, d_mm)
    raise NotFoundError(f"nothing here has a template by {key!r}")


def _flat(middle: Point, at: Point) -> Spot:
    """A point of the boat on the sheet, mm: to starboard, and toward the bow."""
    return 1000 * (middle[1] - at[1]), 1000 * (at[0] - middle[0])


def _circle(radius: float) -> list[Spot]:
    turns = (2 * pi * n / _ROUND for n in range(_ROUND))
    return [(radius * cos(turn), radius * sin(turn)) for turn in turns]


def _of_mount(ev: Evaluated, one: Fixed) -> Template:
    geometry, hull = one.geometry, ev.rigged.floating.hull
    d_mm = typical.hole_mm(one.by, geometry.size) or typical.SIZES[geometry.size][1]
    u, v = geometry.length_m / 2, geometry.width_m / 2
    rim = [(u, v), (u, -v), (-u, -v), (-u, v)]
    if geometry.shape == "round":
        rim = _circle(u)
    spots = [_flat(one.at, one.on_boat(spot)) for spot in geometry.bolts_m]
    thing = None if one.thing_id is None else ev.thing(one.thing_id)
    sounder = thing is not None and thing.transducer is not None
    return Template(
        name=one.name,
        kind="transducer" if sounder else "mount",
        holes=[
            TemplateHole(name=f"{n}", x_mm=x, y_mm=y, d_mm=d_mm)
            for n, (x, y) in enumerate(spots, start=1)
        ],
        outline=[_flat(one.at, one.on_boat(spot)) for spot in rim],
        round_=geometry.shape == "round",
        from_bow_mm=1000 * (hull.x_fwd_m - one.at[0]),
        off_middle_mm=-1000 * one.at[1],
        edge_mm=1000 * min(edge_m(hull, one.on_boat(spot)) for spot in geometry.bolts_m),
        hint=_HINTS[one.by],
    )


def _of_gland(ev: Evaluated, key: int, at: Point, by: str, d_mm: float) -> Template:
    name = ev.name(ev.setup.power.conductors[key].end)
    return Template(
        name=f"{by.capitalize()} for the wire to {name}",
        kind="gland",
        holes=[TemplateHole(name="1", x_mm=0.0, y_mm=0.0, d_mm=d_mm)],
        outline=_circle(1.5 * d_mm / 2),
        round_=True,
        from_bow_mm=1000 * (ev.rigged.floating.hull.x_fwd_m - at[0]),
        off_middle_mm=-1000 * at[1],
        edge_mm=1000 * edge_m(ev.rigged.floating.hull, at),
        hint="measure the gland or the plug that goes through before drilling",
    )
