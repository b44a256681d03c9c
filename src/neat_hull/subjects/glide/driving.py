"""The motor of a setup: its steps, its range, out and back against wind and current."""

from neat_hull.model.glide import Motor
from neat_hull.model.glide_figures import MotorFigure, RingPoint, StepFigure, TripFigure, WayFigure
from neat_hull.physics.resistance.propulsion import (
    Propeller,
    driven,
    out_and_back,
)
from neat_hull.rig.drag.figures import full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.glide import typical
from neat_hull.subjects.glide.going import air_of, total_of
from neat_hull.subjects.glide.supply import Supply, supply


def motor_id(ev: Evaluated) -> int | None:
    """The motor aboard that pulls hardest; None without one, or with all lifted."""
    aboard = [
        i
        for i in ev.setup.places
        if ev.thing(i).motor is not None and not ev.setup.glide.up.get(i, False)
    ]
    return max(aboard, key=lambda i: _thrust_n(ev, i), default=None)


def _thrust_n(ev: Evaluated, thing_id: int) -> float:
    motor = ev.thing(thing_id).motor
    return 0.0 if motor is None else motor.thrust_n


def propeller(motor: Motor) -> Propeller:
    """What is not known of it is typical."""
    return Propeller(
        motor.thrust_n,
        motor.fastest_m_s or typical.FASTEST_M_S,
        motor.full_w or typical.WATTS_PER_NEWTON * motor.thrust_n,
        typical.POWER_DROP if motor.drop is None else motor.drop,
    )


def motor(ev: Evaluated) -> MotorFigure | None:
    """At the set step on the set heading, and out and back; None without a motor in the water."""
    thing_id = ev.once(motor_id)
    if thing_id is None or ev.once(full_drag) is None:
        return None
    fed = supply(ev, thing_id)
    return MotorFigure(
        thing_id=thing_id,
        usable_wh=fed.usable_wh,
        wired=fed.wired,
        set_step=_step(ev, thing_id, fed, ev.setup.glide.step, near=True),
        trip=_trip(ev, thing_id, fed, 1.0),
        windy=_trip(ev, thing_id, fed, typical.WIND_RISES),
    )


def steps(ev: Evaluated) -> list[StepFigure]:
    """All steps of the motor on the set heading."""
    thing_id = ev.once(motor_id)
    one = None if thing_id is None else ev.thing(thing_id).motor
    if thing_id is None or one is None or ev.once(full_drag) is None:
        return []
    fed = supply(ev, thing_id)
    return [_step(ev, thing_id, fed, share) for share in typical.STEPS]


def _step(
    ev: Evaluated, thing_id: int, fed: Supply, share: float, near: bool = False
) -> StepFigure:
    full, one, plan = ev.once(full_drag), ev.thing(thing_id).motor, ev.setup.glide
    assert full is not None, "asked of a boat that floats"
    assert one is not None, "asked of a motor"
    run = driven(total_of(ev, full), propeller(one), share, near)
    if run is None:
        return StepFigure(
            step=share, speed_m_s=None, thrust_n=None, power_w=None, hours=None, ground_m_s=None,
            range_m=None,
        )  # fmt: skip
    ground = ev.once(air_of).made_good(run.speed_m_s, plan.heading_deg)
    hours = fed.usable_wh / run.power_w if run.power_w > 0 else None
    goes = ground is not None and ground > 0 and hours is not None
    return StepFigure(
        step=share,
        speed_m_s=run.speed_m_s,
        thrust_n=run.thrust_n,
        power_w=run.power_w,
        hours=hours,
        ground_m_s=ground,
        range_m=3600 * ground * hours if goes and ground and hours is not None else None,
    )


_HEADINGS = 24


def ring(ev: Evaluated) -> list[RingPoint]:
    """How far out on every heading; none without a motor."""
    thing_id = ev.once(motor_id)
    if thing_id is None or ev.once(full_drag) is None:
        return []
    fed = supply(ev, thing_id)
    if fed.usable_wh <= 0:
        return []
    headings = [360.0 * n / _HEADINGS for n in range(_HEADINGS)]
    return [
        RingPoint(
            heading_deg=heading,
            turn_back_m=_trip(ev, thing_id, fed, 1.0, heading).turn_back_m,
            windy_m=_trip(ev, thing_id, fed, typical.WIND_RISES, heading).turn_back_m,
        )
        for heading in headings
    ]


def _trip(
    ev: Evaluated, thing_id: int, fed: Supply, rises: float, heading_deg: float | None = None
) -> TripFigure:
    full, one, plan = ev.once(full_drag), ev.thing(thing_id).motor, ev.setup.glide
    assert full is not None, "asked of a boat that floats"
    assert one is not None, "asked of a motor"
    air = air_of(ev, rises)
    found = out_and_back(
        full.drag, air, propeller(one), plan.step,
        plan.heading_deg if heading_deg is None else heading_deg, plan.trip_m,
        max(fed.usable_wh, 1e-6), plan.reserve, near=True,
    )  # fmt: skip
    ways = [
        None if way is None else WayFigure(ground_m_s=way.ground_m_s, hours=way.hours, wh=way.wh)
        for way in (found.out, found.back)
    ]
    return TripFigure(
        out=ways[0],
        back=ways[1],
        used_share=found.used_share if fed.usable_wh > 0 else None,
        turn_back_m=found.turn_back_m,
    )
