"""Safety as a person walks it: lines tied and cut, foam, a light blocked, a flare past its date,
and the page to leave with somebody."""

from pathlib import Path

from icalendar import Calendar
from playwright.sync_api import Page, Route, expect
from tests.browser.arriving import saved
from tests.browser.test_bench import aboard, shelf
from tests.browser.test_glide import figure
from tests.servers import Server

SPARE_ROD, PADDLE = 10, 17


def safety(page: Page, server: Server, part: str = "") -> None:
    """The screen, and one of its parts."""
    page.goto(f"{server.url}/safety")
    expect(page.get_by_test_id("schools")).to_be_visible()
    if part:
        page.get_by_text(part, exact=True).click()


def test_everything_tied_loses_nothing_and_tangles_and_few_lines_lose_a_little(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/bench")
    watched.get_by_role("link", name="Afloat").click()
    watched.get_by_role("link", name="Safety").click()
    expect(watched.get_by_test_id("schools")).to_be_visible()
    price, lines = figure(watched, "lost-price"), figure(watched, "in-legs")
    watched.get_by_role("button", name="Do it: tie everything").click()
    expect(watched.get_by_test_id("lost")).to_have_text("0")
    saved(watched)
    assert figure(watched, "in-legs") > lines
    expect(watched.get_by_role("img", name="lines with how far")).to_be_visible()
    watched.get_by_role("button", name="Do it: few lines").click()
    expect(watched.get_by_test_id("lost")).not_to_have_text("0")
    saved(watched)
    assert 0 < figure(watched, "lost-price") < price
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id("lost")).to_have_text("0")
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id("lost-price")).to_have_text(f"{price:g}")


def test_a_shorter_line_leaves_the_legs_alone(watched: Page, server: Server) -> None:
    safety(watched, server)
    lines = figure(watched, "in-legs")
    length = watched.get_by_test_id(f"leash-{PADDLE}")
    length.fill("10")
    length.press("Enter")
    expect(watched.get_by_test_id("in-legs")).to_have_text(f"{lines - 1:g}")
    watched.reload()
    expect(watched.get_by_test_id("in-legs")).to_have_text(f"{lines - 1:g}")


def test_two_things_said_of_a_line_at_once_are_both_kept(watched: Page, server: Server) -> None:
    safety(watched, server, "Lines")
    watched.get_by_test_id(f"tie-{SPARE_ROD}").check()
    row = watched.get_by_test_id("leashes").get_by_role("row").filter(
        has=watched.get_by_test_id(f"tie-{SPARE_ROD}")
    )  # fmt: skip
    row.get_by_role("combobox").select_option("cord")
    row.get_by_role("checkbox").last.check()
    saved(watched)
    expect(watched.get_by_test_id("banner")).to_have_count(0)
    watched.reload()
    expect(row.get_by_role("combobox")).to_have_value("cord")
    expect(row.get_by_role("checkbox").last).to_be_checked()
    row.get_by_role("combobox").select_option("coil")
    saved(watched)
    watched.reload()
    expect(row.get_by_role("combobox")).to_have_value("coil")
    expect(row.get_by_role("checkbox").last).to_be_checked()


def test_foam_lifts_the_full_boat_and_a_spare_plug_ends_its_finding(
    watched: Page, server: Server
) -> None:
    safety(watched, server, "Full of water")
    before = figure(watched, "reserve")
    over = watched.get_by_role("img", name="The boat full of water: it turns over")
    expect(over.locator("[transform]")).to_have_count(2)  # it is drawn over: the hull, its foam
    expect(watched.get_by_text("Full of water it turns over")).to_be_visible()
    watched.get_by_test_id("add-foam").click()
    expect(watched.get_by_test_id("reserve")).to_contain_text("kg")
    saved(watched)
    expect(watched.get_by_text("Full of water it floats")).to_have_count(0)
    expect(watched.get_by_test_id("reserve")).not_to_contain_text(f"{before:.1f}")
    assert figure(watched, "reserve") > before
    watched.get_by_text("What floats it when full").click()
    expect(watched.get_by_test_id("how-rows")).to_contain_text("walls of the hull")
    watched.keyboard.press("Escape")
    expect(watched.get_by_text("No spare drain plug")).to_be_visible()
    watched.get_by_test_id("spare-plug").check()
    expect(watched.get_by_text("No spare drain plug")).to_have_count(0)


def test_what_was_not_said_of_the_trip_is_named_until_it_is(watched: Page, server: Server) -> None:
    safety(watched, server, "Lines")
    expect(watched.get_by_test_id("unchecked")).to_contain_text("whether you go alone")
    watched.get_by_test_id("alone").select_option("alone")
    watched.get_by_test_id("air-temp").fill("2")
    watched.keyboard.press("Tab")
    saved(watched)
    expect(watched.get_by_test_id("unchecked")).not_to_contain_text("whether you go alone")
    expect(watched.get_by_text("No warm clothing: the air feels like")).to_be_visible()
    watched.get_by_test_id("water-temp").fill("9")
    watched.keyboard.press("Tab")
    saved(watched)
    expect(watched.get_by_text("No clothing for cold water")).to_be_visible()
    expect(watched.get_by_text("No warm clothing")).to_have_count(0)


def test_a_rod_before_the_light_is_named_and_ashore_it_blocks_nothing(
    watched: Page, server: Server
) -> None:
    safety(watched, server, "Who sees you")
    ring = watched.get_by_role("img", name="Bearings from which the light shows")
    expect(ring).to_contain_text("Spare rod")
    assert figure(watched, "blocked") > 0
    watched.get_by_role("link", name="Bench").click()
    aboard(watched, SPARE_ROD).click()
    watched.keyboard.press("a")
    expect(shelf(watched, SPARE_ROD)).to_be_visible()
    saved(watched)
    safety(watched, server, "Who sees you")
    expect(watched.get_by_test_id("blocked")).to_have_text("0°")
    expect(ring).not_to_contain_text("Spare rod")


def test_a_flare_past_its_date_stops_the_trip_and_the_calendar_is_saved(
    watched: Page, server: Server, tmp_path: Path
) -> None:
    safety(watched, server, "Dates")
    watched.get_by_test_id("date-kind").select_option("flare")
    watched.get_by_test_id("date-due").fill("2024-05-01")
    watched.get_by_test_id("add-date").click()
    expect(watched.get_by_role("row", name="The boat: flare")).to_be_visible()
    told = watched.get_by_role("listitem").filter(has_text="flare: out of date")
    expect(told).to_contain_text("No-go")
    with watched.expect_download() as download:
        watched.get_by_test_id("calendar").click()
    file = tmp_path / "dates.ics"
    download.value.save_as(file)
    events = Calendar.from_ical(file.read_bytes()).walk("VEVENT")
    assert {str(event["SUMMARY"]) for event in events} >= {"flare", "PFD: vest float test"}
    printed = watched.get_by_label("Date printed on the boat, flare")
    done = watched.get_by_label("The boat, flare, last done")
    with watched.expect_response(lambda one: "last_done" in (one.request.post_data or "")):
        printed.fill("2090-05-01")
        done.fill("2026-05-01")  # at once, before the first is answered
        done.blur()
    expect(told).to_have_count(0)
    watched.reload()
    watched.get_by_text("Dates", exact=True).click()
    expect(printed).to_have_value("2090-05-01")
    expect(done).to_have_value("2026-05-01")


def test_a_float_plan_is_kept_printed_alone_and_saved(
    watched: Page, server: Server, tmp_path: Path
) -> None:
    safety(watched, server, "Float plan")
    watched.get_by_test_id("plan-who").fill("Ilda Renn")
    watched.get_by_test_id("plan-call_at").fill("21:30")
    watched.get_by_test_id("plan-whom").fill("Ola, then the coast guard")
    watched.get_by_test_id("plan-whom").blur()
    page = watched.get_by_test_id("plan-page")
    expect(page).to_contain_text("CALL WHEN NOT BACK BY 21:30")
    expect(page).to_contain_text("Ola, then the coast guard")
    watched.emulate_media(media="print")
    expect(page).to_be_visible()
    expect(watched.get_by_test_id("plan-who")).to_be_hidden()
    expect(watched.get_by_test_id("leashes")).to_be_hidden()
    watched.emulate_media(media="screen")
    with watched.expect_download() as download:
        watched.get_by_test_id("save-plan").click()
    file = tmp_path / "plan.txt"
    download.value.save_as(file)
    assert "Ilda Renn" in file.read_text(encoding="utf-8")
    safety(watched, server, "Float plan")
    expect(watched.get_by_test_id("plan-who")).to_have_value("Ilda Renn")


def test_what_is_being_typed_stays_when_an_answer_comes(watched: Page, server: Server) -> None:
    safety(watched, server, "Float plan")
    expect(watched.get_by_test_id("plan-page")).to_be_visible()
    held: list[Route] = []

    def hold(route: Route) -> None:
        if route.request.method == "PATCH":
            held.append(route)
        else:
            route.fallback()

    watched.route("**/float-plan", hold)
    watched.get_by_test_id("plan-who").fill("Ilda Renn")
    watched.get_by_test_id("plan-note").press_sequentially("Two hats")
    expect(watched.get_by_test_id("plan-note")).to_be_focused()
    assert held
    held[0].continue_()
    expect(watched.get_by_test_id("plan-page")).to_contain_text("Ilda Renn")
    expect(watched.get_by_test_id("plan-note")).to_have_value("Two hats")


def test_for_the_surf_all_lies_down_and_what_is_to_do_is_ticked(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/safety")
    watched.get_by_text("Surf", exact=True).click()
    total = watched.get_by_test_id("surf-sum")
    expect(total).to_contain_text("Pedal drive and Rudder down")
    rod = watched.get_by_test_id("surf-7")
    expect(rod).to_contain_text("tip would snap")
    watched.get_by_label("Port rod in the surf").select_option("port")
    expect(rod).not_to_contain_text("tip would snap")
    watched.get_by_test_id("lie-down").click()
    expect(total).not_to_contain_text("Rudder down")
    expect(watched.get_by_test_id("surf-figures")).to_contain_text("Trim")
    step = watched.get_by_role("checkbox", name="Port rod: along the deck to port, tip at the bow")
    step.check()
    watched.reload()
    watched.get_by_text("Surf", exact=True).click()
    expect(step).to_be_checked()
    watched.get_by_role("button", name="As for fishing").click()
    expect(step).to_have_count(0)
    watched.get_by_test_id("undo").click()
    expect(step).to_be_checked()
