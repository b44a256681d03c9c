"""Whether things go where they are put."""

from collections.abc import Iterable

import numpy as np

from neat_hull.analysis.findings.case import Case, Found, amount
from neat_hull.model.figures import Said

_OVERHANG_M = 0.02


def does_not_belong_there(case: Case) -> Iterable[Found]:
    """Off its track, through a wall, too big for its space, in a container that is full.

    What fits where is told by `analysis.fits`.
    """
    for thing_id, row in case.rows.items():
        if row.misfit is None:
            continue
        name = case.name(thing_id)
        text = row.misfit.text
        over = next((a for a in row.misfit.amounts), None)
        yield Found(
            "fix", Said(text=f"{name}: {text}", amounts=row.misfit.amounts),
            "It will not go there, whatever the drawing shows.",
            Said(text="put it where it fits"), badness=1.0 + (over.value if over else 0.0),
            thing_id=thing_id, figure=over, limit=None if over is None else amount(over.kind, 0.0),
        )  # fmt: skip


def outside_the_boat(case: Case) -> Iterable[Found]:
    """The middle of something on the bare deck lies past the side or an end of the boat."""
    hull = case.rigged.floating.hull
    halves = np.interp([row.x_m for row in case.rows.values()], hull.x_m, hull.half_breadth_m)
    for (thing_id, row), half in zip(case.rows.items(), halves.tolist(), strict=True):
        place = case.setup.places[thing_id]
        if place.on is not None or case.thing(thing_id).long:
            continue
        out = max(abs(row.y_m) - half, row.x_m - hull.x_fwd_m, hull.x_aft_m - row.x_m)
        if out > _OVERHANG_M:
            yield Found(
                "fix", Said.of(f"{case.name(thing_id)} hangs {{}} outside the boat",
                               length=out),
                "It has nothing under it.", Said.of("{} inward", length=out), badness=out,
                thing_id=thing_id, figure=amount("length", out), limit=amount("length", 0.0),
            )  # fmt: skip


RULES = (does_not_belong_there, outside_the_boat)
