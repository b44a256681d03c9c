"""What a thing could be put on, and where it would go there if one just said so."""

from collections.abc import Iterator

from neat_hull.analysis.fits import (
    EDGE_M,
    FIXED_ON,
    KINDS_ON,
    Room,
    fitting_of,
    holds,
    is_top,
    name_of,
    room_for,
    why_not,
)
from neat_hull.analysis.placing import Frame, Placing, footprint_m
from neat_hull.model.boat import Fitting
from neat_hull.model.nesting import held_by
from neat_hull.model.setup import On, Place, Setup, Spot
from neat_hull.model.targets import Target
from neat_hull.model.thing import BURY_M


def targets(placing: Placing, thing_id: int) -> list[Target]:
    """All a thing could be put on, bow to stern, what fits first within each."""
    found = [_target(placing, thing_id, on) for on in _candidates(placing, thing_id)]
    return sorted(found, key=lambda one: (one.why is not None, -one.x_m, one.name))


def _candidates(placing: Placing, thing_id: int) -> Iterator[On]:
    setup = placing.setup
    thing, barred = setup.things[thing_id], {thing_id, *held_by(setup, thing_id)}
    for fitting in setup.boat.fittings:
        if fitting.kind in (*FIXED_ON, *KINDS_ON, "flush tube", "hatch"):
            yield On(kind="fitting", name=fitting.name, spot=_spot(fitting))
    for well in setup.boat.wells:
        yield On(kind="well", name=well.name, spot="in")
    if thing.kind == "seat":
        yield On(kind="seat")
    yield On(kind="seat", spot="under")
    yield On(kind="seat", spot="behind")
    if thing.worn:
        yield On(kind="body")
    for other_id in sorted(setup.places):
        other = setup.things[other_id]
        if other_id in barred:
            continue
        if holds(other):
            yield On(kind="thing", thing=other_id, spot="in")
        if not thing.long and is_top(other) and not (other.worn or _covered(setup, other_id)):
            on = On(kind="thing", thing=other_id)
            # A list of tops that will not do helps nobody.
            if why_not(placing, thing_id, on) is None:
                yield on


def _covered(setup: Setup, thing_id: int) -> bool:
    """In a hatch or box, or under the seat: nothing is set down on top of that."""
    on = setup.places[thing_id].on
    return on is not None and on.kind != "well" and on.spot in ("in", "under")


def _spot(fitting: Fitting) -> Spot:
    return "in" if fitting.kind in ("flush tube", "hatch", "recess") else "on"


def _target(placing: Placing, thing_id: int, on: On) -> Target:
    setup, thing = placing.setup, placing.setup.things[thing_id]
    old = setup.places.get(thing_id)
    turn = old.turn_deg if old is not None and old.on == on else 0.0
    blank = Place(x_m=0.0, y_m=0.0, z_m=None, turn_deg=turn, tilt_deg=0.0, on=on)
    frame = placing.frame(blank)
    assert frame is not None, "candidates are there"
    room = room_for(setup, thing, on, turn)
    why = why_not(placing, thing_id, on)
    return Target(
        on=on,
        name=name_of(setup, on),
        why=why,
        x_m=frame.x_m,
        y_m=frame.y_m,
        z_m=frame.rest_m if frame.rest_m is not None else frame.z_m,
        turn_deg=frame.turn_deg,
        tilt_deg=frame.tilt_deg,
        slide_m=room.slide,
        extent_m=room.extent,
        place=_put_there(placing, thing_id, blank, frame, room),
    )


def _put_there(placing: Placing, thing_id: int, blank: Place, frame: Frame, room: Room) -> Place:
    """Where a thing goes if one just says so: near where it is, or where there is room."""
    setup, thing, on = placing.setup, placing.setup.things[thing_id], blank.on
    assert on is not None, "a target is something"
    old = setup.places.get(thing_id)
    keep = {"locked": False, "group": old.group if old is not None else 0}
    if old is not None and old.on == on:
        return old
    if thing.long and _is_tube(setup, on):
        bury = min(BURY_M, thing.reel_at_m)
        return blank.model_copy(update={"bury_m": round(bury, 3), **keep})
    if on.kind == "seat" and on.spot == "on":
        return blank.model_copy(update={"x_m": thing.length_m / 2, "z_m": -thing.height_m, **keep})
    if on.kind == "seat" and on.spot == "under":
        return blank.model_copy(update={"x_m": 0.2, **keep})
    if on.kind == "seat":
        return blank.model_copy(update={"x_m": -0.06 - thing.length_m / 2, **keep})
    if on.kind == "thing" and on.thing is not None and on.spot == "in" and not thing.long:
        x, y, turn = _free_spot(placing, thing_id, on.thing)
        first = min((setup.places[i].order for i in placing.held_by(on.thing)), default=1) - 1
        return blank.model_copy(
            update={"x_m": x, "y_m": y, "turn_deg": turn, "order": first, **keep}
        )
    if on.kind == "thing" and setup.things[on.thing or 0].long:
        return blank.model_copy(update={"x_m": room.slide[0], **keep})
    x, y = 0.0, 0.0
    if old is not None and on.kind in ("fitting", "well"):
        stand = placing.stand(thing_id)
        x = max(-room.slide[0], min(room.slide[0], stand.x_m - frame.x_m))
        y = max(-room.slide[1], min(room.slide[1], stand.y_m - frame.y_m))
    return blank.model_copy(update={"x_m": round(x, 3), "y_m": round(y, 3), **keep})


def _is_tube(setup: Setup, on: On) -> bool:
    if on.kind == "fitting":
        return fitting_of(setup, on).kind == "flush tube"
    return on.kind == "thing" and on.spot == "in" and setup.things[on.thing or 0].kind == "holder"


def _free_spot(placing: Placing, thing_id: int, box_id: int) -> tuple[float, float, float]:
    """Where in a container a thing lies lowest: a corner first, flat on the floor if there is room.

    Tries five by five places, along and across.
    """
    setup, thing = placing.setup, placing.setup.things[thing_id]
    inner = setup.things[box_id].inner_m
    if inner is None:
        return 0.0, 0.0, 0.0
    there = []
    for one in placing.held_by(box_id):
        place, other = setup.places[one], setup.things[one]
        if one != thing_id and place.on is not None and place.on.spot == "in" and not other.long:
            size = footprint_m(other, place.turn_deg)
            top = placing.stand(one).base_z_m + other.height_m
            there.append((place.x_m, place.y_m, *size, top))
    best: tuple[float, float, float, float, float] | None = None
    for turn in (0.0, 90.0):
        along, across = footprint_m(thing, turn)
        over = max(0.0, along - inner[0]) + max(0.0, across - inner[1])
        slack = (max(0.0, inner[0] - along) / 2, max(0.0, inner[1] - across) / 2)
        for i in range(5):
            for j in range(5):
                x, y = slack[0] * (1 - i / 2), slack[1] * (1 - j / 2)
                top = max(
                    (t for px, py, pl, pw, t in there
                     if (pl + along) / 2 - abs(px - x) > EDGE_M
                     and (pw + across) / 2 - abs(py - y) > EDGE_M),
                    default=0.0,
                )  # fmt: skip
                rank = (round(over, 4), round(top, 4), x, y, turn)
                if best is None or rank[:2] < best[:2]:
                    best = rank
    assert best is not None, "fifty places were tried"
    return round(best[2], 3), round(best[3], 3), best[4]
