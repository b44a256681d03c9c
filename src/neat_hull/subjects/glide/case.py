"""What a bare case comes to: `neat-hull glide`."""

from dataclasses import asdict
from math import hypot
from typing import Any

import numpy as np

from neat_hull.model.glide_case import Effort, GlideCase, Motor
from neat_hull.physics.resistance.boat_drag import BoatDrag
from neat_hull.physics.resistance.drifting import Drift, drift
from neat_hull.physics.resistance.propulsion import (
    N_PER_LBF,
    Propeller,
    Total,
    driven,
    out_and_back,
    paddled,
    total_n,
)
from neat_hull.physics.resistance.winds import Air
from neat_hull.subjects.glide.boats import Afloat, afloat, case_air, require_afloat

Row = dict[str, Any]


def glide_report(case: GlideCase) -> Row:
    """All that the case comes to. Raises InputErrors, DoesNotFloat or NoBalance."""
    require_afloat(case)
    full, bare = afloat(case, bare=False), afloat(case, bare=True)
    assert full is not None, "there is a load"
    air = case_air(case)
    rows = [None if boat is None else _boat(case, boat, air) for boat in (full, bare)]
    wind = hypot(*air.relative)
    drogue = case.drogue
    return {
        "full": rows[0],
        "bare": rows[1],
        "difference": _difference(rows[0], rows[1]),
        "motor": None if case.motor is None else _motor(case, full.drag, air, case.motor),
        "drift": {
            "free": _told(drift(full.drag, wind)),
            "drogue": None
            if drogue is None
            else _told(drift(full.drag, wind, drogue.area_m2 * drogue.cd, drogue.x_m)),
        },
    }


def _told(one: Drift | None) -> Row | None:
    return None if one is None else asdict(one)


def _boat(case: GlideCase, boat: Afloat, air: Air) -> Row:
    drag, total = boat.drag, total_n(boat.drag, air, case.heading_deg)
    speeds = np.array(case.speeds_m_s)
    parts = {
        "speed_m_s": speeds,
        "friction_n": drag.friction_n(speeds),
        "base_n": drag.base_n(speeds),
        "wave_n": drag.wave_n(speeds),
        "appendage_n": drag.appendage_n(speeds),
    }
    water = sum(list(parts.values())[1:])
    parts["air_n"] = total(speeds) - water
    parts["total_n"] = total(speeds)
    return {
        "afloat": boat.told(),
        "curve": [
            {name: float(values[n]) for name, values in parts.items()} for n in range(len(speeds))
        ],
        "efforts": [_effort(one, total) for one in case.efforts or []],
    }


def _effort(one: Effort, total: Total) -> Row:
    speed = paddled(total, one.effort_w * one.efficiency)
    return {
        "effort_w": one.effort_w,
        "speed_m_s": speed,
        "min_per_km": None if speed is None else 1000 / (60 * speed),
    }


def _difference(full: Row | None, bare: Row | None) -> Row | None:
    if full is None or bare is None:
        return None
    return {
        "resistance_percent": [
            None if b["total_n"] <= 0 else 100 * (f["total_n"] / b["total_n"] - 1)
            for f, b in zip(full["curve"], bare["curve"], strict=True)
        ],
        "min_per_km": [
            None
            if f["min_per_km"] is None or b["min_per_km"] is None
            else f["min_per_km"] - b["min_per_km"]
            for f, b in zip(full["efforts"], bare["efforts"], strict=True)
        ],
    }


def _motor(case: GlideCase, boat: BoatDrag, air: Air, motor: Motor) -> Row:
    usable = motor.battery_wh * motor.usable_share
    propeller = Propeller(
        motor.static_thrust_lbf * N_PER_LBF,
        motor.zero_thrust_speed_m_s,
        motor.full_power_w,
        motor.power_drop,
    )
    total = total_n(boat, air, case.heading_deg)
    steps = []
    for share in motor.steps:
        run = driven(total, propeller, share)
        ground = None if run is None else air.made_good(run.speed_m_s, case.heading_deg)
        hours = usable / run.power_w if run is not None and run.power_w else None
        goes = ground is not None and ground > 0 and hours is not None
        steps.append(
            {
                "rotation_share": share,
                "speed_m_s": None if run is None else run.speed_m_s,
                "thrust_n": None if run is None else run.thrust_n,
                "power_w": None if run is None else run.power_w,
                "hours": hours,
                "ground_m_s": ground,
                "range_m": 3600 * ground * hours if goes and ground and hours else None,
            }
        )
    trip = motor.trip
    found = None if trip is None else asdict(
        out_and_back(
            boat, air, propeller, trip.rotation_share, trip.heading_deg, trip.distance_m, usable,
            trip.reserve_share,
        )
    )  # fmt: skip
    return {"steps": steps, "trip": found}
