"""How far a demand may take the boat."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "gm standing": Levels(
        "Stability (GM), standing", "length", 0.05, 0.0, -inf,
        "Above zero the boat helps you stand, and you still balance; below zero only "
"your balance keeps you up.", rising=True,
    ),
    "margin": Levels(
        "Stability margin used", "ratio", 0.50, 0.75, 1.00,
        "What is left of the greatest righting force is for a wake, a second fish or a "
"slip.", by_profile=True, most=1.0,
    ),
    "margin climbing in": Levels(
        "Stability margin used, climbing back in", "ratio", 0.80, 0.95, 1.00,
        "You roll the boat to its edge as you climb back in; it must not come over.",
        by_profile=True, most=1.0,
    ),
    "edge": Levels(
        "Freeboard in a situation", "length", 0.05, 0.02, 0.0,
        "With little side left a ripple comes over; with none, the boat fills.",
        rising=True,
    ),
}  # fmt: skip
