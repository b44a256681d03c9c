"""How much of the view may be hidden."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "sight": Levels(
        "View ahead that is hidden", "angle", 6.0, 20.0, inf,
        "You don't see a log that lies behind the screen.", by_profile=True,
    ),
}  # fmt: skip
