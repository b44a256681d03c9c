"""What gear comes to, taken together by its kind or by where it is."""

from collections.abc import Callable, Iterable
from typing import Literal

from neat_hull.model.load import GearSum
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.whereabouts import bow_to_stern
from neat_hull.subjects.reach.figures import aboard

GroupBy = Literal["place", "kind"]
ASHORE = "Ashore"


def gear_sums(ev: Evaluated, by: GroupBy) -> list[GearSum]:
    """Groups with their sums: places bow to stern and what is ashore last, kinds by their names;
    the last row is all of it, called by an empty name."""
    things = ev.setup.things
    group, order = _by_kind(ev) if by == "kind" else _by_place(ev)
    found: dict[str, list[Thing]] = {name: [] for name in order}
    for thing_id, thing in things.items():
        found[group(thing_id)].append(thing)
    rows = [_sum(name, these) for name, these in found.items() if these]
    return [*rows, _sum("", things.values())]


def _by_kind(ev: Evaluated) -> tuple[Callable[[int], str], Iterable[str]]:
    things = ev.setup.things
    return lambda i: things[i].kind, sorted({one.kind for one in things.values()})


def _by_place(ev: Evaluated) -> tuple[Callable[[int], str], Iterable[str]]:
    where = {row.thing_id: row.where for row in ev.once(aboard)}
    return lambda i: where.get(i, ASHORE), [*bow_to_stern(ev.once(aboard)), ASHORE]


def _sum(name: str, things: Iterable[Thing]) -> GearSum:
    rows = list(things)
    prices = [(one.price or 0.0, one.bought) for one in rows]
    return GearSum(
        name=name,
        count=len(rows),
        mass_kg=sum(one.mass_now_kg for one in rows),
        spent=sum(price for price, bought in prices if bought),
        planned=sum(price for price, bought in prices if not bought),
    )
