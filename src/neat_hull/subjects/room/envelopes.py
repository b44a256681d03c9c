"""Room that this angler needs on this boat: legs, pedals, stroke, feet, fight, cast, remount.

Each is a few rounded boxes. Sizes are our thresholds, from how people move; the reasons stand
beside them.
"""

from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

import numpy as np
from shapely import MultiPoint, Polygon

from neat_hull.model.boat import Propulsion
from neat_hull.model.demands import Side
from neat_hull.model.room import Envelope, EnvelopeGroup
from neat_hull.model.setup import Posture, SeatPlace
from neat_hull.model.thing import Part
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.segments import Body
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.solids import Solids, boxes, rods
from neat_hull.rig.bodies import standing_place
from neat_hull.rig.over_the_side import over_the_side
from neat_hull.rig.rigging import Rigged

CRANK_M = 0.165  # of an ordinary pedal
PUSH_M = 0.30  # of a push pedal, from end to end
_HEEL_M = 0.03  # of air about feet that go round
KNUCKLES_M = 0.10  # how near the gunwale the lower hand passes, and how far it stands out
_STROKE_OUT_M = 0.22  # of the gunwale: the shaft is held over the water
_STROKE_UP_M = 0.30  # of the gunwale: under that the lower hand and shaft pass
_FEET_M = (0.60, 0.50, 0.20)  # along, across, up: where feet stand and turn
_FIGHT_M = (0.80, 0.60, 0.60)  # ahead of the seat, over the fish side, over the gunwale
_FIGHT_FROM_M = 0.25  # over the gunwale: a line to a fish passes over what is lower
_CAST_FAR_M, _CAST_WIDE_M, _CAST_UP_M = 1.40, 0.70, 0.90  # of the rod behind the casting shoulder
_CAST_OUT_RAD = np.radians(25.0)  # off straight aft, to the casting side
_SIDES: dict[str, float] = {"port": 1.0, "starboard": -1.0}


@dataclass(frozen=True, eq=False)
class Needed:
    """One envelope: what it is called, its solids, and how near a thing may come."""

    key: str
    title: str
    group: EnvelopeGroup
    solids: Solids
    margin_m: float
    severe: Literal["watch", "fix"]
    counts: bool = True
    spares: frozenset[Part] = frozenset()  # parts of the boat that belong there
    spares_worn: bool = False  # what is worn lies against the body, and gives way
    owner: int | None = None  # the thing whose lid it is


@dataclass(frozen=True)
class _Sitter:
    """What envelopes hang on: hull and body are kept by what they are made of, as in rigging."""

    hull: Hull
    body: Body
    seat: SeatPlace
    propulsion: Propulsion
    posture: Posture
    side: Side
    casts: Side

    def gunwale(self, x_m: float) -> tuple[float, float]:
        """Half-breadth and height of the gunwale at x."""
        return self.hull.gunwale_m(x_m)


def needed(rigged: Rigged) -> tuple[Needed, ...]:
    """All envelopes of a setup but lids, which hang on where things are."""
    setup = rigged.setup
    return _needed(
        _Sitter(
            rigged.floating.hull,
            rigged.body,
            setup.seat,
            setup.boat.propulsion,
            setup.posture,
            setup.demands.side,
            setup.angler.casts,
        )
    )


@lru_cache(maxsize=16)
def _needed(sitter: _Sitter) -> tuple[Needed, ...]:
    return tuple(one for make in _ALL for one in make(sitter))


def outline(one: Needed) -> Envelope:
    """Its outlines for the drawing."""
    spots = corners_m(one.solids)
    return Envelope(
        key=one.key,
        title=one.title,
        group=one.group,
        counts=one.counts,
        plan=_hull_of(spots[:, :2]),
        side=_hull_of(spots[:, [0, 2]]),
    )


def corners_m(solids: Solids) -> Array:
    """(8n, 3) m: corners of the boxes, each edge rounded off by its radius left square."""
    signs = np.array(np.meshgrid([-1, 1], [-1, 1], [-1, 1])).reshape(3, 8).T
    half = solids.half_m + solids.radius_m[:, None]
    spots: Array = (
        solids.middle_m[:, None, :]
        + np.einsum("cj,nj,njk->nck", signs.astype(float), half, solids.axes)
    ).reshape(-1, 3)
    return spots


def _hull_of(points: Array) -> list[tuple[float, float]]:
    around = MultiPoint(points).convex_hull
    assert isinstance(around, Polygon), "boxes have breadth and height"
    return [(float(x), float(y)) for x, y in around.exterior.coords[:-1]]


def _box(low: tuple[float, float, float], high: tuple[float, float, float]) -> Solids:
    a, b = np.minimum(low, high), np.maximum(low, high)
    return boxes(((a + b) / 2)[None, :], (b - a)[None, :], np.zeros(1))


def _limbs(sitter: _Sitter) -> list[Needed]:
    found = []
    for segment in sitter.body.segments:
        if segment.name in ("thigh", "shank", "foot", "trunk"):
            side = (
                ""
                if segment.name == "trunk"
                else ("port " if segment.upper_m[1] > 0 else "starboard ")
            )
            thick = rods(
                segment.upper_m[None], segment.far_m[None], np.array([segment.thickness_m / 2])
            )
            hand = "left" if side == "port " else "right"
            title = f"your {hand} {segment.name}" if side else "your back and belly"
            found.append(
                Needed(
                    f"{side}{segment.name}",
                    title,
                    "legs",
                    thick,
                    0.02,
                    "fix",
                    spares=frozenset({"seat", "drive", "rudder"}),
                    spares_worn=True,
                )
            )
    return found


def _pedals(sitter: _Sitter) -> list[Needed]:
    seat, build = sitter.seat, sitter.body.build
    kind = sitter.propulsion
    wide = build.half_hips_m + 0.06  # half a foot's breadth
    if kind == "crank":
        reach_m = CRANK_M + 0.3 * build.foot_m  # the heel swings behind the pedal
        high = seat.brace_z_m + 2 * CRANK_M + 0.05
        solids = _box(
            (seat.brace_x_m - reach_m, -wide, seat.brace_z_m),
            (seat.brace_x_m + reach_m, wide, high),
        )
        title = "the pedal circle"
    elif kind == "push":
        solids = _box(
            (seat.brace_x_m - PUSH_M, -wide, seat.brace_z_m),
            (seat.brace_x_m + 0.05, wide, seat.brace_z_m + build.foot_m),
        )
        title = "the push of the pedals"
    else:
        return []
    return [
        Needed(
            "pedals", title, "legs", solids, _HEEL_M, "fix", spares=frozenset({"drive", "rudder"})
        )
    ]


def _stroke(sitter: _Sitter) -> list[Needed]:
    """From toe to hip on either side: the lower hand's way over the gunwale."""
    toe = max(float(s.far_m[0]) for s in sitter.body.segments if s.name == "foot")
    hip = float(sitter.body.hip_m[0])
    found = []
    for name, side in _SIDES.items():
        half, height = sitter.gunwale((hip + toe) / 2)
        solids = _box(
            (hip, side * (half - KNUCKLES_M), height + 0.01),
            (toe, side * (half + _STROKE_OUT_M), height + _STROKE_UP_M),
        )
        found.append(
            Needed(
                f"stroke {name}",
                f"the paddle stroke to {name}",
                "stroke",
                solids,
                0.0,
                "fix",
                counts=sitter.propulsion == "paddle",
                spares=frozenset({"paddle", "seat"}),
            )
        )
    return found


def _feet(sitter: _Sitter) -> list[Needed]:
    x, floor = standing_place(sitter.hull, sitter.seat)
    long, wide, high = _FEET_M
    solids = _box(
        (x - long / 3, -wide / 2, floor + 0.01), (x + 2 * long / 3, wide / 2, floor + high)
    )
    return [
        Needed(
            "feet",
            "where the feet stand and turn",
            "legs",
            solids,
            0.0,
            "fix",
            counts=sitter.posture == "stands",
            spares=frozenset({"seat", "drive", "rudder"}),
        )
    ]


def _fight(sitter: _Sitter) -> list[Needed]:
    name = sitter.side
    side, seat = _SIDES[name], sitter.seat
    far, out, up = _FIGHT_M
    half, height = sitter.gunwale(seat.x_m + far / 2)
    solids = _box(
        (seat.x_m + 0.25, side * (half - 0.12), height + _FIGHT_FROM_M),
        (seat.x_m + 0.25 + far, side * (half - 0.12 + out), height + up),
    )
    return [
        Needed(
            "fight",
            "where you fight a fish",
            "cast",
            solids,
            0.0,
            "watch",
            spares=frozenset({"paddle"}),
        )
    ]


def _back_cast(sitter: _Sitter) -> list[Needed]:
    name = sitter.casts
    side, body = _SIDES[name], sitter.body
    joint = body.shoulder_m(side)
    turn = np.pi - side * _CAST_OUT_RAD  # aft, and out to the casting side
    middle = joint + np.array(
        [np.cos(turn) * _CAST_FAR_M / 2, np.sin(turn) * _CAST_FAR_M / 2, _CAST_UP_M / 2 + 0.05]
    )
    solids = boxes(
        middle[None], np.array([[_CAST_FAR_M, _CAST_WIDE_M, _CAST_UP_M]]), np.array([turn])
    )
    return [
        Needed("back cast", f"the back cast over the {name} shoulder", "cast", solids, 0.0, "fix")
    ]


def _remount(sitter: _Sitter) -> list[Needed]:
    """Over the side that no fish is fought on, beside the seat."""
    name = "starboard" if sitter.side == "port" else "port"
    solids = _box(*over_the_side(sitter.hull, sitter.seat.x_m, _SIDES[name]))
    return [
        Needed(
            "remount",
            "where you climb back in",
            "remount",
            solids,
            0.0,
            "fix",
            spares=frozenset({"seat"}),
        )
    ]


def _motor(sitter: _Sitter) -> list[Needed]:
    hull, kind = sitter.hull, sitter.propulsion
    half, height = sitter.gunwale(sitter.seat.x_m)
    swing: dict[str, Solids] = {
        "motor bow": _box(
            (hull.x_fwd_m - 0.25, -0.2, height), (hull.x_fwd_m + 0.3, 0.2, height + 0.5)
        ),
        "motor stern": _box(
            (hull.x_aft_m - 0.5, -0.25, height - 0.1), (hull.x_aft_m + 0.15, 0.25, height + 0.4)
        ),
        "motor side": _box(
            (sitter.seat.x_m - 0.45, half - 0.1, height - 0.1),
            (sitter.seat.x_m - 0.1, half + 0.35, height + 0.4),
        ),
    }
    if kind not in swing:
        return []
    return [
        Needed(
            "motor",
            "the swing of the motor",
            "remount",
            swing[kind],
            0.02,
            "fix",
            spares=frozenset({"drive", "rudder"}),
        )
    ]


_ALL: tuple[Callable[[_Sitter], list[Needed]], ...] = (
    _limbs,
    _pedals,
    _stroke,
    _feet,
    _fight,
    _back_cast,
    _remount,
    _motor,
)
