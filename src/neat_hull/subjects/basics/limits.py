"""How cold water and air may be without clothing for them, and how far out one goes alone."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "alone far out": Levels(
        "From shore, alone", "far", 300.0, 1500.0, inf,
        "Alone, you hold the boat yourself, and farther out than you can swim you are not heard.",
        by_profile=True,
    ),
    "cold water": Levels(
        "Water temperature", "warmth", 18.0, 15.0, 5.0,
        "Cold water takes your breath and your grip before help can come. Shock begins "
"well above the limit shown here.",
        rising=True,
    ),
    "cold air": Levels(
        "Air, as it feels in the wind", "warmth", 10.0, 0.0, -inf,
        "Wet from one wave, you cool in the wind long after you are back in the boat.",
        rising=True,
    ),
}  # fmt: skip
