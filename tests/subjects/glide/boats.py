"""A bare case to change: a small boat with a crew of one, a rudder, an arm and a crate.

It makes no waves unless one asks for them: they have tests of their own, and take their time.
"""

import copy
import json
from typing import Any

from neat_hull.model.glide_case import GlideCase, HoldCase

ASSUMED = {
    "kinematic_viscosity_m2_s": 1.14e-6, "air_density_kg_m3": 1.225, "form_factor": 0.15,
    "roughness_allowance": 0.0004, "wave_factor": 0.0, "cross_flow_cd": 1.1, "side_lift": 0.25,
    "hull_air_cd": 1.0, "astern_factor": 1.3,
}  # fmt: skip


def stations(transom: bool = False) -> list[dict[str, Any]]:
    """Pointed at both ends, or cut off square astern."""
    rows = []
    for n in range(13):
        x = 0.3 * n
        share = x / 3.6
        half = 0.40 * (4 * share * (1 - share)) ** 0.5
        if transom:
            half = max(half, 0.25 * (1 - share))
        rows.append({"x_m": x, "points_m": [[0, 0.02], [0.8 * half, 0.0 if half else 0.02],
                                            [half, 0.10], [half, 0.34]]})  # fmt: skip
    return rows


def _case(**changes: Any) -> dict[str, Any]:
    case: dict[str, Any] = {
        "name": "c", "water_density_kg_m3": 1000.0, "hull": {"stations": stations()},
        "loads": [
            {"name": "hull", "mass_kg": 34, "x_m": 1.8, "y_m": 0, "z_m": 0.16, "bare": True},
            {"name": "angler", "mass_kg": 88, "x_m": 1.8, "y_m": 0, "z_m": 0.40, "bare": True},
            {"name": "gear", "mass_kg": 20, "x_m": 1.8, "y_m": 0, "z_m": 0.30},
        ],
        "assumptions": dict(ASSUMED),
        "appendages": [
            {"name": "rudder", "kind": "foil", "area_m2": 0.03, "chord_m": 0.15,
             "thickness_ratio": 0.08, "x_m": 0.05, "side_m2": 0.03, "bare": True},
            {"name": "arm", "kind": "bluff", "area_m2": 0.006, "cd": 1.0, "x_m": 1.9,
             "side_m2": 0.006},
        ],
        "windage": [
            {"name": "angler", "front_m2": 0.4, "side_m2": 0.3, "cd": 1.0, "x_m": 1.8,
             "bare": True},
            {"name": "crate", "front_m2": 0.1, "side_m2": 0.1, "cd": 1.1, "x_m": 0.7},
        ],
        "wind": {"speed_m_s": 0, "from_deg": 0}, "current": {"speed_m_s": 0, "toward_deg": 0},
    }  # fmt: skip
    return copy.deepcopy(case) | changes


def glide(**changes: Any) -> dict[str, Any]:
    """Asked at a few speeds and efforts."""
    usual = {"heading_deg": 0, "speeds_m_s": [0.8, 1.4],
             "efforts": [{"effort_w": 60, "efficiency": 0.6}]}  # fmt: skip
    return _case(**(usual | changes))


def hold(**changes: Any) -> dict[str, Any]:
    """At anchor by the bow, in a current from ahead."""
    usual = {
        "hold_at": {"x_m": 3.4, "y_m": 0, "z_m": 0.36}, "depth_m": 4.0,
        "current": {"speed_m_s": 0.7, "toward_deg": 180},
        "anchor": {"mass_kg": 1.5, "holding_ratio": 4, "safety_factor": 2, "chain_length_m": 0,
                   "chain_n_per_m": 0, "rope_length_m": 20, "rope_n_per_m": 0, "breaking_n": 4000,
                   "knot_share": 0.6},
    }  # fmt: skip
    return _case(**(usual | changes))


def glide_case(case: dict[str, Any]) -> GlideCase:
    """As a file is read."""
    return GlideCase.model_validate_json(json.dumps(case))


def hold_case(case: dict[str, Any]) -> HoldCase:
    """As a file is read."""
    return HoldCase.model_validate_json(json.dumps(case))
