"""A template as SVG, in mm."""

from textwrap import wrap
from xml.sax.saxutils import escape

from neat_hull.files.template_marks import (
    CAUTIONS,
    CROSS_MM,
    MEASURE_FIRST,
    SQUARE_MM,
    extent_mm,
    lines,
)
from neat_hull.model.template import Template

_MARGIN_MM, _TEXT_MM, _LINE_MM = 10.0, 3.5, 5.0
_LETTER_MM = 0.58 * _TEXT_MM  # of the broad ones among the faces that `sans-serif` may come to


def template_svg(one: Template) -> str:
    """One drawing, to scale: its width and height are in mm."""
    left, low, right, high = extent_mm(one)
    across = max(right - left, SQUARE_MM, 190.0 - 2 * _MARGIN_MM)
    wide = across + 2 * _MARGIN_MM
    words = [
        row
        for text in (f"Template: {one.name}", *lines(one), *CAUTIONS, MEASURE_FIRST)
        for row in wrap(text, int(across / _LETTER_MM))
    ]
    head = _LINE_MM * len(words) + _MARGIN_MM
    tall = head + (high - low) + _MARGIN_MM + SQUARE_MM + 2 * _MARGIN_MM
    rows = [
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide:.3f}mm" height="{tall:.3f}mm" '
        f'viewBox="0 0 {wide:.3f} {tall:.3f}">',
        '<g fill="none" stroke="#000" stroke-width="0.15">',
    ]

    def at(x: float, y: float) -> tuple[float, float]:
        return x - (left + right) / 2 + wide / 2, head + (high - y)

    rim = " ".join(f"{x:.3f},{y:.3f}" for x, y in (at(*spot) for spot in one.outline))
    rows.append(f'<polygon points="{rim}" stroke-dasharray="2 1.4"/>')
    (x, y0), (_, y1) = at(0.0, low), at(0.0, high)  # the middle of the base, along the boat
    rows.append(f'<path d="M{x:.3f},{y0:.3f} V{y1:.3f}" stroke-dasharray="3 1"/>')
    for hole in one.holes:
        x, y = at(hole.x_mm, hole.y_mm)
        far = hole.d_mm / 2 + CROSS_MM
        rows += [
            f'<circle cx="{x:.3f}" cy="{y:.3f}" r="{hole.d_mm / 2:.3f}"/>',
            f'<path d="M{x - far:.3f},{y:.3f} h{2 * far:.3f} M{x:.3f},{y - far:.3f} '
            f'v{2 * far:.3f}"/>',
        ]
    square_y = tall - _MARGIN_MM - SQUARE_MM
    rows.append(
        f'<rect x="{_MARGIN_MM:.3f}" y="{square_y:.3f}" width="{SQUARE_MM:.3f}" '
        f'height="{SQUARE_MM:.3f}"/>'
    )
    arrow_x = wide - _MARGIN_MM
    rows.append(f'<path d="M{arrow_x},{head + 12} V{head} l-2,4 m2,-4 l2,4" stroke-width="0.3"/>')
    rows.append("</g>")
    rows.append(f'<g font-family="sans-serif" font-size="{_TEXT_MM}">')
    rows += [
        f'<text x="{_MARGIN_MM}" y="{_MARGIN_MM + _LINE_MM * n:.3f}">{escape(text)}</text>'
        for n, text in enumerate(words)
    ]
    rows.append(f'<text x="{arrow_x - 12}" y="{head + 4}">BOW</text>')
    for hole in one.holes:
        x, y = at(hole.x_mm, hole.y_mm)
        label = escape(f"{hole.name}: {hole.d_mm:g}")
        rows.append(f'<text x="{x + hole.d_mm / 2 + 1:.3f}" y="{y - 1.5:.3f}">{label}</text>')
    rows += ["</g>", "</svg>", ""]
    return "\n".join(rows)
