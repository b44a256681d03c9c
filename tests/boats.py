"""Simple hulls that can be worked out by hand, shared by the tests."""

from collections.abc import Callable

import numpy as np
from shapely import Polygon

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Hull, Station, Well
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.loads import Loads

FRESH = 1000.0
# A half-section that no straight cut leaves in one piece.
TUNNEL = [(0.0, 0.12), (0.08, 0.12), (0.12, 0.0), (0.3, 0.02), (0.42, 0.1), (0.4, 0.3)]


def ring(points: list[tuple[float, float]]) -> Polygon:
    """The whole section of a half as a polygon of shapely's."""
    return Polygon([(-y, z) for y, z in points[::-1]] + points)


def prismatic(points: list[tuple[float, float]], length_m: float, stations: int = 2) -> Hull:
    """One half-section all along."""
    return Hull(
        tuple(Station(float(x), np.array(points)) for x in np.linspace(0, length_m, stations))
    )


def barge(
    length_m: float = 4.0,
    beam_m: float = 0.8,
    depth_m: float = 0.3,
    stations: int = 2,
    wells: tuple[Well, ...] = (),
) -> Hull:
    """A box."""
    half = beam_m / 2
    hull = prismatic([(0, 0), (half, 0), (half, depth_m)], length_m, stations)
    return Hull(hull.stations, wells)


def from_lines(half_m: Callable[[float, Array], Array], length_m: float, depth_m: float,
               stations: int = 41, points: int = 61) -> Hull:  # fmt: skip
    """A hull whose half-breadth at x and heights z is given."""
    z = np.linspace(0, depth_m, points)
    return Hull(
        tuple(
            Station(float(x), np.column_stack((half_m(float(x), z), z)))
            for x in np.linspace(0, length_m, stations)
        )
    )


def well(name: str = "well", *, drains: bool, **box: float) -> Well:
    """A well in the middle of the standard barge, unless told otherwise."""
    usual = {
        "x_aft_m": 1.0,
        "x_fwd_m": 2.0,
        "half_breadth_m": 0.2,
        "floor_z_m": 0.1,
        "rim_z_m": 0.3,
    }
    return Well(name=name, drains=drains, **(usual | box))


def loads(*rows: tuple[float, float, float, float]) -> Loads:
    """From (mass, x, y, z)."""
    table = np.array(rows, dtype=float)
    return Loads(table[:, 0], table[:, 1:])


def kayak() -> Hull:
    """A boat-like hull with a rocker, a twin-ridge bottom and two wells."""
    length = 3.6
    stations = []
    for x in np.linspace(0, length, 17):
        u = 2 * x / length - 1
        b = 0.43 * (1 - abs(u) ** 2.4) + 0.004
        keel = 0.16 * u**4
        stations.append(
            Station(
                float(x),
                np.array(
                    [(0, keel + 0.03), (0.5 * b, keel), (0.85 * b, keel + 0.04), (b, keel + 0.14),
                     (1.02 * b, 0.33 + 0.1 * u**2)]
                ),
            )
        )  # fmt: skip
    wells = (
        well("cockpit", drains=True, x_aft_m=1.2, x_fwd_m=2.6, half_breadth_m=0.27, floor_z_m=0.14,
             rim_z_m=0.33),
        well("hatch", drains=False, x_aft_m=2.75, x_fwd_m=3.05, half_breadth_m=0.12, floor_z_m=0.2,
             rim_z_m=0.36),
    )  # fmt: skip
    return Hull(tuple(stations), wells)


def afloat(hull: Hull) -> FloatingHull:
    """Ready for solving."""
    return FloatingHull.of(hull)
