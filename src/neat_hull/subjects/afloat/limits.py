"""How the boat may lie, and what makes it less steady."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
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
}  # fmt: skip
