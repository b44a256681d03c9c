"""The boat of an evaluated setup at rest: let go, held upright, and heeled."""

from dataclasses import dataclass

import numpy as np

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.heels import HEEL_RAD
from neat_hull.physics.water.hydrostatics import Equilibrium, RightingCurve, Settled, Upright
from neat_hull.rig.evaluated import Evaluated

CURVE_DEG = np.degrees(HEEL_RAD)  # to 60°: past that nobody is still sitting in it
_LEVEL_RAD = np.radians(0.1)  # a heel under this leaves no side lower than the other


@dataclass(frozen=True, eq=False)
class AtRest:
    """Every figure of the boat at rest; curve is its righting curve at CURVE_DEG."""

    settled: Settled
    equilibrium: Equilibrium
    upright: Upright
    curve: RightingCurve


def at_rest(ev: Evaluated) -> AtRest | None:
    """The boat at rest; None where it goes under or rolls over, see `trouble`."""
    found = ev.once(_settle)
    return found if isinstance(found, AtRest) else None


def trouble(ev: Evaluated) -> DoesNotFloat | NoBalance | None:
    """Why the boat is not at rest anywhere; None where it is."""
    found = ev.once(_settle)
    return None if isinstance(found, AtRest) else found


def deepest_at(rest: Equilibrium) -> str:
    """Where water stands deepest on a floor: at the low end, on the low side."""
    end = "aft" if rest.trim_rad >= 0 else "forward"
    side = "to starboard" if rest.heel_rad > 0 else "to port"
    return end if abs(rest.heel_rad) < _LEVEL_RAD else f"{end}, {side}"


def _settle(ev: Evaluated) -> AtRest | DoesNotFloat | NoBalance:
    rigged, before = ev.rigged, at_rest(ev.before) if ev.before is not None and ev.near else None
    try:
        settled, curve = hydrostatics.settle_with_curve(
            rigged.floating,
            rigged.loads,
            rigged.water_density_kg_m3,
            HEEL_RAD,
            None if before is None else before.settled,
        )
    except (DoesNotFloat, NoBalance) as error:
        return error
    return AtRest(settled, hydrostatics.equilibrium(settled), hydrostatics.upright(settled), curve)
