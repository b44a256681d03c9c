"""What is typical of lifting, carts, grounds and bars: general practice, shown as estimates."""

from dataclasses import dataclass

from neat_hull.model.haul import Slider, Surface, Wheels
from neat_hull.model.haul_case import Niosh
from neat_hull.model.thing import Fixed

# What one person lifts without harm: the load constant of the revised lifting equation (Waters,
# Putz-Anderson and Garg, NIOSH 94-110, 1994); ISO 11228-1 has 25 kg.
COMFORT_KG = 23.0
HAND_HEIGHT = 0.43  # of the stature: a hand that hangs down (Drillis and Contini, 1966)
# As the lifting equation asks: an end is held before the body, and gripped fairly.
NIOSH_H_CM, NIOSH_FM, NIOSH_CM = 40.0, 1.0, 0.95
HAND_LOAD_KG = 15.0  # carried in both hands for some way

FRICTION: dict[Slider, float] = {"roller": 0.04, "pad": 0.5, "bare bar": 0.25, "carpet": 0.35}
SLIDE_STEPS = 40
HAND_LOW_M = 0.55  # how high the stern is picked up when the bow already rests on the bar

# Minutes to take something off and put it on again, by how it is fixed.
MINUTES: dict[Fixed, float] = {
    "track bolt": 3.0, "ball": 1.0, "flush tube": 0.5, "strap": 1.0, "bungee": 0.5,
    "hook-and-loop": 0.5, "plate": 3.0, "loose": 0.3,
}  # fmt: skip


@dataclass(frozen=True)
class Wheel:
    """A wheel's radius and how wide it is."""

    radius_m: float
    width_m: float


WHEELS: dict[Wheels, Wheel] = {
    "narrow": Wheel(0.13, 0.045), "wide": Wheel(0.13, 0.09), "balloon": Wheel(0.15, 0.20),
}  # fmt: skip
# Rolling over load, by ground and wheel; and what the ground bears, kPa.
ROLLING: dict[Surface, dict[Wheels, float]] = {
    "asphalt": {"narrow": 0.02, "wide": 0.025, "balloon": 0.03},
    "gravel": {"narrow": 0.06, "wide": 0.05, "balloon": 0.05},
    "grass": {"narrow": 0.10, "wide": 0.09, "balloon": 0.08},
    "soft soil": {"narrow": 0.20, "wide": 0.17, "balloon": 0.15},
    "wet sand": {"narrow": 0.15, "wide": 0.11, "balloon": 0.08},
    "dry sand": {"narrow": 0.38, "wide": 0.30, "balloon": 0.16},
}
BEARING_KPA: dict[Surface, float] = {
    "asphalt": 700.0, "gravel": 250.0, "grass": 100.0, "soft soil": 50.0, "wet sand": 80.0,
    "dry sand": 30.0,
}  # fmt: skip
# Posts in scuppers: a jolt doubles the load, and what polyethylene bears there, MPa.
BUMP, POST_BEARS_MPA, SLAB_M = 2.0, 8.0, (0.20, 0.12)


def niosh(from_m: float, to_m: float) -> Niosh:
    """What the lifting equation asks of a lift between two heights over the floor."""
    return Niosh(
        h_cm=NIOSH_H_CM, v_cm=100 * from_m, d_cm=100 * abs(to_m - from_m), a_deg=0.0,
        fm=NIOSH_FM, cm=NIOSH_CM,
    )  # fmt: skip
