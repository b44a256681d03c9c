"""Things aboard as they are numbered and outlined on paper: bow to stern, in boat metres."""

import math
from dataclasses import dataclass

from neat_hull.model.figures import Figures
from neat_hull.model.reach import Aboard
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing

Outline = list[tuple[float, float]]


@dataclass(frozen=True)
class Numbered:
    """One thing aboard: its number, where it stands, and its outline from above and the side."""

    number: int
    thing: Thing
    x_m: float
    y_m: float
    base_z_m: float
    plan: Outline
    side: Outline

    @property
    def middle(self) -> tuple[float, float]:
        """Middle of the outline from above."""
        xs, ys = zip(*self.plan, strict=True)
        return sum(xs) / len(xs), sum(ys) / len(ys)


def numbered(setup: Setup, figures: Figures) -> list[Numbered]:
    """Everything aboard in the order that the list on the bench has."""
    return [
        _one(i, setup.things[row.thing_id], row) for i, row in enumerate(figures.aboard, start=1)
    ]


def _one(number: int, thing: Thing, row: Aboard) -> Numbered:
    x, y, base_z_m = row.x_m, row.y_m, row.base_z_m
    if row.tip is not None:
        tip = row.tip
        plan, side = [(x, y), tip[:2]], [(x, base_z_m), (tip[0], tip[2])]
        return Numbered(number, thing, x, y, base_z_m, plan, side)
    turn = math.radians(row.turn_deg)
    half, wide = thing.length_m / 2, thing.width_m / 2
    corners = [(half, wide), (half, -wide), (-half, -wide), (-half, wide)]
    plan = [
        (x + a * math.cos(turn) - b * math.sin(turn), y + a * math.sin(turn) + b * math.cos(turn))
        for a, b in corners
    ]
    fore, aft = max(px for px, _ in plan), min(px for px, _ in plan)
    high = base_z_m + thing.height_m
    side = [(fore, base_z_m), (fore, high), (aft, high), (aft, base_z_m)]
    return Numbered(number, thing, x, y, base_z_m, plan, side)
