"""The angler of a setup: the body on the seat, its limits, and where it may stand or kneel."""

from functools import lru_cache

import numpy as np

from neat_hull.errors import Bound, Bounded, InputError, InputErrors
from neat_hull.model.setup import Angler, SeatPlace, Setup
from neat_hull.physics.body.build import Build, Measured, built
from neat_hull.physics.body.reach import Kneeling
from neat_hull.physics.body.segments import Body, Seat, require_angler, seated
from neat_hull.physics.body.trunk import BodyLimits
from neat_hull.physics.hull.shape import Hull

STANDS_AHEAD_M = 0.35  # of the seat's corner: feet on the floor before the pan


def seated_body(setup: Setup, length_m: float) -> Body:
    """The angler on the seat. Raises InputErrors naming fields of the angler or the seat."""
    angler = setup.angler
    try:
        require_angler(angler.mass_kg, angler.stature_m)
    except InputErrors as wrong:
        raise InputErrors(
            [InputError(f"angler.{e.field}", e.value, e.why) for e in wrong.errors]
        ) from wrong
    _require_seat(setup.seat, length_m)
    return _seated(angler.mass_kg, build_of(angler), seat_of(setup.seat))


def build_of(angler: Angler) -> Build:
    """Lengths of the angler's body. Raises InputErrors naming one that cannot be."""
    try:
        return built(angler.stature_m, Measured(**angler.lengths.model_dump()))
    except InputErrors as wrong:
        raise InputErrors(
            [InputError(f"angler.lengths.{e.field}", e.value, e.why) for e in wrong.errors]
        ) from wrong


def limits_of(angler: Angler) -> BodyLimits:
    """How far the angler goes from the seat."""
    return BodyLimits(**angler.limits.model_dump())


def kneeling_of(hull: Hull, seat: SeatPlace) -> Kneeling | None:
    """Where one can be on one's knees: the floor of the well that the seat stands in."""
    wells = hull.wells_at(seat.x_m, 0.0)
    if not wells:
        return None
    return Kneeling(wells[0].x_aft_m, wells[0].x_fwd_m, wells[0].floor_z_m)


@lru_cache(maxsize=32)
def _seated(mass_kg: float, build: Build, seat: Seat) -> Body:
    return seated(mass_kg, build, seat)


def _require_seat(seat: SeatPlace, length_m: float) -> None:
    if not 0.1 * length_m <= seat.x_m <= 0.9 * length_m:
        raise InputError("seat.x_m", seat.x_m, "the seat must stand in the boat")
    if not 0 <= seat.z_m <= 1.0:
        raise InputError(
            "seat.z_m",
            seat.z_m,
            Bounded("the seat stands at most {} above the bottom", Bound("length", 1.0)),
        )
    if not seat.brace_x_m > seat.x_m + 0.3:
        raise InputError(
            "seat.brace_x_m",
            seat.brace_x_m,
            Bounded("the foot brace must be at least {} ahead", Bound("length", 0.3)),
        )
    if not 0 <= seat.brace_z_m <= 1.0:
        raise InputError(
            "seat.brace_z_m",
            seat.brace_z_m,
            Bounded("the heels rest at most {} above the bottom", Bound("length", 1.0)),
        )


def standing_place(hull: Hull, seat: SeatPlace) -> tuple[float, float]:
    """Where the feet are, and on what height."""
    x = seat.x_m + STANDS_AHEAD_M
    return x, hull.support_z_m(x, 0.0)


def seat_of(seat: SeatPlace) -> Seat:
    """The seat as the body model wants it."""
    return Seat(
        seat.x_m, seat.z_m, float(np.radians(seat.recline_deg)), seat.brace_x_m, seat.brace_z_m
    )
