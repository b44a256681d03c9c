"""Templates measured: what is in the file is where the bolts are, and its square is 100.0 mm."""

import re
import xml.etree.ElementTree as ET
from itertools import pairwise
from math import dist

import numpy as np
import pytest
from reportlab.pdfbase.pdfmetrics import stringWidth
from tests.subjects.fixing.mountings import FOUR, WIDE, screen

from neat_hull.errors import NotFoundError
from neat_hull.files.template_dxf import template_dxf
from neat_hull.files.template_marks import CAUTIONS
from neat_hull.files.template_pdf import template_pdf
from neat_hull.files.template_svg import template_svg
from neat_hull.model.template import Template
from neat_hull.subjects.fixing.mounting import fixed
from neat_hull.subjects.fixing.templates import template, template_keys
from neat_hull.whole.evaluate import evaluated

MM = 72 / 25.4  # points
EV = evaluated(screen(**FOUR, turn_deg=25.0))
ONE = template(EV, str(WIDE))
NUMBER = r"(-?\d+(?:\.\d+)?)"


def bolts() -> list[tuple[float, float]]:
    """Of the setup: mm to starboard and toward the bow of the mount's middle."""
    mount = next(one for one in EV.once(fixed) if one.thing_id == WIDE)
    x, y, _ = mount.at
    spots = (mount.on_boat(spot) for spot in mount.geometry.bolts_m)
    return [(1000 * (y - b), 1000 * (a - x)) for a, b, _ in spots]


def distances(spots: list[tuple[float, float]]) -> list[float]:
    return sorted(dist(a, b) for i, a in enumerate(spots) for b in spots[:i])


def text_of(pdf: bytes) -> str:
    return pdf.decode("latin-1")


def circles(pdf: str) -> list[tuple[float, float]]:
    """Middles of circles, each drawn as four curves from its east point, mm of its own frame."""
    found = []
    for block in re.findall(rf"n\n{NUMBER} {NUMBER} m\n((?:[^\n]* c\n){{4}})S", pdf):
        ends = re.findall(rf"{NUMBER} {NUMBER} c", block[2])
        xs, ys = ([float(end[n]) for end in ends] for n in (0, 1))
        found.append(((min(xs) + max(xs)) / 2 / MM, (min(ys) + max(ys)) / 2 / MM))
    return found


def test_the_pdfs_square_is_100_mm_and_its_holes_are_the_bolts() -> None:
    text = text_of(template_pdf(ONE, "a4"))
    squares = [
        (float(w) / MM, float(h) / MM)
        for _, _, w, h in re.findall(rf"{NUMBER} {NUMBER} {NUMBER} {NUMBER} re S", text)
    ]
    sheets = text.count("Measure this square first")  # a wide base goes over two
    assert np.array(squares) == pytest.approx(np.full((sheets, 2), 100.0), abs=0.01)
    expected = sorted(bolts() * sheets)
    assert np.array(sorted(circles(text))) == pytest.approx(np.array(expected), abs=0.05)
    assert "100.0 by 100.0 mm" in text
    assert "BOW" in text


def test_the_svg_is_in_mm_and_its_holes_are_the_bolts() -> None:
    root = ET.fromstring(template_svg(ONE))
    wide = float((root.get("width") or "").removesuffix("mm"))
    assert wide == pytest.approx(float((root.get("viewBox") or "").split()[2]))
    space = "{http://www.w3.org/2000/svg}"
    spots = [
        (float(one.get("cx") or 0), -float(one.get("cy") or 0))
        for one in root.iter(f"{space}circle")
    ]
    assert distances(spots) == pytest.approx(distances(bolts()), abs=0.05)
    (square,) = list(root.iter(f"{space}rect"))
    assert (square.get("width"), square.get("height")) == ("100.000", "100.000")


LONG = ONE.model_copy(
    update={"name": "Rod holder beside the seat " * 5, "from_bow_mm": 12345.0, "edge_mm": 12345.0}
)


def test_no_words_of_a_template_run_off_its_sheet() -> None:
    root = ET.fromstring(template_svg(LONG))
    wide = float((root.get("viewBox") or "").split()[2])
    for one in root.iter("{http://www.w3.org/2000/svg}text"):
        mm = stringWidth(one.text or "", "Helvetica", 3.5)
        assert float(one.get("x") or 0) + mm <= wide, one.text
    text = text_of(template_pdf(LONG, "letter"))
    face, size, told = "", 0.0, 0
    for font, points, x, words in re.findall(
        rf"/(F\d) {NUMBER} Tf|1 0 0 1 {NUMBER} \S+ Tm \((.*)\) Tj", text
    ):
        if font:
            face, size = {"F1": "Helvetica", "F2": "Helvetica-Bold"}[font], float(points)
        elif not re.match(r"\d+: ", words):  # the holes have a frame of their own
            assert float(x) + stringWidth(words, face, size) <= 8.5 * 72, words
            told += 1
    assert told >= 5


def test_the_svg_says_the_cautions_too() -> None:
    words = " ".join(ET.fromstring(template_svg(ONE)).itertext())
    for caution in CAUTIONS:
        assert caution in re.sub(r"\s+", " ", words)


def pairs(dxf: str) -> list[tuple[int, str]]:
    rows = dxf.splitlines()
    return [(int(code), value) for code, value in zip(rows[::2], rows[1::2], strict=True)]


def test_the_dxf_has_the_bolts_as_circles_and_a_square() -> None:
    spots, layer = [], ""
    rows = pairs(template_dxf(ONE))
    for n, (code, value) in enumerate(rows):
        if code == 0 and value == "CIRCLE":
            fields = dict(rows[n + 1 : n + 7])
            spots.append((float(fields[10]), float(fields[20])))
            assert float(fields[40]) == pytest.approx(6.6 / 2)
            layer = fields[8]
    assert layer == "HOLES"
    assert np.array(sorted(spots)) == pytest.approx(np.array(sorted(bolts())), abs=1e-3)
    xs = [
        float(dict(rows[n + 1 : n + 8])[10])
        for n, (code, value) in enumerate(rows)
        if code == 0 and value == "LINE" and rows[n + 1] == (8, "CHECK_100MM")
    ]
    assert max(xs) - min(xs) == pytest.approx(100.0)
    assert rows[-1] == (0, "EOF")


def test_seen_from_inside_it_is_mirrored_and_says_so() -> None:
    inside = ONE.mirrored()
    assert [(-hole.x_mm, hole.y_mm) for hole in inside.holes] == [
        (hole.x_mm, hole.y_mm) for hole in ONE.holes
    ]
    assert "seen from inside" in text_of(template_pdf(inside, "letter"))
    assert inside.mirrored() == ONE


def far(length_mm: float) -> Template:
    ends = [ONE.holes[0].model_copy(update={"x_mm": x, "y_mm": 0.0, "name": str(x)})
            for x in (-length_mm / 2, length_mm / 2)]  # fmt: skip
    rim = [(-length_mm / 2, -20.0), (length_mm / 2, -20.0), (length_mm / 2, 20.0),
           (-length_mm / 2, 20.0)]  # fmt: skip
    return ONE.model_copy(update={"holes": ends, "outline": rim})


def test_what_is_larger_than_a_sheet_goes_over_several_that_overlap() -> None:
    text = text_of(template_pdf(far(500.0), "a4"))
    assert "sheet 1 of 3" in text
    assert "sheet 3 of 3" in text
    # Each sheet is the same drawing moved by what a sheet holds less the overlap.
    moves = [float(x) / MM for x, _ in re.findall(rf"1 0 0 1 {NUMBER} {NUMBER} cm", text)]
    steps = [a - b for a, b in pairwise(move for move in moves if move)]
    assert steps == [pytest.approx(210 - 24 - 15, abs=0.01)] * 2
    assert "sheet 1 of" not in text_of(template_pdf(far(120.0), "a4"))


def test_the_same_template_gives_the_same_bytes() -> None:
    assert template_pdf(ONE, "a4") == template_pdf(ONE, "a4")


def test_what_has_no_template_is_not_found() -> None:
    assert (str(WIDE), "9-inch screen") in template_keys(EV)
    for key in ("", "999", "wire 1 0", "wire 1 x", "nothing"):
        with pytest.raises(NotFoundError):
            template(EV, key)
