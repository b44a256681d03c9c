"""Whether things go where they are put."""

from collections.abc import Iterable

import numpy as np

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, amount, rule
from neat_hull.subjects.fit.figures import misfits

_OVERHANG_M = 0.02


@rule("does-not-belong-there", topic="fit")
def does_not_belong_there(ev: Evaluated) -> Iterable[Found]:
    """Off its track, through a wall, too big for its space, in a container that is full.

    What fits where is told by `rig.fits`.
    """
    for thing_id, misfit in ev.once(misfits).items():
        over = next(iter(misfit.amounts), None)
        yield Found(
            "fix",
            Said(text=f"{ev.name(thing_id)}: {misfit.text}", amounts=misfit.amounts),
            "It will not go there, whatever the drawing shows.",
            Said.of("put it where it fits"),
            badness=1.0 + (over.value if over else 0.0),
            thing_id=thing_id,
            figure=over,
            limit=None if over is None else amount(over.kind, 0.0),
        )


@rule("outside-the-boat", topic="fit")
def outside_the_boat(ev: Evaluated) -> Iterable[Found]:
    """The middle of something on the bare deck lies past the side or an end of the boat."""
    hull, stowed = ev.rigged.floating.hull, ev.rigged.stowed
    x, y = np.array([(s.stand.x_m, s.stand.y_m) for s in stowed]).reshape(-1, 2).T
    half = np.interp(x, hull.x_m, hull.half_breadth_m)
    out = np.maximum.reduce([np.abs(y) - half, x - hull.x_fwd_m, hull.x_aft_m - x])
    for i in np.flatnonzero(out > _OVERHANG_M).tolist():
        thing_id, over = stowed[i].thing_id, float(out[i])
        if ev.setup.places[thing_id].on is None and not ev.thing(thing_id).long:
            yield Found(
                "fix",
                Said.of(f"{ev.name(thing_id)} hangs {{}} outside the boat", length=over),
                "It has nothing under it.",
                Said.of("{} inward", length=over),
                badness=over,
                thing_id=thing_id,
                figure=amount("length", over),
                limit=amount("length", 0.0),
            )


RULES = (does_not_belong_there, outside_the_boat)
