"""Findings with one cause, told as one: the worst first, and of those what moves the least."""

from collections.abc import Hashable, Sequence

from neat_hull.model.findings import Card, Finding
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.whole import registry

# What is in the way of something is so with all that rides on the same foot: one move clears it.
_MOVED_TOGETHER = "room"


def cards(ev: Evaluated, findings: Sequence[Finding]) -> list[Card]:
    """One card for each cause of the findings that nobody lives with."""
    many = {rule.code: rule.many for _, rule in registry.rules() if rule.many}
    groups: dict[Hashable, list[Finding]] = {}
    for one in findings:
        if one.accepted is None:
            groups.setdefault(_cause(ev, one, many), []).append(one)
    told = [_card(group, many) for group in groups.values()]
    return sorted(told, key=lambda card: (-RANK[card.verdict], len(card.keys)))


def _cause(ev: Evaluated, one: Finding, many: dict[str, str]) -> Hashable:
    if one.code in many:
        return one.code
    if one.topic == _MOVED_TOGETHER and one.thing_id in ev.setup.places:
        return one.topic, ev.rigged.placing.root(one.thing_id)
    return one.key


def _card(group: list[Finding], many: dict[str, str]) -> Card:
    worst = group[0]  # findings come the worst first
    title = worst.title
    if len(group) > 1 and worst.code in many:
        title = Said.of(many[worst.code], count=len(group))
    return Card(
        title=title,
        verdict=worst.verdict,
        keys=[one.key for one in group],
        thing_id=worst.thing_id,
    )
