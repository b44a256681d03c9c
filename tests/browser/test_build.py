"""A whole setup from an empty locker, by keyboard and mouse; and all in pounds and inches."""

import re

import pytest
from playwright.sync_api import Page, expect
from tests.browser.starting import start_boat
from tests.servers import Server


@pytest.mark.real_server
def test_twenty_things_go_aboard_and_five_steps_come_back_after_a_restart(
    bench: Page, server: Server
) -> None:
    """Copied from generic things, boarded by Enter; undone here, redone by another process."""
    start_boat(bench, "Workhorse")
    bench.goto(f"{server.url}/gear")
    bench.get_by_test_id("gear-catalog").click()
    rows = bench.get_by_test_id("catalog").get_by_role("listitem")
    expect(rows.first).to_be_visible()
    names = [row.locator("span").first.inner_text() for row in rows.all()[:20]]
    for i, name in enumerate(names):
        rows.nth(i).get_by_role("button").click()
        # Not by `expect`: that describes the whole page at every look, a fifth of a second each.
        bench.locator(f'[aria-label="Select {name}"]').first.wait_for(state="attached")
    bench.keyboard.press("Escape")
    bench.goto(f"{server.url}/bench")
    count = bench.locator("[data-aboard]")
    for i in range(20):
        shelved = bench.locator("[data-shelf]").last
        shelved.focus()
        bench.keyboard.press("Enter")
        expect(count).to_have_count(i + 1)
        if i < 17:
            continue  # steps to undo are wanted at the end alone
        bench.keyboard.press("Shift+ArrowLeft")
        expect(bench.get_by_test_id("undo")).to_have_attribute("title", re.compile("^Undo: Move"))
    for _ in range(5):
        before = bench.get_by_test_id("undo").get_attribute("title") or ""
        bench.get_by_test_id("undo").click()
        expect(bench.get_by_test_id("undo")).not_to_have_attribute("title", before)
    expect(count).to_have_count(18)
    trim = bench.get_by_test_id("trim").inner_text()

    server.stop()
    server.start()
    bench.reload()
    expect(bench.get_by_test_id("setup")).to_contain_text("Workhorse")  # where one was
    expect(bench.get_by_test_id("trim")).to_have_text(trim)
    for _ in range(5):
        before = bench.get_by_test_id("redo").get_attribute("title") or ""
        bench.get_by_test_id("redo").click()
        expect(bench.get_by_test_id("redo")).not_to_have_attribute("title", before)
    expect(count).to_have_count(20)


def test_everything_afloat_is_in_pounds_and_inches_when_asked(bench: Page, server: Server) -> None:
    bench.get_by_test_id("units").click()
    bench.goto(f"{server.url}/afloat")
    expect(bench.locator('[data-demand="land"]')).to_contain_text("6.6\u00a0lb lifted")
    terms = bench.get_by_label("Hydrostatics").inner_text()
    assert not re.search(r"\d (kg|cm|L|J)\b", terms)
    assert re.search(r"\d.lb\b", terms)
    assert re.search(r"\d.in\b", terms)
    expect(bench.get_by_label("Righting curve")).to_contain_text("Righting lever GZ, in")


def test_a_test_afloat_is_typed_in_feet_and_pounds(bench: Page, server: Server) -> None:
    bench.get_by_test_id("units").click()
    bench.goto(f"{server.url}/boat")
    bench.get_by_text("Tests afloat").click()
    bench.get_by_test_id("tilt-start").click()
    bench.get_by_test_id("tilt-mass").fill("22 lb")
    bench.get_by_test_id("tilt-mass").press("Tab")
    for offset, angle in (("-12", "-4.8"), ("1 ft", "5.1"), ("6", "2.6")):
        bench.get_by_test_id("tilt-offset").fill(offset)
        bench.get_by_test_id("tilt-offset").press("Tab")
        bench.get_by_test_id("tilt-angle").fill(angle)
        bench.get_by_test_id("tilt-angle").press("Tab")
        bench.get_by_test_id("tilt-add").click()
    expect(bench.get_by_test_id("tilt-fit")).to_contain_text(re.compile(r"GM \d+\.\d ±.\d\.\d.in"))
    bench.get_by_role("button", name="Remove reading 3").click()
    expect(bench.get_by_test_id("tilt-readings").get_by_role("row")).to_have_count(2)


def test_a_lost_server_is_told_on_every_screen_and_nothing_is_blank(
    bench: Page, server: Server
) -> None:
    bench.goto(f"{server.url}/afloat")
    expect(bench.get_by_test_id("demands")).to_be_visible()
    bench.route("**/api/v1/**", lambda route: route.abort())
    bench.get_by_test_id("set-numbers").click()
    bench.get_by_test_id("demand-fish_kg").fill("5")
    bench.get_by_test_id("demand-fish_kg").press("Tab")
    expect(bench.get_by_text("The server cannot be reached.")).to_be_visible()
    bench.unroute("**/api/v1/**")
    bench.get_by_test_id("demand-fish_kg").fill("6")
    bench.get_by_test_id("demand-fish_kg").press("Tab")
    expect(bench.locator('[data-demand="land"]')).to_contain_text("6.0\u00a0kg")


def test_a_screen_that_cannot_be_fetched_is_told_and_comes_when_it_can(bench: Page) -> None:
    rig = bench.get_by_role("navigation").get_by_role("link", name="Rig")
    bench.route("**/*", lambda route: route.abort())
    rig.click()
    expect(bench.get_by_test_id("banner")).to_contain_text("The server cannot be reached.")
    expect(bench.get_by_test_id("trim")).to_be_visible()
    bench.unroute("**/*")
    rig.click()
    expect(bench.get_by_role("heading", level=1)).to_have_text("Power")
    expect(bench.get_by_test_id("banner")).to_have_count(0)


def test_where_there_are_other_screens_by_now_the_page_is_asked_for_anew(bench: Page) -> None:
    pages: list[str] = []
    bench.on("request", lambda one: pages.append(one.url) if one.is_navigation_request() else None)
    bench.route(
        "**/assets/**", lambda route: route.continue_() if pages else route.fulfill(status=404)
    )
    bench.get_by_role("navigation").get_by_role("link", name="Rig").click()
    expect(bench.get_by_role("heading", level=1)).to_have_text("Power")
    assert pages == [bench.url]


def test_keys_open_their_help_and_overlays(bench: Page) -> None:
    bench.keyboard.press("?")
    expect(bench.get_by_role("dialog")).to_contain_text("mirror to the other side")
    bench.keyboard.press("Escape")
    names = bench.get_by_role("button", name="4 Cast")
    before = names.get_attribute("aria-pressed")
    bench.keyboard.press("4")
    expect(names).not_to_have_attribute("aria-pressed", before or "")
    bench.keyboard.press("h")
    expect(bench.get_by_test_id("how-band")).to_be_visible()
    bench.keyboard.press("Escape")
    bench.keyboard.press("/")
    expect(bench.get_by_label("Find an item")).to_be_focused()
