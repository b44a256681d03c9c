"""The boat's lines and the angler's body for the screen, from the same geometry that floats."""

import numpy as np
from shapely import LineString, Point

from neat_hull.model.boat import MeasuredPoint
from neat_hull.model.drawing import Drawing, MeasuredOff, SectionLine
from neat_hull.model.said import Amount, Said
from neat_hull.model.setup import Setup
from neat_hull.physics.body.reach import Zone
from neat_hull.physics.body.reach_edges import edges_m
from neat_hull.physics.body.segments import Body
from neat_hull.physics.hull.lattice import outline_at
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.hull.tape import Tape
from neat_hull.rig.bodies import limits_of
from neat_hull.rig.rigging import point, rig
from neat_hull.subjects.reach.full import BEARINGS_RAD, limbs, outline
from neat_hull.subjects.room.envelopes import needed
from neat_hull.subjects.room.envelopes import outline as outline_of
from neat_hull.subjects.room.lids import lids

_POINTS = 121
_TOE_M = 0.005  # less is within what a shoe gives
KNEES_OVER_SEAT_M = 0.38  # ours: knees that high stand in the way of hands and shaft
_SECTIONS_AT = np.array([0.06, 0.16, 0.28, 0.40, 0.52, 0.64, 0.76, 0.87, 0.95])
AGREES_M = 0.01  # what a tape held to a curved hull can be trusted for


def drawing(setup: Setup) -> Drawing:
    """Lines and body of a setup. Raises InputErrors for measures that mean nothing."""
    bare = rig(setup.model_copy(update={"places": {}}))
    hull, body = bare.floating.hull, bare.body
    tape = Tape(**setup.boat.tape.model_dump(exclude={"assumed"}))
    x = hull.x_aft_m + hull.length_m * 0.5 * (1 - np.cos(np.linspace(0, np.pi, _POINTS)))
    outlines = [outline_at(hull, float(at)) for at in x]
    widest = int(np.argmax([o[:, 0].max() for o in outlines]))
    neck = next(s for s in body.segments if s.name == "trunk").far_m
    out = np.array([0.0, body.build.half_shoulders_m, 0.0])
    # At the height of the gunwale beside the seat: there lies most of what is handled afloat.
    rail_m = hull.gunwale_m(setup.seat.x_m)[1]
    edges = edges_m(body, limits_of(setup.angler), BEARINGS_RAD, rail_m)
    return Drawing(
        x_m=x.tolist(),
        half_breadth_m=[float(o[:, 0].max()) for o in outlines],
        sheer_half_breadth_m=[float(o[-1, 0]) for o in outlines],
        keel_z_m=[float(o[:, 1].min()) for o in outlines],
        sheer_z_m=[float(o[-1, 1]) for o in outlines],
        bottom_beam_m=tape.turn_at * tape.beam_m,
        section=[(float(y), float(z)) for y, z in outlines[widest]],
        section_x_m=float(x[widest]),
        sections=[_section(hull, at) for at in hull.x_aft_m + hull.length_m * _SECTIONS_AT],
        measured=[_measured(hull, point) for point in setup.boat.measured],
        limbs=limbs(body),
        head_m=point(body.eye_m),
        shoulders=[point(neck + out), point(neck - out)],
        reach_m=body.grip_reach_m,
        hand_zone=outline(body, edges[Zone.HAND]),
        lean_zone=outline(body, edges[Zone.TWIST]),
        brace_gap_m=body.brace_gap_m,
        remarks=remarks(setup, body),
        envelopes=[outline_of(one) for one in [*needed(bare), *lids(bare)]],
        eye_m=point(body.eye_m),
    )


def _section(hull: Hull, x_m: float) -> SectionLine:
    points = [(float(y), float(z)) for y, z in outline_at(hull, x_m)]
    return SectionLine(x_m=float(x_m), points=points)


def _measured(hull: Hull, point: MeasuredPoint) -> MeasuredOff:
    """Distance of a measured point from the section at its place; past the ends, from the end."""
    x = min(max(point.x_m, hull.x_aft_m), hull.x_fwd_m)
    off = LineString(outline_at(hull, x)).distance(Point(point.y_m, point.z_m))
    off = float(np.hypot(off, point.x_m - x))
    return MeasuredOff(
        x_m=point.x_m, y_m=point.y_m, z_m=point.z_m, off_m=off, agrees=off <= AGREES_M
    )


def remarks(setup: Setup, body: Body) -> list[Said]:
    """What is wrong with how the angler sits."""
    found = []
    if body.brace_gap_m > _TOE_M:
        found.append(Said.of("The brace is {} beyond straight legs.", length=body.brace_gap_m))
    knee = max(float(s.far_m[2]) for s in body.segments if s.name == "thigh")
    over = knee - setup.seat.z_m
    if over > KNEES_OVER_SEAT_M:
        found.append(
            Said.of(
                "The knees stand {} above the seat; past {} they hit the paddle and tire "
                "your back.",
                length=over,
            )
        )
        found[-1].amounts.append(Amount(kind="length", value=KNEES_OVER_SEAT_M))
    hip = float(body.hip_m[2])
    if hip > knee + _TOE_M and body.brace_gap_m <= _TOE_M and over < 0:
        found.append(Said.of("The knees lie below the seat: raise the brace, or lower the seat."))
    return found
