"""The waters a boat is floated in."""

from typing import Literal

Water = Literal["fresh", "salt"]
WATER_DENSITY_KG_M3: dict[Water, float] = {
    "fresh": 998.0,  # at about 20 °C; 1000 at 4 °C: the difference is under a millimetre of draft
    "salt": 1025.0,  # typical sea water
}
