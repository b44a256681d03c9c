"""What is wrong with how things are fixed: what breaks, wobbles, droops, leaks, or makes noise.

A mount that nobody has described gives no findings: what is usual is a guess, shown as one.
"""

from collections.abc import Iterable, Iterator

from neat_hull.model.fixing_figures import HoleFigure
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, Rule, against, amount, past, rule
from neat_hull.subjects.fixing.figures import JUDGED_BY, Judged, hole_figures, judged, wobble_key

MAKER = (
    "The maker's limits and warranty win over our figures; drilling may end a warranty. Try a "
    "leash, an anchor point or a handle ashore with twice the load."
)
DRILLING = (
    "Never below the loaded waterline, never into foam, a tube or a gas-tight part without "
    "looking. Goggles, a stop on the drill, pilot first, lithium batteries out of the boat."
)
PROVED_TRIPS = 2
# What a check is called, and what to do about it.
_BREAKS: dict[str, tuple[str, str]] = {
    "bolt": ("the bolts", "Take thicker bolts, or one more"),
    "hold": ("what the bolts hold in", "Put a plate behind, or take through bolts"),
    "bearing": ("the wall beside the bolts", "Add a bolt, or a thicker one"),
    "tear": ("the wall out to its edge", "Go farther from the edge"),
    "twist": ("the grip of its one bolt", "Add a second bolt, or a rubber pad"),
    "punch": ("the wall at the base's rim", "Spread the base, or put a plate behind"),
    "wall": ("the wall round the base", "Put a plate behind, spread the base, or shorten the arm"),
    "peel": ("the bond", "Take a larger pad, or bolts"),
    "bond_shear": ("the bond", "Take a larger pad, or bolts"),
}


def _told(ev: Evaluated) -> Iterator[Judged]:
    return (one for one in ev.once(judged) if one.fixed.spec.by is not None)


def mount_part(one: Judged) -> str:
    """What tells a finding of this mount from others."""
    return f"mount {one.fixed.key}"


def hole_part(name: str) -> str:
    """The same of a hole."""
    return f"hole {name}"


@rule("fixing-breaks", topic="fixing", many="{} mounts: too weak for what pulls at them")
def breaks(ev: Evaluated) -> Iterable[Found]:
    """Bolts, wall or bond are too near to giving way under what is usual to pull at it."""
    for one in _told(ev):
        if one.governs is None or one.least is None:
            continue
        key = JUDGED_BY[one.governs]
        if not past(ev, key, one.least):
            continue
        what, clear = _BREAKS[one.governs]
        words = f"{one.fixed.name}: {what}, {{}} times as strong as “{one.worst.name}” asks"
        yield from against(
            ev,
            key,
            one.least,
            Said.of(words, times=one.least),
            Said.of(clear),
            thing_id=one.fixed.thing_id,
            part=mount_part(one),
            at=one.fixed.at,
            caution=MAKER,
            where=ev.whereabouts(one.fixed.at[0], one.fixed.at[1]),
        )


@rule("fixing-wobbles", topic="fixing", many="{} mounts: wobble")
def wobbles(ev: Evaluated) -> Iterable[Found]:
    """It tilts with the wall that it stands on, and by the slack in its parts."""
    for one in _told(ev):
        key, tilt = wobble_key(one.fixed), one.tilt_deg + one.fixed.play_deg
        if not past(ev, key, tilt):
            continue
        words, clear = "{} of wobble", "Add a bolt, a plate behind, or shorten the arm"
        if tilt > 5:
            words = "the wall folds: more than 5° ({} by plates that stay flat)"
        if one.fixed.play_deg > one.tilt_deg:
            clear = "Take up the slack in its parts first"
        yield from against(
            ev,
            key,
            tilt,
            Said.of(f"{one.fixed.name}: {words}", angle=tilt),
            Said.of(clear),
            thing_id=one.fixed.thing_id,
            part=mount_part(one),
            at=one.fixed.at,
            where=ev.whereabouts(one.fixed.at[0], one.fixed.at[1]),
        )


@rule("fixing-droops", topic="fixing", under="fixing-wobbles")
def droops(ev: Evaluated) -> Iterable[Found]:
    """Plastic creeps under what hangs on it for days."""
    for one in _told(ev):
        if not past(ev, "droop", one.droop_deg):
            continue
        words = f"{one.fixed.name}: {{}} of droop after days"
        yield from against(
            ev,
            "droop",
            one.droop_deg,
            Said.of(words, angle=one.droop_deg),
            Said.of("Take it off between trips, or put a plate behind"),
            thing_id=one.fixed.thing_id,
            part=mount_part(one),
            at=one.fixed.at,
        )


def _own(ev: Evaluated) -> Iterator[HoleFigure]:
    """Holes but for those of wires, which the electrics judge."""
    return (one for one in ev.once(hole_figures) if not one.of_wire)


def _against_hole(
    ev: Evaluated, hole: HoleFigure, key: str, value: float, words: Said, clear: Said
) -> list[Found]:
    return against(
        ev,
        key,
        value,
        words,
        clear,
        thing_id=hole.thing_id,
        part=hole_part(hole.name),
        at=hole.at,
        where=ev.whereabouts(hole.at[0], hole.at[1]),
        caution=DRILLING,
    )


@rule("hole-low", topic="fixing", many="{} holes: near the water")
def hole_low(ev: Evaluated) -> Iterable[Found]:
    """A hole that the water comes to, at rest or as the trip heels the boat."""
    for hole in _own(ev):
        if "low" not in hole.flags or hole.over_m is None:
            continue
        heeled = f" at {abs(hole.heel_deg):.0f}° of heel" if hole.heel_deg else ""
        words = f"Hole of {hole.name}: {{}} above the water{heeled}"
        if hole.over_m < 0:
            words = f"Hole of {hole.name}: {{}} under the water{heeled}"
        yield from _against_hole(
            ev,
            hole,
            "hole height",
            hole.over_m,
            Said.of(words, length=abs(hole.over_m)),
            Said.of(
                "Make it {} higher, or close it for good",
                length=ev.table["hole height"].fine - hole.over_m,
            ),
        )


@rule("hole-close", topic="fixing")
def hole_close(ev: Evaluated) -> Iterable[Found]:
    """A planned hole too near to another: plastic tears from one to the other."""
    for hole in _own(ev):
        if "close" not in hole.flags or hole.spacing_d is None:
            continue
        words = f"Hole of {hole.name}: {{}} diameters from {hole.nearest}"
        yield from _against_hole(
            ev,
            hole,
            "hole spacing",
            hole.spacing_d,
            Said.of(words, times=hole.spacing_d),
            Said.of("Spread them to {} diameters", times=ev.table["hole spacing"].fine),
        )


@rule("hole-edge", topic="fixing")
def hole_edge(ev: Evaluated) -> Iterable[Found]:
    """A planned hole too near to a gunwale or the rim of a well: plastic cracks out to it."""
    for hole in _own(ev):
        if "edge" not in hole.flags or hole.edge_d is None:
            continue
        words = f"Hole of {hole.name}: {{}} diameters from an edge"
        yield from _against_hole(
            ev,
            hole,
            "hole edge",
            hole.edge_d,
            Said.of(words, times=hole.edge_d),
            Said.of("Go {} diameters in", times=ev.table["hole edge"].fine),
        )


@rule("hole-no-hand", topic="fixing", many="{} holes: no hand gets behind them")
def hole_no_hand(ev: Evaluated) -> Iterable[Found]:
    """A nut wants a hand behind the wall, and no hatch lets one come there."""
    for hole in _own(ev):
        if "no hand" not in hole.flags:
            continue
        short = -hole.spare_m if hole.spare_m is not None else None
        why = "What stands between the hatch and the hole is not known; the way may be longer."
        words = f"Hole of {hole.name}: no hand gets a nut behind it"
        if short is not None:
            words += ", {} short"
        yield Found(
            "fix",
            Said.of(words) if short is None else Said.of(words, length=short),
            why,
            Said.of("Take a rivet nut or a well nut, or a place nearer to a hatch"),
            badness=1.0 if short is None else short,
            thing_id=hole.thing_id,
            part=hole_part(hole.name),
            at=hole.at,
            figure=None if short is None else amount("length", short),
            caution=DRILLING,
        )


@rule("hole-idle", topic="fixing", many="{} holes: used by nothing")
def hole_idle(ev: Evaluated) -> Iterable[Found]:
    """A hole that nothing uses: water gets in, and it is the next one's best place."""
    for hole in _own(ev):
        if "idle" not in hole.flags:
            continue
        yield Found(
            "watch",
            Said.of(f"Hole {hole.name}: used by nothing"),
            "A hole that is open lets water in; the next mount may use it.",
            Said.of("Plug it, weld it, or put the next mount there"),
            badness=hole.d_mm / 1000,
            part=hole_part(hole.name),
            at=hole.at,
            where=ev.whereabouts(hole.at[0], hole.at[1]),
        )


@rule("fixing-no-drill", topic="fixing", many="{} mounts: need holes, and none are to be drilled")
def no_drill(ev: Evaluated) -> Iterable[Found]:
    """No holes are to be drilled, and this mount wants some."""
    if not ev.setup.fixing.no_drill:
        return
    for one in _told(ev):
        fix = one.fixed
        if not fix.drills or fix.spec.drilled:
            continue
        yield Found(
            "stop",
            Said.of(f"{fix.name}: needs {len(fix.geometry.bolts_m)} new holes"),
            "This setup is not to be drilled.",
            Said.of("Put it on a track, in a tube, or on glue, tape or straps that hold as much"),
            badness=float(len(fix.geometry.bolts_m)),
            thing_id=fix.thing_id,
            part=mount_part(one),
            at=fix.at,
            where=ev.whereabouts(fix.at[0], fix.at[1]),
        )


@rule("fixing-unproved", topic="fixing", many="{} mounts: not yet proved on a track")
def unproved(ev: Evaluated) -> Iterable[Found]:
    """New holes for something that was not yet out at this place: prove it on a track first."""
    if ev.setup.fixing.no_drill:
        return
    for one in _told(ev):
        fix = one.fixed
        if not fix.drills or fix.spec.drilled or fix.spec.trips >= PROVED_TRIPS:
            continue
        words = f"{fix.name}: {len(fix.geometry.bolts_m)} new holes after {fix.spec.trips} trips"
        yield Found(
            "watch",
            Said.of(f"{words} at this place"),
            "A hole is for ever. Two trips with it on a track or a clamp tell whether it is right; "
            "others drill at once, and clean.",
            Said.of(f"Take it out {PROVED_TRIPS} times at this place before drilling"),
            badness=float(PROVED_TRIPS - fix.spec.trips),
            thing_id=fix.thing_id,
            part=mount_part(one),
            at=fix.at,
        )


MAT_KG, PAD_KG = 0.15, 0.03


def _heard(ev: Evaluated) -> Iterator[int]:
    """Things that stand in the boat on no pad, where quiet matters."""
    plan = ev.setup.fixing
    if plan.stalks:
        for i in ev.setup.places:
            padded = i in plan.mounts and plan.mounts[i].pad
            if not padded and not ev.rigged.by_id[i].stand.on_body:
                yield i


@rule("noise-slides", topic="fixing", many="{} items: slide or knock on the hull")
def noise_slides(ev: Evaluated) -> Iterable[Found]:
    """Hard and not tied down on bare plastic: it slides and knocks, and a hull is a drum."""
    for i in _heard(ev):
        thing = ev.thing(i)
        hard = thing.shape in ("box", "cylinder", "pole")
        if not hard or thing.worn or ev.rigged.placing.holder(i) is not None:
            continue
        loose = thing.fixing.by == "loose"
        crate = thing.container is not None and thing.fixing.by in ("strap", "bungee")
        if not (loose or crate) or not past(ev, "rattle", thing.mass_now_kg):
            continue
        yield Found(
            "watch",
            Said.of(f"{ev.name(i)}: {'slides and knocks' if loose else 'rattles on the floor'}"),
            ev.table["rattle"].reason,
            Said.of(
                "Put a mat of {} under it" if crate else "Tie it down, on a mat of {}", mass=MAT_KG
            ),
            badness=thing.mass_now_kg,
            thing_id=i,
        )


@rule("noise-chain", topic="fixing")
def noise_chain(ev: Evaluated) -> Iterable[Found]:
    """An anchor and its chain on the bare hull, or a paddle in its clip in the wind."""
    for i in _heard(ev):
        thing = ev.thing(i)
        if thing.anchor is not None and thing.anchor.by == "line":
            words = "its chain rattles on the hull"
        elif thing.part == "paddle" and thing.fixing.by in ("track bolt", "plate", "bungee"):
            words = "knocks in its clips in wind"
        else:
            continue
        yield Found(
            "watch",
            Said.of(f"{ev.name(i)}: {words}"),
            ev.table["rattle"].reason,
            Said.of("A pad of {} under it, or rope instead of chain", mass=PAD_KG),
            badness=0.1,
            thing_id=i,
        )


@rule("noise-hums", topic="fixing")
def noise_hums(ev: Evaluated) -> Iterable[Found]:
    """A pump or a powered anchor that runs while one stalks."""
    for i in _heard(ev):
        thing = ev.thing(i)
        if thing.draw is None:
            continue
        pump = thing.fill is not None and thing.fill.afloat
        if not pump and thing.anchor is None:
            continue
        yield Found(
            "watch",
            Said.of(f"{ev.name(i)}: {'its pump hums' if pump else 'its winch is heard'}"),
            "Fish hear what is bolted to a hull long before they see it.",
            Said.of("Switch it off while stalking, or set it on a rubber pad of {}", mass=PAD_KG),
            badness=0.1,
            thing_id=i,
        )


RULES: tuple[Rule, ...] = (
    breaks,
    wobbles,
    droops,
    no_drill,
    unproved,
    hole_low,
    hole_no_hand,
    hole_close,
    hole_edge,
    hole_idle,
    noise_slides,
    noise_chain,
    noise_hums,
)
