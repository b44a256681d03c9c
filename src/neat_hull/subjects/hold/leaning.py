"""A boat under a level pull at a height, and a weight where it is held."""

from math import degrees

import numpy as np

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.physics.water.loads import Loads

Leans = tuple[float, float, float]


def leaning(
    floating: FloatingHull, loads: Loads, density_kg_m3: float, grip_z_m: float,
    at_m: tuple[float, float, float], level_n: tuple[float, float], down_n: float,
) -> Leans | None:  # fmt: skip
    """Heel and trim, degrees, and least gunwale, m: all aboard is moved level by as much as the
    pull, ahead and to port, turns it about grip_z_m. None where it goes over."""
    mass, places = loads.mass_kg, loads.at_m
    if down_n > 0:
        mass = np.append(mass, down_n / GRAVITY_M_S2)
        places = np.concatenate((places, [at_m]))
    arm = (at_m[2] - grip_z_m) / (float(mass.sum()) * GRAVITY_M_S2)
    moved = places + np.array([level_n[0] * arm, level_n[1] * arm, 0.0])
    try:
        settled = hydrostatics.settle(
            floating, Loads(mass, moved, loads.free_surface_kg_m), density_kg_m3
        )
    except (DoesNotFloat, NoBalance):
        return None
    rest = settled.rest
    edge = float(rest.height_over_water_m(floating.hull.sheer_points_m)[0].min())
    return degrees(float(rest.heel_rad[0])), degrees(float(rest.trim_rad[0])), edge
