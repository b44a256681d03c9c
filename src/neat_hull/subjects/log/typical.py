"""What is typical of how gear is used and looked after: ours, and a maker's book wins."""

from dataclasses import dataclass
from math import inf

from neat_hull.model.log import Uses
from neat_hull.model.thing import Use

# Fewer trips teach nothing.
ENOUGH = 3
# So many trips in a row without a use, and an item is offered ashore.
UNUSED_TRIPS = 5
# Of the last so many, so many have to say otherwise of a use before it is told.
LAST, DIFFER = 5, 3
# A mount that has been out and used so often at one place may be drilled, within so much of it.
PROVED_TRIPS, PLACE_M, TURN_DEG = 3, 0.03, 10.0

# Uses in a trip, at least and at most, and one in the middle to work with.
COUNT: dict[Uses, tuple[float, float, float]] = {
    "0": (0, 0, 0), "1-3": (1, 3, 2), "4-15": (4, 15, 8), "more": (16, inf, 25),
}  # fmt: skip
# Uses an hour that each word for a use means; an emergency, and what stays ashore, have none.
PER_H: dict[Use, tuple[float, float]] = {
    "each cast": (10.0, inf), "each fish": (1.0, 10.0), "hourly": (0.3, 1.0), "once": (0.0, 0.3),
}  # fmt: skip

# A battery's charge is read to a tenth of it: by voltage, lithium tells little in between. What
# the electrics hold of a day's draw is right within a quarter.
READ_SHARE, ASSUMED_SHARE = 0.10, 0.25
# From so many trips on their own scatter says how well it is read, where that is worse.
OWN_SCATTER = 4
# A draw is told of once it is so far from what is held: as a share, and in standard deviations.
DIFFERS_SHARE, DIFFERS_SD = 0.10, 2.0
BAND = 0.95


@dataclass(frozen=True)
class Usual:
    """How often something is looked after, in trips, trips on salt water, hours and months."""

    words: str
    trips: int | None = None
    salt: int | None = None
    hours: float | None = None
    months: int | None = None


# Of the boat, and of items with a reel or that drive it.
OF_THE_BOAT: dict[str, Usual] = {
    "rinse": Usual("Rinse boat, reels and connectors with fresh water", salt=1),
    "seals": Usual("Seals of scuppers and drain plug: look, and grease", trips=20),
    "straps": Usual("Straps and leashes: look for wear and sun", months=12),
    "winter": Usual(
        "Winter check: batteries at 40–60 % and cool, tank dry, drain plug out, PFD tested",
        months=12,
    ),
}
OF_A_REEL = {"reel": Usual("grease the reel, try its drag", trips=25, salt=10)}
OF_A_DRIVE = {"drive": Usual("oil it, or grease its hinge", hours=50.0)}
