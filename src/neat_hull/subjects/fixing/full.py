"""Mounts in full, walls, and the plan of the work, on request."""

from collections import Counter
from collections.abc import Mapping
from typing import get_args

from neat_hull.model.fixing import Load, Mount, Plate, Region, Wall
from neat_hull.model.fixing_figures import (
    Check,
    FullFixing,
    MountDetail,
    Pull,
    SituationFigure,
    WallFigure,
    WhatIf,
)
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.figures import (
    JUDGED_BY,
    Judged,
    checks_of,
    hole_figures,
    judge,
    judged,
    wobble_key,
)
from neat_hull.subjects.fixing.holding import Held
from neat_hull.subjects.fixing.mounting import Fixed, refixed
from neat_hull.subjects.fixing.moves import bettered, plate_needed_m, specified
from neat_hull.subjects.fixing.plan import work_plan
from neat_hull.subjects.fixing.walls import radius_m, skins_mm


def full_fixing(ev: Evaluated) -> FullFixing:
    """All that is not live."""
    return FullFixing(
        mounts=[_detail(ev, one) for one in ev.once(judged)],
        walls=walls(ev),
        plan=work_plan(ev),
        regrets=_regrets(ev),
    )


def walls(ev: Evaluated) -> list[WallFigure]:
    """Every region of the hull."""
    plan = ev.setup.fixing
    stuff = typical.WALLS[plan.material]
    count = Counter(one.fixed.region for one in ev.once(judged))
    regions: tuple[Region, ...] = get_args(Region)
    found = []
    for region in regions:
        wall = plan.walls.get(region, Wall())
        thick, core = skins_mm(wall, stuff)
        found.append(
            WallFigure(
                region=region,
                thickness_mm=thick,
                core_mm=core,
                radius_m=radius_m(ev, region),
                thickness_usual=wall.thickness_mm is None,
                measured=wall.pressed is not None,
                mounts=count[region],
            )
        )
    return found


def _detail(ev: Evaluated, one: Judged) -> MountDetail:
    fix, geometry = one.fixed, one.fixed.geometry
    limit = ev.table[wobble_key(fix)].fine
    _, thick, core, radius, _, _ = geometry.wall
    return MountDetail(
        key=fix.key,
        limit_deg=limit,
        wall_thickness_mm=thick,
        core_mm=core,
        radius_m=radius,
        washer_mm=geometry.washer_mm,
        plate=None
        if geometry.plate is None
        else Plate(
            stuff=geometry.plate[0],
            length_m=min(2.0, geometry.plate[1]),
            width_m=geometry.plate[2],
            thickness_mm=geometry.plate[3],
        ),
        situations=[_situation(ev, fix, held) for held in one.held],
        plate_side_m=plate_needed_m(ev, one) if fix.drills else None,
        loads_n=_loads(ev, one),
        what_if=[_what_if(ev, one, words, fields) for words, fields in bettered(ev, one)],
    )


def _loads(ev: Evaluated, one: Judged) -> dict[Load, float]:
    """Those that may be said otherwise, by the situations that there are."""
    names = {each.name for each in one.fixed.situations}
    spec, found = one.fixed.spec, dict[Load, float]()
    if "snag" in names:
        found |= {"fish": typical.LOADS_N["fish"], "snag": typical.LOADS_N["snag"]}
    if "lifted by" in names:
        found["lift"] = one.held[0].force_n[2]
    if "line taut" in names:
        found["pull"] = typical.LOADS_N["pull"]
    if one.fixed.thing_id is not None and one.fixed.by not in ("strap", "tape"):
        leashed = (ev.thing(i) for i in ev.setup.places if ev.thing(i).fixing.leashed)
        heaviest = max((thing.mass_now_kg for thing in leashed), default=0.0)
        found |= {"leash": typical.leash_n(heaviest), "axle": typical.LOADS_N["axle"]}
    return found | spec.loads


def _situation(ev: Evaluated, fix: Fixed, held: Held) -> SituationFigure:
    situation = next(one for one in fix.situations if one.name == held.name)
    return SituationFigure(
        name=held.name,
        duration=held.duration,
        force_n=held.force_n,
        moment_nm=held.moment_nm,
        acts_at_m=situation.pulls[0][1],
        bolts=[Pull(tension_n=pull, shear_n=shear) for pull, shear in held.bolts],
        press_n=held.press_n,
        tilt_deg=held.tilt_deg,
        tilt_bare_deg=held.tilt_bare_deg,
        sink_mm=held.sink_mm,
        wall_mpa=held.wall_mpa,
        checks=[
            Check(name=name, safety=value, verdict=ev.table[JUDGED_BY[name]].verdict(value))
            for name, value in checks_of(fix, held).items()
        ],
    )


def _what_if(ev: Evaluated, one: Judged, words: Said, fields: Mapping[str, object]) -> WhatIf:
    spec = specified(one, fields)
    new = judge(ev, refixed(ev, one.fixed, spec))
    added = _plate_kg(spec) - _plate_kg(one.fixed.spec)
    return WhatIf(
        words=words,
        fields=dict(fields),
        least=new.least or 0.0,
        tilt_deg=new.tilt_deg + new.fixed.play_deg,
        added_kg=max(0.0, added),
    )


def _plate_kg(spec: Mount) -> float:
    plate = spec.plate
    if plate is None:
        return 0.0
    volume = plate.length_m * plate.width_m * plate.thickness_mm / 1000
    return volume * typical.DENSITY_KG_M3[plate.stuff]


def _regrets(ev: Evaluated) -> list[Said]:
    """Holes that nobody uses, and what would close them."""
    return [
        Said.of(
            f"{hole.name}: {hole.d_mm:g} mm, used by nothing. Plug it, or put a mount of that "
            "bolt size over it."
        )
        for hole in ev.once(hole_figures)
        if "idle" in hole.flags
    ]
