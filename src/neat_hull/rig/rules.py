"""How a subject judges: rules with stable codes, and what a rule says when it finds something."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from functools import lru_cache

from neat_hull.model.base import Point
from neat_hull.model.judging import LimitKey
from neat_hull.model.said import Amount, HowKind, Said, Verdict
from neat_hull.rig.evaluated import Evaluated

WHOLE = "The whole boat"


@dataclass(frozen=True)
class Found:
    """What a rule says; the judge adds where it is and whether it was accepted.

    `part` tells apart several findings of one rule about one thing.
    """

    verdict: Verdict
    title: Said
    why: str
    clear: Said
    badness: float
    thing_id: int | None = None
    other_id: int | None = None
    part: str = ""
    where: str = ""
    at: Point | None = None
    figure: Amount | None = None
    band: float | None = None
    limit: Amount | None = None
    limit_key: LimitKey | None = None
    caution: str = ""


Check = Callable[[Evaluated], tuple[Found, ...]]


@dataclass(frozen=True)
class Rule:
    """A rule: its code, which stored keys hang on, its topic, what it is about, and the check, a
    figure like any other: asked for by `once`.

    many are words for several of its findings, where these have one cause: {} is how many. under is
    the code of a rule that its findings follow from: where that finds something, they stand there.
    """

    code: str
    topic: str
    about: str
    check: Check
    many: str = ""
    under: str = ""


def rule(
    code: str, topic: str, many: str = "", under: str = ""
) -> Callable[[Callable[[Evaluated], Iterable[Found]]], Rule]:
    """Make a check of an evaluated setup a rule; its docstring says what it is about and why."""

    def named(finds: Callable[[Evaluated], Iterable[Found]]) -> Rule:
        def check(ev: Evaluated) -> tuple[Found, ...]:
            return tuple(finds(ev))

        return Rule(code, topic, " ".join((finds.__doc__ or "").split()), check, many, under)

    return named


def against(
    ev: Evaluated,
    key: LimitKey,
    value: float,
    title: Said,
    clear: Said,
    *,
    why: str | None = None,
    least: Verdict | None = None,
    band: float | None = None,
    thing_id: int | None = None,
    other_id: int | None = None,
    part: str = "",
    where: str = "",
    at: Point | None = None,
    caution: str = "",
) -> list[Found]:
    """A finding where a value is past the fine level of a limit; none otherwise.

    `least` is the mildest verdict that it may have.
    """
    levels = ev.table[key]
    verdict = levels.verdict(value)
    if verdict == "fine":
        return []
    limit = levels.crossed(value)
    if least == "fix" and verdict == "watch":
        verdict = "fix"
    return [
        Found(
            verdict=verdict,
            title=title,
            why=why or levels.reason,
            clear=clear,
            badness=levels.beyond(value),
            thing_id=thing_id,
            other_id=other_id,
            part=part,
            where=where,
            at=at,
            figure=amount(levels.kind, value),
            band=band,
            limit=amount(levels.kind, limit),
            limit_key=key,
            caution=caution,
        )
    ]


def past(ev: Evaluated, key: LimitKey, value: float) -> bool:
    """Whether `against` would find anything: asked before words are made that nobody reads."""
    return ev.table[key].verdict(value) != "fine"


@lru_cache(maxsize=8192)  # much the same ones are told all through a drag
def amount(kind: HowKind, value: float) -> Amount:
    """A quantity in SI."""
    return Amount(kind=kind, value=float(value))
