"""What could be moved for a finding: every kind of move that a person would think of."""

import math
from collections.abc import Iterable, Iterator
from dataclasses import dataclass

from neat_hull.model.advice import MoveKind
from neat_hull.model.boat import Hatch
from neat_hull.model.findings import Finding
from neat_hull.model.nesting import all_contents, ashore
from neat_hull.model.place import On, OnBody, OnFitting, OnSeat, OnThing, OnWell, Place
from neat_hull.model.said import Said, plain
from neat_hull.model.setup import SeatPlace, Setup
from neat_hull.model.targets import Target
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.fits import goes, slide_m, why_not
from neat_hull.rig.lining_up import lined_up
from neat_hull.rig.offering import targets
from neat_hull.rig.parents.base import EDGE_M
from neat_hull.rig.parents.body import worn
from neat_hull.rig.rigging import Rigged
from neat_hull.rig.subject import Tries, Work, of_what_is_named
from neat_hull.rig.whereabouts import whereabouts
from neat_hull.whole.registry import subject_of

_SLIDES = 7  # places along what a thing slides on
_STEPS_M = (0.03, 0.06, 0.10, 0.15, 0.22, 0.30)  # over the bare deck, in eight directions
_LONG_STEPS_M = (0.5, 0.8)
_AHEAD_M = (-0.55, -0.35, -0.2, 0.0, 0.2, 0.4, 0.6, 0.8, 1.2, 1.6)  # of the seat's corner
_ASIDE_M = (-0.34, -0.2, 0.0, 0.2, 0.34)
_TURNS_DEG = (-60.0, -45.0, -30.0, -15.0, 15.0, 30.0, 45.0, 60.0)
_LIES_DEG = 20.0  # off fore and aft, at which a long thing still lies along the boat
_TILTS_DEG = (15.0, 30.0, 45.0, 60.0)
_SEAT_X_M = (-0.09, -0.06, -0.03, 0.03, 0.06, 0.09)
_SEAT_Z_M = (-0.08, -0.05, -0.03, 0.03, 0.06)
_RARELY = ("once", "ashore")
_BY = ("At", "Behind", "Beside", "Between")  # how places are named that are none of the boat


@dataclass(frozen=True)
class Move:
    """One thing done: new places (None: ashore), a new seat, or a work; nothing else changes."""

    kind: MoveKind
    words: Said
    places: tuple[tuple[int, Place | None], ...] = ()
    seat: SeatPlace | None = None
    work: Work | None = None

    def on(self, setup: Setup) -> Setup:
        """The setup with it done; what goes ashore takes along all it holds."""
        places = setup.places | {i: place for i, place in self.places if place is not None}
        for one in ashore(setup, [i for i, place in self.places if place is None]):
            places.pop(one, None)
        kept = {} if self.work is None else self.work.sections
        return setup.model_copy(update={"places": places, "seat": self.seat or setup.seat, **kept})


def tries_for(ev: Evaluated, finding: Finding) -> Tries:
    """What its subject would try for a finding."""
    moves = subject_of(finding.code).moves or of_what_is_named
    return moves(ev, finding)


def works_for(ev: Evaluated, finding: Finding) -> list[Move]:
    """What its subject would change of what it keeps, the best idea first."""
    works = subject_of(finding.code).works
    found = [] if works is None else works(ev, finding)
    return [Move("rewire", one.words, work=one) for one in found]


def with_holders(rigged: Rigged, thing_ids: Iterable[int]) -> list[int]:
    """The things, and what a rod's holder or a box is that holds them: moving it moves both."""
    all_ids = dict.fromkeys(thing_ids)
    for one in thing_ids:
        if one in rigged.setup.places:
            all_ids |= dict.fromkeys(rigged.placing.chain(one))
    return list(all_ids)


def moves_of(rigged: Rigged, thing_id: int, without: bool = False) -> Iterator[Move]:
    """All that could be done with one thing; `without`, also leaving it ashore."""
    setup = rigged.setup
    thing = setup.things[thing_id]
    place = setup.places.get(thing_id)
    if place is None:
        yield from _along(rigged, thing_id, thing)
        return
    if place.locked:
        return
    if thing.worn and not isinstance(place.on, OnBody):
        words = Said.of(f"Put on {_name(thing)}")
        yield Move("wear", words, ((thing_id, worn()),))
    if stays(thing) or isinstance(place.on, OnBody):
        return
    yield from _slides(rigged, thing_id, thing, place)
    yield from _elsewhere(rigged, thing_id, thing, place)
    if lies_flat(thing):
        yield from _on_deck(rigged, thing_id, thing, place)
    for turned in _turns(thing_id, thing, place):
        if all(one is not None and goes(rigged.placing, i, one) for i, one in turned.places):
            yield turned
    mirrored = lined_up(rigged, [thing_id], "mirror")
    if all(goes(rigged.placing, i, one) for i, one in mirrored.items()):
        yield Move(
            "mirror", Said.of(f"Move {_name(thing)} to the other side"), tuple(mirrored.items())
        )
    yield from _swaps(rigged, thing_id, thing, place)
    if without and _can_stay_ashore(thing) and not rigged.placing.contents(thing_id):
        yield Move("ashore", Said.of(f"Leave {_name(thing)} ashore"), ((thing_id, None),))


def stays(thing: Thing) -> bool:
    """Whether it is a part that the boat is not itself without, or hangs where it must to sound."""
    return thing.part in ("seat", "drive", "rudder") or thing.transducer is not None


def lies_flat(thing: Thing) -> bool:
    """Whether it may be set down on the deck, to lie there as it falls."""
    return not thing.long and thing.holder is None


def _can_stay_ashore(thing: Thing) -> bool:
    """Seldom used, and the day does not hang on it though nobody handles it; what is kept dry is
    there for when one is wet."""
    spare = thing.battery is None and thing.care is None and not thing.serves
    return spare and thing.use in _RARELY


def _name(thing: Thing) -> str:
    return plain(thing.name)


def _along(rigged: Rigged, thing_id: int, thing: Thing) -> Iterator[Move]:
    """From the shelf: on the body, or to the places that take it."""
    if thing.worn:
        yield Move("along", Said.of(f"Take {_name(thing)} along, on you"), ((thing_id, worn()),))
        return
    for target in targets(rigged.placing, thing_id):
        if target.why is None:
            words = Said.of(f"Take {_name(thing)} along, {_where(target)}")
            yield Move("along", words, ((thing_id, target.place),))


def _slides(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """Along what it is on, from end to end; on the bare deck by steps in eight directions."""
    slide = slide_m(rigged.placing, thing_id)
    if place.on is None:
        for x, y in _deck_steps():
            moved = place.model_copy(
                update={"x_m": round(place.x_m + x, 3), "y_m": round(place.y_m + y, 3)}
            )
            if goes(rigged.placing, thing_id, moved):
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


def _way(thing: Thing, forward_m: float, to_port_m: float) -> Said:
    """Words for a move on the deck."""
    parts: list[tuple[str, float]] = []
    if abs(forward_m) > 0.004:
        parts.append(("toward the bow" if forward_m > 0 else "toward the stern", abs(forward_m)))
    if abs(to_port_m) > 0.004:
        parts.append(("to port" if to_port_m > 0 else "to starboard", abs(to_port_m)))
    said = [Said.of(f"{{}} {way}", length=size) for way, size in parts]
    return Said(
        text=f"Move {_name(thing)} " + " and ".join(one.text for one in said),
        amounts=[amount for one in said for amount in one.amounts],
    )


def _elsewhere(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """To other things that take it, free and fitting; a box into a box is `into`."""
    for target in targets_of_use(rigged, thing_id):
        if target.on == place.on:
            continue
        inside = isinstance(target.on, OnThing) and target.on.where == "in"
        words = Said.of(f"Put {_name(thing)} {_where(target)}")
        yield Move("into" if inside else "place", words, ((thing_id, target.place),))
        if isinstance(target.on, OnWell):
            sx, sy = target.slide_m
            for x in (-sx, 0.0, sx):
                for y in (-sy, 0.0, sy):
                    spot = target.place.model_copy(update={"x_m": round(x, 3), "y_m": round(y, 3)})
                    yield Move("place", words, ((thing_id, spot),))


def _where(target: Target) -> str:
    """Where a target is, behind a verb."""
    name, on = plain(target.name), target.on
    if isinstance(on, OnFitting):
        return f"{on.where} {name}"
    if isinstance(on, OnWell):
        return f"in {name}"
    return f"on {name}" if isinstance(on, OnSeat) and on.where == "on" else name


def targets_of_use(rigged: Rigged, thing_id: int) -> Iterator[Target]:
    """What a person would put it on, of all that takes it; not the body, which is worn on."""
    thing = rigged.setup.things[thing_id]
    for target in targets(rigged.placing, thing_id):
        if target.why is not None or isinstance(target.on, OnBody):
            continue
        if thing.mounted and not thing.long and not _mounts(rigged, thing, target.on):
            continue
        if isinstance(target.on, OnWell) and thing.length_m > 2 * target.extent_m[0] + EDGE_M:
            continue  # a rod longer than a well goes in, but does not lie there
        yield target


def _mounts(rigged: Rigged, thing: Thing, on: On) -> bool:
    """Whether what is held by hardware has something there to be mounted on, or is stowed at all:
    nobody throws a holder or a screen in use into a crate."""
    if isinstance(on, OnWell | OnSeat):
        return False
    stowed = isinstance(on, OnThing) and on.where == "in"
    if isinstance(on, OnFitting):
        stowed = isinstance(rigged.placing.fittings.get(on.name), Hatch)
    return not stowed or thing.use in _RARELY


def _on_deck(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """Set down on the deck or a floor around the seat, along or across."""
    for moved in aside_of_seat(rigged, thing_id, place):
        yield Move("place", _deck_words(rigged, thing, moved), ((thing_id, moved),))


def aside_of_seat(rigged: Rigged, thing_id: int, place: Place) -> Iterator[Place]:
    """Places on the bare deck around the seat, along and across; on no floor for what is held by
    hardware."""
    hull, mounted = rigged.floating.hull, rigged.setup.things[thing_id].mounted
    keep = {"on": None, "bury_m": 0.0, "z_m": None, "tilt_deg": 0.0}
    for ahead in _AHEAD_M:
        for y in _ASIDE_M:
            for turn in (0.0, 90.0):
                x = round(rigged.setup.seat.x_m + ahead, 3)
                moved = place.model_copy(update=keep | {"x_m": x, "y_m": y, "turn_deg": turn})
                if mounted and hull.wells_at(moved.x_m, moved.y_m):
                    continue
                if goes(rigged.placing, thing_id, moved):
                    yield moved


def _deck_words(rigged: Rigged, thing: Thing, place: Place) -> Said:
    where = whereabouts(rigged.floating.hull, rigged.setup.seat, place.x_m, place.y_m)
    by = where.lower() if where.split()[0] in _BY else f"to the {where.lower()}"
    side = "" if abs(place.y_m) < 0.05 else ", to port" if place.y_m > 0 else ", to starboard"
    return Said.of(f"Move {_name(thing)} {by}{side}")


def _turns(thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """Other angles of a holder, a rod or a pole; a quarter turn of a box."""
    slanted = not lies_flat(thing)
    if place.bury_m > 0 or (thing.mounted and not slanted):
        return  # it points as its tube does, or faces who looks at it
    for turn in _TURNS_DEG if slanted else (90.0,):
        to = (place.turn_deg + turn + 180) % 360 - 180
        if (
            thing.long
            and place.on is None
            and _across(to) > max(_LIES_DEG, _across(place.turn_deg))
        ):
            continue  # it would lie across the boat, its ends over the water
        words = Said.of(f"Turn {_name(thing)} by {{}}", angle=abs(turn))
        yield Move("turn", words, ((thing_id, place.model_copy(update={"turn_deg": to})),))
    if thing.holder is not None or (slanted and place.on is not None):  # something holds it up
        for tilt in _TILTS_DEG:
            if abs(tilt - place.tilt_deg) > 5:
                words = Said.of(f"Tilt {_name(thing)} to {{}}", angle=tilt)
                yield Move(
                    "turn", words, ((thing_id, place.model_copy(update={"tilt_deg": tilt})),)
                )


def _across(turn_deg: float) -> float:
    """How far off fore and aft, in degrees up to 90."""
    return abs((turn_deg + 90) % 180 - 90)


def _swaps(rigged: Rigged, thing_id: int, thing: Thing, place: Place) -> Iterator[Move]:
    """With another thing, where each fits in the place of the other."""
    setup = rigged.setup
    mine = {thing_id, *all_contents(setup, thing_id)}
    for other_id, theirs in setup.places.items():
        other = setup.things[other_id]
        barred = other_id in mine or other_id in rigged.placing.chain(thing_id) or theirs.locked
        worn = isinstance(theirs.on, OnBody)
        if barred or worn or stays(other) or other.long != thing.long:
            continue
        if not (_goes(rigged, thing_id, theirs) and _goes(rigged, other_id, place)):
            continue
        yield Move(
            "swap",
            Said.of(f"Swap {_name(thing)} and {_name(other)}"),
            ((thing_id, _taking(place, theirs)), (other_id, _taking(theirs, place))),
        )


def _goes(rigged: Rigged, thing_id: int, place: Place) -> bool:
    """Whether a thing goes there once what is there has gone."""
    if goes(rigged.placing, thing_id, place):
        return True
    why = None if place.on is None else why_not(rigged.placing, thing_id, place.on)
    return why is not None and why.taken


def _taking(mine: Place, theirs: Place) -> Place:
    """The other's place; group and order stay with the thing."""
    return theirs.model_copy(update={"group": mine.group, "locked": False})


def seats(setup: Setup) -> Iterable[Move]:
    """The seat forward or aft, the foot brace with it; lower or higher."""
    seat = setup.seat
    for x in _SEAT_X_M:
        moved = seat.model_copy(
            update={"x_m": round(seat.x_m + x, 3), "brace_x_m": round(seat.brace_x_m + x, 3)}
        )
        words = Said.of(
            f"Move the seat {{}} toward the {'bow' if x > 0 else 'stern'}", length=abs(x)
        )
        yield Move("seat", words, seat=moved)
    for z in _SEAT_Z_M:
        if seat.z_m + z >= 0:
            moved = seat.model_copy(update={"z_m": round(seat.z_m + z, 3)})
            verb = "Lower" if z < 0 else "Raise"
            yield Move("seat", Said.of(f"{verb} the seat {{}}", length=abs(z)), seat=moved)
