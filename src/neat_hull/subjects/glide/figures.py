"""All that is live about how a setup goes."""

from neat_hull.model.glide_figures import GlideFigures
from neat_hull.rig import aboard
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.glide.adrift import adrift, drogue_id, drogued
from neat_hull.subjects.glide.boats import Afloat, afloat, case_air, require_afloat
from neat_hull.subjects.glide.driving import motor, motor_id, propeller
from neat_hull.subjects.glide.going import (
    air_of,
    at_speed,
    costs,
    curve,
    efficiency,
    froude,
    going,
    speed_on,
    stroke,
)
from neat_hull.subjects.glide.supply import supply
from neat_hull.subjects.glide.towing import towing

__all__ = [
    "Afloat",
    "afloat",
    "case_air",
    "extra_share",
    "glide",
    "lighter_by",
    "made_good",
    "motor_id",
    "propeller",
    "require_afloat",
    "supply",
]


def minutes(speed_m_s: float | None) -> float | None:
    """Per km."""
    return None if not speed_m_s else 1000 / (60 * speed_m_s)


def extra_share(ev: Evaluated) -> float | None:
    """What all the gear adds to the minutes of a km, as a share of the bare boat's."""
    found = ev.once(going)
    if found is None or not found.speed_m_s or not found.bare_m_s:
        return None
    return found.bare_m_s / found.speed_m_s - 1


def made_good(ev: Evaluated) -> tuple[float | None, float | None]:
    """Speed over ground at the set effort, on the set heading and back; None without way.

    Going back the wind comes from the other side: the speed through the water is found anew.
    """
    of, found, plan = ev.once(curve), ev.once(going), ev.setup.glide
    if of is None or found is None:
        return None, None
    back = plan.heading_deg + 180.0
    ways = []
    for heading, speed in (
        (plan.heading_deg, found.speed_m_s),
        (back, speed_on(ev, of, back, found.drives_w)),
    ):
        over = None if speed is None else ev.once(air_of).made_good(speed, heading)
        ways.append(over if over is not None and over > 0 else None)
    return ways[0], ways[1]


def glide(ev: Evaluated) -> GlideFigures | None:
    """None where it does not float."""
    found = ev.once(going)
    if found is None:
        return None
    extra = ev.once(extra_share)
    bare = minutes(found.bare_m_s)
    way, back = ev.once(made_good)
    return GlideFigures(
        stroke=stroke(ev),
        effort_w=ev.setup.glide.effort_w,
        efficiency=efficiency(ev),
        speed_m_s=found.speed_m_s,
        bare_m_s=found.bare_m_s,
        min_per_km=minutes(found.speed_m_s),
        extra_min_per_km=None if extra is None or bare is None else extra * bare,
        extra_share=extra,
        way_m_s=way,
        back_m_s=back,
        at=ev.once(at_speed),
        froude=ev.once(froude),
        costs=ev.once(costs),
        drift=ev.once(adrift),
        drogued=ev.once(drogued),
        drogue_id=ev.once(drogue_id),
        motor=ev.once(motor),
        tow=ev.once(towing),
    )


def lighter_by(ev: Evaluated) -> tuple[int, ...]:
    """Things that cost most on the way, by their own part of the resistance and by their weight:
    a share of the load costs about as much of what the load costs."""
    found, at = ev.once(going), ev.once(at_speed)
    if found is None or at is None:
        return ()
    extra = ev.once(extra_share) or 0.0
    own = {one.thing_id: one.water_n + one.air_n for one in ev.once(costs)}
    placing = ev.rigged.placing
    roots = [i for i in ev.setup.places if placing.holder(i) is None and ev.thing(i).part is None]
    gear = sum(ev.once(aboard.rows)[i].carries_kg for i in roots) or 1.0
    heavy = {i: ev.once(aboard.rows)[i].carries_kg / gear * extra * at.total_n for i in roots}
    return tuple(sorted(roots, key=lambda i: -(own.get(i, 0.0) + heavy[i])))
