"""The shipped demo: one boat, one angler, a pile of gear and two setups of it."""

import tomllib
from importlib.resources import files

from neat_hull.model.boat import Boat
from neat_hull.model.setup import Angler, Place, SeatPlace, Setup, Thing


def demo_setups() -> list[Setup]:
    """Setups that share boat, angler and gear; thing ids are the same in each."""
    text = files("neat_hull").joinpath("catalog/demo.toml").read_text(encoding="utf-8")
    raw = tomllib.loads(text)
    boat = Boat.model_validate({"hull_lcg_m": None, "hull_vcg_m": None} | raw["boat"])
    angler, seat = Angler.model_validate(raw["angler"]), SeatPlace.model_validate(raw["seat"])
    things, ids = {}, {}
    for thing_id, row in enumerate(raw["things"], start=1):
        length, width, height = row.pop("size_m")
        things[thing_id] = Thing(**row, length_m=length, width_m=width, height_m=height)
        ids[row["name"]] = thing_id
    rest = {"z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0}
    return [
        Setup(
            name=row["name"],
            boat=boat,
            angler=angler,
            water=row["water"],
            seat=seat,
            things=things,
            places={
                ids[name]: Place.model_validate(rest | place)
                for name, place in row["places"].items()
            },
        )
        for row in raw["setups"]
    ]
