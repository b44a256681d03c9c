"""What slides, what is lost, and what tangles, when the boat goes over."""

from collections.abc import Iterable

from neat_hull.model.cautions import NO_DRILL
from neat_hull.model.said import Said, items
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.subjects.capsize.figures import (
    as_fated,
    capsize,
    full_boat,
    lies_full,
    stays,
    wanted_kg,
)
from neat_hull.subjects.capsize.setting import leash_of
from neat_hull.subjects.capsize.typical import STRENGTH_KG


@rule(
    "loose-and-heavy", topic="capsize", many="{} items: heavy and loose", under="lost-in-a-capsize"
)
def loose_and_heavy(ev: Evaluated) -> Iterable[Found]:
    """Heavy, not fixed, and not shut in. Our threshold."""
    placing = ev.rigged.placing
    for thing_id in ev.setup.places:
        thing = ev.thing(thing_id)
        if thing.fixing.by != "loose" or not past(ev, "loose", thing.mass_now_kg):
            continue
        if placing.holder(thing_id) is None and not stays(ev, thing_id):
            yield from against(
                ev,
                "loose",
                thing.mass_now_kg,
                Said.of(f"{ev.name(thing_id)}: {{}} and loose", mass=thing.mass_now_kg),
                Said.of("Tie it down, or put it in something that shuts"),
                thing_id=thing_id,
            )


@rule("lost-in-a-capsize", topic="capsize")
def lost_in_a_capsize(ev: Evaluated) -> Iterable[Found]:
    """What sinks: neither tied by a line that holds, nor bolted down, nor shut in, nor worn.

    The limit is a price. Our threshold.
    """
    found = ev.once(capsize)
    gone, price = found.lost, found.lost_price
    if not gone or not past(ev, "lost", price):
        return
    names = [ev.name(i) for i in gone]
    unpriced = [ev.name(i) for i in gone if ev.thing(i).price is None]
    ask = f"; no price known for {', '.join(unpriced)}" if unpriced else ""
    yield from against(
        ev,
        "lost",
        price,
        Said.of(f"A capsize sinks {items(len(gone))} worth {{}}", price=price),
        Said.of(f"Leash, float or shut in: {', '.join(names)}{ask}"),
        why="What neither floats nor is tied is on the bottom before you are back aboard.",
        caution="Each leash is one more line to tangle in: keep them few and short.",
    )


@rule("vital-gone-in-a-capsize", topic="capsize", many="{} items you need are gone in a capsize")
def vital_gone(ev: Evaluated) -> Iterable[Found]:
    """What one cannot do without in the water, whatever it costs: vest, paddle, radio, knife."""
    gone = set(ev.once(capsize).lost)
    for i in ev.once(capsize).vital_gone:
        goes = "sinks" if i in gone else "drifts off"
        yield Found(
            "fix",
            Said.of(f"{ev.name(i)}: {goes} in a capsize"),
            "You need it most when the boat is upside down.",
            Said.of("Wear it, leash it, or clip it where it holds"),
            badness=1.0,
            thing_id=i,
        )


@rule("leash-parts", topic="capsize", many="{} leashes part in a capsize")
def leash_parts(ev: Evaluated) -> Iterable[Found]:
    """A line that gives way under the jerk of all that hangs on it: three times its weight."""
    lines = ev.once(as_fated).lines
    for i in ev.once(capsize).parting:
        load, strong = lines[str(i)].load_kg, STRENGTH_KG[leash_of(ev, i).kind]
        yield Found(
            "watch",
            Said.of(f"{ev.name(i)}: its leash parts at {{}}", mass=strong),
            "What goes over falls into its leash with a jerk.",
            Said.of("A cord that holds {}, or fix the thing itself", mass=load),
            badness=load / strong,
            thing_id=i,
            figure=amount("mass", load),
            limit=amount("mass", strong),
        )


@rule("lines-about-the-legs", topic="capsize")
def lines_about_the_legs(ev: Evaluated) -> Iterable[Found]:
    """Leashes and lines that come to your legs when the boat turns over. Our threshold."""
    here = ev.once(capsize).in_legs
    if not past(ev, "lines", len(here)):
        return
    names = ", ".join("the trolley's rope" if i is None else ev.name(i) for i in here)
    yield from against(
        ev,
        "lines",
        len(here),
        Said.of("Lines around your legs: {}", count=len(here)),
        Said.of(f"Shorten, or lead another way: {names}"),
        thing_id=next((i for i in here if i is not None), None),
        where="Between the legs",
        caution="Carry a knife or cutters where either hand finds it.",
    )


@rule("line-to-the-propeller", topic="capsize", many="{} lines come to what turns")
def line_to_the_propeller(ev: Evaluated) -> Iterable[Found]:
    """A line long enough to go over the side and come to a propeller, or to pedal fins."""
    powered = any(ev.thing(i).motor is not None for i in ev.setup.places)
    for i in ev.once(capsize).at_propeller:
        what = "the propeller" if powered else "the fins"
        yield Found(
            "fix" if powered else "watch",
            Said.of(f"{ev.name(i)}: its line comes to {what}"),
            "A line that winds itself up stops the drive, or pulls what is on it under.",
            Said.of("Shorten it, or fix it farther off"),
            badness=1.0,
            thing_id=i,
        )


@rule("no-knife-in-reach", topic="capsize")
def no_knife_in_reach(ev: Evaluated) -> Iterable[Found]:
    """Lines aboard, and no knife that both hands reach, belted in and without leaning."""
    found = ev.once(capsize)
    hands = bool(found.knife_port) + bool(found.knife_starboard)
    if not found.lines or hands == 2:
        return
    short = "one hand" if hands else "neither hand"
    yield Found(
        "watch" if hands else "fix",
        Said.of(f"{short.capitalize()} reaches a knife"),
        "A line is cut at once, or not at all.",
        Said.of("Wear it on your vest: the deck is upside down when you need it"),
        badness=2.0 - hands,
    )


@rule("sinks-when-full", topic="capsize")
def sinks_when_full(ev: Evaluated) -> Iterable[Found]:
    """Full of water, with what stays aboard and you holding on: too little lifts the boat.

    Where nobody said what floats it, that is asked for. Our threshold.
    """
    found, levels = ev.once(capsize), ev.table["flooded"]
    left = found.reserve_kg
    wanted = wanted_kg(ev, found.staying_kg)
    if left >= wanted:
        return
    said = ev.setup.safety.flotation is not None
    sinks = levels.verdict(left) == "fix"
    if not said:
        title = Said.of("Full of water it may sink: no foam known")
    elif sinks:
        title = Said.of("Full of water it sinks: {} short", mass=-left)
    else:
        title = Said.of("Full of water it floats with {} to spare", mass=left)
    yield Found(
        "fix" if sinks and said else "watch",
        title,
        levels.reason,
        Said.of("Look inside and enter what floats it; {} more lift", mass=wanted - left),
        badness=wanted - left,
        figure=amount("mass", left),
        limit=amount("mass", wanted),
        limit_key="flooded",
        caution=NO_DRILL,
    )


@rule("lies-badly-when-full", topic="capsize", under="sinks-when-full")
def lies_badly_when_full(ev: Evaluated) -> Iterable[Found]:
    """Full of water it floats, and cannot be bailed, or climbed back to. Our threshold.

    Asked where somebody said what floats it: what nobody knows lies in no place.
    """
    if ev.setup.safety.flotation is None or ev.once(capsize).reserve_kg < 0:
        return
    found = ev.once(full_boat)
    if not found.floats:
        return
    verdict, word, limit_key = lies_full(ev, found)
    if verdict == "fine":
        return
    levels = ev.table[limit_key]
    value = found.gm_m if limit_key == "full gm" else found.freeboard_m
    yield Found(
        verdict,
        Said.of(f"Full of water {word}"),
        levels.reason,
        Said.of("Put foam along both sides and at both ends"),
        badness=1.0 if value is None else levels.fine - value,
        figure=None if value is None else amount("length", value),
        limit=amount("length", levels.fine),
        limit_key=limit_key,
        caution=NO_DRILL,
    )


@rule("no-spare-plug", topic="capsize")
def no_spare_plug(ev: Evaluated) -> Iterable[Found]:
    """A hull that is drained by a plug, and no second one. Usual practice."""
    plug = ev.setup.safety.plug
    if plug is not None and not plug.spare:
        yield Found(
            "watch",
            Said.of("No spare drain plug"),
            "A plug that is lost at the ramp ends the trip, or fills the hull on the way.",
            Said.of("Keep a second one aboard, on a cord"),
            badness=1.0,
        )


RULES = (
    loose_and_heavy,
    lost_in_a_capsize,
    vital_gone,
    leash_parts,
    lines_about_the_legs,
    line_to_the_propeller,
    no_knife_in_reach,
    sinks_when_full,
    lies_badly_when_full,
    no_spare_plug,
)
