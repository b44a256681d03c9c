"""What is typical of lamps, of those who look out for them, and of oneself in their way."""

from neat_hull.model.sight import Shows
from neat_hull.physics.bearings import Arc

CANDELA: dict[Shows, float] = {"all-round": 4.3, "side lights": 0.9, "stern": 4.3, "torch": 50.0}
VERTICAL_DEG = 15.0  # off level, that usual small lamps still shine
ROLL_DEG = 5.0  # ours, on top of the list
# Where each shows: rules 21 and 23 of navigation at sea. Side lights and stern light as one ring.
SECTORS: dict[Shows, tuple[Arc, ...]] = {
    "all-round": ((0.0, 360.0),),
    "side lights": ((0.0, 112.5), (247.5, 360.0)),
    "stern": ((112.5, 247.5),),
    "torch": ((0.0, 360.0),),
}
HEAD_M, CROWN_M = 0.10, 0.12  # half of a head's breadth with a hat, and from the eye to its top
CLEAR_M = 0.10  # over the top of the head: a lamp that clears it
OWN_M_S = 1.5  # what one paddles or pedals at
LOOKOUT_M = 2.0  # eyes in a small motor boat
GLARE_DEG = 60.0  # to either side of the look ahead
EYE_WIDE_M = 0.35  # up and down from the eye, at arm's length and more: what shines into it
ARC_MINUTES = 8.7e-4  # rad, three minutes of arc: the least one makes out as a thing
ROD_M = 0.008  # thick, at the height of a lamp
