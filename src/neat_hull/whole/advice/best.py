"""The best moves for a finding or for the whole boat: ranked, then evaluated in full."""

from collections.abc import Iterator, Sequence

from neat_hull.errors import InputError, NeatHullError
from neat_hull.model.advice import Advice, Brief, Placed, Suggestion
from neat_hull.model.figures import Figures
from neat_hull.model.findings import Finding
from neat_hull.model.nesting import require_nested
from neat_hull.model.said import Verdict
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK, WEIGHT
from neat_hull.rig.subject import Tries
from neat_hull.whole.advice.moves import Move, moves_for, tries_for
from neat_hull.whole.advice.ranking import badness, ranked
from neat_hull.whole.evaluate import evaluated, live

_FULL = 5  # moves evaluated in full for one finding
_FULL_WHOLE = 10
_SHOWN = 3
_FINDINGS_WHOLE = 5
_ALIKE = WEIGHT["watch"] / 2
_LOWER = 0.02  # a badness less by this share is worth a move


def advise(
    setup: Setup, key: str | None = None, elsewhere: Sequence[tuple[int, str]] = ()
) -> Advice:
    """The three best moves; for the finding of that key, or for the whole boat.

    None of them adds a finding as bad as the one it clears. Raises InputError for an unknown key.
    """
    now = evaluated(setup, elsewhere)
    before = live(now)
    open_ = [one for one in before.findings if one.accepted is None]
    asked = open_[:_FINDINGS_WHOLE]
    if key is not None:
        asked = [one for one in before.findings if one.key == key]
        if not asked:
            raise InputError("finding", key, "there is no such finding now")
    aims = [tries_for(now, one) for one in asked]
    moves = [move for aim in aims for move in moves_for(now, aim)]
    target = asked[0] if key is not None else None
    aim = aims[0] if target is not None else Tries(())
    rows = ranked(now, moves, target, aim)[: _FULL if target is not None else _FULL_WHOLE]
    found = []
    for row in rows:
        figures = proved(now, row.move)
        one = None if figures is None else _suggestion(before, row.move, target, figures)
        if one is not None:
            # what comes to the same within half a watch goes by how small a move it is
            (left, total), suggestion = one
            found.append(((left, round(total / _ALIKE), row.cost), suggestion))
    found.sort(key=lambda pair: pair[0])
    return Advice(
        finding=key,
        suggestions=_unlike([one for _, one in found])[:_SHOWN],
        looked_at=len(moves),
        evaluated=len(rows),
    )


def advising(
    setup: Setup, key: str | None = None, elsewhere: Sequence[tuple[int, str]] = ()
) -> Iterator[Advice]:
    """`advise`, as a question with one answer."""
    yield advise(setup, key, elsewhere)


def proved(now: Evaluated, move: Move) -> Figures | None:
    """The figures with a move done; None where it cannot be."""
    tried = move.on(now.setup)
    try:
        require_nested(tried)
        return live(evaluated(tried, now.elsewhere, now))
    except NeatHullError:
        return None


def _suggestion(
    before: Figures, move: Move, target: Finding | None, figures: Figures
) -> tuple[tuple[bool, float], Suggestion] | None:
    """A move with the figures it comes to, and its rank; None where it does not help, or harms."""
    gone, new = changed(before.findings, figures.findings)
    worst = max((RANK[one.verdict] for one in new), default=0)
    left = None
    if target is not None:
        left = next((one for one in figures.findings if one.key == target.key), None)
        helps = left is None or (
            RANK[left.verdict] <= RANK[target.verdict]
            and left.badness < target.badness * (1 - _LOWER)
        )
        if not helps or worst >= RANK[target.verdict]:
            return None
    total = badness(figures.findings)
    if target is None and (total >= badness(before.findings) or worst >= RANK["fix"]):
        return None
    suggestion = Suggestion(
        kind=move.kind,
        words=move.words,
        places=[Placed(thing_id=i, place=place) for i, place in move.places],
        seat=move.seat,
        clears=target is not None and left is None,
        left=left,
        before=brief(before),
        after=brief(figures),
        gone=gone,
        new=new,
    )
    return (left is not None, total), suggestion


def _unlike(rows: list[Suggestion]) -> list[Suggestion]:
    """The best of each kind of move of the same things goes before more of that kind."""
    seen: set[tuple[str, tuple[int, ...]]] = set()
    first: list[Suggestion] = []
    more: list[Suggestion] = []
    for row in rows:
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
