"""What is in the way: things too near to each other, or in room that the angler needs.

All pairs whose bounding boxes come near are measured in three dimensions at once.
"""

from collections.abc import Collection
from dataclasses import dataclass, fields
from functools import cached_property, lru_cache

import numpy as np

from neat_hull.model.place import OnThing
from neat_hull.model.room import Clash, TooNear
from neat_hull.model.said import Verdict
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.gaps import closer
from neat_hull.physics.solids import Solids, near_pairs, spans_along, together
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.placing import Placing
from neat_hull.rig.rigging import Rigged
from neat_hull.subjects.room.envelopes import Needed, needed
from neat_hull.subjects.room.lids import HATCH, LID, is_lid, lids
from neat_hull.subjects.room.taken import (
    REEL_M,
    Index,
    Taken,
    reel_m,
    strangers,
    taken,
    taken_by,
)
from neat_hull.subjects.room.ways_out import WAYS, way_out

__all__ = [
    "REEL_M",
    "Meetings",
    "Needed",
    "clashes",
    "hatch_of",
    "is_lid",
    "meetings",
    "needed",
    "reel_m",
    "too_near",
    "too_near_of",
]

TOUCH_M = 0.01  # things that are into each other by less are set against each other
_AIR_M = 0.001  # told as a move away from room that is needed, beyond its edge
RODS_APART_M = 0.03  # rods nearer than this knock and tangle


@dataclass(frozen=True, eq=False)
class _Found:
    """What is too near to what, and the row of its measuring that says how it gets clear."""

    near: TooNear
    what: str
    met: "_Met"
    row: int

    def clash(self, rigged: Rigged) -> Clash:
        """In words: the way out takes longer than to find it."""
        clear = way_out(rigged, self.near.thing_id, self.met.clear_m[self.row])
        return Clash(**dict(self.near), what=self.what, clear=clear)


def clashes(ev: Evaluated) -> list[Clash]:
    """Every clash aboard, the deepest first; of one thing with one envelope only the deepest."""
    found, before, kept = ev.once(_found), ev.before, {}
    if before is not None:  # what was found before and is kept gets clear as it did
        kept = dict(zip(before.once(_found), before.once(clashes), strict=True))
    return [kept.get(one) or one.clash(ev.rigged) for one in found]


def too_near(ev: Evaluated) -> list[TooNear]:
    """The same without words: told while something is carried about."""
    return [one.near for one in ev.once(_found)]


def _found(ev: Evaluated) -> list[_Found]:
    before = ev.before
    # Of things that both stand as they did, nothing has changed, while the room needed is the same.
    if before is None or needed(before.rigged) is not needed(ev.rigged):
        return _found_of(ev.rigged, None, ev.once(taken))
    moved = ev.moved
    gone = moved | (before.setup.places.keys() - ev.setup.places.keys())
    lids_moved = {f"{LID}{i}" for i in gone}
    kept = [
        one
        for one in before.once(_found)
        if one.near.thing_id not in gone
        and one.near.with_thing not in gone
        and one.near.envelope not in lids_moved
    ]
    if not moved:
        return kept
    return sorted([*kept, *_found_of(ev.rigged, moved, ev.once(taken))], key=_order)


def too_near_of(rigged: Rigged, only: Collection[int] | None = None) -> list[TooNear]:
    """The same of a setup made ready; with `only`, of what one of these things, or its lid, has a
    part in."""
    return [one.near for one in _found_of(rigged, only)]


def _found_of(
    rigged: Rigged, only: Collection[int] | None = None, room: Taken | None = None
) -> list[_Found]:
    """`room` is what things take up, where that is known."""
    if not rigged.stowed:
        return []
    room = room or taken_by(rigged, range(len(rigged.stowed)))
    asked = np.array([only is None or s.thing_id in only for s in rigged.stowed])
    wanted, every, with_envelopes = _near_envelopes(rigged, room, asked)
    met = _meeting(every, with_envelopes, _near_each_other(room, asked, len(wanted)))
    found = []
    for row, j in enumerate(met.second.tolist()):
        if j < len(wanted):
            one = wanted[j]
            found.append(_one(rigged, met, row, one.title, one.severe, envelope=one.key))
        else:
            other = rigged.stowed[j - len(wanted)].thing_id
            name, verdict = rigged.setup.things[other].name, _pair_verdict(met.margin_m[row])
            found.append(_one(rigged, met, row, name, verdict, other=other))
    return sorted(found, key=_order)


def hatch_of(clash: TooNear) -> str | None:
    """The hatch whose lid something stands in the way of; None for all else."""
    key = clash.envelope or ""
    return key.removeprefix(HATCH) if key.startswith(HATCH) else None


def _order(found: _Found) -> tuple[bool, float, int, int, str]:
    one = found.near
    return (one.verdict != "fix", one.gap_m, one.thing_id, one.with_thing or 0, one.envelope or "")


@dataclass(frozen=True, eq=False)
class Meetings:
    """Who meets what, without where or how to clear it: places in `stowed`.

    in_room (n,) stand in the envelope of that key, as bad as room_verdicts (n,) say; first and
    second (m,) are two things too near each other, pair_verdicts (m,) how bad.
    """

    in_room: Index
    room_keys: list[str]
    room_verdicts: list[Verdict]
    first: Index
    second: Index
    pair_verdicts: list[Verdict]


def meetings(rigged: Rigged, ghosts: Collection[int] = ()) -> Meetings:
    """All clashes at once, for many tries of places in one go; ghosts do not meet each other."""
    room = taken_by(rigged, range(len(rigged.stowed)))
    everything = np.ones(len(rigged.stowed), dtype=np.bool_)
    wanted, every, with_envelopes = _near_envelopes(rigged, room, everything)
    solid = np.array([s.thing_id not in ghosts for s in rigged.stowed])
    met = _meeting(every, with_envelopes, _near_each_other(room, solid, len(wanted)))
    in_room = met.second < len(wanted)
    envelopes = [wanted[j] for j in met.second[in_room].tolist()]
    return Meetings(
        met.first[in_room],
        [one.key for one in envelopes],
        [one.severe for one in envelopes],
        met.first[~in_room],
        met.second[~in_room] - len(wanted),
        [_pair_verdict(margin) for margin in met.margin_m[~in_room].tolist()],
    )


def _pair_verdict(margin_m: float) -> Verdict:
    return "watch" if margin_m > 0 else "fix"


@dataclass(frozen=True, eq=False)
class _Everything:
    """All solids, those of things first; `whose` (m,) counts the envelopes first, then the things
    in the order of `stowed`."""

    solids: Solids
    whose: Index
    envelopes: int


@dataclass(frozen=True, eq=False)
class _Near:
    """Pairs to be measured: rows of all solids, whose they are, and how far apart is enough.

    `first` counts things, `second` as _Everything does.
    """

    here: Index
    there: Index
    first: Index
    second: Index
    margin_m: Array


def _near_envelopes(
    rigged: Rigged, room: Taken, asked: Flags
) -> tuple[list[Needed], _Everything, _Near]:
    """The envelopes; all solids; and what of one comes near the other."""
    fixed, fixed_parts = _counted(needed(rigged))
    moving = lids(rigged)
    wanted = [*fixed, *moving]
    parts = together(fixed_parts, *(one.solids for one in moving))
    whose = np.repeat(np.arange(len(wanted)), [len(one.solids) for one in wanted])
    margin = np.array([one.margin_m for one in wanted])
    place = {s.thing_id: i for i, s in enumerate(rigged.stowed)}
    lid = np.array([one.owner is not None and bool(asked[place[one.owner]]) for one in wanted])
    mine = np.arange(len(room.owner)) if lid.any() else np.flatnonzero(asked[room.owner])
    here, there = near_pairs(room.solids.take(mine), parts, float(margin.max()))
    here = mine[here]
    open_ = asked[room.owner[here]] | lid[whose[there]]
    here, there = here[open_], there[open_]
    spared = _Spared(rigged)
    open_ = np.array(
        [
            not spared(i, wanted[j])
            for i, j in zip(room.owner[here].tolist(), whose[there].tolist(), strict=True)
        ],
        dtype=np.bool_,
    )
    here, there = here[open_], there[open_]
    second = whose[there]
    return (
        wanted,
        _Everything(
            together(room.solids, parts), np.append(room.owner + len(wanted), whose), len(wanted)
        ),
        _Near(here, there + len(room.owner), room.owner[here], second, margin[second]),
    )


@lru_cache(maxsize=16)
def _counted(all_needed: tuple[Needed, ...]) -> tuple[list[Needed], Solids]:
    """The envelopes that count, and all of their solids together."""
    counted = [one for one in all_needed if one.counts]
    return counted, together(*(one.solids for one in counted))


class _Spared:
    """What an envelope is not asked of: what belongs there, is worn or in the hull, or in or under
    its own lid."""

    def __init__(self, rigged: Rigged) -> None:
        self.rigged = rigged
        self._hidden: dict[int, bool] = {}

    def __call__(self, i: int, one: Needed) -> bool:
        """Of the thing stowed at i."""
        stowed = self.rigged.stowed[i]
        placing, thing_id = self.rigged.placing, stowed.thing_id
        if i not in self._hidden:
            self._hidden[i] = stowed.stand.on_body or placing.in_hatch(thing_id)
        thing = self.rigged.setup.things[thing_id]
        if self._hidden[i] or thing.part in one.spares or (thing.worn and one.spares_worn):
            return True
        if one.group == "legs" and placing.under_seat(thing_id):
            return True
        if one.owner is None:
            return False
        return one.owner in placing.chain(thing_id) and not _on_lid(placing, thing_id, one.owner)


def _on_lid(placing: Placing, thing_id: int, box_id: int) -> bool:
    return placing.setup.places[thing_id].on == OnThing(thing=box_id)


def _near_each_other(room: Taken, asked: Flags, after: int) -> _Near:
    """Things that come near each other, counted on `after` so many envelopes."""
    mine = np.flatnonzero(asked[room.owner])
    here, there = near_pairs(room.solids.take(mine), room.solids, RODS_APART_M)
    here = mine[here]
    a, b = room.owner[here], room.owner[there]
    # A pair of two that are both asked is seen from both; the solids stand in the order of owners.
    keep = (a < b) | ((a > b) & ~asked[b])
    keep &= strangers(room.traits, a, b)
    here, there, a, b = here[keep], there[keep], a[keep], b[keep]
    turned = a > b
    here, there = np.where(turned, there, here), np.where(turned, here, there)
    a, b = np.where(turned, b, a), np.where(turned, a, b)
    long = room.traits.long
    need = np.where(long[a] & long[b], RODS_APART_M, -TOUCH_M)
    return _Near(here, there, a, b + after, need)


@dataclass(frozen=True, eq=False)
class _Met:
    """Pairs that come too near, one row for each two owners: the solids that do so worst."""

    first: Index
    second: Index
    gap_m: Array
    margin_m: Array
    at_m: Array
    everything: _Everything

    @cached_property
    def clear_m(self) -> Array:
        """(n, k): how far along each of WAYS the whole of the one is clear of all of the other."""
        every = self.everything
        back, front = spans_along(every.solids, every.whose, WAYS)
        far: Array = front[self.second] - back[self.first + every.envelopes]
        # Things may touch each other; what the angler needs is kept clear of.
        air = np.where(self.second < every.envelopes, self.margin_m + _AIR_M, self.margin_m)
        return far + np.maximum(air, 0.0)[:, None]


def _meeting(every: _Everything, *groups: _Near) -> _Met:
    """Measure all pairs at once; of each two owners only the solids that come nearest."""
    here, there, first, second, margin_m = (
        np.concatenate([getattr(group, field.name) for group in groups]) for field in fields(_Near)
    )
    one, other = every.solids.take(here), every.solids.take(there)
    near, found = closer(one, other, margin_m)
    order = np.lexsort((found.gap_m, second[near], first[near]))
    a, b = first[near[order]], second[near[order]]
    new = np.ones(len(order), dtype=np.bool_)
    new[1:] = (a[1:] != a[:-1]) | (b[1:] != b[:-1])
    at = order[new]
    rows = near[at]
    return _Met(
        first[rows],
        second[rows],
        found.gap_m[at],
        margin_m[rows],
        (found.here_m[at] + found.there_m[at]) / 2,
        every,
    )


def _one(
    rigged: Rigged,
    met: _Met,
    row: int,
    what: str,
    verdict: Verdict,
    envelope: str | None = None,
    other: int | None = None,
) -> _Found:
    x, y, z = met.at_m[row].tolist()
    near = TooNear(
        thing_id=rigged.stowed[int(met.first[row])].thing_id,
        with_thing=other,
        envelope=envelope,
        gap_m=float(met.gap_m[row]),
        verdict=verdict,
        at=(x, y, z),
    )
    return _Found(near, what, met, row)
