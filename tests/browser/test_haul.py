"""The road as a person walks it: a lift made light, the axle moved, ticks in the garage."""

from playwright.sync_api import Page, Route, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask
from tests.browser.test_edits import until
from tests.browser.test_glide import figure
from tests.servers import Server

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
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/bench")
    watched.get_by_role("link", name="Ashore").click()
    watched.get_by_role("link", name="Haul").click()
    expect(watched.get_by_test_id("lift-scene")).to_be_visible()
    bare = figure(watched, "bare-kg")
    for thing in (DRIVE, CRATE):
        leaves(watched, thing, "stays")
    expect(watched.get_by_text("Lifting the stern:")).to_be_visible()
    heavy = figure(watched, "lift-each")
    assert heavy > 0.8 * 23
    for thing in (DRIVE, CRATE):
        leaves(watched, thing, "off")
    expect(watched.get_by_text("Lifting the stern:")).to_have_count(0)
    assert figure(watched, "lift-each") < heavy
    expect(watched.get_by_test_id("bare-kg")).to_have_text(f"{bare:.1f} kg")
    watched.get_by_test_id("undo").click()
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id("lift-each")).to_have_text(f"{heavy:.1f} kg")


def test_the_axle_is_moved_by_hand_key_and_number_until_the_hand_carries_five_kilos(
    watched: Page, server: Server
) -> None:
    on_land(watched, server)
    axle = watched.get_by_test_id("axle")
    axle.focus()
    watched.keyboard.press("ArrowLeft")
    expect(watched.get_by_test_id("hand-bears")).not_to_have_text("50 N")
    saved(watched)
    by_key = figure(watched, "hand-bears")
    axle.scroll_into_view_if_needed()
    box = axle.bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    watched.mouse.move(x, y)
    watched.mouse.down()
    watched.mouse.move(x + 30, y, steps=5)
    watched.mouse.up()
    expect(watched.get_by_test_id("hand-bears")).not_to_have_text(f"{by_key:g} N")
    saved(watched)
    hand = watched.get_by_test_id("hand-n")
    hand.fill("49")
    hand.press("Enter")
    expect(watched.get_by_test_id("hand-bears")).to_have_text("49 N")
    watched.reload()
    expect(watched.get_by_test_id("hand-bears")).to_have_text("49 N")


def test_a_boat_dragged_on_its_bars_loads_one_of_them(watched: Page, server: Server) -> None:
    on_land(watched, server)
    expect(watched.get_by_test_id("bars-share")).to_contain_text("one bar 56 %")
    watched.get_by_test_id("boat-on-bars").focus()
    for _ in range(3):
        watched.keyboard.press("ArrowRight")
        saved(watched)
    expect(watched.get_by_test_id("bars-share")).not_to_contain_text("one bar 56 %")
    watched.get_by_role("button", name="weight between the bars").click()
    expect(watched.get_by_test_id("bars-share")).to_contain_text("one bar 56 %")


def test_a_bed_a_trailer_and_nothing_are_shown_and_sand_asks_for_other_wheels(
    watched: Page, server: Server
) -> None:
    on_land(watched, server)
    watched.get_by_text("Truck bed", exact=True).click()
    expect(watched.get_by_test_id("bed-scene")).to_be_visible()
    watched.get_by_text("Trailer", exact=True).click()
    expect(watched.get_by_test_id("bars-scene")).to_be_visible()
    expect(watched.get_by_test_id("slide-chart")).to_have_count(0)
    watched.get_by_text("Nothing", exact=True).click()
    expect(watched.get_by_text("Say at the right what it rides on.")).to_be_visible()
    watched.get_by_test_id("ground-1").select_option("dry sand")
    expect(watched.get_by_text("On its cart over dry sand")).to_be_visible()
    watched.get_by_test_id("wheels").select_option("balloon")
    expect(watched.get_by_text("Wheels on dry sand")).to_have_count(0)
    watched.get_by_role("button", name="On its cart", exact=True).click()
    expect(watched.get_by_test_id("how-rows")).to_contain_text("rolling over load")


def test_ticks_in_the_garage_outlast_a_dead_spot(watched: Page, server: Server) -> None:
    watched.set_viewport_size({"width": 390, "height": 844})
    on_land(watched, server)
    left = watched.get_by_test_id("off-left")
    expect(left).to_have_text("17 of 17 still on")
    watched.get_by_label("Pedal drive is off").check()
    expect(left).to_have_text("16 of 17 still on")

    def dead(route: Route) -> None:
        route.abort("internetdisconnected")

    watched.route("**/ticks", dead)
    watched.get_by_label("Tackle crate is off").check()
    expect(left).to_have_text("15 of 17 still on")
    watched.unroute("**/ticks")
    watched.reload()
    expect(watched.get_by_test_id("off-left")).to_have_text("15 of 17 still on")
    watched.get_by_label("Seat is off").check()
    until(watched, lambda: len(ask(server, "setups/1/ticks")["done"].get("off", [])) == 3)
    watched.evaluate("localStorage.removeItem('neat-hull-ticks')")
    watched.reload()
    expect(watched.get_by_test_id("off-left")).to_have_text("14 of 17 still on")
    watched.get_by_role("button", name="clear ticks").click()
    expect(watched.get_by_test_id("off-left")).to_have_text("17 of 17 still on")
