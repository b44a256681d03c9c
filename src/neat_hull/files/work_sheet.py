"""The plan of the work on paper: steps in order with a box to tick, tools, bits and what to buy."""

import io

from reportlab.lib import pagesizes
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

from neat_hull.files.said_text import Units
from neat_hull.files.units import LENGTH_M
from neat_hull.files.wall_sheet import Paper
from neat_hull.model.fixing_figures import WorkPlan
from neat_hull.model.said import Said

_MARGIN_MM, _ROW_MM = 14.0, 5.2
_SANS, _BOLD = "Helvetica", "Helvetica-Bold"


def work_sheet(name: str, plan: WorkPlan, units: Units, paper: Paper) -> bytes:
    """As many pages as it takes; the same plan gives the same bytes."""
    out = io.BytesIO()
    size = pagesizes.A4 if paper == "a4" else pagesizes.LETTER
    canvas = Canvas(out, pagesize=size, invariant=1)
    canvas.setTitle(f"Work plan: {name}")
    page = _Page(canvas, size[0] / mm, size[1] / mm)
    page.line(f"Work plan: {name}", _BOLD, 14)
    hands, whole = plan.hands_min / 60, plan.finish_min / 60
    page.line(f"{hands:.1f} hours of work; done {whole:.0f} hours after the start.")
    bits = ", ".join(f"{one:g} mm" for one in plan.bits_mm) or "none"
    page.line(f"Bits in the order of use: {bits}.")
    page.line(f"Tools: {', '.join(plan.tools) or 'none'}.")
    page.line("")
    for step in plan.steps:
        box = "[x]" if step.done_on else "[  ]"
        bit = f"  bit {step.bit_mm:g} mm" if step.bit_mm else ""
        page.line(f"{box}  {_said(step.words, units)}{bit}  ({step.hands_min:.0f} min)", size=10)
        for part in step.parts:
            page.line(f"          {part}", size=8)
        if step.wait_min:
            page.line(f"          then wait {step.wait_min / 60:.0f} h", size=8)
    page.line("")
    page.line("To have ready", _BOLD, 11)
    for need in plan.needs:
        price = "" if need.price is None else f"   about {need.price:.2f}"
        page.line(f"{need.count:.3g} {need.unit}  {need.what}{price}")
    canvas.save()
    return out.getvalue()


class _Page:
    def __init__(self, canvas: Canvas, wide_mm: float, high_mm: float) -> None:
        self.canvas, self.wide, self.high = canvas, wide_mm, high_mm
        self.y = high_mm - _MARGIN_MM

    def line(self, text: str, font: str = _SANS, size: int = 9) -> None:
        """One line, or as many as it takes."""
        room = (self.wide - 2 * _MARGIN_MM) * mm
        words, row = text.split(" "), ""
        for word in words:
            longer = f"{row} {word}" if row else word
            if self.canvas.stringWidth(longer, font, size) > room:
                self._put(row, font, size)
                row = f"    {word}"
            else:
                row = longer
        self._put(row, font, size)

    def _put(self, text: str, font: str, size: int) -> None:
        if self.y < _MARGIN_MM:
            self.canvas.showPage()
            self.y = self.high - _MARGIN_MM
        self.canvas.setFont(font, size)
        self.canvas.drawString(_MARGIN_MM * mm, self.y * mm, text)
        self.y -= _ROW_MM * size / 9


def _said(said: Said, units: Units) -> str:
    """Words with lengths in the user's units; a plan says no other amount."""
    unit = "cm" if units == "metric" else "in"
    return said.text.format(*(f"{one.value / LENGTH_M[unit]:.0f} {unit}" for one in said.amounts))
