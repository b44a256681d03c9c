"""The wall a mount is on: where it lies, how thick it is, and how far it is free to bend."""

from functools import lru_cache
from math import degrees

from neat_hull.errors import InputError
from neat_hull.model.base import Point
from neat_hull.model.boat import Hatch
from neat_hull.model.fixing import Region, Wall
from neat_hull.model.place import OnWell, Place
from neat_hull.physics.fixing.panel import Edge, sheet, tilting
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.bending import DISC_ACROSS, DISC_ALONG, MM, MPA

SIDE_SHARE = 0.72  # of the half-breadth: outboard of it lies the side deck


def region_at(ev: Evaluated, at: Point, place: Place | None = None) -> Region:
    """The wall that a place lies on."""
    hull: Hull = ev.rigged.floating.hull
    if place is not None and isinstance(place.on, OnWell):
        return "well" if at[0] < ev.setup.seat.x_m else "cockpit"
    for one in ev.setup.boat.fittings:
        if isinstance(one, Hatch) and _within(one, at):
            return "lid"
    for well in hull.wells_at(at[0], at[1]):
        if at[2] < (well.floor_z_m + well.rim_z_m) / 2:
            return "cockpit" if well.x_fwd_m > ev.setup.seat.x_m else "well"
    half, _ = hull.gunwale_m(at[0])
    if abs(at[1]) > SIDE_SHARE * half:
        return "side deck"
    return "fore deck" if at[0] > ev.setup.seat.x_m else "aft deck"


def _within(one: Hatch, at: Point) -> bool:
    aside = abs(at[0] - one.x_m) <= one.length_m / 2 and abs(at[1] - one.y_m) <= one.width_m / 2
    return aside and abs(at[2] - one.z_m) < 0.08


def skins_mm(wall: Wall, stuff: typical.WallStuff) -> tuple[float, float]:
    """Thickness of a wall and of the core in it, as is usual where nobody says; a core that has no
    room in what one says is none."""
    thick = wall.thickness_mm or stuff.thickness_mm
    core = stuff.core_mm if wall.core_mm is None else wall.core_mm
    return thick, core if core < thick else 0.0


def radius_m(ev: Evaluated, region: Region) -> float:
    """How far a wall is free: typical, as was said, or as a press test has it."""
    plan = ev.setup.fixing
    wall = plan.walls.get(region, Wall())
    if wall.pressed is None:
        return wall.radius_m or typical.RADIUS_M[region]
    stuff = typical.WALLS[plan.material]
    return pressed_radius_m(wall, stuff)


@lru_cache(maxsize=64)
def _pressed(
    e_mpa: float,
    nu: float,
    thick_mm: float,
    core_mm: float,
    base_m: float,
    couple_nm: float,
    tilt_deg: float,
    supported: bool,
) -> float:
    here = sheet(e_mpa * MPA, nu, thick_mm * MM, core_mm * MM)
    disc = (DISC_ALONG + DISC_ACROSS) * base_m
    edge: Edge = "supported" if supported else "clamped"

    def tilt(radius: float) -> float:
        give = tilting(disc, None, radius, here, None, edge)
        return degrees(give.moved * couple_nm)

    low, high = disc, 1.0
    if tilt(high) < tilt_deg:
        return high
    while high - low > 1e-4:
        middle = (low + high) / 2
        if tilt(middle) < tilt_deg:
            low = middle
        else:
            high = middle
    return high


def pressed_radius_m(wall: Wall, stuff: typical.WallStuff) -> float:
    """The radius at which a press test gives the tilt that was read: tilt rises with it."""
    test = wall.pressed
    if test is None:
        raise InputError("pressed", None, "has not been pressed")
    thick, core = skins_mm(wall, stuff)
    return _pressed(
        stuff.e_mpa,
        stuff.nu,
        thick,
        core,
        test.base_m,
        test.pull_n * test.arm_m,
        test.tilt_deg,
        wall.edge == "supported",
    )
