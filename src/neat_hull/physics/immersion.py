"""What of the hull is under a given water plane: exact section clipping, integrated along x.

In a section the axes are turned with the heel, so that nothing is singular at 90°:
s = y·cos φ − z·sin φ lies along the water, e = y·sin φ + z·cos φ stands off it, and the height of a
point over the water is d = e + τ·x − h, with τ = tan θ·cos φ and h = c·cos φ. Derivation:
docs/physics.md, "Immersed volume".
"""

from dataclasses import dataclass, fields

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.lattice import Lattice, Rings


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

    def __add__(self, other: "Immersion") -> "Immersion":
        return Immersion(*_sums(self, other))

    def row(self, at: slice) -> "Immersion":
        """Some of the attitudes."""
        return Immersion(*(getattr(self, f.name)[at] for f in fields(self)))


@dataclass(frozen=True, eq=False)
class Sideways:
    """The integrals that heel depends on: vs = ∫s dV (m⁴), as_ (m³), axs and ass (m⁴)."""

    vs: Array
    as_: Array
    axs: Array
    ass: Array

    def __add__(self, other: "Sideways") -> "Sideways":
        return Sideways(*_sums(self, other))

    def row(self, at: slice) -> "Sideways":
        """Some of the attitudes."""
        return Sideways(*(getattr(self, f.name)[at] for f in fields(self)))


def _sums(one: Immersion | Sideways, other: Immersion | Sideways) -> list[Array]:
    return [getattr(one, f.name) + getattr(other, f.name) for f in fields(one)]


class TurnedSections:
    """The rings of a lattice seen at k heels, ready for many water planes.

    Holds its own scratch arrays, since fresh large ones cost more than the arithmetic; so one
    object serves one thread.
    """

    def __init__(self, lattice: Lattice, heel_rad: Array) -> None:
        self._parts = [_TurnedRings(part, heel_rad) for part in lattice.parts]

    def immerse(self, h_m: Array, tau: Array, weights_m: tuple[Array, ...]) -> Immersion:
        """Integrate what lies under the planes d = 0 with h (k,), τ (k,), weights by part."""
        first, *rest = (
            part.immerse(h_m, tau, w) for part, w in zip(self._parts, weights_m, strict=True)
        )
        return sum(rest, first)

    def sideways(self, weights_m: tuple[Array, ...]) -> Sideways:
        """The moments along s under the planes that `immerse` was last asked for."""
        first, *rest = (part.sideways(w) for part, w in zip(self._parts, weights_m, strict=True))
        return sum(rest, first)

    def section_m2(self) -> tuple[Array, ...]:
        """(k, s) m² immersed area of each ring by part, under the planes last asked for."""
        return tuple(part.area for part in self._parts)


class _TurnedRings:
    """One part of `TurnedSections`; arrays are (p+1, k·s) over vertices, (p, k·s) over edges."""

    def __init__(self, rings: Rings, heel_rad: Array) -> None:
        self.x_m = rings.x_m
        self._powers = np.stack((np.ones_like(rings.x_m), rings.x_m, rings.x_m**2))
        self.shape = (len(heel_rad), len(rings.x_m))
        cos, sin = np.cos(heel_rad)[None, :, None], np.sin(heel_rad)[None, :, None]
        y, z = rings.y_m[:, None, :], rings.z_m[:, None, :]
        flat = (len(rings.y_m), -1)
        self._e = (y * sin + z * cos).reshape(flat)
        self._s = (y * cos - z * sin).reshape(flat)
        self._ds = self._s[1:] - self._s[:-1]
        rise = self._e[1:] - self._e[:-1]
        level = rise == 0.0
        np.copyto(rise, np.inf, where=level)
        self._slope = self._ds / rise  # 0 where the edge lies along the water
        self._under, self._lift = np.empty_like(self._e), np.empty_like(self._e)
        self._run, self._depth, self._wet = rise, np.empty_like(rise), level
        self.area = np.zeros(self.shape)

    def immerse(self, h_m: Array, tau: Array, weight_m: Array) -> Immersion:
        """Green's theorem on each clipped ring, with integrands that vanish on d = 0.

        The closing edge along the water then adds nothing, so no ring is rebuilt and any simple
        polygon is exact.
        """
        water_e = h_m[:, None] - tau[:, None] * self.x_m
        d = np.subtract(self._e, water_e.ravel(), out=self._lift)
        under = np.minimum(d, 0.0, out=self._under)
        lift = np.subtract(under, d, out=self._lift)
        d0, d1 = under[:-1], under[1:]
        run = np.subtract(lift[1:], lift[:-1], out=self._run)
        run *= self._slope
        run += self._ds
        depth = np.add(d0, d1, out=self._depth)
        run *= np.less(depth, 0.0, out=self._wet)  # a dry edge has no run, whatever the rounding
        chord = run.sum(axis=0).reshape(self.shape)
        first_d = np.einsum("pk,pk,pk->k", run, depth, depth)
        first_d -= np.einsum("pk,pk,pk->k", run, d0, d1)
        self.area = area = -0.5 * np.einsum("pk,pk->k", run, depth).reshape(self.shape)
        lift_e = water_e * area - first_d.reshape(self.shape) / 6.0
        along = self._along(weight_m, area, lift_e, chord)
        return Immersion(
            v_m3=along[:, 0, 0],
            vx=along[:, 1, 0],
            ve=along[:, 0, 1],
            a=along[:, 0, 2],
            ax=along[:, 1, 2],
            axx=along[:, 2, 2],
        )

    def sideways(self, weight_m: Array) -> Sideways:
        """Moments along s, from the scratch arrays that `immerse` filled."""
        run, depth, under = self._run, self._depth, self._under
        s0 = self._s[:-1] + self._slope * self._lift[:-1]
        s1 = self._s[1:] + self._slope * self._lift[1:]
        reach = s0 + s1
        chord_s = 0.5 * np.einsum("pk,pk->k", run, reach)
        chord_ss = np.einsum("pk,pk,pk->k", run, reach, reach)
        chord_ss -= np.einsum("pk,pk,pk->k", run, s0, s1)
        first_s = np.einsum("pk,pk,pk->k", run, reach, depth)
        s0 *= under[:-1]
        s1 *= under[1:]
        first_s += np.einsum("pk,pk->k", run, np.add(s0, s1, out=s0))
        along = self._along(
            weight_m, *(each.reshape(self.shape) for each in (first_s, chord_s, chord_ss))
        )
        return Sideways(
            vs=along[:, 0, 0] / -6.0,
            as_=along[:, 0, 1],
            axs=along[:, 1, 1],
            ass=along[:, 0, 2] / 3.0,
        )

    def _along(self, weight_m: Array, *sections: Array) -> Array:
        """(k, 3, n): integrals along x of 1, x and x² times each of n section figures (k, s)."""
        powers = weight_m[:, None, :] * self._powers
        integrals: Array = powers @ np.stack(sections, axis=2)
        return integrals
