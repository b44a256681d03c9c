"""Wave resistance by Michell's integral over the wet body.

J. H. Michell, Phil. Mag. 45, 1898; by parts in x as E. O. Tuck, J. Ship Res. 33, 1989: a volume
integral, which takes any section, trim and list. A wet end carries dead water, a tail that shrinks
to nothing over four times the root of its area (ours): a closed flat face gives several times the
resistance that is measured.
"""

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.wet_body import WetBody
from neat_hull.physics.water.gravity import GRAVITY_M_S2

TAIL_LENGTHS = 4.0  # of the root of the end's wet area
_MOST_LAMBDA, _RADIANS, _GAUSS = 12.0, 6.0, 8
_LEAST_FROUDE = 0.05  # slower there are hardly waves, and ever more of λ to look at
_SMALL = 1e-3  # phases under it are taken as none

Complex = NDArray[np.complex128]


def wave_n(body: WetBody, speed_m_s: float, density_kg_m3: float) -> float:
    """R = ρg⁴/(πU⁶)·∫|A|²·λ⁴/√(λ²−1) dλ, N."""
    k0 = GRAVITY_M_S2 / speed_m_s**2
    if body.wet_length_m <= 0 or k0 * body.wet_length_m > _LEAST_FROUDE**-2:
        return 0.0
    lam, weight = _lambdas(k0 * body.wet_length_m)
    amplitude = _amplitude(body, k0, lam)
    power = (amplitude.real**2 + amplitude.imag**2) * lam**4
    factor = density_kg_m3 * GRAVITY_M_S2**4 / (np.pi * speed_m_s**6)
    return float(factor * (power * weight).sum())


def _lambdas(k0_length: float) -> tuple[Array, Array]:
    """λ = cosh t at Gauss points of panels in t over which k₀Lλ grows by a few radians."""
    panels = max(8, int(np.ceil(k0_length * (_MOST_LAMBDA - 1) / _RADIANS)))
    # Even steps in t at first, where λ hardly grows, and even steps in λ after.
    ends = np.unique(
        np.concatenate(
            (
                np.arccosh(np.linspace(1.0, _MOST_LAMBDA, panels + 1)),
                np.linspace(0.0, 1.0, 9),
            )
        )
    )
    at, w = np.polynomial.legendre.leggauss(_GAUSS)
    half, middle = np.diff(ends) / 2, (ends[1:] + ends[:-1]) / 2
    t = (middle[:, None] + half[:, None] * at).ravel()
    return np.cosh(t), (half[:, None] * w).ravel()


def _amplitude(body: WetBody, k0: float, lam: Array) -> Complex:
    """A(λ) = ∫exp(k₀λ²ζ + i·k₀λξ)dV, with ξ = x·√(1 + τ²) − τζ."""
    plane = body.plane
    wave = k0 * lam * plane.stretch  # rad a metre of x
    sections = _sections(body, k0 * lam**2 - 1j * k0 * lam * plane.tau)
    total = _along(body.x_m, sections, wave)
    for end, way in ((0, -1.0), (-1, 1.0)):
        area = body.ends_m2[end]
        if area > 0:
            tail = _tail(way * wave, TAIL_LENGTHS * np.sqrt(area))
            total += sections[:, end] * tail * np.exp(1j * wave * body.x_m[end])
    return total


def _sections(body: WetBody, rate: Complex) -> Complex:
    """(l, n): ∬exp(κζ) over each section, κ (l,): A(0) − κ·∫exp(κζ)·A(ζ)dζ, A straight between
    levels."""
    depth = body.level_m
    kappa = rate[:, None]
    falls = np.exp(-kappa * depth)  # (l, k)
    step = np.diff(depth)
    # ∫ over a step of exp(−κd)·(A₀ + (A₁ − A₀)·u): weights of both ends, exactly.
    q = kappa * step
    small = np.abs(q) < _SMALL
    safe = np.where(small, 1.0, q)
    whole = np.where(small, step * (1 - q / 2), step * (1 - np.exp(-q)) / safe)
    far = np.where(small, step * (0.5 - q / 3), step * (1 - np.exp(-q) * (1 + q)) / safe**2)
    weights = np.zeros_like(falls)
    weights[:, :-1] += falls[:, :-1] * (whole - far)
    weights[:, 1:] += falls[:, :-1] * far
    # Area under depth d is what lies below that plane.
    found: Complex = body.under_m2[:, 0] - (kappa * weights) @ body.under_m2.T
    return found


def _along(x: Array, values: Complex, wave: Array) -> Complex:
    """(l,): ∫f(x)·exp(i·wave·x)dx with f (l, n) quadratic over each pair of spans (Filon, 1928)."""
    a, m, b = values[:, 0:-2:2], values[:, 1:-1:2], values[:, 2::2]
    half, middle = (x[2::2] - x[0:-2:2]) / 2, x[1:-1:2]
    theta = wave[:, None] * half
    small = np.abs(theta) < 0.05
    safe = np.where(small, 1.0, theta)
    sin, cos = np.sin(safe), np.cos(safe)
    j0 = np.where(small, 2 - theta**2 / 3, 2 * sin / safe)
    j1 = np.where(small, 2 * theta / 3 - theta**3 / 15, 2 * (sin - safe * cos) / safe**2)
    j2 = np.where(small, 2 / 3 - theta**2 / 5, 2 * ((safe**2 - 2) * sin + 2 * safe * cos) / safe**3)
    each = (
        half
        * np.exp(1j * wave[:, None] * middle)
        * (m * j0 + 1j * (b - a) / 2 * j1 + ((a + b) / 2 - m) * j2)
    )
    found: Complex = each.sum(axis=1)
    return found


def _tail(wave: Array, length_m: float) -> Complex:
    """∫(1 − t/ℓ)·exp(i·q·t)dt from 0 to ℓ."""
    small = np.abs(wave * length_m) < _SMALL
    q = np.where(small, 1.0, wave)
    exact = 1j / q - (np.exp(1j * q * length_m) - 1) / (q**2 * length_m)
    found: Complex = np.where(small, length_m / 2, exact)
    return found
