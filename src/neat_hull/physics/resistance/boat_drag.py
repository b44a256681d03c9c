"""A boat by what holds it back, ahead and beside, as numbers alone: what drifts, lies and is driven
by them needs to know no more of it."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property, lru_cache

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.resistance.parts import Appendage, InTheWind, Some, base_n, friction_n
from neat_hull.physics.resistance.wet_body import Plane

LIFT_AT = 0.25  # of the wet length, toward the end that leads


@dataclass(frozen=True)
class Coefficients:
    """What cannot be taken from shapes. wave is a factor on what Michell's integral gives; astern
    one on the water's resistance where it comes from behind."""

    viscosity_m2_s: float
    air_density_kg_m3: float
    form_factor: float
    roughness: float
    wave: float
    cross_flow_cd: float
    side_lift: float
    astern: float = 1.0


@dataclass(frozen=True)
class Profile:
    """The side of the boat over and under the water, heel left out: areas and their places."""

    wet_m2: float
    wet_x_m: float
    dry_m2: float
    dry_x_m: float
    dry_front_m2: float


def profile(hull: Hull, plane: Plane, points: int) -> Profile:
    """By the keel, the sheer and the beam of each station, straight between them."""
    x, keel, top, beam = _lines(hull, points)
    water = (plane.h_m - plane.tau * x) / np.cos(plane.heel_rad)
    wet = np.maximum(0.0, np.minimum(top, water) - keel)
    dry = np.maximum(0.0, top - np.maximum(keel, water))
    return Profile(*_middle(x, wet), *_middle(x, dry), float((2 * beam * dry).max()))


@lru_cache(maxsize=16)
def _lines(hull: Hull, points: int) -> tuple[Array, Array, Array, Array]:
    """Places along the hull, its stations among them, with keel, sheer and half-breadth there."""
    x = np.union1d(np.linspace(hull.x_aft_m, hull.x_fwd_m, points), hull.x_m)
    keel, top, beam = (
        np.interp(x, hull.x_m, line)
        for line in (hull.keel_z_m, hull.sheer_m[:, 1], hull.half_breadth_m)
    )
    return x, keel, top, beam


def _middle(x: Array, height: Array) -> tuple[float, float]:
    area = float(np.trapezoid(height, x))
    return area, float(np.trapezoid(height * x, x)) / area if area > 0 else 0.0


@dataclass(frozen=True, eq=False)
class BoatDrag:
    """waves gives the resistance of its waves, N, at speeds (n,), before the factor on it."""

    density_kg_m3: float
    coefficients: Coefficients
    wetted_area_m2: float
    wet_length_m: float
    transom_m2: float
    wet_side: tuple[float, float]
    appendages: tuple[Appendage, ...]
    in_the_wind: InTheWind
    waves: Callable[[Array], Array]

    def friction_n(self, speed_m_s: Some) -> Some:
        """Of the skin."""
        a = self.coefficients
        return friction_n(
            speed_m_s,
            self.wetted_area_m2,
            self.wet_length_m,
            self.density_kg_m3,
            a.viscosity_m2_s,
            a.form_factor,
            a.roughness,
        )

    def base_n(self, speed_m_s: Some) -> Some:
        """Behind a wet transom."""
        return base_n(speed_m_s, self.transom_m2, self.density_kg_m3, self.friction_n(speed_m_s))

    def wave_n(self, speed_m_s: Some) -> Some:
        """Of the waves it makes."""
        factor = self.coefficients.wave
        if isinstance(speed_m_s, np.ndarray):
            return factor * self.waves(speed_m_s) if factor else np.zeros_like(speed_m_s)
        return factor * float(self.waves(np.array([speed_m_s]))[0]) if factor else 0.0

    def appendage_n(self, speed_m_s: Some) -> Some:
        """Of what hangs in the water."""
        nu = self.coefficients.viscosity_m2_s
        found = 0.0 * speed_m_s
        for one in self.appendages:
            found = found + one.drag_n(speed_m_s, self.density_kg_m3, nu)
        return found

    def water_n(self, speed_m_s: Some) -> Some:
        """All that the water does; nothing at rest."""
        if not isinstance(speed_m_s, np.ndarray) and speed_m_s <= 0:
            return 0.0
        friction = self.friction_n(speed_m_s)
        base = base_n(speed_m_s, self.transom_m2, self.density_kg_m3, friction)
        return friction + base + self.wave_n(speed_m_s) + self.appendage_n(speed_m_s)

    @cached_property
    def ahead_m2(self) -> float:
        """Drag area of the boat along itself, waves left out, as it drifts."""
        slow = self.friction_n(1.0) + self.base_n(1.0) + self.appendage_n(1.0)
        return 2 * slow / self.density_kg_m3

    @cached_property
    def lateral(self) -> tuple[float, float]:
        """Area of the wet side with what hangs beside it, and its place along x."""
        rows = [self.wet_side, *((one.side_m2, one.x_m) for one in self.appendages)]
        area = sum(part for part, _ in rows)
        return area, sum(part * x for part, x in rows) / area if area else 0.0

    def beside(self, beta: float) -> tuple[float, float]:
        """What the water does beside the boat as it goes at β through it, over ½ρq²: side force
        against that way and its moment about x = 0, by cross flow and by lift."""
        side, moment = self.beside_each(np.array([beta]))
        return float(side[0]), float(moment[0])

    def beside_each(self, beta: Array) -> tuple[Array, Array]:
        """The same of many ways (n,)."""
        area, middle = self.lateral
        a, c, s = self.coefficients, np.cos(beta), np.sin(beta)
        cross = area * a.cross_flow_cd * s * np.abs(s)
        lift = area * a.side_lift * s * np.abs(c)
        lift_x = middle + np.sign(c) * LIFT_AT * self.wet_length_m
        return cross + lift, cross * middle + lift * lift_x
