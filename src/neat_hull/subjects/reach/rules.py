"""Whether each thing is come by as its use asks."""

from collections.abc import Iterable
from functools import partial

from neat_hull.model.said import Said, plain
from neat_hull.model.thing import Use
from neat_hull.model.zones import ReachZone
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, rule
from neat_hull.subjects.reach.figures import aboard
from neat_hull.subjects.reach.limits import NEEDED_ZONE, STEPS_ALLOWED, zone_steps
from neat_hull.subjects.room.figures import clashes, is_lid

_ZONE = {
    "hand": "within reach",
    "lean": "lean needed",
    "twist": "twist needed",
    "leave": "you leave the seat for it",
    "ashore": "can't be reached on the water",
}


@rule("too-far-for-its-use", topic="reach", many="{} items: too far away for how you use them")
def too_far_for_its_use(ev: Evaluated) -> Iterable[Found]:
    """Farther than how often it is used asks: each cast in hand, each fish with a lean, hourly
    with a twist. Our threshold, from how people fish."""
    levels, things = ev.table["far"], ev.setup.things
    for row in ev.once(aboard):
        thing_id, zone, use = row.thing_id, row.zone, things[row.thing_id].use
        if use != "emergency" and zone_steps(zone, use):
            yield from ev.again(
                ("far", thing_id),
                (zone, use, things[thing_id].name, levels),
                partial(_too_far, ev, thing_id, zone, use),
            )


def _too_far(ev: Evaluated, thing_id: int, zone: ReachZone, use: Use) -> list[Found]:
    return against(
        ev,
        "far",
        zone_steps(zone, use),
        Said.of(f"{ev.name(thing_id)}: {_ZONE[zone]}{'' if zone == 'ashore' else _USED[use]}"),
        Said.of(f"Move it to {_nearer(NEEDED_ZONE[use])}"),
        thing_id=thing_id,
    )


_USED: dict[Use, str] = {
    "each cast": " (used for each cast)",
    "each fish": " (used for each fish)",
    "hourly": " (used hourly)",
    "once": " (used once a trip)",
    "emergency": "",
    "ashore": "",
}


def _nearer(zone: str) -> str:
    return {
        "hand": "within reach",
        "lean": "where a lean reaches it",
        "twist": "where a twist reaches it",
        "leave": "where you can reach it on the water",
        "ashore": "anywhere",
    }[zone]


@rule("emergency-out-of-hand", topic="reach", many="{} emergency items: out of reach")
def emergency_out_of_hand(ev: Evaluated) -> Iterable[Found]:
    """What an emergency asks for is neither on the body nor in hand. Our threshold.

    A PFD has a rule of its own.
    """
    for row in ev.once(aboard):
        thing_id, thing = row.thing_id, ev.thing(row.thing_id)
        if thing.use != "emergency" or "PFD" in thing.serves:
            continue
        steps = zone_steps(row.zone, thing.use)
        if steps:
            title = f"{ev.name(thing_id)}: {_ZONE[row.zone]}"
            yield Found(
                "watch" if steps == 1 else "fix",
                Said.of(title),
                "In an emergency you need it on your body, or where one hand finds it.",
                Said.of("Wear it, or put it within reach"),
                badness=float(steps),
                thing_id=thing_id,
                figure=amount("count", steps),
                limit=amount("count", 0),
            )


@rule("too-many-steps", topic="reach", many="{} items: too many steps to get at them")
def too_many_steps(ev: Evaluated) -> Iterable[Found]:
    """More lids, zips and things on top than there is time for, by use. Our threshold."""
    for row in ev.once(aboard):
        thing_id, thing = row.thing_id, ev.thing(row.thing_id)
        more = len(row.steps) - STEPS_ALLOWED[thing.use]
        if more > 0 and not zone_steps(row.zone, thing.use):
            yield from against(
                ev,
                "steps",
                more,
                Said.of(f"{ev.name(thing_id)}: {{}} steps to get at it", count=len(row.steps)),
                Said.of("Now: " + ", then ".join(row.steps)),
                thing_id=thing_id,
            )


@rule("lid-cannot-open", topic="reach")
def lid_cannot_open(ev: Evaluated) -> Iterable[Found]:
    """Something stands in the swing of a hatch or a lid that is opened afloat."""
    for clash in ev.once(clashes):
        key = clash.envelope or ""
        if is_lid(key):
            name = ev.name(clash.thing_id)
            yield Found(
                clash.verdict,
                Said.of(f"{name}: in the way of {plain(clash.what)}"),
                "On the water you have nowhere to put what you must move first.",
                clash.clear,
                badness=-clash.gap_m + 0.01,
                thing_id=clash.thing_id,
                part=key,
                at=clash.at,
                figure=amount("length", clash.gap_m),
                limit=amount("length", 0.0),
            )


RULES = (too_far_for_its_use, emergency_out_of_hand, too_many_steps, lid_cannot_open)
