"""The room that things aboard take up, as solids, and what it matters of them who they meet."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, fields
from typing import TypeVar

import numpy as np
from numpy.typing import NDArray

from neat_hull.model.base import Point
from neat_hull.physics.arrays import Flags
from neat_hull.physics.solids import Solids, rods, together
from neat_hull.rig.between import solids_of
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rigging import Rigged

Index = NDArray[np.intp]

REEL_M = 0.045  # radius of an ordinary reel with its handle


@dataclass(frozen=True, eq=False)
class Traits:
    """Of n things aboard: the thing (id) at the foot of what each stands on, and what it is."""

    root: Index
    in_hatch: Flags
    under_seat: Flags
    seat: Flags
    worn: Flags
    long: Flags


T = TypeVar("T", Solids, Traits)


@dataclass(frozen=True, eq=False)
class Taken:
    """Everything aboard as m solids; owner (m,) is the place in `stowed` of each."""

    solids: Solids
    owner: Index
    traits: Traits


def taken(ev: Evaluated) -> Taken:
    """Of an evaluated setup; what stands as it did before is taken from there."""
    stowed, before = ev.rigged.stowed, ev.before
    if before is None or ev.rigged.by_id.keys() != before.rigged.by_id.keys():
        return taken_by(ev.rigged, range(len(stowed)))
    was, moved = before.once(taken), ev.moved
    now = taken_by(ev.rigged, [i for i, s in enumerate(stowed) if s.thing_id in moved])
    again = np.zeros(len(stowed), dtype=np.bool_)
    again[now.owner] = True
    rows = np.flatnonzero(again[was.owner])
    if not np.array_equal(was.owner[rows], now.owner):  # one that got a reel, or lost it
        return taken_by(ev.rigged, range(len(stowed)))
    things = np.unique(now.owner)
    return Taken(
        _put(was.solids, rows, now.solids), was.owner, _put(was.traits, things, now.traits)
    )


def taken_by(rigged: Rigged, at: Sequence[int]) -> Taken:
    """Of some things aboard, by their places in `stowed`."""
    stowed, placing = [rigged.stowed[i] for i in at], rigged.placing
    things = [rigged.setup.things[s.thing_id] for s in stowed]
    reels = [i for i, thing in zip(at, things, strict=True) if thing.has_reel]
    solids, owner = solids_of(rigged, stowed), np.array(at, dtype=np.intp)
    if reels:
        middle = np.array([reel_m(rigged, i) for i in reels])
        balls = rods(middle, middle, np.full(len(reels), REEL_M))
        solids, owner = together(solids, balls), np.append(owner, reels)
    ids = [s.thing_id for s in stowed]
    return Taken(
        solids,
        owner,
        Traits(
            root=np.array([placing.root(i) for i in ids], dtype=np.intp),
            in_hatch=_flags(placing.in_hatch(i) for i in ids),
            under_seat=_flags(placing.under_seat(i) for i in ids),
            seat=_flags(thing.part == "seat" for thing in things),
            worn=_flags(s.stand.on_body for s in stowed),
            long=_flags(thing.long for thing in things),
        ),
    )


def reel_m(rigged: Rigged, i: int) -> Point:
    """Middle of the reel of the thing stowed at i: under its rod, or over it."""
    stowed = rigged.stowed[i]
    thing = rigged.setup.things[stowed.thing_id]
    x, y, z = stowed.stand.at(thing.reel_at_m)
    over = thing.rod is not None and thing.rod.reel == "over"
    return x, y, z + (REEL_M if over else -REEL_M)


def strangers(traits: Traits, a: Index, b: Index) -> Flags:
    """(m,): which pairs have no business with each other.

    Things in one crate lie as they are thrown in, and what holds them is about them; a hatch hides
    what is in it from the deck; under the seat is not against the seat; worn things are where the
    body is.
    """
    t = traits
    apart: Flags = (t.root[a] != t.root[b]) & (t.in_hatch[a] == t.in_hatch[b])
    apart &= ~(t.worn[a] | t.worn[b])
    apart &= ~((t.under_seat[a] & t.seat[b]) | (t.seat[a] & t.under_seat[b]))
    return apart


def _flags(values: Iterable[bool]) -> Flags:
    return np.fromiter(values, dtype=np.bool_)


def _put(was: T, rows: Index, now: T) -> T:
    columns = []
    for field in fields(was):
        column = getattr(was, field.name).copy()
        column[rows] = getattr(now, field.name)
        columns.append(column)
    return type(was)(*columns)
