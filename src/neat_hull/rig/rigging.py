"""From a setup to what physics works on: hull, body, weights and where they act."""

import math
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.model.water import WATER_DENSITY_KG_M3
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.segments import Body
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.flooded import box_surface_inertia_m4
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.bodies import seated_body
from neat_hull.rig.hulls import as_tested, floating_hull, hull_centre_m
from neat_hull.rig.parents.base import Stand, footprint_m
from neat_hull.rig.placing import Placing

# A rod with its reel balances and is gripped near the butt, a pole in the middle; shares of length.
ROD_BALANCE, ROD_GRIP = 0.27, 0.12
POLE_BALANCE = 0.5


@dataclass(frozen=True, eq=False)
class Stowed:
    """One thing aboard, in boat coordinates (m): ends along x, centre, grip, and tip of a rod."""

    thing_id: int
    stand: Stand
    centre_m: Point
    grip_m: Point
    tip_m: Point | None
    aft_m: float
    fwd_m: float


@dataclass(frozen=True)
class Rows:
    """Which rows of the loads are what; the lost volumes weigh like their water."""

    hull: int
    angler: int
    things: slice
    lost: slice

    @property
    def carried(self) -> slice:
        """The angler and all things."""
        return slice(self.angler, self.things.stop)


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

    @property
    def rows(self) -> Rows:
        """Which row of the loads is what."""
        end = 2 + len(self.stowed)
        return Rows(0, 1, slice(2, end), slice(end, len(self.loads.mass_kg)))

    @cached_property
    def by_id(self) -> dict[int, Stowed]:
        """Things aboard, by their id."""
        return {one.thing_id: one for one in self.stowed}

    def loads_with(self, body: Body, aside_m: float = 0.0) -> Loads:
        """The loads with the angler in another posture, moved to port by `aside_m`.

        What is worn goes along with the trunk.
        """
        at, aside = self.loads.at_m.copy(), np.array([0.0, aside_m, 0.0])
        at[self.rows.angler] = body.centre_m + aside
        worn = [i for i, one in enumerate(self.stowed) if one.stand.on_body]
        if worn:
            rows = np.arange(len(at))[self.rows.things][worn]
            at[rows] += body.trunk_middle_m - self.body.trunk_middle_m + aside
        return replace(self.loads, at_m=at)

    @property
    def lost_kg(self) -> float:
        """Of the loads, what is no weight but water let in by tubes and drive wells."""
        return float(self.loads.mass_kg[self.rows.lost].sum())

    @property
    def all_up_kg(self) -> float:
        """Boat, angler and gear."""
        return self.loads.total_kg - self.lost_kg

    @property
    def carried_at_m(self) -> Array:
        """(3,) m: centre of all that is not the bare boat."""
        carried = self.rows.carried
        mass = self.loads.mass_kg[carried]
        centre: Array = mass @ self.loads.at_m[carried] / mass.sum()
        return centre

    @property
    def water_density_kg_m3(self) -> float:
        """Density of the setup's water."""
        return WATER_DENSITY_KG_M3[self.setup.water]


def rig(setup: Setup, before: Rigged | None = None) -> Rigged:
    """Resolve a setup. Raises InputErrors naming fields of the boat, the angler or the seat.

    What has not changed since `before` is taken from there.
    """
    same_boat = before is not None and (
        before.setup.boat is setup.boat or before.setup.boat == setup.boat
    )
    floating = before.floating if before is not None and same_boat else floating_hull(setup.boat)
    hull = floating.hull
    body = seated_body(setup, hull.length_m)
    placing = Placing(setup, hull, body, None if before is None else before.placing)
    kept = {} if before is None else before.by_id
    stowed = tuple(
        kept[thing_id]
        if thing_id in placing.same
        else _stow(setup.things[thing_id], thing_id, stand)
        for thing_id, stand in placing.stands().items()
    )
    hull_at = hull_centre_m(setup.boat)
    loads = _loads(setup, hull_at, body, stowed)
    return Rigged(setup, floating, body, hull_at, placing, stowed, loads)


def _loads(setup: Setup, hull_at: Array, body: Body, stowed: tuple[Stowed, ...]) -> Loads:
    """In the order of `Rows`."""
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
            [tuple(hull_at), tuple(body.centre_m)]
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


def point(at_m: Array) -> Point:
    """A point (3,) as plain numbers, for an answer."""
    x, y, z = (float(v) for v in at_m)
    return x, y, z


def _stow(thing: Thing, thing_id: int, stand: Stand) -> Stowed:
    if thing.long:
        balance = ROD_BALANCE if thing.shape == "rod" else POLE_BALANCE
        balance_m = balance * thing.length_m + thing.offset_x_m
        grip_m = (ROD_GRIP if thing.shape == "rod" else POLE_BALANCE) * thing.length_m
        aft, fwd = sorted((stand.x_m, stand.at(2 * balance_m)[0]))
        tip = stand.at(thing.length_m)
        return Stowed(thing_id, stand, stand.at(balance_m), stand.at(grip_m), tip, aft, fwd)
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
