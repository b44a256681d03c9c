"""What is sought where a loaded hull comes to rest, held at a heel or let go.

At rest ρV = M and centre of buoyancy and centre of gravity lie in one plumb line:
(r_B − r_G)·l = 0 along the boat and (r_B − r_G)·t = 0 across it. Newton's method with the exact
hydrostatic stiffness as Jacobian, damped; brackets where that fails. Formulas: docs/physics.md.
"""

from dataclasses import dataclass

import numpy as np

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.floating import FloatingHull, Rest
from neat_hull.physics.water.immersion import Immersion

RESIDUAL = 1e-9  # of volume and of volume × length: far below what a drawing or a scale shows
ITERATIONS = 40
TRIM_STEP = 0.12  # tan θ·cos φ a step; larger ones jump past where the deck goes under


@dataclass(frozen=True, eq=False)
class _OnAHull:
    floating: FloatingHull

    @property
    def length_m(self) -> float:
        return self.floating.hull.length_m


@dataclass(frozen=True, eq=False)
class Problem(_OnAHull):
    """What is sought: displaced volume under a centre of gravity, on one floating hull."""

    volume_m3: float
    centre_m: Array

    def at(self, count: int) -> "Problems":
        """The same for so many attitudes."""
        return Problems(
            self.floating, np.full(count, self.volume_m3), np.repeat(self.centre_m[None], count, 0)
        )


@dataclass(frozen=True, eq=False)
class Problems(_OnAHull):
    """One for each attitude: volume_m3 (k,) under centre_m (k, 3), all of one floating hull."""

    volume_m3: Array
    centre_m: Array

    def row(self, k: int) -> Problem:
        """That of one attitude."""
        return Problem(self.floating, float(self.volume_m3[k]), self.centre_m[k])

    def residuals(self, im: Immersion, heel_rad: Array, tau: Array) -> tuple[Array, Array, Array]:
        """Volume and fore-and-aft residuals (k,) as fractions, and the trim lever ∫e − V·e_G."""
        x_g, y_g, z_g = self.centre_m.T
        e_g = y_g * np.sin(heel_rad) + z_g * np.cos(heel_rad)
        lever = im.ve - self.volume_m3 * e_g
        along = im.vx - self.volume_m3 * x_g - tau * lever
        return (
            (im.v_m3 - self.volume_m3) / self.volume_m3,
            along / (self.volume_m3 * self.length_m),
            lever,
        )


def flooding(rest: Rest, hull: Hull) -> Flags:
    """(k, w): wells whose rim the water plane reaches at any corner."""
    if not hull.wells:
        return np.zeros_like(rest.lost)
    over = rest.height_over_water_m(hull.rim_corners_m)
    wet: Flags = np.any((over <= 0).reshape(len(over), len(hull.wells), -1), axis=2)
    return wet & rest.floats[:, None]
