"""Demands read off the hull's cross curves: all of them at once, in the time of a drag.

What is left out is the trim that a demand itself brings; `demands` solves each for itself, and the
two are compared in the tests.
"""

from dataclasses import dataclass
from math import degrees, isfinite

import numpy as np

from neat_hull.analysis.demand_cases import MAKERS, asking
from neat_hull.analysis.rigging import Rigged
from neat_hull.errors import DoesNotFloat
from neat_hull.model.setup import Setup
from neat_hull.physics import hydrostatics
from neat_hull.physics.cross_curves import cross_curves
from neat_hull.physics.hydrostatics import RightingCurve

_SOME_GZ_M = 0.001  # less righting lever than this is none

# What is asked of every boat; the rest only of one that means to, or has the gear aboard.
_ALWAYS = ("lean", "land", "pull", "cockpit", "remount")
_STANDING = ("rise", "stand", "cast")


@dataclass(frozen=True)
class DemandReading:
    """One demand: margin_used of the greatest righting lever, ± margin_band; null without one.

    heel_deg (starboard down) and freeboard_m are null where the boat alone would go over.
    """

    code: str
    title: str
    margin_used: float | None
    margin_band: float
    heel_deg: float | None
    freeboard_m: float | None
    gm_m: float
    standing: bool


def asked_of(setup: Setup) -> list[str]:
    """Codes of the demands that this trip makes, by posture and by what is aboard."""
    aboard = [setup.things[i] for i in setup.places]
    codes = list(_ALWAYS)
    if setup.posture == "stands":
        codes += _STANDING
    names = " / ".join(thing.name.lower() for thing in aboard if thing.kind != "fish")
    if any(thing.kind == "bait" and thing.sloshes for thing in aboard):
        codes.append("tank")
    if "downrigger" in names:
        codes.append("boom")
    if "stake-out" in names:
        codes.append("pole")
    if any(thing.kind == "anchor" for thing in aboard):
        codes.append(f"anchor {anchor_end(setup)}")
    return codes


def anchor_end(setup: Setup) -> str:
    """The end that the anchor's line is led to: by the cleat farthest from the middle."""
    cleats = [f.x_m for f in setup.boat.fittings if f.kind == "cleat"]
    middle = setup.boat.tape.length_m / 2
    if not cleats:
        return "bow"
    return "bow" if max(cleats, key=lambda x: abs(x - middle)) >= middle else "stern"


def demand_readings(
    rigged: Rigged,
    settled: hydrostatics.Settled,
    curve: RightingCurve,
    gm_m: float,
    gm_band_m: float,
) -> list[DemandReading]:
    """The demands that a setup's trip makes; none for a hull that the curves do not cover.

    `curve` and gm_m ± gm_band_m are the setup's own, the curve at the same heels; the cross curves
    are shifted to go through them.
    """
    try:
        curves = cross_curves(rigged.floating, rigged.water_density_kg_m3)
    except DoesNotFloat:
        return []
    curves = curves.through(rigged.loads, curve, gm_m)
    boat = asking(rigged, settled)
    cases = [MAKERS[code](boat) for code in asked_of(rigged.setup)]
    mass = np.array([case.loads.total_kg for case in cases])
    centre = np.array([case.loads.centre_m for case in cases])
    read = curves.read(mass, centre[:, 2], centre[:, 1])
    found = []
    for i, case in enumerate(cases):
        greatest, gm = float(read.greatest_gz_m[i]), float(read.gm_m[i])
        margin = abs(float(centre[i, 1])) / greatest if greatest > _SOME_GZ_M else None
        heel = float(read.heel_rad[i])
        rests = isfinite(heel)
        found.append(
            DemandReading(
                code=case.code,
                title=case.title,
                margin_used=margin,
                margin_band=(margin or 0.0) * gm_band_m / max(gm, gm_band_m, 1e-3),
                heel_deg=degrees(heel) if rests else None,
                freeboard_m=float(read.edge_over_m[i]) if rests else None,
                gm_m=gm,
                standing=case.standing,
            )
        )
    return found
