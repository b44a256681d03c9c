"""What the angler of a setup comes to: physical reach, with their own limits and the cockpit."""

from functools import lru_cache

import numpy as np

from neat_hull.model.base import Point
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.reach import Kneeling, Reach, reach
from neat_hull.physics.body.segments import Body
from neat_hull.physics.body.trunk import BodyLimits
from neat_hull.rig.bodies import kneeling_of, limits_of
from neat_hull.rig.rigging import Rigged

_MOST_KEPT = 5000  # ways of one sitter, after which all are forgotten


def reach_of(rigged: Rigged, grips_m: Array) -> list[Reach]:
    """The least-effort way to each grip point (n, 3); those asked for before are kept."""
    setup, hull = rigged.setup, rigged.floating.hull
    limits, kneeling = limits_of(setup.angler), kneeling_of(hull, setup.seat)
    known = _ways(rigged.body, limits, kneeling)
    grips: list[Point] = [(x, y, z) for x, y, z in grips_m.tolist()]
    new = list(dict.fromkeys(grip for grip in grips if grip not in known))
    if len(known) > _MOST_KEPT:
        known.clear()
        new = list(dict.fromkeys(grips))
    if new:
        ways = reach(rigged.body, np.array(new), limits, kneeling)
        known.update(zip(new, ways, strict=True))
    return [known[grip] for grip in grips]


@lru_cache(maxsize=16)
def _ways(_body: Body, _limits: BodyLimits, _kneeling: Kneeling | None) -> dict[Point, Reach]:
    return {}
