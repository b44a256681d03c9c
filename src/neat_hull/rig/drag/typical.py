"""What is typical of a kayak's resistance, where nobody has tried it; each with its reason.

Starting values, to be shown as estimates: a pull test sets form and wave factor, a timed run the
efficiency, a drift test how much the wind gets hold of.
"""

from neat_hull.model.water import Water

# ν, m²/s, by °C (ITTC 7.5-02-01-03).
VISCOSITY: dict[Water, tuple[tuple[float, float], ...]] = {
    "fresh": (
        (0.0, 1.787e-6), (5.0, 1.519e-6), (10.0, 1.307e-6), (15.0, 1.139e-6), (20.0, 1.003e-6),
        (25.0, 0.893e-6), (30.0, 0.801e-6),
    ),
    "salt": (
        (0.0, 1.828e-6), (5.0, 1.561e-6), (10.0, 1.354e-6), (15.0, 1.188e-6), (20.0, 1.054e-6),
        (25.0, 0.943e-6), (30.0, 0.850e-6),
    ),
}  # fmt: skip
WATER_C = 15.0  # of water that nobody measured: what viscosities are given at
AIR_DENSITY_KG_M3 = 1.225  # International Standard Atmosphere at sea level, 15 °C

# Watanabe's form factor −.095 + 25.6·C_B/((L/B)²√(B/T)), held to what boats this wide have.
FORM_FACTOR = (0.05, 0.35)
ROUGHNESS = {False: 0.0004, True: 0.0008}  # clean moulded plastic; scratched or slimed
WAVE = 1.0
CROSS_FLOW_CD = 1.1  # a long round-edged body across the flow (Hoerner, ch. 3)
SIDE_LIFT = 0.25  # hull derivatives of Clarke, Gedling and Hine give .2 to .35
ASTERN = 1.3  # blunt sterns, stern first: 1.2 to 1.5

HULL_AIR_CD = 1.0
SITTER_M2 = 0.40, 0.30  # front, side: dressed, seated
SITTER_CD = 1.0
BOX_AIR_CD, ROD_CD = 1.1, 1.1
ROD_M = 0.007  # how thick a rod is in the mean, with its line and guides
REEL_M2 = 0.004
SHELTERED = 0.5  # of what stands in line behind another, from ahead

# In the water, on the area seen from ahead.
POLE_CD, TRANSDUCER_CD, TANK_CD, BLUFF_CD = 1.1, 0.8, 0.9, 1.1
SCUPPER_M2 = 0.02 * 0.03  # the opening and its coefficient
# A shaft of 30 cm under water and the unit at its end: areas and coefficients.
MOTOR_PARTS = ((0.30 * 0.03, 1.0), (0.10 * 0.10, 0.3))
MOTOR_SIDE_M2 = 0.30 * 0.03 + 0.10 * 0.30
FOIL_THICKNESS = 0.08  # of a rudder's blade, over its chord
