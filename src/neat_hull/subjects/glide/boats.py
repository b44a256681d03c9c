"""A boat of a bare case as it lies in the water: its wet body, its sides, what hangs out of it."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import degrees

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.glide_case import AfloatCase, Assumptions, CaseAppendage, CaseWindage
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.resistance.boat_drag import BoatDrag, Coefficients, Profile, profile
from neat_hull.physics.resistance.parts import Appendage, InTheWind
from neat_hull.physics.resistance.waves import Waves
from neat_hull.physics.resistance.wet_body import Plane, wet_body
from neat_hull.physics.resistance.winds import Air
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.rig.bare import bare_hull, bare_loads

_PROFILE_POINTS = 4001


@dataclass(frozen=True, eq=False)
class Afloat:
    """A boat at rest in the water."""

    case: AfloatCase
    hull: Hull
    settled: hydrostatics.Settled
    draft_mid_m: float
    profile: Profile
    drag: BoatDrag

    def told(self) -> dict[str, float]:
        """How it lies, as it goes out."""
        area, at = self.drag.lateral
        rest = self.settled.rest
        return {
            "displacement_kg": self.case.water_density_kg_m3 * float(rest.immersion.v_m3[0]),
            "heel_deg": degrees(float(rest.heel_rad[0])),
            "trim_deg": degrees(float(rest.trim_rad[0])),
            "draft_mid_m": self.draft_mid_m,
            "wet_length_m": self.drag.wet_length_m,
            "wetted_area_m2": self.drag.wetted_area_m2,
            "transom_m2": self.drag.transom_m2,
            "lateral_area_m2": area,
            "lateral_x_m": at,
            "dry_side_m2": self.profile.dry_m2,
            "dry_front_m2": self.profile.dry_front_m2,
            "windage_x_m": self.drag.in_the_wind.x_m,
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
    sides = profile(hull, plane, _PROFILE_POINTS)
    body = wet_body(hull, plane)
    density, hull_cd = case.water_density_kg_m3, case.assumptions.hull_air_cd
    hanging = [one for one in case.appendages or [] if one.bare or not bare]
    standing = [one for one in case.windage or [] if one.bare or not bare]
    drag = BoatDrag(
        density,
        _coefficients(case.assumptions),
        body.wetted_area_m2,
        body.wet_length_m,
        body.ends_m2[0],
        (sides.wet_m2, sides.wet_x_m),
        tuple(_appendage(one) for one in hanging),
        _in_the_wind(sides, hull_cd, standing),
        Waves(body, density).at,
    )
    return Afloat(case, hull, settled, hydrostatics.drafts_m(hull, rest)[1], sides, drag)


def case_air(case: AfloatCase) -> Air:
    """Wind and current of a case."""
    wind, current = case.wind, case.current
    return Air.of(wind.speed_m_s, wind.from_deg, current.speed_m_s, current.toward_deg)


def _coefficients(a: Assumptions) -> Coefficients:
    return Coefficients(
        viscosity_m2_s=a.kinematic_viscosity_m2_s,
        air_density_kg_m3=a.air_density_kg_m3,
        form_factor=a.form_factor,
        roughness=a.roughness_allowance,
        wave=a.wave_factor,
        cross_flow_cd=a.cross_flow_cd,
        side_lift=a.side_lift,
        astern=1.0 if a.astern_factor is None else a.astern_factor,
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


def _in_the_wind(sides: Profile, hull_air_cd: float, standing: Sequence[CaseWindage]) -> InTheWind:
    front = hull_air_cd * sides.dry_front_m2
    rows = [(hull_air_cd * sides.dry_m2, sides.dry_x_m)]
    for one in standing:
        front += one.cd * one.front_m2
        rows.append((one.cd * one.side_m2, one.x_m))
    side = sum(area for area, _ in rows)
    return InTheWind(front, side, sum(area * x for area, x in rows) / side if side else 0.0)
