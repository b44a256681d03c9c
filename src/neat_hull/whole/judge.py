"""The judgement of a setup by the rules of all subjects."""

from neat_hull.model.findings import Finding
from neat_hull.model.judging import Accepted
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rules import WHOLE, Found, Rule
from neat_hull.whole import registry

# A finding has to be worse than it was accepted at by more than this share to come back: less is
# the last digit of a weight.
_WORSE_SHARE = 0.05


def judge(ev: Evaluated) -> list[Finding]:
    """All findings, the worst first; what is accepted comes last."""
    accepted = {one.key: one for one in ev.setup.judging.accepted}
    findings = [
        _finding(ev, rule, one, accepted) for _, rule in registry.rules() for one in rule.check(ev)
    ]
    return sorted(
        findings,
        key=lambda one: (one.accepted is not None, -RANK[one.verdict], one.topic, one.key),
    )


def _finding(ev: Evaluated, rule: Rule, one: Found, accepted: dict[str, Accepted]) -> Finding:
    ids = [str(i) for i in (one.thing_id, one.other_id) if i is not None]
    key = ":".join([rule.code, *ids, *([one.part] if one.part else [])])
    taken = accepted.get(key)
    worse = taken is not None and (
        RANK[one.verdict] > RANK[taken.verdict]
        or one.badness > taken.badness * (1 + _WORSE_SHARE) + 1e-6
    )
    lives_with = taken is not None and not worse
    aboard = one.thing_id if one.thing_id in ev.setup.places else None
    return Finding(
        key=key,
        code=rule.code,
        topic=rule.topic,
        verdict=one.verdict,
        title=one.title,
        thing_id=one.thing_id,
        other_id=one.other_id,
        where=one.where or (WHOLE if aboard is None else ev.where_is(aboard)),
        at=one.at or (None if aboard is None else ev.rigged.by_id[aboard].centre_m),
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
