"""Whether what the trip asks of the boat stays within what it can answer with."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.demands.figures import DemandReading, margin_key, readings

PASSIVE = "The figure is the passive boat; try it in shallow warm water near shore, with help."


@rule("unsteady-standing", topic="steadiness")
def unsteady_standing(ev: Evaluated) -> Iterable[Found]:
    """GM of the boat with the angler on their feet, where they mean to stand. Our threshold."""
    for one in ev.once(readings):
        if one.code == "stand" and past(ev, "gm standing", one.gm_m):
            gm = one.gm_m
            title = (
                Said.of("GM standing is only {}", length=gm)
                if gm >= 0
                else Said.of("Stands only by your own balance: GM {}", length=gm)
            )
            yield from against(
                ev,
                "gm standing",
                gm,
                title,
                Said.of("stay seated, or lower the weights"),
                caution=("Standing changes the risk; check that the maker permits it. " + PASSIVE),
            )


@rule("a-demand-past-its-margin", topic="steadiness")
def a_demand_past_its_margin(ev: Evaluated) -> Iterable[Found]:
    """A lean, a fish, a line, a wave: too much of the righting lever, or too little gunwale left.

    Read off the hull's cross curves. Our thresholds; see the table.
    """
    for one in ev.once(readings):
        found = [*_margin(ev, one), *_edge(ev, one)]
        if found:
            yield max(found, key=lambda each: RANK[each.verdict])


def _margin(ev: Evaluated, one: DemandReading) -> Iterable[Found]:
    if one.standing and one.gm_m < ev.table["gm standing"].watch:
        return  # told by its GM
    if one.margin_used is None:
        yield Found(
            "stop",
            Said.of(f"{one.title}: the boat alone would go over"),
            ev.table["margin"].reason,
            Said.of("lower the weights, or do without it"),
            badness=9.0,
            part=one.code,
            caution=PASSIVE,
        )
        return
    if not past(ev, margin_key(one.code), one.margin_used):
        return
    yield from against(
        ev,
        margin_key(one.code),
        one.margin_used,
        Said.of(f"{one.title} uses {{}} of the margin", ratio=one.margin_used),
        Said.of("lower the weights, lean less, or lower the seat"),
        band=one.margin_band,
        part=one.code,
        caution=PASSIVE,
    )


def _edge(ev: Evaluated, one: DemandReading) -> Iterable[Found]:
    if one.freeboard_m is not None and past(ev, "edge", one.freeboard_m):
        yield from against(
            ev,
            "edge",
            one.freeboard_m,
            Said.of(
                f"{one.title} brings the gunwale to {{}} over the water", length=one.freeboard_m
            ),
            Said.of("carry less, or lean less"),
            part=one.code,
            caution=PASSIVE,
        )


RULES = (unsteady_standing, a_demand_past_its_margin)
