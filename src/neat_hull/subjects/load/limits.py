"""How much may be carried."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "share": Levels(
        "Weight carried, of the limit", "ratio", 0.90, 1.0, inf,
        "A rating says what floats, not what fishes well, so we count a share of it that "
"you can set. Past the rating is a No-go.",
    ),
    "freeboard": Levels(
        "Freeboard", "length", 0.15, 0.10, 0.05,
        "The less side you have above the water, the smaller the wake that comes aboard.",
        rising=True, by_profile=True,
    ),
    "floor": Levels(
        "Floor above the water", "length", 0.02, 0.0, -0.10,
        "Water comes up through open scuppers as soon as the floor is under.", rising=True,
    ),
}  # fmt: skip
