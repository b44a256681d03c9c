"""Where a trolley's rope runs, taut round the side of the hull from block to block."""

from math import cos, radians, sin

import numpy as np

from neat_hull.model.hold_figures import RopeFigure
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.segments import LEGS
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.reaching import reach_of
from neat_hull.rig.rigging import Stowed, point
from neat_hull.rig.trolley import rope_points
from neat_hull.subjects.hold import typical

_POINTS = 60
_REACHED = ("hand", "lean")


def rope(ev: Evaluated) -> RopeFigure | None:
    """None without a trolley."""
    one = ev.setup.hold.trolley
    if one is None:
        return None
    seat, points = ev.setup.seat, rope_points(ev.rigged.floating.hull, one, _POINTS)
    x = points[:, 0]
    near, far = typical.STROKE_M
    return RopeFigure(
        ends=(point(points[0]), point(points[-1])),
        meets=[ev.name(s.thing_id) for s in ev.rigged.stowed if _touches(ev, s, points)],
        on_legs=_on_legs(ev, points),
        in_stroke=one.over_m > typical.IN_THE_STROKE_M
        and bool(((x > seat.x_m + near) & (x < seat.x_m + far)).any()),
        in_reach=any(found.zone.value in _REACHED for found in reach_of(ev.rigged, points[::6])),
    )


def _touches(ev: Evaluated, one: Stowed, points: Array) -> bool:
    thing, stand = ev.thing(one.thing_id), one.stand
    if stand.on_body or ev.rigged.placing.covered(one.thing_id):
        return False
    near = typical.ROPE_TOUCHES_M
    if thing.long:
        thick = min(thing.width_m, thing.height_m) / 2
        ends = np.array(stand.at(0.0)), np.array(stand.at(thing.length_m))
        return _apart_m(points, *ends) < near + thick
    turn = radians(stand.turn_deg)
    dx, dy = points[:, 0] - stand.x_m, points[:, 1] - stand.y_m
    along, across = dx * cos(turn) + dy * sin(turn), dy * cos(turn) - dx * sin(turn)
    up = points[:, 2] - stand.base_z_m
    inside = (np.abs(along) < thing.length_m / 2 + near) & (
        np.abs(across) < thing.width_m / 2 + near
    )
    return bool((inside & (up > -near) & (up < thing.height_m + near)).any())


def _on_legs(ev: Evaluated, points: Array) -> bool:
    legs = [one for one in ev.rigged.body.segments if one.name in LEGS]
    return any(
        _apart_m(points, one.upper_m, one.far_m) < one.thickness_m / 2 + typical.ROPE_TOUCHES_M
        for one in legs
    )


def _apart_m(points: Array, a: Array, b: Array) -> float:
    """The least way from points (n, 3) to the stretch from a to b."""
    long = b - a
    share = np.clip(((points - a) @ long) / max(float(long @ long), 1e-12), 0.0, 1.0)
    off = points - a - share[:, None] * long
    return float(np.sqrt((off**2).sum(axis=1)).min())
