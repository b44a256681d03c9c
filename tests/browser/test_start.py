"""The first minutes: three ways in, nothing pretends to be measured, and a first finding."""

import re
from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page, expect
from tests.browser.starting import start_boat
from tests.servers import ServerThread


@pytest.fixture
def empty(page: Page, shared: ServerThread, tmp_path: Path) -> Page:
    """The greeting of an application with nothing in it."""
    shared.over(tmp_path / "empty.sqlite", demo=False)
    page.goto(shared.url)
    expect(page.get_by_role("heading", level=1)).to_contain_text("before you drill")
    return page


class Steps:
    """What a person does, counted: a field filled or a button pressed is one."""

    def __init__(self, page: Page) -> None:
        self.page, self.count = page, 0

    def press(self, what: Locator) -> None:
        """Press a button."""
        self.count += 1
        what.click()

    def fill(self, field: str, text: str) -> None:
        """Fill a field of the start."""
        self.count += 1
        self.page.get_by_test_id(f"start-{field}").fill(text)


def test_from_the_label_to_a_first_finding_in_twelve_steps(empty: Page) -> None:
    do, by = Steps(empty), empty.get_by_test_id
    do.press(by("way-label"))
    do.fill("length_m", "12 ft")
    do.fill("beam_m", "86")
    do.fill("hull_mass_kg", "33")
    do.fill("rated_kg", "190")
    do.press(by("start-next"))
    do.fill("angler_mass_kg", "84")
    do.fill("stature_m", "5 ft 9 in")
    do.press(by("start-next"))
    do.press(empty.get_by_text("Big lake, all day"))
    expect(by("stowed")).to_contain_text(re.compile(r"\d\d items aboard"))
    do.press(by("start-go"))
    expect(by("trim")).to_be_visible()
    expect(by("findings").get_by_role("listitem").first).to_be_visible()
    assert do.count <= 12
    expect(by("setup")).to_contain_text("My boat")
    assert empty.locator("[data-aboard]").count() > 10


def test_the_walk_takes_a_measure_at_a_time_and_says_what_is_still_typical(empty: Page) -> None:
    by = empty.get_by_test_id
    by("way-measure").click()
    expect(by("start-length_m")).to_be_focused()
    by("walk-next").click()
    expect(empty.get_by_role("alert")).to_contain_text("nothing can be drawn")
    by("start-length_m").focus()
    empty.keyboard.type("366")
    empty.keyboard.press("Enter")
    expect(by("start-beam_m")).to_be_focused()
    empty.keyboard.type("88")
    empty.keyboard.press("Enter")
    expect(by("typical")).to_contain_text("11 measures")
    gm = by("so-far-gm")
    wide = gm.inner_text()
    # Left alone a value stays typical; said to be right, or typed, it is measured.
    expect(by("walk-next")).to_have_text("Leave it typical")
    by("walk-next").click()
    expect(by("typical")).to_contain_text("11 measures")
    by("walk").get_by_role("button", name="Back").click()
    by("confirm-typical").click()
    expect(by("typical")).to_contain_text("10 measures")
    empty.get_by_role("button", name=re.compile("Depth")).click()
    expect(by("start-depth_m")).to_have_attribute("placeholder", re.compile("typical"))
    empty.keyboard.type("34")
    empty.keyboard.press("Enter")
    expect(by("typical")).to_contain_text("9 measures")
    expect(gm).not_to_have_text(wide)


def test_what_was_typed_is_there_after_the_window_was_closed(empty: Page) -> None:
    by = empty.get_by_test_id
    by("way-label").click()
    by("boat-name").fill("Tub")
    by("start-length_m").fill("361")
    by("start-length_m").press("Tab")
    expect(by("start-beam_m")).to_be_focused()
    empty.reload()
    by("go-on").click()
    expect(by("boat-name")).to_have_value("Tub")
    expect(by("start-length_m")).to_have_value("361.0")


def test_the_demo_is_a_button_away(empty: Page) -> None:
    empty.get_by_test_id("way-demo").click()
    expect(empty.get_by_test_id("trim")).to_be_visible()
    expect(empty.get_by_test_id("setup")).to_contain_text("Reed Lake dawn")


def test_a_new_boat_beside_others_in_feet_and_pounds(bench: Page) -> None:
    start_boat(bench, "Tub", length_m="10'6\"", angler_mass_kg="176 lb")
    expect(bench.get_by_test_id("weight")).to_have_text("79.8\u00a0kg")
    expect(bench.get_by_test_id("aboard")).to_contain_text("Nothing yet")
    expect(bench.get_by_test_id("trim")).to_be_visible()


def test_nonsense_is_refused_at_its_field_and_kept_for_mending(bench: Page) -> None:
    by = bench.get_by_test_id
    by("setup").click()
    by("new-boat").click()
    by("way-label").click()
    by("boat-name").fill("Tub")
    by("start-length_m").fill("360")
    beam = by("start-beam_m")
    for text, why in (
        ("-80", "the beam must be more than nothing"),
        ("wide", "cannot be read. Type it like"),
    ):
        beam.fill(text)
        beam.press("Tab")
        expect(bench.get_by_role("alert").first).to_contain_text(why)
    expect(by("boat-name")).to_have_value("Tub")
    beam.fill("80")
    beam.press("Tab")
    expect(by("so-far")).to_be_visible()
    expect(bench.get_by_role("alert")).to_have_count(0)


def test_a_typical_value_is_grey_on_the_boat_until_somebody_confirms_it(bench: Page) -> None:
    start_boat(bench, "Tub")
    by = bench.get_by_test_id
    expect(by("findings")).to_contain_text("11 typical values in use")
    bench.get_by_role("link", name="Measure").click()
    expect(by("boat-confidence")).to_contain_text("typical values")
    note = bench.get_by_role("button", name="Depth: the typical value is right")
    note.click()
    expect(note).to_have_count(0)
    by("save-boat").click()
    expect(by("undo")).to_have_attribute("title", "Undo: Change the boat")
    by("beam_fore_quarter_m").fill("64")
    by("beam_fore_quarter_m").press("Tab")
    by("save-boat").click()
    expect(by("save-boat")).to_be_disabled()
    bench.reload()
    notes = bench.get_by_role("button", name=re.compile("the typical value is right"))
    expect(notes).to_have_count(8)


def tab_to(page: Page, what: Locator) -> None:
    """Press Tab until it is there, as somebody without a mouse does."""
    for _ in range(300):
        page.keyboard.press("Tab")
        if what.evaluate("(one) => one.contains(document.activeElement)"):
            return
    raise AssertionError("the keyboard never gets there")


def test_the_whole_way_by_keyboard_to_a_suggestion_tried_and_applied(empty: Page) -> None:
    by, keys = empty.get_by_test_id, empty.keyboard
    tab_to(empty, by("way-label"))
    keys.press("Enter")
    for field, text in (("length_m", "12 ft"), ("beam_m", "34 in"), ("hull_mass_kg", "70 lb")):
        tab_to(empty, by(f"start-{field}"))
        keys.type(text)
    tab_to(empty, by("start-next"))
    keys.press("Enter")
    tab_to(empty, by("start-angler_mass_kg"))
    keys.type("180 lb")
    tab_to(empty, by("start-next"))
    keys.press("Enter")
    expect(by("stowed")).to_contain_text(re.compile(r"\d+ items aboard"))
    tab_to(empty, by("start-go"))
    keys.press("Enter")
    expect(by("trim")).to_be_visible()
    keys.press("]")  # the first item toward the stern is selected
    keys.press("a")
    expect(by("undo")).to_have_attribute("title", re.compile("^Undo: Take ashore"))
    keys.press("Control+z")
    expect(by("undo")).to_be_disabled()
    keys.press("Escape")
    tab_to(empty, by("whole-boat"))
    keys.press("Enter")
    expect(by("apply").first).to_be_visible()
    tab_to(empty, by("apply").first)
    keys.press("Enter")
    expect(by("undo")).to_have_attribute("title", re.compile("^Undo: Try"))
    for key, screen in ((">", "afloat"), ("<", "bench"), ("<", "boat"), (".", "angler")):
        keys.press(key)
        empty.wait_for_url(f"**/{screen}")
