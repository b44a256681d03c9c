"""The boat's lines and the angler's body for the screen, from the same geometry that floats."""

import numpy as np
from shapely import LineString, Point

from neat_hull.analysis.rigging import floating_hull, seated_body, spot
from neat_hull.model.boat import MeasuredPoint
from neat_hull.model.figures import Drawing, Limb, MeasuredOff, SectionLine
from neat_hull.model.setup import Setup
from neat_hull.physics.body import HALF_SHOULDERS, Body
from neat_hull.physics.hull import Hull
from neat_hull.physics.lattice import outline_at
from neat_hull.physics.reach import Zone, farthest_m

_POINTS = 121
_SECTIONS_AT = np.array([0.06, 0.16, 0.28, 0.40, 0.52, 0.64, 0.76, 0.87, 0.95])
AGREES_M = 0.01  # what a tape held to a curved hull can be trusted for
_BEARINGS_RAD = np.linspace(-np.pi, np.pi, 49)
# Reach is mapped at the height of the lap, where most of what is handled on the water lies.
_ZONE_OVER_SEAT_M = 0.20


def drawing(setup: Setup) -> Drawing:
    """Lines and body of a setup. Raises InputErrors for measures that mean nothing."""
    hull = floating_hull(setup.boat).hull
    body = seated_body(setup, hull.length_m)
    x = hull.x_aft_m + hull.length_m * 0.5 * (1 - np.cos(np.linspace(0, np.pi, _POINTS)))
    outlines = [outline_at(hull, float(at)) for at in x]
    widest = int(np.argmax([o[:, 0].max() for o in outlines]))
    neck = next(s for s in body.segments if s.name == "trunk").far_m
    out = np.array([0.0, HALF_SHOULDERS * body.stature_m, 0.0])
    lap_m = setup.seat.z_m + _ZONE_OVER_SEAT_M
    return Drawing(
        x_m=x.tolist(),
        half_breadth_m=[float(o[:, 0].max()) for o in outlines],
        sheer_half_breadth_m=[float(o[-1, 0]) for o in outlines],
        keel_z_m=[float(o[:, 1].min()) for o in outlines],
        sheer_z_m=[float(o[-1, 1]) for o in outlines],
        section=[(float(y), float(z)) for y, z in outlines[widest]],
        section_x_m=float(x[widest]),
        sections=[_section(hull, at) for at in hull.x_aft_m + hull.length_m * _SECTIONS_AT],
        measured=[_measured(hull, point) for point in setup.boat.measured],
        limbs=[
            Limb(name=s.name, upper=spot(s.upper_m), far=spot(s.far_m),
                 width_m=s.thickness_m)
            for s in body.segments
        ],
        head_m=spot(next(s for s in body.segments if s.name == "head").far_m),
        shoulders=[spot(neck + out), spot(neck - out)],
        reach_m=body.grip_reach_m,
        hand_zone=_zone_edge(body, frozenset({Zone.HAND}), lap_m),
        lean_zone=_zone_edge(body, frozenset(Zone) - {Zone.OUT}, lap_m),
        brace_gap_m=body.brace_gap_m,
    )  # fmt: skip


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


def _zone_edge(body: Body, zones: frozenset[Zone], z_m: float) -> list[tuple[float, float]]:
    """Outline (x, y) of what is come by within `zones` at height z, about the hip."""
    far = farthest_m(body, zones, _BEARINGS_RAD, z_m)
    spots = body.hip_m[:2] + far[:, None] * np.column_stack(
        (np.cos(_BEARINGS_RAD), np.sin(_BEARINGS_RAD))
    )
    return [(float(x), float(y)) for (x, y), d in zip(spots, far, strict=True) if d > 0]
