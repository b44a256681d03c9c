"""Weights and where they act."""

from dataclasses import dataclass

import numpy as np

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array, finite


@dataclass(frozen=True, eq=False)
class Loads:
    """All that is aboard, the hull itself included: mass_kg (n,) at at_m (n, 3) of x, y, z."""

    mass_kg: Array
    at_m: Array

    @property
    def total_kg(self) -> float:
        """Sum of all masses, in kg."""
        return float(self.mass_kg.sum())

    @property
    def centre_m(self) -> Array:
        """(3,) m: centre of gravity."""
        centre: Array = self.mass_kg @ self.at_m / self.mass_kg.sum()
        return centre


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
