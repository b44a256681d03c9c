"""How a boat lies on a line or a pole: turned until nothing turns it any more."""

from collections.abc import Iterator
from dataclasses import dataclass
from math import atan2, cos, degrees, hypot

from scipy.optimize import brentq

from neat_hull.model.glide_case import HoldCase
from neat_hull.subjects.glide.figures import Afloat, Air, axes

_STEP_DEG = 0.25
_AS_LITTLE = 1.001  # pulls within that of the least are alike


@dataclass(frozen=True)
class Lies:
    """At rest on a line: heading by compass, and the line's level pull on the boat."""

    heading_deg: float
    water_ahead_n: float
    pull_ahead_n: float
    pull_port_n: float

    @property
    def pull_n(self) -> float:
        """Its size."""
        return hypot(self.pull_ahead_n, self.pull_port_n)

    @property
    def pull_off_bow_deg(self) -> float:
        """Its way, from the bow toward port."""
        return degrees(atan2(self.pull_port_n, self.pull_ahead_n))


@dataclass(frozen=True)
class _Moored:
    case: HoldCase
    boat: Afloat
    air: Air
    water_ahead_n: float

    def at(self, heading_deg: float) -> tuple[float, float, float]:
        """Force ahead and to port, N, and the moment about where it is held, N·m."""
        case, boat, wind = self.case, self.boat, self.boat.in_the_wind
        a = case.assumptions
        current = case.current.speed_m_s
        c_x, c_y = axes(self.air.current, heading_deg)
        beta = atan2(-c_y, -c_x)
        c = cos(beta)
        astern = 1.0 if c >= 0 or a.astern_factor is None else a.astern_factor
        ahead = -self.water_ahead_n * c * astern if current > 0 else 0.0
        press = 0.5 * boat.density_kg_m3 * current**2
        side, turns = (-press * part for part in boat.beside(beta))
        w_x, w_y = axes(self.air.wind, heading_deg)
        push = 0.5 * a.air_density_kg_m3 * hypot(w_x, w_y)
        air_x, air_y = push * wind.front_m2 * w_x, push * wind.side_m2 * w_y
        held = case.hold_at.x_m
        moment = turns - side * held + air_y * (wind.x_m - held)
        return ahead + air_x, side + air_y, moment


def lies(case: HoldCase, boat: Afloat) -> Lies:
    """The rest of least pull; of those alike the least heading."""
    speed = case.current.speed_m_s
    moored = _Moored(case, boat, Air.of(case), boat.water_n(speed) if speed > 0 else 0.0)
    found = []
    for heading in _rests(moored):
        ahead, port, _ = moored.at(heading)
        found.append(Lies(heading % 360.0, moored.water_ahead_n, 0.0 - ahead, 0.0 - port))
    least = min(one.pull_n for one in found)
    alike = [one for one in found if one.pull_n <= _AS_LITTLE * least + 1e-9]
    return min(alike, key=lambda one: one.heading_deg)


def _rests(moored: _Moored) -> Iterator[float]:
    """Headings without a moment, to which a little turn brings it back."""

    def moment(heading: float) -> float:
        return moored.at(heading)[2]

    steps = round(360.0 / _STEP_DEG)
    offset = 0.0917  # no step falls on a rest that is dead in line
    headings = [offset + _STEP_DEG * n for n in range(steps + 1)]
    values = [moment(one) for one in headings]
    any_found = False
    for n in range(steps):
        if values[n] < 0 <= values[n + 1]:
            any_found = True
            found = float(brentq(moment, headings[n], headings[n + 1], xtol=1e-10))
            yield 0.0 if min(found % 360.0, 360.0 - found % 360.0) < 1e-7 else found
    if not any_found:  # nothing turns it: it lies as it was left
        yield 0.0
