"""What a thing may be put on: each kind of parent says what it holds, where, and why not."""

from typing import Any

from neat_hull.model.place import On, OnBody, OnFitting, OnSeat, OnThing, OnWell
from neat_hull.rig.parents import body, fitting, seat, thing, well
from neat_hull.rig.parents.base import Parent

# In the order in which they are offered.
PARENTS: dict[type, Parent[Any]] = {
    OnFitting: fitting.PARENT,
    OnWell: well.PARENT,
    OnSeat: seat.PARENT,
    OnBody: body.PARENT,
    OnThing: thing.PARENT,
}


def parent_of(on: On) -> Parent[Any]:
    """The kind of parent that a place is on."""
    return PARENTS[type(on)]
