"""The shape of a hull as measured: stations, and the wells let into its deck."""

from dataclasses import dataclass
from functools import cached_property

import numpy as np
from shapely import LineString

from neat_hull.errors import InputError
from neat_hull.physics.arrays import Array, finite


@dataclass(frozen=True)
class Station:
    """One port half-section: points (n, 2) of y, z in m from keel to sheer, at x_m."""

    x_m: float
    points_m: Array


@dataclass(frozen=True)
class Well:
    """A box recess in the deck: cockpit, tank well or tray.

    `drains` says its scuppers are open: it then never lifts, for the water comes in as fast as it
    goes out. Otherwise it lifts until the water plane reaches its rim at one of its four corners.
    """

    name: str
    x_aft_m: float
    x_fwd_m: float
    half_breadth_m: float
    floor_z_m: float
    rim_z_m: float
    drains: bool

    @cached_property
    def rim_corners_m(self) -> Array:
        """(4, 3) m: the corners whose wetting floods the well."""
        b, z = self.half_breadth_m, self.rim_z_m
        return np.array([(x, y, z) for x in (self.x_aft_m, self.x_fwd_m) for y in (-b, b)])


@dataclass(frozen=True, eq=False)
class Hull:
    """A hull from stations ascending in x, mirrored about y = 0, closed by straight decks.

    Between stations, outlines run on at equal fractions of their arc length; `corner_to_corner`
    says that all have as many points and each runs on to its like, as in a hull we drew ourselves.
    """

    stations: tuple[Station, ...]
    wells: tuple[Well, ...] = ()
    corner_to_corner: bool = False

    @cached_property
    def x_aft_m(self) -> float:
        """x of the first station, in m."""
        return float(self.stations[0].x_m)

    @cached_property
    def x_fwd_m(self) -> float:
        """x of the last station, in m."""
        return float(self.stations[-1].x_m)

    @cached_property
    def length_m(self) -> float:
        """Distance between the first and last stations, in m."""
        return self.x_fwd_m - self.x_aft_m

    @cached_property
    def x_m(self) -> Array:
        """(n,) m: the stations."""
        return np.array([station.x_m for station in self.stations])

    @cached_property
    def sheer_m(self) -> Array:
        """(n, 2) m: half-breadth and height of the sheer at each station."""
        return np.array([station.points_m[-1] for station in self.stations])

    @cached_property
    def rim_corners_m(self) -> Array:
        """(4w, 3) m: those of each well, one after the other."""
        return np.array([well.rim_corners_m for well in self.wells]).reshape(-1, 3)

    @cached_property
    def floor_corners_m(self) -> Array:
        """(4w, 3) m: the corners of each well's floor."""
        corners = self.rim_corners_m.copy()
        corners[:, 2] = np.repeat([well.floor_z_m for well in self.wells], 4)
        return corners

    @cached_property
    def sheer_points_m(self) -> Array:
        """(2n, 3) m: the sheer at every station, port side then starboard."""
        y, z = self.sheer_m.T
        return np.column_stack((np.tile(self.x_m, 2), np.append(y, -y), np.tile(z, 2)))

    @cached_property
    def keel_z_m(self) -> Array:
        """(n,) m: height of the lowest point of each station."""
        return np.array([station.points_m[:, 1].min() for station in self.stations])

    @cached_property
    def half_breadth_m(self) -> Array:
        """(n,) m: greatest half-breadth of each station."""
        return np.array([station.points_m[:, 0].max() for station in self.stations])

    def gunwale_m(self, x_m: float) -> tuple[float, float]:
        """Half-breadth and height of the sheer at x, in m."""
        half, height = (float(np.interp(x_m, self.x_m, column)) for column in self.sheer_m.T)
        return half, height

    def keel_at_m(self, x_m: float) -> float:
        """Height of the lowest point of the hull at x, in m."""
        return float(np.interp(x_m, self.x_m, self.keel_z_m))

    def wells_at(self, x_m: float, y_m: float) -> list[Well]:
        """Return the wells whose box covers the place (x, y), in m."""
        return [
            well
            for well in self.wells
            if well.x_aft_m <= x_m <= well.x_fwd_m and abs(y_m) <= well.half_breadth_m
        ]

    def support_z_m(self, x_m: float, y_m: float) -> float:
        """Height in m of what a thing set down at (x, y) rests on: a well's floor, or the deck."""
        wells = self.wells_at(x_m, y_m)
        if wells:
            return min(well.floor_z_m for well in wells)
        return float(np.interp(x_m, self.x_m, self.sheer_m[:, 1]))


def require_hull(hull: Hull) -> None:
    """Refuse a hull that means nothing, naming the field as in a float case.

    Raises InputError for fewer than two stations, stations not ascending, y < 0, numbers that are
    not finite, a section that crosses itself, or a well turned inside out.
    """
    if len(hull.stations) < 2:
        raise InputError("hull.stations", len(hull.stations), "at least two stations are needed")
    for i, station in enumerate(hull.stations):
        _require_station(f"hull.stations[{i}]", station)
    for i, gap in enumerate(np.diff(hull.x_m), start=1):
        if not gap > 0:
            raise InputError(
                f"hull.stations[{i}].x_m",
                hull.x_m[i],
                f"stations must ascend from stern to bow, but {hull.x_m[i]:g} "
                f"does not come after {hull.x_m[i - 1]:g}",
            )
    for i, well in enumerate(hull.wells):
        _require_well(f"hull.wells[{i}]", well)


def _require_station(path: str, station: Station) -> None:
    finite(f"{path}.x_m", station.x_m)
    points = finite(f"{path}.points_m", station.points_m)
    if points.ndim != 2 or points.shape[1] != 2 or len(points) < 1:
        raise InputError(f"{path}.points_m", station.points_m, "a list of [y, z] pairs is needed")
    for j in np.flatnonzero(points[:, 0] < 0)[:1]:
        raise InputError(
            f"{path}.points_m[{j}]",
            points[j].tolist(),
            f"y is {points[j, 0]:g}, but a half-section lies to port: y must be 0 or more",
        )
    if _crosses_itself(points):
        raise InputError(f"{path}.points_m", station.points_m, "the section crosses itself")


def _crosses_itself(points: Array) -> bool:
    """Say whether a half-section, closed by its deck, crosses itself."""
    distinct = np.unique(points, axis=0)
    if len(distinct) < 3:
        return False
    outline = LineString(points)
    deck = LineString([points[-1], (0.0, points[-1, 1])])
    return not outline.is_simple or (deck.length > 0 and bool(deck.crosses(outline)))


def _require_well(path: str, well: Well) -> None:
    for low, high in (("x_aft_m", "x_fwd_m"), ("floor_z_m", "rim_z_m")):
        a, b = (finite(f"{path}.{name}", getattr(well, name)) for name in (low, high))
        if not b > a:
            raise InputError(f"{path}.{high}", float(b), f"must be more than {low}, {a:g}")
    if not finite(f"{path}.half_breadth_m", well.half_breadth_m) > 0:
        raise InputError(f"{path}.half_breadth_m", well.half_breadth_m, "must be more than 0")
