"""Findings with one cause, told as one: the worst first, and of those what moves the least."""

from collections.abc import Hashable, Mapping, Sequence, Set

from neat_hull.model.findings import Card, Finding
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rules import Rule
from neat_hull.whole import registry

MOST = 12  # cards: more are no longer read
# What several causes of one topic are called together.
_ABOUT = {
    "room": "{} items: in your way",
    "reach": "{} items: hard to get at",
    "rods": "{} findings about rods",
    "capsize": "{} findings about a capsize",
    "level": "{} findings about trim and list",
    "load": "{} findings about weight and water aboard",
    "basics": "{} basics are missing",
    "evidence": "{} findings about what is not known",
    "anchor": "{} findings about the anchor",
    "power": "{} findings about the electrics",
    "day": "{} findings about the day",
    "haul": "{} findings about the road",
    "money": "{} findings about money",
    "": "{} more findings",
}
# What is in the way of something is so with all that rides on the same foot: one move clears it.
_MOVED_TOGETHER = "room"


def cards(ev: Evaluated, findings: Sequence[Finding]) -> list[Card]:
    """One card for each cause of the findings that nobody lives with; of more than a dozen, those
    about one thing and as bad go together."""
    rules = {rule.code: rule for _, rule in registry.rules()}
    # Told by their code: those of several alike, and those that others follow from.
    by_code = {one.code for one in rules.values() if one.many} | {r.under for r in rules.values()}
    groups: dict[Hashable, list[Finding]] = {}
    open_ones = [one for one in findings if one.accepted is None]
    there = {one.code for one in open_ones}
    for one in open_ones:
        cause = rules[one.code].under
        key = cause if cause in there else _cause(ev, one, by_code)
        groups.setdefault(key, []).append(one)
    told = [_card(_led(group, rules), rules) for group in groups.values()]
    told = _at_most_a_dozen(told, {one.key: one for one in open_ones})
    return sorted(told, key=lambda card: (-RANK[card.verdict], len(card.keys)))


def _led(group: list[Finding], rules: Mapping[str, Rule]) -> list[Finding]:
    """The worst first, and of those as bad what the others follow from."""
    return sorted(group, key=lambda one: (-RANK[one.verdict], bool(rules[one.code].under)))


def _cause(ev: Evaluated, one: Finding, by_code: Set[str]) -> Hashable:
    if one.code in by_code:
        return one.code
    if one.topic == _MOVED_TOGETHER and one.thing_id in ev.setup.places:
        return one.topic, ev.rigged.placing.root(one.thing_id)
    return one.key


def _card(group: list[Finding], rules: Mapping[str, Rule]) -> Card:
    worst, many = group[0], rules[group[0].code].many
    alike = sum(one.code == worst.code for one in group)
    return Card(
        title=Said.of(many, count=alike) if alike > 1 and many else worst.title,
        verdict=worst.verdict,
        keys=[one.key for one in group],
        thing_id=worst.thing_id,
    )


def _at_most_a_dozen(told: list[Card], by_key: Mapping[str, Finding]) -> list[Card]:
    """While there are more: of one topic and verdict, first those called by one item, then all."""
    for lone in (True, False):
        while len(told) > MOST:
            alike: dict[tuple[str, str], list[Card]] = {}
            for card in told:
                worst = by_key[card.keys[0]]
                if card.title is worst.title or not lone:
                    alike.setdefault((worst.topic, card.verdict), []).append(card)
            most = max(alike.values(), key=len, default=[])
            if len(most) < 2:
                break
            gone = {id(card) for card in most}  # to compare cards takes longer than all else here
            told = [*(card for card in told if id(card) not in gone), _together(most, by_key)]
    return told


def _together(some: list[Card], by_key: Mapping[str, Finding]) -> Card:
    keys = [key for card in some for key in card.keys]
    about = _ABOUT.get(by_key[keys[0]].topic, _ABOUT[""])
    return some[0].model_copy(update={"title": Said.of(about, count=len(keys)), "keys": keys})
