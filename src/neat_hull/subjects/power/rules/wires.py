"""Fuses and wires: what keeps them, and what they carry."""

from collections.abc import Iterable

from neat_hull.model.cautions import WIRING
from neat_hull.model.said import Said, capital
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.subjects.power.conductors import FUSE_ROOM
from neat_hull.subjects.power.figures import power, standing
from neat_hull.subjects.power.rules.common import (
    conductors,
    middle,
    of_wire,
    told,
    wire_words,
)
from neat_hull.subjects.power.sizing import fuse_for, is_thin, thicker
from neat_hull.subjects.power.wiring import wired

BREAKS_A = 1000.0  # the most that a blade fuse is usually built to interrupt
_FAR_OVER = 1.5  # a fuse past so many times what the wire carries
_SHORT = 2.0  # a short circuit should be so many times the fuse


@rule("power-no-fuse", topic="power")
def no_fuse(ev: Evaluated) -> Iterable[Found]:
    """No fuse between the battery and the wire. Small-craft practice: fuse each at its post."""
    for figure, _ in told(ev, "no_fuse"):
        wants = fuse_for(figure.full_a, figure.ampacity_a)
        yield of_wire(
            ev,
            figure,
            "stop",
            Said.of(f"{capital(wire_words(ev, figure.key))}: no fuse"),
            "A short circuit turns the whole battery into heat in this wire.",
            Said.of("Put a fuse of {} at the battery's positive post", current=wants)
            if wants
            else Said.of("Take a thicker wire, and a fuse at the battery's positive post"),
            badness=figure.full_a + 1,
        )


@rule("power-fuse-over-wire", topic="power")
def fuse_over_wire(ev: Evaluated) -> Iterable[Found]:
    """The fuse lets through more than the wire carries. Our limit; practice lets it go to 150 %."""
    for figure, row in told(ev, "fuse_over_wire"):
        guard, carries = row["value"], row["limit"]
        smaller = fuse_for(figure.full_a, carries)
        yield of_wire(
            ev,
            figure,
            "stop" if guard > _FAR_OVER * carries else "fix",
            Said.of(f"{capital(wire_words(ev, figure.key))}: fuse larger than the wire carries"),
            "The wire becomes the fuse.",
            Said.of("Take a fuse of {}", current=smaller)
            if smaller
            else Said.of(f"Take {thicker(ev, figure)}, or less on this wire"),
            badness=guard / carries,
            now=amount("current", guard),
            limit=amount("current", carries),
        )


@rule("power-fuse-far", topic="power")
def fuse_far(ev: Evaluated) -> Iterable[Found]:
    """Too much wire before the first fuse. Small-craft practice: within 7 in of the post."""
    for figure, row in told(ev, "fuse_far"):
        if not past(ev, "fuse far", row["value"]):
            continue
        yield from against(
            ev,
            "fuse far",
            row["value"],
            Said.of(
                f"{capital(wire_words(ev, figure.key))}: fuse {{}} from the battery",
                length=row["value"],
            ),
            Said.of(
                "Move the fuse to within {} of the positive post", length=ev.table["fuse far"].fine
            ),
            least="fix",
            thing_id=ev.setup.power.conductors[figure.key].end,
            part=f"wire {figure.key}",
            at=middle(figure),
            caution=WIRING,
        )


@rule("power-wire-over", topic="power")
def wire_over(ev: Evaluated) -> Iterable[Found]:
    """More current than the wire carries without growing too warm."""
    for figure, row in told(ev, "wire_over"):
        yield of_wire(
            ev,
            figure,
            "fix",
            Said.of(
                f"{capital(wire_words(ev, figure.key))}: too thin for {{}}", current=row["value"]
            ),
            "It grows hot, in a bundle or a closed hull more so.",
            Said.of(f"Take {thicker(ev, figure)}"),
            badness=row["value"] / row["limit"],
            now=amount("current", row["value"]),
            limit=amount("current", row["limit"]),
        )


@rule("power-fuse-tight", topic="power")
def fuse_tight(ev: Evaluated) -> Iterable[Found]:
    """A fuse near what runs through it all day. Practice: a quarter more than the full draw."""
    for figure, row in told(ev, "fuse_tight"):
        larger = fuse_for(figure.full_a, figure.ampacity_a)
        yield of_wire(
            ev,
            figure,
            "watch",
            Said.of(f"{capital(wire_words(ev, figure.key))}: fuse may blow at full draw"),
            "Fuses age and blow when they run at their rating.",
            Said.of("Take a fuse of {}", current=larger)
            if larger
            else Said.of(f"Take {thicker(ev, figure)} and a larger fuse"),
            badness=row["value"] / row["limit"],
            now=amount("current", row["value"] / FUSE_ROOM),
            limit=amount("current", row["limit"] / FUSE_ROOM),
        )


@rule("power-thin-wire", topic="power")
def thin_wire(ev: Evaluated) -> Iterable[Found]:
    """Thinner than wires are taken outside a sheath: usual tables end at AWG 18."""
    for figure in ev.once(conductors).values():
        if is_thin(ev.setup.power.conductors[figure.key]):
            yield of_wire(
                ev,
                figure,
                "watch",
                Said.of(f"{capital(wire_words(ev, figure.key))}: thin enough to break"),
                "It breaks before it burns; usual tables do not go so far down.",
                Said.of("Take AWG 18 or thicker"),
                badness=1.0,
            )


@rule("power-short-circuit", topic="power")
def short_circuit(ev: Evaluated) -> Iterable[Found]:
    """A short circuit at the far end too weak to blow the fuse, or at it too strong for a blade."""
    stands, found = ev.once(standing), ev.once(wired)
    if stands is None:
        return
    figures = ev.once(conductors)
    for plan in stands.made.banks:
        volts = max(stands.made.batteries[i].source_v(1.0) for i in plan.batteries)
        behind = 1 / sum(
            1 / (stands.made.batteries[i].inner_ohm(1.0) + stands.made.batteries[i].lead_ohm)
            for i in plan.batteries
        )
        loop: list[float] = []
        for n, wire in zip(plan.wires, plan.tree, strict=True):
            loop.append(wire.ohm + (loop[wire.parent] if wire.parent >= 0 else 0.0))
            figure = figures[found.wires[n]]
            guard = figure.guard_fuse_a
            if guard is None:
                continue
            far_a = volts / (behind + loop[-1])
            if far_a < _SHORT * guard:
                yield of_wire(
                    ev,
                    figure,
                    "fix",
                    Said.of(f"{capital(wire_words(ev, figure.key))}: its fuse may not blow"),
                    "To the fuse, a short circuit behind so much wire looks like a load.",
                    Said.of("Take a smaller fuse or a thicker wire"),
                    badness=_SHORT * guard / far_a,
                    now=amount("current", far_a),
                    limit=amount("current", _SHORT * guard),
                )
            near_a = volts / behind
            one = ev.setup.power.conductors[figure.key]
            if wire.parent < 0 and one.fuse_a is not None and near_a > BREAKS_A:
                yield of_wire(
                    ev,
                    figure,
                    "fix",
                    Said.of(f"{capital(wire_words(ev, figure.key))}: too strong for a blade fuse"),
                    "A short circuit burns on as an arc inside the fuse.",
                    Said.of("Take a fuse that is built for {}", current=near_a),
                    badness=near_a / BREAKS_A,
                    now=amount("current", near_a),
                    limit=amount("current", BREAKS_A),
                )


@rule("power-unfed", topic="power", many="{} items: no wire from a battery")
def unfed(ev: Evaluated) -> Iterable[Found]:
    """Something that takes current, and no wire brings it any."""
    figures = ev.once(power)
    for i in figures.unfed if figures is not None else ():
        yield Found(
            "watch",
            Said.of(f"{ev.name(i)}: no wire from a battery"),
            "It stays dark, or its wire has not been planned yet.",
            Said.of("Draw its wire on the Power screen, or say that it has its own batteries"),
            badness=1.0,
            thing_id=i,
        )


RULES = (no_fuse, fuse_over_wire, fuse_far, wire_over, fuse_tight, thin_wire, short_circuit, unfed)
