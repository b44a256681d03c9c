"""What stands between the seated eye and the water ahead."""

import math

from neat_hull.model.sight import DeadArc
from neat_hull.rig.evaluated import Evaluated

LOOK_M = 5.0  # ahead of the bow: water that must be seen to steer clear of a log
AHEAD_DEG = 45.0  # to either side: what one steers by
_WIDE_DEG = 1.0  # what hides less is looked around without noticing


def dead_arcs(ev: Evaluated) -> list[DeadArc]:
    """What hides the water LOOK_M ahead of the bow from the seated eye; rods are looked past."""
    rigged = ev.rigged
    eye = rigged.body.eye_m
    found = []
    to_water = rigged.floating.hull.x_fwd_m + LOOK_M - float(eye[0])
    # The water stands about half way up the side of a laden boat; a few cm do not turn the line.
    level = rigged.floating.hull.gunwale_m(float(eye[0]))[1] / 2
    for stowed in rigged.stowed:
        thing, stand = rigged.setup.things[stowed.thing_id], stowed.stand
        ahead = stand.x_m - float(eye[0])
        if stowed.tip_m is not None or stand.on_body or ahead <= 0.05:
            continue
        line = float(eye[2]) + (level - float(eye[2])) * ahead / to_water
        if stand.base_z_m + thing.height_m <= line:
            continue
        turn = math.radians(stand.turn_deg)
        bearings = [
            math.degrees(
                math.atan2(
                    stand.y_m + a * math.sin(turn) + b * math.cos(turn) - float(eye[1]),
                    max(0.02, ahead + a * math.cos(turn) - b * math.sin(turn)),
                )
            )
            for a in (-thing.length_m / 2, thing.length_m / 2)
            for b in (-thing.width_m / 2, thing.width_m / 2)
        ]
        low, high = max(min(bearings), -AHEAD_DEG), min(max(bearings), AHEAD_DEG)
        if high - low > _WIDE_DEG:
            found.append(DeadArc(thing_id=stowed.thing_id, from_deg=low, to_deg=high))
    return found


def covered_deg(arcs: list[DeadArc]) -> float:
    """Degrees that arcs cover together, what two hide counted once."""
    covered, end = 0.0, -math.inf
    for low, high in sorted((arc.from_deg, arc.to_deg) for arc in arcs):
        covered += max(0.0, high - max(low, end))
        end = max(end, high)
    return covered
