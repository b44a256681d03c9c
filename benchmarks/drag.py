"""A drag through the running server and the browser, pointer to drawn: `… -m benchmarks.drag`."""

import tempfile
from pathlib import Path

import numpy as np
from playwright.sync_api import Page, sync_playwright
from tests.servers import CHROMIUM, FLAGS, ServerProcess

MOVES = 300
# From the pointer's move to the frame that draws the figures which answer it. The page asks one
# question at a time, so the move counted is the newest one when a question is put.
WATCH = """
window.roundTrips = []
let moved = 0
addEventListener('pointermove', (event) => (moved = event.timeStamp), true)
const plain = window.fetch
window.fetch = async (request, ...more) => {
  const since = moved
  const asked = performance.now()
  const answer = await plain(request, ...more)
  const answered = performance.now()
  if (String(request.url ?? request).endsWith('/preview'))
    requestAnimationFrame(() =>
      window.roundTrips.push([answered - asked, performance.now() - since]))
  return answer
}
"""


def drag(page: Page, url: str) -> list[list[float]]:
    """Carry the crate about the boat; for each answer, ms it took, and ms from move to drawn."""
    page.add_init_script(WATCH)
    page.goto(f"{url}/bench")
    page.get_by_test_id("trim").wait_for()
    box = page.locator('.plan [data-thing="9"]').bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    for angle in np.linspace(0, 6 * np.pi, MOVES):
        page.mouse.move(x - 160 + 160 * np.cos(angle), y + 40 * np.sin(angle))
        page.wait_for_timeout(16)  # a pointer reports about sixty times a second
    page.mouse.up()
    page.get_by_test_id("saved").get_by_text("saved").wait_for()
    found: list[list[float]] = page.evaluate("window.roundTrips")
    return found


def main() -> None:
    """Print percentiles of the round trip."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        server = ServerProcess(Path(folder) / "drag.sqlite")
        browser = play.chromium.launch(executable_path=CHROMIUM, args=FLAGS)
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        taken = np.array(drag(page, server.url))
        browser.close()
        server.stop()
    print(f"drag: {len(taken)} answers to {MOVES} moves")
    for name, column in (("question to answer", 0), ("pointer to drawn", 1)):
        median, most = np.percentile(taken[:, column], [50, 95])
        print(f"  {name}: median {median:.0f} ms, 95th percentile {most:.0f} ms")


if __name__ == "__main__":
    main()
