"""A boat of a bare case as it lies in the water: its wet body, its sides, what hangs out of it."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import cached_property
from math import cos, degrees, sin

import numpy as np

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.glide_case import AfloatCase, CaseAppendage, CaseWindage
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.resistance.parts import Appendage, InTheWind, base_n, friction_n
from neat_hull.physics.resistance.waves import wave_n
from neat_hull.physics.resistance.wet_body import Plane, WetBody, wet_body
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.rig.bare import bare_hull, bare_loads

_PROFILE_POINTS = 4001
LIFT_AT = 0.25  # of the wet length, toward the end that leads


@dataclass(frozen=True)
class Profile:
    """The side of the boat over and under the water, heel left out: areas and their places."""

    wet_m2: float
    wet_x_m: float
    dry_m2: float
    dry_x_m: float
    dry_front_m2: float


@dataclass(eq=False)
class Afloat:
    """A boat at rest in the water, with what was asked about it kept."""

    case: AfloatCase
    hull: Hull
    settled: hydrostatics.Settled
    draft_mid_m: float
    body: WetBody
    profile: Profile
    appendages: list[Appendage]
    in_the_wind: InTheWind
    _waves: dict[float, float] = field(default_factory=dict)

    @property
    def density_kg_m3(self) -> float:
        """Of the water."""
        return self.case.water_density_kg_m3

    def friction_n(self, speed_m_s: float) -> float:
        """Of the skin."""
        a = self.case.assumptions
        return friction_n(
            speed_m_s,
            self.body.wetted_area_m2,
            self.body.wet_length_m,
            self.density_kg_m3,
            a.kinematic_viscosity_m2_s,
            a.form_factor,
            a.roughness_allowance,
        )

    def base_n(self, speed_m_s: float) -> float:
        """Behind a wet transom."""
        friction = self.friction_n(speed_m_s)
        return base_n(speed_m_s, self.body.ends_m2[0], self.density_kg_m3, friction)

    def wave_n(self, speed_m_s: float) -> float:
        """Of the waves it makes."""
        if speed_m_s not in self._waves:
            factor = self.case.assumptions.wave_factor
            found = wave_n(self.body, speed_m_s, self.density_kg_m3) if factor else 0.0
            self._waves[speed_m_s] = factor * found
        return self._waves[speed_m_s]

    def appendage_n(self, speed_m_s: float) -> float:
        """Of what hangs in the water."""
        viscosity = self.case.assumptions.kinematic_viscosity_m2_s
        return sum(one.drag_n(speed_m_s, self.density_kg_m3, viscosity) for one in self.appendages)

    def water_n(self, speed_m_s: float) -> float:
        """All that the water does."""
        if speed_m_s <= 0:
            return 0.0
        return (
            self.friction_n(speed_m_s)
            + self.base_n(speed_m_s)
            + self.wave_n(speed_m_s)
            + self.appendage_n(speed_m_s)
        )

    @cached_property
    def ahead_m2(self) -> float:
        """A_e: drag area of the boat along itself, waves left out, as it drifts."""
        slow = self.friction_n(1.0) + self.base_n(1.0) + self.appendage_n(1.0)
        return 2 * slow / self.density_kg_m3

    @cached_property
    def lateral(self) -> tuple[float, float]:
        """Area of the wet side with what hangs beside it, and its place along x."""
        rows = [(self.profile.wet_m2, self.profile.wet_x_m)]
        rows += [(one.side_m2, one.x_m) for one in self.appendages]
        area = sum(part for part, _ in rows)
        return area, sum(part * x for part, x in rows) / area if area else 0.0

    def beside(self, beta: float) -> tuple[float, float]:
        """What the water does beside the boat as it goes at β through it, over ½ρq²: side force
        against that way and its moment about x = 0, by cross flow and by lift."""
        area, middle = self.lateral
        a, c, s = self.case.assumptions, cos(beta), sin(beta)
        cross = area * a.cross_flow_cd * s * abs(s)
        lift = area * a.side_lift * s * abs(c)
        way = 1.0 if c > 0 else -1.0 if c < 0 else 0.0
        lift_x = middle + way * LIFT_AT * self.body.wet_length_m
        return cross + lift, cross * middle + lift * lift_x

    def told(self) -> dict[str, float]:
        """How it lies, as it goes out."""
        area, at = self.lateral
        rest = self.settled.rest
        return {
            "displacement_kg": self.density_kg_m3 * float(rest.immersion.v_m3[0]),
            "heel_deg": degrees(float(rest.heel_rad[0])),
            "trim_deg": degrees(float(rest.trim_rad[0])),
            "draft_mid_m": self.draft_mid_m,
            "wet_length_m": self.body.wet_length_m,
            "wetted_area_m2": self.body.wetted_area_m2,
            "transom_m2": self.body.ends_m2[0],
            "lateral_area_m2": area,
            "lateral_x_m": at,
            "dry_side_m2": self.profile.dry_m2,
            "dry_front_m2": self.profile.dry_front_m2,
            "windage_x_m": self.in_the_wind.x_m,
        }


def afloat(case: AfloatCase, bare: bool) -> Afloat | None:
    """The boat with all aboard, or with what the bare one has; None where that is nothing.

    Raises InputErrors, DoesNotFloat or NoBalance.
    """
    loads = [one for one in case.loads if one.bare or not bare]
    if not loads:
        return None
    hull = bare_hull(case.hull)
    settled = hydrostatics.settle(
        FloatingHull.of(hull), bare_loads(loads), case.water_density_kg_m3
    )
    rest = settled.rest
    plane = Plane(float(rest.heel_rad[0]), float(rest.h_m[0]), float(rest.tau[0]))
    profile = _profile(hull, plane)
    hanging = [one for one in case.appendages or [] if one.bare or not bare]
    standing = [one for one in case.windage or [] if one.bare or not bare]
    return Afloat(
        case,
        hull,
        settled,
        hydrostatics.drafts_m(hull, rest)[1],
        wet_body(hull, plane),
        profile,
        [_appendage(one) for one in hanging],
        _in_the_wind(profile, case.assumptions.hull_air_cd, standing),
    )


def require_afloat(case: AfloatCase) -> None:
    """Raises InputErrors for what says too little."""
    wrong = []
    for i, one in enumerate(case.appendages or []):
        needs = ["cd"] if one.kind == "bluff" else ["chord_m", "thickness_ratio"]
        wrong += [
            InputError(f"appendages[{i}].{name}", None, "is missing")
            for name in needs
            if getattr(one, name) is None
        ]
    if wrong:
        raise InputErrors(wrong)


def _appendage(one: CaseAppendage) -> Appendage:
    return Appendage(
        one.kind,
        one.area_m2,
        one.x_m,
        one.side_m2,
        one.cd or 0.0,
        one.chord_m or 0.0,
        one.thickness_ratio or 0.0,
    )


def _in_the_wind(
    profile: Profile, hull_air_cd: float, standing: Sequence[CaseWindage]
) -> InTheWind:
    front = hull_air_cd * profile.dry_front_m2
    rows = [(hull_air_cd * profile.dry_m2, profile.dry_x_m)]
    for one in standing:
        front += one.cd * one.front_m2
        rows.append((one.cd * one.side_m2, one.x_m))
    side = sum(area for area, _ in rows)
    return InTheWind(front, side, sum(area * x for area, x in rows) / side if side else 0.0)


def _profile(hull: Hull, plane: Plane) -> Profile:
    """By the keel, the sheer and the beam of each station, straight between them."""
    cos = np.cos(plane.heel_rad)
    x = np.union1d(np.linspace(hull.x_aft_m, hull.x_fwd_m, _PROFILE_POINTS), hull.x_m)
    keel = np.interp(x, hull.x_m, hull.keel_z_m)
    top = np.interp(x, hull.x_m, hull.sheer_m[:, 1])
    beam = np.interp(x, hull.x_m, hull.half_breadth_m)
    water = (plane.h_m - plane.tau * x) / cos
    wet = np.maximum(0.0, np.minimum(top, water) - keel)
    dry = np.maximum(0.0, top - np.maximum(keel, water))
    return Profile(*_middle(x, wet), *_middle(x, dry), float((2 * beam * dry).max()))


def _middle(x: Array, height: Array) -> tuple[float, float]:
    area = float(np.trapezoid(height, x))
    return area, float(np.trapezoid(height * x, x)) / area if area > 0 else 0.0
