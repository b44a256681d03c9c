"""What could be tried so that it goes better: things ashore or laid down, a lower step."""

from collections.abc import Iterable

from neat_hull.model.findings import Finding
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.glide import typical
from neat_hull.subjects.glide.adrift import drogue_id
from neat_hull.subjects.glide.driving import motor
from neat_hull.subjects.glide.figures import lighter_by
from neat_hull.subjects.glide.going import costs
from neat_hull.subjects.glide.trolling import trolling

_MOST = 3


def tries(ev: Evaluated, finding: Finding) -> Tries:
    """What is named; for all that slows, the dearest things, ashore as well."""
    if finding.code == "glide-gear-slows":
        return Tries(lighter_by(ev)[:_MOST], without=True, lighter=True)
    if finding.code in ("glide-drags", "glide-catches-wind"):
        return Tries(named_in(finding))
    return Tries(())


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of how it goes."""
    plan = ev.setup.glide
    if finding.code in ("glide-drags", "glide-catches-wind", "glide-gear-slows"):
        lifts = {one.thing_id for one in ev.once(costs) if one.lifts}
        dear = [i for one in ev.once(costs) if (i := one.thing_id) in lifts and i][:_MOST]
        for i in dict.fromkeys((*named_in(finding), *dear)):
            if i in lifts and not plan.up.get(i, False):
                words = Said.of(f"{ev.name(i)}: up, or laid down, on the way")
                section = plan.model_copy(update={"up": {**plan.up, i: True}})
                yield Work(words, {"glide": section}, {"glide": {"up": {str(i): True}}})
    elif finding.code == "glide-reserve":
        yield from _lower_step(ev)
    elif finding.code == "glide-lies-across" and ev.once(drogue_id) is not None:
        hull = ev.rigged.floating.hull
        for x, end in ((hull.x_fwd_m, "bow"), (hull.x_aft_m, "stern")):
            section = plan.model_copy(update={"drogue_x_m": x})
            yield Work(
                Said.of(f"Lead the sock's line to the {end}"),
                {"glide": section},
                {"glide": {"drogue_x_m": x}},
            )
    elif finding.code == "glide-lines-cross":
        found = ev.once(trolling)
        if found is not None and found.least_turn_m is not None:
            turn = found.least_turn_m
            section = plan.model_copy(update={"turn_m": turn})
            words = Said.of("Turn no tighter than {}", far=turn)
            yield Work(words, {"glide": section}, {"glide": {"turn_m": turn}})


def _lower_step(ev: Evaluated) -> Iterable[Work]:
    """The highest step under the set one with which the trip leaves enough."""
    plan, now = ev.setup.glide, ev.once(motor)
    one = None if now is None else ev.thing(now.thing_id).motor
    if one is None:
        return
    for step in sorted((s for s in typical.STEPS if s < plan.step), reverse=True):
        section = plan.model_copy(update={"step": step})
        yield Work(
            Said.of("The motor at {} of its full turn", ratio=step),
            {"glide": section},
            {"glide": {"step": step}},
        )
