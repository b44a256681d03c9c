"""How fast a setup goes at an effort, and what of that each thing costs."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt

import numpy as np

from neat_hull.model.glide import Stroke
from neat_hull.model.glide_figures import Newtons, ThingCost
from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.parts import InTheWind, air_n
from neat_hull.physics.resistance.propulsion import FASTEST_M_S, Total, total_n
from neat_hull.physics.resistance.speed_curve import SpeedCurve
from neat_hull.physics.resistance.winds import Air
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.drag.figures import OWN_NAMES, Dragged, bare_drag, full_drag
from neat_hull.rig.drag.typical import AIR_DENSITY_KG_M3
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.glide import typical

_BESIDE_M_S = 0.01


@dataclass(frozen=True)
class Going:
    """Speeds at the set effort on the set heading, full and bare, null past what a body drives."""

    drives_w: float
    speed_m_s: float | None
    bare_m_s: float | None


def air_of(ev: Evaluated, rises: float = 1.0) -> Air:
    """The set wind, so many times as strong, and the set current."""
    plan = ev.setup.glide
    return Air.of(
        rises * plan.wind_m_s, plan.wind_from_deg, plan.current_m_s, plan.current_toward_deg
    )


def efficiency(ev: Evaluated) -> float:
    """What of the effort drives the boat."""
    known = ev.setup.glide.efficiency
    if known is not None:
        return known
    return typical.EFFICIENCY[stroke(ev)]


def stroke(ev: Evaluated) -> Stroke:
    """What the body drives."""
    return ev.setup.glide.stroke or typical.STROKE[ev.setup.boat.propulsion]


def total_of(ev: Evaluated, boat: Dragged, heading_deg: float | None = None) -> Total:
    """All that holds back, by speed, on the set heading or another."""
    plan = ev.setup.glide
    heading = plan.heading_deg if heading_deg is None else heading_deg
    return total_n(boat.drag, ev.once(air_of), heading)


def curve(ev: Evaluated) -> SpeedCurve | None:
    """Resistance in the water by speed, all aboard; None where it does not float."""
    full = ev.once(full_drag)
    return None if full is None else SpeedCurve.of(full.drag, FASTEST_M_S)


def speed_on(ev: Evaluated, of: SpeedCurve, heading_deg: float, drives_w: float) -> float | None:
    """The speed that so much power gives on a heading, read off the curve: to 0.1 %, a per cent
    where waves hump. None past what a body drives."""
    return of.crossing(of.total_n(ev.once(air_of), heading_deg) * of.speed_m_s - drives_w)


def _made_true(ev: Evaluated, of: SpeedCurve, drives_w: float) -> float | None:
    """The speed on the set heading, once by Newton on the boat itself."""
    heading = ev.setup.glide.heading_deg
    near = speed_on(ev, of, heading, drives_w)
    if near is None:
        return None
    at = near + _BESIDE_M_S * np.array([-1.0, 0.0, 1.0])
    low, over, high = (total_n(of.boat, ev.once(air_of), heading)(at) * at - drives_w).tolist()
    steep = (high - low) / (2 * _BESIDE_M_S)
    return near - over / steep if steep > 0 else near


def going(ev: Evaluated) -> Going | None:
    """None where it does not float."""
    full, bare = ev.once(curve), ev.once(bare_drag)
    if full is None:
        return None
    plan = ev.setup.glide
    drives = plan.effort_w * efficiency(ev)
    return Going(
        drives,
        _made_true(ev, full, drives),
        None
        if bare is None
        else ev.again(
            "bare speed",
            (bare, drives, plan),
            lambda: speed_on(ev, SpeedCurve.of(bare.drag, FASTEST_M_S), plan.heading_deg, drives),
        ),
    )


def newtons(ev: Evaluated, boat: Dragged, speed_m_s: Array) -> list[Newtons]:
    """By cause, at speeds (n,) on the set heading."""
    drag, total = boat.drag, total_of(ev, boat)(speed_m_s)
    parts = [
        drag.friction_n(speed_m_s),
        drag.base_n(speed_m_s),
        drag.wave_n(speed_m_s),
        drag.appendage_n(speed_m_s),
    ]
    air = total - sum(parts)
    return [
        _newtons(u, row, wind)
        for u, row, wind in zip(
            speed_m_s.tolist(), np.column_stack(parts).tolist(), air.tolist(), strict=True
        )
    ]


def _newtons(speed_m_s: float, parts_n: Sequence[float], air: float) -> Newtons:
    friction, base, wave, appendage = parts_n
    return Newtons.model_construct(
        speed_m_s=speed_m_s,
        friction_n=friction,
        base_n=base,
        wave_n=wave,
        appendage_n=appendage,
        air_n=air,
        total_n=sum(parts_n) + air,
    )


def at_speed(ev: Evaluated) -> Newtons | None:
    """By cause, at the speed that the effort gives."""
    found, of = ev.once(going), ev.once(curve)
    if found is None or of is None or found.speed_m_s is None:
        return None
    u, drag = found.speed_m_s, of.boat
    parts = [drag.friction_n(u), drag.base_n(u), drag.wave_n(u), drag.appendage_n(u)]
    air = of.boat.in_the_wind.front_m2 * _wind_n_m2(ev, found.speed_m_s)
    return _newtons(found.speed_m_s, parts, air)


def _wind_n_m2(ev: Evaluated, speed_m_s: float) -> float:
    """What the wind holds back per area seen from ahead, at a speed on the set heading."""
    ahead, port = ev.once(air_of).apparent(speed_m_s, ev.setup.glide.heading_deg)
    return air_n(InTheWind(1.0, 0.0, 0.0), ahead, port, AIR_DENSITY_KG_M3)


def froude(ev: Evaluated) -> float | None:
    """U/√(g·L) at that speed, with the length in the water."""
    found, full = ev.once(going), ev.once(full_drag)
    if found is None or full is None or found.speed_m_s is None or full.drag.wet_length_m <= 0:
        return None
    return found.speed_m_s / sqrt(GRAVITY_M_S2 * full.drag.wet_length_m)


_DEAREST = 10  # things in the wind that are told of


def costs(ev: Evaluated) -> list[ThingCost]:
    """Each thing in the water, and those dearest in the wind, dearest first."""
    at, full, found = ev.once(at_speed), ev.once(full_drag), ev.once(going)
    if at is None or full is None or found is None or found.speed_m_s is None:
        return []
    u, drag, standing = found.speed_m_s, full.drag, full.standing
    push, nu = _wind_n_m2(ev, u), drag.coefficients.viscosity_m2_s
    rows: dict[tuple[int | None, str], list[float]] = {}
    for one in full.hanging:
        held = one.appendage.drag_n(u, drag.density_kg_m3, nu)
        rows.setdefault((one.thing_id, one.name), [0.0, 0.0])[0] += held
    hanging = {i for i, _ in rows}
    dearest = np.argsort(-standing.front_m2)[:_DEAREST].tolist()
    for n, i in enumerate(standing.thing_ids):
        if (n in dearest and standing.front_m2[n] > 0) or i in hanging:
            name = OWN_NAMES[n] if i is None else ev.name(i)
            rows.setdefault((i, name), [0.0, 0.0])[1] += push * float(standing.front_m2[n])
    told = [
        ThingCost.model_construct(
            thing_id=i,
            name=name,
            water_n=water,
            air_n=air,
            share=(water + air) / at.total_n if at.total_n > 0 else 0.0,
            lifts=i is not None and (i in hanging or _laid_down(ev, i)),
        )
        for (i, name), (water, air) in rows.items()
    ]
    return sorted(told, key=lambda one: -(one.water_n + one.air_n))


def _laid_down(ev: Evaluated, thing_id: int) -> bool:
    """Rods, poles and flags are; what hangs in the water swings up."""
    thing = ev.thing(thing_id)
    return thing.long and thing.part != "paddle"
