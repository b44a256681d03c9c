"""From a setup to what physics works on: hull, body, weights and where they act."""

import math
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np

from neat_hull.analysis.placing import Placing, Stand, footprint_m
from neat_hull.errors import InputError, InputErrors
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat, OffsetStation, TapeMeasures, WellBox
from neat_hull.model.calibration import LiftTest
from neat_hull.model.figures import Spot
from neat_hull.model.setup import Angler, SeatPlace, Setup
from neat_hull.model.thing import Thing
from neat_hull.model.water import WATER_DENSITY_KG_M3
from neat_hull.physics.arrays import Array
from neat_hull.physics.body import Body, Seat, require_angler, seated
from neat_hull.physics.build import Build, Measured, built
from neat_hull.physics.floating import FloatingHull
from neat_hull.physics.flooded import box_surface_inertia_m4
from neat_hull.physics.fullness import filled
from neat_hull.physics.hull import Hull, Station, Well, require_hull
from neat_hull.physics.loads import Loads
from neat_hull.physics.reach import Limits, Room
from neat_hull.physics.tape import Tape, stations_from_tape

# Bare plastic hulls balance a little aft of the middle, with more material low down than high.
TYPICAL_LCG_SHARE, TYPICAL_VCG_SHARE = 0.48, 0.45

STANDS_AHEAD_M = 0.35  # of the seat's corner: feet on the floor before the pan

# A rod with its reel balances and is gripped near the butt, a pole in the middle; shares of length.
ROD_BALANCE, ROD_GRIP = 0.27, 0.12
POLE_BALANCE = 0.5


@dataclass(frozen=True, eq=False)
class Stowed:
    """One thing aboard, in boat coordinates (m): ends along x, centre, grip, and tip of a rod."""

    thing_id: int
    stand: Stand
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
    placing: Placing
    stowed: tuple[Stowed, ...]
    loads: Loads

    def loads_with(self, body: Body, aside_m: float = 0.0) -> Loads:
        """The loads with the angler in another posture, moved to port by `aside_m`.

        What is worn goes along with the trunk.
        """
        at, aside = self.loads.at_m.copy(), np.array([0.0, aside_m, 0.0])
        at[1] = body.centre_m + aside
        worn = [i for i, one in enumerate(self.stowed, start=2) if one.stand.on_body]
        if worn:
            at[worn] += body.trunk_middle_m - self.body.trunk_middle_m + aside
        return replace(self.loads, at_m=at)

    @property
    def lost_kg(self) -> float:
        """Of the loads, what is no weight but water let in by tubes and drive wells."""
        return float(self.loads.mass_kg[2 + len(self.stowed) :].sum())

    @property
    def all_up_kg(self) -> float:
        """Boat, angler and gear."""
        return self.loads.total_kg - self.lost_kg

    @property
    def carried_at_m(self) -> Array:
        """(3,) m: centre of all that is not the bare boat."""
        carried = slice(1, 2 + len(self.stowed))
        mass = self.loads.mass_kg[carried]
        centre: Array = mass @ self.loads.at_m[carried] / mass.sum()
        return centre

    @property
    def water_density_kg_m3(self) -> float:
        """Density of the setup's water."""
        return WATER_DENSITY_KG_M3[self.setup.water]


def rig(setup: Setup) -> Rigged:
    """Resolve a setup. Raises InputErrors naming fields of the boat, the angler or the seat."""
    floating = floating_hull(setup.boat)
    hull = floating.hull
    body = seated_body(setup, hull.length_m)
    placing = Placing(setup, hull, body)
    stowed = tuple(
        _stow(thing_id, setup.things[thing_id], stand)
        for thing_id, stand in placing.stands().items()
    )
    hull_at = hull_centre_m(setup.boat)
    loads = _loads(setup, hull_at, body, stowed)
    return Rigged(setup, floating, body, hull_at, placing, stowed, loads)


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


def _loads(setup: Setup, hull_at: Array, body: Body, stowed: tuple[Stowed, ...]) -> Loads:
    """Row 0 is the hull, row 1 the angler, then things; lost volumes weigh like their water."""
    boat, density = as_tested(setup.boat), WATER_DENSITY_KG_M3[setup.water]
    things = [setup.things[s.thing_id] for s in stowed]
    lost = [f for f in boat.fittings if f.lost_m3 > 0]
    return Loads(
        np.array(
            [boat.hull_mass_kg, body.mass_kg]
            + [thing.mass_now_kg for thing in things]
            + [density * f.lost_m3 for f in lost]
        ),
        np.array(
            [hull_at, body.centre_m]
            + [s.centre_m for s in stowed]
            + [(f.x_m, f.y_m, f.z_m) for f in lost]
        ),
        free_surface_kg_m=sum(
            _surface_kg_m(thing, s.stand)
            for thing, s in zip(things, stowed, strict=True)
            if thing.sloshes
        ),
    )


def _surface_kg_m(thing: Thing, stand: Stand) -> float:
    """ρi of the liquid in a box turned on the deck; as water, which most of it is."""
    turn = math.radians(stand.turn_deg)
    along = box_surface_inertia_m4(thing.length_m, thing.width_m) * math.cos(turn) ** 2
    across = box_surface_inertia_m4(thing.width_m, thing.length_m) * math.sin(turn) ** 2
    return WATER_DENSITY_KG_M3["fresh"] * (along + across)


def floating_hull(boat: Boat) -> FloatingHull:
    """The boat's hull, lofted once per shape. Raises InputErrors naming the measure."""
    test = boat.calibration.float_test
    fore = aft = 0.0
    if test is not None and test.used:
        fore, aft = test.fullness_fore or 0.0, test.fullness_aft or 0.0
    return _lofted(_shape_json(boat), fore, aft)


class _Shape(Model):
    tape: TapeMeasures
    wells: list[WellBox]
    offsets: list[OffsetStation] | None


def _shape_json(boat: Boat) -> str:
    return boat.model_dump_json(include={"tape", "wells", "offsets"})


@lru_cache(maxsize=64)
def _lofted(shape_json: str, fore: float, aft: float) -> FloatingHull:
    return FloatingHull.of(_hull(shape_json, fore, aft))


def shape_of(boat: Boat, fore: float, aft: float) -> Hull:
    """The boat's hull with sections fuller or finer than its tape says; nothing is kept."""
    return _hull(_shape_json(boat), fore, aft)


def _hull(shape_json: str, fore: float, aft: float) -> Hull:
    shape = _Shape.model_validate_json(shape_json)
    try:
        stations = _stations(shape)
    except InputErrors as wrong:
        raise InputErrors(
            [InputError(f"tape.{e.field}", e.value, e.why) for e in wrong.errors]
        ) from wrong
    hull = Hull(
        filled(stations, fore, aft),
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


def _stations(shape: _Shape) -> tuple[Station, ...]:
    if shape.offsets is None:
        return stations_from_tape(Tape(**shape.tape.model_dump()))
    return tuple(Station(one.x_m, np.array(one.points_m, dtype=float)) for one in shape.offsets)


def _require_wells_inside(hull: Hull) -> None:
    for i, well in enumerate(hull.wells):
        for name in ("x_aft_m", "x_fwd_m"):
            if not hull.x_aft_m <= getattr(well, name) <= hull.x_fwd_m:
                raise InputError(f"wells[{i}].{name}", getattr(well, name),
                                 "the well must lie between stern and bow")  # fmt: skip
        if well.floor_z_m < 0:
            raise InputError(f"wells[{i}].floor_z_m", well.floor_z_m,
                             "the floor cannot lie below the bottom of the boat")  # fmt: skip


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


def limits_of(angler: Angler) -> Limits:
    """How far the angler goes from the seat."""
    return Limits(**angler.limits.model_dump())


def room_of(hull: Hull, seat: SeatPlace) -> Room | None:
    """Where one can be on one's knees: the floor of the well that the seat stands in."""
    wells = hull.wells_at(seat.x_m, 0.0)
    if not wells:
        return None
    return Room(wells[0].x_aft_m, wells[0].x_fwd_m, wells[0].floor_z_m)


@lru_cache(maxsize=32)
def _seated(mass_kg: float, build: Build, seat: Seat) -> Body:
    return seated(mass_kg, build, seat)


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


def standing_place(hull: Hull, seat: SeatPlace) -> tuple[float, float]:
    """Where the feet are, and on what height."""
    x = seat.x_m + STANDS_AHEAD_M
    return x, hull.support_z_m(x, 0.0)


def seat_of(seat: SeatPlace) -> Seat:
    """The seat as the body model wants it."""
    return Seat(
        seat.x_m, seat.z_m, float(np.radians(seat.recline_deg)), seat.brace_x_m, seat.brace_z_m
    )


def hull_centre_m(boat: Boat) -> Array:
    """(3,) m: the bare hull's centre of gravity, typical where its owner has not measured it."""
    boat = as_tested(boat)
    lcg = boat.hull_lcg_m if boat.hull_lcg_m is not None else TYPICAL_LCG_SHARE * boat.tape.length_m
    vcg = boat.hull_vcg_m if boat.hull_vcg_m is not None else TYPICAL_VCG_SHARE * boat.tape.depth_m
    return np.array([lcg, 0.0, vcg])


def spot(point_m: Array) -> Spot:
    """A point (3,) as plain numbers, for an answer."""
    x, y, z = (float(v) for v in point_m)
    return x, y, z


def _stow(thing_id: int, thing: Thing, stand: Stand) -> Stowed:
    if thing.long:
        balance = ROD_BALANCE if thing.shape == "rod" else POLE_BALANCE
        balance_m = balance * thing.length_m + thing.offset_x_m
        grip_m = (ROD_GRIP if thing.shape == "rod" else POLE_BALANCE) * thing.length_m
        aft, fwd = sorted((stand.x_m, stand.at(2 * balance_m)[0]))
        return Stowed(thing_id, stand, stand.at(balance_m), stand.at(grip_m),
                      stand.at(thing.length_m), aft, fwd)  # fmt: skip
    x, y, base = stand.x_m, stand.y_m, stand.base_z_m
    turn = math.radians(stand.turn_deg)
    half = footprint_m(thing, stand.turn_deg)[0] / 2
    forth, aside = thing.offset_x_m, thing.offset_y_m
    centre = (
        x + forth * math.cos(turn) - aside * math.sin(turn),
        y + forth * math.sin(turn) + aside * math.cos(turn),
        base + 0.5 * thing.height_m + thing.offset_z_m,
    )
    top = (x, y, base + thing.height_m)
    return Stowed(thing_id, stand, centre, top, None, x - half, x + half)
