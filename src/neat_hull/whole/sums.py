"""What gear comes to, taken together by its kind or by where it is."""

from collections.abc import Callable, Iterable
from typing import Literal

from neat_hull.model.load import GearSum
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.whole.evaluate import evaluate

GroupBy = Literal["place", "kind"]
ASHORE = "Ashore"


def gear_sums(setup: Setup, by: GroupBy) -> list[GearSum]:
    """Groups with their sums: places bow to stern and what is ashore last, kinds by their names;
    the last row is all of it, called by an empty name."""
    group, order = _by_kind(setup) if by == "kind" else _by_place(setup)
    found: dict[str, list[Thing]] = {name: [] for name in order}
    for thing_id, thing in setup.things.items():
        found[group(thing_id)].append(thing)
    return [_sum(name, things) for name, things in found.items() if things] + [
        _sum("", setup.things.values())
    ]


def _by_kind(setup: Setup) -> tuple[Callable[[int], str], Iterable[str]]:
    return lambda i: setup.things[i].kind, sorted({one.kind for one in setup.things.values()})


def _by_place(setup: Setup) -> tuple[Callable[[int], str], Iterable[str]]:
    rows = {row.thing_id: row for row in evaluate(setup, judged=False).aboard}
    spots: dict[str, list[float]] = {}
    for row in rows.values():
        spots.setdefault(row.where, []).append(row.x_m)
    order = sorted(spots, key=lambda where: -sum(spots[where]) / len(spots[where]))
    return lambda i: rows[i].where if i in rows else ASHORE, [*order, ASHORE]


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
