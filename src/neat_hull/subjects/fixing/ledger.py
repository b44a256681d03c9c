"""Every hole in the hull that a setup knows of: of mounts, of wires, and those one has noted."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from math import hypot

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import FlushTube, Hatch
from neat_hull.model.fixing import HoleState, Seal
from neat_hull.model.mount_case import CaseHatch
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.demands.figures import over_water
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.holes import most_spare, spacing_d
from neat_hull.subjects.fixing.mounting import fixed
from neat_hull.subjects.power.figures import routes


@dataclass(frozen=True)
class HoleAt:
    """A hole, where it is, whose, and what can be measured at it; see `HoleFigure`."""

    name: str
    at: Point
    d_mm: float
    state: HoleState
    used_by: str | None
    thing_id: int | None = None
    of_wire: bool = False
    through_hull: bool = False
    needs_hand: bool = False
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
        spare, behind = most_spare(one.at, hatches, typical.REACH)
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
        (spacing_d(one.at, one.d_mm, other.at, other.d_mm), other.name)
        for m, other in enumerate(found)
        if m != n and other.state != "filled"
    ]
    return min(others, default=(None, None))


def _listed(ev: Evaluated) -> list[HoleAt]:
    return [*_of_mounts(ev), *_of_wires(ev), *_noted(ev), *_of_tubes(ev)]


def _of_mounts(ev: Evaluated) -> Iterator[HoleAt]:
    for one in ev.once(fixed):
        d_mm = typical.hole_mm(one.by, one.geometry.size)
        if one.spec.by is None or not one.drills or d_mm is None:  # what is usual is a guess
            continue
        for n, spot in enumerate(one.geometry.bolts_m, start=1):
            yield HoleAt(
                f"{one.name} {n}",
                one.on_boat(spot),
                d_mm,
                "drilled" if one.spec.drilled else "planned",
                one.name,
                thing_id=one.thing_id,
                needs_hand=one.by == "through bolt",
                seal=one.spec.seal or "polyether",
                template=one.key,
            )


def _of_wires(ev: Evaluated) -> Iterator[HoleAt]:
    for key, route in ev.once(routes).items():
        end = ev.setup.power.conductors[key].end
        for i, by in enumerate(route.held):
            d_mm = typical.wire_hole_mm(by)
            if d_mm is not None:
                name, spot = f"{by} of {ev.name(end)}", route.points[i + 1]
                template = f"wire {key} {i}"
                yield HoleAt(
                    name, spot, d_mm, "drilled", ev.name(end), end, of_wire=True, template=template
                )


def _noted(ev: Evaluated) -> Iterator[HoleAt]:
    for name, hole in ev.setup.fixing.holes.items():
        user = hole.used_by if hole.used_by in ev.setup.places else None
        yield HoleAt(
            name,
            (hole.x_m, hole.y_m, hole.z_m),
            hole.d_mm,
            hole.state,
            None if user is None else ev.name(user),
            thing_id=user,
            through_hull=hole.through_hull,
        )


def _of_tubes(ev: Evaluated) -> Iterator[HoleAt]:
    for tube in ev.setup.boat.fittings:
        if isinstance(tube, FlushTube):
            spot = tube.x_m, tube.y_m, tube.z_m
            yield HoleAt(tube.name, spot, typical.TUBE_MM, "factory", tube.name)
