"""Findings as a person follows them: try, apply, undo, accept, limits, arrange, compare."""

import re
from typing import Any

import pytest
from playwright.sync_api import Locator, Page, expect
from tests.browser.arriving import saved
from tests.servers import Server

PFD, SCREEN = 24, 6


def card(page: Page, key: str) -> Locator:
    """A finding, in whatever it is told with."""
    open_causes(page)
    return page.locator(f'[data-finding^="{key}"]')


def open_causes(page: Page) -> None:
    """Open every card that tells of several findings."""
    closed = page.locator('.cause > .head[aria-expanded="false"]')
    closed.evaluate_all("(all) => all.forEach((one) => one.click())")  # one by one is slow
    expect(closed).to_have_count(0)


def count(page: Page, verdict: str) -> int:
    """How many of a verdict are open."""
    found = re.search(
        r"\d+$", page.get_by_test_id(f"count-{verdict}").get_attribute("aria-label") or ""
    )
    assert found is not None
    return int(found[0])


def step_label(page: Page) -> str:
    """What undo would take back."""
    return page.get_by_test_id("undo").get_attribute("title") or ""


def follow(page: Page) -> str | None:
    """Try the worst for which there is a way out, and apply it; None where nothing is left."""
    open_causes(page)
    for verdict in ("stop", "fix"):
        for i in range(count(page, verdict)):
            one = page.locator(f"li.card.{verdict}").nth(i)
            one.locator(".head").click()
            one.get_by_test_id("try").click()
            expect(one.locator('[data-testid="apply"], .told')).to_be_visible()
            if one.get_by_test_id("apply").count():
                before = step_label(page)
                one.get_by_test_id("apply").click()
                expect(page.get_by_test_id("undo")).not_to_have_attribute("title", before)
                return step_label(page)
            one.locator(".head").click()
    return None


def test_the_faulty_demo_is_followed_to_the_end_and_undone_to_the_beginning(
    bench: Page, server: Server
) -> None:
    stops, fixes = count(bench, "stop"), count(bench, "fix")
    assert (stops, fixes) == (1, 10)
    taken: list[str] = []
    while count(bench, "stop") + count(bench, "fix") and len(taken) < 13:
        label = follow(bench)
        assert label is not None, "each stop and fix of the demo has a way out"
        taken.append(label)
    assert (count(bench, "stop"), count(bench, "fix")) == (0, 0)
    assert taken[0] == "Undo: Try: Put on PFD"
    for _ in taken:
        label = step_label(bench)
        bench.get_by_test_id("undo").click()
        expect(bench.get_by_test_id("undo")).not_to_have_attribute("title", label)
    expect(bench.get_by_test_id("undo")).to_be_disabled()
    assert (count(bench, "stop"), count(bench, "fix")) == (stops, fixes)


def test_a_suggestion_is_a_ghost_until_it_is_applied(bench: Page, server: Server) -> None:
    one = card(bench, "no-pfd-worn")
    one.locator(".head").click()
    expect(one).to_contain_text("Put on PFD.")
    bench.keyboard.press("t")
    expect(one.get_by_test_id("apply")).to_be_visible()
    expect(bench.get_by_test_id("count-stop")).to_contain_text("1→0")
    expect(bench.locator(".plan .ghost")).to_have_count(1)
    expect(bench.get_by_test_id("undo")).to_be_disabled()
    one.get_by_test_id("drop").click()
    expect(bench.locator(".plan .ghost")).to_have_count(0)
    expect(bench.get_by_test_id("count-stop")).not_to_contain_text("→")


def test_what_is_moved_by_hand_goes_before_a_suggestion(bench: Page, server: Server) -> None:
    one = card(bench, "no-pfd-worn")
    one.locator(".head").click()
    one.get_by_test_id("try").click()
    expect(one.get_by_test_id("apply")).to_be_visible()
    bench.locator('[data-aboard="9"]').click()
    bench.keyboard.press("ArrowLeft")
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", "Undo: Move Tackle crate")
    expect(bench.get_by_test_id("count-stop")).to_have_attribute("aria-label", "Only stop: 1")
    expect(one.get_by_test_id("apply")).to_have_count(0)


def test_another_of_the_suggestions_can_be_tried(bench: Page, server: Server) -> None:
    one = card(bench, "in-the-pedals")
    one.locator(".head").click()
    one.get_by_test_id("try").click()
    ways = one.get_by_test_id("suggestions").locator("li")
    expect(ways).to_have_count(2)  # where its bolts keep off the rims
    words = one.get_by_test_id("suggestion-1").inner_text()
    one.get_by_test_id("suggestion-1").click()
    expect(one.get_by_test_id("suggestion-1")).to_have_attribute("aria-pressed", "true")
    ways.nth(1).get_by_test_id("apply").click()
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", f"Undo: Try: {words}")
    expect(card(bench, "in-the-pedals")).to_have_count(0)


def test_show_puts_the_hand_on_the_thing(bench: Page, server: Server) -> None:
    one = card(bench, "in-the-pedals")
    one.locator(".head").click()
    one.get_by_test_id("show").click()
    expect(bench.locator(f'[data-aboard="{SCREEN}"]')).to_have_class(re.compile("selected|chosen"))


def test_one_is_accepted_with_a_reason_and_no_longer(bench: Page, server: Server) -> None:
    one = card(bench, "cleat-unknown")
    watches = count(bench, "watch")
    one.locator(".head").click()
    one.get_by_test_id("accept").click()
    one.get_by_test_id("reason").fill("the trolley is on order")
    one.get_by_test_id("accept-save").click()
    lived = bench.get_by_test_id("accepted")
    expect(lived).to_contain_text("1 accepted")
    assert count(bench, "watch") == watches - 1
    bench.reload()
    lived.locator("summary").click()
    expect(lived).to_contain_text("the trolley is on order")
    lived.locator(".head").click()
    lived.get_by_test_id("accept-back").click()
    expect(lived).to_have_count(0)
    assert count(bench, "watch") == watches


def test_filter_and_groups(bench: Page, server: Server) -> None:
    panel = bench.get_by_test_id("findings")
    bench.get_by_test_id("count-fix").click()
    open_causes(bench)
    expect(panel.locator("li.card")).to_have_count(10)
    expect(panel.locator("li.card.watch")).to_have_count(0)
    bench.get_by_test_id("by-place").click()
    expect(panel.locator("h3").first).to_be_visible()
    assert "Beside the seat" in panel.locator("h3").all_inner_texts()
    bench.get_by_test_id("count-fix").click()
    open_causes(bench)
    assert panel.locator("li.card").count() > 15


def test_on_paper_every_finding_stands_with_its_reasons(bench: Page, server: Server) -> None:
    bench.emulate_media(media="print")
    bench.evaluate("window.dispatchEvent(new Event('beforeprint'))")
    expect(card(bench, "heavy-at-an-end")).to_contain_text("Move it")
    expect(bench.locator(".frame > header")).to_be_hidden()
    expect(bench.get_by_test_id("by-place")).to_be_hidden()
    expect(bench.get_by_role("heading", name="limits for calm pond")).to_be_visible()
    bench.evaluate("window.dispatchEvent(new Event('afterprint'))")
    expect(card(bench, "heavy-at-an-end")).not_to_contain_text("Move it")


def test_a_limit_is_moved_and_put_back(bench: Page, server: Server) -> None:
    expect(card(bench, "bow-or-stern-down")).to_have_count(1)
    bench.get_by_test_id("limits").click()
    row = bench.locator('[data-limit="trim"]')
    row.locator("input").first.fill("2")
    row.locator("input").first.press("Tab")
    expect(row.get_by_role("button", name="back to usual")).to_be_visible()
    expect(card(bench, "bow-or-stern-down")).to_have_count(0)
    row.get_by_role("button", name="back to usual").click()
    expect(row.get_by_role("button", name="back to usual")).to_have_count(0)
    expect(card(bench, "bow-or-stern-down")).to_have_count(1)
    row.locator("input").first.fill("wide")
    row.locator("input").first.press("Tab")
    expect(bench.get_by_role("alert")).to_contain_text("cannot be read")
    bench.get_by_text("open water", exact=True).click()
    expect(card(bench, "no-spare-paddle")).to_have_count(1)


def test_everything_is_arranged_shown_and_applied(bench: Page, server: Server) -> None:
    bench.get_by_test_id("arrange").click()
    expect(bench.get_by_test_id("arrange-status")).to_have_text("done")
    expect(bench.get_by_test_id("arrange-lines").locator("li")).to_have_count(5)
    bench.get_by_test_id("arrange-preview").click()
    expect(bench.locator(".plan .ghost").first).to_be_visible()
    expect(bench.get_by_test_id("count-stop")).to_contain_text("1→0")
    bench.keyboard.press("Escape")
    bench.get_by_test_id("arrange").click()
    expect(bench.get_by_test_id("arrange-status")).to_have_text("done")
    bench.get_by_test_id("arrange-apply").click()
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", re.compile("Try: Arrange"))
    assert count(bench, "stop") == 0


def test_arranging_can_be_stopped(bench: Page, server: Server) -> None:
    def slow(route: Any) -> None:
        """The answer never comes: as on a slow machine."""

    bench.route("**/arrange?*", slow)
    bench.get_by_test_id("arrange").click()
    bench.get_by_test_id("arrange-stop").click()
    expect(bench.get_by_test_id("arrange-status")).to_have_text("stopped")
    expect(bench.get_by_test_id("arrange-apply")).to_be_disabled()
    bench.unroute("**/arrange?*")


def test_before_and_after_are_compared(bench: Page, server: Server) -> None:
    assert follow(bench) == "Undo: Try: Put on PFD"
    bench.get_by_role("link", name="Ashore").click()
    bench.get_by_role("link", name="Compare").click()
    table = bench.get_by_test_id("compare-figures")
    expect(table.locator('[data-figure="No-go"]')).to_contain_text("-1")
    expect(bench.get_by_test_id("compare-findings")).to_contain_text("PFD: aboard, but not worn")
    bench.get_by_test_id("side-1").select_option(label="Bare Reed Lake · Marnok 12")
    expect(table.locator('[data-figure="Carried"]')).to_contain_text("-23.3")
    bench.get_by_test_id("add-side").click()
    expect(table.locator("thead th")).to_have_count(4)
    bench.get_by_test_id("units").click()
    expect(table.locator('[data-figure="Carried"]')).to_contain_text("lb")


def test_a_question_that_waits_says_how_many_are_before_it(bench: Page, server: Server) -> None:
    """The line before it is made here; the words, and hanging up by the next question, are ours."""
    bench.route("**/advice?*", lambda route: None)  # never answered
    bench.route("**/questions/*", lambda route: route.fulfill(json={"ahead": 2}))
    bench.get_by_test_id("whole-boat").click()
    expect(bench.get_by_text("waiting: 2 ahead of this")).to_be_visible()
    bench.locator('.plan [data-thing="9"]').focus()
    with bench.expect_event("requestfailed", lambda one: "/advice?" in one.url):
        bench.keyboard.press("ArrowRight")  # what changes the boat drops the question
    expect(bench.get_by_text("waiting: 2 ahead of this")).to_have_count(0)


def test_the_best_move_for_the_whole_boat(bench: Page, server: Server) -> None:
    bench.get_by_test_id("whole-boat").click()
    expect(bench.get_by_test_id("suggestion-0")).to_be_visible()
    bench.get_by_test_id("apply").click()
    saved(bench)
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", re.compile("^Undo: Try: "))


@pytest.mark.parametrize("width", [1280, 390])
def test_findings_stay_inside_the_screen(bench: Page, server: Server, width: int) -> None:
    bench.set_viewport_size({"width": width, "height": 800})
    panel = bench.get_by_test_id("findings")
    panel.scroll_into_view_if_needed()
    wide = panel.evaluate("""one => [...one.querySelectorAll('*')].filter((e) => {
        const box = e.getBoundingClientRect()
        return box.width > 1 && box.right > window.innerWidth + 0.5
    }).map((e) => e.className)""")
    assert wide == []
