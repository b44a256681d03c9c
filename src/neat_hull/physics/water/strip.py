"""Weight along the boat, against the lift of the water: where the load curve comes from."""

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.water.hydrostatics import Settled

BIN_M = 0.1


def bin_edges_m(x_aft_m: float, x_fwd_m: float) -> Array:
    """Edges of bins of 10 cm counted from the bow, the last one reaching past the stern."""
    count = int(np.ceil((x_fwd_m - x_aft_m) / BIN_M - 1e-9))
    edges: Array = x_fwd_m - BIN_M * np.arange(count, -1.0, -1.0)
    return edges


def spread(edges_m: Array, mass_kg: Array, aft_m: Array, fwd_m: Array) -> Array:
    """(n, bins) kg: masses (n,) laid evenly from aft to fwd, cut at the bins' edges.

    What stands out past the outermost edges counts to the outermost bins, so that sums hold.
    """
    fwd = np.maximum(fwd_m, aft_m + 1e-6)
    share = np.clip((edges_m[None, :] - aft_m[:, None]) / (fwd - aft_m)[:, None], 0.0, 1.0)
    share[:, 0], share[:, -1] = 0.0, 1.0
    parts: Array = np.diff(share, axis=1) * mass_kg[:, None]
    return parts


def hull_spread(edges_m: Array, mass_kg: float, lcg_m: float, aft_m: float, fwd_m: float) -> Array:
    """(bins,) kg: the bare hull's own weight, a straight-line distribution with the given LCG.

    A trapezoid along the length has the right sum and centre for an LCG in the middle third.
    """
    length, middle = fwd_m - aft_m, (aft_m + fwd_m) / 2
    lean = np.clip(12 * (lcg_m - middle) / length, -2.0, 2.0)
    at = (np.clip(edges_m, aft_m, fwd_m) - middle) / length
    binned: Array = mass_kg * np.diff(at + lean * at * at / 2)
    return binned


def lift_per_m(settled: Settled) -> tuple[Array, Array]:
    """x (n,) m and lift (n,) kg per m of length of a boat at rest, wells taken away."""
    x, area = settled.section_m2
    return x, settled.water_density_kg_m3 * area
