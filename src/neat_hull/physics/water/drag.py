"""What current and wind pull on a moored boat, and what the line makes of it.

Force ½ρC_dA·v²; coefficients after Hoerner, *Fluid-Dynamic Drag*, 1965, chapters 3 and 6, rounded:
a kayak is neither a plate nor a foil, and its own figures are not known.
"""

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.physics.water.hydrostatics import Settled

AIR_DENSITY_KG_M3 = 1.225  # International Standard Atmosphere at sea level, 15 °C
END_ON, BROADSIDE = 0.35, 1.1  # slender body with blunt details; long plate across the flow
IN_AIR = 1.0
SITTER_FRONT_M2, SITTER_SIDE_M2 = 0.40, 0.30  # a dressed sitter above the gunwale, typical


def drag_kg(density_kg_m3: float, coefficient: float, area_m2: float, speed_m_s: float) -> float:
    """Drag as the weight that pulls as hard, in kg."""
    return 0.5 * density_kg_m3 * coefficient * area_m2 * speed_m_s**2 / GRAVITY_M_S2


def wetted_fronts_m2(settled: Settled) -> tuple[float, float]:
    """Areas under water seen end-on and from the side, in m²."""
    _, sections = settled.section_m2
    return float(sections.max()), float(np.trapezoid(_depth(settled), settled.floating.hull.x_m))


def dry_fronts_m2(settled: Settled) -> tuple[float, float]:
    """Areas of the hull over water seen end-on and from the side, in m²."""
    hull = settled.floating.hull
    height = hull.sheer_m[:, 1] - hull.keel_z_m - _depth(settled)
    height = np.maximum(height, 0.0)
    broad = int(hull.half_breadth_m.argmax())
    return float(2 * hull.half_breadth_m[broad] * height[broad]), float(
        np.trapezoid(height, hull.x_m)
    )


def _depth(settled: Settled) -> Array:
    """(n,) m: how deep each station is in the water on the centreline."""
    rest, hull = settled.rest, settled.floating.hull
    cos = float(np.cos(rest.heel_rad[0]))
    water = (float(rest.h_m[0]) - float(rest.tau[0]) * hull.x_m) / cos
    depth: Array = np.maximum(water - hull.keel_z_m, 0.0)
    return depth
