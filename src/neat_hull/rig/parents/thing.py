"""Other things: crates and boxes to lie in, tops to stand on, holders, and arms."""

import math
from collections.abc import Iterator

from neat_hull.model.nesting import all_contents
from neat_hull.model.place import On, OnFitting, OnSeat, OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import BURY_M, Thing
from neat_hull.rig.parents.base import (
    EDGE_M,
    Frame,
    Parent,
    Places,
    Play,
    WhyNot,
    footprint_m,
    no,
    taken,
    why_floor,
    within,
)

_ON_TOP_SHARE = 1.5  # what stands on another may be half as large again as its top, no more
_TOP_M = 0.12  # a hand's breadth: nothing is offered to stand on less
_POINT_M = 0.06  # how near a pointer must come to an arm


def is_top(other: Thing) -> bool:
    """What something else may stand on: an arm, or a thing with a top that nobody needs."""
    if other.long or other.holder is not None:
        return other.long and other.holder is not None
    hole = other.inner_m is not None and other.opens == "open"
    return other.part not in ("seat", "drive", "rudder") and not hole


def holds(thing: Thing) -> bool:
    """Whether other things go into it."""
    return thing.inner_m is not None or thing.takes_butt


def _candidates(places: Places, thing_id: int) -> Iterator[OnThing]:
    setup = places.setup
    thing, barred = setup.things[thing_id], {thing_id, *all_contents(setup, thing_id)}
    for other_id in sorted(setup.places):
        other = setup.things[other_id]
        if other_id in barred:
            continue
        if holds(other):
            yield OnThing(thing=other_id, where="in")
        if thing.long or other.worn or not (is_top(other) and _bears(other, thing)):
            continue
        if not _covered(setup, other_id):
            on = OnThing(thing=other_id)
            # A list of tops that will not do helps nobody.
            if _why_not(places, thing_id, on) is None:
                yield on


def _bears(other: Thing, thing: Thing) -> bool:
    """An arm, or broad enough for something to be set down and tied on."""
    broad = min(other.length_m, other.width_m) >= _TOP_M
    return other.long or (broad and not thing.mounted)


def _covered(setup: Setup, thing_id: int) -> bool:
    """In a hatch or box, or under the seat: nothing is set down on top of that."""
    on: On | None = setup.places[thing_id].on
    return isinstance(on, OnFitting | OnSeat | OnThing) and on.where in ("in", "under")


def _name(setup: Setup, on: OnThing) -> str:
    return f"{on.where} {setup.things[on.thing].name}"


def _frame(places: Places, on: OnThing, place: Place) -> Frame | None:
    parent, stand = places.setup.things[on.thing], places.stand(on.thing)
    if parent.long:
        # An arm: along the pole, and at its own slope no further than the butt and tip.
        x, y, z = stand.at(place.x_m)
        turn = math.radians(stand.turn_deg)
        back = place.x_m
        return Frame(
            x - back * math.cos(turn), y - back * math.sin(turn), z, stand.turn_deg, 0.0, z
        )
    base = stand.base_z_m
    top = base + parent.height_m
    if on.where == "in" and parent.takes_butt:
        return Frame(stand.x_m, stand.y_m, top, stand.turn_deg, stand.tilt_deg, top)
    if on.where == "in":
        inner = parent.inner_m
        base += 0.0 if inner is None else max(0.0, parent.height_m - inner[2])
    elif on.where == "on":
        base = top
    rest_m = None if on.where == "under" else base
    return Frame(stand.x_m, stand.y_m, base, stand.turn_deg, 0.0, rest_m)


def _play(setup: Setup, thing: Thing, on: OnThing, turn_deg: float) -> Play:
    other = setup.things[on.thing]
    if other.long:
        return Play((other.length_m, 0.0), (other.length_m, _POINT_M))
    inner = other.inner_m
    if on.where == "in" and inner is not None:
        return within((inner[0] / 2, inner[1] / 2), thing, turn_deg)
    half_top = (other.length_m / 2, other.width_m / 2)
    if on.where == "in":
        return Play((0.0, 0.0), half_top, ends=not thing.long)
    return Play(half_top, half_top)


def _why_not(places: Places, thing_id: int, on: OnThing) -> WhyNot | None:
    thing, other = places.setup.things[thing_id], places.setup.things[on.thing]
    if other.long:
        takes = thing.fixing.by in ("ball", "track bolt", "flush tube")
        return None if takes else no(f"it is mounted with {thing.fixing.by}; an arm takes a ball")
    if on.where == "in" and other.inner_m is not None:
        return _why_inside(places, thing_id, on.thing)
    if on.where == "in":
        if other.holder is None:
            return no(f"{other.name} has no inside")
        if not thing.long:
            return no(f"{other.name} takes the butt of a rod or pole")
        into = OnThing(thing=on.thing, where="in")
        return taken(places, thing_id, into, other.name, other.holder.tubes)
    if on.where != "on":
        return None
    if not is_top(other):
        return no(f"{other.name} has no top to stand on")
    if thing.length_m * thing.width_m > _ON_TOP_SHARE * other.length_m * other.width_m:
        return no(f"too large to stand on {other.name}")
    return None


def _why_inside(places: Places, thing_id: int, box_id: int) -> WhyNot | None:
    things = places.setup.things
    thing, box = things[thing_id], things[box_id]
    assert box.inner_m is not None, "only containers are asked"
    length, width, height = box.inner_m
    if thing.long:
        if box.opens == "open":
            return None  # it stands in it, tip up
        over = thing.length_m - max(length, width)
        return no(f"too long for {box.name} by {{}}", length=over) if over > EDGE_M else None
    why = why_floor(thing, (length, width), box.name)
    if why is not None:
        return why
    over = thing.give * thing.height_m - height
    if box.opens != "open" and over > EDGE_M:
        return no(f"too high for {box.name} by {{}}", length=over)
    there = sum(_volume_m3(things[i]) for i in _inside(places, thing_id, box_id))
    over_m3 = there + _volume_m3(thing) - length * width * height
    if over_m3 > 0:
        return no(f"{box.name} is full: {{}} too much", volume=over_m3)
    return None


def _inside(places: Places, thing_id: int, box_id: int) -> list[int]:
    """What else lies in a container."""
    into = OnThing(thing=box_id, where="in")
    return [
        i for i in places.contents(box_id) if i != thing_id and places.setup.places[i].on == into
    ]


def _volume_m3(thing: Thing) -> float:
    if thing.long:
        return 0.0  # a rod stands out of what it is in
    return thing.give * thing.length_m * thing.width_m * thing.height_m


def _put(
    places: Places, thing_id: int, on: OnThing, blank: Place, _frame: Frame, play: Play
) -> Place:
    setup = places.setup
    thing, other = setup.things[thing_id], setup.things[on.thing]
    if on.where == "in" and thing.long:
        if not other.takes_butt:
            return blank
        return blank.model_copy(update={"bury_m": round(min(BURY_M, thing.reel_at_m), 3)})
    if on.where == "in":
        x, y, turn = _free_spot(places, thing_id, on.thing)
        first = min((setup.places[i].order for i in places.contents(on.thing)), default=1) - 1
        return blank.model_copy(update={"x_m": x, "y_m": y, "turn_deg": turn, "order": first})
    if other.long:
        return blank.model_copy(update={"x_m": play.slide[0]})
    return blank


def _free_spot(places: Places, thing_id: int, box_id: int) -> tuple[float, float, float]:
    """Where in a container a thing lies lowest: a corner first, flat on the floor if there is room.

    Tries five by five places, along and across.
    """
    setup, thing = places.setup, places.setup.things[thing_id]
    inner = setup.things[box_id].inner_m
    if inner is None:
        return 0.0, 0.0, 0.0
    there = []
    for one in _inside(places, thing_id, box_id):
        place, other = setup.places[one], setup.things[one]
        if not other.long:
            size = footprint_m(other, place.turn_deg)
            there.append((place.x_m, place.y_m, *size, places.stand(one).base_z_m + other.height_m))
    best: tuple[float, float, float, float, float] | None = None
    for turn in (0.0, 90.0):
        along, across = footprint_m(thing, turn)
        over = max(0.0, along - inner[0]) + max(0.0, across - inner[1])
        slack = (max(0.0, inner[0] - along) / 2, max(0.0, inner[1] - across) / 2)
        for i in range(5):
            for j in range(5):
                x, y = slack[0] * (1 - i / 2), slack[1] * (1 - j / 2)
                tops = [
                    top
                    for px, py, pl, pw, top in there
                    if (pl + along) / 2 - abs(px - x) > EDGE_M
                    and (pw + across) / 2 - abs(py - y) > EDGE_M
                ]
                rank = (round(over, 4), round(max(tops, default=0.0), 4), x, y, turn)
                if best is None or rank[:2] < best[:2]:
                    best = rank
    assert best is not None, "fifty places were tried"
    return round(best[2], 3), round(best[3], 3), best[4]


PARENT = Parent(_candidates, _name, _frame, _play, _why_not, _put)
