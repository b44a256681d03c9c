"""A wall as a round flat plate: how far a base on it tilts and sinks, and what the wall bears.

Thin plates, small deflections, a rigid disc in the middle where the base grips, a stiffer ring
where a plate lies loose on the wall (rigidities add), the rim clamped or supported (Timoshenko and
Woinowsky-Krieger, Theory of Plates and Shells, ch. 3 and 9; Young, Roark's Formulas for Stress and
Strain, ch. 11).
"""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from neat_hull.physics.arrays import Array

Edge = Literal["clamped", "supported"]


@dataclass(frozen=True)
class Sheet:
    """A sheet by its rigidity D, N·m, and ν."""

    rigidity_nm: float
    nu: float


def sheet(e_pa: float, nu: float, thickness_m: float, core_m: float = 0.0) -> Sheet:
    """D = E(h³ − c³)/(12(1 − ν²)): of a cored one the skins alone."""
    return Sheet(e_pa * (thickness_m**3 - core_m**3) / (12 * (1 - nu * nu)), nu)


def section_m2(thickness_m: float, core_m: float = 0.0) -> float:
    """The section modulus of a wall, by its width."""
    return (thickness_m**3 - core_m**3) / (6 * thickness_m)


@dataclass(frozen=True)
class Give:
    """What a unit of load does: the movement (rad by N·m, or m by N) and the greatest moment that
    the wall itself bears, N·m a metre of width."""

    moved: float
    bears_n: float


STIFF = Give(0.0, 0.0)  # of a base that spans the whole panel


def tilting(disc_m: float, plate_m: float | None, radius_m: float, wall: Sheet,
            plate: Sheet | None, edge: Edge) -> Give:  # fmt: skip
    """Under a couple of 1 N·m on a rigid disc of radius disc_m, with a plate out to plate_m."""
    return _given(True, disc_m, plate_m, radius_m, wall, plate, edge)


def sinking(disc_m: float, plate_m: float | None, radius_m: float, wall: Sheet,
            plate: Sheet | None, edge: Edge) -> Give:  # fmt: skip
    """Under a push of 1 N."""
    return _given(False, disc_m, plate_m, radius_m, wall, plate, edge)


def _given(couple: bool, disc_m: float, plate_m: float | None, radius_m: float, wall: Sheet,
           plate: Sheet | None, edge: Edge) -> Give:  # fmt: skip
    if disc_m >= radius_m:
        return STIFF
    b, a, inner = disc_m, radius_m, wall
    p = (a + b) / 2
    ringed = plate is not None and plate_m is not None and plate_m > b
    if plate is not None and plate_m is not None and ringed:
        p = min(plate_m, a)
        whole = wall.rigidity_nm + plate.rigidity_nm
        shared = wall.nu * wall.rigidity_nm + plate.nu * plate.rigidity_nm
        inner = Sheet(whole, shared / whole)
    shape = _couple if couple else _push
    # Unknown: how far the disc goes, then three free amplitudes of each zone.
    rows, right = np.zeros((7, 7)), np.zeros(7)
    load = 1 / (4 * np.pi) if couple else 1 / (8 * np.pi)
    sign = -1.0 if couple else 1.0
    own = [sign * load / one.rigidity_nm for one in (inner, wall)]

    at_b, at_p, at_a = shape(b, inner.nu), shape(p, inner.nu), shape(a, wall.nu)
    out_p = shape(p, wall.nu)
    # The disc: w(b) = ψ·b and w′(b) = ψ; of a push w(b) = δ and w′(b) = 0.
    rows[0, 0], rows[1, 0] = -(b if couple else 1.0), -(1.0 if couple else 0.0)
    for row in (0, 1):
        rows[row, 1:4], right[row] = at_b[row, :3], -own[0] * at_b[row, 3]
    for row, weigh in (
        (0, (1.0, 1.0)),
        (1, (1.0, 1.0)),
        (2, (inner.rigidity_nm, wall.rigidity_nm)),
    ):
        rows[2 + row, 1:4] = weigh[0] * at_p[row, :3]
        rows[2 + row, 4:7] = -weigh[1] * out_p[row, :3]
        right[2 + row] = -weigh[0] * own[0] * at_p[row, 3] + weigh[1] * own[1] * out_p[row, 3]
    for row, which in ((5, 0), (6, 1 if edge == "clamped" else 2)):
        rows[row, 4:7], right[row] = at_a[which, :3], -own[1] * at_a[which, 3]
    # Rows of moments are as large as the rigidity: brought to the size of the others.
    size = np.abs(rows).max(axis=1)
    found = np.linalg.solve(rows / size[:, None], right / size)
    zones = (np.append(found[1:4], own[0]), np.append(found[4:7], own[1]))
    looks = [(b, zones[0])]
    if ringed:
        looks += [(p, zones[0]), (p, zones[1])]
    if edge == "clamped":
        looks.append((a, zones[1]))
    bears = max(abs(float(shape(r, wall.nu)[2] @ zone)) for r, zone in looks)
    return Give(abs(float(found[0])), wall.rigidity_nm * bears)


def _couple(r: float, nu: float) -> Array:
    """(3, 4) of r, 1/r, r³, r·ln r: w, w′ and w″ + ν(w′/r − w/r²) at r."""
    log = np.log(r)
    w = np.array([r, 1 / r, r**3, r * log])
    first = np.array([1.0, -1 / r**2, 3 * r**2, log + 1])
    second = np.array([0.0, 2 / r**3, 6 * r, 1 / r])
    return np.array([w, first, second + nu * (first / r - w / r**2)])


def _push(r: float, nu: float) -> Array:
    """(3, 4) of 1, r², ln r, r²·ln r: w, w′ and w″ + ν·w′/r at r."""
    log = np.log(r)
    w = np.array([1.0, r**2, log, r**2 * log])
    first = np.array([0.0, 2 * r, 1 / r, 2 * r * log + r])
    second = np.array([0.0, 2.0, -1 / r**2, 2 * log + 3])
    return np.array([w, first, second + nu * first / r])
