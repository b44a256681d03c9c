"""The one registry of rules, and the judgement of a setup by all of them."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass

from neat_hull.analysis.findings import (
    anchoring,
    at_hand,
    basics,
    capsize,
    evidence,
    fitting,
    level,
    loading,
    rods,
    room,
    trip,
)
from neat_hull.analysis.findings.case import WHOLE, Case, Found
from neat_hull.analysis.limits import RANK
from neat_hull.model.figures import Finding, Topic
from neat_hull.model.judging import Accepted

Rule = Callable[[Case], Iterable[Found]]

# A finding has to be worse than it was accepted at by more than this share to come back: less is
# the last digit of a weight.
_WORSE_SHARE = 0.05

RULES: dict[Topic, tuple[Rule, ...]] = {
    "load": loading.RULES,
    "level": level.RULES,
    "steadiness": level.STEADINESS,
    "evidence": evidence.RULES,
    "reach": at_hand.RULES,
    "room": room.RULES,
    "rods": rods.RULES,
    "fit": fitting.RULES,
    "capsize": capsize.RULES,
    "anchor": anchoring.RULES,
    "basics": basics.RULES,
    "trip": trip.RULES,
}


@dataclass(frozen=True)
class Code:
    """A rule as a table has it: its code, its topic, and what its docstring says."""

    code: str
    topic: Topic
    about: str


def codes() -> list[Code]:
    """All rules in the order they are asked."""
    return [
        Code(code_of(rule), topic, " ".join((rule.__doc__ or "").split()))
        for topic, rules in RULES.items()
        for rule in rules
    ]


def judge(case: Case) -> list[Finding]:
    """All findings, the worst first; what is accepted comes last."""
    accepted = {one.key: one for one in case.setup.judging.accepted}
    found = [
        _finding(case, topic, code_of(rule), one, accepted)
        for topic, rules in RULES.items()
        for rule in rules
        for one in rule(case)
    ]
    return sorted(
        found,
        key=lambda one: (one.accepted is not None, -RANK[one.verdict], one.topic, one.key),
    )


def code_of(rule: Rule) -> str:
    """`trims_by_an_end` as a reader has it: trims by an end."""
    return rule.__name__.replace("_", " ")


def _finding(
    case: Case, topic: Topic, code: str, one: Found, accepted: dict[str, Accepted]
) -> Finding:
    key = ":".join([
        code, *(str(i) for i in (one.thing_id, one.other_id) if i is not None),
        *([one.part] if one.part else []),
    ])  # fmt: skip
    taken = accepted.get(key)
    worse = taken is not None and (
        RANK[one.verdict] > RANK[taken.verdict]
        or one.badness > taken.badness * (1 + _WORSE_SHARE) + 1e-6
    )
    lives_with = taken is not None and not worse
    row = None if one.thing_id is None else case.rows.get(one.thing_id)
    where = one.where or (row.where if row is not None else WHOLE)
    return Finding(
        key=key,
        code=code,
        topic=topic,
        verdict=one.verdict,
        title=one.title,
        thing_id=one.thing_id,
        other_id=one.other_id,
        where=where,
        at=one.at or (row.centre if row is not None else None),
        figure=one.figure,
        band=one.band,
        limit=one.limit,
        limit_key=one.limit_key,
        why=one.why,
        clear=one.clear,
        caution=one.caution,
        badness=one.badness,
        accepted=taken.reason if taken is not None and lives_with else None,
        accepted_on=taken.on if taken is not None else None,
        returned=worse,
    )
