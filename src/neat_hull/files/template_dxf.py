"""A template as DXF, release 12, in mm: circles, lines and texts, which every reader knows."""

from neat_hull.files.template_marks import CROSS_MM, SQUARE_MM, extent_mm
from neat_hull.model.template import Template

_GAP_MM = 15.0


def template_dxf(one: Template) -> str:
    """Holes on the layer HOLES, outline and check square on layers of their own; x to starboard, y
    toward the bow."""
    rows: list[tuple[int, object]] = [
        (0, "SECTION"), (2, "HEADER"), (9, "$ACADVER"), (1, "AC1009"),
        (9, "$INSUNITS"), (70, 4), (0, "ENDSEC"), (0, "SECTION"), (2, "ENTITIES"),
    ]  # fmt: skip
    for hole in one.holes:
        rows += [(0, "CIRCLE"), (8, "HOLES"), (10, hole.x_mm), (20, hole.y_mm), (30, 0.0),
                 (40, hole.d_mm / 2)]  # fmt: skip
        far = hole.d_mm / 2 + CROSS_MM
        rows += _line("CENTRES", (hole.x_mm - far, hole.y_mm), (hole.x_mm + far, hole.y_mm))
        rows += _line("CENTRES", (hole.x_mm, hole.y_mm - far), (hole.x_mm, hole.y_mm + far))
    rows += _ring("OUTLINE", one.outline)
    left, low, _, high = extent_mm(one)
    x, y = left, low - _GAP_MM - SQUARE_MM
    square = [(x, y), (x + SQUARE_MM, y), (x + SQUARE_MM, y + SQUARE_MM), (x, y + SQUARE_MM)]
    rows += _ring("CHECK_100MM", square)
    words = f"{_plain(one.name)} - bow is up, mm"
    rows += [(0, "TEXT"), (8, "WORDS"), (10, left), (20, high + 4.0), (30, 0.0), (40, 3.5),
             (1, words)]  # fmt: skip
    rows += [(0, "ENDSEC"), (0, "EOF")]
    return "".join(f"{code}\n{_value(value)}\n" for code, value in rows)


def _line(layer: str, a: tuple[float, float], b: tuple[float, float]) -> list[tuple[int, object]]:
    return [(0, "LINE"), (8, layer), (10, a[0]), (20, a[1]), (30, 0.0), (11, b[0]), (21, b[1]),
            (31, 0.0)]  # fmt: skip


def _ring(layer: str, spots: list[tuple[float, float]]) -> list[tuple[int, object]]:
    ends = [*spots[1:], spots[0]]
    return [row for a, b in zip(spots, ends, strict=True) for row in _line(layer, a, b)]


def _plain(text: str) -> str:
    """Release 12 knows ASCII alone."""
    return text.encode("ascii", "replace").decode("ascii").replace("\n", " ")


def _value(value: object) -> str:
    return f"{value:.4f}" if isinstance(value, float) else str(value)
