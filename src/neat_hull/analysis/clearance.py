"""What is in the way: things too near to each other, or in room that the angler needs.

All pairs whose bounding boxes come near are measured in three dimensions at once.
"""

import math
from collections.abc import Collection
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from neat_hull.analysis.between import solids_of
from neat_hull.analysis.envelopes import Needed, lids, needed
from neat_hull.analysis.rigging import Rigged
from neat_hull.model.figures import Clash, Said, Verdict
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.solids import Solids, closer, moves_clear, near_pairs, rods, together

REEL_M = 0.045  # radius of an ordinary reel with its handle
TOUCH_M = 0.01  # things that are into each other by less are set against each other
RODS_APART_M = 0.03  # rods nearer than this knock and tangle
_UP_SHARE = 0.4  # lifting a thing is offered where it is less than that of moving it aside
_DIAGONAL = math.sqrt(0.5)
_WAYS = np.array([
    (1, 0, 0), (-1, 0, 0), (0, 1, 0), (0, -1, 0),
    (_DIAGONAL, _DIAGONAL, 0), (_DIAGONAL, -_DIAGONAL, 0),
    (-_DIAGONAL, _DIAGONAL, 0), (-_DIAGONAL, -_DIAGONAL, 0), (0, 0, 1),
])  # fmt: skip
_WORDS = ("toward the bow", "toward the stern", "to port", "to starboard",
          "forward and to port", "forward and to starboard", "aft and to port",
          "aft and to starboard")  # fmt: skip

_Index = NDArray[np.intp]


@dataclass(frozen=True, eq=False)
class _Room:
    """Everything aboard as solids; owner (n,) is the place in `stowed` of each."""

    solids: Solids
    owner: _Index


def clashes(rigged: Rigged, only: Collection[int] | None = None) -> list[Clash]:
    """Every clash aboard, the deepest first; of one thing with one envelope only the deepest.

    With `only`, those alone that one of these things has a part in.
    """
    if not rigged.stowed:
        return []
    room = _room(rigged)
    asked = np.array([only is None or s.thing_id in only for s in rigged.stowed])
    found = [*_with_envelopes(rigged, room, asked), *_with_each_other(rigged, room, asked)]
    return sorted(found, key=lambda one: (one.verdict != "fix", one.gap_m))


@dataclass(frozen=True, eq=False)
class Meetings:
    """Who meets what, without where or how to clear it: places in `stowed`.

    in_room (n,) stand in the envelope of that key, as bad as room_verdicts (n,) say; first and
    second (m,) are two things too near each other, pair_verdicts (m,) how bad.
    """

    in_room: _Index
    room_keys: list[str]
    room_verdicts: list[Verdict]
    first: _Index
    second: _Index
    pair_verdicts: list[Verdict]


def meetings(rigged: Rigged, ghosts: Collection[int] = ()) -> Meetings:
    """All clashes at once, for many tries of places in one go; ghosts do not meet each other."""
    room = _room(rigged)
    wanted, near = _near_envelopes(rigged, room, np.ones(len(rigged.stowed), dtype=np.bool_))
    solid = np.array([s.thing_id not in ghosts for s in rigged.stowed])
    pairs = _near_each_other(rigged, room, solid)
    return Meetings(
        near.first,
        [wanted[j].key for j in near.second.tolist()],
        [wanted[j].severe for j in near.second.tolist()],
        pairs.first,
        pairs.second,
        [_pair_verdict(margin) for margin in pairs.margin_m.tolist()],
    )


def _pair_verdict(margin_m: float) -> Verdict:
    return "watch" if margin_m > 0 else "fix"


def _room(rigged: Rigged) -> _Room:
    stowed = list(rigged.stowed)
    things = solids_of(rigged, stowed)
    reels = [i for i, s in enumerate(stowed) if rigged.setup.things[s.thing_id].reel != "none"]
    if not reels:
        return _Room(things, np.arange(len(stowed)))
    at = np.array([reel_m(rigged, i) for i in reels])
    balls = rods(at, at, np.full(len(reels), REEL_M))
    return _Room(together(things, balls), np.append(np.arange(len(stowed)), reels))


def reel_m(rigged: Rigged, i: int) -> tuple[float, float, float]:
    """Middle of the reel of the thing stowed at i: under its rod, or over it."""
    stowed = rigged.stowed[i]
    thing = rigged.setup.things[stowed.thing_id]
    x, y, z = stowed.stand.at(thing.reel_at_m)
    return x, y, z + (REEL_M if thing.reel == "over" else -REEL_M)


def _with_envelopes(rigged: Rigged, room: _Room, asked: Flags) -> list[Clash]:
    wanted, met = _near_envelopes(rigged, room, asked)
    return [
        _clash(rigged, met, row, wanted[j].title, wanted[j].severe, envelope=wanted[j].key)
        for row, j in enumerate(met.second.tolist())
    ]


def _near_envelopes(rigged: Rigged, room: _Room, asked: Flags) -> tuple[list[Needed], "_Met"]:
    wanted = [one for one in [*needed(rigged), *lids(rigged)] if one.counts]
    parts = together(*(one.solids for one in wanted))
    whose = np.repeat(np.arange(len(wanted)), [len(one.solids) for one in wanted])
    margin = np.array([one.margin_m for one in wanted])
    here, there = near_pairs(room.solids, parts, float(margin.max()))
    lid = np.array([one.owner is not None for one in wanted])
    open_ = asked[room.owner[here]] | lid[whose[there]]
    open_ &= ~_spared(rigged, wanted)[room.owner[here], whose[there]]
    here, there = here[open_], there[open_]
    return wanted, _meeting(
        room.solids.take(here), parts.take(there), room.owner[here], whose[there],
        margin[whose[there]],
    )  # fmt: skip


def _spared(rigged: Rigged, wanted: list[Needed]) -> Flags:
    """(things, envelopes): what belongs there, is worn or in the hull, or in or under its lid."""
    kinds = {one.kind for one in rigged.setup.things.values()}
    by_kind = {kind: np.array([kind in one.spares for one in wanted]) for kind in kinds}
    legs = np.array([one.group == "legs" for one in wanted])
    owned = [(j, one.owner) for j, one in enumerate(wanted) if one.owner is not None]
    found = np.zeros((len(rigged.stowed), len(wanted)), dtype=np.bool_)
    for i, stowed in enumerate(rigged.stowed):
        chain = _chain(rigged, stowed.thing_id)
        found[i] = by_kind[rigged.setup.things[stowed.thing_id].kind]
        if stowed.stand.on_body or _in_hatch(rigged, chain):
            found[i] = True
        if _under_seat(rigged, chain):
            found[i] |= legs
        for j, owner in owned:
            found[i, j] |= owner in chain and not _on_lid(rigged, stowed.thing_id, owner)
    return found


def _on_lid(rigged: Rigged, thing_id: int, box_id: int) -> bool:
    on = rigged.setup.places[thing_id].on
    return on is not None and on.thing == box_id and on.spot == "on"


def _in_hatch(rigged: Rigged, chain: tuple[int, ...]) -> bool:
    on = rigged.setup.places[chain[-1]].on
    if on is None or on.kind != "fitting":
        return False
    return any(f.name == on.name and f.kind == "hatch" for f in rigged.setup.boat.fittings)


def _under_seat(rigged: Rigged, chain: tuple[int, ...]) -> bool:
    on = rigged.setup.places[chain[-1]].on
    return on is not None and on.kind == "seat" and on.spot == "under"


def _with_each_other(rigged: Rigged, room: _Room, asked: Flags) -> list[Clash]:
    met = _near_each_other(rigged, room, asked)
    found = []
    for row, j in enumerate(met.second.tolist()):
        other = rigged.stowed[j].thing_id
        verdict = _pair_verdict(met.margin_m[row])
        name = rigged.setup.things[other].name
        found.append(_clash(rigged, met, row, name, verdict, other=other))
    return found


def _near_each_other(rigged: Rigged, room: _Room, asked: Flags) -> "_Met":
    here, there = near_pairs(room.solids, room.solids, RODS_APART_M)
    a, b = room.owner[here], room.owner[there]
    keep = (a < b) & (asked[a] | asked[b])
    keep[keep] = _strangers(rigged)[a[keep], b[keep]]
    here, there, a, b = here[keep], there[keep], a[keep], b[keep]
    long = np.array([rigged.setup.things[s.thing_id].long for s in rigged.stowed])
    need = np.where(long[a] & long[b], RODS_APART_M, -TOUCH_M)
    return _meeting(room.solids.take(here), room.solids.take(there), a, b, need)


def _strangers(rigged: Rigged) -> Flags:
    """(things, things): which have no business with each other: neither holds the other or both.

    Things in one crate lie as they are thrown in; a hatch hides what is in it from the deck; worn
    things are where the body is.
    """
    chains = [_chain(rigged, s.thing_id) for s in rigged.stowed]
    things = [rigged.setup.things[s.thing_id] for s in rigged.stowed]
    hatch = np.array([_in_hatch(rigged, chain) for chain in chains])
    under = np.array([_under_seat(rigged, chain) for chain in chains])
    seat = np.array([thing.kind == "seat" for thing in things])
    worn = np.array([s.stand.on_body for s in rigged.stowed])
    found: Flags = hatch[:, None] == hatch[None, :]
    found &= ~(under[:, None] & seat[None, :]) & ~(seat[:, None] & under[None, :])
    found &= ~(worn[:, None] | worn[None, :])
    held = [i for i, chain in enumerate(chains) if len(chain) > 1]
    for i in held:
        for j, other in enumerate(chains):
            if set(chains[i][1:]) & set(other):
                found[i, j] = found[j, i] = False
    return found


@dataclass(frozen=True, eq=False)
class _Met:
    """Pairs that come too near, one row for each two owners: the solids that do so worst."""

    first: _Index
    second: _Index
    gap_m: Array
    margin_m: Array
    at_m: Array
    one: Solids
    other: Solids
    keep_m: Array

    @cached_property
    def move_m(self) -> Array:
        """(n, k): how far along each of _WAYS clears."""
        return moves_clear(self.one, self.other, self.keep_m, _WAYS)


def _meeting(one: Solids, other: Solids, first: _Index, second: _Index, margin_m: Array) -> _Met:
    near, found = closer(one, other, margin_m)
    order = np.lexsort((found.gap_m, second[near], first[near]))
    pairs = np.column_stack((first[near[order]], second[near[order]]))
    at = order[np.unique(pairs, axis=0, return_index=True)[1]]
    rows = near[at]
    margin = np.maximum(margin_m[rows], 0.0)
    return _Met(
        first[rows],
        second[rows],
        found.gap_m[at],
        margin_m[rows],
        (found.here_m[at] + found.there_m[at]) / 2,
        one.take(rows),
        other.take(rows),
        margin,
    )


def _chain(rigged: Rigged, thing_id: int) -> tuple[int, ...]:
    """A thing and all it stands on or in."""
    chain = [thing_id]
    while (holder := rigged.placing.holder(chain[-1])) is not None:
        chain.append(holder)
    return tuple(chain)


def _clash(
    rigged: Rigged, met: _Met, row: int, what: str, verdict: Verdict,
    envelope: str | None = None, other: int | None = None,
) -> Clash:  # fmt: skip
    x, y, z = met.at_m[row].tolist()
    return Clash(
        thing_id=rigged.stowed[int(met.first[row])].thing_id,
        with_thing=other,
        envelope=envelope,
        what=what,
        gap_m=float(met.gap_m[row]),
        verdict=verdict,
        at=(x, y, z),
        clear=way_out(met.move_m[row]),
    )


def way_out(move_m: Array) -> Said:
    """Words for the shortest move on the deck that clears, or up where that is far shorter."""
    best = int(move_m[:-1].argmin())
    if move_m[-1] < _UP_SHARE * move_m[best]:
        return Said.of("{} higher", length=float(move_m[-1]))
    return Said.of(f"{{}} {_WORDS[best]}", length=float(move_m[best]))
