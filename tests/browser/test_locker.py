"""The locker and setups: by keyboard and mouse, tables in and out, two people on one setup."""

import json
import re
from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page, expect
from tests.browser.asking import fetched
from tests.servers import Server


@pytest.fixture
def gear(watched: Page, server: Server) -> Page:
    """The locker of the demo."""
    watched.goto(f"{server.url}/gear")
    return watched


def row(page: Page, name: str) -> Locator:
    """A row of the table, by the field that holds its name."""
    return page.get_by_role("row").filter(has=page.get_by_label(f"Select {name}", exact=True))


def setups(page: Page) -> None:
    """Open the list of setups."""
    page.get_by_test_id("setup").click()
    page.get_by_test_id("all-setups").click()


def test_weights_are_typed_down_the_column_by_keyboard(gear: Page) -> None:
    first = gear.locator('[data-cell="mass"]').first
    first.focus()
    first.fill("3.1")
    first.press("Enter")
    expect(gear.locator('[data-cell="mass"]').nth(1)).to_be_focused()
    expect(gear.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change 7-inch screen")
    gear.keyboard.press("ArrowUp")
    expect(first).to_be_focused()
    expect(first).to_have_value("3.10")


def test_a_weight_that_cannot_be_read_is_marked_and_nothing_changes(gear: Page) -> None:
    cell = gear.get_by_label("Weight of Seat", exact=True)
    cell.fill("heavy")
    cell.press("Tab")
    expect(cell).to_have_attribute("aria-invalid", "true")
    expect(gear.get_by_test_id("undo")).to_be_disabled()


def test_picked_things_are_changed_and_multiplied_as_one_step(gear: Page) -> None:
    gear.get_by_label("Select Tackle tray", exact=True).check()
    gear.get_by_label("Select Drift sock", exact=True).check()
    gear.get_by_test_id("bulk-fixed").select_option("bungee")
    expect(gear.get_by_label("What Tackle tray is mounted with")).to_have_text("bungee")
    expect(gear.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change 2 items")
    gear.get_by_label("Select Drift sock", exact=True).uncheck()
    gear.get_by_label("copies").fill("6")
    gear.get_by_test_id("multiply").click()
    expect(row(gear, "Tackle tray 6")).to_be_visible()
    gear.get_by_test_id("undo").click()
    expect(row(gear, "Tackle tray 6")).to_have_count(0)


def test_filters_and_sorting_find_what_is_looked_for(gear: Page) -> None:
    gear.get_by_test_id("only").click()
    gear.get_by_role("option", name="guessed").click()
    expect(gear.locator("[data-gear]")).to_have_count(4)
    gear.get_by_role("button", name="Weight, kg").click()
    expect(gear.locator("[data-cell='name']").first).to_have_value("Full bait tank")


def test_a_generic_thing_is_copied_in_as_a_guess_and_weighed_by_the_scale(gear: Page) -> None:
    gear.get_by_test_id("gear-catalog").click()
    gear.get_by_label("Find in the catalogue").fill("gaff")
    gear.get_by_test_id("catalog").get_by_role("button", name="Copy").click()
    gear.keyboard.press("Escape")
    expect(gear.get_by_label("Where the weight of Gaff comes from")).to_have_text("guess")
    gear.get_by_label("All of Gaff").click()
    gear.get_by_test_id("box-take").click()
    expect(gear.get_by_test_id("thing-mass")).to_have_value(re.compile(r"^15\.\d\d$"))
    gear.get_by_test_id("save-thing").click()
    expect(gear.get_by_label("Where the weight of Gaff comes from")).to_have_text("weighed")


def test_an_item_is_saved_with_all_that_was_typed_or_not_at_all_and_says_why(gear: Page) -> None:
    gear.get_by_label("All of 7-inch screen").click()
    dialog, mass = gear.get_by_role("dialog"), gear.get_by_test_id("thing-mass")
    mass.fill("light")
    gear.get_by_test_id("save-thing").click()
    expect(mass).to_be_focused()
    expect(dialog).to_contain_text("“light” cannot be read")
    mass.fill("1.5")
    dialog.get_by_label("Converter gives, %").fill("500")
    gear.get_by_test_id("save-thing").click()
    expect(dialog.get_by_role("alert")).to_have_text(
        "Efficiency of its converter: must be 100 % or less"
    )
    expect(gear.get_by_test_id("undo")).to_be_disabled()
    dialog.get_by_label("Converter gives, %").fill("90")
    gear.get_by_test_id("save-thing").click()
    expect(dialog).to_be_hidden()
    expect(gear.get_by_label("Weight of 7-inch screen", exact=True)).to_have_value("1.50")


def test_a_table_with_two_bad_rows_shows_them_before_anything_changes(
    gear: Page, tmp_path: Path
) -> None:
    table = tmp_path / "gear.csv"
    table.write_text("name,mass_lb\nPump,1.5\nBucket,much\nNet 2,2\n,1\n")
    gear.get_by_test_id("gear-import").click()
    gear.get_by_test_id("gear-file").set_input_files(table)
    expect(gear.get_by_test_id("import-sum")).to_contain_text("2 new, 0 changed")
    expect(gear.get_by_role("dialog")).to_contain_text("'much' cannot be read")
    expect(gear.get_by_test_id("undo")).to_be_disabled()
    gear.get_by_test_id("take-good").click()
    expect(gear.get_by_label("Weight of Pump", exact=True)).to_have_value("0.68")
    expect(gear.get_by_test_id("undo")).to_have_attribute("title", "Undo: Import 2 items")


def test_a_setup_file_goes_out_and_comes_in_with_equal_figures(bench: Page, tmp_path: Path) -> None:
    figures = [bench.get_by_test_id(name).inner_text() for name in ("weight", "trim", "gm")]
    setups(bench)
    with bench.expect_download() as download:
        bench.get_by_test_id("setup-export").click()
    file = tmp_path / download.value.suggested_filename
    download.value.save_as(file)
    assert json.loads(file.read_text())["format"] == "neat-hull/setup"
    bench.get_by_test_id("setup-file").set_input_files(file)
    expect(bench.get_by_test_id("setup-plan")).to_contain_text(
        "You have 23 items of it already; new: 0"
    )
    bench.get_by_test_id("setup-take").click()
    expect(bench.get_by_role("status")).to_contain_text("Imported")
    expect(bench.get_by_test_id("setups").get_by_text("Reed Lake dawn")).to_have_count(2)
    bench.keyboard.press("Escape")
    assert [bench.get_by_test_id(n).inner_text() for n in ("weight", "trim", "gm")] == figures


def test_a_broken_file_is_told_and_changes_nothing(bench: Page, tmp_path: Path) -> None:
    file = tmp_path / "broken.json"
    file.write_text('{"format": "neat-hull/setup", "version": 9}')
    setups(bench)
    bench.get_by_test_id("setup-file").set_input_files(file)
    expect(bench.get_by_role("alert")).to_contain_text(
        "reads versions 1 and 2, but the file says 9"
    )
    expect(bench.get_by_test_id("setup-plan")).to_have_count(0)


def test_a_setup_is_copied_and_moved_to_another_boat(bench: Page) -> None:
    setups(bench)
    bench.get_by_test_id("setup-name").fill("Dusk")
    bench.get_by_test_id("setup-copy").click()
    expect(bench.get_by_test_id("setup")).to_contain_text("Dusk")
    bench.get_by_test_id("setup-onto").select_option(label="Tarn 10 (Pond, after work)")
    bench.get_by_test_id("setup-move").click()
    expect(bench.get_by_test_id("setup")).to_contain_text("Tarn 10")
    expect(bench.get_by_role("status")).to_contain_text("Moved")


def test_the_history_is_browsed_and_gone_back_to(bench: Page) -> None:
    before = bench.get_by_test_id("weight").inner_text()
    for thing in (18, 19):
        bench.locator(f'[data-shelf="{thing}"]').focus()
        bench.keyboard.press("Enter")
        expect(bench.locator(f'[data-aboard="{thing}"]')).to_be_visible()
    bench.get_by_test_id("open-history").click()
    expect(bench.get_by_test_id("history").get_by_role("listitem")).to_have_count(3)
    bench.get_by_test_id("history-start").click()
    expect(bench.get_by_test_id("weight")).to_have_text(before)
    bench.get_by_test_id("history").get_by_text("Put aboard: Drift sock").click()
    expect(bench.locator('[data-aboard="19"]')).to_be_visible()


def test_two_people_on_one_locker_both_keep_what_they_typed(gear: Page, server: Server) -> None:
    other = gear.context.new_page()
    other.goto(f"{server.url}/gear")
    other.get_by_label("Weight of Seat", exact=True).fill("4")
    other.get_by_label("Weight of Seat", exact=True).press("Tab")
    expect(other.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change Seat")
    gear.get_by_label("Weight of Rudder", exact=True).fill("2")
    gear.get_by_label("Weight of Rudder", exact=True).press("Tab")
    expect(gear.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change Rudder")
    expect(gear.get_by_test_id("banner")).to_have_count(0)
    expect(gear.get_by_label("Weight of Rudder", exact=True)).to_have_value("2.00")
    expect(gear.get_by_label("Weight of Seat", exact=True)).to_have_value("4.00")
    other.close()


def test_the_wall_sheet_is_a_pdf_and_the_deck_plan_an_svg(bench: Page, server: Server) -> None:
    for name, kind, start in (
        ("sheet.pdf?units=imperial&paper=letter", "application/pdf", b"%PDF"),
        ("deck.svg", "image/svg+xml", b"<svg"),
    ):
        told, content = fetched(server, f"/api/v1/setups/1/{name}")
        assert told == kind
        assert content.startswith(start)


def test_gear_is_grouped_and_its_columns_are_chosen(bench: Page, server: Server) -> None:
    bench.goto(f"{server.url}/gear")
    bench.get_by_test_id("gear-groups").click()
    bench.get_by_role("option", name="by place").click()
    heads = bench.locator("tr.group th")
    expect(heads.first).to_contain_text("Foredeck 2 items · 3.2\u00a0kg")
    expect(heads.last).to_contain_text("Ashore")
    expect(bench.get_by_role("columnheader", name="Price")).to_be_visible()
    bench.get_by_test_id("gear-columns").click()
    bench.locator(".columns").get_by_text("Price").click()
    expect(bench.get_by_role("columnheader", name="Price")).to_have_count(0)
    expect(bench.get_by_test_id("all-weight")).to_be_visible()
    bench.reload()
    expect(heads.first).to_contain_text("Foredeck")
    expect(bench.get_by_role("columnheader", name="Price")).to_have_count(0)


def test_a_cell_becomes_a_list_when_it_is_pressed_and_the_keyboard_chooses(
    bench: Page, server: Server
) -> None:
    bench.goto(f"{server.url}/gear")
    cell = bench.get_by_role("button", name="How often Rudder is used: ashore")
    cell.focus()
    bench.keyboard.press("ArrowDown")
    expect(bench.get_by_role("option", name="hourly").last).to_be_visible()
    bench.get_by_role("option", name="hourly").last.click()
    now = bench.get_by_role("button", name="How often Rudder is used: hourly")
    expect(now).to_be_focused()
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", re.compile("Rudder"))
