"""What hides the view, and how a boat is seen: lamps by night, a flag by day."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.model.sight import LampFigure
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.subjects.sight.figures import covered_deg, dead_arcs
from neat_hull.subjects.sight.seen import seen


@rule("view-hidden", topic="rods")
def view_hidden(ev: Evaluated) -> Iterable[Found]:
    """Things hide the water ahead from the seated eye. Our threshold, in degrees of bearing."""
    arcs = ev.once(dead_arcs)
    if not arcs:
        return
    worst = max(arcs, key=lambda arc: arc.to_deg - arc.from_deg)
    hidden = covered_deg(arcs)
    if not past(ev, "sight", hidden):
        return
    names = ", ".join(ev.name(arc.thing_id) for arc in arcs)
    yield from against(
        ev,
        "sight",
        hidden,
        Said.of("{} of your view ahead is hidden", angle=hidden),
        Said.of(f"Lower or move {names}"),
        thing_id=worst.thing_id,
    )


LAW = (
    "Rules of navigation and local law say which lights a boat shows: ask them first. "
    "Nothing here says that you are seen."
)


def _lit(ev: Evaluated) -> list[LampFigure]:
    """Lamps, on a trip that goes into the dark."""
    found = ev.once(seen)
    return found.lamps if found is not None and ev.setup.judging.by_night else []


def _by(ev: Evaluated, one: LampFigure) -> str:
    """What stands in its way, most first."""
    arcs = sorted(one.blocked, key=lambda b: b.from_deg - b.to_deg)
    named = (ev.name(b.thing_id) if b.thing_id is not None else f"your {b.what}" for b in arcs)
    return ", ".join(dict.fromkeys(named))


@rule("light-blocked", topic="basics")
def light_blocked(ev: Evaluated) -> Iterable[Found]:
    """By night, what stands between a lamp and those who should see it. Our threshold: six degrees,
    as the rules of navigation at sea allow a mast (Annex I)."""
    for one in _lit(ev):
        if one.shows == "torch" or not past(ev, "light blocked", one.blocked_deg):
            continue
        worst = max(one.blocked, key=lambda b: b.to_deg - b.from_deg)
        yourself = any(b.what != "thing" for b in one.blocked)
        clear = (
            Said.of("Raise it to {} above the water, over your head", length=one.clear_at_m)
            if yourself
            else Said.of(f"Raise it, or move {_by(ev, one)}")
        )
        yield from against(
            ev,
            "light blocked",
            one.blocked_deg,
            Said.of(
                f"{ev.name(one.thing_id)}: {{}} of its light is blocked", angle=one.blocked_deg
            ),
            clear,
            thing_id=one.thing_id,
            other_id=worst.thing_id,
            caution=LAW,
        )


@rule("light-leans", topic="basics")
def light_leans(ev: Evaluated) -> Iterable[Found]:
    """By night, a lamp that dips below its own beam as the boat leans and rolls."""
    for one in _lit(ev):
        if one.dip_deg > one.vertical_deg:
            yield Found(
                "watch",
                Said.of(f"{ev.name(one.thing_id)}: leans {{}}, out of its beam", angle=one.dip_deg),
                "A lamp shines level. Leaning, it shows its light to the sky and to the water.",
                Said.of("Level the boat, or take a lamp that shines wider up and down"),
                badness=one.dip_deg - one.vertical_deg,
                thing_id=one.thing_id,
                figure=amount("angle", one.dip_deg),
                limit=amount("angle", one.vertical_deg),
                caution=LAW,
            )


@rule("light-seen-late", topic="basics")
def light_seen_late(ev: Evaluated) -> Iterable[Found]:
    """By night, the time from where a light is made out until a boat that comes at it is here."""
    for one in _lit(ev):
        if past(ev, "warning", one.warning_s):
            yield from against(
                ev,
                "warning",
                one.warning_s,
                Said.of(f"{ev.name(one.thing_id)}: seen {{}} ahead", seconds=one.warning_s),
                Said.of("A stronger lamp, or one higher up"),
                thing_id=one.thing_id,
                caution=LAW,
            )


@rule("light-in-your-eyes", topic="basics")
def light_in_your_eyes(ev: Evaluated) -> Iterable[Found]:
    """By night, a lamp before the eyes: one sees nothing past it. Our threshold."""
    for one in _lit(ev):
        if one.glare_deg is not None and one.shows == "all-round":
            yield Found(
                "watch",
                Said.of(f"{ev.name(one.thing_id)} shines in your eyes"),
                "Eyes that look past a lamp take half an hour to see in the dark again.",
                Said.of("Move it behind you, over your head, or shade it toward you"),
                badness=1.0,
                thing_id=one.thing_id,
                figure=amount("angle", one.glare_deg),
            )


@rule("flag-low", topic="basics")
def flag_low(ev: Evaluated) -> Iterable[Found]:
    """A flag that does not stand over who sits there, nor over the swell. Our threshold."""
    found = ev.once(seen)
    flag = None if found is None else found.flag
    if flag is None:
        return
    if past(ev, "flag", flag.over_seat_m):
        yield from against(
            ev,
            "flag",
            flag.over_seat_m,
            Said.of(f"{ev.name(flag.thing_id)}: {{}} above the seat", length=flag.over_seat_m),
            Said.of("A longer pole, or a higher foot"),
            thing_id=flag.thing_id,
        )
    elif flag.shows_over_swell_m < ev.setup.safety.swell_m:
        yield Found(
            "watch",
            Said.of(f"{ev.name(flag.thing_id)}: hidden in {{}} of swell",
                    length=ev.setup.safety.swell_m),
            "In a trough only what is higher than the swell is seen from the next one.",
            Said.of("A longer pole"),
            badness=ev.setup.safety.swell_m - flag.shows_over_swell_m,
            thing_id=flag.thing_id,
            part="swell",
            figure=amount("length", flag.shows_over_swell_m),
            limit=amount("length", ev.setup.safety.swell_m),
        )  # fmt: skip


RULES = (view_hidden, light_blocked, light_leans, light_seen_late, light_in_your_eyes, flag_low)
