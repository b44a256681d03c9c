"""Cautions that stand in more than one place: with findings, on screens and on paper."""

RATING_WINS = "Use whichever limit is lower, the maker's or ours."
BOAT_ALONE = (
    "The figure is the boat alone, without your balance. "
    "Try it in warm shallow water near shore, with help."
)
NO_DRILL = "No figure is a drill: capsize and get back in, in warm shallow water, with help."
ANCHOR = "Never anchor from the side; be able to let go in one motion; mind current and tide."
CURRENT = (
    "Anchoring in a current is the deadliest thing you can do from a kayak: by an end only, the "
    "release within reach, a knife worn, a float on the line."
)
FUSED = "Fuse each battery at its positive post."
LITHIUM = (
    "Lithium takes a charger of its own kind, never below freezing, and never unattended aboard."
)
WET_BATTERY = (
    "Salt water and a battery make gas and heat: disconnect, rinse, no closed hatch with a wet "
    "battery."
)
NO_WAY_HOME = (
    "A dead screen won't get you home: keep compass, light and phone on their own batteries."
)
WIRING = (
    "Usual values: makers' labels, laws and standards win over them, and work beyond your skill "
    "goes to a qualified installer."
)
