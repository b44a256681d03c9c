"""Whether things go where they are put."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, amount, rule
from neat_hull.subjects.fit.figures import misfits, overhangs

# Shares of a footprint past the side: with a third out, a knock tips it in; with a sixth, it is in
# the way of hands and of other boats. Our thresholds.
_TIPS, _STICKS_OUT = 1 / 3, 1 / 6


@rule("does-not-belong-there", topic="fit", many="{} items: do not fit where they are")
def does_not_belong_there(ev: Evaluated) -> Iterable[Found]:
    """Off its track, through a wall, too big for its space, in a container that is full.

    What fits where is told by `rig.fits`.
    """
    for thing_id, misfit in ev.once(misfits).items():
        over = next(iter(misfit.amounts), None)
        yield Found(
            "fix",
            Said(text=f"{ev.name(thing_id)}: {misfit.text}", amounts=misfit.amounts),
            "It does not fit there, whatever the drawing shows.",
            Said.of("Put it where it fits"),
            badness=1.0 + (over.value if over else 0.0),
            thing_id=thing_id,
            figure=over,
            limit=None if over is None else amount(over.kind, 0.0),
        )


@rule("outside-the-boat", topic="fit", many="{} items: hang outside the boat")
def outside_the_boat(ev: Evaluated) -> Iterable[Found]:
    """Something on the bare deck has a third of itself past the side or an end of the boat, or
    a sixth. Our thresholds."""
    for thing_id, out in ev.once(overhangs).items():
        if out.share > _STICKS_OUT:
            name, tips = ev.name(thing_id), out.share > _TIPS
            yield Found(
                "fix" if tips else "watch",
                Said.of(f"{name}: hangs {{}} outside the boat", length=out.over_m),
                "It has too little under it, and a knock tips it in."
                if tips
                else "It sticks out, where you and other boats knock it.",
                Said.of("Move it {} inboard", length=out.over_m),
                badness=out.over_m,
                thing_id=thing_id,
                figure=amount("length", out.over_m),
                limit=amount("length", 0.0),
            )


RULES = (does_not_belong_there, outside_the_boat)
