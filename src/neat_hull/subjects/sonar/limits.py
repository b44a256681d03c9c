"""Where verdicts about a transducer change."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "face under": Levels(
        "Face of a transducer under the water, at its least", "length", 0.02, 0.0, -0.02,
        "Out of the water it shows nothing; air under it shows as noise.", rising=True,
    ),
    "side beam": Levels(
        "Side beam that the hull hides, down from level", "angle", 10.0, 30.0, inf,
        "The hull stands in the way of what lies beside the boat.",
    ),
    "stands out": Levels(
        "Transducer below the hull", "length", 0.01, 0.05, inf,
        "It meets the stump, the ramp, the roof bars and the trolley before the hull does.",
    ),
    "wash": Levels(
        "Transducer behind the drive", "length", 0.6, 0.3, 0.0,
        "Air from fins or a propeller shows as noise.", rising=True,
    ),
}  # fmt: skip
