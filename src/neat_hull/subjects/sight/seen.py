"""What others see: lamps with what stands before them, and a flag."""

from collections.abc import Iterator
from math import degrees

import numpy as np

from neat_hull.model.sight import Blocked, By, FlagFigure, LampFigure, SeenFigures
from neat_hull.physics.arrays import Array
from neat_hull.physics.bearings import (
    Arc,
    Level,
    blocked_deg,
    box_arc,
    carries_m,
    horizon_m,
    rod_arc,
    round_arc,
)
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rigging import Stowed
from neat_hull.rig.settling import AtRest, at_rest
from neat_hull.subjects.sight import typical


def seen(ev: Evaluated) -> SeenFigures | None:
    """None without a lamp or a flag aboard, and of a boat that does not float."""
    rest = at_rest(ev)
    aboard = ev.rigged.stowed
    lamps = [one for one in aboard if ev.thing(one.thing_id).lamp is not None]
    flags = [one for one in aboard if ev.thing(one.thing_id).flag is not None]
    if rest is None or not (lamps or flags):
        return None
    return SeenFigures(
        lamps=[_lamp(ev, rest, one) for one in lamps],
        flag=max((_flag(ev, one) for one in flags), key=lambda one: one.over_seat_m, default=None),
    )


def _top(ev: Evaluated, one: Stowed, height_m: float | None) -> Array:
    """Up a pole, or over the middle of a box."""
    thing = ev.thing(one.thing_id)
    if thing.long:
        return np.array(one.stand.at(thing.length_m if height_m is None else height_m))
    up = thing.height_m if height_m is None else height_m
    return np.array([one.stand.x_m, one.stand.y_m, one.stand.base_z_m + up])


def _lamp(ev: Evaluated, rest: AtRest, one: Stowed) -> LampFigure:
    lamp = ev.thing(one.thing_id).lamp
    assert lamp is not None, "asked of a lamp"
    at = _top(ev, one, lamp.height_m)
    lying = rest.settled.rest
    level = Level.of(float(lying.heel_rad[0]), float(lying.tau[0]))
    over = float(lying.height_over_water_m(at[None, :])[0, 0])
    blocked = sorted(_blocking(ev, one.thing_id, at, level), key=lambda b: b.from_deg)
    arcs = [(b.from_deg, b.to_deg) for b in blocked]
    sector = typical.SECTORS[lamp.shows]
    strength = lamp.candela or typical.CANDELA[lamp.shows]
    far = min(carries_m(strength), horizon_m(over, typical.LOOKOUT_M))
    crown = ev.rigged.body.eye_m + np.array([0.0, 0.0, typical.CROWN_M])
    return LampFigure(
        thing_id=one.thing_id,
        shows=lamp.shows,
        at=(float(at[0]), float(at[1]), float(at[2])),
        over_m=over,
        blocked=blocked,
        blocked_deg=blocked_deg(arcs, sector),
        sector_deg=sum(high - low for low, high in sector),
        sector=list(sector),
        candela=strength,
        range_m=far,
        warning_s=far / (ev.setup.safety.boats_m_s + typical.OWN_M_S),
        dip_deg=abs(degrees(float(lying.heel_rad[0]))) + typical.ROLL_DEG,
        vertical_deg=typical.VERTICAL_DEG if lamp.vertical_deg is None else lamp.vertical_deg,
        clear_at_m=float(lying.height_over_water_m(crown[None, :])[0, 0]) + typical.CLEAR_M,
        glare_deg=_glare_deg(ev, at),
    )


def _glare_deg(ev: Evaluated, at: Array) -> float | None:
    """How far off the look ahead a lamp shines into the eye; None behind it, or out of its line."""
    ahead, across, up = (at - ev.rigged.body.eye_m).tolist()
    off = degrees(np.arctan2(abs(across), ahead))
    return off if off < typical.GLARE_DEG and abs(up) < typical.EYE_WIDE_M else None


def _blocking(ev: Evaluated, lamp_id: int, at: Array, level: Level) -> Iterator[Blocked]:
    for one in ev.rigged.stowed:
        thing_id = one.thing_id
        if thing_id == lamp_id or one.stand.on_body or ev.rigged.placing.covered(thing_id):
            continue
        arc = _thing_arc(ev, one, at, level)
        if arc is not None:
            yield _told(arc, "thing", thing_id)
    body = ev.rigged.body
    trunk = next(s for s in body.segments if s.name == "trunk")
    crown = body.eye_m + np.array([0.0, 0.0, typical.CROWN_M])
    for what, foot, top, radius in (
        ("body", trunk.upper_m, trunk.far_m, body.build.half_shoulders_m),
        ("head", trunk.far_m, crown, typical.HEAD_M),
    ):
        ends = level.seen(np.array([foot, top]) - at)
        if ends[0, 2] < 0 < ends[1, 2]:
            middle = ends.mean(axis=0)
            by: By = "body" if what == "body" else "head"
            yield _told(round_arc(float(middle[0]), float(middle[1]), radius), by, None)


def _told(arc: Arc, what: By, thing_id: int | None) -> Blocked:
    return Blocked(thing_id=thing_id, what=what, from_deg=arc[0], to_deg=arc[1])


def _thing_arc(ev: Evaluated, one: Stowed, at: Array, level: Level) -> Arc | None:
    thing, stand = ev.thing(one.thing_id), one.stand
    if thing.long:
        ends = np.array([stand.at(0.0), stand.at(thing.length_m)])
        thick = typical.ROD_M if thing.shape == "rod" else min(thing.width_m, thing.height_m)
        return rod_arc(level.seen(ends - at), thick)
    base, top = stand.base_z_m, stand.base_z_m + thing.height_m
    if not base < at[2] + 0.5 or top < at[2] - 0.5:  # far from its level, whatever the heel
        return None
    turn = np.radians(stand.turn_deg)
    along = np.array([np.cos(turn), np.sin(turn), 0.0]) * thing.length_m / 2
    across = np.array([-np.sin(turn), np.cos(turn), 0.0]) * thing.width_m / 2
    middle = np.array([stand.x_m, stand.y_m, base]) - at
    foot = np.array([middle + a * along + b * across for a in (-1.0, 1.0) for b in (-1.0, 1.0)])
    up = np.array([0.0, 0.0, thing.height_m])
    return box_arc(level.seen(foot), level.seen(foot + up))


def _flag(ev: Evaluated, one: Stowed) -> FlagFigure:
    flag = ev.thing(one.thing_id).flag
    rest = at_rest(ev)
    assert flag is not None, "asked of a flag"
    assert rest is not None, "it floats"
    top = _top(ev, one, None)
    eye = ev.rigged.body.eye_m
    over_water = float(rest.settled.rest.height_over_water_m(top[None, :])[0, 0])
    return FlagFigure(
        thing_id=one.thing_id,
        over_seat_m=float(top[2]) - ev.setup.seat.z_m,
        over_head_m=float(top[2] - eye[2]) - typical.CROWN_M,
        made_out_m=flag.size_m / typical.ARC_MINUTES,
        shows_over_swell_m=(over_water + typical.LOOKOUT_M) / 2,
    )
