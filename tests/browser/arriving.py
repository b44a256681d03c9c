"""When a screen has all that it asked for, and when what was changed is kept."""

import re
from collections.abc import Iterator
from contextlib import contextmanager

from playwright.sync_api import Page, Request, expect

# What an answer leads to is drawn, and asked for, within a frame or two of it.
_FRAMES = """() => new Promise((done) => {
  let left = 4
  const next = () => (left-- ? requestAnimationFrame(next) : done())
  next()
})"""


@contextmanager
def all_arriving(page: Page) -> Iterator[None]:
    """Open a screen within; at the end every question is answered and no more were asked: sooner
    told than by waiting half a second in silence."""
    asked: set[Request] = set()

    def begun(request: Request) -> None:
        asked.add(request)

    def ended(request: Request) -> None:
        asked.discard(request)

    page.on("request", begun)
    page.on("requestfinished", ended)
    page.on("requestfailed", ended)
    yield
    quiet = False
    while not quiet:
        before = not asked
        page.evaluate(_FRAMES)
        quiet = before and not asked
    page.remove_listener("request", begun)
    page.remove_listener("requestfinished", ended)
    page.remove_listener("requestfailed", ended)


def saved(page: Page) -> None:
    """The last change is kept."""
    expect(page.get_by_test_id("saved")).to_have_text(re.compile("^saved"))
