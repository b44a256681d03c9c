"""Which moves are worth a full evaluation: small-change figures first, then what each runs into.

Trim, list and GM go with the moved weight by the slopes of small changes (docs/physics.md); reach
is asked for all moves at once; of the best, what the moved things meet is measured.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from neat_hull.analysis.advice.moves import Move
from neat_hull.analysis.clearance import clashes
from neat_hull.analysis.evaluate import Evaluated
from neat_hull.analysis.fits import misfit
from neat_hull.analysis.limits import WEIGHT, limits_for, zone_steps
from neat_hull.analysis.placing import Placing
from neat_hull.analysis.rigging import limits_of, rig, room_of
from neat_hull.errors import NeatHullError
from neat_hull.model.figures import Clash, Finding
from neat_hull.model.nesting import held_by
from neat_hull.physics.reach import reach

_FOCUS = 3.0  # how much more the figure that was asked about counts
_ASKED_FOR = {"bow or stern down": "trim", "to one side": "list", "unsteady seated": "gm"}
_METRE = 2.0  # of weight per metre that something is moved: of two equal moves the smaller
_TURN = 0.5  # a turn asks for as much as being moved by that
_MOST_MEASURED = 14


@dataclass(frozen=True)
class Ranked:
    """A move with what it is expected to come to; less is better."""

    move: Move
    cost: float


def ranked(now: Evaluated, moves: list[Move], finding: Finding | None) -> list[Ranked]:
    """The moves, best first; those that the boat would refuse are left out."""
    first = sorted(_by_small_change(now, moves, finding), key=lambda one: one.cost)
    best = _varied(first, _MOST_MEASURED)
    return sorted(_by_what_they_meet(now, best, finding), key=lambda one: one.cost)


def _varied(rows: list[Ranked], most: int) -> list[Ranked]:
    """The best of them, no more than a third of one kind while there are others."""
    taken: list[Ranked] = []
    count: dict[str, int] = {}
    for one in rows:
        kind = one.move.kind
        if count.get(kind, 0) < most // 3:
            count[kind] = count.get(kind, 0) + 1
            taken.append(one)
    left = [one for one in rows if one not in taken]
    return (taken + left)[:most]


def _least_m(finding: Finding | None) -> float:
    """The shortest move that could clear what is in the way; 0 where that is not the question."""
    if finding is None or finding.topic not in ("room", "fit"):
        return 0.0
    return next((one.value for one in finding.clear.amounts if one.kind == "length"), 0.0)


@dataclass(frozen=True)
class _Shift:
    """What a move does to the weights: mass by distance (3,), and what is added or gone."""

    moment_kg_m: np.ndarray[tuple[int], np.dtype[np.float64]]
    added_kg: float
    moved_m: float


def _by_small_change(
    now: Evaluated, moves: list[Move], finding: Finding | None
) -> list[Ranked]:  # fmt: skip
    setup, up, afloat = now.rigged.setup, now.up, now.figures.afloat
    if up is None or afloat is None:
        return [Ranked(move, 0.0) for move in moves]
    table, total = limits_for(setup.judging), now.rigged.loads.total_kg
    focus = _ASKED_FOR.get(finding.code, "") if finding is not None else ""
    gm = max(afloat.gm_m, 0.03)
    spots: list[tuple[float, float, float]] = []
    owner: list[tuple[int, int]] = []
    costs: list[float] = []
    kept: list[Move] = []
    for move in moves:
        shift = _shift(now, move, spots, owner, len(kept))
        if shift is None:
            continue
        x, y, z = (float(v) for v in shift.moment_kg_m)
        trim = afloat.trim_deg - np.degrees(x / (total * up.gm_l_m))
        heel = afloat.heel_deg - np.degrees(y / (total * gm))
        steady = afloat.gm_m - z / total
        cost = _METRE * shift.moved_m + (_TURN if move.kind == "turn" else 0.0)
        if shift.moved_m < _least_m(finding) and move.kind in ("slide", "seat"):
            cost += WEIGHT["watch"]  # too short to clear it
        for key, value in (("trim", abs(trim)), ("list", abs(heel)), ("gm", steady)):
            levels = table[key]  # type: ignore[index]  # three of the keys of the table
            weight = _FOCUS if key == focus else 1.0
            cost += weight * (WEIGHT[levels.verdict(value)] + 20 * levels.beyond(value))
        if finding is not None and finding.topic == "load":
            cost += 5 * shift.added_kg
        costs.append(cost)
        kept.append(move)
    if spots:
        ways = reach(now.rigged.body, np.array(spots), limits_of(setup.angler),
                     room_of(now.rigged.floating.hull, setup.seat))  # fmt: skip
        for (i, thing_id), way in zip(owner, ways, strict=True):
            steps = zone_steps(way.zone.value, setup.things[thing_id].use)
            asked = finding is not None and thing_id == finding.thing_id
            weight = _FOCUS if asked and finding is not None and finding.topic == "reach" else 1.0
            costs[i] += weight * (
                (WEIGHT["watch"] if steps == 1 else WEIGHT["fix"]) * min(steps, 2)
                + 5 * max(0.0, way.short_m)
            )
    return [Ranked(move, cost) for move, cost in zip(kept, costs, strict=True)]


def _shift(
    now: Evaluated, move: Move, spots: list[tuple[float, float, float]],
    owner: list[tuple[int, int]], at: int,
) -> _Shift | None:  # fmt: skip
    """Weights moved; adds where the moved things would be gripped. None where it cannot be."""
    setup, rows = now.rigged.setup, {s.thing_id: s for s in now.rigged.stowed}
    if move.seat is not None:
        body = now.rigged.body
        step = np.array([move.seat.x_m - setup.seat.x_m, 0.0, move.seat.z_m - setup.seat.z_m])
        return _Shift(body.mass_kg * step, 0.0, float(np.linalg.norm(step)))
    try:
        placing = Placing(move.on(setup), now.rigged.placing.hull, now.rigged.placing.body)
        moment, added, moved = np.zeros(3), 0.0, 0.0
        for thing_id, place in move.places:
            held = held_by(setup, thing_id)
            mass = sum(setup.things[i].mass_now_kg for i in (thing_id, *held))
            old = rows.get(thing_id)
            if place is None:
                assert old is not None, "only what is aboard goes ashore"
                moment -= mass * (np.array(old.centre_m) - now.rigged.loads.solid_centre_m)
                added -= mass
                continue
            stand = placing.stand(thing_id)
            thing = setup.things[thing_id]
            half = 0.0 if thing.long else thing.height_m / 2
            new = np.array([stand.x_m, stand.y_m, stand.base_z_m + half])
            if not stand.on_body:
                spots.append((stand.x_m, stand.y_m, stand.base_z_m + 2 * half))
                owner.append((at, thing_id))
            if old is None:
                moment += mass * (new - now.rigged.loads.solid_centre_m)
                added += mass
            else:
                base = np.array([old.stand.x_m, old.stand.y_m, old.stand.base_z_m + half])
                moment += mass * (new - base)
                moved += float(np.linalg.norm(new - base))
    except (NeatHullError, StopIteration):
        return None
    return _Shift(moment, added, moved)


def _by_what_they_meet(now: Evaluated, rows: list[Ranked], finding: Finding | None) -> list[Ranked]:
    found = []
    for row in rows:
        try:
            tried = rig(row.move.on(now.rigged.setup))
        except NeatHullError:
            continue
        moved = [i for i, place in row.move.places if place is not None]
        with_held = {one for i in moved for one in (i, *held_by(tried.setup, i))}
        met = clashes(tried, with_held if row.move.seat is None else None)
        bad = sum(WEIGHT[one.verdict] for one in met)
        if finding is not None and any(_is_about(one, finding) for one in met):
            bad += _FOCUS * WEIGHT[finding.verdict]
        bad += sum(WEIGHT["fix"] for i in moved if misfit(tried.placing, i) is not None)
        found.append(Ranked(row.move, row.cost + bad))
    return found


def _is_about(clash: Clash, finding: Finding) -> bool:
    """Whether a finding tells of this clash."""
    if finding.topic != "room" or clash.thing_id != finding.thing_id:
        return False
    return clash.with_thing == finding.other_id


def badness(findings: Sequence[Finding]) -> float:
    """How bad a setup is: all findings that nobody lives with taken together."""
    return sum(
        WEIGHT[one.verdict] + min(one.badness, 5.0) for one in findings if one.accepted is None
    )
