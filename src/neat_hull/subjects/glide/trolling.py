"""Lines that trail behind the boat, straight and in a turn: where they lie and which cross.

In a steady turn of radius R a line of length ℓ from a tip that goes round at r ends at √(r² − ℓ²),
at right angles to itself: the tractrix come to rest; a line longer than r ends at the middle.
"""

from itertools import combinations
from math import acos, atan2, cos, hypot, sin, sqrt

from neat_hull.model.glide_figures import TrolledLine, Trolling
from neat_hull.rig.evaluated import Evaluated

_TURNS_M = (3, 4, 5, 6, 8, 10, 12, 15, 18, 22, 27, 33, 40, 50, 60, 80, 100, 150, 200, 300, 500)

Place = tuple[float, float]


def trolling(ev: Evaluated) -> Trolling | None:
    """Of the rods aboard that lines are set for; None without any."""
    rows = [
        (i, ev.rigged.by_id[i].tip_m, length)
        for i, length in sorted(ev.setup.glide.lines.items())
        if i in ev.rigged.by_id
    ]
    lines = [(i, (tip[0], tip[1]), length) for i, tip, length in rows if tip is not None]
    if not lines:
        return None
    turn = ev.setup.glide.turn_m
    lures = [tip[1] for _, tip, _ in lines]
    return Trolling(
        lines=[
            TrolledLine(
                thing_id=i,
                name=ev.name(i),
                tip=tip,
                length_m=length,
                lure=(tip[0] - length, tip[1]),
                turning=list(line_in_turn(tip, length, turn)),
            )
            for i, tip, length in lines
        ],
        crossing=crossing(lines, turn),
        least_turn_m=next(
            (float(one) for one in _TURNS_M if all(
                not crossing(lines, float(wider)) for wider in _TURNS_M if wider >= one
            )),
            None,
        ),
        spread_m=max(lures) - min(lures),
    )  # fmt: skip


def line_in_turn(tip: Place, length_m: float, turn_m: float) -> tuple[Place, Place]:
    """A turn to port about a middle abeam of the boat's own: tip and lure, in the boat's axes."""
    middle = (0.0, turn_m)
    ahead, out = tip[0] - middle[0], tip[1] - middle[1]
    far = hypot(ahead, out)
    if length_m >= far:
        return tip, middle
    lure = sqrt(far**2 - length_m**2)
    # Behind the tip, against the way round, by the angle at the middle.
    angle = atan2(out, ahead) - acos(lure / far)
    return tip, (middle[0] + lure * cos(angle), middle[1] + lure * sin(angle))


def crossing(lines: list[tuple[int, Place, float]], turn_m: float) -> list[tuple[int, int]]:
    """Pairs of lines that cross in a turn."""
    laid = [(i, line_in_turn(tip, length, turn_m)) for i, tip, length in lines]
    return [(a, b) for (a, one), (b, other) in combinations(laid, 2) if _meet(one, other)]


_TANGLED_M = 0.2  # lures no farther apart are as good as crossed


def _meet(one: tuple[Place, Place], other: tuple[Place, Place]) -> bool:
    """Whether two stretches cross, or end at one place."""
    lures = hypot(one[1][0] - other[1][0], one[1][1] - other[1][1])
    return lures < _TANGLED_M or (_apart(one, other) and _apart(other, one))


def _apart(line: tuple[Place, Place], ends: tuple[Place, Place]) -> bool:
    (x0, y0), (x1, y1) = line
    sides = [(x1 - x0) * (y - y0) - (y1 - y0) * (x - x0) for x, y in ends]
    return sides[0] * sides[1] < 0
