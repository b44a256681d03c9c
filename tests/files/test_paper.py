"""Deck plan and wall sheet: true scale, every thing on it, and names that are only names."""

import re
import zlib
from base64 import a85decode
from typing import Any
from xml.etree import ElementTree as ET

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples

from neat_hull.files.deck import numbered
from neat_hull.files.deck_svg import deck_svg
from neat_hull.files.demo import demo_setups
from neat_hull.files.wall_sheet import wall_sheet
from neat_hull.model.cautions import ANCHOR, FUSED, LITHIUM, NO_WAY_HOME, WET_BATTERY, WIRING
from neat_hull.model.power import Power
from neat_hull.model.setup import Setup
from neat_hull.whole.drawing import drawing
from neat_hull.whole.evaluate import evaluate

DEMO = demo_setups()[0]
SVG = "{http://www.w3.org/2000/svg}"


def svg_of(setup: Setup) -> ET.Element:
    """The parsed plan."""
    return ET.fromstring(deck_svg(setup, drawing(setup), evaluate(setup)))


def spread(path: ET.Element) -> tuple[float, float]:
    """Extent of a path along x and y."""
    pairs = re.findall(r"[-\d.]+,[-\d.]+", path.get("d", ""))
    points = [tuple(map(float, pair.split(","))) for pair in pairs]
    xs, ys = zip(*points, strict=True)
    return max(xs) - min(xs), max(ys) - min(ys)


def test_a_millimetre_of_the_plan_is_one_of_the_boat() -> None:
    plan = svg_of(DEMO)
    hull = next(p for p in plan.iter(f"{SVG}path") if p.get("class") == "hull")
    assert spread(hull) == pytest.approx((3660, 880), abs=1)
    width, height = (float(v) for v in plan.get("viewBox", "").split()[2:])
    assert plan.get("width") == f"{width:.1f}mm"
    assert plan.get("height") == f"{height:.1f}mm"


def test_every_thing_is_outlined_and_numbered_bow_to_stern() -> None:
    plan = svg_of(DEMO)
    numbers = [t.text for t in plan.iter(f"{SVG}text") if (t.text or "").isdigit()]
    assert numbers == [str(i) for i in range(1, 1 + len(DEMO.places))]
    things = numbered(DEMO, evaluate(DEMO))
    bare = [one.x_m for one, row in zip(things, evaluate(DEMO).aboard, strict=True)
            if row.depth == 0]  # fmt: skip
    assert bare == sorted(bare, reverse=True)
    crate = next(p for p in plan.iter(f"{SVG}path") if p.findtext(f"{SVG}title") == "Tackle crate")
    assert spread(crate) == pytest.approx((330, 330), abs=0.2)


def test_a_turned_box_takes_up_its_turned_size() -> None:
    """33 × 33 turned by 45° is 33·√2 across."""
    place = DEMO.places[9].model_copy(update={"turn_deg": 45.0})
    turned = DEMO.model_copy(update={"places": DEMO.places | {9: place}})
    one = next(t for t in numbered(turned, evaluate(turned)) if t.thing.name == "Tackle crate")
    ys = [y for _, y in one.plan]
    assert max(ys) - min(ys) == pytest.approx(0.33 * 2**0.5)


@pytest.mark.parametrize("name", ["<script>x</script>", 'a"b&c', "рыба \u202e"])
def test_names_are_text_and_nothing_else(name: str) -> None:
    things: dict[int, Any] = DEMO.things | {9: DEMO.things[9].model_copy(update={"name": name})}
    plan = svg_of(DEMO.model_copy(update={"name": name, "things": things}))
    assert list(plan.iter(f"{SVG}script")) == []
    assert name in [p.findtext(f"{SVG}title") for p in plan.iter(f"{SVG}path")]
    renamed = DEMO.model_copy(update={"name": name, "things": things})
    page = wall_sheet(renamed, drawing(renamed), evaluate(renamed), "metric", "a4")
    assert page.startswith(b"%PDF")


# All that may stand in a name: anything but what is no text and what moves the cursor.
NAMES = st.text(st.characters(exclude_categories=["Cs", "Cc"]), min_size=1, max_size=60)


@given(NAMES, NAMES)
@examples(8)
def test_any_name_leaves_plan_and_sheet_well_formed(name: str, boat: str) -> None:
    things = DEMO.things | {9: DEMO.things[9].model_copy(update={"name": name})}
    named = DEMO.model_copy(
        update={"things": things, "boat": DEMO.boat.model_copy(update={"name": boat})}
    )
    lines, figures = drawing(named), evaluate(named)
    plan = ET.fromstring(deck_svg(named, lines, figures))
    assert name in [p.findtext(f"{SVG}title") for p in plan.iter(f"{SVG}path")]
    page = wall_sheet(named, lines, figures, "metric", "a4")
    assert page.rstrip().endswith(b"%%EOF")
    # Each object stands where the table at the end says.
    table = int(re.findall(rb"startxref\s+(\d+)", page)[-1])
    assert page[table:].startswith(b"xref")
    offsets = re.findall(rb"(\d{10}) 00000 n", page[table:])
    assert len(offsets) > 3
    for n, offset in enumerate(offsets, 1):
        assert page[int(offset) :].startswith(b"%d 0 obj" % n)


@pytest.mark.parametrize(("paper", "size"), [("a4", b"595.2756 841.8898"), ("letter", b"612 792")])
@pytest.mark.parametrize("units", ["metric", "imperial"])
def test_the_sheet_is_one_page_and_one_for_wires(paper: Any, size: bytes, units: Any) -> None:
    bare = DEMO.model_copy(update={"power": Power()})
    page = wall_sheet(bare, drawing(bare), evaluate(bare), units, paper)
    assert page.count(b"/Type /Page\n") == 1
    page = wall_sheet(DEMO, drawing(DEMO), evaluate(DEMO), units, paper)
    assert page.count(b"/Type /Page\n") == 2
    assert size in page
    assert page == wall_sheet(DEMO, drawing(DEMO), evaluate(DEMO), units, paper)


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_the_sheet_says_the_cautions_in_whole_lines(paper: Any) -> None:
    page = wall_sheet(DEMO, drawing(DEMO), evaluate(DEMO), "metric", paper)
    streams = re.findall(rb"stream\n(.*?)~>endstream", page, re.S)
    drawn = [zlib.decompress(a85decode(one)).decode("latin-1") for one in streams]
    told = [" ".join(reversed(re.findall(r"\((.*?)\) Tj", one))) for one in drawn]
    assert any(ANCHOR in text for text in told)
    for caution in (FUSED, LITHIUM, WET_BATTERY, NO_WAY_HOME, WIRING):
        assert any(caution in text for text in told), caution
