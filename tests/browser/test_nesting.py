"""Things on things: nested, slid along a track, mirrored, marked, locked, measured, undone."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect
from tests.browser.test_bench import CRATE, NET, TANK, aboard, drawn, middle, pick_up, shelf
from tests.servers import Server

SCREEN, ROD, HOLDER, TRAY, DRY_BAG = 6, 7, 22, 14, 4


def undone(page: Page) -> Locator:
    """The undo button, which names the last step."""
    return page.get_by_test_id("undo")


def put_on(page: Page, thing: int, where: str) -> None:
    """Place a thing by the list."""
    aboard(page, thing).click()
    page.get_by_test_id("put-on").select_option(label=where)


def test_ten_trays_in_a_crate_a_holder_slid_and_mirrored_and_all_of_it_undone_after_a_restart(
    bench: Page, server: Server
) -> None:
    bench.goto(f"{server.url}/gear")
    bench.get_by_label("Select Tackle tray", exact=True).check()
    bench.get_by_label("copies").fill("10")
    bench.get_by_test_id("multiply").click()
    expect(bench.get_by_label(re.compile(r"^Select Tackle tray"))).to_have_count(10)
    bench.goto(f"{server.url}/bench")
    trays = bench.locator("[data-shelf]").filter(has_text="Tackle tray")
    expect(trays).to_have_count(9)
    for left in range(8, -1, -1):
        trays.first.focus()
        bench.keyboard.press("Enter")
        expect(trays).to_have_count(left)
        expect(bench.get_by_test_id("place-editor")).to_be_visible()
        bench.get_by_test_id("put-on").select_option(label="in Tackle crate")
        expect(undone(bench)).to_have_attribute("title", re.compile("^Undo: Move Tackle tray"))
        expect(bench.get_by_text("Comes out")).to_be_visible()
    put_on(bench, TRAY, "in Tackle crate")
    crate = aboard(bench, CRATE)
    expect(crate).to_contain_text("15.9")  # 6.3 + 0.6 for the spare rod + 10 × 0.9

    # a thing on a track slides along it, and no further than its end
    aboard(bench, HOLDER).click()
    field = bench.get_by_test_id("from-bow")
    rod = drawn(bench, ROD).bounding_box()
    assert rod is not None
    field.fill("90")
    field.press("Enter")
    expect(field).to_have_value("138.5")  # the track ends 2.05 + 0.225 m from the stern
    expect(undone(bench)).to_have_attribute("title", "Undo: Move Port rod holder")
    moved = drawn(bench, ROD).bounding_box()
    assert moved is not None
    assert rod["x"] - moved["x"] > 40  # and its rod went along

    # mirrored: the other track is where it is now, to starboard
    expect(bench.get_by_role("button", name="port", exact=True)).to_be_visible()
    bench.locator(f'[data-aboard="{HOLDER}"]').focus()
    bench.keyboard.press("m")
    expect(bench.get_by_role("button", name="starb.", exact=True)).to_be_visible()
    expect(undone(bench)).to_have_attribute("title", "Undo: Mirror Port rod holder")
    trim = bench.get_by_test_id("trim").inner_text()

    titles = []
    for _ in range(5):
        title = undone(bench).get_attribute("title") or ""
        titles.append(title)
        undone(bench).click()
        expect(undone(bench)).not_to_have_attribute("title", title)
    assert titles[:3] == [
        "Undo: Mirror Port rod holder", "Undo: Move Port rod holder", "Undo: Move Tackle tray",
    ]  # fmt: skip
    expect(crate).to_contain_text("14.1")  # two trays are out again
    server.stop()
    server.start()
    bench.reload()
    for _ in range(5):
        title = bench.get_by_test_id("redo").get_attribute("title") or ""
        bench.get_by_test_id("redo").click()
        expect(bench.get_by_test_id("redo")).not_to_have_attribute("title", title)
    expect(crate).to_contain_text("15.9")
    expect(bench.get_by_test_id("trim")).to_have_text(trim)


def test_a_thing_snaps_where_it_fits_and_says_why_where_it_does_not(bench: Page) -> None:
    aboard(bench, DRY_BAG).click()  # under the hatch it shows once it is looked for
    hatch = middle(drawn(bench, DRY_BAG))
    aboard(bench, DRY_BAG).click()
    pick_up(bench, shelf(bench, TANK))
    bench.mouse.move(*hatch, steps=4)
    said = bench.get_by_role("status").filter(has_text="Bow hatch")
    expect(said).to_contain_text("too wide for the mouth of Bow hatch by 4")
    bag = drawn(bench, 11).bounding_box()  # in the tank well; its fore end is near the middle
    assert bag is not None
    bench.mouse.move(bag["x"], bag["y"] + bag["height"] / 2, steps=4)
    expect(bench.get_by_role("status").filter(has_text="tank well")).to_be_visible()
    bench.mouse.up()
    expect(aboard(bench, TANK)).to_be_visible()
    expect(bench.get_by_test_id("put-on").locator("option:checked")).to_have_text("tank well")


def test_a_crate_takes_its_rod_along_in_the_drag(bench: Page) -> None:
    before = middle(drawn(bench, CRATE))
    rod = drawn(bench, 10).bounding_box()
    assert rod is not None
    bench.mouse.move(before[0] - 20, before[1] + 22)
    bench.mouse.down()
    bench.mouse.move(before[0] + 5, before[1] + 22, steps=5)
    now = drawn(bench, 10).bounding_box()
    assert now is not None
    assert now["x"] - rod["x"] == pytest.approx(25, abs=3)
    bench.keyboard.press("Escape")
    bench.mouse.up()
    expect(undone(bench)).to_be_disabled()


def test_several_are_marked_moved_locked_grouped_and_lined_up_by_keys(bench: Page) -> None:
    aboard(bench, SCREEN).click()
    bench.keyboard.press("l")
    expect(bench.get_by_test_id("from-bow")).to_be_disabled()
    expect(bench.get_by_test_id("locked")).to_be_visible()
    bench.keyboard.press("l")
    expect(bench.get_by_test_id("from-bow")).to_be_enabled()
    bench.keyboard.press("Escape")
    aboard(bench, SCREEN).focus()
    bench.keyboard.press("x")
    aboard(bench, 15).focus()  # the pliers
    bench.keyboard.press("x")
    chosen = bench.get_by_test_id("chosen")
    expect(chosen).to_contain_text("2 selected, 1.6\u00a0kg")
    bench.keyboard.press("Shift+ArrowLeft")
    expect(undone(bench)).to_have_attribute("title", "Undo: Move: 7-inch screen and 1 more")
    bench.keyboard.press("l")
    expect(chosen.get_by_role("button", name="Unlock")).to_be_visible()
    bench.keyboard.press("Shift+ArrowLeft")  # locked: nothing moves
    bench.keyboard.press("l")
    expect(chosen.get_by_role("button", name="Lock", exact=False)).to_be_visible()
    expect(undone(bench)).to_have_attribute("title", "Undo: Unlock: 7-inch screen and 1 more")
    bench.keyboard.press("g")
    expect(chosen.get_by_role("button", name="Ungroup")).to_be_visible()
    bench.keyboard.press("Escape")
    aboard(bench, SCREEN).click()  # one of a group is all of it
    expect(chosen).to_contain_text("2 selected")
    bench.keyboard.press("e")
    expect(bench.locator(".measure text").first).to_have_text(re.compile(r"^\d+\.\d.cm$"))
    bench.get_by_test_id("line-up").select_option("one line")
    expect(undone(bench)).to_have_attribute("title", re.compile("^Undo: Line up"))
    aboard(bench, SCREEN).focus()
    bench.keyboard.press("a")
    expect(shelf(bench, SCREEN)).to_be_visible()
    expect(shelf(bench, 15)).to_be_visible()
    undone(bench).click()
    expect(aboard(bench, SCREEN)).to_be_visible()
    expect(aboard(bench, 15)).to_be_visible()


def test_what_is_marked_together_is_carried_together(bench: Page) -> None:
    """The crate takes its rod along by itself; the fish bag goes as far beside it."""
    for thing in (CRATE, 10, 11):
        aboard(bench, thing).click(modifiers=["Shift"])
    expect(bench.get_by_test_id("chosen")).to_contain_text("3 selected")
    before = [middle(drawn(bench, thing))[0] for thing in (CRATE, 10, 11)]
    x, y = middle(drawn(bench, CRATE))
    bench.mouse.move(x - 20, y + 20)
    bench.mouse.down()
    bench.mouse.move(x - 20, y + 12, steps=3)
    bench.mouse.move(x - 45, y + 12, steps=5)
    bench.mouse.up()
    expect(undone(bench)).to_have_attribute("title", "Undo: Move: Tackle crate and 1 more")
    after = [middle(drawn(bench, thing))[0] for thing in (CRATE, 10, 11)]
    gone = [now - was for was, now in zip(before, after, strict=True)]
    assert gone[1] == pytest.approx(gone[0], abs=2)
    assert gone[2] == pytest.approx(-25, abs=2)
    undone(bench).click()
    expect(undone(bench)).to_be_disabled()


def test_a_copy_is_made_by_a_key_and_undone(bench: Page) -> None:
    aboard(bench, TRAY).focus()
    bench.keyboard.press("d")
    copy = bench.locator("[data-aboard]").filter(has_text="Tackle tray 2")
    expect(copy).to_be_visible()
    bench.keyboard.press("Control+z")
    expect(copy).to_have_count(0)


def test_the_drawing_is_saved_as_a_picture(bench: Page) -> None:
    with bench.expect_download() as saved:
        bench.get_by_test_id("picture").click()
    assert saved.value.suggested_filename == "reed-lake-dawn-marnok-12.png"
    data = saved.value.path().read_bytes()
    assert data[:8] == b"\x89PNG\r\n\x1a\n"
    width = int.from_bytes(data[16:20], "big")
    assert width >= 2 * 640
    assert len(data) > 50_000  # a boat, not a blank sheet


def test_a_day_that_two_setups_share_shows_what_is_wanted_twice(bench: Page) -> None:
    for name in ("Bare Reed Lake", "Reed Lake dawn"):
        bench.get_by_test_id("setup").click()
        bench.get_by_test_id("all-setups").click()
        bench.get_by_test_id("setups").get_by_role("button", name=name, exact=True).click()
        expect(bench.get_by_test_id("setup-name")).to_have_value(name)
        bench.get_by_test_id("setup-day").fill("2027-06-05")
        bench.get_by_test_id("setup-day").press("Tab")
        expect(bench.get_by_text("Saved.")).to_be_visible()
        bench.keyboard.press("Escape")
    expect(aboard(bench, 1)).to_contain_text("twice")
    expect(aboard(bench, CRATE)).not_to_contain_text("twice")
    expect(shelf(bench, NET)).not_to_contain_text("twice")


def test_a_paddle_is_taken_in_the_hands(bench: Page) -> None:
    paddle = 17
    put_on(bench, paddle, "in your hands")
    expect(bench.get_by_role("heading", name="In your hands")).to_be_visible()
    expect(undone(bench)).to_have_attribute("title", re.compile("Paddle"))
    expect(drawn(bench, paddle)).to_have_attribute("aria-label", re.compile("within reach"))
    undone(bench).click()
    expect(bench.get_by_role("heading", name="In your hands")).to_have_count(0)
