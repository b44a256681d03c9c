"""What is aboard, in the order of the list: bow to stern, each followed by what it holds."""

from dataclasses import dataclass

from neat_hull.rig.evaluated import Evaluated


@dataclass(frozen=True)
class Row:
    """One thing aboard: how deep it stands in others, and what it weighs with all it holds."""

    thing_id: int
    depth: int
    carries_kg: float


def rows(ev: Evaluated) -> dict[int, Row]:
    """Everything aboard by id, in order."""
    placing, by_id, before = ev.rigged.placing, ev.rigged.by_id, ev.before
    roots = [i for i in by_id if placing.holder(i) is None]
    roots.sort(key=lambda i: (-by_id[i].stand.x_m, i))
    if before is not None and placing.hangs_as(before.rigged.placing):
        known = before.once(rows)
        as_heavy = all(ev.thing(i).mass_now_kg == before.thing(i).mass_now_kg for i in ev.moved)
        if as_heavy and roots == [i for i, row in known.items() if not row.depth]:
            return known
    mass = {i: ev.thing(i).mass_now_kg for i in by_id}
    carries = dict(mass)
    for thing_id in by_id:
        for holder in placing.chain(thing_id)[1:]:
            carries[holder] += mass[thing_id]
    ordered: dict[int, Row] = {}

    def add(thing_id: int, depth: int) -> None:
        ordered[thing_id] = Row(thing_id, depth, carries[thing_id])
        for one in placing.contents(thing_id):
            add(one, depth + 1)

    for root in roots:
        add(root, 0)
    return ordered
