"""Whether what the trip asks of the boat stays within what it can answer with."""

from collections.abc import Iterable

from neat_hull.model.cautions import BOAT_ALONE
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.demands.figures import DemandReading, margin_key, readings


@rule("unsteady-standing", topic="steadiness")
def unsteady_standing(ev: Evaluated) -> Iterable[Found]:
    """GM of the boat with the angler on their feet, where they mean to stand. Our threshold."""
    for one in ev.once(readings):
        if one.code == "stand" and past(ev, "gm standing", one.gm_m):
            gm = one.gm_m
            title = (
                Said.of("Standing: stability (GM) only {}", length=gm)
                if gm >= 0
                else Said.of("Standing: only your balance holds it, GM {}", length=gm)
            )
            yield from against(
                ev,
                "gm standing",
                gm,
                title,
                Said.of("Stay seated, or move weight lower"),
                caution=(
                    "Standing changes the risk: check that the maker allows it. " + BOAT_ALONE
                ),
            )


@rule(
    "a-demand-past-its-margin",
    topic="steadiness",
    many="{} situations: too little stability margin",
)
def a_demand_past_its_margin(ev: Evaluated) -> Iterable[Found]:
    """A lean, a fish, a line, a wave: too much of the righting lever, or too little gunwale left.

    Read off the hull's cross curves. Our thresholds; see the table.
    """
    for one in ev.once(readings):
        found = [*_margin(ev, one), *_edge(ev, one)]
        if found:
            yield max(found, key=lambda each: RANK[each.verdict])


_LOWER = "Move weight, or the seat, lower"
# What you can do less of, where that is what heels the boat.
_WAY_OUT = {
    "lean": "Lean less, or move weight lower",
    "land": "Lean less after the fish, or net it closer",
    "cast": "Cast from the seat, or move weight lower",
    "rise": "Stay seated, or move weight lower",
    "stand": "Stay seated, or move weight lower",
    "cockpit": "Bail it out at once",
    "boom": "Shorten the boom, or use a lighter weight",
    "tank": "Fill the tank less",
    "pole": "Take the pole's line to an end",
    "remount": "Climb back in over the stern",
}


def _left(one: DemandReading) -> str:
    """What of the greatest righting force is left, in words."""
    left = round(100 * (1 - (one.margin_used or 0.0)))
    if left <= 0:
        return "It takes more than the boat's greatest righting force, so the boat tips."
    return f"That leaves {left} % of the righting force for a wake, a second fish or a slip."


def _margin(ev: Evaluated, one: DemandReading) -> Iterable[Found]:
    if one.standing and one.gm_m < ev.table["gm standing"].watch:
        return  # told by its GM
    if one.margin_used is None:
        yield Found(
            "stop",
            Said.of(f"{one.title}: the boat alone would go over"),
            "The heeling force is more than the boat can push back against.",
            Said.of("Move weight lower, or don't do it in this boat"),
            badness=9.0,
            part=one.code,
            caution=BOAT_ALONE,
        )
        return
    if not past(ev, margin_key(one.code), one.margin_used):
        return
    yield from against(
        ev,
        margin_key(one.code),
        one.margin_used,
        Said.of(f"{one.title}: {{}} of stability margin", ratio=one.margin_used),
        Said.of(_WAY_OUT.get(one.code, _LOWER)),
        why=_left(one),
        band=one.margin_band,
        part=one.code,
        caution=BOAT_ALONE,
    )


def _edge(ev: Evaluated, one: DemandReading) -> Iterable[Found]:
    if one.freeboard_m is not None and past(ev, "edge", one.freeboard_m):
        yield from against(
            ev,
            "edge",
            one.freeboard_m,
            Said.of(f"{one.title}: freeboard {{}}", length=one.freeboard_m),
            Said.of(_WAY_OUT.get(one.code, "Take weight ashore")),
            part=one.code,
            caution=BOAT_ALONE,
        )


RULES = (unsteady_standing, a_demand_past_its_margin)
