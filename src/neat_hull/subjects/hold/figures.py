"""All that is live about what holds a setup."""

import numpy as np

from neat_hull.model.hold_figures import (
    AnchorFigure,
    HoldFigures,
    HoverFigure,
    LiesFigure,
    LimitedBy,
    PoleFigure,
)
from neat_hull.physics.resistance.lying import Lies, lies
from neat_hull.physics.resistance.propulsion import driven, total_n
from neat_hull.physics.resistance.winds import Air
from neat_hull.rig.drag.figures import full_drag, pull_n
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.held_at import held_at, held_end
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.glide.figures import motor_id, propeller, supply
from neat_hull.subjects.hold import typical
from neat_hull.subjects.hold.gear import as_case, out_m, pole_case, pole_id, tackle
from neat_hull.subjects.hold.holding import anchor_holds, pole_holds
from neat_hull.subjects.hold.rope import rope

__all__ = ["air_of", "cleat_over_m", "hold", "lies_at", "lying", "off_line_deg"]


def air_of(ev: Evaluated) -> Air:
    """Wind and current of the situations, from where they come here."""
    n, plan = ev.setup.demands, ev.setup.hold
    return Air.of(n.wind_m_s, plan.wind_from_deg, n.current_m_s, plan.current_toward_deg)


def lies_at(ev: Evaluated, x_m: float) -> Lies | None:
    """Held on the middle line there; None where nothing pulls, or it does not float."""
    full, n = ev.once(full_drag), ev.setup.demands
    if full is None or (n.wind_m_s == 0 and n.current_m_s == 0):
        return None
    return lies(full.drag, ev.once(air_of), x_m, near=True)


def lying(ev: Evaluated) -> Lies | None:
    """As it is held."""
    return lies_at(ev, ev.once(held_at)[0])


def off_line_deg(ev: Evaluated, found: Lies) -> float:
    """How far the line leads off the end that it is held by."""
    off = abs(found.pull_off_bow_deg)
    return off if held_end(ev.setup) == "bow" else 180.0 - off


def cleat_over_m(ev: Evaluated) -> float:
    """How high over the water the line leaves the boat."""
    rest = at_rest(ev)
    assert rest is not None, "asked of a boat that floats"
    point = np.array([ev.once(held_at)])
    return float(rest.settled.rest.height_over_water_m(point)[0, 0])


def hold(ev: Evaluated) -> HoldFigures | None:
    """None where nothing aboard holds, nothing pulls, or it does not float."""
    found = ev.once(lying)
    nothing = ev.once(tackle) is None and ev.once(pole_id) is None and ev.once(_hoverer) is None
    if found is None or (nothing and ev.setup.hold.trolley is None):
        return None
    return HoldFigures(
        at=ev.once(held_at),
        end=held_end(ev.setup),
        lies=LiesFigure(
            heading_deg=found.heading_deg,
            pull_n=found.pull_n,
            pull_ahead_n=found.pull_ahead_n,
            pull_port_n=found.pull_port_n,
            off_line_deg=off_line_deg(ev, found),
            lead_deg=(found.heading_deg - found.pull_off_bow_deg) % 360.0,
        ),
        anchor=_anchor(ev, found),
        pole=_pole(ev, found),
        rock=ev.setup.hold.bottom == "rock",
        hover=_hover(ev),
        rope=ev.once(rope),
    )


def _anchor(ev: Evaluated, found: Lies) -> AnchorFigure | None:
    of = ev.once(tackle)
    if of is None:
        return None
    height = ev.setup.demands.depth_m + max(0.0, ev.once(cleat_over_m))
    line = out_m(ev, of, height)
    case = as_case(ev, of, line)
    hull, x = ev.rigged.floating.hull, ev.once(held_at)[0]
    holds = anchor_holds(case, found.pull_n, height, max(x - hull.x_aft_m, hull.x_fwd_m - x))
    return AnchorFigure(
        thing_id=of.thing_id,
        mass_kg=of.mass_kg,
        holding_ratio=case.holding_ratio,
        bottom=ev.setup.hold.bottom,
        height_m=height,
        line_m=line,
        rope_m=of.rope_m,
        chain_m=case.chain_length_m,
        scope=holds.scope,
        reaches_bottom=holds.reaches_bottom,
        angle_at_anchor_deg=holds.angle_at_anchor_deg,
        angle_at_cleat_deg=holds.angle_at_cleat_deg,
        tension_n=holds.tension_n,
        down_n=holds.down_n or 0.0,
        on_bottom_m=holds.on_bottom_m,
        distance_m=holds.distance_m,
        swing_radius_m=holds.swing_radius_m,
        line_share=holds.line_share,
        holding_factor=holds.holding_factor,
        holding_n=holds.holding_n,
        holding_share=holds.holding_share,
        recommended_kg=holds.recommended_kg,
        floats=of.floats,
    )


def _pole(ev: Evaluated, found: Lies) -> PoleFigure | None:
    """Two poles keep the boat from turning: at worst it lies across, and each has half of that."""
    thing_id = ev.once(pole_id)
    case = None if thing_id is None else pole_case(ev, thing_id)
    if thing_id is None or case is None:
        return None
    n = ev.setup.demands
    pull = found.pull_n
    if ev.setup.hold.two_poles:
        pull = pull_n(ev, "side", n.current_m_s, n.wind_m_s) / 2
    holds = pole_holds(case, pull, n.depth_m, ev.once(cleat_over_m))
    limits: dict[str, LimitedBy] = {"bending": "bending", "soil": "soil", "length": "length"}
    return PoleFigure(
        thing_id=thing_id,
        length_m=case.length_m,
        pushed_in_m=case.embedded_m,
        pull_n=pull,
        moment_nm=holds.moment_nm,
        bending_share=holds.bending_share,
        deflection_m=holds.deflection_m,
        soil_share=holds.soil_share,
        depth_limit_m=holds.depth_limit_m,
        limited_by=limits[holds.limited_by],
    )


def _hoverer(ev: Evaluated) -> int | None:
    """A motor aboard that keeps the boat in its place."""
    thing_id = ev.once(motor_id)
    motor = None if thing_id is None else ev.thing(thing_id).motor
    return thing_id if motor is not None and motor.holds else None


def _hover(ev: Evaluated) -> HoverFigure | None:
    """Bow to current and wind, at no way over ground: the least step that does it."""
    thing_id, full = ev.once(_hoverer), ev.once(full_drag)
    motor = None if thing_id is None else ev.thing(thing_id).motor
    if thing_id is None or motor is None or full is None:
        return None
    n, fed = ev.setup.demands, supply(ev, thing_id)
    air = Air.of(n.wind_m_s, 0.0, n.current_m_s, 180.0)
    turns = propeller(motor)
    total = total_n(full.drag, air, 0.0)
    for share in typical.HOVER_STEPS:
        run = driven(total, turns, share, near=True)
        if run is not None and run.speed_m_s >= n.current_m_s:
            hours = fed.usable_wh / run.power_w if run.power_w > 0 else None
            return HoverFigure(thing_id=thing_id, step=share, power_w=run.power_w, hours=hours)
    return HoverFigure(thing_id=thing_id, step=None, power_w=None, hours=None)
