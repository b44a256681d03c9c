"""What can be measured of the look: nothing cut off, readable, our own fonts, no network."""

from pathlib import Path

import pytest
from playwright.sync_api import Page
from tests.browser.arriving import all_arriving
from tests.servers import Server

AXE = Path(__file__).parents[2] / "web/node_modules/axe-core/axe.min.js"
SCREENS = [
    "bench",
    "boat",
    "angler",
    "gear",
    "gear/shapes",
    "afloat",
    "reach",
    "glide",
    "hold",
    "safety",
    "day",
    "power",
    "sonar",
    "fixing",
    "work",
    "haul",
    "log",
    "log?part=learned",
    "log?part=care",
    "log?part=lists",
    "money",
    "compare",
    "start",
]

PARTS = 4  # so that both workers have something to look at

CUT = """() => [...document.querySelectorAll('button, h1, h2, h3, label, td, th, .line, nav a, dd')]
  .filter((e) => e.checkVisibility() && e.scrollWidth > e.clientWidth + 1
    && getComputedStyle(e).display !== 'inline')
  .map((e) => `${e.className} ${e.textContent.trim().slice(0, 40)}`)"""
DARK = "getComputedStyle(document.body).backgroundColor.match(/\\d+/g).every((c) => c < 80)"
OVERLAP = """() => {
  const texts = [...document.querySelectorAll('aside.right .line > *')]
    .map((e) => ({ e, box: e.getBoundingClientRect() }))
  return texts.flatMap((a, i) => texts.slice(i + 1)
    .filter((b) => a.box.left < b.box.right - 1 && b.box.left < a.box.right - 1
      && a.box.top < b.box.bottom - 1 && b.box.top < a.box.bottom - 1)
    .map((b) => `${a.e.textContent} / ${b.e.textContent}`)) }"""


def show(page: Page, server: Server, screen: str) -> None:
    """Open a screen and let its figures and fonts arrive."""
    with all_arriving(page):
        page.goto(f"{server.url}/{screen}")
        page.get_by_test_id("saved").wait_for()
    page.evaluate("document.fonts.ready")


def looked_at(page: Page, screen: str, night: bool) -> None:
    """Fail for what is cut off, overlaps, hangs over the side, cannot be read or has no name."""
    assert page.evaluate(CUT) == [], screen
    assert page.evaluate(OVERLAP) == [], screen
    assert page.evaluate("document.documentElement.scrollWidth") == 1280, screen
    # By night there are the same things in other colours.
    only = "['color-contrast']" if night else "['wcag2a', 'wcag2aa']"
    rules = f"{{ runOnly: {only}, resultTypes: ['violations'] }}"  # of the rest it names no places
    found = page.evaluate(f"axe.run(document, {rules})")
    assert [
        (one["id"], [node["target"] for node in one["nodes"]][:4]) for one in found["violations"]
    ] == [], screen


@pytest.mark.parametrize("part", range(PARTS))
def test_screens_fit_1280_by_800_are_readable_and_named(
    bench: Page, server: Server, part: int
) -> None:
    """Each by day in metric units and by night in the others, one of which the one before left."""
    night = False
    for screen in SCREENS[part::PARTS]:
        show(bench, server, screen)
        bench.evaluate(AXE.read_text(encoding="utf-8"))  # no page of ours takes a script in
        looked_at(bench, screen, night)
        night = not night
        with all_arriving(bench):
            bench.get_by_label("Night colours").click()
            bench.get_by_test_id("units").click()
        assert bench.evaluate(DARK) is night, screen
        looked_at(bench, screen, night)


def test_fonts_are_ours_everywhere(bench: Page) -> None:
    for selector in ("body", "button.overlay", "input"):
        font = bench.locator(selector).first.evaluate("e => getComputedStyle(e).fontFamily")
        assert "Source Sans 3" in font or "JetBrains Mono" in font
    assert bench.evaluate("document.fonts.check('13px \"Source Sans 3\"')")


def test_nothing_is_fetched_from_elsewhere(page: Page, server: Server) -> None:
    asked: list[str] = []
    page.on("request", lambda request: asked.append(request.url))
    show(page, server, "bench")
    assert asked
    assert [url for url in asked if not url.startswith((server.url, "data:"))] == []
