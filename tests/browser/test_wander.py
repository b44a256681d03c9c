"""Somebody who does anything at all: a short walk by day, many long ones by night. Nothing breaks,
nobody is quarrelled with, and what was done is undone to the beginning."""

import random
import re
from typing import Any
from urllib.error import HTTPError

import pytest
from playwright.sync_api import Locator, Page, Response, TimeoutError, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask
from tests.examples import NIGHTLY
from tests.servers import Server

SCREENS = ["bench", "boat", "angler", "gear", "afloat", "reach", "glide", "hold", "safety", "day",
           "power", "sonar", "fixing", "haul", "money"]  # fmt: skip
WALKS, ON_THE_WAY, ACTS = (40, len(SCREENS), 40) if NIGHTLY else (1, 4, 10)
TYPED = ["0", "-1", "5", "12.5", "100", "1e9", "abc", "", " ", "0.001", "99999", "1,5", "½"]
PRESSED = ["Escape", "Control+z", "Control+Shift+z", "?", "ArrowLeft", "Shift+ArrowUp", "+", "g"]
A_MOMENT_MS = 2_000

# All that can be used and is not under something else, each with a number.
USABLE = """() => {
  const found = []
  const all = document.querySelectorAll(
    'button, input, select, textarea, summary, [role=button], [role=tab], [role=slider]',
  )
  for (const one of all) {
    const box = one.getBoundingClientRect()
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    const top = document.elementFromPoint(x, y)
    one.removeAttribute('data-usable')
    if (one.disabled || one.type === 'file' || !top || !(one.contains(top) || top.contains(one)))
      continue
    one.setAttribute('data-usable', found.length)
    const name = one.ariaLabel ?? one.dataset.testid ?? one.textContent ?? ''
    found.push([one.tagName, one.type ?? '', name.trim().slice(0, 40)])
  }
  return found
}"""
# What nobody is to read: words of the language it is written in.
ODD = re.compile(r"\b(undefined|NaN|Infinity)\b|\[object")


def use(page: Page, rng: random.Random, one: Locator, tag: str, kind: str) -> None:
    """Whatever is done with such a thing."""
    if tag == "SELECT":
        free: list[int] = one.evaluate(
            "(all) => [...all.options].flatMap((one, i) => (one.disabled ? [] : [i]))",
            timeout=A_MOMENT_MS,
        )
        one.select_option(index=rng.choice(free or [0]), timeout=A_MOMENT_MS)
    elif tag == "TEXTAREA" or (tag == "INPUT" and kind in ("text", "search", "number")):
        numbers = [text for text in TYPED if re.fullmatch(r"-?[\d.e]+", text)]
        typed = rng.choice(numbers if kind == "number" else TYPED)
        one.fill(typed, timeout=A_MOMENT_MS)
        page.keyboard.press(rng.choice(["Enter", "Tab", "Escape"]))
    elif kind == "range":
        one.focus(timeout=A_MOMENT_MS)
        page.keyboard.press(rng.choice(["ArrowRight", "End", "Home", "PageUp"]))
    elif kind not in ("date", "time", "color"):
        one.click(timeout=A_MOMENT_MS)


def wander(page: Page, rng: random.Random, done: list[str]) -> None:
    """A number of acts on the screen that is open; what goes away meanwhile is let be."""
    for _ in range(ACTS):
        usable: list[tuple[str, str, str]] = page.evaluate(USABLE)
        if usable:
            at = rng.randrange(len(usable))
            done.append(" ".join(usable[at]))
            try:
                use(page, rng, page.locator(f'[data-usable="{at}"]').first, *usable[at][:2])
            except TimeoutError:
                page.keyboard.press("Escape")
        if rng.random() < 0.2:
            done.append(rng.choice(PRESSED))
            page.keyboard.press(done[-1])
        assert not ODD.search(page.locator("body").inner_text())


def undone_to_the_beginning(server: Server, setup_id: int) -> Any:
    """The setup once there is no more to undo."""
    while True:
        state = ask(server, f"setups/{setup_id}")
        if state["undo_label"] is None:
            return state["setup"]
        ask(server, f"setups/{setup_id}/undo", "POST", {"revision": state["revision"]})


@pytest.mark.own_page
@pytest.mark.parametrize("walk", range(WALKS))
def test_whatever_is_done_nothing_breaks_and_all_of_it_is_undone(
    watched: Page, server: Server, walk: int
) -> None:
    rng = random.Random(walk)
    broken: list[str] = []
    done: list[str] = []

    def answered(response: Response) -> None:
        if response.status == 409 or response.status >= 500:
            asked = response.request
            said = f"{asked.method} {asked.post_data} {response.status} {response.text()}"
            broken.append(f"{said} after {done[-6:]}")

    before = ask(server, "setups/1")["setup"]
    watched.on("response", answered)
    watched.on("dialog", lambda dialog: dialog.accept())
    for screen in rng.sample(SCREENS, ON_THE_WAY):
        watched.goto(f"{server.url}/{screen}")
        watched.get_by_test_id("saved").wait_for()
        done.append(f"opened {screen}")
        wander(watched, rng, done)
        assert broken == []
    watched.goto(f"{server.url}/bench")
    saved(watched)
    expect(watched.get_by_test_id("overtaken")).to_have_count(0)
    try:
        assert undone_to_the_beginning(server, 1) == before
    except HTTPError as error:
        pytest.fail(f"{error.code}: {error.read().decode()}")
