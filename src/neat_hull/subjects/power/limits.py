"""Where verdicts about the electrics change."""

from math import inf

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "drop critical": Levels(
        "Voltage lost on the way: screen, sonar, lights", "ratio", 0.03, 0.06, inf,
        "What the wire eats the screen does not get. Usual practice on small craft sizes wires for "
"3 %.",
    ),
    "drop": Levels(
        "Voltage lost on the way: all else", "ratio", 0.10, 0.20, inf,
        "What the wire eats turns into heat. Usual practice on small craft sizes wires for 10 %.",
    ),
    "fuse far": Levels(
        "Wire before the first fuse", "length", 0.18, 0.18, inf,
        "What lies before the fuse burns unprotected. Small-craft practice asks for 7 in or 20 cm; "
"we take the shorter.",
    ),
    "gland": Levels(
        "Hole for a wire, above the water at its lowest", "length", 0.05, 0.02, 0.0,
        "A hole in the deck that goes under fills the hull.", rising=True,
    ),
    "free wire": Levels(
        "Wire that nothing holds", "length", 0.45, inf, inf,
        "A wire that hangs gets caught and chafes. Usual practice holds it every 45 cm.",
    ),
    "charging": Levels(
        "Hours on the charger", "hours", 10.0, inf, inf,
        "Longer than a night, and the boat waits for its battery.",
    ),
}  # fmt: skip
