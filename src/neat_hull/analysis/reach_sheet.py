"""Reach at large: the map, needed against actual zones, rods, parking places and the view ahead."""

import numpy as np

from neat_hull.analysis.drawing import BEARINGS_RAD, outline
from neat_hull.analysis.evaluate import CURVE_DEG
from neat_hull.analysis.limits import NEEDED_ZONE, zone_steps
from neat_hull.analysis.reaching import come_by
from neat_hull.analysis.rigging import Rigged, limits_of, rig, spot
from neat_hull.analysis.rods import hand_held, parking, rod_lies, tips_apart
from neat_hull.analysis.sight import covered_deg, dead_arcs
from neat_hull.errors import DoesNotFloat, InputError, NoBalance
from neat_hull.model.figures import Limb
from neat_hull.model.reach import Needs, Reaching, ReachSheet, ZoneEdge
from neat_hull.model.setup import Setup
from neat_hull.physics import hydrostatics
from neat_hull.physics.hydrostatics import RightingCurve
from neat_hull.physics.reach import Zone, edges_m, reaching


def reach_sheet(setup: Setup, height_m: float) -> ReachSheet:
    """All of it, the map at that height over the bottom of the boat."""
    rigged = rig(setup)
    edges = edges_m(rigged.body, limits_of(setup.angler), BEARINGS_RAD, height_m)
    come = come_by(rigged, None)
    held, shortest = hand_held(rigged)
    spread, closest = tips_apart(rigged)
    places, park_in = parking(rigged)
    arcs = dead_arcs(rigged)
    return ReachSheet(
        height_m=height_m,
        edges=[
            ZoneEdge(zone=zone.value, outline=outline(rigged.body, far))
            for zone, far in edges.items()
        ],
        needs=[
            Needs(
                thing_id=stowed.thing_id,
                needed=NEEDED_ZONE[setup.things[stowed.thing_id].use],
                steps_too_far=zone_steps(one.zone.value, setup.things[stowed.thing_id].use),
            )
            for stowed, one in zip(rigged.stowed, come, strict=True)
        ],
        rods=rod_lies(rigged),
        parking=places,
        park_in=park_in,
        hand_held=held,
        shortest_rod_m=shortest,
        spread_m=spread,
        closest_m=closest,
        dead_arcs=arcs,
        dead_deg=covered_deg(arcs),
    )


def reaching_for(setup: Setup, thing_id: int) -> Reaching:
    """The angler on the way to one thing. Raises InputError for a thing that is not aboard."""
    rigged = rig(setup)
    at = next((i for i, s in enumerate(rigged.stowed) if s.thing_id == thing_id), None)
    if at is None:
        raise InputError("thing_id", thing_id, "is not aboard")
    one = come_by(rigged, _curve(rigged))[at]
    body = rigged.body
    if one.zone in (Zone.HAND, Zone.LEAN, Zone.TWIST) and not rigged.stowed[at].stand.on_body:
        body = reaching(body, one.way, np.array(one.grip_m))
    return Reaching(
        thing_id=thing_id,
        zone=one.zone.value,
        hand="port" if one.way.hand == 0 else "starboard",
        limbs=[
            Limb(name=s.name, upper=spot(s.upper_m), far=spot(s.far_m), width_m=s.thickness_m)
            for s in body.segments
        ],
        head_m=spot(next(s for s in body.segments if s.name == "head").far_m),
        heel_deg=one.heels_deg,
        margin_used=one.margin_used,
        freeboard_m=one.freeboard_m,
    )


def _curve(rigged: Rigged) -> RightingCurve | None:
    try:
        return hydrostatics.settle_with_curve(
            rigged.floating, rigged.loads, rigged.water_density_kg_m3, np.radians(CURVE_DEG)
        )[1]
    except (DoesNotFloat, NoBalance):
        return None
