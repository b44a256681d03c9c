"""What the core answers about several setups side by side."""

from neat_hull.model.base import Answer
from neat_hull.model.findings import Finding
from neat_hull.model.said import HowKind, Verdict


class FigureRow(Answer):
    """One figure in each of the setups, null where one does not float; changes off the first."""

    label: str
    kind: HowKind
    values: list[float | None]
    changes: list[float | None]
    verdicts: list[Verdict | None]


class WhereRow(Answer):
    """The weight of gear in one part of the boat, in each of the setups, bow to stern."""

    where: str
    mass_kg: list[float]
    changes_kg: list[float]


class Outline(Answer):
    """A thing from above: a box by its corners, a rod or pole by its ends (x, y)."""

    thing_id: int
    name: str
    points: list[tuple[float, float]]
    long: bool
    moved: bool


class Compared(Answer):
    """One setup of a comparison: its hull and things from above, and its findings.

    gained and lost are findings against the first; moved marks what is not where it is there.
    """

    name: str
    boat: str
    half_breadth_m: list[float]
    x_m: list[float]
    outlines: list[Outline]
    findings: list[Finding]
    gained: list[Finding]
    lost: list[Finding]


class Comparison(Answer):
    """Two to four setups side by side."""

    sides: list[Compared]
    figures: list[FigureRow]
    weights: list[WhereRow]
