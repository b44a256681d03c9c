"""What joins a mount to its wall: base, bolts or bond, and plate; and that as a bare case."""

from dataclasses import dataclass
from functools import lru_cache
from math import cos, degrees, pi, sin
from typing import Literal

from neat_hull.model.boat import Fitting, Track
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
from neat_hull.model.thing import Thing
from neat_hull.physics.fixing.panel import Edge
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.bending import MM
from neat_hull.subjects.fixing.holding import Mounted
from neat_hull.subjects.fixing.loading import Loading
from neat_hull.subjects.fixing.walls import radius_m, skins_mm

BaseShape = Literal["rect", "round"]
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


def play_deg(spec: Mount, by: FastenBy, thing: Thing | None) -> float:
    """What slack lets it tilt: of the parts in its chain, and of a bolt in a slot."""
    base = spec.length_m or (
        typical.BALL_BASE_M if thing and thing.fixing.by == "ball" else typical.BASE_M[0]
    )
    count = _count(spec, by)
    across = base / 2 if count == 1 else 0.72 * base
    slot = 0.0 if spec.slack_mm is None else degrees(spec.slack_mm * MM / across)
    return slot + sum(part.slack_deg for part in spec.parts)


@lru_cache(maxsize=512)
def mounted(geometry: Geometry) -> Mounted:
    """The mount made ready, once for each geometry."""
    return Mounted(case_of(geometry, "mount", [], None))


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
