"""The angler aboard, as a person uses it: seat, lengths, map, table, rods, clashes, overlays."""

import re

from playwright.sync_api import Page, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask
from tests.browser.test_bench import aboard
from tests.servers import Server

SCREEN, ANCHOR, ROD, HOLDER, SPARE_ROD, FISH_BAG = 6, 12, 7, 22, 10, 11


def number_in(text: str) -> float:
    """The first number of a text."""
    found = re.search(r"-?\d+(\.\d+)?", text)
    assert found is not None, text
    return float(found[0])


def type_in(page: Page, field: str, value: str) -> None:
    """A number into the place editor."""
    page.get_by_test_id(field).fill(value)
    page.get_by_test_id(field).press("Enter")
    saved(page)


def test_raising_the_seat_moves_the_map_and_lowers_gm(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/angler")
    gm = watched.get_by_test_id("angler-gm")
    before = number_in(gm.inner_text())
    zone = watched.locator(".zones path").first
    edge = zone.get_attribute("d") or ""
    watched.locator('[data-handle="seat"]').focus()
    for _ in range(10):
        watched.keyboard.press("ArrowUp")
    expect(watched.get_by_test_id("seat-height")).to_have_value("33.5")
    expect(zone).not_to_have_attribute("d", edge)
    # what is above the hips of 82 kg, and part of the legs, goes up by 10 cm of 156 kg
    expect(gm).to_have_text(re.compile(rf"^{before - 5:.0f}|{before - 4:.0f}"))
    watched.get_by_test_id("save-angler").click()
    expect(watched.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change the angler")


def test_the_seat_is_dragged_on_the_figure(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/angler")
    box = watched.locator('[data-handle="seat"]').bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    watched.mouse.move(x, y)
    watched.mouse.down()
    watched.mouse.move(x, y - 20, steps=4)
    watched.mouse.up()
    height = watched.get_by_test_id("seat-height")
    expect(height).not_to_have_value("23.5")
    assert float(height.input_value()) > 30
    watched.get_by_role("button", name="Back to what is saved").click()
    expect(height).to_have_value("23.5")


def test_measured_lengths_stand_beside_usual_ones_and_one_that_cannot_be_is_told(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/angler")
    watched.get_by_test_id("lengths").locator("summary").click()
    expect(watched.get_by_text("usually 88\u00a0cm")).to_be_visible()
    arm = watched.locator("dd").first
    before = number_in(arm.inner_text())
    field = watched.get_by_test_id("wall_to_fingertip_m")
    field.fill("95")
    field.press("Tab")
    expect(arm).not_to_have_text(f"{before:.1f}\u00a0cm")
    assert number_in(arm.inner_text()) > before + 4
    field.fill("20")
    field.press("Tab")
    expect(watched.get_by_role("alert").first).to_contain_text("lies between 66 cm and 115 cm")
    expect(watched.get_by_test_id("undo")).to_be_disabled()


def test_what_cannot_be_read_keeps_the_angler_from_being_saved_where_it_is_folded_away_too(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/angler")
    lengths, arm = watched.get_by_test_id("lengths"), watched.get_by_test_id("wall_to_fingertip_m")
    lengths.locator("summary").click()
    arm.fill("long")
    arm.press("Tab")
    lengths.locator("summary").click()
    expect(arm).to_be_hidden()
    watched.get_by_test_id("angler-mass").fill("60")
    watched.get_by_test_id("angler-mass").press("Tab")
    watched.get_by_test_id("save-angler").click()
    expect(arm).to_be_focused()
    expect(watched.get_by_test_id("undo")).to_be_disabled()
    arm.fill("90")
    arm.press("Tab")
    watched.get_by_test_id("save-angler").click()
    expect(watched.get_by_test_id("save-angler")).to_be_disabled()
    aboard = ask(server, "setups/1")["setup"]["angler"]
    assert (aboard["mass_kg"], aboard["lengths"]["wall_to_fingertip_m"]) == (60, 0.9)


def test_another_angler_goes_and_the_first_comes_back(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/angler")
    watched.get_by_test_id("new-angler").click()
    expect(watched.get_by_role("heading", level=1)).to_have_text("Angler 2")
    watched.get_by_test_id("angler-mass").fill("60")
    watched.get_by_test_id("angler-mass").press("Tab")
    watched.get_by_test_id("save-angler").click()
    expect(watched.get_by_test_id("save-angler")).to_be_disabled()
    watched.get_by_test_id("who").select_option(label="Ilda Renn")
    expect(watched.get_by_test_id("angler-mass")).to_have_value("82.0")
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id("angler-mass")).to_have_value("60.0")


def test_the_table_begins_with_trouble_and_the_figure_leans_to_what_is_chosen(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/reach")
    table = watched.get_by_test_id("reach-table")
    first = table.locator("tbody tr").first
    expect(first).to_contain_text("PFD")
    expect(first).to_contain_text("emergency")
    expect(first).to_contain_text("twist")
    expect(table).to_contain_text("first open Bow hatch")
    watched.locator(f'[data-reach="{SCREEN}"] button').click()
    expect(watched.get_by_test_id("reaching")).to_contain_text(
        re.compile(r"lean needed, the boat heels \d\.\d° to starboard, \d+ % of the righting")
    )
    # the map is another one at another height
    zone = watched.locator('[data-zone="hand"] .pattern')
    edge = zone.get_attribute("d") or ""
    watched.get_by_role("button", name="shoulder", exact=True).click()
    expect(zone).not_to_have_attribute("d", edge)
    expect(watched.get_by_test_id("rod-table").locator("tbody tr")).to_have_count(3)
    expect(watched.get_by_test_id("park-in")).to_have_text("Port rod holder")


def test_a_cleat_comes_into_the_hand_when_it_is_moved_there(bench: Page) -> None:
    """The anchor is made fast behind the back; beside the seat it is in hand."""
    row = aboard(bench, ANCHOR)
    expect(row.locator(".zone")).to_have_text("no reach")
    row.click()
    type_in(bench, "from-bow", "180")
    type_in(bench, "to-side", "30")
    expect(row.locator(".zone")).to_have_text("hand")


def test_a_holder_is_turned_until_the_butt_clears_the_thigh(bench: Page) -> None:
    aboard(bench, HOLDER).click()
    bench.get_by_test_id("put-on").select_option(label="the bare deck")
    for field, value in (
        ("from-bow", "166"), ("to-side", "28"), ("height", "30"), ("turn", "25"), ("tilt", "10"),
    ):  # fmt: skip
        type_in(bench, field, value)
    aboard(bench, ROD).click()
    type_in(bench, "bury", "50")
    expect(bench.get_by_test_id("clashes")).to_contain_text("your left thigh. ")
    aboard(bench, HOLDER).click()
    expect(bench.get_by_test_id("turn")).to_have_value("25")  # the holder's own, not the rod's
    type_in(bench, "turn", "-40")
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", "Undo: Move Port rod holder")
    aboard(bench, ROD).click()
    expect(bench.get_by_test_id("bury")).to_be_visible()
    # It is in the way of something still, so that there is a list to look for the thigh in.
    expect(bench.get_by_test_id("clashes")).to_contain_text("where you climb back in")
    expect(bench.get_by_test_id("clashes")).not_to_contain_text("the port thigh")


def test_a_clash_is_marked_on_both_things(bench: Page) -> None:
    """The spare rod leans into the fish bag."""
    for one, other in ((SPARE_ROD, "Iced fish bag"), (FISH_BAG, "Spare rod")):
        aboard(bench, one).click()
        expect(bench.get_by_test_id("clashes")).to_contain_text(f"cm into {other}. ")
        expect(bench.locator(f'.plan [data-thing="{one}"]')).to_have_class(re.compile("clashing"))
        aboard(bench, one).click()


def test_overlays_come_and_go_by_their_keys(bench: Page) -> None:
    for key, name in enumerate(
        ("Reach", "Stroke", "Legs", "Cast", "Climb in", "Sight", "Balance"), start=1
    ):
        button = bench.get_by_role("button", name=f"{key} {name}")
        before = button.get_attribute("aria-pressed") or ""
        bench.keyboard.press(str(key))
        expect(button).not_to_have_attribute("aria-pressed", before)
    expect(bench.locator(".plan .envelopes .stroke")).to_have_count(2)


def test_propulsion_changes_what_is_in_the_way(bench: Page, server: Server) -> None:
    count = bench.get_by_test_id("count-fix")
    before = count.inner_text()
    bench.goto(f"{server.url}/boat")
    bench.get_by_test_id("propulsion").select_option("paddle")
    bench.get_by_test_id("save-boat").click()
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change the boat")
    bench.goto(f"{server.url}/bench")
    expect(count).to_be_visible()
    assert count.inner_text() != before
