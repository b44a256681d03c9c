"""Which fuse and which wire would do: the smallest of each that keeps all the limits."""

from neat_hull.model.power import Conductor
from neat_hull.model.power_figures import ConductorFigure
from neat_hull.physics.circuits.tables import AWG_LISTED, BLOCK_V, ampacity_a, awg_mm2, loop_ohm
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power import typical
from neat_hull.subjects.power.conductors import FUSE_ROOM

# Blade fuses as they are sold, A.
FUSES_A = (1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 70, 80, 100)
THIN_MM2 = 0.75  # below, a wire breaks before it burns; AWG 18 passes
_THIN_AWG = 18


def fuse_for(full_a: float, carries_a: float) -> float | None:
    """The smallest that is not tight and keeps the wire; None where a thicker wire is wanted."""
    return next((a for a in FUSES_A if FUSE_ROOM * full_a <= a <= carries_a), None)


def is_thin(one: Conductor) -> bool:
    """Whether it is thinner than wires are taken outside a sheath."""
    if one.awg is not None:
        return one.awg > _THIN_AWG
    return one.area_mm2 is not None and one.area_mm2 < THIN_MM2


def gauge_for(
    ev: Evaluated, figure: ConductorFigure, spare_v: float, new: Conductor | None = None
) -> int | None:
    """The thinnest listed gauge that loses no more than spare_v, carries what hangs on it, and
    that a fuse keeps; None where none does. `new` is the wire where there is none yet."""
    one = new or ev.setup.power.conductors[figure.key]
    hot = any(ev.rigged.placing.covered(i) for i in (one.start, one.end))
    around = typical.HOT_HULL_C if hot else typical.AROUND_C
    guard = figure.guard_fuse_a or FUSE_ROOM * figure.full_a
    for awg in sorted(AWG_LISTED, reverse=True):
        if awg > _THIN_AWG:
            continue
        ohm = loop_ohm(awg_mm2(awg), figure.length_m, ev.setup.power.air_c)
        drop = figure.full_a * (ohm + typical.joints_ohm(one))
        carries = ampacity_a(awg, None, one.insulation_c, around, one.bundled)
        if drop <= spare_v and carries >= max(figure.full_a, guard):
            return awg
    return None


def thicker_awg(ev: Evaluated, figure: ConductorFigure) -> int | None:
    """The thinnest that would do, whatever it loses on the way."""
    return gauge_for(ev, figure, BLOCK_V)


def thicker(ev: Evaluated, figure: ConductorFigure) -> str:
    """The same in words."""
    awg = thicker_awg(ev, figure)
    return "a thicker wire" if awg is None else f"AWG {awg}"
