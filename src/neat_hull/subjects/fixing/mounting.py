"""A setup as mounts: what joins each thing to the boat, on which wall, and what pulls at it."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import lru_cache
from math import cos, degrees, pi, radians, sin
from typing import Literal

from neat_hull.errors import InputError
from neat_hull.model.base import Point
from neat_hull.model.boat import Fitting, Hatch, Track
from neat_hull.model.fixing import (
    BoltSize,
    FastenBy,
    Material,
    Mount,
    Plate,
    Region,
    Stuff,
    Wall,
)
from neat_hull.model.mount_case import (
    ByDuration,
    CaseBase,
    CaseForce,
    CaseMount,
    CasePlate,
    CaseWall,
    Factors,
    Fastener,
    Hold,
    PlateStuff,
    Situation,
)
from neat_hull.model.place import OnFitting, OnWell, Place
from neat_hull.model.thing import Thing
from neat_hull.physics.fixing.panel import Edge, sheet, tilting
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.holding import (
    DISC_ACROSS,
    DISC_ALONG,
    MM,
    MPA,
    Loading,
    Mounted,
)
from neat_hull.subjects.fixing.pulling import carried, fitting_pulls, pulls_at

BaseShape = Literal["rect", "round"]
SIDE_SHARE = 0.72  # of the half-breadth: outboard of it lies the side deck
_USUAL: dict[str, FastenBy | None] = {
    "track bolt": "track bolt", "ball": "through bolt", "flush tube": "screw",
    "plate": "through bolt", "strap": "strap", "bungee": None, "hook-and-loop": "tape",
    "loose": None,
}  # fmt: skip
BOLTED: tuple[FastenBy, ...] = ("track bolt", "through bolt", "rivet nut", "well nut", "screw")
# What makes holes of its own in the hull.
DRILLED: tuple[FastenBy, ...] = ("through bolt", "rivet nut", "well nut", "screw")
BONDED: tuple[FastenBy, ...] = ("glue", "tape")


@dataclass(frozen=True)
class Geometry:
    """All of a mount that does not hang on its load, plain enough to look it up by."""

    by: FastenBy
    size: BoltSize
    shape: BaseShape
    length_m: float
    width_m: float
    bolts_m: tuple[tuple[float, float], ...]
    washer_mm: float
    rated_n: float
    clamp_n: float
    friction: float
    plate: tuple[Stuff, float, float, float] | None
    wall: tuple[Material, float, float, float, Edge, float]  # thick, core, radius, edge, heat


@dataclass(frozen=True, eq=False)
class Fixed:
    """One mount of a setup. thing_id or fitting says of what; typical, that nobody has said how.

    spec is what is kept of it, over which the rest is usual. play_deg is the tilt that slack
    allows before anything bends.
    """

    thing_id: int | None
    fitting: str | None
    name: str
    spec: Mount
    by: FastenBy
    region: Region
    at: Point
    turn_deg: float
    geometry: Geometry
    situations: list[Loading]
    play_deg: float
    screen: bool
    on_track: str | None

    @property
    def key(self) -> str:
        """What it is called in keys; a fitting may be called by a number too."""
        return f"fitting {self.fitting}" if self.thing_id is None else str(self.thing_id)

    @property
    def drills(self) -> bool:
        """Whether it has holes of its own in the hull."""
        return self.by in DRILLED and not self.on_track

    def on_boat(self, spot: tuple[float, float]) -> Point:
        """A place on its base, in boat coordinates."""
        turn = radians(self.turn_deg)
        u, v = spot
        x, y, z = self.at
        return x + u * cos(turn) - v * sin(turn), y + u * sin(turn) + v * cos(turn), z


def fixed(ev: Evaluated) -> list[Fixed]:
    """Every mount of a setup: of things that stand on the boat itself, then of its fittings.

    What stands as it did, with all it carries, is mounted as it was.
    """
    known = _known(ev)
    if known is None:
        things = (_of_thing(ev, i) for i in sorted(ev.setup.places))
        fittings = list(_of_fittings(ev, ev.setup.fixing.fittings))
    else:
        same, by_id = ev.rigged.placing.same, {one.thing_id: one for one in known}
        ids = sorted(ev.setup.places)
        things = (by_id.get(i) if i in same else _of_thing(ev, i) for i in ids)
        fittings = [one for one in known if one.thing_id is None]
    return [*(one for one in things if one is not None), *fittings]


def _known(ev: Evaluated) -> list[Fixed] | None:
    """Mounts as they were before, where all else that they hang on is the same."""
    before, now = ev.before, ev.setup
    if before is None:
        return None
    was = before.setup
    pairs = ((was.fixing, now.fixing), (was.boat, now.boat), (was.angler, now.angler),
             (was.seat, now.seat))  # fmt: skip
    return before.once(fixed) if all(a is b or a == b for a, b in pairs) else None


@lru_cache(maxsize=512)
def mounted(geometry: Geometry) -> Mounted:
    """The mount made ready, once for each geometry."""
    return Mounted(case_of(geometry, "mount", [], None))


# Of a thing.


def _of_thing(ev: Evaluated, thing_id: int) -> Fixed | None:
    placing, setup = ev.rigged.placing, ev.setup
    if placing.holder(thing_id) is not None or placing.covered(thing_id):
        return None
    thing = ev.thing(thing_id)
    stand = ev.rigged.by_id[thing_id].stand
    if stand.on_body or stand.astray or thing.worn:
        return None
    return _thing_by(ev, thing_id, setup.fixing.mounts.get(thing_id, Mount()))


def _thing_by(ev: Evaluated, thing_id: int, spec: Mount) -> Fixed | None:
    place, thing = ev.setup.places[thing_id], ev.thing(thing_id)
    stand = ev.rigged.by_id[thing_id].stand
    under = ev.rigged.placing.fitting_under(thing_id)
    if spec.by is None and _in_its_own(place, under):
        return None
    by = spec.by or _USUAL[thing.fixing.by]
    track = under.name if isinstance(under, Track) else None
    if spec.by is None and by is not None and track is not None and thing.mounted:
        by = "track bolt"
    if by is None:
        return None
    at = (stand.x_m, stand.y_m, stand.base_z_m)
    region = region_at(ev, at, place)
    turn = stand.turn_deg if spec.turn_deg is None else spec.turn_deg
    return Fixed(
        thing_id=thing_id,
        fitting=None,
        name=ev.name(thing_id),
        spec=spec,
        by=by,
        region=region,
        at=at,
        turn_deg=turn,
        geometry=geometry_of(ev, spec, by, region, thing, under),
        situations=pulls_at(ev, thing_id, spec, at, turn),
        play_deg=play_deg(spec, by, thing),
        screen=_shown(ev, thing_id),
        on_track=track if by == "track bolt" else None,
    )


def refixed(ev: Evaluated, one: Fixed, spec: Mount) -> Fixed:
    """A mount as it would be by another description."""
    if one.thing_id is not None:
        new = _thing_by(ev, one.thing_id, spec)
        assert new is not None, "a described mount is one"
        return new
    specs = {one.fitting or "": spec}
    return next(new for new in _of_fittings(ev, specs) if new.key == one.key)


def _in_its_own(place: Place, under: Fitting | None) -> bool:
    """In a tube, a hatch or a scupper, or on what it was made for: the boat holds it."""
    return isinstance(place.on, OnFitting) and not isinstance(under, Track)


def _shown(ev: Evaluated, thing_id: int) -> bool:
    """Whether it, or what stands on it, is something that one reads."""
    ids = (thing_id, *carried(ev, thing_id))
    return any(ev.thing(i).picture == "screen" for i in ids)


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


# What joins it.


def geometry_of(
    ev: Evaluated,
    spec: Mount,
    by: FastenBy,
    region: Region,
    thing: Thing | None,
    under: Fitting | None,
) -> Geometry:
    """What is said of a mount, and the rest as is usual."""
    plan = ev.setup.fixing
    shape = spec.shape or (
        "round" if thing and thing.fixing.by == "ball" and not spec.length_m else "rect"
    )
    length, width = _base_m(spec, by, thing, shape)
    size = spec.size or ("M6" if by == "track bolt" else "M5")
    count = _count(spec, by)
    bolts: tuple[tuple[float, float], ...] = ()
    if by in BOLTED:
        chosen = spec.bolts or pattern(count, length, width, shape)
        bolts = tuple((float(u), float(v)) for u, v in chosen)
    plate = None if spec.plate is None else _plate_key(spec.plate)
    if isinstance(under, Track) and by == "track bolt" and plate is None:
        long_m = max(under.length_m, length)
        plate = ("aluminium", long_m, max(typical.TRACK_WIDE_M, under.width_m), typical.TRACK_MM)
    stuff = typical.WALLS[plan.material]
    wall = plan.walls.get(region, Wall())
    thick, core = skins_mm(wall, stuff)
    return Geometry(
        by=by,
        size=size,
        shape=shape,
        length_m=length,
        width_m=width,
        bolts_m=bolts,
        washer_mm=max(spec.washer_mm or typical.SIZES[size][3], typical.SIZES[size][0] + 0.5),
        rated_n=spec.rated_n or typical.BLIND_N.get(by, typical.STRAP_N),
        clamp_n=spec.clamp_n or typical.CLAMP_N,
        friction=typical.FRICTION_RUBBER if spec.pad else typical.FRICTION,
        plate=plate,
        wall=(
            plan.material,
            thick,
            core,
            radius_m(ev, region),
            wall.edge,
            typical.heat(stuff, plan.deck_c),
        ),
    )


def _count(spec: Mount, by: FastenBy) -> int:
    return spec.count or (1 if by == "track bolt" else 4)


def _plate_key(plate: Plate) -> tuple[Stuff, float, float, float]:
    return plate.stuff, plate.length_m, plate.width_m, plate.thickness_mm


def _base_m(
    spec: Mount, by: FastenBy, thing: Thing | None, shape: BaseShape
) -> tuple[float, float]:
    length, width = typical.BASE_M
    if shape == "round":
        length = width = typical.BALL_BASE_M
    elif thing is not None and by in (*BONDED, "strap"):
        length, width = thing.length_m, thing.width_m
    elif thing is not None and not thing.long:
        length, width = min(length, thing.length_m), min(width, thing.width_m)
    length = spec.length_m or length
    return length, length if shape == "round" else spec.width_m or width


def pattern(
    count: int, length_m: float, width_m: float, shape: BaseShape
) -> list[tuple[float, float]]:
    """Where so many bolts usually sit: one in the middle, two along, the rest round the rim."""
    if count == 1:
        return [(0.0, 0.0)]
    u = 0.36 * length_m
    if count == 2:
        return [(-u, 0.0), (u, 0.0)]
    v = 0.36 * width_m
    if count == 4 and shape == "rect":
        return [(-u, -v), (-u, v), (u, -v), (u, v)]
    turns = (2 * pi * k / count for k in range(count))
    return [(u * cos(turn), v * sin(turn)) for turn in turns]


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


def play_deg(spec: Mount, by: FastenBy, thing: Thing | None) -> float:
    """What slack lets it tilt: of the parts in its chain, and of a bolt in a slot."""
    base = spec.length_m or (
        typical.BALL_BASE_M if thing and thing.fixing.by == "ball" else typical.BASE_M[0]
    )
    count = _count(spec, by)
    across = base / 2 if count == 1 else 0.72 * base
    slot = 0.0 if spec.slack_mm is None else degrees(spec.slack_mm * MM / across)
    return slot + sum(part.slack_deg for part in spec.parts)


# Of the boat's fittings.


def _of_fittings(ev: Evaluated, specs: Mapping[str, Mount]) -> Iterator[Fixed]:
    for one in ev.setup.boat.fittings:
        spec = specs.get(one.name, Mount())
        pulls = fitting_pulls(ev, one, spec)
        if not pulls:
            continue
        by = spec.by or "through bolt"
        region = region_at(ev, (one.x_m, one.y_m, one.z_m))
        usual = spec.model_copy(update={"count": spec.count or 2})
        yield Fixed(
            thing_id=None,
            fitting=one.name,
            name=one.name,
            spec=spec,
            by=by,
            region=region,
            at=(one.x_m, one.y_m, one.z_m),
            turn_deg=90.0 if spec.turn_deg is None else spec.turn_deg,
            geometry=geometry_of(ev, usual, by, region, None, None),
            situations=pulls,
            play_deg=0.0,
            screen=False,
            on_track=None,
        )


# As a bare case.


def case_of(
    geometry: Geometry,
    name: str,
    situations: list[Loading],
    try_stuff: PlateStuff | None,
    limit_deg: float = 2.0,
) -> CaseMount:
    """A mount as `neat-hull mount` would read it."""
    material, thick, core, radius, edge, heat = geometry.wall
    stuff = typical.WALLS[material]
    lasts = _heated(stuff.by_duration, heat)
    bond = geometry.by in BONDED
    if bond:
        tension, shear = typical.TAPE_MPA if geometry.by == "tape" else typical.GLUE_MPA
        hold = Hold(
            kind="bond",
            tension_mpa=tension,
            shear_mpa=shear,
            by_duration=typical.BOND_LASTS[geometry.by],
        )
    else:
        d_mm, _, area, _ = typical.SIZES[geometry.size]
        kind = {"through bolt": "through", "screw": "screw"}.get(geometry.by, "rated")
        fastener = Fastener(
            kind=kind,  # type: ignore[arg-type]
            d_mm=d_mm,
            area_mm2=area,
            yield_mpa=typical.YIELD_MPA,
            washer_mm=geometry.washer_mm,
            clamp_n=geometry.clamp_n,
            friction=geometry.friction,
            edge_m=None,
            grip_mm=typical.SCREW_GRIP_SHARE * (thick - core),
            rated_n=geometry.rated_n,
        )
        bolts = list(geometry.bolts_m) or [(0.0, 0.0)]
        hold = Hold(kind="bolts", bolts_m=bolts, fastener=fastener)
    plate = None
    if geometry.plate is not None:
        of, length, width, thick_mm = geometry.plate
        _, _, yield_mpa, _ = typical.PLATES[of]
        plate = CasePlate(
            **dict(typical.stuff_of(of, thick_mm)),
            length_m=length,
            width_m=width,
            yield_mpa=yield_mpa,
        )
    return CaseMount.model_construct(
        name=name,
        base=CaseBase(
            shape=geometry.shape,
            length_m=geometry.length_m,
            width_m=geometry.width_m,
        ),
        hold=hold,
        wall=CaseWall(
            thickness_mm=thick,
            core_mm=core,
            e_mpa=stuff.e_mpa,
            nu=stuff.nu,
            bend_mpa=stuff.bend_mpa,
            shear_mpa=stuff.shear_mpa,
            bearing_mpa=stuff.bearing_mpa,
            by_duration=lasts,
            radius_m=radius,
            edge=edge,
        ),
        plate=plate,
        plate_to_try=try_stuff,
        tilt_limit_deg=limit_deg,
        situations=[_told(one) for one in situations],
    )


def _told(one: Loading) -> Situation:
    forces = [CaseForce(force_n=force, at_m=at) for force, at in one.pulls]
    return Situation(name=one.name, duration=one.duration, forces=forces)


def _heated(of: ByDuration, heat: float) -> ByDuration:
    if heat == 1.0:
        return of
    return ByDuration(
        **{
            lasts: Factors(stiffness=one.stiffness * heat, strength=one.strength * heat)
            for lasts, one in of
        }
    )
