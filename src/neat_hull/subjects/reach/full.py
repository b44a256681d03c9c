"""Reach at large: the map, needed against actual zones, rods, parking places and the view ahead."""

import numpy as np

from neat_hull.errors import InputError
from neat_hull.model.drawing import Limb
from neat_hull.model.reach import FullReach, Needs, Reaching, ZoneEdge
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.reach import SEATED, reaching
from neat_hull.physics.body.reach_edges import edges_m
from neat_hull.physics.body.segments import Body
from neat_hull.rig.bodies import limits_of
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rigging import point
from neat_hull.subjects.reach.figures import Lean, grips, leans
from neat_hull.subjects.reach.limits import NEEDED_ZONE, zone_steps
from neat_hull.subjects.rods.figures import hand_held, parking, rod_lies, tips_apart
from neat_hull.subjects.sight.figures import covered_deg, dead_arcs

BEARINGS_RAD = np.linspace(-np.pi, np.pi, 73)


def full_reach(ev: Evaluated, height_m: float) -> FullReach:
    """All of it, the map at that height over the bottom of the boat."""
    rigged, setup = ev.rigged, ev.setup
    edges = edges_m(rigged.body, limits_of(setup.angler), BEARINGS_RAD, height_m)
    held, shortest = hand_held(ev)
    spread, closest = tips_apart(ev)
    places, park_in = ev.once(parking)
    arcs = ev.once(dead_arcs)
    return FullReach(
        height_m=height_m,
        edges=[
            ZoneEdge(zone=zone.value, outline=outline(rigged.body, far))
            for zone, far in edges.items()
        ],
        needs=[
            Needs(
                thing_id=thing_id,
                needed=NEEDED_ZONE[ev.thing(thing_id).use],
                steps_too_far=zone_steps(grip.zone.value, ev.thing(thing_id).use),
            )
            for thing_id, grip in sorted(ev.once(grips).items())
        ],
        rods=rod_lies(ev),
        parking=places,
        park_in=park_in,
        hand_held=held,
        shortest_rod_m=shortest,
        spread_m=spread,
        closest_m=closest,
        dead_arcs=arcs,
        dead_deg=covered_deg(arcs),
    )


def outline(body: Body, far_m: Array) -> list[tuple[float, float]]:
    """Edge (x, y) about the hip, `far_m` away on each of BEARINGS_RAD."""
    spots = body.hip_m[:2] + far_m[:, None] * np.column_stack(
        (np.cos(BEARINGS_RAD), np.sin(BEARINGS_RAD))
    )
    return [(float(x), float(y)) for (x, y), d in zip(spots, far_m, strict=True) if d > 0]


def limbs(body: Body) -> list[Limb]:
    """The body's segments, for drawing."""
    return [
        Limb(name=s.name, upper=point(s.upper_m), far=point(s.far_m), width_m=s.thickness_m)
        for s in body.segments
    ]


def reaching_for(ev: Evaluated, thing_id: int) -> Reaching:
    """The angler on the way to one thing. Raises InputError for a thing that is not aboard."""
    if thing_id not in ev.setup.places:
        raise InputError("thing_id", thing_id, "is not aboard")
    grip, body = ev.once(grips)[thing_id], ev.rigged.body
    if grip.zone in SEATED and not grip.worn:
        body = reaching(body, grip.way, np.array(grip.at_m))
    lean = ev.once(leans).get(thing_id, Lean())
    return Reaching(
        thing_id=thing_id,
        zone=grip.zone.value,
        hand="port" if grip.way.hand == 0 else "starboard",
        limbs=limbs(body),
        head_m=point(body.eye_m),
        heel_deg=lean.heels_deg,
        margin_used=lean.margin_used,
        freeboard_m=lean.freeboard_m,
    )
