"""Wave resistance by Michell's integral over the wet body.

J. H. Michell, Phil. Mag. 45, 1898; by parts in x as E. O. Tuck, J. Ship Res. 33, 1989: a volume
integral, which takes any section, trim and list. A wet end carries dead water, a tail that shrinks
to nothing over four times the root of its area (ours): a closed flat face gives several times the
resistance that is measured.
"""

from dataclasses import dataclass
from functools import cache

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.wet_body import WetBody
from neat_hull.physics.water.gravity import GRAVITY_M_S2

TAIL_LENGTHS = 4.0  # of the root of the end's wet area
_LEAST_FROUDE = 0.05  # slower there are hardly waves, and ever more of λ to look at
_AT_REST_M_S = 1e-3
_SMALL = 1e-3  # phases under it are taken as none

Complex = NDArray[np.complex128]


@dataclass(frozen=True)
class Quadrature:
    """How the integral over λ is taken: up to where, the radians of k₀Lλ in a panel, and Gauss
    points in it. sunk: λ ends where k₀λ² times the depth of the body is so much, where that is
    sooner; what lies that deep makes no waves that short. least: it never ends sooner than there.
    """

    most: float
    radians: float
    points: int
    sunk: float = np.inf
    least: float = 1.0

    def lambdas(self, k0_length: float, k0_depth: float) -> tuple[Array, Array]:
        """λ = cosh t at Gauss points of panels in t over which k₀Lλ grows by a few radians."""
        most = max(self.least, min(self.most, float(np.sqrt(self.sunk / max(k0_depth, 1e-9)))))
        panels = max(8, int(np.ceil(k0_length * (most - 1) / self.radians)))
        # Even steps in t at first, where λ hardly grows, and even steps in λ after.
        ends = np.unique(
            np.concatenate((np.arccosh(np.linspace(1.0, most, panels + 1)), np.linspace(0, 1, 9)))
        )
        at, w = _gauss(self.points)
        half, middle = np.diff(ends) / 2, (ends[1:] + ends[:-1]) / 2
        t = (middle[:, None] + half[:, None] * at).ravel()
        return np.cosh(t), (half[:, None] * w).ravel()


CONVERGED = Quadrature(12.0, 6.0, 8)


@cache
def _gauss(points: int) -> tuple[Array, Array]:
    """Gauss points and weights on −1 to 1: to find them takes longer than to use them."""
    at, weight = np.polynomial.legendre.leggauss(points)
    return at, weight


def wave_n(body: WetBody, speed_m_s: float, density_kg_m3: float) -> float:
    """At one speed, converged, N."""
    return float(waves_n(body, np.array([speed_m_s]), density_kg_m3)[0])


def waves_n(
    body: WetBody, speed_m_s: Array, density_kg_m3: float, quadrature: Quadrature = CONVERGED
) -> Array:
    """(n,) N at speeds (n,): R = ρg⁴/(πU⁶)·∫|A|²·λ⁴/√(λ²−1) dλ."""
    k0 = GRAVITY_M_S2 / np.maximum(speed_m_s, _AT_REST_M_S) ** 2
    found = np.zeros(len(speed_m_s))
    told = np.flatnonzero(k0 * body.wet_length_m <= _LEAST_FROUDE**-2)
    if body.wet_length_m <= 0 or len(told) == 0:
        return found
    depth = float(body.level_m[-1])
    rows = [quadrature.lambdas(k * body.wet_length_m, k * depth) for k in k0[told]]
    first = np.cumsum([0, *(len(lam) for lam, _ in rows[:-1])])
    lam, weight = (np.concatenate([row[n] for row in rows]) for n in (0, 1))
    amplitude = _amplitude(body, np.repeat(k0[told], [len(one) for one, _ in rows]), lam)
    power = (amplitude.real**2 + amplitude.imag**2) * lam**4 * weight
    factor = density_kg_m3 * GRAVITY_M_S2**4 / (np.pi * speed_m_s[told] ** 6)
    found[told] = factor * np.add.reduceat(power, first)
    return found


class Waves:
    """The waves of one body in one water; what a speed comes to is kept, for several searches for
    a speed take the same steps."""

    def __init__(self, body: WetBody, density_kg_m3: float) -> None:
        self._body, self._density_kg_m3 = body, density_kg_m3
        self._known: dict[float, float] = {}

    def at(self, speed_m_s: Array) -> Array:
        """As `waves_n`, converged."""
        speeds = speed_m_s.tolist()
        new = [speed for speed in dict.fromkeys(speeds) if speed not in self._known]
        if new:
            found = waves_n(self._body, np.array(new), self._density_kg_m3)
            self._known.update(zip(new, found.tolist(), strict=True))
        return np.array([self._known[speed] for speed in speeds])


def _amplitude(body: WetBody, k0: Array, lam: Array) -> Complex:
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
    """(l, n): ∬exp(κζ) over each section, κ (l,): A(0) − κ·∫exp(−κd)·A(d)dd, A straight between
    levels: its slope times ∫exp(−κd) over each step, by parts."""
    depth = body.level_m
    kappa = rate[:, None]
    falls = np.exp(-kappa.real * depth) * _turns(-kappa.imag * depth)  # (l, k)
    # A(0) − κ∫e^(−κd)A = A(last)·e^(−κ·last) − ∫e^(−κd)·A′dd, and A(last) is nothing.
    fell = (falls[:, :-1] - falls[:, 1:]) / kappa
    slope = np.diff(body.under_m2, axis=1) / np.diff(depth)
    found: Complex = falls[:, -1:] * body.under_m2[:, -1] - fell @ slope.T
    return found


def _along(x: Array, values: Complex, wave: Array) -> Complex:
    """(l,): ∫f(x)·exp(i·wave·x)dx with f (l, n) quadratic over each pair of spans (Filon, 1928)."""
    a, m, b = values[:, 0:-2:2], values[:, 1:-1:2], values[:, 2::2]
    half, middle = (x[2::2] - x[0:-2:2]) / 2, x[1:-1:2]
    each, which = np.unique(np.round(half, 9), return_inverse=True)
    theta = wave[:, None] * each
    small = np.abs(theta) < 0.05
    safe = np.where(small, 1.0, theta)
    sin, cos = np.sin(safe), np.cos(safe)
    j0 = np.where(small, 2 - theta**2 / 3, 2 * sin / safe) * each
    j1 = np.where(small, 2 * theta / 3 - theta**3 / 15, 2 * (sin - safe * cos) / safe**2) * each
    j2 = each * np.where(
        small, 2 / 3 - theta**2 / 5, 2 * ((safe**2 - 2) * sin + 2 * safe * cos) / safe**3
    )
    if len(each) > 1:
        j0, j1, j2 = j0[:, which], j1[:, which], j2[:, which]
    spans = m * j0 + 0.5j * (b - a) * j1 + ((a + b) / 2 - m) * j2
    found: Complex = np.einsum("ln,ln->l", spans, _turns(wave[:, None] * middle))
    return found


def _turns(phase: Array) -> Complex:
    """exp(i·phase): of real sines and cosines, which are found several at once."""
    found = np.empty(phase.shape, dtype=np.complex128)
    np.cos(phase, out=found.real)
    np.sin(phase, out=found.imag)
    return found


def _tail(wave: Array, length_m: float) -> Complex:
    """∫(1 − t/ℓ)·exp(i·q·t)dt from 0 to ℓ."""
    small = np.abs(wave * length_m) < _SMALL
    q = np.where(small, 1.0, wave)
    exact = 1j / q - (np.exp(1j * q * length_m) - 1) / (q**2 * length_m)
    found: Complex = np.where(small, length_m / 2, exact)
    return found
