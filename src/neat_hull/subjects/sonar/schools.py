"""The schools of placing a transducer, each tried on this boat where people put it."""

from neat_hull.model.base import Point
from neat_hull.model.sonar import Mount, SchoolFigure, Transducer
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.sonar.figures import (
    behind_drive_m,
    cut_off_deg,
    depths,
    drag_n,
)

_ARM_UNDER_M, _POLE_UNDER_M = 0.15, 0.35  # of the face, as they are usually hung
_PUCK_M = 0.05  # height of a transducer that is let into a recess or hangs on a motor
_BESIDE_M = 0.06  # of the gunwale: how far out an arm hangs
_BARE_SPEED = "Take it up before a landing, and before it goes on the roof bars."


def schools(ev: Evaluated) -> list[SchoolFigure]:
    """Inside, recess, arm, motor and a pole at the bow; none for a boat that does not float."""
    hull, seat = ev.rigged.floating.hull, ev.setup.seat
    middle_x = hull.x_aft_m + 0.42 * hull.length_m
    arm_x, bow_x = seat.brace_x_m, hull.x_fwd_m - 0.18 * hull.length_m
    half, _ = hull.gunwale_m(arm_x)
    side = -1.0 if ev.setup.demands.side == "port" else 1.0  # off the side that fish are fought on
    bow_half, _ = hull.gunwale_m(bow_x)
    motor = ev.setup.boat.propulsion.startswith("motor")
    rows: list[tuple[Mount, str, Point, str, list[str]]] = [
        ("inside", "Bedded on the bottom inside, ahead of the tank well",
         (middle_x, 0.0, hull.keel_at_m(middle_x)), "",
         ["Not through foam core or an air gap; it shows the hull's temperature.",
          "Side beams lose most of their strength through the wall."]),
        ("recess", "In a recess or scupper under the hull",
         (middle_x, 0.0, hull.keel_at_m(middle_x) - _PUCK_M / 2), "",
         ["A stump, the ramp, roof bars and trolley meet it; sand packs the recess."]),
        ("arm", "On an arm over the side, at the feet",
         (arm_x, side * (half + _BESIDE_M), _water_z(ev, arm_x) - _ARM_UNDER_M), "",
         [_BARE_SPEED, "In the way of the stroke on that side, and it drags."]),
        ("motor", "On the motor", (hull.x_aft_m - 0.15, 0.0, hull.keel_at_m(hull.x_aft_m) - 0.1),
         "" if motor else "this boat has no motor",
         ["Its cable runs beside the motor's: noise.", "It turns with the motor."]),
        ("pole", "A live sonar on a pole at the bow, turned by hand",
         (bow_x, side * (bow_half + _BESIDE_M), _water_z(ev, bow_x) - _POLE_UNDER_M), "",
         [_BARE_SPEED, "One hand turns it, and no hand holds the paddle."]),
    ]  # fmt: skip
    found = []
    for mount, words, face, why_not, cautions in rows:
        under = depths(ev, face)
        if under is None:
            return []
        possible = not why_not
        behind = behind_drive_m(ev, face)
        if mount == "recess" and behind is not None and behind < ev.table["wash"].fine:
            cautions.insert(0, "In the drive's wash: noise while you pedal.")
        drag = drag_n(_POLE, Transducer(mount=mount), under.rest_m, ev.rigged.water_density_kg_m3)
        found.append(
            SchoolFigure(
                mount=mount,
                words=words,
                possible=possible,
                why_not=why_not,
                face_at=face if possible else None,
                depth_m=under.rest_m if possible else None,
                least_m=under.least_m if possible else None,
                below_hull_m=max(0.0, hull.keel_at_m(face[0]) - face[2]) if possible else None,
                cut_off_deg=cut_off_deg(hull, face) if possible else None,
                drag_n=drag if possible else None,
                cautions=cautions,
            )
        )
    return found


_POLE = Thing(
    name="arm", shape="pole", mass_kg=0.8, evidence="guess", length_m=0.9, width_m=0.03,
    height_m=0.03,
)  # fmt: skip


def _water_z(ev: Evaluated, x_m: float) -> float:
    """Height of the water on the centerline there, at rest."""
    under = depths(ev, (x_m, 0.0, 0.0))
    return 0.0 if under is None else under.rest_m
