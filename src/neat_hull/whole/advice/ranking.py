"""Which moves are worth a full evaluation.

Trim, list and GM go with the moved weight by the slopes of small changes (docs/physics.md, "Small
changes"). Moves of one thing are measured all at once for reach and for what they run into; of the
others, swaps and seats, only the best by small change are.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from neat_hull.errors import NeatHullError
from neat_hull.model.findings import Finding
from neat_hull.model.judging import LimitKey
from neat_hull.model.nesting import all_contents
from neat_hull.model.place import Place
from neat_hull.model.thing import Thing
from neat_hull.physics.arrays import Array
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.fits import misfit
from neat_hull.rig.limits import WEIGHT
from neat_hull.rig.placing import Placing
from neat_hull.rig.rigging import rig
from neat_hull.rig.settling import at_rest
from neat_hull.rig.subject import Tries
from neat_hull.subjects.room.figures import too_near_of
from neat_hull.whole.advice.moves import Move, moves_of, seats, with_holders
from neat_hull.whole.advice.tries import Meets, Tried, all_tried

_FOCUS = 3.0  # how much more the figure that was asked about counts
_METRE = 6.0  # of two equal moves the smaller: what a metre costs
_TURN = 0.5  # a turn asks for as much as being moved by that
_PER_KG = 0.2  # of two equal moves the lighter thing
_NEW_HOLES = 5.0  # half a watch: what is screwed down leaves its holes behind
_SEAT, _ASHORE = 5.0, 15.0  # a seat changes all that is reached from it; what is ashore is missed
_MOST_MEASURED = 8  # of moves that cannot be measured all at once


@dataclass(frozen=True)
class Ranked:
    """A move with what it is expected to come to; less is better."""

    move: Move
    cost: float


class Options:
    """What could be done aboard one boat: the moves of each thing, made and measured once."""

    def __init__(self, now: Evaluated) -> None:
        self.now = now
        self._made: dict[tuple[int, bool], list[Move]] = {}
        self._seats: list[Move] | None = None
        self._measured: dict[int, Tried] = {}  # by the identity of the move, which is kept here

    def moves(self, aim: Tries) -> list[Move]:
        """Everything that could be done with what is to be tried."""
        found: list[Move] = []
        for thing_id in with_holders(self.now.rigged, aim.things):
            key = thing_id, aim.without
            if key not in self._made:
                self._made[key] = list(moves_of(self.now.rigged, thing_id, aim.without))
            found += self._made[key]
        if aim.seats:
            self._seats = self._seats or list(seats(self.now.setup))
            found += self._seats
        return found

    def measure(self, moves: Sequence[Move]) -> None:
        """Measure the moves of single things among them, all at once."""
        new = {id(one): one for one in moves if _is_single(one) and id(one) not in self._measured}
        tries = [(one.places[0][0], place) for one in new.values() if (place := one.places[0][1])]
        if tries:
            rows, _ = all_tried(self.now, tries)
            self._measured |= dict(zip(new, rows, strict=True))

    def ranked(self, finding: Finding | None, aim: Tries) -> list[Ranked]:
        """The moves for a finding, best first; those that the boat would refuse are left out."""
        moves = self.moves(aim)
        self.measure(moves)
        costs = _Costs(self.now, finding, aim)
        found = _others(self.now, [one for one in moves if not _is_single(one)], costs)
        for one in moves:
            if _is_single(one):
                found.append(_single(self.now, one, self._measured[id(one)], finding, costs))
        return sorted(found, key=lambda one: one.cost)


def badness(findings: Sequence[Finding]) -> float:
    """How bad a setup is: all findings that nobody lives with taken together."""
    return sum(
        WEIGHT[one.verdict] + min(one.badness, 5.0) for one in findings if one.accepted is None
    )


def _is_single(move: Move) -> bool:
    return move.seat is None and len(move.places) == 1 and move.places[0][1] is not None


class _Costs:
    """What a change of moments, in kg·m, and of weight comes to."""

    def __init__(self, now: Evaluated, finding: Finding | None, aim: Tries) -> None:
        self.now, self.aim = now, aim
        self.focus = None if finding is None else finding.limit_key

    def of(self, moment_kg_m: Array, added_kg: float, moved_m: float) -> float:
        """By small changes: θ and φ by the moment, GM by how much higher the weight is."""
        rest = at_rest(self.now)
        cost = _METRE * moved_m
        if self.aim.lighter:
            cost += 5 * added_kg
        if rest is None:
            return cost + 5 * added_kg
        lie, up = rest.equilibrium, rest.upright
        total = self.now.rigged.loads.total_kg
        x, y, z = (float(v) for v in moment_kg_m)
        trim = np.degrees(lie.trim_rad) - np.degrees(x / (total * up.gm_l_m))
        heel = np.degrees(lie.heel_rad) - np.degrees(y / (total * max(up.gm_m, 0.03)))
        rows: tuple[tuple[LimitKey, float], ...] = (
            ("trim", abs(trim)),
            ("list", abs(heel)),
            ("gm", up.gm_m - z / total),
        )
        for key, value in rows:
            levels = self.now.table[key]
            weight = _FOCUS if key == self.focus else 1.0
            cost += weight * (WEIGHT[levels.verdict(value)] + 20 * levels.beyond(value))
        return cost


def _single(
    now: Evaluated, move: Move, row: Tried, finding: Finding | None, costs: _Costs
) -> Ranked:
    moment, added, moved = _shifted(now, row)
    cost = costs.of(moment, added, moved) + (_TURN if move.kind == "turn" else 0.0)
    cost += _toil(now.setup.things[row.thing_id], row.mass_kg)
    weight = 1.0
    if costs.aim.nearer and finding is not None and row.thing_id == finding.thing_id:
        weight = _FOCUS
    cost += weight * row.reach_cost + (0.0 if row.fits else WEIGHT["fix"])
    cost += sum(WEIGHT[one.verdict] for one in row.meets)
    if (
        finding is not None
        and costs.aim.apart
        and any(_is_about(one, finding) for one in row.meets)
    ):
        cost += _FOCUS * WEIGHT[finding.verdict]
    return Ranked(move, cost)


def _toil(thing: Thing, mass_kg: float) -> float:
    """What it takes to put a thing elsewhere: the small and free goes before the rest."""
    return _PER_KG * mass_kg + (_NEW_HOLES if thing.fixing.by in ("plate", "flush tube") else 0.0)


def _shifted(now: Evaluated, row: Tried) -> tuple[Array, float, float]:
    """Moment of the weight moved, what is added, and how far it goes."""
    setup, mean = now.setup, now.rigged.loads.solid_centre_m
    new = np.array(row.centre_m)
    if row.thing_id not in setup.places:
        return row.mass_kg * (new - mean), row.mass_kg, 0.0
    old = _centre_m(now, row.thing_id)
    return row.mass_kg * (new - old), 0.0, float(np.linalg.norm(new - old))


def _centre_m(now: Evaluated, thing_id: int) -> Array:
    """Centre of a thing aboard with all it holds."""
    setup = now.setup
    mine = {thing_id, *all_contents(setup, thing_id)}
    rows = [s for s in now.rigged.stowed if s.thing_id in mine]
    mass = np.array([setup.things[s.thing_id].mass_now_kg for s in rows])
    centre: Array = mass @ np.array([s.centre_m for s in rows]) / mass.sum()
    return centre


def _is_about(meets: Meets, finding: Finding) -> bool:
    """Whether a try still runs into what a finding tells of."""
    if finding.other_id is None:
        return meets.envelope is not None and meets.verdict == finding.verdict
    return meets.other in (finding.thing_id, finding.other_id)


def _others(now: Evaluated, moves: list[Move], costs: _Costs) -> list[Ranked]:
    """Swaps, seats and things left ashore: the best by small change, then what they run into."""
    dear = {"seat": _SEAT, "ashore": 0.0 if costs.aim.lighter else _ASHORE}
    first = [
        Ranked(move, costs.of(*change) + dear.get(move.kind, 0.0))
        for move in moves
        if (change := _change(now, move)) is not None
    ]
    found = []
    for row in _varied(sorted(first, key=lambda one: one.cost)):
        try:
            tried = rig(row.move.on(now.setup), now.rigged)
        except NeatHullError:
            continue
        moved = [i for i, place in row.move.places if place is not None]
        with_held = {one for i in moved for one in (i, *all_contents(tried.setup, i))}
        met = too_near_of(tried, with_held if row.move.seat is None else None)
        bad = sum(WEIGHT[one.verdict] for one in met)
        bad += sum(WEIGHT["fix"] for i in moved if misfit(tried.placing, i) is not None)
        found.append(Ranked(row.move, row.cost + bad))
    return found


def _varied(rows: list[Ranked]) -> list[Ranked]:
    """The best of them, no more than a third of one kind."""
    taken: list[Ranked] = []
    count: dict[str, int] = {}
    for one in rows:
        kind = one.move.kind
        if count.get(kind, 0) <= _MOST_MEASURED // 3 and len(taken) < _MOST_MEASURED:
            count[kind] = count.get(kind, 0) + 1
            taken.append(one)
    return taken


def _change(now: Evaluated, move: Move) -> tuple[Array, float, float] | None:
    """Moment of all that is moved, what is added, and how far; None where it cannot be."""
    setup, mean = now.setup, now.rigged.loads.solid_centre_m
    if move.seat is not None:
        step = np.array([move.seat.x_m - setup.seat.x_m, 0.0, move.seat.z_m - setup.seat.z_m])
        return now.rigged.body.mass_kg * step, 0.0, float(np.linalg.norm(step))
    hull, body = now.rigged.floating.hull, now.rigged.body
    try:
        placing = Placing(move.on(setup), hull, body, now.rigged.placing)
        moment, added, far = np.zeros(3), 0.0, 0.0
        for thing_id, place in move.places:
            step, mass = _one_change(now, placing, thing_id, place)
            if place is None:
                moment -= mass * (_centre_m(now, thing_id) - mean)
                added -= mass
            else:
                moment += mass * step
                far += float(np.linalg.norm(step))
    except (NeatHullError, StopIteration):
        return None
    return moment, added, far


def _one_change(
    now: Evaluated, placing: Placing, thing_id: int, place: Place | None
) -> tuple[Array, float]:
    """How far a thing aboard goes, and what goes with it."""
    setup = now.setup
    mass = sum(setup.things[i].mass_now_kg for i in (thing_id, *all_contents(setup, thing_id)))
    if place is None:
        return np.zeros(3), mass
    old, new = now.rigged.placing.stand(thing_id), placing.stand(thing_id)
    step = np.array([new.x_m - old.x_m, new.y_m - old.y_m, new.base_z_m - old.base_z_m])
    return step, mass
