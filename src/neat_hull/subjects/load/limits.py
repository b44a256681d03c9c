"""How much may be carried."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "share": Levels(
        "Of what may be carried", "ratio", 0.90, 1.0, inf,
        "Makers rate what floats, not what fishes well: most anglers stay at 65 to 75 % of the "
        "rating. The rating itself is a hard stop.",
    ),
    "freeboard": Levels(
        "Gunwale over the water", "length", 0.15, 0.10, 0.05,
        "About a hand's length of side keeps out the wake of a passing boat.",
        rising=True, by_profile=True,
    ),
    "floor": Levels(
        "Floor over the water", "length", 0.02, 0.0, -0.10,
        "Water comes up through open scuppers as soon as the floor is under; two centimetres "
        "keep it dry in a ripple.", rising=True,
    ),
}  # fmt: skip
