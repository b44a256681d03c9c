"""How bolts share a force and a moment under a rigid base on a wall that is pressed, never pulled.

Bolts are alike and elastic: their pulls are the lift w = w₀ + αu + βv of the base at each, with the
least ½Σw² less the work of the load, and w ≥ 0 all along the rim. It holds the textbook cases (one
bolt, all pulled, prying about an edge: Budynas and Nisbett, Shigley's Mechanical Engineering
Design, ch. 8) and is continuous between them; the stiffness of the bolts drops out.
"""

from collections.abc import Iterable, Sequence
from itertools import combinations

import numpy as np

from neat_hull.physics.arrays import Array

Spot = tuple[float, float]
Triple = tuple[float, float, float]

# Sets of corners on which a rectangle can stand: none, one, an edge or a diagonal, three.
CONTACTS = [set_ for size in range(4) for set_ in combinations(range(4), size)]
CONDITIONS = 13  # rows that must not be negative: four corners, three pressures, what is left over
_DIRECTIONS = 48  # in which a round base is tried
_NARROWER = 3  # times that the best of them is looked at closer


def lift_rows(u: Array, v: Array) -> Array:
    """(n, 3): what w₀, α, β lift places by."""
    return np.stack((np.ones_like(u), u, v), axis=-1)


def work_of(force_n: Array, moment_nm: Array) -> Array:
    """(…, 3): what loads (…, 3) at the middle of the base do along w₀, α, β."""
    work: Array = np.stack((force_n[..., 2], -moment_nm[..., 1], moment_nm[..., 0]), axis=-1)
    return work


def rectangle_maps(half_u_m: float, half_v_m: float, bolts_m: Array) -> tuple[Array, Array]:
    """Of each set of corners, pulls (15, n, 3) and conditions (15, 13, 3) by the work of a load.

    The set on which the base stands is that whose conditions are least negative.
    """
    corner_u = half_u_m * np.array([1.0, 1.0, -1.0, -1.0])
    corner_v = half_v_m * np.array([1.0, -1.0, 1.0, -1.0])
    corners = lift_rows(corner_u, corner_v)
    bolts = lift_rows(bolts_m[:, 0], bolts_m[:, 1])
    stiff = bolts.T @ bolts
    pulls = np.zeros((len(CONTACTS), len(bolts), 3))
    conditions = np.zeros((len(CONTACTS), CONDITIONS, 3))
    for at, contact in enumerate(CONTACTS):
        held = corners[list(contact)]
        free = _free_of(held)
        lift = free @ np.linalg.pinv(free.T @ stiff @ free, rcond=1e-10, hermitian=True) @ free.T
        excess = stiff @ lift - np.eye(3)  # what pressure at the corners must carry
        pressure = np.linalg.pinv(held.T, rcond=1e-10) @ excess if contact else np.zeros((0, 3))
        over = excess - held.T @ pressure
        pulls[at] = bolts @ lift
        rows = np.concatenate((corners @ lift, pressure))
        conditions[at, : len(rows)] = rows
        conditions[at, 7:10], conditions[at, 10:13] = over, -over
    return pulls, conditions


def _free_of(held: Array) -> Array:
    """(3, k): ways to lift that leave the held corners where they are."""
    if not len(held):
        return np.eye(3)
    _, size, ways = np.linalg.svd(held)
    return np.asarray(ways[int((size > 1e-12).sum()) :].T)


def rectangle_pulls(maps: tuple[Array, Array], work: Array) -> Array:
    """(k, n) pulls of loads with work (k, 3)."""
    pulls, conditions = maps
    worst = np.einsum("sij,kj->ksi", conditions, work).min(axis=2)
    best = worst.argmax(axis=1)
    found: Array = np.einsum("knj,kj->kn", pulls[best], work)
    return np.maximum(found, 0.0)


def round_pulls(radius_m: float, bolts_m: Array, work: Array) -> Array:
    """(k, n) pulls under a round base.

    Either its rim is free all round, or it stands on the point of it about which tilting gives
    most: with b the work of tilting about that point and K the stiffness, that is −b/√K.
    """
    bolts = lift_rows(bolts_m[:, 0], bolts_m[:, 1])
    stiff = bolts.T @ bolts
    free = work @ np.linalg.pinv(stiff, rcond=1e-10, hermitian=True)
    size = np.abs(work).max(axis=1)
    left = np.abs(free @ stiff - work).max(axis=1)
    lifts = (left <= 1e-9 * size) & (
        free[:, 0] >= radius_m * np.hypot(free[:, 1], free[:, 2]) - 1e-12 * size
    )
    step = 2 * np.pi / _DIRECTIONS
    way = np.arange(_DIRECTIONS) * step + np.zeros((len(work), 1))
    rows = np.arange(len(work))
    gain, tilt = _about(radius_m, bolts_m, work, way)
    best = gain.argmax(axis=1)
    angle = way[rows, best]
    for _ in range(_NARROWER):
        around = angle[:, None] + step * np.array([-1.0, 0.0, 1.0])
        low, mid, high = (_about(radius_m, bolts_m, work, around)[0]).T
        bend = low - 2 * mid + high
        shift = np.where(bend < 0, 0.5 * (low - high) / np.where(bend < 0, bend, -1.0), 0.0)
        angle += step * np.clip(shift, -1.0, 1.0)
        step /= 12
    gain, tilt = _about(radius_m, bolts_m, work, angle[:, None])
    cos, sin = np.cos(angle), np.sin(angle)
    # w = tilt·(r − u·cos − v·sin): none at the point it stands on, most across from it.
    lift = tilt * (radius_m - np.outer(cos, bolts_m[:, 0]) - np.outer(sin, bolts_m[:, 1]))
    lift[gain[:, 0] <= 0] = 0.0
    found: Array = np.where(lifts[:, None], free @ bolts.T, lift)
    return np.maximum(found, 0.0)


def _about(radius_m: float, bolts_m: Array, work: Array, way: Array) -> tuple[Array, Array]:
    """(k, m) gain and tilt of standing on the rim at angles (k, m)."""
    cos, sin = np.cos(way), np.sin(way)
    arm = radius_m - cos[..., None] * bolts_m[:, 0] - sin[..., None] * bolts_m[:, 1]
    stiff = np.einsum("kmn,kmn->km", arm, arm)
    work_by_tilt = radius_m * work[:, :1] - cos * work[:, 1:2] - sin * work[:, 2:3]
    return work_by_tilt / np.sqrt(stiff), work_by_tilt / stiff


def shears(bolts_m: Sequence[Spot], force_n: Triple, moment_nm: Triple) -> tuple[list[Spot], float]:
    """Shear force of each bolt, N, and the twist about their middle, N·m.

    A force is shared alike; a twist by distance from the bolts' middle. One bolt takes the force
    alone, and its twist is left to friction. Plain numbers: a few bolts, and many times.
    """
    n = len(bolts_m)
    u_mid, v_mid = sum(u for u, _ in bolts_m) / n, sum(v for _, v in bolts_m) / n
    f_u, f_v = force_n[0] / n, force_n[1] / n
    twist = moment_nm[2] - (u_mid * force_n[1] - v_mid * force_n[0])
    if n == 1:
        return [(f_u, f_v)], twist
    arms = [(u - u_mid, v - v_mid) for u, v in bolts_m]
    by_m = twist / sum(u * u + v * v for u, v in arms)
    return [(f_u - by_m * v, f_v + by_m * u) for u, v in arms], twist


def sums(forces: Iterable[tuple[Triple, Triple]]) -> tuple[Triple, Triple]:
    """Force and moment at the middle of the base, of forces at places."""
    f_u = f_v = f_n = m_u = m_v = m_n = 0.0
    for (a, b, c), (u, v, n) in forces:
        f_u, f_v, f_n = f_u + a, f_v + b, f_n + c
        m_u, m_v, m_n = m_u + v * c - n * b, m_v + n * a - u * c, m_n + u * b - v * a
    return (f_u, f_v, f_n), (m_u, m_v, m_n)
