"""How far a demand may take the boat."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "gm standing": Levels(
        "GM, standing", "length", 0.05, 0.0, -inf,
        "Above about 5 cm the boat itself keeps a stander up; below nothing it is done only by "
        "one's own balance.", rising=True,
    ),
    "margin": Levels(
        "Margin used by a demand", "ratio", 0.50, 0.75, 1.00,
        "Half of the greatest righting lever is left for what one did not foresee: a wake, a "
        "second fish, a slip.", by_profile=True, most=1.0,
    ),
    "margin climbing in": Levels(
        "Margin used by climbing in", "ratio", 0.80, 0.95, 1.00,
        "Nobody climbs in without rolling the boat to its edge; it must not come over.",
        by_profile=True, most=1.0,
    ),
    "edge": Levels(
        "Gunwale over the water in a demand", "length", 0.05, 0.02, 0.0,
        "Five centimetres of gunwale keep out a ripple; with none left, water comes over.",
        rising=True,
    ),
}  # fmt: skip
