"""Nothing typed is lost: at any speed, with answers that come late, offline, over a reload."""

import re
from collections.abc import Callable
from typing import Any

import pytest
from playwright.sync_api import Dialog, Page, Route, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask
from tests.browser.conftest import PATIENCE_MS
from tests.servers import Server

CRATE, SEAT = 9, 1
LOOK_MS = 50
# What the browser's driver asks itself goes over connections it has kept; the server may close one
# that was idle in the moment it is used again. A browser would ask once more; the driver if told.
RETRIES = 3


def kept(server: Server, setup_id: int = 1) -> Any:
    """What the server has."""
    return ask(server, f"setups/{setup_id}")["setup"]


def until(page: Page, true: Callable[[], bool]) -> None:
    """Wait for what the server is to have."""
    for _ in range(PATIENCE_MS // LOOK_MS):
        if true():
            return
        page.evaluate("(ms) => new Promise((done) => setTimeout(done, ms))", LOOK_MS)
    raise AssertionError("it never came to be")


LATE = """
const plain = window.fetch
window.fetch = async (...args) => {
  const [asked, how] = args
  const [url, method] = asked instanceof Request ? [asked.url, asked.method] : [asked, how?.method]
  const answer = await plain(...args)
  if (method && method !== 'GET' && !String(url).endsWith('/preview'))
    await new Promise((done) => setTimeout(done, MS))
  return answer
}
"""


def slow(page: Page, ms: int) -> None:
    """Until it is loaded anew, answers to changes come so much later, as from a slow machine."""
    page.evaluate(f"() => {{ {LATE.replace('MS', str(ms))} }}")


def leave_all_the_same(page: Page) -> None:
    """Load it anew, whatever it says of what is not kept yet."""

    def leave(dialog: Dialog) -> None:
        dialog.accept()

    page.on("dialog", leave)
    page.reload()
    page.remove_listener("dialog", leave)


@pytest.fixture
def gear(watched: Page, server: Server) -> Page:
    """The locker's table."""
    watched.goto(f"{server.url}/gear")
    watched.locator(f'[data-gear="{CRATE}"]').wait_for()
    return watched


def test_a_name_and_the_mass_that_follows_are_both_kept(gear: Page, server: Server) -> None:
    slow(gear, 700)
    row = gear.locator(f'[data-gear="{CRATE}"]')
    row.locator('[data-cell="name"]').fill("Big box")
    row.locator('[data-cell="name"]').press("Tab")
    row.locator('[data-cell="mass"]').fill("5.25")
    row.locator('[data-cell="mass"]').press("Tab")
    saved(gear)
    thing = kept(server)["things"][str(CRATE)]
    assert (thing["name"], thing["mass_kg"]) == ("Big box", 5.25)


def test_four_flags_clicked_at_once_are_all_kept(gear: Page, server: Server) -> None:
    slow(gear, 500)
    flags = gear.locator(f'[data-gear="{CRATE}"] .flag input')
    before = [flags.nth(i).is_checked() for i in range(4)]
    for i in range(4):
        flags.nth(i).click()
    saved(gear)
    assert [flags.nth(i).is_checked() for i in range(4)] == [not on for on in before]
    gear.reload()
    gear.locator(f'[data-gear="{CRATE}"]').wait_for()
    assert [flags.nth(i).is_checked() for i in range(4)] == [not on for on in before]


def test_a_column_typed_down_keeps_each_figure(gear: Page, server: Server) -> None:
    slow(gear, 400)
    cells = gear.locator('[data-cell="mass"]')
    ids = [
        int(row.get_attribute("data-gear") or 0) for row in gear.locator("[data-gear]").all()[:3]
    ]
    cells.first.click()
    gear.keyboard.press("Control+A")
    for text in ("1.234", "2.345", "3.456"):
        gear.keyboard.type(text, delay=60)
        gear.keyboard.press("Enter")
    saved(gear)
    things = kept(server)["things"]
    assert [things[str(i)]["mass_kg"] for i in ids] == [1.234, 2.345, 3.456]


def test_five_fields_of_a_place_typed_at_once_are_kept(bench: Page, server: Server) -> None:
    slow(bench, 600)
    bench.locator(f'[data-aboard="{CRATE}"]').click()
    bench.get_by_test_id("place-editor").wait_for()
    before = kept(server)["places"][str(CRATE)]
    for field, text in (("from-bow", "255"), ("to-side", "7"), ("height", "41"), ("turn", "12")):
        bench.get_by_test_id(field).fill(text)
        bench.get_by_test_id(field).press("Tab")
    saved(bench)
    place = kept(server)["places"][str(CRATE)]
    shown = {field: bench.get_by_test_id(field).input_value() for field in ("from-bow", "height")}
    assert shown == {"from-bow": "255.0", "height": "41.0"}
    assert place["turn_deg"] == 12.0
    assert abs(place["y_m"]) == pytest.approx(0.07)
    assert place["x_m"] != before["x_m"]
    assert place["z_m"] != before["z_m"]


def stands_at(server: Server, thing_id: int) -> float:
    """From the stern, in m, whatever it stands on."""
    rows = ask(server, "setups/1")["figures"]["aboard"]
    return next(float(row["x_m"]) for row in rows if row["thing_id"] == thing_id)


def test_arrows_pressed_during_a_save_all_count(bench: Page, server: Server) -> None:
    slow(bench, 500)
    bench.locator(f'[data-aboard="{CRATE}"]').focus()
    before = stands_at(server, CRATE)
    for n in range(11):
        bench.keyboard.press("ArrowLeft")  # toward the bow, a centimetre
        if n in (3, 7):
            expect(bench.get_by_test_id("saved")).to_have_text("saving…")
    there = pytest.approx(before + 0.11)
    until(bench, lambda: stands_at(server, CRATE) == there)


def test_undo_is_of_the_arrow_pressed_just_before(bench: Page, server: Server) -> None:
    bench.locator(f'[data-aboard="{CRATE}"]').focus()
    before = stands_at(server, CRATE)
    bench.keyboard.press("ArrowLeft")
    there = pytest.approx(before + 0.01)
    until(bench, lambda: stands_at(server, CRATE) == there)
    saved(bench)
    bench.keyboard.press("ArrowLeft")
    bench.get_by_test_id("undo").click()  # within the moment that keys are gathered in
    expect(bench.get_by_test_id("redo")).to_be_enabled()
    saved(bench)
    assert stands_at(server, CRATE) == there


def test_what_is_typed_while_an_undo_is_on_its_way_is_no_quarrel(
    gear: Page, server: Server
) -> None:
    slow(gear, 700)
    mass = gear.locator(f'[data-gear="{CRATE}"] [data-cell="mass"]')
    mass.fill("5.25")
    mass.press("Tab")
    saved(gear)
    gear.get_by_test_id("undo").click()
    mass.fill("6.25")
    mass.press("Tab")
    saved(gear)
    assert kept(server)["things"][str(CRATE)]["mass_kg"] == 6.25
    expect(gear.get_by_test_id("unsent")).to_have_count(0)


def test_what_is_typed_right_after_what_is_refused_is_kept(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/day")
    watched.get_by_test_id("phase-hours-2").wait_for()
    slow(watched, 700)
    watched.get_by_test_id("phase-hours-1").fill("100")
    watched.get_by_test_id("phase-hours-1").press("Tab")
    watched.get_by_test_id("phase-hours-2").fill("2.5")
    watched.get_by_test_id("phase-hours-2").press("Tab")
    before = [phase["hours"] for phase in kept(server)["outing"]["phases"]]
    saved(watched)
    phases = kept(server)["outing"]["phases"]
    assert [phase["hours"] for phase in phases] == [*before[:2], 2.5, *before[3:]]


def test_what_is_changed_offline_is_listed_kept_over_a_reload_and_sent(
    gear: Page, server: Server
) -> None:
    gear.route("**/api/v1/**", lambda route: route.abort())
    for thing, text in ((CRATE, "5.5"), (SEAT, "4.5")):
        cell = gear.locator(f'[data-gear="{thing}"] [data-cell="mass"]')
        cell.fill(text)
        cell.press("Tab")
    expect(gear.get_by_test_id("unsent").get_by_role("listitem")).to_have_count(2)
    expect(gear.get_by_test_id("saved")).to_have_text("not saved")
    gear.unroute("**/api/v1/**")
    leave_all_the_same(gear)
    until(gear, lambda: kept(server)["things"][str(SEAT)]["mass_kg"] == 4.5)
    assert kept(server)["things"][str(CRATE)]["mass_kg"] == 5.5
    expect(gear.get_by_test_id("banner")).to_have_count(0)


@pytest.mark.parametrize("how", ["by itself", "at once"])
def test_a_page_that_nobody_answered_comes_when_the_server_is_back(
    gear: Page, server: Server, how: str
) -> None:
    gear.route("**/api/v1/**", lambda route: route.abort())
    gear.reload()
    expect(gear.get_by_test_id("banner")).to_contain_text("Your boats come as soon as it is back")
    gear.unroute("**/api/v1/**")
    if how == "at once":
        gear.get_by_test_id("banner-again").click()
    gear.locator(f'[data-gear="{CRATE}"]').wait_for()
    expect(gear.get_by_test_id("banner")).to_have_count(0)


def test_a_screen_that_nobody_answered_comes_when_the_server_is_back(
    watched: Page, server: Server
) -> None:
    watched.route("**/api/v1/setups/1/afloat", lambda route: route.abort())
    watched.goto(f"{server.url}/afloat")
    expect(watched.get_by_text("The server cannot be reached.")).to_have_count(1)
    watched.unroute("**/api/v1/setups/1/afloat")
    watched.get_by_test_id("righting-chart").wait_for()
    expect(watched.get_by_text("The server cannot be reached.")).to_have_count(0)


def test_what_a_closed_tab_left_is_sent_by_the_next(gear: Page, server: Server) -> None:
    gear.context.route("**/api/v1/**", lambda route: route.abort())
    cell = gear.locator(f'[data-gear="{CRATE}"] [data-cell="mass"]')
    cell.fill("5.5")
    cell.press("Tab")
    expect(gear.get_by_test_id("saved")).to_have_text("not saved")
    gear.context.unroute("**/api/v1/**")
    gear.close()
    other = gear.context.new_page()
    other.goto(f"{server.url}/gear")
    until(other, lambda: kept(server)["things"][str(CRATE)]["mass_kg"] == 5.5)
    expect(other.locator(f'[data-gear="{CRATE}"] [data-cell="mass"]')).to_have_value("5.50")
    assert not other.evaluate("Object.keys(localStorage).some((key) => key.includes('unsent'))")


def test_a_change_of_one_setup_is_not_made_to_another(bench: Page, server: Server) -> None:
    slow(bench, 900)
    bench.locator(f'[data-aboard="{CRATE}"]').focus()
    before = [kept(server, n)["places"] for n in (1, 2)]
    bench.keyboard.press("ArrowLeft")
    bench.get_by_test_id("setup").click()  # within the moment that keys are gathered in
    bench.get_by_role("menuitem").nth(1).click()
    name = kept(server, 2)["name"]
    expect(bench.get_by_test_id("setup")).to_contain_text(name)
    until(bench, lambda: kept(server, 1)["places"] != before[0])
    saved(bench)
    expect(bench.get_by_test_id("setup")).to_contain_text(name)  # and it stays there
    assert kept(server, 2)["places"] == before[1]


def test_an_arrow_pressed_before_a_reload_counts(bench: Page, server: Server) -> None:
    bench.locator(f'[data-aboard="{CRATE}"]').focus()
    before = kept(server)["places"][str(CRATE)]["x_m"]
    bench.keyboard.press("ArrowLeft")
    leave_all_the_same(bench)
    bench.get_by_test_id("trim").wait_for()
    until(
        bench,
        lambda: kept(server)["places"][str(CRATE)]["x_m"] == pytest.approx(before + 0.01),
    )


def test_the_same_field_changed_by_two_is_told_and_mine_can_be_put_over_it(
    gear: Page, server: Server
) -> None:
    edit = {"what": "thing", "id": CRATE, "fields": {"mass_kg": 7.0, "name": "Box"}}
    ask(server, "setups/2", "PATCH", {"edits": [edit]})
    cell = gear.locator(f'[data-gear="{CRATE}"] [data-cell="mass"]')
    cell.fill("5.5")
    cell.press("Tab")
    expect(gear.get_by_test_id("overtaken")).to_contain_text("7.0 now")
    expect(cell).to_have_value("7.00")
    gear.get_by_test_id("banner-mine").click()
    expect(cell).to_have_value("5.50")
    expect(gear.get_by_test_id("banner")).to_have_count(0)
    saved(gear)
    thing = kept(server)["things"][str(CRATE)]
    assert (thing["name"], thing["mass_kg"]) == ("Box", 5.5)


def test_undo_leaves_what_is_typed_in_a_form(bench: Page, server: Server) -> None:
    bench.locator(f'[data-aboard="{CRATE}"]').focus()
    bench.keyboard.press("ArrowLeft")
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", re.compile("Move Tackle crate"))
    bench.get_by_role("navigation", name="Groups of screens").get_by_text("Measure").click()
    bench.get_by_test_id("length_m").fill("370")
    bench.get_by_test_id("length_m").press("Tab")
    bench.get_by_test_id("undo").click()
    expect(bench.get_by_test_id("undo")).to_be_disabled()
    expect(bench.get_by_test_id("length_m")).to_have_value(re.compile(r"^370"))


def test_a_save_that_is_refused_leaves_what_was_typed(bench: Page, server: Server) -> None:
    slow(bench, 400)
    bench.get_by_role("navigation", name="Groups of screens").get_by_text("Measure").click()
    for field, text in (("hull_mass_kg", "399"), ("depth_m", "14")):
        bench.get_by_test_id(field).fill(text)
        bench.get_by_test_id(field).press("Tab")
    bench.get_by_test_id("save-boat").click()
    expect(bench.get_by_test_id("banner")).to_contain_text("does not float")
    expect(bench.get_by_test_id("hull_mass_kg")).to_have_value(re.compile("^399"))
    assert kept(server)["boat"]["hull_mass_kg"] == 33.5


def test_a_figure_typed_key_by_key_stands_as_it_was_typed(bench: Page, server: Server) -> None:
    bench.goto(f"{server.url}/log")
    bench.get_by_test_id("tell").click()
    hours = bench.get_by_test_id("trip-hours")
    hours.press_sequentially("2.5")
    expect(hours).to_have_value("2.5")


def capacities(setup: Any) -> list[float]:
    """Of all batteries, Ah."""
    return [one["battery"]["capacity_ah"] for one in setup["things"].values() if one["battery"]]


def test_what_is_no_number_stays_to_be_mended_and_takes_nothing_away(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/power")
    field = watched.get_by_label("Battery 20 Ah: capacity in Ah")
    assert capacities(kept(server)) == [20.0]
    field.fill("much")
    field.press("Tab")
    expect(field).to_have_attribute("aria-invalid", "true")
    expect(field).to_have_attribute("title", "“much” is no number.")
    expect(field).to_have_value("much")
    assert capacities(kept(server)) == [20.0]
    field.fill("24,5")
    field.press("Tab")
    expect(field).not_to_have_attribute("aria-invalid", "true")
    saved(watched)
    assert capacities(kept(server)) == [24.5]


@pytest.mark.parametrize(
    ("at", "first", "text", "second", "keys", "field"),
    [
        ("day", "latitude", "61.5", "longitude", "-8.2", "outing.longitude_deg"),
        ("money", "currency", "kr", "trips", "14", "money.trips"),
        ("hold", "hold-depth", "6", "hold-scope", "7.5", "demands.scope"),
    ],
)
def test_what_is_typed_while_an_answer_comes_stays(
    bench: Page, server: Server, at: str, first: str, text: str, second: str, keys: str, field: str
) -> None:
    held: list[Route] = []

    def hold_the_first(route: Route) -> None:
        if held or route.request.method != "PATCH":
            route.continue_()
        else:
            held.append(route)

    bench.goto(f"{server.url}/{at}")
    if at == "day":
        bench.get_by_text("Where, for the sun").click()
    bench.route("**/api/v1/setups/1", hold_the_first)
    bench.get_by_test_id(first).fill(text)
    bench.get_by_test_id(first).press("Tab")
    typed = bench.get_by_test_id(second)
    typed.press("Control+a")
    typed.press_sequentially(keys)
    until(bench, lambda: bool(held))
    with bench.expect_response(lambda answer: answer.request.method == "PATCH"):
        held[0].continue_()
    saved(bench)
    expect(typed).to_have_value(keys)
    typed.press("Tab")
    section, name = field.split(".")
    until(bench, lambda: kept(server)[section][name] == float(keys))


@pytest.mark.parametrize(
    ("group", "screen", "field", "keys", "kept_as"),
    [
        ("Ashore", "Money", "trips", "14", "money.trips"),
        ("Afloat", "Hold", "hold-depth", "7", "demands.depth_m"),
    ],
)
def test_what_stands_in_a_field_is_kept_on_the_way_back(
    bench: Page, server: Server, group: str, screen: str, field: str, keys: str, kept_as: str
) -> None:
    bench.get_by_role("navigation", name="Groups of screens").get_by_text(group).click()
    bench.get_by_role("navigation", name="Screens", exact=True).get_by_text(screen).click()
    bench.get_by_test_id(field).press("Control+a")
    bench.get_by_test_id(field).press_sequentially(keys)
    bench.go_back()
    section, name = kept_as.split(".")
    until(bench, lambda: kept(server)[section][name] == float(keys))


def lose_the_first_answer(page: Page, method: str, at: str, broken: bool = False) -> None:
    """It is done over there, and nothing of that comes back, or that something is `broken`."""
    lost: list[str] = []

    def lose(route: Route) -> None:
        if route.request.method != method or lost:
            route.fallback()
            return
        lost.append(route.request.url)
        route.fetch(max_retries=RETRIES)
        if broken:
            route.fulfill(status=502, body="Bad gateway")
        else:
            route.abort()

    page.route(f"**/api/v1/setups/1{at}", lose)


def test_an_undo_whose_answer_is_lost_is_done_once(bench: Page, server: Server) -> None:
    bench.locator(f'[data-aboard="{CRATE}"]').focus()
    stood = [stands_at(server, CRATE)]
    for _ in range(2):
        bench.keyboard.press("ArrowLeft")
        until(bench, lambda: stands_at(server, CRATE) != stood[-1])
        stood.append(stands_at(server, CRATE))
    lose_the_first_answer(bench, "POST", "/undo")
    bench.get_by_test_id("undo").click()
    expect(bench.get_by_test_id("banner")).to_contain_text("cannot be reached")
    expect(bench.get_by_test_id("banner")).to_have_count(0)
    saved(bench)
    assert stands_at(server, CRATE) == stood[1]


@pytest.mark.parametrize("broken", [False, True])
def test_a_copy_whose_answer_is_lost_is_made_once(
    bench: Page, server: Server, broken: bool
) -> None:
    """And another of that name where one is asked for."""
    bench.get_by_test_id("setup").click()
    bench.get_by_test_id("all-setups").click()
    bench.get_by_test_id("setup-name").fill("Twin")
    lose_the_first_answer(bench, "POST", "/copy", broken)
    lost = "The server answered 502" if broken else "cannot be reached"
    for told, copies in ((lost, 1), ("Copied", 1), ("Copied", 2)):
        bench.get_by_test_id("setup-copy").click()
        expect(bench.get_by_role("dialog", name="Setups")).to_contain_text(told)
        twins = [one for one in ask(server, "setups") if one["name"] == "Twin"]
        assert len(twins) == copies


@pytest.mark.parametrize("loaded_anew", [False, True])
def test_a_change_behind_an_undo_whose_answer_is_lost_counts_from_where_that_led(
    bench: Page, server: Server, loaded_anew: bool
) -> None:
    bench.locator(f'[data-aboard="{CRATE}"]').click()
    field = bench.get_by_test_id("from-bow")
    stood = stands_at(server, CRATE)
    field.fill("250")
    field.press("Tab")
    until(bench, lambda: stands_at(server, CRATE) != stood)
    made: list[Route] = []

    def lost(route: Route) -> None:
        if not made:
            route.fetch(max_retries=RETRIES)
        made.append(route)
        route.abort()

    bench.route("**/undo", lost)
    bench.get_by_test_id("undo").click()
    expect(bench.get_by_test_id("banner")).to_contain_text("cannot be reached")
    field.fill("240")
    field.press("Tab")
    expect(bench.get_by_test_id("unsent").get_by_role("listitem")).to_have_count(2)
    bench.unroute("**/undo")
    if loaded_anew:
        leave_all_the_same(bench)
    saved(bench)
    expect(bench.get_by_test_id("banner")).to_have_count(0)
    assert stands_at(server, CRATE) != stood
    bench.get_by_test_id("undo").click()
    until(bench, lambda: stands_at(server, CRATE) == stood)


def test_gear_whose_answer_is_lost_before_a_reload_is_added_once(
    gear: Page, server: Server
) -> None:
    before = len(kept(server)["things"])
    lose_the_first_answer(gear, "PUT", "/things")
    gear.get_by_test_id("gear-catalog").click()
    gear.get_by_test_id("catalog").get_by_role("listitem").first.get_by_role("button").click()
    expect(gear.get_by_test_id("saved")).to_have_text("not saved")
    leave_all_the_same(gear)
    saved(gear)
    expect(gear.get_by_test_id("banner")).to_have_count(0)
    assert len(kept(server)["things"]) == before + 1


def test_what_is_kept_beside_a_setup_outlives_a_dead_spot_and_a_reload(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/money")
    sold = watched.get_by_test_id("ledger")
    sold.wait_for()
    watched.route("**/api/v1/**", lambda route: route.abort())
    for what in ("Cart, the first", "Cart, the second"):
        watched.get_by_test_id("other-what").fill(what)
        watched.get_by_test_id("other-what").press("Enter")
        expect(watched.get_by_test_id("other-what")).to_have_value("")
    expect(watched.get_by_test_id("unsent").get_by_role("listitem")).to_have_count(2)
    leave_all_the_same(watched)
    expect(watched.get_by_test_id("unsent").get_by_role("listitem")).to_have_count(2)
    watched.unroute("**/api/v1/**")
    for what in ("Cart, the first", "Cart, the second"):
        expect(sold.get_by_text(what)).to_have_count(1)
    expect(watched.get_by_test_id("banner")).to_have_count(0)


def test_a_line_whose_answer_is_lost_is_added_once(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/log?part=lists")
    watched.get_by_test_id("own-line").wait_for()
    lose_the_first_answer(watched, "POST", "/lists/pack/lines")
    watched.get_by_test_id("own-line").fill("Dog aboard")
    watched.get_by_test_id("own-line").press("Enter")
    expect(watched.get_by_test_id("banner")).to_contain_text("cannot be reached")
    expect(watched.get_by_test_id("banner")).to_have_count(0)
    expect(watched.get_by_role("checkbox", name="Dog aboard")).to_have_count(1)


def disk_full(page: Page, times: int) -> None:
    """From here on so many changes are answered with a full disk."""
    told = {"type": "about:blank", "title": "The data file cannot be used", "status": 503,
            "detail": "cannot be written: the disk is full; nothing was changed", "fields": [],
            "current": None}  # fmt: skip
    full: list[Route] = []

    def refuse(route: Route) -> None:
        if route.request.method != "PATCH" or len(full) == times:
            route.fallback()
            return
        full.append(route)
        route.fulfill(status=503, json=told)

    page.route("**/api/v1/setups/1", refuse)


def test_what_the_server_cannot_write_now_is_sent_again(gear: Page, server: Server) -> None:
    disk_full(gear, times=2)
    cell = gear.locator(f'[data-gear="{CRATE}"] [data-cell="mass"]')
    cell.fill("5.5")
    cell.press("Tab")
    expect(gear.get_by_test_id("banner")).to_contain_text("the disk is full")
    expect(gear.get_by_test_id("unsent").get_by_role("listitem")).to_have_count(1)
    expect(cell).to_have_value("5.50")
    expect(gear.get_by_test_id("banner")).to_have_count(0)
    assert kept(server)["things"][str(CRATE)]["mass_kg"] == 5.5


def test_what_cannot_be_written_and_is_discarded_is_told_no_more(
    gear: Page, server: Server
) -> None:
    before = kept(server)["things"][str(CRATE)]["mass_kg"]
    disk_full(gear, times=1000)
    cell = gear.locator(f'[data-gear="{CRATE}"] [data-cell="mass"]')
    cell.fill("5.5")
    cell.press("Tab")
    gear.get_by_test_id("unsent").get_by_role("button", name="Discard").click()
    expect(gear.get_by_test_id("banner")).to_have_count(0)
    expect(cell).to_have_value(f"{before:.2f}")
    assert kept(server)["things"][str(CRATE)]["mass_kg"] == before
