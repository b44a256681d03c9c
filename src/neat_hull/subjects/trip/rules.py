"""Two trips on one day."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, rule


@rule("in-two-setups", topic="trip", many="{} items: also packed in another setup that day")
def in_two_setups(ev: Evaluated) -> Iterable[Found]:
    """The same single thing is aboard in another setup of the same day."""
    for thing_id, other in ev.beside.elsewhere:
        if thing_id in ev.setup.places:
            yield Found(
                "watch",
                Said.of(f"{ev.name(thing_id)}: also packed in {other} that day"),
                "You have one of it.",
                Said.of("Take it out of one of the two, or change a day"),
                badness=1.0,
                thing_id=thing_id,
                part=other[:40],
            )


RULES = (in_two_setups,)
