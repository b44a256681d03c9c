"""Moving several things in one go: to the other side, or into line with each other."""

from typing import Literal

from neat_hull.errors import InputError
from neat_hull.model.boat import Boat, Fitting
from neat_hull.model.place import OnFitting, Place
from neat_hull.rig.fits import slide_m
from neat_hull.rig.parents.base import footprint_m
from neat_hull.rig.rigging import Rigged, Stowed

Way = Literal["mirror", "fore ends", "middles", "after ends", "one line", "evenly"]

_ACROSS_M = 0.05  # how exactly a fitting must lie opposite another to be its twin


def lined_up(rigged: Rigged, thing_ids: list[int], way: Way) -> dict[int, Place]:
    """New places of things aboard; what is locked, or rides on another of them, stays.

    Raises InputError for a thing ashore, or fewer than two to line up (three to spread evenly).
    """
    setup = rigged.setup
    for thing_id in thing_ids:
        if thing_id not in setup.places:
            raise InputError("thing_ids", thing_id, "is not aboard")
    rows = [
        stowed
        for stowed in rigged.stowed
        if stowed.thing_id in thing_ids and not _rides(rigged, stowed.thing_id, thing_ids)
    ]
    free = [s for s in rows if not setup.places[s.thing_id].locked]
    if way == "mirror":
        return {s.thing_id: _mirrored(rigged, s) for s in free}
    least = 3 if way == "evenly" else 2
    if len(rows) < least:
        raise InputError("thing_ids", len(rows), f"select at least {least} items that stand apart")
    moved = _offsets(rigged, rows, way)
    return {s.thing_id: _shifted(rigged, s, *moved[s.thing_id]) for s in free}


def _rides(rigged: Rigged, thing_id: int, thing_ids: list[int]) -> bool:
    return any(holder in thing_ids for holder in rigged.placing.chain(thing_id)[1:])


def _offsets(rigged: Rigged, rows: list[Stowed], way: Way) -> dict[int, tuple[float, float]]:
    """How far each goes forward and to port, in boat coordinates."""
    if way == "one line":
        y = sum(s.stand.y_m for s in rows) / len(rows)
        return {s.thing_id: (0.0, y - s.stand.y_m) for s in rows}
    ends = {s.thing_id: _ends(rigged, s) for s in rows}
    if way == "evenly":
        order = sorted(rows, key=lambda s: sum(ends[s.thing_id]))
        first, last = (sum(ends[s.thing_id]) / 2 for s in (order[0], order[-1]))
        step = (last - first) / (len(order) - 1)
        return {
            s.thing_id: (first + i * step - sum(ends[s.thing_id]) / 2, 0.0)
            for i, s in enumerate(order)
        }
    if way == "fore ends":
        to = max(fwd for _, fwd in ends.values())
        return {i: (to - fwd, 0.0) for i, (_, fwd) in ends.items()}
    if way == "after ends":
        to = min(aft for aft, _ in ends.values())
        return {i: (to - aft, 0.0) for i, (aft, _) in ends.items()}
    to = sum(aft + fwd for aft, fwd in ends.values()) / (2 * len(ends))
    return {i: (to - (aft + fwd) / 2, 0.0) for i, (aft, fwd) in ends.items()}


def _ends(rigged: Rigged, stowed: Stowed) -> tuple[float, float]:
    stand = stowed.stand
    if stowed.tip_m is not None:
        aft, fwd = sorted((stand.x_m, stowed.tip_m[0]))
        return aft, fwd
    half = footprint_m(rigged.setup.things[stowed.thing_id], stand.turn_deg)[0] / 2
    return stand.x_m - half, stand.x_m + half


def _shifted(rigged: Rigged, stowed: Stowed, forward_m: float, to_port_m: float) -> Place:
    """The place moved in boat coordinates, as far as what it is on lets it slide."""
    place = rigged.setup.places[stowed.thing_id]
    x, y = rigged.placing.into_frame(
        place, stowed.stand.x_m + forward_m, stowed.stand.y_m + to_port_m
    )
    slide = slide_m(rigged.placing, stowed.thing_id)
    if slide is not None:
        x, y = (max(-s, min(s, v)) for v, s in zip((x, y), slide, strict=True))
    return place.model_copy(update={"x_m": round(x, 4), "y_m": round(y, 4)})


def _mirrored(rigged: Rigged, stowed: Stowed) -> Place:
    """On the other side: on the fitting opposite, or where it would be on the bare deck."""
    place = rigged.setup.places[stowed.thing_id]
    over = {"y_m": -place.y_m, "turn_deg": -place.turn_deg}
    if not isinstance(place.on, OnFitting):
        return place.model_copy(update=over)
    boat = rigged.setup.boat
    mine = rigged.placing.fittings.get(place.on.name)
    if mine is None or abs(mine.y_m) < _ACROSS_M / 2:
        return place.model_copy(update=over)
    twin = _twin(boat, mine)
    if twin is not None:
        on = OnFitting(name=twin.name, where=place.on.where)
        return place.model_copy(update=over | {"on": on})
    stand = stowed.stand
    bare = {
        "x_m": round(stand.x_m, 4),
        "y_m": -round(stand.y_m, 4),
        "z_m": stand.base_z_m,
        "turn_deg": -stand.turn_deg,
        "tilt_deg": stand.tilt_deg,
        "on": None,
        "bury_m": 0.0,
    }
    return place.model_copy(update=bare)


def _twin(boat: Boat, mine: Fitting) -> Fitting | None:
    for other in boat.fittings:
        across = abs(other.y_m + mine.y_m) < _ACROSS_M and abs(other.x_m - mine.x_m) < _ACROSS_M
        if other.kind == mine.kind and other.name != mine.name and across:
            return other
    return None
