"""Where our verdicts change, in one table, each with its reason.

Published small-craft stability standards leave out boats this narrow, so these are our own
starting levels. Laws, makers' labels and qualified people win over them. The base levels hold for
a river and somebody used to it; for other profiles those that the water or the hand bears on are
eased or tightened by one factor, and a user can set any of them.
"""

from dataclasses import dataclass, replace
from functools import lru_cache
from math import inf, isfinite
from typing import get_args

from neat_hull.model.figures import HowKind, ReachZone, Verdict
from neat_hull.model.judging import Hand, Judging, LimitKey, LimitRow, Waters
from neat_hull.model.thing import Use

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


BASE: dict[LimitKey, Levels] = {
    "share": Levels(
        "Of what may be carried", "ratio", 0.90, 1.0, inf,
        "Makers rate what floats, not what fishes well: most anglers stay at 65 to 75 % of the "
        "rating. The rating itself is a hard stop.",
    ),
    "freeboard": Levels(
        "Gunwale over the water", "length", 0.15, 0.10, 0.05,
        "About a hand's length of side keeps out the wake of a passing boat.",
        rising=True, by_profile=True,
    ),
    "floor": Levels(
        "Floor over the water", "length", 0.02, 0.0, -0.10,
        "Water comes up through open scuppers as soon as the floor is under; two centimetres "
        "keep it dry in a ripple.", rising=True,
    ),
    "trim": Levels(
        "Bow up or down", "angle", 0.7, 1.5, 3.0,
        "Past about 1.5° a kayak steers badly and an end runs wet; past 3° scuppers at the low "
        "end run backwards.",
    ),
    "list": Levels(
        "To one side", "angle", 1.0, 2.0, 4.0,
        "Past 2° one sits crooked all day, and the margin on the low side is eaten up.",
    ),
    "gm": Levels(
        "GM, seated", "length", 0.15, 0.10, 0.05,
        "With less, an ordinary sideways lean of the trunk (a lever of about 4.5 cm) takes the "
        "boat to the edge of its deck. People also balance actively; this is the passive boat.",
        rising=True, by_profile=True,
    ),
    "gm standing": Levels(
        "GM, standing", "length", 0.05, 0.0, -inf,
        "Above about 5 cm the boat itself keeps a stander up; below nothing it is done only by "
        "one's own balance.", rising=True,
    ),
    "margin": Levels(
        "Margin used by a demand", "ratio", 0.50, 0.75, 1.00,
        "Half of the greatest righting lever is left for what one did not foresee: a wake, a "
        "second fish, a slip.", by_profile=True, most=1.0,
    ),
    "margin climbing in": Levels(
        "Margin used by climbing in", "ratio", 0.80, 0.95, 1.00,
        "Nobody climbs in without rolling the boat to its edge; it must not come over.",
        by_profile=True, most=1.0,
    ),
    "edge": Levels(
        "Gunwale over the water in a demand", "length", 0.05, 0.02, 0.0,
        "Five centimetres of gunwale keep out a ripple; with none left, water comes over.",
        rising=True,
    ),
    "seat height": Levels(
        "Seat over the floor", "length", 0.25, 0.35, inf,
        "Seats of ordinary boats stand 5 to 25 cm over the floor; each centimetre more lifts half "
        "of all that is carried.", by_profile=True,
    ),
    "high": Levels(
        "Weight over the gunwale", "moment", 0.6, 1.5, inf,
        "One kilogram half a metre over the gunwale takes as much steadiness as the seat raised by "
        "a finger's breadth.", by_profile=True,
    ),
    "ends": Levels(
        "Weight at an end", "moment", 6.0, 12.0, inf,
        "Weight far from the middle makes the boat slow to lift over a wave and to turn.",
    ),
    "far": Levels(
        "Zones beyond the one it needs", "count", 0, 1, inf,
        "What is used often belongs nearer than what is used once.",
    ),
    "steps": Levels(
        "Steps more than its use has time for", "count", 0, 1, inf,
        "A lid opened for every fish is a lid left open.",
    ),
    "reel out": Levels(
        "Reel outside the gunwale", "length", 0.03, 0.10, inf,
        "A reel over the water gets splashed, and catches on docks and other boats.",
    ),
    "tip out": Levels(
        "Tip past the side", "length", 1.2, 1.8, inf,
        "A tip far out meets reeds, pilings and passing boats before the hull does.",
    ),
    "tip up": Levels(
        "Tip over the seat", "length", 2.0, 2.4, inf,
        "Branches and low bridges are met by the highest tip.",
    ),
    "tips apart": Levels(
        "Between two tips", "length", 0.30, 0.15, 0.0,
        "Lines that run closer cross on the first turn.", rising=True,
    ),
    "sight": Levels(
        "View ahead that is hidden", "angle", 6.0, 20.0, inf,
        "A log behind the screen is a log not seen.", by_profile=True,
    ),
    "loose": Levels(
        "Weight of a loose thing", "mass", 0.5, 2.0, inf,
        "What is heavy and not tied slides to the low side in the first lean, and is gone in a "
        "capsize.", by_profile=True,
    ),
    "lost": Levels(
        "Price of what a capsize takes", "price", 50.0, 400.0, inf,
        "Ours: fifty is a bad evening, four hundred a bad season.",
    ),
    "lines": Levels(
        "Lines about the legs", "count", 2, 4, inf,
        "A tangled leg under a turned boat is the commonest way for a leash to do harm.",
    ),
    "cold water": Levels(
        "Water temperature", "warmth", 18.0, 15.0, 5.0,
        "Under about 15 °C the first gasp and the loss of grip come before anybody can help.",
        rising=True,
    ),
}  # fmt: skip


@lru_cache(maxsize=8)
def _for_profile(waters: Waters, hand: Hand) -> dict[LimitKey, Levels]:
    factor = BY_WATERS[waters] * BY_HAND[hand]
    return {key: levels.asked(factor) for key, levels in BASE.items()}


def limits_for(judging: Judging) -> dict[LimitKey, Levels]:
    """The table of a profile, with what the user has moved for it."""
    table = _for_profile(judging.waters, judging.hand)
    moved = {
        one.key: replace(
            table[one.key], fine=one.fine, watch=one.watch,
            fix=table[one.key].fix if one.fix is None else one.fix,
        )
        for one in judging.moved
        if (one.waters, one.hand) == (judging.waters, judging.hand)
    }  # fmt: skip
    return table | moved


def limit_rows(judging: Judging) -> list[LimitRow]:
    """The table as a person sees it."""
    usual, now = _for_profile(judging.waters, judging.hand), limits_for(judging)
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


# What a thing must be come by for how often it is used; ours, from how people fish.
NEEDED_ZONE: dict[Use, ReachZone] = {
    "each cast": "hand",
    "each fish": "lean",
    "hourly": "twist",
    "once": "leave",
    "ashore": "ashore",
    "emergency": "hand",
}
ZONES: tuple[ReachZone, ...] = get_args(ReachZone)

# How many lids, zips and things on top there is time for, by how often a thing is used; ours.
STEPS_ALLOWED: dict[Use, int] = {
    "each cast": 0, "each fish": 1, "hourly": 2, "once": 6, "ashore": 99, "emergency": 1,
}  # fmt: skip


def zone_steps(zone: ReachZone, use: Use) -> int:
    """By how many zones a thing is farther than its use asks; 0 where it is near enough."""
    return max(0, ZONES.index(zone) - ZONES.index(NEEDED_ZONE[use]))


def margin_key(demand: str) -> LimitKey:
    """The limit that a demand's use of the margin is judged by."""
    return "margin climbing in" if demand == "remount" else "margin"
