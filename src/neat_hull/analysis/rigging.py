"""From a setup to what physics works on: hull, body, weights and where they act."""

import math
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from pydantic import TypeAdapter

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.boat import Boat, TapeMeasures, WellBox
from neat_hull.model.figures import Spot
from neat_hull.model.setup import WATER_DENSITY_KG_M3, Place, SeatPlace, Setup, Thing
from neat_hull.physics.arrays import Array
from neat_hull.physics.balance import FloatingHull
from neat_hull.physics.body import Body, Seat, require_angler, seated
from neat_hull.physics.hull import Hull, Well, require_hull
from neat_hull.physics.loads import Loads
from neat_hull.physics.tape import Tape, stations_from_tape

# Bare plastic hulls balance a little aft of the middle, with more material low down than high.
TYPICAL_LCG_SHARE, TYPICAL_VCG_SHARE = 0.48, 0.45

# A rod with its reel balances and is gripped near the butt; shares of its length.
ROD_BALANCE, ROD_GRIP = 0.27, 0.12


@dataclass(frozen=True, eq=False)
class Stowed:
    """One thing aboard, in boat coordinates (m): ends along x, centre, grip, and tip of a rod."""

    thing_id: int
    base_z_m: float
    centre_m: Spot
    grip_m: Spot
    tip_m: Spot | None
    aft_m: float
    fwd_m: float


@dataclass(frozen=True, eq=False)
class Rigged:
    """A setup made ready for physics."""

    setup: Setup
    floating: FloatingHull
    body: Body
    hull_at_m: Array
    stowed: tuple[Stowed, ...]
    loads: Loads

    @property
    def water_density_kg_m3(self) -> float:
        """Density of the setup's water."""
        return WATER_DENSITY_KG_M3[self.setup.water]


def rig(setup: Setup) -> Rigged:
    """Resolve a setup. Raises InputErrors naming fields of the boat, the angler or the seat."""
    floating = floating_hull(setup.boat)
    body = seated_body(setup)
    hull = floating.hull
    stowed = tuple(
        _stow(hull, thing_id, setup.things[thing_id], place)
        for thing_id, place in sorted(setup.places.items())
    )
    hull_at = hull_centre_m(setup.boat)
    loads = Loads(
        np.array(
            [setup.boat.hull_mass_kg, body.mass_kg]
            + [setup.things[s.thing_id].mass_kg for s in stowed]
        ),
        np.array([hull_at, body.centre_m] + [s.centre_m for s in stowed]),
    )
    return Rigged(setup, floating, body, hull_at, stowed, loads)


def floating_hull(boat: Boat) -> FloatingHull:
    """The boat's hull, lofted once per shape. Raises InputErrors naming the measure."""
    wells = "[" + ",".join(well.model_dump_json() for well in boat.wells) + "]"
    return _lofted(boat.tape.model_dump_json(), wells)


@lru_cache(maxsize=32)
def _lofted(tape_json: str, wells_json: str) -> FloatingHull:
    tape = TapeMeasures.model_validate_json(tape_json)
    wells = TypeAdapter(list[WellBox]).validate_json(wells_json)
    try:
        stations = stations_from_tape(Tape(**tape.model_dump()))
    except InputErrors as wrong:
        raise InputErrors(
            [InputError(f"tape.{e.field}", e.value, e.why) for e in wrong.errors]
        ) from wrong
    hull = Hull(
        stations,
        tuple(
            Well(**well.model_dump(exclude={"scuppers"}), drains=well.scuppers == "open")
            for well in wells
        ),
        corner_to_corner=True,
    )
    try:
        require_hull(hull)
        _require_wells_inside(hull)
    except InputError as wrong:
        field = wrong.field.removeprefix("hull.")
        raise InputError(field, wrong.value, wrong.why) from wrong
    return FloatingHull.of(hull)


def _require_wells_inside(hull: Hull) -> None:
    for i, well in enumerate(hull.wells):
        for name in ("x_aft_m", "x_fwd_m"):
            if not hull.x_aft_m <= getattr(well, name) <= hull.x_fwd_m:
                raise InputError(f"wells[{i}].{name}", getattr(well, name),
                                 "the well must lie between stern and bow")  # fmt: skip
        if well.floor_z_m < 0:
            raise InputError(f"wells[{i}].floor_z_m", well.floor_z_m,
                             "the floor cannot lie below the bottom of the boat")  # fmt: skip


def seated_body(setup: Setup) -> Body:
    """The angler on the seat. Raises InputErrors naming fields of the angler or the seat."""
    angler, boat = setup.angler, setup.boat
    try:
        require_angler(angler.mass_kg, angler.stature_m)
    except InputErrors as wrong:
        raise InputErrors(
            [InputError(f"angler.{e.field}", e.value, e.why) for e in wrong.errors]
        ) from wrong
    _require_seat(setup.seat, boat.tape.length_m)
    return _seated(angler.mass_kg, angler.stature_m, _seat(setup.seat))


@lru_cache(maxsize=32)
def _seated(mass_kg: float, stature_m: float, seat: Seat) -> Body:
    return seated(mass_kg, stature_m, seat)


def _require_seat(seat: SeatPlace, length_m: float) -> None:
    if not 0.1 * length_m <= seat.x_m <= 0.9 * length_m:
        raise InputError("seat.x_m", seat.x_m, "the seat must stand in the boat")
    if not 0 <= seat.z_m <= 1.0:
        raise InputError("seat.z_m", seat.z_m, "the seat stands 0 to 100 cm over the bottom")
    if not seat.brace_x_m > seat.x_m + 0.3:
        raise InputError(
            "seat.brace_x_m", seat.brace_x_m, "the foot brace must be at least 30 cm ahead"
        )
    if not 0 <= seat.brace_z_m <= 1.0:
        raise InputError("seat.brace_z_m", seat.brace_z_m, "the heels rest 0 to 100 cm up")


def _seat(seat: SeatPlace) -> Seat:
    return Seat(
        seat.x_m, seat.z_m, float(np.radians(seat.recline_deg)), seat.brace_x_m, seat.brace_z_m
    )


def hull_centre_m(boat: Boat) -> Array:
    """(3,) m: the bare hull's centre of gravity, typical where its owner has not measured it."""
    lcg = boat.hull_lcg_m if boat.hull_lcg_m is not None else TYPICAL_LCG_SHARE * boat.tape.length_m
    vcg = boat.hull_vcg_m if boat.hull_vcg_m is not None else TYPICAL_VCG_SHARE * boat.tape.depth_m
    return np.array([lcg, 0.0, vcg])


def spot(point_m: Array) -> Spot:
    """A point (3,) as plain numbers, for an answer."""
    x, y, z = (float(v) for v in point_m)
    return x, y, z


def _stow(hull: Hull, thing_id: int, thing: Thing, place: Place) -> Stowed:
    x, y = place.x_m, place.y_m
    base = place.z_m if place.z_m is not None else hull.support_z_m(x, y)
    turn, tilt = math.radians(place.turn_deg), math.radians(place.tilt_deg)
    if thing.shape == "rod":
        flat = math.cos(tilt)
        along = (math.cos(turn) * flat, math.sin(turn) * flat, math.sin(tilt))

        def at(share: float) -> Spot:
            out = share * thing.length_m
            return x + out * along[0], y + out * along[1], base + out * along[2]

        aft, fwd = sorted((x, at(2 * ROD_BALANCE)[0]))
        return Stowed(thing_id, base, at(ROD_BALANCE), at(ROD_GRIP), at(1.0), aft, fwd)
    half = 0.5 * (abs(thing.length_m * math.cos(turn)) + abs(thing.width_m * math.sin(turn)))
    centre, top = (x, y, base + 0.5 * thing.height_m), (x, y, base + thing.height_m)
    return Stowed(thing_id, base, centre, top, None, x - half, x + half)
