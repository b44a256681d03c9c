"""One page for the garage wall: plan and side with numbered things, their places, figures."""

import io
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from reportlab.lib import pagesizes
from reportlab.lib.units import mm
from reportlab.lib.utils import simpleSplit
from reportlab.pdfbase.pdfmetrics import stringWidth
from reportlab.pdfgen.canvas import Canvas

from neat_hull.files.deck import Numbered, Outline, numbered
from neat_hull.files.said_text import Units, list_said, said, trim_said
from neat_hull.files.units import LENGTH_M, MASS_KG
from neat_hull.model.cautions import ANCHOR, FUSED, LITHIUM, NO_WAY_HOME, WET_BATTERY, WIRING
from neat_hull.model.drawing import Drawing
from neat_hull.model.figures import Figures
from neat_hull.model.power_day import BuyRow
from neat_hull.model.power_figures import ConductorFigure
from neat_hull.model.setup import Setup

Paper = Literal["a4", "letter"]
_MARGIN = 14 * mm
_SANS, _BOLD = "Helvetica", "Helvetica-Bold"
_CAUTIONS = (
    "The law and the maker's rating and instructions come first; use whichever limit is lower.",
    "The hull is an estimate until it is tested afloat.",
    "Wear the PFD; try changes in shallow warm water, with help.",
    ANCHOR,
)
_WIRING_CAUTIONS = (FUSED, LITHIUM, WET_BATTERY, NO_WAY_HOME, WIRING)


@dataclass(frozen=True)
class _Edge:
    """The user's units."""

    length: str
    mass: str

    def long(self, metres: float, digits: int = 0) -> str:
        return f"{metres / LENGTH_M[self.length]:.{digits}f} {self.length}"

    def heavy(self, kilos: float) -> str:
        return f"{kilos / MASS_KG[self.mass]:.1f} {self.mass}"


_EDGES: dict[Units, _Edge] = {"metric": _Edge("cm", "kg"), "imperial": _Edge("in", "lb")}


def wall_sheet(
    setup: Setup,
    drawing: Drawing,
    figures: Figures,
    units: Units,
    paper: Paper,
    buy: Sequence[BuyRow] = (),
) -> bytes:
    """The page, portrait, in the user's units, and one more for wires where there are any: their
    ways, and what to `buy` for them. The same setup gives the same bytes."""
    out = io.BytesIO()
    size = pagesizes.A4 if paper == "a4" else pagesizes.LETTER
    canvas = Canvas(out, pagesize=size, invariant=1)
    canvas.setTitle(f"{setup.name}, {setup.boat.name}")
    page, edge, things = _Page(canvas, *size), _EDGES[units], numbered(setup, figures)
    page.text(f"{setup.name} - {setup.boat.name}", 15, _BOLD)
    page.text(f"{setup.angler.name}, {setup.water} water", 9)
    page.drawing(setup, drawing, figures, things)
    page.figures(figures, edge)
    page.table(things, drawing, edge)
    page.foot()
    canvas.showPage()
    wires = [] if figures.power is None else figures.power.conductors
    if wires:
        page = _Page(canvas, *size)
        page.text(f"Wiring of {setup.name} - {setup.boat.name}", 15, _BOLD)
        page.drawing(setup, drawing, figures, things, wires)
        page.wires(setup, wires, edge)
        page.buy(buy, edge)
        page.foot(_WIRING_CAUTIONS)
        canvas.showPage()
    canvas.save()
    return out.getvalue()


class _Page:
    """A page that is written from the top down."""

    def __init__(self, canvas: Canvas, width: float, height: float) -> None:
        self._canvas, self._width, self._y = canvas, width, height - _MARGIN

    def text(self, text: str, size: float, font: str = _SANS) -> None:
        """A line of text; what the font has no sign for is left out."""
        self._y -= size * 1.25
        self._canvas.setFont(font, size)
        self._canvas.drawString(_MARGIN, self._y, _plain(text))

    def drawing(
        self,
        setup: Setup,
        drawing: Drawing,
        figures: Figures,
        things: list[Numbered],
        wires: Sequence[ConductorFigure] = (),
    ) -> None:
        """From above and from the side, on one scale that is told; with wires, those in bold."""
        bow, stern = drawing.x_m[-1], drawing.x_m[0]
        xs = [x for one in things for x, _ in one.plan] + [bow, stern]
        scale = (self._width - 2 * _MARGIN) / (max(xs) - min(xs))
        half = max([max(drawing.half_breadth_m)] + [abs(y) for t in things for _, y in t.plan])
        high = max([max(drawing.sheer_z_m)] + [z for t in things for _, z in t.side])
        # Standing poles would push the table off the page; they are cut at a sitter's head.
        high = min(high, 1.25)
        middle = self._y - 6 - half * scale
        base = middle - half * scale - 10 - high * scale

        def right(x_m: float) -> float:
            return _MARGIN + (max(xs) - x_m) * scale

        def plan(points: Outline) -> Outline:
            return [(right(x), middle - y * scale) for x, y in points]

        def side(points: Outline) -> Outline:
            return [(right(x), base + min(z, high) * scale) for x, z in points]

        port = list(zip(drawing.x_m, drawing.half_breadth_m, strict=True))
        self._path(plan(port + [(x, -y) for x, y in reversed(port)]), 1.2)
        for well in setup.boat.wells:
            b = well.half_breadth_m
            box = [(well.x_aft_m, -b), (well.x_fwd_m, -b), (well.x_fwd_m, b), (well.x_aft_m, b)]
            self._path(plan(box), 0.5)
        keel = list(zip(drawing.x_m, drawing.keel_z_m, strict=True))
        sheer = list(zip(drawing.x_m, drawing.sheer_z_m, strict=True))
        self._path(side(keel + sheer[::-1]), 1.2)
        if figures.afloat is not None:
            water = [(stern, figures.afloat.draft_aft_m), (bow, figures.afloat.draft_fwd_m)]
            self._path(side(water), 0.8, closed=False)
        for one in things:
            rod = one.thing.long
            self._path(plan(one.plan), 0.9, closed=not rod)
            self._path(side(one.side), 0.6, closed=not rod)
            (x, y) = plan([one.middle])[0]
            self._number(one.number, x, y)
        for wire in wires:
            self._path(plan([(x, y) for x, y, _ in wire.points]), 2.2, closed=False)
            self._path(side([(x, z) for x, _, z in wire.points]), 2.2, closed=False)
        self._y = base - 14
        self._canvas.setFont(_SANS, 8)
        told = f"bow at the left, port at the foot; drawn 1:{1000 * mm / scale:.0f}"
        self._canvas.drawString(_MARGIN, self._y, told)
        self._y -= 6

    def figures(self, figures: Figures, edge: _Edge) -> None:
        """The live figures in two lines."""
        weight, afloat, bands = figures.weight, figures.afloat, figures.bands
        line = f"Carried {edge.heavy(weight.carried_kg)}"
        if weight.rated_kg is not None and weight.working_kg is not None:
            line += f" (working load {edge.heavy(weight.working_kg)}, "
            line += f"rated {edge.heavy(weight.rated_kg)})"
        self.text(f"{line}, all up {edge.heavy(weight.all_up_kg)}", 10, _BOLD)
        if afloat is None or bands is None:
            self.text(figures.trouble or "", 10)
            return
        lies = f"{said(trim_said(afloat.trim_deg))}, {said(list_said(afloat.heel_deg))}"
        self.text(
            f"{lies}, GM {edge.long(afloat.gm_m, 1)} \u00b1 {edge.long(bands.gm_m, 1)}, "
            f"least freeboard {edge.long(afloat.least_freeboard_m, 1)}",
            10,
        )

    def table(self, things: list[Numbered], drawing: Drawing, edge: _Edge) -> None:
        """Where each thing goes; closer lines where there are many."""
        head = ("", "thing", "from the bow", "off the centerline", "height", "weight")
        rows = [head, *(self._row(one, drawing, edge) for one in things)]
        self._columns(rows, (0.0, 0.045, 0.50, 0.62, 0.79, 0.90))

    def wires(self, setup: Setup, wires: Sequence[ConductorFigure], edge: _Edge) -> None:
        """From what to what, how thick, how long, and its fuse."""
        rows = [("wire", "gauge", "length", "fuse", "from the post", "points")]
        for one in wires:
            wire = setup.power.conductors[one.key]
            names = [setup.things[i].name for i in (wire.start, wire.end)]
            fused = wire.fuse_a is not None
            rows.append(
                (
                    " to ".join(names),
                    f"AWG {wire.awg}" if wire.awg is not None else f"{wire.area_mm2:g} mm2",
                    edge.long(one.length_m),
                    f"{wire.fuse_a:g} A" if fused else "none",
                    edge.long(wire.fuse_at_m) if fused else "",
                    str(len(wire.points)),
                )
            )
        self._columns(rows, (0.0, 0.52, 0.62, 0.73, 0.81, 0.94))

    def buy(self, rows: Sequence[BuyRow], edge: _Edge) -> None:
        """What to buy, lengths with slack."""
        if rows:
            told = [("to buy", "", "")]
            for one in rows:
                much = str(one.count) if one.length_m is None else edge.long(one.length_m)
                told.append((f"{one.what} {one.size}".strip(), much, one.note))
            self._columns(told, (0.0, 0.30, 0.42))

    def _columns(self, rows: Sequence[tuple[str, ...]], shares: tuple[float, ...]) -> None:
        """A table under a bold head; closer lines where the page is short of room."""
        at = [_MARGIN + share * (self._width - 2 * _MARGIN) for share in shares]
        room = self._y - _MARGIN - 44
        step = max(4.0, min(12.0, room / (len(rows) + 1)))
        size = min(9.0, step * 0.8)
        self._y -= 6
        for n, row in enumerate(rows):
            self._y -= step
            self._canvas.setFont(_BOLD if n == 0 else _SANS, size)
            for x, cell in zip(at, row, strict=True):
                self._canvas.drawString(x, self._y, _fitted(_plain(cell), size, 0.5 * self._width))

    def foot(self, cautions: tuple[str, ...] = _CAUTIONS) -> None:
        """The cautions."""
        self._canvas.setFont(_SANS, 8)
        lines = simpleSplit(" ".join(cautions), _SANS, 8, self._width - 2 * _MARGIN)
        for i, line in enumerate(reversed(lines)):
            self._canvas.drawString(_MARGIN, _MARGIN + 10 * i, line)

    @staticmethod
    def _row(one: Numbered, drawing: Drawing, edge: _Edge) -> tuple[str, ...]:
        side = "port" if one.y_m > 0 else "starboard"
        off = "middle" if abs(one.y_m) < 0.005 else f"{edge.long(abs(one.y_m))} {side}"
        return (
            str(one.number),
            one.thing.name,
            edge.long(drawing.x_m[-1] - one.x_m),
            off,
            edge.long(one.base_z_m),
            edge.heavy(one.thing.mass_now_kg),
        )

    def _path(self, points: Outline, width: float, closed: bool = True) -> None:
        path = self._canvas.beginPath()
        path.moveTo(*points[0])
        for point in points[1:]:
            path.lineTo(*point)
        if closed:
            path.close()
        self._canvas.setLineWidth(width)
        self._canvas.drawPath(path)

    def _number(self, number: int, x: float, y: float) -> None:
        self._canvas.setFillGray(1)
        self._canvas.circle(x, y, 5, stroke=1, fill=1)
        self._canvas.setFillGray(0)
        self._canvas.setFont(_SANS, 6.5)
        self._canvas.drawCentredString(x, y - 2.3, str(number))


def _plain(text: str) -> str:
    """What the page's own font has signs for."""
    return (
        "".join(sign if sign.isprintable() else " " for sign in text)
        .encode("cp1252", "replace")
        .decode("cp1252")
    )


def _fitted(text: str, size: float, most: float) -> str:
    while text and stringWidth(text, _SANS, size) > most:
        text = text[:-1]
    return text
