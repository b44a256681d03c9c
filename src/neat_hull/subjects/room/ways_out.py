"""How something gets clear of what it is in the way of: the shortest way that can be gone.

A way is one that what is moved can go: along its track, between its walls, over the deck with the
boat under it. What stands in or on another goes with that.
"""

import math
from collections.abc import Iterator

import numpy as np

from neat_hull.model.place import Place
from neat_hull.model.said import Said, plain
from neat_hull.model.thing import Thing
from neat_hull.physics.arrays import Array
from neat_hull.rig.fits import OFFERED_OVER_WATER, misfit_at
from neat_hull.rig.footing import over_water
from neat_hull.rig.rigging import Rigged

_UP_SHARE = 0.4  # lifting a thing is offered where it is less than that of moving it aside
_TOLD_M = 0.01  # lengths are read to a centimetre, and so rounded up here
_HALF = 0.5  # of a footprint over the water, and its middle is
_DIAGONAL = math.sqrt(0.5)
WAYS = np.array(
    [
        (1, 0, 0),
        (-1, 0, 0),
        (0, 1, 0),
        (0, -1, 0),
        (_DIAGONAL, _DIAGONAL, 0),
        (_DIAGONAL, -_DIAGONAL, 0),
        (-_DIAGONAL, _DIAGONAL, 0),
        (-_DIAGONAL, -_DIAGONAL, 0),
        (0, 0, 1),
    ]
)
_UP = len(WAYS) - 1
_WORDS = (
    "toward the bow",
    "toward the stern",
    "to port",
    "to starboard",
    "toward the bow and to port",
    "toward the bow and to starboard",
    "toward the stern and to port",
    "toward the stern and to starboard",
)


def way_out(rigged: Rigged, thing_id: int, clear_m: Array) -> Said:
    """Words for the shortest move that clears, of clear_m (9,) along WAYS; up where that is far
    shorter, or nothing else can be gone."""
    moved_id = rigged.placing.root(thing_id)
    place = rigged.setup.places[moved_id]
    far_m = np.ceil(clear_m / _TOLD_M - 1e-6) * _TOLD_M
    out_now = _out(rigged, moved_id, place)
    aside = next(_open_ways(rigged, moved_id, far_m, out_now), None)
    if aside is None and (place.on is not None or out_now >= _HALF):
        return Said.of("Put it somewhere else")
    lift = place.on is None and out_now < _HALF
    if aside is None or (lift and clear_m[_UP] < _UP_SHARE * clear_m[aside]):
        aside = _UP
    name = plain(rigged.setup.things[moved_id].name)  # what it stands in or on goes with it
    words = f"Raise {name} {{}}" if aside == _UP else f"Move {name} {{}} {_WORDS[aside]}"
    return Said.of(words, length=float(far_m[aside]))


def _open_ways(rigged: Rigged, moved_id: int, far_m: Array, out_now: float) -> Iterator[int]:
    """The ways over the deck that it can go, the shortest first."""
    placing, place = rigged.placing, rigged.setup.places[moved_id]
    stand = placing.stand(moved_id)
    if place.bury_m > 0 or stand.on_body or stand.astray:
        return  # it goes where its tube or the body does, or stands nowhere
    # What hangs over the water already may stay out as far, or come in.
    most = max(_least_out(rigged.setup.things[moved_id]), min(out_now, _HALF))
    for way in np.argsort(far_m[:_UP], kind="stable").tolist():
        x, y = (far_m[way] * WAYS[way, :2]).tolist()
        x, y = placing.into_frame(place, stand.x_m + x, stand.y_m + y)
        moved = place.model_copy(update={"x_m": x, "y_m": y})
        if misfit_at(placing, moved_id, moved) is None and _out(rigged, moved_id, moved) <= most:
            yield way


def _out(rigged: Rigged, thing_id: int, place: Place) -> float:
    """The share of a thing on the bare deck that would hang over the water."""
    if place.on is not None:
        return 0.0
    return over_water(rigged.placing.hull, rigged.setup.things[thing_id], place)


def _least_out(thing: Thing) -> float:
    return 0.0 if thing.long else OFFERED_OVER_WATER
