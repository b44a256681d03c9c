"""The deck plan as SVG at true scale: a millimetre in the file is a millimetre on the boat."""

from xml.sax.saxutils import escape, quoteattr

from neat_hull.files.deck import Outline, numbered
from neat_hull.model.drawing import Drawing
from neat_hull.model.figures import Figures
from neat_hull.model.setup import Setup

_MARGIN_MM = 120.0
_STYLE = (
    "path,line{fill:none;stroke:#17333a;stroke-width:3}"
    ".hull{fill:#e9e0c9}.well,.fitting{stroke-width:2;stroke-dasharray:12 8}"
    ".wire{stroke:#c9761b;stroke-width:8}"
    ".thing{fill:#fffdf8}.rod{stroke:#6b3f1d;stroke-width:6}.middle{stroke-dasharray:30 10 4 10}"
    "text{font:32px sans-serif;fill:#17333a;text-anchor:middle}.note{text-anchor:start}"
)


def deck_svg(setup: Setup, drawing: Drawing, figures: Figures) -> str:
    """Hull, wells, fittings, numbered things and wires from above, bow left, port at the foot."""
    bow, stern = drawing.x_m[-1], drawing.x_m[0]
    half = max(drawing.half_breadth_m)
    # Tips that stand out past the ends are on the sheet too.
    things = numbered(setup, figures)
    xs = [x for one in things for x, _ in one.plan] + [bow, stern]
    ys = [y for one in things for _, y in one.plan] + [half, -half]
    left, right = max(xs), min(xs)

    def at(x_m: float, y_m: float) -> tuple[float, float]:
        return (
            _MARGIN_MM + 1000 * (left - x_m),
            _MARGIN_MM + 1000 * (y_m - min(ys)),
        )

    def path(points: Outline, kind: str, title: str = "", closed: bool = True) -> str:
        body = "L".join("{:.1f},{:.1f}".format(*at(x, y)) for x, y in points)
        told = f"<title>{escape(title)}</title>" if title else ""
        return f'<path class="{kind}" d="M{body}{"Z" if closed else ""}">{told}</path>'

    port = list(zip(drawing.x_m, drawing.half_breadth_m, strict=True))
    parts = [path(port + [(x, -y) for x, y in reversed(port)], "hull")]
    parts.append(path([(bow, 0.0), (stern, 0.0)], "middle", closed=False))
    for well in setup.boat.wells:
        b = well.half_breadth_m
        box = [(well.x_aft_m, -b), (well.x_fwd_m, -b), (well.x_fwd_m, b), (well.x_aft_m, b)]
        parts.append(path(box, "well", well.name))
    for one in setup.boat.fittings:
        ends = [(one.x_m + d * max(one.length_m, 0.03) / 2, one.y_m) for d in (1, -1)]
        parts.append(path(ends, "fitting", one.name, closed=False))
    for thing in things:
        rod = thing.thing.long
        parts.append(path(thing.plan, "rod" if rod else "thing", thing.thing.name, closed=not rod))
        x, y = at(*thing.middle)
        parts.append(f'<text x="{x:.1f}" y="{y + 11:.1f}">{thing.number}</text>')
    for wire in figures.power.conductors if figures.power is not None else ():
        title = f"Wire to {setup.things[setup.power.conductors[wire.key].end].name}"
        parts.append(path([(x, y) for x, y, _ in wire.points], "wire", title, closed=False))
    width = 2 * _MARGIN_MM + 1000 * (left - right)
    height = 2 * _MARGIN_MM + 1000 * (max(ys) - min(ys))
    title = f"{setup.name}, {setup.boat.name}: deck plan, 1:1, port at the foot"
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:.1f}mm" height="{height:.1f}mm" '
        f'viewBox="0 0 {width:.1f} {height:.1f}" aria-label={quoteattr(title)}>'
        f"<style>{_STYLE}</style>{''.join(parts)}"
        f'<text class="note" x="20" y="50">{escape(title)}</text></svg>\n'
    )
