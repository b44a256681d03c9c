"""How a boat drifts: no force and no moment left over, with a drogue or without.

All forces go with the square of a speed, so that the lie hangs on one angle alone. On the wet side
act cross flow and lift (Hoerner, Fluid-Dynamic Drag, ch. 3; hull derivatives after Clarke, Gedling
and Hine, Trans. RINA 1983).
"""

from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, radians, sin, sqrt

from scipy.optimize import brentq

from neat_hull.model.glide_case import Drogue
from neat_hull.subjects.glide.boats import Afloat

_STEP_DEG = 0.25
_NO_WIND_M_S = 1e-9


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

    boat: Afloat
    drogue_m2: float
    drogue_x_m: float

    def at(self, beta: float) -> tuple[float, float, float]:
        """Ahead, to port and moment: how much water area holds back."""
        side, moment = self.boat.beside(beta)
        aside = self.drogue_m2 * sin(beta)
        return (
            (self.boat.ahead_m2 + self.drogue_m2) * cos(beta),
            side + aside,
            moment + aside * self.drogue_x_m,
        )

    def left_over(self, beta: float) -> float:
        """The moment of the air's side force less the water's."""
        _, side, moment = self.at(beta)
        return self.boat.in_the_wind.x_m * side - moment


def drift(boat: Afloat, wind_m_s: float, drogue: Drogue | None) -> Drift | None:
    """In a wind relative to the water; None without one. Of several rests the one most abeam."""
    wind = boat.in_the_wind
    if wind_m_s < _NO_WIND_M_S or wind.front_m2 <= 0 or wind.side_m2 <= 0:
        return None
    drogue_m2 = 0.0 if drogue is None else drogue.area_m2 * drogue.cd
    side = _Side(boat, drogue_m2, 0.0 if drogue is None else drogue.x_m)
    beta = min(_rests(side), key=lambda one: abs(one - radians(90.0)), default=0.0)
    ahead, aside, _ = side.at(beta)
    ratio = boat.density_kg_m3 / boat.case.assumptions.air_density_kg_m3
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


def _rests(side: _Side) -> list[float]:
    """Angles at which it rests, and turned a little turns back."""
    found = []
    near = radians(0.01)
    if side.left_over(near) > 0:
        found.append(0.0)
    if side.left_over(radians(180.0) - near) < 0:
        found.append(radians(180.0))
    steps = round(180.0 / _STEP_DEG)
    angles = [near, *(radians(_STEP_DEG * n) for n in range(1, steps)), radians(180.0) - near]
    values = [side.left_over(one) for one in angles]
    for n in range(len(angles) - 1):
        if values[n] < 0 <= values[n + 1]:
            found.append(float(brentq(side.left_over, angles[n], angles[n + 1], xtol=1e-12)))
    return found
