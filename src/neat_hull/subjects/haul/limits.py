"""Where verdicts about the boat on land change."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "lift": Levels(
        "Lift of each person over what is comfortable", "ratio", 0.80, 1.00, 1.30,
        "Your back lifts this twice on every trip, cold and tired the second time.",
    ),
    "slide": Levels(
        "Hardest push up to the bars", "force", 150.0, 250.0, 350.0,
        "One person with arms raised.",
    ),
    "roof": Levels(
        "Boat and bars over what the roof may bear", "ratio", 0.80, 1.00, 1.00,
        "The maker's figure is for a load at rest; wind and kerbs add to it.",
    ),
    "one bar": Levels(
        "Load of one bar over its half", "ratio", 0.80, 1.00, 1.00,
        "A boat off the middle of its bars loads one of them alone.",
    ),
    "bars apart": Levels(
        "Bars apart, of the boat's length", "ratio", 0.333, 0.20, 0.0,
        "Bars close together let it yaw and rock in the wind.", rising=True,
    ),
    "gate": Levels(
        "Load of the gate over what it may bear", "ratio", 0.80, 1.00, 1.00,
        "A gate on two cables bears less than the bed.",
    ),
    "bed margin": Levels(
        "Weight ahead of the edge, of the boat's length", "ratio", 0.15, 0.0, -inf,
        "Near the edge every kerb lifts the end that lies in the bed.", rising=True,
    ),
    "pull": Levels(
        "Pull over the hardest stretch", "force", 100.0, 200.0, 300.0,
        "Walking with one hand, for some minutes (tables of Snook and Ciriello, 1991, in order).",
    ),
    "hand bears": Levels(
        "Weight in the hand on its cart", "force", 80.0, 150.0, 250.0,
        "A hand carries a bucket of water for a while, and no more.",
    ),
    "hand light": Levels(
        "Least weight in the hand on its cart", "force", 30.0, 0.0, -inf,
        "With nothing in the hand it wanders, and the end rises on every slope.", rising=True,
    ),
    "ground": Levels(
        "Pressure of the wheels over what the ground bears", "ratio", 0.70, 1.00, 1.50,
        "Past what it bears a wheel sinks, and the pull grows with the rut.",
    ),
    "cart clearance": Levels(
        "Height above the ground on its cart", "length", 0.05, 0.02, -inf,
        "What hangs lower drags over the first root.", rising=True,
    ),
}  # fmt: skip
