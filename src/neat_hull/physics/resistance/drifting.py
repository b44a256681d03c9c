"""How a boat drifts: no force and no moment left over, with a drogue or without.

All forces go with the square of a speed, so that the lie hangs on one angle alone. On the wet side
act cross flow and lift (Hoerner, Fluid-Dynamic Drag, ch. 3; hull derivatives after Clarke, Gedling
and Hine, Trans. RINA 1983).
"""

from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, radians, sin, sqrt

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.boat_drag import BoatDrag
from neat_hull.physics.resistance.roots import between, between_near, rises

_STEP_DEG = 0.25
_NO_WIND_M_S = 1e-9
_NEAR_RAD = radians(0.01)


def _angles(step_deg: float) -> Array:
    between_ends = np.radians(np.arange(step_deg, 180.0, step_deg))
    return np.concatenate(([_NEAR_RAD], between_ends, [radians(180.0) - _NEAR_RAD]))


_ANGLES, _FEWER = _angles(_STEP_DEG), _angles(1.0)


@dataclass(frozen=True)
class Drift:
    """A drift through the water, angles off the bow and off downwind."""

    speed_m_s: float
    share_of_wind: float
    wind_off_bow_deg: float
    drift_off_bow_deg: float
    off_downwind_deg: float
    drogue_n: float


@dataclass(frozen=True)
class _Side:
    """What the water does beside the boat as it drifts at β, over ½ρq²: areas and their moments."""

    boat: BoatDrag
    drogue_m2: float
    drogue_x_m: float

    def left_over(self, beta: Array) -> Array:
        """(n,): the moment of the air's side force less the water's."""
        side, moment = self.boat.beside_each(beta)
        aside = self.drogue_m2 * np.sin(beta)
        over: Array = self.boat.in_the_wind.x_m * (side + aside) - moment - aside * self.drogue_x_m
        return over


def drift(
    boat: BoatDrag,
    wind_m_s: float,
    drogue_m2: float = 0.0,
    drogue_x_m: float = 0.0,
    near: bool = False,
) -> Drift | None:
    """In a wind relative to the water, towing so much drag area; None without one. Of several rests
    the one most abeam. `near` is content with a hundredth of a degree."""
    wind = boat.in_the_wind
    if wind_m_s < _NO_WIND_M_S or wind.front_m2 <= 0 or wind.side_m2 <= 0:
        return None
    rests = _rests(_Side(boat, drogue_m2, drogue_x_m), near)
    beta = min(rests, key=lambda one: abs(one - radians(90.0)), default=0.0)
    ahead = (boat.ahead_m2 + drogue_m2) * cos(beta)
    aside = boat.beside(beta)[0] + drogue_m2 * sin(beta)
    ratio = boat.density_kg_m3 / boat.coefficients.air_density_kg_m3
    v_x, v_y = ahead / wind.front_m2, aside / wind.side_m2
    size = hypot(v_x, v_y)
    # ½ρ_a|a|a = ½ρq²v: for q = 1, and then by as much as the wind is stronger.
    scale = sqrt(ratio / size) if size > 0 else 0.0
    r_x, r_y = scale * v_x + cos(beta), scale * v_y + sin(beta)
    share = 1 / hypot(r_x, r_y)
    omega = degrees(atan2(r_y, r_x))
    speed = share * wind_m_s
    return Drift(
        speed_m_s=speed,
        share_of_wind=share,
        wind_off_bow_deg=180.0 - omega,
        drift_off_bow_deg=degrees(beta),
        off_downwind_deg=degrees(beta) - omega,
        drogue_n=0.5 * boat.density_kg_m3 * drogue_m2 * speed**2,
    )


def _rests(side: _Side, near: bool) -> list[float]:
    """Angles at which it rests, and turned a little turns back."""
    angles = _FEWER if near else _ANGLES
    values = side.left_over(angles)
    found = []
    if values[0] > 0:
        found.append(0.0)
    if values[-1] < 0:
        found.append(radians(180.0))
    for n in rises(values):
        low, high = float(angles[n]), float(angles[n + 1])
        found.append((between_near if near else between)(side.left_over, low, high))
    return found
