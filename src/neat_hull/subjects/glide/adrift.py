"""How a setup drifts, free and behind its drogue."""

from math import atan2, cos, degrees, hypot, pi, radians, sin

from neat_hull.model.glide_figures import DriftFigure
from neat_hull.physics.resistance.drifting import Drift, drift
from neat_hull.rig.drag.figures import full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.glide import typical
from neat_hull.subjects.glide.going import air_of


def drogue_id(ev: Evaluated) -> int | None:
    """The drogue aboard with the widest mouth; None without one."""
    aboard = [i for i in ev.setup.places if ev.thing(i).drogue is not None]
    return max(aboard, key=lambda i: _mouth_m(ev, i), default=None)


def _mouth_m(ev: Evaluated, thing_id: int) -> float:
    one = ev.thing(thing_id).drogue
    return (None if one is None else one.mouth_m) or typical.DROGUE_MOUTH_M


def drogue_m2(ev: Evaluated) -> float:
    """Its coefficient times the area of its mouth; nothing without one."""
    thing_id = ev.once(drogue_id)
    if thing_id is None:
        return 0.0
    return typical.DROGUE_CD * pi / 4 * _mouth_m(ev, thing_id) ** 2


def drogue_x_m(ev: Evaluated) -> float:
    """Where it is led to: as set, or the bow."""
    at = ev.setup.glide.drogue_x_m
    return ev.rigged.floating.hull.x_fwd_m if at is None else at


def adrift(ev: Evaluated) -> DriftFigure | None:
    """Without a drogue, as in a wind; None without wind."""
    return _drift(ev, 0.0)


def drogued(ev: Evaluated) -> DriftFigure | None:
    """Behind the drogue aboard; None without one, or without wind."""
    return None if ev.once(drogue_id) is None else _drift(ev, ev.once(drogue_m2))


def _drift(ev: Evaluated, area_m2: float) -> DriftFigure | None:
    full = ev.once(full_drag)
    if full is None:
        return None
    north, east = ev.once(air_of).relative
    found = drift(full.drag, hypot(north, east), area_m2, ev.once(drogue_x_m), near=True)
    return None if found is None else _figure(ev, found, degrees(atan2(east, north)))


def _figure(ev: Evaluated, found: Drift, wind_toward_deg: float) -> DriftFigure:
    # Wind from starboard: the boat's heading is so far to port of where the wind comes from.
    heading = wind_toward_deg + 180.0 - found.wind_off_bow_deg
    toward = radians(heading - found.drift_off_bow_deg)
    north, east = ev.once(air_of).current
    north += found.speed_m_s * cos(toward)
    east += found.speed_m_s * sin(toward)
    return DriftFigure(
        speed_m_s=found.speed_m_s,
        share_of_wind=found.share_of_wind,
        wind_off_bow_deg=found.wind_off_bow_deg,
        off_downwind_deg=found.off_downwind_deg,
        heading_deg=heading % 360.0,
        toward_deg=degrees(toward) % 360.0,
        ground_m_s=hypot(north, east),
        ground_toward_deg=degrees(atan2(east, north)) % 360.0,
        drogue_n=found.drogue_n,
    )
