"""The bench as a person uses it: drag, look, nudge, number, undo."""

import re

import pytest
from playwright.sync_api import Locator, Page, Request, Route, expect
from tests.browser.arriving import all_arriving, saved
from tests.servers import Server

TANK, CRATE, NET = 21, 9, 18
IN_CRATE = 10


def shelf(page: Page, thing: int) -> Locator:
    """A thing ashore."""
    return page.locator(f'[data-shelf="{thing}"]')


def aboard(page: Page, thing: int) -> Locator:
    """A thing in the bow-to-stern list."""
    return page.locator(f'[data-aboard="{thing}"]')


def drawn(page: Page, thing: int) -> Locator:
    """A thing on the drawing from above."""
    return page.locator(f'.plan [data-thing="{thing}"]')


def middle(what: Locator) -> tuple[float, float]:
    """Where to put the pointer."""
    box = what.bounding_box()
    assert box is not None
    return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2


def until_at(page: Page, what: Locator, x: float, y: float) -> None:
    """Wait for it to be drawn there."""
    page.wait_for_function(
        """([one, x, y]) => {
          const box = one.getBoundingClientRect()
          return Math.hypot(box.x + box.width / 2 - x, box.y + box.height / 2 - y) < 1.5
        }""",
        arg=[what.element_handle(), x, y],
    )


def pick_up(page: Page, what: Locator) -> None:
    """Press on a thing."""
    page.mouse.move(*middle(what))
    page.mouse.down()


def stern(page: Page) -> tuple[float, float]:
    """Over the after part of the tank well, on the centerline: beside the fish bag."""
    return middle(drawn(page, 11))


def test_a_drag_from_the_shelf_to_the_stern_is_seen_kept_undone_and_found_again(
    bench: Page, server: Server
) -> None:
    trim = bench.get_by_test_id("trim")
    before = trim.inner_text()
    assert re.fullmatch(r"1\.[0-4]° stern down", before)
    # 21 kg more than a metre aft of the middle; by the moment to trim 1 cm, about a degree
    deep = re.compile(r"^(1\.[89]|2\.\d)° stern down$")
    pick_up(bench, shelf(bench, TANK))
    bench.mouse.move(*stern(bench), steps=6)
    expect(bench.get_by_text(f"was {before}")).to_be_visible()  # before the drop
    expect(trim).to_have_text(deep)
    bench.mouse.up()
    expect(aboard(bench, TANK)).to_be_visible()
    expect(shelf(bench, TANK)).to_have_count(0)
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", re.compile("bait tank"))
    expect(bench.get_by_text(f"was {before}")).to_have_count(0)  # kept
    expect(trim).to_have_text(deep)
    heavy = trim.inner_text()

    bench.get_by_test_id("undo").click()
    expect(trim).to_have_text(before)
    expect(shelf(bench, TANK)).to_be_visible()

    bench.reload()
    expect(bench.get_by_test_id("trim")).to_have_text(before)
    expect(shelf(bench, TANK)).to_be_visible()

    server.stop()
    server.start()
    bench.reload()
    bench.get_by_test_id("redo").click()
    expect(bench.get_by_test_id("trim")).to_have_text(heavy)
    expect(aboard(bench, TANK)).to_be_visible()


def test_what_is_wrong_follows_when_the_hand_pauses(bench: Page) -> None:
    asked: list[str] = []
    bench.on("request", lambda one: asked.append(one.url.rpartition("/")[2]))
    findings, trim = bench.get_by_test_id("findings"), bench.get_by_test_id("trim")
    before, told = trim.inner_text(), findings.text_content() or ""
    pick_up(bench, shelf(bench, TANK))
    bench.mouse.move(*stern(bench), steps=40)
    expect(trim).not_to_have_text(before)
    expect(findings).not_to_have_text(told)  # still in the hand
    assert asked.count("quick") > asked.count("preview") > 0
    bench.keyboard.press("Escape")
    bench.mouse.up()
    expect(trim).to_have_text(before)
    expect(findings).to_have_text(told)


def test_what_is_in_hand_follows_a_move_that_is_told_between_frames_once_a_frame(
    bench: Page,
) -> None:
    x, y = middle(drawn(bench, CRATE))
    pick_up(bench, drawn(bench, CRATE))
    gone = bench.evaluate(
        """async ([x, y]) => {
          const frame = () => new Promise(requestAnimationFrame)
          const crate = '.plan [data-thing="9"]'
          const seen = () => document.querySelector(crate).getBoundingClientRect().x
          const from = seen()
          const gone = []
          for (const off of [40, 80, 120]) {
            const at = { clientX: x - off, clientY: y, pointerId: 1, bubbles: true }
            document.body.dispatchEvent(new PointerEvent('pointerrawupdate', at))
            await Promise.resolve().then(() => {})
            gone.push(from - seen())
            if (off === 80) await frame()
          }
          return gone
        }""",
        [x, y],
    )
    assert gone == pytest.approx([40, 40, 120], abs=2)
    expect(bench.get_by_test_id("in-hand")).to_have_text(re.compile(r"Tackle crate: \d+"))
    bench.keyboard.press("Escape")
    bench.mouse.up()
    expect(bench.get_by_test_id("undo")).to_be_disabled()


def test_what_is_in_hand_has_its_place_told_beside_it_and_the_list_waits(bench: Page) -> None:
    aboard(bench, CRATE).click()
    field = bench.get_by_test_id("from-bow")
    before = field.input_value()
    pick_up(bench, drawn(bench, CRATE))
    x, y = stern(bench)
    with bench.expect_response("**/preview"):  # the hand rests, and all is told of where
        bench.mouse.move(x, y, steps=3)
    told = bench.get_by_test_id("in-hand")
    expect(told).to_have_text(re.compile(r"^Tackle crate: \d+\scm from the bow"))
    from_bow_cm = float(re.findall(r"\d+", told.inner_text())[0])
    expect(bench.get_by_test_id("trim")).not_to_contain_text("1.1°")
    assert field.input_value() == before
    bench.mouse.up()
    expect(told).to_have_count(0)
    expect(field).not_to_have_value(before)
    assert float(field.input_value()) == pytest.approx(from_bow_cm, abs=0.6)
    # Not of what is chosen, but of what is carried; and that alone has no name meanwhile.
    saved(bench)
    named = bench.locator(".plan .labels")
    pick_up(bench, shelf(bench, NET))
    bench.mouse.move(*middle(drawn(bench, CRATE)), steps=3)
    expect(told).to_have_text(re.compile(r"^Landing net: "))
    expect(named).to_contain_text("Tackle crate")
    expect(named).not_to_contain_text("Landing net")
    bench.keyboard.press("Escape")
    expect(told).to_have_count(0)
    bench.mouse.up()


@pytest.mark.own_page  # answers that are held back
def test_what_is_in_hand_goes_with_it_while_no_answer_comes(bench: Page) -> None:
    """And what stands in it, from above and from the side; all else waits for the answer."""
    seen = [drawn(bench, CRATE), drawn(bench, IN_CRATE)]
    seen.append(bench.locator(f'.side [data-thing="{CRATE}"]'))
    pick_up(bench, seen[0])
    x, y = middle(seen[0])
    with bench.expect_response("**/preview"):  # the hand rests, and all is told of where
        bench.mouse.move(x - 40, y)
    held: list[Route] = []
    holding = True

    def hold(route: Route) -> None:
        if holding:
            held.append(route)
        else:
            route.fallback()

    bench.route("**/preview**", hold)
    was = [middle(one) for one in seen]
    told = bench.get_by_test_id("trim").inner_text()
    bench.mouse.move(x - 100, y - 12, steps=3)
    for one, (left, top), up in zip(seen, was, (12, 12, 0), strict=True):
        until_at(bench, one, left - 60, top - up)
    assert bench.get_by_test_id("trim").inner_text() == told
    holding = False
    for route in held:
        route.fallback()
    expect(bench.get_by_test_id("trim")).not_to_have_text(told)
    bench.mouse.up()
    saved(bench)
    until_at(bench, seen[0], was[0][0] - 60, was[0][1] - 12)


def test_a_thing_dragged_off_the_boat_goes_ashore(bench: Page) -> None:
    pick_up(bench, drawn(bench, CRATE))
    bench.mouse.move(120, 140, steps=6)
    bench.mouse.up()
    expect(shelf(bench, CRATE)).to_be_visible()
    expect(aboard(bench, CRATE)).to_have_count(0)


def test_escape_in_mid_drag_puts_everything_back(bench: Page) -> None:
    trim = bench.get_by_test_id("trim")
    before = trim.inner_text()
    pick_up(bench, drawn(bench, CRATE))
    bench.mouse.move(420, 240, steps=6)
    expect(trim).not_to_have_text(before)
    bench.keyboard.press("Escape")
    expect(trim).to_have_text(before)
    bench.mouse.up()
    expect(bench.get_by_test_id("undo")).to_be_disabled()


def test_dragging_sideways_leans_the_boat_in_words(bench: Page) -> None:
    pick_up(bench, drawn(bench, CRATE))
    x, y = middle(drawn(bench, CRATE))
    bench.mouse.move(x, y - 40, steps=4)
    expect(bench.get_by_test_id("list")).to_have_text(re.compile(r"° to starboard$"))
    bench.mouse.move(x, y + 40, steps=4)
    expect(bench.get_by_test_id("list")).to_have_text(re.compile(r"° to port$"))
    bench.mouse.up()


def test_the_keyboard_alone_boards_moves_mirrors_and_puts_ashore(bench: Page) -> None:
    """A burst of arrows is one step: undone at once."""
    shelf(bench, NET).focus()
    bench.keyboard.press("Enter")
    expect(drawn(bench, NET)).to_be_focused()
    from_bow = bench.get_by_test_id("from-bow")
    start = float(from_bow.input_value())
    for key in ("ArrowLeft", "ArrowLeft", "Shift+ArrowLeft", "Alt+ArrowLeft"):
        bench.keyboard.press(key)
    expect(from_bow).to_have_value(f"{start - 7.1:.1f}")
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", "Undo: Move Landing net")
    bench.keyboard.press("Control+z")
    expect(from_bow).to_have_value(f"{start:.1f}")

    bench.keyboard.press("ArrowUp")
    expect(bench.get_by_test_id("place-editor")).to_contain_text("starb.")
    bench.keyboard.press("m")
    expect(bench.get_by_test_id("place-editor")).to_contain_text("port")
    bench.keyboard.press("a")
    expect(shelf(bench, NET)).to_be_visible()


def test_brackets_walk_from_bow_to_stern(bench: Page) -> None:
    bench.keyboard.press("]")
    expect(aboard(bench, 4)).to_have_attribute("aria-expanded", "true")  # the foremost
    bench.keyboard.press("[")
    expect(aboard(bench, 3)).to_have_attribute("aria-expanded", "true")  # round to the rudder


@pytest.mark.parametrize("typed", ["200", "2 m", "6 ft 6.74 in", "78.74in"])
def test_a_place_is_set_by_number_as_people_type_it(bench: Page, typed: str) -> None:
    aboard(bench, CRATE).click()
    field = bench.get_by_test_id("from-bow")
    field.fill(typed)
    field.press("Enter")
    expect(field).to_have_value("200.0")
    expect(bench.get_by_test_id("undo")).to_have_attribute("title", "Undo: Move Tackle crate")


def test_text_for_a_number_is_told_and_nothing_changes(bench: Page) -> None:
    aboard(bench, CRATE).click()
    field = bench.get_by_test_id("from-bow")
    field.fill("a bit back")
    field.press("Enter")
    expect(bench.get_by_role("alert")).to_contain_text("cannot be read. Type it like")
    expect(bench.get_by_test_id("undo")).to_be_disabled()


def test_units_switch_at_any_time(bench: Page) -> None:
    expect(bench.get_by_test_id("weight")).to_have_text("123.8\u00a0kg")
    bench.get_by_test_id("units").click()
    expect(bench.get_by_test_id("weight")).to_have_text("272.9\u00a0lb")
    bench.reload()
    expect(bench.get_by_test_id("weight")).to_have_text("272.9\u00a0lb")


def test_every_figure_opens_how_it_was_computed(bench: Page) -> None:
    for figure in ("weight", "trim", "list", "gm", "wells"):
        bench.get_by_test_id(figure).click()
        expect(bench.get_by_test_id("how-rows")).to_be_visible()
        bench.keyboard.press("Escape")
        expect(bench.get_by_test_id("how-rows")).to_be_hidden()


def test_reach_is_said_for_every_thing_aboard(bench: Page) -> None:
    zones = bench.locator("[data-aboard] .zone").all_inner_texts()
    assert len(zones) == 23
    assert set(zones) == {"hand", "lean", "twist", "leave", "no reach"}


def test_what_two_tabs_change_is_kept_from_both(bench: Page, server: Server) -> None:
    other = bench.context.new_page()
    other.goto(f"{server.url}/bench")
    other.get_by_test_id("trim").wait_for()
    shelf(other, NET).focus()
    other.keyboard.press("Enter")
    expect(aboard(other, NET)).to_be_visible()

    shelf(bench, TANK).focus()
    bench.keyboard.press("Enter")
    expect(aboard(bench, TANK)).to_be_visible()
    expect(aboard(bench, NET)).to_be_visible()  # what the other tab did is shown
    expect(bench.get_by_test_id("banner")).to_have_count(0)
    other.close()


def test_a_lost_server_keeps_the_change_and_sends_it_when_back(bench: Page, server: Server) -> None:
    server.stop()
    shelf(bench, NET).focus()
    bench.keyboard.press("Enter")
    expect(bench.get_by_test_id("banner")).to_contain_text("cannot be reached")
    expect(bench.get_by_test_id("saved")).to_have_text("not saved")
    expect(bench.get_by_test_id("unsent")).to_contain_text("Landing net")
    server.start()
    expect(aboard(bench, NET)).to_be_visible()  # by itself
    expect(bench.get_by_test_id("banner")).to_have_count(0)
    saved(bench)


def test_after_a_change_what_a_thing_goes_on_is_asked_once(bench: Page) -> None:
    """Not when the change is shown, and again when it is kept."""
    with all_arriving(bench):
        aboard(bench, CRATE).click()
    asked: list[str] = []

    def begun(request: Request) -> None:
        asked.append(request.url)

    bench.on("request", begun)
    with all_arriving(bench):
        bench.keyboard.press("ArrowLeft")
        expect(bench.get_by_test_id("undo")).to_have_attribute("title", "Undo: Move Tackle crate")
    bench.remove_listener("request", begun)
    assert sum(url.endswith(f"/targets/{CRATE}") for url in asked) == 1
