"""How the boat lies in the water, its righting curve to 60°, and weight against lift."""

import numpy as np

from neat_hull.model.afloat import Afloat, Curve, Strip, WellState
from neat_hull.model.said import Verdict
from neat_hull.physics.water import strip
from neat_hull.physics.water.stability import first_zero
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import Levels
from neat_hull.rig.rigging import point
from neat_hull.rig.settling import CURVE_DEG, at_rest, deepest_at, trouble


def afloat(ev: Evaluated) -> Afloat | None:
    """The boat at rest, with verdicts; None where it goes under or over."""
    rest = at_rest(ev)
    if rest is None:
        return None
    lie, up = rest.equilibrium, rest.upright
    trim, heel = float(np.degrees(lie.trim_rad)), float(np.degrees(lie.heel_rad))
    centre = ev.rigged.loads.solid_centre_m
    wells = [
        WellState(
            name=well.name,
            floor_over_water_m=over,
            deepest_at=deepest_at(lie),
            scuppers=well.scuppers,
            flooded=flooded,
            verdict=_well_verdict(ev.table["floor"], over, well.scuppers == "open", flooded),
        )
        for well, over, flooded in zip(
            ev.setup.boat.wells, lie.wells_over_m, lie.flooded, strict=True
        )
    ]
    return Afloat(
        trim_deg=trim,
        trim_verdict=ev.table["trim"].verdict(abs(trim)),
        heel_deg=heel,
        heel_verdict=ev.table["list"].verdict(abs(heel)),
        offset_moment_kg_m=ev.rigged.loads.total_kg * float(centre[1]),
        draft_aft_m=lie.draft_aft_m,
        draft_mid_m=lie.draft_mid_m,
        draft_fwd_m=lie.draft_fwd_m,
        gm_m=up.gm_m,
        gm_verdict=ev.table["gm"].verdict(up.gm_m),
        least_freeboard_m=lie.least_freeboard_m,
        least_freeboard_x_m=lie.least_freeboard_x_m,
        kg_per_cm=up.kg_per_cm_immersion,
        wells=wells,
        weight_at=point(centre),
        lift_at=(lie.lcb_m, lie.tcb_m, lie.vcb_m),
    )


def _well_verdict(levels: Levels, over_m: float, drains: bool, flooded: bool) -> Verdict:
    if flooded:
        return "stop"
    return levels.verdict(over_m) if drains else "fine"


def why_not_afloat(ev: Evaluated) -> str | None:
    """Why there are no figures afloat; None where there are."""
    why = trouble(ev)
    return None if why is None else str(why)


def curve(ev: Evaluated) -> Curve | None:
    """The righting curve to 60°."""
    rest = at_rest(ev)
    if rest is None:
        return None
    return Curve(
        heel_deg=CURVE_DEG.tolist(),
        gz_m=[gz if np.isfinite(gz) else None for gz in rest.curve.gz_m.tolist()],
        deck_edge_deg=first_zero(CURVE_DEG, rest.curve.edge_over_m),
    )


def weight_and_lift(ev: Evaluated) -> Strip | None:
    """Weight in bins along the boat, and the lift that meets it."""
    rest, rigged = at_rest(ev), ev.rigged
    if rest is None:
        return None
    hull, boat = rigged.floating.hull, rigged.setup.boat
    edges = strip.bin_edges_m(hull.x_aft_m, hull.x_fwd_m)
    limbs = rigged.body.segments
    mass = np.append([s.mass_kg for s in limbs], rigged.loads.mass_kg[rigged.rows.things])
    ends = [s.along_m for s in limbs] + [(s.aft_m, s.fwd_m) for s in rigged.stowed]
    aft, fwd = np.array(ends).T
    weight = strip.spread(edges, mass, aft, fwd).sum(axis=0) + strip.hull_spread(
        edges, boat.hull_mass_kg, float(rigged.hull_at_m[0]), hull.x_aft_m, hull.x_fwd_m
    )
    lift_x, lift = strip.lift_per_m(rest.settled)
    return Strip(
        edges_m=edges.tolist(),
        weight_kg=weight.tolist(),
        lift_x_m=lift_x.tolist(),
        lift_kg_per_m=lift.tolist(),
    )
