"""A setup as a boat that goes over: what holds what, which lines, where legs and propellers are."""

from math import pi

import numpy as np

from neat_hull.model.boat import DriveWell
from neat_hull.model.capsize_case import (
    CaseBody,
    CaseThing,
    Compartment,
    Flooded,
    Foam,
    Hand,
    Hanging,
    Held,
    Remount,
    Run,
    Schools,
    Side,
    Size,
    Zone,
)
from neat_hull.model.safety import Flotation, Leash
from neat_hull.model.thing import Fixed, Serves, Thing
from neat_hull.physics.body.segments import LEGS, Body
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.over_the_side import climbs_in_at_m, over_the_side
from neat_hull.rig.parents.base import footprint_m
from neat_hull.rig.rigging import Stowed
from neat_hull.rig.trolley import rope_points
from neat_hull.rig.typical import FINS_DEEP_M, FINS_LONG_M
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.flooding import part_m3
from neat_hull.subjects.capsize.upset import Upset

# Bolted, plated or strapped down stays; a bungee, a tube or nothing at all lets go upside down.
_HOLDS: tuple[Fixed, ...] = ("track bolt", "ball", "plate", "strap")
_VITAL: tuple[Serves, ...] = ("PFD", "call", "knife", "spare paddle", "light")
_ROPE_POINTS = 9
# Along, across and under the keel.
_PROPELLER_M, _FINS_M = (0.15, 0.15, 0.35), (FINS_LONG_M, 0.15, FINS_DEEP_M)
TROLLEY, STOWED = "trolley", "stowed "  # names of lines that are no leash; the rest are ids


def upset(ev: Evaluated) -> Upset:
    """Everything aboard by its id in text."""
    rigged, plan = ev.rigged, ev.setup.safety
    hull_row, angler = rigged.rows.hull, rigged.rows.angler
    loads, body = rigged.loads, rigged.loads.at_m[angler].tolist()
    return Upset(
        rigged.floating,
        Loads(loads.mass_kg[[hull_row]], loads.at_m[[hull_row]]),
        rigged.water_density_kg_m3,
        CaseBody.model_construct(
            mass_kg=float(loads.mass_kg[angler]), x_m=body[0], y_m=body[1], z_m=body[2]
        ),
        list(ev.once(_case_things).values()),
        [legs(ev), *_turning(ev)],
        list(_runs(ev)),
        Schools.model_construct(
            tie_line_m=plan.tie_line_m, few_price=plan.few_price, jerk=typical.JERK
        ),
    )


def _case_things(ev: Evaluated) -> dict[int, CaseThing]:
    """By id; what has not moved is taken from the evaluation before."""
    before = ev.before
    known: dict[int, CaseThing] = {}
    if before is not None and before.setup.safety == ev.setup.safety:
        known, same = before.once(_case_things), ev.rigged.placing.same
        known = {i: row for i, row in known.items() if i in same}
    return {
        one.thing_id: known.get(one.thing_id) or _case_thing(ev, one) for one in ev.rigged.stowed
    }


def _case_thing(ev: Evaluated, one: Stowed) -> CaseThing:
    thing, (x, y, z) = ev.thing(one.thing_id), one.centre_m
    volume = _volume_m3(ev, one.thing_id)
    return CaseThing.model_construct(
        name=str(one.thing_id),
        mass_kg=thing.mass_now_kg,
        volume_m3=volume,
        price=thing.price,
        x_m=x,
        y_m=y,
        z_m=z,
        size_m=_size_m(thing, one, volume),
        cuts="knife" in thing.serves,
        vital=vital(thing),
        held=_held(ev, one),
    )


def vital(thing: Thing) -> bool:
    """What one cannot do without in the water, whatever it costs."""
    return thing.part == "paddle" or any(one in _VITAL for one in thing.serves)


def held_down(ev: Evaluated, thing_id: int) -> bool:
    """Whether it stays with the boat upside down: shut in, or mounted so that it holds."""
    thing = ev.thing(thing_id)
    return ev.rigged.placing.covered(thing_id) or thing.part == "seat" or thing.fixing.by in _HOLDS


def _held(ev: Evaluated, one: Stowed) -> Held:
    """Hands let go of what they hold."""
    thing_id, placing = one.thing_id, ev.rigged.placing
    holder = placing.holder(thing_id)
    to = None if holder is None else str(holder)
    if one.stand.on_body and not one.stand.held:
        return Held.model_construct(by="worn", to=None)
    if placing.covered(thing_id):
        return Held.model_construct(by="fixed" if to is None else "shut", to=to)
    if held_down(ev, thing_id):
        return Held.model_construct(by="fixed", to=to)
    if not ev.thing(thing_id).fixing.leashed:
        return Held.model_construct(by="loose", to=None)
    leash = leash_of(ev, thing_id)
    x, y, z = one.centre_m
    return Held.model_construct(
        by="tied",
        to="body" if leash.on_body else None,
        from_m=(x if leash.x_m is None else leash.x_m, y if leash.y_m is None else leash.y_m, z),
        length_m=ev.setup.safety.tie_line_m if leash.length_m is None else leash.length_m,
        strength_kg=typical.STRENGTH_KG[leash.kind],
    )


def leash_of(ev: Evaluated, thing_id: int) -> Leash:
    """As somebody said, or as is usual."""
    return ev.setup.safety.leashes.get(thing_id) or Leash()


def _box_m3(thing: Thing) -> float:
    return thing.length_m * thing.width_m * thing.height_m * (pi / 4 if thing.drum else 1.0)


def _dry_box(thing: Thing) -> bool:
    """Whether air stays in it under water."""
    return thing.floats and thing.container is not None and thing.opens != "open"


def _volume_m3(ev: Evaluated, thing_id: int) -> float:
    """Typed, or by a typical density: nothing of what lies in a dry box, which has it all."""
    thing, placing = ev.thing(thing_id), ev.rigged.placing
    if any(_dry_box(ev.thing(i)) for i in placing.chain(thing_id)[1:]):
        return 0.0
    if thing.volume_l is not None:
        return thing.volume_l / 1000
    if _dry_box(thing):
        return typical.CLOSED_BOX * _box_m3(thing)
    return thing.mass_now_kg / _density_kg_m3(thing)


def _density_kg_m3(thing: Thing) -> float:
    if "PFD" in thing.serves:
        return typical.VEST_KG_M3
    if thing.floats:
        return typical.FLOATING_KG_M3
    metal = thing.battery or thing.motor or thing.anchor or thing.downrigger
    return typical.METAL_KG_M3 if metal else typical.PLASTIC_KG_M3


def _size_m(thing: Thing, one: Stowed, volume_m3: float) -> Size:
    """Its box along the axes, of a rod one that is thin; never less than what it displaces."""
    if one.tip_m is not None:
        long, wide, high = np.abs(np.array(one.tip_m) - np.array(one.stand.at(0.0))).tolist()
        thin = min(thing.width_m, thing.height_m)
        size = np.maximum((long, wide, high), thin)
    else:
        size = np.array((*footprint_m(thing, one.stand.turn_deg), thing.height_m))
    short = volume_m3 / float(size.prod())
    return tuple((size * max(1.0, short) ** (1 / 3)).tolist())


def legs(ev: Evaluated) -> Zone:
    """The room that legs fill and come out through."""
    body = ev.rigged.body
    return ev.again("legs", body, lambda: _legs(body))


def _legs(body: Body) -> Zone:
    limbs = [one for one in body.segments if one.name in LEGS]
    ends = np.array([[one.upper_m, one.far_m] for one in limbs]).reshape(-1, 3)
    thick = max(one.thickness_m for one in limbs) / 2
    room = thick + typical.ABOUT_LEGS_M
    low, high = (ends.min(axis=0) - room).tolist(), (ends.max(axis=0) + room).tolist()
    return Zone.model_construct(name="legs", kind="legs", lo_m=tuple(low), hi_m=tuple(high))


def _turning(ev: Evaluated) -> list[Zone]:
    """What turns under the boat: motors and drives that are not lifted."""
    hull, found = ev.rigged.floating.hull, []
    wells = any(isinstance(one, DriveWell) for one in ev.setup.boat.fittings)
    for one in ev.rigged.stowed:
        thing = ev.thing(one.thing_id)
        if thing.motor is None and not (thing.part == "drive" and wells):
            continue
        if ev.setup.glide.up.get(one.thing_id, False):
            continue
        along, across, under = _PROPELLER_M if thing.motor is not None else _FINS_M
        x, y = one.stand.x_m, one.stand.y_m
        keel = hull.keel_at_m(x)
        found.append(
            Zone.model_construct(
                name=str(one.thing_id),
                kind="propeller",
                lo_m=(x - along, y - across, keel - under),
                hi_m=(x + along, y + across, keel),
            )
        )
    return found


def _runs(ev: Evaluated) -> list[Run]:
    """The trolley's rope, and lines that nothing hangs on."""
    trolley, found = ev.setup.hold.trolley, []
    if trolley is not None:
        points = rope_points(ev.rigged.floating.hull, trolley, _ROPE_POINTS)
        found.append(
            Run.model_construct(
                name=TROLLEY, points_m=[tuple(row) for row in points.tolist()], slack_m=0.0
            )
        )
    for one in ev.rigged.stowed:
        slack = _slack_m(ev, one)
        if slack > 0:
            at = one.centre_m
            name = f"{STOWED}{one.thing_id}"
            found.append(Run.model_construct(name=name, points_m=[at, at], slack_m=slack))
    return found


def _slack_m(ev: Evaluated, one: Stowed) -> float:
    """How far a line goes that lies aboard with a thing, or that it is leashed by though it holds
    without; nothing of what is shut in."""
    thing = ev.thing(one.thing_id)
    if ev.rigged.placing.covered(one.thing_id) or one.stand.on_body:
        return 0.0
    has_line = thing.drogue is not None or (thing.anchor is not None and thing.anchor.by == "line")
    slack = typical.STOWED_LINE_M if has_line else 0.0
    if thing.fixing.leashed and held_down(ev, one.thing_id):
        leash = leash_of(ev, one.thing_id)
        slack = max(slack, leash.length_m or ev.setup.safety.tie_line_m)
    return slack


def hands(ev: Evaluated) -> tuple[Hand, Hand]:
    """To port and starboard: the shoulder as one sits, and the arm."""
    body = ev.rigged.body
    return ev.again("hands", body, lambda: (_hand(body, 1.0), _hand(body, -1.0)))


def _hand(body: Body, side: float) -> Hand:
    shoulder = tuple(body.shoulder_m(side).tolist())
    return Hand.model_construct(shoulder_m=shoulder, reach_m=body.build.grip_reach_m)


def remount(ev: Evaluated) -> Remount:
    """Beside the seat, over either gunwale."""
    return Remount.model_construct(
        x_m=climbs_in_at_m(ev.setup.seat.x_m),
        share=ev.setup.demands.remount_share,
        port=_over(ev, 1.0),
        starboard=_over(ev, -1.0),
    )


def _over(ev: Evaluated, side: float) -> Side:
    one, other = over_the_side(ev.rigged.floating.hull, ev.setup.seat.x_m, side)
    low, high = np.minimum(one, other).tolist(), np.maximum(one, other).tolist()
    return Side.model_construct(lo_m=tuple(low), hi_m=tuple(high))


def flooded_of(ev: Evaluated) -> Flooded:
    """The hull full where it is not shut off, with what floats it, and you holding on at an end."""
    hangs_on = (ev.rigged.floating, ev.setup.safety, ev.setup.boat.hull_mass_kg)
    return ev.again("full of water", hangs_on, lambda: _flooded(ev))


def _flooded(ev: Evaluated) -> Flooded:
    plan, hull = ev.setup.safety, ev.rigged.floating.hull
    x = hull.x_aft_m
    return Flooded.model_construct(
        solid_share=solid_share(ev),
        compartments=_parts(ev),
        foam=[foam_of(n, one) for n, one in enumerate(plan.flotation or [])],
        hanging=Hanging.model_construct(
            pull_kg=typical.HANGS_KG, x_m=x, y_m=0.0, z_m=hull.gunwale_m(x)[1]
        ),
        leak_l_min=plan.leak_l_min,
        bail=[],
    )


def _parts(ev: Evaluated) -> list[Compartment]:
    """Stern to bow without gaps."""
    hull, found = ev.rigged.floating.hull, []

    def part(aft: float, fwd: float, floods: bool) -> float:
        if fwd > aft:
            found.append(Compartment.model_construct(x_aft_m=aft, x_fwd_m=fwd, floods=floods))
        return max(aft, fwd)

    at = hull.x_aft_m
    for one in sorted(ev.setup.safety.dry, key=lambda one: one.aft_x_m):
        at = part(at, min(one.aft_x_m, hull.x_fwd_m), True)
        at = part(at, min(one.fwd_x_m, hull.x_fwd_m), False)
    part(at, hull.x_fwd_m, True)
    return found


def foam_of(n: int, one: Flotation) -> Foam:
    """A block as a bare case has it."""
    half = one.width_m / 2
    top = one.bottom_z_m + one.height_m
    return Foam.model_construct(
        name=f"{one.kind} {n + 1}",
        lo_m=(min(one.aft_x_m, one.fwd_x_m), one.y_m - half, one.bottom_z_m),
        hi_m=(max(one.aft_x_m, one.fwd_x_m), one.y_m + half, top),
        share=typical.LIFTS[one.kind],
    )


def solid_share(ev: Evaluated) -> float:
    """What of the hull is wall, by its weight: it floats, or does not, like any other thing."""
    wall = ev.setup.boat.hull_mass_kg / typical.WALL_KG_M3[ev.setup.safety.hull_material]
    hull = ev.rigged.floating.hull
    return min(1.0, wall / part_m3(hull, hull.x_aft_m, hull.x_fwd_m))
