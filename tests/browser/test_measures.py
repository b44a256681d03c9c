"""Boat, angler and gear by number: real input in, nonsense refused by name, nothing lost."""

import re

from playwright.sync_api import Page, expect
from tests.servers import Server


def test_a_changed_measure_answers_live_and_is_saved(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/boat")
    draft = watched.get_by_test_id("boat-drafts")
    before = draft.inner_text()
    for field, text in (("beam_m", "80"), ("low_beam_m", "70")):
        watched.get_by_test_id(field).fill(text)
        watched.get_by_test_id(field).press("Tab")
    expect(draft).not_to_have_text(before)
    live = draft.inner_text()
    watched.get_by_test_id("save-boat").click()
    expect(watched.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change the boat")
    watched.reload()
    expect(draft).to_have_text(live)


def test_a_measure_no_boat_has_is_refused_by_name_and_the_saved_boat_stays(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/boat")
    watched.get_by_test_id("length_m").fill("0")
    watched.get_by_test_id("length_m").press("Tab")
    expect(watched.get_by_test_id("banner")).to_contain_text("Length")
    expect(watched.locator("form")).to_contain_text("a kayak's length lies between")
    watched.reload()
    expect(watched.get_by_test_id("length_m")).to_have_value("366.0")


def test_a_boat_that_could_not_float_its_load_is_refused(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/boat")
    watched.get_by_test_id("hull_mass_kg").fill("399")
    watched.get_by_test_id("hull_mass_kg").press("Tab")
    watched.get_by_test_id("depth_m").fill("14")
    watched.get_by_test_id("depth_m").press("Tab")
    watched.get_by_test_id("save-boat").click()
    expect(watched.get_by_test_id("banner")).to_contain_text("does not float")
    watched.reload()
    expect(watched.get_by_test_id("hull_mass_kg")).to_have_value("33.5")


def test_a_higher_seat_is_less_steady(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/angler")
    gm = watched.get_by_test_id("angler-gm")
    expect(gm).to_have_text(re.compile(r"\d+\.\d\u00a0cm"))
    low = float(gm.inner_text().split()[0])
    watched.get_by_test_id("seat-height").fill("35")
    watched.get_by_test_id("seat-height").press("Tab")
    expect(gm).not_to_have_text(f"{low:.1f}\u00a0cm")
    assert float(gm.inner_text().split()[0]) < low - 3
    watched.get_by_test_id("save-angler").click()
    expect(watched.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change the angler")


def test_a_thing_is_added_weighed_and_struck_off(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/gear")
    watched.get_by_test_id("gear-add").click()
    watched.get_by_label("Name", exact=True).fill("Sponge")
    watched.get_by_test_id("thing-mass").fill("0")
    watched.get_by_test_id("save-thing").click()
    expect(watched.get_by_role("dialog")).to_contain_text("must be more than 0")
    watched.get_by_test_id("thing-mass").fill("250 g")
    watched.get_by_test_id("save-thing").click()
    weight = watched.get_by_label("Weight of Sponge", exact=True)
    expect(weight).to_have_value("0.25")
    watched.get_by_label("All of Sponge").click()
    watched.get_by_role("button", name="Delete").click()
    expect(weight).to_have_count(0)
