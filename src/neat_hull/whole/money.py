"""Money in full: the ledger, what the budget buys, and the boat in each phase of its build."""

from collections import Counter
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field

from neat_hull.model.findings import Finding
from neat_hull.model.money import (
    BudgetFigure,
    KeptPurchase,
    MoneyPage,
    PhaseRow,
    WantRow,
)
from neat_hull.model.money_plan import Phase, minor
from neat_hull.model.place import OnBody, Place
from neat_hull.model.said import Said
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Use
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.money.knapsack import Item, best, instead_of
from neat_hull.subjects.money.ledger import (
    NOTHING_LOGGED,
    Logged,
    by_place,
    ledger,
    trips_so_far,
)
from neat_hull.subjects.money.phases import in_phase, phase_of, used_phases
from neat_hull.whole.advice.best import changed
from neat_hull.whole.evaluate import evaluated, live
from neat_hull.whole.judge import judge
from neat_hull.whole.musts import musts

# What a use is worth, and what a finding that goes adds to it: ours. Never for an emergency: what
# is asked for is a must.
_USE: dict[Use, int] = {
    "each cast": 8, "each fish": 6, "hourly": 4, "once": 2, "ashore": 1, "emergency": 2,
}  # fmt: skip
_CLEARS = {"stop": 5, "fix": 5, "watch": 2, "fine": 0}


def money_page(
    ev: Evaluated, purchases: Sequence[KeptPurchase], logged: Logged = NOTHING_LOGGED
) -> MoneyPage:
    """All of it for a setup, with what was paid for its gear, and what the log says of trips."""
    rows = ledger(ev, purchases, logged)
    bought = sum(row.minor or 0 for row in rows if row.bought)
    resale = sum(row.resale_minor for row in rows)
    trips = trips_so_far(ev, logged)
    return MoneyPage(
        rows=rows,
        places=by_place(ev, rows),
        bought_minor=bought,
        planned_minor=sum(row.minor or 0 for row in rows if not row.bought),
        resale_minor=resale,
        wasted_minor=sum(row.wasted_minor for row in rows),
        trips=trips,
        logged=logged.trips,
        per_trip_minor=(bought - resale) // trips if trips else None,
        unpriced=[row.thing_id for row in rows if row.minor is None and row.thing_id is not None],
        budget=budget(ev),
        phases=list(_phases(ev)),
    )


@dataclass(frozen=True)
class _Want:
    thing_id: int
    item: Item
    clears: list[Said]


def budget(ev: Evaluated) -> BudgetFigure:
    """Musts first; then the best of what else is planned and priced, exactly."""
    asked, plan = musts(ev), ev.setup.money
    must = sum(row.minor or 0 for row in asked if row.state == "buy")
    spoken_for = {row.thing_id for row in asked if row.state == "buy"}
    wants = sorted(
        (one for one in _wants(ev) if one.thing_id not in spoken_for),
        key=lambda one: (-one.item.value, one.item.minor, one.item.name),
    )
    items = [one.item for one in wants]
    left = None if plan.budget_minor is None else plan.budget_minor - must
    chosen = best(items, left) if left is not None and left >= 0 else []

    def row(i: int) -> WantRow:
        out = left is not None and i not in chosen
        instead = instead_of(items, left, chosen, i) if out and left is not None else []
        return WantRow(
            thing_id=wants[i].thing_id,
            minor=items[i].minor,
            value=items[i].value,
            clears=wants[i].clears,
            chosen=i in chosen,
            instead=[wants[j].thing_id for j in instead or []],
            too_dear=instead is None,
        )

    return BudgetFigure(
        musts=asked,
        must_minor=must,
        left_minor=left,
        wants=[row(i) for i in range(len(wants))],
        chosen_minor=sum(items[i].minor for i in chosen),
    )


def _wants(ev: Evaluated) -> Iterator[_Want]:
    """What is planned and has a price, unless it is never to come."""
    for i, thing in ev.setup.things.items():
        price = minor(thing.price)
        if thing.bought or price is None or phase_of(ev.setup, i) == "never":
            continue
        clears = _clears(ev, i)
        value = _USE[thing.use] * (1 + sum(_CLEARS[one.verdict] for one in clears))
        yield _Want(i, Item(thing.name, price, value), [one.title for one in clears])


def _clears(ev: Evaluated, thing_id: int) -> list[Finding]:
    """Findings that are there without it, and not with it: aboard where it is, or put on where it
    serves for something and lies ashore."""
    setup, thing = ev.setup, ev.thing(thing_id)
    if thing_id in setup.places:
        without = {i: one for i, one in setup.places.items() if i != thing_id}
        return _gone(_judged(ev, setup.model_copy(update={"places": without})), ev.once(judge))
    if not thing.serves:
        return []
    worn = Place(x_m=0.0, y_m=0.0, z_m=None, turn_deg=0.0, tilt_deg=0.0, on=OnBody())
    aboard = setup.model_copy(update={"places": {**setup.places, thing_id: worn}})
    return _gone(ev.once(judge), _judged(ev, aboard))


def _gone(before: list[Finding], after: list[Finding]) -> list[Finding]:
    gone, _ = changed(before, after)
    return [one for one in gone if one.accepted is None]


def _judged(ev: Evaluated, setup: Setup) -> list[Finding]:
    return evaluated(setup, ev.beside, ev).once(judge)


@dataclass(frozen=True)
class _Built:
    """The boat as it was in the phase before: what was aboard, holes by their thing, the cost."""

    aboard: frozenset[int] = frozenset()
    findings: tuple[Finding, ...] = ()
    holes: Mapping[str, int] = field(default_factory=dict)
    total_minor: int = 0


def _phases(ev: Evaluated) -> Iterator[PhaseRow]:
    """The boat in each, held against the one before."""
    before: _Built | None = None
    for phase in used_phases(ev.setup):
        row, before = _phase(ev, phase, before)
        yield row


def _phase(ev: Evaluated, phase: Phase, before: _Built | None) -> tuple[PhaseRow, _Built]:
    setup, was = in_phase(ev.setup, phase), before or _Built()
    figures = live(evaluated(setup, ev.beside, ev))
    there, things = frozenset(setup.places), setup.things
    comes = sorted(there - was.aboard)
    costs = {i: minor(things[i].price) for i in comes if not things[i].bought}
    cost = sum(price or 0 for price in costs.values())
    lost, gained = changed(was.findings, figures.findings) if before else ([], [])
    drilled = {
        one.name: one.thing_id
        for one in ([] if figures.fixing is None else figures.fixing.holes)
        if one.thing_id is not None and one.state in ("planned", "drilled")
    }
    counts = Counter(one.verdict for one in figures.findings if one.accepted is None)
    afloat, weight = figures.afloat, figures.weight
    row = PhaseRow(
        phase=phase,
        comes=comes if before else [],
        goes=sorted(was.aboard - there),
        gear_kg=weight.gear_kg,
        carried_kg=weight.carried_kg,
        weight_verdict=weight.verdict,
        trim_deg=afloat.trim_deg if afloat else None,
        heel_deg=afloat.heel_deg if afloat else None,
        gm_m=afloat.gm_m if afloat else None,
        least_freeboard_m=afloat.least_freeboard_m if afloat else None,
        trouble=figures.trouble,
        cost_minor=cost,
        total_minor=was.total_minor + cost,
        unpriced=[i for i, price in costs.items() if price is None],
        holes=len(drilled),
        idle_holes=[name for name, i in was.holes.items() if i not in there],
        stop=counts["stop"],
        fix=counts["fix"],
        watch=counts["watch"],
        gained=[one.title for one in gained],
        lost=[one.title for one in lost],
    )
    built = _Built(there, tuple(figures.findings), {**was.holes, **drilled}, was.total_minor + cost)
    return row, built
