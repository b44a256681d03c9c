"""What could be moved for a finding: every kind of move that a person would think of."""

import math
from collections.abc import Iterable, Iterator
from dataclasses import dataclass

from neat_hull.analysis.findings.basics import SERVICES
from neat_hull.analysis.findings.case import plain
from neat_hull.analysis.fits import name_of, slide_m, why_not
from neat_hull.analysis.lining_up import lined_up
from neat_hull.analysis.offering import targets
from neat_hull.analysis.rigging import Rigged
from neat_hull.analysis.whereabouts import whereabouts
from neat_hull.model.advice import MoveKind
from neat_hull.model.figures import Finding, Said
from neat_hull.model.nesting import held_by
from neat_hull.model.setup import On, Place, SeatPlace, Setup
from neat_hull.model.thing import Thing

_SLIDES = 7  # places along what a thing slides on
_STEPS_M = (0.03, 0.06, 0.10, 0.15, 0.22, 0.30)  # over the bare deck, in eight directions
_LONG_STEPS_M = (0.5, 0.8)
_AHEAD_M = (-0.55, -0.35, -0.2, 0.0, 0.2, 0.4, 0.6, 0.8, 1.2, 1.6)  # of the seat's corner
_ASIDE_M = (-0.34, -0.2, 0.0, 0.2, 0.34)
_TURNS_DEG = (-60.0, -45.0, -30.0, -15.0, 15.0, 30.0, 45.0, 60.0)
_TILTS_DEG = (15.0, 30.0, 45.0, 60.0)
_SEAT_X_M = (-0.09, -0.06, -0.03, 0.03, 0.06, 0.09)
_SEAT_Z_M = (-0.08, -0.05, -0.03, 0.03, 0.06)
_RARELY = ("once", "ashore")
_NEEDED = ("safety", "power")  # nobody handles them, and the day hangs on them
STAYS = ("seat", "drive")  # kinds that the boat is not itself without
_HEAVIEST = 6  # things that are asked for a figure of the whole boat


@dataclass(frozen=True)
class Move:
    """One thing done: new places (None: ashore), or a new seat; nothing else changes."""

    kind: MoveKind
    words: Said
    places: tuple[tuple[int, Place | None], ...] = ()
    seat: SeatPlace | None = None

    def on(self, setup: Setup) -> Setup:
        """The setup with it done; what goes ashore takes along all it holds."""
        places = dict(setup.places)
        for thing_id, place in self.places:
            if place is None:
                for one in (thing_id, *held_by(setup, thing_id)):
                    places.pop(one, None)
            else:
                places[thing_id] = place
        return setup.model_copy(update={"places": places, "seat": self.seat or setup.seat})


def moves_for(rigged: Rigged, finding: Finding) -> list[Move]:
    """Everything that could be tried for one finding."""
    setup = rigged.setup
    named = [i for i in (finding.thing_id, finding.other_id) if i is not None]
    if finding.topic == "basics" and not named:
        service = SERVICES.get(finding.code)
        named = [
            i for i, one in setup.things.items()
            if service in one.serves and i not in setup.places
        ]  # fmt: skip
        return [move for i in named for move in _of_one(rigged, i)]
    if finding.code == "lost in a capsize":
        return [move for i in _dearest(setup) for move in _of_one(rigged, i)]
    if finding.code == "view hidden" or not named or finding.topic in ("level", "steadiness"):
        named += [i for i in _heaviest(rigged) if i not in named]
        found = [*_seats(setup)]
    elif finding.topic in ("reach", "room", "rods"):
        found = [*_seats(setup)]
    else:
        found = []
    for thing_id in _with_holders(rigged, named):
        found += _of_one(rigged, thing_id)
    return found


def _heaviest(rigged: Rigged) -> list[int]:
    setup = rigged.setup
    roots = [i for i in setup.places if rigged.placing.holder(i) is None]
    return sorted(roots, key=lambda i: -setup.things[i].mass_now_kg)[:_HEAVIEST]


def _dearest(setup: Setup) -> list[int]:
    """What sinks and is not tied, the dearest first."""
    loose = [i for i in setup.places if not (setup.things[i].leashed or setup.things[i].floats)]
    return sorted(loose, key=lambda i: -(setup.things[i].price or 0.0))[:_HEAVIEST]


def _with_holders(rigged: Rigged, thing_ids: list[int]) -> list[int]:
    """The things, and what a rod's holder or a box is that holds them: moving it moves both."""
    found = list(dict.fromkeys(thing_ids))
    for one in found:
        holder = rigged.placing.holder(one) if one in rigged.setup.places else None
        if holder is not None and holder not in found:
            found.append(holder)
    return found


def _of_one(rigged: Rigged, thing_id: int) -> Iterator[Move]:
    setup = rigged.setup
    thing = setup.things[thing_id]
    place = setup.places.get(thing_id)
    if place is None:
        yield from _along(rigged, thing_id, thing)
        return
    if place.locked:
        return
    if thing.worn and (place.on is None or place.on.kind != "body"):
        words = Said(text=f"put on {_name(thing)}")
        yield Move("wear", words, ((thing_id, worn()),))
    if thing.kind in STAYS or (place.on is not None and place.on.kind == "body"):
        return
    yield from _slides(rigged, thing_id, thing, place)
    yield from _elsewhere(rigged, thing_id, thing, place)
    if not thing.long and thing.kind != "holder":
        yield from _on_deck(rigged, thing_id, thing, place)
    yield from _turns(thing_id, thing, place)
    mirrored = lined_up(rigged, [thing_id], "mirror")
    yield Move("mirror", Said(text=f"{_name(thing)} to the other side"), tuple(mirrored.items()))
    yield from _swaps(rigged, thing_id, thing, place)
    if thing.use in _RARELY and thing.kind not in _NEEDED and not held_by(setup, thing_id):
        yield Move("ashore", Said(text=f"leave {_name(thing)} ashore"), ((thing_id, None),))


def _name(thing: Thing) -> str:
    return plain(thing.name)


def worn() -> Place:
    """On the body, before the chest."""
    return Place(x_m=0.0, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0, on=On(kind="body"))


def _along(rigged: Rigged, thing_id: int, thing: Thing) -> Iterator[Move]:
    """From the shelf: on the body, or to the places that take it."""
    if thing.worn:
        yield Move("along", Said(text=f"take {_name(thing)} along, on you"), ((thing_id, worn()),))
        return
    for target in targets(rigged.placing, thing_id):
        if target.why is None:
            words = Said(text=f"take {_name(thing)} along: {plain(target.name)}")
            yield Move("along", words, ((thing_id, target.place),))


def _slides(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """Along what it is on, from end to end; on the bare deck by steps in eight directions."""
    slide = slide_m(rigged.placing, thing_id)
    if place.on is None:
        for x, y in _deck_steps():
            moved = place.model_copy(
                update={"x_m": round(place.x_m + x, 3), "y_m": round(place.y_m + y, 3)}
            )
            if _aboard(rigged, moved):
                yield Move("slide", _way(thing, x, y), ((thing_id, moved),))
        return
    if slide is None or place.bury_m > 0:
        return
    spots = {
        (round(sx * slide[0], 3), round(sy * slide[1], 3))
        for sx in spread(slide[0])
        for sy in spread(slide[1], 3)
    }
    for x, y in sorted(spots):
        if math.hypot(x - place.x_m, y - place.y_m) > 0.02:
            moved = place.model_copy(update={"x_m": x, "y_m": y})
            yield Move("slide", _way(thing, x - place.x_m, y - place.y_m), ((thing_id, moved),))


def _deck_steps() -> Iterator[tuple[float, float]]:
    for step in _STEPS_M:
        for k in range(8):
            angle = k * math.pi / 4
            yield step * math.cos(angle), step * math.sin(angle)
    for step in _LONG_STEPS_M:
        yield step, 0.0
        yield -step, 0.0


def spread(half_m: float, count: int = _SLIDES) -> list[float]:
    """Shares from one end of a slide to the other; the middle alone where it does not slide."""
    if half_m < 0.01:
        return [0.0]
    return [2 * i / (count - 1) - 1 for i in range(count)]


def _aboard(rigged: Rigged, place: Place) -> bool:
    hull = rigged.floating.hull
    if not hull.x_aft_m <= place.x_m <= hull.x_fwd_m:
        return False
    return abs(place.y_m) <= float(hull.half_breadth_m.max())


def _way(thing: Thing, forward_m: float, to_port_m: float) -> Said:
    """Words for a move on the deck."""
    parts: list[tuple[str, float]] = []
    if abs(forward_m) > 0.004:
        parts.append(("forward" if forward_m > 0 else "aft", abs(forward_m)))
    if abs(to_port_m) > 0.004:
        parts.append(("to port" if to_port_m > 0 else "to starboard", abs(to_port_m)))
    said = [Said.of(f"{{}} {way}", length=size) for way, size in parts]
    return Said(
        text=f"{_name(thing)} " + ", ".join(one.text for one in said),
        amounts=[amount for one in said for amount in one.amounts],
    )


def _elsewhere(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """To other things that take it, free and fitting; a box into a box is `into`."""
    here = place.on
    for target in targets(rigged.placing, thing_id):
        if target.why is not None or target.on == here or target.on.kind == "body":
            continue
        inside = target.on.kind == "thing" and target.on.spot == "in"
        name = plain(name_of(rigged.setup, target.on))
        where = f": {name}" if target.on.kind != "thing" else f" {name}"
        words = Said(text=f"{_name(thing)}{where}")
        yield Move("into" if inside else "place", words, ((thing_id, target.place),))
        if target.on.kind == "well":
            sx, sy = target.slide_m
            for x in (-sx, 0.0, sx):
                for y in (-sy, 0.0, sy):
                    spot = target.place.model_copy(update={"x_m": round(x, 3), "y_m": round(y, 3)})
                    yield Move("place", words, ((thing_id, spot),))


def _on_deck(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """Set down on the deck or a floor around the seat, along or across."""
    for moved in aside_of_seat(rigged, place):
        yield Move("place", _deck_words(rigged, thing, moved), ((thing_id, moved),))


def aside_of_seat(rigged: Rigged, place: Place) -> Iterator[Place]:
    """Places on the bare deck around the seat, along and across."""
    keep = {"on": None, "bury_m": 0.0, "z_m": None, "tilt_deg": 0.0}
    for ahead in _AHEAD_M:
        for y in _ASIDE_M:
            for turn in (0.0, 90.0):
                x = round(rigged.setup.seat.x_m + ahead, 3)
                moved = place.model_copy(update=keep | {"x_m": x, "y_m": y, "turn_deg": turn})
                if _aboard(rigged, moved):
                    yield moved


def _deck_words(rigged: Rigged, thing: Thing, place: Place) -> Said:
    where = whereabouts(rigged.floating.hull, rigged.setup.seat, place.x_m, place.y_m).lower()
    side = "" if abs(place.y_m) < 0.05 else " to port" if place.y_m > 0 else " to starboard"
    return Said(text=f"{_name(thing)} {where}{side}")


def _turns(thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """Other angles of a holder, a rod or a pole; a quarter turn of a box."""
    slanted = thing.kind == "holder" or thing.long
    if place.bury_m > 0:
        return  # it points as its tube does
    for turn in _TURNS_DEG if slanted else (90.0,):
        to = (place.turn_deg + turn + 180) % 360 - 180
        words = Said.of(f"turn {_name(thing)} by {{}}", angle=abs(turn))
        yield Move("turn", words, ((thing_id, place.model_copy(update={"turn_deg": to})),))
    if slanted:
        for tilt in _TILTS_DEG:
            if abs(tilt - place.tilt_deg) > 5:
                words = Said.of(f"{_name(thing)} at a slope of {{}}", angle=tilt)
                yield Move(
                    "turn", words, ((thing_id, place.model_copy(update={"tilt_deg": tilt})),)
                )


def _swaps(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """With another thing, where each fits in the place of the other."""
    setup = rigged.setup
    mine = {thing_id, *held_by(setup, thing_id)}
    for other_id, theirs in setup.places.items():
        other = setup.things[other_id]
        barred = other_id in mine or thing_id in held_by(setup, other_id) or theirs.locked
        worn = theirs.on is not None and theirs.on.kind == "body"
        if barred or worn or other.kind in STAYS or other.long != thing.long:
            continue
        if not (_goes(rigged, thing_id, theirs) and _goes(rigged, other_id, place)):
            continue
        yield Move(
            "swap", Said(text=f"{_name(thing)} and {_name(other)} change places"),
            ((thing_id, _taking(place, theirs)), (other_id, _taking(theirs, place))),
        )  # fmt: skip


def _goes(rigged: Rigged, thing_id: int, place: Place) -> bool:
    why = None if place.on is None else why_not(rigged.placing, thing_id, place.on)
    return why is None or "already" in why.text


def _taking(mine: Place, theirs: Place) -> Place:
    """The other's place; group and order stay with the thing."""
    return theirs.model_copy(update={"group": mine.group, "locked": False})


def _seats(setup: Setup) -> Iterable[Move]:
    """The seat forward or aft, the foot brace with it; lower or higher."""
    seat = setup.seat
    for x in _SEAT_X_M:
        moved = seat.model_copy(
            update={"x_m": round(seat.x_m + x, 3), "brace_x_m": round(seat.brace_x_m + x, 3)}
        )
        words = Said.of(f"the seat {{}} {'forward' if x > 0 else 'aft'}", length=abs(x))
        yield Move("seat", words, seat=moved)
    for z in _SEAT_Z_M:
        if seat.z_m + z >= 0:
            moved = seat.model_copy(update={"z_m": round(seat.z_m + z, 3)})
            way = "lower" if z < 0 else "higher"
            yield Move("seat", Said.of(f"the seat {{}} {way}", length=abs(z)), seat=moved)
