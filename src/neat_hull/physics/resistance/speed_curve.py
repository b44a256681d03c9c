"""A boat's resistance in the water at many speeds, worked out once and read off between them: what
is told while something moves asks for it again and again."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.boat_drag import BoatDrag
from neat_hull.physics.resistance.parts import air_n
from neat_hull.physics.resistance.roots import rises
from neat_hull.physics.resistance.winds import Air

_STEP_M_S = 0.05
# From values at 0, 1, 2, 3 to the coefficients of the cubic through them.
_NEWTON = np.linalg.inv(np.vander(np.arange(4.0), 4, increasing=True))


@lru_cache(maxsize=8)
def _speeds_m_s(fastest: float) -> Array:
    count = int(np.ceil(fastest / _STEP_M_S)) + 1
    speeds: Array = np.linspace(0.0, _STEP_M_S * (count - 1), count)
    speeds.flags.writeable = False
    return speeds


@dataclass(frozen=True, eq=False)
class SpeedCurve:
    """Speeds (n,) from 0 in even steps; rows of parts_n are friction, base, waves, appendages."""

    boat: BoatDrag
    speed_m_s: Array
    parts_n: Array
    water_n: Array

    @classmethod
    def of(cls, boat: BoatDrag, fastest_m_s: float) -> "SpeedCurve":
        """To that speed."""
        speed = _speeds_m_s(fastest_m_s)
        friction = boat.friction_n(speed)
        parts = np.array(
            [friction, boat.base_n(speed), boat.wave_n(speed), boat.appendage_n(speed)]
        )
        return cls(boat, speed, parts, parts.sum(axis=0))

    def total_n(self, air: Air, heading_deg: float) -> Array:
        """(n,) on a heading."""
        ahead, port = air.apparent(self.speed_m_s, heading_deg)
        density = self.boat.coefficients.air_density_kg_m3
        return self.water_n + air_n(self.boat.in_the_wind, ahead, port, density)

    def crossing(self, values: Array) -> float | None:
        """The least speed at which values (n,) come up through nothing, by a cubic through four of
        them; None where they never do."""
        n = next(rises(values), None)
        if n is None:
            return None
        first = min(max(n - 1, 0), len(values) - 4)
        y = values[first : first + 4]
        # In steps from the first of the four: c₀ + c₁t + c₂t² + c₃t³, by Newton from the chord.
        c = (_NEWTON @ y).tolist()
        t = n - first + float(values[n] / (values[n] - values[n + 1]))
        for _ in range(6):
            slope = c[1] + t * (2 * c[2] + 3 * c[3] * t)
            if slope <= 0:
                break
            t -= (c[0] + t * (c[1] + t * (c[2] + t * c[3]))) / slope
        t = min(max(t, n - first), n - first + 1)
        return float(_STEP_M_S * (first + t))
