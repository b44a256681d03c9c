"""What makes a kayak lean, squat or dip: each demand as an equilibrium of its own.

A demand changes the posture, adds weights, or pulls from outside. Margin used is the heeling lever
over the greatest righting lever of the same weights on the centreline. The figures are the passive
boat; people balance as well.
"""

import numpy as np

from neat_hull.analysis.demand_cases import MAKERS, Asked, Case, asking
from neat_hull.analysis.limits import RANK, limits_for, margin_key
from neat_hull.analysis.rigging import Rigged
from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.afloat import Demand
from neat_hull.physics import hydrostatics
from neat_hull.physics.loads import Loads
from neat_hull.physics.stability import FULL_RAD, stability

_SOME_GZ_M = 0.001  # less righting lever than this is none


def demands(rigged: Rigged, settled: hydrostatics.Settled) -> list[Demand]:
    """All demands of a setup, the one that uses most of the margin first."""
    boat = asking(rigged, settled)
    found = [_solve(boat, make(boat)) for make in MAKERS.values()]
    return sorted(found, key=lambda one: (-RANK[one.verdict], -(one.margin_used or 0.0)))


def demand_loads(rigged: Rigged, settled: hydrostatics.Settled, code: str) -> Loads:
    """The loads of one demand, for its righting curve."""
    boat = asking(rigged, settled)
    return MAKERS[code](boat).loads


def _solve(boat: Asked, case: Case) -> Demand:
    rigged = boat.rigged
    floating, density = rigged.floating, rigged.water_density_kg_m3
    lever = abs(float(case.loads.centre_m[1]))
    held = hydrostatics.held_upright(floating, case.loads.on_centreline(), density)
    gm = None if held is None else hydrostatics.upright(held).gm_m
    greatest = None if held is None else _greatest_gz_m(held)
    margin = lever / greatest if greatest else None
    demand = Demand(
        code=case.code,
        title=case.title,
        what=case.what.text,
        amounts=list(case.what.amounts),
        heel_deg=None,
        trim_deg=None,
        least_freeboard_m=None,
        gm_m=gm,
        lever_m=lever,
        greatest_gz_m=greatest,
        margin_used=margin,
        margin_band=_margin_band(boat, margin, gm),
        section_water_m=None,
        verdict="stop",
        trouble=None,
    )
    try:
        settled = hydrostatics.settle(floating, case.loads, density)
    except (DoesNotFloat, NoBalance) as trouble:
        if case.standing and gm is not None:
            told = "only by one's own balance: the boat alone would go over"
            return demand.model_copy(update={"verdict": "fix", "trouble": told})
        return demand.model_copy(update={"trouble": str(trouble)})
    rest = hydrostatics.equilibrium(settled)
    table = limits_for(rigged.setup.judging)
    verdicts = [
        table["edge"].verdict(rest.least_freeboard_m),
        "stop" if margin is None else table[margin_key(case.code)].verdict(margin),
    ]
    if case.standing and gm is not None:
        verdicts.append(table["gm standing"].verdict(gm))
    hull = floating.hull
    aft, _, fwd = hydrostatics.drafts_m(hull, settled.rest)
    broad = float(hull.x_m[hull.half_breadth_m.argmax()])
    share = (broad - hull.x_aft_m) / hull.length_m
    return demand.model_copy(
        update={
            "heel_deg": float(np.degrees(rest.heel_rad)),
            "trim_deg": float(np.degrees(rest.trim_rad)),
            "least_freeboard_m": rest.least_freeboard_m,
            "section_water_m": aft + share * (fwd - aft),
            "verdict": max(verdicts, key=lambda one: RANK[one]),
        }
    )


def _margin_band(boat: Asked, margin: float | None, gm_m: float | None) -> float | None:
    """± of a margin: near upright levers go with GM, so its share of GM is their share."""
    if margin is None or gm_m is None or gm_m <= 0:
        return None
    return margin * boat.gm_band_m / max(gm_m, boat.gm_band_m)


def _greatest_gz_m(upright: hydrostatics.Settled) -> float | None:
    curve = hydrostatics.righting_curve(upright, FULL_RAD)
    greatest = stability(curve, upright.loads.total_kg).greatest_gz_m
    return greatest if greatest > _SOME_GZ_M else None
