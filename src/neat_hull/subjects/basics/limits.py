"""How cold the water may be without clothing for it."""

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "cold water": Levels(
        "Water temperature", "warmth", 18.0, 15.0, 5.0,
        "Cold water takes your breath and your grip before help can come. Shock begins "
"well above the limit shown here.",
        rising=True,
    ),
}  # fmt: skip
