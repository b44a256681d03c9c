"""How far, and how many steps away, a thing may be for its use."""

from math import inf

from neat_hull.model.thing import Use
from neat_hull.model.zones import ZONES, ReachZone
from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "far": Levels(
        "Zones past the one it needs", "count", 0, 1, inf,
        "What you use often belongs nearer than what you use once.",
    ),
    "steps": Levels(
        "Steps more than you have time for", "count", 0, 1, inf,
        "A lid you open for every fish stays open.",
    ),
}  # fmt: skip


# What a thing must be come by for how often it is used; ours, from how people fish.
NEEDED_ZONE: dict[Use, ReachZone] = {
    "each cast": "hand",
    "each fish": "lean",
    "hourly": "twist",
    "once": "leave",
    "ashore": "ashore",
    "emergency": "hand",
}

# How many lids, zips and things on top there is time for, by how often a thing is used; ours.
STEPS_ALLOWED: dict[Use, int] = {
    "each cast": 0, "each fish": 1, "hourly": 2, "once": 6, "ashore": 99, "emergency": 1,
}  # fmt: skip


_ZONE_STEPS = {
    (zone, use): max(0, ZONES.index(zone) - ZONES.index(needed))
    for zone in ZONES
    for use, needed in NEEDED_ZONE.items()
}


def zone_steps(zone: ReachZone, use: Use) -> int:
    """By how many zones a thing is farther than its use asks; 0 where it is near enough."""
    return _ZONE_STEPS[zone, use]
