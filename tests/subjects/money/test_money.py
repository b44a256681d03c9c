"""Money in whole minor units: the best for a budget against trying everything, the ledger, musts,
phases."""

from itertools import combinations

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples
from tests.judged import CLEAN, CRATE, FULL, HOLDER_P, PFD, ROD_P, SCREEN, known
from tests.subjects.money.spending import PLANNED, funded, planning

from neat_hull.model.fixing import Mount
from neat_hull.model.money import KeptPurchase, MoneyPage
from neat_hull.model.money_plan import minor
from neat_hull.model.setup import Setup
from neat_hull.subjects.money.knapsack import Item, best, instead_of
from neat_hull.subjects.money.ledger import wasted_minor
from neat_hull.subjects.money.phases import in_phase, used_phases
from neat_hull.whole.evaluate import evaluate, evaluated
from neat_hull.whole.money import money_page

wanted = st.lists(
    st.builds(Item, st.text("abc", max_size=3), st.integers(0, 400), st.integers(1, 48)),
    max_size=11,
)


def page(setup: Setup, *purchases: KeptPurchase) -> MoneyPage:
    """All of it."""
    return money_page(evaluated(setup), purchases)


def paid(minor: int, **more: object) -> KeptPurchase:
    """One purchase."""
    return KeptPurchase.model_validate({"purchase_id": 1, "minor": minor} | more)


def every_way(items: list[Item], budget: int) -> tuple[int, int]:
    """Worth and price of the best, by trying everything."""
    ways = [
        (sum(one.value for one in some), -sum(one.minor for one in some))
        for n in range(len(items) + 1)
        for some in combinations(items, n)
        if sum(one.minor for one in some) <= budget
    ]
    worth, price = max(ways)
    return worth, -price


@given(wanted, st.integers(0, 1500))
@examples(120)
def test_the_best_for_a_budget_is_that_of_trying_everything(items: list[Item], budget: int) -> None:
    chosen = best(items, budget)
    worth, price = every_way(items, budget)
    assert sum(items[i].value for i in chosen) == worth
    assert sum(items[i].minor for i in chosen) == price


def test_fifteen_wanted_are_chosen_as_by_trying_every_way() -> None:
    items = [Item(f"{i}", 37 + (i * i * 29) % 211, 2 + (i * 7) % 13) for i in range(15)]
    for budget in (0, 150, 600, 1200, 5000):
        chosen = best(items, budget)
        worth, price = every_way(items, budget)
        assert sum(items[i].value for i in chosen) == worth
        assert sum(items[i].minor for i in chosen) == price


@given(st.permutations(range(8)), st.integers(0, 1200))
@examples(30)
def test_the_order_of_the_list_chooses_nothing(order: list[int], budget: int) -> None:
    items = [Item(f"{i}", 100 + 37 * i, 4 + (i % 3)) for i in range(8)]
    names = {items[i].name for i in best(items, budget)}
    mixed = [items[i] for i in order]
    assert {mixed[i].name for i in best(mixed, budget)} == names


def test_of_the_same_worth_and_price_the_first_by_name_is_taken() -> None:
    items = [Item("pear", 50, 3), Item("apple", 50, 3)]
    assert [items[i].name for i in best(items, 60)] == ["apple"]


def test_what_is_left_out_is_told_by_what_would_have_to_go_for_it() -> None:
    """For its 60, two that cost 30 each bring 8 over 7."""
    items = [Item("dear", 60, 7), Item("a", 30, 4), Item("b", 30, 4)]
    chosen = best(items, 60)
    assert chosen == [1, 2]
    assert instead_of(items, 60, chosen, 0) == [1, 2]
    assert instead_of(items, 50, [1], 0) is None


@given(st.integers(0, 10**9))
def test_a_price_comes_back_to_the_last_hundredth(cents: int) -> None:
    assert minor(cents / 100) == cents


def test_wasted_is_price_less_resale_of_what_is_gone() -> None:
    assert wasted_minor(paid(6000, ended="replaced", resale_minor=2500)) == 3500
    assert wasted_minor(paid(6000, ended="lost")) == 6000
    assert wasted_minor(paid(6000, ended="sold", resale_minor=2500)) == 0
    assert wasted_minor(paid(6000, ended="broke", resale_minor=9000)) == 0


def test_what_was_paid_goes_before_the_price_and_sums_are_whole() -> None:
    plain, both = page(FULL), page(FULL, paid(1999, thing_id=CRATE), paid(501, what="Filled hole"))
    assert both.bought_minor == plain.bought_minor - 1800 + 1999 + 501
    row = next(row for row in both.rows if row.thing_id == CRATE)
    assert (row.minor, row.paid) == (1999, True)
    assert sum(row.bought_minor for row in both.places) == both.bought_minor
    assert sum(row.planned_minor for row in both.places) == both.planned_minor


def test_a_purchase_of_a_thing_that_is_gone_is_not_lost() -> None:
    rows = page(FULL, paid(4200, thing_id=999, what="Old anchor", ended="lost")).rows
    gone = next(row for row in rows if row.name == "Old anchor")
    assert (gone.minor, gone.wasted_minor, gone.thing_id) == (4200, 4200, None)


def test_a_trip_costs_what_was_bought_over_the_trips() -> None:
    assert page(FULL).per_trip_minor is None
    found = page(funded(FULL, trips=9))
    assert found.per_trip_minor == found.bought_minor // 9
    crate = next(row for row in found.rows if row.thing_id == CRATE)
    assert crate.per_trip_minor == 200


def test_musts_come_first_and_over_the_budget_nothing_else_is_bought() -> None:
    bare = known(known(planning(), PFD, bought=False, price=110.0), PLANNED, use="each cast")
    found = page(funded(bare, budget_minor=10000)).budget
    first = found.musts[0]
    assert (first.service, first.state, first.thing_id, first.minor) == ("PFD", "buy", PFD, 11000)
    assert found.left_minor == -1000
    assert not any(one.chosen for one in found.wants)
    enough = page(funded(bare, budget_minor=17000)).budget
    assert enough.left_minor == 6000
    assert [one.thing_id for one in enough.wants if one.chosen] == [PLANNED]
    assert PFD not in [one.thing_id for one in enough.wants]


def test_what_asks_for_a_light_is_the_trip_and_what_nobody_has_is_missing() -> None:
    def services(setup: Setup) -> dict[str, str]:
        return {row.service: row.state for row in page(setup).budget.musts}

    dark = CLEAN.model_copy(update={"judging": CLEAN.judging.model_copy(update={"by_night": True})})
    assert "light" not in services(CLEAN)
    assert services(dark)["light"] == "have"
    things = {i: one.model_copy(update={"serves": []}) for i, one in CLEAN.things.items()}
    nothing = CLEAN.model_copy(update={"things": things})
    assert services(nothing)["PFD"] == "missing"


def test_a_want_that_clears_more_is_worth_more() -> None:
    """A whistle that is planned clears its own finding when worn; a plain thing clears none."""
    silent = known(planning(), 25, serves=[])
    heard = known(silent, PLANNED, serves=["whistle"], use="hourly")
    without = heard.model_copy(
        update={"places": {i: one for i, one in heard.places.items() if i != PLANNED}}
    )
    plain = known(planning(), PLANNED, use="hourly")
    want = next(one for one in page(plain).budget.wants if one.thing_id == PLANNED)
    assert want.value == 4 * (1 + 2 * len(want.clears))
    must = next(row for row in page(without).budget.musts if row.service == "whistle")
    assert must.state == "buy"


def test_phases_are_a_filter_and_never_is_in_none() -> None:
    setup = funded(FULL, phases={SCREEN: "phase 2", CRATE: "never"})
    assert used_phases(setup) == ["now", "phase 2"]
    first, second = in_phase(setup, "now"), in_phase(setup, "phase 2")
    assert SCREEN not in first.places
    assert SCREEN in second.places
    assert CRATE not in second.places
    assert first.things is setup.things
    held = in_phase(funded(FULL, phases={HOLDER_P: "phase 2"}), "now")
    assert ROD_P not in held.places, "what it would hold comes with it"


def test_phase_two_adds_the_screen_with_its_weight_and_its_price() -> None:
    planned = known(funded(FULL, phases={SCREEN: "phase 2"}), SCREEN, bought=False, price=310.0)
    now, later = page(planned).phases
    assert later.comes == [SCREEN]
    assert later.gear_kg - now.gear_kg == pytest.approx(FULL.things[SCREEN].mass_kg)
    assert later.cost_minor == 31000
    assert later.total_minor == now.total_minor + 31000
    alone = evaluate(in_phase(planned, "now"))
    assert now.fix == sum(one.verdict == "fix" and not one.accepted for one in alone.findings)


def test_a_hole_that_a_later_phase_leaves_idle_is_told() -> None:
    fixed = FULL.fixing.model_copy(
        update={"mounts": {SCREEN: Mount(by="through bolt", count=2, drilled=True)}}
    )
    by_bolts = FULL.model_copy(update={"fixing": fixed})
    now, later = page(funded(by_bolts, until={SCREEN: "phase 2"})).phases
    assert later.goes == [SCREEN]
    assert now.holes > later.holes
    assert later.idle_holes
