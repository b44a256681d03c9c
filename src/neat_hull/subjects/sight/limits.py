"""How much of the view may be hidden, and how a boat should be seen."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "sight": Levels(
        "View ahead that is hidden", "angle", 6.0, 20.0, inf,
        "You don't see a log that lies behind the screen.", by_profile=True,
    ),
    "light blocked": Levels(
        "Of a light's ring, blocked", "angle", 6.0, 30.0, inf,
        "From there you can't be seen. Six degrees is what the rules at sea allow a mast.",
    ),
    "warning": Levels(
        "Time from seen to here", "seconds", 60.0, 30.0, -inf,
        "A boat that sees you late does not turn in time. Ours.", rising=True,
    ),
    "flag": Levels(
        "Flag above the seat", "length", 1.2, 0.9, -inf,
        "Seated you are under the waves: the flag is what shows. Ours.", rising=True,
    ),
}  # fmt: skip
