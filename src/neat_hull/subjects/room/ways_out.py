"""How something gets clear of what it is in the way of: the shortest way that can be gone.

A way is one that what is moved can go: along its track, between its walls, over the deck with the
boat under it. What stands in or on another goes with that.
"""

import math
from collections.abc import Iterator

import numpy as np

from neat_hull.model.said import Said, plain
from neat_hull.model.setup import Place
from neat_hull.physics.arrays import Array
from neat_hull.rig.fits import goes, misfit_at
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
    "forward and to port",
    "forward and to starboard",
    "aft and to port",
    "aft and to starboard",
    "higher",
)


def way_out(rigged: Rigged, thing_id: int, clear_m: Array) -> Said:
    """Words for the shortest move that clears, of clear_m (9,) along WAYS; up where that is far
    shorter, or nothing else can be gone."""
    moved_id = rigged.placing.root(thing_id)
    place = rigged.setup.places[moved_id]
    far_m = np.ceil(clear_m / _TOLD_M - 1e-6) * _TOLD_M
    aside = next(_open_ways(rigged, moved_id, place, far_m), None)
    up = place.on is None and (aside is None or clear_m[_UP] < _UP_SHARE * clear_m[aside])
    if aside is None and not up:
        return Said.of("put it somewhere else")
    way = _UP if up else aside
    assert way is not None, "one of the two is there"
    words = f"{{}} {_WORDS[way]}"
    if moved_id != thing_id:
        words += f", with {plain(rigged.setup.things[moved_id].name)}"
    return Said.of(words, length=float(far_m[way]))


def _open_ways(rigged: Rigged, moved_id: int, place: Place, far_m: Array) -> Iterator[int]:
    """The ways over the deck that it can go, the shortest first."""
    placing, thing = rigged.placing, rigged.setup.things[moved_id]
    stand = placing.stand(moved_id)
    if place.bury_m > 0 or stand.on_body or stand.astray:
        return  # it goes where its tube or the body does, or stands nowhere
    out_now = over_water(placing.hull, thing, place) if place.on is None else 0.0
    back = -math.radians(placing.frame_of(moved_id).turn_deg)
    for way in np.argsort(far_m[:_UP], kind="stable").tolist():
        x, y = _turned((far_m[way] * WAYS[way, :2]).tolist(), back)
        moved = place.model_copy(update={"x_m": place.x_m + x, "y_m": place.y_m + y})
        if goes(placing, moved_id, moved) or (
            # What hangs over the water already may stay out as far, or come in.
            out_now > 0
            and misfit_at(placing, moved_id, moved) is None
            and over_water(placing.hull, thing, moved) <= min(out_now, _HALF)
        ):
            yield way


def _turned(along: list[float], rad: float) -> tuple[float, float]:
    x, y = along
    return x * math.cos(rad) - y * math.sin(rad), x * math.sin(rad) + y * math.cos(rad)
