"""Where verdicts about being held change."""

from neat_hull.rig.limits import Levels

LIMITS: dict[str, Levels] = {
    "anchor holds": Levels(
        "Pull over what the anchor holds", "ratio", 0.50, 0.75, 1.00,
        "Ratios of anchors scatter by half, and a gust pulls twice as hard.", by_profile=True,
        most=1.0,
    ),
    "anchor lifts": Levels(
        "Angle of the line at the anchor", "angle", 8.0, 12.0, 20.0,
        "What is pulled up lets go: an anchor holds along the bottom.",
    ),
    "scope": Levels(
        "Line over the height it spans", "times", 5.0, 3.0, 2.0,
        "A short line pulls upward.", rising=True,
    ),
    "lies oblique": Levels(
        "Line off the nearer end", "angle", 10.0, 25.0, 45.0,
        "A boat aslant to the current pulls several times as hard, and shows it its side.",
    ),
    "current": Levels(
        "Current at anchor", "speed", 1.0, 1.3, 1.6,
        "Twice the current pulls four times as hard, and letting go comes too late.",
        by_profile=True, most=1.6,
    ),
    "current by the stern": Levels(
        "Current at anchor by the stern", "speed", 0.5, 1.0, 1.3,
        "The lower, squarer end meets current and waves: it pulls a third harder, and goes under "
        "first.", by_profile=True, most=1.3,
    ),
    "line": Levels(
        "Pull over the strength of the line", "ratio", 0.20, 0.33, 0.50,
        "Sun, sand and knots weaken it.",
    ),
    "pole bends": Levels(
        "Bending of the pole over what it stands", "ratio", 0.50, 0.75, 1.00,
        "A pole that breaks breaks toward you.",
    ),
    "pole slips": Levels(
        "Pull on the pole over what the bottom stands", "ratio", 0.50, 0.75, 1.00,
        "The bottom is seldom what you take it for.",
    ),
}  # fmt: skip
