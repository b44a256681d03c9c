"""What stands round a point, seen level: bearings that things block, and how far a light carries.

Bearings are in degrees from the bow, to starboard positive, 0 to 360.
"""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from math import asin, degrees, sqrt

import numpy as np

from neat_hull.physics.arrays import Array

Arc = tuple[float, float]  # from, to; to is past from, over 360 where it goes across the bow

# Annex I 8 of the rules of navigation at sea: threshold of the eye in lx, what air lets through in
# a sea mile, and the factor to sea miles.
_THRESHOLD_LX, _AIR, _PER_NM2 = 2e-7, 0.8, 3.43e6
_NM_M = 1852.0
_HORIZON_NM = 2.08  # by √m of height, with the usual refraction
_OUT_NM = 60.0  # no lamp of ours carries as far


@dataclass(frozen=True, eq=False)
class Level:
    """The water's level as a boat sees it: unit vectors (3,) up, ahead and to port."""

    up: Array
    ahead: Array
    port: Array

    @classmethod
    def of(cls, heel_rad: float, tau: float) -> "Level":
        """By the plane y·sin φ + z·cos φ + x·τ = h."""
        up = np.array([tau, np.sin(heel_rad), np.cos(heel_rad)])
        up = up / np.linalg.norm(up)
        ahead = np.array([1.0, 0.0, 0.0]) - up[0] * up
        ahead = ahead / np.linalg.norm(ahead)
        return cls(up, ahead, np.cross(up, ahead))

    def seen(self, points_m: Array) -> Array:
        """(n, 3) m: ahead, to starboard and up, of points relative to where one looks from."""
        return np.column_stack((points_m @ self.ahead, -(points_m @ self.port), points_m @ self.up))


def box_arc(foot_m: Array, top_m: Array) -> Arc | None:
    """What a box blocks: its upright edges, (n, 3) at foot and top as `Level.seen` has them, where
    they cross the level. None where it ends under the lamp, or starts over it."""
    if top_m[:, 2].max() <= 0 or foot_m[:, 2].min() >= 0:
        return None
    share = np.clip(-foot_m[:, 2] / (top_m[:, 2] - foot_m[:, 2]), 0.0, 1.0)
    at = foot_m + share[:, None] * (top_m - foot_m)
    bearings = np.degrees(np.arctan2(at[:, 1], at[:, 0])) % 360
    # The widest gap between neighbours is what it does not block.
    bearings.sort()
    gaps = np.diff(np.append(bearings, bearings[0] + 360))
    widest = int(gaps.argmax())
    if gaps[widest] <= 180:  # the lamp stands within it
        return 0.0, 360.0
    start = float(bearings[(widest + 1) % len(bearings)])
    return start, start + 360 - float(gaps[widest])


def round_arc(ahead_m: float, starboard_m: float, radius_m: float) -> Arc:
    """What an upright cylinder blocks: 2·asin(r/d)."""
    far = sqrt(ahead_m**2 + starboard_m**2)
    if far <= radius_m:
        return 0.0, 360.0
    half = degrees(asin(radius_m / far))
    start = (float(np.degrees(np.arctan2(starboard_m, ahead_m))) - half) % 360
    return start, start + 2 * half


def rod_arc(ends_m: Array, thick_m: float) -> Arc | None:
    """What a rod between two ends (2, 3) blocks where it crosses the lamp's level."""
    (low, high) = ends_m[:, 2]
    if low * high >= 0:
        return None
    at = ends_m[0] + (ends_m[1] - ends_m[0]) * low / (low - high)
    return round_arc(float(at[0]), float(at[1]), thick_m / 2)


def union(arcs: Iterable[Arc]) -> list[Arc]:
    """Arcs that do not meet, within 0 to 360, which together are the same."""
    cut: list[Arc] = []
    for start, end in arcs:
        if end - start >= 360:
            return [(0.0, 360.0)]
        cut += [(start, end)] if end <= 360 else [(start, 360.0), (0.0, end - 360)]
    found: list[Arc] = []
    for start, end in sorted(cut):
        if found and start <= found[-1][1]:
            found[-1] = found[-1][0], max(found[-1][1], end)
        else:
            found.append((start, end))
    return found


def blocked_deg(arcs: Iterable[Arc], sector: Sequence[Arc]) -> float:
    """Degrees of a sector, itself cut at the bow, that arcs block, what two block counted once."""
    return sum(
        max(0.0, min(end, high) - max(start, low))
        for start, end in union(arcs)
        for low, high in sector
    )


def candela(range_nm: float) -> float:
    """The strength that carries so far (Allard, Annex I 8): I = 3.43e6·T·D²·K^−D."""
    return float(_PER_NM2 * _THRESHOLD_LX * range_nm**2 * _AIR**-range_nm)


def carries_m(strength_cd: float) -> float:
    """How far a light of a strength is seen on a clear night: Allard, turned round by halving."""
    low, high = 0.0, _OUT_NM
    for _ in range(60):
        middle = (low + high) / 2
        low, high = (middle, high) if candela(middle) < strength_cd else (low, middle)
    return low * _NM_M


def horizon_m(height_m: float, eye_m: float) -> float:
    """How far a light at a height is over the horizon of an eye."""
    return _HORIZON_NM * (sqrt(max(0.0, height_m)) + sqrt(max(0.0, eye_m))) * _NM_M
