"""How sure the figures are: each thing that is not known, carried to each result.

Weights by their evidence, places by how they come about, the sitter, the bare boat's own centre,
and the hull's shape by what was measured and tested. Independent errors add in squares; each
figure's slope with each of them is that of small changes (docs/uncertainty.md). The true figure
lies within its band about nineteen times of twenty, if the figures below are right.
"""

from dataclasses import dataclass
from math import degrees, hypot
from typing import Literal

import numpy as np

from neat_hull.model.boat import Boat, Evidence, TapeField
from neat_hull.model.calibration import TiltTest
from neat_hull.model.evidence import BandPart, Bands, BandSource, WeighFirst
from neat_hull.physics.arrays import Array
from neat_hull.physics.water import hydrostatics
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.hulls import as_tested
from neat_hull.rig.rigging import Rigged
from neat_hull.rig.settling import at_rest
from neat_hull.rig.typical import MEASURE_NAMES

# Share of a weight that it may be off, by where it comes from: our own judgement. A scale is right
# to a per cent or its last digit, a label leaves out straps and batteries, a guess is a guess.
OFF_SHARE: dict[Evidence, float] = {"weighed": 0.01, "label": 0.07, "guess": 0.25}
LEAST_OFF_KG = 0.02

# How far each may stand from where it is drawn, m along, across and up: our own judgement. Nobody
# sits on the line within a centimetre, and how high a sitter's own centre lies is a table's mean;
# a bare hull is not the same on both sides; gear is set down as exactly as a hand sets it down.
SITTER_OFF_M = np.array([0.025, 0.010, 0.03])
SEAT_ASSUMED_OFF_M = np.array([0.18, 0.010, 0.06])  # where nobody has measured the seat
BARE_OFF_M = np.array([0.08, 0.008, 0.03])
LIFTED_OFF_M = 0.02  # along, once two scales have told where the bare boat balances
GEAR_OFF_M = np.array([0.02, 0.010, 0.016])


@dataclass(frozen=True)
class HullOff:
    """How far a hull may be off: shares of draft and of BM, and the trim that an asymmetry fore and
    aft comes to."""

    draft_share: float
    bm_share: float
    trim_deg: float


# From simulated owners of six families of hull (docs/uncertainty.md): what decides is how broad the
# boat is a hand's breadth over the ground.
TAPE = HullOff(0.15, 0.22, 0.25)
LOW_BEAMS = HullOff(0.07, 0.085, 0.25)
OFFSETS = HullOff(0.04, 0.06, 0.2)
FLOATED = HullOff(0.07, 0.30, 0.2)  # how deep it lies, not how broad
FLOATED_LOW_BEAMS = HullOff(0.05, 0.11, 0.2)
# What a measure that is only assumed typical adds, in squares: from the same owners, who take it
# from `rig.typical` and not from their tape, and a third more, since real boats differ more than
# six families.
ASSUMED: dict[TapeField, HullOff] = {
    "beam_at_m": HullOff(0.01, 0.01, 0.10),
    "beam_fore_quarter_m": HullOff(0.04, 0.12, 0.40),
    "beam_aft_quarter_m": HullOff(0.035, 0.12, 0.36),
    "depth_m": HullOff(0.015, 0.06, 0.02),
    "bow_height_m": HullOff(0.003, 0.003, 0.03),
    "stern_height_m": HullOff(0.003, 0.003, 0.03),
    "rocker_bow_m": HullOff(0.04, 0.005, 0.34),
    "rocker_stern_m": HullOff(0.04, 0.01, 0.41),
    "bottom": HullOff(0.24, 0.17, 0.04),
    "chine": HullOff(0.035, 0.10, 0.01),
}
# Of what BM may be off, what is left to a hull whose GM was measured by tilting it: under another
# load the water stands elsewhere. More, the more the load differs from that of the test.
AFTER_TILT, PER_LOAD = 0.5, 1.0
OLD_TILT_SHARE = 0.10  # of GM: for tilt tests fitted before each told how far it may be off


_MOST = 0.6  # of a band: below that another measure narrows it by little
_FIRST = 3  # weights to take before others


@dataclass(frozen=True, eq=False)
class _Slopes:
    """Change of each figure per kg of each load (n,)."""

    draft_m: Array
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
    parts = [
        _part("weights", *(off * slope for slope in (slopes.draft_m, slopes.trim_deg,
                                                     slopes.list_deg, slopes.gm_m))),
        *_places(rigged, up),
        _own_height(rigged),
        _shape(rigged, settled, up),
    ]  # fmt: skip
    draft, trim, list_, gm = (
        float(np.linalg.norm([getattr(part, name) for part in parts]))
        for name in ("draft_m", "trim_deg", "list_deg", "gm_m")
    )
    # What GM is not known by, a list that is there is not known by either.
    list_now = abs(degrees(settled.rest.heel_rad[0]))
    leaning = list_now * gm / max(abs(up.gm_m), gm, 0.01)
    weights = parts[0]
    return Bands(
        carried_kg=float(np.linalg.norm(off[1:])),
        draft_m=draft,
        trim_deg=trim,
        list_deg=float(np.hypot(list_, leaning)),
        gm_m=gm,
        offset_m=float(np.radians(list_) * max(abs(up.gm_m), 0.01)),
        trim_by_weights_deg=weights.trim_deg,
        list_by_weights_deg=weights.list_deg,
        gm_by_weights_m=weights.gm_m,
        parts=parts,
        hull=_known_by(rigged.setup.boat),
        weigh_first=_weigh_first(rigged, off, slopes),
        measure_next=_measure_next(rigged.setup.boat, parts, gm),
    )  # fmt: skip


def _part(source: BandSource, *each: Array | float) -> BandPart:
    """What independent errors (n,) of one source come to in draft, trim, list and GM."""
    draft, trim, list_, gm = (float(np.linalg.norm(one)) for one in each)
    return BandPart(source=source, draft_m=draft, trim_deg=trim, list_deg=list_, gm_m=gm)


def _places(rigged: Rigged, up: hydrostatics.Upright) -> list[BandPart]:
    """Of the sitter, of gear and of the bare boat's centre: each by its share of the weight."""
    share = rigged.loads.mass_kg / rigged.loads.total_kg
    gm = max(abs(up.gm_m), 0.01)
    lift = rigged.setup.boat.calibration.lift_test
    bare = BARE_OFF_M.copy()
    bare[2] = 0.0  # has a part of its own, which a tilt test takes away
    if lift is not None and lift.used:
        bare[0] = LIFTED_OFF_M
    sitter = SEAT_ASSUMED_OFF_M if rigged.setup.seat.assumed else SITTER_OFF_M
    rows: list[tuple[BandSource, Array, Array]] = [
        ("sitter", share[rigged.rows.angler], sitter),
        ("places", share[rigged.rows.things], GEAR_OFF_M),
        ("bare boat", share[:1], bare),
    ]
    return [
        _part(
            source,
            0.0,
            np.degrees(mass * off[0] / up.gm_l_m),
            np.degrees(mass * off[1] / gm),
            mass * off[2],
        )
        for source, mass, off in rows
    ]


def _own_height(rigged: Rigged) -> BandPart:
    """How high the bare boat's centre lies; where it was tilted, how exactly that was read."""
    boat, loads = rigged.setup.boat, rigged.loads
    tilt = _tilted(boat)
    if tilt is None:
        return _part("own height", 0, 0, 0, BARE_OFF_M[2] * loads.mass_kg[0] / loads.total_kg)
    return _part("tilt test", 0, 0, 0, _tilt_off_m(tilt) * _tested_kg(boat, tilt) / loads.total_kg)


def _shape(rigged: Rigged, settled: hydrostatics.Settled, up: hydrostatics.Upright) -> BandPart:
    """The hull's shape, by what is known of it."""
    boat = rigged.setup.boat
    off, bm_m = hull_off(boat), up.bm_m
    gm = off.bm_share * bm_m
    tilt = _tilted(boat)
    if tilt is not None:
        other = abs(1 - _tested_kg(boat, tilt) / rigged.loads.total_kg)
        gm *= min(1.0, AFTER_TILT + PER_LOAD * other)
    return _part("shape", off.draft_share * _draft_m(settled), off.trim_deg, 0.0, gm)


def hull_off(boat: Boat) -> HullOff:
    """How far a hull may be off, by what of it was measured and tested."""
    low = boat.tape.low_beam_m is not None
    if boat.offsets is not None:
        return OFFSETS
    floated = _floated(boat)
    known, without = (FLOATED_LOW_BEAMS, FLOATED) if floated else (LOW_BEAMS, TAPE)
    off, more = known if low else without, [ASSUMED[field] for field in assumed(boat)]
    if not more:
        return off
    return HullOff(  # how deep it lies a float test has told all the same
        off.draft_share if floated else hypot(off.draft_share, *(m.draft_share for m in more)),
        hypot(off.bm_share, *(m.bm_share for m in more)),
        hypot(off.trim_deg, *(m.trim_deg for m in more)),
    )


def _known_by(boat: Boat) -> Literal["typical", "estimate", "calibrated"]:
    if assumed(boat):
        return "typical"
    return "calibrated" if _floated(boat) or _tilted(boat) else "estimate"


def assumed(boat: Boat) -> list[TapeField]:
    """The measures that its hull rests on and nobody has taken, what matters most to GM first."""
    if boat.offsets is not None:
        return []
    is_so = boat.tape.assumed
    return sorted((f for f in ASSUMED if getattr(is_so, f)), key=lambda f: -ASSUMED[f].bm_share)


def _measure_next(boat: Boat, parts: list[BandPart], gm_m: float) -> str:
    """What of the boat to measure or test, where its shape or its own height are most of GM's ±."""
    worst = max(parts, key=lambda part: part.gm_m)
    if worst.source not in ("shape", "own height") or worst.gm_m < _MOST * gm_m:
        return ""
    first = assumed(boat)
    if first:
        return MEASURE_NAMES[first[0]]
    if boat.offsets is None and boat.tape.low_beam_m is None:
        return "the breadths 10 cm above the ground, amidships and at the quarters"
    return "" if _tilted(boat) else "a tilt test afloat"


def _floated(boat: Boat) -> bool:
    test = boat.calibration.float_test
    return test is not None and test.used and test.fullness_fore is not None


def _tilted(boat: Boat) -> TiltTest | None:
    """The tilt test, where it is used and says something that a hull can have: as docs say, one
    that does not changes nothing."""
    test = boat.calibration.tilt_test
    return test if test is not None and test.used and test.hull_vcg_m is not None else None


def _tilt_off_m(test: TiltTest) -> float:
    """± of the GM that a tilt test found; of one fitted before that was told, what two readings
    were taken for, or two standard errors where that is more."""
    if test.gm_off_m is not None:
        return test.gm_off_m
    return max(OLD_TILT_SHARE * abs(test.gm_m or 0.0), 2 * (test.gm_se_m or 0.0))


def _tested_kg(boat: Boat, test: TiltTest) -> float:
    return as_tested(boat).hull_mass_kg + test.load_kg


def _draft_m(settled: hydrostatics.Settled) -> float:
    return hydrostatics.drafts_m(settled.floating.hull, settled.rest)[1]


def off_kg(evidence: Evidence, mass_kg: float) -> float:
    """How far a weight may be off, by where it comes from."""
    return max(OFF_SHARE[evidence] * mass_kg, LEAST_OFF_KG)


def _off_kg(rigged: Rigged) -> Array:
    """(n,) kg: how far each load may be off; lost volumes are no weights."""
    setup, boat = rigged.setup, as_tested(rigged.setup.boat)
    known: list[tuple[float, Evidence]] = [
        (boat.hull_mass_kg, boat.hull_evidence),
        (setup.angler.mass_kg, setup.angler.evidence),
    ]
    things = [setup.things[s.thing_id] for s in rigged.stowed]
    known += [(thing.mass_now_kg, thing.evidence) for thing in things]
    off = [off_kg(evidence, mass) for mass, evidence in known]
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
        draft_m=np.full_like(x, 0.01 / up.kg_per_cm_immersion),
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
