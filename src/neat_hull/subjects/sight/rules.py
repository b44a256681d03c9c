"""What hides the view."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.sight.figures import covered_deg, dead_arcs


@rule("view-hidden", topic="rods")
def view_hidden(ev: Evaluated) -> Iterable[Found]:
    """Things hide the water ahead from the seated eye. Our threshold, in degrees of bearing."""
    arcs = ev.once(dead_arcs)
    if not arcs:
        return
    worst = max(arcs, key=lambda arc: arc.to_deg - arc.from_deg)
    hidden = covered_deg(arcs)
    if not past(ev, "sight", hidden):
        return
    names = ", ".join(ev.name(arc.thing_id) for arc in arcs)
    yield from against(
        ev,
        "sight",
        hidden,
        Said.of("{} of your view ahead is hidden", angle=hidden),
        Said.of(f"Lower or move {names}"),
        thing_id=worst.thing_id,
    )


RULES = (view_hidden,)
