"""Glide and Hold as a person walks them: a crate and what it costs, the motor against the wind, the
anchor by the stern and the way to the bow."""

import re
from typing import Any

import pytest
from playwright.sync_api import Page, expect
from tests.browser.arriving import saved
from tests.browser.asking import ask
from tests.browser.test_bench import aboard, shelf
from tests.browser.test_findings import card
from tests.servers import Server

CRATE = 9


def figure(page: Page, testid: str) -> float:
    """The first number of a figure."""
    found = re.search(r"-?\d+\.?\d*", page.get_by_test_id(testid).inner_text())
    assert found is not None
    return float(found[0])


def slide(page: Page, testid: str, value: str) -> None:
    """Set a slider, as a hand that lets go of it."""
    page.get_by_test_id(testid).fill(value)
    saved(page)


def test_a_crate_put_ashore_makes_it_quicker_and_back_aboard_slower(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/bench")
    watched.get_by_role("link", name="Afloat").click()
    watched.get_by_role("link", name="Glide").click()
    expect(watched.get_by_test_id("resistance")).to_be_visible()
    with_crate, extra = figure(watched, "glide-pace"), figure(watched, "extra")
    watched.get_by_role("link", name="Bench").click()
    aboard(watched, CRATE).click()
    watched.keyboard.press("a")
    expect(shelf(watched, CRATE)).to_be_visible()
    saved(watched)
    watched.goto(f"{server.url}/glide")
    expect(watched.get_by_test_id("glide-pace")).not_to_contain_text(f"{with_crate:.1f}")
    assert figure(watched, "glide-pace") < with_crate
    assert figure(watched, "extra") < extra
    watched.get_by_test_id("undo").click()
    expect(watched.get_by_test_id("glide-pace")).to_contain_text(f"{with_crate:.1f}")


def test_a_slider_is_tried_as_it_slides_and_kept_where_it_is_let_go(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/glide")
    before = figure(watched, "glide-speed")
    slide(watched, "effort", "120")
    expect(watched.get_by_test_id("answer")).to_contain_text("at 120 W")
    assert figure(watched, "glide-speed") > before
    expect(watched.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change the setup")
    watched.reload()
    expect(watched.get_by_test_id("effort")).to_have_value("120")


def test_each_part_lays_itself_open_and_another_setup_lies_beside(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/glide")
    watched.get_by_test_id("costs").get_by_role("button", name="Waves").click()
    expect(watched.get_by_test_id("how-rows")).to_contain_text("Froude number")
    watched.keyboard.press("Escape")
    watched.get_by_test_id("beside").select_option(label="Bare Reed Lake")
    expect(watched.locator('[data-testid="resistance"] .other')).to_have_count(1)


def test_what_is_lifted_costs_nothing_and_comes_down_again(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/glide")
    up = watched.get_by_role("button", name="Transducer: up, or laid down, on the way")
    up.click()
    down = watched.get_by_role("button", name="Transducer: down again")
    expect(down).to_be_visible()
    expect(up).to_have_count(0)
    down.click()
    expect(up).to_be_visible()


@pytest.fixture
def motored(watched: Page, server: Server) -> Page:
    """The Glide screen, with a motor at the stern and a battery for it."""
    new: list[int] = []
    for thing in (
        {"name": "Shaft motor", "shape": "pole", "mass_kg": 8.0, "length_m": 0.9, "width_m": 0.1,
         "height_m": 0.1, "motor": {"thrust_n": 150}, "draw": {"watts": 360}},
        {"name": "Big battery", "shape": "box", "mass_kg": 6.0, "length_m": 0.2, "width_m": 0.17,
         "height_m": 0.2, "battery": {"chemistry": "lifepo4", "capacity_ah": 50}},
    ):  # fmt: skip
        state = ask(server, "setups/1")
        body: dict[str, Any] = {"revision": state["revision"],
                                "thing": {"evidence": "guess"} | thing}  # fmt: skip
        state = ask(server, "setups/1/things", "POST", body)
        new.append(max(int(key) for key in state["setup"]["things"]))
        place = {"x_m": 0.3 if len(new) == 1 else 1.2, "y_m": 0.0, "z_m": 0.5, "turn_deg": 0.0,
                 "tilt_deg": 0.0}  # fmt: skip
        body = {"revision": state["revision"], "place": place}
        ask(server, f"setups/1/places/{new[-1]}", "PUT", body)
    watched.goto(f"{server.url}/glide")
    expect(watched.get_by_test_id("motor-card")).to_contain_text("Shaft motor")
    return watched


def test_the_range_of_a_motor_shrinks_against_the_wind(motored: Page) -> None:
    expect(motored.get_by_test_id("range-ring")).to_be_visible()
    calm, before = figure(motored, "turn-back"), motored.get_by_test_id("turn-back").inner_text()
    slide(motored, "wind", "8")
    expect(motored.get_by_test_id("turn-back")).not_to_have_text(before)
    assert figure(motored, "turn-back") < calm
    slide(motored, "wind", "15")
    slide(motored, "motor-step", "0.4")
    expect(motored.locator(".found")).to_contain_text("no way over ground")


def test_a_timed_run_gives_the_efficiency(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/glide")
    watched.get_by_test_id("run-start").click()
    tests = watched.get_by_test_id("glide-tests")
    expect(tests).to_contain_text("efficiency")
    watched.get_by_test_id("run-use").click()
    expect(tests).to_contain_text("In use:")


def test_anchored_by_the_stern_the_finding_leads_to_the_bow(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/hold")
    bow = figure(watched, "hold-pull")
    watched.get_by_test_id("to-stern").click()
    expect(watched.get_by_test_id("hold-how")).to_contain_text("off its stern")
    expect(watched.locator(".found")).to_contain_text("Held by the stern")
    assert figure(watched, "hold-pull") > bow
    watched.get_by_role("link", name="Bench").click()
    one = card(watched, "hold-by-the-stern")
    one.locator(".head").click()
    one.get_by_test_id("try").click()
    expect(one.get_by_test_id("apply")).to_be_visible()
    one.get_by_test_id("apply").click()
    expect(one).to_have_count(0)
    watched.goto(f"{server.url}/hold")
    expect(watched.get_by_test_id("hold-how")).to_contain_text("off its bow")


def test_the_ring_is_dragged_along_the_boat_and_the_boat_turns(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/hold")
    ring, hull = watched.get_by_test_id("hold-ring"), watched.get_by_test_id("hold-hull")
    expect(hull).to_have_attribute("transform", re.compile(r"rotate\((0|360)"))
    box = ring.bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    watched.mouse.move(x, y)
    watched.mouse.down()
    watched.mouse.move(x, y + 40, steps=4)
    watched.mouse.move(x, y + 86, steps=4)
    expect(hull).not_to_have_attribute("transform", re.compile(r"rotate\((0|360)"))
    watched.mouse.up()
    saved(watched)
    expect(watched.locator(".found")).to_contain_text("off its bow")
    ring.focus()
    held = ring.get_attribute("aria-valuenow") or ""
    watched.keyboard.press("ArrowUp")
    expect(ring).not_to_have_attribute("aria-valuenow", held)


def test_a_trolley_says_where_its_rope_runs_and_by_the_side_is_never(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/hold")
    expect(watched.get_by_test_id("by-the-side")).to_contain_text("never")
    watched.get_by_test_id("trolley").check()
    expect(watched.locator(".hold")).to_contain_text("Within reach from the seat.")
    watched.get_by_test_id("hold-bottom").select_option("mud")
    expect(watched.locator(".answer")).to_contain_text("in mud")
