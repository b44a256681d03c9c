"""Where verdicts about a day change; how it lies then is judged by the rows of that."""

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "home before dark": Levels(
        "Home before sunset, with no light aboard", "hours", 1.0, 0.0, -1.0,
        "The last hour is when things take longer.", rising=True,
    ),
    "left in a battery": Levels(
        "Left in a battery at the end of the day", "ratio", 0.10, 0.0, -1.0,
        "What is reckoned to the last tenth is dark before it.", rising=True,
    ),
}  # fmt: skip
