"""The words for places on the boat, bow to stern, as people say them at the ramp."""

from collections.abc import Iterable

from neat_hull.model.reach import Aboard
from neat_hull.model.said import capital
from neat_hull.model.setup import SeatPlace
from neat_hull.physics.hull.shape import Hull

# Where the ends begin, as shares of the length: about an arm's length that nobody sits over.
_BOW_SHARE, _STERN_SHARE = 0.88, 0.07
_LEGS_HALF_M = 0.12  # legs lie out of that, knees apart
_SEAT_AHEAD_M, _SEAT_BEHIND_M, _SEAT_HALF_M = 0.42, 0.10, 0.24  # an ordinary seat's footprint


def whereabouts(hull: Hull, seat: SeatPlace, x_m: float, y_m: float) -> str:
    """Name the part of the boat that (x, y) belongs to."""
    if x_m >= hull.x_aft_m + _BOW_SHARE * hull.length_m:
        return "Bow"
    if x_m <= hull.x_aft_m + _STERN_SHARE * hull.length_m:
        return "Stern"
    for well in hull.wells_at(x_m, y_m):
        if not well.x_aft_m <= seat.x_m <= well.x_fwd_m:
            return capital(well.name)
    if seat.x_m - _SEAT_BEHIND_M <= x_m <= seat.x_m + _SEAT_AHEAD_M:
        return "At the seat" if abs(y_m) <= _SEAT_HALF_M else "Beside the seat"
    if x_m < seat.x_m:
        return "Behind the seat"
    if x_m >= seat.brace_x_m:
        return "Foredeck"
    return "Between the legs" if abs(y_m) <= _LEGS_HALF_M else "Beside the legs"


def bow_to_stern(rows: Iterable[Aboard]) -> list[str]:
    """The parts of the boat that things are in, by where the things of each are on the mean."""
    spots: dict[str, list[float]] = {}
    for row in rows:
        spots.setdefault(row.where, []).append(row.x_m)
    return sorted(spots, key=lambda where: -sum(spots[where]) / len(spots[where]))
