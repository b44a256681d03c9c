"""Resistance but for waves: friction, the transom's wake, what hangs out, wind; at one speed, or at
an array of them."""

from dataclasses import dataclass
from math import hypot, log10, sqrt
from typing import Literal, TypeVar

import numpy as np

from neat_hull.physics.arrays import Array

LEAST_REYNOLDS = 1e5
Some = TypeVar("Some", float, Array)


def friction_coefficient(reynolds: Some) -> Some:
    """The ITTC-1957 line, 0.075/(log₁₀Re − 2)² (ITTC 7.5-02-02-01)."""
    if isinstance(reynolds, np.ndarray):
        return 0.075 / (np.log10(np.maximum(reynolds, LEAST_REYNOLDS)) - 2) ** 2
    return 0.075 / (log10(max(reynolds, LEAST_REYNOLDS)) - 2) ** 2


def friction_n(
    speed_m_s: Some, wetted_m2: float, length_m: float, density_kg_m3: float,
    viscosity_m2_s: float, form_factor: float, roughness: float,
) -> Some:  # fmt: skip
    """½ρSU²((1 + k)C_F + ΔC_F)."""
    line = friction_coefficient(speed_m_s * length_m / viscosity_m2_s)
    return 0.5 * density_kg_m3 * wetted_m2 * speed_m_s**2 * ((1 + form_factor) * line + roughness)


def base_n(speed_m_s: Some, transom_m2: float, density_kg_m3: float, friction: Some) -> Some:
    """Behind a wet transom: 0.029/√C_f on its area (Hoerner, Fluid-Dynamic Drag, 1965, ch. 3)."""
    if isinstance(speed_m_s, np.ndarray):
        push = 0.029 * (0.5 * density_kg_m3 * speed_m_s**2 * transom_m2) ** 1.5
        return push / np.sqrt(np.where(friction > 0, friction, np.inf))
    if transom_m2 <= 0 or friction <= 0:
        return 0.0
    at_once: float = 0.029 * (0.5 * density_kg_m3 * speed_m_s**2 * transom_m2) ** 1.5
    return at_once / sqrt(friction)


@dataclass(frozen=True)
class Appendage:
    """Something in the water: bluff, by its frontal area, or a foil by its planform."""

    kind: Literal["bluff", "foil"]
    area_m2: float
    x_m: float
    side_m2: float
    cd: float = 0.0
    chord_m: float = 0.0
    thickness_ratio: float = 0.0

    def drag_n(self, speed_m_s: Some, density_kg_m3: float, viscosity_m2_s: float) -> Some:
        """½ρU² by its coefficient (of a foil Hoerner, ch. 6)."""
        pressed = 0.5 * density_kg_m3 * speed_m_s**2 * self.area_m2
        if self.kind == "bluff":
            return pressed * self.cd
        t = self.thickness_ratio
        line = friction_coefficient(speed_m_s * self.chord_m / viscosity_m2_s)
        return pressed * 2 * line * (1 + 2 * t + 60 * t**4)


@dataclass(frozen=True)
class InTheWind:
    """Σ of cd times area, from ahead and from the side, m², and where the latter acts along x."""

    front_m2: float
    side_m2: float
    x_m: float


def air_n(
    in_the_wind: InTheWind, ahead_m_s: Some, aside_m_s: float, air_density_kg_m3: float
) -> Some:
    """Resistance in an apparent wind of these parts in the boat's own axes; negative: it pushes."""
    size = (
        np.hypot(ahead_m_s, aside_m_s)
        if isinstance(ahead_m_s, np.ndarray)
        else hypot(ahead_m_s, aside_m_s)
    )
    return -0.5 * air_density_kg_m3 * in_the_wind.front_m2 * size * ahead_m_s
