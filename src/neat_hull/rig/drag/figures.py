"""A setup's boat by what holds it back, full and bare, with each thing's own part of it."""

from dataclasses import dataclass
from math import sqrt

import numpy as np

from neat_hull.model.boat import Scupper
from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.boat_drag import BoatDrag, Coefficients, Profile, profile
from neat_hull.physics.resistance.parts import Appendage, InTheWind
from neat_hull.physics.resistance.wave_grid import Slip, wave_grid
from neat_hull.physics.resistance.wet_body import Plane
from neat_hull.physics.water.floating import Rest
from neat_hull.physics.water.hydrostatics import held_upright
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.drag import typical
from neat_hull.rig.drag.outside import NOTHING, OpenThing, Outside, in_the_open, outside
from neat_hull.rig.drag.section import breadths
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import at_rest

_PROFILE_POINTS = 121
_SOME_M2 = 1e-5


@dataclass(frozen=True)
class Hanging:
    """Something in the water; thing_id is null of the boat's own."""

    thing_id: int | None
    name: str
    appendage: Appendage


@dataclass(frozen=True, eq=False)
class Standing:
    """What stands in the wind, hull and angler first, whose ids are None: coefficient times area
    (n,) from ahead and from the side, m², and where."""

    thing_ids: tuple[int | None, ...]
    front_m2: Array
    side_m2: Array
    x_m: Array

    @property
    def in_the_wind(self) -> InTheWind:
        """All of it."""
        side = float(self.side_m2.sum())
        moment = float((self.side_m2 * self.x_m).sum())
        return InTheWind(float(self.front_m2.sum()), side, moment / side if side else 0.0)


OWN_NAMES = ("Hull", "You")


@dataclass(frozen=True, eq=False)
class Dragged:
    """A boat with all that holds it back. draft_m is the water over the base line amidships."""

    drag: BoatDrag
    slip: Slip
    sides: Profile
    hanging: tuple[Hanging, ...]
    standing: Standing
    draft_m: float
    displacement_kg: float


def full_drag(ev: Evaluated) -> Dragged | None:
    """Of the boat with all aboard; None where it does not float."""
    rest = at_rest(ev)
    if rest is None:
        return None
    settled = rest.settled
    found = ev.once(outside_full)
    return _dragged(ev, settled.upright, found, ev.rigged.loads.total_kg)


def outside_full(ev: Evaluated) -> Outside:
    """What is out in the open of all aboard, on the boat as it floats; none where it does not."""
    rest = at_rest(ev)
    return NOTHING if rest is None else _out(ev, rest.settled.rest, in_the_open(ev))


def _out(ev: Evaluated, at: Rest, things: dict[int, OpenThing]) -> Outside:
    return outside(at, things, ev.setup.seat.x_m)


def bare_drag(ev: Evaluated) -> Dragged | None:
    """Of the same boat with its own parts and the angler alone; None where it does not float."""
    if at_rest(ev) is None:
        return None
    rigged = ev.rigged
    loads = _bare_loads(ev)
    own = {i: row for i, row in in_the_open(ev).items() if _own(ev, i)}
    setup = ev.setup
    hangs_on = (
        rigged.floating, loads.mass_kg.tobytes(), loads.at_m.tobytes(), own,
        [setup.things[i] for i in own], _scuppers(ev), setup.seat.x_m, setup.glide, setup.water,
        setup.water_temp_c,
    )  # fmt: skip
    return ev.again("bare drag", hangs_on, lambda: _bare(ev, loads, own))


def _bare(ev: Evaluated, loads: Loads, own: dict[int, OpenThing]) -> Dragged | None:
    found = held_upright(ev.rigged.floating, loads, ev.rigged.water_density_kg_m3)
    if found is None:
        return None
    return _dragged(ev, found.upright, _out(ev, found.rest, own), loads.total_kg)


def _own(ev: Evaluated, thing_id: int) -> bool:
    """Whether the bare boat has it: a part of the boat, or worn."""
    thing = ev.thing(thing_id)
    return (thing.part is not None and thing.motor is None) or (
        ev.rigged.by_id[thing_id].stand.on_body
    )


def _bare_loads(ev: Evaluated) -> Loads:
    loads, rows = ev.rigged.loads, ev.rigged.rows
    kept = np.ones(len(loads.mass_kg), dtype=np.bool_)
    kept[rows.things] = [_own(ev, one.thing_id) for one in ev.rigged.stowed]
    return Loads(loads.mass_kg[kept], loads.at_m[kept])


def _dragged(ev: Evaluated, upright: Rest, out: Outside, mass_kg: float) -> Dragged:
    h_m, tau = float(upright.h_m[0]), float(upright.tau[0])
    hull = ev.rigged.floating.hull
    grid = wave_grid(hull)
    draft = h_m - tau * grid.middle_m
    slip = grid.at(draft, tau)
    density = ev.rigged.water_density_kg_m3
    sides = profile(hull, Plane(0.0, h_m, tau), _PROFILE_POINTS)
    hanging, standing = _hanging(ev, out), _standing(ev, sides, out)
    drag = BoatDrag(
        density,
        coefficients(ev, slip, draft, tau),
        slip.wetted_area_m2,
        slip.wet_length_m,
        slip.transom_m2,
        (sides.wet_m2, sides.wet_x_m),
        tuple(one.appendage for one in hanging),
        standing.in_the_wind,
        lambda speeds: slip.waves_n(speeds, density),
    )
    return Dragged(drag, slip, sides, hanging, standing, draft, mass_kg)


def coefficients(ev: Evaluated, slip: Slip, draft_m: float, tau: float) -> Coefficients:
    """What was found by a test, or is typical of this hull in this water."""
    plan, setup = ev.setup.glide, ev.setup
    warmth = typical.WATER_C if setup.water_temp_c is None else setup.water_temp_c
    at, nu = zip(*typical.VISCOSITY[setup.water], strict=True)
    k = plan.form_factor
    return Coefficients(
        viscosity_m2_s=float(np.interp(warmth, at, nu)),
        air_density_kg_m3=typical.AIR_DENSITY_KG_M3,
        form_factor=_form_factor(ev, slip, draft_m, tau) if k is None else k,
        roughness=typical.ROUGHNESS[plan.scratched],
        wave=typical.WAVE if plan.wave_factor is None else plan.wave_factor,
        cross_flow_cd=typical.CROSS_FLOW_CD,
        side_lift=typical.SIDE_LIFT,
        astern=typical.ASTERN,
    )


def _form_factor(ev: Evaluated, slip: Slip, draft_m: float, tau: float) -> float:
    """By Watanabe, of length, greatest breadth at the water and greatest depth under it."""
    hull = ev.rigged.floating.hull
    table = breadths(hull)
    water = draft_m + tau * (hull.x_aft_m + hull.length_m / 2) - tau * hull.x_m
    k = np.clip(np.searchsorted(table.z_m, water), 0, len(table.z_m) - 1)
    broad = 2 * float(table.half_m[np.arange(len(k)), k].max())
    deep = float((water - hull.keel_z_m).max())
    low, high = typical.FORM_FACTOR
    if min(broad, deep, slip.wet_length_m) <= 0:
        return low
    block = slip.volume_m3 / (slip.wet_length_m * broad * deep)
    k_w = -0.095 + 25.6 * block / ((slip.wet_length_m / broad) ** 2 * sqrt(broad / deep))
    return min(high, max(low, k_w))


def _standing(ev: Evaluated, sides: Profile, found: Outside) -> Standing:
    """Hull, angler, and what stands over the hull; what is laid down catches nothing."""
    factor = ev.setup.glide.wind_factor or 1.0
    cd = np.array([typical.ROD_CD if ev.thing(i).long else typical.BOX_AIR_CD
                   for i in found.thing_ids])  # fmt: skip
    counts = np.array([not _up(ev, i) for i in found.thing_ids], dtype=np.float64)
    hull_cd, (front, side) = typical.HULL_AIR_CD, typical.SITTER_M2
    own_front = [hull_cd * sides.dry_front_m2, typical.SITTER_CD * front]
    own_side = [hull_cd * sides.dry_m2, typical.SITTER_CD * side]
    return Standing(
        (None, None, *found.thing_ids),
        factor * np.append(own_front, cd * counts * found.dry_front_m2),
        factor * np.append(own_side, cd * counts * found.dry_side_m2),
        np.append([sides.dry_x_m, ev.setup.seat.x_m], found.x_m),
    )


def _up(ev: Evaluated, thing_id: int) -> bool:
    return ev.setup.glide.up.get(thing_id, False)


def _hanging(ev: Evaluated, found: Outside) -> tuple[Hanging, ...]:
    """Scuppers, blades, shafts, and what hangs beside the hull; what is lifted is not."""
    rows = []
    holes = _scuppers(ev)
    if holes:
        x = sum(one.x_m for one in holes) / len(holes)
        area = typical.SCUPPER_M2 * len(holes)
        rows.append(Hanging(None, "Scuppers", Appendage("bluff", area, x, 0.0, cd=1.0)))
    for n, i in enumerate(found.thing_ids):
        thing = ev.thing(i)
        hangs = found.wet_front_m2[n] > _SOME_M2 or thing.part == "rudder" or thing.motor
        if not hangs or _up(ev, i):
            continue
        one = _appendage(ev, i, found, n)
        if one is not None:
            rows.append(Hanging(i, ev.name(i), one))
    return tuple(rows)


def _scuppers(ev: Evaluated) -> list[Scupper]:
    return [one for one in ev.setup.boat.fittings if isinstance(one, Scupper)]


def _appendage(ev: Evaluated, thing_id: int, of: Outside, n: int) -> Appendage | None:
    thing, x = ev.thing(thing_id), float(of.x_m[n])
    if thing.part == "rudder":
        area = thing.length_m * thing.height_m
        return Appendage(
            "foil", area, x, area, chord_m=thing.length_m, thickness_ratio=typical.FOIL_THICKNESS
        )
    if thing.motor is not None:
        area = sum(cd * part for part, cd in typical.MOTOR_PARTS)
        return Appendage("bluff", area, x, typical.MOTOR_SIDE_M2, cd=1.0)
    if thing.part is not None:
        return None
    cd = typical.BLUFF_CD
    if thing.transducer is not None:
        cd = typical.TRANSDUCER_CD
    elif thing.fill is not None and thing.fill.afloat:
        cd = typical.TANK_CD
    elif thing.long:
        cd = typical.POLE_CD
    front, side = float(of.wet_front_m2[n]), float(of.wet_side_m2[n])
    return Appendage("bluff", front, x, side, cd=cd)


def pull_n(ev: Evaluated, end: str, current_m_s: float, wind_m_s: float) -> float:
    """What pulls at a boat held by the bow, the stern or the side, current and wind along the line:
    the resistance of the hull itself, stern first by so much more, and all that stands up."""
    full = ev.once(full_drag)
    if full is None:
        return 0.0
    drag, a = full.drag, full.drag.coefficients
    air = 0.5 * a.air_density_kg_m3 * wind_m_s**2
    if end == "side":
        area, _ = drag.lateral
        press = 0.5 * drag.density_kg_m3 * current_m_s**2
        return press * a.cross_flow_cd * area + air * drag.in_the_wind.side_m2
    astern = a.astern if end == "stern" else 1.0
    return astern * drag.water_n(current_m_s) + air * drag.in_the_wind.front_m2
