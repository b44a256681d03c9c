"""Measure, test and ask: the boat made true, and what it then says afloat."""

import re
from pathlib import Path

from playwright.sync_api import Locator, Page, expect
from tests.servers import Server


def open_tab(page: Page, server: Server, name: str) -> None:
    """A part of the boat."""
    page.goto(f"{server.url}/boat")
    page.get_by_text(name, exact=True).click()


def fill(field: Locator, text: str) -> None:
    """Type and leave the field."""
    field.fill(text)
    field.press("Tab")


def figure(text: str) -> float:
    """The first number of a text."""
    found = re.search(r"-?\d+\.?\d*", text)
    assert found is not None
    return float(found[0])


def test_the_walk_leads_from_measure_to_measure_and_shows_the_tape(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/boat")
    expect(watched.get_by_test_id("walk")).to_contain_text("1 of 16")
    watched.get_by_test_id("walk-next").click()
    expect(watched.get_by_test_id("beam_m")).to_be_focused()
    expect(watched.get_by_test_id("measure-mark")).to_contain_text("88.0")
    fill(watched.get_by_test_id("beam_m"), "2'10\"")
    expect(watched.get_by_test_id("beam_m")).to_have_value("86.4")
    expect(watched.get_by_test_id("walk")).to_contain_text("3 of 16")  # Tab went on to the next


def test_a_transom_changes_the_lines_and_a_wide_one_is_refused(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/boat")
    before = watched.get_by_test_id("boat-drafts").inner_text()
    fill(watched.get_by_test_id("stern_beam_m"), "50")
    expect(watched.get_by_test_id("boat-drafts")).not_to_have_text(before)
    fill(watched.get_by_test_id("stern_beam_m"), "80")
    expect(watched.locator("form")).to_contain_text(
        "no wider than the boat a quarter from the stern"
    )


def test_a_tilt_test_from_the_box_changes_gm_and_its_band(watched: Page, server: Server) -> None:
    """The simulated boat has Δ·GM = 34 kg·m: at 157.3 kg all up, GM is about 21.6 cm."""
    open_tab(watched, server, "Tests afloat")
    gm = watched.get_by_test_id("boat-gm")
    before, band = gm.inner_text().split("±")
    watched.get_by_test_id("tilt-start").click()
    for offset in ("-30", "-15", "0", "15", "30"):
        fill(watched.get_by_test_id("tilt-offset"), offset)
        watched.get_by_test_id("box-move").click()
        expect(watched.get_by_test_id("box-take")).to_be_disabled()
        expect(watched.get_by_test_id("box-take")).to_be_enabled()
        watched.get_by_test_id("box-take").click()
    expect(watched.get_by_test_id("tilt-readings").get_by_role("row")).to_have_count(5)
    fit = watched.get_by_test_id("tilt-fit")
    expect(fit).to_contain_text("at 157.3\u00a0kg")
    assert abs(figure(fit.inner_text().replace("GM ", "")) - 21.6) < 1.2
    watched.locator('[data-testid="tilt-used"]').click()
    # A mismatch is told; the band narrows to what the test leaves either way.
    expect(watched.get_by_test_id("boat-confidence")).to_have_text(
        "estimate from a tape; no test afloat yet"
    )
    watched.get_by_test_id("save-boat").click()
    # Nothing is left to save: what the fit found is not laid over by what was typed before it.
    expect(watched.get_by_test_id("save-boat")).to_be_disabled()
    expect(watched.get_by_test_id("boat-confidence")).to_have_text("tested afloat")
    after, narrow = gm.inner_text().split("±")
    assert figure(narrow) < figure(band), fit.inner_text()
    assert (before, band) != (after, narrow)


def test_marks_no_such_boat_has_are_told_and_nothing_typed_is_lost(
    watched: Page, server: Server
) -> None:
    open_tab(watched, server, "Tests afloat")
    watched.get_by_test_id("float-start").click()
    fill(watched.get_by_test_id("mark-1"), "8")  # the gunwale almost under, amidships
    expect(watched.get_by_test_id("float-trouble")).to_contain_text("disagree too far")
    watched.locator('[data-testid="float-used"]').click()
    watched.get_by_test_id("save-boat").click()
    expect(watched.get_by_test_id("banner")).to_contain_text("Water marks")
    expect(watched.get_by_test_id("mark-1")).to_have_value("8.0")


def test_two_scales_set_weight_and_balance(watched: Page, server: Server) -> None:
    open_tab(watched, server, "Tests afloat")
    watched.get_by_test_id("lift-start").click()
    fill(watched.get_by_test_id("lift-bow"), "19")
    expect(watched.get_by_test_id("lift-fit")).to_contain_text("weighs 34.0\u00a0kg")


def test_a_fitting_is_added_and_kept(watched: Page, server: Server) -> None:
    open_tab(watched, server, "Fittings")
    watched.get_by_text("+ cleat").click()
    watched.get_by_label("From the bow", exact=True).fill("150")
    watched.get_by_label("From the bow", exact=True).press("Tab")
    watched.get_by_test_id("save-boat").click()
    expect(watched.get_by_test_id("undo")).to_have_attribute("title", "Undo: Change the boat")
    watched.reload()
    watched.get_by_text("Fittings", exact=True).click()
    expect(watched.locator("form")).to_contain_text("Cleat 1")


def test_offsets_are_read_from_a_file_and_bad_lines_named(
    watched: Page, server: Server, tmp_path: Path
) -> None:
    watched.goto(f"{server.url}/boat")
    bad = tmp_path / "bad.csv"
    bad.write_text("x_m,y_m,z_m\n0,0,0\n0,wide,0.3\n")
    watched.get_by_test_id("offsets").set_input_files(bad)
    expect(watched.get_by_role("alert")).to_contain_text("line 3: y is 'wide', which is no number")
    good = tmp_path / "good.csv"
    section = ((0, 0), (40, 0), (42, 38))
    rows = [f"{x},{y},{z}\n" for x in (0, 183, 366) for y, z in section]
    good.write_text("x_cm,y_cm,z_cm\n" + "".join(rows))
    watched.get_by_test_id("offsets").set_input_files(good)
    expect(watched.locator("form")).to_contain_text("3 measured stations stand in")


def test_a_measured_point_that_disagrees_shows_on_the_sections(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/boat")
    for label, text in (("From the bow", "190"), ("Off the middle", "30"), ("Height", "20")):
        watched.get_by_label(label, exact=True).fill(text)
    watched.get_by_test_id("add-point").click()
    expect(watched.locator(".point.off")).to_have_count(1)


def test_afloat_tells_the_worst_first_and_answers_to_other_numbers(
    watched: Page, server: Server
) -> None:
    watched.goto(f"{server.url}/afloat")
    rows = watched.locator("[data-demand]")
    expect(rows).to_have_count(17)
    expect(rows.first).to_contain_text("No-go")
    land = watched.locator('[data-demand="land"]')
    before = land.inner_text()
    watched.get_by_test_id("set-numbers").click()
    fill(watched.get_by_test_id("demand-fish_kg"), "13 lb")
    expect(land).not_to_have_text(before)
    expect(land).to_contain_text("5.9\u00a0kg lifted over the gunwale")
    fill(watched.get_by_test_id("demand-scope"), "50")
    expect(watched.get_by_role("alert")).to_contain_text("must be 120 % or more")
    fill(watched.get_by_test_id("demand-scope"), "600")
    watched.get_by_test_id("save-demands").click()
    expect(watched.get_by_test_id("undo")).to_have_attribute("title", "Undo: Set the situations")
    watched.get_by_test_id("undo").click()
    expect(land).to_contain_text("3.0\u00a0kg lifted")


def test_every_term_afloat_opens_how(watched: Page, server: Server) -> None:
    watched.goto(f"{server.url}/afloat")
    watched.get_by_role("button", name="GM", exact=True).click()
    expect(watched.get_by_test_id("how-band")).to_contain_text("±")
    expect(watched.get_by_test_id("righting-chart")).to_be_visible()
