"""What is typical of a fishing kayak, where its owner has not measured it yet.

Proportions are our own judgement, the middle of what such boats are; how far one of them may be off
is in `rig.bands`.
"""

from neat_hull.model.base import Model
from neat_hull.model.boat import Boat, Bottom, Chine, TapeField, TapeMeasures
from neat_hull.model.setup import SeatPlace

# Shares of the length: where the widest place is, from the bow; the corner of the seat, from the
# stern. Of the beam: the beams at the quarters, and depth on top of which, or in which, one sits.
WIDEST_AT, SEAT_AT = 0.52, 0.39
FORE_QUARTER, AFT_QUARTER = 0.77, 0.86
DEPTH_ON_TOP, DEPTH_SIT_IN = 0.39, 0.46
BOW_RISE, STERN_RISE = 1.3, 1.2  # heights of the ends, by the depth
ROCKER_BOW_M, ROCKER_STERN_M = 0.05, 0.03
FINS_DEEP_M, FINS_LONG_M = 0.30, 0.30  # of a pedal drive: under the keel, and along it
# Of length times beam: a moulded boat that one sits on top of weighs more than one to sit in.
KG_PER_M2 = {False: 10.0, True: 8.5}


# What people call a measure that may be assumed.
MEASURE_NAMES: dict[TapeField, str] = {
    "beam_at_m": "where it is widest",
    "beam_fore_quarter_m": "the beam at the bow quarter",
    "beam_aft_quarter_m": "the beam at the stern quarter",
    "depth_m": "the depth",
    "bow_height_m": "the height of the bow",
    "stern_height_m": "the height of the stern",
    "rocker_bow_m": "the keel's rise at the bow",
    "rocker_stern_m": "the keel's rise at the stern",
    "bottom": "the shape of the bottom",
    "chine": "the turn of the bilge",
}


class KnownMeasures(Model):
    """What its owner has measured of a boat, null where nobody has; as in `TapeMeasures`."""

    length_m: float
    beam_m: float
    beam_at_m: float | None = None
    beam_fore_quarter_m: float | None = None
    beam_aft_quarter_m: float | None = None
    depth_m: float | None = None
    bow_height_m: float | None = None
    stern_height_m: float | None = None
    rocker_bow_m: float | None = None
    rocker_stern_m: float | None = None
    bottom: Bottom | None = None
    chine: Chine | None = None
    bottom_beam_m: float | None = None
    stern_beam_m: float | None = None
    low_beam_m: float | None = None
    low_beam_fore_m: float | None = None
    low_beam_aft_m: float | None = None
    hollow_m: float | None = None


def typical_tape(known: KnownMeasures, *, sit_in: bool) -> TapeMeasures:
    """All measures of a boat: those known, the others typical of such a boat and marked assumed."""
    length, beam = known.length_m, known.beam_m
    depth = known.depth_m
    if depth is None:
        depth = round((DEPTH_SIT_IN if sit_in else DEPTH_ON_TOP) * beam, 3)
    typical: dict[TapeField, float | str] = {
        "beam_at_m": round(WIDEST_AT * length, 3),
        "beam_fore_quarter_m": round(FORE_QUARTER * beam, 3),
        "beam_aft_quarter_m": round(AFT_QUARTER * beam, 3),
        "depth_m": depth,
        "bow_height_m": round(BOW_RISE * depth, 3),
        "stern_height_m": round(STERN_RISE * depth, 3),
        "rocker_bow_m": ROCKER_BOW_M,
        "rocker_stern_m": ROCKER_STERN_M,
        "bottom": "shallow_arch",
        "chine": "soft",
    }
    measured = known.model_dump(include=set(KnownMeasures.model_fields), exclude_none=True)
    assumed = {field: field not in measured for field in typical}
    return TapeMeasures.model_validate({**typical, **measured, "assumed": assumed})


def with_what_was_measured(before: Boat, after: Boat) -> Boat:
    """A boat as changed: a measure that is no longer what it was is not assumed any more."""
    was, now = before.tape, after.tape
    taken: dict[str, bool] = {f: False for f in MEASURE_NAMES if getattr(was, f) != getattr(now, f)}
    if not any(getattr(now.assumed, field) for field in taken):
        return after
    tape = now.model_copy(update={"assumed": now.assumed.model_copy(update=taken)})
    return after.model_copy(update={"tape": tape})


def seat_as_moved(before: SeatPlace, after: SeatPlace) -> SeatPlace:
    """A seat as changed: once somebody has put it anywhere it is not assumed any more."""
    if (before.x_m, before.z_m) == (after.x_m, after.z_m):
        return after
    return after.model_copy(update={"assumed": False})


def typical_hull_kg(length_m: float, beam_m: float, *, sit_in: bool) -> float:
    """What a boat of that size weighs, in kg."""
    return round(KG_PER_M2[sit_in] * length_m * beam_m, 1)
