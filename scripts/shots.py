"""Fresh pictures of the main views for the README, from the demo: `python -m scripts.shots`."""

import tempfile
from base64 import b64encode
from pathlib import Path

from playwright.sync_api import Page, ViewportSize, sync_playwright
from tests.servers import CHROMIUM, FLAGS, ServerThread

TARGET = Path(__file__).resolve().parents[1] / "docs" / "screenshots"
SCREENS = ("bench", "boat", "gear", "afloat", "reach", "glide", "hold", "safety", "day",
           "power", "sonar", "fixing", "work", "haul", "log", "money")  # fmt: skip
PHONE: ViewportSize = {"width": 390, "height": 844}
_STYLE = """<style>
  body { display: flex; gap: 10px; margin: 10px; background: #d9d9d4 }
  div { display: grid; gap: 10px; width: 664px; align-content: space-between }
  div img { width: 100% }
  body > img { height: 844px; background: white }
</style>"""


def settle(page: Page) -> None:
    """Wait until fonts and figures are there."""
    page.get_by_test_id("saved").wait_for()
    page.wait_for_load_state("networkidle")
    page.evaluate("document.fonts.ready")


def judge(page: Page) -> None:
    """A finding with its suggestions, everything arranged, and before against after."""
    page.locator('[data-cause^="in-the-pedals"] > .head').click()
    page.locator('[data-finding^="in-the-pedals"] .head').click()
    page.get_by_test_id("try").click()
    page.get_by_test_id("apply").wait_for()
    page.get_by_text("was ").first.wait_for()  # the figures as they would be
    page.screenshot(path=TARGET / "findings.png")
    page.keyboard.press("Escape")
    page.get_by_test_id("arrange").click()
    page.get_by_test_id("arrange-again").wait_for()
    page.get_by_test_id("arrange-apply").click()
    page.get_by_test_id("arrange-apply").wait_for(state="hidden")
    page.get_by_role("link", name="Ashore").click()
    page.get_by_role("link", name="Compare").click()
    page.get_by_test_id("compare-figures").wait_for()
    settle(page)
    page.screenshot(path=TARGET / "compare.png")
    page.get_by_test_id("undo").click()


def beside(page: Page, url: str) -> None:
    """In one picture what is no main view of its own: the bench with its wires, Safety by night, a
    trip told on a phone, and a template."""
    page.goto(f"{url}/bench")
    settle(page)
    page.keyboard.press("8")
    shots = [_as_data(page.screenshot(), "image/png")]
    page.goto(f"{url}/safety")
    settle(page)
    night = page.get_by_role("button", name="Night colours")
    night.click()
    page.get_by_test_id("schools").wait_for()
    shots.append(_as_data(page.screenshot(), "image/png"))
    night.click()
    page.set_viewport_size(PHONE)
    page.goto(f"{url}/log")
    settle(page)
    page.get_by_test_id("tell").click()
    page.get_by_test_id("uses-12-0").click()
    page.get_by_test_id("uses-6-4-15").click()
    shots.append(_as_data(page.screenshot(), "image/png"))
    one = f"{url}/api/v1/setups/1/fixing/template"
    key = page.request.get(f"{one}s").json()[0]["key"]
    drawn = page.request.get(one, params={"key": key, "form": "svg"}).body()
    shots.append(_as_data(drawn, "image/svg+xml"))
    page.set_viewport_size({"width": 1680, "height": PHONE["height"] + 20})
    wires, by_night, phone, template = (f'<img src="{data}">' for data in shots)
    page.set_content(f"{_STYLE}<div>{wires}{by_night}</div>{phone}{template}")
    page.wait_for_function("[...document.images].every((one) => one.complete)")
    page.screenshot(path=TARGET / "beside.png")


def _as_data(content: bytes, kind: str) -> str:
    return f"data:{kind};base64,{b64encode(content).decode()}"


def main() -> None:
    """Write one PNG a view at 1280x800, and one of what else there is."""
    TARGET.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        server = ServerThread(Path(folder) / "shots.sqlite")
        browser = play.chromium.launch(executable_path=CHROMIUM, args=FLAGS)
        context = browser.new_context(
            viewport={"width": 1280, "height": 800},
            locale="en-GB",
            timezone_id="UTC",
            reduced_motion="reduce",
        )
        page = context.new_page()
        for screen in SCREENS:
            page.goto(f"{server.url}/{screen}")
            settle(page)
            if screen == "afloat":
                page.get_by_test_id("demands").wait_for()
            if screen == "reach":
                page.locator('[data-reach="6"] button').click()
                page.get_by_test_id("reaching").get_by_text("margin").wait_for()
            if screen == "glide":
                page.get_by_test_id("resistance").wait_for()
            if screen == "hold":
                page.get_by_test_id("hold-plan").wait_for()
            if screen == "fixing":
                page.locator('[data-row="6"] button').click()
                page.get_by_text("What if").wait_for()
            if screen == "work":
                page.get_by_test_id("work-steps").wait_for()
            if screen == "safety":
                page.get_by_test_id("schools").wait_for()
            if screen == "day":
                page.get_by_test_id("day-charts").wait_for()
            if screen == "haul":
                page.get_by_test_id("cart-scene").wait_for()
            if screen == "log":
                page.get_by_text("Learned", exact=True).click()
                page.get_by_test_id("measured-w").wait_for()
            if screen == "money":
                page.get_by_text("Phases of the build", exact=True).click()
                page.get_by_test_id("phases").wait_for()
            page.screenshot(path=TARGET / f"{screen}.png")
        page.goto(f"{server.url}/bench")
        settle(page)
        judge(page)
        beside(page, server.url)
        browser.close()
        server.stop()


if __name__ == "__main__":
    main()
