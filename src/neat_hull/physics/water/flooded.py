"""Water inside the hull: how much, where it weighs, and how it runs."""

from dataclasses import dataclass

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.immersion import TurnedSections

_DAMP = 1e-6  # of the inside: less water lies nowhere in particular


@dataclass(frozen=True)
class Bilge:
    """Water lying level in the hull: its volume, its centre (x, z) and Σ of surface inertia."""

    volume_m3: float
    x_m: float
    z_m: float
    surface_inertia_m4: float


def bilge(floating: FloatingHull, share: float) -> Bilge:
    """Water that fills `share` of the inside of an upright hull, its wells standing out of it."""
    lost = floating.drains[None, :]
    turned = TurnedSections(floating.lattice, np.zeros(1))
    counted = floating.lattice.counted(lost)

    def under(h_m: float) -> float:
        return float(turned.immerse(np.array([h_m]), np.zeros(1), counted).v_m3[0])

    floor, deck = float(floating.level_m[0, 0]), float(floating.level_m[0, -1])
    volume = max(share, _DAMP) * under(deck)
    h = scipy.optimize.brentq(lambda h_m: under(h_m) - volume, floor, deck, xtol=1e-12)
    im = turned.immerse(np.array([h]), np.zeros(1), counted)
    side = turned.sideways(counted)
    v = float(im.v_m3[0])
    return Bilge(v, float(im.vx[0]) / v, float(im.ve[0]) / v, float(side.ass[0]))


def box_surface_inertia_m4(length_m: float, breadth_m: float) -> float:
    """Second moment of a rectangular water surface about its fore-and-aft axis: l·b³/12."""
    return length_m * breadth_m**3 / 12
