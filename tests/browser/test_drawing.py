"""The drawing looked at nearer, and what lies in something."""

import re

from playwright.sync_api import Page, expect
from tests.browser.test_bench import drawn

CRATE, TRAY, DRY_BAG = 9, 14, 4


def zoom(page: Page, percent: int) -> None:
    """How near it is looked at."""
    told = page.get_by_role("button", name="The whole boat")
    expect(told).to_have_text(re.compile(rf"\s*{percent} %\s*"))


def test_keys_and_wheel_look_nearer_and_back(bench: Page) -> None:
    zoom(bench, 100)
    small = drawn(bench, CRATE).bounding_box()
    assert small is not None
    bench.keyboard.press("+")
    bench.keyboard.press("+")
    zoom(bench, 156)
    bench.keyboard.press("0")
    zoom(bench, 100)
    bench.mouse.move(small["x"] + small["width"] / 2, small["y"] + small["height"] / 2)
    bench.mouse.wheel(0, -300)
    zoom(bench, 212)
    large = drawn(bench, CRATE).bounding_box()
    assert large is not None
    assert large["width"] > 1.9 * small["width"]
    # About the pointer: it is still over the crate.
    middle = small["x"] + small["width"] / 2
    assert large["x"] < middle < large["x"] + large["width"]
    bench.keyboard.press("-")
    zoom(bench, 169)


def test_what_is_selected_is_fitted_into_the_sheet(bench: Page) -> None:
    bench.locator(f'[data-aboard="{CRATE}"]').click()
    bench.keyboard.press("f")
    box, sheet = drawn(bench, CRATE).bounding_box(), bench.locator(".plan").first.bounding_box()
    assert box is not None
    assert sheet is not None
    assert box["width"] > 180
    bench.keyboard.press("0")
    zoom(bench, 100)


def test_what_lies_under_a_hatch_shows_once_it_is_selected(bench: Page) -> None:
    expect(drawn(bench, DRY_BAG)).to_have_count(0)
    bench.locator(f'[data-aboard="{DRY_BAG}"]').click()
    expect(drawn(bench, DRY_BAG)).to_be_visible()
    bench.locator(f'[data-aboard="{DRY_BAG}"]').click()
    expect(drawn(bench, DRY_BAG)).to_have_count(0)


def test_no_name_on_the_sheet_overlaps_another_or_is_cut(bench: Page) -> None:
    texts = bench.locator(".plan .labels text").all()
    boxes = [box for one in texts if (box := one.bounding_box())]
    assert len(boxes) > 8
    for i, a in enumerate(boxes):
        for b in boxes[i + 1 :]:
            aside = a["x"] + a["width"] <= b["x"] or b["x"] + b["width"] <= a["x"]
            over = a["y"] + a["height"] <= b["y"] + 2 or b["y"] + b["height"] <= a["y"] + 2
            assert aside or over
    assert all("…" not in (one.text_content() or "") for one in texts)


def test_screens_and_groups_by_keys(bench: Page) -> None:
    bench.keyboard.press(".")
    bench.wait_for_url(re.compile("/afloat$"))
    bench.keyboard.press(">")
    bench.wait_for_url(re.compile("/power$"))
    bench.keyboard.press(">")
    bench.wait_for_url(re.compile("/haul$"))
    bench.keyboard.press("<")
    bench.wait_for_url(re.compile("/power$"))
    bench.keyboard.press("<")
    bench.wait_for_url(re.compile("/afloat$"))
    bench.keyboard.press(",")
    bench.wait_for_url(re.compile("/bench$"))
