"""What the rules of the electrics share: words about wires, and the cautions."""

from collections.abc import Iterator

from neat_hull.model.base import Point
from neat_hull.model.cautions import WIRING
from neat_hull.model.power_figures import ConductorFigure
from neat_hull.model.said import Amount, Said, Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found
from neat_hull.subjects.power.figures import power, standing
from neat_hull.subjects.power.rows import Row
from neat_hull.subjects.power.wiring import wire_name, wired


def conductors(ev: Evaluated) -> dict[int, ConductorFigure]:
    """Wires by their key."""
    figures = ev.once(power)
    return {} if figures is None else {one.key: one for one in figures.conductors}


def wire_words(ev: Evaluated, key: int) -> str:
    """What a wire is called: by what it feeds."""
    return f"wire to {ev.name(ev.setup.power.conductors[key].end)}"


def middle(figure: ConductorFigure) -> Point:
    """A point on a wire, for a mark."""
    points = figure.points
    if len(points) > 2:
        return points[len(points) // 2]
    (ax, ay, az), (bx, by, bz) = points
    return (ax + bx) / 2, (ay + by) / 2, (az + bz) / 2


def told(ev: Evaluated, code: str) -> Iterator[tuple[ConductorFigure, Row]]:
    """Conductors of which the report says this, with its row."""
    stands, found = ev.once(standing), ev.once(wired)
    if stands is None:
        return
    keys = {wire_name(key): key for key in found.wires}
    keys |= {str(battery): key for key, battery in found.leads.items()}
    figures = ev.once(conductors)
    for row in stands.findings:
        if row["code"] == code and row["at"] is None and row["on"] in keys:
            yield figures[keys[row["on"]]], row


def of_wire(
    ev: Evaluated,
    figure: ConductorFigure,
    verdict: Verdict,
    title: Said,
    why: str,
    clear: Said,
    badness: float,
    now: Amount | None = None,
    limit: Amount | None = None,
) -> Found:
    """A finding of a wire: it is about the thing at its far end, and stands in its middle."""
    one = ev.setup.power.conductors[figure.key]
    return Found(
        verdict,
        title,
        why,
        clear,
        badness,
        thing_id=one.end,
        part=f"wire {figure.key}",
        at=middle(figure),
        caution=WIRING,
        figure=now,
        limit=limit,
    )
