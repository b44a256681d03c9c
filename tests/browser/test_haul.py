"""The road as a person walks it: a lift made light, the axle moved, ticks in the garage."""

import pytest
from playwright.sync_api import Page, Route, expect
from tests.browser.asking import ask
from tests.browser.test_edits import until
from tests.browser.test_fixing import saved
from tests.browser.test_glide import figure
from tests.servers import Server

pytestmark = pytest.mark.elsewhere

DRIVE, CRATE = 2, 9


def on_land(page: Page, server: Server) -> None:
    """The screen, once it has its answer."""
    page.goto(f"{server.url}/haul")
    expect(page.get_by_test_id("lift-scene")).to_be_visible()


def leaves(page: Page, thing_id: int, what: str) -> None:
    """Say what becomes of a thing."""
    page.get_by_test_id(f"leaves-{thing_id}").select_option(what)
    saved(page)


def test_a_lift_over_the_limit_comes_under_it_with_drive_and_crate_off(
    bench: Page, server: Server
) -> None:
    bench.goto(f"{server.url}/bench")
    bench.get_by_role("link", name="Ashore").click()
    bench.get_by_role("link", name="Haul").click()
    expect(bench.get_by_test_id("lift-scene")).to_be_visible()
    bare = figure(bench, "bare-kg")
    for thing in (DRIVE, CRATE):
        leaves(bench, thing, "stays")
    expect(bench.get_by_text("Lifting the stern:")).to_be_visible()
    heavy = figure(bench, "lift-each")
    assert heavy > 0.8 * 23
    for thing in (DRIVE, CRATE):
        leaves(bench, thing, "off")
    expect(bench.get_by_text("Lifting the stern:")).to_have_count(0)
    assert figure(bench, "lift-each") < heavy
    expect(bench.get_by_test_id("bare-kg")).to_have_text(f"{bare:.1f} kg")
    bench.get_by_test_id("undo").click()
    bench.get_by_test_id("undo").click()
    expect(bench.get_by_test_id("lift-each")).to_have_text(f"{heavy:.1f} kg")


def test_the_axle_is_moved_by_hand_key_and_number_until_the_hand_carries_five_kilos(
    bench: Page, server: Server
) -> None:
    on_land(bench, server)
    axle = bench.get_by_test_id("axle")
    axle.focus()
    bench.keyboard.press("ArrowLeft")
    expect(bench.get_by_test_id("hand-bears")).not_to_have_text("50 N")
    saved(bench)
    by_key = figure(bench, "hand-bears")
    axle.scroll_into_view_if_needed()
    box = axle.bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    bench.mouse.move(x, y)
    bench.mouse.down()
    bench.mouse.move(x + 30, y, steps=5)
    bench.mouse.up()
    expect(bench.get_by_test_id("hand-bears")).not_to_have_text(f"{by_key:g} N")
    saved(bench)
    hand = bench.get_by_test_id("hand-n")
    hand.fill("49")
    hand.press("Enter")
    expect(bench.get_by_test_id("hand-bears")).to_have_text("49 N")
    bench.reload()
    expect(bench.get_by_test_id("hand-bears")).to_have_text("49 N")


def test_a_boat_dragged_on_its_bars_loads_one_of_them(bench: Page, server: Server) -> None:
    on_land(bench, server)
    expect(bench.get_by_test_id("bars-share")).to_contain_text("one bar 56 %")
    bench.get_by_test_id("boat-on-bars").focus()
    for _ in range(3):
        bench.keyboard.press("ArrowRight")
        saved(bench)
    expect(bench.get_by_test_id("bars-share")).not_to_contain_text("one bar 56 %")
    bench.get_by_role("button", name="weight between the bars").click()
    expect(bench.get_by_test_id("bars-share")).to_contain_text("one bar 56 %")


def test_a_bed_a_trailer_and_nothing_are_shown_and_sand_asks_for_other_wheels(
    bench: Page, server: Server
) -> None:
    on_land(bench, server)
    bench.get_by_text("Truck bed", exact=True).click()
    expect(bench.get_by_test_id("bed-scene")).to_be_visible()
    bench.get_by_text("Trailer", exact=True).click()
    expect(bench.get_by_test_id("bars-scene")).to_be_visible()
    expect(bench.get_by_test_id("slide-chart")).to_have_count(0)
    bench.get_by_text("Nothing", exact=True).click()
    expect(bench.get_by_text("Say at the right what it rides on.")).to_be_visible()
    bench.get_by_test_id("ground-1").select_option("dry sand")
    expect(bench.get_by_text("On its cart over dry sand")).to_be_visible()
    bench.get_by_test_id("wheels").select_option("balloon")
    expect(bench.get_by_text("Wheels on dry sand")).to_have_count(0)
    bench.get_by_role("button", name="On its cart", exact=True).click()
    expect(bench.get_by_test_id("how-rows")).to_contain_text("rolling over load")


def test_ticks_in_the_garage_outlast_a_dead_spot(bench: Page, server: Server) -> None:
    bench.set_viewport_size({"width": 390, "height": 844})
    on_land(bench, server)
    left = bench.get_by_test_id("off-left")
    expect(left).to_have_text("17 of 17 still on")
    bench.get_by_label("Pedal drive is off").check()
    expect(left).to_have_text("16 of 17 still on")

    def dead(route: Route) -> None:
        route.abort("internetdisconnected")

    bench.route("**/ticks", dead)
    bench.get_by_label("Tackle crate is off").check()
    expect(left).to_have_text("15 of 17 still on")
    bench.unroute("**/ticks")
    bench.reload()
    expect(bench.get_by_test_id("off-left")).to_have_text("15 of 17 still on")
    bench.get_by_label("Seat is off").check()
    until(bench, lambda: len(ask(server, "setups/1/ticks")["done"].get("off", [])) == 3)
    bench.evaluate("localStorage.removeItem('neat-hull-ticks')")
    bench.reload()
    expect(bench.get_by_test_id("off-left")).to_have_text("14 of 17 still on")
    bench.get_by_role("button", name="clear ticks").click()
    expect(bench.get_by_test_id("off-left")).to_have_text("17 of 17 still on")
