"""What could be tried for a day: its causes elsewhere, a swap earlier, a box drained."""

from collections.abc import Iterable

from neat_hull.model.day_plan import DayPlan, Store
from neat_hull.model.findings import Finding
from neat_hull.model.said import Said, plain
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.day.figures import clock_text, day

_EARLIER_H = 0.25


def tries(ev: Evaluated, finding: Finding) -> Tries:
    """What the worst hour comes of, on the other side, elsewhere, or ashore."""
    found = ev.once(day)
    if finding.code != "day-worst" or found is None:
        return Tries(())
    causes = [
        cause.thing_id
        for one in found.figures
        if finding.key.endswith(one.figure)
        for cause in one.causes
        if cause.thing_id is not None and cause.thing_id in ev.setup.places
    ]
    return Tries(tuple(dict.fromkeys((*named_in(finding), *causes))), seats=True, without=True)


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of the plan."""
    plan = ev.setup.outing
    if finding.code == "day-worst":
        for name, one in plan.stores.items():
            if one.kind == "ice" and not one.drains:
                yield _store(plan, name, one.model_copy(update={"drains": True}),
                             f"Drain the box of {plain(name)}", drains=True)  # fmt: skip
    elif finding.code == "day-ice":
        for name, one in plan.stores.items():
            if one.kind == "ice" and one.lid != "shade":
                yield _store(plan, name, one.model_copy(update={"lid": "shade"}),
                             f"Shade on {plain(name)}", lid="shade")  # fmt: skip
            if one.kind == "ice" and one.walls != "thick box":
                yield _store(plan, name, one.model_copy(update={"walls": "thick box"}),
                             f"{plain(name).capitalize()} in a box with thick walls",
                             walls="thick box")  # fmt: skip
    elif finding.code == "day-pack":
        yield from _earlier(ev, plan)


def _store(plan: DayPlan, name: str, changed: Store, words: str, **fields: str | bool) -> Work:
    section = plan.model_copy(update={"stores": {**plan.stores, name: changed}})
    return Work(Said.of(words), {"outing": section}, {"outing": {"stores": {name: dict(fields)}}})


def _earlier(ev: Evaluated, plan: DayPlan) -> Iterable[Work]:
    """A swap before its battery is empty."""
    found = ev.once(day)
    for n, swap in enumerate(plan.swaps):
        empty = next(
            (one.empty_h for one in ([] if found is None else found.packs)
             if one.battery == swap.battery and one.empty_h is not None), None,
        )  # fmt: skip
        if empty is None or empty >= swap.h:
            continue
        at = round(max(plan.start_h, empty - _EARLIER_H), 2)
        swaps = [
            one.model_copy(update={"h": at}) if i == n else one for i, one in enumerate(plan.swaps)
        ]
        yield Work(
            Said.of(f"Swap it at {clock_text(at)}"),
            {"outing": plan.model_copy(update={"swaps": swaps})},
            {"outing": {"swaps": [one.model_dump(mode="json") for one in swaps]}},
        )
