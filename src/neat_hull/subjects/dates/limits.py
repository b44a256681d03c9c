"""How soon before it runs out something is told of."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "days left": Levels(
        "Days until a date", "count", 30.0, 0.0, -inf,
        "What helps in need has to work on the day; what is printed on it counts.", rising=True,
    ),
}  # fmt: skip
