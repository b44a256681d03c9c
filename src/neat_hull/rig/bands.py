"""How sure the figures are: the evidence of each weight and of the hull, carried to each result.

Independent errors add in squares; each figure's slope with each weight is that of small changes
(docs/physics.md, "Bands"). The true figure lies within its band about nineteen times of twenty, if
the shares below are right.
"""

from dataclasses import dataclass
from math import degrees, hypot

import numpy as np

from neat_hull.model.boat import Evidence
from neat_hull.model.evidence import Bands, WeighFirst
from neat_hull.physics.arrays import Array
from neat_hull.physics.water import hydrostatics
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.hulls import as_tested
from neat_hull.rig.rigging import Rigged
from neat_hull.rig.settling import at_rest

# Share of a weight that it may be off, by where it comes from: our own judgement. A scale is right
# to a per cent or its last digit, a label leaves out straps and batteries, a guess is a guess.
OFF_SHARE: dict[Evidence, float] = {"weighed": 0.01, "label": 0.07, "guess": 0.25}
LEAST_OFF_KG = 0.02

# How far a hull from a tape may be off, before and after a float test: shares of draft and of BM,
# and the trim that an asymmetry fore and aft comes to. Our own judgement, from re-lofting the same
# measures with other bottoms and chines.
TAPE = {"draft_share": 0.10, "bm_share": 0.10, "trim_deg": 0.4}
FLOATED = {"draft_share": 0.04, "bm_share": 0.06, "trim_deg": 0.15}
HULL_VCG_M = 0.03  # the bare hull's own centre of gravity, as long as nobody tilted it
TWO_READINGS = 0.10  # of GM: two tilt readings leave no residual to judge by
# Of GM, however well the readings lie on a line: the jug is weighed to a per cent, its distance off
# the middle measured to a centimetre in thirty or forty.
LEAST_TILT_SHARE = 0.03


_FIRST = 3  # weights to take before others


@dataclass(frozen=True, eq=False)
class _Slopes:
    """Change of each figure per kg of each load (n,)."""

    trim_deg: Array
    list_deg: Array
    gm_m: Array


def bands(ev: Evaluated) -> Bands | None:
    """± of each figure, and which weights to take first to narrow them; None where it sinks."""
    rest, rigged = at_rest(ev), ev.rigged
    if rest is None:
        return None
    settled, up = rest.settled, rest.upright
    off, slopes = _off_kg(rigged), _slopes(settled, up)
    boat = as_tested(rigged.setup.boat)
    floated = boat.calibration.float_test
    hull = FLOATED if floated is not None and floated.used else TAPE
    sinkage_m = float(np.linalg.norm(off)) / up.kg_per_cm_immersion / 100
    gm_hull = _gm_of_hull(rigged, up, hull["bm_share"])
    list_share = gm_hull / max(abs(up.gm_m), 0.01)
    list_now = abs(degrees(settled.rest.heel_rad[0]))
    trim, list_, gm = (
        float(np.linalg.norm(off * slope))
        for slope in (slopes.trim_deg, slopes.list_deg, slopes.gm_m)
    )
    return Bands(
        carried_kg=float(np.linalg.norm(off[1:])),
        draft_m=hypot(hull["draft_share"] * _draft_m(settled), sinkage_m),
        trim_deg=hypot(hull["trim_deg"], trim),
        list_deg=hypot(list_share * list_now, list_),
        gm_m=hypot(gm_hull, gm),
        trim_by_weights_deg=trim,
        list_by_weights_deg=list_,
        gm_by_weights_m=gm,
        hull="estimate" if hull is TAPE and not _tilted(rigged) else "calibrated",
        weigh_first=_weigh_first(rigged, off, slopes),
    )


def _draft_m(settled: hydrostatics.Settled) -> float:
    return hydrostatics.drafts_m(settled.floating.hull, settled.rest)[1]


def _tilted(rigged: Rigged) -> bool:
    tilt = rigged.setup.boat.calibration.tilt_test
    return tilt is not None and tilt.used and tilt.gm_m is not None


def _gm_of_hull(rigged: Rigged, up: hydrostatics.Upright, bm_share: float) -> float:
    """± of GM that the hull's shape and its own centre leave, in m."""
    tilt = rigged.setup.boat.calibration.tilt_test
    if tilt is not None and tilt.used and tilt.gm_m is not None:
        if tilt.gm_se_m is None:
            return TWO_READINGS * tilt.gm_m
        return max(2 * tilt.gm_se_m, LEAST_TILT_SHARE * tilt.gm_m)
    boat = as_tested(rigged.setup.boat)
    return hypot(bm_share * up.bm_m, HULL_VCG_M * boat.hull_mass_kg / rigged.loads.total_kg)


def _off_kg(rigged: Rigged) -> Array:
    """(n,) kg: how far each load may be off; lost volumes are no weights."""
    setup, boat = rigged.setup, as_tested(rigged.setup.boat)
    known: list[tuple[float, Evidence]] = [
        (boat.hull_mass_kg, boat.hull_evidence),
        (setup.angler.mass_kg, setup.angler.evidence),
    ]
    things = [setup.things[s.thing_id] for s in rigged.stowed]
    known += [(thing.mass_now_kg, thing.evidence) for thing in things]
    off = [max(OFF_SHARE[evidence] * mass, LEAST_OFF_KG) for mass, evidence in known]
    return np.pad(np.array(off), (0, len(rigged.loads.mass_kg) - len(off)))


def _slopes(settled: hydrostatics.Settled, up: hydrostatics.Upright) -> _Slopes:
    """By small changes: θ by x off the LCF, φ by y, GM by z and by how KM falls with weight."""
    loads, mass_kg = settled.loads, settled.loads.total_kg
    x, y, z = loads.at_m.T
    # Wall-sided for a small change: the layer added lifts at the waterline, and BM is I/V.
    waterline_m = _draft_m(settled)
    km_by_kg = (waterline_m - up.kb_m) / mass_kg - up.bm_m / mass_kg
    gm = max(abs(up.gm_m), 0.01)
    return _Slopes(
        trim_deg=np.degrees((up.lcf_m - x) / (mass_kg * up.gm_l_m)),
        list_deg=np.degrees(-y / (mass_kg * gm)),
        gm_m=km_by_kg - (z - up.kg_m) / mass_kg,
    )


def _weigh_first(rigged: Rigged, off: Array, slopes: _Slopes) -> list[WeighFirst]:
    """The few loads not yet weighed that take up most of the bands, with their share."""
    parts = np.zeros_like(off)
    for slope in (np.ones_like(off), slopes.trim_deg, slopes.list_deg, slopes.gm_m):
        square = (off * slope) ** 2
        parts += square / max(float(square.sum()), 1e-12) / 4
    setup, boat = rigged.setup, as_tested(rigged.setup.boat)
    names: list[tuple[str, int | None, Evidence]] = [
        ("the boat", None, boat.hull_evidence),
        (setup.angler.name, None, setup.angler.evidence),
    ]
    for stowed in rigged.stowed:
        thing = setup.things[stowed.thing_id]
        names.append((thing.name, stowed.thing_id, thing.evidence))
    unweighed = [i for i, (_, _, evidence) in enumerate(names) if evidence != "weighed"]
    unweighed.sort(key=lambda i: -float(parts[i]))
    return [
        WeighFirst(name=names[i][0], thing_id=names[i][1], share=float(parts[i]))
        for i in unweighed[:_FIRST]
    ]
