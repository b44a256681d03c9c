"""What is typical of effort, motors and drogues; each with its reason. Starting values, shown as
estimates."""

from neat_hull.model.boat import Propulsion
from neat_hull.model.glide import Stroke

# Of the body's power what drives the boat: paddle .55 to .65, fins .55 to .70, propeller to .75.
EFFICIENCY: dict[Stroke, float] = {"paddle": 0.60, "fins": 0.62, "propeller": 0.68}
STROKE: dict[Propulsion, Stroke] = {
    "paddle": "paddle", "crank": "propeller", "push": "fins",
    "motor bow": "paddle", "motor side": "paddle", "motor stern": "paddle",
}  # fmt: skip
# At the shaft: what a body gives for hours, and for minutes.
EFFORTS_W = {"easy": 40.0, "all day": 60.0, "firm": 90.0, "hard, for minutes": 150.0}

FASTEST_M_S = 2.8  # where a motor pulls no more: 2.6 to 3.0
WATTS_PER_NEWTON = 12.0 / 4.448  # 30 lbf take 360 W, 55 lbf 600 W
POWER_DROP = 0.5
STEPS = (0.4, 0.55, 0.7, 0.85, 1.0)
DROGUE_CD, DROGUE_MOUTH_M = 1.2, 0.6  # a cone or parachute of cloth; a usual sock

# Bands, of their own part: thin-ship theory, a drag line, guessed coefficients.
WAVE_BAND, FRICTION_BAND, APPENDAGE_BAND, AIR_BAND = 0.30, 0.10, 0.30, 0.20
TESTED = 1 / 3  # of the band where a pull test has set it
WIND_RISES = 1.5  # in the afternoon
