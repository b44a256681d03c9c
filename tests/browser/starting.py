"""A new boat by way of the screens, for tests of what comes after."""

from playwright.sync_api import Page, expect


def start_boat(page: Page, name: str, **typed: str) -> None:
    """From the menu by the label's few figures to the bench, nothing aboard; `typed` by field."""
    page.get_by_test_id("setup").click()
    page.get_by_test_id("new-boat").click()
    page.get_by_test_id("way-label").click()
    page.get_by_test_id("boat-name").fill(name)
    typed = {"length_m": "360 cm", "beam_m": "84 cm"} | typed
    for field in ("length_m", "beam_m", "hull_mass_kg", "rated_kg"):
        if field in typed:
            page.get_by_test_id(f"start-{field}").fill(typed[field])
    page.get_by_test_id("start-next").click()
    for field in ("angler_mass_kg", "stature_m"):
        if field in typed:
            page.get_by_test_id(f"start-{field}").fill(typed[field])
    page.get_by_test_id("start-next").click()
    page.get_by_test_id("bring-none").click()
    expect(page.get_by_test_id("stowed")).to_contain_text("0 items aboard")
    page.get_by_test_id("start-go").click()
    expect(page.get_by_test_id("setup")).to_contain_text(name)
