"""Room that the angler needs, and room that things need from each other."""

from collections.abc import Callable, Iterable

from neat_hull.analysis.findings.case import Case, Found, amount, plain
from neat_hull.model.figures import Clash, Said


def _in(case: Case, belongs: Callable[[str], bool], why: str) -> Iterable[Found]:
    """The clashes with some envelopes, as findings; of one thing only the deepest."""
    told: set[int] = set()
    for clash in case.figures.clashes:
        if clash.envelope is None or clash.thing_id in told or not belongs(clash.envelope):
            continue
        told.add(clash.thing_id)
        yield _found(case, clash, why)


def _found(case: Case, clash: Clash, why: str) -> Found:
    name, what = case.name(clash.thing_id), plain(clash.what)
    return Found(
        clash.verdict,
        Said.of(f"{name} is {{}} into {what}", length=-clash.gap_m)
        if clash.gap_m < 0
        else Said.of(f"{name} is only {{}} from {what}", length=clash.gap_m),
        why,
        clash.clear,
        badness=max(0.001, 0.05 - clash.gap_m),
        thing_id=clash.thing_id,
        other_id=clash.with_thing,
        at=clash.at,
        figure=amount("length", clash.gap_m),
        limit=amount("length", 0.0),
    )


_LEGS = ("port thigh", "starboard thigh", "port shank", "starboard shank", "port foot",
         "starboard foot", "trunk")  # fmt: skip


def butt_meets_the_body(case: Case) -> Iterable[Found]:
    """The butt or reel of a rod comes into legs, hip or belly; the gap is kept by `envelopes`."""
    rod = {i for i in case.rows if case.thing(i).shape == "rod"}
    for one in _in(case, _LEGS.__contains__, "A butt against the leg turns the holder, bruises, "
                   "and is in the way of getting out."):  # fmt: skip
        if one.thing_id in rod:
            yield one


def meets_the_body(case: Case) -> Iterable[Found]:
    """Anything but a rod stands where legs, feet or the trunk are."""
    rod = {i for i in case.rows if case.thing(i).shape == "rod"}
    for one in _in(case, _LEGS.__contains__, "Legs have to move, and to come out in a hurry."):
        if one.thing_id not in rod:
            yield one


def in_the_stroke(case: Case) -> Iterable[Found]:
    """Something stands where the paddle or the knuckles pass, on a boat that is paddled."""
    yield from _in(case, lambda key: key.startswith("stroke"),
                   "Knuckles and shaft meet it at every stroke.")  # fmt: skip


def in_the_pedals(case: Case) -> Iterable[Found]:
    """Something stands where pedals and heels go round, or are pushed."""
    yield from _in(case, "pedals".__eq__, "Heels meet it at every turn of the pedals.")


def under_the_feet(case: Case) -> Iterable[Found]:
    """Something stands where a stander's feet are and turn."""
    yield from _in(case, "feet".__eq__, "One steps back without looking when a fish runs.")


def on_the_fight_side(case: Case) -> Iterable[Found]:
    """Something stands up where a fish is fought and lifted over.

    A rod that is the only one is the one that is fought with, and out of its holder by then.
    """
    only = [i for i in case.rows if case.thing(i).shape == "rod"]
    for one in _in(case, "fight".__eq__, "A fish at the boat's side goes under whatever stands "
                   "there, and the line with it."):  # fmt: skip
        if [one.thing_id] != only:
            yield one


def in_the_back_cast(case: Case) -> Iterable[Found]:
    """Something stands up behind the casting shoulder."""
    yield from _in(case, "back cast".__eq__, "Hooks catch what stands in the back cast.")


def on_the_remount_side(case: Case) -> Iterable[Found]:
    """Something stands on the side one climbs back in over."""
    yield from _in(case, "remount".__eq__, "Chest and knees have to slide in over that side.")


def in_the_motors_swing(case: Case) -> Iterable[Found]:
    """Something stands where the motor swings."""
    yield from _in(case, "motor".__eq__, "A motor that cannot be lifted is stuck in the shallows.")


def into_each_other(case: Case) -> Iterable[Found]:
    """Two things take the same room, by a centimetre or more."""
    for clash in case.figures.clashes:
        if clash.with_thing is not None and clash.verdict == "fix":
            yield _found(case, clash, "Two things cannot be in one place; one of them is not where "
                         "it is drawn.")  # fmt: skip


def rods_knock(case: Case) -> Iterable[Found]:
    """Two rods or poles nearer than 3 cm. Our threshold."""
    for clash in case.figures.clashes:
        if clash.with_thing is not None and clash.verdict == "watch":
            yield _found(case, clash, "Rods nearer than a hand's breadth knock, and their lines "
                         "tangle.")  # fmt: skip


RULES = (
    butt_meets_the_body, meets_the_body, in_the_stroke, in_the_pedals, under_the_feet,
    on_the_fight_side, in_the_back_cast, on_the_remount_side, in_the_motors_swing, into_each_other,
    rods_knock,
)  # fmt: skip
