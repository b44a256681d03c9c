"""Money as a person walks it: what was paid, a budget the musts exceed, a phase of its own."""

import pytest
from playwright.sync_api import Page, expect
from tests.browser.test_fixing import saved
from tests.browser.test_glide import figure
from tests.servers import Server

pytestmark = pytest.mark.elsewhere

BATTERY, SCREEN, PFD, WHISTLE, TRANSDUCER = 5, 6, 24, 25, 27


def spent(page: Page, server: Server, part: str = "") -> None:
    """The screen, and one of its parts."""
    page.goto(f"{server.url}/money")
    expect(page.get_by_test_id("ledger")).to_be_visible()
    if part:
        page.get_by_text(part, exact=True).click()


def typed(page: Page, testid: str, text: str) -> None:
    """An amount typed and taken."""
    field = page.get_by_test_id(testid)
    field.fill(text)
    field.press("Enter")


def money(amount: float) -> str:
    """As it is shown: hundredths only where there are any."""
    return f"{amount:.2f}".removesuffix(".00")


def test_what_was_paid_and_replaced_is_wasted_and_no_undo_touches_it(
    bench: Page, server: Server
) -> None:
    bench.goto(f"{server.url}/bench")
    bench.get_by_role("link", name="Ashore").click()
    bench.get_by_role("link", name="Money").click()
    expect(bench.get_by_test_id("ledger")).to_be_visible()
    bought, wasted = figure(bench, "bought"), figure(bench, "wasted")
    bench.get_by_test_id(f"paid-{BATTERY}").click()
    bench.get_by_test_id(f"add-paid-{BATTERY}").click()
    expect(bench.get_by_test_id(f"paid-{BATTERY}")).to_have_text("paid 1×")
    bench.get_by_label("Paid for Battery 20 Ah").fill("122.50")
    bench.get_by_label("Paid for Battery 20 Ah").press("Enter")
    expect(bench.get_by_test_id("bought")).to_have_text(f"{bought + 2.5:.2f}")
    bench.get_by_label("What became of Battery 20 Ah").select_option("replaced")
    expect(bench.get_by_test_id("wasted")).to_have_text(money(wasted + 122.5))
    bench.get_by_label("What Battery 20 Ah brings when sold").fill("8")
    bench.get_by_label("What Battery 20 Ah brings when sold").press("Enter")
    expect(bench.get_by_test_id("wasted")).to_have_text(money(wasted + 114.5))
    typed(bench, f"price-{PFD}", "99")
    saved(bench)
    bench.get_by_test_id("undo").click()
    expect(bench.get_by_test_id(f"price-{PFD}")).to_have_value("110")
    expect(bench.get_by_test_id("wasted")).to_have_text(money(wasted + 114.5))
    typed(bench, f"price-{WHISTLE}", "six")
    expect(bench.get_by_text("Type it like 120 or 120.50.")).to_be_visible()


def test_musts_alone_exceed_a_budget_and_a_larger_one_takes_the_rest(
    bench: Page, server: Server
) -> None:
    spent(bench, server)
    bench.get_by_label("PFD is bought").uncheck()
    saved(bench)
    typed(bench, "budget-minor", "100")
    expect(bench.get_by_text("The musts alone cost 10")).to_be_visible()
    expect(bench.get_by_test_id("wants")).not_to_contain_text("in the budget")
    typed(bench, "budget-minor", "200")
    expect(bench.get_by_test_id("budget-left")).to_contain_text("90 left for the rest")
    expect(bench.get_by_test_id("wants")).to_contain_text("in the budget")
    typed(bench, "budget-minor", "150")
    expect(bench.get_by_test_id("wants")).to_contain_text("more than what is left")
    bench.reload()
    expect(bench.get_by_test_id("budget-left")).to_contain_text("40 left")


def test_phase_two_adds_the_screen_and_its_weight(bench: Page, server: Server) -> None:
    spent(bench, server, "Phases of the build")
    expect(bench.get_by_test_id("gear-now")).to_be_visible()
    whole = figure(bench, "gear-phase 2")
    assert round(whole - figure(bench, "gear-now"), 1) == 1.4
    bench.get_by_test_id(f"phase-{TRANSDUCER}").select_option("now")
    saved(bench)
    expect(bench.get_by_test_id("gear-now")).to_have_text(f"{whole - 1.1:.1f} kg")
    expect(bench.get_by_test_id("phases")).to_contain_text("7-inch screen")
    bench.get_by_test_id(f"phase-{SCREEN}").select_option("now")
    expect(bench.get_by_test_id("gear-phase 2")).to_have_count(0)
    bench.get_by_test_id("undo").click()
    expect(bench.get_by_test_id("gear-phase 2")).to_have_text(f"{whole:.1f} kg")
    bench.get_by_text("By place", exact=True).click()
    expect(bench.get_by_test_id("by-place")).to_contain_text("Tank well")


def test_a_must_that_nobody_owns_is_put_on_the_list(bench: Page, server: Server) -> None:
    spent(bench, server)
    bench.get_by_test_id("money-waters").select_option("open water")
    budget = bench.get_by_test_id("budget")
    wanted = bench.get_by_test_id("want-spare paddle")
    wanted.click()
    expect(wanted).to_have_count(0)
    expect(budget).to_contain_text("Spare paddle")
    saved(bench)
    bench.get_by_label("Price of Spare paddle").fill("75")
    bench.get_by_label("Price of Spare paddle").press("Enter")
    expect(bench.get_by_test_id("budget-left")).to_contain_text("75 left for the rest")
    bench.get_by_test_id("money-waters").select_option("calm pond")
    expect(bench.get_by_test_id("budget-left")).to_contain_text("150 left for the rest")
