"""How the boat may lie, and what makes it less steady."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "trim": Levels(
        "Bow up or down", "angle", 0.7, 1.5, 3.0,
        "The more one end is down, the worse the boat steers and the wetter that end "
"runs.",
    ),
    "list": Levels(
        "To one side", "angle", 1.0, 2.0, 4.0,
        "You sit crooked all day, and there is less freeboard on the low side.",
    ),
    "gm": Levels(
        "Stability (GM), seated", "length", 0.15, 0.10, 0.05,
        "The less there is, the further an ordinary lean of your body takes the boat "
"over. You balance as well; this is the boat alone.",
        rising=True, by_profile=True,
    ),
    "seat height": Levels(
        "Seat above the floor", "length", 0.25, 0.35, inf,
        "Each step the seat goes up lifts you with it, and you are most of the weight.",
        by_profile=True,
    ),
    "high": Levels(
        "Weight above the gunwale", "moment", 0.6, 1.5, inf,
        "A little weight high up takes as much stability as a lot low down gives.", by_profile=True,
    ),
    "ends": Levels(
        "Weight at an end", "moment", 6.0, 12.0, inf,
        "Weight far from the middle makes the boat slow to rise over a wave, and slow to "
"turn.",
    ),
}  # fmt: skip
