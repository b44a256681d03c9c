"""The judgement of a setup by the rules of all subjects."""

from collections.abc import Mapping
from dataclasses import dataclass

from neat_hull.model.base import Point
from neat_hull.model.findings import Finding
from neat_hull.model.judging import Accepted
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rules import WHOLE, Found, Rule
from neat_hull.whole import registry

# A finding has to be worse than it was accepted at by more than this share to come back: less is
# the last digit of a weight.
_WORSE_SHARE = 0.05


@dataclass(frozen=True)
class _Judged:
    """A finding and all it was made of."""

    found: Found
    where: str
    at: Point | None
    accepted: Accepted | None
    finding: Finding


def judge(ev: Evaluated) -> list[Finding]:
    """All findings, the worst first; what is accepted comes last."""
    return sorted((one.finding for one in ev.once(_judged)), key=_gravity)


def judged_by(ev: Evaluated, code: str) -> list[Finding]:
    """Those of one rule, in the same order; no other is asked. Raises InputError for a code that no
    rule has."""
    _, rule = registry.rule_of(code)
    accepted = {one.key: one for one in ev.setup.judging.accepted}
    found = [(_key(rule, one), one) for one in ev.once(rule.check)]
    told = [_finding(rule, key, one, *_place(ev, one), accepted.get(key)) for key, one in found]
    return sorted(told, key=_gravity)


def _gravity(one: Finding) -> tuple[bool, int, str, str]:
    return one.accepted is not None, -RANK[one.verdict], one.topic, one.key


def finds_more(ev: Evaluated, ranks: Mapping[str, int], rank: int) -> bool:
    """Whether anything is found at least that grave that was milder by `ranks` (key), or was not
    there: asked rule by rule, and no further than the first such."""
    return any(
        RANK[one.verdict] >= rank and RANK[one.verdict] > ranks.get(_key(rule, one), 0)
        for _, rule in registry.rules()
        for one in ev.once(rule.check)
    )


def _judged(ev: Evaluated) -> list[_Judged]:
    """Every finding; what comes to the same as before is the one from before."""
    told = [] if ev.before is None else ev.before.once(_judged)
    before = {one.finding.key: one for one in told}
    accepted = {one.key: one for one in ev.setup.judging.accepted}
    stood = _told_again(ev, told)
    judged = []
    for _, rule in registry.rules():
        for one in ev.once(rule.check):
            if id(one) in stood:
                judged.append(stood[id(one)])
                continue
            key = _key(rule, one)
            now = *_place(ev, one), accepted.get(key)
            was = before.get(key)
            same = was is not None and now == (was.where, was.at, was.accepted)
            if was is not None and same and (one is was.found or one == was.found):
                judged.append(was)
            else:
                judged.append(_Judged(one, *now, _finding(rule, key, one, *now)))
    return judged


def _told_again(ev: Evaluated, told: list[_Judged]) -> dict[int, _Judged]:
    """Findings by what they were made of, that come to the same wherever a rule tells it again:
    of things that stand as they did, with nothing else accepted than before."""
    if ev.before is None or ev.before.setup.judging.accepted != ev.setup.judging.accepted:
        return {}
    same = ev.rigged.placing.same
    return {id(one.found): one for one in told if one.found.thing_id in same}


def _key(rule: Rule, one: Found) -> str:
    ids = [str(i) for i in (one.thing_id, one.other_id) if i is not None]
    return ":".join([rule.code, *ids, *([one.part] if one.part else [])])


def _place(ev: Evaluated, one: Found) -> tuple[str, Point | None]:
    """Where it is in words, and the point: as the rule says, else those of the thing."""
    if one.thing_id is None or one.thing_id not in ev.setup.places:
        return one.where or WHOLE, one.at
    centre_m = ev.rigged.by_id[one.thing_id].centre_m
    return one.where or ev.where_is(one.thing_id), one.at or centre_m


def _finding(
    rule: Rule, key: str, one: Found, where: str, at: Point | None, taken: Accepted | None
) -> Finding:
    worse = taken is not None and (
        RANK[one.verdict] > RANK[taken.verdict]
        or one.badness > taken.badness * (1 + _WORSE_SHARE) + 1e-6
    )
    lives_with = taken is not None and not worse
    return Finding(
        key=key,
        code=rule.code,
        topic=rule.topic,
        verdict=one.verdict,
        title=one.title,
        thing_id=one.thing_id,
        other_id=one.other_id,
        where=where,
        at=at,
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
