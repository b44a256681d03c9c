"""What a capsize may take, what may tangle, and what must lift the boat when it is full."""

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
        "Lines around your legs", "count", 1, 3, inf,
        "Under a turned boat, a line around your leg holds you there.",
    ),
    "flooded": Levels(
        "Left to lift a full boat", "mass", 20.0, 0.0, -inf,
        "A boat that sinks under you leaves you swimming; a tenth of what stays aboard is added.",
        rising=True,
    ),
    "full side": Levels(
        "Side of a full boat, above the water", "length", 0.02, -0.02, -inf,
        "Water that runs in over the side as fast as you take it out can't be bailed.",
        rising=True,
    ),
    "full gm": Levels(
        "GM of a full boat", "length", 0.05, 0.0, -inf,
        "A full boat that rolls from under you is no place to climb back to.",
        rising=True,
    ),
    "bailing": Levels(
        "Minutes to empty it in cold water", "count", 10, 10, inf,
        "Public cold-water guidance: swimming fails within 3 to 30 minutes; it counts in water "
"under the level of cold water that asks for a fix.",
    ),
}  # fmt: skip
