"""What of the hull is under a given water plane: exact section clipping, integrated along x.

In a section the axes are turned with the heel, so that nothing is singular at 90°:
s = y·cos φ − z·sin φ lies along the water, e = y·sin φ + z·cos φ stands off it, and the height of a
point over the water is d = e + τ·x − h, with τ = tan θ·cos φ and h = c·cos φ. Derivation:
docs/physics.md, "Immersed volume".
"""

import math
from dataclasses import dataclass
from typing import Protocol

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.lattice import Lattice


@dataclass(frozen=True, eq=False)
class Immersion:
    """Integrals over the immersed volume and the waterplane, one row (k,) for each attitude.

    Volume: v_m3 = ∫dV, vx and ve = ∫x and ∫e (m⁴). Waterplane, taken over (x, s): a = ∫dx ds (m²),
    ax (m³) and axx (m⁴) its moments.
    """

    v_m3: Array
    vx: Array
    ve: Array
    a: Array
    ax: Array
    axx: Array

    @property
    def each(self) -> tuple[Array, ...]:
        """All of them, in the order they stand above."""
        return self.v_m3, self.vx, self.ve, self.a, self.ax, self.axx

    def row(self, at: slice) -> "Immersion":
        """Some of the attitudes."""
        return Immersion(*(one[at] for one in self.each))


@dataclass(frozen=True, eq=False)
class Sideways:
    """The integrals that heel depends on: vs = ∫s dV (m⁴), as_ (m³), axs and ass (m⁴)."""

    vs: Array
    as_: Array
    axs: Array
    ass: Array

    def row(self, at: slice) -> "Sideways":
        """Some of the attitudes."""
        return Sideways(self.vs[at], self.as_[at], self.axs[at], self.ass[at])

    def mirrored(self) -> "Sideways":
        """Heeled as far the other way."""
        return Sideways(-self.vs, -self.as_, -self.axs, self.ass)


class Planes(Protocol):
    """Sections seen at k heels, asked of one water plane after the other."""

    def immerse(self, h_m: Array, tau: Array, counted: Array) -> Immersion:
        """Integrate what lies under the planes with h (k,), τ (k,), groups counted (k, g)."""

    def sideways(self, counted: Array) -> Sideways:
        """The moments along s under the planes that `immerse` was last asked for."""


_AT_ONCE = 12_000  # edges × attitudes handled together: as much as stays near the processor


class TurnedSections:
    """The edges of a lattice seen at k heels, ready for many water planes; arrays are (k, e).

    Holds its own scratch arrays, since fresh large ones cost more than the arithmetic; so one
    object serves one thread.
    """

    def __init__(self, lattice: Lattice, heel_rad: Array) -> None:
        self._lattice = lattice
        cos, sin = np.cos(heel_rad)[:, None], np.sin(heel_rad)[:, None]
        (y0, y1), (z0, z1) = lattice.y_m, lattice.z_m
        self._e0, self._e1 = y0 * sin + z0 * cos, y1 * sin + z1 * cos
        self._s0 = y0 * cos - z0 * sin
        self._ds = (y1 - y0) * cos - (z1 - z0) * sin
        rise = self._e1 - self._e0
        level = np.abs(rise) <= lattice.level_rise_m
        np.copyto(rise, np.inf, where=level)
        rise *= 2.0
        self._half_slope = self._ds / rise  # 0 where the edge lies along the water
        self._u0, self._l0, self._u1, self._l1, self._run, self._a, self._b, self._c = (
            np.empty_like(rise) for _ in range(8)
        )
        together = max(1, _AT_ONCE // rise.shape[1])
        self._blocks = [slice(k, k + together) for k in range(0, len(rise), together)]

    def immerse(self, h_m: Array, tau: Array, counted: Array) -> Immersion:
        """Integrate what lies under the planes d = 0 with h (k,), τ (k,), groups counted (k, g).

        Green's theorem on each clipped ring, with integrands that vanish on d = 0: the closing edge
        along the water then adds nothing, so no ring is rebuilt and any simple polygon is exact.
        """
        # u = d − |d| is twice the depth under water (0 or less), l = d + |d| twice the height over.
        for at in self._blocks:
            water = np.multiply(tau[at, None], self._lattice.x_m, out=self._a[at])
            np.subtract(h_m[at, None], water, out=water)
            self._part(self._e0[at], water, self._u0[at], self._l0[at])
            self._part(self._e1[at], water, self._u1[at], self._l1[at])
            run = np.subtract(self._l1[at], self._l0[at], out=self._run[at])
            run *= self._half_slope[at]
            np.subtract(self._ds[at], run, out=run)
            u0, u1 = self._u0[at], self._u1[at]
            depth = np.add(u0, u1, out=self._b[at])
            # A dry edge that lies along the water, or all but does, would keep a remainder.
            run *= depth < 0.0
            area = np.multiply(run, depth, out=self._a[at])
            depth *= area
            product = u0 * u1
            product *= run
            depth -= product
        chord, area = self._along(self._run, counted), self._along(self._a, counted)
        first_d = self._along(self._b, counted)[:, 0]
        v, vx = -0.25 * area[:, 0], -0.25 * area[:, 1]
        return Immersion(
            v_m3=v,
            vx=vx,
            ve=h_m * v - tau * vx - first_d / 24.0,
            a=chord[:, 0],
            ax=chord[:, 1],
            axx=chord[:, 2],
        )

    @staticmethod
    def _part(e: Array, water: Array, under: Array, over: Array) -> None:
        """Twice the depth under and twice the height over the water, of vertices at e."""
        np.subtract(e, water, out=under)
        size = np.abs(under, out=over)
        under -= size
        over *= 2.0
        over += under

    def sideways(self, counted: Array) -> Sideways:
        """The moments along s under the planes that `immerse` was last asked for."""
        first, second = self._b, self._a
        for at in self._blocks:
            run = self._run[at]
            s0 = self._s0[at] - self._half_slope[at] * self._l0[at]
            s1 = self._s0[at] + self._ds[at]
            s1 -= self._half_slope[at] * self._l1[at]
            reach = np.add(s0, s1, out=first[at])
            both = np.multiply(reach, reach, out=second[at])
            both -= s0 * s1
            both *= run
            moment = reach * (self._u0[at] + self._u1[at])
            moment += s0 * self._u0[at]
            moment += s1 * self._u1[at]
            moment *= run
            reach *= run
            self._c[at] = moment
        first_s = self._along(self._c, counted)
        chord_s, chord_ss = self._along(first, counted), self._along(second, counted)
        return Sideways(
            vs=first_s[:, 0] / -12.0,
            as_=0.5 * chord_s[:, 0],
            axs=0.5 * chord_s[:, 1],
            ass=chord_ss[:, 0] / 3.0,
        )

    def _along(self, value: Array, counted: Array) -> Array:
        """(k, 3): sums over the edges of 1, x and x² times a figure of each (k, e)."""
        sums = (self._lattice.moments_m @ value.T).T.reshape(len(value), 3, -1)
        if sums.shape[2] == 1:
            return sums[:, :, 0]
        total: Array = (sums * counted[:, None, :]).sum(axis=2)
        return total


def _cut(
    lattice: Lattice, heel_rad: float, h_m: float, tau: float
) -> tuple[Array, Array, Array, Array]:
    """Of the edges (e,) under one water plane: s of their ends (2, e); twice the depth of these,
    negative, 0 over water (2, e); how far along s an end over the water is from where the edge
    meets it (2, e); and how far the part under water runs along s (e,).
    """
    cos, sin = math.cos(heel_rad), math.sin(heel_rad)
    y, z = lattice.y_m, lattice.z_m
    d = y * sin
    d += z * cos
    d -= h_m - tau * lattice.x_m
    s = y * cos
    s -= z * sin
    size = np.abs(d)
    under, slope = d - size, d[1] - d[0]
    level = np.abs(slope) <= lattice.level_rise_m
    if level.any():
        slope[level] = np.inf
    slope *= 2.0
    ds = s[1] - s[0]
    np.divide(ds, slope, out=slope)
    d += size
    d *= slope
    ds -= d[1]
    ds += d[0]
    return s, under, d, ds


def section_m2(
    lattice: Lattice, heel_rad: float, h_m: float, tau: float, counted: Array
) -> tuple[Array, Array]:
    """x (n,) m of the sections and (n,) m² immersed in each by one water plane."""
    x_m, place = lattice.sections
    _, under, _, run = _cut(lattice, heel_rad, h_m, tau)
    each = -0.25 * run * (under[0] + under[1]) * (lattice.signs @ counted[0])
    area: Array = np.bincount(place, weights=each, minlength=len(x_m)).astype(float)
    return x_m, area


def immersed(
    lattice: Lattice, heel_rad: float, h_m: float, tau: float, counted: Array
) -> tuple[Immersion, Sideways]:
    """All integrals (k = 1) under one water plane, groups counted (1, g): as `TurnedSections` has
    them, in as few steps as there can be, for a search that looks at each attitude once.
    """
    s, (u0, u1), rise, run_over = _cut(lattice, heel_rad, h_m, tau)
    each = np.empty((6, len(run_over)))
    run, area, depth, first_s, chord_s, chord_ss = each
    deep = u0 + u1
    np.multiply(run_over, deep < 0.0, out=run)
    s -= rise
    s0, s1 = s
    reach, run_u0, run_s1 = s0 + s1, run * u0, run * s1
    np.multiply(run, deep, out=area)
    np.multiply(run, reach, out=chord_s)
    np.subtract(area * deep, run_u0 * u1, out=depth)
    np.subtract(chord_s * reach, run_s1 * s0, out=chord_ss)
    np.multiply(chord_s, deep, out=first_s)
    first_s += run_u0 * s0
    first_s += run_s1 * u1
    of_x = (each @ lattice.moments_m.T).reshape(6, 3, -1) @ counted[0]  # by x^n
    a, ax, axx = of_x[0]
    v, vx = -0.25 * of_x[1, 0], -0.25 * of_x[1, 1]
    ve = h_m * v - tau * vx - of_x[2, 0] / 24.0
    vs, a_s, axs, ass = of_x[3, 0] / -12.0, 0.5 * of_x[4, 0], 0.5 * of_x[4, 1], of_x[5, 0] / 3.0
    return (
        Immersion(*np.array([v, vx, ve, a, ax, axx])[:, None]),
        Sideways(*np.array([vs, a_s, axs, ass])[:, None]),
    )
