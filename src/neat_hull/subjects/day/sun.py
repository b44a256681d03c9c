"""How high the sun stands, and when it rises and sets.

Low precision: J. Meeus, *Astronomical Algorithms*, 2nd ed., ch. 12, 13, 25; within a minute of time
below 65° of latitude. No refraction but in the altitude at which it is said to rise.
"""

from dataclasses import dataclass
from datetime import date
from functools import lru_cache
from itertools import pairwise
from math import asin, atan2, cos, degrees, radians, sin

import scipy  # its parts are loaded when first asked: they would hold up every start

RISES_DEG = -0.833  # refraction of 34′ and half the sun's width, 16′
_J2000 = 2451545.0
_DYNAMICAL_S = 69.0  # that clocks are behind uniform time these years
_LOOK_H = 0.05


@dataclass(frozen=True)
class Sky:
    """A place and a date; hours are of the local clock."""

    on: date
    latitude_deg: float
    longitude_deg: float
    utc_offset_h: float

    def _days(self, hour: float) -> float:
        """Since 2000 January 1, noon, by universal time."""
        return self.on.toordinal() + 1721424.5 + (hour - self.utc_offset_h) / 24 - _J2000

    def _place(self, hour: float) -> tuple[float, float]:
        """Declination and local hour angle, degrees."""
        days = self._days(hour)
        t = (days + _DYNAMICAL_S / 86400) / 36525
        mean = 280.46646 + t * (36000.76983 + t * 0.0003032)
        anomaly = radians(357.52911 + t * (35999.05029 - t * 0.0001537))
        centre = (
            (1.914602 - t * (0.004817 + t * 0.000014)) * sin(anomaly)
            + (0.019993 - 0.000101 * t) * sin(2 * anomaly)
            + 0.000289 * sin(3 * anomaly)
        )
        node = radians(125.04 - 1934.136 * t)
        along = radians(mean + centre - 0.00569 - 0.00478 * sin(node))
        tilt = 23.439291 - t * (0.0130042 + t * (1.64e-7 - t * 5.04e-7))
        tilt = radians(tilt + 0.00256 * cos(node))
        ascension = degrees(atan2(cos(tilt) * sin(along), cos(along)))
        sidereal = 280.46061837 + 360.98564736629 * days
        angle = (sidereal + self.longitude_deg - ascension + 180) % 360 - 180
        return degrees(asin(sin(tilt) * sin(along))), angle

    def altitude_deg(self, hour: float) -> float:
        """Over the horizon, geometric."""
        declination, angle = (radians(one) for one in self._place(hour))
        latitude = radians(self.latitude_deg)
        return degrees(
            asin(sin(latitude) * sin(declination) + cos(latitude) * cos(declination) * cos(angle))
        )

    def noon_h(self) -> float:
        """When it stands in the meridian, nearest to the middle of that date."""
        near = 12.0 + self.utc_offset_h - self.longitude_deg / 15
        near += 24 * round((12.0 - near) / 24)
        for _ in range(4):
            near -= self._place(near)[1] / 15
        return near

    def rise_and_set_h(self) -> tuple[float | None, float | None]:
        """Either side of noon; None where it does not cross the horizon within half a day."""
        return _rise_and_set_h(self)

    @property
    def state(self) -> str:
        """Whether it rises that day."""
        if self.rise_and_set_h() != (None, None):
            return "rises"
        return "up all day" if self.altitude_deg(self.noon_h()) > RISES_DEG else "down all day"

    def dark_h(self, from_h: float, until_h: float) -> float:
        """Hours between two with the sun down."""
        return _dark_h(self, from_h, until_h)


# A day stays the same while gear is moved.
@lru_cache(maxsize=64)
def _rise_and_set_h(sky: Sky) -> tuple[float | None, float | None]:
    noon = sky.noon_h()

    def over(hour: float) -> float:
        return sky.altitude_deg(hour) - RISES_DEG

    def crossing(end: float) -> float | None:
        if (over(noon) > 0) == (over(end) > 0):
            return None
        return float(scipy.optimize.brentq(over, min(noon, end), max(noon, end), xtol=1e-9))

    return crossing(noon - 12), crossing(noon + 12)


@lru_cache(maxsize=256)
def _dark_h(sky: Sky, from_h: float, until_h: float) -> float:
    def over(hour: float) -> float:
        return sky.altitude_deg(hour) - RISES_DEG

    steps = max(1, round((until_h - from_h) / _LOOK_H))
    hours = [from_h + (until_h - from_h) * n / steps for n in range(steps + 1)]
    dark = 0.0
    for start, end in pairwise(hours):
        low, high = over(start), over(end)
        if low < 0 and high < 0:
            dark += end - start
        elif (low < 0) != (high < 0):
            turn = float(scipy.optimize.brentq(over, start, end, xtol=1e-9))
            dark += (turn - start) if low < 0 else (end - turn)
    return dark
