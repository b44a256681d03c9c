"""A boat full of water: what still lifts it, how it lies, and how long it takes to get dry."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import lru_cache
from math import degrees

import numpy as np

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.capsize_case import CaseThing, Flooded
from neat_hull.physics.hull.lattice import (
    WATERPLANE_SPANS_PER_LENGTH,
    Block,
    Lattice,
    Slice,
    loft_shares,
)
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull, Rest
from neat_hull.physics.water.immersion import TurnedSections
from neat_hull.subjects.capsize.upset import Upset

# First guesses of where it floats, for searches that end elsewhere: it is let go but once.
_GUESSED_RAD = np.radians([0.0, 45.0])


@dataclass(frozen=True)
class Lever:
    """Its righting lever at a heel; null where it has no balance there."""

    heel_deg: float
    gz_m: float | None


@dataclass(frozen=True)
class Bailed:
    """How long until it is dry by one means; null where that never catches up."""

    name: str
    minutes: float | None


@dataclass(frozen=True)
class FloodedRest:
    """A boat full of water; all but the first two null where it goes under, or over."""

    floats: bool
    reserve_kg: float
    turns_over: bool | None = None
    list_deg: float | None = None
    trim_deg: float | None = None
    draft_mid_m: float | None = None
    freeboard_m: float | None = None
    gm_m: float | None = None
    righting: list[Lever] | None = None
    water_l: float | None = None
    bail: list[Bailed] | None = None


@lru_cache(maxsize=64)
def part_m3(hull: Hull, aft_x_m: float, fwd_x_m: float) -> float:
    """What a length of a hull encloses, wells left out."""
    return float(loft_shares(hull, (Slice(aft_x_m, fwd_x_m, 1.0),), ()).volume_m3[0])


@dataclass(frozen=True)
class Lifting:
    """What lifts a full boat, kg."""

    walls: float
    dry: float
    foam: float
    things: float

    @property
    def total_kg(self) -> float:
        """All of it."""
        return self.walls + self.dry + self.foam + self.things


def lifting_kg(up: Upset, of: Flooded, staying: Sequence[CaseThing]) -> Lifting:
    """By what it is."""
    hull, share, density = up.hull, of.solid_share, up.density_kg_m3
    dry = sum(part_m3(hull, one.x_aft_m, one.x_fwd_m) for one in of.compartments if not one.floods)
    foam = sum(
        one.share * float(np.prod(np.array(one.hi_m) - np.array(one.lo_m))) for one in of.foam
    )
    return Lifting(
        density * share * part_m3(hull, hull.x_aft_m, hull.x_fwd_m),
        density * (1 - share) * dry,
        density * foam,
        density * sum(one.volume_m3 for one in staying),
    )


def reserve_kg(up: Upset, of: Flooded, staying: Sequence[CaseThing]) -> float:
    """All that could lift a full boat, less all that weighs on it; negative where it sinks."""
    pull = 0.0 if of.hanging is None else of.hanging.pull_kg
    return lifting_kg(up, of, staying).total_kg - up.loads_with(staying).total_kg - pull


@dataclass(frozen=True, eq=False)
class _Full:
    """A flooded boat: what lifts, and what lofts the part of it that is water that came in."""

    floating: FloatingHull
    water: Callable[[], Lattice]

    @classmethod
    def of(cls, hull: Hull, of: Flooded, staying: Sequence[CaseThing]) -> "_Full":
        """By compartments, foam and what stays aboard."""
        whole = [(hull.x_aft_m, hull.x_fwd_m, True)]
        parts = [(one.x_aft_m, one.x_fwd_m, one.floods) for one in of.compartments] or whole
        solid = of.solid_share
        lifts = tuple(Slice(aft, fwd, solid if floods else 1.0) for aft, fwd, floods in parts)
        wet = tuple(Slice(aft, fwd, 1 - solid if floods else 0.0) for aft, fwd, floods in parts)
        foam = [(one.lo_m, one.hi_m, one.share) for one in of.foam]
        blocks = tuple(Block(*one) for one in foam) + tuple(_block(one) for one in staying)
        dry = tuple(Block(lo, hi, -share) for lo, hi, share in foam)
        shell = Hull(hull.stations, (), hull.corner_to_corner)
        return cls(
            FloatingHull.of(
                shell,
                _GUESSED_RAD,
                loft_shares(hull, lifts, blocks),
                lambda: loft_shares(hull, lifts, blocks, WATERPLANE_SPANS_PER_LENGTH),
                asked_once=True,
            ),
            lambda: loft_shares(hull, wet, dry),
        )

    def water_l(self, rest: Rest) -> float:
        """Of what floods, what lies under the plane, litres."""
        water, none = self.water(), np.zeros((1, 0), dtype=np.bool_)
        sections = TurnedSections(water, rest.heel_rad)
        found = sections.immerse(rest.h_m, rest.tau, water.counted(none)).v_m3
        return 1000 * float(found[0])


def _block(one: CaseThing) -> Block:
    along, across, high = one.size_m
    x, y, z = along / 2, across / 2, high / 2
    lo = (one.x_m - x, one.y_m - y, one.z_m - z)
    hi = (one.x_m + x, one.y_m + y, one.z_m + z)
    return Block(lo, hi, one.volume_m3 / (along * across * high))


def flooded(
    up: Upset, of: Flooded, staying: Sequence[CaseThing], heels_deg: Sequence[float]
) -> FloodedRest:
    """All that is asked of it. One that does not float is an answer."""
    full, density = _Full.of(up.hull, of, staying), up.density_kg_m3
    pull = of.hanging
    more = (
        [] if pull is None or pull.pull_kg <= 0 else [(pull.pull_kg, pull.x_m, pull.y_m, pull.z_m)]
    )
    loads = up.loads_with(staying, *more)
    reserve = density * float(full.floating.lattice.volume_m3[0]) - loads.total_kg
    if reserve <= 0:
        return FloodedRest(False, reserve)
    try:
        settled = hydrostatics.settle(full.floating, loads, density)
    except (DoesNotFloat, NoBalance):
        return FloodedRest(True, reserve, turns_over=True)
    rest = settled.rest
    hull = full.floating.hull
    curve = hydrostatics.righting_curve(settled, np.radians(np.array(heels_deg, dtype=float)))
    water = full.water_l(rest)
    return FloodedRest(
        floats=True,
        reserve_kg=reserve,
        turns_over=False,
        list_deg=degrees(float(rest.heel_rad[0])),
        trim_deg=degrees(float(rest.trim_rad[0])),
        draft_mid_m=hydrostatics.drafts_m(hull, rest)[1],
        freeboard_m=float(rest.height_over_water_m(hull.sheer_points_m)[0].min()),
        gm_m=hydrostatics.upright(settled).gm_m,
        righting=[
            Lever(heel, gz if np.isfinite(gz) else None)
            for heel, gz in zip(heels_deg, curve.gz_m.tolist(), strict=True)
        ],
        water_l=water,
        bail=[
            Bailed(
                one.name,
                water / (one.litres_min - of.leak_l_min)
                if one.litres_min > of.leak_l_min
                else None,
            )
            for one in of.bail
        ],
    )
