"""How far a seated angler comes, all around: the edges of the zones at one height."""

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.body.reach import SEATED, Zone
from neat_hull.physics.body.segments import Body
from neat_hull.physics.body.trunk import (
    BEHIND,
    LEAN_TWIST_DEG,
    BodyLimits,
    Postures,
    hands_of,
    postures,
    squares,
)


def edges_m(body: Body, limits: BodyLimits, bearing_rad: Array, z_m: float) -> dict[Zone, Array]:
    """How far from the hip, level at height z, each bearing (n,) is come by: farthest in m.

    Zone.LEAN includes what is in hand, Zone.TWIST both. Each posture and hand comes to a disc at
    that height, cut off behind the shoulders; the farthest of all discs along a ray is the edge.
    """
    at = postures(body, limits)
    way = np.column_stack((np.cos(bearing_rad), np.sin(bearing_rad)))
    near_twist = np.abs(at.twist_rad) <= np.radians(LEAN_TWIST_DEG) + 1e-9
    first = np.arange(len(at.pitch_rad)) == 0
    found = {zone: np.zeros_like(bearing_rad) for zone in SEATED}
    rest = _ahead(at, 0, hands_of(limits)[0], body, way, z_m, 0.0)
    for hand in hands_of(limits):
        joint = at.shoulders_m[:, hand]
        square = body.grip_reach_m**2 - (z_m - joint[:, 2]) ** 2
        off = joint[:, :2] - body.hip_m[:2]
        along = way @ off.T  # (n, m)
        inside = square + along**2 - squares(off)
        far = np.where(inside >= 0, along + np.sqrt(np.maximum(inside, 0.0)), -1.0)
        low, high = _ahead(at, slice(None), hand, body, way, z_m, BEHIND * body.grip_reach_m)
        far = np.where(np.minimum(far, high) >= low, np.minimum(far, high), -1.0)
        for zone, which in ((Zone.HAND, first), (Zone.LEAN, near_twist)):
            # Behind the shoulders at rest nothing is in hand, whatever arm comes to it.
            ahead = np.where(
                rest[0] <= np.minimum(far[:, which], rest[1]),
                np.minimum(far[:, which], rest[1]),
                -1.0,
            )
            found[zone] = np.maximum(found[zone], ahead.max(axis=1))
        found[Zone.TWIST] = np.maximum(found[Zone.TWIST], far.max(axis=1))
    return found


def _ahead(
    at: Postures, k: int | slice, hand: int, body: Body, way: Array, z_m: float, slack_m: float
) -> tuple[Array, Array]:
    """(n, m) each: from where to where along each ray points lie before the shoulders' plane."""
    forward = np.atleast_2d(at.forward[k])
    joint = np.atleast_2d(at.shoulders_m[k, hand])
    slope = way @ forward[:, :2].T
    start = np.array([*body.hip_m[:2], z_m])
    need = -slack_m - (np.einsum("ij,ij->i", start - joint, forward))[None, :]
    with np.errstate(divide="ignore", invalid="ignore"):
        bound = need / slope
    always = need <= 0
    low = np.where(slope > 1e-12, np.maximum(bound, 0.0), np.where(always, 0.0, np.inf))
    high = np.where(slope < -1e-12, bound, np.inf)
    return low, high
