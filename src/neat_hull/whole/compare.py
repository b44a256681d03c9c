"""Setups side by side: weights by place, figures, findings gained and lost, plans."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass

from neat_hull.model.comparison import Compared, Comparison, FigureRow, Outline, WhereRow
from neat_hull.model.figures import Figures
from neat_hull.model.reach import Aboard
from neat_hull.model.said import HowKind, Verdict
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.whereabouts import bow_to_stern
from neat_hull.whole.advice.best import changed
from neat_hull.whole.drawing import drawing
from neat_hull.whole.evaluate import live

_SAME_M, _SAME_DEG = 0.005, 1.0  # nobody sees less


@dataclass(frozen=True)
class _Column:
    setup: Setup
    figures: Figures


def compare(setups: Sequence[tuple[str, Evaluated]]) -> Comparison:
    """The setups by the names they are shown under; the first is what others are held against.

    Raises InputErrors for measures that mean nothing.
    """
    columns = [_Column(ev.setup, live(ev)) for _, ev in setups]
    return Comparison(
        sides=[
            _side(name, column, columns[0])
            for (name, _), column in zip(setups, columns, strict=True)
        ],
        figures=[_row(columns, *one) for one in _FIGURES],
        weights=_weights(columns),
    )


def _side(name: str, column: _Column, first: _Column) -> Compared:
    lost, gained = changed(first.figures.findings, column.figures.findings)
    lines = drawing(column.setup)
    there = {row.thing_id: row for row in first.figures.aboard}
    return Compared(
        name=name,
        boat=column.setup.boat.name,
        half_breadth_m=lines.half_breadth_m,
        x_m=lines.x_m,
        outlines=[
            _outline(column.setup, row, there.get(row.thing_id), column is first)
            for row in column.figures.aboard
        ],
        findings=column.figures.findings,
        gained=gained if column is not first else [],
        lost=lost if column is not first else [],
    )


def _outline(setup: Setup, row: Aboard, there: Aboard | None, first: bool) -> Outline:
    thing = setup.things[row.thing_id]
    if row.tip is not None:
        points = [(row.x_m, row.y_m), (row.tip[0], row.tip[1])]
    else:
        turn = math.radians(row.turn_deg)
        cos, sin = math.cos(turn), math.sin(turn)
        points = [
            (row.x_m + a * cos - b * sin, row.y_m + a * sin + b * cos)
            for a, b in (
                (thing.length_m / 2, thing.width_m / 2),
                (thing.length_m / 2, -thing.width_m / 2),
                (-thing.length_m / 2, -thing.width_m / 2),
                (-thing.length_m / 2, thing.width_m / 2),
            )
        ]
    moved = not first and (
        there is None
        or math.dist(there.centre, row.centre) > _SAME_M
        or abs(there.turn_deg - row.turn_deg) > _SAME_DEG
    )
    return Outline(
        thing_id=row.thing_id, name=thing.name, points=points, long=row.tip is not None, moved=moved
    )


def _row(
    columns: list[_Column],
    label: str,
    kind: HowKind,
    read: Callable[[Figures], float | None],
    judge: Callable[[Figures], Verdict | None],
) -> FigureRow:
    values = [read(column.figures) for column in columns]
    start = values[0]
    return FigureRow(
        label=label,
        kind=kind,
        values=values,
        changes=[None if value is None or start is None else value - start for value in values],
        verdicts=[judge(column.figures) for column in columns],
    )


def _count(*words: Verdict) -> Callable[[Figures], float | None]:
    return lambda figures: float(
        sum(one.verdict in words and one.accepted is None for one in figures.findings)
    )


def _none(_: Figures) -> Verdict | None:
    return None


_Row = tuple[str, HowKind, Callable[[Figures], float | None], Callable[[Figures], Verdict | None]]
_FIGURES: tuple[_Row, ...] = (
    ("Carried", "mass", lambda f: f.weight.carried_kg, lambda f: f.weight.verdict),
    ("Gear", "mass", lambda f: f.weight.gear_kg, _none),
    ("Weight with the boat", "mass", lambda f: f.weight.all_up_kg, _none),
    (
        "Trim, bow up",
        "angle",
        lambda f: f.afloat.trim_deg if f.afloat else None,
        lambda f: f.afloat.trim_verdict if f.afloat else None,
    ),
    (
        "Heel, starboard down",
        "angle",
        lambda f: f.afloat.heel_deg if f.afloat else None,
        lambda f: f.afloat.heel_verdict if f.afloat else None,
    ),
    (
        "GM",
        "length",
        lambda f: f.afloat.gm_m if f.afloat else None,
        lambda f: f.afloat.gm_verdict if f.afloat else None,
    ),
    ("Draft amidships", "length", lambda f: f.afloat.draft_mid_m if f.afloat else None, _none),
    (
        "Least freeboard",
        "length",
        lambda f: f.afloat.least_freeboard_m if f.afloat else None,
        _none,
    ),
    ("Deck edge", "angle", lambda f: f.curve.deck_edge_deg if f.curve else None, _none),
    (
        "Items within reach",
        "count",
        lambda f: float(sum(r.zone == "hand" for r in f.aboard)),
        _none,
    ),
    ("No-go", "count", _count("stop"), _none),
    ("Fix", "count", _count("fix"), _none),
    ("Watch", "count", _count("watch"), _none),
)


def _weights(columns: list[_Column]) -> list[WhereRow]:
    """By the part of the boat that each thing is in, what it holds with it."""
    found = []
    for where in bow_to_stern(row for column in columns for row in column.figures.aboard):
        mass = [
            sum(
                column.setup.things[row.thing_id].mass_now_kg
                for row in column.figures.aboard
                if row.where == where
            )
            for column in columns
        ]
        changes = [one - mass[0] for one in mass]
        found.append(WhereRow(where=where, mass_kg=mass, changes_kg=changes))
    return found
