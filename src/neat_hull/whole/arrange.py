"""Places for all movable things at once, as a mixed-integer problem; each answer proved in full.

One binary for each thing in each place it could go; trim and list go with the weights by the slopes
of small changes, height and reach cost what they cost, and each move costs a little. Solved by
HiGHS (Huangfu and Hall, *Parallelizing the dual revised simplex method*, 2018) through scipy. What
small changes leave out the full evaluation tells; so rounds go on, each barred from the choices
before it, and the best of them by the full evaluation is kept.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from math import inf
from typing import TypeAlias

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.model.advice import Arrangement, ArrangeProgress, Placed
from neat_hull.model.figures import Figures
from neat_hull.model.place import Place
from neat_hull.model.said import Amount, Said, items
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE, Beside
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.reach.limits import zone_steps
from neat_hull.whole.advice.best import brief, changed, proved
from neat_hull.whole.advice.moves import Move
from neat_hull.whole.advice.ranking import badness
from neat_hull.whole.candidates import Choice, choice
from neat_hull.whole.evaluate import evaluated, live

_ROUNDS = 4
# For the solver in one round. What it may look at is counted, not timed, so that a busy machine
# comes to the same; seconds are for what never ends, and whoever has enough hangs up sooner.
_NODES, _SECONDS = 200, 20.0
_LOOKING = "looking for a better one"
_UNLIKE = 3  # one in so many of the things moved must go elsewhere in the next round
_GAP = 0.01
_A_MOVE = 3.0  # what a move costs: under a watch
_PER_DEG, _PER_DEG_PAST = 8.0, 60.0  # of trim and list, and of what is past fine
_PER_KG_M = 4.0  # of weight times height


_Line: TypeAlias = "scipy.optimize.LinearConstraint"


@dataclass(frozen=True, eq=False)
class _Problem:
    """The matrices that every round shares; candidates first, then trim, list and their excess."""

    choice: Choice
    cost: np.ndarray[tuple[int], np.dtype[np.float64]]
    rows: list[_Line]


def arrangements(setup: Setup, beside: Beside = ALONE) -> Iterator[ArrangeProgress]:
    """Rounds of an arrangement, each with the best so far; the first is the setup as it is.

    Locked things stay. Raises InputErrors for measures that mean nothing.
    """
    now = evaluated(setup, beside)
    before = live(now)
    total = _ROUNDS + 1
    yield ArrangeProgress(done=0, total=total, words="measuring every place", best=None)
    options = choice(now)
    if not options.candidates or at_rest(now) is None:
        yield ArrangeProgress(
            done=total, total=total, words="there is nothing that may be moved", best=None
        )
        return
    problem = _problem(now, options)
    best: Arrangement | None = None
    least = badness(before.findings)
    barred: list[_Line] = []
    yield ArrangeProgress(done=1, total=total, words="choosing places", best=None)
    for done in range(2, total + 1):
        solved = _solve(problem, barred)
        if solved is None or not solved.places:  # nothing else is allowed, or to stay is best
            yield ArrangeProgress(done=total, total=total, words=_LOOKING, best=best)
            return
        move = Move("place", Said.of(""), tuple(solved.places.items()))
        tried = proved(now, move)
        bad = inf if tried is None else badness(tried.findings)
        if tried is not None and bad < least - 1e-9:
            least, best = bad, _told(setup, solved.places, before, tried, solved.proved)
        barred.append(_bar(problem, solved))
        yield ArrangeProgress(done=done, total=total, words=_LOOKING, best=best)


def _problem(now: Evaluated, options: Choice) -> _Problem:
    rest = at_rest(now)
    assert rest is not None, "only a boat that floats can be arranged"
    lie, up = rest.equilibrium, rest.upright
    table, rows = now.table, options.candidates
    n, total = len(rows), now.rigged.loads.total_kg
    here = {one.thing_id: one for one in rows if one.stays}
    mass = np.array([one.mass_kg for one in rows])
    shift = np.array([np.subtract(one.centre_m, here[one.thing_id].centre_m) for one in rows])
    trim = -np.degrees(mass * shift[:, 0] / (total * up.gm_l_m))
    heel = -np.degrees(mass * shift[:, 1] / (total * max(up.gm_m, 0.03)))
    moved = np.array([0.0 if one.stays else 1.0 for one in rows])
    cost = np.concatenate(
        [
            [one.cost for one in rows] + _PER_KG_M * mass * shift[:, 2] + _A_MOVE * moved,
            [_PER_DEG, _PER_DEG, _PER_DEG_PAST, _PER_DEG_PAST],
        ]
    )
    lines = [_one_place_each(options), *_apart(options)]
    levelled = (
        (trim, float(np.degrees(lie.trim_rad)), table["trim"].fine),
        (heel, float(np.degrees(lie.heel_rad)), table["list"].fine),
    )
    for at, (slope, start, fine) in enumerate(levelled):
        for sign in (1.0, -1.0):
            # aux ≥ sign · (start + Σ slope x), and the same less what is fine for the excess
            for aux, free in ((n + at, 0.0), (n + 2 + at, fine)):
                row = np.zeros(n + 4)
                row[:n], row[aux] = -sign * slope, 1.0
                lines.append(
                    scipy.optimize.LinearConstraint(row[None, :], sign * start - free, np.inf)
                )
    return _Problem(options, cost, lines)


def _one_place_each(options: Choice) -> _Line:
    things = list(dict.fromkeys(one.thing_id for one in options.candidates))
    row = [things.index(one.thing_id) for one in options.candidates]
    n = len(row)
    matrix = scipy.sparse.coo_array((np.ones(n), (row, np.arange(n))), shape=(len(things), n + 4))
    return scipy.optimize.LinearConstraint(matrix.tocsr(), 1, 1)


def _apart(options: Choice) -> list[_Line]:
    """No two into each other; what goes into a container asks that one to stay.

    Of each thing one place is taken, so a place excludes all those of another thing that it meets
    in one row.
    """
    rows, n = options.candidates, len(options.candidates)
    groups: dict[tuple[int, int], set[int]] = {}
    for one, other in options.conflicts:
        if rows[one].thing_id == rows[other].thing_id:
            continue
        if rows[one].stays and rows[other].stays:
            continue  # as it is now; the cost of it is told by the full evaluation
        groups.setdefault((one, rows[other].thing_id), set()).add(other)
    here = {one.thing_id: i for i, one in enumerate(rows) if one.stays}
    data: list[tuple[int, int, float]] = []
    top: list[float] = []
    for (one, _), others in groups.items():
        at = len(top)
        data += [(at, one, 1.0), *((at, other, 1.0) for other in others)]
        top.append(1.0)
    for i, row in enumerate(rows):
        if row.into is not None and row.into in here:
            data += [(len(top), i, 1.0), (len(top), here[row.into], -1.0)]
            top.append(0.0)
    if not top:
        return []
    line, column, value = zip(*data, strict=True)
    matrix = scipy.sparse.coo_array((value, (line, column)), shape=(len(top), n + 4))
    return [scipy.optimize.LinearConstraint(matrix.tocsr(), -np.inf, np.array(top))]


@dataclass(frozen=True)
class _Solved:
    """What the solver chose: places that change, by candidate; whether none better is left."""

    places: dict[int, Place]
    moved: list[int]
    proved: bool


def _solve(problem: _Problem, barred: list[_Line]) -> _Solved | None:
    """The best choice that is not barred; None where none is found in time."""
    rows = problem.choice.candidates
    n = len(rows)
    answer = scipy.optimize.milp(
        problem.cost,
        constraints=[*problem.rows, *barred],
        integrality=np.append(np.ones(n), np.zeros(4)),
        bounds=scipy.optimize.Bounds(0, np.append(np.ones(n), np.full(4, np.inf))),
        options={"time_limit": _SECONDS, "node_limit": _NODES, "mip_rel_gap": _GAP},
    )
    if answer.x is None:
        return None
    moved = [i for i in range(n) if answer.x[i] > 0.5 and not rows[i].stays]
    places = {rows[i].thing_id: rows[i].place for i in moved}
    return _Solved(places, moved, answer.status == 0)


def _bar(problem: _Problem, solved: _Solved) -> _Line:
    """Not this choice again: one in _UNLIKE of what it moves, at least, goes elsewhere."""
    row = np.zeros(len(problem.cost))
    row[solved.moved] = 1.0
    count = len(solved.moved)
    return scipy.optimize.LinearConstraint(row[None, :], -np.inf, count - max(1, count // _UNLIKE))


def _told(
    setup: Setup, places: dict[int, Place], before: Figures, after: Figures, none_better: bool
) -> Arrangement:
    gone, new = changed(before.findings, after.findings)
    was, now = brief(before), brief(after)
    locked = sum(place.locked for place in setup.places.values())
    lines = [
        Said.of(
            f"{items(len(places))} to move, {len(setup.places) - len(places)} to stay"
            + (f", {locked} of them locked" if locked else "")
        ),
        _angles(
            f"trim from {{}} {_end(was.trim_deg)} to {{}} {_end(now.trim_deg)}",
            was.trim_deg,
            now.trim_deg,
        ),
        _angles(
            f"list from {{}} to {_side(was.heel_deg)}, to {{}} to {_side(now.heel_deg)}",
            was.heel_deg,
            now.heel_deg,
        ),
        Said.of(
            f"{_in_place(setup, before)} of {len(before.aboard)} items were within the "
            f"reach their use needs, {_in_place(setup, after)} are now"
        ),
        Said.of(
            f"findings gone or milder: {len(gone)}, new or worse: {len(new)}; still "
            f"No-go: {now.stops}, Fix: {now.fixes}"
        ),
    ]
    return Arrangement(
        places=[Placed(thing_id=i, place=place) for i, place in places.items()],
        moved=len(places),
        before=was,
        after=now,
        gone=gone,
        new=new,
        lines=lines,
        proved=none_better,
    )


def _angles(text: str, *angles_deg: float | None) -> Said:
    """Words with angles, whatever their sense."""
    amounts = [Amount(kind="angle", value=abs(one or 0.0)) for one in angles_deg]
    return Said(text=text, amounts=amounts)


def _end(trim_deg: float | None) -> str:
    return "stern down" if (trim_deg or 0.0) > 0 else "bow down"


def _side(heel_deg: float | None) -> str:
    return "starboard" if (heel_deg or 0.0) > 0 else "port"


def _in_place(setup: Setup, figures: Figures) -> int:
    return sum(not zone_steps(row.zone, setup.things[row.thing_id].use) for row in figures.aboard)
