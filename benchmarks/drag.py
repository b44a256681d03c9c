"""Through the running server and the browser: start, preview, first paint, a drag: `… .drag`."""

import json
import tempfile
import threading
import time
import urllib.request
from pathlib import Path

import numpy as np
from benchmarks.told import Times, head, tell
from playwright.sync_api import Browser, Page, sync_playwright
from tests.servers import CHROMIUM, FLAGS, ServerProcess

MOVES = 300
CRATE = 9
# From the pointer's move to the frame that draws the figures which answer it. The page asks one
# question at a time, so the move counted is the newest one when a question is put.
WATCH = """
window.roundTrips = []
let moved = 0
for (const told of ['pointerrawupdate', 'pointermove'])
  addEventListener(told, (event) => (moved = event.timeStamp), true)
const plain = window.fetch
window.fetch = async (request, ...more) => {
  const since = moved
  const answer = await plain(request, ...more)
  if ([`/preview`, `/preview/quick`].some((end) => String(request.url ?? request).endsWith(end)))
    requestAnimationFrame(() => window.roundTrips.push(performance.now() - since))
  return answer
}
"""
# Until the figures stand on the screen, from the beginning of the navigation.
PAINTED = "performance.now()"


def previewed_ms(url: str, which: str) -> Times:
    """ms from asking for a preview to its last byte, with the crate moved as in a drag."""
    setup = json.load(urllib.request.urlopen(f"{url}/api/v1/setups/1"))["setup"]
    place = setup["places"][str(CRATE)]
    taken = []
    for n in range(MOVES):
        x_m = place["x_m"] + 0.1 * float(np.sin(n / 12))
        body = {"places": [{"thing_id": CRATE, "place": {**place, "x_m": x_m}}]}
        asked = urllib.request.Request(
            f"{url}/api/v1/setups/1/{which}",
            json.dumps(body).encode(),
            {"content-type": "application/json"},
        )
        start = time.perf_counter()
        urllib.request.urlopen(asked).read()
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[10:])


def opened(browser: Browser, url: str) -> tuple[Page, float]:
    """The bench in a browser that has seen nothing yet, and ms until its figures stood there."""
    page = browser.new_context(viewport={"width": 1280, "height": 800}).new_page()
    page.add_init_script(WATCH)
    page.goto(f"{url}/bench")
    page.get_by_test_id("trim").wait_for()
    return page, float(page.evaluate(PAINTED))


def drag(page: Page) -> list[float]:
    """Carry the crate about the boat; ms from move to drawn, for each answer."""
    box = page.locator(f'.plan [data-thing="{CRATE}"]').bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.evaluate("window.roundTrips = []")
    page.mouse.move(x, y)
    page.mouse.down()
    for angle in np.linspace(0, 6 * np.pi, MOVES):
        page.mouse.move(x - 160 + 160 * np.cos(angle), y + 40 * np.sin(angle))
        page.wait_for_timeout(16)  # a pointer reports about sixty times a second
    page.mouse.move(x, y)
    page.mouse.up()
    page.get_by_test_id("saved").get_by_text("saved").wait_for()
    found: list[float] = page.evaluate("window.roundTrips")
    return found


def arrange_until(url: str, stop: threading.Event) -> None:
    """Ask for one arrangement after the other."""
    while not stop.is_set():
        asked = urllib.request.Request(
            f"{url}/api/v1/setups/1/arrange", b"{}", {"content-type": "application/json"}
        )
        urllib.request.urlopen(asked).read()


def main() -> None:
    """Print percentiles."""
    head()
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        start = time.perf_counter()
        server = ServerProcess(Path(folder) / "drag.sqlite", answers=False)
        urllib.request.urlopen(f"{server.url}/bench").read()
        tell("start", 1000 * (time.perf_counter() - start))
        urllib.request.urlopen(f"{server.url}/api/v1/setups/1").read()
        tell("start answers", 1000 * (time.perf_counter() - start))
        tell("preview", previewed_ms(server.url, "preview/quick"))
        tell("preview whole", previewed_ms(server.url, "preview"))
        browser = play.chromium.launch(executable_path=CHROMIUM, args=FLAGS)
        tell("paint", [opened(browser, server.url)[1] for _ in range(5)])
        page, _ = opened(browser, server.url)
        tell("drag", drag(page))
        stop = threading.Event()
        asking = threading.Thread(target=arrange_until, args=(server.url, stop))
        asking.start()
        tell("drag aside", drag(page))
        stop.set()
        asking.join()
        browser.close()
        server.stop()


if __name__ == "__main__":
    main()
