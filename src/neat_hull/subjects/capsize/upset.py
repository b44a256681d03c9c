"""A boat that goes over, from a setup or a bare case alike: what is asked about it in one place."""

from collections.abc import Sequence
from dataclasses import dataclass

from neat_hull.model.capsize_case import CaseBody, CaseThing, Run, Schools, Zone
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.loads import Loads
from neat_hull.subjects.capsize.fates import Fates, fates


@dataclass(frozen=True, eq=False)
class Upset:
    """loads are the boat's own parts, which stay; things are all else but the angler, by name."""

    floating: FloatingHull
    loads: Loads
    density_kg_m3: float
    angler: CaseBody
    things: Sequence[CaseThing]
    zones: Sequence[Zone]
    runs: Sequence[Run]
    rule: Schools

    @property
    def hull(self) -> Hull:
        """Its shape."""
        return self.floating.hull

    def fates(self) -> Fates:
        """As it is."""
        return fates(self.things, self.density_kg_m3, self.rule.jerk)

    def staying(self, found: Fates) -> list[CaseThing]:
        """What stays with the boat."""
        return [one for one in self.things if found.of[one.name] == "stays"]

    def loads_with(
        self, things: Sequence[CaseThing], *more: tuple[float, float, float, float]
    ) -> Loads:
        """The boat's own parts with things, and with weights as (mass, x, y, z)."""
        return self.loads.plus(
            *((one.mass_kg, one.x_m, one.y_m, one.z_m) for one in things), *more
        )  # fmt: skip
