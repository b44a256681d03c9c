"""What is typical of anchors, lines, poles and bottoms: general practice, shown as estimates."""

from neat_hull.model.glide_case import Soil
from neat_hull.model.hold import AnchorType, Bottom

# Holding over weight, by bottom and anchor. Rock holds by hooking, and is never counted on.
HOLDING: dict[Bottom, dict[AnchorType, float]] = {
    "sand": {"grapnel": 2.5, "claw": 8.0, "fluke": 15.0, "mushroom": 1.5},
    "mud": {"grapnel": 1.5, "claw": 5.0, "fluke": 8.0, "mushroom": 2.0},
    "gravel": {"grapnel": 2.0, "claw": 3.0, "fluke": 2.0, "mushroom": 1.0},
    "weed": {"grapnel": 1.25, "claw": 4.0, "fluke": 4.0, "mushroom": 1.0},
    "rock": {"grapnel": 4.0, "claw": 4.0, "fluke": 2.0, "mushroom": 1.0},
}
SAFETY = 2.0
KNOTS = 0.6  # of a line's strength, that knots leave
BREAKING_N_MM2 = 150.0  # by the square of the diameter: 5 mm braid breaks at 3 to 4 kN
ROPE_KG_MM2 = 0.00061  # a metre by the square of the diameter: 6 mm nylon weighs 22 g
ROPE_SINKS = 0.12  # of its weight, that nylon has left in water
CHAIN_SINKS = 0.87
CHOP = 2.0  # what short waves make of the pull; the line's stretch decides

# Solid glass, and a tube: stiffness and what they stand.
POLE_PA = {True: (40e9, 400e6), False: (25e9, 150e6)}
POLE_WALL_MM = 1.5
POLE_OVER_CLEAT_M = 0.2
SAND = Soil(kind="sand", unit_weight_n_m3=9500.0, passive_factor=3.3)
MUD = Soil(kind="mud", shear_strength_pa=4000.0)
SOIL: dict[Bottom, Soil | None] = {
    "sand": SAND, "gravel": SAND, "mud": MUD, "weed": MUD, "rock": None,
}  # fmt: skip
PUSHED_IN_M: dict[Bottom, float] = {
    "sand": 0.4, "gravel": 0.3, "mud": 0.9, "weed": 0.8, "rock": 0.0,
}  # fmt: skip

ROPE_TOUCHES_M = 0.02  # a trolley's rope so near to something rubs on it
IN_THE_STROKE_M = 0.05  # over the gunwale it meets the paddle hand
STROKE_M = (0.2, 1.0)  # ahead of the seat, where the paddle hand passes
HOVER_STEPS = (0.2, 0.3, 0.4, 0.55, 0.7, 0.85, 1.0)
