"""What a capsize may take, and what may tangle."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
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
}  # fmt: skip
