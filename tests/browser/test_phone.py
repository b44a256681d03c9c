"""A phone in the garage: every screen can be read to its end, and what matters can be edited."""

import re

import pytest
from playwright.sync_api import Page, expect
from tests.browser.arriving import all_arriving
from tests.browser.test_look import SCREENS
from tests.servers import Server

WIDE, HIGH = 390, 844

# Where the last word or drawing of the screen ends, and what scrolls besides the screen itself.
END = """() => {
  const screen = document.querySelector('.screen')
  const foot = document.querySelector('nav.groups')?.getBoundingClientRect()
  screen.scrollTop = screen.scrollHeight
  let last = 0
  const walk = document.createTreeWalker(screen, NodeFilter.SHOW_TEXT)
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    if (!node.textContent.trim() || !node.parentElement.checkVisibility()) continue
    const range = document.createRange()
    range.selectNodeContents(node)
    const box = range.getBoundingClientRect()
    if (box.width && box.height) last = Math.max(last, box.bottom)
  }
  for (const one of screen.querySelectorAll('svg'))
    if (one.checkVisibility()) last = Math.max(last, one.getBoundingClientRect().bottom)
  const inner = [...screen.querySelectorAll('*')].filter((one) =>
    one.scrollHeight > one.clientHeight + 2 && one.clientHeight > 0 &&
    ['auto', 'scroll'].includes(getComputedStyle(one).overflowY))
  const page = document.scrollingElement
  return {
    last, foot: foot ? foot.top : innerHeight,
    inner: inner.map((one) => one.className.toString()),
    page: page.scrollHeight - page.clientHeight,
    scrolls: screen.scrollHeight > screen.clientHeight,
    across: Math.max(page.scrollWidth, screen.scrollWidth) - innerWidth,
  }
}"""


@pytest.fixture
def phone(watched: Page) -> Page:
    """The bench at 390 wide."""
    watched.set_viewport_size({"width": WIDE, "height": HIGH})
    return watched


@pytest.mark.parametrize("screen", SCREENS)
def test_a_screen_is_read_to_its_end_in_one_scroll(
    phone: Page, server: Server, screen: str
) -> None:
    with all_arriving(phone):
        phone.goto(f"{server.url}/{screen}")
        expect(phone.get_by_test_id("saved")).to_contain_text("saved")
    found = phone.evaluate(END)
    assert found["across"] <= 0, "nothing hangs over the side"
    assert found["page"] <= 0, "the page itself does not scroll: its screen does"
    assert found["inner"] == [], "no scroller within the scroller"
    assert found["last"] <= found["foot"], "the last word stands clear of the groups at the foot"
    assert not found["scrolls"] or found["last"] > found["foot"] - 220, "and no empty page follows"


def test_gear_is_weighed_on_a_phone(phone: Page, server: Server) -> None:
    phone.goto(f"{server.url}/gear")
    weight = phone.get_by_label("Weight of Rudder", exact=True)
    weight.scroll_into_view_if_needed()
    weight.fill("1.35")
    weight.press("Enter")
    expect(phone.get_by_test_id("undo")).to_have_attribute("title", re.compile("Rudder"))
    phone.reload()
    expect(weight).to_have_value("1.35")


def test_a_finding_is_read_and_accepted_on_a_phone(phone: Page, server: Server) -> None:
    phone.goto(f"{server.url}/bench")
    card = phone.locator('[data-cause^="anchor-out-of-hand"], [data-finding]').first
    card.scroll_into_view_if_needed()
    head = phone.get_by_test_id("findings").locator(".head").first
    head.click()
    accept = phone.get_by_role("button", name="Accept…").first
    accept.scroll_into_view_if_needed()
    expect(accept).to_be_in_viewport()


def test_an_item_is_put_elsewhere_by_number_on_a_phone(phone: Page, server: Server) -> None:
    phone.goto(f"{server.url}/bench")
    row = phone.locator('[data-aboard="9"]')
    row.scroll_into_view_if_needed()
    row.click()
    place = phone.get_by_label(re.compile("from the bow", re.IGNORECASE)).first
    place.scroll_into_view_if_needed()
    expect(place).to_be_in_viewport()
