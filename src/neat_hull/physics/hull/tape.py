"""A hull from what a tape measure gives, fair enough to float a plan on.

Nobody has a lines plan of their kayak. Half-breadth, sheer and keel run through the measured places
as monotone cubics (no bulge between two measures that neither of them shows), and every section is
the chosen bottom carried up to the gunwale by a soft or hard turn. It is an estimate until a float
test says otherwise. Shape functions and their reasons: docs/physics.md, "Hull from a tape".
"""

from dataclasses import dataclass
from typing import Literal

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import Bound, Bounded, InputError, InputErrors
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.shape import Station

Bottom = Literal["flat", "shallow_arch", "shallow_v", "twin_ridge", "tunnel"]
Chine = Literal["soft", "hard"]

_STATIONS = 31
_CROWDING = 0.8  # 0: stations evenly apart; 1: closest at the ends
_FULLNESS = 1.2  # half-breadth^1.2 runs straight into the ends: a rounded, not a needle, tip
_STEM_SHARE = {"bow": 0.10, "stern": 0.07}  # of the length, over which the keel sweeps up
_STEM_RISE = 0.86  # of the height of the end, so that the tip keeps a short upright edge

# Bottom height over its lowest point, as a share of the half-breadth at the turn of the bilge,
# along the half-breadth from keel (0) to turn (1). Typical of plastic fishing kayaks.
_BOTTOM_AT = np.array([0.0, 0.14, 0.28, 0.42, 0.56, 0.70, 0.85, 1.0])
_BOTTOM_RISE: dict[Bottom, Array] = {
    "flat": np.array([0.0, 0.0, 0.0, 0.0, 0.0, 0.002, 0.008, 0.02]),
    "shallow_arch": 0.13 * _BOTTOM_AT**2,
    "shallow_v": 0.11 * _BOTTOM_AT,
    "twin_ridge": np.array([0.08, 0.074, 0.052, 0.022, 0.003, 0.0, 0.011, 0.037]),
    "tunnel": np.array([0.14, 0.14, 0.094, 0.012, 0.0, 0.0, 0.007, 0.029]),
}
_TURN_AT: dict[Chine, float] = {"soft": 0.76, "hard": 0.90}  # share of the half-breadth
LOW_M = 0.10  # a hand's breadth: about where the water stands, and low enough to see the bilge
# From the turn of the bilge, t = 0, to the gunwale, 1, the side goes out by (1 − (1 − t)^q)^(1/p):
# straight for p = q = 1; the higher q the rounder, and p (_EARLY) has it go out sooner. With these
# a soft chine has a little over nine tenths of the beam a hand's breadth up.
_SIDE: dict[Chine, float] = {"soft": 2.7, "hard": 1.0}
_STRAIGHTEST, _ROUNDEST = 0.6, 14.0
# Of a breadth measured low down: the bilge turns within it.
_TURN_IN: dict[Chine, float] = {"soft": 0.88, "hard": 0.98}
_EARLY: dict[Chine, float] = {"soft": 1.5, "hard": 1.0}
# Where a side is cut, from its turn: closer together where it is round.
_SIDE_AT: dict[Chine, Array] = {
    "soft": np.linspace(0.0, 1.0, 8)[1:] ** 1.7,
    "hard": np.linspace(0.0, 1.0, 7)[1:],
}


@dataclass(frozen=True)
class Tape:
    """Measures of a hull in m. Beams are over all, at a quarter and three quarters from the bow.

    beam_at_m is measured from the bow. depth_m is keel to gunwale amidships; bow_height_m and
    stern_height_m are floor to the tips; rockers are how far keel ends stand off a flat floor.
    bottom_beam_m is the breadth of the bottom at the turn of the bilge amidships (None: typical of
    the chine), so it says how far the sides flare; stern_beam_m is a transom's breadth, or 0.

    Three that decide how steady the boat is, None where nobody has taken them: the breadths at
    LOW_M over the floor that the boat stands on, amidships and at the quarters; and hollow_m, how
    far the bottom stands off that floor in the middle (a tunnel), at the turn of the bilge (a V, an
    arch), or between the ridges.
    """

    length_m: float
    beam_m: float
    beam_at_m: float
    beam_fore_quarter_m: float
    beam_aft_quarter_m: float
    depth_m: float
    bow_height_m: float
    stern_height_m: float
    rocker_bow_m: float
    rocker_stern_m: float
    bottom: Bottom
    chine: Chine
    bottom_beam_m: float | None = None
    stern_beam_m: float = 0.0
    low_beam_m: float | None = None
    low_beam_fore_m: float | None = None
    low_beam_aft_m: float | None = None
    hollow_m: float | None = None

    @property
    def turn_at(self) -> float:
        """Where the bilge turns, as a share of the half-breadth: measured, or typical."""
        typical = _TURN_AT[self.chine]
        return typical if self.bottom_beam_m is None else self.bottom_beam_m / self.beam_m


def _m(value_m: float) -> Bound:
    return Bound("length", value_m)


def require_tape(tape: Tape) -> None:
    """Refuse measures no kayak has. Raises InputErrors naming each field in plain words."""
    length, beam, depth = tape.length_m, tape.beam_m, tape.depth_m
    rules: list[tuple[str, bool, str]] = [
        (
            "length_m",
            1.5 <= length <= 9.0,
            Bounded("a kayak's length lies between {} and {}", _m(1.5), _m(9)),
        ),
        ("beam_m", beam > 0, "the beam must be more than nothing"),
        (
            "beam_m",
            beam <= 0 or 0.3 <= beam <= 1.8,
            Bounded("a kayak's beam lies between {} and {}", _m(0.3), _m(1.8)),
        ),
        ("beam_m", beam < length, "a boat cannot be wider than it is long"),
        (
            "beam_at_m",
            0.3 * length <= tape.beam_at_m <= 0.7 * length,
            "the widest place must lie in the middle part, 30 % to 70 % of the length from the bow",
        ),
        (
            "beam_fore_quarter_m",
            0 < tape.beam_fore_quarter_m <= beam,
            "the beam a quarter from the bow must be more than nothing, "
            "and no wider than the widest",
        ),
        (
            "beam_aft_quarter_m",
            0 < tape.beam_aft_quarter_m <= beam,
            "the beam a quarter from the stern must be more than nothing, and at most the widest",
        ),
        (
            "depth_m",
            0.1 <= depth <= 0.8,
            Bounded("the depth, keel to gunwale, lies between {} and {}", _m(0.1), _m(0.8)),
        ),
        (
            "bow_height_m",
            depth <= tape.bow_height_m <= 1.2,
            Bounded(
                "the bow's height off the ground must be at least the depth amidships, at most {}",
                _m(1.2),
            ),
        ),
        (
            "stern_height_m",
            depth <= tape.stern_height_m <= 1.2,
            Bounded(
                "the stern's height off the ground must be at least the depth amidships, "
                "at most {}",
                _m(1.2),
            ),
        ),
        (
            "rocker_bow_m",
            0 <= tape.rocker_bow_m <= 0.6 * depth,
            "the keel's rise at the bow must be between nothing and 60 % of the depth",
        ),
        (
            "rocker_stern_m",
            0 <= tape.rocker_stern_m <= 0.6 * depth,
            "the keel's rise at the stern must be between nothing and 60 % of the depth",
        ),
        (
            "bottom_beam_m",
            tape.bottom_beam_m is None or 0.4 * beam <= tape.bottom_beam_m <= beam,
            "the breadth of the bottom lies between 40 % of the beam and all of it",
        ),
        (
            "stern_beam_m",
            0 <= tape.stern_beam_m <= tape.beam_aft_quarter_m,
            "a transom is no wider than the boat a quarter from the stern",
        ),
    ]
    for name, over in (
        ("low_beam_m", beam),
        ("low_beam_fore_m", tape.beam_fore_quarter_m),
        ("low_beam_aft_m", tape.beam_aft_quarter_m),
    ):
        low = getattr(tape, name)
        right = low is None or 0.4 * over <= low <= over
        rules.append(
            (name, right, "a hand's breadth up, the boat is 40 % to all of its beam there")
        )
    rules.append(
        (
            "hollow_m",
            tape.hollow_m is None or 0 <= tape.hollow_m <= 0.4 * depth,
            "the hollow, or the rise, of the bottom is at most 40 % of the depth",
        )
    )
    wrong = [InputError(name, getattr(tape, name), why) for name, right, why in rules if not right]
    if wrong:
        raise InputErrors(wrong)


def stations_from_tape(tape: Tape) -> tuple[Station, ...]:
    """Stations stern to bow, closer together toward the ends where the shape turns fastest."""
    require_tape(tape)
    even = np.linspace(0, 1, _STATIONS)
    x = tape.length_m * (even - _CROWDING * np.sin(2 * np.pi * even) / (2 * np.pi))
    widest = tape.length_m - tape.beam_at_m
    x[np.abs(x - widest).argmin()] = widest  # the measure itself must be met, not nearly
    half, keel, sheer = half_breadth_m(tape, x), keel_m(tape, x), sheer_m(tape, x)
    return tuple(
        Station(float(at), _section(tape, b, k, s, side))
        for at, b, k, s, side in zip(x, half, keel, sheer, _sides(tape, x), strict=True)
    )


def half_breadth_m(tape: Tape, x_m: Array) -> Array:
    """(n,) m: greatest half-breadth at each x from the stern."""
    length = tape.length_m
    at = np.array([0.0, length / 4, length - tape.beam_at_m, length * 3 / 4, length])
    beam = np.array(
        [tape.stern_beam_m, tape.beam_aft_quarter_m, tape.beam_m, tape.beam_fore_quarter_m, 0.0]
    )
    curve = scipy.interpolate.PchipInterpolator(at, (beam / 2) ** _FULLNESS)
    half: Array = np.maximum(curve(x_m), 0.0) ** (1 / _FULLNESS)
    return half


def sheer_m(tape: Tape, x_m: Array) -> Array:
    """(n,) m: height of the gunwale, sweeping up from amidships to both ends."""
    from_middle = 2 * x_m / tape.length_m - 1
    rise = np.where(from_middle > 0, tape.bow_height_m, tape.stern_height_m) - tape.depth_m
    sheer: Array = tape.depth_m + rise * np.abs(from_middle) ** 2.4
    return sheer


def keel_m(tape: Tape, x_m: Array) -> Array:
    """(n,) m: height of the bottom: rocker over the whole length, then the sweep of the stems."""
    from_middle = 2 * x_m / tape.length_m - 1
    rocker = np.where(from_middle > 0, tape.rocker_bow_m, tape.rocker_stern_m)
    keel = rocker * np.abs(from_middle) ** 2.6
    for end, share in _STEM_SHARE.items():
        if end == "stern" and tape.stern_beam_m > 0:
            continue  # a transom's keel runs out straight
        reach = share * tape.length_m
        to_end = tape.length_m - x_m if end == "bow" else x_m
        height = tape.bow_height_m if end == "bow" else tape.stern_height_m
        into = np.clip(1 - to_end / reach, 0.0, 1.0)
        sweep = 1 - np.sqrt(1 - into**2)
        keel = keel + sweep * (_STEM_RISE * height - keel)
    return keel


@dataclass(frozen=True)
class _Side:
    """Where the bilge turns, as a share of the half-breadth; how round the side is from there."""

    turn: float
    q: float


def _sides(tape: Tape, x_m: Array) -> list[_Side]:
    """The side at each x: as measured amidships and at the quarters, straight between them."""
    at = np.array([0.25, 1 - tape.beam_at_m / tape.length_m, 0.75]) * tape.length_m
    beams = (tape.beam_aft_quarter_m, tape.beam_m, tape.beam_fore_quarter_m)
    lows = (tape.low_beam_aft_m, tape.low_beam_m, tape.low_beam_fore_m)
    found = [
        _side(tape, beam / 2, low, float(keel), float(sheer))
        for beam, low, keel, sheer in zip(
            beams, lows, keel_m(tape, at), sheer_m(tape, at), strict=True
        )
    ]
    known = [side for side, low in zip(found, lows, strict=True) if low is not None]
    if len(known) == 1:  # one measure says what the others are like
        found = known * 3
    turn, q = (
        np.interp(x_m, at, [getattr(side, name) for side in found]) for name in ("turn", "q")
    )
    return [_Side(float(one), float(other)) for one, other in zip(turn, q, strict=True)]


def _side(
    tape: Tape, half_m: float, low_beam_m: float | None, keel_m: float, sheer_m: float
) -> _Side:
    """The one that passes through a breadth measured low down; the typical one without."""
    turn, q = tape.turn_at, _SIDE[tape.chine]
    if low_beam_m is None:
        return _Side(turn, q)
    low = min(low_beam_m / 2, 0.999 * half_m)
    turn = min(turn, _TURN_IN[tape.chine] * low / half_m)
    start = keel_m + float(_rise(tape, half_m, turn, sheer_m - keel_m)[-1])
    up = (LOW_M - start) / (sheer_m - start)
    if up <= 0.02:  # the bottom itself stands that high there
        return _Side(turn, q)
    out = ((low / half_m - turn) / (1 - turn)) ** _EARLY[tape.chine]
    return _Side(turn, float(np.clip(np.log1p(-out) / np.log1p(-up), _STRAIGHTEST, _ROUNDEST)))


def _rise(tape: Tape, half_m: float, turn: float, depth_m: float) -> Array:
    """Height of the bottom over its lowest point at _BOTTOM_AT, keel to turn."""
    shape = _BOTTOM_RISE[tape.bottom]
    size = turn * half_m
    if tape.hollow_m is not None and shape.max() > 0:
        # As deep as measured amidships, and in the same proportion where the boat is narrower.
        size = tape.hollow_m / float(shape.max()) * 2 * half_m / tape.beam_m
    fine = 1 - 2 * half_m / tape.beam_m  # 0 at the widest place, 1 at the ends
    rise = shape * size + 0.35 * fine**2 * depth_m * _BOTTOM_AT
    low: Array = np.minimum(rise - rise.min(), 0.5 * depth_m)
    return low


def _section(tape: Tape, half_m: float, keel_m: float, sheer_m: float, side: _Side) -> Array:
    """Half-section (n, 2) from keel to sheer, as many points for every x so that lines run fair."""
    turn = half_m * side.turn
    bottom_z = keel_m + _rise(tape, half_m, side.turn, sheer_m - keel_m)
    bottom = np.column_stack((turn * _BOTTOM_AT, bottom_z))
    up, start = _SIDE_AT[tape.chine], bottom_z[-1]
    out = (1 - (1 - up) ** side.q) ** (1 / _EARLY[tape.chine])
    rest = np.column_stack((turn + (half_m - turn) * out, start + (sheer_m - start) * up))
    return np.vstack((bottom, rest))
