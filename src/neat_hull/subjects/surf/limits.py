"""How far gear may stand above the gunwale in breaking water."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "stands in surf": Levels(
        "Standing up in the surf", "length", 0.15, 0.30, inf,
        "A wave that breaks over the deck takes hold of what stands up, and you fall on it.",
    ),
}  # fmt: skip
