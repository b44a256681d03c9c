"""How far a thing is from the hand: the five zones, nearest first."""

from typing import Literal, get_args

ReachZone = Literal["hand", "lean", "twist", "leave", "ashore"]
ZONES: tuple[ReachZone, ...] = get_args(ReachZone)
