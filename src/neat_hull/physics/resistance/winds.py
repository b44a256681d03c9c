"""Winds and currents by compass, and what they are along a boat's heading."""

from dataclasses import dataclass
from math import cos, radians, sin

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.parts import Some

Vector = tuple[float, float]  # to the north, to the east


def toward(speed_m_s: float, heading_deg: float) -> Vector:
    """A velocity by where it goes."""
    angle = radians(heading_deg)
    return speed_m_s * cos(angle), speed_m_s * sin(angle)


@dataclass(frozen=True)
class Air:
    """What moves over ground: wind and current, m/s."""

    wind: Vector
    current: Vector

    @classmethod
    def of(
        cls, wind_m_s: float, wind_from_deg: float, current_m_s: float, current_toward_deg: float
    ) -> "Air":
        """By compass."""
        return cls(toward(wind_m_s, wind_from_deg + 180.0), toward(current_m_s, current_toward_deg))

    @property
    def relative(self) -> Vector:
        """The wind as a boat feels it that lies still in the water."""
        return self.wind[0] - self.current[0], self.wind[1] - self.current[1]

    def apparent(self, speed_m_s: Some, heading_deg: float) -> tuple[Some, float]:
        """Ahead and to port, as a boat feels it that goes on a heading."""
        ahead, port = axes(self.relative, heading_deg)
        return ahead - speed_m_s, port

    def made_good(self, speed_m_s: float, heading_deg: float) -> float | None:
        """Speed over ground along a heading, held against the current; None where it cannot be."""
        along, across = axes(self.current, heading_deg)
        if speed_m_s <= abs(across):
            return None
        return float((speed_m_s**2 - across**2) ** 0.5) + along


def axes(of: Vector, heading_deg: float) -> Vector:
    """Ahead and to port of a heading."""
    angle = radians(heading_deg)
    return (
        of[0] * cos(angle) + of[1] * sin(angle),
        of[0] * sin(angle) - of[1] * cos(angle),
    )


def axes_of_each(of: Vector, heading_deg: Array) -> tuple[Array, Array]:
    """Ahead and to port of many headings (n,)."""
    angle = np.radians(heading_deg)
    return (
        of[0] * np.cos(angle) + of[1] * np.sin(angle),
        of[0] * np.sin(angle) - of[1] * np.cos(angle),
    )
