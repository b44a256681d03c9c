"""Where verdicts change: levels with their reason, and how a profile and a user move them.

Published small-craft stability standards leave out boats this narrow, so the levels are our own;
each subject registers its rows. Laws, makers' labels and qualified people win over them. The base
levels hold for a river and somebody used to it; for other profiles those that the water or the hand
bears on are eased or tightened by one factor, and a user can set any of them.
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from math import inf, isfinite

from neat_hull.model.judging import Hand, Judging, LimitKey, LimitRow, Waters
from neat_hull.model.said import HowKind, Verdict

RANK: dict[Verdict, int] = {"fine": 0, "watch": 1, "fix": 2, "stop": 3}
# Of one verdict against another, where they are added up: ours, no ten of one outweigh a worse.
WEIGHT: dict[Verdict, float] = {"fine": 0.0, "watch": 10.0, "fix": 100.0, "stop": 1000.0}

# How much is asked of the boat, over a river and a practised hand. Ours: flat water forgives, and
# help is near; a chop, a swell or a first season do not.
BY_WATERS: dict[Waters, float] = {"calm pond": 1 / 1.2, "river": 1.0, "open water": 1.25}
BY_HAND: dict[Hand, float] = {"novice": 1.25, "used to it": 1.0}


@dataclass(frozen=True)
class Levels:
    """Verdict by a figure that is better when small: fine up to, watch up to, fix up to, then stop.

    `rising` turns the sense round for figures that are better when large.
    """

    title: str
    kind: HowKind
    fine: float
    watch: float
    fix: float
    reason: str
    rising: bool = False
    by_profile: bool = False
    most: float = inf  # no profile eases it past this

    def verdict(self, value: float) -> Verdict:
        """Judge one value; a value on a level still counts as the better side."""
        sign = -1.0 if self.rising else 1.0
        for word, level in (("fine", self.fine), ("watch", self.watch), ("fix", self.fix)):
            if sign * value <= sign * level:
                return word  # type: ignore[return-value]  # the literals above are the verdicts
        return "stop"

    def crossed(self, value: float) -> float:
        """The level that a value should have kept to, for the verdict it has."""
        return {"fine": self.fine, "watch": self.fine, "fix": self.watch, "stop": self.fix}[
            self.verdict(value)
        ]

    def beyond(self, value: float) -> float:
        """How far past fine a value is, never negative."""
        return max(0.0, (self.fine - value) if self.rising else (value - self.fine))

    def asked(self, factor: float) -> "Levels":
        """For a profile that asks more, or less, of the boat."""
        if not self.by_profile or factor == 1.0:
            return self
        scale = factor if self.rising else 1 / factor
        fine, watch, fix = (
            min(level * scale, self.most) if level > 0 else level
            for level in (self.fine, self.watch, self.fix)
        )
        return replace(self, fine=fine, watch=watch, fix=fix)


Table = Mapping[LimitKey, Levels]


def for_profile(base: Table, waters: Waters, hand: Hand) -> dict[LimitKey, Levels]:
    """The base levels as a profile has them."""
    factor = BY_WATERS[waters] * BY_HAND[hand]
    return {key: levels.asked(factor) for key, levels in base.items()}


def with_moved(table: Table, judging: Judging) -> Table:
    """A profile's table with what the user has moved for it; keys nobody registers are left out."""
    moved = {
        one.key: replace(
            table[one.key],
            fine=one.fine,
            watch=one.watch,
            fix=table[one.key].fix if one.fix is None else one.fix,
        )
        for one in judging.moved
        if (one.waters, one.hand) == (judging.waters, judging.hand) and one.key in table
    }
    return {**table, **moved} if moved else table


def rows(usual: Table, now: Table) -> list[LimitRow]:
    """The table as a person sees it."""
    return [
        LimitRow(
            key=key,
            title=levels.title,
            kind=levels.kind,
            rising=levels.rising,
            fine=levels.fine,
            watch=levels.watch,
            fix=_known(levels.fix),
            usual_fine=usual[key].fine,
            usual_watch=usual[key].watch,
            usual_fix=_known(usual[key].fix),
            moved=levels != usual[key],
            reason=levels.reason,
        )
        for key, levels in now.items()
    ]


def _known(level: float) -> float | None:
    return level if isfinite(level) else None
