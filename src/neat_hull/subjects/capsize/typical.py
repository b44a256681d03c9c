"""What is typical of lines, of what floats and sinks, and of emptying a boat: shown as estimates.

Sources stand beside each; what has none is ours.
"""

from neat_hull.model.safety import Floats, HullMaterial, LineKind
from neat_hull.model.thing import Bails

STRENGTH_KG: dict[LineKind, float] = {"cord": 80.0, "coil": 15.0, "clip": 10.0, "bungee": 20.0}
JERK = 3.0  # times what hangs on a line: ours
STOWED_LINE_M = 0.3  # how far a heap of line spreads when the boat turns over: ours
ABOUT_LEGS_M = 0.05  # of room about legs that want out

# kg/m³: fish-tackle plastic, metal gear with its air, wood and foam handles, a vest.
PLASTIC_KG_M3, METAL_KG_M3, FLOATING_KG_M3, VEST_KG_M3 = 1100.0, 2700.0, 600.0, 120.0
CLOSED_BOX = 0.9  # of its box, that a dry box displaces: its walls curve

WALL_KG_M3: dict[HullMaterial, float] = {
    "polyethylene": 950.0, "glass laminate": 1600.0, "thermoformed sheet": 1050.0, "wood": 600.0,
}  # fmt: skip
LIFTS: dict[Floats, float] = {"foam": 0.97, "air bag": 0.9, "bottles": 0.95}
FOAM_KG_M3 = 30.0  # closed-cell
DRAIN_OVER_KEEL_M = 0.05  # of the hull at its end: as most are bored
HANGS_KG = 7.0  # who holds on in a vest: the vest carries the rest

# L/min, fresh and after TIRED_MIN: sponge and scoop go on as they began.
BAIL_L_MIN: dict[Bails, tuple[float, float]] = {
    "pump": (25.0, 15.0), "sponge": (6.0, 6.0), "scoop": (30.0, 30.0),
}  # fmt: skip
TIRED_MIN = 5.0
STEEP_M = 0.30  # over that, nobody gets up without a step
FLOATS_WELL_SHARE = 0.1  # ours: of what stays aboard, over the limit
