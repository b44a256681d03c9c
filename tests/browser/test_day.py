"""A day as a person plans it: ice and catch, the worst hour, and the way out of it."""

from playwright.sync_api import Page, Request, Route, expect
from tests.browser.arriving import saved
from tests.browser.starting import start_boat
from tests.servers import Server


def opened(page: Page, server: Server) -> None:
    """The demo's day."""
    page.goto(f"{server.url}/day")
    expect(page.get_by_test_id("day-charts")).to_be_visible()


def test_the_worst_hour_is_found_told_and_led_to_from_the_bench(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/bench")
    chip = watched.get_by_test_id("worst-chip")
    expect(chip).to_have_text("worst at 12:00")
    chip.click()
    expect(watched.get_by_test_id("worst-h")).to_have_text("12:00")
    expect(watched.get_by_test_id("hour-told")).to_contain_text("12:00")
    ribbon = watched.get_by_test_id("ribbon")
    ribbon.focus()
    watched.keyboard.press("PageDown")
    expect(watched.get_by_test_id("hour-told")).to_contain_text("11:00")
    box = ribbon.bounding_box()
    assert box is not None
    watched.mouse.click(box["x"] + 60, box["y"] + 34)
    expect(watched.get_by_test_id("hour-told")).to_contain_text("6:")
    watched.get_by_role("button", name="worst at 12:00").click()
    expect(watched.get_by_test_id("how-rows")).to_contain_text("of the way from fine to fix")


def test_ice_that_is_gone_early_is_a_finding_until_its_walls_are_thick(
    watched: Page, server: Server
) -> None:
    opened(watched, server)
    watched.get_by_test_id("store-walls-ice").select_option("soft bag")
    expect(watched.get_by_text("Ice gone at")).to_be_visible()
    saved(watched)
    watched.get_by_test_id("store-walls-ice").select_option("thick box")
    expect(watched.get_by_text("Ice gone at")).to_have_count(0)
    saved(watched)
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_text("Ice gone at")).to_be_visible()


def test_a_day_is_planned_from_nothing_and_kept(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/bench")
    start_boat(watched, "Morning")
    expect(watched.get_by_test_id("worst-chip")).to_have_count(0)
    watched.goto(f"{server.url}/day")
    asked: list[str] = []

    def note(request: Request) -> None:
        if request.method != "GET":
            asked.append(request.method)

    watched.on("request", note)
    watched.get_by_test_id("start-day").click()
    expect(watched.get_by_test_id("day-charts")).to_be_visible()
    saved(watched)
    # The hours are asked for once the server has the day: before, there is none to work out.
    watched.remove_listener("request", note)
    assert asked == ["PATCH", "POST"]
    watched.get_by_test_id("phase-hours-2").fill("4.5")
    watched.get_by_test_id("phase-hours-2").press("Enter")
    saved(watched)
    watched.get_by_test_id("add-store").select_option("")  # nothing is nothing
    watched.get_by_test_id("add-store").select_option("catch")
    expect(watched.get_by_test_id("stores")).to_contain_text("catch")
    saved(watched)
    watched.get_by_test_id("start-h").fill("09:15")
    watched.get_by_test_id("start-h").press("Tab")
    saved(watched)
    watched.reload()
    expect(watched.get_by_test_id("start-h")).to_have_value("09:15")
    expect(watched.get_by_test_id("phase-hours-2")).to_have_value("4.50")
    expect(watched.get_by_test_id("ribbon")).to_have_attribute("aria-valuemin", "9.25")


def test_the_day_is_read_and_changed_on_a_phone(watched: Page, server: Server) -> None:
    watched.set_viewport_size({"width": 390, "height": 844})
    opened(watched, server)
    watched.get_by_label("Delete catch").click()
    expect(watched.get_by_test_id("stores")).not_to_contain_text("catch")
    watched.get_by_label("Delete phase 4").click()
    expect(watched.get_by_test_id("phase-kind-3")).to_have_value("back")


def test_a_day_that_takes_long_says_how_far_it_is_and_can_be_stopped(
    watched: Page, server: Server
) -> None:
    held: list[Route] = []

    def hold(route: Route) -> None:
        held.append(route)

    watched.route("**/day/rounds", hold)
    watched.goto(f"{server.url}/day")
    progress = watched.get_by_test_id("day-progress")
    expect(progress).to_be_visible()
    progress.get_by_role("button", name="Stop").click()
    expect(progress).to_have_count(0)
    expect(watched.get_by_text("Stopped:")).to_be_visible()
    watched.unroute("**/day/rounds", hold)
    watched.get_by_role("button", name="Go on").click()
    expect(watched.get_by_test_id("day-charts")).to_be_visible()
    expect(watched.get_by_text("Stopped:")).to_have_count(0)
