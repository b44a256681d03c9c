"""Power as a person walks it: wire it, see it brown out, mend it, lead it off the legs."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask
from tests.servers import Server

BATTERY, SCREEN = "Battery 20 Ah", "7-inch screen"


@pytest.fixture
def power(watched: Page, server: Server) -> Page:
    """The Power screen of the first demo setup."""
    watched.goto(f"{server.url}/power")
    expect(watched.get_by_role("heading", name="Power")).to_be_visible()
    return watched


def edges(page: Page) -> Locator:
    """Wires of the one-line diagram."""
    return page.locator(".diagram .edge")


def remove_all(page: Page) -> None:
    """Take every wire away, by the keyboard."""
    while count := edges(page).count():
        edges(page).first.focus()
        page.keyboard.press("Enter")
        page.get_by_test_id("remove-wire").press("Enter")
        expect(edges(page)).to_have_count(count - 1)
    saved(page)


def lay(page: Page, start: str, end: str) -> None:
    """A wire from what to what."""
    page.get_by_test_id("wire-from").select_option(label=start)
    to = page.get_by_test_id("wire-to")
    label = to.locator("option", has_text=end).first.inner_text()
    to.select_option(label=label)
    page.get_by_test_id("add-wire").press("Enter")
    expect(page.locator("section.wire h2")).to_contain_text(f"{start} to {end}")
    saved(page)


def wrong(page: Page, words: str) -> Locator:
    """A line of what is wrong."""
    return page.locator(".found li", has_text=words)


def look_away(page: Page) -> None:
    """Select no wire: what is wrong is told again."""
    page.locator(".sheet svg").click(position={"x": 400, "y": 395})


def test_wired_from_nothing_by_keyboard(power: Page) -> None:
    remove_all(power)
    expect(wrong(power, f"{SCREEN}: no wire from a battery")).to_be_visible()
    lay(power, BATTERY, SCREEN)
    lay(power, BATTERY, "Flag and light")
    expect(edges(power)).to_have_count(2)
    look_away(power)
    expect(power.locator(".found li")).to_have_count(0)
    power.get_by_test_id("undo").click()
    expect(edges(power)).to_have_count(1)


def add_motor(server: Server) -> None:
    """A motor and a small battery from the catalogue, put on the bare deck."""
    spots = {"Shaft motor": (0.35, 0.0), "Lead-acid 12 V 9 Ah": (3.0, -0.05)}
    things = [
        {"thing_id": None, "thing": one | {"shape": "box", "part": None}}
        for one in ask(server, "catalog")
        if one["name"] in spots
    ]
    revision = ask(server, "setups/1")["revision"]
    body = {"revision": revision, "things": things}
    state = ask(server, "setups/1/things", "PUT", body)
    ids = {one["name"]: int(key) for key, one in state["setup"]["things"].items()}
    edits = [
        {"what": "place", "id": ids[name], "was": None,
         "fields": {"x_m": x, "y_m": y, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0}}
        for name, (x, y) in spots.items()
    ]  # fmt: skip
    ask(server, "setups/1", "PATCH", {"edits": edits})


def test_the_screen_browns_out_and_gets_its_own_battery(power: Page, server: Server) -> None:
    add_motor(server)
    power.reload()
    lay(power, "Lead-acid 12 V 9 Ah", "Shaft motor")
    lay(power, "Lead-acid 12 V 9 Ah", SCREEN)
    look_away(power)
    dark = wrong(power, f"{SCREEN}: goes dark when Shaft motor starts")
    expect(dark).to_be_visible()
    expect(power.get_by_test_id("worst-6")).to_contain_text("goes dark")
    table = power.get_by_role("region", name="Two supplies side by side")
    expect(table).to_contain_text("To charge at home")
    lay(power, BATTERY, SCREEN)
    look_away(power)
    expect(dark).to_have_count(0)
    expect(power.get_by_test_id("worst-6")).not_to_contain_text("goes dark")


def test_moving_the_battery_shows_trim_and_what_is_lost(power: Page, server: Server) -> None:
    power.goto(f"{server.url}/bench")
    line = power.get_by_test_id("power")
    expect(line).to_contain_text("battery")
    beside = line.locator("xpath=..").locator(".beside, .was")
    before, trim = beside.inner_text(), power.get_by_test_id("trim").inner_text()
    power.locator('.plan [data-thing="5"]').focus()
    for _ in range(8):
        power.keyboard.press("Shift+ArrowRight")
    saved(power)
    expect(power.get_by_test_id("trim")).not_to_have_text(trim)
    expect(beside).not_to_have_text(before)
    power.keyboard.press("8")
    expect(power.locator(".plan .wires")).to_be_visible()


def test_a_wire_is_led_clear_of_the_legs(power: Page) -> None:
    legs = wrong(power, "in the way of the pedal circle")
    expect(legs).to_be_visible()
    legs.get_by_role("button").click()
    length = power.get_by_test_id("wire-length")
    before = length.inner_text()
    grip = power.locator(".wires .grip").nth(3)  # the point by the pedals, from above
    box = grip.bounding_box()
    assert box is not None
    power.mouse.move(box["x"] + 7, box["y"] + 7)
    power.mouse.down()
    power.mouse.move(box["x"] + 12, box["y"] - 20, steps=4)
    power.mouse.up()
    expect(length).not_to_have_text(before)
    saved(power)
    # The rest by the keyboard: higher, over the gunwale, seen from the side.
    grip = power.locator(".wires").nth(1).locator(".grip").nth(3)
    grip.focus()
    for _ in range(2):
        power.keyboard.press("Shift+ArrowUp")
    saved(power)
    look_away(power)
    expect(legs).to_have_count(0)


def test_a_wire_by_number_and_its_refusals(power: Page) -> None:
    edges(power).first.focus()
    power.keyboard.press("Enter")
    power.get_by_test_id("wire-gauge").select_option("awg22")
    expect(power.get_by_test_id("wire-drop")).not_to_contain_text("0.8 %")
    power.get_by_test_id("wire-fuse").select_option("")
    saved(power)
    look_away(power)
    expect(wrong(power, "no fuse")).to_be_visible()
    expect(wrong(power, "thin enough to break")).to_be_visible()
    with power.expect_download() as download:
        power.get_by_test_id("buy-csv").click()
    text = download.value.path().read_text(encoding="utf-8")
    assert text.splitlines()[0] == "what,size,count,length_m,note"
    assert "AWG 22" in text


def test_duty_draw_and_day_change_what_is_left(power: Page) -> None:
    left = power.get_by_test_id("power-left")
    before = left.inner_text()
    power.get_by_label(f"{SCREEN}: draw", exact=True).fill("30")
    power.keyboard.press("Tab")
    expect(left).not_to_have_text(before)
    saved(power)
    before = left.inner_text()
    power.get_by_label(f"{SCREEN}, Fishing: percent on").fill("20")
    power.keyboard.press("Tab")
    expect(left).not_to_have_text(before)
    power.get_by_label("Fishing: hours", exact=True).fill("40.5")
    power.keyboard.press("Tab")
    expect(power.get_by_role("heading", name="The day, 41.5 h")).to_be_visible()
    saved(power)
    power.get_by_test_id("power-left").click()
    expect(power.get_by_text("What is left at the day's end")).to_be_visible()


def test_the_monitor_finds_the_bad_joint_and_what_it_measured_is_used(power: Page) -> None:
    for phase in ("Way out", "Fishing", "Way home"):  # on and off, so that the current steps
        power.get_by_label(f"{SCREEN}, {phase}: percent on").fill("50")
        power.keyboard.press("Tab")
    saved(power)
    panel = power.get_by_test_id("monitor")
    expect(panel).to_contain_text("The box is live")
    power.get_by_test_id("play-fault").select_option("joint")
    power.get_by_test_id("play-speed").select_option("120")
    power.route("**/monitor/play", lambda route: route.abort())
    power.get_by_test_id("play").click()
    expect(panel.get_by_role("alert")).to_have_text("The server cannot be reached.")
    power.unroute("**/monitor/play")
    power.get_by_test_id("play").click()
    expect(panel.get_by_role("alert")).to_have_count(0)
    expect(power.get_by_test_id("measured-5")).to_contain_text("±")
    expect(panel).to_contain_text("look for a green joint")
    power.get_by_test_id("use-measured").click()
    saved(power)
    expect(power.get_by_test_id("undo")).to_have_attribute("title", re.compile("Battery 20 Ah"))
    row = power.get_by_role("region", name="Batteries").locator("tbody tr").first
    measured = row.inner_text()
    power.get_by_test_id("undo").click()
    expect(row).not_to_have_text(measured)


def test_two_readings_by_hand(power: Page) -> None:
    for field, value in (("rest_v", "13.2"), ("load_v", "12.9"), ("load_a", "5")):
        power.get_by_test_id(field).fill(value)
    power.get_by_test_id("two-readings").click()
    expect(power.get_by_test_id("found")).to_contain_text("60 mΩ")
    power.get_by_test_id("load_a").fill("0")
    power.get_by_test_id("two-readings").click()
    expect(power.get_by_test_id("monitor")).to_contain_text("must differ from the current")


def test_the_sonar_screen_tells_what_is_seen(power: Page, server: Server) -> None:
    power.goto(f"{server.url}/sonar")
    wide = power.get_by_test_id("sonar-wide")
    expect(wide).to_contain_text("137 cm")
    power.get_by_test_id("sonar-cone").fill("40")
    power.keyboard.press("Tab")
    expect(wide).to_contain_text("283 cm")
    power.get_by_test_id("sonar-mount").select_option("inside")
    saved(power)
    expect(power.locator(".sonar")).to_contain_text("shows the hull's temperature")
    power.get_by_test_id("sonar-depth").fill("10 m")
    power.keyboard.press("Tab")
    expect(wide).to_contain_text("720 cm")
    power.get_by_test_id("sonar-depth").fill("-1 m")  # no depth: told, and never drawn
    power.keyboard.press("Tab")
    expect(power.get_by_test_id("banner")).to_contain_text("Water depth: must be")
    expect(power.locator(".sonar")).to_contain_text("bottom at 1000 cm")


def test_own_moments_and_cycles(power: Page) -> None:
    table = power.get_by_role("region", name="Moments")
    power.get_by_test_id("add-moment").click()
    row = power.get_by_test_id("own-moment")
    expect(row).to_contain_text("V")
    cell = power.get_by_label(f"Moment 1, {SCREEN}: percent of full")
    before = row.inner_text()
    cell.fill("900")
    power.keyboard.press("Tab")
    expect(row).not_to_have_text(before)
    cell.fill("")
    power.keyboard.press("Tab")
    expect(row).to_contain_text("off")
    power.get_by_label("Name of Moment 1").fill("Night")
    power.keyboard.press("Tab")
    expect(power.get_by_label("Name of Night")).to_be_visible()
    power.get_by_role("button", name="Remove Night").click()
    expect(table.get_by_test_id("own-moment")).to_have_count(0)
    left = power.get_by_test_id("power-left")
    before = left.inner_text()
    power.get_by_label(f"{SCREEN}: minutes on and off in turn, as 3/12").fill("3/12")
    power.keyboard.press("Tab")
    expect(left).not_to_have_text(before)
    saved(power)
