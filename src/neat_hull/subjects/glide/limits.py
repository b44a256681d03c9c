"""Where verdicts about going and drifting change."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "gear slows": Levels(
        "What all the gear adds to minutes per km", "ratio", 0.10, 0.20, 0.40,
        "A morning of 5 km gets ten minutes longer at a fifth.",
    ),
    "drags": Levels(
        "One thing's share of the resistance", "ratio", 0.08, 0.20, 0.40,
        "What hangs in the water slows every stroke of the day.",
    ),
    "catches wind": Levels(
        "The wind's share of the resistance", "ratio", 0.25, 0.40, 0.60,
        "The wind rises in the afternoon, and what it pushes on counts with its square.",
    ),
    "making waves": Levels(
        "The waves' share of the resistance", "ratio", 0.35, 0.50, inf,
        "Slower by a tenth costs little and saves much.",
    ),
    "way home": Levels(
        "Speed over ground at your effort", "speed", 0.5, 0.5, 0.5,
        "Slower than that, you are not getting home.", rising=True,
    ),
    "reserve": Levels(
        "What the trip takes of the battery", "ratio", 0.60, 0.80, 1.00,
        "The wind rises in the afternoon; batteries lose a fifth in the cold.",
    ),
    "drifts fast": Levels(
        "Drift in the set wind", "speed", 0.4, 0.7, inf,
        "Too fast to fish a place, and you are far off before you look up.",
    ),
    "towing": Levels(
        "Speed with another boat in tow", "speed", 0.8, 0.5, -inf,
        "Slower than that the wind and the current decide where both of you go.", rising=True,
    ),
    "towed from": Levels(
        "Tow line, from the end of the boat", "length", 0.6, 0.6, inf,
        "A line that pulls at the side heels the boat, and turns it over. Ours.",
    ),
    "lies across": Levels(
        "Wind in which a boat may lie across it on a drogue", "speed", 5.0, inf, inf,
        "Waves meet the side.",
    ),
}  # fmt: skip
