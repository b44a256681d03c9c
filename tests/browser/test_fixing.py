"""Fixing as a person walks it: a screen that wobbles, a hole no hand reaches, no drilling, a
template, the plan ticked off."""

import pytest
from playwright.sync_api import Locator, Page, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask, fetched
from tests.servers import Server


@pytest.fixture
def screen(watched: Page, server: Server) -> Page:
    """The Fixing screen, with a 9-inch screen on its arm out on the fore deck, undescribed yet."""
    state = ask(server, "setups/1")
    thing = {
        "name": "9-inch screen", "shape": "box", "mass_kg": 1.8, "evidence": "weighed",
        "length_m": 0.10, "width_m": 0.26, "height_m": 0.30, "offset_z_m": 0.05,
        "fixing": {"by": "plate"}, "picture": "screen",
    }  # fmt: skip
    body = {"revision": state["revision"], "thing": thing}
    state = ask(server, "setups/1/things", "POST", body)
    new = max(int(key) for key in state["setup"]["things"])
    place = {"x_m": 2.75, "y_m": 0.0, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0}
    body = {"revision": state["revision"], "place": place}
    ask(server, f"setups/1/places/{new}", "PUT", body)
    watched.goto(f"{server.url}/fixing")
    row(watched).get_by_role("button").click()
    expect(watched.get_by_test_id("mount-card")).to_contain_text("9-inch screen")
    return watched


def row(page: Page) -> Locator:
    """The screen's row among the mounts."""
    return page.get_by_test_id("mounts").locator("tr", has_text="9-inch screen")


def set_mount(page: Page, by: str, count: str) -> None:
    """By what, and how many."""
    page.get_by_test_id("mount-by").select_option(value=by)
    saved(page)
    page.get_by_test_id("mount-count").select_option(value=count)
    saved(page)


def wrong(page: Page, words: str) -> Locator:
    """A line of what is wrong."""
    return page.locator(".found li", has_text=words)


def close(page: Page) -> None:
    """Back to what is wrong."""
    page.get_by_role("button", name="Close").click()


def test_a_screen_on_one_bolt_wobbles_and_two_with_a_plate_cure_it(screen: Page) -> None:
    set_mount(screen, "through bolt", "1")
    length = screen.get_by_test_id("mount-length")
    length.fill("6")
    length.press("Tab")
    saved(screen)
    close(screen)
    expect(wrong(screen, "9-inch screen: ")).not_to_have_count(0)
    expect(wrong(screen, "of wobble")).to_be_visible()
    wrong(screen, "of wobble").get_by_role("button").click()
    card = screen.get_by_test_id("mount-card")
    card.get_by_text("Two bolts, on a base").locator("..").get_by_role("button").click()
    saved(screen)
    expect(screen.get_by_test_id("mount-count")).to_have_value("2")
    screen.get_by_test_id("mount-plate").check()
    saved(screen)
    close(screen)
    expect(wrong(screen, "of wobble")).to_have_count(0)
    screen.get_by_test_id("undo").click()
    expect(wrong(screen, "of wobble")).to_be_visible()


def test_no_hand_behind_a_hole_is_told_and_rivet_nuts_need_none(
    screen: Page, server: Server
) -> None:
    screen.locator('[data-row="6"] button').click()  # the 7-inch screen, far aft of the bow hatch
    screen.get_by_test_id("mount-by").select_option(value="through bolt")
    saved(screen)
    close(screen)
    expect(wrong(screen, "no hand gets a nut behind it")).not_to_have_count(0)
    screen.get_by_text("Holes", exact=True).first.click()
    expect(screen.get_by_test_id("holes")).to_contain_text("short")
    screen.goto(f"{server.url}/fixing")
    screen.locator('[data-row="6"] button').click()
    screen.get_by_test_id("mount-by").select_option(value="rivet nut")
    saved(screen)
    close(screen)
    expect(wrong(screen, "no hand gets a nut behind it")).to_have_count(0)


def test_without_drilling_the_ways_out_are_followed(screen: Page, server: Server) -> None:
    screen.get_by_test_id("no-drill").check()
    saved(screen)
    close(screen)
    expect(wrong(screen, "7-inch screen: needs 2 new holes")).to_be_visible()
    screen.goto(f"{server.url}/bench")
    finding = screen.locator('[data-finding^="fixing-no-drill"]')
    finding.locator(".head").click()
    screen.get_by_test_id("try").first.click()
    screen.get_by_test_id("apply").click()
    screen.goto(f"{server.url}/fixing")
    expect(screen.locator(".found h2")).to_be_visible()
    expect(wrong(screen, "new holes")).to_have_count(0)


def test_a_template_is_printed_one_to_one(screen: Page, server: Server) -> None:
    set_mount(screen, "through bolt", "4")
    link = screen.get_by_test_id("template-pdf").get_attribute("href")
    assert link is not None
    kind, template = fetched(server, link)
    assert kind == "application/pdf"
    assert template.startswith(b"%PDF")
    assert b"Measure this square first" in template


def test_the_plan_is_ticked_off_and_kept(screen: Page, server: Server) -> None:
    screen.get_by_test_id("to-work").click()
    steps = screen.get_by_test_id("work-steps")
    drill = screen.locator('[data-step="drill:6"]')
    drill.focus()
    screen.keyboard.press("Space")
    saved(screen)
    screen.reload()
    expect(drill).to_be_checked()
    expect(steps.locator("li", has=drill)).to_contain_text("done 20")
    expect(steps.locator("li").last).to_contain_text("Hose it down")
    pdf = screen.get_by_test_id("work-pdf").get_attribute("href")
    assert pdf is not None
    assert fetched(server, pdf)[1].startswith(b"%PDF")
