"""Whether a thing goes where it is put: on a track, through a hatch's mouth, into a crate."""

from dataclasses import dataclass

from neat_hull.analysis.placing import Placing, footprint_m
from neat_hull.model.boat import Fitting
from neat_hull.model.figures import Said
from neat_hull.model.setup import On, Place, Setup
from neat_hull.model.thing import Thing

SEAT_HALF_M = 0.24  # half the breadth of an ordinary seat; no more goes under it
SEAT_BACK_M = 0.60  # breadth of what can be hung behind one
EDGE_M = 0.005  # nobody sees less
_ON_TOP_SHARE = 1.5  # what stands on another may be half as large again as its top, no more
_TUBE_M, _POINT_M = 0.05, 0.06  # how near a pointer must come to a tube, or to a point
_TRACK_HALF_M = 0.05

# What each fitting takes: by how a thing is fixed, or by its kind.
FIXED_ON = {
    "track": ("track bolt", "ball", "plate"),
    "seat rail": ("track bolt", "strap"),
    "recess": ("plate", "hook-and-loop", "loose", "strap", "bungee"),
}
KINDS_ON = {"drive": ("drive",), "rudder": ("drive",), "cleat": ("anchor",)}
_WORDS = {
    "track": "a track bolt, a ball or a plate",
    "seat rail": "a track bolt or a strap",
    "recess": "a plate, hook-and-loop, strap or bungee",
    "drive": "a drive",
    "rudder": "a rudder",
    "cleat": "an anchor",
}


def misfit(placing: Placing, thing_id: int) -> Said | None:
    """Why a thing does not belong where it stands; None where it does."""
    setup, place = placing.setup, placing.setup.places[thing_id]
    stand = placing.stand(thing_id)
    if stand.astray:
        return Said(text=f"{stand.astray} is gone; put it somewhere else")
    if place.on is None:
        return None
    return why_not(placing, thing_id, place.on) or _past_the_end(setup, thing_id, place)


def slide_m(placing: Placing, thing_id: int) -> tuple[float, float] | None:
    """How far from its frame a thing may be slid either way; None where nothing holds it."""
    place = placing.setup.places[thing_id]
    if place.on is None or placing.stand(thing_id).astray:
        return None
    return room_for(placing.setup, placing.setup.things[thing_id], place.on, place.turn_deg).slide


@dataclass(frozen=True)
class Room:
    """Half of how far the middle of a thing may lie from the frame, and half of the extent."""

    slide: tuple[float, float]
    extent: tuple[float, float]


def is_top(other: Thing) -> bool:
    """What something else may stand on: an arm, or a thing with a top that nobody needs."""
    if other.long or other.kind == "holder":
        return other.long and other.kind == "holder"
    hole = other.inner_m is not None and other.opens == "open"
    return other.kind not in ("seat", "drive") and not hole


def holds(thing: Thing) -> bool:
    """Whether other things go into it."""
    return thing.inner_m is not None or (thing.kind == "holder" and not thing.long)


def name_of(setup: Setup, on: On) -> str:
    """What people call it, in a list of what a thing could be put on."""
    if on.kind == "seat":
        return {"on": "the seat", "under": "under the seat"}.get(on.spot, "behind the seat")
    if on.kind == "body":
        return "worn"
    if on.kind == "thing":
        assert on.thing is not None, "a thing has an id"
        return f"{on.spot} {setup.things[on.thing].name}"
    return on.name


def room_for(setup: Setup, thing: Thing, on: On, turn_deg: float) -> Room:
    """Where the middle of a thing may lie on something, turned as it is."""
    along, across = (0.0, 0.0) if thing.long else footprint_m(thing, turn_deg)
    if on.kind == "fitting":
        one = fitting_of(setup, on)
        if one.kind in ("track", "seat rail"):
            return Room((one.length_m / 2, 0.0), (one.length_m / 2, _TRACK_HALF_M))
        if one.kind == "hatch":
            return Room((0.0, 0.0), (max(one.length_m, 0.1) / 2, max(one.width_m, 0.2) / 2))
        near = _TUBE_M if one.kind == "flush tube" else _POINT_M
        return Room((0.0, 0.0), (near, near))
    if on.kind == "well":
        well = next(w for w in setup.boat.wells if w.name == on.name)
        half = (well.x_fwd_m - well.x_aft_m) / 2
        return _inside((half, well.half_breadth_m), along, across)
    if on.kind == "thing":
        assert on.thing is not None, "a thing has an id"
        other = setup.things[on.thing]
        if other.long:
            return Room((other.length_m, 0.0), (other.length_m, _POINT_M))
        if on.spot == "in" and other.inner_m is not None:
            length, width, _ = other.inner_m
            return _inside((length / 2, width / 2), along, across)
        if on.spot == "in":
            return Room((0.0, 0.0), (other.length_m / 2, other.width_m / 2))
        half_top = (other.length_m / 2, other.width_m / 2)
        return Room(half_top, half_top)
    return Room((0.20, SEAT_HALF_M), (0.20, SEAT_HALF_M))


def _inside(half: tuple[float, float], along: float, across: float) -> Room:
    slide = (max(0.0, half[0] - along / 2), max(0.0, half[1] - across / 2))
    return Room(slide, half)


def why_not(placing: Placing, thing_id: int, on: On) -> Said | None:
    """Why a thing does not go there; None where it does."""
    setup, thing = placing.setup, placing.setup.things[thing_id]
    if on.kind == "fitting":
        return _why_fitting(placing, thing_id, thing, fitting_of(setup, on))
    if on.kind == "well":
        well = next(w for w in setup.boat.wells if w.name == on.name)
        room = (well.x_fwd_m - well.x_aft_m, 2 * well.half_breadth_m)
        return _why_floor(thing, room, f"the {well.name}")
    if on.kind == "seat":
        return _why_seat(placing, thing, on.spot)
    if on.kind == "body":
        return None if thing.worn else Said(text="it is not a thing that is worn")
    assert on.thing is not None, "a thing has an id"
    return _why_thing(placing, thing_id, thing, on.thing, on.spot)


def _why_fitting(placing: Placing, thing_id: int, thing: Thing, one: Fitting) -> Said | None:
    if one.kind == "flush tube":
        if not (thing.long or thing.fixed == "flush tube"):
            return Said(text=f"it is fixed by {thing.fixed}; {one.name} takes a butt")
        return _taken(placing, thing_id, On(kind="fitting", name=one.name, spot="in"), one.name)
    if one.kind == "hatch":
        return _why_hatch(thing, one)
    if one.kind in KINDS_ON:
        if thing.kind not in KINDS_ON[one.kind]:
            return Said(text=f"{one.name} takes {_WORDS[one.kind]}")
        return None
    if one.kind in FIXED_ON and thing.fixed not in FIXED_ON[one.kind]:
        return Said(text=f"it is fixed by {thing.fixed}; {one.name} takes {_WORDS[one.kind]}")
    return None


def _why_hatch(thing: Thing, one: Fitting) -> Said | None:
    """A thing goes flat or end first; what can do neither is too long, or too wide."""
    if not (one.length_m and one.width_m):
        return None  # a mouth that nobody measured bars nothing
    small, middle, large = sorted(
        thing.give * side for side in (thing.length_m, thing.width_m, thing.height_m)
    )
    narrow, wide = sorted((one.length_m, one.width_m))
    for side, mouth in ((small, narrow), (middle, wide)):
        if side > mouth + EDGE_M:
            return Said.of(f"too wide for the mouth of {one.name} by {{}}", length=side - mouth)
    flat = large <= wide + EDGE_M and middle <= narrow + EDGE_M
    stands = one.depth_m == 0 or large <= one.depth_m + EDGE_M
    if not (flat or stands or thing.long):
        return Said.of(f"too long for the mouth of {one.name} by {{}}", length=large - wide)
    return None


def _why_floor(thing: Thing, room: tuple[float, float], name: str) -> Said | None:
    """A footprint within a floor, along or across; a rod may stand up."""
    if thing.long:
        return None
    length, width = thing.give * thing.length_m, thing.give * thing.width_m
    ways = []
    for along, across in ((length, width), (width, length)):
        ways.append((max(along - room[0], across - room[1]), across - room[1] > along - room[0]))
    over, aside = min(ways)  # of two equal ways the one in which the length is what is too much
    if over <= EDGE_M:
        return None
    return Said.of(f"too {'wide' if aside else 'long'} for {name} by {{}}", length=over)


def _why_seat(placing: Placing, thing: Thing, spot: str) -> Said | None:
    setup = placing.setup
    if spot == "on":
        return None if thing.kind == "seat" else Said(text="somebody sits there")
    if spot == "under":
        under = setup.seat.z_m - placing.hull.support_z_m(setup.seat.x_m + 0.1, 0.0)
        if thing.give * thing.height_m > under + EDGE_M:
            return Said.of(
                "too high to slide under the seat by {}", length=thing.give * thing.height_m - under
            )
        least = min(thing.length_m, thing.width_m)
        if least > 2 * SEAT_HALF_M:
            return Said.of("too wide to go under the seat by {}", length=least - 2 * SEAT_HALF_M)
        return None
    if thing.width_m > SEAT_BACK_M:
        return Said.of("too wide to hang behind the seat by {}", length=thing.width_m - SEAT_BACK_M)
    return None


def _why_thing(
    placing: Placing, thing_id: int, thing: Thing, other_id: int, spot: str
) -> Said | None:
    other = placing.setup.things[other_id]
    if other.long:
        takes = thing.fixed in ("ball", "track bolt", "flush tube")
        return None if takes else Said(text=f"it is fixed by {thing.fixed}; an arm takes a ball")
    if spot == "in" and other.inner_m is not None:
        return _why_inside(placing, thing_id, thing, other_id, other)
    if spot == "in":
        if other.kind != "holder":
            return Said(text=f"{other.name} has no inside")
        if not thing.long:
            return Said(text=f"{other.name} takes the butt of a rod or pole")
        return _taken(placing, thing_id, On(kind="thing", thing=other_id, spot="in"), other.name)
    if spot != "on":
        return None
    if not is_top(other):
        return Said(text=f"{other.name} has no top to stand on")
    if thing.length_m * thing.width_m > _ON_TOP_SHARE * other.length_m * other.width_m:
        return Said(text=f"too large to stand on {other.name}")
    return None


def _why_inside(
    placing: Placing, thing_id: int, thing: Thing, box_id: int, box: Thing
) -> Said | None:
    assert box.inner_m is not None, "only containers are asked"
    length, width, height = box.inner_m
    if thing.long:
        if box.opens == "open":
            return None  # it stands in it, tip up
        longest = max(length, width)
        over = thing.length_m - longest
        return Said.of(f"too long for {box.name} by {{}}", length=over) if over > EDGE_M else None
    why = _why_floor(thing, (length, width), box.name)
    if why is not None:
        return why
    over = thing.give * thing.height_m - height
    if box.opens != "open" and over > EDGE_M:
        return Said.of(f"too high for {box.name} by {{}}", length=over)
    there = sum(_volume_m3(placing.setup.things[i]) for i in placing.held_by(box_id)
                if i != thing_id and _is_in(placing.setup.places[i]))  # fmt: skip
    over_m3 = there + _volume_m3(thing) - length * width * height
    if over_m3 > 0:
        return Said.of(f"{box.name} is full: {{}} too much", volume=over_m3)
    return None


def _is_in(place: Place) -> bool:
    return place.on is not None and place.on.spot == "in"


def _volume_m3(thing: Thing) -> float:
    if thing.long:
        return 0.0  # a rod stands out of what it is in
    return thing.give * thing.length_m * thing.width_m * thing.height_m


def _taken(placing: Placing, thing_id: int, on: On, name: str) -> Said | None:
    for other_id, place in placing.setup.places.items():
        if other_id != thing_id and place.on == on:
            return Said(text=f"{name} holds {placing.setup.things[other_id].name} already")
    return None


def _past_the_end(setup: Setup, thing_id: int, place: Place) -> Said | None:
    """On a track past its end, or in a box through its wall."""
    assert place.on is not None, "only places on something have ends"
    room = room_for(setup, setup.things[thing_id], place.on, place.turn_deg)
    name = name_of(setup, place.on)
    if place.on.kind not in ("fitting", "well") and place.on.spot != "in":
        return None
    if setup.things[thing_id].long and place.on.kind != "fitting":
        return None  # a rod may stand out of what it is in
    for at, slide in zip((place.x_m, place.y_m), room.slide, strict=True):
        over = abs(at) - slide
        if over > EDGE_M:
            return Said.of(f"stands {{}} past the end of {name}", length=over)
    return None


def fitting_of(setup: Setup, on: On) -> Fitting:
    """The fitting of that name. Raises StopIteration where there is none."""
    return next(f for f in setup.boat.fittings if f.name == on.name)
