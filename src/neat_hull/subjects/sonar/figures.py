"""What a transducer sees from where it hangs, and what it meets there."""

import math
from dataclasses import dataclass

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import DriveWell
from neat_hull.model.said import Verdict
from neat_hull.model.sonar import Sonar, SonarFigure, Transducer
from neat_hull.model.thing import Thing
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.lattice import outline_at
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.demands.figures import over_water, over_water_trimmed

SPEED_M_S = 1.5  # a brisk pedalling pace, at which drag is told
DRAG_OF_A_POLE = 1.1  # of a cylinder across the stream (Hoerner, Fluid-Dynamic Drag, 1965, ch. 3)
BESIDE_DRIVE_M = 0.15  # to the side of it the wash passes
UNREAD = ("remount", "flooded")  # then nobody sits there to look at it
BOW_SHARE = 0.15  # of the length: there a hull draws air under it


@dataclass(frozen=True)
class Depths:
    """Of a point under the water: at rest, and the least of what the trip's demands make of it.

    heel_deg and trim_deg (against rest, bow up) say how the boat lies then, both 0 where that is at
    rest; by is the demand that sinks or lifts and trims it so, None for a heel.
    """

    rest_m: float
    least_m: float
    heel_deg: float
    trim_deg: float
    by: str | None


def depths(ev: Evaluated, spot: Point) -> Depths | None:
    """None for a boat that does not float."""
    seen = over_water(ev, np.array([spot]), without=UNREAD)
    if not seen:
        return None
    heel, highest = max(seen, key=lambda one: one[1][0])
    rest_m, least_m, trim, by = -float(seen[0][1][0]), -float(highest[0]), 0.0, None
    for one in over_water_trimmed(ev, np.array([spot]), without=UNREAD):
        if -one.over_m[0] < least_m:
            least_m, heel, trim, by = -float(one.over_m[0]), 0.0, one.trim_deg, one.title
    return Depths(rest_m, least_m, heel, trim, by)


def sonar(ev: Evaluated) -> Sonar | None:
    """All transducers aboard; None without one, or for a boat that does not float."""
    found = []
    for i in ev.setup.places:
        one = ev.thing(i).transducer
        figure = None if one is None else _figure(ev, i, one)
        if figure is not None:
            found.append(figure)
    return Sonar(transducers=found) if found else None


def face_m(ev: Evaluated, thing_id: int) -> Point:
    """The middle of its face: the foot of what stands, the low end of what hangs along a pole."""
    stand, thing = ev.rigged.by_id[thing_id].stand, ev.thing(thing_id)
    if not thing.long:
        return stand.x_m, stand.y_m, stand.base_z_m
    ends = stand.at(0.0), stand.at(thing.length_m)
    return min(ends, key=lambda end: end[2])


def _figure(ev: Evaluated, thing_id: int, one: Transducer) -> SonarFigure | None:
    face = face_m(ev, thing_id)
    under = depths(ev, face)
    if under is None:
        return None
    hull, thing = ev.rigged.floating.hull, ev.thing(thing_id)
    bottom = ev.setup.demands.depth_m
    drag = drag_n(thing, one, under.rest_m, ev.rigged.water_density_kg_m3)
    ball = _ball(ev)
    levels = ev.table["face under"]
    worst: Verdict = levels.verdict(under.least_m)
    return SonarFigure(
        thing_id=thing_id,
        mount=one.mount,
        face_at=face,
        depth_m=under.rest_m,
        least_m=under.least_m,
        least_heel_deg=under.heel_deg,
        least_trim_deg=under.trim_deg,
        least_by=under.by,
        below_hull_m=float(hull.keel_z_m.min()) - face[2],
        below_here_m=hull.keel_at_m(face[0]) - face[2],
        behind_drive_m=behind_drive_m(ev, face),
        from_bow_share=(hull.x_fwd_m - face[0]) / hull.length_m,
        cut_off_deg=cut_off_deg(hull, face) if one.side_beams else 0.0,
        bottom_m=bottom,
        bottom_wide_m=cone_m(bottom - max(0.0, under.rest_m), one.cone_deg),
        cone_deg=one.cone_deg,
        drag_n=drag,
        heel_deg=_heel_by_drag_deg(ev, drag, face),
        speed_m_s=SPEED_M_S,
        ball_from_m=None if ball is None else in_cone_from_m(face, ball, one.cone_deg),
        ball_at=ball,
        verdict=worst,
    )


def cone_m(depth_m: float, cone_deg: float) -> float:
    """Across a cone at a depth under its face: 2·d·tan(θ/2)."""
    return 2 * max(0.0, depth_m) * math.tan(math.radians(cone_deg) / 2)


def in_cone_from_m(face: Point, ball: Point, cone_deg: float) -> float:
    """From which depth under the face on something straight under `ball` is in the cone."""
    aside = math.hypot(ball[0] - face[0], ball[1] - face[1])
    return aside / math.tan(math.radians(cone_deg) / 2)


def _ball(ev: Evaluated) -> Point | None:
    """Where a downrigger's line goes down: abeam of it, as far out as its boom stands."""
    for i in ev.setup.places:
        if ev.thing(i).downrigger is not None:
            stand = ev.rigged.by_id[i].stand
            side = 1.0 if stand.y_m >= 0 else -1.0
            half, height = ev.rigged.floating.hull.gunwale_m(stand.x_m)
            return stand.x_m, side * (half + ev.setup.demands.boom_out_m), height
    return None


def behind_drive_m(ev: Evaluated, face: Point) -> float | None:
    """How far aft of the drive, where its wash passes."""
    for one in ev.setup.boat.fittings:
        if isinstance(one, DriveWell) and abs(face[1] - one.y_m) < BESIDE_DRIVE_M:
            behind = one.x_m - face[0]
            return behind if behind > 0 else None
    return None


def cut_off_deg(hull: Hull, face: Point) -> float:
    """What the hull hides of a beam to the side, counted down from level: the steepest line from
    the face to a lower point of the section beside it; the worse of the two sides."""
    section: Array = outline_at(hull, min(max(face[0], hull.x_aft_m), hull.x_fwd_m))
    worst = 0.0
    for side in (1.0, -1.0):
        out = side * section[:, 0] - face[1]
        beside = side * out > 1e-6
        down = face[2] - section[beside, 1]
        away = np.abs(out[beside])
        if len(down):
            worst = max(worst, float(np.degrees(np.arctan2(down, away)).max()))
    return max(0.0, worst)


def drag_n(thing: Thing, one: Transducer, depth_m: float, density_kg_m3: float) -> float:
    """Of an arm or pole in the stream: ½·ρ·v²·C·width·depth; 0 for what lies in or on the hull."""
    if one.mount not in ("arm", "pole") or depth_m <= 0:
        return 0.0
    across = min(thing.width_m, thing.length_m, thing.height_m)
    return 0.5 * density_kg_m3 * SPEED_M_S**2 * DRAG_OF_A_POLE * across * depth_m


def _heel_by_drag_deg(ev: Evaluated, drag: float, face: Point) -> float | None:
    """What that drag turns to heel when the boat drifts sideways at the same pace: its lever is the
    depth of the pole's middle under the centre of weight."""
    rest = at_rest(ev)
    if rest is None or drag == 0.0:
        return None
    lever = max(0.0, float(ev.rigged.loads.solid_centre_m[2]) - face[2] / 2)
    moment = drag / GRAVITY_M_S2 * lever
    return math.degrees(moment / (ev.rigged.loads.total_kg * max(0.03, rest.upright.gm_m)))
