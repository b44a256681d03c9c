"""What the chosen water asks to have along; the local law is asked first."""

from collections.abc import Iterable

from neat_hull.model.said import Said, Verdict, capital, plain
from neat_hull.model.thing import Serves
from neat_hull.rig.aboard import rows
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import WHOLE, Found, against, amount, past, rule
from neat_hull.subjects.basics.figures import air_c, felt_c

_CALLS, _FAR_M = 2, 1000.0  # ours: one fails when it gets wet; an hour there and back
_MILD_OVER_WATER_C = 8.0  # ours: so much warmer air is what people dress for
LAW = "Check what the law where you paddle asks you to carry."


def _missing(
    ev: Evaluated, service: Serves, verdict: Verdict, what: str, why: str, worn: bool = False
) -> Iterable[Found]:
    """Not aboard; or, where it is of use on the body alone, not worn.

    What lies ashore is not looked at: a setup is judged by what goes with it.
    """
    aboard = [i for i in ev.once(rows) if service in ev.thing(i).serves]
    if any(ev.rigged.by_id[i].stand.on_body or not worn for i in aboard):
        return
    clear = (
        f"Put on {ev.name(aboard[0])}"
        if aboard
        else "Take one along; if you have one aboard, tick what it serves as in Gear"
    )
    title = f"{capital(what)}: aboard, but not worn" if aboard else f"No {what}"
    one = aboard[0] if aboard else None
    yield Found(
        verdict,
        Said.of(title),
        why,
        Said.of(clear),
        badness=1.0,
        caution=LAW,
        thing_id=one,
        where="On you" if worn else WHOLE,
    )


@rule("no-pfd-worn", topic="basics")
def no_pfd_worn(ev: Evaluated) -> Iterable[Found]:
    """No PFD on the body: a stop on any water. Usual practice, and law in many places."""
    yield from _missing(
        ev,
        "PFD",
        "stop",
        "PFD",
        "In the water it is very hard to put on.",
        worn=True,
    )


@rule("no-whistle", topic="basics")
def no_whistle(ev: Evaluated) -> Iterable[Found]:
    """Nothing to be heard with. Usual practice."""
    yield from _missing(
        ev, "whistle", "watch", "whistle", "Your voice does not carry over wind; a whistle does."
    )


@rule("no-light-by-night", topic="basics")
def no_light_by_night(ev: Evaluated) -> Iterable[Found]:
    """No light, on a trip that goes into the dark. Usual practice, and law in most places."""
    if ev.setup.judging.by_night:
        yield from _missing(
            ev, "light", "fix", "light", "Without a light, other boats can't see you in the dark."
        )


@rule("cold-water", topic="basics")
def cold_water(ev: Evaluated) -> Iterable[Found]:
    """Cold water without clothing for it; or nobody knows how cold, on water that is not a pond.

    Our threshold, from what is known of cold shock.
    """
    temp, levels = ev.setup.water_temp_c, ev.table["cold water"]
    if temp is None:
        if ev.setup.judging.waters != "calm pond":
            yield Found(
                "watch",
                Said.of("Water temperature: not known"),
                levels.reason,
                Said.of("Measure it, and type it in with the trip"),
                badness=1.0,
                caution=LAW,
            )
        return
    verdict = levels.verdict(temp)
    if verdict == "fine":
        return
    for one in _missing(
        ev, "warm clothing", verdict, "clothing for cold water", levels.reason, worn=True
    ):
        air = ev.once(air_c)
        mild = air is not None and air - temp >= _MILD_OVER_WATER_C
        yield Found(
            verdict,
            Said.of(f"{one.title.text}: the water is {{}}", warmth=temp),
            f"{one.why} A warm day over cold water is the trap." if mild else one.why,
            one.clear,
            badness=levels.beyond(temp),
            thing_id=one.thing_id,
            where=one.where,
            figure=amount("warmth", temp),
            limit=amount("warmth", levels.crossed(temp)),
            caution=LAW,
        )


@rule("cold-air", topic="basics")
def cold_air(ev: Evaluated) -> Iterable[Found]:
    """Cold air, as it feels in the wind of the trip, and nothing warm aboard. Our threshold."""
    air, water = ev.once(air_c), ev.setup.water_temp_c
    if air is None or (water is not None and past(ev, "cold water", water)):
        return
    felt = felt_c(air, ev.setup.glide.wind_m_s)
    if past(ev, "cold air", felt):
        for one in _missing(ev, "warm clothing", "watch", "warm clothing", ""):
            yield from against(
                ev,
                "cold air",
                felt,
                Said.of(f"{one.title.text}: the air feels like {{}}", warmth=felt),
                Said.of("Take dry, warm things along in something that shuts tight"),
                where=WHOLE,
            )


@rule("no-spare-paddle", topic="basics")
def no_spare_paddle(ev: Evaluated) -> Iterable[Found]:
    """Nothing to paddle home with, on a river or open water. Usual practice."""
    if ev.setup.judging.waters != "calm pond":
        verdict: Verdict = "fix" if ev.setup.judging.waters == "open water" else "watch"
        yield from _missing(
            ev,
            "spare paddle",
            verdict,
            "spare paddle",
            "If you lose the paddle, or the drive jams, the wind decides where you land.",
        )


@rule("no-means-to-call", topic="basics")
def no_means_to_call(ev: Evaluated) -> Iterable[Found]:
    """Nobody can be called, on a river or open water. Usual practice."""
    if ev.setup.judging.waters != "calm pond":
        verdict: Verdict = "fix" if ev.setup.judging.waters == "open water" else "watch"
        yield from _missing(
            ev,
            "call",
            verdict,
            "radio or telephone",
            "You can't be helped by people you can't call.",
            worn=True,
        )


@rule("alone-far-out", topic="basics")
def alone_far_out(ev: Evaluated) -> Iterable[Found]:
    """Alone, farther from shore than one swims in clothes, and with fewer than two ways to call.
    Our threshold."""
    plan = ev.setup.safety
    if not plan.alone or plan.shore_m is None or not past(ev, "alone far out", plan.shore_m):
        return
    calls = [i for i in ev.once(rows) if "call" in ev.thing(i).serves]
    if len(calls) < _CALLS:
        yield from against(
            ev,
            "alone far out",
            plan.shore_m,
            Said.of("Alone {} from shore, without two ways to call", far=plan.shore_m),
            Said.of("Stay nearer, go in company, or take a second means to call"),
            caution=LAW,
        )


@rule("no-first-aid", topic="basics")
def no_first_aid(ev: Evaluated) -> Iterable[Found]:
    """Far from shore, or on open water, with nothing for a cut or a hook. Usual practice."""
    plan = ev.setup.safety
    if (plan.shore_m or 0.0) > _FAR_M:
        yield from _missing(
            ev, "first aid", "watch", "first-aid kit", "A hook in the hand is an hour from help."
        )


@rule("no-tow-line", topic="basics")
def no_tow_line(ev: Evaluated) -> Iterable[Found]:
    """In company, and nothing to bring one another home with. Usual practice."""
    if ev.setup.safety.alone is False:
        yield from _missing(
            ev,
            "tow line",
            "watch",
            "tow line",
            "In company you may have to bring another boat home.",
        )


@rule("own-list-open", topic="basics")
def own_list_open(ev: Evaluated) -> Iterable[Found]:
    """Lines of one's own list, as the authority at hand asks, that are not ticked."""
    left = [one.text for one in ev.setup.safety.own_list if not one.done]
    if left:
        yield Found(
            "watch",
            Said.of("Your own list: {} not ticked", count=len(left)),
            "You listed it because it is required here.",
            Said.of(plain("; ".join(left))[:400]),
            badness=float(len(left)),
            caution=LAW,
        )


# Which of the basics a rule looks for, by its code: what lies ashore may serve.
SERVICES: dict[str, Serves] = {
    no_pfd_worn.code: "PFD",
    no_whistle.code: "whistle",
    no_light_by_night.code: "light",
    cold_water.code: "warm clothing",
    cold_air.code: "warm clothing",
    no_spare_paddle.code: "spare paddle",
    no_means_to_call.code: "call",
    alone_far_out.code: "call",
    no_first_aid.code: "first aid",
    no_tow_line.code: "tow line",
}

RULES = (
    no_pfd_worn,
    no_whistle,
    no_light_by_night,
    cold_water,
    cold_air,
    no_spare_paddle,
    no_means_to_call,
    alone_far_out,
    no_first_aid,
    no_tow_line,
    own_list_open,
)
