"""Towing another boat at one's own effort: how fast, and how hard the line pulls."""

import numpy as np

from neat_hull.model.glide_figures import TowFigure
from neat_hull.rig.drag.figures import full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.reaching import reach_of
from neat_hull.subjects.glide.going import air_of, curve, going

_IN_REACH = ("hand", "lean")


def towing(ev: Evaluated) -> TowFigure | None:
    """None where nobody is to be towed, or the boat does not float.

    The towed boat is taken for one of the same shape, by its weight: at one speed the resistance of
    alike hulls in the water goes as their wetted area, the two-thirds power of their weight.
    """
    tow, of, found, full = ev.setup.safety.tow, ev.once(curve), ev.once(going), ev.once(full_drag)
    if tow is None or of is None or found is None or full is None:
        return None
    alike = (tow.boat_kg / full.displacement_kg) ** (2 / 3)
    total = of.total_n(ev.once(air_of), ev.setup.glide.heading_deg) + alike * of.water_n
    speed = of.crossing(total * of.speed_m_s - found.drives_w)
    hull = ev.rigged.floating.hull
    at = hull.x_aft_m if tow.at_x_m is None else tow.at_x_m
    at = min(max(at, hull.x_aft_m), hull.x_fwd_m)
    release = at if tow.release_x_m is None else tow.release_x_m
    half, height = hull.gunwale_m(min(max(release, hull.x_aft_m), hull.x_fwd_m))
    gunwales = np.array([[release, half, height], [release, -half, height]])
    return TowFigure(
        speed_m_s=speed,
        alone_m_s=found.speed_m_s,
        pull_n=None if speed is None else alike * full.drag.water_n(speed),
        at_x_m=at,
        from_end_m=min(at - hull.x_aft_m, hull.x_fwd_m - at),
        in_reach=any(one.zone.value in _IN_REACH for one in reach_of(ev.rigged, gunwales)),
    )
