"""How a trunk turns about the hip: the postures that a person's limits allow, and their axes."""

from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.body.segments import Body

LEAN_TWIST_DEG = 20.0  # twisting further than this takes the eyes off the water
BEHIND = np.sin(np.radians(20.0))  # a straight arm goes this far behind the shoulders' plane
TWISTED = 10.0  # more than any effort: a lean that will do is always tried before a twist
_LEAST_DEG = 1.0  # of a limit, so that one who does not move at all has an effort too


@dataclass(frozen=True)
class BodyLimits:
    """How far a person goes without leaving the seat, in degrees, and with which hands.

    The defaults are what a seated adult does without strain.
    """

    pitch_deg: float = 40.0
    lean_port_deg: float = 25.0
    lean_starboard_deg: float = 25.0
    twist_port_deg: float = 60.0
    twist_starboard_deg: float = 60.0
    hands: Literal["both", "port", "starboard"] = "both"


@dataclass(frozen=True, eq=False)
class Postures:
    """All trunk postures of one body, least effort first: angles (m,), shoulders (m, 2, 3).

    frame (m, 3, 3) holds the trunk's own axes: up along it, out of the chest, to port.
    """

    pitch_rad: Array
    lean_rad: Array
    twist_rad: Array
    frame: Array
    shoulders_m: Array
    farthest_m: float

    @property
    def forward(self) -> Array:
        """(m, 3): the way the chest faces."""
        return self.frame[:, 1]


def _both_ways(less: float, more: float, steps: int) -> Array:
    """From -less to more through 0, each side in as many steps."""
    return np.radians(np.append(np.linspace(-less, 0, steps)[:-1], np.linspace(0, more, steps)))


@lru_cache(maxsize=16)
def postures(body: Body, limits: BodyLimits) -> Postures:
    most = [
        np.radians(max(deg, _LEAST_DEG))
        for deg in (
            limits.pitch_deg,
            max(limits.lean_port_deg, limits.lean_starboard_deg),
            max(limits.twist_port_deg, limits.twist_starboard_deg),
        )
    ]
    grid = np.meshgrid(
        np.radians(np.linspace(0, limits.pitch_deg, 9)),
        _both_ways(limits.lean_starboard_deg, limits.lean_port_deg, 6),
        _both_ways(limits.twist_starboard_deg, limits.twist_port_deg, 7),
        indexing="ij",
    )
    pitch, lean, twist = (a.ravel() for a in grid)
    effort = sum(
        ((a / m) ** 2 for a, m in zip((pitch, lean, twist), most, strict=True)),
        np.zeros_like(pitch),
    )
    effort += TWISTED * (np.abs(twist) > np.radians(LEAN_TWIST_DEG) + 1e-9)
    order = np.argsort(effort, kind="stable")
    pitch, lean, twist = pitch[order], lean[order], twist[order]
    frame = frames(body, pitch, lean, twist)
    trunk = body.build.trunk_m * frame[:, 0]
    half = body.build.half_shoulders_m * frame[:, 2]
    shoulders = body.hip_m + np.stack((trunk + half, trunk - half), axis=1)
    farthest = float(np.linalg.norm(shoulders - body.hip_m, axis=2).max()) + body.grip_reach_m
    return Postures(pitch, lean, twist, frame, shoulders, farthest)


def hands_of(limits: BodyLimits) -> tuple[int, ...]:
    return {"both": (0, 1), "port": (0,), "starboard": (1,)}[limits.hands]


def frames(body: Body, pitch: Array, lean: Array, twist: Array) -> Array:
    """(m, 3, 3): axes of the trunk (up along it, out of the chest, to port) turned about the hip.

    Built in the plane of symmetry, twisted about the trunk, then leaned about the fore-and-aft.
    """
    rest = np.arctan2(body.trunk_axis[0], body.trunk_axis[2])  # negative: reclined
    fore = rest + pitch
    zero, one = np.zeros_like(fore), np.ones_like(fore)
    axis = np.stack((np.sin(fore), zero, np.cos(fore)), axis=1)
    chest = np.stack((np.cos(fore), zero, -np.sin(fore)), axis=1)
    port = np.stack((zero, one, zero), axis=1)
    cos_t, sin_t = np.cos(twist)[:, None], np.sin(twist)[:, None]
    side = port * cos_t - chest * sin_t
    chest = chest * cos_t + port * sin_t
    return np.stack([_lean(v, lean) for v in (axis, chest, side)], axis=1)


def _lean(vector: Array, lean: Array) -> Array:
    """Turn vectors (m, 3) about the fore-and-aft axis by lean (m,), positive to port."""
    cos, sin = np.cos(lean), np.sin(lean)
    x, y, z = vector.T
    return np.stack((x, y * cos + z * sin, z * cos - y * sin), axis=1)


def squares(a: Array, b: Array | None = None) -> Array:
    """(n,) row-wise dot product; in einsum's way, without a temporary of the full size."""
    dots: Array = np.einsum("ij,ij->i", a, a if b is None else b)
    return dots
