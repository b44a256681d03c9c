"""Whether the verdicts rest on weights that nobody has taken."""

from collections.abc import Iterable
from math import degrees

from neat_hull.model.said import Said, Verdict, plain
from neat_hull.rig.bands import assumed, bands
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK, Levels
from neat_hull.rig.rules import WHOLE, Found, amount, rule
from neat_hull.rig.settling import at_rest
from neat_hull.rig.typical import MEASURE_NAMES
from neat_hull.subjects.load.figures import weight

_FIRST = 3  # measures to name


@rule("guesses-decide", topic="evidence", under="typical-measures")
def guesses_decide(ev: Evaluated) -> Iterable[Found]:
    """A verdict would be another within the ± that unweighed things leave: weigh these first."""
    rest, band = at_rest(ev), ev.once(bands)
    if rest is None or band is None:
        return
    names = [one for one in band.weigh_first if one.share > 0]
    if not names:
        return
    lie = rest.equilibrium
    asked = [
        ("trim", ev.table["trim"], abs(degrees(lie.trim_rad)), band.trim_by_weights_deg),
        ("list", ev.table["list"], abs(degrees(lie.heel_rad)), band.list_by_weights_deg),
        ("stability (GM)", ev.table["gm"], rest.upright.gm_m, band.gm_by_weights_m),
    ]
    carried = ev.once(weight)
    if carried.limit_kg:
        share = carried.counted_kg / carried.limit_kg
        asked.append(("weight", ev.table["share"], share, band.carried_kg / carried.limit_kg))
    for what, levels, value, off in asked:
        worst = _worst(levels, value, off)
        if RANK[worst] > max(RANK[levels.verdict(value)], RANK["watch"]):
            first = ", ".join(plain(one.name) for one in names)
            yield Found(
                "watch",
                Said.of(f"Unweighed items decide the verdict on {what}"),
                "Your guesses leave room for it to be worse than shown.",
                Said.of(f"Weigh these first: {first}"),
                badness=off,
                part=what,
                thing_id=names[0].thing_id,
                where=WHOLE,
                figure=amount(levels.kind, value),
                band=off,
                limit=amount(levels.kind, levels.crossed(value + (-off if levels.rising else off))),
            )


@rule("typical-measures", topic="evidence")
def typical_measures(ev: Evaluated) -> Iterable[Found]:
    """Measures of the boat are typical values, which nobody has taken: every figure is wide."""
    boat, seat = ev.setup.boat, ev.setup.seat
    names = [MEASURE_NAMES[field] for field in assumed(boat)]
    if seat.assumed:
        names.insert(0, "where the seat is")
    if not names:
        return
    first = names[:_FIRST]
    yield Found(
        "watch",
        Said.of(f"Boat: {len(names)} typical {'value' if len(names) == 1 else 'values'} in use"),
        "They are those of such boats, not of yours; the ± allows for it.",
        Said.of(f"Measure {', '.join(first[:-1]) + ' and ' if first[1:] else ''}{first[-1]}"),
        badness=len(names),
        where=WHOLE,
    )


def _worst(levels: Levels, value: float, band: float) -> Verdict:
    return levels.verdict(value - band if levels.rising else value + band)


RULES = (typical_measures, guesses_decide)
