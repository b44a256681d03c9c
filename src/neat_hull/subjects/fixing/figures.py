"""How the things of a setup are held: mounts, worst first asked by the table, and holes."""

from dataclasses import dataclass
from functools import partial
from math import hypot

from neat_hull.model.fixing_figures import (
    CheckName,
    FixingFigures,
    HoleFigure,
    HoleFlag,
    MountFigure,
)
from neat_hull.model.said import Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.subjects.fixing.holding import MOST, Held
from neat_hull.subjects.fixing.joining import BONDED, mounted
from neat_hull.subjects.fixing.ledger import HoleAt, ledger
from neat_hull.subjects.fixing.mounting import Fixed, fixed

# Which row of the table judges a check.
JUDGED_BY: dict[str, str] = {
    "bolt": "bolt holds", "hold": "holds", "bearing": "holds", "tear": "holds", "punch": "holds",
    "wall": "holds", "twist": "twist", "peel": "bond holds", "bond_shear": "bond holds",
}  # fmt: skip
_STRAP_CHECKS = ("hold",)


@dataclass(frozen=True, eq=False)
class Judged:
    """A mount with what it comes to in each situation, and the check that is worst by its table."""

    fixed: Fixed
    held: list[Held]
    governs: CheckName | None
    worst: Held
    least: float | None
    tilt_deg: float
    droop_deg: float


def checks_of(one: Fixed, held: Held) -> dict[CheckName, float]:
    """The checks that apply: to what is strapped or clamped down, only whether that holds."""
    if one.by == "clamp":
        return {"twist": _grips(one, held)}
    only = _STRAP_CHECKS if one.by == "strap" else None
    return {
        name: value  # type: ignore[misc]
        for name, value in held.safety.items()
        if value is not None and (only is None or name in only)
    }


def _grips(one: Fixed, held: Held) -> float:
    """How far from slipping two jaws are: pushed aside and turned at once, added in squares."""
    geometry = one.geometry
    grip_n = 2 * geometry.friction * geometry.clamp_n
    arm_m = 2 / 3 * min(geometry.length_m, geometry.width_m) / 2
    asked = hypot(
        hypot(held.force_n[0], held.force_n[1]) / grip_n, held.moment_nm[2] / (grip_n * arm_m)
    )
    return MOST if asked <= 0 else min(MOST, 1 / asked)


def judged(ev: Evaluated) -> list[Judged]:
    """All mounts of a setup."""
    before = ev.before
    known = {}
    if before is not None and before.table == ev.table:
        known = {id(one.fixed): one for one in before.once(judged)}
    return [known.get(id(one)) or judge(ev, one) for one in ev.once(fixed)]


def judge(ev: Evaluated, one: Fixed) -> Judged:
    """One mount, by the table."""
    held = mounted(one.geometry).held(one.situations)
    worst: tuple[int, float, CheckName | None, Held] = -1, MOST, None, held[0]
    for each in held:
        for name, safety in checks_of(one, each).items():
            levels = ev.table[JUDGED_BY[name]]
            rank = RANK[levels.verdict(safety)]
            if (rank, -safety / levels.fine) > (worst[0], -worst[1]):
                worst = rank, safety / levels.fine, name, each
    _, _, governs, at = worst
    stiff = one.by in ("strap", "clamp")
    return Judged(
        one,
        held,
        governs,
        at,
        None if governs is None else checks_of(one, at)[governs],
        0.0 if stiff else max(each.tilt_deg for each in held if each.duration != "days"),
        0.0 if stiff else max((e.tilt_deg for e in held if e.duration == "days"), default=0.0),
    )


def wobble_key(one: Fixed) -> str:
    """The limit that a mount's tilt is judged by."""
    return "screen wobble" if one.screen else "wobble"


def fixing(ev: Evaluated) -> FixingFigures | None:
    """All that is live; None where nothing aboard is fixed down and no hole is known."""
    mounts, holes = ev.once(judged), ev.once(hole_figures)
    if not mounts and not holes:
        return None
    return FixingFigures(
        mounts=[
            ev.again(("mount", one.fixed.key), one, partial(_figure, ev, one)) for one in mounts
        ],
        holes=holes,
        drilled=sum(one.state in ("drilled", "factory") for one in holes),
        planned=sum(one.state == "planned" for one in holes),
        idle=sum("idle" in one.flags for one in holes),
    )


def verdict_of(ev: Evaluated, one: Judged) -> Verdict:
    """The worst of what holds, wobbles and droops."""
    words: list[Verdict] = [
        ev.table[wobble_key(one.fixed)].verdict(one.tilt_deg + one.fixed.play_deg),
        ev.table["droop"].verdict(one.droop_deg),
    ]
    if one.governs is not None and one.least is not None:
        words.append(ev.table[JUDGED_BY[one.governs]].verdict(one.least))
    return max(words, key=lambda word: RANK[word])


def _figure(ev: Evaluated, one: Judged) -> MountFigure:
    fix, geometry = one.fixed, one.fixed.geometry
    u, v = geometry.length_m / 2, geometry.width_m / 2
    return MountFigure(
        key=fix.key,
        thing_id=fix.thing_id,
        fitting=fix.fitting,
        name=fix.name,
        usual=fix.spec.by is None,
        by=fix.by,
        region=fix.region,
        size=geometry.size,
        shape="round" if geometry.shape == "round" else "rect",
        length_m=geometry.length_m,
        width_m=geometry.width_m,
        turn_deg=fix.turn_deg,
        at=fix.at,
        corners=[fix.on_boat(spot) for spot in ((u, v), (u, -v), (-u, -v), (-u, v))],
        bolts=[] if fix.by in BONDED else [fix.on_boat(spot) for spot in geometry.bolts_m],
        on_track=fix.on_track,
        least=one.least,
        governs=one.governs,
        worst_in=one.worst.name,
        tilt_deg=one.tilt_deg,
        droop_deg=one.droop_deg,
        play_deg=fix.play_deg,
        screen=fix.screen,
        drills=len(geometry.bolts_m) if fix.drills else 0,
        verdict=verdict_of(ev, one),
    )


def hole_figures(ev: Evaluated) -> list[HoleFigure]:
    """All holes of a setup with what is wrong with them."""
    return [_hole(ev, one) for one in ev.once(ledger)]


def _hole(ev: Evaluated, one: HoleAt) -> HoleFigure:
    words: list[Verdict] = ["fine"]
    flags: list[HoleFlag] = []
    open_ = one.state != "filled"
    if open_ and one.over_m is not None and not one.through_hull:
        low = ev.table["hole height"].verdict(one.over_m)
        words.append(low)
        if low != "fine":
            flags.append("low")
    if one.spacing_d is not None and one.state == "planned":
        close = ev.table["hole spacing"].verdict(one.spacing_d)
        words.append(close)
        if close != "fine":
            flags.append("close")
    if one.edge_d is not None and one.state == "planned":
        edge = ev.table["hole edge"].verdict(one.edge_d)
        words.append(edge)
        if edge != "fine":
            flags.append("edge")
    if one.state == "planned" and one.needs_hand and one.behind is None:
        flags.append("no hand")
        words.append("fix")
    if open_ and one.used_by is None:
        flags.append("idle")
        words.append("watch")
    return HoleFigure(
        name=one.name,
        thing_id=one.thing_id,
        of_wire=one.of_wire,
        at=one.at,
        d_mm=one.d_mm,
        state=one.state,
        used_by=one.used_by,
        over_m=one.over_m,
        heel_deg=one.heel_deg,
        spacing_d=one.spacing_d,
        nearest=one.nearest,
        edge_d=one.edge_d,
        seal=one.seal,
        template=one.template,
        needs_hand=one.needs_hand,
        behind=one.behind,
        spare_m=one.spare_m,
        through_hull=one.through_hull,
        flags=flags,
        verdict=max(words, key=lambda word: RANK[word]),
    )
