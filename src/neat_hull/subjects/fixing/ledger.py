"""Every hole in the hull that a setup knows of: of mounts, of wires, and those one has noted."""

from dataclasses import dataclass, replace
from math import dist, hypot
from typing import Literal

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import FlushTube, Hatch
from neat_hull.model.fixing import Seal
from neat_hull.model.mount_case import CaseHatch, HandReach
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.demands.figures import over_water
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.holes import most_spare
from neat_hull.subjects.fixing.mounting import fixed
from neat_hull.subjects.power.figures import routes

State = Literal["factory", "drilled", "planned", "filled"]
# How far one reaches through a mouth: a hand and forearm, then the upper arm; usual, a little less
# than segments give, for the nut that the fingers hold.
REACH = (HandReach(mouth_m=0.10, reach_m=0.36), HandReach(mouth_m=0.18, reach_m=0.62))


@dataclass(frozen=True)
class HoleAt:
    """A hole, where it is, whose, and what can be measured at it; see `HoleFigure`."""

    name: str
    of: str
    at: Point
    d_mm: float
    state: State
    used_by: str | None
    through_hull: bool
    needs_hand: bool
    seal: Seal = "none"
    template: str | None = None  # the key of the one that it is drilled by
    over_m: float | None = None
    heel_deg: float = 0.0
    spacing_d: float | None = None
    nearest: str | None = None
    edge_d: float | None = None
    behind: str | None = None
    spare_m: float | None = None


def ledger(ev: Evaluated) -> list[HoleAt]:
    """All of them, measured."""
    found = _listed(ev)
    if not found:
        return []
    at = np.array([one.at for one in found])
    seen, hull = over_water(ev, at), ev.rigged.floating.hull
    hatches = [
        CaseHatch.model_construct(
            name=one.name, at_m=(one.x_m, one.y_m, one.z_m), mouth_m=min(one.length_m, one.width_m)
        )
        for one in ev.setup.boat.fittings
        if isinstance(one, Hatch)
    ]
    rows = []
    for n, one in enumerate(found):
        over, heel = (
            (None, 0.0) if not seen else min((float(heights[n]), heel) for heel, heights in seen)
        )
        spacing, nearest = _nearest(found, n)
        spare, behind = most_spare(one.at, hatches, REACH)
        rows.append(
            replace(
                one,
                over_m=over,
                heel_deg=heel,
                spacing_d=spacing,
                nearest=nearest,
                edge_d=1000 * edge_m(hull, one.at) / one.d_mm,
                behind=behind if spare is not None and spare >= 0 else None,
                spare_m=spare,
            )
        )
    return rows


def edge_m(hull: Hull, at: Point) -> float:
    """From a hole to the nearest edge of what it is in, as seen from above: the gunwale, or the
    rim of a well, from without or within."""
    x, y, _ = at
    half, _ = hull.gunwale_m(x)
    least = max(0.0, half - abs(y))
    for well in hull.wells:
        ahead = max(well.x_aft_m - x, x - well.x_fwd_m)
        aside = abs(y) - well.half_breadth_m
        if ahead <= 0 and aside <= 0:
            least = min(least, -max(ahead, aside))
        else:
            least = min(least, hypot(max(ahead, 0.0), max(aside, 0.0)))
    return least


def _nearest(found: list[HoleAt], n: int) -> tuple[float | None, str | None]:
    one = found[n]
    others = [
        (1000 * dist(one.at, other.at) / max(one.d_mm, other.d_mm), other.name)
        for m, other in enumerate(found)
        if m != n and other.state != "filled"
    ]
    return min(others, default=(None, None))


def _listed(ev: Evaluated) -> list[HoleAt]:
    found: list[HoleAt] = []
    for one in ev.once(fixed):
        d_mm = typical.hole_mm(one.by, one.geometry.size)
        if one.spec.by is None or not one.drills or d_mm is None:  # what is usual is a guess
            continue
        state: State = "drilled" if one.spec.drilled else "planned"
        for n, spot in enumerate(one.geometry.bolts_m, start=1):
            at = one.on_boat(spot)
            nut = one.by == "through bolt"
            seal = one.spec.seal or "polyether"
            name = f"{one.name} {n}"
            found.append(
                HoleAt(name, one.key, at, d_mm, state, one.name, False, nut, seal, one.key)
            )
    for key, route in ev.once(routes).items():
        wire = ev.setup.power.conductors[key]
        for i, by in enumerate(route.held):
            if by in ("gland", "hole"):
                d_mm = typical.GLAND_MM if by == "gland" else typical.PLUG_MM
                name = f"{by} of {ev.name(wire.end)}"
                found.append(
                    HoleAt(
                        name,
                        f"wire {key}",
                        route.points[i + 1],
                        d_mm,
                        "drilled",
                        ev.name(wire.end),
                        False,
                        False,
                        template=f"wire {key} {i}",
                    )
                )
    for name, hole in ev.setup.fixing.holes.items():
        aboard = hole.used_by is not None and hole.used_by in ev.setup.places
        user = ev.name(hole.used_by) if aboard and hole.used_by is not None else None
        found.append(
            HoleAt(
                name,
                "",
                (hole.x_m, hole.y_m, hole.z_m),
                hole.d_mm,
                hole.state,
                user,
                hole.through_hull,
                False,
            )
        )
    for tube in ev.setup.boat.fittings:
        if isinstance(tube, FlushTube):
            found.append(
                HoleAt(
                    tube.name,
                    "",
                    (tube.x_m, tube.y_m, tube.z_m),
                    typical.TUBE_MM,
                    "factory",
                    tube.name,
                    False,
                    False,
                )
            )
    return found
