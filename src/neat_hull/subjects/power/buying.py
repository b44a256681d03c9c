"""What to buy for the wiring: wire by gauge and length, fuses, terminals, glands, loom."""

from collections import Counter
from math import ceil

from neat_hull.model.power import Conductor
from neat_hull.model.power_day import Ashore, BuyRow, UnplugStep
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power.routes import routes
from neat_hull.subjects.power.wiring import wired

_STEP_M = 0.5  # wire is sold by the half metre
_LOOM_M = 0.3  # about each place where it could rub


def gauge_words(one: Conductor) -> str:
    """AWG 16, 1.5 mm²."""
    return f"AWG {one.awg}" if one.awg is not None else f"{one.area_mm2:g} mm²"


def to_buy(ev: Evaluated) -> list[BuyRow]:
    """Lines by kind, then by size; lengths with slack, rounded up, both ways as a pair."""
    lengths: Counter[str] = Counter()
    fuses: Counter[float] = Counter()
    terminals = disconnects = glands = clips = 0
    loom = 0.0
    for key, route in ev.once(routes).items():
        one = ev.setup.power.conductors[key]
        lengths[gauge_words(one)] += ceil(1000 * route.length_m)
        if one.fuse_a is not None:
            fuses[one.fuse_a] += 1
        terminals += 2 * one.joints
        disconnects += one.disconnects
        glands += sum(by in ("gland", "hole") for by in route.held)
        clips += sum(by == "clip" for by in route.held)
        rims = sum(by == "hatch" for by in route.held)
        loom += route.length_m if one.loom else _LOOM_M * rims
    rows = [
        BuyRow(what="Wire, pair", size=size, count=None, length_m=_rounded(mm / 1000),
               note="tinned copper; slack is in it")
        for size, mm in sorted(lengths.items())
    ]  # fmt: skip
    rows += [
        BuyRow(what="Fuse and holder", size=f"{amps:g} A", count=count, length_m=None,
               note="at the battery's positive post, and as many fuses spare")
        for amps, count in sorted(fuses.items())
    ]  # fmt: skip
    for what, count, note in (
        ("Crimp terminal", terminals, "sealed, of the wire's size"),
        ("Disconnect, pair", disconnects, "waterproof"),
        ("Gland", glands, "of the cable's thickness; drip loop below"),
        ("Clip", clips, "every 45 cm or closer"),
    ):
        if count:
            rows.append(BuyRow(what=what, size="", count=count, length_m=None, note=note))
    if loom:
        rows.append(BuyRow(what="Loom", size="", count=None, length_m=_rounded(loom),
                           note="split, where it could rub"))  # fmt: skip
    return rows


def _rounded(length_m: float) -> float:
    return ceil(length_m / _STEP_M - 1e-9) * _STEP_M


def ashore(ev: Evaluated) -> list[Ashore]:
    """What must be unplugged and taken off to carry each battery to its charger, in order."""
    found = []
    placing = ev.rigged.placing
    for i in ev.once(wired).batteries:
        steps = [f"Take out {ev.name(j)}" for j in placing.out_first(i)]
        if placing.in_hatch(i):
            steps.insert(0, "Open the hatch")
        for key in ev.once(routes):
            one = ev.setup.power.conductors[key]
            if i in (one.start, one.end):
                other = one.end if one.start == i else one.start
                pulled = "Unplug" if one.disconnects else "Unscrew"
                steps.append(f"{pulled} the wire to {ev.name(other)}")
        if ev.thing(i).fixing.by != "loose":
            steps.append(f"Undo the {ev.thing(i).fixing.by}")
        found.append(Ashore(thing_id=i, steps=[UnplugStep(words=one) for one in steps]))
    return found
