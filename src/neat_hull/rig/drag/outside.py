"""What of the gear aboard is in the water beside the hull, and what stands in the wind over it.

A thing is a row of slices, of a box from its bottom up, of a rod or pole from butt to tip: what
of a slice lies outside the hull counts in the water where its middle is under the plane, else in
the wind.
"""

from collections.abc import Mapping, Sequence
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
from neat_hull.rig.parents.base import Stand, footprint_m
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


# Middles (n, 3), and the area of each slice out of the hull, from ahead and from the side.
Slices = tuple[Array, Array, Array]


@dataclass(frozen=True, eq=False)
class OpenThing:
    """One thing in the open: its slices, and half its breadth seen from ahead, none of a rod."""

    slices: Slices
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
    kept = known.keys() & same
    anew = [one for one in ev.rigged.stowed if one.thing_id not in kept and _in_the_open(ev, one)]
    found = _open_things(ev, anew)
    return {
        (i := one.thing_id): known[i] if i in kept else found.get(i) for one in ev.rigged.stowed
    }


def _in_the_open(ev: Evaluated, one: Stowed) -> bool:
    placing, i = ev.rigged.placing, one.thing_id
    return not (one.stand.on_body or placing.covered(i) or placing.under_seat(i))


def _open_things(ev: Evaluated, shown: Sequence[Stowed]) -> dict[int, OpenThing]:
    boxes = {one.thing_id: one.stand for one in shown if not ev.thing(one.thing_id).long}
    faces = _faces(ev.rigged.floating.hull, [(ev.thing(i), stand) for i, stand in boxes.items()])
    of_box = dict(zip(boxes, faces, strict=True))
    return {one.thing_id: _open_thing(ev, one, of_box.get(one.thing_id)) for one in shown}


def _open_thing(ev: Evaluated, one: Stowed, faces: Slices | None) -> OpenThing:
    thing, stand = ev.thing(one.thing_id), one.stand
    points, front, side = faces or _along(ev.rigged.floating.hull, thing, stand)
    hidden = points[:, 2] < _least_z(ev, one)
    slices = points, np.where(hidden, 0.0, front), np.where(hidden, 0.0, side)
    half = 0.0 if thing.long else footprint_m(thing, stand.turn_deg)[1] / 2
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


def _faces(hull: Hull, boxes: Sequence[tuple[Thing, Stand]]) -> list[Slices]:
    """Of boxes, all at once: each a grid of points on the face seen from ahead and on its side."""
    if not boxes:
        return []
    sizes = [(*footprint_m(thing, stand.turn_deg), thing.height_m) for thing, stand in boxes]
    along, across, high = np.array(sizes).T
    x, y, base = np.array([(stand.x_m, stand.y_m, stand.base_z_m) for _, stand in boxes]).T
    off = (np.arange(_ACROSS) + 0.5) / _ACROSS - 0.5
    z = base[:, None] + high[:, None] * (np.arange(_SLICES) + 0.5) / _SLICES
    # (box, face, slice, across): the face seen from ahead, then the one from the side.
    at = np.empty((3, len(boxes), 2, _SLICES, _ACROSS))
    at[0], at[1], at[2] = x[:, None, None, None], y[:, None, None, None], z[:, None, :, None]
    at[1, :, 0] += (across[:, None] * off)[:, None]
    at[0, :, 1] += (along[:, None] * off)[:, None]
    within = breadths(hull).within(*at.reshape(3, -1)).reshape(at.shape[1:])
    out = 1.0 - within.mean(axis=3)
    thick = (high / _SLICES)[:, None]
    front, side = thick * across[:, None] * out[:, 0], thick * along[:, None] * out[:, 1]
    middle = np.stack(np.broadcast_arrays(x[:, None], y[:, None], z), axis=2)
    return list(zip(middle, front, side, strict=True))


def _along(hull: Hull, thing: Thing, stand: Stand) -> Slices:
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
