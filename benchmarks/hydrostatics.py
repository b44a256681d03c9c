"""Equilibrium and righting curve against a general mesh library: `-m benchmarks.hydrostatics`."""

import time
from collections.abc import Callable

import numpy as np
from benchmarks.told import Times, head, tell
from scipy.optimize import fsolve
from tests.meshes import box_of, mesh_of, under_water

from neat_hull.physics.hull.shape import Hull, Station, Well
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.hydrostatics import equilibrium, settle, settle_with_curve
from neat_hull.physics.water.loads import Loads

DENSITY = 1000.0
MESH_SECTIONS = 81  # as many as bring the mesh within 0.1 % of the same volume


def boat() -> tuple[Hull, Loads]:
    """A twin-ridge kayak of 25 stations with 14 points each, and 60 loads."""
    stations = []
    for x in np.linspace(0.0, 3.6, 25):
        u = x / 1.8 - 1
        half, keel = 0.43 * (1 - abs(u) ** 2.4) + 0.004, 0.16 * u**4
        share = np.linspace(0, 1, 13)
        z = keel + 0.03 * np.cos(np.pi * share) ** 2 * (1 - share) + 0.14 * share**4
        points = np.column_stack((half * share, z))
        sheer = (1.02 * half, 0.33 + 0.1 * u**2)
        stations.append(Station(float(x), np.vstack((points, sheer))))
    wells = (Well("cockpit", 1.2, 2.6, 0.27, 0.16, 0.32, drains=True),)
    draw = np.random.default_rng(1)
    mass = np.concatenate(([30.0, 85.0], draw.uniform(0.2, 1.0, 58)))
    at = np.column_stack(
        (draw.uniform(0.4, 3.2, 60), draw.uniform(-0.2, 0.2, 60), draw.uniform(0.1, 0.4, 60))
    )
    at[:2] = (1.78, 0.0, 0.16), (1.72, 0.01, 0.36)
    return Hull(tuple(stations), wells), Loads(mass, at)


def times_ms(work: Callable[[], object], rounds: int) -> Times:
    """ms of each call, after a few to warm up."""
    for _ in range(3):
        work()
    taken = []
    for _ in range(rounds):
        start = time.perf_counter()
        work()
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def main() -> None:
    """Print medians, the ratio to the mesh, and how far the two answers lie apart."""
    hull, loads = boat()
    floating = FloatingHull.of(hull)
    ours = equilibrium(settle(floating, loads, DENSITY))
    mesh, wells = mesh_of(hull, MESH_SECTIONS), [box_of(well) for well in hull.wells]
    volume, centre = loads.total_kg / DENSITY, loads.centre_m

    def residuals(attitude: np.ndarray[tuple[int], np.dtype[np.float64]]) -> list[float]:
        c, trim, heel = (float(v) for v in attitude)
        v, moment = under_water(mesh, c, trim, heel)
        for well in wells:
            less, less_moment = under_water(well, c, trim, heel)
            v, moment = v - less, moment - less_moment
        plumb = np.cross(moment / max(v, 1e-9) - centre, [np.tan(trim), np.tan(heel), 1.0])
        return [v - volume, float(plumb[0]), float(plumb[1])]

    def by_mesh() -> object:
        return fsolve(residuals, [0.1, 0.0, 0.0], xtol=1e-6)

    c, trim, heel = fsolve(residuals, [0.1, 0.0, 0.0], xtol=1e-6)
    head()
    alone = times_ms(lambda: settle(floating, loads, DENSITY), 200)
    tell("equilibrium", alone)
    tell("curve", times_ms(lambda: settle_with_curve(floating, loads, DENSITY, FULL_RAD), 60))
    other = np.median(times_ms(by_mesh, 5))
    print(f"equilibrium by mesh: median {other:.0f} ms, {other / np.median(alone):.0f} times ours")
    print(f"apart: draft {1000 * abs(c - ours.draft_aft_m):.2f} mm, "
          f"trim {np.degrees(abs(trim - ours.trim_rad)):.3f}°, "
          f"heel {np.degrees(abs(heel - ours.heel_rad)):.3f}°")  # fmt: skip


if __name__ == "__main__":
    main()
