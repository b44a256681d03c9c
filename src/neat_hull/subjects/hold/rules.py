"""Whether it holds, how the boat lies on it, and what that asks of line, anchor, pole and rope."""

from collections.abc import Iterable

from neat_hull.model.cautions import CURRENT
from neat_hull.model.hold_figures import HoldFigures
from neat_hull.model.said import Said
from neat_hull.rig.drag.figures import pull_n
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.hold.gear import pole_id, tackle

FOULED = "A fouled anchor does not come up: rig a trip line at its crown, or a link that breaks."
POLE = "Poles break toward you; one left in when a wake comes pulls that end under."


def _holder(found: HoldFigures) -> int | None:
    """The anchor, or else the pole."""
    one = found.anchor or found.pole
    return None if one is None else one.thing_id


@rule("hold-current", topic="anchor")
def strong_current(ev: Evaluated) -> Iterable[Found]:
    """The set current, with something aboard that holds in it."""
    found, speed = ev.once(hold), ev.setup.demands.current_m_s
    if found is None or (found.anchor is None and found.pole is None):
        return
    if past(ev, "current", speed):
        yield from against(
            ev,
            "current",
            speed,
            Said.of("Held in a current of {}", speed=speed),
            Said.of("Don't anchor there: drift, or fish from the bank"),
            thing_id=_holder(found),
            caution=CURRENT,
        )


@rule("hold-by-the-stern", topic="anchor")
def by_the_stern(ev: Evaluated) -> Iterable[Found]:
    """Held by the stern in a current, where the bow would pull less and ride higher."""
    found, speed = ev.once(hold), ev.setup.demands.current_m_s
    if found is None or found.end != "stern" or found.anchor is None:
        return
    if past(ev, "current by the stern", speed):
        bow = pull_n(ev, "bow", speed, ev.setup.demands.wind_m_s)
        yield from against(
            ev,
            "current by the stern",
            speed,
            Said.of("Held by the stern: {} on the line", force=found.lies.pull_n),
            Said.of("Lead the line to the bow: {}", force=bow),
            thing_id=found.anchor.thing_id,
            caution=CURRENT,
        )


@rule("hold-short-line", topic="anchor")
def short_line(ev: Evaluated) -> Iterable[Found]:
    """Line out over the height it spans, and whether there is so much of it."""
    found, of = ev.once(hold), ev.once(tackle)
    if found is None or found.anchor is None or of is None:
        return
    one, fine = found.anchor, ev.table["scope"].fine
    more = fine * one.height_m - one.line_m
    if not one.reaches_bottom:
        yield Found(
            "fix",
            Said.of("Anchor line: {} is too short to reach the bottom", far=one.line_m),
            "It never gets there.",
            Said.of("{} more line, or shallower water", far=more),
            badness=5.0,
            thing_id=one.thing_id,
            caution=FOULED,
        )
    elif past(ev, "scope", one.scope):
        yield from against(
            ev,
            "scope",
            one.scope,
            Said.of("Anchor line: {} times the height it spans", times=one.scope),
            Said.of("{} more line out", far=more)
            if of.all_m >= fine * one.height_m
            else Said.of("A line {} longer, or shallower water", far=more),
            thing_id=one.thing_id,
            caution=FOULED,
        )


@rule("hold-anchor", topic="anchor")
def anchor_holds(ev: Evaluated) -> Iterable[Found]:
    """Pull over what the anchor holds on this bottom, at the angle of its line."""
    found = ev.once(hold)
    one = None if found is None else found.anchor
    if found is None or one is None or one.holding_share is None:
        return
    if past(ev, "anchor holds", one.holding_share):
        yield from against(
            ev,
            "anchor holds",
            one.holding_share,
            Said.of(f"Anchor in {one.bottom}: {{}} of what it holds", ratio=one.holding_share),
            Said.of("An anchor of {}, or more line", mass=one.recommended_kg or 0.0),
            thing_id=one.thing_id,
            caution=FOULED,
        )


@rule("hold-lifts", topic="anchor", under="hold-anchor")
def lifts(ev: Evaluated) -> Iterable[Found]:
    """The angle at which the line pulls at the anchor."""
    found = ev.once(hold)
    one = None if found is None else found.anchor
    if one is None or one.angle_at_anchor_deg is None:
        return
    if past(ev, "anchor lifts", one.angle_at_anchor_deg):
        yield from against(
            ev,
            "anchor lifts",
            one.angle_at_anchor_deg,
            Said.of("Anchor line pulls up at {}", angle=one.angle_at_anchor_deg),
            Said.of("A metre of chain at the anchor, or more line"),
            thing_id=one.thing_id,
            caution=FOULED,
        )


@rule("hold-oblique", topic="anchor")
def lies_oblique(ev: Evaluated) -> Iterable[Found]:
    """How far the line leads off the end it is at: a boat held near its middle lies aslant."""
    found = ev.once(hold)
    if found is None or (found.anchor is None and found.pole is None):
        return
    off = found.lies.off_line_deg
    if past(ev, "lies oblique", off):
        yield from against(
            ev,
            "lies oblique",
            off,
            Said.of(f"Held, it lies {{}} off its {found.end}", angle=off),
            Said.of(f"Lead the line farther to the {found.end}"),
            thing_id=None if found.anchor is None else found.anchor.thing_id,
            where=ev.whereabouts(found.at[0], 0.0),
            at=found.at,
            caution=CURRENT,
        )


@rule("hold-line", topic="anchor")
def line_weak(ev: Evaluated) -> Iterable[Found]:
    """Pull over the strength of the line, knots taken off."""
    found = ev.once(hold)
    one = None if found is None else found.anchor
    if one is None or one.line_share is None:
        return
    if past(ev, "line", one.line_share):
        yield from against(
            ev,
            "line",
            one.line_share,
            Said.of("Anchor line: {} of its strength", ratio=one.line_share),
            Said.of("A thicker line"),
            thing_id=one.thing_id,
            caution=FOULED,
        )


@rule("hold-pole", topic="anchor")
def pole_stands(ev: Evaluated) -> Iterable[Found]:
    """What the pull asks of a pole and of the bottom it stands in."""
    found, thing_id = ev.once(hold), ev.once(pole_id)
    if found is None or thing_id is None:
        return
    one = found.pole
    if one is None:
        yield Found(
            "watch",
            Said.of("Rock: no pole goes in there"),
            "A pole holds by what it is pushed into.",
            Said.of("Drift, or anchor by a line that can be let go"),
            badness=1.0,
            thing_id=thing_id,
            caution=POLE,
        )
        return
    depth = ev.setup.demands.depth_m
    if depth > one.depth_limit_m:
        reason = {
            "bending": "It bends more than it stands.",
            "soil": "The bottom gives way.",
            "length": "It is too short.",
        }[one.limited_by]
        yield Found(
            "fix",
            Said.of("Pole: good to {} here", far=one.depth_limit_m),
            reason,
            Said.of("Shallower water, or the anchor"),
            badness=depth - one.depth_limit_m,
            thing_id=thing_id,
            part="deep",
            caution=POLE,
        )
        return
    for key, share, words in (
        ("pole bends", one.bending_share, "of what it stands, bending"),
        ("pole slips", one.soil_share or 0.0, "of what the bottom stands"),
    ):
        if past(ev, key, share):
            yield from against(
                ev,
                key,
                share,
                Said.of(f"Pole: {{}} {words}", ratio=share),
                Said.of("Push it deeper, or go shallower"),
                thing_id=thing_id,
                part=key,
                caution=POLE,
            )


@rule("hold-rope", topic="anchor")
def rope_runs(ev: Evaluated) -> Iterable[Found]:
    """Where the trolley's rope runs: things, legs, the paddle; and whether the hand gets to it."""
    found = ev.once(hold)
    one = None if found is None else found.rope
    if one is None:
        return
    told = [
        *((f"rubs on {name}", f"thing {name}", "watch") for name in one.meets),
        *((("rubs on your legs", "legs", "fix"),) if one.on_legs else ()),
        *((("is in the way of the paddle", "stroke", "watch"),) if one.in_stroke else ()),
    ]
    for words, part, verdict in told:
        yield Found(
            "fix" if verdict == "fix" else "watch",
            Said.of(f"Trolley rope {words}"),
            "A rope that runs through something jams when it has to run.",
            Said.of("Move its blocks, lead it lower, or move what is in its way"),
            badness=1.0,
            part=part,
            caution=CURRENT,
        )
    if not one.in_reach:
        yield Found(
            "stop",
            Said.of("Trolley rope: not within reach from the seat"),
            "In a current, a line you can't let go pulls the boat under.",
            Said.of("Set its blocks so that the rope passes the seat"),
            badness=2.0,
            part="reach",
            caution=CURRENT,
        )


@rule("hold-no-float", topic="anchor")
def no_float(ev: Evaluated) -> Iterable[Found]:
    """Nothing on the line lets one drop it and come back for it, in a current."""
    found = ev.once(hold)
    if found is None or found.anchor is None or found.anchor.floats:
        return
    if ev.setup.demands.current_m_s > _FLOAT_FROM_M_S:
        yield Found(
            "watch",
            Said.of("Anchor line without a float"),
            "With a float on it the line can be let go in one motion, and fetched later.",
            Said.of("A float on the line, and the line through a cleat that lets go"),
            badness=0.5,
            thing_id=found.anchor.thing_id,
            caution=CURRENT,
        )


@rule("hold-noise", topic="anchor")
def powered(ev: Evaluated) -> Iterable[Found]:
    """An anchor that a motor drives, where one fishes by stealth."""
    if not ev.setup.fixing.stalks:
        return
    for i in sorted(ev.setup.places):
        anchor = ev.thing(i).anchor
        if anchor is not None and anchor.powered:
            yield Found(
                "watch",
                Said.of(f"{ev.name(i)}: fish hear it"),
                "A motor on the hull sounds through it as it drives down and up.",
                Said.of("Set it well before the place, or use a pole by hand"),
                badness=0.5,
                thing_id=i,
            )


_FLOAT_FROM_M_S = 0.5  # less of a current leaves time to haul it up

RULES = (
    strong_current, by_the_stern, short_line, anchor_holds, lifts, lies_oblique, line_weak,
    pole_stands, rope_runs, no_float, powered,
)  # fmt: skip
