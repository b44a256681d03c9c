"""How each thing is come by: the zone, what the boat does meanwhile, what must be done first."""

from dataclasses import dataclass

import numpy as np

from neat_hull.analysis.rigging import Rigged, Stowed, limits_of, room_of
from neat_hull.model.thing import Thing
from neat_hull.physics.arrays import Array
from neat_hull.physics.hydrostatics import RightingCurve
from neat_hull.physics.reach import Reach, Zone, reach

_FINE_RAD = np.radians(0.1)  # the curve is read in steps this fine
_OPENS = {"lid": "open the lid of", "zip": "unzip", "roll top": "unroll", "open": ""}


@dataclass(frozen=True)
class Come:
    """How one thing is come by; heel in degrees, starboard down. None where nobody leans."""

    way: Reach
    grip_m: tuple[float, float, float]
    zone: Zone
    heels_deg: float | None
    margin_used: float | None
    freeboard_m: float | None
    steps: list[str]


def come_by(
    rigged: Rigged, curve: RightingCurve | None, over_lids: dict[str, list[str]] | None = None
) -> list[Come]:
    """One for each thing stowed, in that order; `curve` is that of the setup, from 0 on.

    over_lids names, by hatch, what stands in the swing of its lid and must be moved first.
    """
    opening = [_opening(rigged, one) for one in rigged.stowed]
    grips = np.array([grip for grip, _ in opening]).reshape(-1, 3)
    seat, hull = rigged.setup.seat, rigged.floating.hull
    ways = reach(rigged.body, grips, limits_of(rigged.setup.angler), room_of(hull, seat))
    shifts = np.array([way.shift_m for way in ways]).reshape(-1, 3)
    leaned = _leaned(rigged, curve, shifts)
    found = []
    for i, (stowed, way) in enumerate(zip(rigged.stowed, ways, strict=True)):
        worn = stowed.stand.on_body
        zone = Zone.HAND if worn else _zone(way.zone, opening[i][1])
        leans = way.zone in (Zone.LEAN, Zone.TWIST) and not worn
        heel, margin, over = (float(column[i]) for column in leaned)
        known = leans and np.isfinite(heel)
        found.append(
            Come(
                way=way,
                grip_m=opening[i][0],
                zone=zone,
                heels_deg=heel if known else None,
                margin_used=margin if leans and np.isfinite(margin) else None,
                freeboard_m=over if known else None,
                steps=[] if worn else _steps(rigged, stowed.thing_id, over_lids or {}),
            )
        )
    return found


def _zone(zone: Zone, hatch: bool) -> Zone:
    """A hatch that the seat does not come to is not opened afloat."""
    return Zone.ASHORE if hatch and zone is Zone.LEAVE else zone


def _opening(rigged: Rigged, stowed: Stowed) -> tuple[tuple[float, float, float], bool]:
    """The point a hand must come to: the thing, or the mouth it is taken out through."""
    setup, placing = rigged.setup, rigged.placing
    thing_id, grip = stowed.thing_id, stowed.grip_m
    while True:
        place = setup.places[thing_id]
        on = place.on
        if on is not None and on.kind == "fitting" and on.spot == "in":
            fitting = next((f for f in setup.boat.fittings if f.name == on.name), None)
            if fitting is not None and fitting.kind == "hatch":
                return (fitting.x_m, fitting.y_m, fitting.z_m), True
            return grip, False
        holder = placing.holder(thing_id)
        if holder is None or on is None:
            return grip, False
        box = setup.things[holder]
        rod = setup.things[thing_id].long
        if on.spot == "in" and box.kind != "holder" and not (box.long or rod):
            stand = placing.stand(holder)
            grip = (stand.x_m, stand.y_m, stand.base_z_m + box.height_m)
        thing_id = holder


def _steps(rigged: Rigged, thing_id: int, over_lids: dict[str, list[str]]) -> list[str]:
    """What must be done first, in order: hatches, lids and what lies on or over it."""
    setup, placing = rigged.setup, rigged.placing
    steps: list[str] = []
    at: int | None = thing_id
    while at is not None:
        on, holder = setup.places[at].on, placing.holder(at)
        if on is not None and on.kind == "fitting" and on.spot == "in":
            hatches = [f for f in setup.boat.fittings if f.name == on.name and f.kind == "hatch"]
            aside = [f"move {what} aside" for f in hatches for what in over_lids.get(f.name, [])]
            steps = aside + [f"open {f.name}" for f in hatches] + steps
        if holder is not None and on is not None and on.spot == "in":
            first = [f"take out {setup.things[i].name}" for i in placing.out_first(at)]
            steps = _to_open(rigged, holder, setup.things[holder]) + first + steps
        at = holder
    return steps


def _to_open(rigged: Rigged, box_id: int, box: Thing) -> list[str]:
    """Take off what stands on it, then open it; an open top needs neither lid nor zip."""
    on_top = [
        f"take off {rigged.setup.things[i].name}"
        for i in rigged.placing.held_by(box_id)
        if (on := rigged.setup.places[i].on) is not None and on.spot == "on"
    ]
    if box.kind == "holder":
        return []
    return on_top + ([f"{_OPENS[box.opens]} {box.name}"] if _OPENS[box.opens] else [])


def _leaned(
    rigged: Rigged, curve: RightingCurve | None, shift_m: Array
) -> tuple[Array, Array, Array]:
    """Heel in degrees, share of the margin and freeboard (n,) with the body moved by shift_m.

    Read off the curve of the boat with its weights on the centreline: the moved body is a lever
    y·cos φ against it, and what it is raised by takes z·sin φ from it. NaN where it goes over.
    """
    nothing = np.full(len(shift_m), np.nan)
    if curve is None or len(shift_m) == 0:
        return nothing, nothing, nothing
    fine = np.arange(0.0, float(curve.heel_rad[-1]) + _FINE_RAD, _FINE_RAD)
    sunk = ~np.isfinite(curve.gz_m)
    if sunk[:2].any():
        return nothing, nothing, nothing
    # The setup's own list is in its curve: off it comes, for both sides are asked.
    own_y = float(rigged.loads.centre_m[1])
    upright = np.where(sunk, -1.0, curve.gz_m - own_y * np.cos(curve.heel_rad))
    gz = np.interp(fine, curve.heel_rad, upright)
    edge = np.interp(fine, curve.heel_rad, np.where(sunk, np.nan, curve.edge_over_m))
    share = rigged.body.mass_kg / rigged.loads.total_kg
    aside = own_y + share * shift_m[:, 1]
    left = gz - share * shift_m[:, 2:] * np.sin(fine) - np.abs(aside)[:, None] * np.cos(fine)
    holds = left >= 0
    first = np.where(holds.any(axis=1), holds.argmax(axis=1), -1)
    heel = np.where(first >= 0, np.degrees(fine[first]) * -np.sign(aside), np.nan)
    most = float(gz.max())
    margin = np.abs(aside) / most if most > 0 else nothing
    return heel, margin, np.where(first >= 0, edge[first], np.nan)
