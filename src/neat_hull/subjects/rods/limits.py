"""Where reels and tips may be."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "reel out": Levels(
        "Reel outside the gunwale", "length", 0.03, 0.10, inf,
        "A reel over the water gets splashed, and catches on docks and other boats.",
    ),
    "tip out": Levels(
        "Tip past the side", "length", 1.2, 1.8, inf,
        "A tip far out meets reeds, pilings and passing boats before the hull does.",
    ),
    "tip up": Levels(
        "Tip above the seat", "length", 2.0, 2.4, inf,
        "Branches and low bridges are met by the highest tip.",
    ),
    "tips apart": Levels(
        "Between two tips", "length", 0.30, 0.15, 0.0,
        "Lines that run closer cross on the first turn.", rising=True,
    ),
}  # fmt: skip
