"""What slides, what is lost, and what tangles, when the boat goes over."""

from collections.abc import Iterable

from neat_hull.model.said import Said, items
from neat_hull.rig import aboard
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.capsize.figures import has_a_line, lost, stays

_BRACE_AHEAD_M = 0.2  # of the heels: as far as toes and lines about them go


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
    """The simple capsize list: neither tied, nor bolted down, nor shut in, and it sinks.

    The limit is a price. Our threshold.
    """
    gone = ev.once(lost)
    price = sum(ev.thing(i).price or 0.0 for i in gone)
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


@rule("lines-about-the-legs", topic="capsize")
def lines_about_the_legs(ev: Evaluated) -> Iterable[Found]:
    """Leashes and lines that lie in the cockpit ahead of the seat. Our threshold."""
    seat, by_id, placing = ev.setup.seat, ev.rigged.by_id, ev.rigged.placing
    here = [
        i
        for i in ev.once(aboard.rows)
        if has_a_line(ev.thing(i))
        and seat.x_m <= by_id[i].stand.x_m <= seat.brace_x_m + _BRACE_AHEAD_M
        and not by_id[i].stand.on_body
        and not placing.covered(i)
    ]
    if not past(ev, "lines", len(here)):
        return
    names = ", ".join(ev.name(i) for i in here)
    yield from against(
        ev,
        "lines",
        len(here),
        Said.of("Lines around your legs: {}", count=len(here)),
        Said.of(f"Lead another way: {names}"),
        thing_id=here[0] if here else None,
        where="Between the legs",
        caution="Carry a knife or cutters where either hand finds it.",
    )


RULES = (loose_and_heavy, lost_in_a_capsize, lines_about_the_legs)
