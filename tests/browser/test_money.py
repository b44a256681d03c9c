"""Money as a person walks it: what was paid, a budget the musts exceed, a phase of its own."""

from playwright.sync_api import Page, expect
from tests.browser.arriving import saved
from tests.browser.test_glide import figure
from tests.servers import Server

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
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/bench")
    watched.get_by_role("link", name="Ashore").click()
    watched.get_by_role("link", name="Money").click()
    expect(watched.get_by_test_id("ledger")).to_be_visible()
    bought, wasted = figure(watched, "bought"), figure(watched, "wasted")
    watched.get_by_test_id(f"paid-{BATTERY}").click()
    watched.get_by_test_id(f"add-paid-{BATTERY}").click()
    expect(watched.get_by_test_id(f"paid-{BATTERY}")).to_have_text("paid 1×")
    watched.get_by_label("Paid for Battery 20 Ah").fill("122.50")
    watched.get_by_label("Paid for Battery 20 Ah").press("Enter")
    expect(watched.get_by_test_id("bought")).to_have_text(f"{bought + 2.5:.2f}")
    watched.get_by_label("What became of Battery 20 Ah").select_option("replaced")
    expect(watched.get_by_test_id("wasted")).to_have_text(money(wasted + 122.5))
    watched.get_by_label("What Battery 20 Ah brings when sold").fill("8")
    watched.get_by_label("What Battery 20 Ah brings when sold").press("Enter")
    expect(watched.get_by_test_id("wasted")).to_have_text(money(wasted + 114.5))
    typed(watched, f"price-{PFD}", "99")
    saved(watched)
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id(f"price-{PFD}")).to_have_value("110")
    expect(watched.get_by_test_id("wasted")).to_have_text(money(wasted + 114.5))
    typed(watched, f"price-{WHISTLE}", "six")
    expect(watched.get_by_text("Type it like 120 or 120.50.")).to_be_visible()


def test_musts_alone_exceed_a_budget_and_a_larger_one_takes_the_rest(
    watched: Page, server: Server
) -> None:
    spent(watched, server)
    watched.get_by_label("PFD is bought").uncheck()
    saved(watched)
    typed(watched, "budget-minor", "100")
    expect(watched.get_by_text("The musts alone cost 10")).to_be_visible()
    expect(watched.get_by_test_id("wants")).not_to_contain_text("in the budget")
    typed(watched, "budget-minor", "200")
    expect(watched.get_by_test_id("budget-left")).to_contain_text("90 left for the rest")
    expect(watched.get_by_test_id("wants")).to_contain_text("in the budget")
    typed(watched, "budget-minor", "150")
    expect(watched.get_by_test_id("wants")).to_contain_text("more than what is left")
    watched.reload()
    expect(watched.get_by_test_id("budget-left")).to_contain_text("40 left")


def test_phase_two_adds_the_screen_and_its_weight(watched: Page, server: Server) -> None:
    spent(watched, server, "Phases of the build")
    expect(watched.get_by_test_id("gear-now")).to_be_visible()
    whole = figure(watched, "gear-phase 2")
    assert round(whole - figure(watched, "gear-now"), 1) == 1.4
    watched.get_by_test_id(f"phase-{TRANSDUCER}").select_option("now")
    saved(watched)
    expect(watched.get_by_test_id("gear-now")).to_have_text(f"{whole - 1.1:.1f} kg")
    expect(watched.get_by_test_id("phases")).to_contain_text("7-inch screen")
    watched.get_by_test_id(f"phase-{SCREEN}").select_option("now")
    expect(watched.get_by_test_id("gear-phase 2")).to_have_count(0)
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id("gear-phase 2")).to_have_text(f"{whole:.1f} kg")
    watched.get_by_text("By place", exact=True).click()
    expect(watched.get_by_test_id("by-place")).to_contain_text("Tank well")


def test_a_must_that_nobody_owns_is_put_on_the_list(watched: Page, server: Server) -> None:
    spent(watched, server)
    watched.get_by_test_id("money-waters").select_option("open water")
    budget = watched.get_by_test_id("budget")
    wanted = watched.get_by_test_id("want-spare paddle")
    wanted.click()
    expect(wanted).to_have_count(0)
    expect(budget).to_contain_text("Spare paddle")
    saved(watched)
    watched.get_by_label("Price of Spare paddle").fill("75")
    watched.get_by_label("Price of Spare paddle").press("Enter")
    expect(watched.get_by_test_id("budget-left")).to_contain_text("75 left for the rest")
    watched.get_by_test_id("money-waters").select_option("calm pond")
    expect(watched.get_by_test_id("budget-left")).to_contain_text("150 left for the rest")
