"""How far apart two things aboard are."""

import numpy as np

from neat_hull.model.targets import Between
from neat_hull.physics.gaps import gaps
from neat_hull.physics.solids import Solids, boxes, rods, together
from neat_hull.rig.rigging import Rigged, Stowed, point


def between(rigged: Rigged, one: int, other: int) -> Between:
    """Middle to middle, and where two things come nearest."""
    a, b = (solids_of(rigged, [rigged.by_id[thing_id]]) for thing_id in (one, other))
    way, found = b.middle_m[0] - a.middle_m[0], gaps(a, b)
    return Between(
        along_m=float(way[0]),
        aside_m=float(way[1]),
        up_m=float(way[2]),
        apart_m=float(np.linalg.norm(way)),
        gap_m=max(0.0, float(found.gap_m[0])),
        nearest=(point(found.here_m[0]), point(found.there_m[0])),
    )


def solids_of(rigged: Rigged, stowed: list[Stowed]) -> Solids:
    """Things as the room they take up, in that order: turned boxes, drums and thick rods."""
    things = [rigged.setup.things[s.thing_id] for s in stowed]
    base = np.array([(s.stand.x_m, s.stand.y_m, s.stand.base_z_m) for s in stowed]).reshape(-1, 3)
    size = np.array([(t.length_m, t.width_m, t.height_m) for t in things]).reshape(-1, 3)
    turn = np.radians([s.stand.turn_deg for s in stowed])
    long = np.array([t.long for t in things], dtype=np.bool_)
    drums = np.array([t.drum for t in things], dtype=np.bool_)
    upright = boxes(base + size * np.array([0.0, 0.0, 0.5]), size, turn, drums)
    if not long.any():
        return upright
    tip = np.array([s.tip_m or (0.0, 0.0, 0.0) for s in stowed]).reshape(-1, 3)
    thin = rods(base, tip, np.minimum(size[:, 1], size[:, 2]) / 2)
    rows = np.where(long, len(stowed) + np.arange(len(stowed)), np.arange(len(stowed)))
    return together(upright, thin).take(rows)
