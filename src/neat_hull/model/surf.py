"""The second arrangement of a setup: how it goes through breaking and rough water."""

from collections.abc import Mapping
from typing import Annotated

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Taken
from neat_hull.model.place import OnThing, Place


class SurfPlan(Model):
    """places: where things are then that lie elsewhere while one fishes; all others stay. up: the
    drive and the rudder are up."""

    places: Annotated[dict[Key, Place], Taken] = Field(default={}, max_length=1000)
    up: bool = False

    def renumbered(self, ids: Mapping[int, int]) -> "SurfPlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        places = {}
        for i, place in self.places.items():
            on = place.on
            if i not in ids or (isinstance(on, OnThing) and on.thing not in ids):
                continue
            if isinstance(on, OnThing):
                on = on.model_copy(update={"thing": ids[on.thing]})
            places[ids[i]] = place.model_copy(update={"on": on})
        return self.model_copy(update={"places": places})
