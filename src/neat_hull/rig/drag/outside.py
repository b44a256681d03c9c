"""What of the gear aboard is in the water beside the hull, and what stands in the wind over it.

A thing is a row of slices, of a box from its bottom up, of a rod or pole from butt to tip: what
of a slice lies outside the hull counts in the water where its middle is under the plane, else in
the wind.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from math import cos, radians, sin

import numpy as np

from neat_hull.model.place import OnThing
from neat_hull.model.thing import Thing
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.floating import Rest
from neat_hull.rig.drag import typical
from neat_hull.rig.drag.section import breadths
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.parents.base import footprint_m
from neat_hull.rig.rigging import Stowed

_SLICES, _ACROSS = 16, 6
_SOME_M2 = 1e-6
_SITTER_HALF_M = 0.25  # half the breadth behind which one is sheltered by the angler


@dataclass(frozen=True, eq=False)
class Outside:
    """Areas of n things out in the open, m², in the water and in the wind, as seen from ahead and
    from the side, and where along the boat each stands."""

    thing_ids: tuple[int, ...]
    wet_front_m2: Array
    wet_side_m2: Array
    dry_front_m2: Array
    dry_side_m2: Array
    x_m: Array


NOTHING = Outside((), *[np.zeros(0)] * 5)


@dataclass(frozen=True, eq=False)
class OpenThing:
    """One thing in the open: its slices, and half its breadth seen from ahead, none of a rod."""

    slices: "Slices"
    x_m: float
    y_m: float
    half_m: float


def outside(at: Rest, things: Mapping[int, OpenThing], seat_x_m: float) -> Outside:
    """Of things in the open, on a boat that floats so (k = 1)."""
    if not things:
        return NOTHING
    shown = list(things.values())
    points, front, side = (np.concatenate([row.slices[n] for row in shown]) for n in (0, 1, 2))
    wet = at.height_over_water_m(points)[0] < 0
    wet_front, dry_front, wet_side, dry_side = (
        np.where(there, seen, 0.0).reshape(-1, _SLICES).sum(axis=1)
        for seen in (front, side)
        for there in (wet, ~wet)
    )
    x, y, half = (np.array(column) for column in zip(
        *((row.x_m, row.y_m, row.half_m) for row in shown), strict=True
    ))  # fmt: skip
    behind = _sheltered(seat_x_m, x, y, half, dry_front)
    return Outside(
        tuple(things),
        wet_front,
        wet_side,
        np.where(behind, typical.SHELTERED, 1.0) * dry_front,
        dry_side,
        points[:, 0].reshape(-1, _SLICES).mean(axis=1),
    )


def in_the_open(ev: Evaluated) -> dict[int, OpenThing]:
    """All that is aboard and not shut in, by id. The same objects where nothing has moved."""
    return {i: row for i, row in ev.once(_rows).items() if row is not None}


def _rows(ev: Evaluated) -> dict[int, OpenThing | None]:
    """All that is aboard, by id; None for what is not in the open. What has not moved is taken from
    the evaluation before."""
    known = {} if ev.before is None else ev.before.once(_rows)
    same = ev.rigged.placing.same if ev.before is not None else frozenset[int]()
    return {
        (i := one.thing_id): known[i] if i in same and i in known else _row(ev, one)
        for one in ev.rigged.stowed
    }


def _row(ev: Evaluated, one: Stowed) -> OpenThing | None:
    placing, thing, stand = ev.rigged.placing, ev.thing(one.thing_id), one.stand
    if stand.on_body or placing.covered(one.thing_id) or placing.under_seat(one.thing_id):
        return None
    half = 0.0 if thing.long else footprint_m(thing, stand.turn_deg)[1] / 2
    slices = _slices(ev.rigged.floating.hull, thing, one, _least_z(ev, one))
    return OpenThing(slices, stand.x_m, stand.y_m, half)


def _sheltered(seat_x_m: float, x: Array, y: Array, half: Array, dry_m2: Array) -> Flags:
    """(n,): whether half its breadth or more lies behind the angler, or a broader box ahead."""
    by = np.flatnonzero((dry_m2 > _SOME_M2) & (half > 0))
    at_x, at_y = np.append(x[by], seat_x_m), np.append(y[by], 0.0)
    theirs, mine = np.append(half[by], _SITTER_HALF_M), np.maximum(half, 1e-3)[:, None]
    y = y[:, None]
    lap = np.minimum(y + mine, at_y + theirs) - np.maximum(y - mine, at_y - theirs)
    found: Flags = ((at_x > x[:, None] + 0.05) & (theirs >= mine) & (lap >= mine)).any(axis=1)
    return found


def _least_z(ev: Evaluated, one: Stowed) -> float:
    """The height under which it is hidden: the top of what it stands in."""
    on = ev.setup.places[one.thing_id].on
    holder = ev.rigged.placing.holder(one.thing_id)
    if holder is None or not (isinstance(on, OnThing) and on.where == "in"):
        return -np.inf
    box = ev.thing(holder)
    return -np.inf if box.long else ev.rigged.by_id[holder].stand.base_z_m + box.height_m


Slices = tuple[Array, Array, Array]


def _slices(hull: Hull, thing: Thing, one: Stowed, least_z_m: float) -> Slices:
    """Middles (n, 3), and the area of each slice from ahead and from the side: nothing in the hull,
    nor in what it stands in."""
    points, front, side = _along(hull, thing, one) if thing.long else _faces(hull, thing, one)
    hidden = points[:, 2] < least_z_m
    return points, np.where(hidden, 0.0, front), np.where(hidden, 0.0, side)


def _faces(hull: Hull, thing: Thing, one: Stowed) -> Slices:
    stand = one.stand
    along, across = footprint_m(thing, stand.turn_deg)
    off = np.tile((np.arange(_ACROSS) + 0.5) / _ACROSS - 0.5, _SLICES)
    z = stand.base_z_m + thing.height_m * (np.arange(_SLICES) + 0.5) / _SLICES
    nothing = np.zeros(len(off))
    # The face seen from ahead, then the one from the side.
    x = stand.x_m + along * np.append(nothing, off)
    y = stand.y_m + across * np.append(off, nothing)
    within = breadths(hull).within(x, y, np.tile(np.repeat(z, _ACROSS), 2))
    ahead, beside = 1.0 - within.reshape(2, _SLICES, -1).mean(axis=2)
    thick = thing.height_m / _SLICES
    middle = np.column_stack((np.full(_SLICES, stand.x_m), np.full(_SLICES, stand.y_m), z))
    return middle, thick * across * ahead, thick * along * beside


def _along(hull: Hull, thing: Thing, one: Stowed) -> Slices:
    stand = one.stand
    share = (np.arange(_SLICES) + 0.5) / _SLICES
    butt, tip = np.array(stand.at(0.0)), np.array(stand.at(thing.length_m))
    points = butt + share[:, None] * (tip - butt)
    thick = typical.ROD_M if thing.shape == "rod" else min(thing.width_m, thing.height_m)
    reel = typical.REEL_M2 if thing.has_reel else 0.0
    turn, tilt = radians(stand.turn_deg), radians(stand.tilt_deg)
    from_ahead = float(np.hypot(cos(tilt) * sin(turn), sin(tilt)))
    from_side = float(np.hypot(cos(tilt) * cos(turn), sin(tilt)))
    out = ~breadths(hull).within(*points.T)
    long = thick * thing.length_m
    return (
        points,
        out * (long * from_ahead + reel) / _SLICES,
        out * (long * from_side + reel) / _SLICES,
    )
