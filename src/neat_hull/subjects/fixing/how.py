"""How the figures of a mount came about: from what pulls at it to what gives way first."""

from math import hypot

from neat_hull.errors import InputError
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.physics.fixing.panel import sheet
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.bending import MM, MPA
from neat_hull.subjects.fixing.figures import Judged, checks_of, judged, verdict_of
from neat_hull.subjects.fixing.holding import MOST

_SURE = (
    "A flat panel with small deflections: real decks are curved and stiffer, so this is the bad "
    "case; past 5° the wall folds and the figure is too soft. How far the wall is free is a guess "
    "until it is pressed. Makers' limits win."
)
_NAMES = {
    "bolt": "Bolts", "hold": "What they hold in", "bearing": "Wall beside the bolts",
    "tear": "Wall out to its edge", "twist": "Grip of its one bolt",
    "punch": "Wall at the base's rim", "wall": "Wall round the base", "peel": "Bond, pulled off",
    "bond_shear": "Bond, pushed aside",
}  # fmt: skip


def _worst(ev: Evaluated) -> Judged:
    """The mount that is told of: one that was described first, then the worst."""
    rows = ev.once(judged)
    if not rows:
        raise InputError("figure", "mount", "nothing aboard is mounted on the boat")
    return max(
        rows,
        key=lambda one: (
            one.fixed.spec.by is not None,
            RANK[verdict_of(ev, one)],
            -(MOST if one.least is None else one.least),
        ),
    )


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def mount(ev: Evaluated) -> How:
    """Of the mount that is worst."""
    one = _worst(ev)
    fix, held, geometry = one.fixed, one.worst, one.fixed.geometry
    material, thick, core, radius, _, heat = geometry.wall
    stuff = typical.WALLS[material]
    lasts = stuff.by_duration.of(held.duration)
    along, across, out = held.force_n
    rows = [
        _row(f"{held.name}: force along and across", hypot(along, across), "force"),
        _row("force out of the wall", out, "force"),
        *(
            _row(f"bolt {n}: pulled", pull, "force")
            for n, (pull, _) in enumerate(held.bolts, start=1)
        ),
        _row("wall", thick * MM, "thin"),
        _row("free round it", radius, "length"),
        _row("stiffness left, by time and heat", lasts.stiffness * heat, "ratio"),
        _row("strength left", lasts.strength * heat, "ratio"),
        _row("tilt without a plate", held.tilt_bare_deg, "angle"),
        _row("tilt", held.tilt_deg, "angle"),
    ]
    nearest = sorted(checks_of(fix, held).items(), key=lambda row: row[1])[:3]
    rows += [
        _row(f"{_NAMES[name]}: times strong enough", value, "times") for name, value in nearest
    ]
    stiff = sheet(stuff.e_mpa * MPA * lasts.stiffness * heat, stuff.nu, thick * MM, core * MM)
    return How(
        title=f"{fix.name}: what holds it",
        plain="The base presses on the wall at its rim and pulls at its bolts, those farthest from "
        "where it presses the most. The wall bends as a round plate between the base and where it "
        "is stiff again; a plate behind stiffens it.",
        formula=f"least ½Σw² − work, w ≥ 0 at the rim;  ψ = M/4πD · f(disc, plate, radius), "
        f"D = E(h³ − c³)/12(1 − ν²) = {stiff.rigidity_nm:.2f} N·m",
        rows=rows,
        sure=_SURE,
    )


HOW = {"mount": mount}
