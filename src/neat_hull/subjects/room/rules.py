"""Room that the angler needs, and room that things need from each other."""

from collections.abc import Callable, Iterable
from operator import itemgetter

from neat_hull.model.room import Clash
from neat_hull.model.said import Said, plain
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, amount, rule
from neat_hull.subjects.room.figures import clashes


def _in(
    ev: Evaluated,
    belongs: Callable[[str], bool],
    why: str,
    about: Callable[[int], bool] = lambda _: True,
) -> Iterable[Found]:
    """The clashes of some things with some envelopes, as findings; of one thing the deepest."""
    told: set[int] = set()
    for clash in _of(ev, belongs):
        if clash.thing_id not in told and about(clash.thing_id):
            told.add(clash.thing_id)
            yield _found(ev, clash, why)


def _of(ev: Evaluated, belongs: Callable[[str], bool]) -> Iterable[Clash]:
    """The clashes with some envelopes, the deepest first."""
    found = [one for key, some in ev.once(_by_envelope).items() if belongs(key) for one in some]
    return (clash for _, clash in sorted(found, key=itemgetter(0)))


def _by_envelope(ev: Evaluated) -> dict[str, list[tuple[int, Clash]]]:
    """The clashes with each envelope, with their place among all: the deepest first."""
    found: dict[str, list[tuple[int, Clash]]] = {}
    for i, clash in enumerate(ev.once(clashes)):
        if clash.envelope is not None:
            found.setdefault(clash.envelope, []).append((i, clash))
    return found


def _found(ev: Evaluated, clash: Clash, why: str) -> Found:
    name = ev.name(clash.thing_id)
    key = why, clash.thing_id, clash.with_thing, clash.envelope
    return ev.again(key, (name, clash), lambda: _told(name, clash, why))


def _told(name: str, clash: Clash, why: str) -> Found:
    what = plain(clash.what)
    return Found(
        clash.verdict,
        Said.of(f"{name}: {{}} into {what}", length=-clash.gap_m)
        if clash.gap_m < 0
        else Said.of(f"{name}: only {{}} from {what}", length=clash.gap_m),
        why,
        clash.clear,
        badness=max(0.001, 0.05 - clash.gap_m),
        thing_id=clash.thing_id,
        other_id=clash.with_thing,
        at=clash.at,
        figure=amount("length", clash.gap_m),
        limit=amount("length", 0.0),
    )


_LEGS = (
    "port thigh",
    "starboard thigh",
    "port shank",
    "starboard shank",
    "port foot",
    "starboard foot",
    "trunk",
)


@rule("butt-meets-the-body", topic="room")
def butt_meets_the_body(ev: Evaluated) -> Iterable[Found]:
    """The butt or reel of a rod comes into legs, hip or belly; the gap is kept by `envelopes`."""
    yield from _in(
        ev,
        _LEGS.__contains__,
        "A butt against your leg turns the holder, bruises, and keeps you from getting out.",
        ev.rods.__contains__,
    )


@rule("meets-the-body", topic="room")
def meets_the_body(ev: Evaluated) -> Iterable[Found]:
    """Anything but a rod stands where legs, feet or the trunk are."""
    yield from _in(
        ev,
        _LEGS.__contains__,
        "Your legs have to move, and to come out in a hurry.",
        lambda thing_id: thing_id not in ev.rods,
    )


@rule("in-the-stroke", topic="room")
def in_the_stroke(ev: Evaluated) -> Iterable[Found]:
    """Something stands where the paddle or the knuckles pass, on a boat that is paddled."""
    yield from _in(
        ev,
        lambda key: key.startswith("stroke"),
        "Your knuckles and the shaft hit it at every stroke.",
    )


@rule("in-the-pedals", topic="room")
def in_the_pedals(ev: Evaluated) -> Iterable[Found]:
    """Something stands where pedals and heels go round, or are pushed."""
    yield from _in(ev, "pedals".__eq__, "Your heels hit it at every turn of the pedals.")


@rule("under-the-feet", topic="room")
def under_the_feet(ev: Evaluated) -> Iterable[Found]:
    """Something stands where a stander's feet are and turn."""
    yield from _in(ev, "feet".__eq__, "When a fish runs you step back without looking.")


@rule("on-the-fight-side", topic="room", many="{} items: where you fight a fish")
def on_the_fight_side(ev: Evaluated) -> Iterable[Found]:
    """Something stands up where a fish is fought and lifted over.

    A rod that is the only one is the one that is fought with, and out of its holder by then.
    """
    yield from _in(
        ev,
        "fight".__eq__,
        "A fish at the side takes your line around whatever stands there.",
        lambda thing_id: {thing_id} != ev.rods,
    )


@rule("in-the-back-cast", topic="room", many="{} items: in your back cast")
def in_the_back_cast(ev: Evaluated) -> Iterable[Found]:
    """Something stands up behind the casting shoulder."""
    yield from _in(ev, "back cast".__eq__, "Your hook catches what stands in the back cast.")


@rule("on-the-remount-side", topic="room", many="{} items: where you climb back in")
def on_the_remount_side(ev: Evaluated) -> Iterable[Found]:
    """Something stands on the side one climbs back in over."""
    yield from _in(ev, "remount".__eq__, "Your chest and knees have to slide in over that side.")


@rule("in-the-motors-swing", topic="room")
def in_the_motors_swing(ev: Evaluated) -> Iterable[Found]:
    """Something stands where the motor swings."""
    yield from _in(ev, "motor".__eq__, "A motor you can't lift is stuck in the shallows.")


@rule("into-each-other", topic="room", many="{} pairs of items: in one place")
def into_each_other(ev: Evaluated) -> Iterable[Found]:
    """Two things take the same room, by a centimetre or more."""
    for clash in ev.once(clashes):
        if clash.with_thing is not None and clash.verdict == "fix":
            yield _found(
                ev,
                clash,
                "Two items can't be in one place: one of them is not where it is drawn.",
            )


@rule("rods-knock", topic="room", many="{} pairs of rods: close enough to knock")
def rods_knock(ev: Evaluated) -> Iterable[Found]:
    """Two rods or poles nearer than 3 cm. Our threshold."""
    for clash in ev.once(clashes):
        if clash.with_thing is not None and clash.verdict == "watch":
            yield _found(
                ev, clash, "Rods nearer than a hand's breadth knock, and their lines tangle."
            )


RULES = (
    butt_meets_the_body,
    meets_the_body,
    in_the_stroke,
    in_the_pedals,
    under_the_feet,
    on_the_fight_side,
    in_the_back_cast,
    on_the_remount_side,
    in_the_motors_swing,
    into_each_other,
    rods_knock,
)
