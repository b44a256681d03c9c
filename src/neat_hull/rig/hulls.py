"""The boat of a setup as a hull that floats, with what its tests found."""

from collections.abc import Iterator
from contextlib import contextmanager
from functools import lru_cache

import numpy as np

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat, OffsetStation, TapeMeasures, WellBox
from neat_hull.model.calibration import LiftTest
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.fullness import filled
from neat_hull.physics.hull.shape import Hull, Station, Well, require_hull
from neat_hull.physics.hull.tape import Tape, require_tape, stations_from_tape
from neat_hull.physics.water.floating import FloatingHull

# Bare plastic hulls balance a little aft of the middle, with more material low down than high.
TYPICAL_LCG_SHARE, TYPICAL_VCG_SHARE = 0.48, 0.45


def as_tested(boat: Boat) -> Boat:
    """The boat with what its tests found, while they are used, in place of what was typed."""
    lift, tilt = boat.calibration.lift_test, boat.calibration.tilt_test
    found: dict[str, object] = {}
    if lift is not None and lift.used:
        mass, lcg = lifted(lift)
        found |= {"hull_mass_kg": mass, "hull_lcg_m": lcg, "hull_evidence": "weighed"}
    if tilt is not None and tilt.used and tilt.hull_vcg_m is not None:
        found["hull_vcg_m"] = tilt.hull_vcg_m
    return boat.model_copy(update=found) if found else boat


def lifted(lift: LiftTest) -> tuple[float, float]:
    """Mass in kg and LCG in m of a boat hung on two scales: the sum, and the moments over it."""
    mass = lift.bow_kg + lift.stern_kg
    return mass, (lift.bow_kg * lift.bow_x_m + lift.stern_kg * lift.stern_x_m) / mass


def hull_centre_m(boat: Boat) -> Array:
    """(3,) m: the bare hull's centre of gravity, typical where its owner has not measured it."""
    boat = as_tested(boat)
    lcg = boat.hull_lcg_m if boat.hull_lcg_m is not None else TYPICAL_LCG_SHARE * boat.tape.length_m
    vcg = boat.hull_vcg_m if boat.hull_vcg_m is not None else TYPICAL_VCG_SHARE * boat.tape.depth_m
    return np.array([lcg, 0.0, vcg])


def floating_hull(boat: Boat) -> FloatingHull:
    """The boat's hull, lofted once per shape. Raises InputErrors naming the measure."""
    test = boat.calibration.float_test
    fore, aft, low_down = 0.0, 0.0, True
    if test is not None and test.used:
        fore, aft = test.fullness_fore or 0.0, test.fullness_aft or 0.0
        low_down = test.low_down
    return _lofted(_shape_json(boat), fore, aft, low_down)


class _Shape(Model):
    tape: TapeMeasures
    wells: list[WellBox]
    offsets: list[OffsetStation] | None


def _shape_json(boat: Boat) -> str:
    return boat.model_dump_json(include={"tape", "wells", "offsets"})


@lru_cache(maxsize=64)
def _lofted(shape_json: str, fore: float, aft: float, low_down: bool) -> FloatingHull:
    return FloatingHull.of(_hull(shape_json, fore, aft, low_down))


def shape_of(boat: Boat, fore: float, aft: float) -> Hull:
    """The boat's hull with sections fuller or finer than its tape says; nothing is kept."""
    return _hull(_shape_json(boat), fore, aft)


def _hull(shape_json: str, fore: float, aft: float, low_down: bool = True) -> Hull:
    shape = _Shape.model_validate_json(shape_json)
    with _of_the_tape():
        stations = _stations(shape)
    hull = Hull(
        filled(stations, fore, aft, low_down),
        tuple(
            Well(**well.model_dump(exclude={"scuppers"}), drains=well.scuppers == "open")
            for well in shape.wells
        ),
        corner_to_corner=shape.offsets is None,
    )
    try:
        require_hull(hull)
        _require_wells_inside(hull)
    except InputError as wrong:
        field = wrong.field.removeprefix("hull.")
        raise InputError(field, wrong.value, wrong.why) from wrong
    return hull


def require_measures(tape: TapeMeasures) -> None:
    """Refuse measures no kayak has. Raises InputErrors naming each."""
    with _of_the_tape():
        require_tape(_tape(tape))


@contextmanager
def _of_the_tape() -> Iterator[None]:
    try:
        yield
    except InputErrors as wrong:
        raise InputErrors(
            [InputError(f"tape.{e.field}", e.value, e.why) for e in wrong.errors]
        ) from wrong


def _tape(tape: TapeMeasures) -> Tape:
    return Tape(**tape.model_dump(exclude={"assumed"}))


def _stations(shape: _Shape) -> tuple[Station, ...]:
    if shape.offsets is None:
        return stations_from_tape(_tape(shape.tape))
    return tuple(Station(one.x_m, np.array(one.points_m, dtype=float)) for one in shape.offsets)


def _require_wells_inside(hull: Hull) -> None:
    for i, well in enumerate(hull.wells):
        for name in ("x_aft_m", "x_fwd_m"):
            if not hull.x_aft_m <= getattr(well, name) <= hull.x_fwd_m:
                raise InputError(
                    f"wells[{i}].{name}",
                    getattr(well, name),
                    "the well must lie between stern and bow",
                )
        if well.floor_z_m < 0:
            raise InputError(
                f"wells[{i}].floor_z_m",
                well.floor_z_m,
                "the floor cannot lie below the bottom of the boat",
            )
