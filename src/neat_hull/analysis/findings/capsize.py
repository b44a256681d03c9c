"""What slides, what is lost, and what tangles, when the boat goes over."""

from collections.abc import Iterable

from neat_hull.analysis.findings.case import Case, Found, against
from neat_hull.model.figures import Said

# Bolted, plated or strapped down stays; a bungee, a tube or nothing at all lets go upside down.
_HOLDS = ("track bolt", "ball", "plate", "strap")


def loose_and_heavy(case: Case) -> Iterable[Found]:
    """Heavy, not fixed, and not shut in. Our threshold."""
    for thing_id, row in case.rows.items():
        thing = case.thing(thing_id)
        light = thing.mass_now_kg <= case.table["loose"].fine
        if thing.fixed != "loose" or light or row.held_by is not None or _stays(case, thing_id):
            continue
        yield from against(
            case, "loose", thing.mass_now_kg,
            Said.of(f"{case.name(thing_id)}: {{}}, and loose", mass=thing.mass_now_kg),
            Said(text="tie it down, or shut it into something"), thing_id=thing_id,
        )  # fmt: skip


def lost_in_a_capsize(case: Case) -> Iterable[Found]:
    """The simple capsize list: neither tied, nor bolted down, nor shut in, and it sinks.

    The limit is a price. Our threshold.
    """
    gone = [i for i in case.rows if lost(case, i)]
    if not gone:
        return
    price = sum(case.thing(i).price or 0.0 for i in gone)
    names = [case.name(i) for i in gone]
    unpriced = [case.name(i) for i in gone if case.thing(i).price is None]
    ask = f"; no price is known of {', '.join(unpriced)}" if unpriced else ""
    yield from against(
        case, "lost", price,
        Said.of(f"{len(gone)} things sink in a capsize, worth {{}}", price=price),
        Said(text=f"leash, float or shut in: {', '.join(names)}{ask}"),
        why="What neither floats nor is tied lies on the bottom before you are back aboard.",
        caution="Each leash is one more line to tangle in; few and short.",
    )  # fmt: skip


def lost(case: Case, thing_id: int) -> bool:
    """Whether a capsize takes a thing to the bottom."""
    thing = case.thing(thing_id)
    return not (thing.leashed or thing.floats or thing.kind == "seat" or _stays(case, thing_id))


def _stays(case: Case, thing_id: int) -> bool:
    if case.stowed[thing_id].stand.on_body or case.covered(thing_id):
        return True
    return case.thing(thing_id).fixed in _HOLDS


def lines_about_the_legs(case: Case) -> Iterable[Found]:
    """Leashes and lines that lie in the cockpit ahead of the seat. Our threshold."""
    seat = case.setup.seat
    here = [
        i
        for i, row in case.rows.items()
        if (case.thing(i).leashed or case.thing(i).kind == "anchor")
        and seat.x_m <= row.x_m <= seat.brace_x_m + 0.2
        and not case.stowed[i].stand.on_body
        and not case.covered(i)
    ]
    names = ", ".join(case.name(i) for i in here)
    yield from against(
        case, "lines", len(here), Said.of("{} lines lie about the legs", count=len(here)),
        Said(text=f"lead elsewhere: {names}"), thing_id=here[0] if here else None,
        where="Between the legs", caution="Carry a knife or cutters where either hand finds it.",
    )  # fmt: skip


RULES = (loose_and_heavy, lost_in_a_capsize, lines_about_the_legs)
