"""What drives a boat against all that holds it back: an effort, or a propeller."""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.boat_drag import BoatDrag
from neat_hull.physics.resistance.parts import air_n
from neat_hull.physics.resistance.roots import first_rise, near_rise
from neat_hull.physics.resistance.winds import Air

N_PER_LBF = 4.4482216152605
FASTEST_M_S, MOTOR_FASTEST_M_S = 4.0, 8.0

Total = Callable[[Array], Array]


def total_n(boat: BoatDrag, air: Air, heading_deg: float) -> Total:
    """All that holds back on a heading, N, by speeds (n,)."""
    density = boat.coefficients.air_density_kg_m3

    def total(speed: Array) -> Array:
        ahead, port = air.apparent(speed, heading_deg)
        return boat.water_n(speed) + air_n(boat.in_the_wind, ahead, port, density)

    return total


def paddled(total: Total, drives_w: float, near: bool = False) -> float | None:
    """The least speed, m/s, at which so much power is used up; None past what a body drives. `near`
    is content with 1e-5."""
    rise = near_rise if near else first_rise
    return rise(lambda u: total(u) * u - drives_w, FASTEST_M_S)


@dataclass(frozen=True)
class Propeller:
    """Thrust and torque straight in the speed (Rawson and Tupper, Basic Ship Theory, ch. 10).

    still_n is the pull at standstill, fastest_m_s the speed at which it pulls no more and full_w
    what it draws at standstill, all at full rotation; drop is how much less it draws at the first.
    """

    still_n: float
    fastest_m_s: float
    full_w: float
    drop: float

    def thrust_n(self, speed_m_s: Array, share: float) -> Array:
        """At a share of full rotation, never below nothing."""
        slip = 1 - speed_m_s / (self.fastest_m_s * share)
        return np.maximum(0.0, self.still_n * share**2 * slip)

    def power_w(self, speed_m_s: float, share: float) -> float:
        """What it draws."""
        slip = 1 - self.drop * speed_m_s / (self.fastest_m_s * share)
        return max(0.0, self.full_w * share**3 * slip)


@dataclass(frozen=True)
class Driven:
    """A boat driven by its propeller."""

    speed_m_s: float
    thrust_n: float
    power_w: float


def driven(total: Total, propeller: Propeller, share: float, near: bool = False) -> Driven | None:
    """At a share of full rotation; None where it does not get away. `near` as for `paddled`."""

    def short(speed: Array) -> Array:
        return total(speed) - propeller.thrust_n(speed, share)

    if short(np.zeros(1))[0] >= 0:
        return None
    speed = (near_rise if near else first_rise)(short, MOTOR_FASTEST_M_S)
    if speed is None:
        return None
    thrust = float(propeller.thrust_n(np.array([speed]), share)[0])
    return Driven(speed, thrust, propeller.power_w(speed, share))


@dataclass(frozen=True)
class Way:
    """A leg of a trip: speed over ground, and what it takes."""

    ground_m_s: float
    hours: float
    wh: float


@dataclass(frozen=True)
class OutAndBack:
    """A trip out on a heading and back on the opposite one; a leg without way is None.

    turn_back_m is how far out one may go so that the reserve is left at the end.
    """

    out: Way | None
    back: Way | None
    used_share: float | None
    turn_back_m: float | None


def out_and_back(
    boat: BoatDrag, air: Air, propeller: Propeller, share: float, heading_deg: float,
    distance_m: float, usable_wh: float, reserve_share: float, near: bool = False,
) -> OutAndBack:  # fmt: skip
    """At one share of full rotation both ways."""
    ways: list[Way | None] = []
    for heading in (heading_deg, heading_deg + 180.0):
        run = driven(total_n(boat, air, heading), propeller, share, near)
        ground = None if run is None else air.made_good(run.speed_m_s, heading)
        if run is None or ground is None or ground <= 0:
            ways.append(None)
            continue
        hours = distance_m / ground / 3600
        ways.append(Way(ground, hours, run.power_w * hours))
    out, back = ways
    if out is None or back is None:
        return OutAndBack(out, back, None, None)
    spent = out.wh + back.wh
    turn = usable_wh * (1 - reserve_share) / (spent / distance_m) if spent else None
    return OutAndBack(out, back, spent / usable_wh, turn)
