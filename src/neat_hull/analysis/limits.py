"""Where our verdicts change, in one table, each with its reason.

Published small-craft stability standards leave out boats this narrow, so these are our own
starting levels. Laws, makers' labels and qualified people win over them.
"""

from dataclasses import dataclass
from typing import get_args

from neat_hull.model.figures import ReachZone, Verdict
from neat_hull.model.thing import Use


@dataclass(frozen=True)
class Levels:
    """Verdict by a figure that is better when small: fine up to, watch up to, fix up to, then stop.

    `rising` turns the sense round for figures that are better when large.
    """

    fine: float
    watch: float
    fix: float
    reason: str
    rising: bool = False

    def verdict(self, value: float) -> Verdict:
        """Judge one value; a value on a level still counts as the better side."""
        sign = -1.0 if self.rising else 1.0
        for word, level in (("fine", self.fine), ("watch", self.watch), ("fix", self.fix)):
            if sign * value <= sign * level:
                return word  # type: ignore[return-value]  # the literals above are the verdicts
        return "stop"


SEATED_GM_M = Levels(
    0.15, 0.10, 0.05, rising=True,
    reason="With less, an ordinary sideways lean of the trunk (a lever of about 4.5 cm) takes the "
    "boat to the edge of its deck. People also balance actively; this is the passive boat.",
)  # fmt: skip
TRIM_DEG = Levels(
    0.7, 1.5, 3.0,
    reason="Past about 1.5° a kayak steers badly and an end runs wet; past 3° scuppers at the low "
    "end run backwards.",
)  # fmt: skip
LIST_DEG = Levels(
    1.0, 2.0, 4.0,
    reason="Past 2° one sits crooked all day, and the margin on the low side is eaten up.",
)  # fmt: skip
FLOOR_OVER_WATER_M = Levels(
    0.02, 0.0, -0.10, rising=True,
    reason="Water comes up through open scuppers as soon as the floor is under; two centimetres "
    "keep it dry in a ripple.",
)  # fmt: skip
OF_WORKING_SHARE = Levels(
    0.90, 1.0, float("inf"),
    reason="Makers rate what floats, not what fishes well: most anglers stay at 65 to 75 % of the "
    "rating. The rating itself is a hard stop.",
)  # fmt: skip
STANDING_GM_M = Levels(
    0.05, 0.0, float("-inf"), rising=True,
    reason="Above about 5 cm the boat itself keeps a stander up; below nothing it is done only by "
    "one's own balance.",
)  # fmt: skip
MARGIN_USED = Levels(
    0.50, 0.75, 1.00,
    reason="Half of the greatest righting lever is left for what one did not foresee: a wake, a "
    "second fish, a slip.",
)  # fmt: skip
LEAST_FREEBOARD_M = Levels(
    0.05, 0.02, 0.0, rising=True,
    reason="Five centimetres of gunwale keep out a ripple; with none left, water comes over.",
)  # fmt: skip


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


def zone_steps(zone: ReachZone, use: Use) -> int:
    """By how many zones a thing is farther than its use asks; 0 where it is near enough."""
    return max(0, ZONES.index(zone) - ZONES.index(NEEDED_ZONE[use]))
