"""How a boat lies on a line or a pole: turned until nothing turns it any more."""

from collections.abc import Iterator
from dataclasses import dataclass
from math import atan2, degrees, hypot

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.boat_drag import BoatDrag
from neat_hull.physics.resistance.roots import between, between_near, rises
from neat_hull.physics.resistance.winds import Air, axes_of_each

_STEP_DEG = 0.25
_OFF_DEG = 0.0917  # off any rest that is dead in line
_HEADINGS = _OFF_DEG + np.arange(0.0, 360.0 + _STEP_DEG / 2, _STEP_DEG)
_FEWER = _OFF_DEG + np.arange(0.0, 363.0, 3.0)
# In line with what pushes a rest may part in two, few degrees to either side of it.
_CLOSER = _OFF_DEG + np.add.outer([0.0, 180.0], np.arange(-6.0, 6.1, 0.25)).ravel()
_IN_LINE_DEG, _NEAR_LINE_DEG = 1e-7, 1e-4  # what counts as dead in line, and at a quick look
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
    boat: BoatDrag
    air: Air
    held_x_m: float
    water_ahead_n: float

    def at(self, heading_deg: Array) -> tuple[Array, Array, Array]:
        """(n,): force ahead and to port, N, and the moment about where it is held, N·m."""
        boat, wind, a = self.boat, self.boat.in_the_wind, self.boat.coefficients
        current = hypot(*self.air.current)
        c_x, c_y = axes_of_each(self.air.current, heading_deg)
        beta = np.arctan2(-c_y, -c_x)
        c = np.cos(beta)
        ahead = -self.water_ahead_n * c * np.where(c >= 0, 1.0, a.astern)
        press = 0.5 * boat.density_kg_m3 * current**2
        side, turns = (-press * part for part in boat.beside_each(beta))
        w_x, w_y = axes_of_each(self.air.wind, heading_deg)
        push = 0.5 * a.air_density_kg_m3 * np.hypot(w_x, w_y)
        air_x, air_y = push * wind.front_m2 * w_x, push * wind.side_m2 * w_y
        moment = turns - side * self.held_x_m + air_y * (wind.x_m - self.held_x_m)
        return ahead + air_x, side + air_y, moment

    def moment(self, heading_deg: Array) -> Array:
        """(n,) about where it is held, N·m."""
        return self.at(heading_deg)[2]


def lies(boat: BoatDrag, air: Air, held_x_m: float, near: bool = False) -> Lies:
    """The rest of least pull; of those alike the least heading. `near` looks in wider steps first,
    and then as closely where it rests."""
    moored = _Moored(boat, air, held_x_m, boat.water_n(hypot(*air.current)))
    headings = np.array(list(_rests(moored, near)))
    ahead, port, _ = moored.at(headings)
    found = [
        Lies(heading % 360.0, moored.water_ahead_n, 0.0 - x, 0.0 - y)
        for heading, x, y in zip(headings.tolist(), ahead.tolist(), port.tolist(), strict=True)
    ]
    least = min(one.pull_n for one in found)
    alike = [one for one in found if one.pull_n <= _AS_LITTLE * least + 1e-9]
    return min(alike, key=lambda one: one.heading_deg)


def _rests(moored: _Moored, near: bool) -> Iterator[float]:
    """Headings without a moment, to which a little turn brings it back."""
    any_found = False
    steps = _fewer(moored.air) if near else _HEADINGS
    for n in rises(moored.moment(steps)):
        any_found = True
        low, high = float(steps[n]), float(steps[n + 1])
        found = (
            between_near(moored.moment, low, high) if near else between(moored.moment, low, high)
        )
        in_line = _NEAR_LINE_DEG if near else _IN_LINE_DEG
        yield 0.0 if min(found % 360.0, 360.0 - found % 360.0) < in_line else found
    if not any_found:  # nothing turns it: it lies as it was left
        yield 0.0


def _fewer(air: Air) -> Array:
    """Headings to look at first: few all round, more along current and wind."""
    lines = [degrees(atan2(east, north)) for north, east in (air.current, air.wind)]
    closer = np.add.outer(lines, _CLOSER).ravel() % 360.0
    return np.sort(np.concatenate((_FEWER, closer)))
