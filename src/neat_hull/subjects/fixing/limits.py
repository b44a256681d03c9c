"""Where verdicts about mounts and holes change."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "holds": Levels(
        "Strength of a plastic wall over what is asked of it", "times", 3.0, 2.0, 1.0,
        "Thickness scatters by a fifth, heat softens it, and loads are guessed.", rising=True,
    ),
    "bond holds": Levels(
        "Strength of glue or tape over what is asked of it", "times", 5.0, 3.0, 1.5,
        "A surface afloat is never as clean as the one it was tried on.", rising=True,
    ),
    "bolt holds": Levels(
        "Strength of a bolt over what is asked of it", "times", 2.0, 1.5, 1.0,
        "Steel is known better than plastic.", rising=True,
    ),
    "twist": Levels(
        "Grip of a single bolt over the twist on it", "times", 1.5, 1.0, -inf,
        "A thing on one bolt is held by friction alone; a slip is a nuisance.", rising=True,
    ),
    "screen wobble": Levels(
        "Wobble of a screen in chop", "angle", 1.0, 2.0, inf,
        "Past two degrees you can't read it.",
    ),
    "wobble": Levels(
        "Wobble of anything else", "angle", 2.0, 4.0, inf,
        "What wobbles works its bolts loose and its hole wide.",
    ),
    "droop": Levels(
        "Tilt after days under its own weight", "angle", 1.0, 2.0, 4.0,
        "Plastic creeps: it droops and stays so.",
    ),
    "hole height": Levels(
        "Hole above the water at its worst", "length", 0.05, 0.02, 0.0,
        "A hole that goes under lets water in, seal or not.", rising=True,
    ),
    "hole spacing": Levels(
        "From hole to hole, in diameters", "times", 3.0, 0.0, -inf,
        "Two holes close by tear into one.", rising=True,
    ),
    "hole edge": Levels(
        "From a hole to an edge, in diameters", "times", 2.0, 2.0, 0.0,
        "Plastic cracks out to an edge.", rising=True,
    ),
    "rattle": Levels(
        "What slides, rattles or hums, weight", "mass", 0.3, inf, inf,
        "Fish hear a hull as a drum.",
    ),
}  # fmt: skip
