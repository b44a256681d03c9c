"""A template on paper, one to one; what is larger than a sheet goes over several."""

import io
from collections.abc import Iterator
from math import ceil

from reportlab.lib import pagesizes
from reportlab.lib.units import mm
from reportlab.lib.utils import simpleSplit
from reportlab.pdfbase.pdfmetrics import stringWidth
from reportlab.pdfgen.canvas import Canvas

from neat_hull.files.template_marks import (
    CAUTIONS,
    CROSS_MM,
    MEASURE_FIRST,
    SQUARE_MM,
    extent_mm,
    lines,
)
from neat_hull.files.wall_sheet import Paper
from neat_hull.model.template import Template

_MARGIN_MM, _FOOT_MM, _HEAD_MM, _OVERLAP_MM = 12.0, 132.0, 30.0, 15.0
_SANS, _BOLD = "Helvetica", "Helvetica-Bold"


def template_pdf(one: Template, paper: Paper) -> bytes:
    """All sheets; the same template gives the same bytes."""
    out = io.BytesIO()
    size = pagesizes.A4 if paper == "a4" else pagesizes.LETTER
    canvas = Canvas(out, pagesize=size, invariant=1, pageCompression=0)
    canvas.setTitle(f"Template: {one.name}")
    wide, high = size[0] / mm, size[1] / mm
    room = (wide - 2 * _MARGIN_MM, high - _FOOT_MM - _HEAD_MM)
    tiles = list(_tiles(one, room))
    for n, (left, low) in enumerate(tiles):
        _sheet(canvas, one, (wide, high), room, (left, low), (n + 1, len(tiles)))
        canvas.showPage()
    canvas.save()
    return out.getvalue()


def _tiles(one: Template, room: tuple[float, float]) -> Iterator[tuple[float, float]]:
    """The left low corner of each sheet, in the template's own mm; the middle of one that fits is
    the middle of the sheet."""
    left, low, right, high = extent_mm(one)
    across, up = right - left, high - low
    steps = [
        max(1, ceil((long - _OVERLAP_MM) / (fits - _OVERLAP_MM)))
        for long, fits in zip((across, up), room, strict=True)
    ]
    whole = [
        count * fits - (count - 1) * _OVERLAP_MM for count, fits in zip(steps, room, strict=True)
    ]
    x0, y0 = (left + right - whole[0]) / 2, (low + high - whole[1]) / 2
    for row in reversed(range(steps[1])):
        for column in range(steps[0]):
            yield (
                x0 + column * (room[0] - _OVERLAP_MM),
                y0 + row * (room[1] - _OVERLAP_MM),
            )


def _sheet(
    canvas: Canvas,
    one: Template,
    page: tuple[float, float],
    room: tuple[float, float],
    corner: tuple[float, float],
    number: tuple[int, int],
) -> None:
    high = page[1]
    title = f"Template: {one.name}"
    if number[1] > 1:
        title += f"  (sheet {number[0]} of {number[1]})"
    across = (page[0] - 2 * _MARGIN_MM) * mm
    canvas.setFont(_BOLD, 13 * min(1.0, across / stringWidth(title, _BOLD, 13)))
    canvas.drawString(_MARGIN_MM * mm, (high - 16) * mm, title)
    canvas.setFont(_SANS, 9)
    rows = [row for text in lines(one) for row in simpleSplit(text, _SANS, 9, across)]
    for n, text in enumerate(rows):
        canvas.drawString(_MARGIN_MM * mm, (high - 21 - 4.4 * n) * mm, text)
    base = (_MARGIN_MM, _FOOT_MM)
    canvas.saveState()
    window = canvas.beginPath()
    window.rect(base[0] * mm, base[1] * mm, room[0] * mm, room[1] * mm)
    canvas.clipPath(window, stroke=0, fill=0)
    canvas.translate((base[0] - corner[0]) * mm, (base[1] - corner[1]) * mm)
    _marks(canvas, one)
    canvas.restoreState()
    if number[1] > 1:
        _overlap(canvas, base, room)
    _bow(canvas, base[0] + room[0] - 8, base[1] + room[1] - 16)
    _square(canvas, _MARGIN_MM, 24.0)
    canvas.setFont(_SANS, 8)
    for n, text in enumerate(CAUTIONS):
        canvas.drawString(_MARGIN_MM * mm, (18 - 3.6 * n) * mm, text)


def _marks(canvas: Canvas, one: Template) -> None:
    canvas.setLineWidth(0.3)
    path = canvas.beginPath()
    for n, (x, y) in enumerate(one.outline):
        (path.lineTo if n else path.moveTo)(x * mm, y * mm)
    path.close()
    canvas.setDash(3, 2)
    canvas.drawPath(path)
    canvas.setDash()
    # The middle line of the base, along the boat.
    _, low, _, high = extent_mm(one)
    canvas.setDash(8, 3)
    canvas.line(0, low * mm, 0, high * mm)
    canvas.setDash()
    for hole in one.holes:
        x, y, r = hole.x_mm, hole.y_mm, hole.d_mm / 2
        canvas.circle(x * mm, y * mm, r * mm)
        far = r + CROSS_MM
        canvas.line((x - far) * mm, y * mm, (x + far) * mm, y * mm)
        canvas.line(x * mm, (y - far) * mm, x * mm, (y + far) * mm)
        canvas.setFont(_SANS, 7)
        canvas.drawString((x + r + 1) * mm, (y + 1) * mm, f"{hole.name}: {hole.d_mm:g}")


def _overlap(canvas: Canvas, base: tuple[float, float], room: tuple[float, float]) -> None:
    """Corner marks that lie on those of the next sheet."""
    canvas.setLineWidth(0.4)
    for x in (base[0] + _OVERLAP_MM / 2, base[0] + room[0] - _OVERLAP_MM / 2):
        for y in (base[1] + _OVERLAP_MM / 2, base[1] + room[1] - _OVERLAP_MM / 2):
            canvas.line((x - 4) * mm, y * mm, (x + 4) * mm, y * mm)
            canvas.line(x * mm, (y - 4) * mm, x * mm, (y + 4) * mm)


def _bow(canvas: Canvas, x: float, y: float) -> None:
    canvas.setLineWidth(0.8)
    canvas.line(x * mm, y * mm, x * mm, (y + 12) * mm)
    canvas.line(x * mm, (y + 12) * mm, (x - 2) * mm, (y + 8) * mm)
    canvas.line(x * mm, (y + 12) * mm, (x + 2) * mm, (y + 8) * mm)
    canvas.setFont(_BOLD, 8)
    canvas.drawRightString((x - 3) * mm, (y + 8) * mm, "BOW")


def _square(canvas: Canvas, x: float, y: float) -> None:
    canvas.setLineWidth(0.3)
    canvas.rect(x * mm, y * mm, SQUARE_MM * mm, SQUARE_MM * mm)
    canvas.setFont(_SANS, 8)
    canvas.drawString((x + 3) * mm, (y + SQUARE_MM - 5) * mm, MEASURE_FIRST)
