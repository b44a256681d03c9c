"""What a capsize may take, and what may tangle."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "loose": Levels(
        "Weight of a loose item", "mass", 0.5, 2.0, inf,
        "What is heavy and loose slides to the low side, and is gone in a capsize.",
        by_profile=True,
    ),
    "lost": Levels(
        "Price of what a capsize takes", "price", 50.0, 400.0, inf,
        "Our own levels, from a bad evening to a bad season: set yours.",
    ),
    "lines": Levels(
        "Lines around your legs", "count", 2, 4, inf,
        "Under a turned boat, a line around your leg holds you there.",
    ),
}  # fmt: skip
