"""What holds: an anchor by its weight, its bottom and the angle of its line; a pole in its soil."""

from dataclasses import dataclass
from math import atan2, degrees, hypot, inf, pi, sqrt

import numpy as np

from neat_hull.model.glide_case import Anchor, Pole
from neat_hull.physics.resistance.line import hung
from neat_hull.physics.water.gravity import GRAVITY_M_S2

# What is left of an anchor's hold by the angle of its line at it: the rule of scopes 10, 7, 5, 4,
# 3 and 2 to one, read as the sine of the angle; general practice.
_ANGLE_DEG = (0.0, 5.74, 8.21, 11.54, 14.48, 19.47, 30.0, 90.0)
_FACTOR = (1.0, 1.0, 0.91, 0.77, 0.67, 0.53, 0.35, 0.0)


@dataclass(frozen=True)
class AnchorHolds:
    """An anchor and its line under a pull; all but the first two are null where it does not reach
    the bottom."""

    scope: float
    reaches_bottom: bool
    angle_at_anchor_deg: float | None = None
    angle_at_cleat_deg: float | None = None
    tension_n: float | None = None
    down_n: float | None = None
    on_bottom_m: float | None = None
    distance_m: float | None = None
    swing_radius_m: float | None = None
    line_share: float | None = None
    holding_factor: float | None = None
    holding_n: float | None = None
    holding_share: float | None = None
    recommended_kg: float | None = None


def anchor_holds(one: Anchor, pull_n: float, height_m: float, farthest_m: float) -> AnchorHolds:
    """Up to a cleat so high over the bottom; farthest_m is from it to the boat's farther end."""
    parts = [(one.chain_length_m, one.chain_n_per_m), (one.rope_length_m, one.rope_n_per_m)]
    scope = sum(long for long, _ in parts) / height_m
    line = hung(parts, pull_n, height_m)
    if line is None:
        return AnchorHolds(scope, False)
    angle = degrees(atan2(line.lifts_n, pull_n))
    factor = float(np.interp(angle, _ANGLE_DEG, _FACTOR))
    tension = hypot(pull_n, line.down_n)
    holds = one.mass_kg * GRAVITY_M_S2 * one.holding_ratio * factor
    return AnchorHolds(
        scope=scope,
        reaches_bottom=True,
        angle_at_anchor_deg=angle,
        angle_at_cleat_deg=degrees(atan2(line.down_n, pull_n)),
        tension_n=tension,
        down_n=line.down_n,
        on_bottom_m=line.on_bottom_m,
        distance_m=line.distance_m,
        swing_radius_m=line.distance_m + farthest_m,
        line_share=tension / (one.breaking_n * one.knot_share),
        holding_factor=factor,
        holding_n=holds,
        holding_share=pull_n / holds if holds > 0 else None,
        recommended_kg=one.safety_factor * pull_n / (GRAVITY_M_S2 * one.holding_ratio * factor)
        if factor > 0
        else None,
    )


@dataclass(frozen=True)
class PoleHolds:
    """A pole under a level pull (Broms, J. Soil Mech. Found. Div. ASCE 90, 1964)."""

    moment_nm: float
    stress_pa: float
    bending_share: float
    deflection_m: float
    soil_share: float | None
    depth_limit_m: float
    limited_by: str


def pole_holds(one: Pole, pull_n: float, depth_m: float, cleat_m: float) -> PoleHolds:
    """In so much water, pulled at so much over it."""
    d, deep, over = one.diameter_m, one.embedded_m, max(0.0, cleat_m)
    arm = depth_m + over
    inner = max(0.0, d - 2 * one.wall_m)
    second = pi / 64 * (d**4 - inner**4)
    below, stands = _soil(one, pull_n)
    moment = pull_n * (arm + below)
    stress = moment * d / 2 / second
    soil = None
    if one.soil.kind == "sand":
        soil = pull_n * (arm + deep) / stands
    elif stands > 0:
        soil = pull_n * (arm + below) / stands
    most = one.allowable_stress_pa * second / (d / 2)
    limits = {
        "bending": most / pull_n - below if pull_n > 0 else inf,
        "soil": (stands / pull_n if pull_n > 0 else inf)
        - (deep if one.soil.kind == "sand" else below),
        "length": one.length_m - deep - one.above_cleat_m,
    }
    by = min(limits, key=lambda name: limits[name])
    return PoleHolds(
        moment_nm=moment,
        stress_pa=stress,
        bending_share=stress / one.allowable_stress_pa,
        deflection_m=moment * (arm + below) ** 2 / (3 * one.elastic_modulus_pa * second),
        soil_share=soil,
        depth_limit_m=max(0.0, limits[by] - over),
        limited_by=by,
    )


def _soil(one: Pole, pull_n: float) -> tuple[float, float]:
    """How far below the bottom the moment is greatest, m, and the moment that the soil stands."""
    d, deep, soil = one.diameter_m, one.embedded_m, one.soil
    if soil.kind == "sand":
        gamma = (soil.unit_weight_n_m3 or 0.0) * d * (soil.passive_factor or 0.0)
        return 2 / 3 * sqrt(2 * pull_n / (3 * gamma)), 0.5 * gamma * deep**3
    strength = (soil.shear_strength_pa or 0.0) * d
    reach = pull_n / (9 * strength)
    left = deep - 1.5 * d - reach
    return 1.5 * d + reach / 2, 2.25 * strength * left**2 if left > 0 else 0.0
