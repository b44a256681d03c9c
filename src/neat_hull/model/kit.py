"""What one usually takes along, on what trip, and where on the boat it usually goes."""

from typing import Literal, get_args

from neat_hull.model.base import Answer
from neat_hull.model.thing import Thing

TripKind = Literal["pond", "lake", "sea", "river"]
Goes = Literal[
    "worn", "seat", "drive", "holder", "rod deck", "crate", "tank well", "behind seat",
    "reach behind", "beside seat", "side deck", "fore deck", "aft deck", "bow",
]  # fmt: skip
TRIP_KINDS = get_args(TripKind)


class KitItem(Answer):
    """A generic thing: where it usually goes, and on which trips most take it."""

    thing: Thing
    goes: Goes
    trips: list[TripKind]
