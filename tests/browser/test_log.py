"""The log as it is walked: trips told on a phone, what they teach taken over, lists, and the page
that is taken along."""

import json
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, Route, expect
from tests.browser.arriving import saved
from tests.servers import Server

PHONE = {"width": 390, "height": 844}
BATTERY, SPARE_ROD, ANCHOR, TRAY, SCREEN = 5, 10, 12, 14, 6


@pytest.fixture
def phone(watched: Page) -> Page:
    """The bench at 390 wide."""
    watched.set_viewport_size({"width": PHONE["width"], "height": PHONE["height"]})
    return watched


def log(page: Page, server: Server, part: str = "trips") -> None:
    """The screen, once it has its answer."""
    page.goto(f"{server.url}/log?part={part}")
    expect(page.get_by_test_id("trip-count")).to_be_visible()


def without_trips(server: Server) -> None:
    """As if nothing had been told yet."""
    import urllib.request

    url = f"{server.url}/api/v1/setups/1/log"
    for row in json.load(urllib.request.urlopen(url))["trips"]:
        gone = urllib.request.Request(f"{url}/trips/{row['trip_id']}", method="DELETE")
        urllib.request.urlopen(gone)


def tell(page: Page, day: str, hours: str, left: str, uses: dict[int, str]) -> None:
    """A trip by thumb."""
    page.get_by_test_id("tell").click()
    page.get_by_test_id("trip-day").fill(day)
    page.get_by_test_id("trip-hours").fill(hours)
    page.get_by_test_id(f"left-{BATTERY}").select_option(left)
    for thing, often in uses.items():
        page.get_by_test_id(f"uses-{thing}-{often}").click()
    page.get_by_test_id("save-trip").click()
    expect(page.get_by_test_id("trip-form")).to_have_count(0)


def test_trips_told_by_phone_offer_an_item_ashore_and_measure_a_draw(
    phone: Page, server: Server
) -> None:
    without_trips(server)
    log(phone, server, "learned")
    expect(phone.get_by_text("Not enough trips: from three on")).to_be_visible()
    log(phone, server)
    expect(phone.get_by_text("No trips yet.")).to_be_visible()
    for n in range(1, 6):
        tell(phone, f"2026-05-{n:02d}", "5", "0.25", {SPARE_ROD: "0", TRAY: "more"})
    expect(phone.get_by_test_id("trip-count")).to_have_text("5")
    phone.get_by_text("Learned", exact=True).click()
    row = phone.get_by_test_id(f"unused-{SPARE_ROD}")
    expect(row).to_contain_text("the last 5 trips")
    assert phone.evaluate("document.querySelector('.screen').scrollWidth") <= PHONE["width"]
    phone.get_by_test_id("take-draw").click()
    saved(phone)
    expect(phone.get_by_test_id("take-draw")).to_have_count(0)
    row.get_by_role("button", name="Leave ashore").click()
    saved(phone)
    expect(row).to_have_count(0)
    phone.get_by_test_id("undo").click()
    expect(row).to_be_visible()
    expect(phone.get_by_test_id("trip-count")).to_have_text("5")


def test_thumbs_find_every_tap(phone: Page, server: Server) -> None:
    log(phone, server)
    phone.get_by_test_id("tell").click()
    small = (
        phone.get_by_test_id("trip-form")
        .locator("button")
        .evaluate_all(
            "all => all.filter((one) => one.getBoundingClientRect().height < 44"
            " || one.getBoundingClientRect().width < 44).map((one) => one.textContent)"
        )
    )
    assert small == []


def test_a_trip_that_is_being_told_outlives_reload_and_dead_spot(
    phone: Page, server: Server
) -> None:
    log(phone, server)
    count = phone.get_by_test_id("trip-count").inner_text()
    phone.get_by_test_id("tell").click()
    phone.get_by_test_id("trip-day").fill("2026-05-20")
    phone.get_by_test_id("trip-hours").fill("4.5")
    phone.get_by_test_id(f"uses-{ANCHOR}-1-3").click()
    phone.reload()
    phone.get_by_test_id("tell").click()
    pressed = phone.get_by_test_id(f"uses-{ANCHOR}-1-3")
    expect(pressed).to_have_attribute("aria-pressed", "true")
    expect(phone.get_by_test_id("trip-hours")).to_have_value("4.5")

    def dead(route: Route) -> None:
        route.abort("internetdisconnected")

    phone.context.route("**/log/trips*", dead)
    phone.context.set_offline(True)
    phone.get_by_test_id("save-trip").click()
    expect(phone.get_by_text("Not sent yet")).to_be_visible()
    phone.context.unroute("**/log/trips*", dead)
    phone.context.set_offline(False)
    expect(phone.get_by_test_id("trip-count")).to_have_text(str(int(count) + 1))
    # Twice pressed is once gone, and the same one told again is asked about.
    phone.get_by_test_id("tell").click()
    phone.get_by_test_id("trip-day").fill("2026-05-20")
    phone.get_by_test_id("trip-hours").fill("4.6")
    phone.get_by_test_id("save-trip").click()
    expect(phone.get_by_role("alertdialog")).to_contain_text("2026-05-20")
    phone.get_by_role("button", name="Same one: discard").click()
    expect(phone.get_by_test_id("trip-count")).to_have_text(str(int(count) + 1))


def test_a_trip_without_hours_says_so_and_keeps_what_was_typed(
    watched: Page, server: Server
) -> None:
    log(watched, server)
    watched.get_by_test_id("tell").click()
    watched.get_by_test_id("trip-where").fill("Alder Reach")
    watched.get_by_test_id("save-trip").click()
    expect(watched.get_by_text("Say how many hours")).to_be_visible()
    watched.get_by_test_id("trip-hours").fill("100")
    watched.get_by_test_id("save-trip").click()
    expect(watched.get_by_role("alert")).to_contain_text("hours")
    expect(watched.get_by_test_id("trip-where")).to_have_value("Alder Reach")


def test_what_the_log_says_is_offered_where_it_counts(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/power")
    note = watched.get_by_test_id("learned-draws")
    note.get_by_role("button", name="Use measured").click()
    saved(watched)
    expect(note).to_have_count(0)
    watched.goto(f"{server.url}/fixing")
    note = watched.get_by_test_id("learned-proved")
    note.get_by_role("button").click()
    saved(watched)
    expect(note).to_have_count(0)
    watched.goto(f"{server.url}/gear")
    note = watched.get_by_test_id("learned-uses")
    expect(note).to_contain_text("Tackle tray")
    note.get_by_role("button", name="Tackle tray").click()
    saved(watched)
    expect(note).not_to_contain_text("Tackle tray")
    watched.get_by_test_id("undo").click()
    expect(note).to_contain_text("Tackle tray")


def test_care_is_done_and_no_longer_due(watched: Page, server: Server) -> None:
    log(watched, server, "care")
    row = watched.get_by_test_id("care-drive:2")
    expect(row).to_contain_text("2026-08-08")
    row.get_by_role("button", name="Done today").click()
    expect(row).to_contain_text("0 trips, 0 h")
    watched.get_by_label("What else").fill("Wax the cords")
    watched.get_by_label("Every so many trips").fill("30")
    watched.get_by_role("button", name="Add", exact=True).click()
    expect(watched.get_by_test_id("care")).to_contain_text("Wax the cords")


def test_a_list_is_ticked_kept_and_has_lines_of_ones_own(phone: Page, server: Server) -> None:
    log(phone, server, "lists")
    phone.get_by_test_id("list-launch").click()
    phone.get_by_role("checkbox", name="Drain plug in, hand-tight").check()
    phone.get_by_test_id("own-line").fill("Dog aboard")
    phone.get_by_role("button", name="Add", exact=True).click()
    phone.get_by_role("checkbox", name="Dog aboard").check()
    phone.get_by_role("button", name="Hide Float plan left with a person").click()
    expect(phone.get_by_role("checkbox", name="Float plan left with a person")).to_have_count(0)
    phone.reload()
    phone.get_by_test_id("list-launch").click()
    expect(phone.get_by_role("checkbox", name="Drain plug in, hand-tight")).to_be_checked()
    expect(phone.get_by_role("checkbox", name="Dog aboard")).to_be_checked()
    phone.get_by_role("checkbox", name="show hidden lines").check()
    expect(phone.get_by_role("checkbox", name="Float plan left with a person")).to_be_visible()


def test_the_page_taken_along_works_without_a_network_and_brings_its_result_back(
    watched: Page, server: Server, browser: Browser, tmp_path: Path
) -> None:
    log(watched, server, "lists")
    with watched.expect_download() as going:
        watched.get_by_test_id("take-along").click()
    file = tmp_path / "along.html"
    going.value.save_as(file)
    away = browser.new_context(viewport={"width": 390, "height": 844}, offline=True)
    page = away.new_page()
    asked: list[str] = []
    page.on("request", lambda one: asked.append(one.url))
    page.goto(file.as_uri())
    assert page.evaluate("document.documentElement.scrollWidth") <= PHONE["width"]
    page.get_by_label("Drain plug in, hand-tight").check()
    anchor = page.get_by_role("group", name="Anchor with 40 m line")
    anchor.get_by_label("1–3").check()
    anchor.get_by_label("out of reach").check()
    net = page.get_by_role("group", name="Tackle tray")
    net.get_by_label("0", exact=True).check()
    net.get_by_label("0", exact=True).click()
    page.get_by_label("Hours on the water").fill("3.5")
    page.get_by_label("Day").fill("2026-05-21")
    page.reload()
    expect(page.get_by_label("Drain plug in, hand-tight")).to_be_checked()
    expect(anchor.get_by_label("1–3")).to_be_checked()
    expect(net.get_by_label("0", exact=True)).not_to_be_checked()
    page.get_by_label("PFD: on, and closed").check()
    page.get_by_role("button", name="Copy result").click()
    text = page.locator("#result").input_value()
    assert asked == [file.as_uri()] * 2, "it asks for nothing but itself"
    away.close()
    watched.get_by_test_id("result").fill(text)
    watched.get_by_test_id("read-result").click()
    expect(watched.get_by_text("The trip and its ticks are in.")).to_be_visible()
    watched.get_by_text("Trips", exact=True).click()
    expect(watched.get_by_role("row", name="2026-05-21")).to_contain_text("1 of 1")
    watched.goto(f"{server.url}/log?part=lists")
    watched.get_by_test_id("list-launch").click()
    expect(watched.get_by_role("checkbox", name="PFD: on, and closed")).to_be_checked()
    watched.get_by_test_id("result").fill("Neat Hull trip 1\nday: soon")
    watched.get_by_test_id("read-result").click()
    expect(watched.get_by_role("alert")).to_be_visible()
    expect(watched.get_by_test_id("result")).to_have_value("Neat Hull trip 1\nday: soon")


def test_the_page_opened_from_the_server_runs_its_own_script_alone(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/api/v1/setups/1/lists/take-along.html?show=true")
    watched.get_by_role("checkbox", name="Drain plug in, hand-tight").check()
    watched.reload()
    expect(watched.get_by_role("checkbox", name="Drain plug in, hand-tight")).to_be_checked()


def test_the_log_goes_out_and_what_is_there_already_is_asked_about(
    watched: Page, server: Server, tmp_path: Path
) -> None:
    log(watched, server)
    with watched.expect_download() as going:
        watched.get_by_role("link", name="Export CSV").click()
    file = tmp_path / "log.csv"
    going.value.save_as(file)
    other = "\r\n99,2026-05-22,,2.0,Alder Reach,fresh,,,Reed Lake dawn,,,,,,,,,,,,"
    file.write_text(file.read_text(encoding="utf-8").rstrip() + other, encoding="utf-8")
    watched.get_by_test_id("log-import").set_input_files(file)
    plan = watched.get_by_test_id("import-plan")
    expect(plan).to_contain_text("15 trips in the file, 14 of them look like")
    plan.get_by_role("button", name="Import 1").click()
    expect(watched.get_by_test_id("trip-count")).to_have_text("15")
    watched.get_by_test_id("log-import").set_input_files(
        {"name": "x.json", "mimeType": "application/json", "buffer": b"{"}
    )
    expect(watched.get_by_role("alert")).to_contain_text("is not JSON")


def test_a_trip_that_is_there_is_changed_where_it_was_changed(
    watched: Page, server: Server
) -> None:
    log(watched, server)
    row = watched.get_by_role("row", name="2026-10-10")
    row.get_by_role("button", name="Change").click()
    form = watched.get_by_test_id("trip-form")
    expect(watched.get_by_test_id("trip-hours")).to_have_value("5")
    watched.get_by_test_id("trip-hours").fill("5.5")
    watched.get_by_test_id(f"uses-{ANCHOR}-0").click()
    watched.get_by_test_id("save-trip").click()
    expect(form).to_have_count(0)
    expect(row).to_contain_text("5.5")
    expect(row).to_contain_text("10 of 11")
    row.get_by_role("button", name="Delete").click()
    expect(row).to_be_visible()
    row.get_by_role("button", name="Delete").click()
    expect(row).to_have_count(0)
