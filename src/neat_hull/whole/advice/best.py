"""The best moves for a finding or for the whole boat: ranked, tried, and those that help evaluated
in full."""

from collections import Counter
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from itertools import zip_longest
from operator import itemgetter

from neat_hull.errors import InputError, NeatHullError
from neat_hull.model.advice import Advice, Brief, Placed, Suggestion
from neat_hull.model.figures import Figures
from neat_hull.model.findings import Finding
from neat_hull.model.nesting import require_nested
from neat_hull.model.said import Said, Verdict
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE, Beside
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK, WEIGHT
from neat_hull.rig.subject import Tries
from neat_hull.whole.advice.moves import Move, tries_for, works_for
from neat_hull.whole.advice.ranking import Options, Ranked, badness
from neat_hull.whole.evaluate import evaluated, live
from neat_hull.whole.judge import finds_more, judged_by

_FEW = 6  # moves tried for one finding, and on to _MOST until one clears it
_MOST = 24
_FEW_WHOLE, _MOST_WHOLE = 12, 150
_AT_ONCE = 5  # findings whose moves are tried side by side
_SHOWN = 3
_ALIKE = _AGAIN = WEIGHT["watch"] / 2
_WORK = -1000.0  # what was thought of for a finding is tried before what may happen to help it
_LOWER = 0.2  # a badness less by this share is worth a move that does not end a finding


def advise(setup: Setup, key: str | None = None, beside: Beside = ALONE) -> Advice:
    """The three best moves; for the finding of that key, or for the whole boat.

    None of them adds a finding as bad as the one it clears. Raises InputError for an unknown key.
    """
    search = _Search(_boat(setup, beside))
    if key is None:
        search.for_the_whole_boat()
    else:
        search.for_one(key)
    return Advice(
        finding=key,
        suggestions=_unlike([one for _, one in sorted(search.found, key=itemgetter(0))])[:_SHOWN],
        looked_at=len(search.looked_at),
        evaluated=len(search.evaluated),
    )


def advising(setup: Setup, key: str | None = None, beside: Beside = ALONE) -> Iterator[Advice]:
    """`advise`, as a question with one answer."""
    yield advise(setup, key, beside)


@dataclass(frozen=True)
class _Boat:
    """A boat as it is, and what could be done aboard."""

    now: Evaluated
    before: Figures
    options: Options


_LATEST: list[_Boat] = []


def _boat(setup: Setup, beside: Beside) -> _Boat:
    """The one asked about before, or one like it worked out from there: people ask about one
    finding after the other, and about the same boat with one thing moved."""
    last = next(iter(_LATEST), None)
    if last is not None and last.now.setup == setup and last.now.beside == beside:
        return last
    now = evaluated(setup, beside, None if last is None else last.now)
    boat = _Boat(now, live(now), Options(now))
    _LATEST[:] = [boat]
    return boat


class _Search:
    """Moves of one boat, tried until enough of them help."""

    def __init__(self, boat: _Boat) -> None:
        self.now, self.before, self.options = boat.now, boat.before, boat.options
        self.ranks = {one.key: RANK[one.verdict] for one in self.before.findings}
        self.works: list[Move] = []
        self.looked_at: set[int] = set()  # by the identity of the move, which the options keep
        self.evaluated: dict[int, Figures | None] = {}
        self.found: list[tuple[_Rank, Suggestion]] = []

    def for_one(self, key: str) -> None:
        """Moves for the finding of that key. Raises InputError for an unknown one."""
        target = next((one for one in self.before.findings if one.key == key), None)
        if target is None:
            raise InputError("finding", key, "this finding is gone now")
        aim = tries_for(self.now, target)
        for count, row in enumerate(_ideas_first(self._ranked(target, aim))):
            if count >= _MOST or (count >= _FEW and any(one.clears for _, one in self.found)):
                return
            self._try(row, target)

    def for_the_whole_boat(self) -> None:
        """Moves for what is worst, finding by finding, until one of them betters the whole."""
        targets = [one for one in self.before.findings if one.accepted is None]
        grave = [one for one in targets if one.verdict != "watch"] or targets[:_AT_ONCE]
        for some in _batched(grave, _AT_ONCE):
            aims = [tries_for(self.now, one) for one in some]
            self.options.measure([move for aim in aims for move in self.options.moves(aim)])
            rows = [
                _ideas_first(self._ranked(one, aim)) for one, aim in zip(some, aims, strict=True)
            ]
            start = len(self.evaluated)
            for row in _in_turn(rows):
                tried = len(self.evaluated)
                if tried >= _MOST_WHOLE or (tried - start >= _FEW_WHOLE and self.found):
                    break
                self._try(row, None)
            if self.found or len(self.evaluated) >= _MOST_WHOLE:
                return

    def _ranked(self, target: Finding, aim: Tries) -> list[Ranked]:
        works = works_for(self.now, target)
        self.works += works
        rows = [Ranked(one, _WORK + n) for n, one in enumerate(works)]
        rows += self.options.ranked(target, aim)
        self.looked_at |= {id(row.move) for row in rows}
        return rows

    def _worth(self, target: Finding | None) -> Callable[[Evaluated], bool]:
        """Whether a move may help, by the few rules that tell: the target's own before all else."""

        def worth(ev: Evaluated) -> bool:
            below = max(self.ranks.values(), default=0)
            if target is not None:
                below = _below(target, _still(ev, target))
            return below > 0 and not finds_more(ev, self.ranks, below)

        return worth

    def _try(self, row: Ranked, target: Finding | None) -> None:
        if id(row.move) in self.evaluated:
            return
        figures = self.evaluated[id(row.move)] = proved(self.now, row.move, self._worth(target))
        one = None if figures is None else _suggestion(self.before, row.move, target, figures)
        if one is not None:
            # what comes to the same within half a watch goes by how small a move it is
            (left, total), suggestion = one
            self.found.append(((left, round(total / _ALIKE), row.cost), suggestion))


_Rank = tuple[bool, int, float]


def _ideas_first(rows: list[Ranked]) -> list[Ranked]:
    """By what they cost, where every further move of one idea costs more."""
    seen: Counter[_Idea] = Counter()
    costs = []
    for row in rows:
        idea = row.move.kind, tuple(i for i, _ in row.move.places)
        costs.append(row.cost + _AGAIN * seen[idea])
        seen[idea] += 1
    return [row for _, row in sorted(zip(costs, rows, strict=True), key=itemgetter(0))]


_Idea = tuple[str, tuple[int, ...]]


def _batched(rows: Sequence[Finding], size: int) -> Iterator[Sequence[Finding]]:
    for start in range(0, len(rows), size):
        yield rows[start : start + size]


def _in_turn(rows: Sequence[Sequence[Ranked]]) -> Iterator[Ranked]:
    """The first of each, the second of each, and so on, until all have ended."""
    for several in zip_longest(*rows):
        yield from (one for one in several if one is not None)


def proved(
    now: Evaluated, move: Move, worth: Callable[[Evaluated], bool] = lambda _: True
) -> Figures | None:
    """The figures with a move done; None where it cannot be, or is not worth to be looked at
    further."""
    tried = move.on(now.setup)
    try:
        require_nested(tried)
        ev = evaluated(tried, now.beside, now)
        return live(ev) if worth(ev) else None
    except NeatHullError:
        return None


def _suggestion(
    before: Figures, move: Move, target: Finding | None, figures: Figures
) -> tuple[tuple[bool, float], Suggestion] | None:
    """A move with the figures it comes to, and its rank; None where it does not help, or harms."""
    gone, new = changed(before.findings, figures.findings)
    total = badness(figures.findings)
    if total >= badness(before.findings):
        return None
    if target is None:
        left = None
        worst = max((RANK[one.verdict] for one in new), default=0)
        if worst >= max((RANK[one.verdict] for one in gone), default=0):
            return None
    else:
        left = next((one for one in figures.findings if one.key == target.key), None)
    suggestion = Suggestion(
        kind=move.kind,
        words=move.words,
        places=[Placed(thing_id=i, place=place) for i, place in move.places],
        seat=move.seat,
        fields={} if move.work is None else dict(move.work.fields),
        clears=target is not None and left is None,
        left=left,
        before=brief(before),
        after=brief(figures),
        gone=gone,
        new=new,
    )
    return (left is not None, total), suggestion


def _still(ev: Evaluated, target: Finding) -> Finding | None:
    """What is left of a finding, by its own rule."""
    return next((one for one in judged_by(ev, target.code) if one.key == target.key), None)


def _below(target: Finding, left: Finding | None) -> int:
    """The rank that all which a move adds has to stay below, where it leaves that of a finding; 0
    where it does not help.

    What ends a finding, or makes it milder, may add milder ones; what only eases it adds a watch at
    the most.
    """
    if left is None or RANK[left.verdict] < RANK[target.verdict]:
        return RANK[target.verdict]
    eased = left.verdict == target.verdict and left.badness < target.badness * (1 - _LOWER)
    return min(RANK[target.verdict], RANK["fix"]) if eased else 0


def _unlike(rows: list[Suggestion]) -> list[Suggestion]:
    """The best of each kind of move of the same things goes before more of that kind; of several
    told by the same words, the best alone."""
    seen: set[_Idea] = set()
    first: list[Suggestion] = []
    more: list[Suggestion] = []
    told: list[Said] = []
    for row in rows:
        if row.words in told:
            continue
        told.append(row.words)
        idea = (row.kind, tuple(one.thing_id for one in row.places))
        (more if idea in seen else first).append(row)
        seen.add(idea)
    return first + more


def changed(
    before: Sequence[Finding], after: Sequence[Finding]
) -> tuple[list[Finding], list[Finding]]:
    """Findings that are gone or milder, as they were; and those that are new or worse, as now."""
    was, now = ({one.key: one for one in rows} for rows in (before, after))
    gone = [
        one
        for key, one in was.items()
        if key not in now or RANK[now[key].verdict] < RANK[one.verdict]
    ]
    new = [
        one
        for key, one in now.items()
        if key not in was or RANK[was[key].verdict] < RANK[one.verdict]
    ]
    return gone, new


def brief(figures: Figures) -> Brief:
    """The few figures that a move is told by."""
    open_ = [one for one in figures.findings if one.accepted is None]
    count: dict[Verdict, int] = {word: sum(one.verdict == word for one in open_) for word in RANK}
    afloat = figures.afloat
    return Brief(
        carried_kg=figures.weight.carried_kg,
        trim_deg=None if afloat is None else afloat.trim_deg,
        heel_deg=None if afloat is None else afloat.heel_deg,
        gm_m=None if afloat is None else afloat.gm_m,
        stops=count["stop"],
        fixes=count["fix"],
        watches=count["watch"],
    )
