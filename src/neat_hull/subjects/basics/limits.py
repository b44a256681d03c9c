"""How cold the water may be without clothing for it."""

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "cold water": Levels(
        "Water temperature", "warmth", 18.0, 15.0, 5.0,
        "Under about 15 °C the first gasp and the loss of grip come before anybody can help.",
        rising=True,
    ),
}  # fmt: skip
