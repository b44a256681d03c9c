"""What a setup says about the day it goes wrong: lines, what floats it when full, its drain.

What is null is typical, see `subjects.capsize.typical`.
"""

from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Taken

LineKind = Literal["coil", "cord", "clip", "bungee"]
HullMaterial = Literal["polyethylene", "glass laminate", "thermoformed sheet", "wood"]
Floats = Literal["foam", "air bag", "bottles"]
Along = Annotated[float, Field(ge=-2, le=12)]
Across = Annotated[float, Field(ge=-2, le=2)]


class Leash(Model):
    """The line that a thing is tied by: how long and of what, and where its other end is fixed, x
    from the stern; null: where the thing itself is. on_body: to the angler, not the boat."""

    length_m: float | None = Field(default=None, gt=0, le=30)
    kind: LineKind = "coil"
    x_m: Along | None = None
    y_m: Across | None = None
    on_body: bool = False


class DryPart(Model):
    """A length of the hull between two bulkheads that no water gets into."""

    aft_x_m: Along
    fwd_x_m: Along


class Flotation(Model):
    """Something in the hull that lifts it when full: a box by its ends, its middle across, and from
    its bottom up."""

    kind: Floats = "foam"
    aft_x_m: Along
    fwd_x_m: Along
    y_m: Across = 0.0
    width_m: float = Field(gt=0, le=2)
    bottom_z_m: float = Field(ge=-0.5, le=2)
    height_m: float = Field(gt=0, le=2)


class DrainPlug(Model):
    """The hole that a hull is drained by; x from the stern, null: at the stern."""

    x_m: Along | None = None
    z_m: float | None = Field(default=None, ge=-0.5, le=2)
    diameter_mm: float = Field(default=25.0, gt=0, le=200)
    spare: bool = False


class Tow(Model):
    """Towing a boat that weighs so much with all in it: by a line so long from a place of one's own
    boat, x from the stern, null: its stern; let go at release_x_m, null: where it is fixed."""

    boat_kg: float = Field(default=130.0, gt=10, le=1000)
    line_m: float = Field(default=15.0, gt=0.5, le=100)
    at_x_m: Along | None = None
    release_x_m: Along | None = None


class OwnLine(Model):
    """A line of somebody's own list: what the authority at hand asks for."""

    text: str = Field(min_length=1, max_length=200)
    done: bool = False


class SafetyPlan(Model):
    """leashes by thing. flotation null: nobody has said what floats the hull when it is full; plug
    null: nor whether it has a drain. stirrup: a loop to step into hangs ready; assist_rope: a rope
    lies across to the other side. few_price: who wants few lines still ties what costs as much.
    boats_m_s is how fast others come by where one fishes, swell_m from trough to crest.
    tow null: nobody is to be towed. alone, shore_m, how far from land at most, and air_temp_c, the
    coldest air of the trip: null where nobody said.
    """

    leashes: Annotated[dict[Key, Leash], Taken] = Field(default={}, max_length=1000)
    hull_material: HullMaterial = "polyethylene"
    dry: list[DryPart] = Field(default=[], max_length=12)
    flotation: list[Flotation] | None = Field(default=None, max_length=60)
    plug: DrainPlug | None = None
    leak_l_min: float = Field(default=0.0, ge=0, le=1000)
    stirrup: bool = False
    assist_rope: bool = False
    tie_line_m: float = Field(default=0.6, ge=0.1, le=10)
    few_price: float = Field(default=50.0, ge=0, le=1e6)
    boats_m_s: float = Field(default=8.0, ge=0, le=40)
    swell_m: float = Field(default=0.0, ge=0, le=10)
    alone: bool | None = None
    shore_m: float | None = Field(default=None, ge=0, le=100000)
    air_temp_c: float | None = Field(default=None, ge=-30, le=50)
    tow: Tow | None = None
    own_list: list[OwnLine] = Field(default=[], max_length=100)

    def renumbered(self, ids: Mapping[int, int]) -> "SafetyPlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        leashes = {ids[i]: row for i, row in self.leashes.items() if i in ids}
        return self.model_copy(update={"leashes": leashes})
