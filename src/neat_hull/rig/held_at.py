"""Where the line that holds a boat leaves it."""

from typing import Literal

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import Cleat
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated

End = Literal["bow", "stern"]


def _set_x_m(setup: Setup) -> float | None:
    """As set, or the cleat farthest from the middle; None where nobody said."""
    if setup.hold.at_x_m is not None:
        return setup.hold.at_x_m
    cleats = [one.x_m for one in setup.boat.fittings if isinstance(one, Cleat)]
    middle = setup.boat.tape.length_m / 2
    return max(cleats, key=lambda x: abs(x - middle), default=None)


def held_end(setup: Setup) -> End:
    """The end that it is nearer to; the bow where nobody said."""
    at = _set_x_m(setup)
    return "bow" if at is None or at >= setup.boat.tape.length_m / 2 else "stern"


def held_at(ev: Evaluated) -> Point:
    """Along the boat, on the middle line, at the height of the sheer there."""
    hull, at = ev.rigged.floating.hull, _set_x_m(ev.setup)
    x = hull.x_fwd_m if at is None else min(max(at, hull.x_aft_m), hull.x_fwd_m)
    return x, 0.0, float(np.interp(x, hull.x_m, hull.sheer_m[:, 1]))
