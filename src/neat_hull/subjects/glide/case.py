"""What a bare case comes to: `neat-hull glide`."""

from collections.abc import Callable
from dataclasses import asdict
from math import hypot
from typing import Any

from neat_hull.model.glide_case import Effort, GlideCase, Motor, Trip
from neat_hull.physics.resistance.parts import air_n
from neat_hull.subjects.glide.boats import Afloat, afloat, require_afloat
from neat_hull.subjects.glide.drifting import Drift, drift
from neat_hull.subjects.glide.roots import first_rise
from neat_hull.subjects.glide.winds import Air

Row = dict[str, Any]
N_PER_LBF = 4.4482216152605
FASTEST_M_S, MOTOR_FASTEST_M_S = 4.0, 8.0


def glide_report(case: GlideCase) -> Row:
    """All that the case comes to. Raises InputErrors, DoesNotFloat or NoBalance."""
    require_afloat(case)
    full, bare = afloat(case, bare=False), afloat(case, bare=True)
    assert full is not None, "there is a load"
    air = Air.of(case)
    rows = [None if boat is None else _boat(case, boat, air) for boat in (full, bare)]
    wind = hypot(*air.relative)
    drogue = case.drogue
    return {
        "full": rows[0],
        "bare": rows[1],
        "difference": _difference(rows[0], rows[1]),
        "motor": None if case.motor is None else _motor(case, full, air, case.motor),
        "drift": {
            "free": _told(drift(full, wind, None)),
            "drogue": None if drogue is None else _told(drift(full, wind, drogue)),
        },
    }


def _told(one: Drift | None) -> Row | None:
    return None if one is None else asdict(one)


def _total(boat: Afloat, air: Air, heading_deg: float) -> Callable[[float], float]:
    """All that holds back on a heading, by speed."""
    density = boat.case.assumptions.air_density_kg_m3

    def total(speed: float) -> float:
        ahead, port = air.apparent(speed, heading_deg)
        return boat.water_n(speed) + air_n(boat.in_the_wind, ahead, port, density)

    return total


def _boat(case: GlideCase, boat: Afloat, air: Air) -> Row:
    total = _total(boat, air, case.heading_deg)
    return {
        "afloat": boat.told(),
        "curve": [
            {
                "speed_m_s": speed,
                "friction_n": boat.friction_n(speed),
                "base_n": boat.base_n(speed),
                "wave_n": boat.wave_n(speed),
                "appendage_n": boat.appendage_n(speed),
                "air_n": total(speed) - boat.water_n(speed),
                "total_n": total(speed),
            }
            for speed in case.speeds_m_s
        ],
        "efforts": [_effort(one, total) for one in case.efforts or []],
    }


def _effort(one: Effort, total: Callable[[float], float]) -> Row:
    drives = one.effort_w * one.efficiency
    speed = first_rise(lambda u: total(u) * u - drives, FASTEST_M_S)
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


def _motor(case: GlideCase, boat: Afloat, air: Air, motor: Motor) -> Row:
    usable = motor.battery_wh * motor.usable_share
    steps = []
    for share in motor.steps:
        run = _running(boat, air, motor, share, case.heading_deg)
        speed, thrust, power = run or (None, None, None)
        ground = None if speed is None else air.made_good(speed, case.heading_deg)
        hours = usable / power if power else None
        goes = ground is not None and ground > 0 and hours is not None
        steps.append(
            {
                "rotation_share": share,
                "speed_m_s": speed,
                "thrust_n": thrust,
                "power_w": power,
                "hours": hours,
                "ground_m_s": ground,
                "range_m": 3600 * ground * hours if goes and ground and hours else None,
            }
        )
    trip = None if motor.trip is None else _trip(boat, air, motor, motor.trip, usable)
    return {"steps": steps, "trip": trip}


def _running(
    boat: Afloat, air: Air, motor: Motor, share: float, heading_deg: float
) -> tuple[float, float, float] | None:
    """Speed, thrust and power of a step: a propeller whose thrust and torque are straight in the
    speed (Rawson and Tupper, Basic Ship Theory, ch. 10)."""
    total = _total(boat, air, heading_deg)
    still, fastest = motor.static_thrust_lbf * N_PER_LBF, motor.zero_thrust_speed_m_s * share

    def thrust(speed: float) -> float:
        return max(0.0, still * share**2 * (1 - speed / fastest))

    if total(0.0) >= thrust(0.0):
        return None
    speed = first_rise(lambda u: total(u) - thrust(u), MOTOR_FASTEST_M_S)
    if speed is None:
        return None
    full = motor.full_power_w * share**3
    return speed, thrust(speed), max(0.0, full * (1 - motor.power_drop * speed / fastest))


def _trip(boat: Afloat, air: Air, motor: Motor, trip: Trip, usable_wh: float) -> Row:
    ways: list[Row | None] = []
    for heading in (trip.heading_deg, trip.heading_deg + 180.0):
        run = _running(boat, air, motor, trip.rotation_share, heading)
        ground = None if run is None else air.made_good(run[0], heading)
        if run is None or ground is None or ground <= 0:
            ways.append(None)
            continue
        hours = trip.distance_m / ground / 3600
        ways.append({"ground_m_s": ground, "hours": hours, "wh": run[2] * hours})
    out, back = ways
    used = turn = None
    if out is not None and back is not None:
        spent = out["wh"] + back["wh"]
        used = spent / usable_wh
        turn = usable_wh * (1 - trip.reserve_share) / (spent / trip.distance_m) if spent else None
    return {"out": out, "back": back, "used_share": used, "turn_back_m": turn}
