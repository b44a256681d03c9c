"""Weights and where they act, and what acts like a weight: moments and liquids."""

from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array, finite


@dataclass(frozen=True, eq=False)
class Loads:
    """All that is aboard, the hull itself included: mass_kg (n,) at at_m (n, 3) of x, y, z.

    heeling_kg_m and trimming_kg_m are moments from outside (a pull at a rod tip, an anchor line),
    positive starboard down and bow up, in kg·m: newtons over g. free_surface_kg_m is Σρi of the
    liquids that can run from side to side, with i the second moment of each surface.
    """

    mass_kg: Array
    at_m: Array
    heeling_kg_m: float = 0.0
    trimming_kg_m: float = 0.0
    free_surface_kg_m: float = 0.0

    @cached_property
    def total_kg(self) -> float:
        """Sum of all masses, in kg."""
        return float(self.mass_kg.sum())

    @cached_property
    def solid_centre_m(self) -> Array:
        """(3,) m: centre of gravity, liquids taken as frozen and moments left out."""
        centre: Array = self.mass_kg @ self.at_m / self.mass_kg.sum()
        return centre

    @cached_property
    def centre_m(self) -> Array:
        """(3,) m: where one weight would do the same.

        A moment shifts it by m/M. A liquid that runs raises it by Σρi/M, the free-surface rise
        (Rawson and Tupper, *Basic Ship Theory*, 5th ed., chapter 4).
        """
        shift = np.array([-self.trimming_kg_m, -self.heeling_kg_m, self.free_surface_kg_m])
        centre: Array = self.solid_centre_m + shift / self.total_kg
        return centre

    def on_centreline(self) -> "Loads":
        """The same weights at y = 0, without any heeling moment."""
        return replace(self, at_m=self.at_m * np.array([1.0, 0.0, 1.0]), heeling_kg_m=0.0)

    def mirrored(self) -> "Loads":
        """Port and starboard exchanged."""
        at = self.at_m * np.array([1.0, -1.0, 1.0])
        return replace(self, at_m=at, heeling_kg_m=-self.heeling_kg_m)

    def plus(self, *rows: tuple[float, float, float, float]) -> "Loads":
        """With more weights, each (mass, x, y, z)."""
        more = np.array(rows, dtype=float).reshape(-1, 4)
        return replace(
            self,
            mass_kg=np.append(self.mass_kg, more[:, 0]),
            at_m=np.vstack((self.at_m, more[:, 1:])),
        )


def require_loads(loads: Loads) -> None:
    """Refuse loads that mean nothing. Raises InputError naming the load by its place."""
    if len(loads.mass_kg) == 0:
        raise InputError("loads", [], "at least one load is needed: the boat itself has weight")
    finite("loads.mass_kg", loads.mass_kg)
    finite("loads.at_m", loads.at_m)
    for i in np.flatnonzero(~(loads.mass_kg > 0))[:1]:
        raise InputError(
            f"loads[{i}].mass_kg", float(loads.mass_kg[i]), "a mass must be more than 0 kg"
        )
